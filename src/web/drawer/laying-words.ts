import type { LayingChoice } from '#core/plan/laying-choices'
import type { LayingCandidate } from '#contract/laying'

/** What she says of a thing while the drawer is laid. */
export type LayingSaid = Pick<LayingCandidate, 'choice' | 'until' | 'destination'>

/** Each choice in words. */
export const CHOICE_WORDS: Readonly<Record<LayingChoice, string>> = {
  stays: 'Stays',
  'comes in': 'Comes in',
  'put away': 'Stored away till its season',
  rests: 'Stored away',
  doubtful: 'Not sure: on trial',
  'let go': 'Let go',
}
