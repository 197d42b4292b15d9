import { callOf } from '#core/item/naming'
import type { z } from 'zod'
import { addMonths, daysBetween, later, type Day } from '#core/calendar/day'
import type { AddWish, BuyingAnswer, BuyWish, EditWish, WishView } from '#contract/buying'
import { BLANK_FIELDS } from '#core/item/fields-data'
import type { Answer } from '../db/journal.js'
import { fail, ok } from '../failing.js'
import { daySpan } from '../forecast/views.js'
import type { ItemFacts } from '../stock/item-facts.js'
import { buyingQueries, type WishRow } from './queries.js'
import type { Context } from '../context.js'
import type { BuyingRules } from './rules.js'
import type { CollectionCommands } from '../collection/commands.js'
import type { Forecasts } from '../forecast/forecasts.js'
import type { Stock } from '../stock/stock.js'
import type { GatheringEvidence } from '../decide/evidence.js'

/** Needed within this long, it stands on the list. Assumption. */
const AHEAD_MONTHS = 6
const ENDED_SHOWN = 30

export class Buying {
  readonly #queries

  constructor(
    private readonly services: Context & {
      buyingRules: BuyingRules
      collection: CollectionCommands
      forecasts: Forecasts
      stock: Stock
      evidence: GatheringEvidence
    },
  ) {
    this.#queries = buyingQueries(services.db)
  }

  all(): BuyingAnswer {
    const today = this.services.today()
    const views = this.#queries.wishes.all().map((row) => wishView(row, today))
    return {
      today,
      currency: this.services.settings().currency,
      wishes: views.filter(({ endedAs }) => endedAs === null),
      ended: views.filter(({ endedAs }) => endedAs !== null).slice(0, ENDED_SHOWN),
      rules: this.services.buyingRules.all(),
      replacements: this.#replacements(today),
    }
  }

  addWish(body: z.output<typeof AddWish>): Answer {
    if (this.#queries.wish.get(body.id)) return fail('id-taken', { value: body.id })
    if (!this.#queries.category.get(body.categoryId)) return fail('unknown-category', { value: body.categoryId })
    this.#queries.addWish.run({ ...body, wishedOn: this.services.today() })
    return ok({ words: `Wished for ${called(body)}`, answer: { id: body.id } })
  }

  editWish(id: string, body: z.output<typeof EditWish>): Answer {
    const wish = this.#queries.wish.get(id)
    if (!wish) return fail('unknown-wish', { value: id })
    if (wish.version !== body.version)
      return fail('stale', { current: JSON.stringify(wishView(wish, this.services.today())) })
    if (!this.#queries.category.get(body.categoryId)) return fail('unknown-category', { value: body.categoryId })
    this.#queries.editWish.run({ ...body, id })
    return ok({ words: `Changed the wish for ${called(body)}`, answer: { id } })
  }

  dropWish(id: string): Answer {
    const wish = this.#queries.wish.get(id)
    if (!wish) return fail('unknown-wish', { value: id })
    if (wish.ended_as !== null) return fail('wish-ended')
    this.#queries.endWish.run({ id, as: 'dropped', day: this.services.today(), itemId: null })
    return ok({ words: `Let go of the wish for ${called(wish)}`, answer: { id } })
  }

  buyWish(id: string, body: z.output<typeof BuyWish>): Answer {
    const wish = this.#queries.wish.get(id)
    if (!wish) return fail('unknown-wish', { value: id })
    if (wish.ended_as !== null) return fail('wish-ended')
    if (body.day > this.services.today()) return fail('day-in-future', { value: body.day })
    const category = this.#queries.category.get(wish.category_id)
    if (!category) return fail('unknown-category', { value: wish.category_id })
    const waited = Math.max(0, daysBetween(wish.wished_on, body.day))
    const story = [wish.reason, `Wished for ${waited} ${waited === 1 ? 'day' : 'days'} before it was bought.`]
    const added = this.services.collection.add({
      changeId: body.changeId,
      id: body.itemId,
      reading: null,
      fields: {
        ...BLANK_FIELDS,
        maker: wish.maker,
        name: wish.name,
        shade: wish.shade,
        categoryId: wish.category_id,
        form: category.usual_form,
        colour: wish.colour,
        finish: wish.finish,
        priceMinor: body.priceMinor,
        source: 'bought',
        acquired: { earliest: body.day, latest: body.day },
        opened: { kind: 'unopened' },
        notes: story.filter((line) => line !== '').join('\n'),
      },
    })
    if (!added.ok) return added
    this.#queries.endWish.run({ id, as: 'bought', day: later(body.day, wish.wished_on), itemId: body.itemId })
    return ok({ words: `Bought ${called(wish)}`, answer: { id: body.itemId } })
  }

  #finishOf(item: ItemFacts, today: Day) {
    const { last, forecast } = this.services.forecasts.of(item)
    return daySpan(last, forecast.finish, today)
  }

  /** Wanted again and no longer here, or the last of its product in use and needed before long. */
  #replacements(today: Day): BuyingAnswer['replacements'] {
    const reviews = this.#queries.reviews.all()
    const present = new Set(this.#queries.present.all().map((row) => row.product_id))
    const wanted = reviews.filter((row) => row.would_buy_again === 'yes')
    const finished = this.services.stock
      .facts(
        wanted.filter((row) => !present.has(row.product_id)).map((row) => row.item_id),
        today,
      )
      .map((item) => ({ item, finished: true, needed: null }))
    const again = new Map(wanted.map((row) => [row.product_id, row]))
    const lastOnes = this.services.evidence
      .all()
      .items.filter((item) => item.lifecycle === 'open' && item.backups === 0 && again.has(item.productId))
      .flatMap((item) => {
        const { low, middle } = this.#finishOf(item, today)
        return middle !== null && middle <= addMonths(today, AHEAD_MONTHS)
          ? [{ item, finished: false, needed: { low, middle } }]
          : []
      })
    return [...finished, ...lastOnes].map(({ item, finished: over, needed }) => {
      const review = again.get(item.productId)
      return {
        itemId: item.id,
        mark: callOf(item),
        categoryId: item.categoryId,
        category: item.category,
        again: review?.would_buy_again ?? null,
        againWhy: review?.again_why ?? '',
        finished: over,
        needed,
        backups: item.backups,
      }
    })
  }
}

function wishView(row: WishRow, today: Day): WishView {
  return {
    id: row.id,
    version: row.version,
    categoryId: row.category_id,
    category: row.category,
    maker: row.maker,
    name: row.name,
    shade: row.shade,
    colour: row.colour,
    finish: row.finish,
    priceMinor: row.price_minor,
    reason: row.reason,
    wishedOn: row.wished_on,
    waitUntil: row.wait_until,
    daysWaited: Math.max(0, daysBetween(row.wished_on, row.ended_on ?? today)),
    daysToWait: row.wait_until === null ? 0 : Math.max(0, daysBetween(today, row.wait_until)),
    endedAs: row.ended_as,
    endedOn: row.ended_on,
    itemId: row.item_id,
  }
}

function called(wish: Pick<WishRow, 'maker' | 'name' | 'shade'>): string {
  return [wish.maker, wish.name, wish.shade].filter(Boolean).join(' ')
}
