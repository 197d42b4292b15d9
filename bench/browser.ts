import { gzipSync } from 'node:zlib'
import { chromium, type Browser } from 'playwright-core'
import config from '../playwright.config.js'
import { round } from './measure.js'

export interface BrowserFigures {
  /** From asking for the page to a tile that can be tapped, warm server, cold page. */
  readonly todayUsableMs: number
  readonly firstLoadJsKb: number
  readonly firstLoadCssKb: number
  /** The longest task of the main thread while 2,000 items are scrolled from end to end. */
  readonly longestScrollTaskMs: number
}

/** Measures the pages as headless Chromium shows them. */
export async function browse(url: string): Promise<BrowserFigures> {
  const browser = await chromium.launch(config.use?.launchOptions)
  try {
    const load = await firstLoad(browser, url)
    return { ...load, longestScrollTaskMs: await scroll(browser, url) }
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

/** Runs in the page; as text, since the compiler of this file would put calls of its own into it. */
const SCROLL = `(async () => {
  const element = document.querySelector('.v-virtual-scroll')
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
  const list = page.locator('.v-virtual-scroll')
  await list.locator('a.row').first().waitFor()
  await page.waitForLoadState('networkidle')
  const longest = await page.evaluate<number>(SCROLL)
  await page.close()
  return round(longest)
}
