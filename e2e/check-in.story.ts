import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import type { Page } from '@playwright/test'
import type { CheckInAnswer } from '#contract/check-in'
import type { ItemAnswer } from '#contract/item'
import { expect, goTo, listed, test } from './support/house'

interface PanCase {
  readonly file: string
  readonly handles: [number, number][]
  readonly powderTaps: [number, number][]
  readonly metalTaps: [number, number][]
  readonly bareFraction: number
}
const PANS = new URL('../test/reference/pan/', import.meta.url)
const panCase = (file: string): PanCase => {
  const all = JSON.parse(readFileSync(new URL('manifest.json', PANS), 'utf8')) as PanCase[]
  const found = all.find((each) => each.file === file)
  if (!found) throw new Error(file)
  return found
}
const photo = (file: string): string => fileURLToPath(new URL(file, PANS))
const said = (page: Page) => page.locator('.said')
const heading = (page: Page) => page.locator('.work h2')
const act = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' }).first()

/** Lays the thing on the simulated scale, lets it stand still, lifts it off; time runs while it does. */
async function weigh(page: Page): Promise<void> {
  await act(page, 'Put it on').click()
  await page.clock.runFor(6000)
  await expect(said(page)).toContainText('Steady')
  await act(page, 'Take it off').click()
  await page.clock.runFor(4000)
  await expect(said(page)).toContainText('Kept')
}

/** Sets the four points on the rim and taps powder and metal, by where they lie in the photo of 1600 by 1200. */
async function mark(page: Page, pan: PanCase): Promise<void> {
  const frame = page.locator('.photo-points svg').first()
  const click = async ([x, y]: [number, number]): Promise<void> => {
    const box = await frame.boundingBox()
    if (!box) throw new Error('no photo')
    await page.mouse.click(box.x + (x / 1600) * box.width, box.y + (y / 1200) * box.height)
  }
  for (const handle of pan.handles) await click(handle)
  await act(page, /2 Tap powder/).click()
  for (const tap of pan.powderTaps) await click(tap)
  await expect(act(page, /3 Tap bare metal/)).toHaveAttribute('aria-pressed', 'true')
  for (const tap of pan.metalTaps) await click(tap)
}

async function keep(page: Page): Promise<void> {
  const before = page.url()
  await page.locator('.bar .keep').click()
  await expect(page).not.toHaveURL(before)
}

test('a month is gone through with scale, eye and camera, left, taken up again, and closed on one printed sheet', async ({
  page,
  house,
}) => {
  test.slow()
  await page.goto(`${house.url}/projects/check-in`)
  await act(page, 'Begin another').click()
  const dialog = page.getByRole('dialog', { name: 'Begin a check-in' })
  await dialog.getByLabel('Name of the update').fill('By tram')
  await dialog.getByRole('button', { name: 'Begin', exact: true }).click()
  const { projects } = (await (await page.request.get(`${house.url}/api/projects`)).json()) as {
    projects: { id: string; stays: { rolledOut: string | null; item: { endedOn: string | null } }[] }[]
  }
  const going = projects
    .find(({ id }) => id === 'centenary')
    ?.stays.filter(({ rolledOut, item }) => rolledOut === null && item.endedOn === null)
  await expect(page.locator('.slip li')).toHaveCount(going?.length ?? 0)
  await act(page, 'Simulated scale').click()

  const forms = new Set<string>()
  let [photos, weighings] = [0, 0]
  for (let step = 0; step < 80; step++) {
    if (/\/update$/.test(page.url())) break
    const measure = await page.locator('.measures [aria-current]').innerText()
    forms.add(await heading(page).innerText())
    if (measure.startsWith('weigh')) {
      weighings += 1
      if (weighings === 2) {
        await act(page, 'Too heavy').click()
        await page.clock.runFor(1000)
        await expect(said(page)).toContainText('Too heavy for this scale')
        await act(page, 'Take it off').click()
        await page.clock.runFor(4000)
      }
      if (weighings === 3) {
        await act(page, 'Pull the cable').click()
        await page.clock.runFor(4000)
        await expect(said(page)).toContainText('has stopped sending')
        await act(page, 'Plug it in').click()
        await page.clock.runFor(1000)
      }
      if (weighings === 4) {
        // Left in the middle, and taken up where it was left; the scale has to be connected again.
        const name = await heading(page).innerText()
        await page.reload()
        await expect(heading(page)).toHaveText(name)
        await act(page, 'Simulated scale').click()
      }
      await weigh(page)
      await keep(page)
    } else if (measure.startsWith('look')) {
      if ((await page.getByRole('slider').count()) > 0) await page.getByRole('slider').first().press('ArrowLeft')
      else await page.getByRole('button', { name: 'first pan' }).first().click()
      await keep(page)
    } else {
      photos += 1
      const [accepted, refused] = [panCase('5.jpg'), panCase('9.jpg')]
      if (photos === 1) {
        await page.locator('input[type=file]').setInputFiles(photo(accepted.file))
        await mark(page, accepted)
        const percent = Math.round(accepted.bareFraction * 100)
        await expect(page.locator('.found .huge')).toHaveText(new RegExp(`^${percent - 1}|^${percent}|^${percent + 1}`))
        // The page answered while the worker measured.
        await keep(page)
      } else if (photos === 2) {
        await page.locator('input[type=file]').setInputFiles(photo(refused.file))
        await mark(page, refused)
        await expect(page.getByRole('alert')).toContainText('brush')
        await act(page, 'Brush by hand').click()
        await act(page, 'Tap at the cross').click()
        await expect(page.locator('.found .huge')).toContainText('%')
        await keep(page)
      } else {
        // Pressed anew meanwhile: written down from here, and looked at by eye.
        if (photos === 3) {
          await act(page, 'Repressed').click()
          const event = page.getByRole('dialog', { name: /^What happened to/ })
          await expect(event).toContainText('Alcohol catches fire')
          await event.getByRole('button', { name: 'Save' }).click()
          await expect(page.getByLabel('The packaging')).toContainText('repressed')
        }
        if ((await page.getByRole('button', { name: 'No pan showing yet' }).count()) > 0)
          await act(page, 'No pan showing yet').click()
        await keep(page)
      }
    }
  }
  expect(forms.size).toBe(going?.length)
  expect(photos).toBeGreaterThanOrEqual(4)

  await expect(page.getByRole('heading', { name: 'By tram' })).toBeVisible()
  await expect(page.locator('.paper')).toContainText(`${going?.length} of ${going?.length} looked at`)
  await act(page, 'Finish the check-in').click()
  await expect(page.locator('.paper')).not.toContainText('not finished yet')
  const pdf = (await page.pdf({ format: 'A4', landscape: true, printBackground: true })).toString('latin1')
  expect((pdf.match(/\/Type\s*\/Page\b/g) ?? []).length).toBeLessThanOrEqual(2)
  await page.goto(`${house.url}/projects/check-in`)
  await expect(page.getByRole('link', { name: 'By tram' })).toBeVisible()
})

test('by keyboard alone: a weight typed and kept, an item skipped, one gone back to', async ({ page, house }) => {
  await page.goto(`${house.url}/projects/check-in`)
  await page.getByRole('link', { name: 'Continue' }).click()
  await expect(heading(page)).toBeVisible()
  const first = await heading(page).innerText()
  await page.keyboard.type('47.3')
  await expect(page.locator('.bar .keep')).toContainText('47.3 g')
  await page.keyboard.press('Enter')
  await expect(page.locator('.measures [aria-current]')).not.toContainText('weigh')
  await page.keyboard.press('s')
  await expect(heading(page)).not.toHaveText(first)
  await page.keyboard.press('b')
  await expect(heading(page)).toHaveText(first)
})

test('what is typed isn’t lost by leaving, ounces are taken for what they are, fluid ounces are refused', async ({
  page,
  house,
}) => {
  await page.goto(`${house.url}/projects/check-in`)
  await page.getByRole('link', { name: 'Continue' }).click()
  const field = page.getByLabel('Weight with its package', { exact: true })
  await field.fill('1.5 fl oz')
  await expect(said(page)).toContainText('a scale weighs')
  // In ounces it is about what it weighed last.
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? ''
  const { steps } = (await (await page.request.get(`${house.url}/api/check-ins/${id}`)).json()) as CheckInAnswer
  const { itemId } = steps.find(({ state, measure }) => state === 'asked' && measure === 'weigh') ?? { itemId: '' }
  const { readings } = (await (await page.request.get(`${house.url}/api/items/${itemId}`)).json()) as ItemAnswer
  const last = readings.findLast(({ kind }) => kind === 'gross')?.value ?? 0
  await field.fill((last / 28.35 - 0.0005).toFixed(3))
  await expect(page.locator('.doubt')).toContainText('looks like ounces')
  await act(page, /^Take it as/).click()
  await expect(page.locator('.doubt')).toHaveCount(0)
  await goTo(page, 'Projects')
  const ask = page.getByRole('dialog')
  await expect(ask).toBeVisible()
  await expect(page).toHaveURL(/check-in/)
})

test('two items are blended from the page of one; the blend tells what it is of', async ({ page, house }) => {
  const items = await listed(page, house)
  const lipstick = items.find((item) => item.category.toLowerCase() === 'lipstick' && item.lifecycle === 'open')
  await page.goto(`${house.url}/items/${lipstick?.id ?? ''}`)
  await act(page, 'Something happened…').click()
  await page.getByText('Blended with others…').click()
  const dialog = page.getByRole('dialog', { name: /^Blend/ })
  await dialog.getByRole('button', { name: 'Add another item' }).click()
  const picker = page.getByRole('dialog', { name: 'Blend with what?' })
  await picker.getByRole('button', { name: /^Add / }).first().click()
  await dialog
    .getByLabel(/^Share of/)
    .first()
    .fill('60')
  await expect(dialog.getByRole('button', { name: 'Blend', exact: true })).toBeDisabled()
  await dialog
    .getByLabel(/^Share of/)
    .last()
    .fill('40')
  await dialog.getByLabel('Name of the blend').fill('Harbour Light')
  await dialog.getByRole('button', { name: 'Blend', exact: true }).click()
  await expect(dialog).toHaveCount(0)
  const found = await listed(page, house)
  await page.goto(`${house.url}/items/${found.find((item) => item.name === 'Harbour Light')?.id ?? ''}`)
  await page.getByRole('button', { name: 'What it is and where it is' }).click()
  await expect(page.getByText(/60 % .*, 40 % /)).toBeVisible()
})
