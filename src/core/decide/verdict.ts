export const VERDICTS = [
  'keep',
  'keep and use',
  'once more, otherwise',
  'rest until a date',
  'use up as something else',
  'let go',
] as const
export type Verdict = (typeof VERDICTS)[number]

export const DESTINATIONS = [
  'bin',
  'recycle',
  'return scheme',
  'give',
  'swap',
  'donate',
  'sell',
  'repurpose',
  'keep the container',
] as const
export type Destination = (typeof DESTINATIONS)[number]

/** What is to be otherwise when something is tried once more. */
export const OTHERWISE = ['base', 'season', 'tool'] as const
export type Otherwise = (typeof OTHERWISE)[number]

/** Why something is let go. */
export const LET_GO_WHY = [
  'expired',
  'sign',
  'reaction',
  'shade',
  'feel',
  'too many',
  'never reached for',
  'package',
  'other',
] as const
export type LetGoWhy = (typeof LET_GO_WHY)[number]

/** Destinations that somebody waits for: until it is handed over it lies in a bag. */
export const HANDED_OVER: readonly Destination[] = ['return scheme', 'give', 'swap', 'donate', 'sell']

const TO_SOMEBODY: readonly Destination[] = ['give', 'swap', 'donate', 'sell']

/**
 * Where an item may go. Hygiene limits the choice: a used eye or lip item is not passed on, a spoiled one neither; anything else that
 * is used goes to someone who accepts it used (common practice, no source).
 */
export function destinationsFor(item: {
  opened: boolean
  eye: boolean
  lip: boolean
  spoiled: boolean
}): readonly Destination[] {
  const mayBePassedOn = !item.spoiled && !(item.opened && (item.eye || item.lip))
  return DESTINATIONS.filter((destination) => mayBePassedOn || !TO_SOMEBODY.includes(destination))
}
