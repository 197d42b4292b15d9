import { FIELDS } from '../test/support/fields'
import { expect, goTo, test, tile } from './support/house'

test.use({ filled: false })

const TWELVE: readonly (readonly [string, string, string])[] = [
  ['Awning', 'sunscreen', 'Complexion'],
  ['Low Tide', 'primer', 'Complexion'],
  ['Fawn', 'foundation', 'Complexion'],
  ['Tin Roof', 'concealer', 'Concealer & powder'],
  ['Oat Dust', 'setting powder', 'Concealer & powder'],
  ['Rust Bloom', 'blush', 'Cheeks'],
  ['Ember', 'bronzer', 'Cheeks'],
  ['Wet Stone', 'highlighter', 'Cheeks'],
  ['Soot', 'eyeliner', 'Eyes'],
  ['Nettle Lash', 'mascara', 'Eyes'],
  ['Marzipan', 'brow pencil', 'Brows'],
  ['Sloe', 'lipstick', 'Lips'],
]

test('a drawer of twelve is laid and five days are tallied', async ({ page, house }) => {
  // Two by hand, for a whole bag in one sitting: type, choose, store, next. The others as the form would send them.
  await page.goto(`${house.url}/collection/add`)
  for (const [name, category] of TWELVE.slice(0, 2)) {
    await page.getByLabel('Name', { exact: true }).fill(name)
    await page.getByRole('combobox', { name: 'Type', exact: true }).fill(category)
    await page.getByRole('option', { name: category, exact: true }).click()
    await page.getByRole('button', { name: 'Save, then another' }).click()
    await expect(page.getByText(`${name} is saved. Next one.`)).toBeVisible()
  }
  for (const [name, category] of TWELVE.slice(2)) {
    const fields = { ...FIELDS, name, shade: '', categoryId: category.replaceAll(' ', '-') }
    const stored = await page.request.post(`${house.url}/api/items`, {
      data: { changeId: `add-${fields.categoryId}`, id: fields.categoryId, fields, reading: null },
    })
    expect(stored.status()).toBe(200)
  }
  await page.goto(`${house.url}/drawer`)
  for (const [name, , zone] of TWELVE) {
    await page.getByRole('button', { name: `Put something in ${zone}` }).click()
    await page.getByRole('button', { name: new RegExp(`^Put in .*${name}`) }).click()
    await expect(page.getByRole('region', { name: zone }).getByRole('link', { name })).toBeVisible()
  }

  await goTo(page, 'Today')
  await expect(page.locator('button.tile')).toHaveCount(12)
  const line = page.getByRole('region', { name: 'The day’s look' })

  // Five days back: three things, one of them taken back again.
  for (let n = 0; n < 4; n += 1) await page.getByRole('button', { name: 'The day before', exact: true }).click()
  for (const name of ['Fawn', 'Rust Bloom', 'Sloe']) await tile(page, name).click()
  await expect(line).toContainText('On that day: 3')
  await line.getByRole('button', { name: /^Undo: .*Sloe.* worn/ }).click()
  await expect(line).toContainText('On that day: 2')
  await expect(tile(page, 'Sloe')).toHaveAttribute('aria-pressed', 'false')

  // The next day: no makeup, said once.
  await page.getByRole('button', { name: 'The day after', exact: true }).click()
  await line.getByRole('button', { name: 'No makeup', exact: true }).click()
  await expect(line).toContainText('No makeup')

  // The day after: the same as last.
  await page.getByRole('button', { name: 'The day after', exact: true }).click()
  await expect(line).toContainText('nothing ticked')
  await line.getByRole('button', { name: /^Same as/ }).click()
  await expect(line).toContainText('On that day: 2')

  // Yesterday another, today all of the lips and eyes.
  await page.getByRole('button', { name: 'The day after', exact: true }).click()
  await tile(page, 'Tin Roof').click()
  await expect(line).toContainText('On that day: 1')
  await page.getByRole('button', { name: 'Back to today' }).click()
  await expect(page.getByRole('button', { name: 'The day after', exact: true })).toBeDisabled()
  for (const name of ['Soot', 'Nettle Lash', 'Sloe']) await tile(page, name).click()
  await expect(line).toContainText('On today: 3')
  await tile(page, 'Soot').click()
  await expect(line).toContainText('On today: 2')

  await expect(line).not.toContainText('saving')
  await house.restart()
  await page.reload()
  await expect(line).toContainText('On today: 2')
  await expect(tile(page, 'Sloe')).toHaveAttribute('aria-pressed', 'true')
})

test('days that nobody wrote down are asked about in one line', async ({ page, house }) => {
  const post = (path: string, data: object) => page.request.post(`${house.url}/api${path}`, { data })
  const fields = { ...FIELDS, name: 'Fawn', shade: '', categoryId: 'lipstick' }
  await post('/items', { changeId: 'add', id: 'fawn', fields, reading: null })
  for (const day of ['10-20', '10-21', '10-23', '10-25', '11-16', '11-18', '11-23'])
    await post('/wear', { changeId: `w-${day}`, itemId: 'fawn', day: `2026-${day}`, worn: true, partIds: [] })
  await page.reload()
  const line = page.getByRole('region', { name: 'Missing days' })
  await expect(line).toContainText('from 26 Oct to 15 Nov: no makeup, or not written down?')
  await line.getByRole('button', { name: 'Not written down' }).click()
  await expect(line).toHaveCount(0)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(line).toBeVisible()
})
