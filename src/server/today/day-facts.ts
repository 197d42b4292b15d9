import type { z } from 'zod'
import { fail, ok, type Outcome } from '../failing.js'
import { itemMark } from '#core/words/told'
import type { Day } from '#core/calendar/day'
import type { DayView, SaveLook, SavedLook, SetDay } from '#contract/today'
import type { Done, Answer } from '../db/journal.js'
import { todayQueries } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Wearing } from './wearing.js'

/** What the user says of a day beyond its ticks, and the looks the user keeps. */
export class DayFacts {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock; wearing: Wearing }) {
    this.#queries = todayQueries(services.db)
  }

  conditions(day: Day): DayView {
    const row = this.#queries.dayRecord.get(day)
    return {
      skin: row?.skin ?? null,
      clothes: row?.clothes ?? null,
      minutes: row?.minutes ?? null,
      occasion: row?.occasion ?? null,
      hands: row?.hands ?? null,
      weather: row?.weather ?? null,
      note: row?.note ?? null,
    }
  }

  setDay(body: z.output<typeof SetDay>): Outcome<Done<{ conditions: DayView }>> {
    if (body.day > this.services.today()) return fail('day-in-future', { value: body.day })
    const now = this.conditions(body.day)
    const fields = Object.keys(body.set) as (keyof DayView)[]
    const said = (field: keyof DayView, from: typeof body.set) => (from[field] === '' ? null : (from[field] ?? null))
    // What this window did not know of, and does not say itself.
    const unseen = fields.some((field) => now[field] !== said(field, body.was) && now[field] !== said(field, body.set))
    if (unseen) return fail('stale', { current: JSON.stringify(now) })
    const set = Object.fromEntries(fields.map((field) => [field, said(field, body.set)]))
    this.#queries.setDay.run({ ...now, ...set, day: body.day })
    return ok({ words: 'Said how the day is', answer: { conditions: this.conditions(body.day) } })
  }

  /** Held up, looked at and put back: a fact of its own, not a wear. */
  setPutBack(itemId: string, day: Day, putBack: boolean): Answer {
    const item = this.services.stock.one(itemId, this.services.today())
    if (!item) return fail('unknown-item', { value: itemId })
    if (day > this.services.today()) return fail('day-in-future', { value: day })
    if (putBack) this.#queries.addPutBack.run({ id: this.services.newId(), itemId, day })
    else this.#queries.dropPutBack.run({ itemId, day })
    const name = itemMark(item)
    return ok({ words: putBack ? `${name} put back unused` : `${name} not put back`, answer: { id: itemId } })
  }

  setNotToday(itemId: string, day: Day, notToday: boolean): Answer {
    const item = this.services.stock.one(itemId, this.services.today())
    if (!item) return fail('unknown-item', { value: itemId })
    if (notToday) this.#queries.addNotToday.run({ id: this.services.newId(), itemId, day })
    else this.#queries.dropNotToday.run({ itemId, day })
    return ok({ words: `${itemMark(item)}: not today`, answer: { id: itemId } })
  }

  savedLooks(): SavedLook[] {
    return this.#queries.savedLooks
      .all()
      .map(({ id, name, occasion, items }) => ({ id, name, occasion, itemIds: JSON.parse(items) as string[] }))
  }

  saveLook(body: z.output<typeof SaveLook>): Answer {
    if (this.#queries.look.get(body.id)) return fail('id-taken', { value: body.id })
    const known = this.services.stock.facts(body.itemIds, this.services.today()).map((item) => item.id)
    const worn = new Map(
      (body.day === null ? [] : this.services.wearing.wornOn(body.day)).map((each) => [each.itemId, each]),
    )
    const missing = body.itemIds.find((id) => !known.includes(id))
    if (missing !== undefined) return fail('unknown-item', { value: missing })
    const { id, name, occasion } = body
    this.#queries.addLook.run({ id, name, occasion })
    for (const itemId of new Set(body.itemIds))
      this.#queries.addLookItem.run({
        id: this.services.newId(),
        lookId: id,
        itemId,
        partIds: JSON.stringify(worn.get(itemId)?.partIds ?? []),
        usedAs: worn.get(itemId)?.usedAs ?? null,
      })
    return ok({ words: `Saved the look ${name}`, answer: { id } })
  }

  dropLook(id: string): Answer {
    const look = this.#queries.look.get(id)
    if (!look) return fail('unknown-face', { value: id })
    this.#queries.dropLookItems.run(id)
    this.#queries.dropLook.run(id)
    return ok({ words: `Removed the look ${look.name}`, answer: { id } })
  }
}
