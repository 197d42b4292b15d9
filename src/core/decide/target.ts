import { MONTH_DAYS, YEAR_DAYS } from '../calendar/lengths.js'
import { addDays, addMonths, daysBetween, type Day } from '../calendar/day.js'

/** An item of the category, from the day it came to the day it ended; null = not known since when, and still there. */
export interface Span {
  readonly from: Day | null
  readonly to: Day | null
  readonly how: 'finished' | 'left' | 'blended' | null
}

/** How many were there at the end of a day; what came nobody knows when was always there. */
export function stockOn(spans: readonly Span[], day: Day): number {
  return spans.filter(({ from, to }) => (from === null || from <= day) && (to === null || to > day)).length
}

export interface TargetFacts {
  readonly items: number
  readonly by: Day
  readonly setOn: Day
  readonly today: Day
  readonly spans: readonly Span[]
}

export interface TargetStanding {
  readonly now: number
  readonly then: number
  /** Still too many; 0 = it is met. */
  readonly tooMany: number
  readonly daysLeft: number
  /** A month, from now on, to be there in time; null where it is met or the day has come. */
  readonly neededPerMonth: number | null
  /** Of the last year: how many came, were finished, were let go. */
  readonly cameIn: number
  readonly finished: number
  readonly letGo: number
  /** How many would be there on the day if the year goes on as the last one; never below 0. */
  readonly onTheDay: number
  readonly standing: 'met' | 'will do' | 'not at this pace' | 'day has come'
  /** At the end of each month since it was set, and today. */
  readonly months: readonly { readonly day: Day; readonly items: number }[]
}

/** More months than this are not drawn. */
const MOST_MONTHS = 60

/** Where a target for a category stands: the sums of the last year, what it takes, and month by month how it went. */
export function targetStanding({ items, by, setOn, today, spans }: TargetFacts): TargetStanding {
  const now = stockOn(spans, today)
  const tooMany = Math.max(0, now - items)
  const daysLeft = daysBetween(today, by)
  const since = addDays(today, -Math.round(YEAR_DAYS))
  const within = (day: Day | null): boolean => day !== null && day > since && day <= today
  const cameIn = spans.filter(({ from }) => within(from)).length
  const ended = spans.filter(({ to }) => within(to))
  const finished = ended.filter(({ how }) => how === 'finished').length
  const letGo = ended.filter(({ how }) => how === 'left').length
  const perDay = (cameIn - ended.length) / YEAR_DAYS
  const onTheDay = Math.max(0, Math.round(now + perDay * Math.max(0, daysLeft)))
  return {
    now,
    then: stockOn(spans, setOn),
    tooMany,
    daysLeft,
    neededPerMonth: tooMany === 0 || daysLeft <= 0 ? null : tooMany / (daysLeft / MONTH_DAYS),
    cameIn,
    finished,
    letGo,
    onTheDay,
    standing:
      tooMany === 0 ? 'met' : daysLeft <= 0 ? 'day has come' : onTheDay <= items ? 'will do' : 'not at this pace',
    months: monthsOf(spans, setOn, today),
  }
}

function monthsOf(spans: readonly Span[], setOn: Day, today: Day): TargetStanding['months'] {
  const found: Day[] = [setOn]
  for (let n = 1; n <= MOST_MONTHS; n += 1) {
    const day = addMonths(setOn, n)
    if (day >= today) break
    found.push(day)
  }
  if (today > setOn) found.push(today)
  return found.map((day) => ({ day, items: stockOn(spans, day) }))
}

/** What speaks for keeping one of many. */
export interface KeepFacts {
  readonly id: string
  readonly liking: number | null
  /** Days worn within the last year. */
  readonly worn: number
  readonly inDate: boolean
  readonly daysLeft: number | null
  readonly hasTwin: boolean
  readonly doubts: number
}

export interface KeepPlace {
  readonly id: string
  readonly score: number
}

/** Weights of what speaks for keeping, each fact 0..1. Assumptions, printed in docs/deciding.md. */
export const KEEP_WEIGHTS = { worn: 4, liking: 3, inDate: 3, alone: 1, undoubted: 1 } as const
/** Worn this often in a year, it could not be worn much more. Assumption. */
const OFTEN = 60

/** Those to keep first, by evidence: worn, liked, in date, without a twin, without doubts. */
export function keepOrder(facts: readonly KeepFacts[]): KeepPlace[] {
  const scoreOf = (each: KeepFacts): number =>
    KEEP_WEIGHTS.worn * Math.min(1, each.worn / OFTEN) +
    KEEP_WEIGHTS.liking * (((each.liking ?? 3) - 1) / 4) +
    (each.inDate ? KEEP_WEIGHTS.inDate : 0) +
    (each.hasTwin ? 0 : KEEP_WEIGHTS.alone) +
    (each.doubts === 0 ? KEEP_WEIGHTS.undoubted : 0)
  return facts
    .map((each) => ({ id: each.id, score: scoreOf(each) }))
    .sort((a, b) => b.score - a.score || (a.id < b.id ? -1 : 1))
}
