/** The middle of some values, in any order; of an even number the mean of the two in the middle, 0 of none. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const middle = sorted.length / 2
  return sorted.length % 2 === 1
    ? (sorted[Math.floor(middle)] ?? 0)
    : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2
}
