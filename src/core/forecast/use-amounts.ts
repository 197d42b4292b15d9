import type { Form } from '../item/form.js'
import type { ModelType } from '../item/model-type.js'
import { formModelOf, type FormModel } from './form-models.js'

/** Grams taken at one logged use: lognormal. */
export interface UseAmount {
  /** Median, g. */
  readonly median: number
  /** Standard deviation of its logarithm. */
  readonly sd: number
  /** Content usually printed on its label, in the unit of its kind. */
  readonly typicalLabel: { readonly amount: number; readonly unit: 'g' | 'ml' }
  /** g/mL. Assumption, by form. */
  readonly density: number
}

/** A high-end daily amount (the 90th percentile) to a median: the 1.28 standard deviations between them. [derived] */
const MEDIAN_OF_HIGH_END = Math.exp(-1.2815515655 * 0.6)

/**
 * Medians in g, sd of the logarithm, usual label, density. P: SCCS Notes of Guidance, 12th revision, high-end g/day (from memory),
 * by MEDIAN_OF_HIGH_END, times drying or sharpening [assumption]. A: assumption. Data table.
 */
const AMOUNTS: Readonly<Record<ModelType, readonly [number, number, number, 'g' | 'ml', number]>> = {
  'liquid foundation': [0.236, 0.6, 30, 'ml', 1.05], // .51 P
  concealer: [0.05, 0.6, 6.5, 'ml', 1.05], // A
  primer: [0.22, 0.6, 30, 'ml', 1], // A
  'pressed powder': [0.05, 0.6, 9, 'g', 1], // A
  'loose powder': [0.08, 0.7, 12, 'g', 1], // A
  'powder blush': [0.014, 0.6, 5, 'g', 1], // A
  'cream blush': [0.025, 0.6, 5, 'g', 0.98], // A
  bronzer: [0.025, 0.6, 9, 'g', 1], // A
  highlighter: [0.012, 0.6, 6, 'g', 1], // A
  eyeshadow: [0.0093, 0.6, 1.6, 'g', 1], // .02 P
  mascara: [0.0209, 0.6, 9, 'ml', 1.02], // .025 P, x1.8 drying A
  'pencil liner': [0.0058, 0.7, 1.1, 'g', 1], // .005 P, x.4635, x2.5 sharpening A
  'liquid liner': [0.0058, 0.7, 2, 'ml', 1.02], // .005 P, x.4635, x2.5 drying A
  'brow pencil': [0.002, 0.8, 0.15, 'g', 1], // A
  'brow gel': [0.025, 0.6, 4.5, 'ml', 1.02], // A
  lipstick: [0.0264, 0.6, 3.5, 'g', 1], // .057 P
  'lip balm': [0.0264, 0.6, 4.3, 'g', 0.98], // .057 P
  gloss: [0.04, 0.6, 5.5, 'ml', 0.98], // A
  'lip liner': [0.006, 0.7, 1.1, 'g', 1], // A
  'setting spray': [0.45, 0.6, 100, 'ml', 1], // A
  fragrance: [0.28, 0.6, 50, 'ml', 0.87], // A, three or four sprays
  remover: [2.32, 0.6, 200, 'ml', 1], // 5.00 P
  'face cream': [0.714, 0.6, 50, 'ml', 0.98], // 1.54 P
  'hand cream': [2.16 * MEDIAN_OF_HIGH_END, 0.6, 75, 'ml', 0.98], // 2.16 P
  // A face's worth of sunscreen is like a face cream's. A
  sunscreen: [0.714, 0.6, 50, 'ml', 0.98],
  // Nobody knows: from a drop to a palmful. A
  other: [0.1, 1, 30, 'ml', 1],
}
/** A balm in a jar, printed on its label. A */
const BALM_IN_A_JAR = 12
/** Density of what is creamy, whatever its type, g/mL. A */
const CREAM_DENSITY = 0.98

/** What one use takes of an item of this type, packed so. */
export function useAmountOf(type: ModelType, form: Form): UseAmount {
  const [median, sd, label, unit, density] = AMOUNTS[type]
  const packed: FormModel = formModelOf(form)
  const typical = type === 'lip balm' && packed === 'jar' ? BALM_IN_A_JAR : label
  const creamy = packed === 'pot' || packed === 'jar' || packed === 'stick'
  return {
    median,
    sd,
    typicalLabel: { amount: typical, unit },
    density: creamy && density === 1 ? CREAM_DENSITY : density,
  }
}

/** The content printed on a label, in g; null where none is known. */
export function labelGrams(
  content: { readonly amount: number; readonly unit: 'g' | 'ml' } | null,
  { density }: Pick<UseAmount, 'density'>,
): number | null {
  if (content === null) return null
  return content.unit === 'g' ? content.amount : content.amount * density
}
