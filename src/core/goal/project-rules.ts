import { addDays, daysBetween, type Day } from '../calendar/day.js'

/** Shapes of a project, one for each school of practice. */
export const PROJECT_SHAPES = ['rolling', 'season', 'year-long', 'until done', 'sweep', 'palette'] as const
export type ProjectShape = (typeof PROJECT_SHAPES)[number]

/** What may take the place of what rolled out. */
export const REPLACING = ['like for like', 'any category', 'as I feel', 'none'] as const
export type Replacing = (typeof REPLACING)[number]

/** What a themed project takes. */
export const THEMES = ['powders', 'creams and liquids', 'samples'] as const
export type Theme = (typeof THEMES)[number]

/** A fixed set may still be completed for this long after the start: nobody chooses everything in one evening. Assumption. */
export const SETTLING_DAYS = 14

/** The rules the user set for a project. */
export interface ProjectRules {
  readonly shape: ProjectShape
  readonly startedOn: Day
  readonly replacing: Replacing
  readonly mostItems: number | null
  /** Days a category rests after one of its items met its goal. */
  readonly breakDays: number | null
  readonly leavingAllowed: boolean
  readonly theme: Theme | null
  /** A sweep's category, and how many of it run at a time; null = all side by side. */
  readonly categoryId: string | null
  readonly atOnce: number | null
  readonly paletteId: string | null
}

/** A stay as far as the rules look at it. */
export interface RuledStay {
  readonly itemId: string
  readonly categoryId: string
  readonly rolledIn: Day
  readonly rolledOut: Day | null
  /** Rolled out because its goal was met or the item is finished. */
  readonly reached: boolean
  /** Followed without a goal: takes no place. */
  readonly beside: boolean
}

export interface Newcomer {
  readonly itemId: string
  readonly categoryId: string
  readonly sample: boolean
  readonly powder: boolean
  readonly beside: boolean
}

/** Which rule says no, with what a sentence about it needs. */
export type RuleBreach =
  | { readonly code: 'full'; readonly most: number }
  | { readonly code: 'fixed-set'; readonly since: Day }
  | { readonly code: 'category-rests'; readonly until: Day }
  | { readonly code: 'like-for-like' }
  | { readonly code: 'one-for-one' }
  | { readonly code: 'not-in-theme'; readonly theme: Theme }
  | { readonly code: 'other-category' }
  | { readonly code: 'other-palette' }

/**
 * The first of the user's rules that an item rolling in on `day` would break; null when none. What merely goes along beside the
 * project breaks none.
 */
export function breachBy(
  rules: ProjectRules,
  stays: readonly RuledStay[],
  newcomer: Newcomer,
  day: Day,
): RuleBreach | null {
  if (newcomer.beside) return null
  if (rules.shape === 'palette' && rules.paletteId !== null && newcomer.itemId !== rules.paletteId)
    return { code: 'other-palette' }
  if (rules.shape === 'sweep' && rules.categoryId !== null && newcomer.categoryId !== rules.categoryId)
    return { code: 'other-category' }
  if (rules.theme !== null && !fitsTheme(rules.theme, newcomer)) return { code: 'not-in-theme', theme: rules.theme }
  const inside = stays.filter((stay) => stay.rolledOut === null && !stay.beside)
  const most = rules.shape === 'sweep' ? (rules.atOnce ?? rules.mostItems) : rules.mostItems
  if (most !== null && inside.length >= most) return { code: 'full', most }
  const settled = daysBetween(rules.startedOn, day) > SETTLING_DAYS
  if (settled && rules.replacing === 'none' && rules.shape !== 'sweep')
    return { code: 'fixed-set', since: rules.startedOn }
  const rests = breakOf(rules, stays, newcomer.categoryId, day)
  if (rests !== null) return { code: 'category-rests', until: rests }
  if (!settled || rules.replacing === 'as I feel' || rules.replacing === 'none') return null
  const like = rules.replacing === 'like for like'
  const owed = placesOwed(rules, like ? stays.filter((stay) => stay.categoryId === newcomer.categoryId) : stays)
  return owed > 0 ? null : { code: like ? 'like-for-like' : 'one-for-one' }
}

/** The last day of a category's break, counted from the latest goal met in it; null when it does not rest. */
function breakOf(rules: ProjectRules, stays: readonly RuledStay[], categoryId: string, day: Day): Day | null {
  if (rules.breakDays === null) return null
  const last = stays
    .filter((stay) => stay.reached && stay.categoryId === categoryId && stay.rolledOut !== null)
    .map((stay) => stay.rolledOut ?? day)
    .sort()
    .at(-1)
  if (last === undefined) return null
  const until = addDays(last, rules.breakDays)
  return until > day ? until : null
}

/** One out, one in: how many rolled out that nothing has rolled in for yet. What came while the set was made replaces nothing. */
function placesOwed(rules: ProjectRules, stays: readonly RuledStay[]): number {
  const counted = stays.filter((stay) => !stay.beside)
  const out = counted.filter((stay) => stay.rolledOut !== null).length
  const since = counted.filter((stay) => daysBetween(rules.startedOn, stay.rolledIn) > SETTLING_DAYS).length
  return out - since
}

function fitsTheme(theme: Theme, newcomer: Newcomer): boolean {
  if (theme === 'samples') return newcomer.sample
  return theme === 'powders' ? newcomer.powder : !newcomer.powder
}
