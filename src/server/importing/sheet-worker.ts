import { parentPort, workerData } from 'node:worker_threads'
import type { SheetOptions } from '#core/formats/sheet/sheet-item'
import { readSheetBytes } from './read-sheet-bytes.js'

/** In a thread of its own, with bounds on memory and time: what a file does to its reader stays there. */
const { bytes, name, options } = workerData as { bytes: Uint8Array; name: string; options: SheetOptions }
parentPort?.postMessage(await readSheetBytes(bytes, name, options))
