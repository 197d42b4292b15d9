import { BLANK_FIELDS } from '#core/item/fields-data'
import type { ItemFields } from '#contract/item'

/** A blush as the form sends it; tests change what they are about. */
export const FIELDS: ItemFields = {
  ...BLANK_FIELDS,
  maker: 'Pellwick',
  name: 'Rust Bloom blush',
  shade: 'Rust Bloom',
  categoryId: 'blush',
  form: 'pressed',
  colour: '#c7747a',
  finish: 'matte',
  content: { amount: 5, unit: 'g' },
  priceMinor: 1800,
  source: 'bought',
  paoMonths: 12,
}

/** A shade of a palette as the form sends it. */
export function shadeFields(id: string, name = id, col = 1): ItemFields['parts'][number] {
  return { id, name, colour: null, finish: null, row: 1, col, rowSpan: 1, colSpan: 1, shape: 'square', form: null }
}
