/** What a chance is called. The limits are assumptions. */
export const VERDICTS = ['will make it', 'tight', 'about even', 'will not at this pace'] as const
export type Verdict = (typeof VERDICTS)[number]
const FROM: readonly (readonly [number, Verdict])[] = [
  [0.85, 'will make it'],
  [0.6, 'tight'],
  [0.35, 'about even'],
]

/** A chance in words: decimals would promise more than is known. */
export function verdictOf(chance: number): Verdict {
  return FROM.find(([from]) => chance >= from)?.[1] ?? 'will not at this pace'
}
