import { type Season, SEASONS } from '#core/item/traits'
import {
  type Theme,
  type Replacing,
  type ProjectShape,
  PROJECT_SHAPES,
  REPLACING,
  THEMES,
} from '#core/goal/project-rules'
import type { Day } from '#core/calendar/day'
import { z } from 'zod'
import { GOAL_KINDS, isCounted } from '#core/goal/progress'
import type { ReasonView } from './today.js'
import { GuessBody, type OutlookView } from './forecast.js'
import { ChangeId, DayText, Id, NewId, Line } from './basic.js'
import { type GoalView, type ItemSummary } from './item.js'

const By = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('own'), day: DayText }),
  z.strictObject({ kind: z.literal('project') }),
  z.strictObject({ kind: z.literal('none') }),
])

export const GoalBody = z
  .strictObject({
    kind: z.enum(GOAL_KINDS),
    /** Uses for a counted goal; the share bare or left to reach (0..1) for *expand pan* and *level*; else none. */
    target: z.number().positive('Aim for at least 1 use.').max(5000).nullable(),
    headStart: z.int().min(0, 'A head start is 0 uses or more.').max(5000),
    by: By,
  })
  .superRefine((goal, context) => {
    const issue = (message: string): void => context.addIssue({ code: 'custom', path: ['target'], message })
    const { kind, target } = goal
    if (isCounted(kind)) {
      if (target === null || !Number.isInteger(target)) issue('A goal in uses needs their number, a whole one.')
    } else if (kind === 'expand pan' || kind === 'level') {
      if (target === null || target > 1) issue('Say how much of it, between 1 and 100 %.')
    } else if (target !== null) issue('This goal has no number.')
  })
export type GoalBody = z.infer<typeof GoalBody>

/** The user's rules for a project; what is not said is not a rule. */
const Rules = {
  shape: z.enum(PROJECT_SHAPES).default('rolling'),
  atLeast: z.int().min(1).max(1000).nullable().default(null),
  mostItems: z.int().min(1).max(1000).nullable().default(null),
  replacing: z.enum(REPLACING).default('as I feel'),
  breakDays: z.int().min(1).max(366).nullable().default(null),
  leavingAllowed: z.boolean().default(true),
  theme: z.enum(THEMES).nullable().default(null),
  categoryId: Id.nullable().default(null),
  usesEach: z.int().min(1).max(1000).nullable().default(null),
  atOnce: z.int().min(1).max(100).nullable().default(null),
  paletteId: Id.nullable().default(null),
}
const ProjectFields = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  name: Line(120).min(1, 'Give the project a name.'),
  startedOn: DayText,
  by: DayText.nullable(),
  finishesWanted: z.int().min(1).max(1000).nullable(),
  rules: Line(2000),
  ...Rules,
})

export const AddProject = ProjectFields
export const EditProject = ProjectFields.omit({ id: true }).extend({ version: z.int() })
export const RollIn = z.strictObject({
  changeId: ChangeId,
  stayId: NewId,
  itemId: NewId,
  partId: NewId.nullable().default(null),
  /** It goes along without a goal: a mixing partner. */
  beside: z.boolean().default(false),
  day: DayText,
  goal: GoalBody,
  /** How long the user thinks it will last; none where the user did not say. */
  guess: GuessBody.nullable().default(null),
})
export const RollInMany = z.strictObject({
  changeId: ChangeId,
  day: DayText,
  goal: GoalBody,
  stays: z
    .array(z.strictObject({ stayId: NewId, itemId: Id, partId: Id.nullable().default(null) }))
    .min(1, 'Choose at least one item.')
    .max(300),
})
export const EditGoal = z.strictObject({ changeId: ChangeId, version: z.int(), goal: GoalBody })
export const RollOut = z.strictObject({
  changeId: ChangeId,
  day: DayText,
  reason: z.enum(['met', 'finished', 'left unfinished', 'let go']),
  words: Line(500),
})
/** Into another project in one step, with what was counted as its head start. */
export const CarryOver = z.strictObject({ changeId: ChangeId, stayId: NewId, projectId: Id, day: DayText })
export const CloseProject = z.strictObject({ changeId: ChangeId, version: z.int(), lessons: Line(4000) })
export const PutOnShortList = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  itemId: Id,
  season: z.enum(SEASONS).nullable(),
  words: Line(300),
})
/** Before another of the list, or to its end. */
export const MoveUpNext = z.strictObject({ changeId: ChangeId, before: Id.nullable() })
export const TakeOffShortList = z.strictObject({ changeId: ChangeId })

export interface StayView {
  stayId: string
  version: number
  item: ItemSummary
  goal: GoalView
  rolledOut: Day | null
  outReason: string | null
  outWords: string
  carried: boolean
  /** When its goal will be reached; null where nothing is ahead of it. */
  outlook: OutlookView | null
}

export interface OverloadView {
  categoryId: string
  category: string
  items: number
  needed: number
  wearDays: number
  by: Day
}

export interface ProjectView {
  id: string
  version: number
  name: string
  startedOn: Day
  by: Day | null
  finishesWanted: number | null
  rules: string
  shape: ProjectShape
  atLeast: number | null
  mostItems: number | null
  replacing: Replacing
  breakDays: number | null
  leavingAllowed: boolean
  theme: Theme | null
  categoryId: string | null
  category: string | null
  usesEach: number | null
  atOnce: number | null
  paletteId: string | null
  closedOn: Day | null
  lessons: string
  stays: StayView[]
  /** Goals reached, rolled out or still inside; those on the go; those that left unreached. Together all there were. */
  reached: number
  onTheGo: number
  left: number
  /** Categories whose goals cannot all be met together. */
  overloads: OverloadView[]
  /** Evenness of uses over the items, 0..1; null where there is nothing to compare. */
  evenness: number | null
}

export interface ShortListed {
  id: string
  item: ItemSummary
  season: Season | null
  words: string
  addedOn: Day
}

export interface ProjectsAnswer {
  today: Day
  projects: ProjectView[]
  closed: ProjectView[]
  shortList: ShortListed[]
  /** The current plan: how many items went otherwise than planned, and whether it asks to be arranged anew. */
  plan: { otherwise: number; askFresh: boolean } | null
  week: number[]
  /** Over how many weeks the week was learned; 0 = it is the one the user planned. */
  weekLearnedFrom: number
}

export interface ShortListAnswer {
  items: { item: ItemSummary; sameCategory: boolean; reasons: ReasonView[] }[]
}
