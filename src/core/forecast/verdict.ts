import type { Standing } from '../goal/pace.js'

/** What a chance of being done in time is called. The limits are assumptions. */
export const CHANCE_WORDS = ['in time', 'close', '50-50', 'not in time'] as const
export type ChanceWord = (typeof CHANCE_WORDS)[number]
const FROM: readonly (readonly [number, ChanceWord])[] = [
  [0.85, 'in time'],
  [0.6, 'close'],
  [0.35, '50-50'],
]

/** A chance in words: decimals would promise more than is known. */
export function chanceWord(chance: number): ChanceWord {
  return FROM.find(([from]) => chance >= from)?.[1] ?? 'not in time'
}

/** Whether something is done in time, in one word: of an item against its use-by date, of a goal against its date. */
export type Verdict = ChanceWord | Standing | 'expired' | 'gone off'

/** From the best to the worst; those of one rank say the same in two ways. */
const RANKS: readonly (readonly Verdict[])[] = [
  ['met'],
  ['ahead', 'in time'],
  ['on pace', 'close'],
  ['50-50'],
  ['behind'],
  ['not in time'],
  ['out of reach'],
  ['missed'],
]
const rankOf = (verdict: Verdict): number => RANKS.findIndex((rank) => rank.includes(verdict))

export interface VerdictFacts {
  /** What its item is past; nothing else counts then, but what was reached before. */
  readonly over: 'expired' | 'gone off' | null
  /** Where a goal stands against its date; null of an item against its use-by date. */
  readonly standing: Standing | null
  /** Chance of being done in time; null where no date is known or none is left. */
  readonly chance: number | null
}

/**
 * The one verdict on an item, a shade or a goal. Where the standing and the chance of a goal differ the worse of them is it: one that
 * is on track by its date and will not make it at the user's pace is not in time.
 */
export function verdictOf({ over, standing, chance }: VerdictFacts): Verdict {
  if (standing === 'met' || standing === 'ended' || standing === 'missed') return standing
  if (over !== null) return over
  if (chance === null) return standing ?? 'not known'
  const word = chanceWord(chance)
  if (standing === null || rankOf(standing) === -1) return word
  return rankOf(word) > rankOf(standing) ? word : standing
}
