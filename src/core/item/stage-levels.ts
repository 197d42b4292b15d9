/** Stages of a pan: what is left then and how surely, as shares of the label. `no pan` = no bare metal, and nothing else known. Assumptions. */
export const STAGE_LEVELS = {
  untouched: { left: 0.97, sd: 0.03 },
  'dome gone': { left: 0.88, sd: 0.06 },
  dip: { left: 0.68, sd: 0.12 },
  'no pan': { left: 0.75, sd: 0.17 },
  'first pan': { left: 0.43, sd: 0.12 },
  'half bare': { left: 0.22, sd: 0.09 },
  'mostly bare': { left: 0.08, sd: 0.06 },
} as const
export type StageLevel = keyof typeof STAGE_LEVELS
