import { expect, test } from 'vitest'
import type { Day } from '../calendar/day.js'
import { lifetimeUses, wearsDuring, wearsSince } from './tally.js'

const DAYS = ['2026-01-05', '2026-01-06', '2026-02-01', '2026-03-01'] as Day[]

test('a stay counts the days it begins and ends on', () => {
  expect(wearsDuring(DAYS, { from: '2026-01-06' as Day, to: '2026-02-01' as Day })).toBe(2)
  expect(wearsDuring(DAYS, { from: '2026-01-06' as Day, to: null })).toBe(3)
})

test('since a check-in counts that day when it was measured before the use', () => {
  const day = '2026-02-01' as Day
  expect(wearsSince(DAYS, { day, moment: 'before-use' })).toBe(2)
  expect(wearsSince(DAYS, { day, moment: 'after-use' })).toBe(1)
})

test('uses before the log count towards the lifetime only', () => {
  expect(lifetimeUses(40, DAYS.length)).toBe(44)
})
