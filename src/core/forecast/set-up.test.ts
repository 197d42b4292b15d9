import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { setUpOf } from './set-up'

const exact = (uses: number) => ({ low: uses, middle: uses, high: uses })

describe('what is taken on against the days there are', () => {
  test('two lipsticks of 118 uses fit into 170 days; three of 60 don’t, but two of them would, or 56 uses each', () => {
    expect(setUpOf([exact(58), exact(60)], 170)).toMatchObject({ needed: exact(118), fits: true })
    expect(setUpOf([exact(60), exact(60), exact(60)], 170)).toMatchObject({ fits: false, fewer: 2, usesEach: 56 })
  })
  test('those that need least come first', () => {
    expect(setUpOf([exact(200), exact(30), exact(40)], 75).fewer).toBe(2)
    expect(setUpOf([exact(200)], 75)).toMatchObject({ fewer: 0, usesEach: 75 })
  })
  test('several unsure needs are surer together than the sum of their ends', () => {
    const unsure = { low: 30, middle: 50, high: 90 }
    const { needed } = setUpOf([unsure, unsure, unsure, unsure], 500)
    // Four times an error of 40 upwards, apart from each other: twice 40. By the rule for independent errors.
    expect(needed).toEqual({ low: 200 - 40, middle: 200, high: 200 + 80 })
  })
  test('nothing asks for nothing; whatever is asked, the span is in order and more days never fit fewer', () => {
    expect(setUpOf([], 10)).toMatchObject({ needed: exact(0), fits: true, fewer: 0, usesEach: 0 })
    const need = fc
      .tuple(fc.double({ min: 0, max: 400, noNaN: true }), fc.double({ min: 0, max: 99, noNaN: true }))
      .map(([middle, off]) => ({ low: Math.max(0, middle - off), middle, high: middle + off }))
    fc.assert(
      fc.property(fc.array(need, { maxLength: 9 }), fc.nat(900), fc.nat(300), (needs, days, more) => {
        const [few, many] = [setUpOf(needs, days), setUpOf(needs, days + more)]
        expect(few.needed.low).toBeLessThanOrEqual(few.needed.middle)
        expect(few.needed.middle).toBeLessThanOrEqual(few.needed.high)
        expect(many.fewer).toBeGreaterThanOrEqual(few.fewer)
        expect(Number(many.fits)).toBeGreaterThanOrEqual(Number(few.fits))
      }),
    )
  })
})
