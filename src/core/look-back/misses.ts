/** Why a kept forecast did not hold. */
export type MissReason =
  | { readonly code: 'worn more often'; readonly before: number; readonly after: number }
  | { readonly code: 'worn less often'; readonly before: number; readonly after: number }
  | { readonly code: 'held more'; readonly expected: number; readonly came: number }
  | { readonly code: 'held less'; readonly expected: number; readonly came: number }

export interface MissFacts {
  /** Days in its use, and uses, up to the forecast and from it to the finish. */
  readonly daysBefore: number
  readonly usesBefore: number
  readonly daysAfter: number
  readonly usesAfter: number
  /** Days to the finish as they were thought, in the middle. */
  readonly expectedDays: number
  readonly late: boolean
}

const WEEK = 7

/**
 * Which of the two was off more: how often it was worn, or how much was in it. Uses expected = its pace by then over the days
 * expected. Rates are uses a week. Null where it was not in use before, so that no pace was known.
 */
export function whyMissed(facts: MissFacts): MissReason | null {
  const { daysBefore, usesBefore, daysAfter, usesAfter, expectedDays, late } = facts
  if (daysBefore < 1 || usesBefore < 1 || daysAfter < 1 || usesAfter < 1) return null
  const [before, after] = [usesBefore / daysBefore, usesAfter / daysAfter]
  const expected = before * expectedDays
  const paceOff = Math.log(before / after)
  const contentOff = Math.log(usesAfter / expected)
  const sign = late ? 1 : -1
  if (paceOff * sign >= contentOff * sign)
    return { code: late ? 'worn less often' : 'worn more often', before: before * WEEK, after: after * WEEK }
  return { code: late ? 'held more' : 'held less', expected: Math.round(expected), came: usesAfter }
}
