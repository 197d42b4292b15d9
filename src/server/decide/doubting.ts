import { callOf } from '#core/item/naming'
import { ranked, type Doubt, type Leaning } from '#core/decide/doubts'
import type { DoubtsAnswer, DoubtView } from '#contract/deciding'
import { summaryOf, type ItemFacts } from '../stock/item-facts.js'
import type { Context } from '../context.js'
import type { GatheringEvidence } from './evidence.js'

/** As many as one sitting bears. Assumption. */
const SHOWN = 40

export class Doubting {
  constructor(private readonly services: Context & { evidence: GatheringEvidence }) {}

  all(asked?: Leaning): DoubtsAnswer {
    const leaning = asked ?? this.services.settings().leaning
    const { items, doubts, today, byId } = this.services.evidence.all()
    const inDoubt = ranked(
      items.map((item) => ({ of: item, doubts: doubts(item) })),
      leaning,
    )
    return {
      today,
      currency: this.services.settings().currency,
      leaning,
      inDoubt: inDoubt.slice(0, SHOWN).map(({ of, doubts: own, offer }) => ({
        item: summaryOf(of),
        doubts: own.map((doubt) => doubtView(doubt, byId)),
        offer,
      })),
      more: Math.max(0, inDoubt.length - SHOWN),
    }
  }
}

export function doubtView(doubt: Doubt, byId: ReadonlyMap<string, ItemFacts>): DoubtView {
  if (doubt.code === 'package') return { ...doubt, states: [...doubt.states] }
  if (doubt.code === 'out of season') return { ...doubt, seasons: [...doubt.seasons] }
  if (doubt.code !== 'twin') return doubt
  const other = byId.get(doubt.otherId)
  return { ...doubt, other: other ? callOf(other) : '' }
}
