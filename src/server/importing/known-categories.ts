import type { KnownCategory } from '#core/formats/sheet/category-match'
import { CATEGORY_DEFAULTS } from '#core/item/category-defaults'

const DEFAULT_WORDS = new Map(CATEGORY_DEFAULTS.map((category) => [category.id, category.words]))

/**
 * The user's categories with every word a sheet may use for them: the user's own, and those this version knows for the defaults, since a
 * collection keeps the words of the version it was made with.
 */
export function knownCategories(rows: readonly { id: string; name: string; words: string }[]): KnownCategory[] {
  return rows.map(({ id, name, words }) => ({
    id,
    name,
    words: [...new Set([...(JSON.parse(words) as string[]), ...(DEFAULT_WORDS.get(id) ?? [])])],
  }))
}
