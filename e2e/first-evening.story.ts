import type { Page } from '@playwright/test'
import { expect, test, tile } from './support/house'

test.use({ filled: false })

const LINES = [
  'pellwick rust bloom blush 5g opened march 26 24M €18',
  'quillfern low tide primer opened june 2026',
  'tallowmere tin roof concealer unopened',
  'LIPSTICKS',
  'ondrake brake light 3.5 g gift',
  'ondrake sloe opened spring 2026',
  'zephyrine wonder thing',
]

/** From nothing to a ticked drawer, each step by what the page offers next. */
async function evening(page: Page, go: (name: string | RegExp) => Promise<void>): Promise<void> {
  await go('Type what you own, line by line')
  const lines = page.getByRole('textbox', { name: 'Your items' })
  await expect(lines).toBeFocused()
  await page.keyboard.type(LINES.join('\n'))
  const understood = page.getByRole('region', { name: 'As understood' })
  await expect(understood).toContainText('6 lines, 6 understood')
  await expect(understood.getByRole('listitem').first()).toContainText(
    '5 g · opened Mar 2026 · 24 months after opening',
  )
  // Its kind was taken from the line above; it is none of those: mended in place.
  await go('Fix zephyrine wonder thing')
  const mend = page.getByRole('dialog', { name: 'How is it meant?' })
  await mend.getByRole('combobox', { name: 'Type' }).fill('highlighter')
  await page.keyboard.press('Tab')
  await mend.getByRole('button', { name: 'Save' }).press('Enter')
  await expect(mend).toHaveCount(0)
  await expect(understood.getByRole('listitem').last()).toContainText('highlighter')
  await go('Save 6 items')
  await expect(page.getByRole('region', { name: 'Items', exact: true }).getByRole('status')).toContainText('6 items')
}

test('by keyboard alone: lines, swatches, a proposed drawer, a tick', async ({ page, house }) => {
  const go = async (name: string | RegExp): Promise<void> => {
    const act = page.getByRole('button', { name }).or(page.getByRole('link', { name })).first()
    await act.focus()
    await page.keyboard.press('Enter')
  }
  await evening(page, go)
  await go(/^Swatches \(6\)/)
  await expect(page.getByRole('listitem')).toHaveCount(6)
  await go('These 6 are right')
  await expect(page.getByRole('heading', { name: 'No guesses left' })).toBeVisible()
  await page.goto(house.url)
  await go('See a starter drawer')
  await expect(page.getByRole('button', { name: 'Put 6 items in' })).toBeVisible()
  // One is struck, and is not laid.
  await page.getByRole('button', { name: /Tin Roof/ }).focus()
  await page.keyboard.press('Space')
  await go('Put 5 items in')
  await expect(page.locator('button.tile')).toHaveCount(5)
  await tile(page, 'Sloe').focus()
  await page.keyboard.press('Space')
  await expect(page.getByRole('region', { name: 'The day’s look' })).toContainText('On today: 1')
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  test('lines, a proposed drawer, a tick, with the thumb', async ({ page, house }) => {
    const go = (name: string | RegExp): Promise<void> =>
      page.getByRole('button', { name }).or(page.getByRole('link', { name })).first().tap()
    await evening(page, go)
    await page.goto(house.url)
    await go('See a starter drawer')
    await go('Put 6 items in')
    await expect(page.locator('button.tile')).toHaveCount(6)
    await tile(page, 'Sloe').tap()
    await expect(page.getByRole('region', { name: 'The day’s look' })).toContainText('On today: 1')
    const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
    expect(over).toBeLessThanOrEqual(0)
  })
})
