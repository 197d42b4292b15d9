import type { SeasonChangeChoice } from '#core/plan/season-change-choices'
import type { SeasonChangeCandidate } from '#contract/season-change'

/** What she says of a thing while the drawer is laid. */
export type SeasonChangeStated = Pick<SeasonChangeCandidate, 'choice' | 'until' | 'destination'>

/** Each choice in words. */
export const CHOICE_WORDS: Readonly<Record<SeasonChangeChoice, string>> = {
  stays: 'Stays',
  'comes in': 'Comes in',
  'put away': 'Stored away till its season',
  rests: 'Stored away',
  doubtful: 'Not sure: on trial',
  'let go': 'Let go',
}
