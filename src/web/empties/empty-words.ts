import type { EmptyView } from '#contract/ending'
import { counted } from '#core/words/counted'
import { dateWords, moneyWords } from '#web/data/locale'
import { usesWords } from '#web/ui/words/item-words'
import { spanRangeWords, spanWords } from '#web/ui/words/when-words'

export const AGAIN_WORDS: Readonly<Record<NonNullable<EmptyView['wouldBuyAgain']>, string>> = {
  yes: 'would buy again',
  no: 'would not buy again',
  maybe: 'maybe again',
  'have a backup': 'has a backup already',
  discontinued: 'can’t be bought again',
}

/** When it was finished, its uses, its time and what a use cost. */
export function emptyFacts({ item, day, daysInUse, costPerUse }: EmptyView, currency: string): string {
  const time =
    daysInUse === null ? 'time in use not known' : `${spanRangeWords(daysInUse.least, daysInUse.most)} in use`
  const cost = costPerUse === null ? '' : `${moneyWords(costPerUse, currency)} a use`
  const on = item.endedRoughly ? `by ${dateWords(day)}` : dateWords(day)
  return [on, usesWords(item.uses), time, cost].filter(Boolean).join(' · ')
}

/** Within this of her middle, a time or a cost is as usual. Assumption. */
const AS_USUAL = 0.1

/** Its time and its cost a use against her own middle of the category. */
export function againstWords({ item, daysInUse, costPerUse, against }: EmptyView, currency: string): string {
  if (against === null || daysInUse === null || item.endedRoughly) return ''
  const days = (daysInUse.least + daysInUse.most) / 2
  const off = (mine: number, usual: number, less: string, more: string): string =>
    Math.abs(mine / usual - 1) <= AS_USUAL ? 'as usual' : mine < usual ? `${less} than usual` : `${more} than usual`
  const middle = spanWords(Math.round(against.days))
  const time = `In use ${off(days, against.days, 'shorter', 'longer')}: the middle of your ${counted(against.of, item.category)} is ${middle}`
  if (costPerUse === null || against.cost === null) return `${time}.`
  return `${time}. A use cost ${off(costPerUse, against.cost, 'less', 'more')}: that is ${moneyWords(against.cost, currency)}.`
}

/** What ended it, and what remained. */
export function endedWords({ endedBy, remained }: EmptyView): string {
  const left = remained === null ? '' : `, with about ${Math.round(remained * 100)} % in it`
  switch (endedBy) {
    case null:
      return ''
    case 'nothing comes out':
      return 'To the last drop: nothing comes out any more.'
    case 'cannot be reached':
      return `What is left can’t be reached${left}.`
    case 'counted early':
      return `Counted as empty a little early${left}.`
    case 'spoiled':
      return `It went off before the end${left}.`
  }
}
