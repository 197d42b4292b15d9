import type { Day } from '../calendar/day.js'
import type { ContentFacts, Seen, SeenEmpty, Start } from '../forecast/content.js'
import { packageModelOf } from '../forecast/form-models.js'
import { labelGrams, useAmountOf } from '../forecast/use-amounts.js'
import type { Form, PanStage } from '../item/form.js'
import type { ModelType } from '../item/model-type.js'
import { leftByReading, stageOfBare } from '../item/what-is-left.js'
import { seriesAt, type DatedEvent } from './package-events.js'
import { levelOfWord, type LevelWord, type ReadingKind } from './reading.js'

/** A reading of any kind with its time. */
export interface TimedReading {
  readonly kind: ReadingKind
  readonly value: number | null
  readonly stage: PanStage | null
  readonly word: LevelWord | null
  readonly partId: string | null
  readonly day: Day
  readonly moment: 'before-use' | 'after-use'
  readonly savedAt: string
  readonly resolution: number | null
  readonly doubtful: boolean
}

/** An event with what it cost and what it went into. */
export interface CostingEvent extends DatedEvent {
  /** The shade it happened to; null for the whole. */
  readonly partId: string | null
  readonly grams: number | null
  readonly share: number | null
  /** Weight of the container it went into; null where none, or not known. */
  readonly container: { readonly grams: number; readonly resolution: number } | null
}

export interface ThingMeasured {
  readonly type: ModelType
  readonly form: Form
  readonly content: { readonly amount: number; readonly unit: 'g' | 'ml' } | null
  readonly start: Start
  readonly finished: boolean
  /** Days on which it was used, each once, ascending. */
  readonly days: readonly Day[]
  /** By time. */
  readonly readings: readonly TimedReading[]
  readonly events: readonly CostingEvent[]
  readonly empties: readonly { readonly grams: number; readonly resolution: number; readonly cleaned: boolean }[]
  /** Its own weight when it was full, as far as it was noted apart from its readings. */
  readonly full: { readonly grams: number; readonly resolution: number } | null
}

/** Smallest step of a kitchen scale, where nobody said, g. Assumption. */
export const USUAL_STEP = 0.1
/** What is left when something was spilt, where nothing was read before. Assumption. */
const USUALLY_LEFT = 0.6
/** What the content model is fed from the readings, events and uses of one item. Doubtful readings count nowhere. */
export function contentFactsOf(thing: ThingMeasured): ContentFacts {
  const amount = useAmountOf(thing.type, thing.form)
  const label = labelGrams(thing.content, amount)
  const trusted = thing.readings.filter((reading) => !reading.doubtful && reading.partId === null)
  const full = fullOf(thing, trusted)
  const typical = labelGrams(amount.typicalLabel, amount) ?? 0
  const losses = thing.events.map((event) => ({ event, grams: lossOf(event, trusted, label ?? typical) }))
  const seen = trusted.flatMap((reading): Seen[] => {
    const uses = usesAfter(thing.days, reading)
    const lost = losses.filter(({ event }) => isAfter(event, reading)).reduce((sum, { grams }) => sum + grams, 0)
    const { kind, value, stage, word } = reading
    switch (kind) {
      case 'gross': {
        const resolution = reading.resolution ?? USUAL_STEP
        return [{ kind, grams: value ?? 0, resolution, series: seriesAt(thing.events, reading), uses, lost }]
      }
      case 'level':
      case 'length':
        return [{ kind, share: value ?? 0, uses, lost }]
      case 'word':
        return [{ kind: 'level', share: levelOfWord(word ?? 'half'), uses, lost }]
      case 'stage':
      case 'bare': {
        const at = stage ?? (value === 0 ? 'no pan' : stageOfBare(value ?? 0))
        // What is pressed anew looks like a lot again: a stage seen since tells nothing.
        const pressed = thing.events.some((event) => event.kind === 'repressed' && !isAfter(event, reading))
        return pressed ? [] : [{ kind: 'stage', stage: at, uses, lost }]
      }
    }
  })
  return {
    amount,
    package: packageModelOf(thing.type, thing.form),
    label,
    handShift: 0,
    start: thing.start,
    uses: thing.days.length,
    lost: losses.reduce((sum, { grams }) => sum + grams, 0),
    series: 1 + seriesAt(thing.events, { day: '9999-12-31' as Day, savedAt: '' }),
    empties: [...thing.empties.map((empty): SeenEmpty => ({ ...empty, series: 0 })), ...containersIn(thing.events)],
    full,
    seen,
    finished: thing.finished,
  }
}

/** Its weight when full: a weighing before its first use of something that was new, else what was noted apart. */
function fullOf(thing: ThingMeasured, trusted: readonly TimedReading[]): ContentFacts['full'] {
  const first = trusted.find((reading) => reading.kind === 'gross')
  if (
    thing.start.kind === 'new' &&
    first &&
    usesAfter(thing.days, first) === thing.days.length &&
    seriesAt(thing.events, first) === 0
  )
    return { grams: first.value ?? 0, resolution: first.resolution ?? USUAL_STEP }
  return thing.full
}

/** Logged uses on or after a reading: the day's own only where it was read before that use. */
export function usesAfter(
  days: readonly Day[],
  at: { readonly day: Day; readonly moment: TimedReading['moment'] },
): number {
  return days.filter((day) => day > at.day || (day === at.day && at.moment === 'before-use')).length
}

function isAfter(event: DatedEvent, reading: { day: Day; savedAt: string }): boolean {
  return event.day > reading.day || (event.day === reading.day && event.savedAt >= reading.savedAt)
}

/** A share of what was left is computed by what was read before it. */
function lossOf(event: CostingEvent, readings: readonly TimedReading[], full: number): number {
  if (event.grams !== null) return event.grams
  if (event.share === null) return 0
  const before = readings.findLast((reading) => reading.kind !== 'gross' && isAfter(event, reading))
  const left =
    before === undefined || before.kind === 'gross' ? USUALLY_LEFT : leftByReading({ ...before, kind: before.kind })
  return event.share * full * left
}

/** The weights of containers, each for the series it began. */
function containersIn(events: readonly CostingEvent[]): SeenEmpty[] {
  return events.flatMap((event) => {
    if (event.container === null) return []
    // The series that the event begins is the one right after it.
    const series = seriesAt(events, { day: event.day, savedAt: event.savedAt }) + 1
    return [{ ...event.container, cleaned: true, series }]
  })
}
