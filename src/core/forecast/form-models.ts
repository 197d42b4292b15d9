import type { Form } from '../item/form.js'
import type { ModelType } from '../item/model-type.js'

/** The packages that the content model tells apart. */
export const FORM_MODELS = [
  'pressed',
  'loose',
  'pot',
  'pump',
  'tube',
  'wand',
  'pencil',
  'bullet',
  'stick',
  'spray',
  'jar',
] as const
export type FormModel = (typeof FORM_MODELS)[number]

const MODEL_OF: Readonly<Record<Form, FormModel>> = {
  pressed: 'pressed',
  baked: 'pressed',
  loose: 'loose',
  pot: 'pot',
  cushion: 'pot',
  pump: 'pump',
  dropper: 'pump',
  tube: 'tube',
  sachet: 'tube',
  wand: 'wand',
  'wooden pencil': 'pencil',
  'twist-up pencil': 'stick',
  stick: 'stick',
  bullet: 'bullet',
  spray: 'spray',
  jar: 'jar',
}

export function formModelOf(form: Form): FormModel {
  return MODEL_OF[form]
}

/** What a package keeps and weighs. */
export interface PackageModel {
  /** Share of the label that is never reached, and its standard deviation. */
  readonly residue: number
  readonly residueSd: number
  /** Weight of the package as a multiple of the label's content. */
  readonly tau: number
  /** Standard deviation of a level mark, as a share of the label's content. */
  readonly markSd: number
  /** The same of a length: measured against the first one of a pencil, looked at of a bullet or a stick. */
  readonly lengthSd: number
}

/** Residue, its sd, package over content, sd of a mark. All assumptions. A pencil's level is its length. Data table. */
const PACKAGES: Readonly<Record<FormModel, readonly [number, number, number, number]>> = {
  pressed: [0.04, 0.03, 4, 0.1],
  loose: [0.05, 0.03, 3, 0.08],
  pot: [0.05, 0.03, 2.5, 0.08],
  pump: [0.07, 0.04, 1.8, 0.08],
  tube: [0.08, 0.04, 0.4, 0.14],
  wand: [0.15, 0.08, 2.2, 0.14],
  pencil: [0.15, 0.06, 3, 0.03],
  bullet: [0.2, 0.1, 4.5, 0.08],
  stick: [0.12, 0.06, 3.5, 0.08],
  spray: [0.04, 0.03, 0.7, 0.08],
  jar: [0.04, 0.03, 1.2, 0.08],
}
/** What dries up or clings before it is reached, by type. Assumptions. */
const RESIDUES: Partial<Record<ModelType, readonly [number, number]>> = {
  mascara: [0.35, 0.12],
  'liquid liner': [0.3, 0.12],
  'brow gel': [0.25, 0.1],
}
const BALM_STICK = [0.1, 0.06] as const
/** A pencil's length against the first one, as a share of the label's content. Assumption. */
const PENCIL_LENGTH_SD = 0.03

export function packageModelOf(type: ModelType, form: Form): PackageModel {
  const model = MODEL_OF[form]
  const [residue, residueSd, tau, markSd] = PACKAGES[model]
  const stick = type === 'lip balm' && (model === 'stick' || model === 'bullet')
  const [q, sd] = (stick ? BALM_STICK : RESIDUES[type]) ?? [residue, residueSd]
  return { residue: q, residueSd: sd, tau, markSd, lengthSd: model === 'pencil' ? PENCIL_LENGTH_SD : markSd }
}
