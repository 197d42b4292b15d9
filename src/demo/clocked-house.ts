import { addDays, fieldsOf, type Day } from '#core/calendar/day'
import type { Done } from '#server/db/journal'
import type { Db } from '#server/db/query'
import type { Outcome } from '#server/failing'
import { makeServices, type Services } from '#server/services'
import { Random, uuidOf } from './random.js'

/** Minutes after midnight at which she gets ready, and at which she sits down in the evening. */
const MORNING = 6 * 60 + 40
const EVENING = 19 * 60 + 15

/** The server's own commands under a clock that is moved along by hand. */
export class ClockedHouse {
  readonly services: Services
  day: Day
  #changes = 0
  #minute = MORNING
  #evening = false
  readonly #ids: Random

  constructor(db: Db, start: Day, seed: number) {
    this.day = start
    this.#ids = new Random(seed + 1)
    this.services = makeServices(db, () => this.#now(), { newId: () => uuidOf(this.#ids) })
  }

  /** Moves the clock to the part of the day in which something is done; acts follow each other by a minute or three. */
  turnTo(part: 'morning' | 'evening'): void {
    const { date } = fieldsOf(this.day)
    this.#evening = part === 'evening'
    this.#minute = (part === 'morning' ? MORNING : EVENING) + ((date * 37) % 95)
  }

  /** The first morning that does not count what was worn up to now. */
  protected get until(): Day {
    return this.#evening ? addDays(this.day, 1) : this.day
  }

  /** Runs one command as one change; a refusal is a fault of the generator. */
  act<A extends object>(command: string, run: (changeId: string) => Outcome<Done<A>>): void {
    const outcome = this.attempt(command, run)
    if (outcome.ok) return
    const { code, data } = outcome.failure
    throw new Error(`${command} on ${this.day}: ${code} ${JSON.stringify(data)}`)
  }

  attempt<A extends object>(command: string, run: (changeId: string) => Outcome<Done<A>>): Outcome<object> {
    this.#changes += 1
    this.#minute = Math.min(23 * 60 + 50, this.#minute + 1 + (this.#changes % 3))
    const changeId = uuidOf(this.#ids)
    return this.services.journal.run({ changeId, command, body: {} }, () => run(changeId))
  }

  #now(): Date {
    const { year, month, date } = fieldsOf(this.day)
    return new Date(year, month - 1, date, Math.floor(this.#minute / 60), this.#minute % 60)
  }
}
