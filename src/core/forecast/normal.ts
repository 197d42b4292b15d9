import jStat from 'jstat'

/** Share of a standard normal below `z`; exact far out on the left too, where 1 + erf would cancel out. */
export function phi(z: number): number {
  return z > 0 ? jStat.normal.cdf(z, 0, 1) : jStat.erfc(-z / Math.SQRT2) / 2
}

/** The place below which `p` of a standard normal lies; 0 < p < 1. */
export function phiInverse(p: number): number {
  return jStat.normal.inv(p, 0, 1)
}

/** Log density of a normal with this variance at a distance from its mean. */
export function logNormalDensity(off: number, variance: number): number {
  return -0.5 * (Math.log(2 * Math.PI * variance) + (off * off) / variance)
}

/** The place below which `p` of a normal lies, of the part of it above 0. Where next to nothing lies above 0: close to 0. */
export function positiveQuantile(p: number, mean: number, sd: number): number {
  const below = phi(-mean / sd)
  const at = below + p * (1 - below)
  // So far below 0 that the part above cannot be told from none: the tail falls off like an exponential.
  if (at >= 1 - 1e-12) return (-Math.log1p(-p) * sd * sd) / Math.max(sd, -mean)
  return Math.max(0, mean + sd * phiInverse(at))
}

/** A tenth of a normal lies below minus this, a tenth above it. */
export const Z_TENTH = 1.2815515655
