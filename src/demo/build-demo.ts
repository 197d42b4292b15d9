import { addDays, addMonths, daysBetween, fieldsOf, type Day } from '#core/calendar/day'
import { CATEGORY_DEFAULTS } from '#core/item/category-defaults'
import { eyeMeasureOf, PAN_STAGES } from '#core/item/form'
import type { Db } from '#server/db/open-database'
import { SettingsStore } from '#server/settings/settings-store'
import { DemoHouse } from './demo-house.js'
import { eyesOffLimits, faceKindOf, type FaceKind } from './faces.js'
import { Random } from './random.js'
import { finish, oldVerdicts, rollWhatIsMet, setTheScene, startProject, startTrials } from './scene.js'
import { STASH } from './stash-data.js'
import { closeSpring, setTheRhythm, SPRING_DAYS, startSpring, tellTheDay, tellTheRest } from './telling.js'
import { stashOf, type DemoItem } from './stash.js'

/** Months of wear in the demo's log. */
const LOGGED_MONTHS = 18
/** Days between the looks at how much is left. */
const READ_EVERY_DAYS = 28
/** The project has run this long. */
const PROJECT_DAYS = 120
/** What has less than this left is over, for her, when the season changes. */
const OVER_BEFORE_DAYS = 110
/** Met goals of the last days are left standing, to be rolled in the demo itself. */
const LEFT_STANDING_DAYS = 6

export interface DemoOptions {
  readonly seed: number
  readonly today: Day
}

/**
 * Fills an empty database with Maren Oduya-Lind's collection through the same commands the server
 * runs, day by day under a clock that moves along: the same seed and day give the same collection.
 */
export function buildDemo(db: Db, options: DemoOptions): void {
  // The file is made in one go and can be made again; afterwards every write is durable again.
  db.pragma('synchronous = OFF')
  new DemoBuilder(db, options).run()
  db.pragma('synchronous = FULL')
}

class DemoBuilder {
  readonly #random: Random
  readonly #today: Day
  readonly #demo: DemoHouse
  #finished = 0

  constructor(db: Db, { seed, today }: DemoOptions) {
    this.#random = new Random(seed)
    this.#today = today
    this.#demo = new DemoHouse(db, addMonths(today, -LOGGED_MONTHS))
  }

  run(): void {
    const demo = this.#demo
    this.#saveSettings()
    demo.stash = stashOf(this.#random, demo.day)
    const moved = this.#movingDay()
    for (const item of demo.stash) if (!item.hatBox) this.#addItem(item)
    this.#layDrawer()
    setTheRhythm(demo, this.#today)
    for (; demo.day < this.#today; demo.day = addDays(demo.day, 1)) {
      if (demo.day === moved) for (const item of demo.stash) if (item.hatBox) this.#addItem(item)
      if (fieldsOf(demo.day).date === 1 && fieldsOf(demo.day).month % 3 === 0) this.#switchSeason()
      if (demo.day === addDays(this.#today, -150)) oldVerdicts(demo)
      if (demo.day === addDays(this.#today, -PROJECT_DAYS)) startProject(demo, this.#today)
      if (demo.day === addDays(this.#today, -24)) startTrials(demo, this.#today)
      if (demo.day === addDays(this.#today, -SPRING_DAYS)) startSpring(demo)
      if (demo.day === addDays(this.#today, -SPRING_DAYS + 90)) closeSpring(demo)
      this.#liveDay()
      if (daysBetween(demo.day, this.#today) % READ_EVERY_DAYS === 3) this.#readLevels()
    }
    setTheScene(demo, this.#today)
    tellTheRest(demo, this.#today)
  }

  #saveSettings(): void {
    const store = new SettingsStore(this.#demo.house.db)
    const plannedWeek = [false, false, true, true, true, true, true]
    this.#demo.act('save-settings', () => {
      store.save({ currency: 'EUR', rollOverHour: 4, plannedWeek, units: 'metric' })
      return { ok: true, value: { words: 'Changed the settings', answer: {} } }
    })
  }

  /** The move was in February; of last year when this February is not in the log yet. */
  #movingDay(): Day {
    const { year } = fieldsOf(this.#today)
    const thisYear = `${year}-02-14` as Day
    return thisYear < this.#today ? thisYear : (`${year - 1}-02-14` as Day)
  }

  #addItem(item: DemoItem): void {
    this.#demo.act('add-item', (changeId) =>
      this.#demo.commands.add({ changeId, id: item.id, fields: item.fields, reading: null }),
    )
  }

  #layDrawer(): void {
    for (const kind of STASH) {
      const open = this.#demo
        .of(kind.categoryId)
        .filter((item) => !item.hatBox && item.fields.opened.kind !== 'unopened')
      for (const item of open.slice(0, kind.inDrawer)) this.#layIn(item)
    }
  }

  #layIn(item: DemoItem): void {
    const zone = ZONE_OF.get(item.kind.categoryId)
    if (zone === undefined || item.ended || item.inDrawer) return
    const outcome = this.#demo.attempt('place', (changeId) => this.#demo.drawer.place(`pl-${changeId}`, item.id, zone))
    // A full zone is no fault here: the item simply does not come in.
    if (outcome.ok) item.inDrawer = true
    else if (outcome.failure.code !== 'zone-full') throw new Error(outcome.failure.code)
  }

  #layOut(item: DemoItem): void {
    this.#demo.act('take-out', () => this.#demo.drawer.takeOut(item.id, this.#demo.day))
    item.inDrawer = false
  }

  /** Four times a year what is over makes room, else one item of most zones. */
  #switchSeason(): void {
    for (const kind of STASH) {
      const lying = this.#demo.of(kind.categoryId).filter((item) => item.inDrawer)
      const over = lying.filter((item) => this.#daysLeft(item) < OVER_BEFORE_DAYS && this.#random.chance(0.85))
      const spare = lying.filter((item) => !this.#demo.inProject.has(item.id) && kind.inDrawer > 1)
      for (const item of over.length > 0 ? over : spare.slice(-1)) {
        const into = this.#nextOf(kind)
        if (!into) continue
        this.#layOut(item)
        this.#layIn(into)
      }
    }
  }

  #daysLeft(item: DemoItem): number {
    return this.#demo.house.stock.one(item.id, this.#demo.day)?.shelfLife.daysLeft ?? 400
  }

  /** What comes in next: an open one that is good for a while, else one still shut. */
  #nextOf(kind: DemoItem['kind']): DemoItem | undefined {
    const moved = this.#demo.day > this.#movingDay()
    const resting = this.#demo.of(kind.categoryId).filter((item) => !item.inDrawer && (moved || !item.hatBox))
    const open = resting.filter(
      (item) => item.fields.opened.kind !== 'unopened' && this.#daysLeft(item) > OVER_BEFORE_DAYS,
    )
    return (
      this.#random.weighted(open, (item) => item.fondness) ??
      resting.find((item) => item.fields.opened.kind === 'unopened')
    )
  }

  #liveDay(): void {
    const demo = this.#demo
    const kind = faceKindOf(demo.day, this.#random)
    const worn = kind === 'none' ? [] : this.#faceOf(kind)
    if (worn.length === 0) {
      if (this.#random.chance(0.5)) demo.act('no-makeup', () => demo.wearing.setNoMakeup(demo.day, true))
      return
    }
    const ids = worn.map((item) => item.id)
    demo.act('set-face', () => demo.wearing.setFace(demo.day, ids, `a ${kind} face of ${worn.length}`))
    demo.faceDays.push(demo.day)
    tellTheDay(demo, kind)
    for (const item of worn) {
      item.uses += 1
      if (item.fields.parts.length > 0) this.#wearShades(item)
    }
    for (const item of worn) if (item.uses >= item.capacity) this.#finish(item)
    if (daysBetween(demo.day, this.#today) >= LEFT_STANDING_DAYS) rollWhatIsMet(demo, (item) => this.#layIn(item))
  }

  #faceOf(kind: FaceKind): DemoItem[] {
    return STASH.flatMap((step) => {
      if (EYES.has(step.categoryId) && eyesOffLimits(this.#demo.day)) return []
      const chance = kind === 'bold' ? Math.min(1, step.step + 0.3) : step.step * 0.85
      if (!this.#random.chance(chance)) return []
      const mine = this.#demo.of(step.categoryId).filter((item) => item.inDrawer)
      const pull = (item: DemoItem): number => item.fondness * (this.#demo.inProject.has(item.id) ? 2.5 : 1)
      return this.#random.weighted(mine, pull) ?? []
    })
  }

  #wearShades(item: DemoItem): void {
    const favourites = item.fields.parts.slice(0, 5)
    const partIds = [this.#random.pick(favourites).id, this.#random.pick(favourites).id]
    this.#demo.wear(item, this.#demo.day, [...new Set(partIds)])
  }

  #finish(item: DemoItem): void {
    this.#finished += 1
    finish(this.#demo, item, this.#finished)
    const next = this.#nextOf(item.kind)
    if (next) this.#layIn(next)
  }

  /** Levels, stages and lengths by eye, of most things in the drawer that show one. */
  #readLevels(): void {
    for (const item of this.#demo.stash) {
      if (!item.inDrawer || item.ended || !this.#random.chance(0.7)) continue
      const left = Math.max(0.03, 1 - item.uses / item.capacity)
      if (item.fields.parts.length === 0) this.#read(item, null, left)
      else
        item.fields.parts
          .slice(0, 3)
          .forEach((part, at) => this.#read(item, part.id, Math.min(1, left * (0.75 + at * 0.3))))
    }
  }

  #read(item: DemoItem, partId: string | null, left: number): void {
    const measure = partId === null ? eyeMeasureOf(item.fields.form, item.fields.opaque) : 'pan'
    if (measure === 'none') return
    const { day } = this.#demo
    const at = STAGE_FROM.findIndex((from) => left > from)
    const stage = PAN_STAGES[at < 0 ? 5 : at] ?? 'untouched'
    const value = Math.round(left * 20) / 20
    const reading =
      measure === 'pan' ? ({ kind: 'stage', stage, day } as const) : ({ kind: measure, value, day } as const)
    this.#demo.act('add-reading', (changeId) =>
      this.#demo.commands.addReading(item.id, { changeId, id: `m-${changeId}`, partId, reading }),
    )
  }
}

/** What is left above which a pan shows a stage, in the order of the stages. Assumption. */
const STAGE_FROM = [0.93, 0.8, 0.58, 0.3, 0.14]
const EYES = new Set(CATEGORY_DEFAULTS.filter((category) => category.eye).map((category) => category.id))
const ZONE_OF = new Map(CATEGORY_DEFAULTS.map((category) => [category.id, category.zone]))
