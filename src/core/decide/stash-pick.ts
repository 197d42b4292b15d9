/** What becomes of each item when a while of shopping the stash is over. */
export const PICK_ENDINGS = ['goes back', 'stays', 'goes on trial'] as const
export type PickEnding = (typeof PICK_ENDINGS)[number]

/** A neglected item that could come in the drawer for a while. */
export interface PickCandidate {
  readonly id: string
  /** What it is worn as: one of a kind is enough. */
  readonly kind: string
  readonly liking: number | null
  /** Days since it was last worn; null = never in the log. */
  readonly daysUnworn: number | null
  /** Days until its last good day; null = not known. */
  readonly goodFor: number | null
  /** Whether it is said to suit the season that is. */
  readonly ofTheSeason: boolean
  /** Whether it is said to suit this season, or none in particular. */
  readonly inSeason: boolean
  /** Items in reach, or chosen, that it goes well with and that it fights with. */
  readonly worksWith: readonly string[]
  readonly fightsWith: readonly string[]
}

export type PickReason =
  | { readonly code: 'neglected'; readonly days: number | null }
  | { readonly code: 'liked'; readonly liking: number }
  | { readonly code: 'of the season' }
  | { readonly code: 'good until soon'; readonly days: number }
  | { readonly code: 'goes with'; readonly otherId: string }

export interface Pick {
  readonly id: string
  readonly reasons: readonly PickReason[]
}

/** Between three and six: fewer is no choice, more is a second drawer. */
export const LEAST_PICKED = 3
export const MOST_PICKED = 6
/** Out of sight for this long, it is neglected. Assumption. */
export const NEGLECTED_DAYS = 60
/** What is good for less than this is better worn now; less than a week is too late. Assumptions. */
const PRESSING_DAYS = 240
const TOO_LATE_DAYS = 7
/** Weights of the facts, 0 to 3. Assumptions. */
const WEIGHT = { liking: 3, neglect: 2, season: 1, pressing: 2, together: 1 } as const

/**
 * A few neglected items the user likes, one of a kind, that fight neither with each other nor with what lies in reach (`inReach`): liked
 * first, then long unworn, of the season, to be worn before they spoil, and what goes together. The same facts, the same few.
 */
export function proposePicks(candidates: readonly PickCandidate[], inReach: ReadonlySet<string>, many: number): Pick[] {
  const open = candidates
    .filter(({ daysUnworn }) => daysUnworn === null || daysUnworn >= NEGLECTED_DAYS)
    .filter(({ liking }) => liking === null || liking >= 3)
    .filter(({ goodFor, inSeason }) => inSeason && (goodFor === null || goodFor >= TOO_LATE_DAYS))
  const chosen: PickCandidate[] = []
  const taken = new Set(inReach)
  while (chosen.length < Math.min(many, MOST_PICKED)) {
    const [best] = open
      .filter((each) => !chosen.some((one) => one.id === each.id || one.kind === each.kind))
      .filter((each) => !each.fightsWith.some((id) => taken.has(id)))
      .sort((a, b) => weightOf(b, taken) - weightOf(a, taken) || (a.id < b.id ? -1 : 1))
    if (best === undefined) break
    chosen.push(best)
    taken.add(best.id)
  }
  return chosen.map((each) => ({ id: each.id, reasons: reasonsOf(each, taken) }))
}

function weightOf(each: PickCandidate, taken: ReadonlySet<string>): number {
  const { liking, daysUnworn, goodFor, ofTheSeason, worksWith } = each
  return (
    (WEIGHT.liking * ((liking ?? 3) - 3)) / 2 +
    WEIGHT.neglect * Math.min(1, (daysUnworn ?? 365) / 365) +
    (ofTheSeason ? WEIGHT.season : 0) +
    (goodFor !== null && goodFor < PRESSING_DAYS ? WEIGHT.pressing * (1 - goodFor / PRESSING_DAYS) : 0) +
    (worksWith.some((id) => taken.has(id)) ? WEIGHT.together : 0)
  )
}

function reasonsOf(each: PickCandidate, taken: ReadonlySet<string>): PickReason[] {
  const { liking, daysUnworn, goodFor, ofTheSeason, worksWith } = each
  const other = worksWith.find((id) => taken.has(id))
  return [
    ...(liking !== null && liking >= 4 ? [{ code: 'liked' as const, liking }] : []),
    { code: 'neglected', days: daysUnworn },
    ...(ofTheSeason ? [{ code: 'of the season' as const }] : []),
    ...(goodFor !== null && goodFor < PRESSING_DAYS ? [{ code: 'good until soon' as const, days: goodFor }] : []),
    ...(other === undefined ? [] : [{ code: 'goes with' as const, otherId: other }]),
  ]
}
