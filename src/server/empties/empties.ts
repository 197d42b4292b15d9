import type { z } from 'zod'
import { fail, ok, type Outcome } from '#core/failure'
import { daysBetween } from '#core/calendar/day'
import { openedWithin } from '#core/item/opened'
import type { EmptiesAnswer, FinishItem } from '#contract/ending'
import type { ItemSummary } from '#contract/item'
import type { Done } from '../db/journal.js'
import { Drawer } from '../drawer/drawer.js'
import type { House } from '../house.js'
import { emptiesQueries } from './queries.js'

/** Finished items with what was thought of them. What leaves keeps its history. */
export class Empties {
  readonly #house: House
  readonly #drawer: Drawer
  readonly #queries

  constructor(house: House) {
    this.#house = house
    this.#drawer = new Drawer(house)
    this.#queries = emptiesQueries(house.db)
  }

  all(): EmptiesAnswer {
    const today = this.#house.today()
    const reviews = this.#queries.finished.all()
    const items = new Map(
      this.#house.stock
        .summaries(
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
            item,
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
    if (item.endedOn !== null) return fail('item-ended', { name: item.shade || item.name })
    if (body.day > today) return fail('day-in-future', { value: body.day })
    if (item.lastWorn !== null && body.day < item.lastWorn)
      return fail('finished-before-last-wear', { value: body.day, day: item.lastWorn })
    if ((this.#queries.reviewTaken.get(body.reviewId)?.n ?? 0) > 0) return fail('id-taken', { value: body.reviewId })
    if (item.placement !== null) {
      const out = this.#drawer.takeOut(itemId, body.day)
      if (!out.ok) return out
    }
    this.#queries.finish.run({ id: itemId, day: body.day })
    // What is finished was opened some time, also when nobody said so.
    this.#queries.assumeOpened.run(itemId)
    this.#queries.review.run({
      id: body.reviewId,
      itemId,
      day: body.day,
      wouldBuyAgain: body.wouldBuyAgain,
      words: body.words,
      packageGoes: body.packageGoes,
    })
    return ok({ words: `Finished ${item.shade || item.name}`, answer: { id: itemId, backups: item.backups } })
  }
}

/** Days from opening to the end; both ends where the opening is a range. Null when nothing bounds it. */
function daysInUse(item: ItemSummary, end: ItemSummary['endedOn']): { least: number; most: number } | null {
  if (end === null) return null
  const within = openedWithin(item.opened, {
    acquiredEarliest: item.acquired?.earliest ?? null,
    firstWear: item.firstWorn,
    today: end,
  })
  if (within === null || within.latest > end) return null
  return { least: daysBetween(within.latest, end), most: daysBetween(within.earliest, end) }
}
