import type { Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import type { ReasonView } from '#contract/today'
import { shortName, usesWords } from './item-words'
import { monthWords, shortDay, spanWords, timesWords } from './when-words'

/** Within this many days of its use-by date it is soon. */
const SOON_DAYS = 90

/** Why an item is proposed, in one short sentence. `items` names the others it speaks of. */
export function whyWords(reason: ReasonView, items: ReadonlyMap<string, ListedItem>, today: Day): string {
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
        ? `Can’t be done by its date for ${reason.project}.`
        : `${usesWords(reason.usesLeft)} to go: can’t be done by its date.`
    case 'expires':
      return `${reason.daysLeft <= SOON_DAYS ? 'Expires soon: use' : 'Use'} by ${shortDay(reason.day, today)}.`
    case 'planned':
      return `Planned ${timesWords(reason.planned)} this week; ${reason.worn === 0 ? 'not worn yet' : `worn ${timesWords(reason.worn)}`}.`
    case 'planned-in':
      return `In your plan for ${monthWords(reason.month, today)}.`
    case 'nearly-there':
      return `Nearly there: ${usesWords(reason.usesLeft)} to its goal.`
    case 'little-left':
      return `Nearly finished: about ${Math.round(reason.left * 100)} % left.`
    case 'in-project':
      return reason.usesLeft === null
        ? `For ${reason.project}.`
        : `${usesWords(reason.usesLeft)} to go for ${reason.project}.`
    case 'unworn':
      if (reason.everWorn) return `Not worn for ${spanWords(reason.days)}.`
      return reason.inDrawer ? `In the drawer for ${spanWords(reason.days)}, not worn yet.` : 'Not worn yet.'
    case 'liked':
      return reason.liking === 5 ? 'You love it.' : 'You like it.'
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
    case 'most-used':
      return `Worn ${timesWords(reason.uses)}.`
    case 'open-long':
      return `Open for ${spanWords(reason.days)} already.`
    case 'crowded':
      return `One of ${reason.count} open ones of its type.`
    case 'only-one':
      return 'The only one of its type in date.'
    case 'open':
      return 'Open.'
    case 'up-next':
      return `Number ${reason.place} of what’s up next${reason.words === '' ? '.' : `: ${reason.words}`}`
    case 'next-in-sweep':
      return `Next of its type: ${usesWords(reason.uses)} so far.`
  }
}
