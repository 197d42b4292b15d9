import { fieldsOf, type Day } from '#core/calendar/day'
import { ReadingBody } from '#contract/reading'
import type { z } from 'zod'
import type { Done } from '#server/db/journal'
import type { Db } from '#server/db/query'
import type { Outcome } from '#server/failing'
import { makeServices, type Services } from '#server/services'
import type { Role } from './cast-data.js'
import { Random } from './random.js'
import type { DemoItem } from './stash.js'

/** Minutes after midnight at which she gets ready, and at which she sits down in the evening. */
const MORNING = 6 * 60 + 40
const EVENING = 19 * 60 + 15

/** The server's own commands under a clock that is moved along by hand, and what the generator knows of the stash. */
export class DemoHouse {
  readonly services: Services
  readonly inProject = new Set<string>()
  stash: DemoItem[] = []
  day: Day
  #changes = 0
  #minute = MORNING
  readonly #ids: Random

  constructor(db: Db, start: Day, seed: number) {
    this.day = start
    this.#ids = new Random(seed + 1)
    this.services = makeServices(db, () => this.#now(), { newId: () => uuidOf(this.#ids) })
  }

  /** Moves the clock to the part of the day in which something is done; acts follow each other by a minute or three. */
  turnTo(part: 'morning' | 'evening'): void {
    const { date } = fieldsOf(this.day)
    this.#minute = (part === 'morning' ? MORNING : EVENING) + ((date * 37) % 95)
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

  of(categoryId: string): DemoItem[] {
    return this.stash.filter((item) => item.kind.categoryId === categoryId && !item.ended)
  }

  playing(role: Role): DemoItem {
    const found = this.stash.find((item) => item.roles.includes(role))
    if (!found) throw new Error(`Nobody plays ${role}`)
    return found
  }

  rollIn(
    item: DemoItem,
    goal: { kind: 'finish' | 'uses'; target: number | null; headStart: number },
    projectId: string,
    dated: boolean,
  ): void {
    this.act('roll-in', (changeId) =>
      this.services.projects.rollIn(projectId, {
        changeId,
        stayId: this.services.newId(),
        itemId: item.id,
        partId: null,
        beside: false,
        day: this.day,
        goal: { ...goal, by: { kind: dated ? 'project' : 'none' } },
        guess: null,
      }),
    )
    this.inProject.add(item.id)
  }

  wear(item: { id: string }, day: Day, partIds: readonly string[] = []): void {
    this.act('set-worn', () => this.services.wearing.setWorn({ itemId: item.id, day, worn: true, partIds }))
  }

  read(item: { id: string }, partId: string | null, reading: z.input<typeof ReadingBody>): void {
    this.act('add-reading', (changeId) =>
      this.services.measuring.addReading(item.id, {
        changeId,
        id: this.services.newId(),
        partId,
        checkInId: null,
        pan: null,
        reading: ReadingBody.parse(reading),
      }),
    )
  }

  #now(): Date {
    const { year, month, date } = fieldsOf(this.day)
    return new Date(year, month - 1, date, Math.floor(this.#minute / 60), this.#minute % 60)
  }
}

export function uuidOf(random: Random): string {
  const hex = Array.from({ length: 32 }, (_, at) =>
    at === 12 ? 4 : at === 16 ? random.whole(8, 11) : random.whole(0, 15),
  )
    .map((digit) => digit.toString(16))
    .join('')
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-')
}
