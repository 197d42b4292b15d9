/** What was on a face on one day. */
export interface FaceOfDay {
  readonly day: string
  readonly itemIds: readonly string[]
}

/** How many different faces there were; the order of putting on makes no difference. */
export function differentFaces(faces: readonly FaceOfDay[]): number {
  return new Set(faces.map(keyOf)).size
}

/** The face that was put on most often, the later first where two were; null where none came twice. */
export function mostWornFace(
  faces: readonly FaceOfDay[],
): { readonly itemIds: string[]; readonly days: number } | null {
  const counts = new Map<string, { itemIds: string[]; days: number; last: string }>()
  for (const face of faces) {
    if (face.itemIds.length === 0) continue
    const key = keyOf(face)
    const known = counts.get(key)
    if (known) {
      known.days += 1
      if (face.day > known.last) known.last = face.day
    } else counts.set(key, { itemIds: [...face.itemIds], days: 1, last: face.day })
  }
  const [most] = [...counts.values()].sort((a, b) => b.days - a.days || (a.last < b.last ? 1 : -1))
  return most && most.days > 1 ? { itemIds: most.itemIds, days: most.days } : null
}

function keyOf(face: FaceOfDay): string {
  return [...new Set(face.itemIds)].sort().join(' ')
}

export interface Together {
  readonly itemIds: readonly [string, string]
  readonly days: number
  /** Days on which each of the two was worn. */
  readonly each: readonly [number, number]
}

/** Worn on so many days each, two things could well have met. Assumption. */
const OFTEN = 5

/**
 * Pairs of things by how often they were on one face, most first; and pairs that never were, though each was worn often enough and
 * `couldMeet` says they belong on one face. Things of one kind are rivals and never said to miss each other.
 */
export function wornTogether(
  faces: readonly FaceOfDay[],
  couldMeet: (one: string, other: string) => boolean,
  most: number,
): { readonly often: Together[]; readonly never: Together[] } {
  const days = new Map<string, number>()
  const both = new Map<string, number>()
  for (const { itemIds } of faces) {
    const own = [...new Set(itemIds)].sort()
    own.forEach((one, at) => {
      days.set(one, (days.get(one) ?? 0) + 1)
      for (const other of own.slice(at + 1)) {
        const key = `${one} ${other}`
        both.set(key, (both.get(key) ?? 0) + 1)
      }
    })
  }
  const of = (one: string, other: string, count: number): Together => ({
    itemIds: [one, other],
    days: count,
    each: [days.get(one) ?? 0, days.get(other) ?? 0],
  })
  const often = [...both]
    .filter(([, count]) => count > 1)
    .map(([key, count]) => {
      const [one = '', other = ''] = key.split(' ')
      return of(one, other, count)
    })
    .filter(({ itemIds: [one, other] }) => couldMeet(one, other))
    .sort((a, b) => b.days - a.days || a.each[0] + a.each[1] - b.each[0] - b.each[1] || byIds(a, b))
    .slice(0, most)
  const worn = [...days].filter(([, count]) => count >= OFTEN).sort(([a], [b]) => (a < b ? -1 : 1))
  const never: Together[] = []
  worn.forEach(([one], at) => {
    for (const [other] of worn.slice(at + 1))
      if (!both.has(`${one} ${other}`) && couldMeet(one, other)) never.push(of(one, other, 0))
  })
  never.sort((a, b) => Math.min(...b.each) - Math.min(...a.each) || byIds(a, b))
  return { often, never: never.slice(0, most) }
}

function byIds(a: Together, b: Together): number {
  return a.itemIds.join() < b.itemIds.join() ? -1 : 1
}
