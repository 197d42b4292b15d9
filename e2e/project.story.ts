import { choose, expect, goTo, test, tile } from './support/house'

test('a goal is met, rolls out, and something of the short list rolls in', async ({ page }) => {
  await goTo(page, 'Projects')
  const met = page.locator('.met').first()
  await expect(met).toContainText('goal met')
  const out = (await met.getByRole('link').first().textContent()) ?? ''
  const inside = page.getByRole('region', { name: 'Ten by the centenary' })
  const heading = (await inside.locator('header').textContent()) ?? ''
  const reached = Number(/(\d+) of 10 reached/.exec(heading)?.[1])
  await met.getByRole('button', { name: 'Roll out…' }).click()
  const list = page.getByRole('dialog', { name: 'What rolls in?' })
  await expect(list).toContainText(`${out} rolled out. What rolls in?`)
  const first = list.getByRole('listitem').first()
  const name = (await first.locator('strong').textContent()) ?? ''
  await first.getByRole('button', { name: /^Roll in/ }).click()
  const form = page.getByRole('dialog', { name: /^Roll in/ })
  await form.getByLabel('Uses wanted').fill('8')
  await form.getByLabel(/^Head start/).fill('9')
  await form.getByRole('button', { name: 'Roll in', exact: true }).click()
  await expect(form.locator('.trouble')).toContainText('The head start must stay below the goal of 8 uses.')
  await form.getByLabel(/^Head start/).fill('2')
  await form.getByRole('button', { name: 'Roll in', exact: true }).click()
  // A goal that is met counts as reached before it rolls out, and after.
  await expect(inside).toContainText(`${reached} of 10 reached`)
  await expect(inside.locator('.row').filter({ hasText: name })).toContainText('2 of 8 uses')
})

test('finishing something: a review, an empty, and its place in the project', async ({ page, house }) => {
  await goTo(page, 'Projects')
  const going = page
    .locator('.row')
    .filter({ has: page.getByRole('button', { name: /how much is left/ }) })
    .first()
  const name = (await going.getByRole('link').first().textContent()) ?? ''
  await going.getByRole('button', { name: /^Details of/ }).click()
  await going.getByRole('button', { name: /^More on/ }).click()
  await choose(page, 'Finished')
  const form = page.getByRole('dialog', { name: /^Finish/ })
  await form.getByRole('button', { name: 'maybe', exact: true }).click()
  await form.getByLabel('A few words').fill('Lasted longer than I thought it would.')
  await form.getByRole('button', { name: 'Finished', exact: true }).click()
  await expect(form).toBeHidden()
  await goTo(page, 'Look back', 'Empties')
  const entry = page.getByRole('article').first()
  await expect(entry).toContainText(name)
  await expect(entry).toContainText('Lasted longer than I thought it would.')
  await expect(entry).toContainText('maybe again')
  await house.restart()
  await page.reload()
  await expect(page.getByRole('article').first()).toContainText(name)
})

test('a trial ends: let go, with hygiene limiting where', async ({ page }) => {
  await goTo(page, 'Keep or let go')
  const card = page.getByRole('article').filter({ hasText: 'Worn as often as you wanted' })
  const name = (await card.getByRole('link').first().textContent()) ?? ''
  await card.getByRole('button', { name: 'Decide' }).click()
  const form = page.getByRole('dialog', { name: /^Decide on/ })
  await form.getByRole('button', { name: 'let go', exact: true }).click()
  await expect(form.getByRole('button', { name: 'give', exact: true })).toHaveCount(0)
  await expect(form).toContainText('it isn’t passed on')
  await form.getByRole('button', { name: 'bin', exact: true }).click()
  await form.getByLabel('Why?').fill('It feathers, whatever I do.')
  await form.getByRole('button', { name: 'Save' }).click()
  const decided = page.getByRole('region', { name: 'Decided' })
  await expect(decided.getByRole('listitem').first()).toContainText('let go, bin. It feathers, whatever I do.')
  // What leaves keeps its history.
  await decided
    .getByRole('link', { name: new RegExp(name) })
    .first()
    .click()
  await expect(page.getByText(/Left the collection on/)).toBeVisible()
  await expect(page.getByRole('region', { name: 'Life line' })).toContainText('verdict')
})

test('a palette: its shades are ticked, and count one use of it', async ({ page }) => {
  await tile(page, 'Timetable').click()
  const sheet = page.getByRole('dialog', { name: /^Shades of .*Timetable/ })
  await sheet.getByRole('button', { name: /^Moss/ }).click()
  await sheet.getByRole('button', { name: /^Hawthorn/ }).click()
  await sheet.getByRole('button', { name: 'Worn: 2', exact: true }).click()
  await expect(tile(page, 'Timetable')).toHaveAttribute('aria-pressed', 'true')
  await expect(tile(page, 'Timetable')).toContainText('Hawthorn, Moss')
  await expect(page.getByRole('region', { name: 'The day’s look' })).toContainText('On today: 1')
})

test('up next is put in her own order by keyboard alone, and Today follows it', async ({ page }) => {
  await goTo(page, 'Projects')
  const list = page.getByRole('region', { name: 'Up next' })
  for (const name of ['Petticoat', 'Late Sun']) {
    await list.getByRole('button', { name: 'Add an item' }).click()
    const picker = page.getByRole('dialog', { name: 'Up next' })
    await picker.getByRole('textbox').fill(name)
    await picker
      .getByRole('button', { name: new RegExp(`^Choose .*${name}`) })
      .first()
      .click()
    await expect(list.getByRole('listitem').filter({ hasText: name })).toBeVisible()
  }
  const last = list.getByRole('button', { name: /^Move .*Late Sun.* up/ })
  await last.focus()
  for (const place of [4, 3, 2, 1]) {
    await expect(list.getByRole('listitem').nth(place - 1)).toContainText('Late Sun')
    if (place > 1) await page.keyboard.press('Enter')
  }
  // At the top there is no further up: the focus goes to the other arrow.
  await expect(list.getByRole('button', { name: /^Move .*Late Sun.* down/ })).toBeFocused()
  await goTo(page, 'Today')
  await expect(page.getByRole('region', { name: 'Reach for' })).toContainText('Number 1 of what’s up next.')
})
