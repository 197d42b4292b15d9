import type { Destination } from '#core/decide/verdict'
import type { ListedItem } from '#contract/item'

/** Why a thing is not passed on, by its kind; nothing where it may be. Hygiene: common practice, no source. */
export function destinationCaution(
  item: Pick<ListedItem, 'eye' | 'lifecycle' | 'shelfLife'> & { readonly lip?: boolean },
  destinations: readonly Destination[],
): string {
  if (destinations.includes('give')) return destinations.includes('donate') ? '' : 'Donations are taken unopened only.'
  if (item.shelfLife.state === 'past' || item.shelfLife.state === 'sign seen')
    return 'What is spoiled is not passed on to anybody.'
  return item.eye
    ? 'It was used at the eye: it is not passed on, whoever asks.'
    : 'It was used at the lips: it is not passed on, whoever asks.'
}
