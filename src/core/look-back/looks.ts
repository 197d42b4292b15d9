/** What was in a look on one day, each item once. */
export interface LookOfDay {
  readonly day: string
  readonly itemIds: readonly string[]
}

/**
 * How many different looks there were, whatever the order of putting on, and the one that was put on most often: of two the later one,
 * null where none came twice.
 */
export function looksIn(looks: readonly LookOfDay[]): {
  readonly different: number
  readonly most: { readonly itemIds: readonly string[]; readonly days: number } | null
} {
  const counts = new Map<string, { itemIds: readonly string[]; days: number; last: string }>()
  for (const look of looks) {
    const key = keyOf(look)
    const known = counts.get(key)
    if (known) {
      known.days += 1
      if (look.day > known.last) known.last = look.day
    } else counts.set(key, { itemIds: look.itemIds, days: 1, last: look.day })
  }
  let best: { itemIds: readonly string[]; days: number; last: string } | null = null
  for (const each of counts.values())
    if (best === null || each.days > best.days || (each.days === best.days && each.last > best.last)) best = each
  return { different: counts.size, most: best && best.days > 1 ? { itemIds: best.itemIds, days: best.days } : null }
}

function keyOf(look: LookOfDay): string {
  return [...look.itemIds].sort().join(' ')
}

export interface Together {
  readonly itemIds: readonly [string, string]
  readonly days: number
  /** Days on which each of the two was worn. */
  readonly each: readonly [number, number]
}

/** Items by number, on how many days each and each two of them were worn. */
interface Met {
  readonly ids: readonly string[]
  readonly days: readonly number[]
  /** Square: by the number of one times how many there are, plus the number of the other; the lower number first. */
  readonly both: Uint16Array
}

function metOn(looks: readonly LookOfDay[]): Met {
  const ids = [...new Set(looks.flatMap(({ itemIds }) => itemIds))].sort()
  const numberOf = new Map(ids.map((id, n) => [id, n]))
  const days = ids.map(() => 0)
  // Ten years of looks meet a million times: a square of counters is filled in hundredths of a second, a map in tenths.
  const both = new Uint16Array(ids.length ** 2)
  for (const { itemIds } of looks) {
    const own = Uint32Array.from(itemIds, (id) => numberOf.get(id) ?? 0).sort()
    for (let at = 0; at < own.length; at += 1) {
      const one = own[at] ?? 0
      days[one] = (days[one] ?? 0) + 1
      for (let next = at + 1; next < own.length; next += 1) {
        const key = one * ids.length + (own[next] ?? 0)
        both[key] = (both[key] ?? 0) + 1
      }
    }
  }
  return { ids, days, both }
}

function together({ ids, days }: Met, one: number, other: number, count: number): Together {
  return {
    itemIds: [ids[one] ?? '', ids[other] ?? ''],
    days: count,
    each: [days[one] ?? 0, days[other] ?? 0],
  }
}

type CouldMeet = (one: string, other: string) => boolean

/** Pairs of items by how often they were in one look, most first; `couldMeet` tells which are asked about, rivals of a kind are not. */
export function wornTogether(looks: readonly LookOfDay[], couldMeet: CouldMeet, most: number): Together[] {
  const met = metOn(looks)
  const { ids, days, both } = met
  const n = ids.length
  const either = (key: number): number => (days[Math.floor(key / n)] ?? 0) + (days[key % n] ?? 0)
  const before = (a: number, b: number): number => (both[b] ?? 0) - (both[a] ?? 0) || either(a) - either(b) || a - b
  let best: number[] = []
  let least = 2
  for (let key = 0; key < both.length; key += 1) {
    if ((both[key] ?? 0) < least || !couldMeet(ids[Math.floor(key / n)] ?? '', ids[key % n] ?? '')) continue
    best = [...best, key].sort(before).slice(0, most)
    if (best.length === most) least = both[best[most - 1] ?? 0] ?? 2
  }
  return best.map((key) => together(met, Math.floor(key / n), key % n, both[key] ?? 0))
}

/** Worn on so many days each, two items could well have met. Assumption. */
const OFTEN = 5

/** Pairs that were never in one look, though each was worn often enough; first those of which the rarer was worn most. */
export function neverTogether(looks: readonly LookOfDay[], couldMeet: CouldMeet, most: number): Together[] {
  const met = metOn(looks)
  const { ids, days, both } = met
  const worn = ids
    .map((_, n) => n)
    .filter((n) => (days[n] ?? 0) >= OFTEN)
    .sort((a, b) => (days[b] ?? 0) - (days[a] ?? 0) || a - b)
  const found: Together[] = []
  // In this order the later of two is the rarer: the first ones found are the first to be told.
  for (const [at, later] of worn.entries())
    for (const earlier of worn.slice(0, at)) {
      const [one, other] = earlier < later ? [earlier, later] : [later, earlier]
      if ((both[one * ids.length + other] ?? 0) > 0 || !couldMeet(ids[one] ?? '', ids[other] ?? '')) continue
      found.push(together(met, one, other, 0))
      if (found.length === most) return found
    }
  return found
}
