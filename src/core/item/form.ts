/** How an item is packed: decides how it is measured, how fast it spoils and how its gauge is drawn. */
export const FORMS = [
  'pressed',
  'baked',
  'loose',
  'pot',
  'cushion',
  'pump',
  'dropper',
  'tube',
  'sachet',
  'wand',
  'wooden pencil',
  'twist-up pencil',
  'stick',
  'bullet',
  'spray',
  'jar',
] as const

export type Form = (typeof FORMS)[number]

/** What can be read off a form by eye: a fill level, a pan stage, a length, or nothing. */
export type EyeMeasure = 'level' | 'pan' | 'length' | 'none'

const EYE_MEASURE: Readonly<Record<Form, EyeMeasure>> = {
  pressed: 'pan',
  baked: 'pan',
  loose: 'level',
  pot: 'level',
  cushion: 'none',
  pump: 'level',
  dropper: 'level',
  tube: 'level',
  sachet: 'none',
  wand: 'level',
  'wooden pencil': 'length',
  'twist-up pencil': 'length',
  stick: 'length',
  bullet: 'length',
  spray: 'level',
  jar: 'level',
}

/** An opaque package shows nothing by eye, whatever its form; its tallies are its measure. */
export function eyeMeasureOf(form: Form, opaque: boolean): EyeMeasure {
  const measure = EYE_MEASURE[form]
  return opaque && measure === 'level' ? 'none' : measure
}

/** Stages of a pan, in the order they are reached. */
export const PAN_STAGES = ['untouched', 'dome gone', 'dip', 'first pan', 'half bare', 'mostly bare'] as const
export type PanStage = (typeof PAN_STAGES)[number]
