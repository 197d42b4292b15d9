import { fieldsIn } from './item-columns.js'
import { addDays, type Day } from '#core/calendar/day'
import type { CalmStretch, PlannedWeek } from '#core/calendar/planned-week'
import { reachOf, type InReach, type Reach } from '#core/decide/reach'
import { callOf } from '#core/item/naming'
import { seasonOn, type Season } from '#core/item/traits'
import { lifecycleOf } from '#core/item/opening'
import { contentOn, type DatedReading } from '#core/item/what-is-left'
import { plannedUntil } from '#core/plan/schedule/in-force'
import { nextTen, type UpNext } from '#core/plan/up-next'
import type { PlanWeek } from '#core/plan/schedule/span'
import type { GoalView, ItemSummary, PartSummary } from '#contract/item'
import type { Reading } from '#contract/reading'
import type { Settings } from '#contract/settings'
import type { Db } from '../db/query.js'
import type { TouchedRow } from '../db/journal.js'
import { dayOfNthWear, wearDaysBetween } from '#core/calendar/wear-days'
import { goalViewOf, shownGoal, type GoalContext } from './goal-view.js'
import { factsOf, openingOfRow, summaryOf, type ItemFacts, swatchGuess } from './item-facts.js'
import { stockQueries } from './queries.js'
import { MeasuredThings, type Measurable } from './measured.js'
import { Remembered } from './remembered.js'
import type { ItemRow, PartRow, PlanLineOfRow, ReadingRow, StayRow } from './rows.js'
import { HouseWeek } from './week.js'

const LOOK_AHEAD_DAYS = 366 * 5

export interface GoalOfStay {
  readonly goal: GoalView
  readonly stay: StayRow
}

/** What every goal is computed with on a day; two days or collections with the same key compute alike. */
interface Rhythm {
  readonly day: Day
  readonly week: PlannedWeek
  readonly weeks: number
  readonly calm: readonly CalmStretch[]
  readonly key: string
}

/** Reads what the server knows of items: facts from the tables, figures from the core. */
export class Stock {
  readonly days: HouseWeek
  readonly measured: MeasuredThings
  readonly #queries
  readonly #db: Db
  readonly #settings: () => Settings
  readonly #remembered: Remembered
  /** What every goal is computed with, kept until a change may have touched it. */
  #rhythm: Rhythm | null = null
  #present: readonly string[] | null = null

  constructor(db: Db, settings: () => Settings) {
    this.#db = db
    this.#settings = settings
    this.#queries = stockQueries(db)
    this.days = new HouseWeek(this.#queries, settings)
    this.measured = new MeasuredThings(db)
    this.#remembered = new Remembered(
      (partId) => this.#queries.itemOfPart.get(partId)?.item_id ?? null,
      (itemId) => this.#queries.productOf.get(itemId)?.product_id ?? null,
    )
  }

  /** Drops what is kept in memory of what a change touched. */
  forget(touched: readonly TouchedRow[]): void {
    this.#rhythm = null
    if (touched.some(({ tbl }) => tbl === 'item')) this.#present = null
    this.#remembered.forget(touched)
  }

  /** Ids of the items that are there, unopened or open; kept until an item changes. */
  presentIds(): readonly string[] {
    if (this.#db.inTransaction) return this.#queries.presentIds.all().map((row) => row.id)
    return (this.#present ??= this.#queries.presentIds.all().map((row) => row.id))
  }

  /** What is up next, in the user's own order. */
  upNext(): UpNext[] {
    return this.#queries.upNext.all().map((row, n) => ({ ...row, place: n + 1 }))
  }

  /** The next ten as far as they are meant for this season, by item. */
  nextTen(today: Day): ReadonlyMap<string, UpNext> {
    return nextTen(this.upNext(), seasonOn(today, this.#settings().hemisphere))
  }

  /** The week of wear days, planned or learned, with the number of weeks it was learned from (0 = planned). */
  week(today: Day): { week: PlannedWeek; weeks: number } {
    const { week, weeks } = this.#rhythmOn(today)
    return { week, weeks }
  }

  /** Wear days to be expected from one day to another, both included. */
  wearDaysBetween(from: Day, to: Day): number {
    const { week, calm } = this.#rhythmOn(from)
    return wearDaysBetween(from, to, week, calm)
  }

  /** The day by which so many wear days are to be expected; null where that is not within five years. */
  dayOfWears(wearDays: number, from: Day): Day | null {
    const { week, calm } = this.#rhythmOn(from)
    return dayOfNthWear(wearDays, from, addDays(from, LOOK_AHEAD_DAYS), week, calm)
  }

  /** Days on which makeup was worn, in order. */
  wearDays(span: { readonly from: Day; readonly to: Day }): Day[] {
    return this.#queries.makeupDays.all(span).map(({ day }) => day)
  }

  /** How often each item was reached for out of its chances within a span, whose wear days these are. */
  reachIn(
    span: { readonly from: Day; readonly to: Day },
    wearDays: readonly Day[],
    wornOn: ReadonlyMap<string, ReadonlySet<Day>>,
  ): ReadonlyMap<string, Reach> {
    return reachOf(wearDays, this.staysIn(span), wornOn, this.#settings().hemisphere)
  }

  /** Stays in the drawer that touch a span. */
  staysIn(span: { readonly from: Day; readonly to: Day }): InReach[] {
    return this.#queries.inReach.all(span).map(({ item_id: itemId, kind, seasons, from_day: from, to_day: to }) => ({
      itemId,
      kind,
      seasons: JSON.parse(seasons) as Season[],
      from,
      to,
    }))
  }

  /** One item, or null when there is none under this id. */
  one(id: string, today: Day): ItemFacts | null {
    return this.facts([id], today)[0] ?? null
  }

  /** Every goal of these items, those of ended stays included, by item. */
  goals(ids: readonly string[], today: Day): Map<string, GoalOfStay[]> {
    const list = JSON.stringify(ids)
    return this.#goals(list, today, this.#queries.items.all(list), this.#parts(list), this.#readings(list))
  }

  /** The same as they stood at the end of an earlier day: by the wears and readings up to it, and none of the plan. */
  goalsOn(day: Day, ids: readonly string[], today: Day): Map<string, GoalOfStay[]> {
    const list = JSON.stringify(ids)
    return this.#goals(list, today, this.#queries.items.all(list), this.#parts(list), this.#readings(list), day)
  }

  /** The items of these ids in makeup order; ids that are not there are left out. */
  facts(ids: readonly string[], today: Day): ItemFacts[] {
    // Within a change rows are as they are only if it succeeds: nothing of that is kept.
    if (this.#db.inTransaction) return this.#read(ids, today)
    const wanted = [...new Set(ids)]
    const { known, unknown } = this.#remembered.recall(wanted, today, this.#rhythmOn(today).key)
    if (unknown.length > 0) {
      const read = this.#read(unknown, today)
      this.#remembered.keep(read, today)
      known.push(...read)
    }
    return this.#remembered.inOrder(known)
  }

  /** What these items are called, by id; those that are not there are left out. */
  names(ids: readonly string[]): Map<string, string> {
    return new Map(this.#queries.names.all(JSON.stringify(ids)).map((row) => [row.id, callOf(row)]))
  }

  /** The same as lists show them. */
  summaries(ids: readonly string[], today: Day): ItemSummary[] {
    return this.facts(ids, today).map(summaryOf)
  }

  /** Summaries as a JSON array: thousands of items are not written anew for every reader. */
  json(items: readonly ItemFacts[]): string {
    return this.#remembered.jsonOf(items, summaryOf)
  }

  #rhythmOn(today: Day): Rhythm {
    if (this.#rhythm?.day === today && !this.#db.inTransaction) return this.#rhythm
    const found = this.#rhythmAsOf(today)
    if (!this.#db.inTransaction) this.#rhythm = found
    return found
  }

  #rhythmAsOf(day: Day): Rhythm {
    const { week, weeks } = this.days.known(day)
    const calm = this.days.calm(day)
    return { day, week, weeks, calm, key: JSON.stringify([week, calm]) }
  }

  #read(ids: readonly string[], today: Day): ItemFacts[] {
    const list = JSON.stringify(ids)
    const rows = this.#queries.items.all(list)
    const spans = byKey(this.#queries.wearSpans.all(list), (row) => row.item_id)
    const readings = this.#readings(list)
    const placements = byKey(this.#queries.placements.all(list), (row) => row.item_id)
    const parts = this.#parts(list)
    const goals = this.#goals(list, today, rows, parts, readings)
    const siblings = this.#siblings(list)
    const weighed = this.measured.weighed(list)
    return rows.map((row) => {
      const own = parts.get(row.id) ?? []
      const read = readings.get(row.id) ?? []
      const active = (goals.get(row.id) ?? []).filter(({ stay }) => stay.rolled_out === null)
      const others = (siblings.get(row.product_id) ?? []).filter((each) => each.id !== row.id)
      const facts = factsOf(row, {
        span: spans.get(row.id),
        placement: placements.get(row.id),
        parts: own.map((part) => partOf(part, read)),
        reading: lastOf(read, null),
        contents: contentOn(
          read,
          own.map((part) => part.id),
          today,
        ),
        goal: shownGoal(
          active.filter(({ stay }) => stay.beside === 0).map(({ goal, stay }) => ({ goal, pinned: stay.pinned === 1 })),
        ),
        siblings: {
          unopened: others.filter((each) => each.lifecycle === 'unopened').length,
          open: others.filter((each) => each.lifecycle === 'open').length,
        },
        today,
      })
      // What was read by eye is shown as it was read; weighings alone are an estimate.
      if (!weighed.has(row.id) || facts.reading !== null || own.length > 0) return facts
      const share = this.measured.content(facts)?.share
      return share === undefined ? facts : { ...facts, estimate: { low: share.low, high: share.high } }
    })
  }

  #goals(
    list: string,
    today: Day,
    rows: readonly ItemRow[],
    parts: ReadonlyMap<string, PartRow[]>,
    readings: ReadonlyMap<string, DatedReading[]>,
    asOf: Day | null = null,
  ): Map<string, GoalOfStay[]> {
    const stays = asOf === null ? this.#queries.stays.all(list) : staysOn(asOf, this.#queries.stays.all(list))
    if (stays.length === 0) return new Map()
    const days = new Map<string, Day[]>()
    const inStays = JSON.stringify([...new Set(stays.map((stay) => stay.item_id))])
    for (const row of this.#queries.wearDays.all(inStays)) push(days, row.item_id, row.day)
    const partIds = stays.flatMap((stay) => stay.part_id ?? [])
    if (partIds.length > 0)
      for (const row of this.#queries.partDays.all(JSON.stringify(partIds))) push(days, row.part_id, row.day)
    const items = byKey(rows, (row) => row.id)
    // As it was learned then: what is ticked later moves nothing that is over.
    const { week, calm } = asOf === null ? this.#rhythmOn(today) : this.#rhythmAsOf(asOf)
    const weighed = this.measured.weighed(inStays)
    const plans = new Map(
      asOf === null ? this.#queries.planLines.all(inStays).map((row) => [row.item_id, planned(row, today)]) : [],
    )
    const by = <T extends { readonly day: Day }>(all: readonly T[]): readonly T[] =>
      asOf === null ? all : all.filter((each) => each.day <= asOf)
    const found = new Map<string, GoalOfStay[]>()
    for (const stay of stays) {
      const own = parts.get(stay.item_id) ?? []
      const part = own.find((each) => each.id === stay.part_id)
      const item = items.get(stay.item_id)
      const all = by(readings.get(stay.item_id) ?? [])
      const used = days.get(stay.part_id ?? stay.item_id) ?? []
      const finishedOn = item?.ended_as === 'finished' ? item.ended_on : null
      const goal = goalViewOf(stay, {
        today: asOf ?? today,
        week,
        away: calm,
        days: asOf === null ? used : used.filter((day) => day <= asOf),
        readings: part ? all.filter((each) => each.partId === part.id) : all,
        partIds: part ? [part.id] : own.map((each) => each.id),
        weighed:
          item && weighed.has(item.id) && all.length === 0 && !part
            ? this.measured.shareOn(measurableOf(item, days.get(item.id) ?? []))
            : null,
        finishedOn: part?.finished_on ?? finishedOn,
        ended: endedBy(asOf, item?.ended_on ?? part?.finished_on ?? null),
        partName: part?.name ?? null,
        plan: plans.get(stay.item_id) ?? null,
      })
      push(found, stay.item_id, { goal, stay })
    }
    return found
  }

  #parts(list: string): Map<string, PartRow[]> {
    const found = new Map<string, PartRow[]>()
    for (const row of this.#queries.parts.all(list)) push(found, row.item_id, row)
    return found
  }

  #readings(list: string): Map<string, DatedReading[]> {
    const found = new Map<string, DatedReading[]>()
    for (const row of this.#queries.readings.all(list)) push(found, row.item_id, datedReading(row))
    return found
  }

  /** Those of the same products, by product, with how far along they are. */
  #siblings(list: string): Map<string, { id: string; lifecycle: ItemFacts['lifecycle'] }[]> {
    const found = new Map<string, { id: string; lifecycle: ItemFacts['lifecycle'] }[]>()
    for (const row of this.#queries.siblings.all(list))
      push(found, row.product_id, { id: row.id, lifecycle: lifecycleOf(openingOfRow(row, row.first_worn), null) })
    return found
  }
}

/** What of a row bears on how much is left of it. */
function measurableOf(row: ItemRow, days: readonly Day[]): Measurable {
  const opening = openingOfRow(row, days[0] ?? null)
  const { form, content, usesBefore } = fieldsIn(row)
  return {
    id: row.id,
    modelType: row.model_type,
    form,
    content,
    usesBefore,
    lifecycle: lifecycleOf(opening, row.ended_as),
    opening,
    wears: days.length,
  }
}

function partOf(row: PartRow, readings: readonly DatedReading[]): PartSummary {
  return {
    id: row.id,
    name: row.name,
    colour: row.colour,
    guess: row.colour === null ? swatchGuess({ shade: row.name, name: '', kind: 'eyeshadow' }) : null,
    finish: row.finish,
    row: row.row,
    col: row.col,
    rowSpan: row.row_span,
    colSpan: row.col_span,
    shape: row.shape,
    form: row.form,
    reading: lastOf(readings, row.id),
    uses: row.uses,
    finishedOn: row.finished_on,
    depottedOn: row.depotted_on,
  }
}

function lastOf(readings: readonly DatedReading[], partId: string | null): Reading | null {
  const last = readings.findLast((reading) => reading.partId === partId)
  return last === undefined ? null : shownReading(last)
}

function shownReading({ kind, value, stage, word, day }: DatedReading): Reading {
  return { kind, value, stage, word, day }
}

function datedReading(row: ReadingRow): DatedReading {
  const { part_id: partId, saved_at: savedAt, kind, value, stage, word, day, moment } = row
  return { partId, savedAt, kind, value, stage, word, day, moment }
}

function byKey<T>(rows: readonly T[], key: (row: T) => string): Map<string, T> {
  return new Map(rows.map((row) => [key(row), row]))
}

function push<K, V>(map: Map<K, V[]>, key: K, value: V): void {
  const list = map.get(key)
  if (list) list.push(value)
  else map.set(key, [value])
}

/** Uses planned up to yesterday: today is not over. */
function planned({ adopted_on: since, uses, needed, weeks }: PlanLineOfRow, today: Day): GoalContext['plan'] {
  const plan = { weeks: JSON.parse(weeks) as PlanWeek[] }
  return { since, planned: plannedUntil(plan, JSON.parse(uses) as number[], addDays(today, -1)), needed }
}

/** The stays there were on a day; one that ended later was going on. */
function staysOn(day: Day, stays: readonly StayRow[]): StayRow[] {
  return stays
    .filter((stay) => stay.rolled_in <= day)
    .map((stay) =>
      stay.rolled_out !== null && stay.rolled_out > day ? { ...stay, rolled_out: null, out_reason: null } : stay,
    )
}

function endedBy(asOf: Day | null, endedOn: Day | null): boolean {
  return endedOn !== null && (asOf === null || endedOn <= asOf)
}
