import type { ItemFields } from '#contract/item'

/** A blush as the form sends it; tests change what they are about. */
export const FIELDS: ItemFields = {
  maker: 'Pellwick',
  name: 'Rust Bloom blush',
  shade: 'Rust Bloom',
  categoryId: 'blush',
  form: 'pressed',
  colour: '#c7747a',
  finish: 'matte',
  opaque: false,
  slots: 1,
  content: { amount: 5, unit: 'g' },
  priceMinor: 1800,
  source: 'bought',
  acquired: null,
  opened: { kind: 'unknown' },
  paoMonths: 12,
  expiry: null,
  sunProtection: false,
  usesBefore: 0,
  liking: null,
  notes: '',
  parts: [],
}
