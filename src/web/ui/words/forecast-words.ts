import { LONG_DAYS } from '#core/calendar/lengths'
import { daysBetween, fieldsOf, type Day } from '#core/calendar/day'
import { capital } from '#core/words/capital'
import { counted } from '#core/words/counted'
import type { ForecastView, OutlookView, RaceView } from '#contract/forecast'
import { dayFormat, numberWords } from '#web/data/locale'
import { massRangeWords, type MassUnit } from './measure-words'
import { shortDay, spanRangeWords } from './when-words'
import { paceShort, VERDICT_WORDS } from './verdict-words'

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
  if (low === null) return 'won’t be finished within five years'
  const short = dayFormat({ month: 'short', year: 'numeric' })
  if (high === null) return `finished ${short(low)} or much later`
  if (daysBetween(today, high) <= TELLS_DAYS) return `finished ${shortDay(low, today)} to ${shortDay(high, today)}`
  return short(low) === short(high) ? `finished ${short(low)}` : `finished ${short(low)} to ${short(high)}`
}

/** How much is left and what a use takes, with what it comes from. */
export function howMuchWords(forecast: ForecastView, unit: MassUnit): string {
  const { grams, perUse, uses } = forecast
  const fine = perUse.high < 0.1 ? 0.001 : 0.01
  const left = massRangeWords(grams.low, grams.high, grams.high < 1 ? 0.01 : 0.1, unit)
  const more = uses.low === uses.high ? counted(uses.high, 'more use') : `${uses.low} to ${uses.high} more uses`
  return `${capital(left)} left, at ${massRangeWords(perUse.low, perUse.high, fine, unit)} a use: ${more}.`
}

/** How fast it goes: the pace counted, and the range that comes of it. */
export function howFastWords(forecast: ForecastView): string {
  const { pace, role, roleSaid, days } = forecast
  const counting =
    pace === null
      ? 'We don’t know your pace with it yet: that takes 14 days in the drawer or a project'
      : `${counted(pace.uses, 'use')} on ${counted(pace.days, 'day')} in the drawer or a project within the last 12 weeks: ${numberWords(pace.perWeek, 1)} a week`
  const [low, high] = [Math.round(days.low), Math.round(days.high)]
  const span =
    days.low >= LONG_DAYS
      ? 'more than five years from here'
      : days.high >= LONG_DAYS
        ? `${spanRangeWords(low, low)} from here at the earliest`
        : `${spanRangeWords(low, high)} from here, 8 times in 10`
  return `${counting}. It’s estimated as ${ROLE_WORDS[role]}${roleSaid ? ', as you said' : ''}: ${span}, if you keep using it.`
}

export const ROLE_WORDS = {
  staple: 'the only one of its type in the drawer',
  rotation: 'one of several in the drawer',
  occasional: 'one that is rarely in the drawer',
} as const

const MEASURE_WORDS = {
  weigh: 'One weighing now',
  look: 'One look at how full it is',
  'weigh an empty': 'The weight of an empty one of the same',
} as const

/** What one measurement would do for the range, else for the verdict; empty where neither can be said. */
export function askedWords({ asked, days }: ForecastView): string {
  if (asked === null) return ''
  const { low, high } = asked.finish
  const open = 'a range that is still open'
  const now = days.high >= LONG_DAYS ? open : spanWordsOf(days.high - days.low)
  const then = low === null || high === null ? open : spanWordsOf(daysBetween(low, high))
  const measure = MEASURE_WORDS[asked.measure]
  if (asked.narrows && now !== then) return `${measure} would narrow this from ${now} to about ${then}.`
  if (asked.verdicts === null) return ''
  const [little, much] = asked.verdicts.map((word) => `“${VERDICT_WORDS[word]}”`)
  return `${measure} may settle it: ${little ?? ''} if little is left, ${much ?? ''} if much is.`
}

function spanWordsOf(days: number): string {
  return spanRangeWords(Math.max(1, Math.round(days)), Math.max(1, Math.round(days)))
}

/** Before a goal is set: how surely it would be reached, and at which pace. */
export function outlookWords(outlook: Omit<OutlookView, 'stayId'>, today: Day): string {
  const { verdict, chance, reach, needed, pace } = outlook
  const rates = `${needed === null ? '' : `needs ${numberWords(needed, 1)} a week, `}${paceShort(pace)}`
  const when = `At this pace ${betweenWords(reach, today)}, 8 times in 10.`
  return chance === null ? `${capital(rates)}. ${when}` : `${capital(VERDICT_WORDS[verdict])}: ${rates}.`
}
