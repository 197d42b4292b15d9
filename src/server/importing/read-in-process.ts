import type { SheetReading } from '#core/formats/sheet/sheet-item'
import { fail, type Outcome } from '../failing.js'
import { askProcess } from '../other-process.js'
import type { ReadSheet } from './read-sheet-bytes.js'

/** The largest sheet that is read, 20,000 rows of 20 MB, takes about half of these. */
const BOUNDS = { memoryMb: 512, timeMs: 20_000 }

let before: Promise<unknown> = Promise.resolve()

/** Reads a sheet in a process of its own, one at a time. Whatever takes more memory or time than any sheet needs is given up, in words. */
export const readInProcess: ReadSheet = (bytes, name, options) => {
  const mine = before.then(
    async () =>
      (await askProcess<Outcome<SheetReading>>(
        new URL('./sheet-process.js', import.meta.url),
        { bytes, name, options },
        BOUNDS,
      )) ?? fail('sheet-too-large', { value: name, name }),
  )
  before = mine.catch(() => undefined)
  return mine
}
