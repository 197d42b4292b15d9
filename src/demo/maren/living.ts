import { addDays, daysBetween, fieldsOf, type Day } from '#core/calendar/day'
import { seasonOn, type Season } from '#core/item/traits'
import type { Random } from '../random.js'
import type { DemoItem } from '../stash.js'
import { STASH, type StashCategory } from '../stash-data.js'
import { eyesOffLimits, lookKindOf, type LookKind } from './looks.js'
import { nearlyDone, toFinish, toWear, worthWearing } from './goals.js'
import {
  movingDay,
  PROJECT_DAYS,
  SPRING_DAYS,
  SPRING_LASTS,
  TRIAL_DAYS,
  TRIAL_KINDS,
  type Act,
  type MarenLife,
  type Worn,
} from './life.js'
import { EYES, LIKED_SHADES, Thing, type LifeGoal, type ProjectId, type Stay } from './thing.js'

/**
 * Maren's life with her stash, simulated: what she wears, opens, lays in and out, finishes and works on, with what is really left in
 * everything on every day. It knows nothing of the product; the demo is what she writes down of it.
 */

/** Moods: how far they swing, and in how many days they are forgotten. Assumptions, as the following. */
const MOOD_SD = 0.6
const MOOD_DAYS = 80
/** Chance that something from outside the drawer is worn; that an item leaves it when the season changes. */
const OUTSIDE = 0.03
const LEAVES_AT_SEASON = 0.38
/** What is over within so many days is not laid in, and within so many leaves. */
const OVER_WITHIN_DAYS = 30
const LEAVES_WITHIN_DAYS = 10
/** A goal pushes an item at first so much, and wears off in so many days. */
const PUSH = 2.2
const PUSH_DAYS = 70
/** How much more the last tenth of an item is wanted. */
const LAST_TENTH = 2.2
/** Uses of one kind differ from one to the next by so much, on the log. */
const USE_SD = 0.35
/** Chances a day: what is reached is rolled out; what bores her is left unfinished. */
const ROLLED_OUT = 0.03
const LEFT = 0.0015
const TRIAL_WORN = 0.2
/** She says of three in four that they are opened; of the others only that they are worn. */
const SAYS_OPENED = 0.75

/** Lives from the first day of the log until yesterday. */
export function liveWith(stash: readonly DemoItem[], random: Random, start: Day, today: Day): MarenLife {
  return new Living(stash, random, start, today).run()
}

class Living {
  readonly #random: Random
  readonly #start: Day
  readonly #today: Day
  readonly #things: Thing[]
  readonly #byKind = new Map<StashCategory, Thing[]>()
  readonly #kindMood = new Map<StashCategory, number>()
  readonly #stays: Stay[] = []
  readonly #acts = new Map<Day, Act[]>()
  readonly #days = new Map<Day, { kind: LookKind; said: boolean }>()
  #day: Day
  #season: Season = 'winter'

  constructor(stash: readonly DemoItem[], random: Random, start: Day, today: Day) {
    this.#random = random
    this.#start = start
    this.#today = today
    this.#day = start
    this.#things = stash.map((item) => new Thing(item, random))
    for (const kind of STASH)
      this.#byKind.set(
        kind,
        this.#things.filter(({ item }) => item.kind === kind),
      )
  }

  run(): MarenLife {
    const moved = movingDay(this.#today)
    for (const thing of this.#things) if (thing.here) this.#act({ do: 'add', item: thing.item })
    for (const kind of STASH) this.#fill(kind)
    for (; this.#day < this.#today; this.#day = addDays(this.#day, 1)) {
      const ago = daysBetween(this.#day, this.#today)
      const { month, date } = fieldsOf(this.#day)
      this.#season = seasonOn(this.#day, 'north')
      for (const thing of this.#things) this.#arrive(thing, moved)
      if (date === 1 && this.#day > this.#start) this.#turnOver(month % 3 === 0)
      if (ago === SPRING_DAYS) this.#startSpring()
      if (ago === SPRING_DAYS - SPRING_LASTS) this.#closeSpring()
      if (ago === PROJECT_DAYS) this.#startCentenary()
      if (ago === TRIAL_DAYS) this.#startTrials()
      this.#drift()
      this.#wear()
      this.#evening()
    }
    return {
      today: this.#today,
      start: this.#start,
      things: new Map(this.#things.map((thing) => [thing.item.id, thing])),
      days: this.#days,
      stays: this.#stays,
      acts: this.#acts,
    }
  }

  #act(act: Act): void {
    const today = this.#acts.get(this.#day) ?? []
    today.push(act)
    this.#acts.set(this.#day, today)
  }

  #of(kind: StashCategory): Thing[] {
    return (this.#byKind.get(kind) ?? []).filter((thing) => thing.isThere)
  }

  #arrive(thing: Thing, moved: Day): void {
    const came = thing.item.hatBox ? moved : thing.item.cameOn
    if (thing.here || came !== this.#day) return
    thing.here = true
    this.#act({ do: 'add', item: thing.item })
  }

  #drift(): void {
    const keep = Math.exp(-1 / MOOD_DAYS)
    const step = MOOD_SD * Math.sqrt(1 - keep * keep)
    for (const thing of this.#things) thing.mood = keep * thing.mood + step * this.#random.normal()
    for (const kind of STASH)
      this.#kindMood.set(kind, keep * (this.#kindMood.get(kind) ?? 0) + step * this.#random.normal())
  }

  /** How much she wants it today: a weight. */
  #want(thing: Thing): number {
    const { item, stay } = thing
    const { seasons } = item.fields
    const inSeason = seasons.length === 0 || seasons.includes(this.#season) ? 1 : 0.3
    const isNew = thing.newUntil !== null && this.#day < thing.newUntil ? 1.6 : 1
    const push = stay === null ? 1 : 1 + PUSH * Math.exp(-daysBetween(stay.since, this.#day) / PUSH_DAYS)
    return item.fondness * Math.exp(thing.mood) * inSeason * isNew * push * (thing.left < 0.1 ? LAST_TENTH : 1)
  }

  /** Lays in what she wants most of what rests, opening one where nothing open is good, until the kind has its places. */
  #fill(kind: StashCategory): void {
    for (;;) {
      const mine = this.#of(kind)
      if (mine.filter((thing) => thing.inDrawer).length >= kind.inDrawer) return
      const resting = mine.filter(
        (thing) => !thing.inDrawer && !thing.trial && thing.isGood(this.#day, OVER_WITHIN_DAYS),
      )
      const open = resting.filter((thing) => thing.opened)
      // Something new is opened where nothing else is there, and now and then for the pleasure of it.
      const shut = resting.filter((thing) => !thing.opened)
      const next =
        open.length === 0 || (shut.length > 0 && this.#random.chance(0.15))
          ? this.#random.weighted(shut, (thing) => this.#want(thing))
          : this.#random.weighted(open, (thing) => this.#want(thing))
      if (!next) return
      this.#layIn(next)
    }
  }

  #layIn(thing: Thing): void {
    thing.inDrawer = true
    thing.lastOn = this.#day
    this.#act({ do: 'in', item: thing.item })
  }

  #layOut(thing: Thing): void {
    thing.inDrawer = false
    thing.lastOn = this.#day
    this.#act({ do: 'out', item: thing.item })
  }

  /** Every month what is over leaves; when the season changes also some of the rest. What she works on stays. */
  #turnOver(season: boolean): void {
    for (const kind of STASH) {
      for (const thing of this.#of(kind).filter((each) => each.inDrawer && each.stay === null))
        if (!thing.isGood(this.#day, LEAVES_WITHIN_DAYS) || (season && this.#random.chance(LEAVES_AT_SEASON)))
          this.#layOut(thing)
      this.#fill(kind)
    }
  }

  #wear(): void {
    const kind = lookKindOf(this.#day, this.#random)
    const said = this.#random.chance(0.5)
    this.#days.set(this.#day, { kind, said })
    if (kind === 'none') {
      if (said) this.#act({ do: 'no makeup' })
      return
    }
    const look = STASH.flatMap((step) => this.#chosen(step, kind) ?? [])
    const worn = look.map((thing): Worn => {
      if (!thing.opened) {
        const said = this.#random.chance(SAYS_OPENED)
        thing.openOn(this.#day, said)
        this.#act({ do: 'open', item: thing.item, said })
      }
      return { item: thing.item, partIds: this.#use(thing) }
    })
    if (worn.length > 0) this.#act({ do: 'wear', kind, worn })
  }

  #chosen(step: StashCategory, kind: LookKind): Thing | null {
    if (EYES.has(step.categoryId) && eyesOffLimits(this.#day)) return null
    const mine = this.#of(step)
    const onTrial = mine.find((thing) => thing.trial)
    if (onTrial && this.#random.chance(TRIAL_WORN)) return onTrial
    const usual =
      (kind === 'bold' ? step.step + 0.3 : step.step * 0.85) * Math.exp(0.4 * (this.#kindMood.get(step) ?? 0))
    const pushed = mine.some((thing) => thing.stay !== null) ? 1.15 : 1
    if (!this.#random.chance(Math.min(0.97, usual * pushed))) return null
    const outside = this.#random.chance(OUTSIDE)
    const from = mine.filter((thing) =>
      outside ? thing.opened && !thing.trial && thing.isGood(this.#day) : thing.inDrawer,
    )
    return this.#random.weighted(from, (thing) => this.#want(thing)) ?? null
  }

  /** One use: takes of it what a use takes, and counts. Gives the shades. */
  #use(thing: Thing): string[] {
    const { item } = thing
    const takes = () => (Math.exp(USE_SD * this.#random.normal()) * (thing.left < 0.08 ? 0.85 : 1)) / item.usesWhenFull
    const partIds: string[] = []
    if (thing.parts.length > 0) {
      const liked = thing.parts.slice(0, LIKED_SHADES).map((_, at) => at)
      for (const at of new Set([this.#random.pick(liked), this.#random.pick(liked)])) {
        // A day takes as much of a palette as of a single; two shades share it.
        thing.parts[at] = Math.max(0, (thing.parts[at] ?? 0) - (takes() * thing.parts.length) / 2)
        partIds.push(item.fields.parts[at]?.id ?? '')
      }
      thing.left = thing.parts.reduce((sum, each) => sum + each, 0) / thing.parts.length
    } else thing.left = Math.max(0, thing.left - takes())
    thing.lastOn = this.#day
    thing.course.push({ day: this.#day, left: thing.left, parts: [...thing.parts] })
    const { stay } = thing
    if (stay !== null) {
      stay.uses += 1
      if (stay.goal.kind === 'uses' && stay.uses === stay.goal.target) stay.metOn = this.#day
    }
    return partIds
  }

  #evening(): void {
    for (const thing of this.#things) {
      const { stay } = thing
      if (thing.left <= 0 && thing.ended === null) {
        this.#finish(thing)
        continue
      }
      if (stay === null || stay.since >= this.#day) continue
      if (stay.metOn !== null && this.#random.chance(ROLLED_OUT)) this.#rollOut(thing, 'met')
      else if (stay.metOn === null && this.#random.chance(LEFT * Math.exp(-1.5 * thing.mood)))
        this.#rollOut(thing, 'left unfinished')
    }
  }

  /** Empty: something of the kind comes in for it, and in a project often something else is worked on. */
  #finish(thing: Thing): void {
    const { stay, item } = thing
    thing.ended = this.#day
    thing.inDrawer = false
    this.#act({ do: 'finish', item })
    if (stay !== null) {
      stay.metOn ??= this.#day
      stay.out = { on: this.#day, reason: 'finished' }
      thing.stay = null
    }
    this.#fill(item.kind)
    if (stay?.project === 'centenary' && this.#random.chance(0.7)) {
      const [next] = nearlyDone(this.#things, this.#day, this.#random)
      if (next) this.#rollIn('centenary', next, toFinish(next, this.#random))
    }
  }

  #rollOut(thing: Thing, reason: 'met' | 'left unfinished'): void {
    if (thing.stay === null) return
    thing.stay.out = { on: this.#day, reason }
    thing.stay = null
    thing.lastOn = this.#day
    this.#act({ do: 'roll out', item: thing.item, reason })
  }

  #rollIn(project: ProjectId, thing: Thing, goal: LifeGoal): void {
    if (!thing.inDrawer) {
      const away = this.#of(thing.item.kind)
        .filter((each) => each.inDrawer && each.stay === null)
        .sort((a, b) => this.#want(a) - this.#want(b))
      if (away.length === 0) return
      if (away[0] && this.#of(thing.item.kind).filter((each) => each.inDrawer).length >= thing.item.kind.inDrawer)
        this.#layOut(away[0])
      this.#layIn(thing)
    }
    thing.lastOn = this.#day
    thing.stay = { project, item: thing.item, goal, since: this.#day, uses: 0, metOn: null, out: null }
    this.#stays.push(thing.stay)
    this.#act({ do: 'roll in', project, item: thing.item, goal })
  }

  #workOff(project: ProjectId, most: number): void {
    for (const thing of nearlyDone(this.#things, this.#day, this.#random).slice(0, most))
      this.#rollIn(project, thing, toFinish(thing, this.#random))
  }

  #startSpring(): void {
    this.#act({ do: 'project', project: 'spring' })
    this.#workOff('spring', 4)
    for (const categoryId of ['blush', 'lipstick']) {
      const thing = worthWearing(this.#things, categoryId, this.#day)
      if (thing) this.#rollIn('spring', thing, { kind: 'uses', target: 15, dated: true, guessMonths: null })
    }
  }

  #closeSpring(): void {
    for (const stay of this.#stays)
      if (stay.project === 'spring' && stay.out === null) {
        stay.out = { on: this.#day, reason: 'closed' }
        const thing = this.#things.find(({ item }) => item === stay.item)
        if (thing) thing.stay = null
      }
    this.#act({ do: 'close', project: 'spring' })
  }

  /** Ten finished by the party is what she wants; beside it she wants to wear what she neglects, so many times. */
  #startCentenary(): void {
    this.#act({ do: 'project', project: 'centenary' })
    for (const kind of STASH) {
      // What is over within a month is no help.
      for (const thing of this.#of(kind).filter((each) => each.inDrawer && !each.isGood(this.#day, OVER_WITHIN_DAYS)))
        this.#layOut(thing)
      this.#fill(kind)
    }
    this.#workOff('centenary', 7)
    for (const { categoryId, goalFor } of toWear()) {
      const thing = worthWearing(this.#things, categoryId, this.#day)
      if (thing) this.#rollIn('centenary', thing, goalFor(thing))
    }
    const palette = worthWearing(this.#things, 'eyeshadow-palette', this.#day)
    if (palette) this.#rollIn('centenary', palette, { kind: 'finish', target: null, dated: false, guessMonths: null })
  }

  #startTrials(): void {
    for (const categoryId of TRIAL_KINDS) {
      const resting = this.#things.filter(
        (thing) =>
          thing.item.kind.categoryId === categoryId &&
          thing.here &&
          thing.opened &&
          thing.ended === null &&
          !thing.inDrawer &&
          thing.stay === null &&
          thing.isGood(this.#day, 60),
      )
      const thing = this.#random.weighted(resting, (each) => 1 / (0.2 + this.#want(each)))
      if (!thing) continue
      thing.trial = true
      thing.lastOn = this.#day
      this.#act({ do: 'trial', item: thing.item })
    }
  }
}
