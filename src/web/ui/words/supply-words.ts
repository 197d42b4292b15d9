import type { Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import type { SupplyView } from '#contract/forecast'
import { dayFormat, moneyWords, numberWords } from '#web/data/locale'
import { spanWords } from './when-words'

const monthAndYear = dayFormat({ month: 'short', year: 'numeric' })
const YEAR_DAYS = 365.25
/** What is longer than a life of things is not told to the year. */
const MOST_YEARS = 50

/** "6½ years", "5 months", "over 50 years". */
export function yearsWords(years: number): string {
  return years > MOST_YEARS ? `over ${MOST_YEARS} years` : spanWords(Math.round(years * YEAR_DAYS))
}

/** How long it lasts, as short as a row has room for. */
export function lastsWords({ years, perYear }: SupplyView): string {
  if (perYear === null) return 'no pace known yet'
  return years === null ? 'not worn for a year' : yearsWords(years)
}

/** "11 of 12 would spoil first, €264". */
export function spoilingWords(
  { spoiling, spoilingPrice, spoilingUnpriced, items }: SupplyView,
  currency: string,
): string {
  if (spoiling.length === 0) return 'none spoils before its turn'
  const money = spoilingPrice > 0 ? `, ${moneyWords(spoilingPrice, currency)}` : ''
  const more = spoilingUnpriced > 0 ? ` and ${counted(spoilingUnpriced, 'thing')} without a price` : ''
  return `${spoiling.length} of ${items} would spoil before ${spoiling.length === 1 ? 'its' : 'their'} turn${money}${more}`
}

/** When something of the kind is needed next: "Mar 2029, between …". */
export function needWords({ need }: SupplyView): string {
  if (need === null || need.middle === null) return 'not in sight'
  return monthAndYear(need.middle)
}

/** Everything that a supply is reckoned from. */
export function supplySentences(view: SupplyView, currency: string): string[] {
  const { items, uses, perYear, years, need } = view
  const left = `${counted(items, 'thing')} with about ${numberWords(uses, 0)} uses left in all.`
  if (perYear === null) return [left, 'How long that lasts is told once two weeks of wear are written down.']
  if (years === null)
    return [left, `Nothing of the kind was worn within a year: at that pace ${spoilingWords(view, currency)}.`]
  const pace = `You wore the kind ${numberWords(perYear, 0)} times within a year: that lasts ${yearsWords(years)}.`
  const spoils = `Worn in the order in which they spoil, ${spoilingWords(view, currency)}.`
  const next =
    need === null || need.middle === null
      ? []
      : [
          `What does not spoil lasts until about ${monthAndYear(need.middle)}${need.low !== null && need.high !== null && need.low !== need.high ? `, likely between ${monthAndYear(need.low)} and ${monthAndYear(need.high)}` : ''}: until then nothing new is needed.`,
        ]
  return [left, pace, spoils, ...next]
}

/** What it came to with only so many. */
export function keepingWords(view: SupplyView, keep: number, currency: string): string {
  const kept = view.keeping.find((each) => each.items === keep)
  if (!kept || kept.years === null) return ''
  const spoils =
    kept.spoiling === 0
      ? 'none of them spoils before its turn'
      : `${kept.spoiling} of them still spoil first${kept.spoilingPrice > 0 ? `, ${moneyWords(kept.spoilingPrice, currency)}` : ''}`
  return `lasts ${yearsWords(kept.years)}; ${spoils}.`
}

/** Until when a thing is good, as short as a list has room for. */
export function goodDay(lastGood: Day | null, today: Day): string {
  if (lastGood === null) return 'last good day not known'
  return lastGood < today ? 'past its date' : `good to ${monthAndYear(lastGood)}`
}
