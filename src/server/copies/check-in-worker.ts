import { Worker } from 'node:worker_threads'
import type { CopyInside } from '#contract/host'
import type { CopyFacts } from './copy-facts.js'

export type Asked =
  | { readonly what: 'facts' | 'wrong'; readonly file: string }
  | { readonly what: 'inside'; readonly file: string; readonly now: string; readonly name: string }

export function checkInWorker(file: string): Promise<CopyFacts> {
  return answerOf<CopyFacts>({ what: 'facts', file })
}

export function checkOpenInWorker(file: string): Promise<string | null> {
  return answerOf<string | null>({ what: 'wrong', file })
}

export function lookInWorker(file: string, now: string, name: string): Promise<CopyInside> {
  return answerOf<CopyInside>({ what: 'inside', file, now, name })
}

function answerOf<A>(asked: Asked): Promise<A> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('./check-worker.js', import.meta.url), { workerData: asked })
    worker.once('message', resolve)
    worker.once('error', reject)
    worker.once('exit', () => reject(new Error('the thread that reads copies ended without an answer')))
  })
}
