import { contentOf, logPerUseOf, type ContentEstimate, type ContentFacts } from './content.js'
import type { Span } from './weighed.js'
import { chanceWithin, finishSpan, type Calendar } from './finish.js'
import { NO_USER_EFFECTS, type UserEffects, type UserEffectEvidence } from './user-effects.js'
import { forgottenSums, rateOf, RATE_MODEL, type ForgottenSums, type Rate, type UseLog } from './rate.js'

/** Everything that bears on when one item will be finished. Days are numbers from its first known one. */
export interface ForecastFacts {
  readonly content: ContentFacts
  readonly log: UseLog
  readonly ahead: Calendar
}

export interface Forecast {
  readonly content: ContentEstimate
  readonly rate: Rate
  readonly sums: ForgottenSums
  readonly calendar: Calendar
  /** Days after the last known one until it is finished. */
  readonly finish: Span
}

/** What a use of it takes before the user effects are known, as a normal of its logarithm: what takes long, and only changes with its own rows. */
export function firstPassOf({ content }: ForecastFacts): { readonly mean: number; readonly sd: number } {
  return logPerUseOf({ ...content, handShift: 0 })
}

/** What one item tells of its owner, before the user effects are known. `firstPass` = that of the same facts, where it was made already. */
export function evidenceOf(facts: ForecastFacts, firstPass = firstPassOf(facts)): UserEffectEvidence {
  const { content, log } = facts
  return {
    amount: {
      ...firstPass,
      usual: Math.log(content.amount.median),
      usualSd: content.amount.sd,
    },
    role: log.role,
    inFocus: log.inFocus,
    sums: forgottenSums(log),
  }
}

/**
 * What is left and when it will be gone, if it goes on being used. Deterministic.
 */
export function forecastOf(
  facts: ForecastFacts,
  userEffects: UserEffects = NO_USER_EFFECTS,
  model = RATE_MODEL,
): Forecast {
  const content = contentOf({ ...facts.content, handShift: userEffects.amount })
  const sums = forgottenSums(facts.log)
  const rate = rateOf(facts.log, userEffects.rate, sums, model)
  const calendar = facts.ahead
  return { content, rate, sums, calendar, finish: finishSpan(content.usesLeft, rate, calendar) }
}

/** Chance that it is finished within so many days. */
export function chanceOf({ content, rate, calendar }: Forecast, days: number): number {
  return chanceWithin(days, content.usesLeft, rate, calendar)
}
