import type { Rectified } from './rectified.js'

/** Smaller than this share of the floor is a speck: grain, a glint, a crumb. Tuned by simulation. */
const SPECK = 0.0008

/** The mask with every 4-connected patch too small to be believed turned into what surrounds it, unless a tap lies in it. */
export function withoutSpecks(
  mask: Uint8Array,
  { floor, floorPixels }: Pick<Rectified, 'floor' | 'floorPixels'>,
  seeds: Int8Array,
  side: number,
): Uint8Array {
  const clean = mask.slice()
  const seen = new Uint8Array(mask.length)
  const queue = new Int32Array(mask.length)
  for (let start = 0; start < mask.length; start++) {
    if (floor[start] !== 1 || seen[start] === 1) continue
    let length = 1
    let seeded = false
    queue[0] = start
    seen[start] = 1
    for (let head = 0; head < length; head++) {
      const at = queue[head] ?? 0
      if ((seeds[at] ?? -1) >= 0) seeded = true
      const column = at % side
      const beside = [
        column > 0 ? at - 1 : -1,
        column < side - 1 ? at + 1 : -1,
        at - side,
        at + side < mask.length ? at + side : -1,
      ]
      for (const next of beside) {
        if (next < 0 || seen[next] === 1 || floor[next] !== 1 || mask[next] !== mask[start]) continue
        seen[next] = 1
        queue[length++] = next
      }
    }
    if (seeded || length >= SPECK * floorPixels) continue
    for (let n = 0; n < length; n++) clean[queue[n] ?? 0] = 1 - (mask[start] ?? 0)
  }
  return clean
}
