import { expect, test } from 'vitest'
import { addDays, type Day } from './day.js'
import { learnedWeek, wearDaysBetween, type PlannedWeek } from './planned-week.js'

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
