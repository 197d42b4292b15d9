import { addDays, daysBetween, later, type Day } from '#core/calendar/day'
import { evidenceOf, firstPassOf, forecastOf, type Forecast, type ForecastFacts } from '#core/forecast/forecast'
import { calendarOf, type Calendar } from '#core/forecast/finish'
import { userEffectsOf, type UserEffects } from '#core/forecast/user-effects'
import { BEFORE_FOCUS, LEAST_PACE_DAYS, paceShown, sinceFocus, type Weighted } from '#core/forecast/rate'
import type { Role } from '#core/forecast/role'
import { contentFactsOf, type ThingMeasured } from '#core/measure/content-facts'
import type { PaceView } from '#contract/forecast'
import type { TouchedRow } from '../db/journal.js'
import type { Db } from '../db/query.js'
import { knownUses, type ItemFacts } from '../stock/item-facts.js'
import { shadeOf, thingOf } from '../stock/measured.js'
import type { Stock } from '../stock/stock.js'
import { forecastQueries } from './queries.js'
import { numbered, type KnownDays } from '../stock/known-days.js'

/** An item's forecast. What it was made from is read anew where it is asked for: two thousand of them are remembered. */
export interface ItemForecast {
  readonly itemId: string
  /** Days are counted from the one after this. */
  readonly last: Day
  readonly role: Role
  /** The user said it themselves; else the drawer tells. */
  readonly roleSaid: boolean
  readonly forecast: Forecast
  readonly pace: PaceView | null
}

interface Drawer {
  readonly said: ReadonlyMap<string, Role>
  readonly inDrawer: ReadonlySet<string>
  readonly rivals: ReadonlyMap<string, number>
  /** The day anything was first laid in. */
  readonly firstLaid: Day | null
}

export interface Prepared {
  readonly day: Day
  readonly userEffects: UserEffects
  readonly found: readonly Kept[]
}

interface Kept {
  readonly key: string
  readonly found: ItemForecast
}

/** Anything under this many rows is looked at row by row; more forgets everything. */
const MANY = 400
/** Tables whose rows bear on the forecasts of everything. */
const OF_ALL = new Set(['setting', 'category', 'product', 'package_weight', 'kept_container'])
/** Tables whose rows bear on what is known of the user's days. */
const OF_DAYS = new Set(['away', 'low_season', 'wear_less', 'unwritten'])
/** Tables whose rows name the item they bear on. */
const OF_ITEM: Readonly<Record<string, string>> = {
  item: 'id',
  part: 'item_id',
  wear: 'item_id',
  measurement: 'item_id',
  item_event: 'item_id',
  placement: 'item_id',
  stay: 'item_id',
}

/**
 * When each item will be finished, kept until a change touches what it is made from. User effects are computed once a day: a tally
 * moves its own item and no other.
 */
export class Forecasts {
  readonly #stock: Stock
  readonly #today: () => Day
  readonly #queries
  readonly #kept = new Map<string, Kept>()
  readonly #passes = new Map<string, ReturnType<typeof firstPassOf>>()
  #ready: Promise<void> | null = null
  #deferred = false
  #beginning: Promise<void> | null = null
  #elsewhere: (() => Promise<void>) | null = null
  #meanwhile: { readonly ids: Set<string>; all: boolean } | null = null
  #userEffects: { readonly day: Day; readonly userEffects: UserEffects } | null = null
  #days: KnownDays | null = null
  #drawer: Drawer | null = null
  #staleAll = false
  /** What the keys of all have in common: numbers are slow to write. */
  #ofAll: { readonly userEffects: UserEffects; readonly days: KnownDays; readonly key: string } | null = null
  #calendar: { readonly key: string; readonly calendar: Calendar } | null = null

  constructor(db: Db, stock: Stock, today: () => Day) {
    this.#stock = stock
    this.#today = today
    this.#queries = forecastQueries(db)
  }

  forget(touched: readonly TouchedRow[]): void {
    const before = this.#days
    this.#drawer = null
    // A tick of today moves no day that is over, once there is one.
    if (before !== null && (before.first >= this.#today() || this.#mayMoveDays(touched))) {
      this.#days = null
      if (this.days().key !== before.key) this.#staleAll = true
    }
    if (touched.length > MANY || touched.some(({ tbl }) => OF_ALL.has(tbl))) {
      this.#staleAll = true
      if (this.#meanwhile) this.#meanwhile.all = true
      // An import is as good as a new beginning; one setting is not.
      if (touched.length > MANY) this.#userEffects = null
      this.#passes.clear()
      return this.#kept.clear()
    }
    for (const { tbl, before, after } of touched) {
      const column = OF_ITEM[tbl]
      if (column === undefined) continue
      for (const image of [before, after])
        if (image !== null) this.#drop(String((JSON.parse(image) as Record<string, unknown>)[column]))
    }
  }

  /** Whether a change bears on what is known of the user's days: on stretches, or on a day that is over. */
  #mayMoveDays(touched: readonly TouchedRow[]): boolean {
    if (touched.length > MANY) return true
    const today = this.#today()
    return touched.some(({ tbl, before, after }) => {
      if (OF_DAYS.has(tbl)) return true
      if (tbl !== 'wear' && tbl !== 'day_record') return false
      return (JSON.parse(after ?? before ?? '{}') as { day?: Day }).day !== today
    })
  }

  /** Whether the changes since it was last asked made all of them stale: then they are better made elsewhere. */
  takeStale(): boolean {
    const stale = this.#staleAll
    this.#staleAll = false
    return stale
  }

  #drop(id: string): void {
    this.#kept.delete(id)
    this.#passes.delete(id)
    this.#meanwhile?.ids.add(id)
  }

  /** The user effects of today, and first passes of everything: what takes long in a large collection. */
  userEffects(): UserEffects {
    const day = this.#today()
    if (this.#userEffects?.day === day) return this.#userEffects.userEffects
    const ids = [...this.#stock.presentIds(), ...this.#queries.finishedIds.all().map((row) => row.id)]
    const userEffects = userEffectsOf(
      this.#stock.facts(ids, day).map((item) => {
        const facts = this.factsOf(item)
        const pass = this.#passes.get(item.id) ?? firstPassOf(facts)
        this.#passes.set(item.id, pass)
        return evidenceOf(facts, pass)
      }),
    )
    this.#userEffects = { day, userEffects }
    return userEffects
  }

  /** Everything that is there, computed at once: what another thread does. */
  all(): Prepared {
    const day = this.#today()
    const userEffects = this.userEffects()
    const found = this.#stock.facts(this.#stock.presentIds(), day).map((item) => {
      const forecast = this.of(item)
      return { key: this.keyOf(item), found: forecast }
    })
    return { day, userEffects, found }
  }

  /**
   * Has everything computed elsewhere, so that nobody waits for it here. What a change touches meanwhile is left for later.
   */
  async prepare(elsewhere: () => Promise<Prepared>): Promise<void> {
    const touched = { ids: new Set<string>(), all: false }
    this.#meanwhile = touched
    const taking = elsewhere().then(
      ({ day, userEffects, found }) => {
        if (day === this.#today() && this.#meanwhile === touched) {
          this.#userEffects = { day, userEffects }
          if (!touched.all)
            for (const each of found) if (!touched.ids.has(each.found.itemId)) this.#kept.set(each.found.itemId, each)
        }
      },
      // Then it is computed here, by whoever asks first.
      (error: unknown) => console.error('Forecasts could not be made ahead:', error),
    )
    this.#ready = taking
    await taking
    if (this.#ready === taking) this.#ready = null
    if (this.#meanwhile === touched) this.#meanwhile = null
  }

  /** Who makes all of them elsewhere, when they are wanted. */
  makeWith(make: () => Promise<void>): void {
    this.#elsewhere = make
  }

  /** Leaves it for the first that asks: until then what the user sees first has the machine for itself. */
  defer(): void {
    this.#deferred = true
  }

  /** Begins what was left for later, if nobody asked yet. */
  begin(): Promise<void> {
    if (!this.#deferred) return this.#beginning ?? this.#ready ?? Promise.resolve()
    this.#deferred = false
    const beginning = (this.#elsewhere?.() ?? Promise.resolve()).finally(() => {
      if (this.#beginning === beginning) this.#beginning = null
    })
    this.#beginning = beginning
    return beginning
  }

  /**
   * Resolves when what is being computed elsewhere is there; at once where nothing is, and for `few` items once the user effects of the day
   * is known: they are computed here faster than all of them there.
   */
  whenReady(few = false): Promise<void> {
    const current = this.#userEffects?.day === this.#today()
    if (few && current) return Promise.resolve()
    // Another day by the clock on the wall, whatever any timer slept through.
    if (!current && this.#beginning === null) this.#deferred = true
    return this.begin()
  }

  of(item: ItemFacts): ItemForecast {
    const userEffects = this.userEffects()
    const key = this.keyOf(item)
    const known = this.#kept.get(item.id)
    if (known?.key === key) return known.found
    const found = this.#make(item, this.factsOf(item), userEffects)
    this.#kept.set(item.id, { key, found })
    return found
  }

  /** The forecast of one shade of a palette; null where it is no shade of it. */
  ofShade(item: ItemFacts, partId: string): ItemForecast | null {
    const part = item.parts.find((each) => each.id === partId)
    if (!part) return null
    const measured = this.#stock.measured.of(item.id)
    const days = this.#queries.shadeDays.all(item.id).filter((row) => row.part_id === partId)
    const thing = shadeOf(
      item,
      part,
      item.parts,
      measured,
      days.map((row) => row.day),
    )
    return this.#make(item, this.#factsBy(item, thing, part.finishedOn), this.userEffects())
  }

  /** Everything that holds one forecast together beside its own rows: when it changes, it is made anew. */
  keyOf(item: ItemFacts): string {
    const userEffects = this.userEffects()
    const days = this.days()
    if (this.#ofAll?.userEffects !== userEffects || this.#ofAll.days !== days)
      this.#ofAll = { userEffects, days, key: `${userEffects.amount} ${userEffects.rate} ${days.key}` }
    return `${item.version} ${this.roleOf(item).role} ${this.#standing().firstLaid} ${this.#ofAll.key}`
  }

  roleOf(item: ItemFacts): { readonly role: Role; readonly said: boolean } {
    const { said, inDrawer, rivals } = this.#standing()
    const own = said.get(item.id)
    if (own !== undefined) return { role: own, said: true }
    if (!inDrawer.has(item.id)) return { role: 'occasional', said: false }
    return { role: (rivals.get(item.wornAsId) ?? 0) > 1 ? 'rotation' : 'staple', said: false }
  }

  days(): KnownDays {
    const today = this.#today()
    if (this.#days?.today !== today) this.#days = this.#stock.days.knownDays(today)
    return this.#days
  }

  /** Of a full one what is left, or was when it ended: 0 of a finished one. */
  shareLeft(item: ItemFacts): number {
    if (item.lifecycle === 'finished') return 0
    return knownUses(item) === 0 ? 1 : this.of(item).forecast.content.share.middle
  }

  /** Whether enough is written down to speak of the user's pace. */
  paceKnown(): boolean {
    return this.days().telling >= LEAST_PACE_DAYS
  }

  factsOf(item: ItemFacts): ForecastFacts {
    return this.#factsBy(item, thingOf(item, this.#stock.measured.of(item.id)), item.endedOn)
  }

  /** The facts with the days as numbers from the first on which anything is known of it. */
  #factsBy(item: ItemFacts, thing: ThingMeasured, ended: Day | null): ForecastFacts {
    const days = this.days()
    const added = this.#queries.addedOn.get(item.id)?.day ?? null
    const last = ended !== null && ended < days.last ? ended : days.last
    const first = firstKnown(item, thing.days, days.first, added, last)
    const cut = daysBetween(first, last)
    const { inUse, weights } = this.#focusOf(item, first, last)
    return {
      content: contentFactsOf(thing),
      log: {
        // What rests is forecast as if it lay in the drawer, one of several.
        role: inUse ? this.roleOf(item).role : 'rotation',
        cut,
        uses: thing.days.filter((day) => day >= first && day <= last).map((day) => daysBetween(first, day)),
        out: numbered(days.out, first),
        weights,
        inFocus: true,
      },
      ahead: this.#ahead(days),
    }
  }

  /**
   * Whether it is in the drawer or a project (of what ended: was, on its last day), and what its days tell of how often it would be used
   * there: of what is in use those since it came most; of what rests those of its former stays, and a little those before any
   * drawer was laid.
   */
  #focusOf(item: ItemFacts, first: Day, last: Day): { readonly inUse: boolean; readonly weights: readonly Weighted[] } {
    const end = item.endedOn ?? this.#today()
    const rows = this.#queries.stays.all({ id: item.id })
    const stays = joinedStays(rows, end)
    const present = stays.at(-1)
    const number = (day: Day): number => daysBetween(first, day)
    const cut = number(last)
    if (present === undefined) return { inUse: false, weights: sinceFocus(null, cut) }
    const inUse = item.endedOn === null ? rows.some((row) => row.last === null) : present.last >= end
    if (inUse) return { inUse: true, weights: sinceFocus(number(present.first), cut) }
    const laid = this.#standing().firstLaid ?? present.first
    return {
      inUse: false,
      weights: [
        [0, number(laid) - 1, BEFORE_FOCUS],
        ...stays.map((stay) => [Math.max(number(stay.first), number(laid)), number(stay.last), 1] as const),
      ],
    }
  }

  #make(item: ItemFacts, facts: ForecastFacts, userEffects: UserEffects): ItemForecast {
    const { role, said } = this.roleOf(item)
    const forecast = forecastOf(facts, userEffects)
    return { itemId: item.id, last: this.days().last, role, roleSaid: said, forecast, pace: paceShown(facts.log) }
  }

  /** The days ahead are the same for all. */
  #ahead({ key, last, calm }: KnownDays): Calendar {
    if (this.#calendar?.key !== key) this.#calendar = { key, calendar: calendarOf(last, calm) }
    return this.#calendar.calendar
  }

  #standing(): Drawer {
    if (this.#drawer !== null) return this.#drawer
    const rows = this.#queries.inDrawer.all()
    const rivals = new Map<string, number>()
    for (const { category_id: category } of rows) rivals.set(category, (rivals.get(category) ?? 0) + 1)
    this.#drawer = {
      said: new Map(this.#queries.saidRoles.all().map((row) => [row.id, row.role])),
      inDrawer: new Set(rows.map((row) => row.id)),
      rivals,
      firstLaid: this.#queries.firstLaid.get()?.day ?? null,
    }
    return this.#drawer
  }
}

/** Stays that overlap or follow each other, as one; what is not over lasts until `end`. */
export function joinedStays(
  stays: readonly { readonly first: Day; readonly last: Day | null }[],
  end: Day,
): { readonly first: Day; readonly last: Day }[] {
  const found: { first: Day; last: Day }[] = []
  for (const { first, last } of stays) {
    const before = found.at(-1)
    const until = last ?? end
    if (before && first <= before.last) before.last = later(before.last, until)
    else found.push({ first, last: until })
  }
  return found
}

/**
 * The first day that tells how often it is used: open, in the log, and written down in the collection; a use before that is where
 * it begins. The day after the last known one where nothing is known.
 */
function firstKnown(item: ItemFacts, uses: readonly Day[], log: Day, added: Day | null, last: Day): Day {
  const none = addDays(last, 1)
  if (item.lifecycle === 'unopened') return none
  const opened = item.opening.within?.latest ?? log
  const from = [log, opened, added ?? log].sort().at(-1) as Day
  const [used] = uses
  const first = used !== undefined && used < from ? used : from
  return first > none ? none : first
}
