import type { Span } from './weighed.js'

/** What so many items of one kind ask for until their date, against the days there are. */
export interface SetUp {
  /** Uses in all. */
  readonly needed: Span
  /** As many of them as fit, those that need least first. */
  readonly fewer: number
  /** Uses for each that fit, where all stay. */
  readonly usesEach: number
  readonly fits: boolean
}

/**
 * Whether what is taken on adds up, at one use of its kind a day. `needs` = uses that each still asks for, as likely spans; `days` =
 * days on which the kind can be expected to be worn. Likely spans of several are narrower than their sums.
 */
export function setUpOf(needs: readonly Span[], days: number): SetUp {
  const middle = needs.reduce((sum, each) => sum + each.middle, 0)
  const apart = (end: 'low' | 'high'): number => Math.hypot(...needs.map((each) => each[end] - each.middle))
  let left = days
  const fewer = [...needs]
    .sort((a, b) => a.middle - b.middle)
    .filter((each) => {
      left -= each.middle
      return left >= 0
    }).length
  return {
    needed: { low: Math.max(0, middle - apart('low')), middle, high: middle + apart('high') },
    fewer,
    usesEach: needs.length === 0 ? 0 : Math.floor(days / needs.length),
    fits: middle <= days,
  }
}
