import trigamma from '@stdlib/math-base-special-trigamma'
import { logistic, logit, roleLogit, type ForgottenSums } from './rate.js'
import type { Role } from './role.js'

/** How a person differs from others: in what a use takes (log), and in how often items are used (log odds). */
export interface UserEffects {
  readonly amount: number
  readonly rate: number
}
export const NO_USER_EFFECTS: UserEffects = { amount: 0, rate: 0 }

/** How far persons differ in what a use takes, and in how often. Tuned by simulation. */
const AMOUNT_SD = 0.35
const RATE_SD = 0.45
/** Spread of the rates of one person's items around what their roles let expect. Tuned by simulation. */
const THINGS_SD = 1.1
/** Less information on an amount than this tells nothing of the person. Tuned by simulation. */
const LEAST_INFORMATION = 0.3
/** Days, forgotten ones for less, before an item's rate tells of the person. Tuned by simulation. */
const LEAST_DAYS = 10

/** What one item tells of its owner. */
export interface UserEffectEvidence {
  /** Log grams a use takes as first computed: mean and sd; and the usual ones of its kind. */
  readonly amount: { readonly mean: number; readonly sd: number; readonly usual: number; readonly usualSd: number }
  readonly role: Role
  readonly inFocus: boolean
  readonly sums: ForgottenSums
}

/** The user's own effects over all the user's items, finished ones included. */
export function userEffectsOf(things: readonly UserEffectEvidence[]): UserEffects {
  const amounts = things.flatMap(({ amount: { mean, sd, usual, usualSd } }) => {
    const information = 1 / sd ** 2 - 1 / usualSd ** 2
    if (!(information > LEAST_INFORMATION)) return []
    const x = (mean / sd ** 2 - usual / usualSd ** 2) / information - usual
    return [{ x, weight: 1 / (usualSd ** 2 + 1 / information) }]
  })
  const rates = things.flatMap(({ role, inFocus, sums }) => {
    if (!(sums.used + sums.unused > LEAST_DAYS)) return []
    const m = logistic(roleLogit(role, inFocus))
    const alpha = sums.used + 2 * m
    const beta = sums.unused + 2 * (1 - m)
    return [
      {
        x: Math.log(alpha / beta) - logit(m),
        weight: 1 / (THINGS_SD ** 2 + trigamma(alpha) + trigamma(beta)),
      },
    ]
  })
  return { amount: pulled(amounts, AMOUNT_SD), rate: pulled(rates, RATE_SD) }
}

/** A mean that is pulled towards 0 by what persons are like. */
function pulled(values: readonly { readonly x: number; readonly weight: number }[], sd: number): number {
  const sum = values.reduce((total, { x, weight }) => total + x * weight, 0)
  return sum / (1 / sd ** 2 + values.reduce((total, { weight }) => total + weight, 0))
}
