import type { ItemFacts } from './item-facts.js'

/** Its uses in all; null where it was open before the log and nobody said how often it was used. */
export function knownUses(item: Pick<ItemFacts, 'usesBefore' | 'opening' | 'uses'>): number | null {
  return item.usesBefore === null && item.opening.kind !== 'unopened' && item.opening.by !== 'tick' ? null : item.uses
}
