import { parseWhen, type DateOrder } from '../../calendar/when.js'
import { parseLabelAmount } from '../../quantity/label-amount.js'
import { currencyNamed } from '../../quantity/money.js'
import { parsePao } from '../../shelf-life/printed-expiry.js'
import { saysNothing } from './cell-words.js'
import { matchCategory, type KnownCategory } from './category-match.js'
import type { SheetField } from './header-words-data.js'
import { plainWords } from '../../words/plain-words.js'

/** This share of the filled cells must show a meaning before it is believed. Assumption. */
const ENOUGH = 0.6
/** Cells looked at. */
const SAMPLE = 300
/** A column whose values repeat this much names brands rather than products. Assumption. */
const REPEATS = 0.7

/**
 * Gives columns that no header explains a meaning by what stands in them: categories, sizes with units, prices with their
 * sign, periods after opening, dates (two: bought before opened). When no header names the product, the words that repeat
 * are brands and those that do not are names. `meanings` is what the headers said.
 */
export function guessByContent(
  meanings: readonly (SheetField | null)[],
  rows: readonly (readonly string[])[],
  categories: readonly KnownCategory[],
  order: DateOrder,
): (SheetField | null)[] {
  const guessed = [...meanings]
  const cells = (at: number): string[] =>
    rows
      .slice(0, SAMPLE)
      .map((row) => (row[at] ?? '').trim())
      .filter((cell) => !saysNothing(cell))
  const give = (field: SheetField, shows: (cell: string) => boolean): void => {
    if (guessed.includes(field)) return
    const at = guessed.findIndex((meaning, column) => {
      if (meaning !== null) return false
      const filled = cells(column)
      return filled.length > 0 && filled.filter(shows).length >= ENOUGH * filled.length
    })
    if (at >= 0) guessed[at] = field
  }
  give('category', (cell) => matchCategory(cell, categories) !== null)
  give('size', (cell) => parseLabelAmount(cell).ok)
  give('price', (cell) => /\d/.test(cell) && currencyNamed(cell) !== null)
  if (!guessed.includes('shelf-life')) give('pao', (cell) => /[a-z]/i.test(cell) && parsePao(cell).ok)
  const isDate = (cell: string): boolean => parseWhen(cell, order).ok
  const dated = guessed.filter((meaning, at) => meaning === null && cells(at).length > 0 && cells(at).every(isDate))
  if (dated.length > 1) give('acquired', isDate)
  give('opened', isDate)
  if (!guessed.includes('name')) nameByWords(guessed, cells)
  return guessed
}

function nameByWords(guessed: (SheetField | null)[], cells: (at: number) => string[]): void {
  const texts = guessed
    .map((meaning, at) => ({ at, meaning, filled: cells(at) }))
    .filter(
      ({ meaning, filled }) => meaning === null && filled.length > 0 && filled.every((cell) => /\p{L}/u.test(cell)),
    )
    .map(({ at, filled }) => ({
      at,
      distinct: new Set(filled.map(plainWords)).size / filled.length,
      count: filled.length,
    }))
  const name = [...texts].sort((a, b) => b.distinct * b.count - a.distinct * a.count || a.at - b.at)[0]
  if (!name) return
  guessed[name.at] = 'name'
  const maker = texts.find(({ at, distinct }) => at !== name.at && distinct < REPEATS)
  if (maker && !guessed.includes('maker')) guessed[maker.at] = 'maker'
}
