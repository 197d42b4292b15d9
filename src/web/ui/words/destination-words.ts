import type { Destination } from '#core/decide/verdict'
import type { ListedItem } from '#contract/item'

/** What to mind before an item is passed on, or why it isn't; nothing of an unopened one. Hygiene: common practice, no source. */
export function destinationCaution(
  item: Pick<ListedItem, 'eye' | 'lifecycle' | 'shelfLife'> & { readonly lip?: boolean },
  destinations: readonly Destination[],
): string {
  if (destinations.includes('give'))
    return item.lifecycle === 'unopened'
      ? ''
      : 'It’s used: only for someone who accepts that. Clean it first, and say how long it has been open.'
  if (item.shelfLife.state === 'past' || item.shelfLife.state === 'sign seen')
    return 'Items that have gone off aren’t passed on.'
  return item.eye ? 'Used at the eye: it isn’t passed on to anyone.' : 'Used on the lips: it isn’t passed on to anyone.'
}
