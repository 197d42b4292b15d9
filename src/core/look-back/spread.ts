/**
 * The Gini coefficient of uses over things, 0 = all alike, 1 = all on one of very many; textbook formula over the sorted counts,
 * G = Σ (2i - n - 1) x_i / (n Σ x). Null for fewer than two things or no use at all.
 *
 * @example giniOf([1, 1, 1, 1]) === 0 && giniOf([0, 0, 0, 4]) === 0.75
 */
export function giniOf(uses: readonly number[]): number | null {
  const n = uses.length
  const total = uses.reduce((sum, each) => sum + each, 0)
  if (n < 2 || total === 0) return null
  const weighted = [...uses].sort((a, b) => a - b).reduce((sum, each, at) => sum + (2 * (at + 1) - n - 1) * each, 0)
  return weighted / (n * total)
}

/** How few items hold half of all uses: what a Gini coefficient says in a sentence. 0 where nothing was used. */
export function fewestForHalf(uses: readonly number[]): number {
  const half = uses.reduce((sum, each) => sum + each, 0) / 2
  let sum = 0
  let count = 0
  for (const each of [...uses].sort((a, b) => b - a)) {
    if (sum >= half) break
    sum += each
    count += 1
  }
  return count
}
