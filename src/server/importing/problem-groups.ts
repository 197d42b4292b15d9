import type { Failure } from '#core/failure'
import type { ProblemGroup } from '#contract/importing'
import type { SheetProblem } from '#core/formats/sheet/sheet-item'
import type { PreparedRow } from './imported-item.js'

/** What each kind of bad cell is called, and what happens to it. Data table. */
const KINDS: Readonly<Record<string, { words: string; what: string }>> = {
  'date-unreadable': {
    words: 'Dates that can’t be read',
    what: 'Saved as unknown; the words are kept with the item.',
  },
  'date-impossible': {
    words: 'Days that no calendar has',
    what: 'Saved as unknown; the words are kept with the item.',
  },
  'date-in-future': {
    words: 'Dates that have not come yet',
    what: 'Saved as unknown; the words are kept with the item.',
  },
  'amount-unreadable': {
    words: 'Sizes that can’t be read',
    what: 'Saved without a size; the words are kept with the item.',
  },
  'amount-no-unit': { words: 'Sizes without a unit', what: 'Saved without a size: g or mL can’t be told apart.' },
  'amount-not-positive': {
    words: 'Sizes that aren’t above zero',
    what: 'Saved without a size; the words are kept with the item.',
  },
  'amount-absurd': {
    words: 'Sizes too large to be true',
    what: 'Saved without a size; the words are kept with the item.',
  },
  'amount-pair-disagrees': {
    words: 'Sizes whose two units don’t agree',
    what: 'Saved without a size; the words are kept with the item.',
  },
  'quantity-unreadable': {
    words: 'Numbers of packages that can’t be read',
    what: 'Saved as one package; the words are kept with the item.',
  },
  'left-unreadable': {
    words: 'How much is left, where it can’t be read',
    what: 'Saved without a measurement; the words are kept with the item.',
  },
  'price-unreadable': {
    words: 'Prices that can’t be read',
    what: 'Saved without a price; the words are kept with the item.',
  },
  'price-negative': { words: 'Prices below zero', what: 'Saved without a price; the words are kept with the item.' },
  'price-absurd': {
    words: 'Prices too large to be true',
    what: 'Saved without a price; the words are kept with the item.',
  },
  'price-foreign': { words: 'Prices in another currency', what: 'Kept as text with the item, never converted.' },
  'pao-unreadable': {
    words: 'Shelf lives that can’t be read',
    what: 'Saved as unknown; the words are kept with the item.',
  },
  'pao-zero': {
    words: 'Periods after opening of zero months',
    what: 'Saved as unknown; the words are kept with the item.',
  },
  'pao-absurd': {
    words: 'Periods after opening too long to be true',
    what: 'Saved as unknown; the words are kept with the item.',
  },
  'expiry-unreadable': {
    words: 'Expiry dates that can’t be read',
    what: 'Saved as unknown; the words are kept with the item.',
  },
  'uses-unreadable': {
    words: 'Counts of uses that can’t be read',
    what: 'Saved as not said; the words are kept with the item.',
  },
  'uses-negative': {
    words: 'Counts of uses below zero',
    what: 'Saved as not said; the words are kept with the item.',
  },
  'uses-absurd': {
    words: 'Counts of uses too large to be true',
    what: 'Saved as not said; the words are kept with the item.',
  },
}

export function cellWords(failure: Failure): string {
  const kind = KINDS[failure.code]
  if (!kind) throw new Error(`No words for the problem ${failure.code}`)
  return `${kind.words}. ${kind.what}`
}

/** The bad cells by kind of problem, the most frequent first. */
export function groupProblems(problems: readonly SheetProblem[]): ProblemGroup[] {
  const groups = new Map<string, ProblemGroup>()
  for (const { row, tab, line, at, column, value, failure } of problems) {
    const kind = KINDS[failure.code] ?? { words: failure.code, what: '' }
    const group = groups.get(failure.code) ?? { code: failure.code, ...kind, serious: true, cells: [] }
    group.cells.push({ row, tab, line, at, column, value, message: kind.what })
    groups.set(failure.code, group)
  }
  return [...groups.values()].sort((a, b) => b.cells.length - a.cells.length || a.code.localeCompare(b.code))
}

/** What else is worth knowing before it is stored: not faults, but choices made. */
export function remarksOn(rows: readonly PreparedRow[]): ProblemGroup[] {
  const found: ProblemGroup[] = []
  const add = (
    code: string,
    serious: boolean,
    words: string,
    what: string,
    test: (entry: PreparedRow) => string | null,
  ): void => {
    const cells = rows.flatMap((entry) => {
      const value = test(entry)
      const { row, tab, line } = entry.row
      return value === null ? [] : [{ row, tab, line, at: null, column: '', value, message: what }]
    })
    if (cells.length > 0) found.push({ code, serious, words, what, cells })
  }
  const named = ({ row }: PreparedRow): string => [row.maker, row.name].filter(Boolean).join(' ')
  add('no-category', true, 'Rows without a type', 'They stay out until you choose one below.', ({ row }) =>
    row.categoryId === null ? row.categoryText || row.name : null,
  )
  add('already-there', true, 'Rows that were imported before', 'Saved again unless you leave them out.', (entry) =>
    entry.row.alreadyThere ? named(entry) : null,
  )
  add('category-from-name', false, 'Types read off the name', 'Nothing else told them.', (entry) =>
    entry.item.categoryFromName ? `${named(entry)}: ${entry.row.categoryId ?? ''}` : null,
  )
  add('finished', false, 'Finished items', 'Saved as history, not as stock.', (entry) =>
    entry.row.ended === 'finished' ? named(entry) : null,
  )
  add('left', false, 'Items you no longer have', 'Saved as history, not as stock.', (entry) =>
    entry.row.ended === 'left' ? named(entry) : null,
  )
  add('backups', false, 'Rows that bring backups', 'Saved as unopened packages beside the one in use.', (entry) =>
    entry.row.backups > 0 ? `${named(entry)}: ${entry.row.backups}` : null,
  )
  add('days-worn', false, 'Rows with ticked days', 'Each day is saved as a use.', (entry) =>
    entry.row.daysWorn > 0 ? `${named(entry)}: ${entry.row.daysWorn}` : null,
  )
  add('alike', false, 'Rows alike in brand, name and shade', 'Each is saved as a package of its own.', (entry) =>
    entry.item.occurrence > 1 ? named(entry) : null,
  )
  add('price-zero', false, 'Rows that cost nothing', 'Saved as gifts without a price.', ({ row, item }) =>
    item.price === 0 ? row.name : null,
  )
  add(
    'not-opened',
    false,
    'Not opened yet',
    'A word for it, or 0 uses and no opening date. Saved as unopened.',
    ({ row }) => (row.openedAs === 'unopened' ? row.name : null),
  )
  add('opening-unknown', false, 'No opening date', 'Saved as opened, date unknown.', ({ row, item }) =>
    row.openedAs === 'unknown' && item.openedSaid === '' ? row.name : null,
  )
  return found
}
