import { quantileSorted } from './quantile.js'

/** Milliseconds of repeated runs. */
export interface Times {
  readonly p50: number
  readonly p95: number
  readonly runs: number
}

/** Runs a task some times to warm it up and then `runs` times by the clock. */
export async function timesOf(runs: number, task: (n: number) => unknown): Promise<Times> {
  for (let n = 0; n < Math.min(10, runs); n += 1) await task(n)
  const taken: number[] = []
  for (let n = 0; n < runs; n += 1) {
    const start = performance.now()
    await task(n + runs)
    taken.push(performance.now() - start)
  }
  taken.sort((a, b) => a - b)
  return { p50: round(quantileSorted(taken, 0.5)), p95: round(quantileSorted(taken, 0.95)), runs }
}

export function round(milliseconds: number): number {
  return Math.round(milliseconds * 100) / 100
}
