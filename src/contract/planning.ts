import { z } from 'zod'
import { PLAN_WORDS, TOWARDS, type PlanBasis, type PlanSetup } from '#core/plan/schedule/basis'
import { MOST_MONTHS } from '#core/plan/schedule/span'
import type { AdoptedPlan, PlanNews } from '#core/plan/schedule/in-force'
import { ChangeId, DayText, Id, NewId } from './basic.js'
import type { ListedItem } from './item.js'

const Month = z.string().regex(/^(19|20|21)\d\d-(0[1-9]|1[0-2])$/, 'A month is written as 2026-12.')
const Uses = z.int().min(0).max(50)

/** What the user says of an item for the plan; everything empty takes it back. */
export const SetPlanWord = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  said: z.enum(PLAN_WORDS).nullable(),
  weight: z.int().min(1, 'From 1 to 100.').max(100, 'From 1 to 100.').nullable(),
  mostAWeek: z.int().min(1, 'From 1 to 7 a week.').max(7, 'From 1 to 7 a week.').nullable(),
})
/** The user's moves of one item: months in which it is in the drawer or does not; null takes a move back. */
export const SetPlanMoves = z.strictObject({
  changeId: ChangeId,
  moves: z
    .array(z.strictObject({ month: Month, lies: z.boolean().nullable() }))
    .min(1)
    .max(MOST_MONTHS),
})
export const ClearPlanMoves = z.strictObject({ changeId: ChangeId })
export const SetPlanPace = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  /** Null goes back to what was learned. */
  perWearDay: z.number().min(0, 'From 0 to 5 uses.').max(5, 'From 0 to 5 uses.').nullable(),
})
export const AddPlanBreak = z
  .strictObject({ changeId: ChangeId, id: NewId, categoryId: Id, from: DayText, to: DayText })
  .refine((body) => body.from <= body.to, { path: ['to'], message: 'The last day must not be before the first.' })
export const DropPlanBreak = z.strictObject({ changeId: ChangeId })

export const PlanSetupBody = z.strictObject({
  months: z.int().min(1).max(MOST_MONTHS),
  careful: z.boolean(),
  focus: z.boolean(),
  projectId: Id.nullable(),
  wearDays: z.int().min(-7).max(7),
  without: z.array(Id).max(200),
  noBuyingUntil: DayText.nullable(),
  panInstead: z.boolean(),
  extraSlot: Id.nullable(),
  deadline: DayText.nullable(),
})
const MOST_WEEKS = 56
export const AdoptPlan = z
  .strictObject({
    changeId: ChangeId,
    id: NewId,
    /** The current plan when this one was laid: another one since is told, not overwritten. */
    replaces: Id.nullable(),
    setup: PlanSetupBody,
    months: z.array(Month).min(1).max(MOST_MONTHS),
    weeks: z
      .array(z.strictObject({ from: DayText, to: DayText, month: z.int().min(0) }))
      .min(1)
      .max(MOST_WEEKS),
    done: z.strictObject({ of: z.int().min(0), low: z.int().min(0), high: z.int().min(0) }),
    lines: z
      .array(
        z.strictObject({
          id: NewId,
          itemId: Id,
          lies: z.array(z.boolean()).max(MOST_MONTHS),
          uses: z.array(Uses).max(MOST_WEEKS),
          needed: z.int().min(1).max(100_000),
          toward: z.enum(TOWARDS),
          finishes: z.boolean(),
          low: DayText.nullable(),
          high: DayText.nullable(),
        }),
      )
      .min(1, 'There is nothing in this plan to use.')
      .max(500),
  })
  .superRefine((plan, context) => {
    const issue = (path: (string | number)[], message: string): void =>
      context.addIssue({ code: 'custom', path, message })
    if (plan.done.low > plan.done.high || plan.done.high > plan.done.of)
      issue(['done'], 'These numbers don’t go together.')
    plan.weeks.forEach(({ from, to, month }, n) => {
      const before = plan.weeks[n - 1]
      if (from > to || (before && before.to >= from) || month >= plan.months.length)
        issue(['weeks', n], 'The weeks of a plan follow one another.')
    })
    plan.lines.forEach(({ lies, uses }, n) => {
      if (lies.length !== plan.months.length || uses.length !== plan.weeks.length)
        issue(['lines', n], 'A line has an entry for each month and each week.')
      else if (uses.some((each, week) => each > 0 && lies[plan.weeks[week]?.month ?? 0] !== true))
        issue(['lines', n, 'uses'], 'What is used has to be in the drawer.')
    })
  })
export const EndPlan = z.strictObject({ changeId: ChangeId })

export interface PlanInForce extends AdoptedPlan {
  readonly id: string
  readonly setup: PlanSetup
  readonly done: { readonly of: number; readonly low: number; readonly high: number }
  readonly lines: readonly (AdoptedPlan['lines'][number] & {
    readonly low: string | null
    readonly high: string | null
    /** Uses since it was adopted. */
    readonly worn: number
  })[]
  /** With its name: what has ended is in no list of the page. */
  readonly news: readonly (PlanNews & { readonly mark: string })[]
  /** Something happened that a fresh plan would take up. */
  readonly askFresh: boolean
}

export interface PlanAnswer {
  readonly today: string
  readonly currency: string
  readonly basis: PlanBasis
  readonly zones: readonly { readonly id: string; readonly name: string }[]
  readonly kinds: readonly {
    readonly id: string
    readonly name: string
    readonly zoneId: string
    /** As learned from the user's days; null while too little is known. */
    readonly learned: number | null
    readonly said: boolean
    readonly breaks: readonly { readonly id: string; readonly from: string; readonly to: string }[]
    readonly needSoonest: string | null
    readonly needLatest: string | null
  }[]
  readonly projects: readonly {
    readonly id: string
    readonly name: string
    readonly by: string | null
  }[]
  readonly items: readonly ListedItem[]
  readonly inForce: PlanInForce | null
  /** Why the rest is not planned, counted. */
  readonly notPlanned: {
    readonly others: number
    readonly unopened: number
    readonly setAside: number
    readonly tooTall: number
  }
  readonly perWeek: number
  readonly weekLearnedFrom: number
}
