import { execFileSync, spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Page } from 'playwright-core'
import { drawPans } from '#demo/draw-pans'
import config from '../playwright.config.js'

/** The pictures of docs/screenshots, from the demo collection on a day of its own, so that they can be made again. */
const DAY = '2026-11-25'
const PORT = 4870
const LAPTOP = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }

interface Picture {
  readonly name: string
  readonly path: string
  readonly size?: { width: number; height: number }
  readonly theme?: 'day' | 'night'
  readonly before?: (page: Page) => Promise<void>
  readonly of?: string
}

/** On the simulated scale, standing still. */
const weigh = async (page: Page): Promise<void> => {
  await page.getByRole('link', { name: 'Go on' }).click()
  await page.getByRole('textbox', { name: 'Weight with its package' }).fill('12.0')
  await page.getByRole('heading', { level: 2 }).first().waitFor()
}
/** The pan of the demo, off the last of its drawn photos. */
const photograph = async (page: Page): Promise<void> => {
  await page.getByRole('link', { name: 'Go on' }).click()
  await page.getByRole('button', { name: 'photo', exact: true }).click()
  const [, , , last] = await drawPans(4)
  const at = await page.locator('input[type=file]').first()
  await at.setInputFiles({ name: 'pan.jpg', mimeType: 'image/jpeg', buffer: last?.jpeg ?? Buffer.alloc(0) })
  await page.getByRole('button', { name: /2 Tap powder/ }).click()
  const frame = page.locator('.photo-points svg').first()
  for (const [x, y] of [...(last?.pan.powderTaps ?? []), ...(last?.pan.metalTaps ?? [])]) {
    const box = await frame.boundingBox()
    if (box) await page.mouse.click(box.x + (x / 900) * box.width, box.y + (y / 700) * box.height)
  }
  await page.locator('.found .huge').waitFor()
}
/** What is in doubt, past the trials. */
const doubts = async (page: Page): Promise<void> => {
  await page.getByRole('region', { name: 'In doubt' }).evaluate((element) => element.scrollIntoView())
}
/** A drawn tester, tapped. */
const atTheTill = async (page: Page): Promise<void> => {
  await page.getByRole('combobox', { name: 'What kind' }).fill('blush')
  await page.getByRole('option', { name: 'blush', exact: true }).click()
  await page.getByLabel('Price, EUR').fill('19')
  const [tester] = await drawPans(1)
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'tester.jpg', mimeType: 'image/jpeg', buffer: tester?.jpeg ?? Buffer.alloc(0) })
  const picture = await page.getByRole('button', { name: /^Tap the colour/ }).boundingBox()
  if (picture) await page.mouse.click(picture.x + picture.width * 0.42, picture.y + picture.height * 0.45)
  await page
    .getByText(/near twin/)
    .first()
    .waitFor()
}
/** The plan, once it is laid. */
const laid = async (page: Page): Promise<void> => {
  await page.getByText('a better one is being looked for').waitFor({ state: 'hidden', timeout: 30_000 })
}
/** All that is asked of it, answered. */
const whatIf = async (page: Page): Promise<void> => {
  await laid(page)
  const strip = page.getByRole('region', { name: 'What if' })
  await strip.getByText('Being laid …').first().waitFor({ state: 'hidden', timeout: 30_000 })
  await strip.locator('[aria-busy=true]').first().waitFor({ state: 'hidden', timeout: 30_000 })
  await strip.evaluate((element) => element.scrollIntoView({ block: 'end' }))
}
const tick = async (page: Page): Promise<void> => {
  for (const name of ['Ember', 'Rust Bloom', 'Alibi', 'Sloe'])
    await page
      .locator('button.tile[aria-pressed=false]')
      .filter({ hasText: name })
      .first()
      .click({ timeout: 3000 })
      .catch(() => undefined)
  await page.locator('button.tile[aria-pressed=false]').filter({ hasText: 'Hedgerow' }).click()
  await page.getByRole('button', { name: /^Moss/ }).click()
  await page.getByRole('button', { name: /^Robin/ }).click()
  await page.getByRole('button', { name: 'Worn: 2' }).click()
}

const PICTURES: readonly Picture[] = [
  { name: 'today', path: '/', before: tick },
  { name: 'today-night', path: '/', theme: 'night' },
  { name: 'today-phone', path: '/', size: PHONE },
  { name: 'collection', path: '/collection' },
  { name: 'item', path: '/items/Lamplight' },
  { name: 'check-in-weigh', path: '/check-in', before: weigh },
  { name: 'check-in-pan', path: '/check-in', before: photograph },
  { name: 'projects', path: '/projects' },
  { name: 'plan', path: '/plan', before: laid },
  { name: 'plan-what-if', path: '/plan', before: whatIf },
  { name: 'shelf-life', path: '/shelf-life' },
  { name: 'supply', path: '/supply' },
  { name: 'look-back', path: '/look-back' },
  { name: 'look-back-year', path: '/look-back/year' },
  { name: 'which-next', path: '/look-back/asks' },
  { name: 'doubts', path: '/decide', before: doubts },
  { name: 'till-phone', path: '/buying/till', size: PHONE, before: atTheTill },
  { name: 'empties', path: '/empties' },
  { name: 'specimen-large', path: '/specimen', of: '[data-specimen=large-day]' },
]

const only = process.argv.slice(2)
const folder = mkdtempSync(join(tmpdir(), 'seligo-pictures-'))
execFileSync(process.execPath, ['dist/demo/main.js', folder, DAY], { stdio: 'inherit' })
const server = spawn(process.execPath, ['dist/server/main.js'], {
  env: { ...process.env, SELIGO_DATA: folder, SELIGO_PORT: String(PORT), SELIGO_NOW: `${DAY}T08:00:00` },
})
const address = await new Promise<string>((resolve) => {
  server.stdout.on('data', (text: Buffer) => {
    const found = /http:\/\/[\d.:]+/.exec(String(text))
    if (found) resolve(found[0])
  })
})

/** The path of a thing named by its shade, since ids are opaque; any other path as it is. */
async function pathOf(path: string): Promise<string> {
  const shade = /^\/items\/(.*)$/.exec(path)?.[1]
  if (shade === undefined) return path
  const answer = await fetch(`${address}/api/find?words=${encodeURIComponent(shade)}`)
  const { ids } = (await answer.json()) as { ids: string[] }
  return `/items/${ids[0] ?? ''}`
}

const browser = await chromium.launch(config.use?.launchOptions ?? {})
for (const picture of PICTURES) {
  if (only.length > 0 && !only.includes(picture.name)) continue
  const context = await browser.newContext({
    viewport: picture.size ?? LAPTOP,
    locale: 'en-GB',
    reducedMotion: 'reduce',
  })
  const page = await context.newPage()
  await page.addInitScript((theme) => localStorage.setItem('seligo-theme', theme), picture.theme ?? 'day')
  await page.clock.install({ time: `${DAY}T08:00:00` })
  await page.goto(address + (await pathOf(picture.path)), { waitUntil: 'networkidle' })
  await page.evaluate(() => document.fonts.ready.then(() => undefined))
  await picture.before?.(page)
  await page.waitForLoadState('networkidle')
  await page.mouse.move(0, 0)
  const path = join('docs', 'screenshots', `${picture.name}.png`)
  if (picture.of === undefined) await page.screenshot({ path })
  else await page.locator(picture.of).screenshot({ path })
  console.log(path)
  await context.close()
}
await browser.close()
server.kill('SIGTERM')
rmSync(folder, { recursive: true, force: true })
