import type { Day } from '../calendar/day.js'
import type { PackageState, Season } from '../item/traits.js'

/** A leaning orders the same facts differently: *thrift* minds what is lost, *joy* what is not enjoyed. */
export const LEANINGS = ['thrift', 'joy'] as const
export type Leaning = (typeof LEANINGS)[number]

/** One fact that makes an item deserve a decision, with its numbers; none of them is a verdict. */
export type Doubt =
  | { readonly code: 'reaction'; readonly words: string; readonly day: Day }
  | { readonly code: 'sign'; readonly words: string; readonly day: Day }
  | { readonly code: 'past at the eye'; readonly lastGood: Day; readonly daysPast: number }
  | { readonly code: 'past'; readonly lastGood: Day; readonly daysPast: number }
  | { readonly code: 'soon past'; readonly lastGood: Day; readonly daysLeft: number }
  | {
      readonly code: 'not reached for'
      /** Days of the last year on which it was worn, of those on which it lay in the drawer in its season. */
      readonly reached: number
      readonly chances: number
      /** How often an equal share among its like would have been. */
      readonly equalShare: number
    }
  | { readonly code: 'unworn'; readonly days: number; readonly everWorn: boolean }
  | { readonly code: 'put back'; readonly times: number }
  | { readonly code: 'survived'; readonly clearOuts: number }
  | { readonly code: 'spoils first'; readonly lastGood: Day | null; readonly ofCategory: number }
  | {
      readonly code: 'twin'
      readonly otherId: string
      readonly difference: number
      /** Days worn within the last year: of this one and of the other. */
      readonly worn: number
      readonly otherWorn: number
      readonly otherLiked: boolean
    }
  | { readonly code: 'only mixed'; readonly wears: number; readonly said: boolean }
  | { readonly code: 'package'; readonly states: readonly PackageState[] }
  | { readonly code: 'out of season'; readonly seasons: readonly Season[]; readonly days: number | null }
export type DoubtCode = Doubt['code']

/** What is known of an item that could be decided about. */
export interface DoubtFacts {
  readonly atEye: boolean
  readonly opened: boolean
  readonly liking: number | null
  readonly sign: { readonly day: Day; readonly words: string } | null
  readonly lastGood: Day | null
  /** Days until then, negative when past. */
  readonly daysLeft: number | null
  readonly reach: { readonly reached: number; readonly chances: number; readonly equalShare: number }
  /** Days since it was last worn; null = never in the log. */
  readonly daysUnworn: number | null
  /** Days that the log knows of it: none worn within them tells something. */
  readonly daysKnown: number
  readonly putBack: number
  readonly clearOuts: number
  readonly spoilsFirst: { readonly lastGood: Day | null; readonly ofCategory: number } | null
  readonly twin: {
    readonly otherId: string
    readonly difference: number
    readonly worn: number
    readonly otherWorn: number
    readonly otherLiking: number | null
  } | null
  readonly wears: number
  readonly mixedWears: number
  readonly onlyMixed: boolean
  readonly packageStates: readonly PackageState[]
  readonly seasons: readonly Season[]
  /** Kept for occasions: that it is not worn tells nothing. */
  readonly special: boolean
  /** The user works on it, or decided to keep it not long ago: only what cannot wait is said. */
  readonly settled: boolean
}

/** Bounds of the facts. Assumptions, but for those of `computation` and of `shelf-life`. */
export const BOUNDS = {
  /** Fewer chances tell nothing. */
  leastChances: 10,
  /** Reached for less than this part of an equal share. */
  shareBelow: 0.5,
  unwornDays: 180,
  putBackTimes: 3,
  clearOuts: 2,
  soonDays: 90,
  mixedWears: 4,
  outOfSeasonDays: 365,
  /** Better loved: worn so many times as often, and this much oftener. */
  lovedTimes: 2,
  lovedMore: 3,
} as const

/**
 * What a fact weighs under each leaning, from 0 to 6; the fact's own strength (0..1) multiplies it. Assumptions, printed in
 * docs/deciding.md.
 */
export const WEIGHTS: Readonly<Record<DoubtCode, Readonly<Record<Leaning, number>>>> = {
  reaction: { thrift: 6, joy: 6 },
  'past at the eye': { thrift: 6, joy: 6 },
  sign: { thrift: 5, joy: 5 },
  past: { thrift: 4, joy: 3 },
  'soon past': { thrift: 5, joy: 1 },
  'spoils first': { thrift: 4, joy: 1 },
  'not reached for': { thrift: 2, joy: 4 },
  unworn: { thrift: 2, joy: 3 },
  'put back': { thrift: 4, joy: 6 },
  survived: { thrift: 3, joy: 5 },
  twin: { thrift: 1, joy: 2 },
  'only mixed': { thrift: 1, joy: 2 },
  package: { thrift: 1, joy: 2 },
  'out of season': { thrift: 1, joy: 2 },
}

/** What a person would be told to look at first, whatever the user leans to. */
const CANNOT_WAIT: ReadonlySet<DoubtCode> = new Set(['reaction', 'past at the eye'])
/** Words in a sign that tell of skin, whatever stands around them. Common practice, no source. */
const REACTION =
  /\b(?:sting|stung|itch|swell|swoll|rash|redness|pimple|breakout|br(?:oke|oken|eaks?) (?:me )?out|hives|watering|burn(?:s|ed|ing)? (?:my|the skin|a bit|a little|when))/i
/** Words that tell of skin or of what is in the package, as the others have it. */
const EITHER = /\b(?:red|spots|bumps|burn(?:s|t|ed|ing)?)\b/i
const ON_ME =
  /\b(?:skin|face|eyes?|eyelids?|lids|cheeks?|chin|nose|forehead|lips|jaw|neck|me|my|brings? out|brought out)\b/i
const ON_IT =
  /\b(?:surface|pan|powder|cream|formula|product|smells?|smelled|smelt|scent|odou?r|colou?r(?:ed)?|turned|went|became|looks?|white|black|brown|mould|mold|oil|cap|lid|jar|bottle)\b/i

/**
 * Whether a sign tells of a reaction of skin or eye, which is never a matter of thrift. Where words could be of either, what they
 * name decides; where they name nothing it is taken for one, to be safe.
 */
export function isReaction(words: string): boolean {
  return REACTION.test(words) || (EITHER.test(words) && (ON_ME.test(words) || !ON_IT.test(words)))
}

/** The facts that make it deserve a decision; none = it does not. */
export function doubtsOf(facts: DoubtFacts): Doubt[] {
  const urgent = urgentOf(facts)
  if (facts.settled) return urgent.filter(({ code }) => CANNOT_WAIT.has(code) || code === 'sign')
  return [...urgent, ...datesOf(facts), ...(facts.opened ? usageDoubts(facts) : []), ...twinOf(facts)]
}

function urgentOf({ sign, atEye, daysLeft, lastGood }: DoubtFacts): Doubt[] {
  if (sign !== null) return [{ code: isReaction(sign.words) ? 'reaction' : 'sign', ...sign }]
  if (atEye && daysLeft !== null && daysLeft < 0 && lastGood !== null)
    return [{ code: 'past at the eye', lastGood, daysPast: -daysLeft }]
  return []
}

function datesOf({ sign, atEye, daysLeft, lastGood, spoilsFirst }: DoubtFacts): Doubt[] {
  if (sign !== null || daysLeft === null || lastGood === null) return []
  if (daysLeft < 0) return atEye ? [] : [{ code: 'past', lastGood, daysPast: -daysLeft }]
  if (daysLeft <= BOUNDS.soonDays) return [{ code: 'soon past', lastGood, daysLeft }]
  return spoilsFirst === null ? [] : [{ code: 'spoils first', ...spoilsFirst }]
}

function usageDoubts(facts: DoubtFacts): Doubt[] {
  const { reach, daysUnworn, daysKnown, seasons } = facts
  const found: Doubt[] = []
  const neglected = reach.chances >= BOUNDS.leastChances && reach.reached < reach.equalShare * BOUNDS.shareBelow
  const seasonal = seasons.length > 0
  const idle = daysUnworn ?? daysKnown
  if (!facts.special) {
    if (neglected) found.push({ code: 'not reached for', ...reach })
    else if (seasonal && idle >= BOUNDS.outOfSeasonDays)
      found.push({ code: 'out of season', seasons, days: daysUnworn })
    else if (!seasonal && idle >= BOUNDS.unwornDays)
      found.push({ code: 'unworn', days: idle, everWorn: daysUnworn !== null })
  }
  if (facts.putBack >= BOUNDS.putBackTimes) found.push({ code: 'put back', times: facts.putBack })
  if (facts.clearOuts >= BOUNDS.clearOuts) found.push({ code: 'survived', clearOuts: facts.clearOuts })
  const alwaysMixed = facts.wears >= BOUNDS.mixedWears && facts.mixedWears === facts.wears
  if (alwaysMixed || facts.onlyMixed) found.push({ code: 'only mixed', wears: facts.wears, said: !alwaysMixed })
  if (facts.packageStates.length > 0) found.push({ code: 'package', states: facts.packageStates })
  return found
}

function twinOf({ twin, liking }: DoubtFacts): Doubt[] {
  if (twin === null) return []
  const { otherLiking, ...rest } = twin
  const otherLiked = otherLiking !== null && otherLiking > (liking ?? otherLiking)
  const wornMore = rest.otherWorn >= rest.worn * BOUNDS.lovedTimes && rest.otherWorn - rest.worn >= BOUNDS.lovedMore
  return otherLiked || wornMore ? [{ code: 'twin', ...rest, otherLiked }] : []
}

/** How strongly a fact speaks, 0..1. Assumptions. */
export function strengthOf(doubt: Doubt): number {
  switch (doubt.code) {
    case 'not reached for':
      return 1 - doubt.reached / Math.max(1, doubt.equalShare)
    case 'unworn':
      return Math.min(1, doubt.days / 730)
    case 'out of season':
      return Math.min(1, (doubt.days ?? 730) / 730)
    case 'put back':
      return Math.min(1, doubt.times / BOUNDS.putBackTimes)
    case 'survived':
      return Math.min(1, doubt.clearOuts / (BOUNDS.clearOuts + 1))
    case 'soon past':
      return 1 - doubt.daysLeft / (2 * BOUNDS.soonDays)
    case 'spoils first':
      return 0.8
    case 'twin':
      return doubt.difference < 2 ? 1 : 0.7
    case 'only mixed':
      return 0.6
    case 'package':
      return Math.min(1, doubt.states.length / 2)
    default:
      return 1
  }
}

/** What is offered first; the user decides. */
export const DOUBT_OFFERS = ['stop', 'use it first', 'try it', 'use it up as something else', 'let go'] as const
export type DoubtOffer = (typeof DOUBT_OFFERS)[number]

/** What each leaning would look at first of these facts. */
export function offerOf(doubts: readonly Doubt[], leaning: Leaning, liking: number | null): DoubtOffer {
  const has = (...codes: DoubtCode[]): boolean => doubts.some(({ code }) => codes.includes(code))
  if (has('reaction', 'past at the eye')) return 'stop'
  if (has('sign')) return 'let go'
  const liked = liking !== null && liking >= 4
  if (leaning === 'thrift') {
    if (has('soon past', 'spoils first', 'past')) return 'use it first'
    if (has('only mixed') || (liking !== null && liking <= 2)) return 'use it up as something else'
    return 'try it'
  }
  if (liked) return has('soon past', 'spoils first') ? 'use it first' : 'try it'
  return doubts.length > 1 || has('put back') || (liking !== null && liking <= 2) ? 'let go' : 'try it'
}

/** Something in doubt, its facts the weightiest first. */
export interface InDoubt<T> {
  readonly of: T
  readonly doubts: readonly Doubt[]
  readonly score: number
  readonly offer: DoubtOffer
}

/** In the order of a leaning: what cannot wait first, then by the sum of weight times strength; the same facts, the same order. */
export function ranked<T extends { readonly id: string; readonly liking: number | null }>(
  found: readonly { readonly of: T; readonly doubts: readonly Doubt[] }[],
  leaning: Leaning,
): InDoubt<T>[] {
  const weight = (doubt: Doubt): number => WEIGHTS[doubt.code][leaning] * strengthOf(doubt)
  return found
    .filter(({ doubts }) => doubts.length > 0)
    .map(({ of, doubts }) => ({
      of,
      doubts: [...doubts].sort((a, b) => weight(b) - weight(a)),
      score: doubts.reduce((sum, each) => sum + weight(each), 0),
      offer: offerOf(doubts, leaning, of.liking),
    }))
    .sort(
      (a, b) =>
        Number(cannotWait(b.doubts)) - Number(cannotWait(a.doubts)) ||
        b.score - a.score ||
        (a.of.id < b.of.id ? -1 : 1),
    )
}

function cannotWait(doubts: readonly Doubt[]): boolean {
  return doubts.some(({ code }) => CANNOT_WAIT.has(code))
}
