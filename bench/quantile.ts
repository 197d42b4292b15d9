/** Type 7 quantile of ascending numbers (Hyndman and Fan 1996, R's and NumPy's default). */
export function quantileSorted(sorted: readonly number[], q: number): number {
  const at = (sorted.length - 1) * q
  const low = sorted[Math.floor(at)] ?? 0
  const high = sorted[Math.ceil(at)] ?? low
  return low + (high - low) * (at - Math.floor(at))
}
