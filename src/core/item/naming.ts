import { groupBy } from '../lists/grouping.js'
/** What a name is made of. */
export interface Nameable {
  readonly maker: string
  readonly name: string
  readonly shade: string
  readonly category: string
}

/** How an item is called where its picture shows what it is: by its shade, else its name. */
export function shortNameOf(item: Pick<Nameable, 'name' | 'shade'>): string {
  return item.shade === '' ? item.name : item.shade
}

/**
 * How a thing is called among hundreds: maker, shade (else name) and kind. What the name says already is not said twice.
 *
 * @example callOf({ maker: 'Pellwick', name: 'Powder Blush', shade: 'Rust Bloom', category: 'Blush' }) === 'Pellwick Rust Bloom blush'
 */
export function callOf(item: Nameable): string {
  const short = shortNameOf(item)
  const kind = item.category.toLowerCase()
  const says = (word: string): boolean => short.toLowerCase().includes(word)
  const called = says(kind) ? short : `${short} ${kind}`
  return item.maker === '' || says(item.maker.toLowerCase()) ? called : `${item.maker} ${called}`
}

/** A fact that can tell twins apart, the first that does being told. */
export type TwinFact<T> = (item: T) => string

/**
 * What has to be added to each name so that no two items of a list are called the same, by id: the first of the facts in
 * which they differ. Those that no fact tells apart are numbered.
 */
export function tellTwinsApart<T extends Nameable & { readonly id: string }>(
  items: readonly T[],
  facts: readonly TwinFact<T>[],
): Map<string, string> {
  const added = new Map<string, string>()
  for (const twins of groupBy(items, callOf).values()) {
    if (twins.length < 2) continue
    const fact = facts.find((tell) => new Set(twins.map(tell)).size === twins.length)
    const best = fact ?? facts.find((tell) => new Set(twins.map(tell)).size > 1)
    const seen = new Map<string, number>()
    for (const twin of twins) {
      const told = best?.(twin) ?? ''
      const before = seen.get(told) ?? 0
      seen.set(told, before + 1)
      const alike = twins.filter((each) => (best?.(each) ?? '') === told).length
      added.set(twin.id, alike === 1 ? told : [told, `no. ${before + 1}`].filter(Boolean).join(', '))
    }
  }
  return added
}
