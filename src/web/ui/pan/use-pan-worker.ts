import { onScopeDispose, ref } from 'vue'
import type { PanAnswer, PanQuestion } from '#web/workers/pan-worker'

/** Asks the worker one thing at a time; a new question, or going away, ends the one before. */
export function usePanWorker() {
  const progress = ref<number | null>(null)
  let worker: Worker | null = null

  function cancel(): void {
    worker?.terminate()
    worker = null
    progress.value = null
  }

  function ask(question: PanQuestion): Promise<Exclude<PanAnswer, { code: 'progress' }>> {
    cancel()
    progress.value = 0
    const mine = new Worker(new URL('../../workers/pan-worker.ts', import.meta.url), { type: 'module' })
    worker = mine
    return new Promise((resolve) => {
      const end = (answer: Exclude<PanAnswer, { code: 'progress' }>): void => {
        if (worker === mine) cancel()
        resolve(answer)
      }
      mine.onmessage = ({ data }: MessageEvent<PanAnswer>) => {
        if (data.code === 'progress') progress.value = data.share
        else end(data)
      }
      mine.onerror = () => end({ code: 'failed', why: 'unreadable' })
      // Reactive proxies do not travel.
      mine.postMessage(JSON.parse(JSON.stringify(question)))
    })
  }

  onScopeDispose(cancel)
  return { progress, ask, cancel }
}
