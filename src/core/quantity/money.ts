import { fail, ok, type Outcome } from '../failure.js'
import { parseDecimal } from './decimal.js'

/** Money in the minor units (cents) of the collection's one currency. */
export type Minor = number & { readonly __brand: 'Minor' }

export type MoneyFailure = 'price-unreadable' | 'price-negative' | 'price-foreign' | 'price-absurd'

/** Above this, in minor units, a price is a slipped comma: 10,000 euros, a million yen. Assumption. */
export const LARGEST_MINOR = 1_000_000

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
  '￥': 'JPY',
  yen: 'JPY',
  jpy: 'JPY',
  '₩': 'KRW',
  krw: 'KRW',
  huf: 'HUF',
  ft: 'HUF',
  isk: 'ISK',
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

/** Decimal places of a currency's minor unit, 0 for the yen (ISO 4217, as the platform's own tables have it). */
export function minorDigits(currency: string): number {
  const { maximumFractionDigits } = new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions()
  return maximumFractionDigits ?? 2
}

/**
 * Money as plain text, to be read by people and by programs.
 *
 * @example moneyText(1800, 'EUR') === '18.00 EUR'
 */
export function moneyText(minor: number, currency: string): string {
  const digits = minorDigits(currency)
  return `${(minor / 10 ** digits).toFixed(digits)} ${currency}`
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
  const places = minorDigits(currency)
  // Where there are no cents every sign between digits separates thousands: "¥1,200".
  const major = parseDecimal(places === 0 ? digits.replace(/[.,](?=\d{3}(?!\d))/g, '') : digits)
  if (major === null) return fail('price-unreadable', { value: text })
  if (major < 0) return fail('price-negative', { value: text })
  const minor = Math.round(major * 10 ** places)
  if (minor > LARGEST_MINOR) return fail('price-absurd', { value: text, largest: LARGEST_MINOR / 10 ** places })
  return ok(minor as Minor)
}
