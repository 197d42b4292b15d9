/** How a bare share was come by. */
export const BARE_BY = ['photo', 'brush', 'typed', 'her word'] as const
export type BareBy = (typeof BARE_BY)[number]

/** What a photo may be out by: 1.5 points, or 5 % of the value. Measured on ray-cast photos. */
const PHOTO_POINTS = 0.015
const PHOTO_SHARE = 0.05
/** By hand. Assumption. */
const HAND_POINTS = 0.03
/** Two photos of one pan differ by so much without anything having been used. Measured on ray-cast photos. */
const REAL_CHANGE = 0.02

/** Give or take, as a share of the pan. *No bare metal yet* is the user's word: nothing to give or take. */
export function bareGiveOrTake(bare: number, by: BareBy): number {
  if (by === 'her word') return 0
  return by === 'photo' ? Math.max(PHOTO_POINTS, PHOTO_SHARE * bare) : HAND_POINTS
}

/** Whether the change from one bare share to another is more than the photographs can differ by. */
export function isRealChange(before: number, now: number): boolean {
  return Math.abs(now - before) > REAL_CHANGE + 1e-9
}
