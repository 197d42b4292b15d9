import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { addDays, type Day } from './day.js'
import type { DayLog } from './day-log.js'
import { learnedWeek, yearlyStretches, type CalmStretch, type PlannedWeek } from './planned-week.js'
import { dayOfNthWear, wearDaysBetween } from './wear-days.js'

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

const logOf = (recorded: readonly Day[], over: Partial<DayLog> = {}): DayLog => ({
  recorded: [...recorded].sort(),
  calm: [],
  unwritten: [],
  until: addDays(MONDAY, -1),
  ...over,
})
/** Twelve weeks back: every Wednesday, every second Saturday; between them *no makeup* on Mondays. */
const WORN = Array.from({ length: 12 }, (_, week) => [
  addDays(MONDAY, -7 * week - 5),
  ...(week % 2 === 0 ? [addDays(MONDAY, -7 * week - 2)] : []),
]).flat()
const ALL = [...WORN, ...Array.from({ length: 13 }, (_, week) => addDays(MONDAY, -7 * week - 7))]

describe('the week is learned from the days that were recorded', () => {
  test('over the last twelve weeks, once each weekday was seen four times', () => {
    expect(learnedWeek(WORKING, new Set(WORN), logOf(ALL))).toEqual({ week: [0, 0, 1, 0, 0, 0.5, 0], weeks: 12 })
    const late = ALL.filter((day) => day >= addDays(MONDAY, -20))
    expect(learnedWeek(WORKING, new Set(WORN), logOf(late))).toEqual({ week: WORKING, weeks: 0 })
    expect(learnedWeek(WORKING, new Set(), logOf([]))).toEqual({ week: WORKING, weeks: 0 })
  })
  test('silence before the log began is no makeup-free time, and one tick typed in for long ago changes nothing', () => {
    const recent = ALL.filter((day) => day >= addDays(MONDAY, -35))
    const learned = learnedWeek(WORKING, new Set(WORN), logOf(recent))
    // Five weeks: Saturdays of the weeks 0, 2 and 4 of them.
    expect(learned).toEqual({ week: [0, 0, 1, 0, 0, 0.6, 0], weeks: 5 })
    const old = addDays(MONDAY, -70)
    expect(learnedWeek(WORKING, new Set([...WORN, old]), logOf([...recent, old]))).toEqual(learned)
  })
  test('a period nobody wrote down is left out; shorter silence is a day without', () => {
    const gap = ALL.filter((day) => day < addDays(MONDAY, -49) || day > addDays(MONDAY, -28))
    const { week, weeks } = learnedWeek(WORKING, new Set(gap), logOf(gap))
    expect(week[2]).toBe(1)
    // 27 of the 84 days are silent.
    expect(weeks).toBe(8)
    const said = { earliest: addDays(MONDAY, -14), latest: addDays(MONDAY, -1) }
    expect(learnedWeek(WORKING, new Set(WORN), logOf(ALL, { unwritten: [said] })).weeks).toBe(10)
  })
  test('days away are left out once: the sum takes them off for itself', () => {
    const away = { earliest: addDays(MONDAY, -28), latest: addDays(MONDAY, -15) }
    const home = WORN.filter((day) => day < away.earliest || day > away.latest)
    const recorded = ALL.filter((day) => day < away.earliest || day > away.latest)
    const learned = learnedWeek(WORKING, new Set(home), logOf(recorded, { calm: [away] }))
    expect(learned).toEqual({ week: [0, 0, 1, 0, 0, 0.5, 0], weeks: 10 })
  })
})

describe('wear days in closed form', () => {
  const slow = (from: Day, to: Day, week: PlannedWeek, calm: readonly CalmStretch[]): number => {
    let sum = 0
    for (let day = from; day <= to; day = addDays(day, 1)) {
      const factors = calm
        .filter((each) => day >= each.earliest && day <= each.latest)
        .map((each) => each.factor ?? 0.15)
      sum += (week[(new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7] ?? 0) * Math.min(1, ...factors)
    }
    return sum
  }
  const range = fc
    .tuple(
      fc.integer({ min: 0, max: 900 }),
      fc.integer({ min: 0, max: 90 }),
      fc.double({ min: 0, max: 1, noNaN: true }),
    )
    .map(([from, days, factor]) => ({ earliest: addDays(MONDAY, from), latest: addDays(MONDAY, from + days), factor }))
  const weeks = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 7, maxLength: 7 })

  test('is what a walk day by day counts, and finds the same day (random cases)', () => {
    fc.assert(
      fc.property(weeks, fc.array(range, { maxLength: 5 }), fc.integer({ min: 0, max: 900 }), (shares, calm, days) => {
        const week = shares as unknown as PlannedWeek
        const to = addDays(MONDAY, days)
        const counted = wearDaysBetween(MONDAY, to, week, calm)
        expect(counted).toBeCloseTo(slow(MONDAY, to, week, calm), 6)
        const wanted = counted * 0.7
        if (wanted < 0.01) return
        const found = dayOfNthWear(wanted, MONDAY, to, week, calm)
        expect(found).not.toBeNull()
        if (found === null) return
        expect(slow(MONDAY, found, week, calm)).toBeGreaterThan(wanted - 1e-6)
        expect(slow(MONDAY, addDays(found, -1), week, calm)).toBeLessThan(wanted + 1e-6)
      }),
      { seed: 11, numRuns: 150 },
    )
  })
  test('a project until the last day there is takes no walk', () => {
    const everyDay: PlannedWeek = [1, 1, 1, 1, 1, 1, 1]
    expect(wearDaysBetween('2026-01-01' as Day, '2199-12-31' as Day, everyDay)).toBe(63_552)
  })
  test('where nothing is worn no day is found', () => {
    expect(dayOfNthWear(1, MONDAY, addDays(MONDAY, 400), [0, 0, 0, 0, 0, 0, 0], [])).toBeNull()
  })
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
  test('where periods overlap the calmest counts, and none makes a day busier than the week says', () => {
    const day = '2026-05-10' as Day
    const week: PlannedWeek = [0.5, 0.5, 0.5, 0.5, 0.5, 0.5, 0.5]
    const away = { earliest: day, latest: day }
    const on = (calm: readonly CalmStretch[]): number => wearDaysBetween(day, day, week, calm)
    expect(on(yearlyStretches(spring, 2026, 2026))).toBeCloseTo(0.3, 10)
    expect(on([away, ...yearlyStretches(spring, 2026, 2026)])).toBeCloseTo(0.5 * 0.15, 10)
    expect(on(yearlyStretches({ ...spring, factor: 1 }, 2026, 2026))).toBe(0.5)
  })
})
