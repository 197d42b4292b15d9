import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { parseDecimal } from './decimal.js'
import { parseLabelAmount } from './label-amount.js'
import { gramsFromOunces, millilitresFromFluidOunces } from './mass-volume.js'
import { parsePrice } from './money.js'

test('ounces and fluid ounces convert by the exact factors', () => {
  // International yard and pound agreement 1959; NIST Handbook 44, appendix C.
  expect(gramsFromOunces(1)).toBe(28.349523125)
  expect(millilitresFromFluidOunces(1)).toBe(29.5735295625)
})

/** Half a unit of the last digit printed, in the unit the amount is turned into. */
function halfLastDigit(label: string): number {
  const decimals = /\.(\d+)/.exec(label)?.[1]?.length ?? 0
  const unit = label.includes('fl oz') ? 29.5735295625 : label.includes('oz') ? 28.349523125 : 1
  return 0.5 * 10 ** -decimals * unit
}

test.each([
  // Pairs printed together on labels; common practice, no source. Each agrees within its own rounding.
  ['60 ml', '2 fl oz'],
  ['5 ml', '0.17 fl oz'],
  ['5 ml', '0.16 fl oz'],
  ['9.3 g', '0.33 oz'],
  ['1.5 g', '0.052 oz'],
  ['15 ml', '0.5 fl oz'],
  ['30 ml', '1 fl oz'],
  ['100 ml', '3.4 fl oz'],
])('%s and %s are the same on a label', (metric, ounces) => {
  const a = parseLabelAmount(metric)
  const b = parseLabelAmount(ounces)
  if (!a.ok || !b.ok) throw new Error('unreadable')
  expect(a.value.unit).toBe(b.value.unit)
  expect(Math.abs(a.value.amount - b.value.amount)).toBeLessThanOrEqual(halfLastDigit(metric) + halfLastDigit(ounces))
})

test('a mass is never a volume', () => {
  expect(parseLabelAmount('1 oz')).toMatchObject({ ok: true, value: { unit: 'g' } })
  expect(parseLabelAmount('1 fl. oz.')).toMatchObject({ ok: true, value: { unit: 'ml' } })
  expect(parseLabelAmount('30ML')).toMatchObject({ ok: true, value: { unit: 'ml', amount: 30 } })
  expect(parseLabelAmount('9,5g')).toMatchObject({ ok: true, value: { unit: 'g', amount: 9.5 } })
})

test.each([
  ['-3 g', 'amount-not-positive'],
  ['0 g', 'amount-not-positive'],
  ['12', 'amount-no-unit'],
  ['a little', 'amount-unreadable'],
  ['30 furlongs', 'amount-unreadable'],
  ['30000 g', 'amount-absurd'],
])('the size %s is refused: %s', (text, code) => {
  expect(parseLabelAmount(text)).toMatchObject({ ok: false, failure: { code } })
})

describe('numbers as people type them', () => {
  test.each([
    ['9,5', 9.5],
    ['1.234,50', 1234.5],
    ['1,234.50', 1234.5],
    ['0.212', 0.212],
    ['1 200', 1200],
    ['-3', -3],
    ['1.2.3', null],
    ['', null],
    ['12e3', null],
  ])('%s', (text, value) => {
    expect(parseDecimal(text)).toBe(value)
  })

  test('what is written with a point or a comma reads back as itself', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999_999 }), (hundredths) => {
        const text = (hundredths / 100).toFixed(2)
        expect(parseDecimal(text)).toBeCloseTo(hundredths / 100, 10)
        expect(parseDecimal(text.replace('.', ','))).toBeCloseTo(hundredths / 100, 10)
      }),
      { seed: 7 },
    )
  })
})

test.each([
  ['$4.5', 'USD', 450],
  ['12 €', 'EUR', 1200],
  ['9,99', 'EUR', 999],
  ['£1,250.00', 'GBP', 125000],
  ['900 ¥', 'JPY', 900],
])('the price %s in %s is %i minor units', (text, currency, minor) => {
  expect(parsePrice(text, currency)).toEqual({ ok: true, value: minor })
})

test.each([
  ['$4.5', 'EUR', 'price-foreign'],
  ['-3 €', 'EUR', 'price-negative'],
  ['dear', 'EUR', 'price-unreadable'],
  ['123456 €', 'EUR', 'price-absurd'],
])('the price %s in a %s collection is refused: %s', (text, currency, code) => {
  expect(parsePrice(text, currency)).toMatchObject({ ok: false, failure: { code } })
})
