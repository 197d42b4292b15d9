import type { Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import { stateWords } from './gauge-words'
import { callIt } from './item-words'
import { goodTo } from './shelf-life-words'

/** What is to be minded before things that are over are worn on trial; nothing where none is. */
export function trialCaution(items: readonly ListedItem[], today: Day): string {
  const over = items.filter(({ shelfLife }) => shelfLife.state === 'past' || shelfLife.state === 'sign seen')
  if (over.length === 0) return ''
  const told = over.map((item) => {
    const name = items.length === 1 ? 'It' : callIt(item)
    return `${name} is ${stateWords(item)}${item.shelfLife.state === 'past' ? ` (${goodTo(item, today)})` : ''}`
  })
  const eyes = over.some(({ eye }) => eye) ? ' Don’t wear expired items at the eye, on trial or not.' : ''
  const others = over.some(({ eye }) => !eye)
    ? ' Look and smell first; stop at the first sign that it has gone off.'
    : ''
  return `${told.join('; ')}.${eyes}${others}`
}
