import { counted } from '#core/words/counted'
import { nearnessOf } from '#core/colour/difference'
import type { BuyingCheckAnswer } from '#contract/buying'
import { moneyWords, numberWords } from '#web/data/locale'
import { fromNow, shortDay } from '#web/ui/words/when-words'

const MOST_YEARS = 30

export function yearsWords(years: number): string {
  if (years > MOST_YEARS) return `more than ${MOST_YEARS} years`
  if (years < 0.1) return 'less than a month'
  if (years < 1) return counted(Math.max(1, Math.round(years * 12)), 'month')
  return `${numberWords(years, years < 10 ? 1 : 0)} years`
}

/** How many like it there are, in a headline. */
export function twinsHeadline(check: BuyingCheckAnswer, asked: boolean): string {
  const { owned, unopened, category, twins } = check
  const all = `${counted(owned, category)} here${unopened > 0 ? `, ${unopened} unopened` : ''}`
  if (!asked) return all
  return `${twins === 0 ? 'No near twin' : counted(twins, 'near twin')} among the ${counted(owned, category)}`
}

/** Whether it is needed, in a headline; null where it is worn too rarely to know. */
export function needHeadline({ perYear, needed, today }: BuyingCheckAnswer): string | null {
  if (perYear === null) return null
  if (needed === null) return `Not needed within ${MOST_YEARS} years`
  if (needed <= today) return 'Needed now'
  return `Not needed before about ${shortDay(needed, today)} (${fromNow(needed, today)})`
}

/** How near each of the nearest is, and how it is used. */
export function nearestWords({ difference, worn }: BuyingCheckAnswer['nearest'][number]): string {
  return `${nearnessOf(difference)}, ${worn === 0 ? 'not worn within a year' : `${counted(worn, 'wear day')} a year`}`
}

/** Supply and what it pushes out; each sentence with its numbers. */
export function supplyLines(check: BuyingCheckAnswer): string[] {
  const { years, yearsAfter, pushedOut, perYear, category, expiringAlready } = check
  if (perYear === null || years === null || yearsAfter === null)
    return [`You wear ${category} too rarely to know your pace.`]
  const lost = pushedOut.reduce((sum, { priceMinor }) => sum + (priceMinor ?? 0), 0)
  return [
    `Lasts ${yearsWords(years)} at ${counted(perYear, 'use')} a year${
      years > MOST_YEARS ? ' as it is' : `; with it ${yearsWords(yearsAfter)}`
    }.`,
    pushedOut.length > 0
      ? `Because of it ${
          pushedOut.length === 1
            ? `${pushedOut[0]?.mark ?? ''} would expire with more left in it`
            : `${pushedOut.length} items would expire with more left in them`
        }${lost > 0 ? ` (${moneyWords(lost, check.currency)})` : ''}.`
      : expiringAlready > 0
        ? `${counted(expiringAlready, 'item')} of that type will expire before their turn as it is.`
        : '',
  ].filter(Boolean)
}

/** What a use would cost. */
export function costLine(check: BuyingCheckAnswer): string {
  const { perUse, perUseAtBest, usesGot, likelyUses, usualPerUse, currency } = check
  const usual = usualPerUse === null ? '' : ` Finished ones cost you ${moneyWords(usualPerUse, currency)} a use.`
  if (perUseAtBest === null) return `It would give about ${counted(likelyUses, 'use')}.${usual}`
  if (usesGot === 0) return `Its turn would come after it has expired: it would get no use at all.${usual}`
  if (perUse === null) return `If used up, ${moneyWords(perUseAtBest, currency)} a use.${usual}`
  return `${moneyWords(perUse, currency)} a use at your pace, which gets ${usesGot ?? 0} of about ${counted(likelyUses, 'use')} out of it.${usual}`
}

/** What a limit of hers says to it. */
export function ruleLine(rule: BuyingCheckAnswer['rules'][number], check: BuyingCheckAnswer): string {
  const until = `until ${shortDay(rule.to, check.today)}`
  if (rule.excepted) return `Your limit ${until} plans an exception for this type.`
  if (rule.replacing) return `Your limit ${until} spares what replaces something finished, and that holds here.`
  const why = rule.words === '' ? '.' : `: “${rule.words}”${/[.!?]$/.test(rule.words) ? '' : '.'}`
  return `Your limit ${until} leaves ${rule.left <= 0 ? 'nothing' : rule.left}${why}`
}
