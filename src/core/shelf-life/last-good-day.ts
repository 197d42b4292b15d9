import { addDays, addMonths, daysBetween, earlier, type Day } from '../calendar/day.js'
import { middleOf, type DayRange } from '../calendar/when.js'
import type { Opening } from '../item/opening.js'
import type { Period } from './default-pao.js'

/** Unopened and undated: good this long after purchase. Assumption. */
export const UNOPENED_MONTHS = 36
/** 21 CFR 211.137(h) and FDA consumer advice (from memory): with no printed date, expired 3 years after purchase. */
export const SUN_FILTER_MONTHS = 36
/** "Soon" in Shelf life. */
export const SOON_DAYS = 90

export interface ShelfLifeFacts {
  readonly opening: Opening
  readonly acquired: DayRange | null
  /** From the label, null when unknown. */
  readonly paoMonths: number | null
  /** Used when the label is unknown; common practice. */
  readonly usual: Period
  readonly expiry: Day | null
  readonly signSeen: { readonly day: Day; readonly words: string } | null
  readonly sunProtection: boolean
  readonly atEye: boolean
  readonly today: Day
}

export type ShelfLifeState = 'in date' | 'within 90 days' | 'past' | 'sign seen' | 'unknown'

/** Which fact set the last good day. */
export type ShelfLifeReason =
  | { readonly code: 'sign'; readonly words: string }
  | { readonly code: 'printed-expiry' }
  | { readonly code: 'pao'; readonly period: Period; readonly openedEarliest: Day; readonly openedLatest: Day }
  | { readonly code: 'usual-pao'; readonly period: Period; readonly openedEarliest: Day; readonly openedLatest: Day }
  | { readonly code: 'unopened'; readonly months: number; readonly bought: Day }
  | { readonly code: 'opening-unknown'; readonly notBefore: Day | null; readonly notAfter: Day | null }
  | { readonly code: 'purchase-unknown' }

export interface ShelfLife {
  readonly state: ShelfLifeState
  /** Both ends of the last good day, equal when it is known to the day; null when unknown. */
  readonly lastGood: DayRange | null
  /** The day to act on: the earlier end for eye and sun-protection items, the middle otherwise. */
  readonly actOn: Day | null
  /** Days from today to `actOn`; negative when past. */
  readonly daysLeft: number | null
  readonly reason: ShelfLifeReason
  /** The filter's own last day and whether it has passed; null when it makes no SPF claim. */
  readonly sun: { readonly lastDay: Day | null; readonly lapsed: boolean } | null
}

/** Whether its time is over: the last good day has passed or a sign was seen. */
export function isSpoiled({ state }: Pick<ShelfLife, 'state'>): boolean {
  return state === 'past' || state === 'sign seen'
}

/** Whether it may be suggested: not spoiled, and its sun protection, if it claims any, has not lapsed. */
export function isInDate(life: Pick<ShelfLife, 'state' | 'sun'>): boolean {
  return !isSpoiled(life) && life.sun?.lapsed !== true
}

/**
 * The last good day: the earliest of opening + PAO, printed expiry and a recorded sign of
 * spoiling (of which the state and the reason are, whichever is earlier); unopened and undated, purchase + 36 months. An opening range gives a range.
 */
export function shelfLifeOf(facts: ShelfLifeFacts): ShelfLife {
  const sun = sunFilterOf(facts)
  if (facts.signSeen !== null) {
    const { day, words } = facts.signSeen
    const bound = boundByTime(facts)
    // It was good for no longer than its date, however late the sign was seen.
    const lastGood = {
      earliest: bound === null ? day : earlier(bound.lastGood.earliest, day),
      latest: bound === null ? day : earlier(bound.lastGood.latest, day),
    }
    const actOn = facts.atEye || facts.sunProtection ? lastGood.earliest : middleOf(lastGood)
    const daysLeft = daysBetween(facts.today, actOn)
    return { state: 'sign seen', lastGood, actOn, daysLeft, reason: { code: 'sign', words }, sun }
  }
  const bound = boundByTime(facts)
  if (bound === null) {
    const { kind, notBefore, notAfter } = facts.opening
    const reason: ShelfLifeReason =
      kind === 'unopened' ? { code: 'purchase-unknown' } : { code: 'opening-unknown', notBefore, notAfter }
    return { state: 'unknown', lastGood: null, actOn: null, daysLeft: null, reason, sun }
  }
  const cautious = facts.atEye || facts.sunProtection
  const actOn = cautious ? bound.lastGood.earliest : middleOf(bound.lastGood)
  const daysLeft = daysBetween(facts.today, actOn)
  const state = daysLeft < 0 ? 'past' : daysLeft <= SOON_DAYS ? 'within 90 days' : 'in date'
  return { state, lastGood: bound.lastGood, actOn, daysLeft, reason: bound.reason, sun }
}

function boundByTime(facts: ShelfLifeFacts): { lastGood: DayRange; reason: ShelfLifeReason } | null {
  const byOpening = facts.opening.kind === 'unopened' ? boundUnopened(facts) : boundOpened(facts)
  if (facts.expiry === null) return byOpening
  const printed = {
    lastGood: { earliest: facts.expiry, latest: facts.expiry },
    reason: { code: 'printed-expiry' } as const,
  }
  // An unopened package with a printed date goes by the date alone.
  if (byOpening === null || facts.opening.kind === 'unopened') return printed
  if (facts.expiry <= byOpening.lastGood.earliest) return printed
  return {
    lastGood: { earliest: byOpening.lastGood.earliest, latest: earlier(byOpening.lastGood.latest, facts.expiry) },
    reason: byOpening.reason,
  }
}

function boundOpened(facts: ShelfLifeFacts): { lastGood: DayRange; reason: ShelfLifeReason } | null {
  const { within, kind } = facts.opening
  if (within === null) return null
  const period: Period = facts.paoMonths === null ? facts.usual : { unit: 'months', count: facts.paoMonths }
  const lastGood = { earliest: after(within.earliest, period), latest: after(within.latest, period) }
  // An unknown opening decides only when even the latest possible one has run out.
  if (kind === 'unknown' && lastGood.latest >= facts.today) return null
  return {
    lastGood,
    reason: {
      code: facts.paoMonths === null ? 'usual-pao' : 'pao',
      period,
      openedEarliest: within.earliest,
      openedLatest: within.latest,
    },
  }
}

/**
 * The use-by date at the latest it can be: by the latest possible opening, which is the first wear or the day it was written down, where
 * none is known. What is unopened without a date counts from the day it was written down.
 */
export function useByAtLatest(facts: ShelfLifeFacts, { actOn }: ShelfLife, addedOn: Day): Day {
  if (actOn !== null) return actOn
  const { opening, paoMonths, usual } = facts
  if (opening.kind === 'unopened') return addMonths(addedOn, UNOPENED_MONTHS)
  return after(opening.notAfter ?? addedOn, paoMonths === null ? usual : { unit: 'months', count: paoMonths })
}

function after(day: Day, { unit, count }: Period): Day {
  return unit === 'months' ? addMonths(day, count) : addDays(day, count)
}

function boundUnopened(facts: ShelfLifeFacts): { lastGood: DayRange; reason: ShelfLifeReason } | null {
  if (facts.acquired === null) return null
  const { earliest, latest } = facts.acquired
  return {
    lastGood: { earliest: addMonths(earliest, UNOPENED_MONTHS), latest: addMonths(latest, UNOPENED_MONTHS) },
    reason: { code: 'unopened', months: UNOPENED_MONTHS, bought: earliest },
  }
}

function sunFilterOf(facts: ShelfLifeFacts): ShelfLife['sun'] {
  if (!facts.sunProtection) return null
  const lastDay =
    facts.expiry ?? (facts.acquired === null ? null : addMonths(facts.acquired.earliest, SUN_FILTER_MONTHS))
  return { lastDay, lapsed: lastDay !== null && addDays(lastDay, 1) <= facts.today }
}

/** The first of these last good days; null where none is known. What is made of several items is good for no longer. */
export function earliestLastGood(lives: readonly (Pick<ShelfLife, 'actOn'> | null)[]): Day | null {
  return lives.flatMap((life) => life?.actOn ?? []).sort()[0] ?? null
}
