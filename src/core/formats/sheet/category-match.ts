import { plainWords } from '../../words/plain-words.js'

export interface KnownCategory {
  readonly id: string
  readonly name: string
  readonly words: readonly string[]
}

/**
 * The category that a cell means: its name or another word for it, in any case, singular or
 * plural ("lip glosses", "blushs", "BRONZERS"). Null when none is meant.
 */
export function matchCategory(cell: string, categories: readonly KnownCategory[]): string | null {
  const spellings = singulars(plainWords(cell))
  for (const spelling of spellings)
    for (const category of categories)
      if ([category.name, ...category.words].some((word) => plainWords(word) === spelling)) return category.id
  return null
}

/**
 * The category that a product's name tells ("Low Tide setting powder"): the longest category word that stands in it,
 * the last one where two are as long. Null when it tells none.
 */
export function categoryInName(name: string, categories: readonly KnownCategory[]): string | null {
  const words = plainWords(name).split(' ')
  for (let length = Math.min(4, words.length); length > 0; length -= 1)
    for (let from = words.length - length; from >= 0; from -= 1) {
      const found = matchCategory(words.slice(from, from + length).join(' '), categories)
      if (found !== null) return found
    }
  return null
}

function singulars(words: string): string[] {
  const found = [words]
  if (words.endsWith('ies')) found.push(`${words.slice(0, -3)}y`)
  if (words.endsWith('es')) found.push(words.slice(0, -2))
  if (words.endsWith('s') || words.endsWith('e') || words.endsWith('n')) found.push(words.slice(0, -1))
  return found
}
