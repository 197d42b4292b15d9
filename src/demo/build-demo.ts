import { addDays, addMonths, daysBetween, fieldsOf, type Day } from '#core/calendar/day'
import type { Outcome } from '#core/failure'
import { eyeMeasureOf, PAN_STAGES } from '#core/item/form'
import { CATEGORY_DEFAULTS } from '#core/item/category-defaults'
import { CollectionCommands } from '#server/collection/commands'
import type { Done } from '#server/db/journal'
import type { Db } from '#server/db/open-database'
import { Decide } from '#server/decide/decide'
import { Drawer } from '#server/drawer/drawer'
import { Empties } from '#server/empties/empties'
import { furnish, type House } from '#server/house'
import { Projects } from '#server/projects/projects'
import { SettingsStore } from '#server/settings/settings-store'
import { Wearing } from '#server/today/wearing'
import { eyesOffLimits, faceKindOf, type FaceKind } from './faces.js'
import { Random } from './random.js'
import { STASH, REVIEWS } from './stash-data.js'
import { stashOf, type DemoItem } from './stash.js'

/** Months of wear in the demo's log. */
const LOGGED_MONTHS = 18
/** Days between the looks at how much is left. */
const READ_EVERY_DAYS = 28
/** The project has run this long. */
const PROJECT_DAYS = 120

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
  readonly #house: House
  readonly #commands: CollectionCommands
  readonly #drawer: Drawer
  readonly #wearing: Wearing
  readonly #projects: Projects
  readonly #empties: Empties
  readonly #decide: Decide
  #day: Day
  #changes = 0
  #stash: DemoItem[] = []
  readonly #inProject = new Set<string>()
  #finished = 0

  constructor(db: Db, { seed, today }: DemoOptions) {
    this.#random = new Random(seed)
    this.#today = today
    this.#day = addMonths(today, -LOGGED_MONTHS)
    this.#house = furnish(db, () => noonOf(this.#day))
    this.#commands = new CollectionCommands(this.#house)
    this.#drawer = new Drawer(this.#house)
    this.#wearing = new Wearing(this.#house)
    this.#projects = new Projects(this.#house)
    this.#empties = new Empties(this.#house)
    this.#decide = new Decide(this.#house)
  }

  run(): void {
    const store = new SettingsStore(this.#house.db)
    this.#act('save-settings', () => {
      store.save({ currency: 'EUR', rollOverHour: 4, plannedWeek: [false, false, true, true, true, true, true], units: 'metric' })
      return { ok: true, value: { words: 'Changed the settings', answer: {} } }
    })
    this.#stash = stashOf(this.#random, this.#day)
    const moved = this.#movingDay()
    for (const item of this.#stash) if (!item.hatBox) this.#addItem(item)
    this.#layDrawer()
    const projectStart = addDays(this.#today, -PROJECT_DAYS)
    for (; this.#day < this.#today; this.#day = addDays(this.#day, 1)) {
      if (this.#day === moved) for (const item of this.#stash) if (item.hatBox) this.#addItem(item)
      if (fieldsOf(this.#day).date === 1 && fieldsOf(this.#day).month % 3 === 0) this.#switchSeason()
      if (this.#day === projectStart) this.#startProject()
      this.#liveDay()
      if (daysBetween(this.#day, this.#today) % READ_EVERY_DAYS === 3) this.#readLevels()
      if (this.#day === addDays(this.#today, -150)) this.#oldVerdicts()
      if (this.#day === addDays(this.#today, -24)) this.#startTrials()
    }
    this.#setTheScene()
  }

  /** The move was in February; of last year when this February is not in the log yet. */
  #movingDay(): Day {
    const { year } = fieldsOf(this.#today)
    const thisYear = `${year}-02-14` as Day
    return thisYear < this.#today ? thisYear : (`${year - 1}-02-14` as Day)
  }

  #addItem(item: DemoItem): void {
    this.#act('add-item', (changeId) => this.#commands.add({ changeId, id: item.id, fields: item.fields, reading: null }))
  }

  #layDrawer(): void {
    for (const kind of STASH)
      for (const item of this.#stash.filter((each) => each.kind === kind && !each.hatBox && each.fields.opened.kind !== 'unopened').slice(0, kind.inDrawer))
        this.#layIn(item)
  }

  #layIn(item: DemoItem): void {
    const zone = ZONE_OF.get(item.kind.categoryId)
    if (zone === undefined || item.ended || item.inDrawer) return
    this.#changes += 1
    const changeId = `demo-${this.#changes}`
    const outcome = this.#house.journal.run({ changeId, command: 'place', body: { item: item.id } }, () =>
      this.#drawer.place(`pl-${changeId}`, item.id, zone),
    )
    // A full zone is no fault here: the item simply does not come in.
    if (outcome.ok) item.inDrawer = true
    else if (outcome.failure.code !== 'zone-full') throw new Error(outcome.failure.code)
  }

  #layOut(item: DemoItem): void {
    this.#act('take-out', () => this.#drawer.takeOut(item.id, this.#day))
    item.inDrawer = false
  }

  /** Four times a year one item of most zones makes room for another. */
  #switchSeason(): void {
    for (const kind of STASH) {
      const lying = this.#stash.filter((item) => item.kind === kind && item.inDrawer)
      const over = lying.filter((item) => this.#isOver(item))
      const out = over.length > 0 ? over : lying.filter((item) => !this.#inProject.has(item.id) && kind.inDrawer > 1).slice(-1)
      for (const item of out) {
        const into = this.#random.weighted(this.#candidates(kind), (each) => each.fondness) ?? this.#nextUnopened(kind)
        if (!into) continue
        this.#layOut(item)
        this.#layIn(into)
      }
    }
  }

  /** Past its date, or nearly: she puts those away when the season changes, most of the time. */
  #isOver(item: DemoItem): boolean {
    const life = this.#house.stock.one(item.id, this.#day)?.shelfLife
    return life !== undefined && life.daysLeft !== null && life.daysLeft < 45 && this.#random.chance(0.85)
  }

  #candidates(kind: DemoItem['kind']): DemoItem[] {
    const known = this.#day > this.#movingDay()
    return this.#stash.filter(
      (item) => item.kind === kind && !item.inDrawer && !item.ended && item.fields.opened.kind !== 'unopened' && (known || !item.hatBox) && (this.#house.stock.one(item.id, this.#day)?.shelfLife.daysLeft ?? 400) > 120,
    )
  }

  #liveDay(): void {
    const kind = faceKindOf(this.#day, this.#random)
    if (kind === 'none') {
      if (this.#random.chance(0.5)) this.#act('no-makeup', () => this.#wearing.setNoMakeup(this.#day, true))
      return
    }
    const worn = this.#faceOf(kind)
    if (worn.length === 0) return
    this.#act('set-face', () => this.#wearing.setFace(this.#day, worn.map((item) => item.id), `a ${kind} face of ${worn.length}`))
    for (const item of worn) {
      item.uses += 1
      item.lastWorn = this.#day
      if (item.fields.parts.length > 0) this.#wearShades(item)
    }
    for (const item of worn) if (item.uses >= item.capacity) this.#finish(item)
    this.#rollWhatIsMet()
  }

  /** Goals met a while ago have rolled out, and something of the short list came in. */
  #rollWhatIsMet(): void {
    if (this.#inProject.size === 0 || daysBetween(this.#day, this.#today) < 6) return
    for (const stay of this.#projects.all().projects.flatMap((project) => project.stays)) {
      if (stay.rolledOut !== null || !stay.goal.met) continue
      this.#act('roll-out', (changeId) => this.#projects.rollOut(stay.stayId, { changeId, day: this.#day, reason: 'met', words: '' }))
      this.#inProject.delete(stay.item.id)
      const list = this.#projects.shortList('centenary', stay.item.id)
      const next = list.ok ? this.#stash.find((item) => item.id === list.value.items[0]?.item.id) : undefined
      if (!next || next.ended) continue
      if (!next.inDrawer) this.#layIn(next)
      this.#rollIn(next, { kind: 'uses', target: 12, headStart: 0 }, false)
    }
  }

  #faceOf(kind: FaceKind): DemoItem[] {
    const worn: DemoItem[] = []
    for (const step of STASH) {
      if (step.categoryId.startsWith('eye') || step.categoryId === 'cream-eyeshadow' || step.categoryId === 'mascara')
        if (eyesOffLimits(this.#day)) continue
      const chance = kind === 'bold' ? Math.min(1, step.step + 0.3) : step.step * 0.85
      if (!this.#random.chance(chance)) continue
      const mine = this.#stash.filter((item) => item.kind === step && item.inDrawer && !item.ended)
      const item = this.#random.weighted(mine, (each) => each.fondness * (this.#inProject.has(each.id) ? 2.5 : 1))
      if (item) worn.push(item)
    }
    return worn
  }

  #wearShades(item: DemoItem): void {
    const favourites = item.fields.parts.slice(0, 5)
    const partIds = [this.#random.pick(favourites).id, this.#random.pick(favourites).id]
    this.#act('set-worn', () => this.#wearing.setWorn({ itemId: item.id, day: this.#day, worn: true, partIds: [...new Set(partIds)] }))
  }

  /** An empty, with what she thought; another of the category comes in, a backup first. */
  #finish(item: DemoItem): void {
    const [wouldBuyAgain, words] = REVIEWS[this.#finished % REVIEWS.length] ?? ['maybe', '']
    this.#finished += 1
    this.#act('finish', (changeId) =>
      this.#empties.finish(item.id, { changeId, reviewId: `r-${item.id}`, day: this.#day, wouldBuyAgain, words, packageGoes: this.#finished % 3 === 0 ? 'recycle' : 'bin' }),
    )
    item.ended = true
    item.inDrawer = false
    const stay = this.#projects.all().projects.flatMap((project) => project.stays).find((each) => each.item.id === item.id && each.rolledOut === null)
    if (stay) {
      this.#act('roll-out', (changeId) => this.#projects.rollOut(stay.stayId, { changeId, day: this.#day, reason: 'finished', words: '' }))
      this.#inProject.delete(item.id)
    }
    const next = this.#random.weighted(this.#candidates(item.kind), (each) => each.fondness) ?? this.#nextUnopened(item.kind)
    if (next) this.#layIn(next)
  }

  #nextUnopened(kind: DemoItem['kind']): DemoItem | undefined {
    return this.#stash.find((item) => item.kind === kind && !item.ended && !item.inDrawer && !item.hatBox)
  }

  /** Levels, stages and lengths by eye, of most things in the drawer that show one. */
  #readLevels(): void {
    for (const item of this.#stash) {
      if (!item.inDrawer || item.ended || !this.#random.chance(0.7)) continue
      const left = Math.max(0.03, 1 - item.uses / item.capacity)
      if (item.fields.parts.length > 0) {
        item.fields.parts.slice(0, 3).forEach((part, at) => this.#read(item, part.id, Math.min(1, left * (0.75 + at * 0.3))))
        continue
      }
      this.#read(item, null, left)
    }
  }

  #read(item: DemoItem, partId: string | null, left: number): void {
    const measure = partId === null ? eyeMeasureOf(item.fields.form, item.fields.opaque) : 'pan'
    if (measure === 'none') return
    const stage = PAN_STAGES[left > 0.93 ? 0 : left > 0.8 ? 1 : left > 0.58 ? 2 : left > 0.3 ? 3 : left > 0.14 ? 4 : 5] ?? 'untouched'
    const value = Math.round(left * 20) / 20
    const reading = measure === 'pan' ? ({ kind: 'stage', stage, day: this.#day } as const) : ({ kind: measure, value, day: this.#day } as const)
    this.#act('add-reading', (changeId) => this.#commands.addReading(item.id, { changeId, id: `m-${changeId}`, partId, reading }))
  }

  /** Ten things finished by the tram line's centenary party. */
  #startProject(): void {
    this.#act('add-project', (changeId) =>
      this.#projects.add({
        changeId,
        id: 'centenary',
        name: 'Ten by the centenary',
        startedOn: this.#day,
        by: addDays(this.#today, 26),
        finishesWanted: 10,
        rules: 'No buying until the centenary party. One out, one in, like for like where I can. Sundays are free.',
      }),
    )
    const chosen = ['foundation', 'concealer', 'setting-powder', 'bronzer', 'blush', 'eyeshadow-palette', 'lipstick', 'lip-gloss', 'setting-spray', 'primer', 'highlighter']
    chosen.forEach((categoryId, at) => {
      const item = this.#stash.find((each) => each.kind.categoryId === categoryId && each.inDrawer && !each.ended)
      if (!item) return
      const usesGoal = at % 3 !== 0
      this.#rollIn(item, usesGoal ? { kind: 'uses', target: [30, 60, 36, 44][at % 4] ?? 40, headStart: at % 2 === 0 ? 0 : 4 } : { kind: 'finish', target: null, headStart: 0 }, at % 4 === 3)
    })
  }

  #rollIn(item: DemoItem, goal: { kind: 'finish' | 'uses'; target: number | null; headStart: number }, noDate: boolean): void {
    this.#act('roll-in', (changeId) =>
      this.#projects.rollIn('centenary', {
        changeId,
        stayId: `stay-${item.id}-${this.#day}`,
        itemId: item.id,
        day: this.#day,
        goal: { ...goal, by: noDate ? { kind: 'none' } : { kind: 'project' } },
      }),
    )
    this.#inProject.add(item.id)
  }

  #oldVerdicts(): void {
    const [keep, away] = this.#stash.filter((item) => item.kind.categoryId === 'lipstick' && !item.inDrawer && !item.ended && item.fields.opened.kind === 'range')
    if (keep)
      this.#act('verdict', (changeId) =>
        this.#decide.giveVerdict({ changeId, verdictId: `v-${keep.id}`, itemId: keep.id, trialId: null, verdict: 'keep and use', reason: 'Five wears and two compliments; it only needed a liner.', destination: null, until: null, usedAs: null }),
      )
    if (!away) return
    this.#act('verdict', (changeId) =>
      this.#decide.giveVerdict({ changeId, verdictId: `v-${away.id}`, itemId: away.id, trialId: null, verdict: 'let go', reason: 'I kept it for the case.', destination: 'bin', until: null, usedAs: null }),
    )
    away.ended = true
  }

  #startTrials(): void {
    const onTrial = ['lipstick', 'blush', 'highlighter'].flatMap((categoryId) => this.#stash.find((item) => item.kind.categoryId === categoryId && !item.inDrawer && !item.ended && item.fields.opened.kind !== 'unopened') ?? [])
    const questions = ['Does it feather without a liner?', 'Bought for the name. Do I like the colour?', 'Too light, or only in summer?']
    onTrial.forEach((item, at) => {
      this.#act('start-trial', (changeId) =>
        this.#decide.startTrial({ changeId, trialId: `t-${item.id}`, itemId: item.id, wearsWanted: [4, 5, 6][at] ?? 5, dueOn: addDays(this.#today, [-2, 9, 20][at] ?? 9), question: questions[at] ?? '' }),
      )
    })
  }

  /** The last fortnight's scene: one goal met and not yet rolled, some trial wears, the day itself still blank. */
  #setTheScene(): void {
    const inDrawer = this.#stash.find((item) => item.kind.categoryId === 'blush' && item.inDrawer && !this.#inProject.has(item.id))
    if (inDrawer && this.#day === this.#today) {
      this.#day = addDays(this.#today, -20)
      this.#rollIn(inDrawer, { kind: 'uses', target: 5, headStart: 0 }, false)
      for (const back of [18, 15, 11, 6, 2]) {
        this.#day = addDays(this.#today, -back)
        this.#act('set-worn', () => this.#wearing.setWorn({ itemId: inDrawer.id, day: this.#day, worn: true, partIds: [] }))
      }
      this.#day = this.#today
    }
    const trials = this.#decide.all().trials
    trials.forEach((trial, at) => {
      for (let n = 0; n < [4, 2, 1][at]!; n += 1) {
        const day = addDays(this.#today, -20 + n * 4 + at)
        this.#act('set-worn', () => this.#wearing.setWorn({ itemId: trial.item.id, day, worn: true, partIds: [] }))
      }
    })
  }

  #act<A extends object>(command: string, act: (changeId: string) => Outcome<Done<A>>): void {
    this.#changes += 1
    const changeId = `demo-${this.#changes}`
    const outcome = this.#house.journal.run({ changeId, command, body: {} }, () => act(changeId))
    if (!outcome.ok) throw new Error(`${command} on ${this.#day}: ${outcome.failure.code} ${JSON.stringify(outcome.failure.data)}`)
  }
}

const ZONE_OF = new Map(CATEGORY_DEFAULTS.map((category) => [category.id, category.zone]))

/** Noon of a day on the local clock, well away from the roll-over hour. */
function noonOf(day: Day): Date {
  const { year, month, date } = fieldsOf(day)
  return new Date(year, month - 1, date, 12)
}
