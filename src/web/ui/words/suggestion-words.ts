import type { Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import type { SuggestionView } from '#contract/today'
import { shortDay, spanWords, timesWords } from './when-words'
import { shortName, usesWords } from './item-words'

/** Why to reach for it, in one short sentence. `items` names the others it speaks of. */
export function suggestionWords(
  { reason }: SuggestionView,
  items: ReadonlyMap<string, ListedItem>,
  today: Day,
): string {
  const other = (id: string): string => {
    const item = items.get(id)
    return item ? shortName(item) : 'the other one'
  }
  switch (reason.code) {
    case 'behind':
      return reason.uses > 0
        ? `${usesWords(reason.uses)} behind for ${reason.project}.`
        : `Behind for ${reason.project}.`
    case 'out-of-reach':
      return reason.usesLeft === null
        ? `Out of reach by its date for ${reason.project}.`
        : `${usesWords(reason.usesLeft)} to go, out of reach for ${reason.project}.`
    case 'spoils-soonest':
      return reason.daysLeft <= 90
        ? `Spoils soon: good to ${shortDay(reason.day, today)}.`
        : `Good only to ${shortDay(reason.day, today)}.`
    case 'planned':
      return `The plan has it ${timesWords(reason.planned)} this week; ${reason.worn === 0 ? 'not worn yet' : `worn ${timesWords(reason.worn)}`}.`
    case 'nearly-done':
      return reason.usesLeft !== null
        ? `Nearly done: ${usesWords(reason.usesLeft)} to its goal.`
        : `Nearly done: about ${Math.round((reason.left ?? 0) * 100)} % left.`
    case 'in-project':
      return reason.usesLeft === null
        ? `For ${reason.project}.`
        : `${usesWords(reason.usesLeft)} to go for ${reason.project}.`
    case 'unworn-longest':
      return reason.everWorn
        ? `Unworn for ${spanWords(reason.days)}.`
        : `In the drawer for ${spanWords(reason.days)}, not worn yet.`
    case 'less-far-along':
      return `Less far along than ${other(reason.thanItemId)}.`
    case 'like-your-clothes':
      return `${reason.tone === 'warm' ? 'Warm' : reason.tone === 'cool' ? 'Cool' : 'Neutral'}, like your clothes.`
    case 'for-the-season':
      return `A shade for ${reason.season}.`
    case 'for-the-occasion':
      return `You often wear it for ${reason.occasion}.`
    case 'goes-with':
      return `Goes with ${other(reason.withItemId)}.`
    case 'in-date-sunscreen':
      return 'Sunscreen first; this one is in date.'
  }
}
