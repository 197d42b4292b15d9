import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { gramsGone, parseMass, weighingDoubts } from './weighing'

describe('a weight as it is typed', () => {
  // International yard and pound agreement 1959: 1 oz = 28.349523125 g.
  test.each([
    ['44', 'g', 44],
    ['44,0 g', 'g', 44],
    ['0.212 oz', 'g', 0.212 * 28.349523125],
    ['2', 'oz', 56.69904625],
    ['44 grams', 'oz', 44],
    ['1.5 ounces', 'g', 42.5242846875],
  ] as const)('%s in %s', (text, unit, grams) => {
    const found = parseMass(text, unit)
    expect(found.ok && found.value).toBeCloseTo(grams, 9)
  })
  test.each([
    ['1.5 fl oz', 'mass-is-volume'],
    ['1.5 fl. oz.', 'mass-is-volume'],
    ['30 mL', 'mass-is-volume'],
    ['0', 'mass-not-positive'],
    ['-4 g', 'mass-not-positive'],
    ['48200', 'mass-absurd'],
    ['heavy', 'mass-unreadable'],
    ['44 stone', 'mass-unreadable'],
    ['', 'mass-unreadable'],
  ])('%s is no weight: %s', (text, code) => {
    const found = parseMass(text, 'g')
    expect(found.ok ? null : found.failure.code).toBe(code)
  })
  test('whatever is typed, it is a weight above nothing or a reason', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 12 }), fc.constantFrom('g', 'oz'), (text, unit) => {
        const found = parseMass(text, unit)
        if (found.ok) expect(found.value > 0 && found.value <= 5000).toBe(true)
        else expect(found.failure.code).toMatch(/^mass-/)
      }),
      { seed: 8 },
    )
  })
})

describe('what is odd about a weight', () => {
  const known = { before: { grams: 44, resolution: 0.1 }, empty: { grams: 39.2, sd: 0.6 }, capacity: 500 }
  const codes = (grams: number, over: Partial<typeof known> = {}): string[] =>
    weighingDoubts(grams, 0.1, { ...known, ...over }).map((doubt) => doubt.code)
  test.each<[string, number, string[]]>([
    ['a little lighter', 43.4, []],
    ['the same', 44, []],
    ['within what both weighings round', 44.1, []],
    ['heavier', 44.6, ['heavier than before']],
    ['ounces for grams', 1.55, ['looks like ounces', 'lighter than an empty']],
    ['a slipped point', 438, ['ten times too heavy', 'heavier than before']],
    ['a slipped point the other way', 4.38, ['ten times too light', 'lighter than an empty']],
    ['lighter than an empty one', 36.9, ['lighter than an empty']],
    ['more than the scale carries', 520, ['above the capacity', 'heavier than before']],
  ])('%s', (_, grams, expected) => expect(codes(grams)).toEqual(expected))
  test('where nothing is known, nothing is odd', () => {
    expect(weighingDoubts(1.55, 0.1, { before: null, empty: null, capacity: null })).toEqual([])
  })
  test('a mended figure is itself without doubt', () => {
    for (const grams of [1.5, 430]) {
      const [first] = weighingDoubts(grams, 0.1, known)
      if (!first || !('grams' in first)) throw new Error('no remedy')
      expect(codes(first.grams)).toEqual([])
    }
  })
})

test('what is gone is out by half a step of either weighing', () => {
  const gone = gramsGone({ grams: 44.6, resolution: 0.1 }, { grams: 44, resolution: 0.01 })
  expect(gone.grams).toBeCloseTo(0.6, 10)
  expect(gone.giveOrTake).toBeCloseTo(0.055, 10)
})
