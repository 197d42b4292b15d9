/** What can be felt of a wear; *in all* is the one that is asked. */
export const ASPECTS = ['in all', 'wear time', 'shade', 'feel', 'fuss'] as const
export type Aspect = (typeof ASPECTS)[number]

/** How it was. */
export const FELT = ['good', 'so-so', 'bad'] as const
export type Felt = (typeof FELT)[number]

/** How often it was how. */
export type FeltCounts = Readonly<Record<Felt, number>>

export function countFelt(felt: readonly Felt[]): FeltCounts {
  const of = (each: Felt): number => felt.filter((one) => one === each).length
  return { good: of('good'), 'so-so': of('so-so'), bad: of('bad') }
}
