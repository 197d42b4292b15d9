import type { Day } from '../calendar/day.js'

/** A pan or bottle unrolled on one line, in grams of content from the empty package up. */
export interface Ruler {
  /** Grams of content when full: the end of the line. */
  readonly full: number
  /** What of it is only printed on the label, not weighed. */
  readonly fullByLabel: boolean
  /** What is left now. */
  readonly left: number
  /** Give or take of where the line begins: a borrowed or computed empty. */
  readonly emptyGiveOrTake: number
  /** Gone since the last weighing; negative where it weighs more. */
  readonly lately: number
  /** Gone between the weighings before, the latest first, each with the day it ended. */
  readonly earlier: readonly { readonly grams: number; readonly day: Day }[]
  /** Gone before the first weighing. */
  readonly before: number
}

export interface RulerFacts {
  /** Weight when finished, with what it may be out by. */
  readonly empty: number
  readonly emptySd: number
  /** Weight when full, where it was weighed; else by the label's grams. */
  readonly full: number | null
  readonly label: number | null
  /** Weighings of the present series by time, without the new one. */
  readonly weighed: readonly { readonly grams: number; readonly day: Day }[]
  readonly now: number
}

/** So many stretches of earlier weighings are told apart. */
const MOST_EARLIER = 6
/** An empty that may be out by more than this share of the content tells nothing of what is left. Assumption. */
const MOST_UNSURE = 0.35

/** The line, or null where nothing tells how much of the weight is package. */
export function rulerOf({ empty, emptySd, full, label, weighed, now }: RulerFacts): Ruler | null {
  const content = full === null ? label : full - empty
  if (content === null || content <= 0 || emptySd > MOST_UNSURE * content) return null
  const last = weighed.at(-1)?.grams ?? null
  const kept = weighed.slice(-MOST_EARLIER - 1)
  const first = kept[0]?.grams ?? now
  return {
    full: Math.max(content, first - empty, now - empty),
    fullByLabel: full === null,
    left: Math.max(0, now - empty),
    emptyGiveOrTake: emptySd,
    lately: last === null ? 0 : last - now,
    earlier: kept
      .slice(1)
      .map((each, n) => ({ grams: (kept[n]?.grams ?? each.grams) - each.grams, day: each.day }))
      .reverse(),
    before: Math.max(0, Math.max(content, first - empty) - (first - empty)),
  }
}

/**
 * Whether what is gone goes with how often it was used: by its own weighings, else by what a use of its kind usually takes. Null
 * where nothing can be said.
 */
export function goesWithUses(facts: {
  readonly gone: number
  readonly giveOrTake: number
  readonly uses: number
  readonly perUse: { readonly low: number; readonly high: number }
}): { readonly fits: boolean; readonly low: number; readonly high: number } {
  const { gone, giveOrTake, uses, perUse } = facts
  const [low, high] = [uses * perUse.low, uses * perUse.high]
  return { fits: gone >= low - giveOrTake - 1e-9 && gone <= high + giveOrTake + 1e-9, low, high }
}
