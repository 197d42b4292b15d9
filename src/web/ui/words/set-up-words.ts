import type { Day } from '#core/calendar/day'
import { counted, plural } from '#core/words/counted'
import type { SetUpAnswer } from '#contract/forecast'
import { usesWords } from './item-words'
import { shortDay } from './when-words'

type Kind = SetUpAnswer['kinds'][number]

/**
 * Whether it adds up, with the sum: "2 lipsticks need about 118 uses by 31 Dec; …". `late` = some of it won't be done in time at the
 * user's pace, which is said beside it: then only that the days are enough.
 */
export function addsUpWords(kind: Kind, by: Day, today: Day, late: boolean): string {
  const { items, already, category, zone, needed, days } = kind
  const all = items + already
  const what = `${counted(all, category)}${already > 0 ? ` (${already} already in)` : ''}`
  const span =
    needed.low < needed.middle || needed.high > needed.middle ? `, likely ${needed.low} to ${needed.high}` : ''
  const sum = `${what} ${plural(all, 'needs')} about ${usesWords(needed.middle)} by ${shortDay(by, today)}${span}; until then you likely wear something from ${zone} on ${counted(days, 'day')}.`
  const fits = late ? 'There are enough days for it.' : 'That adds up.'
  return `${sum} ${kind.fits ? fits : `That’s more than there ${plural(days, 'is')}${waysOut(kind, today)}.`}`
}

/** What would make it possible. */
function waysOut({ items, already, fewer, usesEach, counted: isCounted, enoughOn }: Kind, today: Day): string {
  const ways = [
    ...(fewer >= 1 && fewer < items + already ? [`${fewer} of them`] : []),
    ...(isCounted && usesEach >= 1 ? [`${usesWords(usesEach)} each`] : []),
    ...(enoughOn === null ? [] : [`the same until ${shortDay(enoughOn, today)}`]),
  ]
  return ways.length === 0 ? '' : `: ${ways.join(', or ')} would do`
}
