import { addDays, daysBetween, type Day } from '../calendar/day.js'
import { YEAR_DAYS } from '../calendar/lengths.js'
import { supplyOf, type InStock, type Supply } from '../forecast/supply.js'

/** Before it is opened it is good for about three years. Assumption: as an unopened item without a date. */
const UNOPENED_DAYS = 1096

/** Something that could be bought. */
export interface Candidate {
  /** Uses it would likely give. */
  readonly uses: number
  /** Days it is good for once opened. */
  readonly openDays: number
  /** What it costs, in minor units; null = not said. */
  readonly price: number | null
}

export interface BuyingSums {
  /** Null without a pace. */
  readonly before: Supply | null
  readonly after: Supply | null
  /** Ids of what would expire with a wear or more unused because this one takes its place among them. */
  readonly pushedOut: readonly string[]
  /** Days until its turn would come: when what is here and in date is used up; null without a pace. */
  readonly turnIn: number | null
  /** Uses it would get before it spoils, at the user's pace; null without a pace. */
  readonly usesGot: number | null
  /** Minor units a use; null without a price or a pace, or when it would get none. */
  readonly perUse: number | null
  /** What it costs a use if all of it were used. */
  readonly perUseAtBest: number | null
}

/** Its id among the others. */
const THE_NEW_ONE = '\u0000the new one'

/** What becomes of a category when one more joins: years of supply before and after, what is pushed out, what a use would cost. */
export function buyingSums(stock: readonly InStock[], perYear: number | null, candidate: Candidate): BuyingSums {
  const { uses, openDays, price } = candidate
  const before = perYear === null ? null : supplyOf(stock, perYear)
  const joined: InStock = {
    id: THE_NEW_ONE,
    uses: { low: uses, middle: uses, high: uses },
    share: 1,
    goodFor: UNOPENED_DAYS,
    price,
  }
  const after = perYear === null ? null : supplyOf([...stock, joined], perYear)
  const turnIn = before === null ? null : before.need.middle
  // It is opened when its turn comes, at the latest on the last day it keeps unopened.
  const goodWhenOpened = turnIn === null ? 0 : turnIn > UNOPENED_DAYS ? 0 : openDays
  const usesGot = turnIn === null ? null : Math.min(uses, Math.floor(((perYear ?? 0) / YEAR_DAYS) * goodWhenOpened))
  return {
    before,
    after,
    pushedOut: perYear === null ? [] : pushedOutBy(stock, perYear, candidate),
    turnIn,
    usesGot,
    perUse: price === null || usesGot === null || usesGot < 1 ? null : price / usesGot,
    perUseAtBest: price === null || uses < 1 ? null : price / uses,
  }
}

/**
 * What grows by a wear or more in what is left of it when it expires, if the new one is opened now and takes its place by fondness, all
 * being liked alike: while it lasts each of its rivals is worn as one of one more.
 */
function pushedOutBy(stock: readonly InStock[], perYear: number, { uses: given, openDays }: Candidate): string[] {
  const rivals = stock.filter(({ goodFor }) => goodFor !== null && goodFor >= 0)
  const perDay = perYear / YEAR_DAYS
  const alone = perDay / stock.length
  const among = perDay / (stock.length + 1)
  const lasts = Math.min(openDays, given / among)
  return rivals
    .filter(({ uses, goodFor }) => {
      const days = goodFor ?? 0
      const beside = Math.min(days, lasts)
      const left = unused(uses.middle - among * beside, alone, days - beside)
      return left - unused(uses.middle, alone, days) >= 1
    })
    .map(({ id }) => id)
}

/** Uses left of so many when so many days have passed. */
function unused(uses: number, perDay: number, days: number): number {
  return Math.max(0, uses - perDay * days)
}

/** A limit of the user's own. */
export interface BuyingRule {
  readonly from: Day
  readonly to: Day
  readonly most: number
  readonly categoryId: string | null
  readonly sparesReplacements: boolean
  readonly exceptions: readonly { readonly categoryId: string; readonly most: number }[]
}

/** Something that came by money. */
export interface Purchase {
  readonly id: string
  readonly categoryId: string
  /** The first and the last day it can have been. */
  readonly earliest: Day
  readonly latest: Day
}

export interface RuleStanding {
  readonly state: 'to come' | 'in force' | 'over'
  /** Ids in the order of their days. */
  readonly counted: readonly string[]
  readonly excepted: readonly string[]
  readonly replacing: readonly string[]
  /** May have been bought before it began or after it ended: not counted. */
  readonly unsure: readonly string[]
  /** Still free; below 0 = it is broken by so many. */
  readonly left: number
  readonly exceptionsLeft: readonly { readonly categoryId: string; readonly left: number }[]
  readonly daysLeft: number
}

/**
 * How a limit stands: what was bought within it, in order; planned exceptions are used up first, then what replaces something of its
 * category finished since it began is spared if the user said so, and the rest counts.
 */
export function ruleStanding(
  rule: BuyingRule,
  purchases: readonly Purchase[],
  finished: readonly { readonly categoryId: string; readonly day: Day }[],
  today: Day,
): RuleStanding {
  const mine = purchases
    .filter(({ categoryId }) => rule.categoryId === null || rule.categoryId === categoryId)
    .filter(({ earliest, latest }) => latest >= rule.from && earliest <= rule.to)
    .sort((a, b) => (a.earliest < b.earliest ? -1 : a.earliest > b.earliest ? 1 : a.id < b.id ? -1 : 1))
  const free = new Map(rule.exceptions.map(({ categoryId, most }) => [categoryId, most]))
  const empties = finished.filter(({ day }) => day >= rule.from && day <= rule.to)
  const spent = new Set<number>()
  const counted: string[] = []
  const excepted: string[] = []
  const replacing: string[] = []
  const unsure: string[] = []
  for (const { id, categoryId, earliest, latest } of mine) {
    if (earliest < rule.from || latest > rule.to) {
      unsure.push(id)
      continue
    }
    const left = free.get(categoryId) ?? 0
    const empty = empties.findIndex((each, n) => each.categoryId === categoryId && each.day <= latest && !spent.has(n))
    if (left > 0) {
      free.set(categoryId, left - 1)
      excepted.push(id)
    } else if (rule.sparesReplacements && empty >= 0) {
      spent.add(empty)
      replacing.push(id)
    } else counted.push(id)
  }
  return {
    state: today < rule.from ? 'to come' : today > rule.to ? 'over' : 'in force',
    counted,
    excepted,
    replacing,
    unsure,
    left: rule.most - counted.length,
    exceptionsLeft: rule.exceptions.map(({ categoryId }) => ({ categoryId, left: free.get(categoryId) ?? 0 })),
    daysLeft: daysBetween(today, rule.to),
  }
}

/** The day to wait until, for a wait of so many days. */
export function waitUntil(from: Day, days: number): Day {
  return addDays(from, days)
}
