import { earlier, later, type Day } from '../calendar/day.js'
import { groupBy } from '../lists/grouping.js'
import { byTime, type DatedReading } from '../item/what-is-left.js'
import { USUAL_STEP, type TimedReading } from '../measure/content-facts.js'
import { seriesAt, type DatedEvent } from '../measure/package-events.js'
import { gramsGone } from '../measure/weighing.js'
import type { LookSpan } from './span.js'

/** What is known of the uses of one item. */
export interface UsesKnown {
  /** Uses that were ticked. */
  readonly logged: number
  /** All its uses so far; null where it was used before the log and nobody said how often. */
  readonly allUses: number | null
  /** Uses still left in the middle of what is likely; 0 of a finished one, null where nothing tells. */
  readonly usesLeft: number | null
  /** The share still left likely, 0..1; tells how many uses there were where nobody counted them. Null = not known. */
  readonly shareLeft: number | null
}

/**
 * How many uses a whole one gives: those it had and those it likely still has. Where its first uses were not counted, those left and
 * the share left tell. Null where neither does.
 *
 * @example usesOfAWhole({ logged: 20, allUses: 20, usesLeft: 80, shareLeft: 0.8 }) === 100
 */
export function usesOfAWhole({ allUses, usesLeft, shareLeft, logged }: UsesKnown): number | null {
  if (allUses !== null && usesLeft !== null) return Math.max(allUses + usesLeft, 1)
  if (usesLeft === null || shareLeft === null || shareLeft <= 0) return null
  return Math.max(usesLeft / shareLeft, logged + usesLeft, 1)
}

/**
 * Grams found gone within a span by weighings: in each series from the last weight before it, else the first within it, to the last
 * within it, with the days of the first and the last weight. Spans that follow each other add up. Doubtful weights count nowhere; null
 * where no two weights tell.
 */
export function gramsFound(
  readings: readonly TimedReading[],
  events: readonly DatedEvent[],
  { from, to }: LookSpan,
): { readonly grams: number; readonly giveOrTake: number; readonly from: Day; readonly to: Day } | null {
  const weights = readings
    .filter((reading) => reading.kind === 'gross' && !reading.doubtful && reading.day <= to)
    .sort((a, b) => byTime(a as DatedReading, b as DatedReading))
  const bySeries = groupBy(weights, (reading) => seriesAt(events, reading))
  const found = [...bySeries.values()].flatMap((own) => {
    const inside = own.filter((reading) => reading.day >= from)
    const base = own.findLast((reading) => reading.day < from) ?? inside[0]
    const last = inside.at(-1)
    return base === undefined || last === undefined || base === last
      ? []
      : [{ ...gramsGone(weightOf(base), weightOf(last)), from: base.day, to: last.day }]
  })
  if (found.length === 0) return null
  return {
    grams: found.reduce((sum, each) => sum + each.grams, 0),
    giveOrTake: Math.hypot(...found.map((each) => each.giveOrTake)),
    from: found.map((each) => each.from).reduce(earlier),
    to: found.map((each) => each.to).reduce(later),
  }
}

function weightOf(reading: TimedReading): { grams: number; resolution: number } {
  return { grams: reading.value ?? 0, resolution: reading.resolution ?? USUAL_STEP }
}
