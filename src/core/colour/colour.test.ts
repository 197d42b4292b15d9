import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import {
  comparableFinish,
  differenceOf,
  labOf,
  nearnessOf,
  tooFarInLightness,
  TWIN_BELOW,
  type Lab,
} from './difference.js'
import { mixed, mixTowards } from './mixing.js'
import { sampledColour } from './sampled.js'

const swatch = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
  .map((channels) => `#${channels.map((each) => each.toString(16).padStart(2, '0')).join('')}`)

describe('colour difference', () => {
  // Sharma, Wu and Dalal 2005, table 1: 34 pairs, from memory, in test/reference/ciede2000.csv.
  const pairs = readFileSync(new URL('../../../test/reference/ciede2000.csv', import.meta.url), 'utf8')
    .trim()
    .split('\n')
    .slice(1)
    .map((line) => line.split(',').map(Number))
  test('all 34 published pairs come out to the fourth decimal, either way round', () => {
    expect(pairs).toHaveLength(34)
    for (const [l1 = 0, a1 = 0, b1 = 0, l2 = 0, a2 = 0, b2 = 0, expected = NaN] of pairs) {
      const one: Lab = { mode: 'lab65', l: l1, a: a1, b: b1 }
      const other: Lab = { mode: 'lab65', l: l2, a: a2, b: b2 }
      expect(differenceOf(one, other)).toBeCloseTo(expected, 4)
      expect(differenceOf(other, one)).toBeCloseTo(expected, 4)
    }
  })

  test('white, mid grey and black have the lightness of CIE 15 (from memory: 100, 53.59, 0)', () => {
    expect(labOf('#ffffff').l).toBeCloseTo(100, 2)
    expect(labOf('#808080').l).toBeCloseTo(53.585, 2)
    expect(labOf('#000000').l).toBeCloseTo(0, 6)
  })

  test('what is passed over by its lightness alone is never a twin', () => {
    fc.assert(
      fc.property(swatch, swatch, (a, b) => {
        const [one, other] = [labOf(a), labOf(b)]
        return !tooFarInLightness(one, other) || differenceOf(one, other) >= TWIN_BELOW
      }),
      { seed: 7, numRuns: 3000 },
    )
  })

  test.each([
    [0, 'hard to tell apart'],
    [1.99, 'hard to tell apart'],
    [2, 'near twins'],
    [5, 'same family'],
    [10, 'apart'],
  ])('%f is %s', (difference, words) => expect(nearnessOf(difference)).toBe(words))

  test('a finish nobody recorded can be compared; shimmer and matte can’t', () => {
    expect(comparableFinish(null, 'matte')).toBe(true)
    expect(comparableFinish('satin', 'matte')).toBe(true)
    expect(comparableFinish('shimmer', 'matte')).toBe(false)
  })
})

describe('mixing', () => {
  test('all of one is that one, whichever it is', () => {
    fc.assert(
      fc.property(swatch, swatch, (a, b) => mixed(a, b, 0) === a && mixed(a, b, 1) === b),
      { seed: 7, numRuns: 1000 },
    )
  })

  test('it doesn’t matter which is called the first', () => {
    fc.assert(
      fc.property(swatch, swatch, fc.double({ min: 0, max: 1, noNaN: true }), (a, b, share) => {
        expect(mixed(a, b, share)).toBe(mixed(b, a, 1 - share))
      }),
      { seed: 7, numRuns: 1000 },
    )
  })

  test('of grey halves: K/S of .25 and .8 is 1.125 and .025, their mean .575, which reflects .3555 (by hand)', () => {
    // Linear .25 is #898989, .8 is #e7e7e7, .3555 is #a1a1a1, each to the nearest of 256 steps.
    expect(mixed('#898989', '#e7e7e7', 0.5)).toBe('#a1a1a1')
  })

  test('a target that was mixed is found again, in the fewest pumps', () => {
    expect(mixTowards('#f0d0b8', '#8a5a40', mixed('#f0d0b8', '#8a5a40', 1 / 3))).toMatchObject({ parts: [2, 1] })
    expect(mixTowards('#f0d0b8', '#8a5a40', '#f0d0b8')).toMatchObject({ parts: [1, 0], difference: 0 })
    expect(mixTowards('#f0d0b8', '#8a5a40', mixed('#f0d0b8', '#8a5a40', 0.5)).parts).toEqual([1, 1])
  })
})

describe('a swatch off a picture', () => {
  const of = (...colours: readonly (readonly [number, number, number])[]): number[] =>
    Array.from({ length: 16 }, (_, n) => [...(colours[n % colours.length] ?? [0, 0, 0]), 255]).flat()

  test('is the mean of the light, not of the numbers', () => {
    expect(sampledColour(of([199, 116, 122]))).toEqual({ ok: true, value: '#c7747a' })
    // Half black and half white reflects half the light: 188 of 255, not 128 (IEC 61966-2-1, worked by hand).
    expect(sampledColour(of([0, 0, 0], [249, 249, 249]))).toEqual({ ok: true, value: '#b7b7b7' })
  })

  test('loses the cast of the light with a neutral beside it', () => {
    const warm = sampledColour(of([200, 120, 100]), of([200, 180, 150]))
    const plain = sampledColour(of([200, 120, 100]))
    expect(warm.ok && plain.ok && labOf(warm.value).b < labOf(plain.value).b).toBe(true)
    // By hand: linear .578, .456 and .305 have the mean .446, which is 178 of 255.
    expect(sampledColour(of([200, 180, 150]), of([200, 180, 150]))).toMatchObject({ value: '#b2b2b2' })
  })

  test.each([
    ['on-highlight', of([255, 252, 250], [200, 120, 100]), null],
    ['neutral-unusable', of([200, 120, 100]), of([255, 255, 255])],
    ['neutral-unusable', of([200, 120, 100]), of([3, 3, 3])],
    ['too-few-pixels', [200, 120, 100, 255], null],
  ])('is refused as %s', (code, spot, neutral) => {
    expect(sampledColour(spot, neutral)).toMatchObject({ ok: false, failure: { code } })
  })
})
