import iconv from 'iconv-lite'
import Papa from 'papaparse'
import { fail, ok, type Outcome } from '../failing.js'
import { MOST_BYTES, MOST_COLUMNS, MOST_ROWS, MOST_SIGNS } from './sheet-bounds.js'
import { withinBounds } from './workbook-bounds.js'
import { headerScore, type SheetTab } from '#core/formats/sheet/locate-table'

/** First bytes of what people choose by mistake. From the formats' own specifications, from memory. */
const SIGNATURES: readonly [string, string][] = [
  ['504b0304', 'a zip archive'],
  ['d0cf11e0', 'a workbook of the old type (.xls)'],
  ['89504e47', 'a picture'],
  ['ffd8ff', 'a picture'],
  ['47494638', 'a picture'],
  ['52494646', 'a picture'],
  ['25504446', 'a PDF'],
  ['1f8b', 'a packed file'],
]
const ZIP = 'a zip archive'
const SEPARATORS = [';', '\t', ',', '|']
/** Lines that the separator is recognised from. */
const LOOKED_AT = 60

/**
 * Reads the bytes of a sheet into tabs of records: a workbook (.xlsx) with its tabs, or text in UTF-8 and UTF-16 by their
 * marks, UTF-8 without one, else Windows-1252, with its separator recognised.
 */
export async function readTable(bytes: Uint8Array, name: string): Promise<Outcome<SheetTab[]>> {
  if (bytes.length > MOST_BYTES) return fail('file-too-large', { value: name, most: '20 MB' })
  const looksLike = signatureOf(bytes)
  const read = looksLike === ZIP ? await readWorkbook(bytes, name) : looksLike === null ? readText(bytes, name) : null
  if (read === null) return fail('not-a-table', { value: name, name, looksLike: looksLike ?? ZIP })
  if (!read.ok) return read
  const count = read.value.reduce((sum, tab) => sum + tab.records.length, 0)
  // Every tab may have a line of headers above its rows.
  if (count > MOST_ROWS + read.value.length) return fail('too-many-rows', { value: name, count, most: MOST_ROWS })
  return withinWidth(read.value, name) ?? read
}

/** A row that is wider, or a cell that is longer, than any sheet of items; null where none is. */
function withinWidth(tabs: readonly SheetTab[], name: string): Outcome<SheetTab[]> | null {
  for (const tab of tabs)
    for (const [n, record] of tab.records.entries()) {
      if (record.length > MOST_COLUMNS)
        return fail('too-many-columns', { value: name, line: n + 1, count: record.length, most: MOST_COLUMNS })
      const long = record.find((cell) => cell.length > MOST_SIGNS)
      if (long !== undefined)
        return fail('cell-too-long', { value: long.slice(0, 40), line: n + 1, count: long.length, most: MOST_SIGNS })
    }
  return null
}

/** The tabs of a workbook; null when the archive is no workbook. */
async function readWorkbook(bytes: Uint8Array, name: string): Promise<Outcome<SheetTab[]> | null> {
  try {
    const bounds = await withinBounds(Buffer.from(bytes), name)
    if (!bounds.ok) return bounds
    // Loaded when the first workbook comes: the server starts sooner without it.
    const { default: readXlsxFile } = await import('read-excel-file/node')
    const sheets = await readXlsxFile(Buffer.from(bytes))
    const tabs = sheets.map(({ sheet, data }) => ({ name: sheet, records: data.map((row) => row.map(cellText)) }))
    return tabs.some((tab) => tab.records.length > 0) ? ok(tabs) : fail('no-rows', { value: name })
  } catch {
    // Whatever is wrong inside, it is no workbook that can be read; the words say what it looked like.
    return null
  }
}

function readText(bytes: Uint8Array, name: string): Outcome<SheetTab[]> {
  const text = decode(bytes)
  if (text.trim() === '') return fail('no-rows', { value: name })
  if (text.includes('\u0000')) return fail('not-a-table', { value: name, name, looksLike: 'a binary file' })
  const parsed = Papa.parse<string[]>(text, { header: false, skipEmptyLines: false, delimiter: separatorOf(text) })
  const broken = parsed.errors.find((error) => error.code === 'MissingQuotes')
  if (broken)
    return fail('unreadable-table', {
      value: name,
      reason: `line ${(broken.row ?? 0) + 1} has an unclosed quotation mark`,
    })
  return ok([{ name: '', records: parsed.data }])
}

/** A workbook's cell as a person would have typed it: dates as 2026-11-24, numbers without the noise of the last bits. */
function cellText(value: unknown): string {
  if (value === null || value === undefined) return ''
  if (value instanceof Date) return value.toISOString().slice(0, 10)
  if (typeof value === 'number') return String(Number(value.toPrecision(12)))
  if (typeof value === 'boolean') return value ? 'TRUE' : 'FALSE'
  return typeof value === 'string' ? value : ''
}

/**
 * The separator of a text: the one under which most headers are recognised, then the one that splits most lines alike.
 * Neither decimal commas nor title lines above the headers mislead it.
 */
function separatorOf(text: string): string {
  const scored = SEPARATORS.map((separator) => {
    const { data } = Papa.parse<string[]>(text, { delimiter: separator, preview: LOOKED_AT })
    const widths = new Map<number, number>()
    for (const { length } of data) if (length > 1) widths.set(length, (widths.get(length) ?? 0) + 1)
    return {
      separator,
      headers: headerScore(data),
      alike: Math.max(0, ...[...widths].map(([width, n]) => (width - 1) * n)),
    }
  })
  return scored.sort((a, b) => b.headers - a.headers || b.alike - a.alike)[0]?.separator ?? ','
}

function decode(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes)
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes)
  const unmarked = unmarkedUtf16(bytes)
  if (unmarked !== null) return new TextDecoder(unmarked).decode(bytes)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    // Not TextDecoder: Node 20 decodes windows-1252 as Latin-1 and loses the euro sign.
    return iconv.decode(Buffer.from(bytes), 'windows-1252')
  }
}

/** UTF-16 without its mark: every other byte of Latin text is zero. */
function unmarkedUtf16(bytes: Uint8Array): 'utf-16le' | 'utf-16be' | null {
  const head = bytes.slice(0, 400)
  const zeros = (offset: number): number => head.filter((byte, at) => at % 2 === offset && byte === 0).length
  const [even, odd] = [zeros(0), zeros(1)]
  if (odd > head.length * 0.4 && even === 0) return 'utf-16le'
  if (even > head.length * 0.4 && odd === 0) return 'utf-16be'
  return null
}

function signatureOf(bytes: Uint8Array): string | null {
  const head = Buffer.from(bytes.slice(0, 8)).toString('hex')
  return SIGNATURES.find(([signature]) => head.startsWith(signature))?.[1] ?? null
}
