import { describe, expect, test } from 'vitest'
import { addDays, type Day } from './day.js'
import { daysToSay, recordedStretches, silentStretches, type DayLog } from './day-log.js'

const d = (text: string): Day => text as Day
const UNTIL = d('2026-11-23')
const every = (from: Day, to: Day): Day[] => {
  const days: Day[] = []
  for (let day = from; day <= to; day = addDays(day, 1)) days.push(day)
  return days
}
const log = (recorded: readonly Day[], over: Partial<DayLog> = {}): DayLog => ({
  recorded,
  calm: [],
  unwritten: [],
  until: UNTIL,
  ...over,
})
const AUTUMN = [...every(d('2026-09-01'), d('2026-10-11')), ...every(d('2026-10-31'), d('2026-11-20'))]

describe('days that nobody wrote down', () => {
  test('a week of silence and more is asked about, with both its ends', () => {
    expect(silentStretches(log(AUTUMN))).toEqual([{ earliest: '2026-10-12', latest: '2026-10-30' }])
  })
  test('not before the log began, not a few days, not days away, not what she was asked about', () => {
    expect(silentStretches(log([d('2026-02-01'), ...AUTUMN.slice(-21)]))).toEqual([])
    const away = { earliest: d('2026-10-13'), latest: d('2026-10-27') }
    expect(silentStretches(log(AUTUMN, { calm: [away] }))).toEqual([])
    const asked = { earliest: d('2026-10-12'), latest: d('2026-10-30') }
    expect(silentStretches(log(AUTUMN, { unwritten: [asked] }))).toEqual([])
  })
  test('up to yesterday too', () => {
    const until = d('2026-12-02')
    expect(silentStretches(log(AUTUMN, { until }))).toHaveLength(2)
    expect(silentStretches(log(AUTUMN, { until })).at(-1)).toEqual({ earliest: '2026-11-21', latest: '2026-12-02' })
  })
  test('of days away it isn’t said that no makeup was worn', () => {
    const range = { earliest: d('2026-10-12'), latest: d('2026-10-15') }
    const away = { earliest: d('2026-10-13'), latest: d('2026-10-14') }
    expect(daysToSay(range, [away])).toEqual(['2026-10-12', '2026-10-15'])
  })
})

test('the log is its dense periods: two ticks far from everything are none', () => {
  const lone = [d('2026-06-01'), d('2026-06-03')]
  expect(recordedStretches(log([...lone, ...AUTUMN]))).toEqual([
    { earliest: '2026-09-01', latest: '2026-10-11' },
    // Three silent days at the end still belong to it.
    { earliest: '2026-10-31', latest: UNTIL },
  ])
})
