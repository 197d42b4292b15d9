import { Worker } from 'node:worker_threads'
import type { SheetReading } from '#core/formats/sheet/sheet-item'
import { fail, type Outcome } from '../failing.js'
import type { ReadSheet } from './read-sheet-bytes.js'

/** The largest sheet that is read, 20,000 rows of 20 MB, takes about half of these. */
const MOST_MB = 512
const MOST_MS = 20_000

let before: Promise<unknown> = Promise.resolve()

/** Reads a sheet in a thread of its own, one at a time. Whatever takes more memory or time than any sheet needs is given up, in words. */
export const readElsewhere: ReadSheet = (bytes, name, options) => {
  const mine = before.then(() => read(bytes, name, options))
  before = mine.catch(() => undefined)
  return mine
}

function read(...[bytes, name, options]: Parameters<ReadSheet>): Promise<Outcome<SheetReading>> {
  return new Promise((resolve, reject) => {
    const tooMuch = (): void => resolve(fail('sheet-too-large', { value: name, name }))
    const worker = new Worker(new URL('./sheet-worker.js', import.meta.url), {
      workerData: { bytes, name, options },
      resourceLimits: { maxOldGenerationSizeMb: MOST_MB, maxYoungGenerationSizeMb: MOST_MB / 8 },
    })
    const timer = setTimeout(() => {
      tooMuch()
      void worker.terminate()
    }, MOST_MS)
    worker.once('message', resolve)
    worker.once('error', (error: NodeJS.ErrnoException) => {
      if (error.code === 'ERR_WORKER_OUT_OF_MEMORY') tooMuch()
      else reject(error)
    })
    worker.once('exit', () => {
      clearTimeout(timer)
      tooMuch()
    })
  })
}
