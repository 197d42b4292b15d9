import { addDays, addMonths, earlier, type Day } from '#core/calendar/day'
import { middleOf } from '#core/calendar/when'
import { CATEGORY_DEFAULTS } from '#core/item/category-defaults'
import { defaultPaoMonths } from '#core/shelf-life/default-pao'
import type { Random } from '../random.js'
import type { DemoItem } from '../stash.js'

/** Shades of a palette that she likes: nearly all of it that is used is of these. */
export const LIKED_SHADES = 5
/** Days for which something is new. */
const NEW_FOR_DAYS = 28
export const EYES = new Set(CATEGORY_DEFAULTS.filter((category) => category.eye).map((category) => category.id))

export type ProjectId = 'centenary' | 'spring'
export interface LifeGoal {
  readonly kind: 'finish' | 'uses'
  readonly target: number | null
  readonly dated: boolean
  /** How long she thinks it will last, in months; of what she wants to finish. */
  readonly guessMonths: number | null
}

export interface Stay {
  readonly project: ProjectId
  readonly item: DemoItem
  readonly goal: LifeGoal
  readonly since: Day
  uses: number
  metOn: Day | null
  out: { readonly on: Day; readonly reason: 'met' | 'left unfinished' | 'finished' | 'closed' } | null
}

/** What is so of an item while the life goes on. */
export class Thing {
  /** Share of a full one's uses that is left; of a palette the mean of its shades. */
  left: number
  readonly parts: number[]
  inDrawer = false
  opened: boolean
  /** What was opened lately is fun: until this day. */
  newUntil: Day | null = null
  /** She wrote down when. */
  openingSaid: boolean
  /** The day it is to be used by, as far as its label and its kind say. */
  goodUntil: Day | null = null
  ended: Day | null = null
  here: boolean
  trial = false
  stay: Stay | null = null
  /** Log of how much she feels like it, drifting. */
  mood = 0
  /** The last day on which it was worn, laid, or worked on. */
  lastOn: Day | null = null
  /** What was left after each day on which it was worn. */
  readonly course: { readonly day: Day; readonly left: number; readonly parts: readonly number[] }[] = []

  constructor(
    readonly item: DemoItem,
    random: Random,
  ) {
    const { opened } = item.fields
    this.opened = opened.kind !== 'unopened'
    this.openingSaid = opened.kind === 'range'
    this.#count(opened.kind === 'range' ? (EYES.has(item.kind.categoryId) ? opened.earliest : middleOf(opened)) : null)
    this.here = item.cameOn === null && !item.hatBox
    this.left = 1 - item.uses / item.usesWhenFull
    // What is liked in a palette is nearly all that is used of it.
    const share = this.left
    this.parts = item.fields.parts.map((_, at) => Math.max(0.05, 1 - (1 - share) * (at < LIKED_SHADES ? 1.4 : 0.3)))
    this.mood = 0.5 * random.normal()
  }

  openOn(day: Day, said: boolean): void {
    this.opened = true
    this.openingSaid = said
    this.#count(day)
  }

  #count(openedOn: Day | null): void {
    this.newUntil = openedOn && addDays(openedOn, NEW_FOR_DAYS)
    this.goodUntil = goodUntil(this.item, openedOn)
  }

  get isThere(): boolean {
    return this.here && this.ended === null
  }

  get usesLeft(): number {
    return this.left * this.item.usesWhenFull
  }

  /** Good still after so many days from a day on; nobody throws away what has no date. */
  isGood(day: Day, days = 0): boolean {
    return this.goodUntil === null || this.goodUntil > addDays(day, days)
  }

  /** Share left on the morning of a day. */
  leftOn(day: Day): number {
    return this.#at(day)?.left ?? 1 - this.item.uses / this.item.usesWhenFull
  }

  partLeftOn(day: Day, at: number): number {
    return this.#at(day)?.parts[at] ?? this.parts[at] ?? 1
  }

  #at(day: Day) {
    return this.course.findLast((each) => each.day < day)
  }
}

function goodUntil({ fields, kind }: DemoItem, openedOn: Day | null): Day | null {
  const { expiry } = fields
  const { type, eye } = CATEGORY_DEFAULTS.find(({ id }) => id === kind.categoryId) ?? { type: 'other', eye: false }
  const months = fields.paoMonths ?? defaultPaoMonths(type, fields.form, eye)
  const fromOpening = openedOn && addMonths(openedOn, months)
  return expiry && fromOpening ? earlier(expiry, fromOpening) : (fromOpening ?? expiry)
}
