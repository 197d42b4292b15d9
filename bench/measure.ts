import { quantileSorted } from './quantile.js'

/** Milliseconds of repeated runs: those of the round in which the slowest twentieth was fastest. */
export interface Times {
  readonly p50: number
  readonly p95: number
  /** p50 as a multiple of a fixed piece of work of the same round, so that a slow machine or a busy one tells nothing. */
  readonly ratio: number
}

/** Rounds of a figure: the best of them counts, since other work on the machine only ever makes it slower. */
export const ROUNDS = 3

/** Warms a task up and runs it by the clock, `runs` times in each of three rounds. */
export async function timesOf(runs: number, task: () => unknown): Promise<Times> {
  for (let n = 0; n < Math.min(10, runs); n += 1) await task()
  const rounds: Times[] = []
  for (let at = 0; at < ROUNDS; at += 1) {
    const fixed = fixedWork()
    const taken: number[] = []
    for (let n = 0; n < runs; n += 1) {
      const start = performance.now()
      await task()
      taken.push(performance.now() - start)
    }
    taken.sort((a, b) => a - b)
    const p50 = quantileSorted(taken, 0.5)
    rounds.push({ p50: round(p50), p95: round(quantileSorted(taken, 0.95)), ratio: round(p50 / fixed) })
  }
  const [best] = rounds.sort((a, b) => a.p95 - b.p95)
  if (!best) throw new Error('Nothing was measured.')
  return best
}

export function round(milliseconds: number): number {
  return Math.round(milliseconds * 100) / 100
}

const FIXED = Array.from({ length: 4000 }, (_, n) => ({ id: `thing-${(n * 7919) % 4000}`, uses: n % 97 }))

/** How long sorting, writing and reading four thousand small records takes, milliseconds: the best of five. */
function fixedWork(): number {
  const taken = Array.from({ length: 5 }, () => {
    const start = performance.now()
    JSON.parse(JSON.stringify([...FIXED].sort((a, b) => (a.id < b.id ? -1 : 1))))
    return performance.now() - start
  })
  return Math.min(...taken)
}
