import type { z } from 'zod'
import { counted } from '#core/words/counted'
import { itemMark } from '#core/words/told'
import type { AddGuess, GuessBody, SetRole } from '#contract/forecast'
import type { Day } from '#core/calendar/day'
import type { Answer } from '../db/journal.js'
import { fail, ok } from '../failing.js'
import { forecastQueries } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'

export class Guessing {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock }) {
    this.#queries = forecastQueries(services.db)
  }

  add(itemId: string, body: z.output<typeof AddGuess>): Answer {
    const item = this.services.stock.one(itemId, this.services.today())
    if (!item) return fail('unknown-item', { value: itemId })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    if (body.day > this.services.today()) return fail('day-in-future', { value: body.day })
    return this.write(itemId, body.day, body)
  }

  /** One to a day: a second thought takes the place of the first. */
  write(itemId: string, day: Day, { id, months }: z.output<typeof GuessBody>): Answer {
    if (this.#queries.guess.get(id)) return fail('id-taken', { value: id })
    const before = this.#queries.guessOn.get({ itemId, day })
    if (before) this.#queries.dropGuess.run(before.id)
    this.#queries.addGuess.run({ id, itemId, day, months })
    const item = this.services.stock.one(itemId, this.services.today())
    return ok({
      words: `Guessed ${counted(months, 'month')} for ${item ? itemMark(item) : 'an item'}`,
      answer: { id },
    })
  }

  drop(id: string): Answer {
    if (!this.#queries.guess.get(id)) return fail('unknown-guess', { value: id })
    this.#queries.dropGuess.run(id)
    return ok({ words: 'Removed a guess', answer: { id } })
  }

  setRole(itemId: string, { role }: z.output<typeof SetRole>): Answer {
    const item = this.services.stock.one(itemId, this.services.today())
    if (!item) return fail('unknown-item', { value: itemId })
    this.#queries.setRole.run({ id: itemId, role })
    return ok({
      words: role === null ? `${itemMark(item)} is estimated as the drawer tells` : `${itemMark(item)} is ${role}`,
      answer: { id: itemId },
    })
  }

  of(itemId: string): { id: string; madeOn: Day; months: number }[] {
    return this.#queries.guesses.all(itemId).map(({ id, made_on: madeOn, months }) => ({ id, madeOn, months }))
  }
}
