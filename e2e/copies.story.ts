import { truncateSync } from 'node:fs'
import { join } from 'node:path'
import { button } from './support/buttons'
import { expect, goTo, test, tile } from './support/house'
import { findings } from './support/sight'

test('the day is put back to its copy, and back again to how it was', async ({ page, house }) => {
  await page.goto(`${house.url}/settings/safety-copies`)
  // The day's copy is made a few seconds after the start.
  await expect(async () => {
    await page.reload()
    await expect(page.getByText(/^the day’s/)).toBeVisible({ timeout: 1000 })
  }).toPass({ timeout: 30_000 })
  await goTo(page, 'Today')
  await tile(page, 'Petticoat').click()
  await expect(tile(page, 'Petticoat')).toHaveAttribute('aria-pressed', 'true')
  await goTo(page, 'Settings')
  await page.getByRole('link', { name: 'Safety copies', exact: true }).click()
  await button(page, /^Preview the copy of .* the day’s/).click()
  await expect(page.getByRole('row', { name: /^ticks/ })).toContainText(/\d+ ?1$/)
  await button(page, /^Restore the copy of .* the day’s/).click()
  const dialog = page.getByRole('dialog', { name: /^Restore .*\?/ })
  await expect(dialog).toContainText('becomes a copy first')
  expect(await findings(page, { within: '.v-overlay--active' })).toEqual([])
  await dialog.getByRole('button', { name: 'Restore' }).click()
  await expect(page.getByRole('button', { name: 'Back to how it was before' })).toBeVisible()
  await goTo(page, 'Today')
  await expect(tile(page, 'Petticoat')).toHaveAttribute('aria-pressed', 'false')
  await goTo(page, 'Settings')
  await page.getByRole('link', { name: 'Safety copies', exact: true }).click()
  await button(page, /^Restore the copy of .* before a restore$/).click()
  await dialog.getByRole('button', { name: 'Restore' }).click()
  await expect(dialog).toHaveCount(0)
  await goTo(page, 'Today')
  await expect(tile(page, 'Petticoat')).toHaveAttribute('aria-pressed', 'true')
})

test('everything goes out as one file and comes in again; a file that is none is refused', async ({ page, house }) => {
  await page.goto(`${house.url}/settings/safety-copies`)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Make the archive' }).click(),
  ])
  const file = await download.path()
  await goTo(page, 'Today')
  await tile(page, 'Petticoat').click()
  await expect(tile(page, 'Petticoat')).toHaveAttribute('aria-pressed', 'true')
  await page.goto(`${house.url}/settings/safety-copies`)
  const part = page.getByRole('region', { name: 'Archive' })
  const choose = (chosen: { name: string; mimeType: string; buffer: Buffer } | string) =>
    part.locator('input[type="file"]').setInputFiles(chosen)
  await choose({ name: 'letter.zip', mimeType: 'application/zip', buffer: Buffer.from('a letter') })
  await button(page, 'Put letter.zip in place of what is here').click()
  await expect(part.getByText('That’s no archive that Seligo made')).toBeVisible()
  await choose(file)
  await button(page, /^Put .* in place of what is here$/).click()
  await expect(part).toContainText('items from the archive are here now')
  await goTo(page, 'Today')
  await expect(tile(page, 'Petticoat')).toHaveAttribute('aria-pressed', 'false')
})

test('a second folder that isn’t there is said where it was typed', async ({ page, house }) => {
  await page.goto(`${house.url}/settings/safety-copies`)
  await page.getByLabel('Folder, its whole path').fill('/nowhere/at/all')
  await button(page, 'Save').click()
  await expect(page.getByText('there is no such folder')).toBeVisible()
  await expect(page.getByLabel('Folder, its whole path')).toHaveValue('/nowhere/at/all')
})

test('a collection that doesn’t open offers its newest sound copy', async ({ page, house }) => {
  await page.goto(`${house.url}/settings/safety-copies`)
  await expect(async () => {
    await page.reload()
    await expect(page.getByText(/^the day’s/)).toBeVisible({ timeout: 1000 })
  }).toPass({ timeout: 30_000 })
  await page.goto('about:blank')
  await house.stop()
  truncateSync(join(house.folder, 'collection.db'), 50_000)
  await house.restart()
  await page.goto(house.url)
  await expect(page.getByRole('heading', { name: 'Your collection could not be opened' })).toBeVisible()
  expect(await findings(page)).toEqual([])
  await page.getByRole('button', { name: 'Restore this one' }).click()
  await expect(page.locator('button.tile').first()).toBeVisible()
})
