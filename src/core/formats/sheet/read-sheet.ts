import { dateOrderOf, type DateOrder } from '../../calendar/when.js'
import { fail, ok, type Outcome } from '../../failure.js'
import { currencyInHeader, currencyNamed } from '../../quantity/money.js'
import { meaningsOf } from './columns.js'
import type { SheetField } from './header-words-data.js'
import { guessByContent } from './guess-by-content.js'
import { locateTable, type LocatedRow, type SheetTab } from './locate-table.js'
import { plainWords } from '../../words/plain-words.js'
import { readRow } from './read-row.js'
import type { SheetOptions, SheetProblem, SheetReading } from './sheet-item.js'
import { tickColumnsOf } from './tick-columns.js'

/**
 * Reads the tabs of a sheet into items: the table is located, its columns get their meanings from their headers and, where
 * those do not tell, from what stands in them; then every row is read. Needs a column for the product or its brand;
 * otherwise `no-name-column`.
 */
export function readSheet(
  tabs: readonly SheetTab[],
  options: SheetOptions,
): Outcome<SheetReading, 'no-rows' | 'no-name-column'> {
  const all = locateTable(tabs, options.categories)
  const chosen = options.tabs === undefined ? tabs : tabs.filter((tab) => options.tabs?.includes(tab.name))
  const located = chosen.length === tabs.length ? all : locateTable(chosen, options.categories)
  const table = { ...located, rows: mend(located.rows, options.mended ?? []) }
  const { headers } = table
  if (table.rows.length === 0) return fail('no-rows')
  const rows = table.rows.map((row) => row.cells)
  const named = meaningsOf(headers)
  const column = (meanings: readonly (SheetField | null)[], field: SheetField): string[] => {
    const at = meanings.indexOf(field)
    return at < 0 ? [] : rows.map((record) => record[at] ?? '')
  }
  const dated = (['opened', 'acquired', 'ended', 'shelf-life', 'expiry'] as const).flatMap((field) =>
    column(named, field),
  )
  const priceCells = column(named, 'price')
  const priceHeader = headers[named.indexOf('price')] ?? ''
  const sheetCurrency = mostNamed(priceCells) ?? currencyInHeader(priceHeader)
  const dateOrder = dateOrderOf(dated, orderOf(sheetCurrency, headers) ?? options.fallbackOrder)
  const free = (at: number): boolean => named[at] === null
  const ticks = tickColumnsOf(headers, free, rows, dateOrder)
  const isTick = (at: number): boolean => ticks.some((tick) => tick.at === at)
  const guessed = guessByContent(
    named,
    rows.map((cells) => cells.map((cell, at) => (isTick(at) ? '' : cell))),
    options.categories,
    dateOrder,
  )
  const meanings = fitting(options.meanings, headers.length) ?? guessed
  if (!meanings.includes('name') && !meanings.includes('maker'))
    return fail('no-name-column', { headers: headers.join(', ') })
  const currency = options.currency ?? sheetCurrency ?? 'EUR'
  const occurrences = new Map<string, number>()
  const problems: SheetProblem[] = []
  const context = {
    ...options,
    headers,
    meanings,
    ticks: ticks.filter((tick) => meanings[tick.at] === null),
    dateOrder,
    sheetCurrency: currency,
  }
  const items = table.rows.map((row, index) => {
    const item = readRow(row, index + 1, context, problems)
    const identity = [item.maker, item.name, item.shade].map(plainWords).join('|')
    const occurrence = (occurrences.get(identity) ?? 0) + 1
    occurrences.set(identity, occurrence)
    return { ...item, occurrence }
  })
  const place = ({ column }: SheetProblem): number => headers.indexOf(column)
  problems.sort((a, b) => a.row - b.row || place(a) - place(b))
  return ok({ headers, meanings, tabs: all.tabs, currency, dateOrder, items, problems })
}

/** Rows with the cells that the user typed again in the place of what stood there. */
function mend(rows: readonly LocatedRow[], mended: NonNullable<SheetOptions['mended']>): readonly LocatedRow[] {
  if (mended.length === 0) return rows
  return rows.map((row, index) => {
    const own = mended.filter((each) => each.row === index + 1)
    if (own.length === 0) return row
    const cells = Array.from(
      { length: Math.max(row.cells.length, ...own.map((each) => each.at + 1)) },
      (_, at) => own.findLast((each) => each.at === at)?.text ?? row.cells[at] ?? '',
    )
    return { ...row, cells }
  })
}

/** The user's corrections, cut or filled up to the columns at hand; a tab left out takes its columns with it. */
function fitting(meanings: SheetOptions['meanings'], columns: number): readonly (SheetField | null)[] | null {
  return meanings === undefined ? null : Array.from({ length: columns }, (_, at) => meanings[at] ?? null)
}

/** How the people who pay in a currency write dates; the language of the headers where no price tells. */
function orderOf(currency: string | null, headers: readonly string[]): DateOrder | null {
  if (currency !== null) return currency === 'USD' ? 'month-first' : 'day-first'
  return headers.some((header) => /[äöüßéèêñçåø]|marke|kategorie|marque|marca/i.test(header)) ? 'day-first' : null
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
