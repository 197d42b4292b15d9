import { plainWords } from './columns.js'

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

function singulars(words: string): string[] {
  const found = [words]
  if (words.endsWith('ies')) found.push(`${words.slice(0, -3)}y`)
  if (words.endsWith('es')) found.push(words.slice(0, -2))
  if (words.endsWith('s')) found.push(words.slice(0, -1))
  return found
}
