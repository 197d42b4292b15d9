import { parentPort, workerData } from 'node:worker_threads'
import { factsOf } from './copy-facts.js'
import { lookInto } from './look-into.js'
import type { Asked } from './check-elsewhere.js'

/** In a thread of its own: a copy is read through, or laid beside what is there now, while the house answers. */
const asked = workerData as Asked
parentPort?.postMessage(asked.what === 'facts' ? factsOf(asked.file) : lookInto(asked.file, asked.now, asked.name))
