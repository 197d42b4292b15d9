import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { measureBarePan, type BarePanInput } from './bare-pan'
import { bareGiveOrTake, isRealChange } from './bare-words'
import { levelOfHandles } from './level-handles'
import { maskOf, maskText } from './mask-text'
import { straighten, type Outline, type Point } from './outline'

const SIZE = 320
/** A drawn pan: rose powder, a bare disc of this radius in the middle, in px of a picture of 320. */
function drawn(bareRadius: number, over: Partial<BarePanInput> = {}, metal = [196, 198, 202]): BarePanInput {
  const bytes = new Uint8ClampedArray(SIZE * SIZE * 4)
  let noise = 7
  for (let y = 0; y < SIZE; y++)
    for (let x = 0; x < SIZE; x++) {
      const r = Math.hypot(x - 160, y - 160)
      noise = (Math.imul(noise, 1103515245) + 12345) >>> 0
      const grain = ((noise >>> 16) % 9) - 4
      const colour = r < bareRadius ? metal : r < 140 ? [190, 104, 112] : [40, 40, 44]
      bytes.set([...colour.map((each) => each + grain), 255], 4 * (y * SIZE + x))
    }
  return {
    picture: { width: SIZE, height: SIZE, channels: 4, bytes },
    outline: {
      shape: 'round',
      handles: [
        [160, 20],
        [300, 160],
        [160, 300],
        [20, 160],
      ],
    },
    powderTaps: [[160, 60]],
    metalTaps: [[160, 160]],
    ...over,
  }
}

describe('the bare share of a pan', () => {
  test('a drawn disc is measured as its area', () => {
    const found = measureBarePan(drawn(70))
    expect(found.ok && found.value.refusal).toBeNull()
    // Of the floor, .99 of the outline's 140 px.
    expect(found.ok && found.value.bare).toBeCloseTo((70 / (140 * 0.99)) ** 2, 1.7)
  })
  test('what can’t be told apart is refused', () => {
    const found = measureBarePan(drawn(70, {}, [191, 106, 113]))
    expect(found.ok && found.value.refusal).not.toBeNull()
  })
  test.each<[string, Partial<BarePanInput>]>([
    [
      'handles-crossed',
      {
        outline: {
          shape: 'round',
          handles: [
            [160, 20],
            [160, 300],
            [300, 160],
            [20, 160],
          ],
        },
      },
    ],
    [
      'handles-on-a-line',
      {
        outline: {
          shape: 'rect',
          handles: [
            [10, 10],
            [20, 20],
            [30, 30],
            [40, 40],
          ],
        },
      },
    ],
    ['tap-outside', { metalTaps: [[5, 5]] }],
    ['taps-missing', { metalTaps: [] }],
  ])('%s is said, not guessed around', (code, over) => {
    const found = measureBarePan(drawn(70, over))
    expect(found.ok ? null : found.failure.code).toBe(code)
  })
  test('progress runs to its end', () => {
    const heard: number[] = []
    measureBarePan(drawn(40), (share) => heard.push(share))
    expect(heard).toEqual([...heard].sort((a, b) => a - b))
    expect(heard.at(-1)).toBeGreaterThan(0.8)
  })
})

test('an outline leads into the square and back, round or cornered, whichever way it is drawn', () => {
  const spot = fc.tuple(
    fc.double({ min: -0.9, max: 0.9, noNaN: true }),
    fc.double({ min: -0.9, max: 0.9, noNaN: true }),
  )
  const corners: Point[] = [
    [100, 120],
    [620, 90],
    [700, 560],
    [60, 610],
  ]
  fc.assert(
    fc.property(spot, fc.constantFrom('round', 'rect'), fc.boolean(), ([x, y], shape, reversed) => {
      const handles = (reversed ? [...corners].reverse() : corners) as unknown as Outline['handles']
      const found = straighten({ shape, handles })
      if (!found.ok) throw new Error(found.failure.code)
      const [bx, by] = found.value.toSquare(found.value.toPicture(x, y))
      expect(bx).toBeCloseTo(x, 6)
      expect(by).toBeCloseTo(y, 6)
    }),
    { seed: 8 },
  )
})

test('a mask comes back from its text, and nothing else passes for one', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 1 }), { minLength: 1, maxLength: 200 }), (bits) => {
      const mask = Uint8Array.from(bits)
      expect(maskOf(maskText(mask), mask.length)).toEqual(mask)
    }),
    { seed: 8 },
  )
  expect(maskText(Uint8Array.of(0, 0, 1))).toBe('2.1')
  for (const wrong of ['', '2', '2.2', 'zzzzzzzz', '1.-1', 'x y']) expect(maskOf(wrong, 3)).toBeNull()
})

test('what a photo may be out by grows with the value; by hand it is three points, by her word nothing', () => {
  expect(bareGiveOrTake(0.1, 'photo')).toBe(0.015)
  expect(bareGiveOrTake(0.6, 'photo')).toBeCloseTo(0.03, 10)
  expect(bareGiveOrTake(0.1, 'brush')).toBe(0.03)
  expect(bareGiveOrTake(0, 'her word')).toBe(0)
  expect([isRealChange(0.18, 0.2), isRealChange(0.18, 0.21), isRealChange(0.21, 0.18)]).toEqual([false, true, true])
})

test('a level is read along the bottle, however it stands in the photo', () => {
  expect(levelOfHandles({ top: [100, 100], bottom: [100, 300], level: [140, 250] })).toEqual({ ok: true, value: 0.25 })
  const tilted = levelOfHandles({ top: [200, 100], bottom: [100, 200], level: [150, 150] })
  expect(tilted.ok && tilted.value).toBeCloseTo(0.5, 10)
  expect(levelOfHandles({ top: [100, 100], bottom: [100, 300], level: [100, 20] })).toEqual({ ok: true, value: 1 })
  expect(levelOfHandles({ top: [100, 100], bottom: [105, 104], level: [100, 100] }).ok).toBe(false)
})
