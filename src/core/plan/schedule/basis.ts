import type { Day } from '../../calendar/day.js'
import type { Hemisphere } from '../../calendar/hemisphere.js'
import type { CalmStretch, PlannedWeek } from '../../calendar/planned-week.js'
import type { Season } from '../../item/traits.js'
import type { PlanMonth } from './span.js'

/** What the user said of an item: in whatever the plan says, or not now. */
export const PLAN_WORDS = ['in', 'no'] as const
export type PlanWord = (typeof PLAN_WORDS)[number]

/** What an item is used towards: the goal of its project, or its end. */
export const TOWARDS = ['goal', 'end'] as const
export type Toward = (typeof TOWARDS)[number]

/** An item that can be planned, as the collection knows it. */
export interface PlanThing {
  readonly itemId: string
  readonly categoryId: string
  readonly slots: number
  readonly inDrawer: boolean
  /** Uses until its goal, or until it is finished: equally likely numbers, the smallest first. */
  readonly needs: readonly number[]
  /** What these uses are for: a goal that is not met yet, or its end. */
  readonly toward: Toward
  /** Uses until bare metal shows, of a powder that is to be finished; null where that is no question. */
  readonly needsToPan: readonly number[] | null
  readonly lastGood: Day | null
  /** The date of its goal. */
  readonly by: Day | null
  /** It is put away until this day. */
  readonly from: Day | null
  readonly seasons: readonly Season[]
  readonly mostAWeek: number | null
  readonly liking: number | null
  readonly moneyLeft: number | null
  readonly projectIds: readonly string[]
  /** Its place among what is up next, from 1; null = not there. */
  readonly upNext: number | null
  readonly said: PlanWord | null
  readonly weight: number | null
  /** Uses a week, as they are counted of late; null where they are too few to tell. */
  readonly pace: number | null
}

export interface PlanKind {
  readonly categoryId: string
  readonly zoneId: string
  /** Uses it takes of a wear day, as the user said or as learned. */
  readonly perWearDay: number
  /** Days on which it rests, by the user's word. */
  readonly breaks: readonly { readonly from: Day; readonly to: Day }[]
  /** When what is in stock has run out, the likely day; null where that is not known or far off. */
  readonly need: Day | null
}

export interface PlanPlace {
  readonly zoneId: string
  readonly slots: number
  /** Slots of what lies there and is not planned. */
  readonly staying: number
}

/** A project whose rules a plan can follow. */
export interface PlanProject {
  readonly projectId: string
  readonly by: Day | null
  readonly mostItems: number | null
  /** Items in it or that may roll in. */
  readonly itemIds: readonly string[]
  /** Kinds that rest by its rules, until when. */
  readonly resting: readonly { readonly categoryId: string; readonly until: Day }[]
}

/** A move of the user's: an item is in the drawer in a month, or it does not. */
export interface PlanMove {
  readonly itemId: string
  readonly month: PlanMonth
  readonly lies: boolean
}

/** Everything that a plan is made from. */
export interface PlanBasis {
  readonly today: Day
  readonly hemisphere: Hemisphere
  readonly week: PlannedWeek
  readonly calm: readonly CalmStretch[]
  readonly places: readonly PlanPlace[]
  readonly kinds: readonly PlanKind[]
  readonly things: readonly PlanThing[]
  readonly projects: readonly PlanProject[]
  readonly moves: readonly PlanMove[]
}

/** How a plan is asked for; a what-if is the same with one item otherwise. */
export interface PlanSetup {
  readonly months: number
  /** Reckon with the uses that nine of ten would be done by, instead of the middle. */
  readonly careful: boolean
  /** One of a kind at a time. */
  readonly focus: boolean
  readonly projectId: string | null
  /** Wear days a week more or fewer. */
  readonly wearDays: number
  /** Items that are left out, as if the user let them go. */
  readonly without: readonly string[]
  /** Nothing is bought before this day. */
  readonly noBuyingUntil: Day | null
  /** Powders need only show bare metal. */
  readonly panInstead: boolean
  readonly extraSlot: string | null
  /** Another date for everything that has one of its project. */
  readonly deadline: Day | null
}

export const USUAL_SETUP: PlanSetup = {
  months: 6,
  careful: false,
  focus: false,
  projectId: null,
  wearDays: 0,
  without: [],
  noBuyingUntil: null,
  panInstead: false,
  extraSlot: null,
  deadline: null,
}
