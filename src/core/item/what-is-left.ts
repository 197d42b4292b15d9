import type { PanStage } from './form.js'

/**
 * What is usually left of the content at a pan stage. First pan .43, half bare .22, mostly bare
 * .08: the levels the content model gives the stages (assumption, from simulation). The stages
 * before pan are read as spread evenly above .75. Assumption.
 */
const LEFT_AT_STAGE: Readonly<Record<PanStage, number>> = {
  untouched: 1,
  'dome gone': 0.88,
  dip: 0.75,
  'first pan': 0.43,
  'half bare': 0.22,
  'mostly bare': 0.08,
}

/** Bare area drawn for a stage when no area was measured: for the eye only. Assumption. */
const BARE_AT_STAGE: Readonly<Record<PanStage, number>> = {
  untouched: 0,
  'dome gone': 0,
  dip: 0,
  'first pan': 0.06,
  'half bare': 0.5,
  'mostly bare': 0.85,
}

export type Reading =
  | { readonly kind: 'level'; readonly value: number }
  | { readonly kind: 'length'; readonly value: number }
  | { readonly kind: 'stage'; readonly stage: PanStage }

/** Share of the content left, 0..1, by a reading of the eye. */
export function leftByReading(reading: Reading): number {
  return reading.kind === 'stage' ? LEFT_AT_STAGE[reading.stage] : reading.value
}

export function bareAtStage(stage: PanStage): number {
  return BARE_AT_STAGE[stage]
}
