/** What the user's numbers suggest for the year that comes; each becomes a rule or a target when the user takes it. */
export type NextRule =
  | {
      readonly code: 'none of a kind'
      readonly categoryId: string
      /** Years of it already here. */
      readonly years: number
      readonly items: number
      readonly finished: number
    }
  | {
      readonly code: 'as many in as out'
      readonly categoryId: string
      readonly cameIn: number
      readonly wentOut: number
    }
  | { readonly code: 'at most'; readonly bought: number; readonly most: number }

export interface KindOfYear {
  readonly categoryId: string
  readonly now: number
  readonly cameIn: number
  readonly wentOut: number
  readonly finished: number
  /** Years of supply at the user's pace; null where none is known, Infinity where it is never worn. */
  readonly years: number | null
}

/** This many years of a kind are more than will stay good: a powder's period after opening. Common practice, no source. */
export const YEARS_ENOUGH = 3
/** Fewer of a kind are no stock to speak of. Assumption. */
const LEAST_ITEMS = 4
const MOST_RULES = 4

/**
 * Rules to choose from: a no-buy of kinds of which years are here, one out for one in of kinds that grew, and a low-buy of half of
 * what was bought. The one that says most comes first.
 */
export function nextRules(kinds: readonly KindOfYear[], bought: number, finished: number): NextRule[] {
  const full = kinds
    .filter(({ now, years }) => now >= LEAST_ITEMS && years !== null && years >= YEARS_ENOUGH)
    .sort((a, b) => b.now - a.now || (a.categoryId < b.categoryId ? -1 : 1))
    .slice(0, MOST_RULES)
  const none = new Set(full.map(({ categoryId }) => categoryId))
  const grown = kinds
    .filter(({ categoryId, cameIn, wentOut }) => !none.has(categoryId) && cameIn > wentOut && cameIn > 1)
    .sort((a, b) => b.cameIn - b.wentOut - (a.cameIn - a.wentOut))
    .slice(0, 2)
  return [
    ...full.map(({ categoryId, years, now, finished: done }): NextRule => {
      return { code: 'none of a kind', categoryId, years: years ?? 0, items: now, finished: done }
    }),
    ...grown.map(({ categoryId, cameIn, wentOut }): NextRule => {
      return { code: 'as many in as out', categoryId, cameIn, wentOut }
    }),
    ...(bought > 1 && bought > finished ? [{ code: 'at most' as const, bought, most: Math.floor(bought / 2) }] : []),
  ]
}
