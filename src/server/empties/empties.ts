import { callOf } from '#core/item/naming'
import type { z } from 'zod'
import { fail, ok, type Refusal, type Outcome } from '../failing.js'
import { itemMark } from '#core/words/told'
import { daysBetween, type Day } from '#core/calendar/day'
import { median } from '#core/lists/median'
import { type EmptiesAnswer, FinishItem, FinishPart, PutReview } from '#contract/ending'
import type { Done, Answer } from '../db/journal.js'
import { summaryOf, type ItemFacts } from '../stock/item-facts.js'
import { emptiesQueries } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Measuring } from '../measuring/measuring.js'
import type { Lessons } from '../buying/lessons.js'
import type { Drawer } from '../drawer/drawer.js'
import type { Decide } from '../decide/decide.js'
import { read, write, type Route } from '../http/routes.js'

export function emptiesRoutes({ empties }: { empties: Empties }): Route[] {
  return [
    read('/empties', () => ok(empties.all())),
    write('post', '/items/:id/finish', 'finish', FinishItem, (body, id) => empties.finish(id, body)),
    write('post', '/parts/:id/finish', 'finish-part', FinishPart, (body, id) => empties.finishPart(id, body.day)),
    write('put', '/items/:id/review', 'put-review', PutReview, (body, id) => empties.putReview(id, body)),
  ]
}

export class Empties {
  readonly #queries

  constructor(
    private readonly services: Context & {
      stock: Stock
      measuring: Measuring
      lessons: Lessons
      drawer: Drawer
      decide: Decide
    },
  ) {
    this.#queries = emptiesQueries(services.db)
  }

  all(): EmptiesAnswer {
    const today = this.services.today()
    const rows = this.#queries.finished.all()
    const replacements = rows.flatMap((row) => row.replaced_by_item_id ?? [])
    const items = new Map(
      this.services.stock
        .facts([...rows.map((row) => row.item_id), ...replacements], today)
        .map((item) => [item.id, item]),
    )
    const photos = new Map(this.#queries.photos.all().map((row) => [row.item_id, row]))
    const own = rows.flatMap((row) => {
      const item = items.get(row.item_id)
      return item ? [{ row, item, days: daysInUse(item, row.day), cost: costPerUse(item) }] : []
    })
    const usual = usualByCategory(own)
    return {
      today,
      currency: this.services.settings().currency,
      empties: own.map(({ row, item, days, cost }) => {
        const other = row.replaced_by_item_id === null ? undefined : items.get(row.replaced_by_item_id)
        const photo = photos.get(item.id)
        return {
          item: summaryOf(item),
          day: row.day,
          reviewId: row.review_id,
          version: row.version,
          wouldBuyAgain: row.would_buy_again,
          words: row.words,
          packageGoes: row.package_goes,
          endedBy: row.ended_by,
          remained: row.remained,
          did: row.did,
          forWhom: row.for_whom,
          dislikes: row.dislikes,
          againWhy: row.again_why,
          replacedBy: row.replaced_by,
          replacement: other ? { itemId: other.id, mark: callOf(other) } : null,
          photo: photo ? { id: photo.id, words: photo.words } : null,
          costPerUse: cost,
          against: usual.get(item.categoryId) ?? null,
          daysInUse: days,
        }
      }),
    }
  }

  putReview(itemId: string, body: z.output<typeof PutReview>): Answer {
    const item = this.services.stock.one(itemId, this.services.today())
    if (!item) return fail('unknown-item', { value: itemId })
    if (item.lifecycle !== 'finished' || item.endedOn === null) return fail('not-finished', { name: itemMark(item) })
    const there = this.#queries.reviewOf.get(itemId)
    const words = `Reviewed ${itemMark(item)}`
    const wrong = this.#wrongReplacement(body)
    if (wrong) return wrong
    if (there) {
      if (there.version !== body.version)
        return fail('stale', { current: JSON.stringify(this.all().empties.find((each) => each.item.id === itemId)) })
      this.#queries.editReview.run({ ...reviewBindings(body), id: there.id })
      return ok({ words, answer: { id: there.id } })
    }
    if ((this.#queries.reviewTaken.get(body.reviewId)?.n ?? 0) > 0) return fail('id-taken', { value: body.reviewId })
    const { productId, endedOn: day } = item
    this.#queries.review.run({ ...reviewBindings(body), id: body.reviewId, productId, itemId, day })
    return ok({ words, answer: { id: body.reviewId } })
  }

  #wrongReplacement({ replacedById }: ReviewFields): Refusal | null {
    if (replacedById === null || this.services.stock.one(replacedById, this.services.today()) !== null) return null
    return fail('unknown-item', { value: replacedById })
  }

  /**
   * Finishes an item: it leaves the drawer and keeps its history. Its stays in projects stand: a
   * met goal offers to roll out, and that is an act of its own.
   */
  finish(itemId: string, body: z.output<typeof FinishItem>): Outcome<Done<{ id: string; backups: number }>> {
    const today = this.services.today()
    const item = this.services.stock.one(itemId, today)
    if (!item) return fail('unknown-item', { value: itemId })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    if (body.day > today) return fail('day-in-future', { value: body.day })
    if (item.lastWorn !== null && body.day < item.lastWorn)
      return fail('finished-before-last-wear', { value: body.day, day: item.lastWorn })
    if ((this.#queries.reviewTaken.get(body.reviewId)?.n ?? 0) > 0) return fail('id-taken', { value: body.reviewId })
    const wrong = this.#wrongReplacement(body)
    if (wrong) return wrong
    const ended = this.#end(item, body.day)
    if (ended) return ended
    const { reviewId: id, day } = body
    this.#queries.review.run({ ...reviewBindings(body), id, productId: item.productId, itemId, day })
    if (body.empty) {
      const { changeId, day, empty } = body
      const weighed = this.services.measuring.addWeight(itemId, { changeId, day, ...empty })
      if (!weighed.ok) return weighed
    }
    if (body.lesson !== null) {
      const { categoryId } = item
      const learned = this.services.lessons.learn(body.lesson, 'empty', { itemId, categoryId })
      if (!learned.ok) return learned
    }
    if (body.packageGoes === 'keep the container')
      this.#queries.keepContainer.run({
        id: this.services.newId(),
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
    const item = part && this.services.stock.one(part.item_id, this.services.today())
    if (!part || !item) return fail('unknown-part', { value: partId, field: 'partId' })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    if (part.finished_on !== null) return fail('part-finished', { name: part.name })
    if (day > this.services.today()) return fail('day-in-future', { value: day })
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
  #end(item: ItemFacts, day: Day): Refusal | null {
    if (item.placement !== null) {
      const out = this.services.drawer.takeOut(item.id, day)
      if (!out.ok) return out
    }
    this.#queries.finish.run({ id: item.id, day })
    this.services.decide.closeTrials(item.id, day)
    this.#queries.offShortList.run(item.id)
    return null
  }
}

type ReviewFields = Omit<z.output<typeof PutReview>, 'changeId' | 'reviewId' | 'version'>

function reviewBindings(body: ReviewFields): Record<string, string | number | null> {
  return {
    wouldBuyAgain: body.wouldBuyAgain,
    words: body.words,
    packageGoes: body.packageGoes,
    endedBy: body.endedBy,
    remained: body.remained,
    did: body.did,
    forWhom: body.forWhom,
    dislikes: body.dislikes,
    againWhy: body.againWhy,
    replacedBy: body.replacedBy,
    replacedById: body.replacedById,
  }
}

/** What was paid for each use: what remained in it was paid for as well. */
function costPerUse(item: ItemFacts): number | null {
  return item.priceMinor === null || item.uses === 0 ? null : item.priceMinor / item.uses
}

const LEAST_FINISHED = 3

/** The user's own middle of each category: days in use and cost a use. */
function usualByCategory(
  own: readonly {
    readonly item: ItemFacts
    readonly days: ReturnType<typeof daysInUse>
    readonly cost: number | null
  }[],
): Map<string, { days: number; cost: number | null; of: number }> {
  const groups = new Map<string, { days: number[]; costs: number[] }>()
  for (const { item, days, cost } of own) {
    if (item.endedRoughly || days === null) continue
    const group = groups.get(item.categoryId) ?? { days: [], costs: [] }
    group.days.push((days.least + days.most) / 2)
    if (cost !== null) group.costs.push(cost)
    groups.set(item.categoryId, group)
  }
  return new Map(
    [...groups]
      .filter(([, { days }]) => days.length >= LEAST_FINISHED)
      .map(([id, { days, costs }]) => [
        id,
        { days: median(days), cost: costs.length < LEAST_FINISHED ? null : median(costs), of: days.length },
      ]),
  )
}

/** Days from opening to the end; both ends where the opening is a range. Null when nothing bounds it. */
function daysInUse(item: ItemFacts, end: ItemFacts['endedOn']): { least: number; most: number } | null {
  const { within } = item.opening
  if (end === null || within === null || within.latest > end) return null
  return { least: daysBetween(within.latest, end), most: daysBetween(within.earliest, end) }
}
