import type { FeltCounts } from './feelings.js'

/** An item worn on the same days, with how those days felt. */
export interface Together {
  readonly otherId: string
  /** Days both were worn. */
  readonly days: number
  readonly felt: FeltCounts
}

export interface LearnedPair extends Together {
  readonly verdict: 'works' | 'fights'
}

/** So many days that were felt before anything is said, and so much of them one way. Assumptions. */
const LEAST_GOOD = 3
const LEAST_BAD = 2
const MOST_OF_THEM = 0.7

/** What its days tell of who it goes with: good days with it, or bad ones, again and again. */
export function learnedPairs(together: readonly Together[]): LearnedPair[] {
  return together.flatMap((each): LearnedPair[] => {
    const { good, bad } = each.felt
    const all = good + bad + each.felt['so-so']
    if (good >= LEAST_GOOD && good >= all * MOST_OF_THEM) return [{ ...each, verdict: 'works' }]
    return bad >= LEAST_BAD && bad >= all * MOST_OF_THEM ? [{ ...each, verdict: 'fights' }] : []
  })
}
