import { describe, expect, test } from 'vitest'
import { addDays, type Day } from '#core/calendar/day'
import {
  fromNow,
  longDay,
  openedWords,
  rangeWords,
  shortDay,
  spanRangeWords,
  spanWords,
  stretchWords,
} from './when-words'
import { yearlyWords } from '#web/data/locale'

const TODAY = '2026-11-24' as Day
const d = (text: string): Day => text as Day

describe('days in words', () => {
  test('a day by its weekday, a date with its year only where it is another', () => {
    expect(longDay(TODAY)).toBe('Tuesday 24 November')
    expect(shortDay(d('2026-03-02'), TODAY)).toBe('2 Mar')
    expect(shortDay(d('2027-03-02'), TODAY)).toBe('2 Mar 2027')
  })
  test.each([
    ['2024-03-15', '2024-03-15', '15 Mar 2024'],
    ['2024-03-01', '2024-03-31', 'Mar 2024'],
    ['2024-02-01', '2024-02-29', 'Feb 2024'],
    ['2024-01-01', '2024-12-31', '2024'],
    ['2024-03-01', '2024-05-31', 'between 1 Mar 2024 and 31 May 2024'],
  ])('from %s to %s reads %s', (earliest, latest, words) => {
    expect(rangeWords({ earliest: d(earliest), latest: d(latest) })).toBe(words)
  })
  test.each([
    [1, '1 day'],
    [20, '20 days'],
    [21, '3 weeks'],
    [69, '10 weeks'],
    [70, '2 months'],
    [365, '12 months'],
    [730, '2 years'],
    [913, '2½ years'],
    [3650, '10 years'],
  ])('%i days are %s', (days, words) => {
    expect(spanWords(days)).toBe(words)
  })
  test('a period is from one day to another, a day of every year has no year', () => {
    const stretch = { earliest: d('2026-10-26'), latest: d('2026-11-15') }
    expect(stretchWords(stretch, d('2026-11-24'))).toBe('from 26 Oct to 15 Nov')
    expect(stretchWords({ ...stretch, latest: stretch.earliest })).toBe('on 26 Oct 2026')
    expect(yearlyWords('02-29')).toBe('29 Feb')
  })
  test.each([
    [400, 440, '13 to 14 months'],
    [390, 400, '13 months'],
    [60, 80, '9 weeks to 3 months'],
  ])('between %i and %i days', (least, most, words) => {
    expect(spanRangeWords(least, most)).toBe(words)
  })
  test('from now says the direction', () => {
    expect([0, 1, -1, 14].map((n) => fromNow(addDays(TODAY, n), TODAY))).toEqual([
      'today',
      'in 1 day',
      '1 day ago',
      'in 14 days',
    ])
  })
  test('an opening as closely as it is known', () => {
    const opened = (kind: 'unopened' | 'unknown' | 'range', over: object = {}): string =>
      openedWords({ opening: { kind, within: null, notAfter: null, ...over } })
    expect(opened('unopened')).toBe('unopened')
    expect(opened('unknown')).toBe('opened, date unknown')
    expect(opened('unknown', { notAfter: d('2024-03-15') })).toBe('opened 15 Mar 2024 or before, date unknown')
    expect(opened('range', { within: { earliest: d('2024-01-01'), latest: d('2024-12-31') } })).toBe('opened 2024')
  })
})
