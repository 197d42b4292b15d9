import { execFileSync, spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Page } from 'playwright-core'
import { createServer } from 'vite'
import { drawPans } from '#demo/draw-pans'
import config from '../playwright.config.js'

/** The pictures of docs/screenshots, from the demo collection on a day of its own, so that they can be made again. */
const DAY = '2026-11-24'
const PORT = 4870
const LAPTOP = { width: 1280, height: 800 }
/** Stands for the home network. */
const NETWORK = '127.0.0.2'
const PHONE = { width: 390, height: 844 }

interface Picture {
  readonly name: string
  readonly path: string
  readonly size?: { width: number; height: number }
  readonly theme?: 'day' | 'night'
  readonly before?: (page: Page) => Promise<void>
  readonly of?: string
  /** Another address of this machine, which stands for the home network; `vite`: a page that the build doesn't hold. */
  readonly at?: string
}

/** The pan of the demo, off the last of its drawn photos. */
const photograph = async (page: Page): Promise<void> => {
  await page.getByRole('link', { name: 'Continue' }).click()
  await page.getByRole('button', { name: 'photo', exact: true }).click()
  const [last] = await drawPans(4, [0.34])
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
  await page.getByRole('region', { name: 'To decide' }).evaluate((element) => element.scrollIntoView())
}
/** The plan, once it is laid. */
const laid = async (page: Page): Promise<void> => {
  await page.getByText('a better one is being looked for').waitFor({ state: 'hidden', timeout: 30_000 })
}
/** The door open, and a code shown. */
const showCode = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: new RegExp(`^at ${NETWORK}`) }).click()
  await page.getByRole('button', { name: 'Show a code' }).click()
  await page.getByRole('region', { name: 'A code for one phone' }).getByRole('img').waitFor()
}
/** The day's copy, looked into after a tick. The folder is another on every machine. */
const lookInto = async (page: Page): Promise<void> => {
  const copy = page.getByRole('button', { name: /^Preview/ }).first()
  while (!(await copy.isVisible())) {
    await page.reload()
    await page.getByRole('heading', { name: 'Safety copies' }).waitFor()
    await page.waitForLoadState('networkidle')
  }
  await copy.click()
  await page.getByRole('row', { name: /^ticks/ }).waitFor()
  await page.locator('code').evaluate((element) => (element.textContent = '…/seligo/copies'))
}
const tick = async (page: Page): Promise<void> => {
  for (const name of ['Wet Sand', 'Petticoat', 'Alibi', 'Sloe'])
    await page
      .locator('button.tile[aria-pressed=false]')
      .filter({ hasText: name })
      .first()
      .click({ timeout: 3000 })
      .catch(() => undefined)
  await page.locator('button.tile[aria-pressed=false]').filter({ hasText: 'Timetable' }).click()
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
  { name: 'check-in-pan', path: '/projects/check-in', before: photograph },
  { name: 'projects', path: '/projects' },
  { name: 'plan', path: '/projects/plan', before: laid },
  { name: 'use-first', path: '/collection/use-first' },
  { name: 'how-much', path: '/collection/how-much' },
  { name: 'look-back', path: '/look-back' },
  { name: 'look-back-year', path: '/look-back/year' },
  { name: 'ask-friends', path: '/look-back/asks' },
  { name: 'to-decide', path: '/keep', before: doubts },
  { name: 'phones', path: '/settings/phones', before: showCode },
  { name: 'pairing-phone', path: '/pair?code=4XG7KM29', size: PHONE, at: NETWORK },
  { name: 'copies', path: '/settings/safety-copies', before: lookInto },
  { name: 'empties', path: '/look-back/empties' },
  { name: 'specimen-large', path: '/specimen.html', at: 'vite', of: '[data-specimen=large-day]' },
]

const only = process.argv.slice(2)
const folder = mkdtempSync(join(tmpdir(), 'seligo-pictures-'))
execFileSync(process.execPath, ['dist/demo/main.js', folder, DAY], { stdio: 'inherit' })
const server = spawn(process.execPath, ['dist/server/main.js'], {
  env: {
    ...process.env,
    SELIGO_DATA: folder,
    SELIGO_PORT: String(PORT),
    SELIGO_NOW: `${DAY}T08:00:00`,
    SELIGO_ADDRESSES: NETWORK,
  },
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
  const vite = picture.at === 'vite' ? await (await createServer()).listen() : null
  const at = vite?.resolvedUrls?.local[0]?.replace(/\/$/, '') ?? address.replace('127.0.0.1', picture.at ?? '127.0.0.1')
  await page.goto(at + (await pathOf(picture.path)), { waitUntil: 'networkidle' })
  await page.evaluate(() => document.fonts.ready.then(() => undefined))
  await picture.before?.(page)
  await page.waitForLoadState('networkidle')
  await page.mouse.move(0, 0)
  const path = join('docs', 'screenshots', `${picture.name}.png`)
  if (picture.of === undefined) await page.screenshot({ path })
  else await page.locator(picture.of).screenshot({ path })
  console.log(path)
  await context.close()
  await vite?.close()
}
await browser.close()
server.kill('SIGTERM')
rmSync(folder, { recursive: true, force: true })
