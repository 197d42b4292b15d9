import type { Page } from '@playwright/test'
import { checkInPath, expect, pathOf, test } from './support/house'
import { laidOut } from './support/sight'

/** A small phone, a large one lying and standing, a tablet both ways. */
const SIZES = [
  { width: 320, height: 640 },
  { width: 600, height: 900 },
  { width: 768, height: 1024 },
  { width: 844, height: 390 },
  { width: 1024, height: 768 },
] as const
const PLACES = [
  ['/', '/drawer', '/drawer/season', '/collection', '/collection/add', '/collection/lines', '/collection/swatches'],
  [
    '/collection/import',
    '/collection/openings',
    '/projects',
    '/projects/plan',
    '/projects/plan/month',
    '/projects/check-in',
    '/paper',
  ],
  [
    '/look-back/empties',
    '/look-back/empties/containers',
    '/collection/use-first',
    '/collection/how-much',
    '/look-back',
    '/look-back/year',
    '/look-back/asks',
  ],
  ['/look-back/looks', '/look-back/guesses', '/keep', '/keep/trials', '/stash', '/keep/special', '/keep/how-many'],
  [
    '/keep/let-go',
    '/look-back/lessons',
    '/buying',
    '/buying/wish-list',
    '/buying/no-buys',
    '/settings',
    '/settings/phones',
    '/settings/history',
  ],
]

/** What stands beyond the edge of the window, where the page can be pushed sideways by it. */
async function over(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const width = document.documentElement.clientWidth
    if (document.documentElement.scrollWidth <= width) return []
    const beyond = [...document.querySelectorAll<HTMLElement>('body *')].filter(
      (each) => each.checkVisibility() && each.getBoundingClientRect().right > width + 1,
    )
    return [
      `${document.documentElement.scrollWidth} px`,
      ...beyond.slice(0, 4).map((each) => `${each.tagName}.${each.className} ${each.textContent.slice(0, 30)}`),
    ]
  })
}

async function fits(page: Page, path: string): Promise<void> {
  for (const size of SIZES) {
    await page.setViewportSize(size)
    await expect.poll(() => over(page), `${path} at ${size.width}x${size.height}`).toEqual([])
  }
}

for (const [n, paths] of PLACES.entries())
  test(`no place runs over, from 320 px to a tablet: ${n + 1}`, async ({ page, house }) => {
    for (const path of paths) {
      await page.goto(house.url + path)
      await laidOut(page)
      await fits(page, path)
    }
  })

test('no item, check-in or copy runs over either', async ({ page, house }) => {
  const item = await pathOf(page, house, 'Petticoat')
  const paths = [item, `${item}/edit`, '/settings/safety-copies']
  for (const path of [...paths, await checkInPath(page, house, 'under way'), await checkInPath(page, house, 'sheet')]) {
    await page.goto(house.url + path)
    await laidOut(page)
    await fits(page, path)
  }
})

test('on a low window every place can be reached: the chest scrolls', async ({ page }) => {
  await page.setViewportSize({ width: 1024, height: 390 })
  const last = page.getByRole('navigation', { name: 'Places' }).first().getByRole('link').last()
  await last.scrollIntoViewIfNeeded()
  await expect(last).toBeInViewport()
})
