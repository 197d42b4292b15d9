import type { Page } from '@playwright/test'
import { checkInPath, expect, goTo, pathOf, test, tile, type RunningHouse } from './support/house'
import { findings, laidOut } from './support/sight'

test('by keyboard alone: tally three, take one back, find an item', async ({ page }) => {
  const line = page.getByRole('region', { name: 'The day’s look' })
  await page.locator('button.tile').first().focus()
  await page.keyboard.press('Space')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Space')
  // One Tab stop per zone.
  await page.keyboard.press('Tab')
  await expect(
    page
      .getByRole('group', { name: /^Concealer & powder/ })
      .locator('button.tile')
      .first(),
  ).toBeFocused()
  await page.keyboard.press('Space')
  await expect(line).toContainText('On today: 3')
  await page.keyboard.press('u')
  await expect(line).toContainText('On today: 2')
  await page.keyboard.press('/')
  await expect(page.getByRole('combobox', { name: 'Find an item', exact: true })).toBeFocused()
  await page.keyboard.type('pettic')
  await expect(page.getByRole('row', { name: /Petticoat/ }).first()).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Petticoat blush' })).toBeVisible()
  // From outside the drawer, ticked from wherever she is.
  await page.keyboard.press('/')
  await page.keyboard.type('washboard')
  await expect(page.getByRole('row', { name: /Washboard/ }).first()).toBeVisible()
  await page.keyboard.press('Shift+Enter')
  await expect(page.getByText(/Washboard.* worn/).first()).toBeVisible()
  await page.keyboard.press('t')
  await expect(line).toContainText('Washboard')
})

test('by keyboard alone: an item is added and saved, and one is moved to another zone', async ({ page }) => {
  await expect(page.locator('button.tile').first()).toBeVisible()
  await page.keyboard.press('n')
  await expect(page.getByLabel('Brand')).toBeFocused()
  for (const words of ['Pellwick', 'Night Bus lipstick', 'Night Bus']) {
    await page.keyboard.type(words)
    await page.keyboard.press('Tab')
  }
  await page.keyboard.type('lipstick')
  await expect(page.getByRole('option', { name: 'lipstick', exact: true })).toBeVisible()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Escape')
  await page.getByLabel('Size on the label').focus()
  await page.keyboard.type('3.5 g')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Night Bus lipstick' })).toBeVisible()

  await page.locator('body').press('d')
  const brows = page.getByRole('region', { name: 'Brows' })
  await brows
    .getByRole('button', { name: /^Move .*Tobacco.* elsewhere/ })
    .first()
    .focus()
  await page.keyboard.press('Enter')
  const menu = page.locator('.v-overlay--active .v-list')
  await expect(menu).toBeVisible()
  await menu.locator('.v-list-item').filter({ hasText: 'Extras' }).focus()
  await page.keyboard.press('Enter')
  await expect(
    page.getByRole('region', { name: 'Extras' }).getByRole('link', { name: 'Tobacco', exact: true }),
  ).toBeVisible()
  await page.keyboard.press('Escape')
  await page.locator('body').press('u')
  await expect(brows.getByRole('link', { name: 'Tobacco', exact: true })).toHaveCount(2)
})

test('a tick survives a gap in the connection', async ({ page, house }) => {
  let gaps = 2
  await page.route('**/api/wear', (route) => (gaps-- > 0 ? route.abort() : route.continue()))
  await tile(page, 'Petticoat').click()
  await expect(page.getByRole('region', { name: 'The day’s look' })).toContainText('On today: 1')
  await expect
    .poll(
      async () =>
        ((await (await page.request.get(`${house.url}/api/today`)).json()) as { worn: unknown[] }).worn.length,
      {
        timeout: 15_000,
      },
    )
    .toBe(1)
})

/** What can be tapped and is smaller than a finger; within a sentence a way is as high as its words (WCAG 2.5.8). */
function smallTargets(page: Page): Promise<string[]> {
  return page.evaluate(() =>
    [...document.querySelectorAll('a, button, [role="button"], summary, input[type="checkbox"]')]
      .filter((element) => {
        // A box within its label is as large as the label.
        const { width, height } = element.getBoundingClientRect()
        const inSentence = element.tagName === 'A' && getComputedStyle(element).display === 'inline'
        const hidden = width === 0 || height === 0 || element.closest('.visually-hidden') !== null
        const labelled =
          element.tagName === 'INPUT' && (element.closest('label')?.getBoundingClientRect().height ?? 0) >= 44
        return !hidden && !inSentence && !labelled && !element.closest('.v-input') && (width < 44 || height < 44)
      })
      .map((element) => `${element.tagName} ${element.textContent.trim().slice(0, 30)}`),
  )
}

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  test('a look is ticked with the thumb, nothing runs over the edge', async ({ page, house }) => {
    // Every page there is, one after the other.
    test.slow()
    for (const name of ['Petticoat', 'Sloe']) await tile(page, name).tap()
    await expect(page.getByRole('region', { name: 'The day’s look' })).toContainText('On today: 2')
    const small = await page
      .locator('button.tile')
      .evaluateAll((tiles) => tiles.filter((each) => each.getBoundingClientRect().height < 44).length)
    expect(small).toBe(0)
    // A whole day with one thumb: how it is, one thing sent away, the same as last on top, a note on how it was worn.
    await page.locator('button.said').tap()
    const sheet = page.getByRole('dialog', { name: 'How the day is' })
    await sheet.getByRole('button', { name: 'oily', exact: true }).tap()
    await sheet.getByRole('button', { name: 'Save', exact: true }).tap()
    await expect(page.locator('button.said')).toContainText('skin oily')
    await page
      .getByRole('button', { name: /^Same as/ })
      .first()
      .tap()
    await expect(page.getByRole('region', { name: 'The day’s look' })).not.toContainText('On today: 2')
    await page.getByRole('button', { name: 'More', exact: true }).first().tap()
    const more = page.locator('.v-list-item').filter({ hasText: 'Saved looks' })
    await expect(more).toBeVisible()
    const { y = 0 } = (await more.boundingBox()) ?? {}
    expect(y, 'in the drawer of the thumb').toBeGreaterThan(844 / 3)
    await page.keyboard.press('Escape')
    for (const path of [
      '/',
      '/collection',
      '/collection/openings',
      '/collection/lines',
      '/collection/swatches',
      '/drawer',
      '/drawer/starter',
      '/drawer/season',
      '/projects',
      '/projects/plan',
      '/projects/plan/month',
      '/collection/use-first',
      '/collection/how-much',
      '/look-back',
      ...LOOKING,
      '/keep',
      ...DECIDING,
      '/look-back/empties',
      '/look-back/empties/containers',
      '/projects/check-in',
      await checkInPath(page, house, 'under way'),
      await checkInPath(page, house, 'sheet'),
      '/settings',
      '/settings/phones',
      '/settings/safety-copies',
      '/settings/history',
      '/paper',
      await pathOf(page, house, 'Petticoat'),
    ]) {
      await page.goto(house.url + path)
      await laidOut(page)
      const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
      expect(over, path).toBeLessThanOrEqual(0)
      expect(await smallTargets(page), path).toEqual([])
    }
  })
})

/** The rooms of Decide and of Before buying. */
const DECIDING = [
  '/keep/compare',
  '/stash',
  '/keep/special',
  '/keep/how-many',
  '/keep/let-go',
  '/look-back/lessons',
  '/buying',
  '/buying/wish-list',
  '/buying/no-buys',
  '/keep/trials',
]

/** The other rooms of Look back. */
const LOOKING = ['/look-back/year', '/look-back/span', '/look-back/looks', '/look-back/guesses', '/look-back/asks']

/** Stands for the page of a thing, whose address is not known beforehand. */
const ITEM = '/items/…'
const CHECK_IN = '/projects/check-in/…'
const SHEET = '/projects/check-in/…/update'
async function addressOf(page: Page, house: RunningHouse, path: string): Promise<string> {
  if (path === ITEM) return pathOf(page, house, 'Petticoat')
  if (path === CHECK_IN) return checkInPath(page, house, 'under way')
  return path === SHEET ? checkInPath(page, house, 'sheet') : path
}
/** Every place, in groups that take about the same time. */
const SIGHTS: readonly (readonly string[])[] = [
  ['/', '/drawer', '/collection', '/collection/add'],
  ['/collection/import', ITEM, '/projects', '/settings'],
  ['/collection/use-first', '/keep', '/look-back/empties', '/settings/history'],
  ['/collection/how-much', '/look-back', '/projects/plan', '/projects/plan/month'],
  LOOKING,
  DECIDING,
  ['/drawer/season', '/collection/openings', '/paper', '/look-back/empties/containers'],
  ['/projects/check-in', CHECK_IN, SHEET, '/settings/phones', '/settings/safety-copies'],
]

for (const paths of SIGHTS)
  test(`nothing is found by axe by day and by night: ${paths.join(' ')}`, async ({ page, house }) => {
    // Up to ten pages by day and by night are more than one story's time on a busy machine.
    test.slow()
    const found: string[] = []
    for (const path of paths) {
      await page.emulateMedia({ colorScheme: 'light' })
      await page.goto(house.url + (await addressOf(page, house, path)))
      await laidOut(page)
      found.push(...(await findings(page)).map((words) => `${path} by day: ${words}`))
      await page.emulateMedia({ colorScheme: 'dark' })
      await expect(page.locator('.v-theme--night').first()).toBeVisible()
      // By night only the colours differ.
      found.push(...(await findings(page, { rule: 'color-contrast' })).map((words) => `${path} by night: ${words}`))
    }
    expect(found).toEqual([])
  })

test('a dialog by night is as readable as its place', async ({ page, house }) => {
  await page.evaluate(() => localStorage.setItem('seligo-theme', 'night'))
  await page.goto(house.url)
  await tile(page, 'Timetable').click()
  const sheet = page.getByRole('dialog', { name: /^Shades of .*Timetable/ })
  await expect(sheet.getByRole('button', { name: /^Moss/ })).toBeVisible()
  await expect(sheet.getByRole('heading')).toHaveCSS('color', 'rgb(232, 235, 238)')
  expect(await findings(page, { within: '.v-overlay--active', rule: 'color-contrast' })).toEqual([])
})

test('what the jump box finds is told to a screen reader, and axe finds nothing', async ({ page }) => {
  await expect(page.locator('button.tile').first()).toBeVisible()
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: 'Find an item', exact: true }).fill('pettic')
  await expect(page.getByRole('row', { name: /Petticoat/ }).first()).toBeVisible()
  expect(await findings(page, { within: '.v-overlay--active' })).toEqual([])
})

test('two windows edit one item: the second sees both values, nothing is lost', async ({ page, context, house }) => {
  const edit = `${house.url}${await pathOf(page, house, 'Petticoat')}/edit`
  await page.goto(edit)
  const other = await context.newPage()
  await other.goto(edit)
  // Typed before the other stores: what is typed stays, and is not taken for an answer to what came.
  await page.getByLabel('Notes').fill('from this window')
  await other.getByLabel('Notes').fill('from the other window')
  await other.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(other.getByRole('group', { name: 'Is it finished in time' })).toBeVisible()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  const both = page.getByRole('alert')
  await expect(both).toContainText('yours: “from this window”, saved now: “from the other window”')
  await both.getByRole('button', { name: 'Save mine over it' }).click()
  await page.getByRole('button', { name: 'What it is and where it is' }).click()
  await expect(page.getByText('from this window')).toBeVisible()
})

test('what a field can’t read stays typed, with a sentence', async ({ page, house }) => {
  await page.goto(`${house.url}/collection/add`)
  await page.getByLabel('Size on the label').fill('12')
  await page.getByRole('button', { name: 'I know roughly when' }).click()
  await page.getByLabel('Opened', { exact: true }).fill('31.02.2024')
  await page.getByLabel('PAO (months after opening)').fill('0M')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Add the unit: g, ml, oz or fl oz.')).toBeVisible()
  await expect(page.getByText('No calendar has that day. Check day and month.')).toBeVisible()
  await expect(page.getByText('A period after opening is at least 1 month.')).toBeVisible()
  await expect(page.getByText('Give it a name; a word is enough.')).toBeVisible()
  await expect(page.getByLabel('Opened', { exact: true })).toHaveValue('31.02.2024')
  await goTo(page, 'Collection')
})
