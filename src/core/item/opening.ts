import { earlier, later, type Day } from '../calendar/day.js'
import type { DayRange } from '../calendar/when.js'

/** When a package was opened, kept as the user said it. */
export type Opened =
  | { readonly kind: 'unopened' }
  | { readonly kind: 'unknown' }
  | { readonly kind: 'range'; readonly earliest: Day; readonly latest: Day; readonly said: string }

/** Who says when it was opened: the user, a sheet of the user's, or the first tick. */
export type OpenedBy = 'she' | 'sheet' | 'tick'

/** All that bears on an opening. */
export interface OpeningFacts {
  readonly said: Opened
  readonly by: Exclude<OpenedBy, 'tick'>
  readonly acquired: DayRange | null
  readonly firstWear: Day | null
  /** Uses before the log; null when nobody said. */
  readonly usesBefore: number | null
  readonly endedOn: Day | null
}

/** An opening as it is to be read. */
export interface Opening {
  readonly kind: Opened['kind']
  readonly by: OpenedBy
  /** The days it can have been opened on; null where one end is open. */
  readonly within: DayRange | null
  readonly notBefore: Day | null
  readonly notAfter: Day | null
}

/** How far along a package is in its life. */
export type Lifecycle = 'unopened' | 'open' | 'finished' | 'left' | 'blended'
export type Ending = Exclude<Lifecycle, 'unopened' | 'open'>

/**
 * The one reading of an opening, from what was said and what was done: clipped to [acquired, first wear]; whatever has a wear
 * or an earlier use is not unopened, whoever says so. What was unopened and has been ticked was opened by its first tick, so
 * that taking the tick back closes it again. It does not depend on the day it is read on.
 */
export function openingOf(facts: OpeningFacts): Opening {
  const { said, firstWear } = facts
  const notBefore = facts.acquired?.earliest ?? null
  const notAfter = firstWear ?? facts.endedOn
  const usedBefore = (facts.usesBefore ?? 0) > 0
  if (said.kind === 'range') {
    const earliest = notBefore === null ? said.earliest : later(said.earliest, notBefore)
    const latest = notAfter === null ? said.latest : earlier(said.latest, notAfter)
    // What the user said and what was logged can contradict each other; then the user's word stands.
    const within = earliest <= latest ? { earliest, latest } : { earliest: said.earliest, latest: said.latest }
    return { kind: 'range', by: facts.by, within, notBefore: within.earliest, notAfter: within.latest }
  }
  if (said.kind === 'unopened' && !usedBefore) {
    if (firstWear !== null)
      return {
        kind: 'range',
        by: 'tick',
        within: { earliest: firstWear, latest: firstWear },
        notBefore: firstWear,
        notAfter: firstWear,
      }
    if (facts.endedOn === null) return { kind: 'unopened', by: facts.by, within: null, notBefore: null, notAfter: null }
  }
  const within =
    notBefore !== null && notAfter !== null && notBefore <= notAfter ? { earliest: notBefore, latest: notAfter } : null
  return { kind: 'unknown', by: facts.by, within, notBefore, notAfter }
}

/** How far along it is: ended as recorded, else by its opening. */
export function lifecycleOf(opening: Pick<Opening, 'kind'>, endedAs: Ending | null): Lifecycle {
  return endedAs ?? (opening.kind === 'unopened' ? 'unopened' : 'open')
}

/** Whether saying *unopened* would contradict what is known: then *unknown* is kept. */
export function cannotBeUnopened(known: { readonly wears: number; readonly usesBefore: number | null }): boolean {
  return known.wears > 0 || (known.usesBefore ?? 0) > 0
}

/** An opening said today cannot lie ahead: a year or month under way ends today. Null when all of it lies ahead. */
export function saidOn(opened: Opened, today: Day): Opened | null {
  if (opened.kind !== 'range') return opened
  return opened.earliest > today ? null : { ...opened, latest: earlier(opened.latest, today) }
}
