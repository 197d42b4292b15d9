import { describe, expect, test } from 'vitest'
import type { Day } from '../calendar/day.js'
import { baselineDay, byTime, contentOn, type DatedReading } from './what-is-left.js'

const d = (text: string): Day => text as Day
let saved = 0
const level = (day: string, value: number, over: Partial<DatedReading> = {}): DatedReading =>
  ({
    kind: 'level',
    value,
    stage: null,
    word: null,
    partId: null,
    day: d(day),
    moment: 'before-use',
    savedAt: `2026-11-24T12:00:${String((saved += 1)).padStart(2, '0')}.000Z`,
    ...over,
  }) as DatedReading
const stage = (day: string, at: DatedReading['stage'], partId: string | null = null): DatedReading =>
  level(day, 0, { kind: 'stage', value: null, stage: at, partId } as Partial<DatedReading>)

test('readings of one day follow their moment, then the time they were saved', () => {
  const after = level('2026-11-02', 0.4, { moment: 'after-use' })
  const before = level('2026-11-02', 0.5)
  const corrected = level('2026-11-02', 0.55)
  const earlier = level('2026-11-01', 0.6)
  expect([after, corrected, before, earlier].sort(byTime)).toEqual([earlier, before, corrected, after])
})

describe('what is left on a day', () => {
  const readings = [level('2026-09-01', 0.8), level('2026-10-01', 0.5)]
  test('is what was read last by then', () => {
    expect(contentOn(readings, [], d('2026-09-30'))).toEqual({ left: 0.8, bare: null, panShows: false, shades: null })
    expect(contentOn(readings, [], d('2026-08-31')).left).toBeNull()
  })
  test('a palette follows its shades once one of them is read; one never read tells nothing', () => {
    const palette = [stage('2026-09-01', 'first pan', 'a'), stage('2026-09-01', 'mostly bare', 'b')]
    const content = contentOn(palette, ['a', 'b', 'c'], d('2026-11-24'))
    expect(content).toMatchObject({ panShows: true, shades: { read: 2, all: 3 } })
    // (.43 + .08) / 2 and (.06 + .85) / 2, worked by hand.
    expect(content.left).toBeCloseTo(0.255, 10)
    expect(content.bare).toBeCloseTo(0.455, 10)
  })
  test('a reading of the whole stands in for shades never read', () => {
    const palette = [stage('2026-09-01', 'untouched'), stage('2026-10-01', 'half bare', 'a')]
    expect(contentOn(palette, ['a', 'b'], d('2026-11-24')).left).toBeCloseTo((0.22 + 1) / 2, 10)
    expect(contentOn(palette, ['a', 'b'], d('2026-09-15')).left).toBe(1)
  })
})

test('a goal is estimated from what was read when it rolled in, else from the first reading after', () => {
  const readings = [level('2026-10-10', 0.8), level('2026-11-01', 0.6)]
  expect(baselineDay(readings, d('2026-10-15'))).toEqual({ day: '2026-10-15', late: false })
  expect(baselineDay(readings, d('2026-10-01'))).toEqual({ day: '2026-10-10', late: true })
  expect(baselineDay([], d('2026-10-01'))).toBeNull()
})
