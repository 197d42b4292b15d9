import { earlier, later, type Day } from '../calendar/day.js'
import type { DayRange } from '../calendar/when.js'

/** When a package was opened, kept as she said it. */
export type Opened =
  | { readonly kind: 'unopened' }
  | { readonly kind: 'unknown' }
  | { readonly kind: 'range'; readonly earliest: Day; readonly latest: Day; readonly said: string }

/**
 * The range in which it can have been opened, as read today: not before it was acquired, not
 * after its first wear or today. An unknown opening is bounded only where something bounds it
 * below; null when nothing is known, or it is unopened.
 */
export function openedWithin(
  opened: Opened,
  known: { acquiredEarliest: Day | null; firstWear: Day | null; today: Day },
): DayRange | null {
  if (opened.kind === 'unopened') return null
  const ceiling = known.firstWear ?? known.today
  if (opened.kind === 'unknown') {
    if (known.acquiredEarliest === null || known.acquiredEarliest > ceiling) return null
    return { earliest: known.acquiredEarliest, latest: ceiling }
  }
  const floor = known.acquiredEarliest ?? opened.earliest
  const earliest = later(opened.earliest, floor)
  const latest = earlier(opened.latest, ceiling)
  // What she said and what was logged can contradict each other; then her word stands.
  return earliest <= latest ? { earliest, latest } : { earliest: opened.earliest, latest: opened.latest }
}
