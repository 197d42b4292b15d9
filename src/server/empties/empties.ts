import type { z } from 'zod'
import { fail, ok, type Failure, type Outcome } from '../failing.js'
import { itemMark } from '#core/words/told'
import { daysBetween, type Day } from '#core/calendar/day'
import type { EmptiesAnswer, FinishItem } from '#contract/ending'
import type { Done } from '../db/journal.js'
import type { House } from '../house.js'
import { summaryOf, type ItemFacts } from '../stock/item-facts.js'
import { emptiesQueries } from './queries.js'

/** Finished items with what was thought of them. What leaves keeps its history. */
export class Empties {
  readonly #house: House
  readonly #queries

  constructor(house: House) {
    this.#house = house
    this.#queries = emptiesQueries(house.db)
  }

  all(): EmptiesAnswer {
    const today = this.#house.today()
    const reviews = this.#queries.finished.all()
    const items = new Map(
      this.#house.stock
        .facts(
          reviews.map((row) => row.item_id),
          today,
        )
        .map((item) => [item.id, item]),
    )
    return {
      today,
      currency: this.#house.settings().currency,
      empties: reviews.flatMap((row) => {
        const item = items.get(row.item_id)
        if (!item) return []
        return [
          {
            item: summaryOf(item),
            day: row.day,
            wouldBuyAgain: row.would_buy_again,
            words: row.words,
            packageGoes: row.package_goes,
            daysInUse: daysInUse(item, row.day),
          },
        ]
      }),
    }
  }

  /**
   * Finishes an item: it leaves the drawer and keeps its history. Its stays in projects stand: a
   * met goal offers to roll out, and that is an act of its own.
   */
  finish(itemId: string, body: z.output<typeof FinishItem>): Outcome<Done<{ id: string; backups: number }>> {
    const today = this.#house.today()
    const item = this.#house.stock.one(itemId, today)
    if (!item) return fail('unknown-item', { value: itemId })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    if (body.day > today) return fail('day-in-future', { value: body.day })
    if (item.lastWorn !== null && body.day < item.lastWorn)
      return fail('finished-before-last-wear', { value: body.day, day: item.lastWorn })
    if ((this.#queries.reviewTaken.get(body.reviewId)?.n ?? 0) > 0) return fail('id-taken', { value: body.reviewId })
    const ended = this.#end(item, body.day)
    if (ended) return ended
    this.#queries.review.run({
      id: body.reviewId,
      productId: item.productId,
      itemId,
      day: body.day,
      wouldBuyAgain: body.wouldBuyAgain,
      words: body.words,
      packageGoes: body.packageGoes,
    })
    if (body.empty) {
      const { changeId, day, empty } = body
      const weighed = this.#house.measuring.addWeight(itemId, { changeId, day, ...empty })
      if (!weighed.ok) return weighed
    }
    if (body.packageGoes === 'keep the container')
      this.#queries.keepContainer.run({
        id: this.#house.newId(),
        words: (item.name.includes(item.shade) ? item.name : `${item.name} ${item.shade}`).slice(0, 120),
        itemId,
        day: body.day,
        // What will be washed out of it is weighed with it: only a cleaned one is known.
        grams: body.empty?.state === 'cleaned' ? body.empty.grams : null,
        resolution: body.empty?.state === 'cleaned' ? body.empty.resolution : null,
      })
    return ok({ words: `Finished ${itemMark(item)}`, answer: { id: itemId, backups: item.backups } })
  }

  /** A shade is used up; with the last one of them the palette is. */
  finishPart(partId: string, day: Day): Outcome<Done<{ id: string; last: boolean }>> {
    const part = this.#queries.part.get(partId)
    const item = part && this.#house.stock.one(part.item_id, this.#house.today())
    if (!part || !item) return fail('unknown-part', { value: partId, field: 'partId' })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    if (part.finished_on !== null) return fail('part-finished', { name: part.name })
    if (day > this.#house.today()) return fail('day-in-future', { value: day })
    if (part.last_worn !== null && day < part.last_worn)
      return fail('finished-before-last-wear', { value: day, day: part.last_worn })
    this.#queries.finishPart.run({ id: partId, day })
    const last = (this.#queries.partsLeft.get(item.id)?.n ?? 0) === 0
    if (last && (item.lastWorn === null || item.lastWorn <= day)) {
      const ended = this.#end(item, day)
      if (ended) return ended
    }
    const words = last ? `Finished ${itemMark(item)} with its last shade` : `Finished ${part.name} of ${itemMark(item)}`
    return ok({ words, answer: { id: partId, last } })
  }

  /** It leaves the drawer, trials and the short list; its history stays. */
  #end(item: ItemFacts, day: Day): { readonly ok: false; readonly failure: Failure } | null {
    if (item.placement !== null) {
      const out = this.#house.drawer.takeOut(item.id, day)
      if (!out.ok) return out
    }
    this.#queries.finish.run({ id: item.id, day })
    this.#house.decide.closeTrials(item.id, day)
    this.#queries.offShortList.run(item.id)
    return null
  }
}

/** Days from opening to the end; both ends where the opening is a range. Null when nothing bounds it. */
function daysInUse(item: ItemFacts, end: ItemFacts['endedOn']): { least: number; most: number } | null {
  const { within } = item.opening
  if (end === null || within === null || within.latest > end) return null
  return { least: daysBetween(within.latest, end), most: daysBetween(within.earliest, end) }
}
