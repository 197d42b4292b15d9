import type { Day } from '#core/calendar/day'
import {
  type CheckInWay,
  type CheckInOver,
  type CheckInMeasure,
  CHECK_IN_OVER,
  CHECK_IN_WAYS,
} from '#core/measure/check-in'
import { z } from 'zod'
import { PACKAGE_EVENTS } from '#core/measure/package-events'
import { ChangeId, DayText, Id, Line, NewId } from './basic.js'
import { GoalView, type ListedItem } from './item.js'
import { PanBody, Reading, ReadingBody, type ReadingView } from './reading.js'

export const StartCheckIn = z
  .strictObject({
    changeId: ChangeId,
    id: NewId,
    name: Line(120).min(1, 'Give it a name, for instance the month.'),
    over: z.enum(CHECK_IN_OVER),
    projectId: Id.nullable(),
    categoryId: Id.nullable(),
    /** Of *chosen*: what it goes over. */
    itemIds: z.array(Id).max(200).default([]),
    way: z.enum(CHECK_IN_WAYS),
  })
  .superRefine((body, context) => {
    const issue = (path: string, message: string): void => context.addIssue({ code: 'custom', path: [path], message })
    if ((body.over === 'project') !== (body.projectId !== null)) issue('projectId', 'Choose a project, and only then.')
    if ((body.over === 'category') !== (body.categoryId !== null))
      issue('categoryId', 'Choose a type, and only for that.')
    if (body.over === 'chosen' && body.itemIds.length === 0) issue('itemIds', 'Choose one item at least.')
  })
export const TakeStep = z.strictObject({
  changeId: ChangeId,
  version: z.int(),
  state: z.enum(['asked', 'done', 'skipped']),
  words: Line(400).default(''),
  readings: z
    .array(
      z.strictObject({ id: NewId, partId: Id.nullable(), reading: ReadingBody, pan: PanBody.nullable().default(null) }),
    )
    .max(80)
    .default([]),
})
export const EditCheckIn = z.strictObject({
  changeId: ChangeId,
  version: z.int(),
  name: Line(120).min(1, 'Give it a name, for instance the month.'),
  way: z.enum(CHECK_IN_WAYS),
  pushItemId: Id.nullable(),
})
export const CloseCheckIn = z.strictObject({ changeId: ChangeId, version: z.int(), day: DayText })
export const DropCheckIn = z.strictObject({ changeId: ChangeId })

const Weighed = z.object({ id: Id, grams: z.number(), resolution: z.number(), day: DayText })
const LookView = z.object({
  day: DayText,
  gross: Weighed.nullable(),
  reading: Reading.extend({ id: Id }).nullable(),
  parts: z.array(z.object({ partId: Id, id: Id, reading: Reading })),
})
export type LookView = z.infer<typeof LookView>
export const AimView = z.discriminatedUnion('code', [
  z.object({ code: z.literal('uses'), count: z.int() }),
  z.object({ code: z.literal('done'), share: z.number() }),
  z.object({ code: z.literal('roll out') }),
])
export const SheetItem = z.object({
  itemId: Id,
  name: z.string(),
  kind: z.string(),
  before: LookView.nullable(),
  after: LookView.nullable(),
  uses: z.int(),
  /** Between two weighings, with their days; sheets closed before they were kept have none. */
  grams: z
    .object({
      grams: z.number(),
      giveOrTake: z.number(),
      from: DayText.optional(),
      to: DayText.optional(),
      /** Uses between the two weighings, where these are not the ends of the sheet. */
      uses: z.int().optional(),
    })
    .nullable(),
  skipped: z.boolean(),
  words: z.string(),
  events: z.array(z.object({ kind: z.enum(PACKAGE_EVENTS), day: DayText })),
  cameIn: DayText.nullable(),
  finishedOn: DayText.nullable(),
  goal: GoalView.nullable(),
  aim: AimView.nullable(),
})
export type SheetItem = z.infer<typeof SheetItem>
const Totals = z.object({
  uses: z.int(),
  grams: z.number(),
  giveOrTake: z.number(),
  weighed: z.int(),
  looked: z.int(),
  asked: z.int(),
  wearDays: z.int(),
  finished: z.int(),
})
export const ClosedSheet = z.object({
  from: DayText,
  to: DayText,
  items: z.array(SheetItem),
  totals: Totals,
  /** The check-in before it over the same, for comparison. */
  previous: Totals.nullable(),
  pushItemId: Id.nullable(),
  /** Rolled out and in during the stretch. */
  rolledOut: z.array(Id),
  rolledIn: z.array(Id),
})
export type ClosedSheet = z.infer<typeof ClosedSheet>

export interface Correction {
  itemId: string
  readingId: string
  /** As it is now; null = removed. */
  now: ReadingView | null
}

export interface StepView {
  id: string
  version: number
  itemId: string
  position: number
  measure: CheckInMeasure
  state: 'asked' | 'done' | 'skipped'
  words: string
}

export interface CheckInHead {
  id: string
  version: number
  name: string
  over: CheckInOver
  projectId: string | null
  categoryId: string | null
  way: CheckInWay
  startedOn: Day
  closedOn: Day | null
  items: number
  done: number
  pushItemId: string | null
  totals: z.infer<typeof Totals> | null
}
export interface CheckInsAnswer {
  today: Day
  checkIns: CheckInHead[]
  /** What a new one could go over, with how many items that is. */
  choices: {
    projects: { id: string; name: string; items: number }[]
    categories: { id: string; name: string; items: number }[]
    drawer: number
  }
}
export interface CheckInAnswer {
  today: Day
  checkIn: CheckInHead
  steps: StepView[]
  /** The items it goes over, as lists show them. */
  items: ListedItem[]
  saidBefore: Record<string, { day: Day; words: string }>
  sheet: ClosedSheet
  corrections: Correction[]
}
