import { MONTH_DAYS } from '#core/calendar/lengths'
import { callOf } from '#core/item/naming'
import type { z } from 'zod'
import { addDays, type Day } from '#core/calendar/day'
import { comparableFinish, differenceOf, labOf, TWIN_BELOW } from '#core/colour/difference'
import { buyingSums } from '#core/decide/buying'
import { colourTells } from '#core/decide/twins'
import { packageModelOf } from '#core/forecast/form-models'
import { median } from '#core/lists/median'
import { labelGrams, useAmountOf } from '#core/forecast/use-amounts'
import { usualPeriod } from '#core/shelf-life/default-pao'
import type { BuyingCheckAnswer, BuyingQuery } from '#contract/buying'
import { fail, ok, type Outcome } from '../failing.js'
import type { ItemFacts } from '../stock/item-facts.js'
import { buyingQueries } from './queries.js'
import type { Context } from '../context.js'
import type { GatheringEvidence } from '../decide/evidence.js'
import type { Supplying } from '../forecast/supplying.js'
import type { Lessons } from './lessons.js'
import type { Forecasts } from '../forecast/forecasts.js'
import type { Stock } from '../stock/stock.js'
import type { BuyingRules } from './rules.js'

const NEAREST_SHOWN = 4
/** What is this far off is not dated. */
const MOST_DAYS = 365 * 30
/** Fewer finished ones tell no usual price. */
const LEAST_FINISHED = 3

/** What is asked at the till: what there is like it, how long it would last, what it pushes out, what the user's rules say. */
export class BuyingCheck {
  readonly #queries

  constructor(
    private readonly services: Context & {
      evidence: GatheringEvidence
      supplying: Supplying
      lessons: Lessons
      forecasts: Forecasts
      stock: Stock
      buyingRules: BuyingRules
    },
  ) {
    this.#queries = buyingQueries(services.db)
  }

  of({ category: categoryId, colour, finish, price }: z.output<typeof BuyingQuery>): Outcome<BuyingCheckAnswer> {
    const category = this.#queries.category.get(categoryId)
    if (!category) return fail('unknown-category', { value: categoryId })
    const { today, items, byId, worn } = this.services.evidence.all()
    const own = items.filter((item) => item.wornAsId === categoryId)
    const perYear = this.services.supplying.paceOf(categoryId, today)
    const period = usualPeriod(category.model_type, category.usual_form, category.eye === 1)
    const likelyUses = this.#likelyUses(category)
    const sums = buyingSums(this.services.supplying.stockOf(own, today), perYear, {
      uses: likelyUses,
      openDays: period.unit === 'days' ? period.count : Math.round(period.count * MONTH_DAYS),
      price: price ?? null,
    })
    const nearest =
      colour === undefined || !colourTells(category.model_type) ? [] : nearestOf(colour, finish ?? null, own)
    const needed = sums.turnIn === null || sums.turnIn > MOST_DAYS ? null : addDays(today, Math.round(sums.turnIn))
    return ok({
      today,
      currency: this.services.settings().currency,
      category: category.name,
      owned: own.length,
      unopened: own.filter((item) => item.lifecycle === 'unopened').length,
      nearest: nearest.slice(0, NEAREST_SHOWN).map(({ item, difference }) => ({
        itemId: item.id,
        mark: callOf(item),
        colour: item.colour ?? '',
        difference,
        worn: worn(item.id),
        lastGood: item.shelfLife.actOn,
      })),
      twins: nearest.filter(({ difference }) => difference < TWIN_BELOW).length,
      perYear: perYear === null ? null : Math.round(perYear),
      years: sums.before?.years ?? null,
      yearsAfter: sums.after?.years ?? null,
      pushedOut: sums.pushedOut.flatMap((id) => told(byId.get(id))),
      expiringAlready: sums.before?.expiring.size ?? 0,
      needed,
      likelyUses: Math.round(likelyUses),
      usesGot: sums.usesGot === null ? null : Math.round(sums.usesGot),
      perUse: sums.perUse,
      perUseAtBest: sums.perUseAtBest,
      usualPerUse: this.#usualPerUse(categoryId, today),
      rules: this.#rulesFor(categoryId, today),
      lessons: this.services.lessons.bearingOn(categoryId),
    })
  }

  /** Of one with the usual label, by the usual amount of a use and the user's own hand. */
  #likelyUses(category: {
    readonly usual_form: Parameters<typeof useAmountOf>[1]
    readonly model_type: Parameters<typeof useAmountOf>[0]
  }): number {
    const amount = useAmountOf(category.model_type, category.usual_form)
    const { residue } = packageModelOf(category.model_type, category.usual_form)
    const grams = labelGrams(amount.typicalLabel, amount) ?? 0
    return (grams * (1 - residue)) / (amount.median * Math.exp(this.services.forecasts.userEffects().amount))
  }

  #usualPerUse(categoryId: string, today: Day): number | null {
    const ids = this.#queries.endings
      .all()
      .filter((row) => row.category_id === categoryId && row.how === 'finished')
      .map((row) => row.id)
    const costs = this.services.stock
      .facts(ids, today)
      .flatMap((item) => (item.priceMinor === null || item.uses === 0 ? [] : [item.priceMinor / item.uses]))
    return costs.length < LEAST_FINISHED ? null : median(costs)
  }

  /** The user's limits that are in force and hold for this kind. */
  #rulesFor(categoryId: string, today: Day): BuyingCheckAnswer['rules'] {
    const name = this.#queries.category.get(categoryId)?.name
    const finished = this.#queries.finished.all().filter((row) => row.category_id === categoryId)
    return this.services.buyingRules
      .all()
      .filter((rule) => rule.state === 'in force' && (rule.category === null || rule.category === name))
      .map((rule) => {
        const exception = rule.exceptions.find((each) => each.categoryId === categoryId)
        const empties = finished.filter(({ day }) => day >= rule.from && day <= today).length
        return {
          ruleId: rule.id,
          words: rule.words,
          left: rule.left,
          excepted: (exception?.left ?? 0) > 0,
          replacing: rule.sparesReplacements && empties > rule.replacing,
          to: rule.to,
        }
      })
  }
}

function nearestOf(
  colour: string,
  finish: ItemFacts['finish'],
  own: readonly ItemFacts[],
): { readonly item: ItemFacts; readonly difference: number }[] {
  const wanted = labOf(colour)
  return own
    .flatMap((item) =>
      item.colour !== null && item.parts.length === 0 && comparableFinish(finish, item.finish)
        ? [{ item, difference: differenceOf(wanted, labOf(item.colour)) }]
        : [],
    )
    .sort((a, b) => a.difference - b.difference || (a.item.id < b.item.id ? -1 : 1))
}

function told(item: ItemFacts | undefined): BuyingCheckAnswer['pushedOut'] {
  return item ? [{ itemId: item.id, mark: callOf(item), priceMinor: item.priceMinor }] : []
}
