import { YEAR_DAYS } from '#core/calendar/lengths'
import type { Day } from '#core/calendar/day'
import { LEAST_WEARS } from '#core/forecast/supply'
import { counted } from '#core/words/counted'
import type { SupplyView } from '#contract/forecast'
import { dayFormat, moneyShort, numberWords } from '#web/data/locale'
import { spanWords } from './when-words'

const monthAndYear = dayFormat({ month: 'short', year: 'numeric' })
/** What is more than so many years' worth is not told to the year. */
const MOST_YEARS = 10

/** "6½ years", "5 months", "more than ten years". */
export function yearsWords(years: number): string {
  return years > MOST_YEARS ? 'more than ten years' : spanWords(Math.round(years * YEAR_DAYS))
}

/** "7 years' worth, about 4 of them before they expire", as short as a row has room for. */
export function lastsWords(view: SupplyView): string {
  if (view.years === null) return noPaceWords(view)
  const worth = `${yearsWords(view.years)}${view.years > 1 ? "' worth" : ' worth'}`
  return bounded(view) ? `${worth}, ${spanWords(usableDays(view))} of it before it expires` : worth
}

const usableDays = ({ yearsInDate }: SupplyView): number => Math.max(1, Math.round((yearsInDate ?? 0) * YEAR_DAYS))

/** Some of it expires before it can be used: not just a rounding. */
function bounded({ years, yearsInDate }: SupplyView): boolean {
  return years !== null && yearsInDate !== null && yearsInDate < 0.9 * years
}

function noPaceWords({ worn, lastWorn }: SupplyView): string {
  if (worn >= LEAST_WEARS && lastWorn !== null) return `not worn since ${monthAndYear(lastWorn)}`
  return worn === 0 ? 'not worn yet' : `worn ${counted(worn, 'time')}: no pace yet`
}

/** "11 of 12 will expire before their turn, €264". */
export function expiringWords(
  { expiring, expiringPrice, expiringUnpriced, items }: SupplyView,
  currency: string,
): string {
  if (expiring.length === 0) return 'none will expire before its turn'
  const money = expiringPrice > 0 ? `, with about ${moneyShort(expiringPrice, currency)} left in them` : ''
  const more = expiringUnpriced > 0 ? ` and ${counted(expiringUnpriced, 'item')} without a price` : ''
  return `${expiring.length} of ${items} will expire before ${expiring.length === 1 ? 'its' : 'their'} turn${money}${more}`
}

/** When something of the type is needed next: "Mar 2029". */
export function needWords({ need }: SupplyView): string {
  if (need === null || need.middle === null) return 'not in sight'
  return monthAndYear(need.middle)
}

/** Everything that a supply is estimated from. */
export function supplySentences(view: SupplyView, currency: string): string[] {
  const { items, expired, uses, perYear, years, need } = view
  const apart = expired > 0 ? ` ${expired} more ${expired === 1 ? 'is' : 'are'} expired and not counted.` : ''
  const left = `${counted(items, 'item')} in date, with about ${numberWords(uses, 0)} uses left in all.${apart}`
  if (perYear === null || years === null)
    return [left, `No pace: ${noPaceWords(view)}. One is counted from ${LEAST_WEARS} wears on, over two weeks or more.`]
  if (items === 0) return [left, `You wear it ${numberWords(perYear, 0)} times a year.`]
  const pace = `At your pace of ${numberWords(perYear, 0)} uses a year that’s ${lastsWords(view)}.`
  const expires = `Used in the order of their use-by dates, ${expiringWords(view, currency)}.`
  const next =
    need === null || need.middle === null
      ? []
      : [
          `You’ll need a new one about ${monthAndYear(need.middle)}${need.low !== null && need.high !== null && need.low !== need.high ? `, 8 times in 10 between ${monthAndYear(need.low)} and ${monthAndYear(need.high)}` : ''}${need.low === null ? '' : `; nothing new until ${monthAndYear(need.low)}`}.`,
        ]
  return [left, pace, expires, ...next]
}

/** What it came to with only so many. */
export function keepingWords(view: SupplyView, keep: number, currency: string): string {
  const kept = view.keeping.find((each) => each.items === keep)
  if (!kept) return ''
  const expires =
    kept.expiring === 0
      ? 'none of them will expire before its turn'
      : `${kept.expiring} of them will still expire first${kept.expiringPrice > 0 ? `, with about ${moneyShort(kept.expiringPrice, currency)} left in them` : ''}`
  return `${yearsWords(kept.years)}${kept.years > 1 ? "' worth" : ' worth'}; ${expires}.`
}

/** Until when an item is good, as short as a list has room for. */
export function goodDay(lastGood: Day | null, today: Day): string {
  if (lastGood === null) return 'use-by date not known'
  return lastGood < today ? 'expired' : `use by ${monthAndYear(lastGood)}`
}
