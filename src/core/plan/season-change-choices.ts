import { addMonths, type Day } from '../calendar/day.js'
import type { Hemisphere } from '../calendar/hemisphere.js'
import { seasonOn, type Season } from '../item/traits.js'

/** What can be done with each item when the drawer is arranged anew. */
export const SEASON_CHANGE_CHOICES = ['stays', 'comes in', 'put away', 'rests', 'doubtful', 'let go'] as const
export type SeasonChangeChoice = (typeof SEASON_CHANGE_CHOICES)[number]

/** What suits no season in particular asks to come back after this long. Assumption. */
const USUAL_MONTHS = 9

/**
 * Until when an item is put away: the first day of the next season it suits, and never beyond its last good day. Null where it
 * would be over before it came back.
 */
export function putAwayUntil(item: {
  readonly today: Day
  readonly seasons: readonly Season[]
  readonly lastGood: Day | null
  readonly hemisphere: Hemisphere
}): Day | null {
  const { today, seasons, lastGood, hemisphere } = item
  const month = `${today.slice(0, 7)}-01` as Day
  const starts = Array.from({ length: 12 }, (_, n) => addMonths(month, n + 1)).filter((day) => {
    const season = seasonOn(day, hemisphere)
    return seasons.includes(season) && season !== seasonOn(addMonths(day, -1), hemisphere)
  })
  const until = starts[0] ?? addMonths(today, USUAL_MONTHS)
  if (lastGood === null || lastGood >= until) return until
  return lastGood > today ? lastGood : null
}
