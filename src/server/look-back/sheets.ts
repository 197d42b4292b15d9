import { groupBy, sum } from '#core/lists/grouping'
import { addDays, daysBetween, earlier, later, type Day } from '#core/calendar/day'
import { looksIn, wornTogether } from '#core/look-back/looks'
import { kindOf, type LookSpan } from '#core/look-back/span'
import { gramsFound } from '#core/look-back/used-up'
import type { TimedReading } from '#core/measure/content-facts'
import type { DatedEvent } from '#core/measure/package-events'
import type { MoneyView, SpanSheet, TogetherView } from '#contract/look-back'
import { fail, ok, type Outcome } from '../failing.js'
import type { TouchedRow } from '../db/journal.js'
import { listedOf, type ItemFacts } from '../stock/item-facts.js'
import { cameInOf, finishesOf, firstAndLast, letGoOf, spoiledOf } from './endings-of.js'
import { kindsOf, stockAlong, stockSpans } from './kinds-of.js'
import { MoneyOf } from './money-of.js'
import { pushesOf } from './pushes-of.js'
import { lookBackQueries, markOf, type ThingRow } from './queries.js'
import { stayLines } from './stay-lines.js'
import { leastWorn, mostWorn, neglectOf } from './worn-lists.js'
import { wornSpan, type WornSpan } from './worn-span.js'
import type { Forecasts } from '../forecast/forecasts.js'
import type { LookingBack } from '../forecast/looking-back.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { BuyingRules } from '../buying/rules.js'

const MOST_PAIRS = 6
const MOST_DRAWN_FINISHES = 36
/** What items are read from. */
const THINGS_READ: ReadonlySet<string> = new Set(['item', 'product', 'set_aside', 'blend_parent'])
/** No sheet looks back further at once: nobody's log is longer. Assumption. */
const MOST_DAYS = 366 * 30

export class SpanSheets {
  readonly #queries
  readonly #money: MoneyOf
  #things: ReadonlyMap<string, ThingRow> | null = null

  constructor(
    private readonly services: Context & {
      stock: Stock
      forecasts: Forecasts
      lookingBack: LookingBack
      buyingRules: BuyingRules
    },
  ) {
    this.#queries = lookBackQueries(services.db)
    this.#money = new MoneyOf(services.stock.measured)
  }

  /** Everything that is or ever was there, by id; kept until a change touches what it is read from. */
  things(): ReadonlyMap<string, ThingRow> {
    const found = this.#things ?? new Map(this.#queries.things.all().map((row) => [row.id, row]))
    if (!this.services.db.inTransaction) this.#things = found
    return found
  }

  forget(touched: readonly TouchedRow[]): void {
    if (touched.some(({ tbl }) => THINGS_READ.has(tbl))) this.#things = null
    this.#money.forget(touched)
  }

  /** `projectId` null = of every project. A span that lies ahead or runs backwards is refused. */
  of(asked: LookSpan, projectId: string | null): Outcome<SpanSheet> {
    const today = this.services.today()
    if (asked.to < asked.from) return fail('span-reversed', { value: asked.to, day: asked.from })
    if (asked.from > today) return fail('span-ahead', { value: asked.from })
    if (daysBetween(asked.from, asked.to) > MOST_DAYS) return fail('span-too-long')
    const project = projectId === null ? null : this.#queries.projects.all().find(({ id }) => id === projectId)
    if (project === undefined) return fail('unknown-project', { value: projectId ?? '' })
    const head = project && { id: project.id, name: project.name, from: project.started_on, to: project.closed_on }
    return ok({ ...this.#sheet(asked, today, projectId), project: head })
  }

  #sheet(asked: LookSpan, today: Day, projectId: string | null): Omit<SpanSheet, 'project'> {
    const { services } = this
    const span = { from: asked.from, to: earlier(asked.to, today) }
    const things = this.things()
    const kinds = new Map(this.#queries.kinds.all().map((row) => [row.id, row]))
    const worn = wornSpan(this.#queries, span, things, kinds)
    const logSince = this.#queries.logSince.get()?.day ?? null
    const money = this.#money.since(logSince)
    const items = services.stock.facts(concerned(things, worn, span), today)
    const byId = new Map(items.map((item) => [item.id, item]))
    const drawn = new Set<string>()
    const stays = stayLines(services, this.#queries, span, projectId, worn)
    for (const line of stays.lines) drawn.add(line.itemId)
    const finishes = finishesOf(services, this.#queries, span, items)
    for (const { itemId } of finishes.slice(-MOST_DRAWN_FINISHES)) drawn.add(itemId)
    const reach = neglectOf(services.stock.reachIn(span, worn.wearDays, new Map()), worn, things, kinds)
    const wornMost = mostWorn(worn, byId, kinds)
    for (const { itemId } of wornMost) drawn.add(itemId)
    const least = leastWorn(things, worn, kinds, span, byId, this.#lastWorn([...byId.keys()], span.to))
    for (const { itemId } of least.listed) drawn.add(itemId)
    for (const { itemId } of reach.neglected) drawn.add(itemId)
    const pushes = pushesOf(services, this.#queries, span, today, things)
    for (const { itemId } of pushes) drawn.add(itemId)
    const often = wornTogether(worn.looks, this.#couldMeet(things), MOST_PAIRS)
    const { different, most: look } = looksIn(worn.looks)
    for (const id of look?.itemIds ?? []) drawn.add(id)
    const cameIn = cameInOf(span, things.values())
    const spent = spentIn(worn, (id, uses, day) => {
      const item = byId.get(id)
      return item ? money.used(item, uses, day) : null
    })
    const mark = (id: string): { itemId: string; mark: string } => ({ itemId: id, mark: markOf(things.get(id)) })
    const endings = stockSpans(things)
    const kind = kindOf(asked)
    return {
      today,
      ...asked,
      kind,
      running: asked.to >= today,
      logSince,
      currency: services.settings().currency,
      words: this.#queries.words.get(asked) ?? null,
      days: { ...this.#days(span, worn, logSince, today), looks: different },
      totals: {
        uses: sum(worn.uses.values()),
        things: worn.uses.size,
        here: least.here,
        unworn: least.unworn,
        grams: this.#grams(span),
        spent: spent.all,
        perUse: spent.perUse,
      },
      months: worn.months.map(({ from, to, uses, wearDays }, at) => ({
        from,
        to,
        uses: sum(uses.values()),
        wearDays,
        finished: finishes.filter(({ on }) => on >= from && on <= to).length,
        spent: spent.months[at] ?? 0,
      })),
      ...stays,
      pushes,
      most: wornMost,
      least: least.listed,
      neglected: reach.neglected,
      evenness: reach.evenness,
      ...firstAndLast(span, items),
      finishes,
      letGo: letGoOf(this.#queries, span, items, services.forecasts),
      cameIn,
      bought: boughtOf(cameIn),
      verdicts: this.#verdicts(span, things),
      spoiled: spoiledOf(this.#queries, span, today, items, services.forecasts),
      kinds: kindsOf(this.#queries, span, worn, kinds, endings, finishes),
      stock: kind === 'month' ? { days: [], kinds: [] } : stockAlong(endings, logSince, span.to),
      rules: services.buyingRules.all().filter((rule) => rule.from <= span.to && rule.to >= span.from),
      pairs: often.map(({ itemIds: [one, other], days, each }): TogetherView => {
        return { one: mark(one), other: mark(other), days, each: [...each] }
      }),
      look: look && { itemIds: inMakeupOrder(look.itemIds, byId), days: look.days },
      lessons: this.#lessons(span),
      items: services.stock.facts([...drawn], today).map(listedOf),
      photos: this.#photos(
        [...stays.lines.map((line) => line.itemId), ...finishes.map((each) => each.itemId)],
        span,
        mark,
      ),
    }
  }

  #lastWorn(ids: readonly string[], to: Day): Map<string, Day> {
    const rows = this.#queries.lastWornBy.all({ ids: JSON.stringify(ids), to })
    return new Map(rows.flatMap(({ id, day }) => (day === null ? [] : [[id, day] as const])))
  }

  #days(span: LookSpan, worn: WornSpan, logSince: Day | null, today: Day): Omit<SpanSheet['days'], 'looks'> {
    const said = this.#queries.days.all(span)
    const makeup = new Set(worn.wearDays)
    const recorded = new Set([...worn.ticked, ...said.map(({ id }) => id)])
    // Today is not over: it counts once anything is written down of it.
    const last = recorded.has(today) ? today : addDays(today, -1)
    const to = earlier(span.to, last)
    const all = Math.max(0, daysBetween(span.from, to) + 1)
    const first = logSince === null ? addDays(to, 1) : later(span.from, logSince)
    const within = [...recorded].filter((day) => day >= span.from && day <= to)
    // A word about a day before the first tick is a word all the same.
    const early = Math.min(all, Math.max(0, daysBetween(span.from, first)))
    const beforeLog = early - within.filter((day) => day < first).length
    const noMakeup = said.filter(({ id, no_makeup: none }) => none === 1 && !makeup.has(id)).length
    return {
      all,
      wear: makeup.size,
      noMakeup,
      other: within.length - makeup.size - noMakeup,
      notRecorded: all - beforeLog - within.length,
      beforeLog,
    }
  }

  #grams(span: LookSpan): SpanSheet['totals']['grams'] {
    const weights = groupBy(this.#queries.weights.all(span), (row) => row.item_id)
    if (weights.size === 0) return null
    const events = groupBy(this.#queries.events.all(span.to), (row) => row.item_id)
    const found = [...weights].flatMap(([id, rows]) => {
      const readings = rows.map((row): TimedReading => ({
        kind: 'gross',
        value: row.value,
        stage: null,
        word: null,
        partId: null,
        day: row.day,
        moment: row.moment,
        savedAt: row.saved_at,
        resolution: row.resolution,
        doubtful: false,
      }))
      const happened = (events.get(id) ?? []).map((row): DatedEvent => ({
        day: row.day,
        savedAt: row.saved_at,
        kind: row.kind,
      }))
      return gramsFound(readings, happened, span) ?? []
    })
    if (found.length === 0) return null
    return {
      grams: sum(found.map(({ grams }) => grams)),
      giveOrTake: Math.hypot(...found.map(({ giveOrTake }) => giveOrTake)),
      things: found.length,
    }
  }

  #verdicts(span: LookSpan, things: ReadonlyMap<string, ThingRow>): SpanSheet['verdicts'] {
    return this.#queries.verdicts
      .all(span)
      .filter((row) => row.tried === 1)
      .map((row) => ({
        itemId: row.item_id,
        mark: markOf(things.get(row.item_id)),
        on: row.day,
        verdict: row.verdict,
        reason: row.reason,
        wears:
          row.started_on === null
            ? 0
            : (this.#queries.daysOf.get({ itemId: row.item_id, from: row.started_on, to: row.day })?.n ?? 0),
      }))
  }

  #lessons({ from, to }: LookSpan): SpanSheet['lessons'] {
    const within = (day: Day | null): day is Day => day !== null && day >= from && day <= to
    return this.#queries.lessons.all({ from, to }).map((row) => ({
      id: row.id,
      words: row.words,
      on: within(row.struck_on) ? row.struck_on : row.kept_on,
      struck: within(row.struck_on),
    }))
  }

  #photos(
    ids: readonly string[],
    span: LookSpan,
    mark: (id: string) => { itemId: string; mark: string },
  ): SpanSheet['photos'] {
    const rows = groupBy(this.#queries.photos.all(JSON.stringify([...new Set(ids)])), (row) => row.item_id)
    return [...rows].flatMap(([id, own]) => {
      const after = own.findLast((row) => row.day >= span.from && row.day <= span.to)
      if (!after) return []
      const before = own.findLast((row) => row.day < span.from) ?? own[0]
      return [
        {
          ...mark(id),
          before: before && before.id !== after.id ? { id: before.id, day: before.day } : null,
          after: { id: after.id, day: after.day },
        },
      ]
    })
  }

  /** Rivals of one kind are seldom in one look: of them nobody says that they go well together, or never met. */
  #couldMeet(things: ReadonlyMap<string, ThingRow>): (one: string, other: string) => boolean {
    return (one, other) => things.get(one)?.worn_as !== things.get(other)?.worn_as
  }
}

/** What a span is told by: what was worn, what ended in it, and what is there and may have spoiled. */
function concerned(things: ReadonlyMap<string, ThingRow>, worn: WornSpan, span: LookSpan): string[] {
  return [...things.values()]
    .filter(
      ({ id, ended_as: ended, ended_on: on }) =>
        ended === null || worn.uses.has(id) || (on !== null && on >= span.from),
    )
    .map(({ id }) => id)
}

/** What the uses of each month came to, and their sum; `of` what is told, by item. */
function spentIn(
  worn: WornSpan,
  usedBy: (id: string, uses: number, day: Day) => number | null,
): { readonly all: MoneyView; readonly months: readonly number[]; readonly perUse: number | null } {
  const known = new Map<string, boolean>()
  let uses = 0
  const months = worn.months.map((month) =>
    sum(
      [...month.uses].map(([id, count]) => {
        const used = usedBy(id, count, month.to)
        known.set(id, used !== null && known.get(id) !== false)
        if (used !== null) uses += count
        return used ?? 0
      }),
    ),
  )
  const of = [...known.values()].filter(Boolean).length
  const minor = sum(months)
  return { all: { minor, of, unknown: known.size - of }, months, perUse: uses === 0 ? null : minor / uses }
}

function boughtOf(cameIn: SpanSheet['cameIn']): SpanSheet['bought'] {
  const bought = cameIn.filter(({ source, made }) => source === 'bought' && !made)
  const priced = bought.filter(({ priceMinor }) => priceMinor !== null)
  return {
    items: bought.length,
    minor: sum(priced.map(({ priceMinor }) => priceMinor ?? 0)),
    of: priced.length,
    unknown: bought.length - priced.length,
    sourceUnknown: cameIn.filter(({ source, made }) => source === null && !made).length,
  }
}

function inMakeupOrder(ids: readonly string[], byId: ReadonlyMap<string, ItemFacts>): string[] {
  return [...ids].sort((a, b) => (byId.get(a)?.makeupOrder ?? 0) - (byId.get(b)?.makeupOrder ?? 0))
}
