import { z } from 'zod'
import { GOAL_KINDS, isCounted } from '#core/goal/progress'
import { PROJECT_SHAPES, REPLACING, THEMES } from '#core/goal/project-rules'
import { SEASONS } from '#core/item/traits'
import { GuessBody, OutlookView } from './forecast.js'
import { ChangeId, DayText, Id, NewId, Line } from './basic.js'
import { GoalView, ItemSummary } from './item.js'

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

/** Her rules for a project; what is not said is not a rule. */
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
  /** How long she thinks it will last; none where she did not say. */
  guess: GuessBody.nullable().default(null),
})
/** A whole set at once, each with the same goal. */
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
export const TakeOffShortList = z.strictObject({ changeId: ChangeId })

export const RollInReasonView = z.discriminatedUnion('code', [
  z.object({ code: z.literal('spoils-soon'), day: DayText }),
  z.object({ code: z.literal('nearly-done'), left: z.number() }),
  z.object({ code: z.literal('liked-but-neglected'), days: z.int() }),
  z.object({ code: z.literal('open-long'), days: z.int() }),
  z.object({ code: z.literal('crowded'), count: z.int() }),
  z.object({ code: z.literal('short-listed'), words: z.string() }),
  z.object({ code: z.literal('next-in-sweep'), uses: z.int() }),
  z.object({ code: z.literal('planned'), month: z.string() }),
])
export type RollInReasonView = z.infer<typeof RollInReasonView>

export const StayView = z.object({
  stayId: Id,
  version: z.int(),
  item: ItemSummary,
  goal: GoalView,
  rolledOut: DayText.nullable(),
  outReason: z.string().nullable(),
  outWords: z.string(),
  carried: z.boolean(),
  /** When its goal will be reached; null where nothing is ahead of it. */
  outlook: OutlookView.nullable(),
})
export type StayView = z.infer<typeof StayView>

export const OverloadView = z.object({
  categoryId: Id,
  category: z.string(),
  items: z.int(),
  needed: z.number(),
  wearDays: z.number(),
  by: DayText,
})

export const ProjectView = z.object({
  id: Id,
  version: z.int(),
  name: z.string(),
  startedOn: DayText,
  by: DayText.nullable(),
  finishesWanted: z.int().nullable(),
  rules: z.string(),
  shape: z.enum(PROJECT_SHAPES),
  atLeast: z.int().nullable(),
  mostItems: z.int().nullable(),
  replacing: z.enum(REPLACING),
  breakDays: z.int().nullable(),
  leavingAllowed: z.boolean(),
  theme: z.enum(THEMES).nullable(),
  categoryId: Id.nullable(),
  category: z.string().nullable(),
  usesEach: z.int().nullable(),
  atOnce: z.int().nullable(),
  paletteId: Id.nullable(),
  closedOn: DayText.nullable(),
  lessons: z.string(),
  stays: z.array(StayView),
  /** Goals reached, rolled out or still inside; those on the go; those that left unreached. Together all there were. */
  reached: z.int(),
  onTheGo: z.int(),
  left: z.int(),
  /** Categories whose goals cannot all be met together. */
  overloads: z.array(OverloadView),
  /** Evenness of uses over the items, 0..1; null where there is nothing to compare. */
  evenness: z.number().nullable(),
})
export type ProjectView = z.infer<typeof ProjectView>

export const ShortListed = z.object({
  id: Id,
  item: ItemSummary,
  season: z.enum(SEASONS).nullable(),
  words: z.string(),
  addedOn: DayText,
})
export type ShortListed = z.infer<typeof ShortListed>

export const ProjectsAnswer = z.object({
  today: DayText,
  projects: z.array(ProjectView),
  closed: z.array(ProjectView),
  shortList: z.array(ShortListed),
  /** The plan in force: how many things went otherwise than planned, and whether it asks to be laid anew. */
  plan: z.object({ otherwise: z.int(), askFresh: z.boolean() }).nullable(),
  week: z.array(z.number()),
  /** Over how many weeks the week was learned; 0 = it is the one she planned. */
  weekLearnedFrom: z.int(),
})
export type ProjectsAnswer = z.infer<typeof ProjectsAnswer>

export const ShortListAnswer = z.object({
  items: z.array(z.object({ item: ItemSummary, sameCategory: z.boolean(), reason: RollInReasonView })),
})
export type ShortListAnswer = z.infer<typeof ShortListAnswer>
