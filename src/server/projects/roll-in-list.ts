import { rollInShortList, SHORT_LIST, type RollInCandidate } from '#core/plan/roll-in'
import { seasonOn } from '#core/item/traits'
import { isSpoiled } from '#core/shelf-life/last-good-day'
import type { ShortListAnswer } from '#contract/projects'
import type { ReasonView } from '#contract/today'
import { summaryOf, type ItemFacts } from '../stock/item-facts.js'
import type { ProjectRow, StayHeadRow } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { CurrentPlan } from '../planning/current-plan.js'

type Listed = { item: ItemFacts; sameCategory: boolean; reasons: readonly ReasonView[] }

/** As many of a sweep's next ones as are looked at in one go. Assumption. */
const SWEEP_SHOWN = 8

/** What could roll into a project, each with its reason; nothing that the user's rules would refuse. */
export class RollInList {
  constructor(private readonly services: Context & { stock: Stock; currentPlan: CurrentPlan }) {}

  of(
    project: ProjectRow,
    stays: readonly StayHeadRow[],
    replacing: string | null,
    allowed: (item: ItemFacts) => boolean,
  ): ShortListAnswer {
    const today = this.services.today()
    const inside = new Set(stays.filter((stay) => stay.rolled_out === null).map((stay) => stay.item_id))
    const all = this.services.stock.facts(this.services.stock.presentIds(), today)
    const candidates = all.filter(
      (item) =>
        // Not what has just made room, and nothing that should not come near an eye or lip any more.
        item.id !== replacing &&
        !inside.has(item.id) &&
        item.lifecycle === 'open' &&
        item.setAside !== 'keepsake' &&
        !(isSpoiled(item.shelfLife) && (item.eye || item.lip)) &&
        allowed(item),
    )
    if (project.shape === 'sweep') return shown(this.#nextInSweep(stays, candidates))
    const out = replacing === null ? null : this.services.stock.one(replacing, today)
    const kept = this.#keptForLater(candidates, out?.categoryId ?? null)
    kept.push(
      ...this.#planned(candidates, out?.categoryId ?? null).filter(
        ({ item }) => !kept.some((each) => each.item.id === item.id),
      ),
    )
    const chosen = rollInShortList(
      this.#facts(all, candidates),
      out === null ? null : { categoryId: out.categoryId },
      today,
      seasonOn(today, this.services.settings().hemisphere),
    )
    const byId = new Map(all.map((item) => [item.id, item]))
    const reasoned = chosen.flatMap(({ itemId, sameCategory, reasons }: RollInCandidate): Listed[] => {
      const item = byId.get(itemId)
      return item && !kept.some((each) => each.item.id === itemId) ? [{ item, sameCategory, reasons }] : []
    })
    // Of the type that went, whatever it is offered for, comes before the rest.
    return shown([...kept, ...reasoned].sort((a, b) => Number(b.sameCategory) - Number(a.sameCategory)))
  }

  /** The next of the category: those it has not had yet, the least used first, so that the whole stays even. */
  #nextInSweep(stays: readonly StayHeadRow[], candidates: readonly ItemFacts[]): Listed[] {
    const had = new Set(stays.map((stay) => stay.item_id))
    return candidates
      .filter((item) => !had.has(item.id))
      .sort((a, b) => a.uses - b.uses || (a.id < b.id ? -1 : 1))
      .slice(0, SWEEP_SHOWN)
      .map((item) => ({ item, sameCategory: true, reasons: [{ code: 'next-in-sweep', uses: item.uses }] }))
  }

  /** What the user put up next comes first, in their order. */
  #keptForLater(candidates: readonly ItemFacts[], categoryId: string | null): Listed[] {
    const byId = new Map(candidates.map((item) => [item.id, item]))
    return this.services.stock.upNext().flatMap(({ itemId, place, words }): Listed[] => {
      const item = byId.get(itemId)
      if (item === undefined) return []
      return [{ item, sameCategory: item.categoryId === categoryId, reasons: [{ code: 'up-next', place, words }] }]
    })
  }

  /** What the current plan lays in this month or the next, like for like first. */
  #planned(candidates: readonly ItemFacts[], categoryId: string | null): Listed[] {
    const coming = this.services.currentPlan.comingIn(this.services.today())
    const found = candidates.flatMap((item): Listed[] => {
      const month = coming.get(item.id)
      if (month === undefined || item.placement !== null) return []
      return [{ item, sameCategory: item.categoryId === categoryId, reasons: [{ code: 'planned-in', month }] }]
    })
    return found.sort((a, b) => Number(b.sameCategory) - Number(a.sameCategory)).slice(0, SHORT_LIST)
  }

  #facts(all: readonly ItemFacts[], candidates: readonly ItemFacts[]) {
    const openIn = new Map<string, number>()
    for (const item of all)
      if (item.lifecycle === 'open') openIn.set(item.categoryId, (openIn.get(item.categoryId) ?? 0) + 1)
    return candidates
      .filter((item) => item.makeup)
      .map((item) => ({
        itemId: item.id,
        categoryId: item.categoryId,
        shelfLife: item.shelfLife,
        openedSince: item.opening.kind === 'range' ? (item.opening.within?.latest ?? null) : null,
        left: item.contents.left,
        liking: item.liking,
        lastWorn: item.lastWorn,
        openOfType: openIn.get(item.categoryId) ?? 0,
        seasons: item.seasons,
        inDrawer: item.placement !== null,
      }))
  }
}

function shown(listed: readonly Listed[]): ShortListAnswer {
  return {
    items: listed.map(({ item, ...why }) => ({
      item: summaryOf(item),
      sameCategory: why.sameCategory,
      reasons: [...why.reasons],
    })),
  }
}
