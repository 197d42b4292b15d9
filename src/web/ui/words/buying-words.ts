import type { Day } from '#core/calendar/day'
import { counted, plural } from '#core/words/counted'
import type { BuyingAnswer, RuleView } from '#contract/buying'
import { fromNow, shortDay } from './when-words'

/** "No-buy from 1 Sep to 12 Dec", "Low-buy of 3 lipsticks …". */
export function ruleTitle({ most, from, to, category }: RuleView, today: Day): string {
  const what = most === 0 ? 'No-buy' : `Low-buy of ${most}`
  return `${what}${category === null ? '' : `, ${plural(2, category)} only`}, ${shortDay(from, today)} to ${shortDay(to, today)}`
}

/** The plain count of a limit, and what it leaves out. */
export function ruleSentences(rule: RuleView, today: Day): string[] {
  const { state, counted: bought, left, most, excepted, replacing, unsure, sourceUnknown, exceptions, to } = rule
  const n = bought.length
  const standing =
    state === 'to come'
      ? `It begins ${fromNow(rule.from, today)}.`
      : n === 0
        ? state === 'over'
          ? 'Nothing was bought: it was kept.'
          : `Nothing bought so far; it ends ${fromNow(to, today)}.`
        : `${counted(n, 'item')} bought${most > 0 ? ` of ${most}` : ''}${
            left < 0 ? `, ${-left} more than planned` : left > 0 && state === 'in force' ? `; ${left} left` : ''
          }.`
  const open = exceptions.filter((each) => each.left > 0).map((each) => each.category)
  return [
    standing,
    excepted > 0 ? `${counted(excepted, 'planned exception')} used.` : '',
    open.length > 0 && state !== 'over' ? `Still planned: ${open.join(', ')}.` : '',
    replacing > 0
      ? `${counted(replacing, 'item')} replaced something finished, and ${plural(replacing, 'is')} not counted.`
      : '',
    unsure > 0 ? `${counted(unsure, 'item')} may have been bought before it began or after it ended; not counted.` : '',
    sourceUnknown > 0
      ? `${counted(sourceUnknown, 'item')} came meanwhile without a word on whether ${sourceUnknown === 1 ? 'it was' : 'they were'} bought; not counted.`
      : '',
  ].filter(Boolean)
}

/** Why something is to be bought again, and by when. */
export function againWords(each: BuyingAnswer['replacements'][number], today: Day): string {
  const why = each.againWhy ? ` (“${each.againWhy}”)` : ''
  if (each.finished) return `finished, and you would buy it again${why}`
  const { low = null, middle = null } = each.needed ?? {}
  const when =
    middle === null
      ? ''
      : low === null
        ? `about ${shortDay(middle, today)}`
        : `between ${shortDay(low, today)} and ${shortDay(middle, today)}`
  return `the last one in use, needed ${when}${why}`
}
