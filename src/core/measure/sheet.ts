import type { Day } from '../calendar/day.js'
import { byTime, type DatedReading } from '../item/what-is-left.js'
import { usesAfter, USUAL_STEP, type TimedReading } from './content-facts.js'
import { seriesAt, type DatedEvent } from './package-events.js'
import { gramsGone } from './weighing.js'

/** A reading that belongs to a check-in, or to none. */
export interface SheetReading extends TimedReading {
  readonly id: string
  readonly checkInId: string | null
}

/** How an item was found at one look: on the scale and by eye, as far as it was. */
export interface Look {
  readonly day: Day
  readonly gross: SheetReading | null
  readonly eye: SheetReading | null
  readonly parts: readonly SheetReading[]
}

export interface Compared {
  readonly before: Look | null
  readonly after: Look | null
  /** Uses from the begin of the stretch to this look; up to now where it was not looked at. */
  readonly uses: number
  /** Grams gone, with what they may be out by; null where it was not weighed twice in one series. */
  readonly grams: {
    readonly grams: number
    readonly giveOrTake: number
    readonly from: Day
    readonly to: Day
  } | null
}

export interface ComparedFacts {
  readonly checkInId: string
  /** Begin of the stretch, for what was never looked at before. */
  readonly from: Day
  readonly readings: readonly SheetReading[]
  readonly events: readonly DatedEvent[]
  /** Days on which it was used, ascending. */
  readonly days: readonly Day[]
}

/**
 * What an item was found like at a check-in, against how it stood when the stretch began: what was read last by then, else what was
 * read first since. Doubtful readings count nowhere.
 */
export function compared(facts: ComparedFacts): Compared {
  const trusted = facts.readings.filter((reading) => !reading.doubtful)
  const own = trusted.filter((reading) => reading.checkInId === facts.checkInId)
  const [first] = own
  const earlier = trusted.filter(
    (reading) => reading.checkInId !== facts.checkInId && (first === undefined || isBefore(reading, first)),
  )
  const before = lookOf(earlier, (of) => of.findLast((reading) => reading.day <= facts.from) ?? of[0])
  const after = lookOf(own, (of) => of.at(-1))
  // Read at the very begin of the stretch, a use of that day comes after it or not by its moment.
  const begin = earlier.findLast((reading) => reading.checkInId !== null && reading.day === facts.from)
  const begun = begin ? usesAfter(facts.days, begin) : facts.days.filter((day) => day > facts.from).length
  const until = own.at(-1)
  return {
    before,
    after,
    uses: Math.max(0, begun - (until ? usesAfter(facts.days, until) : 0)),
    grams: goneOf(before?.gross ?? null, after?.gross ?? null, facts.events),
  }
}

/** How an item was found last by the end of a day; null where it never was. Doubtful readings count nowhere. */
export function lookBy(readings: readonly SheetReading[], day: Day): Look | null {
  return lookOf(
    readings.filter((reading) => !reading.doubtful),
    (of) => of.findLast((reading) => reading.day <= day),
  )
}

/** How it was found first from a day on. */
export function lookFrom(readings: readonly SheetReading[], day: Day): Look | null {
  return lookOf(
    readings.filter((reading) => !reading.doubtful),
    (of) => of.find((reading) => reading.day >= day),
  )
}

function goneOf(
  before: SheetReading | null,
  after: SheetReading | null,
  events: readonly DatedEvent[],
): Compared['grams'] {
  if (before === null || after === null) return null
  // Two packages weigh differently: nothing is told by their difference.
  if (seriesAt(events, before) !== seriesAt(events, after)) return null
  return { ...gramsGone(weightOf(before), weightOf(after)), from: before.day, to: after.day }
}

function weightOf(reading: SheetReading): { grams: number; resolution: number } {
  return { grams: reading.value ?? 0, resolution: reading.resolution ?? USUAL_STEP }
}

type Choose = (of: readonly SheetReading[]) => SheetReading | undefined

/** One reading of each kind: on the scale, by eye, of each shade. */
function lookOf(readings: readonly SheetReading[], choose: Choose): Look | null {
  const gross = choose(readings.filter((reading) => reading.kind === 'gross')) ?? null
  const eye = choose(readings.filter((reading) => reading.kind !== 'gross' && reading.partId === null)) ?? null
  const partIds = [...new Set(readings.flatMap((reading) => reading.partId ?? []))]
  const parts = partIds.flatMap((id) => choose(readings.filter((reading) => reading.partId === id)) ?? [])
  const day = [gross, eye, ...parts]
    .flatMap((reading) => reading?.day ?? [])
    .sort()
    .at(-1)
  return day === undefined ? null : { day, gross, eye, parts }
}

function isBefore(a: SheetReading, b: SheetReading): boolean {
  return byTime(a as DatedReading, b as DatedReading) < 0
}
