import type { Failure } from '#core/failure'
import type { ProblemGroup } from '#contract/importing'
import type { SheetProblem } from '#core/formats/sheet/read-sheet'

/** What each kind of bad cell is called, and what happens to it. Data table. */
const KINDS: Readonly<Record<string, { words: string; what: string }>> = {
  'date-unreadable': {
    words: 'Dates that cannot be read',
    what: 'Stored as unknown; the words are kept with the item.',
  },
  'date-impossible': {
    words: 'Days that no calendar has',
    what: 'Stored as unknown; the words are kept with the item.',
  },
  'date-in-future': {
    words: 'Dates that have not come yet',
    what: 'Stored as unknown; the words are kept with the item.',
  },
  'amount-unreadable': {
    words: 'Sizes that cannot be read',
    what: 'Stored without a size; the words are kept with the item.',
  },
  'amount-no-unit': { words: 'Sizes without a unit', what: 'Stored without a size: g or mL cannot be told apart.' },
  'amount-not-positive': {
    words: 'Sizes that are not above zero',
    what: 'Stored without a size; the words are kept with the item.',
  },
  'amount-absurd': {
    words: 'Sizes too large to be true',
    what: 'Stored without a size; the words are kept with the item.',
  },
  'price-unreadable': {
    words: 'Prices that cannot be read',
    what: 'Stored without a price; the words are kept with the item.',
  },
  'price-negative': { words: 'Prices below zero', what: 'Stored without a price; the words are kept with the item.' },
  'price-absurd': {
    words: 'Prices too large to be true',
    what: 'Stored without a price; the words are kept with the item.',
  },
  'price-foreign': { words: 'Prices in another currency', what: 'Kept as text with the item, never converted.' },
  'pao-unreadable': {
    words: 'Shelf lives that cannot be read',
    what: 'Stored as unknown; the words are kept with the item.',
  },
  'pao-zero': {
    words: 'Periods after opening of zero months',
    what: 'Stored as unknown; the words are kept with the item.',
  },
  'pao-absurd': {
    words: 'Periods after opening too long to be true',
    what: 'Stored as unknown; the words are kept with the item.',
  },
  'expiry-unreadable': {
    words: 'Expiry dates that cannot be read',
    what: 'Stored as unknown; the words are kept with the item.',
  },
  'uses-unreadable': {
    words: 'Counts of uses that cannot be read',
    what: 'Stored as 0; the words are kept with the item.',
  },
  'uses-negative': { words: 'Counts of uses below zero', what: 'Stored as 0; the words are kept with the item.' },
  'uses-absurd': {
    words: 'Counts of uses too large to be true',
    what: 'Stored as 0; the words are kept with the item.',
  },
}

/** One sentence on a bad cell. */
export function cellWords(failure: Failure): string {
  const kind = KINDS[failure.code]
  if (!kind) throw new Error(`No words for the problem ${failure.code}`)
  return `${kind.words}. ${kind.what}`
}

/** The bad cells by kind of problem, the most frequent first. */
export function groupProblems(problems: readonly SheetProblem[]): ProblemGroup[] {
  const groups = new Map<string, ProblemGroup>()
  for (const { row, column, value, failure } of problems) {
    const kind = KINDS[failure.code] ?? { words: failure.code, what: '' }
    const group = groups.get(failure.code) ?? { code: failure.code, ...kind, serious: true, cells: [] }
    group.cells.push({ row, column, value, message: kind.what })
    groups.set(failure.code, group)
  }
  return [...groups.values()].sort((a, b) => b.cells.length - a.cells.length || a.code.localeCompare(b.code))
}
