import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { Day } from '#core/calendar/day'
import { useHerDay } from './her-day'

const [TUESDAY, WEDNESDAY, THURSDAY] = ['2026-11-24', '2026-11-25', '2026-11-26'] as Day[]
const NINE = Date.parse('2026-11-24T21:00:00Z')
const ROLL_OVER = Date.parse('2026-11-25T04:00:00Z')
const HOUR = 3_600_000

beforeEach(() => {
  setActivePinia(createPinia())
  vi.useFakeTimers({ now: NINE })
})
afterEach(() => vi.useRealTimers())

function told(today = TUESDAY as Day, now = NINE, endsAt = ROLL_OVER): void {
  useHerDay().told({ today, endsAt, now })
}

test('it is what the server said until the instant of the next roll-over, and then the next one', () => {
  const day = useHerDay()
  told()
  vi.advanceTimersByTime(7 * HOUR - 1000)
  expect([day.today, day.turnedFrom]).toEqual([TUESDAY, null])
  vi.advanceTimersByTime(2000)
  expect([day.today, day.turnedFrom]).toEqual([WEDNESDAY, TUESDAY])
})

test('days slept through are all estimated when the page wakes', () => {
  const day = useHerDay()
  told()
  // Timers do not run while a machine sleeps: only the clock has moved.
  vi.setSystemTime(NINE + 40 * HOUR)
  day.look()
  expect(day.today).toBe(THURSDAY)
})

test('the server has the last word, also when it says an earlier day', () => {
  const day = useHerDay()
  told()
  vi.setSystemTime(NINE + 8 * HOUR)
  day.look()
  expect(day.today).toBe(WEDNESDAY)
  told(TUESDAY, NINE + 8 * HOUR, ROLL_OVER + 2 * HOUR)
  expect(day.today).toBe(TUESDAY)
})

test('the server’s clock counts, not this computer’s', () => {
  const day = useHerDay()
  // This machine is three hours behind.
  told(TUESDAY, NINE + 3 * HOUR)
  vi.advanceTimersByTime(4 * HOUR + 1000)
  expect(day.today).toBe(WEDNESDAY)
})
