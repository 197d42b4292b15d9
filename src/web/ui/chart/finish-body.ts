/** A stretch of a body, in days, with how thick it is, from 0 to 1. */
export interface BodyPart {
  readonly from: number
  readonly to: number
  readonly thick: number
}
/** Evenly likely over so many days, a body is as thick as it can be; one that is spread wider is thinner all over. */
const SPREAD_DAYS = 365
/** What is thinner than this is not drawn. */
const LEAST = 0.04

/**
 * When a thing will be gone, as a body along the days: as thick as it is likely by the day. `points` = the chance of being gone by
 * then, ascending. Nothing where it is nowhere likely.
 */
export function bodyOf(points: readonly { readonly days: number; readonly chance: number }[]): BodyPart[] {
  const parts = points.slice(1).flatMap((point, n) => {
    const before = points[n]
    if (!before || point.days <= before.days) return []
    return [{ from: before.days, to: point.days, density: (point.chance - before.chance) / (point.days - before.days) }]
  })
  const most = Math.max(1 / SPREAD_DAYS, ...parts.map((part) => part.density))
  const shown = parts.map(({ from, to, density }) => ({ from, to, thick: density / most }))
  return shown.filter(({ thick }) => thick > LEAST)
}
