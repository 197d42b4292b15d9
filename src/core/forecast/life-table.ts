/** One forecast that was kept, with what came: days after it was made. */
export interface Watched {
  readonly low: number
  readonly middle: number
  readonly high: number
  /** Days until it was finished, or until watching ended without that. */
  readonly days: number
  readonly finished: boolean
}

/** How many were finished by a mark, against how many were meant to be. */
export interface MarkScore {
  readonly meant: 0.1 | 0.5 | 0.9
  /** Null while too few were watched that long. */
  readonly came: number | null
  /** Forecasts that were watched as far as there, and those among them that were finished between the mark before and this one. */
  readonly watched: number
  readonly finished: number
}

/** Fewer at risk than this tell nothing. */
const LEAST_AT_RISK = 5

/**
 * A life table over (0, low], (low, middle], (middle, high]: what is still open, let go of or out of the drawer counts as open as far as it was
 * watched. Finished items alone are those that went fast: an honest forecaster would never be late among them.
 */
export function lifeTable(forecasts: readonly Watched[]): MarkScore[] {
  const marks = [
    ['low', 0.1],
    ['middle', 0.5],
    ['high', 0.9],
  ] as const
  let open: number | null = 1
  let before: (each: Watched) => number = () => 0
  return marks.map(([mark, meant]) => {
    const from = before
    const reached = forecasts.filter((each) => each.days > from(each))
    const inside = reached.filter((each) => each.days <= each[mark])
    const finished = inside.filter((each) => each.finished).length
    const ended = inside.length - finished
    const atRisk = reached.length - ended / 2
    open = open === null || atRisk < LEAST_AT_RISK ? null : open * (1 - finished / atRisk)
    before = (each) => each[mark]
    return { meant, came: open === null ? null : 1 - open, watched: reached.length, finished }
  })
}
