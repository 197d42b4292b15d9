import type { z } from 'zod'
import type { Day } from '#core/calendar/day'
import { ReadingBody } from '#contract/reading'
import type { Db } from '#server/db/query'
import type { Cast, Role } from './maren/cast.js'
import { ClockedHouse } from './clocked-house.js'
import type { MarenLife } from './maren/life.js'
import type { Thing, LifeGoal, ProjectId } from './maren/thing.js'
import type { DemoItem } from './stash.js'

/** The product as Maren writes her life down in it. */
export class DemoHouse extends ClockedHouse {
  readonly stash: readonly DemoItem[]
  /** Of what was rolled in: its latest stay. */
  readonly stays = new Map<string, string>()

  constructor(
    db: Db,
    readonly life: MarenLife,
    readonly cast: Cast,
    seed: number,
  ) {
    super(db, life.start, seed)
    this.stash = [...life.things.values()].map(({ item }) => item)
  }

  of(categoryId: string): DemoItem[] {
    return this.stash.filter((item) => item.kind.categoryId === categoryId && item.here && !item.ended)
  }

  playing(role: Role): DemoItem {
    const found = this.cast.get(role)
    if (!found) throw new Error(`Nobody plays ${role}`)
    return found
  }

  thing(item: DemoItem): Thing {
    const found = this.life.things.get(item.id)
    if (!found) throw new Error(`${item.fields.name} is not of this life`)
    return found
  }

  /** What is left of it, or of a shade, in truth and now: a share. */
  leftOf(item: DemoItem, partId: string | null = null): number {
    const thing = this.thing(item)
    const at = item.fields.parts.findIndex(({ id }) => id === partId)
    return at < 0 ? thing.leftOn(this.until) : thing.partLeftOn(this.until, at)
  }

  /** She will not touch it again before the end of the log. */
  restsForGood(item: DemoItem): boolean {
    const { lastOn, trial, stay } = this.thing(item)
    return !trial && stay === null && !item.inDrawer && (lastOn === null || lastOn < this.day)
  }

  rollIn(item: DemoItem, { kind, target, dated, guessMonths }: LifeGoal, projectId: ProjectId): void {
    const stayId = this.services.newId()
    this.act('roll-in', (changeId) =>
      this.services.projects.rollIn(projectId, {
        changeId,
        stayId,
        itemId: item.id,
        partId: null,
        beside: false,
        day: this.day,
        goal: { kind, target, headStart: 0, by: { kind: dated ? 'project' : 'none' } },
        guess: guessMonths === null ? null : { id: this.services.newId(), months: guessMonths },
      }),
    )
    this.stays.set(item.id, stayId)
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
}
