import { readFileSync } from 'node:fs'
import ICAL from 'ical.js'
import type { Page } from '@playwright/test'
import type { ForecastView } from '#contract/forecast'
import { expect, fillDay, goTo, pathOf, test, type RunningHouse } from './support/house'

const PLAY_DAY = '2026-11-24'
const forecastBlock = (page: Page) => page.getByRole('group', { name: 'Is it finished in time' })
const act = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' }).first()
const row = (page: Page, name: string) => page.getByRole('article', { name })

async function forecastOf(page: Page, house: RunningHouse): Promise<ForecastView> {
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? ''
  const answer = await page.request.get(`${house.url}/api/items/${id}`)
  return ((await answer.json()) as { forecast: ForecastView }).forecast
}
const width = ({ days }: ForecastView): number => days.high - days.low

/** A weighing by the dialog, on a day. */
async function weigh(page: Page, grams: string, day: string): Promise<void> {
  await act(page, 'Measure').click()
  const dialog = page.getByRole('dialog', { name: /^How much is left of/ })
  await dialog.getByRole('button', { name: 'Weigh it', exact: true }).first().click()
  await dialog.getByLabel('Weight with its package').fill(grams)
  await fillDay(dialog, 'Seen on', day)
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(dialog).toHaveCount(0)
}

test('a new item with a label and twenty tallies, then weighings, then its end: the range narrows with what is known', async ({
  page,
  house,
}) => {
  await page.goto(`${house.url}/collection/add`)
  await page.getByLabel('Brand').fill('Pellwick')
  await page.getByLabel('Name', { exact: true }).fill('Night Bus blush')
  await page.getByRole('combobox', { name: 'Type' }).fill('blush')
  await page.getByRole('option', { name: 'blush', exact: true }).click()
  await page.getByLabel('Size on the label').fill('5 g')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Night Bus blush' })).toBeVisible()
  await act(page, 'Opened…').click()
  const opening = page.getByRole('dialog', { name: /^When .* was opened/ })
  await opening.getByLabel('As you remember it').fill('1/11/2026')
  await opening.getByRole('button', { name: 'Save' }).click()
  await expect(opening).toHaveCount(0)
  await expect(forecastBlock(page)).toContainText('If you keep using it')
  const address = page.url()
  const labelled = await forecastOf(page, house)

  // Twenty tallies, each on a day of its own.
  for (const day of Array.from({ length: 20 }, (_, n) => `2026-11-${String(n + 2).padStart(2, '0')}`)) {
    const id = address.split('/').at(-1) ?? ''
    const body = { changeId: `c-${day}`, itemId: id, day, worn: true, partIds: [], despite: true }
    expect((await page.request.post(`${house.url}/api/wear`, { data: body })).ok()).toBe(true)
  }
  await page.goto(address)
  await expect(page.getByText(/estimated from 20 uses you’ve ticked/)).toBeVisible()
  const tallied = await forecastOf(page, house)
  expect(width(tallied)).toBeLessThan(width(labelled))

  await act(page, /^Readings/).click()
  await act(page, 'Weigh one full or empty').click()
  const weight = page.getByRole('dialog', { name: /^What its packaging weighs/ })
  await weight.getByRole('button', { name: 'an empty one of its type, washed and dry' }).first().click()
  await weight.getByLabel('Weight with its package').fill('20')
  await weight.getByRole('button', { name: 'Save' }).click()
  await expect(weight).toHaveCount(0)
  await weigh(page, '25.1', '2026-11-01')
  await weigh(page, '24.1', PLAY_DAY)
  await expect(page.getByText(/Estimated from 2 weighings/)).toBeVisible()
  const weighed = await forecastOf(page, house)
  expect(width(weighed)).toBeLessThan(width(tallied))
  const usesApart = ({ perUse }: ForecastView): number => perUse.high / perUse.low
  expect(usesApart(weighed)).toBeLessThan(usesApart(tallied))

  await act(page, 'Finished').click()
  const end = page.getByRole('dialog', { name: /^Finish/ })
  await end.getByRole('button', { name: 'no', exact: true }).click()
  await end.getByRole('button', { name: 'Finished', exact: true }).click()
  await expect(end).toHaveCount(0)
  await expect(page.getByText(/^Finished on/)).toBeVisible()
  await expect(forecastBlock(page)).toHaveCount(0)
})

test('the race: a wrong opening is put right where it stands, and the next visit has it in its place', async ({
  page,
}) => {
  await goTo(page, 'Collection', 'Use first')
  await act(page, /^all open/).click()
  await act(page, /^not known/).click()
  const first = page.getByRole('article').first()
  const name = (await first.getAttribute('aria-label')) ?? ''
  const fix = first.getByRole('button', { name: /^Fix the opening/ })
  await fix.focus()
  await page.keyboard.press('Enter')
  const dialog = page.getByRole('dialog', { name: /^When .* was opened/ })
  await dialog.getByLabel('As you remember it').fill('soonish')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(dialog).toContainText('We can’t read that date.')
  await dialog.getByRole('button', { name: '2026', exact: true }).click()
  await expect(dialog).toHaveCount(0)
  // Here it keeps its place, under its new word; it is not among what is not known any more.
  await expect(row(page, name)).toHaveCount(0)
  await act(page, /^not known/).click()
  await goTo(page, 'Today')
  await goTo(page, 'Collection', 'Use first')
  await act(page, /^all open/).click()
  const standing = page.getByRole('article', { name }).locator('.standing')
  const list = page.locator('.rows')
  // Before the ones that are past and the ones not known: somewhere in the running.
  await expect(async () => {
    await list.evaluate((element) => element.scrollBy(0, 400))
    await expect(standing.first()).toBeVisible({ timeout: 200 })
  }).toPass()
  await standing.first().click()
  await expect(row(page, name).first()).toContainText('8 times in 10')
  await expect(row(page, name).first()).toContainText(/Opened (2026|between 1 Jan 2026)/)
})

test('the race is narrowed by how it stands, what it is and where it lies; a row opens to its sentence', async ({
  page,
}) => {
  await goTo(page, 'Collection', 'Use first')
  const chip = page.getByRole('group', { name: 'Show only' }).getByRole('button', { name: /^in time/ })
  const count = Number(/\d+$/.exec((await chip.textContent()) ?? '')?.[0])
  await chip.click()
  await expect(page.getByRole('article')).toHaveCount(count)
  await page.getByRole('article').first().locator('.standing').click()
  await expect(page.getByRole('article').first()).toContainText('at your pace finished')
  await page.getByRole('combobox', { name: 'Type' }).press('ArrowDown')
  await page.getByRole('option', { name: 'all at the eye' }).click()
  await expect(page.getByRole('status').first()).toContainText(/in time/)
})

test('the calendar file is read by another package, and the address tells the same', async ({ page, house }) => {
  await goTo(page, 'Settings')
  const region = page.getByRole('region', { name: 'Calendar' })
  const waiting = page.waitForEvent('download')
  await region.getByRole('link', { name: 'Download' }).click()
  const file = await (await waiting).path()
  const text = readFileSync(file, 'utf8')
  const events = new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent')
  expect(events.length).toBeGreaterThan(50)
  const uids = events.map((each) => String(each.getFirstPropertyValue('uid')))
  expect(new Set(uids).size).toBe(uids.length)
  for (const kind of ['last-good-', 'project-', 'check-in', 'need-'])
    expect(
      uids.some((uid) => uid.startsWith(kind)),
      kind,
    ).toBe(true)
  const address = (await region.locator('code').textContent()) ?? ''
  expect(address).toBe(`${house.url}/api/calendar.ics`)
  expect(await (await page.request.get(address)).text()).toBe(text)
})

test('before she commits she is told whether it adds up; her guess is kept, and looked back on', async ({
  page,
  house,
}) => {
  await page.goto(house.url + (await pathOf(page, house, 'Brown Study')))
  await act(page, 'Add to project').click()
  const dialog = page.getByRole('dialog', { name: /^Roll in/ })
  await dialog.getByLabel('Uses wanted').fill('300')
  const told = dialog.getByRole('status', { name: 'Does it add up' })
  await expect(told).toContainText('need')
  await expect(told).toContainText('That’s more than there')
  await dialog.getByLabel('Uses wanted').fill('2')
  await expect(told).toContainText('That adds up.')
  await dialog.getByLabel(/^How long will it last/).fill('2')
  // She has a history of guesses that ran short: what such a guess comes to is said.
  await expect(dialog).toContainText('2 months of yours are likely')
  await dialog.getByRole('button', { name: 'Roll in', exact: true }).click()
  await expect(dialog).toHaveCount(0)
  await page.getByRole('button', { name: 'How is this worked out?' }).click()
  await expect(page.getByRole('region', { name: 'How is this worked out?' })).toContainText('was 2 months')
  await goTo(page, 'Look back')
  await page.getByRole('link', { name: 'Guesses', exact: true }).click()
  const guesses = page.getByRole('region', { name: 'Your guesses' })
  await guesses.getByRole('button', { name: /^Show all/ }).click()
  await expect(guesses).toContainText('guessed 2 months, 0 days so far')
})

test('supply: how long a type lasts, what expires first, and what fewer would do', async ({ page }) => {
  await goTo(page, 'Collection')
  await page.getByRole('link', { name: 'How much I own', exact: true }).click()
  const blush = page.getByRole('article', { name: 'blush', exact: true })
  await blush.getByRole('button', { name: /^blush/ }).click()
  await expect(blush).toContainText('At your pace of')
  const keep = blush.getByRole('group', { name: 'If you kept fewer' })
  const before = await keep.textContent()
  await keep.getByRole('button', { name: 'One fewer' }).click()
  expect(await keep.textContent()).not.toBe(before)
  await expect(keep).toContainText('worth')
  await blush.locator('.expiring a').first().click()
  await expect(forecastBlock(page)).toBeVisible()
})
