import type { Page, Route } from '@playwright/test'
import { expect, listed, pathOf, test, tile, type RunningHouse } from './support/house'

const lineOf = (page: Page) => page.getByRole('region', { name: 'The day’s look' })

async function wornOn(page: Page, house: RunningHouse, day: string): Promise<number> {
  const answer = await page.request.get(`${house.url}/api/today?day=${day}`)
  return ((await answer.json()) as { worn: unknown[] }).worn.length
}

test('a tab left open over night moves to the new day, says so, and ticks that one', async ({ page, house }) => {
  await house.restart('2026-11-25T03:59:52')
  await page.goto(house.url)
  await expect(page.getByRole('heading', { name: 'Tuesday 24 November' })).toBeVisible()
  await tile(page, 'Sloe').click()
  await expect(lineOf(page)).toContainText('On today: 1')
  await expect(page.getByText('A new day has begun: this is Wednesday 25 November.')).toBeVisible()
  await expect(lineOf(page)).toContainText('On today: nothing ticked')
  await tile(page, 'Petticoat').click()
  await expect.poll(() => wornOn(page, house, '2026-11-25')).toBe(1)
  expect(await wornOn(page, house, '2026-11-24')).toBe(1)
  await page.getByRole('link', { name: 'Back to Tuesday 24 November' }).click()
  await expect(tile(page, 'Sloe')).toHaveAttribute('aria-pressed', 'true')
})

test('ticks made while the server is away survive a closed tab and arrive in order, for their day', async ({
  page,
  context,
  house,
}) => {
  await expect(tile(page, 'Sloe')).toBeVisible()
  await house.stop()
  await tile(page, 'Sloe').click()
  await tile(page, 'Petticoat').click()
  await tile(page, 'Sloe').click()
  await expect(tile(page, 'Petticoat')).toHaveAttribute('aria-pressed', 'true')
  await expect(page.locator('.strips')).toContainText('3 acts wait on this phone')
  await expect(tile(page, 'Petticoat')).toHaveAccessibleName(/waits to be saved/)
  await page.close()
  await house.restart()
  const later = await context.newPage()
  await later.goto(house.url)
  await expect(tile(later, 'Petticoat')).toHaveAttribute('aria-pressed', 'true')
  await expect(tile(later, 'Sloe')).toHaveAttribute('aria-pressed', 'false')
  await expect.poll(() => wornOn(later, house, '2026-11-24')).toBe(1)
  await expect(later.locator('.strips')).toHaveText('')
  await expect(tile(later, 'Petticoat')).not.toHaveAccessibleName(/waits to be saved/)
})

test('two windows: what one ticked stands in the other as soon as that one acts', async ({ page, context, house }) => {
  const other = await context.newPage()
  await other.goto(house.url)
  await expect(tile(other, 'Sloe')).toBeVisible()
  await tile(page, 'Petticoat').click()
  await expect.poll(() => wornOn(page, house, '2026-11-24')).toBe(1)
  await tile(other, 'Sloe').click()
  await expect(lineOf(other)).toContainText('On today: 2')
  await expect(tile(other, 'Petticoat')).toHaveAttribute('aria-pressed', 'true')
})

test('a form whose answers are lost stores once when it is saved again, and keeps what is typed', async ({
  page,
  house,
}) => {
  await page.goto(`${house.url}/collection/add`)
  await page.getByLabel('Name', { exact: true }).fill('Night Bus')
  await page.getByRole('combobox', { name: 'Type', exact: true }).fill('lipstick')
  await page.getByRole('option', { name: 'lipstick', exact: true }).click()
  // It arrives, and its answer does not.
  const lose = async (route: Route): Promise<void> => {
    await route.fetch()
    await route.abort()
  }
  await page.route('**/api/items', lose)
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Seligo doesn’t answer' })).toBeVisible()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Night Bus')
  await page.unroute('**/api/items', lose)
  await page.getByLabel('Shade', { exact: true }).fill('N 31')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Night Bus, N 31' })).toBeVisible()
  const found = (await (await page.request.get(`${house.url}/api/find?words=night+bus`)).json()) as { ids: string[] }
  expect(found.ids).toHaveLength(1)
})

test('every act on a day shows before it has arrived, at any latency', async ({ page }) => {
  await expect(tile(page, 'Sloe')).toBeVisible()
  let arrived = 0
  let open = (): void => undefined
  const gate = new Promise<void>((resolve) => (open = resolve))
  await page.route(
    (url) => url.pathname.startsWith('/api/'),
    async (route) => {
      if (route.request().method() === 'POST') await gate
      arrived += 1
      await route.continue()
    },
  )
  const line = lineOf(page)
  await tile(page, 'Sloe').click()
  await expect(tile(page, 'Sloe')).toHaveAttribute('aria-pressed', 'true')
  await tile(page, 'Timetable').click()
  const shades = page.getByRole('dialog', { name: /^Shades of .*Timetable/ })
  await shades.getByRole('button', { name: /^Moss/ }).click()
  await shades.getByRole('button', { name: 'Worn: 1', exact: true }).click()
  await expect(tile(page, 'Timetable')).toContainText('Moss')
  await line.getByRole('button', { name: /^Same as/ }).click()
  await expect(line).not.toContainText('On today: 2')
  await page.locator('button.said').click()
  const sheet = page.getByRole('dialog', { name: 'How the day is' })
  await sheet.getByRole('button', { name: 'oily', exact: true }).click()
  await sheet.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.locator('button.said')).toContainText('skin oily')
  const lip = page.getByRole('region', { name: 'Reach for', exact: true })
  const hint = (await lip.locator('.hint strong').first().textContent()) ?? ''
  await lip.getByRole('button', { name: new RegExp(`${hint}.*: not today`) }).click()
  await expect(lip.getByRole('button', { name: new RegExp(`${hint}.*: not today`) })).toHaveCount(0)
  // All of it was shown while nothing had arrived.
  expect(arrived).toBe(0)
  open()
  await expect(line).not.toContainText('saving')
  await expect(tile(page, 'Timetable')).toContainText('Moss')
})

test('a page that is left before its answer has come doesn’t keep the next one waiting for it', async ({
  page,
  house,
}) => {
  // The first question hangs until a second one is asked.
  let second = (): void => undefined
  const asked = new Promise<void>((resolve) => (second = resolve))
  let times = 0
  await page.route('**/api/supply', async (route) => {
    times += 1
    if (times > 1) second()
    await asked
    await route.continue().catch(() => undefined)
  })
  await page.goto(`${house.url}/collection`)
  await page.getByRole('link', { name: 'How much I own', exact: true }).click()
  await expect(page.getByRole('article', { name: 'blush', exact: true })).toBeVisible()
})

test('clearing the search brings the list back, and going back finds search, filters and place as they were', async ({
  page,
  house,
}) => {
  await page.goto(`${house.url}/collection`)
  const status = page.getByRole('region', { name: 'Items', exact: true }).getByRole('status')
  const search = page.getByRole('textbox', { name: 'Brand, name, shade or notes' })
  await search.fill('peticoat')
  await expect(page.locator('tr.row').first()).toContainText('Petticoat')
  await page.getByRole('button', { name: /^Clear/ }).click()
  await expect(status).toHaveText(new RegExp(`^${(await listed(page, house)).length} items`))
  await page.getByRole('button', { name: 'open', exact: true }).click()
  const list = page.locator('.v-table__wrapper')
  await list.evaluate((element) => element.scrollTo(0, 2900))
  const row = page.locator('tr.row').nth(6)
  // The rows of that place are drawn a moment after it is reached.
  await expect(row).toBeInViewport()
  const name = (await row.locator('.name').textContent()) ?? ''
  await row.click()
  await expect(page.getByRole('group', { name: 'Is it finished in time' })).toBeVisible()
  await page.goBack()
  await expect(page.getByRole('button', { name: 'open', exact: true })).toHaveAttribute('aria-pressed', 'true')
  await expect.poll(() => list.evaluate((element) => element.scrollTop)).toBe(2900)
  await expect(page.locator('tr.row').filter({ hasText: name }).first()).toBeVisible()
})

test('a half-filled page isn’t left without a word, whichever way is taken', async ({ page, house }) => {
  await page.goto(`${house.url}${await pathOf(page, house, 'Petticoat')}/edit`)
  const notes = page.getByLabel('Notes')
  await notes.fill('half a thought')
  const asked = page.getByRole('dialog', { name: 'Discard what you typed?' })
  await page.getByRole('link', { name: /^Projects/ }).click()
  await asked.getByRole('button', { name: 'Continue' }).click()
  await expect(notes).toHaveValue('half a thought')
  await page.getByRole('link', { name: 'Cancel' }).click()
  await asked.getByRole('button', { name: 'Continue' }).click()
  await expect(notes).toHaveValue('half a thought')
  await page.getByRole('link', { name: /^Projects/ }).click()
  await asked.getByRole('button', { name: 'Discard' }).click()
  await expect(page.getByRole('heading', { name: 'Projects', exact: true })).toBeVisible()
})

test('the way back stands in a strip of its own: beside the places, or at the head of a phone', async ({
  page,
  house,
}) => {
  await page.goto(house.url + (await pathOf(page, house, 'Sloe')))
  const notice = page.locator('#notices .v-snackbar__wrapper')
  await page.getByRole('button', { name: 'Move…' }).click()
  await page.getByText('Take out of the drawer').click()
  await expect(notice).toContainText('Took Ondrake Sloe lipstick out of the drawer')
  const beside = await notice.boundingBox()
  const place = await page.getByRole('main').boundingBox()
  expect((beside?.x ?? 0) + (beside?.width ?? 999)).toBeLessThanOrEqual(place?.x ?? 0)
  await page.setViewportSize({ width: 390, height: 844 })
  await expect.poll(async () => (await notice.boundingBox())?.y).toBe(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Move…' }).click()
  await expect(page.getByText('Take out of the drawer')).toBeVisible()
})
