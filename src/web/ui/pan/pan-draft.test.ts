import { expect, test } from 'vitest'
import { bareOf, emptyMask, firstHandles, handlesOn, maskPath, outlineOf, painted, rimPath } from './pan-draft'

const outline = outlineOf('round', firstHandles('round', 1000, 800))

test('the brush paints bare metal and powder, only on the floor of the pan', () => {
  const once = painted(emptyMask(), outline, [500, 400], true)
  const bare = bareOf(once, 'round')
  // A disc of 16 px in a floor of 512 / 2 x .99.
  expect(bare).toBeCloseTo((16 / (256 * 0.99)) ** 2, 3)
  expect(bareOf(painted(once, outline, [500, 400], true), 'round')).toBe(bare)
  expect(bareOf(painted(once, outline, [500, 400], false), 'round')).toBe(0)
  expect(painted(emptyMask(), outline, [2, 2], true)).toBe(emptyMask())
})

test('rim and edge are drawn where the handles have them; crossed handles draw nothing', () => {
  expect(rimPath(outline)).toContain('500.0 112.0')
  const crossed = outlineOf('round', [
    [0, 0],
    [10, 10],
    [10, 0],
    [0, 10],
  ])
  expect([rimPath(crossed), maskPath(emptyMask(), crossed)]).toEqual(['', ''])
  expect(maskPath(painted(emptyMask(), outline, [500, 400], true), outline)).toMatch(/^M/)
  expect(bareOf('no mask', 'round')).toBe(0)
})

test('the first handles lie in the picture, in order, for a round pan and for a square one', () => {
  for (const shape of ['round', 'rect'] as const) {
    const handles = firstHandles(shape, 900, 1600)
    expect(handles.every(([x, y]) => x > 0 && x < 900 && y > 0 && y < 1600)).toBe(true)
    expect(rimPath(outlineOf(shape, handles))).not.toBe('')
  }
})

test('a rim that was drawn on a photo lies on the same pan of a photo of another size, and on none of other proportions', () => {
  const drawn = firstHandles('round', 1000, 800)
  const sizes = { width: 1000, height: 800 }
  expect(handlesOn(drawn, sizes, { width: 1500, height: 1200 })).toEqual(firstHandles('round', 1500, 1200))
  expect(handlesOn(drawn, sizes, { width: 800, height: 1000 })).toBeNull()
})
