import type { Day } from '#core/calendar/day'
import { contentOf } from '#core/forecast/content'
import { monthOf } from '#core/look-back/span'
import { usesOfAWhole } from '#core/look-back/used-up'
import { contentFactsOf } from '#core/measure/content-facts'
import type { TouchedRow } from '../db/journal.js'
import { knownUses, type ItemFacts } from '../stock/item-facts.js'
import { thingOf, type Measured, type MeasuredThings } from '../stock/measured.js'

/** Tables whose rows bear on many items at once, or that no item's own facts are read from. */
const OF_MANY: ReadonlySet<string> = new Set(['package_weight', 'kept_container', 'category'])
/** More rows than this are an import. */
const MANY = 400

/** How many uses one item gives, by the last day anything new was known of it. */
interface Known {
  readonly measured: Measured
  /** Days on which something was read of it or happened to it, ascending. */
  readonly turns: readonly Day[]
  readonly wholes: Map<Day | null, number | null>
}

/**
 * Money used up. Each use costs the price over the uses of a whole one as far as they were known when its month ended: by what was read
 * and what happened up to then. What is ticked or weighed later moves no month that is over.
 */
export class MoneyOf {
  #known = new WeakMap<ItemFacts, Known>()
  #logSince: Day | null = null

  constructor(private readonly measured: MeasuredThings) {}

  /** Facts of an item are made anew when a row of it changes; this drops what hangs on other rows. */
  forget(touched: readonly TouchedRow[]): void {
    if (touched.length > MANY || touched.some(({ tbl }) => OF_MANY.has(tbl))) this.#known = new WeakMap()
  }

  /** With the first day of the log as it stands: whether an item was new then decides how full it began. */
  since(logSince: Day | null): this {
    if (this.#logSince !== logSince) this.#known = new WeakMap()
    this.#logSince = logSince
    return this
  }

  /** Minor units that so many uses of the month of a day came to; null where its price, or what it gives in all, is not known. */
  used(item: ItemFacts, uses: number, day: Day): number | null {
    const whole = item.priceMinor === null ? null : this.#whole(item, monthOf(day).to)
    return whole === null || item.priceMinor === null ? null : (item.priceMinor * uses) / whole
  }

  #whole(item: ItemFacts, upTo: Day): number | null {
    const allUses = knownUses(item)
    if (item.lifecycle === 'finished' && allUses !== null && item.endedOn !== null && item.endedOn <= upTo)
      return Math.max(allUses, 1)
    const known = this.#of(item)
    const turn = known.turns.findLast((day) => day <= upTo) ?? null
    const found = known.wholes.get(turn) ?? wholeOn(item, known.measured, turn)
    known.wholes.set(turn, found)
    return found
  }

  #of(item: ItemFacts): Known {
    const known = this.#known.get(item)
    if (known) return known
    const measured = this.measured.of(item.id)
    const read = measured.readings.filter((row) => row.doubtful === 0).map((row) => row.day)
    const turns = [...read, ...measured.events.map((row) => row.day)].sort()
    const found = { measured, turns, wholes: new Map<Day | null, number | null>() }
    this.#known.set(item, found)
    return found
  }
}

/** Uses of a whole one by what was known at the end of a day; null = before anything was read of it. */
function wholeOn(item: ItemFacts, all: Measured, day: Day | null): number | null {
  const until = <T extends { readonly day: Day }>(rows: readonly T[]): T[] =>
    rows.filter((row) => day !== null && row.day <= day)
  const days = day === null ? [] : all.days.filter((each) => each <= day)
  const thing = thingOf(item, {
    ...all,
    readings: until(all.readings),
    events: until(all.events),
    weights: until(all.weights),
    days,
  })
  const { usesLeft, share } = contentOf(contentFactsOf({ ...thing, finished: false }))
  return usesOfAWhole({
    allUses: knownUses(item) === null ? null : (item.usesBefore ?? 0) + days.length,
    usesLeft: usesLeft[Math.floor(usesLeft.length / 2)] ?? null,
    shareLeft: share.middle,
    logged: days.length,
  })
}
