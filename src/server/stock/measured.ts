import { contentOf, type ContentEstimate, type Start } from '#core/forecast/content'
import {
  contentFactsOf,
  USUAL_STEP,
  type CostingEvent,
  type ThingMeasured,
  type TimedReading,
} from '#core/measure/content-facts'
import type { Day } from '#core/calendar/day'
import type { Db } from '../db/query.js'
import type { ItemFacts } from './item-facts.js'
import {
  measuredQueries,
  type EventRow,
  type MeasurementRow,
  type PackageWeightRow,
  type PanReadingRow,
} from './measured-queries.js'
import type { Look, SheetReading } from '#core/measure/sheet'
import type { LookView } from '#contract/check-in'

/** What of an item bears on how much is left of it. */
export type Measurable = Pick<
  ItemFacts,
  'id' | 'modelType' | 'form' | 'content' | 'usesBefore' | 'lifecycle' | 'opening' | 'wears'
>

export interface Measured {
  readonly readings: readonly MeasurementRow[]
  readonly events: readonly EventRow[]
  readonly weights: readonly PackageWeightRow[]
  readonly days: readonly Day[]
  /** The first day of the user's log, or the day it was written down where that was before. */
  readonly first: Day | null
}

/** Reads what was measured of items, and computes what is left of them. */
export class MeasuredThings {
  readonly #queries

  constructor(db: Db) {
    this.#queries = measuredQueries(db)
  }

  /** Ids of those of these items that were ever weighed. */
  weighed(list: string): Set<string> {
    return new Set(this.#queries.weighed.all(list).map((row) => row.item_id))
  }

  of(id: string): Measured {
    return {
      readings: this.#queries.readings.all(id),
      events: this.#queries.events.all(id),
      weights: this.#queries.weightsOfKind.all(id),
      days: this.#queries.days.all(id).map((row) => row.day),
      first: this.#queries.firstDay.get({ id })?.day ?? null,
    }
  }

  /** What was read and what happened, with the uses from a day on: what a stretch needs. */
  since(id: string, from: Day): Pick<Measured, 'readings' | 'events' | 'days'> {
    return {
      readings: this.#queries.readings.all(id),
      events: this.#queries.events.all(id),
      days: this.#queries.daysFrom.all({ id, from }).map((row) => row.day),
    }
  }

  pansOf(id: string): ReadonlyMap<string, PanReadingRow> {
    return new Map(this.#queries.pansOf.all(id).map((row) => [row.measurement_id, row]))
  }

  /**
   * The share left on a day by weighings, where nothing tells it by eye: what is left now and what was used since. Null where it
   * was not weighed by then.
   */
  shareOn(item: Measurable): { readonly first: Day; readonly on: (day: Day) => number } | null {
    const measured = this.of(item.id)
    const first = measured.readings.find((row) => row.kind === 'gross' && row.doubtful === 0)
    const content = first ? this.content(item, measured) : null
    if (!first || !content || content.share.middle <= 0) return null
    const full = content.grams.middle / content.share.middle
    return {
      first: first.day,
      on: (day) => {
        const since = measured.days.filter((each) => each > day).length
        return Math.min(1, (content.grams.middle + content.perUse.middle * since) / full)
      },
    }
  }

  /** What is left of each shade that anything was ever read of. */
  shades(
    item: Measurable & { readonly parts: readonly Shade[] },
    measured: Measured,
  ): { readonly partId: string; readonly thing: ThingMeasured; readonly content: ContentEstimate }[] {
    if (item.parts.length === 0) return []
    const days = this.#queries.shadeDays.all(item.id)
    return item.parts.flatMap((part) => {
      const used = days.filter((row) => row.part_id === part.id).map((row) => row.day)
      const thing = shadeOf(item, part, item.parts, measured, used)
      return thing.readings.some((reading) => !reading.doubtful)
        ? [{ partId: part.id, thing, content: contentOf(contentFactsOf(thing)) }]
        : []
    })
  }

  /** What is left by everything measured; null where nothing ever was. */
  content(item: Measurable, measured: Measured = this.of(item.id)): ContentEstimate | null {
    const thing = thingOf(item, measured)
    return thing.readings.some((reading) => !reading.doubtful && reading.partId === null)
      ? contentOf(contentFactsOf(thing))
      : null
  }
}

/** Of a palette, what bears on how much is left of each shade. */
export type Shade = Pick<
  ItemFacts['parts'][number],
  'id' | 'form' | 'rowSpan' | 'colSpan' | 'finishedOn' | 'depottedOn'
>

/**
 * A shade as an item: the label by its share of the cells' area, with its own form, days, readings and mishaps. What happened to
 * the whole happened to every shade; a weight is of the whole.
 */
export function shadeOf(
  item: Measurable,
  part: Shade,
  parts: readonly Shade[],
  measured: Measured,
  days: readonly Day[],
): ThingMeasured {
  const area = ({ rowSpan, colSpan }: Shade): number => rowSpan * colSpan
  // The label is of what is still in the palette.
  const within = parts.filter((each) => each.depottedOn === null || each.id === part.id)
  const share = area(part) / within.reduce((sum, each) => sum + area(each), 0)
  const whole = thingOf(item, { ...measured, weights: [], days })
  return {
    ...whole,
    form: part.form ?? item.form,
    content: item.content && { ...item.content, amount: item.content.amount * share },
    finished: part.finishedOn !== null,
    readings: whole.readings
      .filter((reading) => reading.partId === part.id)
      .map((reading) => ({ ...reading, partId: null })),
    events: whole.events.filter((event) => event.partId === null || event.partId === part.id),
  }
}

export function thingOf(item: Measurable, { readings, events, weights, days, first }: Measured): ThingMeasured {
  const own = weights.findLast((row) => row.state === 'full' && row.item_id === item.id)
  return {
    type: item.modelType,
    form: item.form,
    content: item.content,
    start: startOf(item, first),
    finished: item.lifecycle === 'finished',
    days,
    readings: readings.map(timedReading),
    events: events.map(costingEvent),
    empties: weights
      .filter((row) => row.state !== 'full')
      .map((row) => ({ grams: row.grams, resolution: row.resolution ?? USUAL_STEP, cleaned: row.state === 'cleaned' })),
    full: own ? { grams: own.grams, resolution: own.resolution ?? USUAL_STEP } : null,
  }
}

/**
 * How it started by what is said of it. Opened inside the log is new; opened before it is as full as its stated uses say, or
 * not known.
 */
function startOf({ opening, usesBefore, wears }: Measurable, first: Day | null): Start {
  const uses = usesBefore ?? 0
  if (uses > 0 && opening.by !== 'tick') return { kind: 'stated', uses }
  const earliest = opening.within?.earliest ?? opening.notBefore
  const isNew =
    usesBefore === 0 ||
    opening.by === 'tick' ||
    (opening.kind === 'unopened' && wears === 0) ||
    (first !== null && earliest !== null && earliest >= first)
  return { kind: isNew ? 'new' : 'unknown' }
}

export function timedReading(row: MeasurementRow): TimedReading {
  return {
    kind: row.kind,
    value: row.value,
    stage: row.stage,
    word: row.word,
    partId: row.part_id,
    day: row.day,
    moment: row.moment,
    savedAt: row.saved_at,
    resolution: row.resolution,
    doubtful: row.doubtful === 1,
  }
}

export function costingEvent(row: EventRow): CostingEvent {
  return {
    day: row.day,
    savedAt: row.saved_at,
    kind: row.kind,
    partId: row.part_id,
    grams: row.grams,
    share: row.share,
    container:
      row.container_grams === null
        ? null
        : { grams: row.container_grams, resolution: row.container_resolution ?? USUAL_STEP },
  }
}

export function sheetReading(row: MeasurementRow): SheetReading {
  return { ...timedReading(row), id: row.id, checkInId: row.check_in_id }
}

export function lookView(look: Look | null): LookView | null {
  if (look === null) return null
  return {
    day: look.day,
    gross: look.gross && {
      id: look.gross.id,
      grams: look.gross.value ?? 0,
      resolution: look.gross.resolution ?? 0.1,
      day: look.gross.day,
    },
    reading: look.eye && { ...shown(look.eye), id: look.eye.id },
    parts: look.parts.map((part) => ({ partId: part.partId ?? '', id: part.id, reading: shown(part) })),
  }
}

type Shown = NonNullable<LookView['reading']>
function shown({ kind, value, stage, word, day }: SheetReading): Omit<Shown, 'id'> {
  return { kind: kind === 'gross' ? 'level' : kind, value, stage, word, day }
}
