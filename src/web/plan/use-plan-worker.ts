import { onScopeDispose, ref } from 'vue'
import type { PlanQuestion, PlanReply } from '#web/workers/plan-worker'

type Answered = Exclude<PlanReply, { code: 'progress' }>

/**
 * Asks the worker one thing after the other; the solver is loaded once and kept. Giving up ends the worker amid its work, and what waits
 * behind it.
 */
export function usePlanWorker() {
  /** 0..1 of what is being laid; null while nothing is. */
  const progress = ref<number | null>(null)
  let worker: Worker | null = null
  let waiting: Promise<unknown> = Promise.resolve()
  let round = 0
  let giveUp: (() => void) | null = null

  function cancel(): void {
    round += 1
    worker?.terminate()
    worker = null
    waiting = Promise.resolve()
    progress.value = null
    giveUp?.()
    giveUp = null
  }

  /** Null when it was given up. */
  function ask(question: PlanQuestion): Promise<Answered | null> {
    const mine = round
    const asked = waiting.then(() => (mine === round ? put(question) : null))
    waiting = asked
    return asked
  }

  function put(question: PlanQuestion): Promise<Answered | null> {
    const own = (worker ??= new Worker(new URL('../workers/plan-worker.ts', import.meta.url), { type: 'module' }))
    progress.value = 0
    return new Promise((resolve) => {
      const end = (reply: Answered | null): void => {
        giveUp = null
        progress.value = null
        resolve(reply)
      }
      giveUp = () => end(null)
      own.onmessage = ({ data }: MessageEvent<PlanReply>) => {
        if (data.code === 'progress') progress.value = data.share
        else end(data)
      }
      own.onerror = () => end({ code: 'failed', why: 'no solver' })
      // Reactive proxies do not travel.
      own.postMessage(JSON.parse(JSON.stringify(question)))
    })
  }

  onScopeDispose(cancel)
  return { progress, ask, cancel }
}
