const ATOMS = 15
const BIN = 0.05

/** A likely span: a tenth lies below `low`, half below `middle`, nine tenths below `high`. */
export interface Span {
  readonly low: number
  readonly middle: number
  readonly high: number
}

/** A value with its share of what is likely. */
export interface Weighed {
  readonly value: number
  readonly weight: number
}

/** The likely span of weighed values. */
export function spanOf(values: readonly Weighed[]): Span {
  const sorted = [...values].sort((a, b) => a.value - b.value)
  return { low: quantile(sorted, 0.1), middle: quantile(sorted, 0.5), high: quantile(sorted, 0.9) }
}

/** A quantile of weighed values: between the middles of their weights, in a straight line. */
function quantile(sorted: readonly Weighed[], p: number): number {
  let below = 0
  let before: { at: number; value: number } | null = null
  for (const { value, weight } of sorted) {
    const at = below + weight / 2
    if (at >= p) {
      if (before === null || at === before.at) return value
      return before.value + ((p - before.at) / (at - before.at)) * (value - before.value)
    }
    before = { at, value }
    below += weight
  }
  return sorted.at(-1)?.value ?? 0
}

/** Fifteen equally likely numbers of uses, at least 1 each, by a histogram of their logarithms. */
export function samplesOf(uses: readonly Weighed[]): number[] {
  const bins = new Map<number, number>()
  for (const { value, weight } of uses) {
    const bin = Math.floor(Math.log(Math.max(value, 1e-9)) / BIN)
    bins.set(bin, (bins.get(bin) ?? 0) + weight)
  }
  const sorted = [...bins].sort(([a], [b]) => a - b)
  const total = sorted.reduce((sum, [, weight]) => sum + weight, 0)
  return Array.from({ length: ATOMS }, (_, j) => {
    let left = ((j + 0.5) / ATOMS) * total
    for (const [bin, weight] of sorted) {
      if (left <= weight) return Math.max(1, Math.exp(BIN * (bin + left / weight)))
      left -= weight
    }
    return 1
  })
}
