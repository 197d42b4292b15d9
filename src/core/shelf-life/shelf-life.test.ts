import { describe, expect, test } from 'vitest'
import type { Day } from '../calendar/day.js'
import { openingOf, type Opened } from '../item/opening.js'
import type { DayRange } from '../calendar/when.js'
import { defaultPaoMonths, usualPeriod, type Period } from './default-pao.js'
import { shelfLifeOf, type ShelfLifeFacts } from './last-good-day.js'
import { parseExpiry, parsePao } from './printed-expiry.js'

const d = (text: string): Day => text as Day
interface Told {
  opened: Opened
  acquired: DayRange | null
  firstWear: Day | null
  usual: Period
}
const TOLD: Told & Omit<ShelfLifeFacts, 'opening'> = {
  opened: { kind: 'range', earliest: d('2026-01-31'), latest: d('2026-01-31'), said: '31 January' },
  acquired: null,
  firstWear: null,
  paoMonths: 12,
  usual: { unit: 'months', count: 36 },
  expiry: null,
  signSeen: null,
  sunProtection: false,
  atEye: false,
  today: d('2026-11-24'),
}
const of = (over: Partial<typeof TOLD>) => {
  const { opened, firstWear, ...facts } = { ...TOLD, ...over }
  const opening = openingOf({
    said: opened,
    by: 'she',
    acquired: facts.acquired,
    firstWear,
    usesBefore: null,
    endedOn: null,
  })
  return shelfLifeOf({ ...facts, opening })
}

describe('the use-by date is the earliest that applies', () => {
  test('opening and period after opening, clamped to the month', () => {
    expect(of({ paoMonths: 13 })).toMatchObject({ actOn: '2027-02-28', state: 'in date', reason: { code: 'pao' } })
  })
  test('the printed date when it comes first, and not when it comes later', () => {
    expect(of({ expiry: d('2026-12-31') })).toMatchObject({ actOn: '2026-12-31', reason: { code: 'printed-expiry' } })
    expect(of({ expiry: d('2028-12-31') })).toMatchObject({ actOn: '2027-01-31', reason: { code: 'pao' } })
  })
  test('a sign outranks every date', () => {
    const life = of({ signSeen: { day: d('2026-11-01'), words: 'smell changed' }, expiry: d('2028-12-31') })
    expect(life).toMatchObject({ state: 'sign seen', actOn: '2026-11-01', reason: { code: 'sign' } })
  })
  test('an unknown label falls back to what is usual, and says so', () => {
    expect(of({ paoMonths: null })).toMatchObject({
      actOn: '2029-01-31',
      reason: { code: 'usual-pao', period: { count: 36 } },
    })
  })
  test('unopened and undated: 36 months from the purchase', () => {
    const acquired = { earliest: d('2025-02-01'), latest: d('2025-02-28') }
    expect(of({ opened: { kind: 'unopened' }, acquired })).toMatchObject({
      lastGood: { earliest: '2028-02-01', latest: '2028-02-28' },
      reason: { code: 'unopened' },
    })
    expect(of({ opened: { kind: 'unopened' } })).toMatchObject({
      state: 'unknown',
      reason: { code: 'purchase-unknown' },
    })
  })
})

describe('an opening known only as a range', () => {
  const opened = { kind: 'range', earliest: d('2026-01-01'), latest: d('2026-12-31'), said: '2026' } as const
  test('gives both ends; the middle counts, at the eye and for sun protection the earlier', () => {
    const range = { earliest: '2027-01-01', latest: '2027-12-31' }
    expect(of({ opened })).toMatchObject({ lastGood: range, actOn: '2027-07-02' })
    expect(of({ opened, atEye: true }).actOn).toBe('2027-01-01')
    expect(of({ opened, sunProtection: true }).actOn).toBe('2027-01-01')
  })
  test('is clipped to what else is known: acquired, and the first wear', () => {
    const acquired = { earliest: d('2026-03-01'), latest: d('2026-03-01') }
    expect(of({ opened, acquired, firstWear: d('2026-04-10') }).lastGood).toEqual({
      earliest: '2027-03-01',
      latest: '2027-04-10',
    })
  })
})

test('the use-by date is the same whatever day it is asked on', () => {
  const opened = { kind: 'range', earliest: d('2026-01-01'), latest: d('2026-12-31'), said: '2026' } as const
  const asked = ['2026-11-24', '2026-11-25', '2026-12-31', '2027-03-01'].map((today) => of({ opened, today: d(today) }))
  expect(new Set(asked.map(({ actOn }) => actOn)).size).toBe(1)
})

test('a sachet once opened is good for a week, unless its label says', () => {
  // Common practice, no source.
  expect(usualPeriod('face cream', 'sachet', false)).toEqual({ unit: 'days', count: 7 })
  expect(of({ paoMonths: null, usual: { unit: 'days', count: 7 } }).actOn).toBe('2026-02-07')
})

test('an unknown opening decides only when even the latest possible one has run out', () => {
  const opened = { kind: 'unknown' } as const
  const acquired = { earliest: d('2021-05-01'), latest: d('2021-05-31') }
  expect(of({ opened, acquired })).toMatchObject({ state: 'unknown', reason: { code: 'opening-unknown' } })
  expect(of({ opened, acquired, firstWear: d('2021-08-01') })).toMatchObject({ state: 'past' })
  expect(of({ opened })).toMatchObject({ state: 'unknown', lastGood: null })
})

test('states begin at their days: today is still good, 90 days is soon', () => {
  const stateAt = (expiry: string) => of({ expiry: d(expiry), paoMonths: 120 }).state
  expect(['2026-11-23', '2026-11-24', '2027-02-22', '2027-02-23'].map(stateAt)).toEqual([
    'past',
    'within 90 days',
    'within 90 days',
    'in date',
  ])
})

test('a sun filter lapses at its printed date, else three years after purchase', () => {
  // 21 CFR 211.137(h) and FDA consumer advice, from memory.
  const acquired = { earliest: d('2023-11-24'), latest: d('2023-11-24') }
  expect(of({ sunProtection: true, acquired }).sun).toEqual({ lastDay: '2026-11-24', lapsed: false })
  expect(of({ sunProtection: true, acquired, today: d('2026-11-25') }).sun?.lapsed).toBe(true)
  expect(of({ sunProtection: true, acquired, expiry: d('2027-06-30'), today: d('2026-11-25') }).sun?.lapsed).toBe(false)
  expect(of({}).sun).toBeNull()
})

test('mascara is usually replaced after four months, whatever its form', () => {
  // FDA, shelf life of cosmetics (from memory): some 2 to 4 months after first use.
  expect(defaultPaoMonths('mascara', 'wand', true)).toBe(4)
  expect(defaultPaoMonths('powder blush', 'pressed', false)).toBe(36)
})

describe('printed expiry', () => {
  test.each([
    // Regulation (EC) No 1223/2009, Annex VII (from memory): a month is good to its end.
    ['11/26', '2026-11-30'],
    ['1/2027', '2027-01-31'],
    ['2026-11', '2026-11-30'],
    ['30.11.2026', '2026-11-30'],
    ['EXP 02/28', '2028-02-29'],
    // GS1 General Specifications, AI 17 (from memory): YYMMDD, day 00 = last of the month.
    ['261100', '2026-11-30'],
    ['261115', '2026-11-15'],
  ])('%s is good up to %s', (text, day) => {
    expect(parseExpiry(text, 'month-first')).toEqual({ ok: true, value: day })
  })
  test.each([['13/26'], ['261345'], ['soon'], ['31.02.2027']])('%s is refused', (text) => {
    expect(parseExpiry(text, 'month-first').ok).toBe(false)
  })
})

test.each([
  ['12M', { ok: true, value: 12 }],
  ['24 months', { ok: true, value: 24 }],
  ['2 years', { ok: true, value: 24 }],
  ['0M', { ok: false, failure: { code: 'pao-zero' } }],
  ['999M', { ok: false, failure: { code: 'pao-absurd' } }],
  ['a year', { ok: false, failure: { code: 'pao-unreadable' } }],
])('the period after opening %s', (text, expected) => {
  expect(parsePao(text)).toMatchObject(expected)
})
