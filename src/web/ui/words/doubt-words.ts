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
      return `A sign that it is over, noted on ${shortDay(doubt.day, today)}: “${doubt.words}”.`
    case 'past at the eye':
      return `It is worn at the eye, and its last good day was ${shortDay(doubt.lastGood, today)}, ${spanWords(doubt.daysPast)} ago.`
    case 'past':
      return `Its last good day was ${shortDay(doubt.lastGood, today)}, ${spanWords(doubt.daysPast)} ago.`
    case 'soon past':
      return doubt.daysLeft === 0
        ? `Today is its last good day.`
        : `Good until ${shortDay(doubt.lastGood, today)}, ${spanWords(doubt.daysLeft)} from now.`
    case 'not reached for':
      return `Worn on ${doubt.reached} of the ${counted(doubt.chances, 'wear day')} of the last year on which it lay within reach${
        doubt.equalShare >= 1 ? `; an equal share among its like would have been ${Math.round(doubt.equalShare)}` : ''
      }.`
    case 'unworn':
      return doubt.everWorn
        ? `Not worn for ${spanWords(doubt.days)}.`
        : `Never worn in the log, which knows it for ${spanWords(doubt.days)}.`
    case 'put back':
      return `Held up and put back ${doubt.times} times since it was last worn.`
    case 'survived':
      return `Passed over in ${doubt.clearOuts} layings of the drawer without being worn since.`
    case 'spoils first':
      return `At your pace it will expire before its turn comes: ${
        doubt.lastGood === null ? '' : `good until ${shortDay(doubt.lastGood, today)}, and `
      }there are ${doubt.ofCategory} in date of its type.`
    case 'twin':
      return `${nearnessOf(doubt.difference) === 'hard to tell apart' ? 'By swatch hard to tell from' : 'By swatch a near twin of'} ${
        doubt.other
      }, ${
        doubt.otherWorn > doubt.worn
          ? `worn on ${counted(doubt.otherWorn, 'day')} in the last year against ${doubt.worn}${doubt.otherLiked ? ', and liked better' : ''}`
          : 'which you like better'
      }.`
    case 'only mixed':
      return doubt.said
        ? 'By your own word it is good only when mixed.'
        : `Only ever worn mixed, all ${doubt.wears} times.`
    case 'package':
      return `Its package: ${doubt.states.join(', ')}.`
    case 'out of season':
      return `It is for ${doubt.seasons.join(' and ')}, and ${
        doubt.days === null ? 'the log never saw it worn' : `has not been worn for ${spanWords(doubt.days)}`
      }.`
  }
}

/** What is offered first, as an act. */
export const OFFER_WORDS: Readonly<Record<DoubtOffer, string>> = {
  stop: 'Stop and let go',
  'use it first': 'Use it first',
  'try it': 'Try it properly',
  'use it up as something else': 'Use it up otherwise',
  'let go': 'Let it go',
}

/** What a leaning means. */
export const LEANING_WORDS: Readonly<Record<Leaning, string>> = {
  thrift: 'thrift',
  joy: 'joy',
}
