import { SOLVED_WITHIN } from './solve-plan.js'

/** How good a plan is, in the only words that are used of it. */
export type Quality =
  | { readonly code: 'best' }
  /** No plan is better by more than so many whole percent. */
  | { readonly code: 'within'; readonly percent: number }
  /** It has not been tried whether there is a better one. */
  | { readonly code: 'draft' }

/** `bound` = no plan is worth more; infinite while nobody knows. */
export function qualityOf({ objective, bound }: { readonly objective: number; readonly bound: number }): Quality {
  if (!Number.isFinite(bound)) return { code: 'draft' }
  const gap = objective > 0 ? bound / objective - 1 : bound > 1e-6 ? Infinity : 0
  if (gap <= SOLVED_WITHIN) return { code: 'best' }
  return Number.isFinite(gap)
    ? { code: 'within', percent: Math.max(1, Math.ceil(gap * 100 - 1e-9)) }
    : { code: 'draft' }
}
