import { MONTH_DAYS } from '../calendar/lengths.js'
import { median } from '../lists/median.js'
import { logNormalDensity, phi } from './normal.js'

/** The user's guesses are too short by a factor like other people's: log of the mean, and sd. Assumption. */
const PEOPLE = { mean: Math.log(2.5), sd: 0.6 } as const
/** How far single guesses scatter around a person's factor, and around a category's. Assumption. */
const SCATTER = 0.7
const CATEGORY_SCATTER = 0.6
const CATEGORY_SD = 0.35
/** What is computed of few guesses is surer than it should be. Tuned by simulation. */
const WIDER = 1.25
const POINTS = 161
const FROM = -2
const TO = 4
/** From so many finished, and so sure, it is said that guesses run short. */
const LEAST_FINISHED = 3
const SURE = 0.9

/** A guess and what came of it; while it is unfinished it has lasted so long already. */
export interface GuessOutcome {
  readonly months: number
  /** Days from the guess to the finish, or to now. */
  readonly days: number
  readonly finished: boolean
}

/** How much longer items last than guessed: the log of the factor. */
export interface GuessFactor {
  readonly mean: number
  readonly sd: number
  readonly factor: number
  /** The middle of the finished ones alone: took by guessed. Null where none is. */
  readonly middle: number | null
  readonly finished: number
  readonly unfinished: number
  /** It may be said that the user's guesses run short. */
  readonly runsShort: boolean
}

/**
 * The user's factor by the user's guesses: finished ones say what it was, unfinished ones that it is more than so much. On a grid of 161 points
 * over -2 to 4. `scatter` and `prior` are those of persons unless given.
 */
export function guessFactor(
  guesses: readonly GuessOutcome[],
  prior: { readonly mean: number; readonly sd: number } = PEOPLE,
  scatter = SCATTER,
): GuessFactor {
  const usable = guesses.filter(({ months, days, finished }) => months > 0 && (finished ? days > 0 : true))
  const ratios = usable.map(({ months, days, finished }) => ({
    finished,
    log: days > 0 ? Math.log(days / (months * MONTH_DAYS)) : -Infinity,
  }))
  const points = Array.from({ length: POINTS }, (_, n) => FROM + ((TO - FROM) * n) / (POINTS - 1))
  const logs = points.map((at) =>
    ratios.reduce(
      (sum, { finished, log }) =>
        sum +
        (finished ? logNormalDensity(log - at, scatter ** 2) : Math.log(Math.max(phi((at - log) / scatter), 1e-300))),
      logNormalDensity(at - prior.mean, prior.sd ** 2),
    ),
  )
  const most = Math.max(...logs)
  const weights = logs.map((log) => Math.exp(log - most))
  const total = weights.reduce((sum, each) => sum + each, 0)
  const mean = points.reduce((sum, at, n) => sum + (at * (weights[n] ?? 0)) / total, 0)
  const variance = points.reduce((sum, at, n) => sum + ((at - mean) ** 2 * (weights[n] ?? 0)) / total, 0)
  const sd = WIDER * Math.sqrt(variance)
  const finished = usable.filter((each) => each.finished).length
  return {
    mean,
    sd,
    factor: Math.exp(mean),
    middle: finished === 0 ? null : Math.exp(median(ratios.flatMap((each) => (each.finished ? [each.log] : [])))),
    finished,
    unfinished: usable.length - finished,
    runsShort: finished >= LEAST_FINISHED && phi(mean / sd) >= SURE,
  }
}

/** The same for one category, leaning on what is known of the user. */
export function categoryFactor(guesses: readonly GuessOutcome[], person: GuessFactor): GuessFactor {
  return guessFactor(guesses, { mean: person.mean, sd: Math.hypot(CATEGORY_SD, SCATTER * person.sd) }, CATEGORY_SCATTER)
}
