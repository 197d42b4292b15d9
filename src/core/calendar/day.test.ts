import { addMonths as addMonthsOfDateFns, differenceInCalendarDays, formatISO, parseISO } from 'date-fns'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  addDays,
  addMonths,
  dayAt,
  dayOf,
  daysBetween,
  lastDayOfMonth,
  monthStarts,
  parseDay,
  weekdayOf,
  type Day,
} from './day.js'

const day = (text: string): Day => {
  const found = parseDay(text)
  if (found === null) throw new Error(text)
  return found
}
const anyDay = fc
  .date({ min: new Date('1950-01-02'), max: new Date('2150-01-01'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10) as Day)

test('a month added to 31 January clamps to the end of February, leap years included', () => {
  expect(addMonths(day('2026-01-31'), 1)).toBe('2026-02-28')
  expect(addMonths(day('2028-01-31'), 1)).toBe('2028-02-29')
  expect(addMonths(day('2026-03-15'), -14)).toBe('2025-01-15')
})

test('month arithmetic and day differences agree with date-fns', () => {
  fc.assert(
    fc.property(anyDay, anyDay, fc.integer({ min: -300, max: 300 }), (a, b, months) => {
      const reference = formatISO(addMonthsOfDateFns(parseISO(a), months), { representation: 'date' })
      expect(addMonths(a, months)).toBe(reference)
      expect(daysBetween(a, b)).toBe(differenceInCalendarDays(parseISO(b), parseISO(a)))
      expect(addDays(a, daysBetween(a, b))).toBe(b)
    }),
    { seed: 20261124 },
  )
})

test('an axis of months has its ticks where months begin, and no more of them than fit', () => {
  const starts = (from: string, to: string, most: number): string[] => monthStarts(day(from), day(to), most)
  expect(starts('2026-07-05', '2026-10-01', 8)).toEqual(['2026-08-01', '2026-09-01', '2026-10-01'])
  expect(starts('2026-07-01', '2026-08-20', 8)).toEqual(['2026-07-01', '2026-08-01'])
  // Every third month, in the quarters of the year.
  expect(starts('2026-02-10', '2027-03-05', 6)).toEqual(['2026-04-01', '2026-07-01', '2026-10-01', '2027-01-01'])
  expect(starts('2026-05-02', '2026-05-20', 8)).toEqual([])
})

test('the weekday counts from Monday', () => {
  expect([day('2026-11-23'), day('2026-11-24'), day('2026-11-29')].map(weekdayOf)).toEqual([0, 1, 6])
})

test('days that no calendar has are refused', () => {
  expect([dayOf(2024, 2, 31), dayOf(2023, 2, 29), parseDay('2024-13-01'), parseDay('24-01-01'), parseDay('')]).toEqual(
    Array(5).fill(null),
  )
  expect(lastDayOfMonth(2024, 2)).toBe('2024-02-29')
})

describe('the roll-over hour', () => {
  test.each([
    ['2 a.m. on 1 January belongs to 31 December', { year: 2027, month: 1, date: 1, hour: 2 }, 4, '2026-12-31'],
    ['4 a.m. begins the new day', { year: 2027, month: 1, date: 1, hour: 4 }, 4, '2027-01-01'],
    ['midnight begins the day when she says so', { year: 2027, month: 3, date: 1, hour: 0 }, 0, '2027-03-01'],
    ['1 March falls back to the end of February', { year: 2027, month: 3, date: 1, hour: 3 }, 4, '2027-02-28'],
  ])('%s', (_, wall, hour, expected) => {
    expect(dayAt(wall, hour)).toBe(expected)
  })
})
