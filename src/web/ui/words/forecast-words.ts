import { daysBetween, fieldsOf, type Day } from '#core/calendar/day'
import type { Verdict } from '#core/forecast/chance'
import { capital } from '#core/words/capital'
import { counted } from '#core/words/counted'
import type { ForecastView, OutlookView, RaceView } from '#contract/forecast'
import { dayFormat, numberWords } from '#web/data/locale'
import { massFigure, massWords, type MassUnit } from './measure-words'
import { shortDay, spanRangeWords } from './when-words'

type DaySpan = RaceView['finish']
const month = dayFormat({ month: 'long' })
const monthAndYear = dayFormat({ month: 'long', year: 'numeric' })
/** Up to so many days ahead days are told, beyond months: more would promise what is not known. */
const TELLS_DAYS = 75

/** "between March and October 2027", "in March 2028 at the earliest", "not within five years". */
export function betweenWords({ low, high }: DaySpan, today: Day): string {
  if (low === null) return 'not within five years'
  if (high === null)
    return `${daysBetween(today, low) <= TELLS_DAYS ? `on ${shortDay(low, today)}` : `in ${monthAndYear(low)}`} at the earliest, perhaps not for five years`
  if (daysBetween(today, high) <= TELLS_DAYS)
    return low === high
      ? `about ${shortDay(low, today)}`
      : `between ${shortDay(low, today)} and ${shortDay(high, today)}`
  const sameYear = fieldsOf(low).year === fieldsOf(high).year
  if (monthAndYear(low) === monthAndYear(high)) return `in ${monthAndYear(high)}`
  return `between ${sameYear ? month(low) : monthAndYear(low)} and ${monthAndYear(high)}`
}

/** "June 2027"; a day where it is near. */
export function likeliest({ middle }: DaySpan, today: Day): string {
  if (middle === null) return ''
  return daysBetween(today, middle) <= TELLS_DAYS ? shortDay(middle, today) : monthAndYear(middle)
}

/** "gone Apr 2027 to Jul 2028", as short as a row has room for. */
export function goneWords({ low, high }: DaySpan, today: Day): string {
  if (low === null) return 'not gone within five years'
  const short = dayFormat({ month: 'short', year: 'numeric' })
  if (high === null) return `gone ${short(low)} or much later`
  if (daysBetween(today, high) <= TELLS_DAYS) return `gone ${shortDay(low, today)} to ${shortDay(high, today)}`
  return short(low) === short(high) ? `gone ${short(low)}` : `gone ${short(low)} to ${short(high)}`
}

export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  'will make it': 'Will make it',
  tight: 'Tight',
  'about even': 'About even',
  'will not at this pace': 'Will not at this pace',
}

/** The same of a goal, after the word of its notch. */
const CHANCE_WORDS: Readonly<Record<Verdict, string>> = {
  'will make it': 'It will make it',
  tight: 'It is tight',
  'about even': 'The chance is about even',
  'will not at this pace': 'It will not at this pace',
}

/** How much is left and what a use takes, with what it comes from. */
export function howMuchWords(forecast: ForecastView, unit: MassUnit): string {
  const { grams, perUse, uses } = forecast
  const fine = perUse.high < 0.1 ? 0.001 : 0.01
  const each = `${massFigure(perUse.low, fine, unit)} to ${massWords(perUse.high, fine, unit)}`
  return `${massFigure(grams.low, 0.1, unit)} to ${massWords(grams.high, 0.1, unit)} left, at ${each} a use: ${uses.low} to ${uses.high} more uses.`
}

/** How fast it goes, with what it comes from. */
export function howFastWords(forecast: ForecastView): string {
  const { perWeek, known, role, roleSaid, days } = forecast
  const rate = `${numberWords(perWeek.low, 1)} to ${numberWords(perWeek.high, 1)} uses a week`
  const from =
    known.days > 0
      ? `by ${counted(known.uses, 'use')} on ${counted(known.days, 'day')} that are known, the latest counting most,`
      : 'nothing of its use is known yet,'
  const standing = `as ${ROLE_WORDS[role]}${roleSaid ? ', as you said' : ''}`
  const span =
    days.high > 1825
      ? `${spanRangeWords(Math.round(days.low), Math.round(days.low))} or more`
      : spanRangeWords(Math.round(days.low), Math.round(days.high))
  return `${rate}, ${from} ${standing}. From here ${span}, 8 times in 10, if you keep using it.`
}

export const ROLE_WORDS = {
  staple: 'the only one of its kind in the drawer',
  rotation: 'one of several in the drawer',
  occasional: 'one that lies outside the drawer',
} as const

const MEASURE_WORDS = {
  weigh: 'One weighing now',
  look: 'One look at how full it is',
  'weigh an empty': 'The weight of an empty one of its kind',
} as const

/** What one measurement would do for the range. */
export function askedWords({ asked, days }: ForecastView): string {
  if (asked === null) return ''
  const { low, high } = asked.finish
  const now = days.high > 1825 ? 'over five years' : spanWordsOf(days.high - days.low)
  const then = low === null || high === null ? 'a range still open' : spanWordsOf(daysBetween(low, high))
  return `${MEASURE_WORDS[asked.measure]} would narrow this from ${now} to about ${then}.`
}

function spanWordsOf(days: number): string {
  return spanRangeWords(Math.max(1, Math.round(days)), Math.max(1, Math.round(days)))
}

/** How surely a goal is reached, and at which pace; empty where nothing is ahead. */
export function outlookWords(outlook: Omit<OutlookView, 'stayId'> | null, today: Day): string {
  if (outlook === null) return ''
  const { verdict, reach, needed, kept } = outlook
  const keep = `you keep ${numberWords(kept, 1)} uses a week`
  const pace =
    needed === null ? keep : `it needs ${numberWords(needed, 1)} uses a week, you keep ${numberWords(kept, 1)}`
  const when = `likely reached ${betweenWords(reach, today)} if you keep using it`
  if (verdict === null) return `${capital(pace)}; ${when}.`
  return `${CHANCE_WORDS[verdict]}: ${pace}; ${when}.`
}
