import type { GoneView, LettingGoAnswer } from '#contract/deciding'
import { counted } from '#core/words/counted'
import { dateWords, moneyWords, numberWords } from '#web/data/locale'

/** Where a thing went, why, and what was likely left in it. */
export function goneWords(row: GoneView, currency: string): string {
  const left = [
    row.grams === null ? '' : `${numberWords(row.grams, row.grams < 1 ? 2 : 1)} g`,
    row.lost === null ? '' : moneyWords(row.lost, currency),
  ].filter(Boolean)
  return [
    row.handedOn === null
      ? `let go on ${dateWords(row.day)}`
      : [row.destination, row.toWhom].filter(Boolean).join(', '),
    row.why === null ? '' : `mostly ${row.why}`,
    row.reason.replace(/\.$/, ''),
    left.length === 0 ? '' : `about ${left.join(', ')} unused`,
  ]
    .filter(Boolean)
    .join(' · ')
}

/** That it is missed, since when and why. */
export function regretWords({ regretOn, regretWords: words }: GoneView): string {
  if (regretOn === null) return ''
  return `Missed since ${dateWords(regretOn)}${words === '' ? '.' : `: ${words}${/[.!?]$/.test(words) ? '' : '.'}`}`
}

/** The sums of a reason, with what they leave out. */
export function reasonSum(
  row: LettingGoAnswer['reasons'][number],
  currency: string,
): { readonly money: string; readonly grams: string } {
  const without = (n: number, what: string): string => (n === 0 ? '' : ` (${counted(n, 'item')} without ${what})`)
  return {
    money:
      row.unpriced === row.items
        ? 'no price known'
        : `${moneyWords(row.lost, currency)}${without(row.unpriced, 'a price')}`,
    grams:
      row.gramsUnknown === row.items
        ? 'no size known'
        : `${numberWords(row.grams, 1)} g${without(row.gramsUnknown, 'a size')}`,
  }
}
