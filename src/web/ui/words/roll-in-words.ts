import type { Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import type { RollInReasonView } from '#contract/projects'
import { usesWords } from './item-words'
import { monthWords, shortDay, spanWords } from './when-words'

/** Why an item would do for a project, in a sentence. */
export function rollInWords(reason: RollInReasonView, item: ListedItem, today: Day): string {
  switch (reason.code) {
    case 'planned':
      return `The plan lays it in for ${monthWords(reason.month, today)}.`
    case 'spoils-soon':
      return `Spoils soon: good to ${shortDay(reason.day, today)}.`
    case 'nearly-done':
      return `A quick win: about ${Math.round(reason.left * 100)} % left.`
    case 'liked-but-neglected':
      return `You like it, and it has lain for ${spanWords(reason.days)}.`
    case 'open-long':
      return `Open for ${spanWords(reason.days)} already.`
    case 'crowded':
      return `One of ${reason.count} open in ${item.category}.`
    case 'short-listed':
      return reason.words === '' ? 'On your short list.' : `On your short list: ${reason.words}`
    case 'next-in-sweep':
      return `Next in the category: ${usesWords(reason.uses)} so far.`
  }
}
