import { describe, expect, test } from 'vitest'
import { addDays, addMonths, type Day } from '#core/calendar/day'
import type { ListedItem, ShelfLifeAnswer } from '#contract/item'
import { specimen } from '#web/specimen/specimen-data'
import { raceAxis } from './race-axis'
import { byOrder, narrowed, picked, raceSum, rowsOf, type RaceWish } from './race-rows'
import { actsOfRow, raceSentences, useFirstWords } from './race-words'

const TODAY = '2026-11-24' as Day
const d = (text: string): Day => text as Day
const WISH: RaceWish = { state: 'all open', standing: null, only: null, zoneId: null, categoryId: null }
const GOOD = { earliest: d('2027-06-10'), latest: d('2027-06-10') }
type Race = ShelfLifeAnswer['races'][number]
type Over = Omit<Partial<ListedItem>, 'shelfLife'> & { shelfLife?: Partial<ListedItem['shelfLife']> }

function item(id: string, over: Over = {}): ListedItem {
  return {
    ...specimen({ form: 'pressed', shade: 'Weir', colour: '#b4706f' }),
    id,
    lifecycle: 'open',
    lastWorn: null,
    placement: null,
    goal: null,
    eye: false,
    endedOn: null,
    ...over,
    shelfLife: {
      state: 'in date',
      lastGood: GOOD,
      actOn: GOOD.earliest,
      sun: null,
      ...over.shelfLife,
    },
  } as ListedItem
}
function race(itemId: string, over: Partial<Race> = {}): Race {
  return {
    itemId,
    finish: { low: d('2027-03-01'), middle: d('2027-08-01'), high: d('2028-02-01') },
    curve: [],
    last: d('2026-11-23'),
    chance: 0.3,
    verdict: 'not in time',
    leftThen: 0.5,
    stake: 1000,
    price: { minor: 2000, usual: false },
    share: 0.7,
    uses: { low: 40, middle: 60, high: 90 },
    wornAsId: 'blush',
    reason: { code: 'printed-expiry' },
    sunLastDay: null,
    ...over,
  }
}
const rows = (...all: [ListedItem, Race][]) =>
  rowsOf(
    all.map(([, each]) => each),
    all.map(([each]) => each),
  )

describe('the rows of the race', () => {
  const past = item('past', { shelfLife: { state: 'past' } })
  const eye = item('eye', { eye: true, shelfLife: { state: 'past' } })
  const all = rows(
    [item('small'), race('small', { stake: 100 })],
    [past, race('past', { stake: 9000, verdict: 'expired' })],
    [
      item('unknown', { shelfLife: { state: 'unknown', lastGood: null, actOn: null } }),
      race('unknown', { chance: null, verdict: 'not known', leftThen: null, stake: null }),
    ],
    [eye, race('eye', { stake: 50, verdict: 'expired' })],
    [item('large'), race('large', { stake: 2000 })],
    [
      item('sure', { shelfLife: { actOn: d('2027-02-01') } }),
      race('sure', { chance: 0.9, verdict: 'in time', stake: 30 }),
    ],
  )
  test('come by their use-by date, whatever they cost, or by money; what isn’t known after those, what has expired last, eyes first', () => {
    const ids = (order: 'use-by date' | 'money') => [...all].sort(byOrder(order)).map((row) => row.item.id)
    expect(ids('money')).toEqual(['large', 'small', 'sure', 'unknown', 'eye', 'past'])
    expect(ids('use-by date')).toEqual(['sure', 'large', 'small', 'unknown', 'eye', 'past'])
    expect(all.find((row) => row.item.id === 'past')?.standing).toBe('past')
    expect(all.find((row) => row.item.id === 'unknown')?.standing).toBe('not known')
  })
  test('are summed over what still runs', () => {
    // Of the two that are not in time only.
    expect(raceSum(all)).toEqual({ running: 3, losing: 2, stake: 2100, held: 2 * 2000 * 0.7, unpriced: 0 })
    const sure = all.filter((row) => row.standing !== 'not in time')
    expect(raceSum(sure)).toEqual({ running: 1, losing: 0, stake: 30, held: 2000 * 0.7, unpriced: 0 })
  })
  test('are in use when in the drawer, in a project or worn within four weeks', () => {
    const states = rows(
      [item('resting'), race('resting')],
      [item('worn', { lastWorn: addDays(TODAY, -27) }), race('worn')],
      [item('long ago', { lastWorn: addDays(TODAY, -28) }), race('long ago')],
      [item('drawer', { placement: { zoneId: 'z', since: TODAY, position: 0, beside: false } }), race('drawer')],
      [item('new', { lifecycle: 'unopened' }), race('new')],
    )
    const ids = (state: RaceWish['state']) => narrowed(states, { ...WISH, state }, TODAY).map((row) => row.item.id)
    expect(ids('in use')).toEqual(['worn', 'drawer'])
    expect(ids('all open')).toEqual(['resting', 'worn', 'long ago', 'drawer'])
    expect(ids('unopened')).toEqual(['new'])
  })
  test('are picked by how they stand, at the eye, and as sun protection', () => {
    expect(picked(all, { ...WISH, standing: 'past' }).map((row) => row.item.id)).toEqual(['past', 'eye'])
    expect(picked(all, { ...WISH, only: 'eyes' }).map((row) => row.item.id)).toEqual(['eye'])
    expect(picked(all, { ...WISH, only: 'sunscreen' })).toEqual([])
  })
})

test.each<[string, Over, Partial<Race>, string]>([
  // Ten weeks and 60 wears: six a week; a share of .7 to .5 is 17 of 60.
  [
    'not in time',
    { shelfLife: { actOn: d('2027-02-02') } },
    {},
    'Expires 2 Feb 2027, three quarters full: 17 wears by then at your pace; wear it 6 times a week to finish it.',
  ],
  [
    'more than anybody wears',
    { shelfLife: { actOn: d('2026-12-05') } },
    { leftThen: 0.68 },
    'Expires 5 Dec, three quarters full: 2 wears by then at your pace. Use it up another way, or let it go.',
  ],
  [
    'in time',
    {},
    { verdict: 'in time', share: 0.2 },
    'Expires 10 Jun 2027, a quarter left: finished by then at your pace.',
  ],
  [
    '50-50',
    {},
    { verdict: '50-50', share: 0.5 },
    'Expires 10 Jun 2027, half full: wear it 3 times a week to finish it.',
  ],
  [
    'no date',
    { shelfLife: { state: 'unknown', lastGood: null, actOn: null } },
    { verdict: 'not known', leftThen: null },
    'We don’t know its use-by date: say when it was opened. Three quarters full.',
  ],
  [
    'expired at the eye',
    { eye: true, shelfLife: { state: 'past' } },
    { verdict: 'expired' },
    'Expired and worn at the eye: stop using it.',
  ],
])('one reason each, in words: %s', (_, over, of, words) => {
  const [row] = rows([item('a', over), race('a', of)])
  expect(row && useFirstWords(row, TODAY, true)).toBe(words)
  // Before a pace is known, only what is certain.
  if (row?.standing === 'not in time') expect(useFirstWords(row, TODAY, false)).toMatch(/^Expires [^:]*full\.$/)
})

describe('the axis', () => {
  const axis = raceAxis(TODAY, (day) => day.slice(5, 7))
  test('is even for two years, closer after that, and nothing falls off it', () => {
    const step = axis.place(addDays(TODAY, 200)) - axis.place(addDays(TODAY, 100))
    expect(axis.place(addDays(TODAY, 600)) - axis.place(addDays(TODAY, 500))).toBeCloseTo(step, 10)
    expect(axis.place(addDays(TODAY, 1200)) - axis.place(addDays(TODAY, 1100))).toBeLessThan(step / 2)
    expect(axis.place(addMonths(TODAY, 24))).toBeCloseTo(axis.later, 10)
    for (const day of [d('1999-01-01'), d('2099-01-01')]) {
      expect(axis.place(day)).toBeGreaterThanOrEqual(0)
      expect(axis.place(day)).toBeLessThanOrEqual(1)
    }
  })
  test('names its years where they begin', () => {
    expect(axis.months.filter((each) => each.year !== null).map((each) => [each.year, each.words])).toEqual([
      ['2027', '01'],
      ['2028', '01'],
    ])
  })
})

describe('the sentences of a row', () => {
  const only = (own: ListedItem, of: Race) =>
    rows([own, of])
      .flatMap((row) => raceSentences(row, TODAY, 'EUR'))
      .join(' ')
  test('hold every figure with what it comes from', () => {
    const words = only(item('i'), race('i', { leftThen: 0.49, stake: 980 }))
    expect(words).toContain('About 70 % left, 40 to 90 more uses')
    expect(words).toContain('between March 2027 and February 2028')
    expect(words).toMatch(/Finished by .*2027: about 3 times in 10\./)
    expect(words).toMatch(/9\.80 would expire: its price, .*20\.00, times the 49 % expected to be left then\./)
  })
  test('say the usual price as such, and that there is none', () => {
    expect(only(item('i'), race('i', { price: { minor: 2000, usual: true } }))).toContain('the usual price of its type')
    expect(only(item('i'), race('i', { price: null, stake: null }))).toContain('We don’t know what it cost')
  })
  test('say of what is past at the eye to stop, and no chance any more', () => {
    const words = only(item('i', { eye: true, shelfLife: { state: 'past' } }), race('i', { verdict: 'expired' }))
    expect(words).toContain('stop using it')
    expect(words).not.toContain('in 10')
  })
})

describe('what is offered first', () => {
  const first = (own: ListedItem, of: Race) =>
    rows([own, of]).map((row) => actsOfRow(row, TODAY).first?.words ?? null)[0]
  const drawer = { zoneId: 'z', since: TODAY, position: 0, beside: false }
  test('the drawer for what lies outside it, another use for what lies in it', () => {
    expect(first(item('i'), race('i'))).toBe('To the drawer')
    expect(first(item('i', { placement: drawer }), race('i'))).toBe('Use up as …')
  })
  test('the opening where a closer one would tell more, or where it isn’t known', () => {
    const lastGood = { earliest: d('2027-01-01'), latest: d('2027-12-31') }
    expect(first(item('i', { shelfLife: { lastGood } }), race('i', { verdict: 'close' }))).toBe('Fix the opening')
    const unknown = item('i', { shelfLife: { state: 'unknown', lastGood: null, actOn: null } })
    const reason = { code: 'opening-unknown', notBefore: null, notAfter: null } as const
    expect(first(unknown, race('i', { verdict: 'not known', chance: null, reason }))).toBe('Fix the opening')
  })
  test('letting go for what is past, nothing for what will make it', () => {
    expect(first(item('i', { shelfLife: { state: 'past' } }), race('i', { verdict: 'expired' }))).toBe('Let go')
    expect(first(item('i'), race('i', { verdict: 'in time', chance: 0.9 }))).toBeNull()
  })
})
