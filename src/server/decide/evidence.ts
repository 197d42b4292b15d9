import { addDays, daysBetween, later, type Day } from '#core/calendar/day'
import { doubtsOf, type Doubt, type DoubtFacts } from '#core/decide/doubts'
import type { Reach } from '#core/decide/reach'
import { colourTells, twinsAmong, type Coloured, type Twin } from '#core/decide/twins'
import type { PackageState } from '#core/item/traits'
import type { Supplying } from '../forecast/supplying.js'
import { isTickOf, type TouchedRow } from '../db/journal.js'
import type { ItemFacts } from '../stock/item-facts.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Felt } from '#core/decide/feelings'
import { type Db, preparing } from '../db/query.js'

const YEAR_DAYS = 365
/** A decision to keep holds this long before anything but what cannot wait is said again. Assumption. */
const SETTLED_DAYS = 180
/** What is done to a package on purpose is no trouble with it. */
const TROUBLE: readonly PackageState[] = [
  'pump broken',
  'mister clogging',
  'cap lost',
  'cracked',
  'does not stand up',
  'too tall for the drawer',
]
const NO_REACH: Reach = { chances: 0, reached: 0, equalShare: 0 }

export interface Evidence {
  readonly today: Day
  /** What is used: all that is there but keepsakes. */
  readonly items: readonly ItemFacts[]
  readonly byId: ReadonlyMap<string, ItemFacts>
  readonly reach: (id: string) => Reach
  /** Days worn within the last year. */
  readonly worn: (id: string) => number
  readonly twins: (id: string) => readonly Twin[]
  readonly doubts: (item: ItemFacts) => Doubt[]
  /** Days that the log knows of an item: not worn in a log of yesterday tells nothing. */
  readonly known: (item: ItemFacts) => number
}

interface Past {
  readonly today: Day
  readonly wornOn: ReadonlyMap<string, ReadonlySet<Day>>
  readonly wearDays: readonly Day[]
}

/** Gathers the evidence, kept until something changes. */
export class GatheringEvidence {
  readonly #queries
  #kept: Evidence | null = null
  #past: Past | null = null
  #twins: { readonly key: string; readonly found: ReadonlyMap<string, readonly Twin[]> } | null = null

  constructor(private readonly services: Context & { stock: Stock; supplying: Supplying }) {
    this.#queries = evidenceQueries(services.db)
  }

  /** Drops what is kept: any change may bear on it. What was worn on days that are over outlasts a tick of today. */
  forget(touched: readonly TouchedRow[]): void {
    this.#kept = null
    const day = this.#past?.today
    const bearing = touched.filter(({ tbl }) => tbl === 'item' || tbl === 'category' || tbl === 'wear')
    if (!bearing.every((row) => isTickOf(row, day))) this.#past = null
  }

  all(): Evidence {
    const today = this.services.today()
    if (this.#kept?.today === today && !this.services.db.inTransaction) return this.#kept
    const found = this.#gather(today)
    if (!this.services.db.inTransaction) this.#kept = found
    return found
  }

  #gather(today: Day): Evidence {
    const queries = this.#queries
    const since = addDays(today, -YEAR_DAYS)
    const items = this.services.stock
      .facts(this.services.stock.presentIds(), today)
      .filter((item) => item.setAside !== 'keepsake')
    const byId = new Map(items.map((item) => [item.id, item]))
    const past = this.#pastOf(today)
    const now = queries.wearsWithin.all({ from: today, to: today })
    const wornOn = new Map(past.wornOn)
    for (const { item_id: id, day } of now) wornOn.set(id, new Set([...(wornOn.get(id) ?? []), day]))
    const wearDays = [...past.wearDays, ...this.services.stock.wearDays({ from: today, to: today })]
    const reach = this.services.stock.reachIn({ from: since, to: today }, wearDays, wornOn)
    const twins = this.#twinsOf(items)
    const counts = (rows: readonly { item_id: string; n: number }[]): Map<string, number> =>
      new Map(rows.map((row) => [row.item_id, row.n]))
    const backs = counts(queries.putBacks.all())
    const outs = counts(queries.clearOuts.all())
    const mixed = counts(queries.mixedWears.all())
    const signs = new Map(queries.signs.all().map(({ id, ...sign }) => [id, sign]))
    const kept = new Map(queries.keptOn.all().map((row) => [row.item_id, row.day]))
    const logged = queries.loggedSince.get()?.day ?? today
    // Only doubts ask for it, and it asks for the forecast of everything.
    let expiring: ReturnType<Supplying['expiring']> | null = null
    const worn = (id: string): number => wornOn.get(id)?.size ?? 0
    const knownFor = (item: ItemFacts): number => {
      const here = item.acquired?.latest ?? item.opening.within?.latest ?? logged
      return Math.max(0, daysBetween(later(here, logged), today))
    }
    const factsOf = (item: ItemFacts): DoubtFacts => {
      const [nearest] = (twins.get(item.id) ?? []).filter(({ id }) => id !== item.id)
      const better = (twins.get(item.id) ?? []).find(({ id }) => worn(id) > worn(item.id)) ?? nearest
      const decided = kept.get(item.id)
      return {
        atEye: item.eye,
        opened: item.lifecycle === 'open',
        liking: item.liking,
        sign: signs.get(item.id) ?? null,
        lastGood: item.shelfLife.actOn,
        daysLeft: item.shelfLife.daysLeft,
        reach: reach.get(item.id) ?? NO_REACH,
        daysUnworn: item.lastWorn === null ? null : daysBetween(item.lastWorn, today),
        daysKnown: item.lastWorn === null ? knownFor(item) : 0,
        putBack: backs.get(item.id) ?? 0,
        clearOuts: outs.get(item.id) ?? 0,
        spoilsFirst: (expiring ??= this.services.supplying.expiring(items, today)).get(item.id) ?? null,
        twin: better
          ? {
              otherId: better.id,
              difference: better.difference,
              worn: worn(item.id),
              otherWorn: worn(better.id),
              otherLiking: byId.get(better.id)?.liking ?? null,
            }
          : null,
        wears: item.wears,
        mixedWears: mixed.get(item.id) ?? 0,
        onlyMixed: item.depth === 'only mixed',
        packageStates: item.packageStates.filter((state) => TROUBLE.includes(state)),
        seasons: item.seasons,
        special: item.setAside === 'special',
        settled:
          item.onTrial ||
          item.goal !== null ||
          (item.restingUntil !== null && item.restingUntil > today) ||
          (decided !== undefined && daysBetween(decided, today) < SETTLED_DAYS),
      }
    }
    return {
      today,
      items,
      byId,
      reach: (id) => reach.get(id) ?? NO_REACH,
      worn,
      twins: (id) => twins.get(id) ?? [],
      doubts: (item) => doubtsOf(factsOf(item)),
      known: knownFor,
    }
  }

  /** What was worn within the year, up to yesterday. */
  #pastOf(today: Day): Past {
    if (this.#past?.today === today) return this.#past
    const span = { from: addDays(today, -YEAR_DAYS), to: addDays(today, -1) }
    const wornOn = new Map<string, Set<Day>>()
    for (const { item_id: id, day } of this.#queries.wearsWithin.all(span)) {
      const days = wornOn.get(id)
      if (days) days.add(day)
      else wornOn.set(id, new Set([day]))
    }
    const past = { today, wornOn, wearDays: this.services.stock.wearDays(span) }
    if (!this.services.db.inTransaction) this.#past = past
    return past
  }

  /** Swatches seldom change: their differences are computed again only when one does. */
  #twinsOf(items: readonly ItemFacts[]): ReadonlyMap<string, readonly Twin[]> {
    const coloured = items.flatMap(({ id, wornAsId: kind, wornType, colour, finish, parts }): Coloured[] =>
      colour === null || parts.length > 0 || !colourTells(wornType) ? [] : [{ id, kind, colour, finish }],
    )
    const key = coloured.map(({ id, kind, colour, finish }) => `${id} ${kind} ${colour} ${finish ?? ''}`).join()
    if (this.#twins?.key !== key) this.#twins = { key, found: twinsAmong(coloured) }
    return this.#twins.found
  }
}

export function evidenceQueries(db: Db) {
  const sql = preparing(db)
  return {
    wearsWithin: sql<[{ from: Day; to: Day }], { item_id: string; day: Day }>(
      'SELECT item_id, day FROM wear WHERE day BETWEEN @from AND @to',
    ),
    /** Times held up and put back since it was last worn. */
    putBacks: sql<[], { item_id: string; n: number }>(`
      SELECT p.item_id, count(*) AS n FROM put_back p
       WHERE p.day > coalesce((SELECT max(w.day) FROM wear w WHERE w.item_id = p.item_id), '') GROUP BY p.item_id`),
    /** Times a season change passed over it since it was last worn, without its being let go. */
    clearOuts: sql<[], { item_id: string; n: number }>(`
      SELECT c.item_id, count(*) AS n FROM laying_choice c JOIN laying l ON l.id = c.laying_id
       WHERE l.closed_on IS NOT NULL AND c.choice IN ('stays', 'put away', 'rests', 'doubtful')
         AND l.closed_on > coalesce((SELECT max(w.day) FROM wear w WHERE w.item_id = c.item_id), '') GROUP BY c.item_id`),
    mixedWears: sql<[], { item_id: string; n: number }>(
      'SELECT item_id, count(*) AS n FROM wear WHERE mix_id IS NOT NULL GROUP BY item_id',
    ),
    loggedSince: sql<[], { day: Day | null }>('SELECT min(day) AS day FROM wear'),
    signs: sql<[], { id: string; day: Day; words: string }>(
      'SELECT id, sign_day AS day, sign_words AS words FROM item WHERE sign_day IS NOT NULL AND sign_words IS NOT NULL AND ended_as IS NULL',
    ),
    /** When the user last decided that something stays. */
    keptOn: sql<[], { item_id: string; day: Day }>(
      "SELECT item_id, max(day) AS day FROM verdict WHERE verdict <> 'let go' GROUP BY item_id",
    ),
    felt: sql<[], { item_id: string; felt: Felt; n: number }>(`
      SELECT w.item_id, f.felt, count(*) AS n FROM feeling f JOIN wear w ON w.id = f.wear_id
       WHERE f.aspect = 'in all' GROUP BY w.item_id, f.felt`),
  }
}
