/** Degrees of freedom of the Student density: far colours count less. Tuned by simulation. */
const NU = 6
/** Added to the diagonal of every covariance: what grain and light scatter anyway. Tuned by simulation. */
const GRAIN = [0.03 ** 2, 0.008 ** 2, 0.008 ** 2] as const
/** How far a class reaches before anything was learned, as standard deviations of L, a, b. Tuned by simulation. */
const FIRST_SD = [0.1, 0.02, 0.02] as const

/** Colours that belong together: lightness may slope across the pan, as light does; hue does not. */
export interface ColourClass {
  /** L at the middle, and its slopes along x and y. */
  readonly lightness: readonly [number, number, number]
  readonly a: number
  readonly b: number
  /** The inverse of its covariance, row by row, and the logarithm of the covariance's determinant. */
  readonly inverse: Float64Array
  readonly logDet: number
}

/** Samples to learn a class from: x, y, L, a, b in turn, and the weight of each. */
export interface Samples {
  readonly values: Float64Array
  readonly weights: Float64Array
}

/** A class at the mean colour of its taps. */
export function firstClass(mean: readonly [number, number, number]): ColourClass {
  const variance = FIRST_SD.map((sd) => sd * sd)
  const covariance = [variance[0], 0, 0, 0, variance[1], 0, 0, 0, variance[2]].map((each) => each ?? 0)
  return { lightness: [mean[0], 0, 0], a: mean[1], b: mean[2], ...inverted(covariance) }
}

/** Squared Mahalanobis distance of a colour at a place. */
export function distance(klass: ColourClass, x: number, y: number, l: number, a: number, b: number): number {
  const { lightness, inverse: m } = klass
  const dl = l - lightness[0] - lightness[1] * x - lightness[2] * y
  const da = a - klass.a
  const db = b - klass.b
  // The inverse is symmetric.
  return (
    dl * dl * (m[0] as number) +
    da * da * (m[4] as number) +
    db * db * (m[8] as number) +
    2 * (dl * da * (m[1] as number) + dl * db * (m[2] as number) + da * db * (m[5] as number))
  )
}

/** Log density of the Student distribution, but for a constant that all classes share. */
export function logDensity(klass: ColourClass, squared: number): number {
  return -0.5 * klass.logDet - ((NU + 3) / 2) * Math.log1p(squared / NU)
}

/**
 * The class as weighted samples have it, starting from what it was: a weighted ridge on the slopes of lightness only, its
 * normal matrix divided by the sum of weights.
 */
export function learned(before: ColourClass, { values, weights }: Samples, ridge: number): ColourClass {
  const n = weights.length
  const w = new Float64Array(n)
  let total = 0
  const normal = new Float64Array(9)
  const right = new Float64Array(3)
  let meanA = 0
  let meanB = 0
  for (let at = 0; at < n; at++) {
    const [x, y, l, a, b] = five(values, at)
    const weight = ((weights[at] ?? 0) * (NU + 3)) / (NU + distance(before, x, y, l, a, b))
    w[at] = weight
    total += weight
    meanA += weight * a
    meanB += weight * b
    const basis = [1, x, y] as const
    for (let i = 0; i < 3; i++) {
      right[i] = (right[i] ?? 0) + weight * (basis[i] ?? 0) * l
      for (let j = 0; j < 3; j++)
        normal[3 * i + j] = (normal[3 * i + j] ?? 0) + weight * (basis[i] ?? 0) * (basis[j] ?? 0)
    }
  }
  if (!(total > 0)) return before
  const matrix = normal.map((each) => each / total)
  matrix[4] = (matrix[4] ?? 0) + ridge
  matrix[8] = (matrix[8] ?? 0) + ridge
  const { inverse } = inverted([...matrix])
  const lightness = [0, 1, 2].map((i) =>
    [0, 1, 2].reduce((sum, j) => sum + ((inverse[3 * i + j] ?? 0) * (right[j] ?? 0)) / total, 0),
  ) as [number, number, number]
  const [a, b] = [meanA / total, meanB / total]
  const covariance = new Float64Array(9)
  for (let at = 0; at < n; at++) {
    const [x, y, l, sa, sb] = five(values, at)
    const off = [l - lightness[0] - lightness[1] * x - lightness[2] * y, sa - a, sb - b] as const
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++)
        covariance[3 * i + j] = (covariance[3 * i + j] ?? 0) + ((w[at] ?? 0) * (off[i] ?? 0) * (off[j] ?? 0)) / total
  }
  for (let i = 0; i < 3; i++) covariance[4 * i] = (covariance[4 * i] ?? 0) + (GRAIN[i] ?? 0)
  return { lightness, a, b, ...inverted([...covariance]) }
}

function five(values: Float64Array, at: number): [number, number, number, number, number] {
  const from = 5 * at
  return [values[from] ?? 0, values[from + 1] ?? 0, values[from + 2] ?? 0, values[from + 3] ?? 0, values[from + 4] ?? 0]
}

/** Inverse and log determinant of a symmetric positive 3x3 matrix, row by row. */
function inverted(matrix: readonly number[]): { inverse: Float64Array; logDet: number } {
  const m = matrix as unknown as [number, number, number, number, number, number, number, number, number]
  const c0 = m[4] * m[8] - m[5] * m[7]
  const c1 = m[5] * m[6] - m[3] * m[8]
  const c2 = m[3] * m[7] - m[4] * m[6]
  const det = m[0] * c0 + m[1] * c1 + m[2] * c2
  const inverse = Float64Array.of(
    c0,
    m[2] * m[7] - m[1] * m[8],
    m[1] * m[5] - m[2] * m[4],
    c1,
    m[0] * m[8] - m[2] * m[6],
    m[2] * m[3] - m[0] * m[5],
    c2,
    m[1] * m[6] - m[0] * m[7],
    m[0] * m[4] - m[1] * m[3],
  ).map((each) => each / det)
  return { inverse, logDet: Math.log(det) }
}
