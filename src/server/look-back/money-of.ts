import { type WornThing, moneyUsed } from '#core/look-back/used-up'
import { knownUses, type ItemFacts } from '../stock/item-facts.js'
import type { Forecasts } from '../forecast/forecasts.js'

type Uses = Omit<WornThing, 'price' | 'uses'>

/** Of items, how many uses each had and likely still has, or had when it ended, and what that comes to in money. */
export class MoneyOf {
  readonly #known = new Map<string, Uses>()

  constructor(private readonly services: { forecasts: Forecasts }) {}

  /** Minor units used up by so many uses; null where its price or its uses are not known. */
  used(item: ItemFacts, uses: number): number | null {
    return item.priceMinor === null ? null : moneyUsed({ price: item.priceMinor, uses, ...this.#of(item) })
  }

  #of(item: ItemFacts): Uses {
    const known = this.#known.get(item.id)
    if (known) return known
    const found = this.#reckon(item)
    this.#known.set(item.id, found)
    return found
  }

  #reckon(item: ItemFacts): Uses {
    const allUses = knownUses(item)
    const logged = item.wears
    if (item.lifecycle === 'finished') return { logged, allUses, usesLeft: 0, shareLeft: 0 }
    const { usesLeft, share } = this.services.forecasts.of(item).forecast.content
    return { logged, allUses, usesLeft: usesLeft[Math.floor(usesLeft.length / 2)] ?? null, shareLeft: share.middle }
  }
}
