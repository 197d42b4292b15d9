import { HEADER_WORDS, type SheetField } from './header-words-data.js'
import { plainWords } from '../../words/plain-words.js'

interface Phrase {
  readonly field: SheetField
  readonly words: string
  readonly order: number
}

const PHRASES: readonly Phrase[] = HEADER_WORDS.flatMap(([field, words], order) =>
  words.split('|').map((phrase) => ({ field, words: phrase, order })),
)
const EXACT = new Map(PHRASES.map((phrase) => [phrase.words, phrase.field]))

/** How a header names its meaning: in its own words, or with others around them. */
export interface HeaderMeaning {
  readonly field: SheetField
  readonly exact: boolean
}

/**
 * The meaning of one header: its words without what stands in brackets, else the longest known phrase within it
 * ("when I opened it", "Purchase price paid"). Null when it names none.
 */
export function meaningOfHeader(header: string): HeaderMeaning | null {
  const plain = plainWords(header.replace(/\(.*?\)|\[.*?\]/g, ' '))
  if (plain === '') return null
  const exact = EXACT.get(plain)
  if (exact !== undefined) return { field: exact, exact: true }
  const within = PHRASES.filter((phrase) => ` ${plain} `.includes(` ${phrase.words} `)).sort(
    (a, b) => wordsIn(b.words) - wordsIn(a.words) || a.order - b.order,
  )
  return within[0] ? { field: within[0].field, exact: false } : null
}

/**
 * One meaning per column, `null` where none is recognised. A meaning is given once: to the first column that names it in
 * its own words, else to the first that names it at all.
 */
export function meaningsOf(headers: readonly string[]): (SheetField | null)[] {
  const named = headers.map(meaningOfHeader)
  const taken = new Map<SheetField, number>()
  for (const exactly of [true, false])
    named.forEach((meaning, at) => {
      if (meaning !== null && meaning.exact === exactly && !taken.has(meaning.field)) taken.set(meaning.field, at)
    })
  return named.map((meaning, at) => (meaning !== null && taken.get(meaning.field) === at ? meaning.field : null))
}

function wordsIn(phrase: string): number {
  return phrase.split(' ').length
}
