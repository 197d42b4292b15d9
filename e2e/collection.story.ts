import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import writeXlsxFile from 'write-excel-file/node'
import { expect, fillDay, goTo, test } from './support/house'

test.describe('with an empty collection', () => {
  test.use({ filled: false })
  test('a workbook whose tabs are categories: one tab left out, history apart from stock', async ({ page, house }) => {
    const folder = mkdtempSync(join(tmpdir(), 'seligo-workbook-'))
    const file = join(folder, 'stash.xlsx')
    const cell = (value: string) => ({ value })
    const head = ['Brand', 'Product', 'Status', 'Qty'].map(cell)
    writeFileSync(
      file,
      await writeXlsxFile([
        { sheet: 'Bronzers', data: [[cell('My bronzers')], head, ['Pellwick', 'Ember', 'in use', '1'].map(cell)] },
        {
          sheet: 'Lip Gloss',
          data: [
            head,
            ['Ondrake', 'Quay', 'finished 3/2026', '1'].map(cell),
            ['Ondrake', 'Kelp', 'in use', '3'].map(cell),
          ],
        },
        { sheet: 'Wish list', data: [head, ['Pellwick', 'Not mine yet', '', ''].map(cell)] },
      ]).toBuffer(),
    )
    await page.goto(`${house.url}/collection/import`)
    await page.setInputFiles('input[type=file]', file)
    await expect(page.getByRole('heading', { name: '4 rows, 4 columns' })).toBeVisible()
    await page
      .getByRole('group', { name: 'Tabs to read' })
      .getByRole('button', { name: /^Wish list/ })
      .click()
    await expect(page.getByRole('heading', { name: '3 rows, 4 columns' })).toBeVisible()
    await expect(page.getByRole('region', { name: 'Before you save' })).toContainText('Finished items (1)')
    await page.getByRole('button', { name: 'Save 3 items', exact: true }).click()
    await expect(page.getByText('3 items are saved and 2 backups.')).toBeVisible()
    await goTo(page, 'Collection')
    // One finished is history; one in use has two backups beside it.
    await expect(
      page
        .getByRole('region', { name: 'Items', exact: true })
        .getByRole('status')
        .filter({ hasText: '4 items, 2 of them backups' }),
    ).toBeVisible()
    rmSync(folder, { recursive: true, force: true })
  })

  test('cells pasted without headers are understood', async ({ page, house }) => {
    await page.goto(`${house.url}/collection/import`)
    await page.getByText('Or paste cells copied from a spreadsheet').click()
    await page
      .getByLabel('Cells')
      .fill(
        'Pellwick\tEmber\tbronzer\t9.5 g\nOndrake\tQuay\tlip gloss\t5 ml\nPellwick\tHalo\thighlighter\t6 g\nPellwick\tSloe\tlipstick\t3 g',
      )
    await page.getByRole('button', { name: 'Read what is pasted' }).click()
    await expect(page.getByRole('button', { name: 'Save 4 items', exact: true })).toBeVisible()
    await expect(page.getByRole('region', { name: 'Rows', exact: true })).toContainText('Halo')
  })
})

test('several are chosen and changed at once; the history goes back to before that', async ({ page }) => {
  await goTo(page, 'Collection')
  await page.getByRole('button', { name: /^highlighter/ }).click()
  await page.getByRole('button', { name: 'Choose several' }).click()
  for (let n = 0; n < 3; n += 1) await page.locator('tr.row:not(.chosen) button.name').first().click()
  const bar = page.locator('form.bar')
  await expect(bar).toContainText('3 chosen')
  await bar.locator('.v-select').first().click()
  await page.getByRole('option', { name: 'type', exact: true }).click()
  await bar.getByRole('combobox', { name: 'to', exact: true }).fill('blush')
  await page.getByRole('option', { name: 'blush', exact: true }).click()
  await bar.getByRole('button', { name: 'Set for 3', exact: true }).click()
  await expect(page.getByText('Changed 3 items').first()).toBeVisible()
  await goTo(page, 'Settings')
  await page.getByRole('link', { name: 'All of the history' }).click()
  await page.getByRole('button', { name: 'Back to before: Changed 3 items' }).click()
  const asked = page.getByRole('dialog', { name: 'Go back to here' })
  await expect(asked).toContainText('That one change is undone')
  await asked.getByRole('button', { name: 'Restore' }).click()
  await expect(page.locator('li.undone').filter({ hasText: 'Changed 3 items' })).toBeVisible()
})

test('opening dates nobody wrote down are asked one by one', async ({ page }) => {
  await goTo(page, 'Collection')
  await page.getByRole('link', { name: /^When opened\?/ }).click()
  const card = page.locator('section.card')
  const first = (await card.getByRole('heading').textContent()) ?? ''
  await fillDay(page, 'When it was', '2026-02-14')
  await card.getByRole('button', { name: 'Before the move' }).click()
  await expect(card.getByRole('heading')).not.toHaveText(first)
  await card.getByLabel('Or as you remember it').fill('soonish')
  await card.getByRole('button', { name: 'Save' }).click()
  await expect(card).toContainText('We can’t read that date.')
  await expect(card.getByLabel('Or as you remember it')).toHaveValue('soonish')
})
