import { afterEach, expect, test, vi } from 'vitest'
import type { Day } from '#core/calendar/day'
import { dayMark, yearlyMark } from '#core/words/told'

afterEach(() => {
  vi.unstubAllGlobals()
  vi.resetModules()
})

/** What a browser of this language makes of days. */
async function localeOf(language: string) {
  vi.resetModules()
  vi.stubGlobal('navigator', { language })
  return import('./locale')
}

// What each locale does is that of the Unicode CLDR as Node ships it.
test.each([
  ['en-GB', 'day-first'],
  ['en-US', 'month-first'],
  ['de-DE', 'day-first'],
  // The year comes first: digits alone are read day first, as nothing says otherwise.
  ['sv-SE', 'day-first'],
] as const)('in %s days typed as digits are read %s', async (language, order) => {
  expect((await localeOf(language)).herOrder()).toBe(order)
})

test('one source of order: the words of a day and the reading of digits agree', async () => {
  const day = '2026-11-24' as Day
  expect((await localeOf('en-GB')).dateWords(day)).toBe('24 Nov 2026')
  expect((await localeOf('en-US')).dateWords(day)).toBe('Nov 24, 2026')
})

test('kept words are told in her locale; what is no day is left as it was', async () => {
  const { tellDays } = await localeOf('en-US')
  expect(tellDays(`${dayMark('2026-11-24' as Day)}: no makeup until ${yearlyMark('05-31')}`)).toBe(
    'Nov 24, 2026: no makeup until May 31',
  )
  expect(tellDays(dayMark('soon' as Day))).toBe('soon')
  expect(tellDays(yearlyMark('13-45'))).toBe('13-45')
})

test('money and numbers as she writes them, currencies without minor units too', async () => {
  const { moneyWords, numberWords } = await localeOf('en-GB')
  expect(moneyWords(1800, 'EUR')).toBe('€18.00')
  expect(moneyWords(1800, 'JPY')).toBe('JP¥1,800')
  expect(numberWords(1234.56, 1)).toBe('1,234.6')
})
