import type { ListedItem } from '#contract/item'
import { dateWords } from '#web/data/locale'

/** Where an item is, as the rest of a sentence about it: "in the backups box". */
export function locationWords(item: Pick<ListedItem, 'placement' | 'location' | 'restingUntil' | 'lifecycle'>): string {
  if (item.placement !== null) return item.placement.beside ? 'beside the drawer' : 'in the drawer'
  switch (item.location) {
    case 'season box':
      return item.restingUntil === null
        ? 'in the season box'
        : `in the season box until ${dateWords(item.restingUntil)}`
    case 'travel':
      return 'in the travel bag'
    case 'handbag':
      return 'in the handbag'
    case 'backups box':
      return 'in the backups box'
    default:
      if (item.lifecycle === 'unopened') return 'unopened, stored away'
      return item.restingUntil === null ? 'resting' : `resting until ${dateWords(item.restingUntil)}`
  }
}
