import { describe, expect, test } from 'vitest'
import type { Day } from '../calendar/day.js'
import { proposeDrawer, type DrawerCandidate } from './first-drawer.js'
import { putAwayUntil } from './season-change-choices.js'

const TODAY = '2026-11-24' as Day
const CONTEXT = { season: 'winter' as const, today: TODAY, there: new Map<string, number>() }
const thing = (itemId: string, over: Partial<DrawerCandidate> = {}): DrawerCandidate => ({
  itemId,
  categoryId: 'blush',
  zoneId: 'cheeks',
  slots: 1,
  open: true,
  spoiled: false,
  uses: 0,
  liking: null,
  shelfLife: { actOn: null, daysLeft: null },
  inDrawer: false,
  seasons: [],
  ...over,
})
const picked = (things: DrawerCandidate[], slots = 6, there = new Map<string, number>()) =>
  proposeDrawer(things, new Map([['cheeks', slots]]), { ...CONTEXT, there })
const ids = (things: DrawerCandidate[], slots?: number): string[] => picked(things, slots).map((each) => each.itemId)

describe('a drawer to begin with', () => {
  test('has one of each type before a second of any, and ends where the slots do', () => {
    const things = [thing('a', { uses: 90 }), thing('b', { uses: 60 }), thing('c', { categoryId: 'bronzer' })]
    expect(ids(things, 2)).toEqual(['a', 'c'])
    expect(ids(things)).toEqual(['a', 'c', 'b'])
  })

  test('leaves out what is expired, of another season, or unopened beside an open one', () => {
    const things = [
      thing('good'),
      thing('over', { spoiled: true, uses: 200 }),
      thing('summer', { seasons: ['summer'], uses: 200 }),
      thing('sealed', { open: false, uses: 0 }),
      thing('only sealed', { open: false, categoryId: 'bronzer' }),
    ]
    expect(ids(things)).toEqual(['good', 'only sealed'])
  })

  test('says what speaks for each, and counts what lies there already', () => {
    const soon = thing('soon', { shelfLife: { actOn: '2026-12-20' as Day, daysLeft: 26 } })
    const used = thing('used', { uses: 100 })
    expect(
      picked([soon, used, thing('lone', { categoryId: 'bronzer' })]).map((each) => [each.itemId, each.reason.code]),
    ).toEqual([
      ['used', 'most-used'],
      ['lone', 'only-one'],
      ['soon', 'expires'],
    ])
    expect(picked([used], 6, new Map([['blush', 1]]))[0]?.reason.code).toBe('most-used')
  })

  test('a wide item comes in only where it fits', () => {
    expect(ids([thing('palette', { slots: 3, uses: 99 }), thing('small')], 2)).toEqual(['small'])
  })
})

// By hand: the seasons begin on 1 March, June, September and December.
test.each([
  [['summer'], null, '2027-06-01'],
  [['spring', 'summer'], null, '2027-03-01'],
  [['summer'], '2027-04-15', '2027-04-15'],
  [['summer'], '2026-11-20', null],
  [[], null, '2027-08-24'],
] as const)('put away, with seasons %o and good to %s, it comes back on %s', (seasons, lastGood, expected) => {
  expect(putAwayUntil({ today: TODAY, seasons, lastGood: lastGood as Day | null, hemisphere: 'north' })).toBe(expected)
})
