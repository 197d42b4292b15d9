import { createSSRApp, h } from 'vue'
import { renderToString } from 'vue/server-renderer'
import { describe, expect, test } from 'vitest'
import { FORMS } from '#core/item/form'
import type { ListedItem } from '#contract/item'
import { specimen, SPECIMEN_ROWS } from '#web/specimen/specimen-data'
import { barePatch } from './bare-patch'
import { contentOf, contentOfItem, drawingOf, paletteBreadth, railOf, seedOf, type GaugeSize } from './gauge-model'
import ItemGauge from './ItemGauge.vue'
import { tallyStrokes } from './tally-strokes'
import { vesselShape } from './vessel-shape'

const drawn = (item: ListedItem, size: GaugeSize = 'middle', wornParts: string[] = []): Promise<string> =>
  renderToString(createSSRApp({ render: () => h(ItemGauge, { item, size, wornParts }) }))
const rust = (over: object = {}): ListedItem => specimen({ shade: 'Rust', form: 'pressed', colour: '#c7747a', ...over })
const GOAL = { done: 0.35, notch: 0.5, uses: 7, target: 20 }

describe('which drawing a form takes', () => {
  test.each([
    ['pressed', 'pan'],
    ['baked', 'pan'],
    ['pump', 'bottle'],
    ['dropper', 'bottle'],
    ['spray', 'bottle'],
    ['tube', 'tube'],
    ['wand', 'wand'],
    ['wooden pencil', 'pencil'],
    ['twist-up pencil', 'pencil'],
    ['bullet', 'bullet'],
    ['stick', 'bullet'],
    ['pot', 'pot'],
    ['jar', 'pot'],
    ['loose', 'label'],
    ['cushion', 'label'],
    ['sachet', 'label'],
  ] as const)('%s: %s', (form, drawing) => {
    expect(drawingOf({ form, opaque: false, parts: [] })).toBe(drawing)
  })
  test('an opaque package bears a label where it would show a level; a pan is never opaque', () => {
    expect(drawingOf({ form: 'tube', opaque: true, parts: [] })).toBe('label')
    expect(drawingOf({ form: 'pressed', opaque: true, parts: [] })).toBe('pan')
  })
})

describe('what the body shows', () => {
  test('nothing recorded is an open outline with a dab of the swatch, in every form that shows a content', async () => {
    for (const form of FORMS) {
      const item = specimen({ shade: 'Quay', form, colour: '#123456' })
      if (drawingOf(item) === 'label') continue
      const html = await drawn(item)
      expect(html, form).toMatch(/class="(open|gone)"/)
      expect(html, form).toContain('class="dab"')
      expect(html, form).not.toContain('surface-dark')
    }
  })
  test('bare metal appears with the first pan and not before', async () => {
    for (const [stage, bare] of [
      ['untouched', false],
      ['dip', false],
      ['first pan', true],
      ['mostly bare', true],
    ] as const)
      expect((await drawn(rust({ reading: { kind: 'stage', stage } }))).includes('light-edge'), stage).toBe(bare)
  })
  test('the surface of a liquid stands at its level', async () => {
    const { top, bottom } = vesselShape('pump')
    const html = await drawn(
      specimen({ shade: 'Fawn', form: 'pump', colour: '#d8ab7c', reading: { kind: 'level', value: 0.25 } }),
    )
    const y = Number(/<rect x="0" y="([\d.]+)"[^>]*fill="#d8ab7c"/.exec(html)?.[1])
    expect(y).toBeCloseTo(bottom - (bottom - top) * 0.25, 6)
  })
  test('a swatch keeps its true value; none is undyed', async () => {
    expect(await drawn(rust({ reading: { kind: 'stage', stage: 'dip', word: null } }))).toContain('fill="#c7747a"')
    expect(await drawn(rust({ colour: null, reading: { kind: 'stage', stage: 'dip', word: null } }))).toContain(
      '-undyed)',
    )
  })
  test('the worn shades of a palette are marked, in the middle and large drawing only', async () => {
    const palette = SPECIMEN_ROWS.find((row) => row.name === 'Palette')?.items[0]
    if (!palette) throw new Error('no palette among the specimens')
    const worn = [...(palette.wornParts ?? [])]
    expect((await drawn(palette.item, 'middle', worn)).match(/class="worn"/g)).toHaveLength(2)
    expect(await drawn(palette.item, 'small', worn)).not.toContain('class="worn"')
  })
  test('a backup is an outline behind, and only where it can be seen', async () => {
    expect(await drawn(rust({ backups: 1 }))).toContain('class="behind"')
    expect(await drawn(rust({ backups: 1 }), 'small')).not.toContain('class="behind"')
    expect(await drawn(rust())).not.toContain('class="behind"')
  })
})

describe('the rail', () => {
  test('is there with a goal, and not without or in the small drawing', async () => {
    expect(await drawn(rust({ goal: GOAL }))).toContain('class="rail"')
    expect(await drawn(rust())).not.toContain('class="rail"')
    expect(await drawn(rust({ goal: GOAL }), 'small')).not.toContain('class="rail"')
  })
  test('fills by what is done, whatever the goal; without a date it has no wedge', async () => {
    const width = async (done: number): Promise<number> =>
      Number(/class="done"[^>]*width="([\d.]+)"/.exec(await drawn(rust({ goal: { ...GOAL, done } })))?.[1])
    expect((await width(0.5)) / (await width(1))).toBeCloseTo(0.5, 6)
    expect(await drawn(rust({ goal: GOAL }))).toContain('class="wedge"')
    expect(await drawn(rust({ goal: { ...GOAL, notch: null } }))).not.toContain('class="wedge"')
  })
  test('a goal that nothing measures yet shows an empty, broken groove', async () => {
    const html = await drawn(rust({ goal: { ...GOAL, done: null } }))
    expect(html).toContain('unmeasured')
    expect(html).not.toContain('class="done"')
  })
  test('steps are drawn while they can be told apart', () => {
    const goal = rust({ goal: GOAL }).goal
    expect(railOf(goal)?.steps).toBe(20)
    expect(railOf(goal && { ...goal, target: 60 })?.steps).toBeNull()
    expect(railOf(null)).toBeNull()
  })
})

test('every specimen draws in every size, says itself in words, and holds no broken number', async () => {
  let count = 0
  for (const row of SPECIMEN_ROWS)
    for (const { item, words } of row.items)
      for (const size of ['large', 'middle', 'small'] as const) {
        const html = await drawn(item, size)
        expect(html, `${row.name}: ${words}, ${size}`).not.toMatch(/NaN|undefined|Infinity/)
        expect(html).toMatch(/role="img" aria-label="[^"]{4,}"/)
        count += 1
      }
  expect(count).toBeGreaterThan(100)
})

describe('the patch of bare metal', () => {
  /** Area of a path's end points by the shoelace formula: independent of how the curve was made. */
  function areaOf(path: string): number {
    const points = [...path.matchAll(/(?:M|C[-\d. ,]*? [-\d.]+ [-\d.]+ [-\d.]+ )([-\d.]+) ([-\d.]+)(?=C|Z)/g)].map(
      (m) => [Number(m[1]), Number(m[2])] as const,
    )
    let twice = 0
    points.forEach(([x, y], n) => {
      const [nx, ny] = points[(n + 1) % points.length] ?? [0, 0]
      twice += x * ny - nx * y
    })
    return Math.abs(twice) / 2
  }
  test.each([0.06, 0.31, 0.5, 0.85])('covers %f of the dish', (share) => {
    const area = areaOf(barePatch('blush-1', share, 41, 50))
    // A polygon of 22 points holds about 1.4 % less than its curve.
    expect(Math.abs(area / (Math.PI * 41 * 41) / share - 1)).toBeLessThan(0.04)
  })
  test('belongs to its item: the same each time, another for another', () => {
    expect(barePatch('a', 0.3, 41, 50)).toBe(barePatch('a', 0.3, 41, 50))
    expect(barePatch('a', 0.3, 41, 50)).not.toBe(barePatch('b', 0.3, 41, 50))
    expect(seedOf('a')).not.toBe(seedOf('b'))
  })
})

test('tally strokes come in gates of five, the fifth across', () => {
  expect([0, 4, 5, 12].map((count) => tallyStrokes(count).length)).toEqual([0, 4, 5, 12])
  const across = (path: string | undefined): boolean => path?.includes('L') === true
  expect(tallyStrokes(10).map(across)).toEqual([false, false, false, false, true, false, false, false, false, true])
})

test('a palette keeps within its compartment', () => {
  expect(paletteBreadth('middle', 4, 2)).toBeLessThanOrEqual(178)
  expect(paletteBreadth('middle', 12, 2)).toBeLessThanOrEqual(178)
  expect(paletteBreadth('small', 5, 2)).toBeLessThanOrEqual(46)
})

test('no reading is unknown, a stage carries its bare area', () => {
  expect(contentOf(null)).toEqual({ kind: 'unknown' })
  const seen = {
    form: 'tube',
    reading: { kind: 'level', value: 0.85, stage: null, word: null },
    estimate: null,
  } as const
  expect(contentOfItem({ ...seen, lifecycle: 'open' })).toEqual({ kind: 'left', share: 0.85 })
  expect(contentOfItem({ ...seen, lifecycle: 'finished' })).toEqual({ kind: 'left', share: 0 })
  expect(contentOf({ kind: 'stage', value: null, stage: 'half bare', word: null })).toEqual({
    kind: 'stage',
    stage: 'half bare',
    bare: 0.5,
  })
})
