import type { Page } from '@playwright/test'
import { checkInPath, expect, goTo, listed, test, tile } from './support/house'

const focused = (page: Page): Promise<string> => page.evaluate(() => document.activeElement?.tagName ?? 'BODY')
const lineOf = (page: Page) => page.getByRole('region', { name: 'The day’s look' })

test('the focus is on the heading of whatever was opened, and stays near where something went', async ({ page }) => {
  await expect(tile(page, 'Sloe')).toBeVisible()
  await tile(page, 'Sloe').focus()
  await page.keyboard.press('o')
  const heading = page.getByRole('heading', { level: 1 })
  await expect(heading).toBeFocused()
  await goTo(page, 'Projects')
  await expect(page.getByRole('heading', { name: 'Projects', level: 1 })).toBeFocused()
  await page.locator('body').press('d')
  const brows = page.getByRole('region', { name: 'Brows' })
  await brows
    .getByRole('button', { name: /^Move .*Tobacco.* elsewhere/ })
    .first()
    .focus()
  await page.keyboard.press('Enter')
  await page.locator('.v-overlay--active .v-list-item').filter({ hasText: 'Extras' }).click()
  await expect(
    page.getByRole('region', { name: 'Extras' }).getByRole('link', { name: 'Tobacco', exact: true }),
  ).toBeVisible()
  await expect.poll(() => focused(page)).not.toBe('BODY')
})

test('in the drawer Enter ticks; under a dialog no shortcut reaches the page', async ({ page }) => {
  await tile(page, 'Sloe').focus()
  await page.keyboard.press('Enter')
  await expect(tile(page, 'Sloe')).toHaveAttribute('aria-pressed', 'true')
  await page.keyboard.press('?')
  const list = page.getByRole('dialog')
  await expect(list).toContainText('the day before')
  for (const key of ['d', 'n', 'b', 'u']) await page.keyboard.press(key)
  await expect(list).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(list).toHaveCount(0)
  await expect(tile(page, 'Sloe')).toHaveAttribute('aria-pressed', 'true')
  await page.keyboard.press('b')
  await expect(page.getByRole('heading', { name: /23 November/ }).first()).toBeVisible()
})

test('acts keep their places: a second tap on "Same as" lands on nothing else', async ({ page }) => {
  const same = lineOf(page)
    .getByRole('button', { name: /^Same as/ })
    .first()
  const before = await same.boundingBox()
  const name = (await same.textContent()) ?? ''
  await same.click()
  await expect(same).toBeDisabled()
  await expect(same).toHaveText(name)
  const after = await same.boundingBox()
  expect([after?.x, after?.width]).toEqual([before?.x, before?.width])
  const ticked = await lineOf(page).locator('.title').textContent()
  await page.mouse.click((before?.x ?? 0) + 20, (after?.y ?? 0) + 12)
  await expect(lineOf(page).locator('.title')).toHaveText(ticked ?? '')
})

test('the look of the last such occasion is offered as soon as it is said what today is', async ({ page, house }) => {
  const { items } = (await (await page.request.get(`${house.url}/api/today`)).json()) as { items: { id: string }[] }
  const [item] = items
  const data = { day: '2026-11-10', changeId: 'gig-1', set: { occasion: 'gig' }, was: { occasion: null } }
  expect((await page.request.post(`${house.url}/api/day`, { data })).ok()).toBe(true)
  const worn = { changeId: 'gig-2', itemId: item?.id, day: '2026-11-10', worn: true, despite: true }
  expect((await page.request.post(`${house.url}/api/wear`, { data: worn })).ok()).toBe(true)
  await page.reload()
  await page.locator('button.said').click()
  const sheet = page.getByRole('dialog', { name: 'How the day is' })
  await sheet.getByRole('button', { name: 'gig', exact: true }).click()
  await sheet.getByRole('button', { name: 'Save' }).click()
  const offered = page.getByText('Same as last gig')
  if (!(await offered.first().isVisible()))
    await lineOf(page).getByRole('button', { name: 'More', exact: true }).click()
  await expect(offered.first()).toBeVisible()
})

test('laying for a season: a choice is undone by the same press or by the way back, and the whole can be given up', async ({
  page,
  house,
}) => {
  await page.goto(`${house.url}/drawer/season`)
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  const standing = page.getByText(/0 of \d+ chosen/)
  await expect(standing).toBeVisible()
  const first = page.getByRole('group', { name: 'Only what’s left to choose' }).getByRole('button').first()
  const choices = page.locator('.one .choice')
  await choices.last().click()
  await expect(page.getByText(/1 of \d+ chosen/)).toBeVisible()
  await expect.poll(() => focused(page)).not.toBe('BODY')
  await page.locator('.place').press('u')
  await expect(standing).toBeVisible()
  await first.click()
  await choices.last().click()
  await expect(page.getByText(/1 of \d+ chosen/)).toBeVisible()
  await first.click()
  await page.locator('.one .choice[aria-pressed="true"]').click()
  await expect(standing).toBeVisible()
  await page.getByRole('button', { name: 'Discard' }).click()
  await expect(page.getByRole('button', { name: 'Begin', exact: true })).toBeVisible()
})

test('a part of the page that did not come once comes when it is wanted again', async ({ page, house }) => {
  let lost = 0
  await page.route(/\/assets\/NoticeStrip.*\.js/, (route) => {
    lost += 1
    return lost === 1 ? route.abort() : route.continue()
  })
  await page.goto(`${house.url}/drawer`)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await expect.poll(() => lost).toBeGreaterThan(1)
  await page
    .getByRole('button', { name: /^Move .*Tobacco.* elsewhere/ })
    .first()
    .click()
  await page.locator('.v-overlay--active .v-list-item').filter({ hasText: 'Extras' }).click()
  await expect(page.locator('#notices .v-snackbar__wrapper')).toBeVisible()
  // A page of its own likewise; and one that never comes is said in words.
  let projects = 0
  await page.route(/\/assets\/ProjectsPage.*\.js/, (route) => {
    projects += 1
    return projects === 1 ? route.abort() : route.continue()
  })
  await goTo(page, 'Projects')
  await expect(page.getByRole('heading', { name: 'Projects', level: 1 })).toBeVisible()
  await page.route(/\/assets\/DecidePage.*\.js/, (route) => route.abort())
  await goTo(page, 'Keep or let go')
  await expect(page.getByText(/A part of the page couldn’t be loaded/).first()).toBeVisible()
})

test('a point on a photo lies under the pointer, whatever margins the photo has', async ({ page, house }) => {
  await page.goto(`${house.url}/projects/check-in`)
  await page.getByRole('link', { name: 'Continue' }).click()
  await page.getByRole('button', { name: 'photo', exact: true }).click()
  const tall = await page.evaluate(() => {
    const canvas = document.createElement('canvas')
    ;[canvas.width, canvas.height] = [300, 1200]
    return canvas.toDataURL('image/png').split(',')[1] ?? ''
  })
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'tall.png', mimeType: 'image/png', buffer: Buffer.from(tall, 'base64') })
  const svg = page.locator('.photo-points svg').first()
  const box = await svg.boundingBox()
  if (!box) throw new Error('no photo')
  // Rim 1 goes where it is put: a third of the photo's height, in its middle.
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 3]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.up()
  const off = await svg.evaluate(
    (element, at) =>
      Math.min(
        ...[...element.querySelectorAll('circle')].map((circle) => {
          const { left, top, width, height } = circle.getBoundingClientRect()
          return Math.hypot(left + width / 2 - at.x, top + height / 2 - at.y)
        }),
      ),
    { x, y },
  )
  expect(off).toBeLessThan(2)
})

test('words of a check-in belong to the item they were typed for, and are saved or asked about', async ({
  page,
  house,
}) => {
  const path = await checkInPath(page, house, 'under way')
  await page.goto(house.url + path)
  const heading = page.locator('.work h2')
  const [write, field] = [page.getByRole('button', { name: 'Write…' }), page.getByLabel('In your words')]
  const first = (await heading.textContent()) ?? ''
  await write.click()
  await field.fill('thinner than it was')
  await field.press('Enter')
  await expect(page.getByRole('button', { name: 'thinner than it was' })).toHaveAttribute('aria-pressed', 'true')
  await expect(heading).toHaveText(first)
  while ((await heading.textContent()) === first) {
    const before = page.url()
    await page.getByRole('button', { name: 'Skip', exact: true }).click()
    await expect(page).not.toHaveURL(before)
  }
  await write.click()
  await field.fill('of the second')
  await page.getByRole('button', { name: 'Back', exact: true }).click()
  const asked = page.getByRole('dialog', { name: 'Discard what you typed?' })
  await asked.getByRole('button', { name: 'Continue' }).click()
  await expect(field).toHaveValue('of the second')
  const { steps } = (await (
    await page.request.get(`${house.url}/api${path.replace('/projects/check-in/', '/check-ins/')}`)
  ).json()) as {
    steps: { words: string | null }[]
  }
  expect(steps.map(({ words }) => words).filter((words) => words === 'thinner than it was')).toHaveLength(1)
  expect(steps.map(({ words }) => words)).not.toContain('of the second')
})

test('what is typed in a dialog stays when another window ticks', async ({ page, house }) => {
  await goTo(page, 'Projects')
  await page.locator('.met').first().getByRole('button', { name: 'Roll out…' }).click()
  const list = page.getByRole('dialog', { name: 'What rolls in?' })
  await list
    .getByRole('listitem')
    .first()
    .getByRole('button', { name: /^Roll in/ })
    .click()
  const form = page.getByRole('dialog', { name: /^Roll in/ })
  const goal = form.getByLabel('Uses wanted')
  await goal.fill('37')
  const { items } = (await (await page.request.get(`${house.url}/api/today`)).json()) as { items: { id: string }[] }
  const data = { changeId: 'elsewhere-1', itemId: items[0]?.id, day: '2026-11-24', worn: true, despite: true }
  expect((await page.request.post(`${house.url}/api/wear`, { data })).ok()).toBe(true)
  await expect(page.getByRole('navigation', { name: 'Places' }).first()).toContainText('1 item worn')
  await expect(goal).toHaveValue('37')
})

test('two that say different items are made one by saying which word holds', async ({ page, house }) => {
  await page.goto(`${house.url}/collection`)
  const before = (await listed(page, house)).length
  await page.getByRole('button', { name: 'Choose several' }).click()
  await page.locator('tbody tr.row').nth(4).click()
  await page.locator('tbody tr.row').nth(1).click()
  await page.getByRole('button', { name: 'Merge' }).click()
  const dialog = page.getByRole('dialog', { name: 'Merge' })
  await dialog
    .getByRole('button', { name: /uses\)$/ })
    .first()
    .click()
  await expect(dialog.getByText(/^They differ in: price/)).toBeVisible()
  const done = dialog.getByRole('button', { name: 'Merge' })
  await expect(done).toBeDisabled()
  for (const question of await dialog.getByRole('group').all()) await question.getByRole('button').last().click()
  await done.click()
  await expect(dialog).toHaveCount(0)
  await expect(page.getByText(`${before - 1} items`).first()).toBeVisible()
})

test.describe('with nothing yet', () => {
  test.use({ filled: false })

  test('an import that was undone lies there again as it was mended, and the same sheet can be chosen again', async ({
    page,
    house,
  }) => {
    await page.goto(`${house.url}/collection/import`)
    const sheet = {
      name: 'mine.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('Maker,Name,Category,Opened\nOndrake,Weir,blush,31.02.2024\n'),
    }
    await page.setInputFiles('input[type=file]', sheet)
    const problems = page.getByRole('region', { name: 'Before you save' })
    await problems.getByRole('button', { name: /^row 2, Opened/ }).click()
    await problems.getByRole('textbox').first().fill('28.02.2024')
    await page.keyboard.press('Enter')
    await expect(problems.getByRole('button', { name: /31\.02\.2024/ })).toHaveCount(0)
    await page
      .getByRole('button', { name: 'Save one item' })
      .or(page.getByRole('button', { name: /^Save 1 item/ }))
      .click()
    await expect(page.getByText(/item is saved/)).toBeVisible()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByText(/item is saved/)).toHaveCount(0)
    await expect(page.getByRole('button', { name: /^Save/ })).toBeVisible()
    await expect(problems.getByRole('button', { name: /31\.02\.2024/ })).toHaveCount(0)
    await page.setInputFiles('input[type=file]', sheet)
    await expect(problems.getByRole('button', { name: /31\.02\.2024/ })).toHaveCount(1)
  })
})
