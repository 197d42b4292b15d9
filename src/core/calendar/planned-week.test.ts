import { describe, expect, test } from 'vitest'
import { addDays, type Day } from './day.js'
import { learnedWeek, wearDaysBetween, wearShareOf, yearlyStretches, type PlannedWeek } from './planned-week.js'

const WORKING: PlannedWeek = [0, 0, 1, 1, 1, 1, 0]
const MONDAY = '2026-11-02' as Day

test('wear days between two dates follow the planned week, both ends included', () => {
  expect(wearDaysBetween(MONDAY, addDays(MONDAY, 6), WORKING)).toBe(4)
  expect(wearDaysBetween(addDays(MONDAY, 2), addDays(MONDAY, 2), WORKING)).toBe(1)
  expect(wearDaysBetween(MONDAY, addDays(MONDAY, -1), WORKING)).toBe(0)
})

test('days away count at 15 %', () => {
  const away = [{ earliest: addDays(MONDAY, 2), latest: addDays(MONDAY, 3) }]
  expect(wearDaysBetween(MONDAY, addDays(MONDAY, 6), WORKING, away)).toBeCloseTo(2.3, 10)
})

test('the week is learned from the last twelve weeks once four are logged', () => {
  const days = new Set<Day>()
  // Twelve weeks back: every Wednesday, every second Saturday.
  for (let week = 0; week < 12; week += 1) {
    days.add(addDays(MONDAY, -7 * week - 5))
    if (week % 2 === 0) days.add(addDays(MONDAY, -7 * week - 2))
  }
  const until = addDays(MONDAY, -1)
  const learned = learnedWeek(WORKING, days, addDays(MONDAY, -200), until)
  expect(learned).toEqual({ week: [0, 0, 1, 0, 0, 0.5, 0], learned: true })
  expect(learnedWeek(WORKING, days, addDays(MONDAY, -20), until)).toEqual({ week: WORKING, learned: false })
  expect(learnedWeek(WORKING, days, null, until).learned).toBe(false)
})

describe('low seasons come every year', () => {
  const spring = { from: '05-01', to: '05-31', factor: 0.6 }
  test('in each year that is asked for, at their factor', () => {
    expect(yearlyStretches(spring, 2025, 2026)).toEqual([
      { earliest: '2025-05-01', latest: '2025-05-31', factor: 0.6 },
      { earliest: '2026-05-01', latest: '2026-05-31', factor: 0.6 },
    ])
  })
  test('over New Year they end in the next one', () => {
    expect(yearlyStretches({ from: '12-20', to: '01-06', factor: 0 }, 2025, 2025)).toEqual([
      { earliest: '2025-12-20', latest: '2026-01-06', factor: 0 },
    ])
  })
  test('a 29 February is the 28th in other years', () => {
    const ends = yearlyStretches({ from: '02-01', to: '02-29', factor: 1 }, 2023, 2024).map((each) => each.latest)
    expect(ends).toEqual(['2023-02-28', '2024-02-29'])
  })
  test('where stretches overlap the calmest counts, and none makes a day busier than the week says', () => {
    const day = '2026-05-10' as Day
    const week: PlannedWeek = [0.5, 0.5, 0.5, 0.5, 0.5, 0.5, 0.5]
    const away = { earliest: day, latest: day }
    expect(wearShareOf(day, week, yearlyStretches(spring, 2026, 2026))).toBeCloseTo(0.3, 10)
    expect(wearShareOf(day, week, [away, ...yearlyStretches(spring, 2026, 2026)])).toBeCloseTo(0.5 * 0.15, 10)
    expect(wearShareOf(day, week, yearlyStretches({ ...spring, factor: 1 }, 2026, 2026))).toBe(0.5)
  })
})
