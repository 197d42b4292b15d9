import { readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import type { Day } from '../calendar/day.js'
import {
  BOUNDS,
  doubtsOf,
  isReaction,
  LEANINGS,
  offerOf,
  ranked,
  WEIGHTS,
  type DoubtCode,
  type DoubtFacts,
} from './doubts.js'
import { learnedPairs } from './pairs.js'
import { reachOf, type InReach } from './reach.js'
import { colourTells, twinsAmong, type Coloured } from './twins.js'

const d = (text: string): Day => text as Day
const NOTHING: DoubtFacts = {
  atEye: false,
  opened: true,
  liking: null,
  sign: null,
  lastGood: d('2028-01-01'),
  daysLeft: 400,
  reach: { reached: 0, chances: 0, equalShare: 0 },
  daysUnworn: 3,
  daysKnown: 300,
  putBack: 0,
  clearOuts: 0,
  spoilsFirst: null,
  twin: null,
  wears: 5,
  mixedWears: 0,
  onlyMixed: false,
  packageStates: [],
  seasons: [],
  special: false,
  settled: false,
}
const TWIN = { otherId: 'b', difference: 1, worn: 1, otherWorn: 9, otherLiking: null }
const codes = (over: Partial<DoubtFacts>): DoubtCode[] => doubtsOf({ ...NOTHING, ...over }).map(({ code }) => code)

describe('what puts an item in doubt', () => {
  test.each<[string, Partial<DoubtFacts>, DoubtCode[]]>([
    ['nothing', {}, []],
    ['a sign', { sign: { day: d('2026-11-01'), words: 'smells of crayons' } }, ['sign']],
    ['a reaction', { sign: { day: d('2026-11-01'), words: 'stings' } }, ['reaction']],
    ['a sign above any date', { sign: { day: d('2026-11-01'), words: 'grainy' }, daysLeft: -5 }, ['sign']],
    ['past at the eye', { atEye: true, daysLeft: -1 }, ['past at the eye']],
    ['past elsewhere', { daysLeft: -1 }, ['past']],
    ['its use-by date itself is no past', { daysLeft: 0 }, ['soon past']],
    ['ninety days', { daysLeft: 90 }, ['soon past']],
    ['ninety-one', { daysLeft: 91 }, []],
    ['no date known', { daysLeft: null, lastGood: null, spoilsFirst: { lastGood: null, ofCategory: 9 } }, []],
    ['before its turn', { spoilsFirst: { lastGood: d('2027-05-01'), ofCategory: 9 } }, ['spoils first']],
    ['under half of an equal share', { reach: { reached: 4, chances: 30, equalShare: 9 } }, ['not reached for']],
    ['half of it', { reach: { reached: 5, chances: 30, equalShare: 10 } }, []],
    ['too few chances', { reach: { reached: 0, chances: 9, equalShare: 4 } }, []],
    ['half a year', { daysUnworn: 180 }, ['unworn']],
    ['never, and known for long', { daysUnworn: null }, ['unworn']],
    ['never, and new', { daysUnworn: null, daysKnown: 60 }, []],
    ['special items wait', { daysUnworn: 400, special: true }, []],
    ['a summer shade in its year off', { daysUnworn: 200, seasons: ['summer'] }, []],
    ['a summer shade for more than a year', { daysUnworn: 366, seasons: ['summer'] }, ['out of season']],
    ['put back twice', { putBack: 2 }, []],
    ['put back three times', { putBack: 3 }, ['put back']],
    ['two clear-outs', { clearOuts: 2 }, ['survived']],
    ['a twin that is worn', { twin: TWIN }, ['twin']],
    ['a twin that is worn as little', { twin: { ...TWIN, otherWorn: 2 } }, []],
    ['a twin that is liked better', { liking: 2, twin: { ...TWIN, otherWorn: 1, otherLiking: 4 } }, ['twin']],
    ['a twin of unknown liking', { liking: null, twin: { ...TWIN, otherWorn: 1, otherLiking: 5 } }, []],
    ['always mixed', { wears: 4, mixedWears: 4 }, ['only mixed']],
    ['nearly always mixed', { wears: 5, mixedWears: 4 }, []],
    ['package trouble', { packageStates: ['pump broken'] }, ['package']],
    ['unopened: only dates and twins', { opened: false, daysUnworn: null, putBack: 5, daysLeft: 40 }, ['soon past']],
    ['settled: what can’t wait', { settled: true, atEye: true, daysLeft: -1, putBack: 9 }, ['past at the eye']],
    ['settled: the rest can', { settled: true, daysLeft: -1, putBack: 9 }, []],
  ])('%s', (_, over, expected) => expect(codes(over)).toEqual(expected))

  test.each([
    ['Stings a little', true],
    ['itchy lids', true],
    ['spots on the chin', true],
    ['white spots on the surface', false],
    ['turned red', false],
    ['smells burned', false],
    ['turned my eyes red', true],
    ['burns', true],
    ['it burned my lips', true],
    ['brings out spots', true],
    ['smell changed', false],
    ['coloured orange', false],
    ['separated', false],
  ])('“%s” is a reaction: %s', (words, expected) => expect(isReaction(words)).toBe(expected))
})

describe('the order of a leaning', () => {
  const late = { of: { id: 'late', liking: 5 }, doubts: doubtsOf({ ...NOTHING, daysLeft: 20 }) }
  const unloved = { of: { id: 'unloved', liking: 2 }, doubts: doubtsOf({ ...NOTHING, putBack: 4, daysUnworn: 700 }) }
  const eye = { of: { id: 'eye', liking: 5 }, doubts: doubtsOf({ ...NOTHING, atEye: true, daysLeft: -3 }) }
  const order = (leaning: 'thrift' | 'joy', ...found: (typeof late)[]): string[] =>
    ranked(found, leaning).map(({ of }) => of.id)

  test('what can’t wait comes first whatever she leans to, and what has no fact not at all', () => {
    for (const leaning of LEANINGS)
      expect(order(leaning, late, unloved, eye, { of: { id: 'none', liking: 1 }, doubts: [] })[0]).toBe('eye')
    expect(ranked([{ of: { id: 'none', liking: 1 }, doubts: [] }], 'joy')).toEqual([])
  })

  test('the same facts, ordered and worded differently', () => {
    const light = { of: { id: 'light', liking: 3 }, doubts: doubtsOf({ ...NOTHING, daysUnworn: 400 }) }
    expect(order('thrift', light, late)).toEqual(['late', 'light'])
    expect(order('joy', light, late)).toEqual(['light', 'late'])
    expect(offerOf(late.doubts, 'thrift', 3)).toBe('use it first')
    expect(offerOf(unloved.doubts, 'thrift', 2)).toBe('use it up as something else')
    expect(offerOf(unloved.doubts, 'joy', 2)).toBe('let go')
    expect(offerOf(light.doubts, 'joy', 5)).toBe('try it')
    expect(offerOf(eye.doubts, 'joy', 5)).toBe('stop')
  })

  test('the weights are those that docs/deciding.md prints', () => {
    const page = readFileSync(new URL('../../../docs/deciding.md', import.meta.url), 'utf8')
    for (const [code, { thrift, joy }] of Object.entries(WEIGHTS))
      expect(page).toMatch(new RegExp(`\\| ${code} +\\| +${thrift} +\\| +${joy} +\\|`))
    expect(page).toContain(`${BOUNDS.unwornDays} days`)
  })
})

describe('reached for, of its chances', () => {
  const days = ['2026-06-01', '2026-06-02', '2026-06-03', '2026-12-01'].map(d)
  const stays: InReach[] = [
    { itemId: 'a', kind: 'blush', seasons: [], from: d('2026-06-01'), to: null },
    { itemId: 'b', kind: 'blush', seasons: [], from: d('2026-06-02'), to: d('2026-06-03') },
    { itemId: 'c', kind: 'bronzer', seasons: ['summer'], from: d('2026-05-01'), to: null },
  ]
  const worn = new Map([
    ['a', new Set([d('2026-06-01'), d('2026-06-02')])],
    ['b', new Set([d('2026-06-03')])],
  ])

  test('worked by hand: a alone, then shared with b, then alone again in winter', () => {
    const reach = reachOf(days, stays, worn)
    // a: four chances, two of them taken; its equal share is 1 + ½ + ½, and nothing on the winter day on which no blush was worn.
    expect(reach.get('a')).toEqual({ chances: 4, reached: 2, equalShare: 2 })
    expect(reach.get('b')).toEqual({ chances: 2, reached: 1, equalShare: 1 })
    // A summer shade has no chance in December, and no share where nobody of its kind was worn.
    expect(reach.get('c')).toEqual({ chances: 3, reached: 0, equalShare: 0 })
  })

  test('an item laid in twice on one day has one chance of it', () => {
    const twice: InReach[] = [
      { itemId: 'a', kind: 'blush', seasons: [], from: d('2026-06-01'), to: d('2026-06-02') },
      { itemId: 'a', kind: 'blush', seasons: [], from: d('2026-06-02'), to: null },
    ]
    expect(reachOf(days, twice, worn).get('a')).toMatchObject({ chances: 4, reached: 2 })
  })
})

test('twins are of one use and comparable finish, and each is the other’s', () => {
  const of = (id: string, colour: string, over: Partial<Coloured> = {}): Coloured => ({
    id,
    kind: 'blush',
    colour,
    finish: 'matte',
    ...over,
  })
  const found = twinsAmong([
    of('a', '#c7747a'),
    of('b', '#c7757b'),
    of('c', '#c7747a', { kind: 'lipstick' }),
    of('d', '#c7747a', { finish: 'shimmer' }),
    of('e', '#402020'),
  ])
  expect([...found.keys()].sort()).toEqual(['a', 'b'])
  expect(found.get('a')?.map(({ id }) => id)).toEqual(['b'])
  expect(colourTells('mascara')).toBe(false)
})

test('pairs are learned from days that felt one way again and again', () => {
  const day = (good: number, bad: number, soso = 0) => ({ otherId: 'x', days: 9, felt: { good, bad, 'so-so': soso } })
  expect(learnedPairs([day(3, 0)])[0]?.verdict).toBe('works')
  expect(learnedPairs([day(0, 2)])[0]?.verdict).toBe('fights')
  expect(learnedPairs([day(3, 2), day(2, 0), day(0, 1), day(0, 2, 2)])).toEqual([])
})
