import { logNormalDensity } from './normal.js'

/**
 * What is thought of a few amounts at once: their means and how they vary together. Seen sums of them narrow it (a Kalman filter
 * without time). Mutable, since it is fed hundreds of times for one answer.
 */
export class GaussianState {
  readonly mean: Float64Array
  /** Covariance, row by row. */
  readonly cov: Float64Array
  /** Log probability of everything seen so far. */
  logLikelihood = 0
  readonly #size: number

  constructor(means: readonly number[], sds: readonly number[]) {
    this.#size = means.length
    this.mean = Float64Array.from(means)
    this.cov = new Float64Array(means.length ** 2)
    sds.forEach((sd, at) => (this.cov[at * means.length + at] = sd * sd))
  }

  sd(at: number): number {
    return Math.sqrt(Math.max(0, this.cov[at * this.#size + at] ?? 0))
  }

  covariance(a: number, b: number): number {
    return this.cov[a * this.#size + b] ?? 0
  }

  /** What was seen: `weights` of the amounts add up to `value`, give or take `variance`. */
  see(weights: readonly number[], value: number, variance: number): void {
    const { off, along, spread } = this.#facing(weights, value)
    this.logLikelihood += logNormalDensity(off, spread + variance)
    this.#update(off, along, spread + variance)
  }

  /**
   * The same for what may be a slip: with .02 it lies anywhere within `width`. It counts by the odds that it is none.
   */
  seeRobustly(weights: readonly number[], value: number, variance: number, width: number): void {
    const { off, along, spread } = this.#facing(weights, value)
    const within = (1 - SLIP) * Math.exp(logNormalDensity(off, spread + variance))
    const slip = SLIP / width
    this.logLikelihood += Math.log(within + slip)
    const trust = within / (within + slip)
    if (trust > 1e-9) this.#update(off, along, spread + variance / trust)
  }

  #facing(weights: readonly number[], value: number) {
    const n = this.#size
    const along = new Float64Array(n)
    let expected = 0
    let spread = 0
    for (let i = 0; i < n; i++) {
      for (let j = 0; j < n; j++) along[i] = (along[i] ?? 0) + (this.cov[i * n + j] ?? 0) * (weights[j] ?? 0)
      expected += (weights[i] ?? 0) * (this.mean[i] ?? 0)
    }
    for (let i = 0; i < n; i++) spread += (weights[i] ?? 0) * (along[i] ?? 0)
    return { off: value - expected, along, spread }
  }

  #update(off: number, along: Float64Array, total: number): void {
    const n = this.#size
    for (let i = 0; i < n; i++) {
      this.mean[i] = (this.mean[i] ?? 0) + ((along[i] ?? 0) * off) / total
      for (let j = 0; j < n; j++)
        this.cov[i * n + j] = (this.cov[i * n + j] ?? 0) - ((along[i] ?? 0) * (along[j] ?? 0)) / total
    }
  }
}

/** How often a reading is a slip. Tuned by simulation. */
const SLIP = 0.02
