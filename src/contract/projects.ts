import { z } from 'zod'
import { GOAL_KINDS } from '#core/goal/progress'
import { ChangeId, DayText, Id, Line } from './basic.js'
import { GoalView, ItemSummary } from './item.js'

const By = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('own'), day: DayText }),
  z.strictObject({ kind: z.literal('project') }),
  z.strictObject({ kind: z.literal('none') }),
])

export const GoalBody = z
  .strictObject({
    kind: z.enum(GOAL_KINDS),
    target: z.int().min(1, 'Aim for at least 1 use.').max(5000).nullable(),
    headStart: z.int().min(0).max(5000),
    by: By,
  })
  .refine((goal) => (goal.kind === 'uses') === (goal.target !== null), {
    path: ['target'],
    message: 'A goal in uses needs their number; finishing has none.',
  })
export type GoalBody = z.infer<typeof GoalBody>

export const AddProject = z.strictObject({
  changeId: ChangeId,
  id: Id,
  name: Line(120).min(1, 'Give the project a name.'),
  startedOn: DayText,
  by: DayText.nullable(),
  finishesWanted: z.int().min(1).max(1000).nullable(),
  rules: Line(2000),
})
export const EditProject = AddProject.omit({ id: true }).extend({ version: z.int() })
export const RollIn = z.strictObject({ changeId: ChangeId, stayId: Id, itemId: Id, day: DayText, goal: GoalBody })
export const EditGoal = z.strictObject({ changeId: ChangeId, goal: GoalBody })
export const RollOut = z.strictObject({
  changeId: ChangeId,
  day: DayText,
  reason: z.enum(['met', 'finished', 'left unfinished', 'let go']),
  words: Line(500),
})

export const RollInReasonView = z.discriminatedUnion('code', [
  z.object({ code: z.literal('spoils-soon'), day: DayText }),
  z.object({ code: z.literal('nearly-done'), left: z.number() }),
  z.object({ code: z.literal('liked-but-neglected'), days: z.int() }),
  z.object({ code: z.literal('open-long'), days: z.int() }),
  z.object({ code: z.literal('crowded'), count: z.int() }),
])
export type RollInReasonView = z.infer<typeof RollInReasonView>

export const StayView = z.object({
  stayId: Id,
  item: ItemSummary,
  goal: GoalView,
  rolledOut: DayText.nullable(),
  outReason: z.string().nullable(),
})
export type StayView = z.infer<typeof StayView>

export const ProjectView = z.object({
  id: Id,
  version: z.int(),
  name: z.string(),
  startedOn: DayText,
  by: DayText.nullable(),
  finishesWanted: z.int().nullable(),
  rules: z.string(),
  stays: z.array(StayView),
  reached: z.int(),
})
export type ProjectView = z.infer<typeof ProjectView>

export const ProjectsAnswer = z.object({
  today: DayText,
  projects: z.array(ProjectView),
  week: z.array(z.number()),
  weekLearned: z.boolean(),
})
export type ProjectsAnswer = z.infer<typeof ProjectsAnswer>

export const ShortListAnswer = z.object({
  items: z.array(z.object({ item: ItemSummary, sameCategory: z.boolean(), reason: RollInReasonView })),
})
export type ShortListAnswer = z.infer<typeof ShortListAnswer>
