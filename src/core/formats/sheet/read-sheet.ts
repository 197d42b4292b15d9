import type { Day } from '../../calendar/day.js'
import { dateOrderOf, parseWhen, type DateOrder, type DayRange } from '../../calendar/when.js'
import type { Failure, Outcome } from '../../failure.js'
import { parseLabelAmount } from '../../quantity/label-amount.js'
import type { NetContent } from '../../quantity/mass-volume.js'
import { currencyNamed, parsePrice, type Minor } from '../../quantity/money.js'
import { parseExpiry, parsePao } from '../../shelf-life/printed-expiry.js'
import { matchCategory, type KnownCategory } from './category-match.js'
import { meaningsOf, plainWords, type SheetField } from './columns.js'

/** One item as a row of a sheet gives it. Null = the sheet does not say, or says it wrongly. */
export interface SheetItem {
  /** Counts the non-blank records from 1. */
  readonly row: number
  readonly maker: string
  readonly name: string
  readonly shade: string
  readonly categoryText: string
  readonly categoryId: string | null
  readonly content: NetContent | null
  readonly price: Minor | null
  readonly acquired: DayRange | null
  readonly opened: DayRange | null
  readonly openedSaid: string
  readonly paoMonths: number | null
  readonly expiry: Day | null
  readonly uses: number | null
  readonly notes: string
  /** Cells that no column meaning took, and cells that could not be read, kept as text. */
  readonly kept: readonly { readonly column: string; readonly text: string }[]
  /** 1 for the first row of these three, 2 for the next alike …: rows are never merged unasked. */
  readonly occurrence: number
}

export interface SheetProblem {
  readonly row: number
  readonly column: string
  readonly value: string
  readonly failure: Failure
}

export interface SheetReading {
  readonly headers: readonly string[]
  readonly meanings: readonly (SheetField | null)[]
  readonly currency: string
  readonly dateOrder: DateOrder
  readonly items: readonly SheetItem[]
  readonly problems: readonly SheetProblem[]
}

export interface SheetOptions {
  readonly today: Day
  readonly categories: readonly KnownCategory[]
  /** The collection's currency; null when it has none yet: then the sheet's own rules. */
  readonly currency: string | null
  readonly fallbackOrder: DateOrder
  /** Her correction of what the columns mean. */
  readonly meanings?: readonly (SheetField | null)[]
}

/** Uses beyond this are a slip of the hand: ten years of every single day. Assumption. */
const MOST_USES = 3660

/**
 * Reads a table (first record = headers) into items. A bad cell gives null and one problem, and
 * its text is kept with the item. Blank records are passed over. Needs a maker or name column;
 * otherwise `no-name-column`.
 */
export function readSheet(
  records: readonly (readonly string[])[],
  options: SheetOptions,
): Outcome<SheetReading, 'no-rows' | 'no-name-column'> {
  const [first, ...rest] = records
  const rows = rest.filter((record) => record.some((cell) => cell.trim() !== ''))
  if (first === undefined || rows.length === 0) return { ok: false, failure: { code: 'no-rows', data: {} } }
  const headers = first.map((header) => header.replace(/^\uFEFF/, '').trim())
  const meanings = options.meanings ?? meaningsOf(headers)
  if (!meanings.includes('name') && !meanings.includes('maker'))
    return { ok: false, failure: { code: 'no-name-column', data: { headers: headers.join(', ') } } }
  const column = (field: SheetField): string[] => {
    const at = meanings.indexOf(field)
    return at < 0 ? [] : rows.map((record) => record[at] ?? '')
  }
  const dateOrder = dateOrderOf(
    [...column('opened'), ...column('acquired'), ...column('shelf-life')],
    options.fallbackOrder,
  )
  const currency = options.currency ?? mostNamed(column('price')) ?? 'EUR'
  const occurrences = new Map<string, number>()
  const problems: SheetProblem[] = []
  const items = rows.map((record, index) => {
    const item = readRow(record, index + 1, { ...options, headers, meanings, dateOrder, currency }, problems)
    const identity = [item.maker, item.name, item.shade].map(plainWords).join('|')
    const occurrence = (occurrences.get(identity) ?? 0) + 1
    occurrences.set(identity, occurrence)
    return { ...item, occurrence }
  })
  return { ok: true, value: { headers, meanings, currency, dateOrder, items, problems } }
}

interface RowContext extends SheetOptions {
  readonly headers: readonly string[]
  readonly meanings: readonly (SheetField | null)[]
  readonly dateOrder: DateOrder
  readonly currency: string
}

function readRow(
  record: readonly string[],
  row: number,
  context: RowContext,
  problems: SheetProblem[],
): Omit<SheetItem, 'occurrence'> {
  const kept: { column: string; text: string }[] = []
  const cell = (field: SheetField): string => {
    const at = context.meanings.indexOf(field)
    return at < 0 ? '' : (record[at] ?? '').trim()
  }
  /** Reads a cell; blank is null without a problem, unreadable is null with one. */
  const read = <T>(field: SheetField, parse: (text: string) => Outcome<T>): T | null => {
    const text = cell(field)
    if (text === '') return null
    const outcome = parse(text)
    if (outcome.ok) return outcome.value
    const column = context.headers[context.meanings.indexOf(field)] ?? field
    problems.push({ row, column, value: text, failure: outcome.failure })
    kept.push({ column, text })
    return null
  }
  const past = (text: string): Outcome<DayRange> => {
    const when = parseWhen(text, context.dateOrder)
    if (when.ok && when.value.earliest > context.today)
      return { ok: false, failure: { code: 'date-in-future', data: { value: text } } }
    return when
  }
  const name = cell('name') || cell('shade') || cell('category') || cell('maker')
  const shelfLife = cell('shelf-life')
  const pao = parsePao(shelfLife)
  const looksLikePao = /^\d+\s*[a-z]*\.?$/i.test(shelfLife) && !/^\d{6}$|^\d{4}$/.test(shelfLife)
  context.headers.forEach((header, at) => {
    const text = (record[at] ?? '').trim()
    if (context.meanings[at] === null && text !== '') kept.push({ column: header, text })
  })
  return {
    row,
    maker: cell('maker'),
    name,
    shade: cell('shade'),
    categoryText: cell('category'),
    categoryId: matchCategory(cell('category'), context.categories),
    content: read('size', parseLabelAmount),
    price: read('price', (text) => parsePrice(text, context.currency)),
    acquired: read('acquired', past),
    opened: read('opened', past),
    openedSaid: cell('opened'),
    paoMonths: looksLikePao ? read('shelf-life', () => pao) : null,
    expiry: looksLikePao ? null : read('shelf-life', (text) => parseExpiry(text, context.dateOrder)),
    uses: read('uses', parseUses),
    notes: cell('notes'),
    kept,
  }
}

function parseUses(text: string): Outcome<number> {
  if (!/^[+-]?\d+([.,]0+)?$/.test(text))
    return { ok: false, failure: { code: 'uses-unreadable', data: { value: text } } }
  const uses = Number(text.replace(',', '.'))
  if (uses < 0) return { ok: false, failure: { code: 'uses-negative', data: { value: text } } }
  if (uses > MOST_USES)
    return { ok: false, failure: { code: 'uses-absurd', data: { value: text, largest: MOST_USES } } }
  return { ok: true, value: uses }
}

/** The currency most cells of a price column name. */
function mostNamed(cells: readonly string[]): string | null {
  const counts = new Map<string, number>()
  for (const cell of cells) {
    const named = currencyNamed(cell)
    if (named !== null) counts.set(named, (counts.get(named) ?? 0) + 1)
  }
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null
}
