import { addDays, fieldsOf, type Day } from '#core/calendar/day'
import {
  LEARN_FROM_WEEKS,
  learnedWeek,
  yearlyStretches,
  type CalmStretch,
  type PlannedWeek,
} from '#core/calendar/planned-week'
import type { DayRange } from '#core/calendar/when'
import type { Opened } from '#core/item/opened'
import { bareAtStage, leftByReading } from '#core/item/what-is-left'
import { defaultPaoMonths } from '#core/shelf-life/default-pao'
import { shelfLifeOf } from '#core/shelf-life/last-good-day'
import { lifetimeUses } from '#core/wear/tally'
import type { GoalView, ItemSummary, PartSummary, Reading } from '#contract/item'
import type { Settings } from '#contract/settings'
import type { Db } from '../db/open-database.js'
import type { TouchedRow } from '../db/journal.js'
import { goalViewOf, shownGoal } from './goal-view.js'
import { stockQueries } from './queries.js'
import { Remembered } from './remembered.js'
import type { ItemRow, PartRow, ReadingRow, StayRow } from './rows.js'

/** Low seasons are reckoned for stays this far back and dates this far ahead. */
const YEARS_BACK = 10
const YEARS_AHEAD = 6

/** Reads items as every place shows them: facts from the tables, figures from the core. */
export class Stock {
  readonly #queries
  readonly #settings: () => Settings
  readonly #db: Db
  readonly #remembered: Remembered

  constructor(db: Db, settings: () => Settings) {
    this.#db = db
    this.#queries = stockQueries(db)
    this.#settings = settings
    this.#remembered = new Remembered((partId) => this.#queries.itemOfPart.get(partId)?.item_id ?? null)
  }

  /** Drops what is kept in memory of the items that a change touched. */
  forget(touched: readonly TouchedRow[]): void {
    this.#remembered.forget(touched)
  }

  /** Ids of the items that are there, unopened or open. */
  presentIds(): string[] {
    return this.#queries.presentIds.all().map((row) => row.id)
  }

  /** The week of wear days she plans, or as learned from the log. */
  week(today: Day): { week: PlannedWeek; learned: boolean } {
    const ticked = this.#settings().plannedWeek.map(Number) as unknown as PlannedWeek
    const until = addDays(today, -1)
    const from = addDays(today, -7 * LEARN_FROM_WEEKS)
    const days = new Set(this.#queries.makeupDaysSince.all(from).map((row) => row.day))
    return learnedWeek(ticked, days, this.#queries.loggedSince.get()?.day ?? null, until)
  }

  /** Days away, and the low seasons of the years around today. */
  calm(today: Day): CalmStretch[] {
    const { year } = fieldsOf(today)
    const seasons = this.#queries.lowSeasons
      .all()
      .flatMap(({ from_day: from, to_day: to, factor }) =>
        yearlyStretches({ from, to, factor }, year - YEARS_BACK, year + YEARS_AHEAD),
      )
    return [...this.#queries.away.all(), ...seasons]
  }

  /** One item, or null when there is none under this id. */
  one(id: string, today: Day): ItemSummary | null {
    return this.summaries([id], today)[0] ?? null
  }

  /** Every goal of these items, those of ended stays included, by item. */
  goals(ids: readonly string[], today: Day): Map<string, { goal: GoalView; stay: StayRow }[]> {
    const list = JSON.stringify(ids)
    const readings = byKey(this.#queries.latestReadings.all(list), (row) => row.item_id)
    return this.#goals(list, today, this.#queries.items.all(list), this.#parts(list), readings)
  }

  /** The items of these ids in the order of a face; ids that are not there are left out. */
  summaries(ids: readonly string[], today: Day): ItemSummary[] {
    // Within a change rows are as they are only if it succeeds: nothing of that is kept.
    if (this.#db.inTransaction) return this.#read(ids, today).map(({ summary }) => summary)
    const wanted = [...new Set(ids)]
    const { known, unknown } = this.#remembered.recall(wanted, today)
    if (unknown.length > 0) {
      const read = this.#read(unknown, today)
      this.#remembered.keep(read, today)
      known.push(...read.map(({ summary }) => summary))
    }
    return this.#remembered.inOrder(known)
  }

  /** Summaries as a JSON array: thousands of items are not written anew for every reader. */
  json(items: readonly ItemSummary[]): string {
    return this.#remembered.jsonOf(items)
  }

  #read(ids: readonly string[], today: Day): { summary: ItemSummary; productId: string }[] {
    const list = JSON.stringify(ids)
    const rows = this.#queries.items.all(list)
    const spans = byKey(this.#queries.wearSpans.all(list), (row) => row.item_id)
    const readings = byKey(this.#queries.latestReadings.all(list), (row) => row.item_id)
    const placements = byKey(this.#queries.placements.all(list), (row) => row.item_id)
    const parts = this.#parts(list)
    const goals = this.#goals(list, today, rows, parts, readings)
    return rows.map((row) => {
      const span = spans.get(row.id)
      const placement = placements.get(row.id)
      const own = parts.get(row.id) ?? []
      const reading = readings.get(row.id)
      const wears = span?.wears ?? 0
      const active = (goals.get(row.id) ?? []).filter(({ stay }) => stay.rolled_out === null)
      const summary: ItemSummary = {
        id: row.id,
        version: row.version,
        maker: row.maker,
        name: row.name,
        shade: row.shade,
        categoryId: row.category_id,
        category: row.category,
        faceOrder: row.face_order,
        makeup: row.makeup === 1,
        eye: row.eye === 1,
        lip: row.lip === 1,
        wornAs: row.worn_as,
        wornAsId: row.worn_as_id,
        homeZoneId: row.home_zone_id,
        form: row.form,
        colour: row.colour,
        finish: row.finish,
        opaque: row.opaque === 1,
        slots: row.slots,
        lifecycle: row.lifecycle,
        endedOn: row.ended_on,
        endedRoughly: row.ended_roughly === 1,
        location: row.location,
        isBackup: row.lifecycle === 'unopened' && row.open_siblings > 0,
        backups: row.lifecycle === 'open' ? row.backups : 0,
        content: contentOf(row),
        priceMinor: row.price_minor,
        source: row.source,
        acquired: acquiredOf(row),
        opened: openedOf(row),
        paoMonths: row.pao_months,
        expiry: row.expiry,
        sunProtection: row.sun_protection === 1,
        usesBefore: row.uses_before,
        wears,
        uses: lifetimeUses(row.uses_before, wears),
        firstWorn: span?.first_worn ?? null,
        lastWorn: span?.last_worn ?? null,
        liking: row.liking,
        notes: row.notes,
        structure: row.structure,
        usedAs: row.used_as,
        format: row.format,
        undertone: row.undertone,
        depth: row.depth,
        seasons: JSON.parse(row.seasons) as ItemSummary['seasons'],
        availability: row.availability,
        spf: row.spf,
        packageStates: JSON.parse(row.package_states) as ItemSummary['packageStates'],
        brushes: row.brushes,
        kit: row.kit,
        reading: reading ? readingOf(reading) : null,
        left: leftOf(reading, own),
        parts: own,
        shelfLife: shelfLifeOf({
          opened: openedOf(row),
          acquired: acquiredOf(row),
          firstWear: span?.first_worn ?? null,
          paoMonths: row.pao_months,
          usualPaoMonths: defaultPaoMonths(row.model_type, row.form, row.eye === 1),
          expiry: row.expiry,
          signSeen: row.sign_day === null ? null : { day: row.sign_day, words: row.sign_words ?? '' },
          sunProtection: row.sun_protection === 1,
          atEye: row.eye === 1,
          today,
        }),
        placement: placement
          ? {
              zoneId: placement.zone_id,
              since: placement.from_day,
              position: placement.position,
              beside: placement.beside === 1,
            }
          : null,
        restingUntil: row.location_until,
        goal: shownGoal(
          active.filter(({ stay }) => stay.beside === 0).map(({ goal, stay }) => ({ goal, pinned: stay.pinned === 1 })),
        ),
        onTrial: row.on_trial > 0,
      }
      return { summary, productId: row.product_id }
    })
  }

  #goals(
    list: string,
    today: Day,
    rows: readonly ItemRow[],
    parts: ReadonlyMap<string, PartSummary[]>,
    readings: ReadonlyMap<string, ReadingRow>,
  ): Map<string, { goal: GoalView; stay: StayRow }[]> {
    const stays = this.#queries.stays.all(list)
    if (stays.length === 0) return new Map()
    const days = new Map<string, Day[]>()
    const inStays = JSON.stringify([...new Set(stays.map((stay) => stay.item_id))])
    for (const row of this.#queries.wearDays.all(inStays)) push(days, row.item_id, row.day)
    const partIds = stays.flatMap((stay) => stay.part_id ?? [])
    if (partIds.length > 0)
      for (const row of this.#queries.partDays.all(JSON.stringify(partIds))) push(days, row.part_id, row.day)
    const items = byKey(rows, (row) => row.id)
    const week = this.week(today).week
    const away = this.calm(today)
    const found = new Map<string, { goal: GoalView; stay: StayRow }[]>()
    for (const stay of stays) {
      const own = parts.get(stay.item_id) ?? []
      const part = own.find((each) => each.id === stay.part_id)
      const reading = part ? part.reading : readingOrNull(readings.get(stay.item_id))
      const goal = goalViewOf(stay, {
        today,
        week,
        away,
        days: days.get(stay.part_id ?? stay.item_id) ?? [],
        left: part
          ? reading === null
            ? null
            : leftByReading(asCore(reading))
          : leftOf(readings.get(stay.item_id), own),
        bare: bareOf(reading),
        finished: items.get(stay.item_id)?.lifecycle === 'finished' || (part?.finishedOn ?? null) !== null,
        partName: part?.name ?? null,
      })
      push(found, stay.item_id, { goal, stay })
    }
    return found
  }

  #parts(list: string): Map<string, PartSummary[]> {
    const rows = this.#queries.parts.all(list)
    const found = new Map<string, PartSummary[]>()
    if (rows.length === 0) return found
    const readings = byKey(this.#queries.latestPartReadings.all(list), (row) => row.part_id ?? '')
    for (const row of rows) push(found, row.item_id, partOf(row, readings.get(row.id)))
    return found
  }
}

function partOf(row: PartRow, reading: ReadingRow | undefined): PartSummary {
  return {
    id: row.id,
    name: row.name,
    colour: row.colour,
    finish: row.finish,
    row: row.row,
    col: row.col,
    rowSpan: row.row_span,
    colSpan: row.col_span,
    shape: row.shape,
    form: row.form,
    reading: reading ? readingOf(reading) : null,
    uses: row.uses,
    finishedOn: row.finished_on,
  }
}

export function readingOf(row: Omit<ReadingRow, 'item_id' | 'part_id'>): Reading {
  return { kind: row.kind, value: row.kind === 'stage' ? null : row.value, stage: row.stage, day: row.day }
}

function readingOrNull(row: ReadingRow | undefined): Reading | null {
  return row === undefined ? null : readingOf(row)
}

/** Bare share of a pan by its last stage; null where no stage was seen. */
export function bareOf(reading: Reading | null): number | null {
  const stage = reading?.stage ?? null
  return stage === null ? null : bareAtStage(stage)
}

/** What is left of an item by its last reading; of a palette, the mean over its shades read so far. */
function leftOf(reading: ReadingRow | undefined, parts: readonly PartSummary[]): number | null {
  if (reading) return leftByReading(asCore(readingOf(reading)))
  const read = parts.flatMap((part) => (part.reading ? [leftByReading(asCore(part.reading))] : []))
  if (read.length === 0 || read.length < parts.length) return null
  return read.reduce((sum, share) => sum + share, 0) / read.length
}

function asCore(reading: Reading): Parameters<typeof leftByReading>[0] {
  if (reading.kind === 'stage') return { kind: 'stage', stage: reading.stage ?? 'untouched' }
  return { kind: reading.kind, value: reading.value ?? 1 }
}

function contentOf(row: ItemRow): ItemSummary['content'] {
  if (row.content_amount === null || row.content_unit === null) return null
  return { amount: row.content_amount, unit: row.content_unit }
}

function acquiredOf(row: ItemRow): DayRange | null {
  if (row.acquired_earliest === null || row.acquired_latest === null) return null
  return { earliest: row.acquired_earliest, latest: row.acquired_latest }
}

function openedOf(row: ItemRow): Opened {
  if (row.opened_kind !== 'range') return { kind: row.opened_kind }
  return {
    kind: 'range',
    earliest: row.opened_earliest ?? ('' as Day),
    latest: row.opened_latest ?? ('' as Day),
    said: row.opened_said ?? '',
  }
}

function byKey<T>(rows: readonly T[], key: (row: T) => string): Map<string, T> {
  return new Map(rows.map((row) => [key(row), row]))
}

function push<K, V>(map: Map<K, V[]>, key: K, value: V): void {
  const list = map.get(key)
  if (list) list.push(value)
  else map.set(key, [value])
}
