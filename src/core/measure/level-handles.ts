import { fail, ok, type Outcome } from '../failure.js'
import type { Point } from './outline.js'

/** Bottles that are no cylinders, and where the edge of the liquid lies: a level by photo is out by so much. Assumption. */
export const LEVEL_GIVE_OR_TAKE = 0.05
/** A bottle drawn shorter than this, in px, tells nothing. Assumption. */
const SHORTEST = 20

/**
 * How full, 0..1, by three points in a photo: the level of a full one, the bottom, and the level now, each at the same edge of the
 * liquid. The level is projected on the axis from bottom to top; beyond the ends it is the end.
 */
export function levelOfHandles(handles: {
  readonly top: Point
  readonly bottom: Point
  readonly level: Point
}): Outcome<number, 'handles-too-close'> {
  const { top, bottom, level } = handles
  const axis = [top[0] - bottom[0], top[1] - bottom[1]] as const
  const length = Math.hypot(...axis)
  if (length < SHORTEST) return fail('handles-too-close')
  const along = ((level[0] - bottom[0]) * axis[0] + (level[1] - bottom[1]) * axis[1]) / length ** 2
  return ok(Math.min(1, Math.max(0, along)))
}
