import { choose, expect, goTo, test, tile } from './support/house'

test('how the day is changes what is suggested; not today sends one away', async ({ page }) => {
  const lip = page.getByRole('region', { name: 'Reach for', exact: true })
  await expect(lip.locator('.hint').first()).toBeVisible()
  const hints = await lip.locator('.hint strong').allTextContents()
  expect(hints.length).toBeGreaterThan(2)
  await lip.getByRole('button', { name: new RegExp(`${hints[1]}.*: not today`) }).click()
  await expect(lip.getByRole('button', { name: new RegExp(`${hints[1]}.*: not today`) })).toHaveCount(0)

  await page.locator('button.said').click()
  const sheet = page.getByRole('dialog', { name: 'How the day is' })
  await sheet.getByRole('button', { name: '5', exact: true }).click()
  await sheet.getByRole('button', { name: 'cool', exact: true }).click()
  await sheet.getByLabel('Another occasion').fill('dentist')
  await sheet.getByLabel('A note on the day').fill('numb lip')
  await sheet.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.locator('button.said')).toContainText('clothes cool')
  await expect(page.locator('button.said')).toContainText('5 minutes')
  await expect(page.locator('button.said')).toContainText('dentist')
  // In five minutes there is no time for a highlighter or a palette.
  await expect(lip).not.toContainText('Timetable')
})

test('a look is kept, put on another day, mixed and undone; held up and put back is no wear', async ({ page }) => {
  const line = page.getByRole('region', { name: 'The day’s look' })
  for (const name of ['Lamplight', 'Oatfield', 'Sloe']) await tile(page, name).click()
  await expect(line).toContainText('On today: 3')
  await line.getByRole('button', { name: 'More', exact: true }).click()
  await choose(page, 'How it was worn')
  const details = page.getByRole('dialog', { name: 'How it was worn' })
  await details.getByRole('group', { name: 'Which' }).getByRole('button', { name: 'Lamplight' }).click()
  await details.getByRole('textbox', { name: 'How much' }).fill('2')
  await details.locator('.v-select').filter({ hasText: 'Mixed with' }).click()
  await page.getByRole('option', { name: 'Oatfield', exact: true }).click()
  await details.getByLabel('Ratio').fill('2 to 1')
  await details.getByRole('button', { name: 'Save for Lamplight' }).click()
  await details.getByRole('button', { name: 'Close' }).click()
  await expect(line).toContainText('Lamplight (2 pumps, mixed 2 to 1)')

  await line.getByRole('button', { name: 'More', exact: true }).click()
  await choose(page, 'Saved looks')
  const looks = page.getByRole('dialog', { name: 'Saved looks', exact: true })
  await looks.getByLabel('Keep these 3 as').fill('quick one')
  await looks.getByRole('button', { name: 'Save', exact: true }).click()
  await page.getByRole('button', { name: 'The day before', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Back to today' })).toBeVisible()
  await expect(line.locator('.title')).not.toContainText('On today')
  const before = (await line.locator('.title').textContent()) ?? ''
  await line.getByRole('button', { name: 'More', exact: true }).click()
  await choose(page, 'Saved looks')
  await looks.getByRole('button', { name: 'quick one', exact: true }).click()
  await expect(line).toContainText('Sloe')
  await line.getByRole('button', { name: /^Undo/ }).click()
  await expect(line.locator('.title')).toHaveText(before)

  await line.getByRole('button', { name: 'More', exact: true }).click()
  await choose(page, 'Considered, not used')
  const picker = page.getByRole('dialog', { name: 'Considered, not used' })
  await picker
    .getByRole('button', { name: /^Not used/ })
    .first()
    .click()
  await expect(page.getByText(/put back unused/).first()).toBeVisible()
})

test('a paper sheet for a month is typed in with the arrows, saved at once, undone at once', async ({
  page,
  house,
}) => {
  await page.goto(`${house.url}/paper`)
  const free = page.locator('td button:not(:has(svg))')
  await expect(free.first()).toBeVisible()
  const row = page.getByRole('row').filter({ has: page.getByRole('rowheader', { name: 'Alibi', exact: true }) })
  const squares = row.locator('td button')
  const sum = row.locator('td.sum')
  const before = Number(await sum.textContent())
  const open = await row.locator('td button:not(:has(svg))').count()
  expect(open).toBeGreaterThan(3)
  await squares.first().focus()
  // The number of a day goes to it: 1, then 12.
  await page.keyboard.type('12')
  await expect(squares.nth(11)).toBeFocused()
  await page.keyboard.press('Home')
  await page.keyboard.type('1')
  await expect(squares.first()).toBeFocused()
  let ticked = 0
  for (let n = 0; n < (await squares.count()) && ticked < 3; n += 1) {
    if ((await squares.nth(n).locator('svg').count()) === 0) {
      await page.keyboard.press('Space')
      ticked += 1
    }
    await page.keyboard.press('ArrowRight')
  }
  await expect(sum).toHaveText(String(before + 3))
  await page.getByRole('button', { name: 'Save 3 uses', exact: true }).click()
  await expect(page.getByRole('status').filter({ hasText: '3 uses saved.' })).toBeVisible()
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(sum).toHaveText(String(before))
})

test('a tick before it came is asked about, not lost', async ({ page, house }) => {
  const items = (await (await page.request.get(`${house.url}/api/today`)).json()) as {
    items: { id: string; shade: string; acquired: { earliest: string } | null; placement: object | null }[]
  }
  const item = items.items.find((each) => each.acquired !== null && each.placement !== null)
  if (!item?.acquired) throw new Error('nothing with a day it came on')
  const day = new Date(Date.parse(item.acquired.earliest) - 86_400_000).toISOString().slice(0, 10)
  await page.goto(`${house.url}/day/${day}`)
  await tile(page, item.shade).first().click()
  const asked = page.getByRole('alert')
  await expect(asked).toContainText('Tick it anyway, and it came on the day of that use')
  await asked.getByRole('button', { name: 'Tick it anyway' }).click()
  await expect(tile(page, item.shade).first()).toHaveAttribute('aria-pressed', 'true')
})

test('the drawer is laid for a season: stopped, resumed, and compared with the one before', async ({ page, house }) => {
  await goTo(page, 'Today')
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await choose(page, 'Arrange the drawer')
  await page.getByRole('link', { name: 'Change season' }).click()
  await page.getByRole('button', { name: 'Begin' }).click()
  const status = page.getByRole('status').filter({ hasText: 'chosen' })
  await expect(status).toContainText('0 of')
  const card = page.locator('section.one')
  const rested = (await card.getByRole('heading').textContent()) ?? ''
  // It shows before it has arrived; what is restarted must have it.
  const stored = page.waitForResponse((answer) => answer.request().method() !== 'GET' && answer.ok())
  await card.getByRole('button', { name: 'Stored away', exact: true }).click()
  await expect(status).toContainText('1 of')
  await stored
  await house.restart()
  await page.reload()
  await expect(status).toContainText('1 of')
  await card.getByRole('button', { name: 'Stays', exact: true }).click()
  await expect(status).toContainText('2 of')
  await page.getByRole('button', { name: /^Save/ }).click()
  await expect(page.getByRole('status').filter({ hasText: 'The drawer is arranged.' })).toBeVisible()
  await goTo(page, 'Today')
  await expect(tile(page, rested)).toHaveCount(0)
})
