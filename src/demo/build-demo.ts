import { addDays, addMonths, daysBetween, fieldsOf, type Day } from '#core/calendar/day'
import { isWithin } from '#core/calendar/day-log'
import { yearlyStretches, type CalmStretch, type PlannedWeek } from '#core/calendar/planned-week'
import { CATEGORY_DEFAULTS } from '#core/item/category-defaults'
import { eyeMeasureOf, PAN_STAGES } from '#core/item/form'
import type { Db } from '#server/db/query'
import { EMPTIES, type Role } from './cast-data.js'
import { DemoHouse } from './demo-house.js'
import { eyesOffLimits, faceKindOf, type FaceKind } from './faces.js'
import type { PanPicture } from './draw-pans.js'
import { decidingEvening } from './deciding-story.js'
import { knowingEvening } from './knowing-story.js'
import { MeasuringStory } from './measuring-story.js'
import { lookingEvening } from './looking-story.js'
import { planningEvening } from './planning-story.js'
import { plotOf, type Plot } from './plot.js'
import { Random } from './random.js'
import {
  finish,
  oldVerdicts,
  PARTY_IN_DAYS,
  PROJECT_DAYS,
  putAway,
  readCast,
  rollOut,
  startProject,
  startTrials,
} from './scene.js'
import { STASH } from './stash-data.js'
import {
  closeSpring,
  HAY_FEVER,
  setTheRhythm,
  SPRING_DAYS,
  startSpring,
  tellTheDay,
  tellTheRest,
  walks,
} from './telling.js'
import { stashOf, type DemoItem } from './stash.js'

/** Months of wear in the demo's log. */
const LOGGED_MONTHS = 18
/** Days between the looks at how much is left. */
const READ_EVERY_DAYS = 28
/** What has less than this left is over, for her, when the season changes. */
const OVER_BEFORE_DAYS = 110
const PLANNED_WEEK = [false, false, true, true, true, true, true]

export interface DemoOptions {
  readonly seed: number
  readonly today: Day
  /** Drawn photos of a pan, the first one first; none = nothing is photographed. */
  readonly pictures?: readonly PanPicture[]
  /** Whether forecasts are kept along the way; it takes a fifth of the time. */
  readonly forecasts?: boolean
}

/**
 * Fills an empty database with Maren Oduya-Lind's collection through the same commands the server runs, day by day under a
 * clock that moves along: the same seed and day give the same collection, and whatever the day, the cast plays its parts.
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
  /** What every day of the log asks for, and whether its being without makeup is written down. */
  readonly #days = new Map<Day, { kind: FaceKind; said: boolean }>()
  readonly #measuring: MeasuringStory
  readonly #forecasts: boolean
  #plot: Plot | null = null
  #finished = 0

  constructor(db: Db, { seed, today, pictures = [], forecasts = true }: DemoOptions) {
    this.#forecasts = forecasts
    this.#random = new Random(seed)
    this.#today = today
    this.#demo = new DemoHouse(db, addMonths(today, -LOGGED_MONTHS), seed)
    this.#measuring = new MeasuringStory(this.#demo, pictures)
  }

  run(): void {
    const demo = this.#demo
    this.#saveSettings()
    demo.stash = stashOf(this.#random, demo.day, this.#today, () => demo.services.newId())
    this.#planDays()
    const moved = this.#movingDay()
    const start = demo.day
    const came = (item: DemoItem): Day => (item.hatBox ? moved : (item.cameOn ?? start))
    for (const item of demo.stash) if (came(item) <= start) this.#addItem(item)
    this.#layDrawer((item) => !item.cast)
    setTheRhythm(demo, this.#today)
    for (; demo.day < this.#today; demo.day = addDays(demo.day, 1)) {
      const ago = daysBetween(demo.day, this.#today)
      demo.turnTo('morning')
      for (const item of demo.stash) if (demo.day > start && came(item) === demo.day) this.#addItem(item)
      this.#liveDay()
      demo.turnTo('evening')
      if (fieldsOf(demo.day).date === 1 && fieldsOf(demo.day).month % 3 === 0 && ago > PROJECT_DAYS)
        this.#switchSeason()
      this.#turnOfEvents(ago)
      if (ago % READ_EVERY_DAYS === 3) this.#readLevels()
      readCast(demo, ago)
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

  /** What happens once, so many days before today. */
  #turnOfEvents(ago: number): void {
    const demo = this.#demo
    for (const [categoryId, when] of EMPTIES) if (when === ago) this.#finish(categoryId)
    if (ago === SPRING_DAYS) startSpring(demo)
    if (ago === SPRING_DAYS - 90) closeSpring(demo)
    if (ago === 150) oldVerdicts(demo)
    if (ago === PROJECT_DAYS + 1) {
      for (const item of demo.stash) if (item.inDrawer && !item.cast) this.#layOut(item)
      this.#layDrawer((item) => item.cast && item.pinned)
    }
    if (ago === PROJECT_DAYS) startProject(demo, this.#today, this.#plotted())
    if (ago === 110) putAway(demo, addDays(this.#today, -5))
    if (ago === 24) startTrials(demo, this.#today)
    if (ago === 40) rollOut(demo, 'reached and out')
    if (ago === 33) rollOut(demo, 'left unfinished')
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

  /** Which days bring a face is settled before anything else, so that goals can be set by it. */
  #planDays(): void {
    for (let day = this.#demo.day; day < this.#today; day = addDays(day, 1))
      this.#days.set(day, { kind: faceKindOf(day, this.#random), said: this.#random.chance(0.5) })
  }

  #plotted(): Plot {
    if (this.#plot) return this.#plot
    const { year } = fieldsOf(this.#today)
    const calm: CalmStretch[] = [...walks(this.#today), ...yearlyStretches(HAY_FEVER, year - 2, year + 2)]
    const days = [...this.#days]
    this.#plot = plotOf({
      today: this.#today,
      rolledIn: addDays(this.#today, -PROJECT_DAYS),
      by: addDays(this.#today, PARTY_IN_DAYS),
      ticked: PLANNED_WEEK.map(Number) as unknown as PlannedWeek,
      faceDays: days.filter(([, { kind }]) => kind !== 'none').map(([day]) => day),
      recorded: days.filter(([, { kind, said }]) => kind !== 'none' || said).map(([day]) => day),
      calm,
    })
    return this.#plot
  }

  /** The move was in February; of last year when this February is not in the log yet. */
  #movingDay(): Day {
    const { year } = fieldsOf(this.#today)
    const thisYear = `${year}-02-14` as Day
    return thisYear < this.#today ? thisYear : (`${year - 1}-02-14` as Day)
  }

  #addItem(item: DemoItem): void {
    this.#demo.act('add-item', (changeId) =>
      this.#demo.services.collection.add({ changeId, id: item.id, fields: item.fields, reading: null }),
    )
  }

  #layDrawer(which: (item: DemoItem) => boolean): void {
    for (const kind of STASH) {
      const open = this.#demo
        .of(kind.categoryId)
        .filter((item) => which(item) && !item.hatBox && item.fields.opened.kind !== 'unopened')
      for (const item of open.some((each) => each.pinned) ? open : open.slice(0, kind.inDrawer)) this.#layIn(item)
    }
  }

  #layIn(item: DemoItem): void {
    const zone = ZONE_OF.get(item.kind.categoryId)
    if (zone === undefined || item.ended || item.inDrawer) return
    const outcome = this.#demo.attempt('place', () =>
      this.#demo.services.drawer.place(this.#demo.services.newId(), item.id, zone),
    )
    // A full zone is no fault here: the item simply does not come in. The cast has room.
    if (outcome.ok) item.inDrawer = true
    else if (outcome.failure.code !== 'zone-full' || item.pinned)
      throw new Error(`${item.kind.noun}: ${outcome.failure.code}`)
  }

  #layOut(item: DemoItem): void {
    this.#demo.act('take-out', () => this.#demo.services.drawer.takeOut(item.id, this.#demo.day))
    item.inDrawer = false
  }

  /** Four times a year what is over makes room, else one item of most zones. */
  #switchSeason(): void {
    for (const kind of STASH) {
      const lying = this.#demo.of(kind.categoryId).filter((item) => item.inDrawer)
      const over = lying.filter((item) => this.#daysLeft(item) < OVER_BEFORE_DAYS)
      const spare = lying.filter(() => kind.inDrawer > 1)
      for (const item of over.length > 0 ? over : spare.slice(-1)) {
        const into = this.#nextOf(kind)
        if (!into) continue
        this.#layOut(item)
        this.#layIn(into)
      }
    }
  }

  #daysLeft(item: DemoItem): number {
    return this.#demo.services.stock.one(item.id, this.#demo.day)?.shelfLife.daysLeft ?? 400
  }

  /** What comes in next: an open one that is good for a while, else one still shut. The cast waits for its day. */
  #nextOf(kind: DemoItem['kind']): DemoItem | undefined {
    const moved = this.#demo.day > this.#movingDay()
    const resting = this.#demo
      .of(kind.categoryId)
      .filter((item) => !item.inDrawer && !item.cast && (moved || !item.hatBox))
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
    const { kind, said } = this.#days.get(demo.day) ?? { kind: 'none', said: false }
    if (kind === 'none') {
      if (said && !isWithin(demo.day, walks(this.#today)))
        demo.act('no-makeup', () => demo.services.wearing.setNoMakeup(demo.day, true))
      return
    }
    const worn = this.#faceOf(kind)
    const ids = worn.map((item) => item.id)
    demo.act('set-face', () =>
      demo.services.wearing.setFace({
        day: demo.day,
        itemIds: ids,
        like: null,
        words: `A ${kind} face of ${worn.length}`,
      }),
    )
    tellTheDay(demo, kind)
    for (const item of worn) {
      item.uses += 1
      if (item.fields.parts.length > 0) this.#wearShades(item)
    }
  }

  /** A base on every day with a face, the other steps as the day has it; the cast by its script once the project runs. */
  #faceOf(kind: FaceKind): DemoItem[] {
    const { day } = this.#demo
    const running = daysBetween(day, this.#today) <= PROJECT_DAYS
    const chosen = STASH.flatMap((step) => {
      if (EYES.has(step.categoryId) && eyesOffLimits(day)) return []
      const chance = kind === 'bold' ? Math.min(1, step.step + 0.3) : step.step * 0.85
      if (!this.#random.chance(chance) && step.categoryId !== 'concealer') return []
      const mine = this.#demo
        .of(step.categoryId)
        .filter((item) => item.inDrawer && !(running && item.roles.some((role) => WORN_BY_SCRIPT.includes(role))))
      return this.#random.weighted(mine, (item) => item.fondness) ?? []
    })
    if (!running) return chosen
    const script = [...this.#plotted().wearDays].flatMap(([role, days]) =>
      days.includes(day)
        ? this.#demo.stash.filter(
            (item) => item.roles.includes(role) && !(EYES.has(item.kind.categoryId) && eyesOffLimits(day)),
          )
        : [],
    )
    return [...chosen, ...script.filter((item) => !chosen.includes(item))]
  }

  #wearShades(item: DemoItem): void {
    const favourites = item.fields.parts.slice(0, 5)
    const partIds = [this.#random.pick(favourites).id, this.#random.pick(favourites).id]
    this.#demo.wear(item, this.#demo.day, [...new Set(partIds)])
  }

  /** The most worn of a category that plays no part; something of its kind comes in for it. */
  #finish(categoryId: string): void {
    const [item] = this.#demo
      .of(categoryId)
      .filter((each) => !each.cast && each.fields.opened.kind === 'range')
      .sort((a, b) => b.uses - a.uses)
    if (!item) throw new Error(`no ${categoryId} to finish`)
    const lay = item.inDrawer
    this.#finished += 1
    finish(this.#demo, item, this.#finished)
    const next = lay ? this.#nextOf(item.kind) : undefined
    if (next) this.#layIn(next)
  }

  /** Levels, stages and lengths by eye, of most things in the drawer that show one. */
  #readLevels(): void {
    for (const item of this.#demo.stash) {
      if (
        !item.inDrawer ||
        item.ended ||
        item.roles.some((role) => READ_BY_SCRIPT.includes(role)) ||
        !this.#random.chance(0.7)
      )
        continue
      const left = Math.max(0.12, 1 - item.uses / item.capacity)
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
    this.#demo.read(item, partId, measure === 'pan' ? { kind: 'stage', stage, day } : { kind: measure, value, day })
  }
}

/** Worn by the script alone, so that each goal stands where it should. */
const WORN_BY_SCRIPT: readonly Role[] = [
  'goal met',
  'on pace',
  'behind',
  'out of reach',
  'without a date',
  'reached and out',
  'left unfinished',
  'trial due',
  'trial running',
]
/** Read by the script alone. */
const READ_BY_SCRIPT: readonly Role[] = ['half panned palette', 'finish by eye', 'nearly done', 'goal met']

/** What is left above which a pan shows a stage, in the order of the stages. Assumption. */
const STAGE_FROM = [0.93, 0.8, 0.58, 0.3, 0.14]
const EYES = new Set(CATEGORY_DEFAULTS.filter((category) => category.eye).map((category) => category.id))
const ZONE_OF = new Map(CATEGORY_DEFAULTS.map((category) => [category.id, category.zone]))
