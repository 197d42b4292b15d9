import type { ModelType } from '../item/model-type.js'

/** The steps of a look in the order they are done. */
export const MAKEUP_STEPS = [
  'sunscreen',
  'primer',
  'base',
  'concealer',
  'powder',
  'bronzer',
  'cheeks',
  'highlighter',
  'brows',
  'eye base',
  'shadow',
  'liner',
  'mascara',
  'lip balm',
  'lip liner',
  'lips',
  'spray',
  'fragrance',
] as const
export type MakeupStep = (typeof MAKEUP_STEPS)[number]

const STEP_OF: Partial<Record<ModelType, MakeupStep>> = {
  sunscreen: 'sunscreen',
  primer: 'primer',
  'liquid foundation': 'base',
  concealer: 'concealer',
  'pressed powder': 'powder',
  'loose powder': 'powder',
  bronzer: 'bronzer',
  'powder blush': 'cheeks',
  'cream blush': 'cheeks',
  highlighter: 'highlighter',
  'brow pencil': 'brows',
  'brow gel': 'brows',
  eyeshadow: 'shadow',
  'pencil liner': 'liner',
  'liquid liner': 'liner',
  mascara: 'mascara',
  'lip balm': 'lip balm',
  'lip liner': 'lip liner',
  lipstick: 'lips',
  gloss: 'lips',
  'setting spray': 'spray',
  fragrance: 'fragrance',
}

/**
 * The step that an item of a type serves; null for what belongs to no look (skin care, hair, nails). Creams worn at the eye
 * are the base of a shadow.
 */
export function stepOf(type: ModelType, atEye: boolean): MakeupStep | null {
  if (type === 'cream blush' && atEye) return 'eye base'
  return STEP_OF[type] ?? null
}
