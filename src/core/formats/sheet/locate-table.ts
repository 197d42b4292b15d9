import { median } from '../../lists/median.js'
import { matchCategory, type KnownCategory } from './category-match.js'
import { meaningOfHeader } from './columns.js'
import { plainWords } from '../../words/plain-words.js'

/** One tab of a workbook, or the whole of a text file. */
export interface SheetTab {
  readonly name: string
  readonly records: readonly (readonly string[])[]
}

export interface LocatedRow {
  readonly cells: readonly string[]
  /** The section line above it, or the tab it stands on; what it says of the category. */
  readonly section: string | null
  /** Where the user's sheet has it: the tab, blank in a text, and the row as a spreadsheet numbers it. */
  readonly tab: string
  readonly line: number
}

export interface LocatedTable {
  readonly headers: readonly string[]
  readonly rows: readonly LocatedRow[]
  /** Every tab that holds items, with their number. */
  readonly tabs: readonly { readonly name: string; readonly rows: number }[]
}

/** Title lines above the headers are at most this many. Assumption. */
const TITLE_LINES = 30
/** Headers are believed from this score on: two of their own words, or one among others. */
const BELIEVED = 1.5

/**
 * Finds the items in what a sheet holds: passes over title lines above the headers, section lines inside ("LIPSTICKS"),
 * headers said again, sums and blank records. Tabs are put one under the other; columns of one name become one, and the
 * name of a tab is the section of its rows when there are several or when it names a category.
 */
export function locateTable(tabs: readonly SheetTab[], categories: readonly KnownCategory[]): LocatedTable {
  const filled = tabs
    .map((tab) => ({ tab, table: tableOf(tab, categories) }))
    .filter(({ table }) => table.rows.length > 0)
  // Beside tabs with headers, one without is a page of notes, unless it is named for a category.
  const headed = filled.some(({ table }) => table.headed)
  const found = filled.filter(
    ({ tab, table }) => !headed || table.headed || matchCategory(tab.name, categories) !== null,
  )
  const headers: string[] = []
  const rows: LocatedRow[] = []
  const [only] = found
  if (found.length === 1 && only) {
    const section = matchCategory(only.tab.name, categories) === null ? null : only.tab.name
    return {
      headers: only.table.headers,
      rows: only.table.rows.map((row) => ({ ...row, section: row.section ?? section })),
      tabs: [{ name: only.tab.name, rows: only.table.rows.length }],
    }
  }
  for (const { tab, table } of found) {
    const places = placesOf(table.headers, headers)
    for (const row of table.rows) {
      const cells: string[] = []
      row.cells.forEach((cell, at) => {
        const place = places[at]
        if (place !== undefined) cells[place] = cell
      })
      rows.push({ ...row, cells: Array.from(cells, (cell) => cell ?? ''), section: row.section ?? tab.name })
    }
  }
  return { headers, rows, tabs: found.map(({ tab, table }) => ({ name: tab.name, rows: table.rows.length })) }
}

/** Where the columns of a tab lie among all columns so far; new ones are added at the end. */
function placesOf(own: readonly string[], all: string[]): number[] {
  const taken = new Set<number>()
  return own.map((header) => {
    const there = all.findIndex((each, at) => !taken.has(at) && plainWords(each) === plainWords(header))
    const place = there >= 0 ? there : all.push(header) - 1
    taken.add(place)
    return place
  })
}

function tableOf(
  tab: SheetTab,
  categories: readonly KnownCategory[],
): { headed: boolean; headers: string[]; rows: LocatedRow[] } {
  const lines = tab.records
    .map((record, at) => ({ record, line: at + 1 }))
    .filter(({ record }) => record.some((cell) => cell.trim() !== ''))
  const filled = lines.map(({ record }) => record)
  const at = headerAt(filled)
  const width = Math.max(0, ...filled.map((record) => record.length))
  const headers =
    at === null
      ? Array.from({ length: width }, (_, n) => `column ${n + 1}`)
      : Array.from({ length: Math.max(width, filled[at]?.length ?? 0) }, (_, n) => clean(filled[at]?.[n] ?? ''))
  const said = headers.map(plainWords).join('|')
  const body = lines.slice(at === null ? 0 : at + 1)
  const isSection = sectionsOf(
    body.map(({ record }) => record),
    categories,
  )
  const rows: LocatedRow[] = []
  let section: string | null = null
  for (const { record, line } of body) {
    if (headers.map((_, n) => plainWords(clean(record[n] ?? ''))).join('|') === said) continue
    const found = isSection(record)
    if (found !== null) section = found
    else if (!isSum(record)) rows.push({ cells: record, section, tab: tab.name, line })
  }
  const used = headers.map((header, n) => header !== '' || rows.some((row) => (row.cells[n] ?? '').trim() !== ''))
  const last = used.lastIndexOf(true)
  return { headed: at !== null, headers: headers.slice(0, last + 1), rows }
}

/** How well the best of these records reads as headers, in meanings it names; 0 when none does. */
export function headerScore(records: readonly (readonly string[])[]): number {
  return bestHeader(records)?.score ?? 0
}

function headerAt(records: readonly (readonly string[])[]): number | null {
  const best = bestHeader(records)
  return best !== null && best.score >= BELIEVED ? best.at : null
}

/** The record that reads most like headers. */
function bestHeader(records: readonly (readonly string[])[]): { at: number; score: number } | null {
  let best: { at: number; score: number } | null = null
  for (const [at, record] of records.slice(0, TITLE_LINES).entries()) {
    const fields = new Set<string>()
    let score = 0
    for (const cell of record) {
      const meaning = cell.trim().length > 60 ? null : meaningOfHeader(clean(cell))
      if (meaning === null || fields.has(meaning.field)) continue
      fields.add(meaning.field)
      score += meaning.exact ? 1 : 0.5
    }
    // "Product" over one column, or over others that say nothing, is a header too where it stands first.
    if (at === 0 && score >= 1 && (fields.has('name') || fields.has('maker'))) score = Math.max(score, BELIEVED)
    if (score > (best?.score ?? 0)) best = { at, score }
  }
  return best
}

/** Where capitals are this frequent they are the user's way of writing, not headings. Assumption. */
const SHOUTED_SELDOM = 0.4

/**
 * Tells section lines among these records: one cell alone in a table of several columns, or a line of a single column, that is
 * a category, a word with a colon, framed, or in capitals where few are.
 */
function sectionsOf(
  records: readonly (readonly string[])[],
  categories: readonly KnownCategory[],
): (record: readonly string[]) => string | null {
  const typical = median(records.map(countFilled))
  const shouted = records.filter((record) => isShouted(bareLine(record))).length
  const shoutsSeldom = typical >= 2 || shouted <= records.length * SHOUTED_SELDOM
  return (record) => {
    if (countFilled(record) !== 1 || (typical < 2 && records.length < 2)) return null
    const text = record.find((cell) => cell.trim() !== '')?.trim() ?? ''
    const bare = bareLine(record)
    const framed = /^[*#=~–—-]{2,}.*\p{L}/u.test(text)
    const meant = matchCategory(bare, categories) !== null || text.endsWith(':') || framed
    return meant || (shoutsSeldom && isShouted(bare)) ? bare : null
  }
}

/** A line without the signs around it and a count in brackets. */
function bareLine(record: readonly string[]): string {
  const text = record.find((cell) => cell.trim() !== '')?.trim() ?? ''
  return text.replace(/^[^\p{L}\p{N}]+|[^\p{L}\p{N})]+$/gu, '').replace(/\s*\(\d+\)$/, '')
}

function isShouted(bare: string): boolean {
  return bare.length > 2 && bare === bare.toUpperCase() && /\p{L}{2}/u.test(bare)
}

function isSum(record: readonly string[]): boolean {
  const [first = '', ...rest] = record.map((cell) => cell.trim()).filter(Boolean)
  return (
    /^(?:sub|grand )?\s?(?:totals?|sum|summe|gesamt|insgesamt|somme|suma|totale|totaal|average|count)\b[:\s]*/i.test(
      first,
    ) &&
    [first.replace(/^[^\d]*/, ''), ...rest].every((cell) => cell === '' || /^[\d.,\s%$€£]+(?:items?)?$/i.test(cell))
  )
}

function clean(header: string): string {
  return header
    .replace(/^\uFEFF/, '')
    .replace(/\s+/g, ' ')
    .trim()
}

function countFilled(record: readonly string[]): number {
  return record.filter((cell) => cell.trim() !== '').length
}
