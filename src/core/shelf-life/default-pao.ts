import type { Form } from '../item/form.js'
import type { ModelType } from '../item/model-type.js'

/** A span of time after opening or purchase. */
export type Period = { readonly unit: 'months' | 'days'; readonly count: number }

/** A sachet once opened is good for a week. Common practice, no source. */
const SACHET: Period = { unit: 'days', count: 7 }

/** How long an item is usually good for after opening when its label does not say. */
export function usualPeriod(type: ModelType, form: Form, atEye: boolean): Period {
  return form === 'sachet' ? SACHET : { unit: 'months', count: defaultPaoMonths(type, form, atEye) }
}

/**
 * Months an item is usually good for after opening when its label does not say. Common practice,
 * no source, except mascara: FDA, shelf life of cosmetics (replace some 2 to 4 months after first
 * use; from memory). A label always comes before this, and a sign of spoiling before the label.
 */
export function defaultPaoMonths(type: ModelType, form: Form, atEye: boolean): number {
  if (type === 'mascara') return 4
  if (type === 'liquid liner') return 6
  if (type === 'brow gel') return 12
  if (type === 'fragrance') return 36
  if (type === 'setting spray') return 18
  if (type === 'gloss') return 18
  if (type === 'lipstick') return form === 'bullet' ? 24 : 18
  if (type === 'lip balm') return form === 'stick' || form === 'bullet' ? 18 : 12
  if (type === 'sunscreen') return 12
  switch (form) {
    case 'wooden pencil':
      return 24
    case 'twist-up pencil':
      return 18
    case 'pressed':
    case 'baked':
    case 'loose':
      return 36
    case 'spray':
      return 18
    case 'stick':
      return atEye ? 12 : 18
    default:
      return type === 'other' ? 18 : 12
  }
}
