/**
 * Pielou's evenness J = H / ln S of uses over S items, 1 = all alike, 0 = all on one; textbook formula. Null for fewer than
 * two items or no use at all.
 *
 * @example evennessOf([5, 5, 5]) === 1
 */
export function evennessOf(uses: readonly number[]): number | null {
  const total = uses.reduce((sum, each) => sum + each, 0)
  if (uses.length < 2 || total === 0) return null
  const entropy = uses.reduce((sum, each) => (each === 0 ? sum : sum - (each / total) * Math.log(each / total)), 0)
  return entropy / Math.log(uses.length)
}
