import type { Day } from '../calendar/day.js'
import type { Standing } from '../goal/pace.js'
import type { Form } from '../item/form.js'
import type { Hemisphere } from '../calendar/hemisphere.js'
import { seasonOn, type Season, type Undertone } from '../item/traits.js'
import { isInDate, type ShelfLife } from '../shelf-life/last-good-day.js'
import { MAKEUP_STEPS, type MakeupStep } from './makeup-step.js'
import type { UpNext } from './up-next.js'
import { byScore, commonReasons, scored, suits, type CommonReason, type Weighed, type Weights } from './reasons.js'

/** The day as the user told it; null = not told. */
export interface DayConditions {
  readonly skin: string | null
  readonly clothes: string | null
  readonly minutes: number | null
  readonly occasion: string | null
  readonly hands: string | null
}

/** What a suggestion may say about one item. */
export interface WithinReach {
  readonly itemId: string
  readonly step: MakeupStep
  readonly categoryId: string
  readonly form: Form
  readonly undertone: Undertone | null
  readonly seasons: readonly Season[]
  readonly awkward: boolean
  readonly shelfLife: ShelfLife
  readonly goal: {
    readonly standing: Standing
    readonly usesLeft: number | null
    readonly difference: number | null
    readonly done: number | null
    readonly project: string
  } | null
  /** Share of the content left by the last reading; null when never read. */
  readonly left: number | null
  /** Uses that the plan has for this week, and how many of them were had before today; null where it has none. */
  readonly planned: { readonly planned: number; readonly worn: number } | null
  readonly lastWorn: Day | null
  /** When it was put in the drawer. */
  readonly placedOn: Day
  readonly wornToday: boolean
  /** Sent away until tomorrow. */
  readonly notToday: boolean
  /** Times it was held up and put back of late, without being worn since. */
  readonly putBack: number
  /** Share of the days of today's occasion on which it was worn; null when too few are known. */
  readonly occasionShare: number | null
  /** Items it fights with. */
  readonly fights: readonly string[]
  /** Items it goes well with. */
  readonly works: readonly string[]
  readonly upNext: UpNext | null
}

export type ReachReason =
  | CommonReason
  | { readonly code: 'behind'; readonly uses: number; readonly project: string }
  | { readonly code: 'out-of-reach'; readonly usesLeft: number | null; readonly project: string }
  | { readonly code: 'planned'; readonly planned: number; readonly worn: number }
  | { readonly code: 'nearly-there'; readonly usesLeft: number }
  | { readonly code: 'in-project'; readonly usesLeft: number | null; readonly project: string }
  | { readonly code: 'less-far-along'; readonly thanItemId: string }
  | { readonly code: 'like-your-clothes'; readonly tone: string }
  | { readonly code: 'for-the-occasion'; readonly occasion: string }
  | { readonly code: 'in-date-sunscreen' }

export interface Suggestion {
  readonly itemId: string
  readonly step: MakeupStep
  readonly reason: ReachReason
}

/** As many as can be read at a glance along the drawer's lip. Assumption. */
export const MOST_SUGGESTED = 6
/** A second one of a step must press at least this much. Assumption. */
const SECOND_FROM = 50
/** Steps of a look that is done in five minutes. Common practice, no source. */
const QUICK_STEPS: readonly MakeupStep[] = [
  'sunscreen',
  'base',
  'concealer',
  'cheeks',
  'brows',
  'mascara',
  'lip balm',
  'lips',
]
const QUICK_MINUTES = 5
const POWDERS: readonly Form[] = ['pressed', 'baked', 'loose']
const FIDDLY: readonly Form[] = ['loose', 'dropper', 'wooden pencil']
/** Less is not neglect. Assumption. */
const UNWORN_DAYS = 7
const FEW_USES = 8
/** What the common reasons weigh here. Assumptions. */
const WEIGHTS: Weights = {
  expires: [25, 80],
  'little-left': [48, 52],
  unworn: [10, 38],
  'for-the-season': [16, 16],
  'goes-with': [29, 29],
}

interface Ranked {
  readonly itemId: string
  readonly item: WithinReach
  readonly score: number
  readonly reason: ReachReason
}

/**
 * What to reach for, in makeup order: one or two per step, each with the reason that weighs most; the rules and
 * weights are told in docs/reach-for.md. Nothing worn, sent away, past its date, out of season or at odds with the look so
 * far. The same drawer, day and look always give the same list: ties go to the id.
 */
export function reachFor(
  drawer: readonly WithinReach[],
  conditions: DayConditions,
  today: Day,
  /** All that is worn today, also what serves no step of a look. */
  worn: ReadonlySet<string>,
  hemisphere: Hemisphere = 'north',
): Suggestion[] {
  const season = seasonOn(today, hemisphere)
  const doneSteps = new Set(drawer.filter((item) => item.wornToday).map((item) => item.step))
  const free = drawer.filter((item) => isOpen(item, conditions, season, worn) && !doneSteps.has(item.step))
  const ranked = free.flatMap((item) => rankOf(item, free, { conditions, season, today, worn }) ?? [])
  const chosen: Ranked[] = []
  for (const step of MAKEUP_STEPS) {
    const own = ranked.filter(({ item }) => item.step === step).sort(byScore)
    for (const candidate of own) {
      const taken = chosen.filter(({ item }) => item.step === step)
      if (taken.length >= 2 || (taken.length === 1 && candidate.score < SECOND_FROM)) break
      if (taken.some(({ item }) => item.categoryId === candidate.item.categoryId)) continue
      if (chosen.some(({ item }) => quarrel(item, candidate.item))) continue
      chosen.push(candidate)
    }
  }
  const kept = new Set([...chosen].sort(byScore).slice(0, MOST_SUGGESTED))
  return chosen
    .filter((each) => kept.has(each))
    .map(({ item, reason }) => ({ itemId: item.itemId, step: item.step, reason }))
}

/** May it be suggested at all? */
function isOpen(item: WithinReach, conditions: DayConditions, season: Season, worn: ReadonlySet<string>): boolean {
  if (item.wornToday || item.notToday || !isInDate(item.shelfLife)) return false
  if (!suits(item.seasons, season)) return false
  if (item.fights.some((id) => worn.has(id))) return false
  if (conditions.minutes !== null && conditions.minutes <= QUICK_MINUTES && !QUICK_STEPS.includes(item.step))
    return false
  if (conditions.hands === 'sore' && (item.awkward || FIDDLY.includes(item.form))) return false
  // Irritated skin is no day for something it has not met yet.
  if (conditions.skin === 'flaring' && item.lastWorn === null && item.step !== 'sunscreen') return false
  return true
}

interface Context {
  readonly conditions: DayConditions
  readonly season: Season
  readonly today: Day
  readonly worn: ReadonlySet<string>
}

/** How much speaks for it, and the reason that speaks loudest; null where nothing does. */
function rankOf(item: WithinReach, free: readonly WithinReach[], context: Context): Ranked | null {
  const { today, season, worn } = context
  const facts = { ...item, since: item.placedOn, inDrawer: true }
  const common = commonReasons(facts, { today, season, beside: worn, unwornFrom: UNWORN_DAYS }, WEIGHTS)
  const found = scored<ReachReason>([...ownReasons(item, free, context), ...common])
  const [reason] = found?.reasons ?? []
  if (!found || !reason) return null
  const score = found.score + bySkin(item, context.conditions) - 15 * Math.min(2, item.putBack)
  return { itemId: item.itemId, item, score, reason }
}

/** What only this list weighs: goals, the plan, the day as it was told. */
function ownReasons(item: WithinReach, free: readonly WithinReach[], { conditions }: Context): Weighed<ReachReason>[] {
  const found: Weighed<ReachReason>[] = []
  const add = (weight: number, reason: ReachReason): void => {
    found.push({ weight, reason })
  }
  const { goal } = item
  if (item.step === 'sunscreen') add(70, { code: 'in-date-sunscreen' })
  if (goal !== null && goal.standing !== 'met') {
    const short = goal.difference === null ? 0 : -goal.difference
    const pressing = 60 + Math.min(25, short * 3)
    if (goal.standing === 'behind') add(pressing, { code: 'behind', uses: Math.round(short), project: goal.project })
    if (goal.standing === 'out of reach')
      add(pressing, { code: 'out-of-reach', usesLeft: goal.usesLeft, project: goal.project })
    if (goal.usesLeft !== null && goal.usesLeft <= FEW_USES)
      add(65 - goal.usesLeft, { code: 'nearly-there', usesLeft: goal.usesLeft })
    else add(30, { code: 'in-project', usesLeft: goal.usesLeft, project: goal.project })
    const ahead = rivalAhead(item, free)
    if (ahead !== null) add(34, { code: 'less-far-along', thanItemId: ahead })
  }
  if (item.planned !== null && item.planned.worn < item.planned.planned)
    add(56 + Math.min(20, 4 * (item.planned.planned - item.planned.worn)), { code: 'planned', ...item.planned })
  const { clothes, occasion } = conditions
  if (clothes !== null && item.undertone === clothes) add(26, { code: 'like-your-clothes', tone: clothes })
  if (occasion !== null && (item.occasionShare ?? 0) >= 0.4) add(22, { code: 'for-the-occasion', occasion })
  return found
}

/** Of two of a kind, the one less far along: the other one's id, when that is further. */
function rivalAhead(item: WithinReach, free: readonly WithinReach[]): string | null {
  const done = item.goal?.done ?? null
  if (done === null) return null
  const rivals = free.filter(
    (other) => other.itemId !== item.itemId && other.categoryId === item.categoryId && (other.goal?.done ?? -1) > done,
  )
  return (
    rivals.sort((a, b) => (b.goal?.done ?? 0) - (a.goal?.done ?? 0) || compareText(a.itemId, b.itemId))[0]?.itemId ??
    null
  )
}

/** Powder sits badly on dry and flaring skin and well on oily skin; cream the other way round. Common practice, no source. */
function bySkin(item: WithinReach, { skin }: DayConditions): number {
  const onFace: readonly MakeupStep[] = ['base', 'powder', 'bronzer', 'cheeks', 'highlighter']
  if (skin === null || !onFace.includes(item.step)) return 0
  const powder = POWDERS.includes(item.form)
  if (skin === 'oily') return powder ? 10 : -10
  return skin === 'dry' || skin === 'flaring' ? (powder ? -14 : 8) : 0
}

function quarrel(a: WithinReach, b: WithinReach): boolean {
  return a.fights.includes(b.itemId) || b.fights.includes(a.itemId)
}

function compareText(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0
}
