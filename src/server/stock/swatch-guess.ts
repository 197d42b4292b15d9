import { colornames } from 'color-name-list/bestof'
import { guessSwatch, type Worded } from '#core/colour/guess-swatch'
import { plainWords } from '#core/words/plain-words'

/** Colours by plain name; made when the first item without a swatch is looked at. */
let names: Map<string, string> | null = null
/** Guesses made before, by what they were made from. */
const guesses = new Map<string, string>()
/** Beyond this many the memory of them is begun anew. */
const MOST_KEPT = 20_000

/** The colour an item without a swatch probably has. */
export function swatchGuess(worded: Worded): string {
  const key = `${worded.kind}\n${worded.shade}\n${worded.name}`
  const known = guesses.get(key)
  if (known !== undefined) return known
  if (guesses.size >= MOST_KEPT) guesses.clear()
  const guess = guessSwatch(worded, named)
  guesses.set(key, guess)
  return guess
}

function named(plain: string): string | null {
  names ??= new Map(colornames.map(({ name, hex }) => [plainWords(name), hex.toLowerCase()]))
  return names.get(plain) ?? null
}
