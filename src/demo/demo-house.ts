import { fieldsOf, type Day } from '#core/calendar/day'
import type { Outcome } from '#core/failure'
import { Care } from '#server/collection/care'
import { CollectionCommands } from '#server/collection/commands'
import type { Done } from '#server/db/journal'
import type { Db } from '#server/db/open-database'
import { Decide } from '#server/decide/decide'
import { Drawer } from '#server/drawer/drawer'
import { Empties } from '#server/empties/empties'
import { furnish, type House } from '#server/house'
import { Projects } from '#server/projects/projects'
import { Stretches } from '#server/settings/stretches'
import { DayFacts } from '#server/today/day-facts'
import { Wearing } from '#server/today/wearing'
import type { DemoItem } from './stash.js'

/** The server's own commands under a clock that is moved along by hand, and what the generator knows of the stash. */
export class DemoHouse {
  readonly house: House
  readonly commands: CollectionCommands
  readonly drawer: Drawer
  readonly wearing: Wearing
  readonly projects: Projects
  readonly empties: Empties
  readonly decide: Decide
  readonly facts: DayFacts
  readonly care: Care
  readonly stretches: Stretches
  readonly inProject = new Set<string>()
  /** Days on which a face was put on, the earliest first. */
  readonly faceDays: Day[] = []
  stash: DemoItem[] = []
  day: Day
  #changes = 0

  constructor(db: Db, start: Day) {
    this.day = start
    this.house = furnish(db, () => noonOf(this.day))
    this.commands = new CollectionCommands(this.house)
    this.drawer = new Drawer(this.house)
    this.wearing = new Wearing(this.house)
    this.projects = new Projects(this.house)
    this.empties = new Empties(this.house)
    this.decide = new Decide(this.house)
    this.facts = new DayFacts(this.house)
    this.care = new Care(this.house)
    this.stretches = new Stretches(this.house)
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
    const changeId = `demo-${this.#changes}`
    return this.house.journal.run({ changeId, command, body: {} }, () => run(changeId))
  }

  /** Items of a category that are still there. */
  of(categoryId: string): DemoItem[] {
    return this.stash.filter((item) => item.kind.categoryId === categoryId && !item.ended)
  }

  rollIn(
    item: DemoItem,
    goal: { kind: 'finish' | 'uses'; target: number | null; headStart: number },
    projectId: string,
    dated: boolean,
  ): void {
    this.act('roll-in', (changeId) =>
      this.projects.rollIn(projectId, {
        changeId,
        stayId: `stay-${item.id}-${this.day}`,
        itemId: item.id,
        partId: null,
        beside: false,
        day: this.day,
        goal: { ...goal, by: { kind: dated ? 'project' : 'none' } },
      }),
    )
    this.inProject.add(item.id)
  }

  wear(item: { id: string }, day: Day, partIds: readonly string[] = []): void {
    this.act('set-worn', () => this.wearing.setWorn({ itemId: item.id, day, worn: true, partIds }))
  }
}

/** Noon of a day on the local clock, well away from the roll-over hour. */
function noonOf(day: Day): Date {
  const { year, month, date } = fieldsOf(day)
  return new Date(year, month - 1, date, 12)
}
