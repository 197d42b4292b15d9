import type { Locator, Page } from '@playwright/test'
import { expect, fillDay, pathOf, test, tile } from './support/house'
import { findings } from './support/sight'

/** A dialog that can hold typed work: where it opens, by which button, and something to type in it. */
interface Typed {
  readonly of: RegExp
  readonly at: string
  readonly open: (page: Page) => Promise<Locator>
  readonly type: (dialog: Locator) => Promise<void>
}

/** Stands for the page of a thing, whose address is not known beforehand. */
const ITEM = '/items/…'
const button = (name: string | RegExp) => async (page: Page) => {
  const opener = page.getByRole('button', { name, exact: typeof name === 'string' }).first()
  await opener.click()
  return opener
}
/** What an act of the eight holds. */
const held = (act: string, name: string) => async (page: Page) => {
  const opener = await button(act)(page)
  await page.getByRole('list', { name: act }).getByRole('listitem').filter({ hasText: name }).click()
  return opener
}
/** Something in what is folded on the page of an item. */
const folded = (heading: RegExp, name: string | RegExp) => async (page: Page) => {
  await page.getByRole('button', { name: heading }).click()
  return button(name)(page)
}
/** An act of a project's row, once the row is opened. */
const opened = (row: RegExp, name: RegExp) => async (page: Page) => {
  await page
    .locator('.row')
    .filter({ hasText: row })
    .getByRole('button', { name: /^Details of/ })
    .click()
  return button(name)(page)
}
const fill = (label: string | RegExp, text: string) => (dialog: Locator) => dialog.getByLabel(label).first().fill(text)
const choose = (name: string) => (dialog: Locator) => dialog.getByRole('button', { name, exact: true }).click()

const DIALOGS: readonly (readonly [string, readonly Typed[]])[] = [
  [
    'on Today',
    [
      { of: /How the day is/, at: '/', open: said, type: fill('A note on the day', 'rain') },
      {
        of: /^Shades of/,
        at: '/',
        open: palette,
        type: (dialog) => dialog.getByRole('button', { name: /^Moss/ }).click(),
      },
    ],
  ],
  [
    'on the page of an item',
    [
      { of: /^How much is left of/, at: ITEM, open: button('Measure'), type: choose('dip') },
      {
        of: /^A sign on/,
        at: ITEM,
        open: held('Something happened…', 'It has gone off…'),
        type: fill('In your words', 'smells of crayon'),
      },
      {
        of: /^What happened to/,
        at: ITEM,
        open: held('Something happened…', 'Broke, decanted, repressed…'),
        type: fill('A note (optional)', 'fell off the sink'),
      },
      {
        of: /^Blend /,
        at: ITEM,
        open: held('Something happened…', 'Blended with others…'),
        type: fill('Name of the blend', 'Harbour Light'),
      },
      {
        of: /^Correct the reading/,
        at: ITEM,
        open: folded(/^Readings/, /^Correct the reading/),
        type: fill('A note (optional)', 'poor light'),
      },
      {
        of: /^What its packaging weighs/,
        at: ITEM,
        open: folded(/^Readings/, 'Weigh one full or empty'),
        type: fill('Weight with its package', '12.4'),
      },
      {
        of: /^When .* was opened/,
        at: ITEM,
        open: button('Opened…'),
        type: fill('As you remember it', 'spring 2024'),
      },
      { of: /^Where/, at: ITEM, open: held('Move…', 'Store away or travel…'), type: choose('in the handbag') },
      { of: /^Roll in/, at: ITEM, open: button('Add to project'), type: fill('Uses wanted', '12') },
      {
        of: /^Trial of/,
        at: ITEM,
        open: held('Keep or let go…', 'Put on trial…'),
        type: fill(/What do you want to know/, 'does it last'),
      },
      { of: /^Decide on/, at: ITEM, open: held('Keep or let go…', 'Give a verdict…'), type: fill(/^Why/, 'because') },
      {
        of: /^Finish/,
        at: ITEM,
        open: button('Finished'),
        type: fill('A few words on what you think of it', 'good'),
      },
    ],
  ],
  [
    'of check-in and containers',
    [
      {
        of: /^Begin a check-in/,
        at: '/projects/check-in',
        open: button('Begin another'),
        type: fill('Name of the update', 'By tram'),
      },
      {
        of: /^Add a container/,
        at: '/look-back/empties/containers',
        open: button('Add a container'),
        type: fill('What it is', 'a tin'),
      },
    ],
  ],
  [
    'of projects',
    [
      { of: /^Project$/, at: '/projects', open: button('Start a project'), type: fill('Name', 'Six by spring') },
      {
        of: /^Goal of/,
        at: '/projects',
        open: opened(/Late Sun/, /^Change the goal of .*Late Sun/),
        type: fill('Uses wanted', '31'),
      },
      {
        of: /^Drop/,
        at: '/projects',
        open: opened(/Late Sun/, /^Drop .* from the project/),
        type: fill(/^Why/, 'tired of it'),
      },
      { of: /^Wrap-up of/, at: '/projects', open: button('Wrap up'), type: fill(/^What I learned/, 'fewer') },
      {
        of: /^The set of/,
        at: '/projects',
        open: button('Choose a set'),
        type: (dialog) => dialog.locator('button.one').first().click(),
      },
    ],
  ],
  [
    'of settings, drawer and lines',
    [
      { of: /^Type$/, at: '/settings', open: button('Add one of your own'), type: fill('Name', 'glitter') },
      {
        of: /^Days away$/,
        at: '/settings',
        open: button('Add days away'),
        type: (dialog) => fillDay(dialog, 'Away from', '2026-12-01'),
      },
      {
        of: /^A low season/,
        at: '/settings',
        open: button('Add a low season'),
        type: (dialog) => fillDay(dialog, 'Low from', '2026-07-01'),
      },
      {
        of: /^I wear less/,
        at: '/settings',
        open: button('I wear less from a day on'),
        type: (dialog) => fillDay(dialog, 'Less from', '2026-12-01'),
      },
      { of: /^The zone/, at: '/drawer', open: button('Change Cheeks'), type: fill('Name', 'Cheek bones') },
    ],
  ],
]

async function said(page: Page): Promise<Locator> {
  await page.locator('button.said').click()
  return page.locator('button.said')
}

async function palette(page: Page): Promise<Locator> {
  await tile(page, 'Timetable').click()
  return tile(page, 'Timetable')
}

for (const [where, dialogs] of DIALOGS)
  test(`what is typed in a dialog is kept, the focus comes back, axe has nothing to say: ${where}`, async ({
    page,
    house,
  }) => {
    for (const { of, at, open, type } of dialogs) {
      await page.goto(house.url + (at === ITEM ? await pathOf(page, house, 'Wet Sand') : at))
      const opener = await open(page)
      const dialog = page.getByRole('dialog', { name: of })
      await expect(dialog.getByRole('heading').first()).toBeVisible()
      // The focus went in.
      await expect.poll(() => dialog.evaluate((element) => element.contains(document.activeElement))).toBe(true)
      expect(await findings(page, { within: '.v-overlay--active' }), String(of)).toEqual([])
      await type(dialog)
      const asked = page.getByRole('dialog', { name: 'Discard what you typed?' })
      await page.mouse.click(4, 4)
      await asked.getByRole('button', { name: 'Continue' }).click()
      await expect(asked).toHaveCount(0)
      await expect(dialog).toBeVisible()
      // Which overlay Escape belongs to is settled by a timer, and the clock of a story may tick late.
      await expect(async () => {
        await page.keyboard.press('Escape')
        await expect(asked).toBeVisible({ timeout: 1000 })
      }).toPass()
      await asked.getByRole('button', { name: 'Discard' }).click()
      await expect(dialog).toHaveCount(0)
      // And came back.
      await expect(opener).toBeFocused()
    }
  })
