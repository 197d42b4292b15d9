import { addDays, daysBetween, earlier, later, type Day } from './day.js'
import type { DayRange } from './when.js'

/** So many days in a row without any record are a stretch nobody wrote down. Assumption. */
export const SILENT_DAYS = 7
/** Fewer recorded days than this, with silence around them, are no log yet. Assumption. */
const LOG_FROM_DAYS = 3

/** Which days were recorded at all, makeup or not. */
export interface DayLog {
  /** Days with a tick, a *no makeup* or anything else said of them, ascending. */
  readonly recorded: readonly Day[]
  /** Days away and low seasons: their silence asks nothing. */
  readonly calm: readonly DayRange[]
  /** Days of which the user said that they were not written down. */
  readonly unwritten: readonly DayRange[]
  /** The last day that counts, usually yesterday. */
  readonly until: Day
}

/**
 * The stretches over which the log was kept: recorded days with less than a week of silence between them (days away do not
 * count as silence), three of them at least. One tick typed in for a day long ago is none. A silence of under a week at the
 * end still belongs to the last.
 */
export function recordedStretches(log: DayLog): DayRange[] {
  const found: DayRange[] = []
  for (const chain of chainsOf(log)) {
    const [earliest] = chain
    const last = chain.at(-1)
    if (earliest === undefined || last === undefined || chain.length < LOG_FROM_DAYS) continue
    const isNewest = last === lastUpTo(log)
    found.push({
      earliest,
      latest: isNewest && silence(last, addDays(log.until, 1), log) < SILENT_DAYS ? log.until : last,
    })
  }
  return found
}

/**
 * The stretches since the log began that nobody wrote down and nobody was asked about, the earliest first: a week of silence
 * or more, between two recorded days or up to the last day that counts.
 */
export function silentStretches(log: DayLog): DayRange[] {
  const [first] = recordedStretches(log)
  if (first === undefined) return []
  const days = log.recorded.filter((day) => day >= first.earliest && day <= log.until)
  const found: DayRange[] = []
  for (const [at, day] of days.entries()) {
    const next = days[at + 1] ?? addDays(log.until, 1)
    if (silence(day, next, log) < SILENT_DAYS) continue
    const range = { earliest: addDays(day, 1), latest: addDays(next, -1) }
    if (!log.unwritten.some((each) => each.earliest <= range.latest && each.latest >= range.earliest)) found.push(range)
  }
  return found
}

/** Whether a day lies in one of the stretches, ends included. */
export function isWithin(day: Day, stretches: readonly DayRange[]): boolean {
  return stretches.some((stretch) => day >= stretch.earliest && day <= stretch.latest)
}

/** The days of a stretch that are not days away: of those it can be said that no makeup was worn. */
export function daysToSay(range: DayRange, calm: readonly DayRange[]): Day[] {
  const days = Array.from({ length: daysBetween(range.earliest, range.latest) + 1 }, (_, at) =>
    addDays(range.earliest, at),
  )
  return days.filter((day) => !isWithin(day, calm))
}

function lastUpTo(log: DayLog): Day | undefined {
  return log.recorded.findLast((day) => day <= log.until)
}

/** Recorded days up to the last that counts, in runs without a silent stretch inside. */
function chainsOf(log: DayLog): Day[][] {
  const chains: Day[][] = []
  for (const day of log.recorded) {
    if (day > log.until) break
    const chain = chains.at(-1)
    const before = chain?.at(-1)
    if (chain !== undefined && before !== undefined && silence(before, day, log) < SILENT_DAYS) chain.push(day)
    else chains.push([day])
  }
  return chains
}

/** Days strictly between two that are neither recorded nor calm. */
function silence(from: Day, to: Day, log: DayLog): number {
  const between = daysBetween(from, to) - 1
  if (between < SILENT_DAYS) return Math.max(0, between)
  const [first, last] = [addDays(from, 1), addDays(to, -1)]
  const away = new Set<Day>()
  for (const stretch of log.calm) {
    if (stretch.earliest > last || stretch.latest < first) continue
    const end = earlier(stretch.latest, last)
    for (let day = later(stretch.earliest, first); day <= end; day = addDays(day, 1)) away.add(day)
  }
  return between - away.size
}
