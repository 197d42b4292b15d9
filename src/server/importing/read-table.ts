import iconv from 'iconv-lite'
import Papa from 'papaparse'
import { fail, ok, type Outcome } from '#core/failure'

/** Beyond these the file is refused with words. */
export const MOST_BYTES = 20 * 1024 * 1024
export const MOST_ROWS = 20_000

/** First bytes of what people choose by mistake. From the formats' own specifications, from memory. */
const SIGNATURES: readonly [string, string][] = [
  ['504b0304', 'a workbook or zip archive'],
  ['d0cf11e0', 'an old workbook or document'],
  ['89504e47', 'a picture'],
  ['ffd8ff', 'a picture'],
  ['47494638', 'a picture'],
  ['25504446', 'a PDF'],
]

/**
 * Decodes the bytes of a sheet and splits them into records. UTF-8 and UTF-16 by their marks, UTF-8
 * without one, else Windows-1252; the separator is recognised.
 */
export function readTable(bytes: Uint8Array, name: string): Outcome<string[][]> {
  if (bytes.length > MOST_BYTES) return fail('file-too-large', { value: name, most: '20 MB' })
  const looksLike = signatureOf(bytes)
  if (looksLike !== null) return fail('not-a-table', { value: name, name, looksLike })
  const text = decode(bytes)
  if (text.trim() === '') return fail('no-rows', { value: name })
  if (text.includes('\u0000')) return fail('not-a-table', { value: name, name, looksLike: 'a binary file' })
  const parsed = Papa.parse<string[]>(text, { header: false, skipEmptyLines: false, delimiter: separatorOf(text) })
  const broken = parsed.errors.find((error) => error.type === 'Quotes')
  if (broken)
    return fail('unreadable-table', {
      value: name,
      reason: `line ${(broken.row ?? 0) + 1} has an unclosed quotation mark`,
    })
  if (parsed.data.length > MOST_ROWS + 1)
    return fail('too-many-rows', { value: name, count: parsed.data.length, most: MOST_ROWS })
  return ok(parsed.data)
}

/**
 * The separator of a sheet, from its first filled line outside quotation marks: headers hold no decimal commas,
 * the cells below them do. A comma when nothing separates.
 */
function separatorOf(text: string): string {
  const first = text.split(/\r?\n|\r/).find((line) => line.trim() !== '') ?? ''
  const bare = first.replace(/"(?:[^"]|"")*"/g, '')
  const counts = [';', '\t', ',', '|'].map((separator) => ({ separator, count: bare.split(separator).length - 1 }))
  return counts.sort((a, b) => b.count - a.count).find(({ count }) => count > 0)?.separator ?? ','
}

function decode(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes)
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    // Not TextDecoder: Node 20 decodes windows-1252 as Latin-1 and loses the euro sign.
    return iconv.decode(Buffer.from(bytes), 'windows-1252')
  }
}

function signatureOf(bytes: Uint8Array): string | null {
  const head = Buffer.from(bytes.slice(0, 8)).toString('hex')
  return SIGNATURES.find(([signature]) => head.startsWith(signature))?.[1] ?? null
}
