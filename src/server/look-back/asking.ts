import { callOf } from '#core/item/naming'
import type { z } from 'zod'
import { addDays, type Day } from '#core/calendar/day'
import type { AnswerAsk, AsksAnswer, Candidate, PutAsk } from '#contract/look-back'
import type { Answer } from '../db/journal.js'
import { fail, ok } from '../failing.js'
import { listedOf, type ItemFacts } from '../stock/item-facts.js'
import { lookBackQueries } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Forecasts } from '../forecast/forecasts.js'

/** What the user wore lately, as evidence: a season. */
const LATELY_DAYS = 90

export class Asking {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock; forecasts: Forecasts }) {
    this.#queries = lookBackQueries(services.db)
  }

  all(): AsksAnswer {
    const { services } = this
    const today = services.today()
    const rows = this.#queries.askItems.all()
    const ids = [...new Set(rows.map((row) => row.item_id))]
    const items = new Map(services.stock.facts(ids, today).map((item) => [item.id, item]))
    const rivals = new Map<string, number>()
    const present = ids.length === 0 ? [] : services.stock.facts(services.stock.presentIds(), today)
    for (const item of present)
      if (item.lifecycle === 'open') rivals.set(item.wornAsId, (rivals.get(item.wornAsId) ?? 0) + 1)
    const works = this.#queries.works.all(JSON.stringify(ids))
    const others = new Map(
      services.stock
        .facts(
          works.flatMap((row) => [row.item_id, row.other_item_id]),
          today,
        )
        .map((item) => [item.id, item]),
    )
    return {
      today,
      currency: services.settings().currency,
      asks: this.#queries.asks.all().map((row) => ({
        id: row.id,
        version: row.version,
        question: row.question,
        askedOn: row.asked_on,
        answeredOn: row.answered_on,
        answer: row.answer,
        chosenItemId: row.chosen_item_id,
        candidates: rows
          .filter(({ ask_id: id }) => id === row.id)
          .flatMap(({ item_id: id }): Candidate[] => {
            const item = items.get(id)
            if (!item) return []
            const own = works.find((pair) => pair.item_id === id || pair.other_item_id === id)
            const partner = own && others.get(own.item_id === id ? own.other_item_id : own.item_id)
            return [this.#candidate(item, today, rivals.get(item.wornAsId) ?? 0, partner)]
          }),
      })),
    }
  }

  #candidate(item: ItemFacts, today: Day, open: number, partner: ItemFacts | undefined): Candidate {
    const left = item.endedOn === null ? this.services.forecasts.of(item).forecast.content.usesLeft : []
    return {
      item: listedOf(item),
      usesNeeded: left[Math.floor(left.length / 2)] ?? null,
      lastGood: item.shelfLife.actOn,
      worn90: this.#queries.daysOf.get({ itemId: item.id, from: addDays(today, 1 - LATELY_DAYS), to: today })?.n ?? 0,
      priceMinor: item.priceMinor,
      usedMinor: item.priceMinor === null ? null : item.priceMinor * (1 - this.services.forecasts.shareLeft(item)),
      rivals: Math.max(0, open - (item.lifecycle === 'open' ? 1 : 0)),
      pair: partner ? callOf(partner) : null,
    }
  }

  put({ id, version, question, itemIds }: z.output<typeof PutAsk>): Answer {
    const today = this.services.today()
    const known = new Set(this.services.stock.facts(itemIds, today).map((item) => item.id))
    const unknown = itemIds.find((each) => !known.has(each))
    if (unknown !== undefined) return fail('unknown-item', { value: unknown })
    const there = this.#queries.ask.get(id)
    if (!there && version !== null) return fail('unknown-ask', { value: id })
    if (there && there.version !== version) return fail('stale', { current: JSON.stringify(there) })
    if (there?.chosen_item_id && !itemIds.includes(there.chosen_item_id)) return fail('chosen-leaves')
    if (there) this.#queries.setAsk.run({ id, question })
    else this.#queries.addAsk.run({ id, question, askedOn: today })
    this.#queries.dropAskItems.run(id)
    itemIds.forEach((itemId, position) =>
      this.#queries.addAskItem.run({ id: this.services.newId(), askId: id, itemId, position }),
    )
    return ok({ words: there ? 'Changed a question to friends' : `Asked: ${question}`, answer: { id } })
  }

  /** What friends said; said again, the later word holds. */
  answer(id: string, { version, answer, chosenItemId }: z.output<typeof AnswerAsk>): Answer {
    const there = this.#queries.ask.get(id)
    if (!there) return fail('unknown-ask', { value: id })
    if (there.version !== version)
      return fail('stale', { current: JSON.stringify(this.all().asks.find((each) => each.id === id) ?? there) })
    const candidates = this.#queries.askItems.all().filter((row) => row.ask_id === id)
    if (chosenItemId !== null && !candidates.some((row) => row.item_id === chosenItemId))
      return fail('unknown-item', { value: chosenItemId })
    this.#queries.answerAsk.run({ id, answer, chosenItemId, day: this.services.today() })
    return ok({ words: `Typed in what was said to: ${there.question}`, answer: { id } })
  }

  drop(id: string): Answer {
    const there = this.#queries.ask.get(id)
    if (!there) return fail('unknown-ask', { value: id })
    this.#queries.dropAskItems.run(id)
    this.#queries.dropAsk.run(id)
    return ok({ words: `Removed the question: ${there.question}`, answer: { id } })
  }
}
