import { comparableFinish, differenceOf, labOf } from '#core/colour/difference'
import { countFelt, type Felt } from '#core/decide/feelings'
import { keepOrder } from '#core/decide/target'
import { isSpoiled } from '#core/shelf-life/last-good-day'
import type { CompareAnswer } from '#contract/deciding'
import { preparing } from '../db/query.js'
import { fail, ok, type Outcome } from '../failing.js'
import { summaryOf, type ItemFacts } from '../stock/item-facts.js'
import { destinationsOf } from './decide.js'
import { doubtView } from './doubting.js'
import type { Evidence, GatheringEvidence } from './evidence.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Forecasts } from '../forecast/forecasts.js'

export class Comparing {
  readonly #queries

  constructor(
    private readonly services: Context & { evidence: GatheringEvidence; stock: Stock; forecasts: Forecasts },
  ) {
    const sql = preparing(services.db)
    this.#queries = {
      felt: sql<[string], { felt: Felt }>(`
        SELECT f.felt FROM feeling f JOIN wear w ON w.id = f.wear_id WHERE w.item_id = ? AND f.aspect = 'in all'`),
    }
  }

  of(ids: readonly string[]): Outcome<CompareAnswer> {
    const evidence = this.services.evidence.all()
    const { today } = evidence
    const items = ids.flatMap((id) => this.services.stock.one(id, today) ?? [])
    const missing = ids.find((id) => !items.some((item) => item.id === id))
    if (missing !== undefined) return fail('unknown-item', { value: missing })
    const order = keepOrder(items.map((item) => keepFactsOf(item, evidence)))
    return ok({
      today,
      currency: this.services.settings().currency,
      sameUse: new Set(items.map((item) => item.wornAsId)).size === 1,
      things: items.map((item) => ({
        ...this.#thing(item, evidence),
        place: order.findIndex(({ id }) => id === item.id) + 1,
      })),
      differences: differencesAmong(items),
    })
  }

  #thing(item: ItemFacts, evidence: Evidence): Omit<CompareAnswer['things'][number], 'place'> {
    const { chances, reached } = evidence.reach(item.id)
    const left = item.endedOn === null ? this.services.forecasts.of(item).forecast.content.usesLeft : null
    const usesLeft = left?.[Math.floor(left.length / 2)] ?? null
    const price = item.priceMinor
    return {
      item: summaryOf(item),
      worn: evidence.worn(item.id),
      reached,
      chances,
      usesLeft: usesLeft === null ? null : Math.round(usesLeft),
      costSoFar: price === null || item.uses === 0 ? null : price / item.uses,
      costAtBest: price === null || usesLeft === null ? null : price / (item.uses + usesLeft),
      felt: countFelt(this.#queries.felt.all(item.id).map((row) => row.felt)),
      doubts: evidence.doubts(item).map((doubt) => doubtView(doubt, evidence.byId)),
      destinations: [...destinationsOf(item)],
    }
  }
}

export function keepFactsOf(item: ItemFacts, evidence: Evidence) {
  return {
    id: item.id,
    liking: item.liking,
    worn: evidence.worn(item.id),
    inDate: !isSpoiled(item.shelfLife),
    daysLeft: item.shelfLife.daysLeft,
    hasTwin: evidence.twins(item.id).length > 0,
    doubts: evidence.doubts(item).length,
  }
}

function differencesAmong(items: readonly ItemFacts[]): CompareAnswer['differences'] {
  return items.flatMap((a, n) =>
    items.slice(n + 1).flatMap((b) =>
      a.colour === null || b.colour === null
        ? []
        : [
            {
              a: a.id,
              b: b.id,
              difference: differenceOf(labOf(a.colour), labOf(b.colour)),
              comparable: a.wornAsId === b.wornAsId && comparableFinish(a.finish, b.finish),
            },
          ],
    ),
  )
}
