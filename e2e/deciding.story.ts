import { readFileSync } from 'node:fs'
import sharp from 'sharp'
import type { Page } from '@playwright/test'
import { button } from './support/buttons'
import { expect, goTo, listed, test } from './support/house'

const row = (page: Page, name: string | RegExp) => page.getByRole('article', { name })
const dialog = (page: Page, name: string | RegExp) => page.getByRole('dialog', { name })

test('from doubt to a trial of three in one look, to verdicts, to the list for handing over', async ({
  page,
  house,
}) => {
  await goTo(page, 'Keep or let go')
  const doubts = page.getByRole('region', { name: 'To decide' })
  await expect(doubts.getByRole('article').first()).toBeVisible()
  // The same facts in another order.
  const thrifty = await doubts.getByRole('article').allInnerTexts()
  await doubts.getByRole('button', { name: 'joy' }).click()
  await expect.poll(() => doubts.getByRole('article').allInnerTexts()).not.toEqual(thrifty)
  await doubts.getByRole('button', { name: 'thrift' }).click()
  const open = doubts.getByRole('article').filter({ has: button(page, /^Use it first/) })
  const names: string[] = []
  for (let n = 0; n < 3; n += 1) {
    const box = open.nth(n).getByRole('checkbox')
    names.push((await box.getAttribute('aria-label'))?.replace(/^Choose /, '') ?? '')
    await box.check()
  }
  await button(page, 'On trial in one look').click()
  const trial = dialog(page, '3 items on trial in one look')
  await trial.getByLabel('Wears').fill('1')
  await trial.getByLabel('What do you want to know?').fill('Which of the three?')
  await trial.getByRole('button', { name: 'Start the trial' }).click()
  await expect(trial).toHaveCount(0)
  await goTo(page, 'Keep or let go', 'Trials')
  await expect(page.getByText('3 items in one look, each with its own verdict')).toBeVisible()

  // One is worn and felt with one tap.
  const items = await listed(page, house)
  const onTrial = items.filter((item) => item.onTrial).filter((item) => names.some((name) => name.includes(item.shade)))
  expect(onTrial).toHaveLength(3)
  for (const { id } of onTrial) {
    const data = { changeId: `w-${id}`, itemId: id, day: '2026-11-24', worn: true, partIds: [] }
    await page.request.post(`${house.url}/api/wear`, { data })
  }
  await page.reload()
  const look = page.locator('.look.several')
  const taps = look.getByRole('group', { name: /in all$/ }).first()
  await taps.getByRole('button', { name: 'bad' }).click()
  await expect(taps.getByRole('button', { name: 'bad' })).toHaveAttribute('aria-pressed', 'true')
  await expect(look.getByText('It felt: 1 bad.')).toBeVisible()

  // Three verdicts: one stays, one is tried once more with another base, one goes to a friend.
  const decide = async (): Promise<ReturnType<typeof dialog>> => {
    await look.getByRole('button', { name: 'Decide' }).first().click()
    return dialog(page, /^Decide on/)
  }
  let form = await decide()
  await form.getByRole('button', { name: 'keep', exact: true }).click()
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(form).toHaveCount(0)
  const before = await listed(page, house)
  form = await decide()
  await form.getByRole('button', { name: 'once more, otherwise' }).click()
  await form.getByRole('button', { name: 'base', exact: true }).click()
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(form).toHaveCount(0)
  await expect(page.getByText('Once more, with another base.')).toBeVisible()
  expect((await listed(page, house)).filter((item) => item.onTrial)).toHaveLength(
    before.filter((item) => item.onTrial).length,
  )
  // The last of the three is alone by now, and stands with the others; it is let go from its own page.
  const last = onTrial.find(({ shade }) => names[2]?.includes(shade))
  await page.goto(`${house.url}/items/${last?.id ?? ''}`)
  await button(page, 'Keep or let go…').click()
  await page.getByText('Give a verdict…').click()
  form = dialog(page, /^Decide on/)
  await form.getByRole('button', { name: 'let go' }).click()
  const give = form.getByRole('button', { name: 'give', exact: true })
  const where = (await give.count()) > 0 ? 'give' : 'return scheme'
  await form.getByRole('button', { name: where, exact: true }).click()
  await form.getByLabel('To whom?').fill('Ines')
  await form.getByLabel('A lesson to keep?').fill('Not every red is mine.')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(form).toHaveCount(0)
  await page.goto(`${house.url}/keep/let-go`)
  const waiting = page.getByRole('region', { name: 'To hand over' })
  await waiting.getByRole('button', { name: new RegExp(`Handed over: .*${last?.shade ?? ''}`) }).click()
  const hand = dialog(page, /^Handed over/)
  await hand.getByRole('button', { name: 'Save' }).click()
  await expect(hand).toHaveCount(0)
  await expect(page.getByRole('region', { name: 'Let go' })).toContainText(`${where}, Ines`)
  await page.goto(new URL('/look-back/lessons', page.url()).href)
  await expect(page.getByRole('region', { name: 'Kept' })).toContainText('Not every red is mine.')
})

test('twins side by side: one is kept first, the other gets its verdict', async ({ page, house }) => {
  await page.goto(`${house.url}/keep/compare`)
  await button(page, 'Choose the first').first().click()
  for (const shade of ['Brake Light', 'Bell Cord']) {
    const picker = dialog(page, 'Add')
    await picker.getByRole('textbox').fill(shade)
    await picker
      .getByRole('button', { name: new RegExp(`Choose .*${shade}`) })
      .first()
      .click()
    if (shade === 'Brake Light') await button(page, 'Choose the second').first().click()
  }
  await expect(page.getByRole('region', { name: 'Swatches' }).getByRole('img')).toHaveCount(2)
  await expect(page.getByText(/Brake Light and Bell Cord: (?:near twins|hard to tell apart)/)).toBeVisible()
  await button(page, /^Keep .*Brake Light.* first/).click()
  await expect(page.getByRole('status').filter({ hasText: 'Brake Light stays first' })).toBeVisible()
  await button(page, /^Decide on .*Bell Cord/).click()
  const form = dialog(page, /^Decide on/)
  await form.getByRole('button', { name: 'keep', exact: true }).click()
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(form).toHaveCount(0)
})

test('a target is set, dropped, and undone', async ({ page, house }) => {
  await page.goto(`${house.url}/keep/how-many`)
  await button(page, 'Set a target').first().click()
  const form = dialog(page, 'How many are enough?')
  await form.getByRole('combobox', { name: 'Of which type' }).fill('blush')
  await page.getByRole('option', { name: /^blush, \d+$/ }).click()
  await form.getByLabel('How many stay').fill('900')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(form).toContainText('Choose a number up to')
  await form.getByLabel('How many stay').fill('8')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(form).toHaveCount(0)
  const card = page.getByRole('region', { name: /^Blushes: \d+ here, 8 enough/ })
  await expect(card).toContainText('a month have to go')
  await card.getByRole('button', { name: 'Which to keep first' }).click()
  await expect(card.getByText('beyond the target')).toBeVisible()
  await card.getByRole('button', { name: /^Remove/ }).click()
  await expect(card).toHaveCount(0)
})

test('a wish is checked and waited for, and one that is bought arrives with its story', async ({ page, house }) => {
  await page.goto(`${house.url}/buying/wish-list`)
  const wish = row(page, 'Kitt Larkspur Signal Rose')
  await expect(wish).toContainText('Waits 19 days more')
  await wish.getByRole('button', { name: 'Check' }).click()
  await expect(wish).toContainText(/near twins? among the \d+ blushes/)
  await expect(wish).toContainText('Your limit until 20 Dec leaves nothing')
  const red = row(page, 'Zephyrine Depot Red')
  await expect(red).toContainText('The wait is over. Do you still want it, after 40 days?')
  await red.getByRole('button', { name: /^Bought/ }).click()
  const form = dialog(page, 'Depot Red is bought')
  await form.getByRole('button', { name: 'Add to the collection' }).click()
  await expect(form).toHaveCount(0)
  await goTo(page, 'Before buying', 'No-buys')
  await expect(page.getByText('1 item bought, 1 more than planned.')).toBeVisible()
  await goTo(page, 'Before buying', 'Wish list')
  await page.getByRole('link', { name: 'its page' }).first().click()
  await expect(page.getByRole('heading', { name: 'Depot Red' })).toBeVisible()
  await button(page, 'What it is and where it is').click()
  await expect(page.getByText('Wished for 40 days before it was bought.')).toBeVisible()
})

test.describe('in a shop, on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } })

  test('type, a swatch tapped off a picture of the tester, and the answer on one screen', async ({
    page,
    house,
  }, info) => {
    await page.goto(house.url)
    await goTo(page, 'Before buying')
    await page.getByRole('combobox', { name: 'What type' }).click()
    await page.getByRole('combobox', { name: 'What type' }).fill('blush')
    await page.getByRole('option', { name: 'blush', exact: true }).click()
    await page.getByLabel('Price, EUR').fill('19')
    const answer = page.getByRole('region', { name: 'The answer' })
    await expect(answer).toContainText('blushes here')
    // A tester with a lamp in it: half of the picture shines.
    const tester = info.outputPath('tester.png')
    await sharp({ create: { width: 300, height: 150, channels: 3, background: '#c7747a' } })
      .composite([
        { input: { create: { width: 150, height: 150, channels: 3, background: '#ffffff' } }, left: 150, top: 0 },
      ])
      .png()
      .toFile(tester)
    expect(readFileSync(tester).length).toBeGreaterThan(100)
    await page.locator('input[type=file]').setInputFiles(tester)
    const picture = button(page, /^Tap the colour/)
    const box = await picture.boundingBox()
    if (!box) throw new Error('no picture')
    await page.mouse.click(box.x + box.width * 0.85, box.y + box.height / 2)
    await expect(page.getByRole('alert')).toContainText('That spot shines')
    await page.mouse.click(box.x + box.width * 0.2, box.y + box.height / 2)
    await expect(page.getByRole('img', { name: 'the colour found, #c7747a' })).toBeVisible()
    await expect(answer).toContainText(/near twins? among the/)
    await expect(answer.getByRole('link').first()).toBeVisible()
    // The picture gives way, and the answer stands on one screen with its act.
    await expect(button(page, 'Add to wish list')).toBeInViewport({ ratio: 1 })
    // By keys too: the cross moves, Enter taps.
    await button(page, 'Tap again').click()
    await picture.focus()
    await picture.press('ArrowRight')
    await picture.press('Enter')
    await expect(page.getByRole('img', { name: 'the colour found, #c7747a' })).toBeVisible()
    await expect(button(page, 'Tap again')).toBeFocused()
    await button(page, 'Add to wish list').click()
    const form = dialog(page, 'Add to wish list')
    await form.getByLabel('What is it?').fill('Tester blush')
    await form.getByRole('button', { name: 'a month' }).click()
    await form.getByRole('button', { name: 'Save' }).click()
    await expect(form).toHaveCount(0)
    await page.goto(`${house.url}/buying/wish-list`)
    await expect(row(page, 'Tester blush')).toContainText('Waits 30 days more')
  })
})

test('set aside, from the stash, and a review told in full', async ({ page, house }) => {
  await page.goto(`${house.url}/stash`)
  await button(page, /^Put 4 items in the drawer/).click()
  const now = page.getByRole('region', { name: 'In the drawer now' })
  await expect(now.getByRole('article')).toHaveCount(4)
  await now.getByRole('article').first().getByRole('button', { name: 'stays' }).click()
  await button(page, 'Save').click()
  await expect(now).toHaveCount(0)
  await expect(page.getByRole('region', { name: 'Before' })).toContainText('Nothing was worn this time')

  await page.goto(`${house.url}/keep/special`)
  const special = page.getByRole('region', { name: 'For occasions' })
  await special
    .getByRole('button', { name: /^A day for/ })
    .first()
    .click()
  const aside = dialog(page, /^Special: /)
  await aside.getByRole('button', { name: 'a keepsake, to look at' }).click()
  await aside.getByLabel(/Why is it kept/).fill('the case')
  await aside.getByRole('button', { name: 'Save' }).click()
  await expect(aside).toHaveCount(0)
  await expect(page.getByRole('region', { name: 'Keepsakes' })).toContainText('the case')

  await page.goto(`${house.url}/look-back/empties`)
  await button(page, /^Change the review of/)
    .first()
    .click()
  const review = dialog(page, /^Review of/)
  await review.getByRole('button', { name: /^Say more/ }).click()
  await review.getByLabel('What you did not like').fill('It rolled off the table.')
  await review.getByRole('button', { name: 'Save' }).click()
  await expect(review).toHaveCount(0)
  await expect(page.getByText('It rolled off the table.')).toBeVisible()
})
