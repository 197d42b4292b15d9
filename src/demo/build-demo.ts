import { addDays, daysBetween, type Day } from '#core/calendar/day'
import { isWithin } from '#core/calendar/day-log'
import { CATEGORY_DEFAULTS } from '#core/item/category-defaults'
import { eyeMeasureOf } from '#core/item/form'
import { ReadingBody } from '#contract/reading'
import type { Db } from '#server/db/query'
import { lifeWithCast, PLANNED_WEEK, type Cast, type FoundLife } from './maren/cast.js'
import { DemoHouse } from './demo-house.js'
import type { PanPicture } from './draw-pans.js'
import { walks } from './maren/looks.js'
import { decidingEvening } from './deciding-story.js'
import { knowingEvening } from './knowing-story.js'
import { lookingEvening } from './looking-story.js'
import type { Act, MarenLife } from './maren/life.js'
import { MeasuringStory, stageAt } from './measuring-story.js'
import { planningEvening } from './planning-story.js'
import { Random } from './random.js'
import { closeSpring, finish, oldVerdicts, putAway, rollOut, startProject, startTrial } from './scene.js'
import type { DemoItem } from './stash.js'
import { setTheRhythm, tellTheDay, tellTheRest } from './telling.js'

/** Days between the looks at how much is left, and how far a look is off (sd). */
const READ_EVERY_DAYS = 28
const LOOK_SD = 0.06

export interface DemoOptions {
  readonly seed: number
  readonly today: Day
  /** Drawn photos of a pan, the first one first; none = nothing is photographed. */
  readonly pictures?: readonly PanPicture[]
  /** The life, where it was looked for already. */
  readonly found?: FoundLife
  /** Whether forecasts are kept along the way; it takes a fifth of the time. */
  readonly forecasts?: boolean
}

/**
 * Fills an empty database with what Maren Oduya-Lind writes down of her life, through the same commands the server runs, day by day
 * under a clock that moves along: the same seed and day give the same collection.
 */
export function buildDemo(db: Db, options: DemoOptions): Cast {
  const { life, cast, seed } = options.found ?? lifeWithCast(options.seed, options.today)
  // The file is made in one go and can be made again; afterwards every write is durable again.
  db.pragma('synchronous = OFF')
  new DemoBuilder(new DemoHouse(db, life, cast, seed), life, seed, options).run()
  db.pragma('synchronous = FULL')
  return cast
}

class DemoBuilder {
  readonly #random: Random
  readonly #today: Day
  readonly #demo: DemoHouse
  readonly #life: MarenLife
  readonly #measuring: MeasuringStory
  readonly #forecasts: boolean
  #finished = 0

  constructor(demo: DemoHouse, life: MarenLife, seed: number, { today, pictures = [], forecasts = true }: DemoOptions) {
    this.#forecasts = forecasts
    this.#random = new Random(seed + 2)
    this.#today = today
    this.#demo = demo
    this.#life = life
    this.#measuring = new MeasuringStory(demo, pictures)
  }

  run(): void {
    const demo = this.#demo
    this.#saveSettings()
    for (; demo.day < this.#today; demo.day = addDays(demo.day, 1)) {
      const ago = daysBetween(demo.day, this.#today)
      const acts = this.#life.acts.get(demo.day) ?? []
      demo.turnTo('morning')
      if (demo.day === this.#life.start) setTheRhythm(demo, this.#today)
      // What she wears ends the morning; what comes of it is written down in the evening.
      const worn = acts.findIndex((act) => act.do === 'wear' || act.do === 'no makeup')
      for (const act of acts.slice(0, worn + 1)) this.#play(act)
      demo.turnTo('evening')
      for (const act of acts.slice(worn + 1)) this.#play(act)
      if (ago === 150) oldVerdicts(demo)
      if (ago === 110) putAway(demo, addDays(this.#today, -5))
      if (ago % READ_EVERY_DAYS === 3) this.#readLevels()
      this.#measuring.evening(ago)
      knowingEvening(demo, ago, this.#forecasts)
      decidingEvening(demo, ago, this.#today)
      planningEvening(demo, ago)
      lookingEvening(demo, ago)
    }
    demo.turnTo('morning')
    tellTheRest(demo, this.#today)
    this.#measuring.today()
  }

  #play(act: Act): void {
    const demo = this.#demo
    switch (act.do) {
      case 'add':
        return this.#add(act.item)
      case 'open':
        if (act.said) demo.act('open', () => demo.services.collection.open(act.item.id, demo.day))
        return
      case 'in':
        return this.#layIn(act.item)
      case 'out':
        demo.attempt('take-out', () => demo.services.drawer.takeOut(act.item.id, demo.day))
        act.item.inDrawer = false
        return
      case 'no makeup':
        if (!isWithin(demo.day, walks(this.#today)))
          demo.act('no-makeup', () => demo.services.wearing.setNoMakeup(demo.day, true))
        return
      case 'wear':
        return this.#wear(act)
      case 'finish':
        this.#finished += 1
        return finish(demo, act.item, this.#finished)
      case 'trial':
        return startTrial(demo, act.item, this.#today)
      case 'project':
        return startProject(demo, act.project, this.#today)
      case 'close':
        return closeSpring(demo)
      case 'roll in':
        return demo.rollIn(act.item, act.goal, act.project)
      case 'roll out':
        return rollOut(demo, act.item, act.reason)
    }
  }

  #saveSettings(): void {
    this.#demo.act('save-settings', () => {
      this.#demo.services.settingsStore.save({
        currency: 'EUR',
        rollOverHour: 4,
        plannedWeek: PLANNED_WEEK,
        units: 'metric',
        scaleStep: 0.1,
        scaleCapacity: 500,
        leaning: 'thrift',
        hemisphere: 'north',
      })
      return { ok: true, value: { words: 'Changed the settings', answer: {} } }
    })
  }

  /** Written down, and of some she looks at once how much is left. */
  #add(item: DemoItem): void {
    const look = item.looked && item.fields.parts.length === 0 ? this.#look(item, null) : null
    this.#demo.act('add-item', (changeId) =>
      this.#demo.services.collection.add({
        changeId,
        id: item.id,
        fields: item.fields,
        reading: look && ReadingBody.parse(look),
      }),
    )
    item.here = true
  }

  #layIn(item: DemoItem): void {
    const zone = ZONE_OF.get(item.kind.categoryId)
    if (zone === undefined) return
    const outcome = this.#demo.attempt('place', () =>
      this.#demo.services.drawer.place(this.#demo.services.newId(), item.id, zone),
    )
    // What was picked from the stash for a week may lie there, or take its place: then it comes in later, or not at all.
    if (!outcome.ok && !['zone-full', 'already-placed'].includes(outcome.failure.code))
      throw new Error(`${item.fields.name} on ${this.#demo.day}: ${outcome.failure.code}`)
    item.inDrawer = outcome.ok
  }

  #wear({ kind, worn }: Extract<Act, { do: 'wear' }>): void {
    const demo = this.#demo
    demo.act('set-face', () =>
      demo.services.wearing.setLook({
        day: demo.day,
        itemIds: worn.map(({ item }) => item.id),
        like: null,
        words: `A ${kind} look of ${worn.length}`,
      }),
    )
    tellTheDay(demo, kind)
    for (const { item, partIds } of worn) if (partIds.length > 0) demo.wear(item, demo.day, partIds)
  }

  /** Levels, stages and lengths by eye, of most things in the drawer that show one. */
  #readLevels(): void {
    for (const item of this.#demo.stash) {
      if (!item.inDrawer || item.ended || !this.#random.chance(0.7)) continue
      if (item.fields.parts.length === 0) this.#read(item, null)
      else item.fields.parts.slice(0, 3).forEach((part) => this.#read(item, part.id))
    }
  }

  #read(item: DemoItem, partId: string | null): void {
    const look = this.#look(item, partId)
    if (look !== null) this.#demo.read(item, partId, look)
  }

  /** What an eye says of what is left, which is not quite what is left. */
  #look(item: DemoItem, partId: string | null) {
    const { day } = this.#demo
    const measure = partId === null ? eyeMeasureOf(item.fields.form, item.fields.opaque) : 'pan'
    const left = Math.min(1, Math.max(0.03, this.#demo.leftOf(item, partId) + LOOK_SD * this.#random.normal()))
    if (measure === 'none') return null
    return measure === 'pan'
      ? { kind: 'stage' as const, stage: stageAt(left), day }
      : { kind: measure, value: Math.round(left * 20) / 20, day }
  }
}

const ZONE_OF = new Map(CATEGORY_DEFAULTS.map((category) => [category.id, category.zone]))
