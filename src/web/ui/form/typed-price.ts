import { minorDigits, parsePrice } from '#core/quantity/money'
import { failureSentence } from '#web/ui/words/failure-sentences'

/** A price as it is typed: minor units, none where nothing is typed, and what is wrong with it. */
export function typedPrice(
  text: string,
  currency: string,
): { readonly minor: number | null; readonly errors: string[] } {
  if (text.trim() === '') return { minor: null, errors: [] }
  const read = parsePrice(text, currency)
  return read.ok ? { minor: read.value, errors: [] } : { minor: null, errors: [failureSentence(read.failure)] }
}

/** Minor units as they are typed. */
export function priceText(minor: number | null, currency: string): string {
  const places = minorDigits(currency)
  return minor === null ? '' : (minor / 10 ** places).toFixed(places)
}
