import { describe, expect, test } from 'vitest'
import { dateOrderOf, middleOf, parseWhen, type DateOrder } from './when.js'
import type { Day } from './day.js'

describe('a date is read at the precision it is written', () => {
  test.each<[string, DateOrder, string, string]>([
    ['2025', 'month-first', '2025-01-01', '2025-12-31'],
    ['2/2025', 'month-first', '2025-02-01', '2025-02-28'],
    ['03.2023', 'day-first', '2023-03-01', '2023-03-31'],
    ['2026-11', 'month-first', '2026-11-01', '2026-11-30'],
    ['Jul 2024', 'month-first', '2024-07-01', '2024-07-31'],
    ['März 2024', 'day-first', '2024-03-01', '2024-03-31'],
    ['9/23/2021', 'month-first', '2021-09-23', '2021-09-23'],
    ['3/4/2021', 'day-first', '2021-04-03', '2021-04-03'],
    ['3/4/2021', 'month-first', '2021-03-04', '2021-03-04'],
    ['23.04.2023', 'month-first', '2023-04-23', '2023-04-23'],
    ['2026-11-24', 'day-first', '2026-11-24', '2026-11-24'],
    ['July 3, 2024', 'day-first', '2024-07-03', '2024-07-03'],
    ['3rd July 2024', 'month-first', '2024-07-03', '2024-07-03'],
    ['spring 2024', 'month-first', '2024-03-01', '2024-05-31'],
    ['winter 2023', 'month-first', '2023-12-01', '2024-02-29'],
    ['about 2023', 'month-first', '2023-01-01', '2023-12-31'],
    ['March 2024 to May 2024', 'month-first', '2024-03-01', '2024-05-31'],
    ['2023 – 2024', 'month-first', '2023-01-01', '2024-12-31'],
    ['2023-2024', 'month-first', '2023-01-01', '2024-12-31'],
    ['March to May 2024', 'month-first', '2024-03-01', '2024-05-31'],
    ["Mar '24", 'month-first', '2024-03-01', '2024-03-31'],
    ['12-Mar-24', 'month-first', '2024-03-12', '2024-03-12'],
    ['15 de marzo de 2024', 'day-first', '2024-03-15', '2024-03-15'],
    ['Mon 3 March 2025', 'day-first', '2025-03-03', '2025-03-03'],
    ['août 2023', 'day-first', '2023-08-01', '2023-08-31'],
    ['03/24', 'month-first', '2024-03-01', '2024-03-31'],
    ['20240315', 'month-first', '2024-03-15', '2024-03-15'],
    ['2024-03-15T00:00:00Z', 'day-first', '2024-03-15', '2024-03-15'],
    ['early 2024', 'month-first', '2024-01-01', '2024-04-30'],
    ['late March 2024', 'month-first', '2024-03-21', '2024-03-31'],
    ['Anfang 2024', 'day-first', '2024-01-01', '2024-04-30'],
    ['Q2 2024', 'month-first', '2024-04-01', '2024-06-30'],
    ['winter 2023/24', 'month-first', '2023-12-01', '2024-02-29'],
    ['Herbst 2022', 'day-first', '2022-09-01', '2022-11-30'],
    ['~2021?', 'month-first', '2021-01-01', '2021-12-31'],
    ['since 2020', 'month-first', '2020-01-01', '2020-12-31'],
  ])('%s (%s)', (text, order, earliest, latest) => {
    expect(parseWhen(text, order)).toEqual({ ok: true, value: { earliest, latest } })
  })

  test.each([
    ['31.02.2024', 'date-impossible'],
    ['13/2024', 'date-impossible'],
    ['yesterdayish', 'date-unreadable'],
    ['a while ago', 'date-unreadable'],
    ['May 2024 to March 2024', 'date-unreadable'],
    ['3/12', 'date-unreadable'],
    ['yesterday', 'date-unreadable'],
    ['winter 2023/25', 'date-unreadable'],
    ['', 'date-unreadable'],
  ])('%s is refused: %s', (text, code) => {
    expect(parseWhen(text, 'month-first')).toMatchObject({ ok: false, failure: { code } })
  })
})

test.each([
  ['yesterday', '2026-11-23', '2026-11-23'],
  ['last month', '2026-10-01', '2026-10-31'],
  ['3 months ago', '2026-08-01', '2026-08-31'],
  ['about 2 years ago', '2024-05-24', '2025-05-24'],
  ['a week ago', '2026-11-14', '2026-11-20'],
])('%s is said from today, where today is known', (text, earliest, latest) => {
  expect(parseWhen(text, 'day-first', '2026-11-24' as Day)).toEqual({ ok: true, value: { earliest, latest } })
})

test('the order of day and month is seen from the whole column', () => {
  expect(dateOrderOf(['3/4/2021', '9/23/2021'], 'day-first')).toBe('month-first')
  expect(dateOrderOf(['3/4/2021', '23/9/2021'], 'month-first')).toBe('day-first')
  expect(dateOrderOf(['01.02.2021'], 'month-first')).toBe('day-first')
  expect(dateOrderOf(['3/4/2021'], 'day-first')).toBe('day-first')
})

test('the middle of a range is the earlier of two', () => {
  const range = (earliest: string, latest: string) => ({ earliest: earliest as Day, latest: latest as Day })
  expect(middleOf(range('2025-01-01', '2025-01-31'))).toBe('2025-01-16')
  expect(middleOf(range('2025-01-01', '2025-01-02'))).toBe('2025-01-01')
})
