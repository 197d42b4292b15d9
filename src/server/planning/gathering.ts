import { addDays, type Day } from '#core/calendar/day'
import { needsOfGoal } from '#core/forecast/outlook'
import type { PlanBasis, PlanKind, PlanProject, PlanThing } from '#core/plan/schedule/basis'
import { worthOf } from '#core/plan/schedule/worth'
import { median } from '#core/lists/median'
import { MOST_MONTHS } from '#core/plan/schedule/span'
import { bareAtStage } from '#core/item/what-is-left'
import type { PlanAnswer } from '#contract/planning'
import { listedOf, type ItemFacts } from '../stock/item-facts.js'
import { aimOf } from '../forecast/views.js'
import type { planQueries } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Drawer } from '../drawer/drawer.js'
import type { Projects } from '../projects/projects.js'
import type { Forecasts } from '../forecast/forecasts.js'
import type { Supplying } from '../forecast/supplying.js'

/** Under so many wear days nothing is learned of a kind. Assumption, as for the week. */
const LEAST_WEAR_DAYS = 20
/** What nothing is known of is taken to be worn once a wear day. */
const UNKNOWN_PER_DAY = 1
/** No calm stretch further off than this bears on a plan. */
const AHEAD_DAYS = 366 * 5
const TOO_TALL = 'too tall for the drawer'
const POWDERS = ['pressed', 'baked']

type Gathered = Omit<PlanAnswer, 'inForce'>

/** Gathers what a plan is made from: what could lie in the drawer, the user's days, the user's kinds, the user's words. */
export class PlanGathering {
  readonly #queries: ReturnType<typeof planQueries>

  constructor(
    private readonly services: Context & {
      stock: Stock
      drawer: Drawer
      projects: Projects
      forecasts: Forecasts
      supplying: Supplying
    },
    queries: ReturnType<typeof planQueries>,
  ) {
    this.#queries = queries
  }

  all(): Gathered {
    const { services } = this
    const today = services.today()
    const present = services.stock.facts(services.stock.presentIds(), today)
    const possible = present.filter(canBePlanned)
    const zones = services.drawer.zones()
    const slotsOf = new Map(present.map((item) => [item.id, item]))
    const words = new Map(this.#queries.words.all().map((row) => [row.item_id, row]))
    const { week, weeks } = services.stock.week(today)
    const learned = this.#learned(today)
    const kinds = this.#kinds(learned, today)
    const projects = services.projects.forPlan(possible)
    const inside = new Map<string, string[]>()
    for (const { projectId, inside: own } of projects)
      for (const id of own) inside.set(id, [...(inside.get(id) ?? []), projectId])
    const ten = services.stock.nextTen(today)
    const can = mostWorth(
      possible.map((item) =>
        this.#standing(item, words.get(item.id), inside.get(item.id) ?? [], ten.get(item.id)?.place ?? null),
      ),
      today,
    )
    const things = can.map(({ item, ...standing }) => ({ ...standing, ...this.#needsOf(item) }))
    const planned = new Set(things.map(({ itemId }) => itemId))
    const basis: PlanBasis = {
      today,
      hemisphere: services.settings().hemisphere,
      week,
      calm: services.stock.days
        .calm(today)
        .filter(({ latest, earliest }) => latest >= today && earliest <= addDays(today, AHEAD_DAYS)),
      places: zones.map(({ id, slots, itemIds }) => ({
        zoneId: id,
        slots,
        staying: itemIds.reduce((sum, itemId) => {
          const item = slotsOf.get(itemId)
          return sum + (!item || planned.has(itemId) || item.placement?.beside === true ? 0 : item.slots)
        }, 0),
      })),
      kinds: kinds.map(({ kind }) => kind),
      things,
      projects: projects.map(({ inside: _, name: __, ...project }): PlanProject => project),
      moves: this.#queries.moves.all().map(({ item_id: itemId, month, lies }) => ({ itemId, month, lies: lies === 1 })),
    }
    const out = present.filter((item) => !canBePlanned(item))
    return {
      today,
      currency: services.settings().currency,
      basis,
      zones: zones.map(({ id, name }) => ({ id, name })),
      kinds: kinds.map(({ shown }) => shown),
      projects: projects.map(({ projectId, name, by }) => ({ id: projectId, name, by })),
      items: can.map(({ item }) => listedOf(item)),
      notPlanned: {
        others: possible.length - can.length,
        unopened: out.filter((item) => item.lifecycle === 'unopened').length,
        setAside: out.filter((item) => item.lifecycle !== 'unopened' && item.setAside !== null).length,
        tooTall: out.filter(
          (item) => item.lifecycle !== 'unopened' && item.setAside === null && item.packageStates.includes(TOO_TALL),
        ).length,
      },
      perWeek: week.reduce((sum, each) => sum + each, 0),
      weekLearnedFrom: weeks,
    }
  }

  /** Where an item stands, without what is still to be done: that is looked at of those that are planned only. */
  #standing(
    item: ItemFacts,
    word: { said: PlanThing['said']; weight: number | null; most_a_week: number | null } | undefined,
    projectIds: readonly string[],
    upNext: number | null,
  ) {
    const { forecast, pace } = this.services.forecasts.of(item)
    return {
      item,
      itemId: item.id,
      categoryId: item.wornAsId,
      slots: item.slots,
      inDrawer: item.placement !== null,
      lastGood: item.shelfLife.actOn,
      from: item.location === 'season box' ? item.restingUntil : null,
      seasons: item.seasons,
      mostAWeek: word?.most_a_week ?? null,
      liking: item.liking,
      moneyLeft: item.priceMinor === null ? null : Math.round(item.priceMinor * forecast.content.share.middle),
      projectIds,
      upNext,
      said: word?.said ?? null,
      weight: word?.weight ?? null,
      pace: pace?.perWeek ?? null,
    }
  }

  #needsOf(item: ItemFacts): Pick<PlanThing, 'toward' | 'needs' | 'needsToPan' | 'by'> {
    const { forecast } = this.services.forecasts.of(item)
    const goal = item.goal
    const counts = goal !== null && goal.partId === null && !goal.beside && !goal.met ? goal : null
    const aim = counts === null ? null : aimOf(counts)
    const toFinish = aim === null || (aim.kind === 'share' && aim.left === 0)
    return {
      toward: aim === null ? 'end' : 'goal',
      needs: needsOfGoal(forecast, aim ?? { kind: 'share', left: 0 }),
      needsToPan:
        toFinish && POWDERS.includes(item.form) && !showsPan(item)
          ? needsOfGoal(forecast, aimOf({ kind: 'hit pan', target: null, uses: 0 }) ?? { kind: 'share', left: 0 })
          : null,
      by: counts?.by ?? null,
    }
  }

  #kinds(
    learned: ReadonlyMap<string, number> | null,
    today: Day,
  ): { readonly kind: PlanKind; readonly shown: Gathered['kinds'][number] }[] {
    const said = new Map(this.#queries.paces.all().map((row) => [row.category_id, row.per_wear_day]))
    const breaks = this.#queries.breaks.all().filter((row) => row.to_day >= today)
    const needs = this.#needs(today)
    return this.#queries.categories.all().map(({ id, name, zone_id: zoneId }) => {
      const own = breaks.filter((row) => row.category_id === id)
      const known = learned === null ? null : (learned.get(id) ?? 0)
      const need = needs.get(id) ?? null
      return {
        kind: {
          categoryId: id,
          zoneId,
          perWearDay: said.get(id) ?? (known === null || known === 0 ? UNKNOWN_PER_DAY : known),
          breaks: own.map(({ from_day: from, to_day: to }) => ({ from, to })),
          need: need?.middle ?? null,
        },
        shown: {
          id,
          name,
          zoneId,
          learned: known === 0 ? null : known,
          said: said.has(id),
          breaks: own.map(({ id: breakId, from_day: from, to_day: to }) => ({ id: breakId, from, to })),
          needSoonest: need?.low ?? null,
          needLatest: need?.high ?? null,
        },
      }
    })
  }

  /** When a kind that is in use runs out, within the longest plan. */
  #needs(today: Day): Map<string, { low: Day | null; middle: Day; high: Day | null }> {
    const end = addDays(today, MOST_MONTHS * 31)
    return new Map(
      this.services.supplying.needs().flatMap(({ categoryId, need, perYear }) => {
        if (need?.middle === null || need?.middle === undefined || need.middle > end) return []
        // A use or two a year is no need.
        if (perYear < LEAST_A_YEAR) return []
        return [[categoryId, { low: need.low, middle: need.middle, high: need.high }] as const]
      }),
    )
  }

  /** Uses of each kind on a wear day, over the days that are known; null while they are too few. */
  #learned(today: Day): Map<string, number> | null {
    const { uses, wearDays } = this.services.supplying.pastYear(today)
    if (wearDays < LEAST_WEAR_DAYS) return null
    return new Map([...uses].map(([categoryId, n]) => [categoryId, n / wearDays]))
  }
}

const LEAST_A_YEAR = 12
/** More than these no plan can look at in its time; a drawer holds a tenth of them. */
const MOST_THINGS = 300

type Standing = Omit<PlanThing, 'toward' | 'needs' | 'needsToPan' | 'by'>

/** What is planned of very many: what is in the drawer, is worked on or was spoken of, then what is worth most. */
function mostWorth<T extends Standing>(things: readonly T[], today: Day): readonly T[] {
  if (things.length <= MOST_THINGS) return things
  const usualMoney = median(things.flatMap(({ moneyLeft }) => moneyLeft ?? []))
  const rank = ({ inDrawer, projectIds, upNext, said, lastGood, liking, moneyLeft, weight }: Standing): number =>
    (inDrawer || projectIds.length > 0 || upNext !== null || said !== null ? 1000 : 0) +
    (lastGood !== null && lastGood < today ? -500 : 0) +
    worthOf({ liking, moneyLeft, usualMoney, lastGood, inProject: projectIds.length > 0, upNext, weight }, today)
  const ranked = things.map((thing) => ({ thing, rank: rank(thing) }))
  ranked.sort((a, b) => b.rank - a.rank || (a.thing.itemId < b.thing.itemId ? -1 : 1))
  const kept = new Set(ranked.slice(0, MOST_THINGS).map(({ thing }) => thing))
  return things.filter((thing) => kept.has(thing))
}

export function canBePlanned(item: ItemFacts): boolean {
  return item.lifecycle === 'open' && item.setAside === null && !item.packageStates.includes(TOO_TALL)
}

function showsPan(item: ItemFacts): boolean {
  const { reading } = item
  if (reading === null) return false
  if (reading.stage !== null) return bareAtStage(reading.stage) > 0
  return reading.kind === 'bare' && (reading.value ?? 0) > 0
}
