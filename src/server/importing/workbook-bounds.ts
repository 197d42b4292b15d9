import type { ZipFile } from 'yauzl'
import { fail, ok, type Outcome } from '../failing.js'
import { MOST_COLUMNS, MOST_ROWS } from './sheet-bounds.js'

/** Unpacked, a workbook of 20,000 rows is some 20 MB; more is no collection. Assumption. */
const MOST_UNPACKED = 100_000_000
const MOST_PARTS = 2000
/** Title lines and sums around the rows, in every tab. */
const SPARE_ROWS = 1000
/** Where something says what its place is, in whatever it is written (ECMA-376, part 1, 18.3.1.4 and 18.3.1.73). */
const SAID = /(?<![\w:])r\s*=\s*(?:"([^"]{64}(?=[^"])|[^"]{0,64}(?="))|'([^']{64}(?=[^'])|[^']{0,64}(?=')))/g
/** A cell's place as the format writes it, "AB12", or a row's, "12". */
const PLACE = /^([A-Z]{0,3})(\d{1,7})$/
/** No place is longer than this, so that none is missed where two pieces meet. */
const SEAM = 96

/**
 * Looks into a workbook before it is read: how much it comes to unpacked, counted and not believed, and how far out its cells lie,
 * since a reader lays out every cell up to the last. Nothing is kept of it.
 */
export async function withinBounds(bytes: Buffer, name: string): Promise<Outcome<null>> {
  let zip: ZipFile
  try {
    const { fromBufferPromise } = await import('yauzl')
    zip = await fromBufferPromise(bytes, { autoClose: false, validateEntrySizes: true })
  } catch {
    return fail('not-a-table', { value: name, name, looksLike: 'a zip archive that breaks off' })
  }
  const tooLarge = fail('sheet-too-large', { value: name, name })
  if (zip.entryCount > MOST_PARTS) return tooLarge
  let unpacked = 0
  for await (const entry of zip.eachEntry()) {
    unpacked += entry.uncompressedSize
    if (unpacked > MOST_UNPACKED) return tooLarge
    const isSheet = /^xl\/worksheets\/[^/]+\.xml$/i.test(entry.fileName)
    let seam = ''
    for await (const piece of await zip.openReadStreamPromise(entry)) {
      if (!isSheet) continue
      const text = seam + (piece as Buffer).toString('latin1')
      for (const [, double, single] of text.matchAll(SAID)) {
        const said = double ?? single ?? ''
        const [, column = '', row = ''] = PLACE.exec(said) ?? []
        // A place that cannot be read is one that a reader may lay out rows and columns for without end.
        if (row === '' || Number(row) > MOST_ROWS + SPARE_ROWS || columnNumber(column) > MOST_COLUMNS)
          return fail('cell-far-out', {
            value: name,
            name,
            cell: column === '' && row !== '' ? `row ${row}` : said.slice(0, 20),
          })
      }
      seam = text.slice(-SEAM)
    }
  }
  return ok(null)
}

/** A = 1, Z = 26, AA = 27. */
function columnNumber(letters: string): number {
  return [...letters].reduce((sum, letter) => sum * 26 + letter.charCodeAt(0) - 64, 0)
}
