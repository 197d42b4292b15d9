import { describe, expect, test } from 'vitest'
import type { Day } from '../calendar/day.js'
import { contentFactsOf, usesAfter, type CostingEvent, type ThingMeasured, type TimedReading } from './content-facts'
import { contradictionOf } from './contradiction'
import { seriesAt, startsSeries } from './package-events'
import { kindsFor, type KeptReading } from './reading'
import { matchingGain } from './straightened'

const d = (text: string): Day => text as Day
const reading = (day: string, over: Partial<TimedReading>): TimedReading => ({
  kind: 'gross',
  value: 44,
  stage: null,
  word: null,
  partId: null,
  day: d(day),
  moment: 'before-use',
  savedAt: `${day}T12:00:00.000Z`,
  resolution: 0.1,
  doubtful: false,
  ...over,
})
const event = (day: string, kind: CostingEvent['kind'], over: Partial<CostingEvent> = {}): CostingEvent => ({
  day: d(day),
  savedAt: `${day}T18:00:00.000Z`,
  kind,
  partId: null,
  grams: null,
  share: null,
  container: null,
  ...over,
})
const thing = (over: Partial<ThingMeasured>): ThingMeasured => ({
  type: 'pressed powder',
  form: 'pressed',
  content: { amount: 9, unit: 'g' },
  start: { kind: 'new' },
  finished: false,
  days: [],
  readings: [],
  events: [],
  empties: [],
  full: null,
  ...over,
})
const DAYS = ['2026-11-01', '2026-11-10', '2026-11-20'].map(d)

describe('what the content is estimated from', () => {
  test('uses after a reading count its own day only where it was read before that use', () => {
    expect(usesAfter(DAYS, reading('2026-11-10', {}))).toBe(2)
    expect(usesAfter(DAYS, reading('2026-11-10', { moment: 'after-use' }))).toBe(1)
  })
  test('a weighing before the first use of something new is its full weight; doubtful readings and those of shades count nowhere', () => {
    const facts = contentFactsOf(
      thing({
        days: DAYS,
        readings: [
          reading('2026-10-30', { value: 48.2 }),
          reading('2026-11-15', { value: 40, doubtful: true }),
          reading('2026-11-16', { kind: 'stage', value: null, stage: 'dip', partId: 'shade' }),
        ],
      }),
    )
    expect(facts.full).toEqual({ grams: 48.2, resolution: 0.1 })
    expect(facts.seen).toHaveLength(1)
    expect(
      contentFactsOf(thing({ days: DAYS, start: { kind: 'unknown' }, readings: [reading('2026-10-30', {})] })).full,
    ).toBeNull()
  })
  test('an event begins a series for what follows it, on its own day by the instant', () => {
    const events = [event('2026-11-10', 'repressed')]
    const at = (day: string, savedAt: string): number => seriesAt(events, { day: d(day), savedAt })
    expect([
      at('2026-11-09', 'z'),
      at('2026-11-10', '2026-11-10T17:00'),
      at('2026-11-10', '2026-11-10T19:00'),
      at('2026-11-11', ''),
    ]).toEqual([0, 0, 1, 1])
    expect([startsSeries('spilt'), startsSeries('pump trouble'), startsSeries('cap lost')]).toEqual([
      false,
      false,
      true,
    ])
  })
  test('what was lost counts for everything seen before it; a share is of what was left then', () => {
    const spilt = [event('2026-11-10', 'spilt', { share: 0.5 })]
    const facts = contentFactsOf(
      thing({
        events: spilt,
        readings: [reading('2026-11-01', { kind: 'level', value: 0.8 }), reading('2026-11-20', {})],
      }),
    )
    // Half of .8 of 9 g.
    expect(facts.lost).toBeCloseTo(3.6, 10)
    expect(facts.seen.map((each) => each.lost)).toEqual([facts.lost, 0])
  })
  test('a container tells the weight of the series it begins, a stage seen since a repress tells nothing', () => {
    const facts = contentFactsOf(
      thing({
        events: [
          event('2026-11-05', 'decanted', { container: { grams: 31.4, resolution: 0.1 } }),
          event('2026-11-12', 'repressed'),
        ],
        readings: [
          reading('2026-11-14', { kind: 'stage', value: null, stage: 'untouched' }),
          reading('2026-11-15', {}),
        ],
      }),
    )
    expect(facts.empties).toEqual([{ grams: 31.4, resolution: 0.1, cleaned: true, series: 1 }])
    expect(facts.seen).toMatchObject([{ kind: 'gross', series: 2 }])
    expect(facts.series).toBe(3)
  })
})

describe('a reading that says there is more than before', () => {
  const kept = (over: Partial<KeptReading>): KeptReading => ({
    kind: 'level',
    value: 0.5,
    stage: null,
    word: null,
    ...over,
  })
  const stage = (at: KeptReading['stage']): KeptReading => kept({ kind: 'stage', value: null, stage: at })
  const bare = (value: number): KeptReading => kept({ kind: 'bare', value })
  test.each<[string, KeptReading, KeptReading, string | null]>([
    ['a level within what both may be out by', kept({}), kept({ value: 0.54 }), null],
    ['a level that rose', kept({}), kept({ value: 0.6 }), 'level rose'],
    ['a word beside a level', kept({}), kept({ kind: 'word', value: null, word: 'mostly full' }), 'level rose'],
    ['a stage that went on', stage('dip'), stage('first pan'), null],
    ['a stage that went back', stage('half bare'), stage('dip'), 'stage went back'],
    ['a bare area within the photograph', bare(0.2), bare(0.185), null],
    ['a bare area that shrank', bare(0.2), bare(0.15), 'bare area shrank'],
    ['no bare metal where pan showed', stage('first pan'), bare(0), 'bare area shrank'],
    ['two that can’t be compared', stage('dip'), kept({}), null],
  ])('%s', (_, before, now, code) => expect(contradictionOf(before, now)?.code ?? null).toBe(code))
})

test('each form is read by what it shows, a shade as the pan it is', () => {
  expect(kindsFor('pump', false, false)).toEqual(['gross', 'level', 'word'])
  expect(kindsFor('pump', true, false)).toEqual(['gross', 'word'])
  expect(kindsFor('wand', false, true)).toEqual(['stage', 'bare'])
})

test('colours of two photos are matched for the eye, never beyond what light can differ by', () => {
  expect(matchingGain([0.2, 0.2, 0.2], [0.2, 0.2, 0.2])).toEqual([1, 1, 1])
  expect(matchingGain([0.01, 0.5, 0.2], [0.9, 0.01, 0.2])).toEqual([1.5, 0.67, 1])
})
