import { AxeBuilder } from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

/** What axe checks: WCAG 2.2 up to AA. */
const WCAG = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']

/**
 * The findings of axe, each with the first things it was found at: of the whole page or within a part of it, by every rule or by
 * one. Our pages have no frames of other houses, so that axe need not open a page of its own to look into them.
 */
export async function findings(
  page: Page,
  { within, rule }: { readonly within?: string; readonly rule?: string } = {},
): Promise<string[]> {
  const axe = new AxeBuilder({ page }).setLegacyMode().options({
    resultTypes: ['violations'],
    runOnly: rule === undefined ? { type: 'tag', values: WCAG } : { type: 'rule', values: [rule] },
  })
  const { violations } = await (within === undefined ? axe : axe.include(within)).analyze()
  return violations.map(({ id, nodes }) => {
    const first = nodes.slice(0, 3).map(({ html }) => html)
    return `${id} ${first.join(' | ')}`
  })
}

/** Waits until a place has its head and is laid out whole. */
export async function laidOut(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { level: 2 }).or(page.getByRole('heading')).first()).toBeVisible()
  await expect(page.locator('main[aria-busy="true"], .sheet[aria-busy="true"]')).toHaveCount(0)
}
