import { readSheet } from '#core/formats/sheet/read-sheet'
import type { SheetOptions, SheetReading } from '#core/formats/sheet/sheet-item'
import type { Outcome } from '../failing.js'
import { readTable } from './read-table.js'

export type ReadSheet = (bytes: Uint8Array, name: string, options: SheetOptions) => Promise<Outcome<SheetReading>>

/** Where it is asked for; a running server does it in a thread of its own. */
export const readSheetBytes: ReadSheet = async (bytes, name, options) => {
  const table = await readTable(bytes, name)
  return table.ok ? readSheet(table.value, options) : table
}
