import { parentPort, workerData } from 'node:worker_threads'
import { factsOf, wrongWith } from './copy-facts.js'
import { lookInto } from './look-into.js'
import type { Asked } from './check-in-worker.js'

/** In a thread of its own: a copy is read through, or laid beside what is there now, while the server answers. */
parentPort?.postMessage(answerTo(workerData as Asked))

function answerTo(asked: Asked): unknown {
  switch (asked.what) {
    case 'facts':
      return factsOf(asked.file)
    case 'wrong':
      return wrongWith(asked.file)
    case 'inside':
      return lookInto(asked.file, asked.now, asked.name)
  }
}
