import { logNormalDensity } from './normal.js'

/**
 * What is thought of a few amounts at once: their means and how they vary together. Seen sums of them narrow it (a Kalman filter
 * without time). Mutable, since it is fed hundreds of times for one answer.
 */
export class GaussianState {
  readonly mean: number[]
  /** Covariance, row by row. */
  readonly cov: number[]
  /** Log probability of everything seen so far. */
  logLikelihood = 0
  readonly #size: number
  /** How each amount varies with what is seen: made anew for every sum, kept to spare the making. */
  readonly #along: number[]
  #off = 0
  #spread = 0

  constructor(means: readonly number[], sds: readonly number[]) {
    this.#size = means.length
    this.#along = means.map(() => 0)
    this.mean = [...means]
    this.cov = sds.flatMap((sd, at) => sds.map((_, other) => (other === at ? sd * sd : 0)))
  }

  sd(at: number): number {
    return Math.sqrt(Math.max(0, this.cov[at * this.#size + at] ?? 0))
  }

  covariance(a: number, b: number): number {
    return this.cov[a * this.#size + b] ?? 0
  }

  /** What was seen: `weights` of the amounts add up to `value`, give or take `variance`. */
  see(weights: readonly number[], value: number, variance: number): void {
    this.#look(weights, value)
    this.logLikelihood += logNormalDensity(this.#off, this.#spread + variance)
    this.#update(this.#spread + variance)
  }

  /**
   * The same for what may be a slip: with .02 it lies anywhere within `width`. It counts by the odds that it is none.
   */
  seeRobustly(weights: readonly number[], value: number, variance: number, width: number): void {
    this.#look(weights, value)
    const within = (1 - SLIP) * Math.exp(logNormalDensity(this.#off, this.#spread + variance))
    const slip = SLIP / width
    this.logLikelihood += Math.log(within + slip)
    const trust = within / (within + slip)
    if (trust > 1e-9) this.#update(this.#spread + variance / trust)
  }

  #look(weights: readonly number[], value: number): void {
    const n = this.#size
    let expected = 0
    let spread = 0
    for (let i = 0; i < n; i++) {
      let along = 0
      for (let j = 0; j < n; j++) along += (this.cov[i * n + j] ?? 0) * (weights[j] ?? 0)
      this.#along[i] = along
      const weight = weights[i] ?? 0
      expected += weight * (this.mean[i] ?? 0)
      spread += weight * along
    }
    this.#off = value - expected
    this.#spread = spread
  }

  #update(total: number): void {
    const n = this.#size
    const along = this.#along
    for (let i = 0; i < n; i++) {
      const gain = (along[i] ?? 0) / total
      this.mean[i] = (this.mean[i] ?? 0) + gain * this.#off
      for (let j = 0; j < n; j++) this.cov[i * n + j] = (this.cov[i * n + j] ?? 0) - gain * (along[j] ?? 0)
    }
  }
}

/** How often a reading is a slip. Tuned by simulation. */
const SLIP = 0.02
