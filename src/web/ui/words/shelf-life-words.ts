import type { Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import { dateWords, rangeWords, shortDay } from './when-words'

/** "Good to 2 Mar", "past since 1 Sep", "not known". */
export function goodTo(item: ItemSummary, today: Day): string {
  const { state, actOn, lastGood } = item.shelfLife
  if (state === 'sign seen') return 'spoiled'
  if (actOn === null || lastGood === null) return 'not known'
  const about = lastGood.earliest === lastGood.latest ? '' : 'about '
  return state === 'past' ? `past since ${about}${shortDay(actOn, today)}` : `good to ${about}${shortDay(actOn, today)}`
}

/** Why that is its last good day, in a sentence with its inputs. */
export function reasonWords(item: ItemSummary): string {
  const { reason, lastGood } = item.shelfLife
  switch (reason.code) {
    case 'sign':
      return `You noticed: ${reason.words}. A sign counts above any date.`
    case 'printed-expiry':
      return `The printed date, ${lastGood ? dateWords(lastGood.latest) : ''}, comes first.`
    case 'pao':
      return `Opened ${opened(reason)}; the label says ${reason.months} months after opening.`
    case 'usual-pao':
      return `Opened ${opened(reason)}; the label is not known, ${reason.months} months is usual for its kind.`
    case 'unopened':
      return `Unopened and undated: ${reason.months} months from ${dateWords(reason.bought)}, when you got it.`
    case 'opening-unknown':
      return reason.openedEarliest === null
        ? 'When it was opened is not known, so its last good day is not either.'
        : `Opened some time after ${dateWords(reason.openedEarliest)}; that is not close enough to tell.`
    case 'purchase-unknown':
      return `Unopened, with no printed date and no day of purchase: nothing to reckon from.`
  }
}

/** What a lapsed filter means, or null. */
export function sunWords(item: ItemSummary): string | null {
  const { sun } = item.shelfLife
  if (sun === null || !sun.lapsed || sun.lastDay === null) return null
  return `Filter lapsed ${dateWords(sun.lastDay)}: no longer counts as sun protection. Wear another that is in date.`
}

function opened(reason: { openedEarliest: Day; openedLatest: Day }): string {
  return rangeWords({ earliest: reason.openedEarliest, latest: reason.openedLatest })
}
