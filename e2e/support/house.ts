import { spawn, type ChildProcess } from 'node:child_process'
import { copyFileSync, cpSync, existsSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { test as base, expect, type Locator, type Page } from '@playwright/test'
import type { ListedItem } from '#contract/item'
import { unpackItems, type PackedItems } from '#contract/packed-items'
import { PLAY_TIME } from './play-day'

/** Stands for the home network: another loopback address of this machine. */
export const NETWORK = '127.0.0.2'

/** A running Seligo of a story's own: the compiled server on a database file of its own. */
export interface RunningHouse {
  readonly url: string
  /** Where its data lie. */
  readonly folder: string
  /** Stops it as a person does, and starts it again on the same collection; with its clock at an instant, where one is given. */
  restart(at?: string): Promise<void>
  stop(): Promise<void>
}

class StoryHouse implements RunningHouse {
  url = ''
  readonly folder: string
  readonly #port: number
  #child: ChildProcess | null = null

  constructor(port: number, filled: boolean) {
    this.#port = port
    this.folder = mkdtempSync(join(tmpdir(), 'seligo-story-'))
    const demo = process.env['SELIGO_STORY_DEMO']
    if (!filled || demo === undefined) return
    copyFileSync(join(demo, 'collection.db'), join(this.folder, 'collection.db'))
    if (existsSync(join(demo, 'photos'))) cpSync(join(demo, 'photos'), join(this.folder, 'photos'), { recursive: true })
  }

  async start(at = PLAY_TIME): Promise<void> {
    const child = spawn(process.execPath, ['dist/server/main.js'], {
      env: {
        ...process.env,
        SELIGO_DATA: this.folder,
        SELIGO_PORT: String(this.#port),
        SELIGO_NOW: at,
        SELIGO_ADDRESSES: NETWORK,
      },
    })
    this.#child = child
    this.url = await new Promise<string>((resolve, reject) => {
      child.stdout.on('data', (text: Buffer) => {
        const found = /http:\/\/[\d.:]+/.exec(String(text))
        if (found) resolve(found[0])
      })
      child.on('exit', (code) => reject(new Error(`The server ended with ${code}`)))
    })
  }

  async restart(at?: string): Promise<void> {
    await this.stop()
    await this.start(at)
  }

  async close(): Promise<void> {
    await this.stop()
    rmSync(this.folder, { recursive: true, force: true })
  }

  async stop(): Promise<void> {
    const child = this.#child
    if (!child) return
    const ended = new Promise((resolve) => child.on('exit', resolve))
    child.kill('SIGTERM')
    await ended
    this.#child = null
  }
}

/** Stories start with the demo collection, or with an empty one by `test.use({ filled: false })`. */
export const test = base.extend<{ filled: boolean; house: RunningHouse }>({
  filled: [true, { option: true }],
  house: async ({ filled }, use, info) => {
    const house = new StoryHouse(4900 + info.parallelIndex * 20, filled)
    await house.start()
    await use(house)
    await house.close()
  },
  page: async ({ page, house }, use) => {
    const faults: string[] = []
    page.on('pageerror', (error) => faults.push(error.message))
    page.on('console', (said) => {
      // What the network refuses a story on purpose is told by the browser itself.
      if (said.type() === 'error' && !said.text().startsWith('Failed to load resource')) faults.push(said.text())
    })
    // Set going, not held: Vue drops an event that bubbles up at the very instant its listener was made.
    await page.clock.install({ time: PLAY_TIME })
    await page.goto(house.url)
    await use(page)
    expect(faults, 'errors on the page').toEqual([])
  },
})

export { expect }

/** A tile of the drawer by the words it begins with. */
export function tile(page: Page, name: string) {
  return page.locator('button.tile').filter({ hasText: name })
}

/** A connection kept open may be shut by the server just as it is used again: what only reads is asked once more then. */
const AGAIN = { maxRetries: 2 }

/** Everything in stock, as lists show it. */
export async function listed(page: Page, house: RunningHouse): Promise<ListedItem[]> {
  const { items } = (await (await page.request.get(`${house.url}/api/collection`, AGAIN)).json()) as {
    items: PackedItems
  }
  return unpackItems(items)
}

/** The address of a thing of the demo by its shade: of the one in the drawer where there are several. */
export async function pathOf(page: Page, house: RunningHouse, shade: string): Promise<string> {
  const items = await listed(page, house)
  const named = items.filter((item) => item.shade === shade)
  const found = named.find((item) => item.placement !== null) ?? named[0]
  if (!found) throw new Error(`Nothing is called ${shade}`)
  return `/items/${found.id}`
}

/** The address of the check-in that is under way, or of the last closed one's sheet. */
export async function checkInPath(page: Page, house: RunningHouse, of: 'under way' | 'sheet'): Promise<string> {
  const { checkIns } = (await (await page.request.get(`${house.url}/api/check-ins`, AGAIN)).json()) as {
    checkIns: { id: string; closedOn: string | null }[]
  }
  const found = checkIns.find((each) => (each.closedOn === null) === (of === 'under way'))
  return `/projects/check-in/${found?.id ?? ''}${of === 'sheet' ? '/update' : ''}`
}

/** Types an exact day into a field, in the order of the stories' locale: 14/02/2026. */
export async function fillDay(scope: Page | Locator, label: string | RegExp, day: string): Promise<void> {
  const field = scope.getByRole('textbox', { name: label })
  await field.click()
  await field.fill(day.split('-').reverse().join('/'))
  await field.press('Tab')
}

/**
 * Chooses from the menu that is open, once it takes clicks where it lies: asked before, the browser's driver scrolls the page to try
 * elsewhere, and the menu moves away under the mouse.
 */
export async function choose(page: Page, words: string): Promise<void> {
  const item = page.locator('.v-overlay--active .v-list-item').filter({ hasText: words })
  await expect(item).toBeInViewport({ ratio: 1 })
  const taken = (element: Element): boolean => {
    const { x, y, width, height } = element.getBoundingClientRect()
    return element.contains(document.elementFromPoint(x + width / 2, y + height / 2))
  }
  await expect.poll(() => item.evaluate(taken)).toBe(true)
  await item.click()
}

/** Opens a place by its front, and one of its tabs. */
export async function goTo(page: Page, place: string, tab?: string): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Places' })
    .first()
    .getByRole('link', { name: new RegExp(`^${place}`) })
    .click()
  if (tab === undefined) return
  const tabs = page.getByRole('navigation', { name: `Tabs of ${place}` })
  await tabs.getByRole('link', { name: new RegExp(`^${tab}`) }).click()
}
