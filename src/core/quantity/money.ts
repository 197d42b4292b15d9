import { fail, ok, type Outcome } from '../failure.js'
import { parseDecimal } from './decimal.js'

/** Money in the minor units (cents) of the collection's one currency. */
export type Minor = number & { readonly __brand: 'Minor' }

export type MoneyFailure = 'price-unreadable' | 'price-negative' | 'price-foreign' | 'price-absurd'

/** Above this a price is a slipped comma. Assumption. */
const LARGEST_MAJOR = 10_000

const SYMBOLS: Readonly<Record<string, string>> = {
  $: 'USD',
  us$: 'USD',
  usd: 'USD',
  '€': 'EUR',
  eur: 'EUR',
  euro: 'EUR',
  '£': 'GBP',
  gbp: 'GBP',
  kr: 'SEK',
  sek: 'SEK',
  chf: 'CHF',
  nok: 'NOK',
  dkk: 'DKK',
  '¥': 'JPY',
  jpy: 'JPY',
  pln: 'PLN',
  zł: 'PLN',
  kč: 'CZK',
  czk: 'CZK',
  aud: 'AUD',
  a$: 'AUD',
  cad: 'CAD',
  c$: 'CAD',
  ca$: 'CAD',
  nzd: 'NZD',
  euros: 'EUR',
  dollars: 'USD',
  fr: 'CHF',
  sfr: 'CHF',
  pounds: 'GBP',
  '₹': 'INR',
  inr: 'INR',
}

/** Decimal places of a currency's minor unit (ISO 4217, from memory; two unless listed). */
export function minorDigits(currency: string): number {
  return currency === 'JPY' || currency === 'KRW' || currency === 'ISK' ? 0 : 2
}

/** The currency a price is typed in, or null when it names none. */
export function currencyNamed(text: string): string | null {
  const mark = text.toLowerCase().replace(/[\d.,\s+'–-]/g, '')
  return SYMBOLS[mark] ?? null
}

/** The currency that a header names, as in "Preis (€)" or "Price in USD"; null when it names none. */
export function currencyInHeader(header: string): string | null {
  const words = header.toLowerCase().split(/[\s()[\]/:,]+/)
  return words.map((word) => SYMBOLS[word]).find((found) => found !== undefined) ?? null
}

/**
 * Reads a price as typed (`$4.5`, `12 €`, `9,99`) into minor units of `currency`. A price in
 * another currency is a failure: it stays text and is listed, never converted.
 */
export function parsePrice(text: string, currency: string): Outcome<Minor, MoneyFailure> {
  const bare = text
    .trim()
    .replace(/^(?:about|approx\.?|ca\.?|circa|~|≈)\s*/i, '')
    // "12,-" and "12.–" are whole amounts.
    .replace(/[.,]\s?[-–—]+(?=\D*$)/, '')
  const digits = bare.replace(/[^\d.,+'\s-]/g, '').trim()
  const letters = bare.replace(/[\d.,+'\s-]/g, '')
  const named = currencyNamed(bare)
  if (letters !== '' && named === null) return fail('price-unreadable', { value: text })
  if (named !== null && named !== currency) return fail('price-foreign', { value: text, currency })
  const major = parseDecimal(digits)
  if (major === null) return fail('price-unreadable', { value: text })
  if (major < 0) return fail('price-negative', { value: text })
  if (major > LARGEST_MAJOR) return fail('price-absurd', { value: text, largest: LARGEST_MAJOR })
  return ok(Math.round(major * 10 ** minorDigits(currency)) as Minor)
}
