import { gzipSync } from 'node:zlib'
import { chromium, type Browser } from 'playwright-core'
import config from '../playwright.config.js'
import { round } from './measure.js'

export interface BrowserFigures {
  /** From asking for the page to a tile that can be tapped, warm server, cold page. */
  readonly todayUsableMs: number
  /** The same at a quarter of the processor's speed. */
  readonly todayUsableSlowMs: number
  readonly firstLoadJsKb: number
  readonly firstLoadCssKb: number
  /** What a tick on Today asks of the server, after every place was visited. */
  readonly tickCalls: number
  readonly tickKb: number
  /** The longest task of the main thread while 2,000 items are scrolled from end to end. */
  readonly longestScrollTaskMs: number
  /** From asking for all that is open in the race to its rows. */
  readonly raceDrawnMs: number
  /** From a jump by a whole screen of the race to its being drawn, 19 times in 20. */
  readonly raceJumpP95Ms: number
}

/** Measures the pages as headless Chromium shows them. */
export async function browse(url: string): Promise<BrowserFigures> {
  const browser = await chromium.launch(config.use?.launchOptions)
  try {
    const load = await firstLoad(browser, url)
    return {
      ...load,
      todayUsableSlowMs: await slowLoad(browser, url),
      ...(await tick(browser, url)),
      longestScrollTaskMs: await scroll(browser, url),
      ...(await race(browser, url)),
    }
  } finally {
    await browser.close()
  }
}

async function firstLoad(browser: Browser, url: string) {
  const warm = await browser.newPage()
  await warm.goto(url)
  await warm.locator('button.tile').first().waitFor()
  await warm.close()
  const taken: number[] = []
  let js = 0
  let css = 0
  for (let n = 0; n < 5; n += 1) {
    const page = await (await browser.newContext()).newPage()
    const bodies: Promise<void>[] = []
    if (n === 0)
      page.on('response', (response) => {
        const { pathname } = new URL(response.url())
        if (!/\.(js|css)$/.test(pathname)) return
        bodies.push(
          response.body().then((body) => {
            if (pathname.endsWith('.js')) js += gzipSync(body).length
            else css += gzipSync(body).length
          }),
        )
      })
    const start = performance.now()
    await page.goto(url, { waitUntil: 'commit' })
    await page.locator('button.tile').first().waitFor()
    taken.push(performance.now() - start)
    if (n === 0) await page.waitForLoadState('networkidle')
    await Promise.all(bodies)
    await page.context().close()
  }
  taken.sort((a, b) => a - b)
  return {
    todayUsableMs: round(taken[2] ?? 0),
    firstLoadJsKb: round(js / 1024),
    firstLoadCssKb: round(css / 1024),
  }
}

/** How many times slower the processor is made. */
const SLOWER = 4

async function slowLoad(browser: Browser, url: string): Promise<number> {
  const taken: number[] = []
  for (let n = 0; n < 3; n += 1) {
    const page = await (await browser.newContext()).newPage()
    const session = await page.context().newCDPSession(page)
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
    const start = performance.now()
    await page.goto(url, { waitUntil: 'commit' })
    await page.locator('button.tile').first().waitFor()
    taken.push(performance.now() - start)
    await page.context().close()
  }
  taken.sort((a, b) => a - b)
  return round(taken[1] ?? 0)
}

/** Places visited before the tick: what they keep must not be asked again for it. */
const VISITED = [
  '/collection',
  '/projects',
  '/collection/use-first',
  '/keep',
  '/look-back/empties',
  '/settings',
  '/settings/history',
  '/drawer',
]

/** Milliseconds after a tick in which a call still counts as its own. */
const LATE = 2000

async function tick(browser: Browser, url: string): Promise<{ tickCalls: number; tickKb: number }> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(url)
  await page.locator('button.tile').first().waitFor()
  for (const path of VISITED) {
    // As a link would: within the page, so that what it holds is kept.
    await page.evaluate((to) => {
      history.pushState({}, '', to)
      dispatchEvent(new PopStateEvent('popstate', { state: {} }))
    }, path)
    await page.waitForLoadState('networkidle')
  }
  await page.locator('nav a.front').first().click()
  await page.locator('button.tile').first().waitFor()
  await page.waitForLoadState('networkidle')
  // What coming back to Today asks for is not the tick's.
  await page.waitForTimeout(LATE)
  const answers: Promise<number>[] = []
  page.on('response', (response) => {
    if (new URL(response.url()).pathname.startsWith('/api/')) answers.push(response.body().then((body) => body.length))
  })
  await page.locator('button.tile[aria-pressed="false"]').first().click()
  await page.locator('button.tile[aria-pressed="true"]').first().waitFor()
  await page.getByText('saving…').waitFor({ state: 'detached' })
  // Whatever else is asked for it, even late, is to be counted.
  await page.waitForTimeout(LATE)
  const bytes = (await Promise.all(answers)).reduce((sum, each) => sum + each, 0)
  await page.close()
  return { tickCalls: answers.length, tickKb: round(bytes / 1024) }
}

/** Runs in the page; as text, since the compiler of this file would put calls of its own into it. */
const scrollOf = (selector: string): string => `(async () => {
  const element = document.querySelector('${selector}')
  let most = 0
  const observer = new PerformanceObserver((entries) => {
    for (const entry of entries.getEntries()) most = Math.max(most, entry.duration)
  })
  observer.observe({ entryTypes: ['longtask'] })
  const frame = () => new Promise((resolve) => requestAnimationFrame(resolve))
  for (let top = 0; top < element.scrollHeight; top += 700) {
    element.scrollTop = top
    await frame()
  }
  await frame()
  observer.disconnect()
  return most
})()`

async function scroll(browser: Browser, url: string): Promise<number> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${url}/collection`)
  const list = page.locator('.v-table__wrapper')
  await list.locator('tr.row').first().waitFor()
  await page.waitForLoadState('networkidle')
  const longest = await page.evaluate<number>(scrollOf('.v-table__wrapper'))
  await page.close()
  return round(longest)
}

/** Runs in the page, as text like the scroll above. */
const JUMPS = `(async () => {
  const element = document.querySelector('.rows')
  const frame = () => new Promise((resolve) => requestAnimationFrame(resolve))
  const taken = []
  for (let top = 0; top < element.scrollHeight; top += 700) {
    const start = performance.now()
    element.scrollTop = top
    await frame()
    await frame()
    taken.push(performance.now() - start)
  }
  taken.sort((a, b) => a - b)
  return taken[Math.floor(taken.length * 0.95)]
})()`

/** The list of everything that is open: more than six hundred rows. */
async function race(browser: Browser, url: string): Promise<{ raceDrawnMs: number; raceJumpP95Ms: number }> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${url}/collection/use-first`)
  const rows = page.getByRole('region', { name: 'Use first' }).locator('.rows article')
  const show = page.getByRole('button', { name: 'Show them' })
  const unopened = page.getByRole('button', { name: /^unopened/ })
  await unopened.click()
  await page.getByRole('button', { name: /^unopened/, pressed: true }).waitFor()
  const before = (await rows.first().getAttribute('aria-label')) ?? ''
  const start = performance.now()
  await page.getByRole('button', { name: /^all open/ }).click()
  await show.click()
  await page.locator(`.rows article:not([aria-label="${before}"])`).nth(3).waitFor()
  const raceDrawnMs = round(performance.now() - start)
  const raceJumpP95Ms = round(await page.evaluate<number>(JUMPS))
  await page.close()
  return { raceDrawnMs, raceJumpP95Ms }
}

export interface PlanPageFigures {
  /** From asking for the plan to its draft, and the longest task of the main thread until it is laid. */
  readonly planDraftedMs: number
  readonly planLongestTaskMs: number
}

/** The plan of the demo's drawer: its draft at once, then laid in the worker while the page stays free. */
export async function browsePlan(url: string): Promise<PlanPageFigures> {
  const browser = await chromium.launch(config.use?.launchOptions)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${url}/projects`)
  await page.getByRole('link', { name: 'Plan', exact: true }).waitFor()
  await page.waitForLoadState('networkidle')
  await page.evaluate(`(() => {
    window.tasks = []
    new PerformanceObserver((list) => window.tasks.push(...list.getEntries().map((each) => each.duration))).observe({ type: 'longtask' })
  })()`)
  const start = performance.now()
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await page.locator('.bar').first().waitFor()
  const planDraftedMs = round(performance.now() - start)
  await page.getByText('a better one is being looked for').waitFor({ state: 'hidden', timeout: 30_000 })
  const planLongestTaskMs = round(await page.evaluate<number>('Math.max(0, ...window.tasks)'))
  await browser.close()
  return { planDraftedMs, planLongestTaskMs }
}

export interface LookBackFigures {
  /** From asking for the year to its first chart, and from asking for a picture of the month to the file. */
  readonly firstChartMs: number
  readonly pictureMs: number
}

/** The year's first chart, and the month as a large picture. */
export async function browseLookBack(url: string): Promise<LookBackFigures> {
  const browser = await chromium.launch(config.use?.launchOptions)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${url}/look-back`)
  await page.getByRole('heading', { name: 'Reached for' }).waitFor()
  await page.waitForLoadState('networkidle')
  const start = performance.now()
  await page.getByRole('link', { name: 'Year', exact: true }).click()
  await page.locator('canvas').first().waitFor()
  const firstChartMs = round(performance.now() - start)
  await page.getByRole('link', { name: 'Month', exact: true }).click()
  await page.getByRole('button', { name: 'Share or print' }).click()
  const asked = performance.now()
  await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Large picture' }).click()])
  const pictureMs = round(performance.now() - asked)
  await browser.close()
  return { firstChartMs, pictureMs }
}
