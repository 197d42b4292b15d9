import { fileURLToPath } from 'node:url'
import { expect, goTo, test } from './support/house'

const SHEET = fileURLToPath(new URL('../test/reference/messy-us.csv', import.meta.url))

test.use({ filled: false })

test('a real sheet: looked at before it is saved, saved at once, undone at once', async ({ page }) => {
  await expect(page.getByRole('heading', { name: 'Nothing is in the collection yet' })).toBeVisible()
  await page.getByRole('link', { name: 'Import a sheet you keep' }).click()
  await page.setInputFiles('input[type=file]', SHEET)
  await expect(page.getByRole('heading', { name: '150 rows, 11 columns' })).toBeVisible()
  const problems = page.getByRole('region', { name: 'Before you save' })
  await expect(problems).toContainText('Sizes that aren’t above zero (2)')
  // As her spreadsheet numbers it: the headers are row 1, a blank row counts.
  await expect(problems).toContainText('row 29, Opened: 31.02.2024')
  await expect(page.getByRole('region', { name: 'Rows', exact: true })).toContainText('6.01 g')

  // Mended where it is told: typed again, read again, and the list is one shorter.
  const impossible = problems.locator('details').filter({ hasText: 'Days that no calendar has' })
  await expect(impossible.locator('summary')).toContainText('(2)')
  await impossible.getByRole('button', { name: 'row 29, Opened: 31.02.2024' }).click()
  await problems.getByRole('textbox', { name: 'Opened of Zephyrine Barley fragrance' }).fill('2/28/2024')
  await page.keyboard.press('Enter')
  await expect(impossible.locator('summary')).toContainText('(1)')

  // One kind, set for all of its rows at once.
  const kinds = page.getByRole('region', { name: 'Types' })
  const primers = kinds.locator('.kind').filter({ hasText: 'Primer' })
  const pump = page.getByRole('option', { name: 'pump', exact: true })
  // A menu that is still opening may take no click: as a person would, it is clicked again.
  await expect(async () => {
    if (!(await pump.isVisible())) await primers.locator('.v-select').last().click()
    await pump.click()
    await expect(primers).toContainText('pump', { timeout: 3000 })
  }).toPass()

  await page.getByRole('button', { name: 'Save 150 items', exact: true }).click()
  await expect(page.getByText('150 items are saved and 26 backups.')).toBeVisible()
  await goTo(page, 'Collection')
  await expect(
    page.getByRole('region', { name: 'Items', exact: true }).getByRole('status').filter({ hasText: '176 items' }),
  ).toBeVisible()
  await page.getByRole('button', { name: /^primer/ }).click()
  await expect(
    page.getByRole('region', { name: 'Items', exact: true }).getByRole('status').filter({ hasText: '14 primers' }),
  ).toBeVisible()

  await page.getByRole('button', { name: /^everything/ }).click()
  // What was kept as words is found again.
  await page.getByRole('button', { name: 'kept as words' }).click()
  await expect(page.getByText('Røyk bronzer').first()).toBeVisible()

  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('heading', { name: 'Nothing here yet' })).toBeVisible()
})

test('a picture that calls itself a sheet is refused with words', async ({ page }) => {
  await page.goto(`${new URL(page.url()).origin}/collection/import`)
  await page.setInputFiles('input[type=file]', {
    name: 'my-stash.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('89504e470d0a1a0a0000', 'hex'),
  })
  await expect(page.locator('.trouble')).toContainText('my-stash.csv looks like a picture')
  await expect(page.getByRole('button', { name: /^Save/ })).toHaveCount(0)
})
