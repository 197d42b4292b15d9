import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { button } from './support/buttons'
import { expect, goTo, test } from './support/house'

/** A file that the page hands out. */
async function saved(page: Page, name: string): Promise<{ readonly name: string; readonly path: string }> {
  const [download] = await Promise.all([page.waitForEvent('download'), button(page, name).click()])
  // Under its own name: what a browser does with a file follows from its ending.
  const path = test.info().outputPath(download.suggestedFilename())
  await download.saveAs(path)
  return { name: download.suggestedFilename(), path }
}

/** Width and height of a PNG (its IHDR chunk: PNG specification, from memory). */
function sizeOf(path: string): { width: number; height: number } {
  const bytes = readFileSync(path)
  expect(bytes.subarray(1, 4).toString('latin1')).toBe('PNG')
  return { width: bytes.readUInt32BE(16), height: bytes.readUInt32BE(20) }
}

test('the month on one sheet: how it felt is said, and it leaves the house as picture, page and words', async ({
  page,
  context,
  browser,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await goTo(page, 'Look back')
  const sheet = page.getByRole('article', { name: 'October 2026' })
  await expect(sheet.getByRole('heading', { name: 'Reached for' })).toBeVisible()
  await expect(sheet).toContainText(/Makeup on \d+ of 31 days/)
  await expect(sheet).toContainText(/Half of \d+ uses went to \d+ of/)
  await button(page, 'Back to September 2026').click()
  const september = page.getByRole('article', { name: 'September 2026' })
  await expect(september).toBeVisible()

  await button(page, 'Change how it felt').click()
  const dialog = page.getByRole('dialog', { name: /^How it felt/ })
  await dialog.getByLabel('In your words').fill('A quiet month.\nThe powder won.')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(september.getByText('The powder won.')).toBeVisible()

  await button(page, 'Share or print').click()
  const small = await saved(page, 'Picture for a message')
  expect(small.name).toBe('September-2026.png')
  const size = sizeOf(small.path)
  expect(size.width).toBe(1080)
  expect(sizeOf((await saved(page, 'Large picture')).path)).toEqual({ width: 2160, height: size.height * 2 })

  await button(page, 'Copy as Markdown').click()
  const markdown = await page.evaluate(() => navigator.clipboard.readText())
  expect(markdown).toMatch(/^# September 2026\n/)
  expect(markdown).toContain('## Reached for')
  expect(markdown).toContain('The powder won.')
  expect(markdown).toContain('€')
  // Without prices nothing of money is left, in the words and on the page.
  await page.getByLabel('With prices').uncheck()
  await button(page, 'Copy as Markdown').click()
  expect(await page.evaluate(() => navigator.clipboard.readText())).not.toContain('€')

  const file = await saved(page, 'One page, a file')
  const away = await browser.newContext({ offline: true })
  const alone = await away.newPage()
  const asked: string[] = []
  alone.on('request', (request) => asked.push(request.url()))
  await alone.goto(`file://${file.path}`)
  await expect(alone.getByText('September 2026', { exact: true }).first()).toBeVisible()
  await expect(alone.locator('svg').first()).toBeVisible()
  expect(await alone.locator('body').innerText()).not.toContain('€')
  expect(asked.filter((url) => !url.startsWith('file:') && !url.startsWith('data:'))).toEqual([])
  expect(await alone.locator('a, script, link, button').count()).toBe(0)
  await away.close()
})

test('the year: a lesson is kept, a rule taken, and the lesson comes up when the next project is set up', async ({
  page,
}) => {
  await goTo(page, 'Look back')
  await page.getByRole('link', { name: 'Year', exact: true }).click()
  const sheet = page.getByRole('article', { name: '2026' })
  await expect(sheet.getByRole('heading', { name: 'Uses and wear days by month' })).toBeVisible()
  // The table behind a chart says what the chart shows.
  await sheet.getByText('As a table').first().click()
  await expect(sheet.getByRole('row', { name: /^Jan/ }).first()).toBeVisible()
  const next = page.getByRole('region', { name: 'What comes next' })
  const rule = next.getByRole('button', { name: /^Set: No .* in 2027/ }).first()
  const taken = (await rule.getAttribute('aria-label')) ?? ''
  await rule.click()
  await expect(next.getByRole('button', { name: taken, exact: true })).toHaveCount(0)

  await button(page, /how it felt$/).click()
  const dialog = page.getByRole('dialog', { name: /^How it felt/ })
  await dialog.getByLabel('A lesson (optional)').fill('Ten is too many for a season.')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(sheet.getByText('Ten is too many for a season.')).toBeVisible()
  await page.goto(new URL('/projects', page.url()).href)
  await button(page, /^(Start|New|Another) (a )?(new )?project|Start another/)
    .first()
    .click()
  await expect(page.getByRole('dialog', { name: 'Project' })).toContainText(
    'You learned: Ten is too many for a season.',
  )
})

test('any span: one of two days, kept under a name, beside another; a wrap-up; a span that makes no sense', async ({
  page,
}) => {
  await goTo(page, 'Look back')
  await page.getByRole('link', { name: 'Any period', exact: true }).click()
  await button(page, 'Spring six').click()
  await expect(page.getByRole('article', { name: 'Spring six' })).toContainText('left unfinished')
  await button(page, 'Since the move').click()
  await expect(page.getByRole('article', { name: 'Since the move' })).toBeVisible()
  await button(page, /^Beside \d/).click()
  await expect(page.getByRole('region', { name: 'Compare' })).toContainText('Wear days')
  const url = new URL(page.url())
  await page.goto(`${url.origin}/look-back/span?from=2026-11-01&to=2026-10-01`)
  await expect(page.getByRole('alert')).toContainText('Swap the two')
})

test('which next: three on a sheet, friends say, and by keyboard alone', async ({ page }) => {
  await goTo(page, 'Look back')
  await page.goto(new URL('/look-back/asks', page.url()).href)
  const open = page.getByRole('article', { name: 'One of these blushes goes. Which one?' })
  await expect(open.getByText(/uses to its end/).first()).toBeVisible()
  await open.getByRole('button', { name: 'Type in the answer' }).focus()
  await page.keyboard.press('Enter')
  const dialog = page.getByRole('dialog', { name: 'What they said' })
  await dialog.getByLabel('What they said').fill('The middle one.')
  await dialog.getByLabel('What they said').press('Tab')
  await dialog.getByRole('button', { name: 'Save' }).focus()
  await page.keyboard.press('Enter')
  await expect(open.getByText('“The middle one.”')).toBeVisible()
  await page.keyboard.press('u')
  await expect(open.getByText('“The middle one.”')).toHaveCount(0)
})

test.describe('with nothing yet', () => {
  test.use({ filled: false })
  test('every room says what it is for', async ({ page, house }) => {
    for (const path of ['', '/year', '/span', '/looks', '/guesses', '/asks']) {
      await page.goto(`${house.url}/look-back${path}`)
      await expect(page.getByRole('heading', { name: /yet$/ })).toBeVisible()
    }
  })
})

test('a sheet on paper: whole pages, and nothing cut off at their edge', async ({ page, house }) => {
  await page.goto(`${house.url}/look-back`)
  await expect(page.getByRole('heading', { name: 'Reached for' })).toBeVisible()
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1')
  const pages = pdf.match(/\/Type\s*\/Page\b/g)?.length ?? 0
  expect(pages).toBeGreaterThan(0)
  expect(pages).toBeLessThan(6)
  await page.emulateMedia({ media: 'print' })
  // A4 landscape less its margins, in CSS pixels.
  await page.setViewportSize({ width: 1031, height: 700 })
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1031)
})
