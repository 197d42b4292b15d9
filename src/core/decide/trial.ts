import { daysBetween, type Day } from '../calendar/day.js'

export interface TrialFacts {
  readonly startedOn: Day
  readonly dueOn: Day
  readonly wearsWanted: number
  /** Days on which it was worn, each once. */
  readonly wearDays: readonly Day[]
  readonly today: Day
}

export type TrialStanding = 'wear it' | 'worn enough' | 'time is up'

/** Where a trial is: a decision is due once the wears are reached or the date has come. */
export function trialStanding(facts: TrialFacts): {
  standing: TrialStanding
  wears: number
  wearsLeft: number
  daysLeft: number
  decisionDue: boolean
} {
  const wears = facts.wearDays.filter((day) => day >= facts.startedOn).length
  const wearsLeft = Math.max(0, facts.wearsWanted - wears)
  const daysLeft = daysBetween(facts.today, facts.dueOn)
  const standing = wearsLeft === 0 ? 'worn enough' : daysLeft <= 0 ? 'time is up' : 'wear it'
  return { standing, wears, wearsLeft, daysLeft, decisionDue: standing !== 'wear it' }
}
