import type { Day } from '#core/calendar/day'
import type { ItemSummary, ListedItem } from '#contract/item'
import { rangeWords, shortDay } from './when-words'
import { dateWords, dayFormat } from '#web/data/locale'
import { counted } from '#core/words/counted'

const short = dayFormat({ month: 'short', year: 'numeric' })

/** "Use by 2 Mar", "use by some day between 1 Jan 2027 and 31 Dec 2027", "expired 1 Sep", "use-by date not known". */
export function goodTo(item: ListedItem, today: Day): string {
  const { state, actOn, lastGood } = item.shelfLife
  if (state === 'sign seen') return 'gone off'
  if (actOn === null || lastGood === null) return 'use-by date not known'
  if (lastGood.earliest === lastGood.latest)
    return `${state === 'past' ? 'expired' : 'use by'} ${shortDay(actOn, today)}`
  const ends = lastGood.latest < today ? 'expired' : 'use by some day'
  return `${ends} between ${shortDay(lastGood.earliest, today)} and ${shortDay(lastGood.latest, today)}`
}

/** The same as short as a row has room for: "use by Jan to Mar 2028". */
export function goodToShort(item: ListedItem, today: Day): string {
  const { lastGood, actOn, state } = item.shelfLife
  if (actOn === null || lastGood === null || state === 'sign seen' || lastGood.earliest === lastGood.latest)
    return goodTo(item, today)
  const [from, to] = [short(lastGood.earliest), short(lastGood.latest)]
  return `${lastGood.latest < today ? 'expired' : 'use by'} ${from === to ? from : `${from} to ${to}`}`
}

/** Why that is its last good day, in a sentence with its inputs. */
export function reasonWords({ reason, lastGood }: Pick<ItemSummary['shelfLife'], 'reason' | 'lastGood'>): string {
  switch (reason.code) {
    case 'sign':
      return `You noticed: ${reason.words}. A sign counts more than any date.`
    case 'printed-expiry':
      return `The printed date, ${lastGood ? dateWords(lastGood.latest) : ''}, comes first.`
    case 'pao':
      return `Opened ${opened(reason)}; the label says ${periodWords(reason.period)} after opening.`
    case 'usual-pao':
      return `Opened ${opened(reason)}; the label isn’t known, ${periodWords(reason.period)} is usual for its type.`
    case 'unopened':
      return `Unopened and undated: ${counted(reason.months, 'month')} from ${dateWords(reason.bought)}, when you got it.`
    case 'opening-unknown':
      if (reason.notBefore === null && reason.notAfter === null)
        return 'We don’t know when it was opened, so we don’t know its use-by date either.'
      return `Opened ${betweenWords(reason.notBefore, reason.notAfter)}; that isn’t close enough to tell.`
    case 'purchase-unknown':
      return `Unopened, with no printed date and no purchase date: we can’t say.`
  }
}

/** What a lapsed filter means, or null. */
export function sunWords(sun: ItemSummary['shelfLife']['sun']): string | null {
  if (sun === null || !sun.lapsed || sun.lastDay === null) return null
  return `Filter lapsed ${dateWords(sun.lastDay)}: no longer counts as sun protection. Wear another that is in date.`
}

function opened(reason: { openedEarliest: Day; openedLatest: Day }): string {
  return rangeWords({ earliest: reason.openedEarliest, latest: reason.openedLatest })
}

function periodWords({ unit, count }: { unit: 'months' | 'days'; count: number }): string {
  return counted(count, unit === 'months' ? 'month' : 'day')
}

/** A day known from one side only, or from both. */
function betweenWords(notBefore: Day | null, notAfter: Day | null): string {
  if (notBefore !== null && notAfter !== null) return rangeWords({ earliest: notBefore, latest: notAfter })
  return notBefore !== null
    ? `some time after ${dateWords(notBefore)}`
    : `some time before ${dateWords(notAfter as Day)}`
}
