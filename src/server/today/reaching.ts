import { addDays, type Day } from '#core/calendar/day'
import { stepOf } from '#core/plan/makeup-step'
import { reachFor, type WithinReach } from '#core/plan/reach-for'
import { isInDate } from '#core/shelf-life/last-good-day'
import type { DayView, SuggestionView } from '#contract/today'
import type { ItemFacts } from '../stock/item-facts.js'
import type { TodayQueries } from './queries.js'
import type { Context } from '../context.js'
import type { CurrentPlan } from '../planning/current-plan.js'
import type { Stock } from '../stock/stock.js'

/** Items put back within this long still tell something. Assumption. */
const PUT_BACK_DAYS = 60
/** An occasion must have come this often before it tells what goes with it. Assumption. */
const OCCASION_DAYS = 3

/** What to reach for today, from the drawer and the day. */
export class Reaching {
  readonly #queries: TodayQueries

  constructor(
    private readonly services: Context & { currentPlan: CurrentPlan; stock: Stock },
    queries: TodayQueries,
  ) {
    this.#queries = queries
  }

  suggestions(items: readonly ItemFacts[], worn: ReadonlySet<string>, day: Day, conditions: DayView): SuggestionView[] {
    const away = new Set(this.#queries.notTodayOn.all(day).map((row) => row.item_id))
    const backs = new Map(
      this.#queries.putBackSince.all(addDays(day, -PUT_BACK_DAYS)).map((row) => [row.item_id, row.n]),
    )
    const ten = this.services.stock.nextTen(day)
    const pairs = this.#queries.pairs.all()
    const aims = this.services.currentPlan.weekAims(day)
    const shares = this.#occasionShares(day, conditions.occasion)
    const partners = (id: string, verdict: 'works' | 'fights'): string[] =>
      pairs.flatMap((pair) => {
        if (pair.verdict !== verdict) return []
        return pair.item_id === id ? [pair.other_item_id] : pair.other_item_id === id ? [pair.item_id] : []
      })
    const within = items.flatMap((item): WithinReach[] => {
      const step = stepOf(item.wornType, item.eye)
      if (step === null || (item.placement === null && !worn.has(item.id))) return []
      const { goal } = item
      return [
        {
          itemId: item.id,
          step,
          categoryId: item.wornAsId,
          form: item.form,
          undertone: item.undertone,
          seasons: item.seasons,
          awkward: item.packageStates.length > 0,
          shelfLife: item.shelfLife,
          goal:
            goal === null
              ? null
              : {
                  standing: goal.standing,
                  usesLeft: goal.usesLeft,
                  difference: goal.difference,
                  done: goal.done,
                  project: goal.projectName,
                },
          left: item.contents.left,
          planned: aims.get(item.id) ?? null,
          lastWorn: item.lastWorn,
          placedOn: item.placement?.since ?? day,
          wornToday: worn.has(item.id),
          notToday: away.has(item.id),
          putBack: backs.get(item.id) ?? 0,
          occasionShare: shares.get(item.id) ?? null,
          fights: partners(item.id, 'fights'),
          works: partners(item.id, 'works'),
          upNext: ten.get(item.id) ?? null,
        },
      ]
    })
    return reachFor(within, conditions, day, worn, this.services.settings().hemisphere)
  }

  /** When no sunscreen in date is in the drawer and none is worn: the one elsewhere that lasts longest, opened ones first. */
  sunscreen(items: readonly ItemFacts[], worn: ReadonlySet<string>, day: Day): { elsewhere: ItemFacts | null } | null {
    const ids = this.#queries.sunscreens.all().map((row) => row.id)
    const all = this.services.stock.facts(ids, this.services.today())
    if (all.length === 0 || all.some((item) => worn.has(item.id))) return null
    const good = all.filter((item) => isInDate(item.shelfLife))
    if (good.some((item) => items.some((each) => each.id === item.id && each.placement !== null))) return null
    const end = (item: ItemFacts): string => item.shelfLife.sun?.lastDay ?? item.shelfLife.actOn ?? day
    const [best] = [...good].sort(
      (a, b) =>
        Number(b.lifecycle === 'open') - Number(a.lifecycle === 'open') ||
        (end(a) < end(b) ? 1 : -1) ||
        (a.id < b.id ? -1 : 1),
    )
    return { elsewhere: best ?? null }
  }

  #occasionShares(day: Day, occasion: string | null): Map<string, number> {
    if (occasion === null) return new Map()
    const rows = this.#queries.occasionWears.all({ day, occasion })
    return new Map(rows.filter((row) => row.days >= OCCASION_DAYS).map((row) => [row.item_id, row.n / row.days]))
  }
}
