import type { Day } from '#core/calendar/day'
import { nearnessOf } from '#core/colour/difference'
import type { DoubtOffer, Leaning } from '#core/decide/doubts'
import { counted } from '#core/words/counted'
import type { DoubtView } from '#contract/deciding'
import { shortDay, spanWords } from './when-words'

/** One fact that makes a thing deserve a decision, as a sentence with its numbers. */
export function doubtWords(doubt: DoubtView, today: Day): string {
  switch (doubt.code) {
    case 'reaction':
      return `You noted “${doubt.words}” on ${shortDay(doubt.day, today)}: that is the skin or the eye speaking.`
    case 'sign':
      return `It has gone off, you noted on ${shortDay(doubt.day, today)}: “${doubt.words}”.`
    case 'past at the eye':
      return `It’s worn at the eye, and its use-by date was ${shortDay(doubt.lastGood, today)}, ${spanWords(doubt.daysPast)} ago.`
    case 'past':
      return `Its use-by date was ${shortDay(doubt.lastGood, today)}, ${spanWords(doubt.daysPast)} ago.`
    case 'soon past':
      return doubt.daysLeft === 0
        ? `Today is its use-by date.`
        : `Good until ${shortDay(doubt.lastGood, today)}, ${spanWords(doubt.daysLeft)} from now.`
    case 'not reached for':
      return `Worn on ${doubt.reached} of the ${counted(doubt.chances, 'wear day')} it was in the drawer in the last year${
        doubt.equalShare >= 1 ? `; an equal share among its like would have been ${Math.round(doubt.equalShare)}` : ''
      }.`
    case 'unworn':
      return doubt.everWorn
        ? `Not worn for ${spanWords(doubt.days)}.`
        : `Not worn once in ${spanWords(doubt.days)} of records.`
    case 'put back':
      return `Considered and not used ${doubt.times} times since you last wore it.`
    case 'survived':
      return `Passed over in ${doubt.clearOuts} layings of the drawer without being worn since.`
    case 'spoils first':
      return `At your pace it will expire before its turn comes: ${
        doubt.lastGood === null ? '' : `good until ${shortDay(doubt.lastGood, today)}, and `
      }there are ${doubt.ofCategory} in date of its type.`
    case 'twin':
      return `${nearnessOf(doubt.difference) === 'hard to tell apart' ? 'By swatch, hard to tell from' : 'By swatch a near twin of'} ${
        doubt.other
      }, ${
        doubt.otherWorn > doubt.worn
          ? `worn on ${counted(doubt.otherWorn, 'day')} in the last year against ${doubt.worn}${doubt.otherLiked ? ', and liked better' : ''}`
          : 'which you like better'
      }.`
    case 'only mixed':
      return doubt.said ? 'You said it’s good only when mixed.' : `Only ever worn mixed, all ${doubt.wears} times.`
    case 'package':
      return `Its package: ${doubt.states.join(', ')}.`
    case 'out of season':
      return `It’s for ${doubt.seasons.join(' and ')}, and ${
        doubt.days === null ? 'it was never worn' : `has not been worn for ${spanWords(doubt.days)}`
      }.`
  }
}

/** What is offered first, as an act. */
export const OFFER_WORDS: Readonly<Record<DoubtOffer, string>> = {
  stop: 'Stop and let go',
  'use it first': 'Use it first',
  'try it': 'Put it on trial',
  'use it up as something else': 'Use it up another way',
  'let go': 'Remove',
}

/** What a leaning means. */
export const LEANING_WORDS: Readonly<Record<Leaning, string>> = {
  thrift: 'thrift',
  joy: 'joy',
}
