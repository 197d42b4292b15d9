import { describe, expect, test } from 'vitest'
import type { Day } from '#core/calendar/day'
import type { FactorView, SetUpAnswer, SupplyView } from '#contract/forecast'
import { betweenWords, goneWords } from './forecast-words'
import { factorWords, marksWords } from './look-back-words'
import { addsUpWords } from './set-up-words'
import { expiringWords, keepingWords, lastsWords, needWords, supplySentences, yearsWords } from './supply-words'

const TODAY = '2026-11-24' as Day
const d = (text: string): Day => text as Day
const span = (low: string | null, high: string | null) => ({
  low: low === null ? null : d(low),
  middle: null,
  high: high === null ? null : d(high),
})

describe('ranges in words', () => {
  test.each([
    [span('2026-12-10', '2027-01-12'), 'between 10 Dec and 12 Jan 2027'],
    [span('2026-12-10', '2026-12-10'), 'about 10 Dec'],
    [span('2027-03-04', '2027-10-30'), 'between March and October 2027'],
    [span('2027-03-04', '2028-10-30'), 'between March 2027 and October 2028'],
    [span('2027-03-04', '2027-03-30'), 'in March 2027'],
    [span('2028-03-04', null), 'in March 2028 at the earliest, perhaps not for five years'],
    [span(null, null), 'not within five years'],
  ])('%o', (of, words) => {
    expect(betweenWords(of, TODAY)).toBe(words)
  })
  test('are short in a row', () => {
    expect(goneWords(span('2027-04-04', '2027-07-30'), TODAY)).toBe('finished Apr 2027 to Jul 2027')
    expect(goneWords(span('2027-04-04', null), TODAY)).toBe('finished Apr 2027 or much later')
    expect(goneWords(span(null, null), TODAY)).toBe('won’t be finished within five years')
  })
})

const KIND: SetUpAnswer['kinds'][number] = {
  category: 'lipstick',
  zone: 'Lips',
  items: 2,
  already: 0,
  needed: { low: 118, middle: 118, high: 118 },
  days: 170,
  fits: true,
  fewer: 2,
  usesEach: 85,
  counted: true,
  enoughOn: null,
}
describe('before she commits', () => {
  test('the sum is said with its inputs', () => {
    expect(addsUpWords(KIND, d('2027-11-24'), TODAY, false)).toBe(
      '2 lipsticks need about 118 uses by 24 Nov 2027; until then you likely wear something from Lips on 170 days. That adds up.',
    )
  })
  test('and where it doesn’t add up, what would', () => {
    const over = {
      ...KIND,
      items: 3,
      already: 1,
      needed: { low: 210, middle: 240, high: 290 },
      fits: false,
      enoughOn: d('2028-03-02'),
    }
    expect(addsUpWords(KIND, d('2027-11-24'), TODAY, true)).not.toContain('That adds up')
    expect(addsUpWords(over, d('2027-11-24'), TODAY, false)).toBe(
      '4 lipsticks (1 already in) need about 240 uses by 24 Nov 2027, likely 210 to 290; until then you likely wear something from Lips on 170 days. That’s more than there are: 2 of them, or 85 uses each, or the same until 2 Mar 2028 would do.',
    )
    expect(addsUpWords({ ...over, fewer: 0, counted: false, enoughOn: null }, d('2027-11-24'), TODAY, false)).toContain(
      'That’s more than there are.',
    )
  })
})

describe('guesses and forecasts looked back on', () => {
  const factor: FactorView = {
    factor: 2.5,
    middle: 3.3,
    low: 1.9,
    high: 3.4,
    finished: 11,
    unfinished: 4,
    runsShort: true,
  }
  test('say what is an estimate and what is an average, and nothing where too little is known', () => {
    expect(factorWords(factor)).toBe(
      'Your products last about 2.5 times as long as you guess: an estimate from 11 finished and 4 still running (8 in 10: between 1.9 and 3.4); your average of these 11 alone is 3.3.',
    )
    expect(factorWords({ ...factor, finished: 1, unfinished: 0, runsShort: false })).toMatch(/^It’s too early to say/)
    expect(factorWords({ ...factor, finished: 0, unfinished: 0, runsShort: false })).toMatch(/^No guesses yet/)
  })
  test('are held against what was meant, mark by mark', () => {
    const marks = [
      { meant: 0.1, came: 0.13, watched: 30, finished: 4 },
      { meant: 0.5, came: 0.46, watched: 22, finished: 8 },
      { meant: 0.9, came: null, watched: 6, finished: 2 },
    ] as const
    expect(marksWords(marks)).toBe(
      'Finished: 13 % by the early end of their range (10 % should be; 30 forecasts), 46 % by its middle (50 % should be; 22 forecasts). For the rest it’s too early to say.',
    )
    expect(marksWords(marks.map((each) => ({ ...each, came: null })))).toMatch(/^It’s too early to say: 30 forecasts/)
    expect(marksWords([])).toMatch(/^No forecast/)
  })
})

describe('supply in words', () => {
  const view: SupplyView = {
    categoryId: 'blush',
    category: 'blush',
    items: 24,
    expired: 2,
    uses: 1214,
    worn: 500,
    lastWorn: d('2026-11-20'),
    perYear: 175,
    years: 6.94,
    yearsInDate: 4.1,
    expiring: [{ itemId: 'i', mark: 'Pellwick Weir', lastGood: d('2027-01-01'), priceMinor: 1200, left: 0.4 }],
    expiringPrice: 480,
    expiringUnpriced: 1,
    need: { low: d('2030-04-20'), middle: d('2032-02-08'), high: d('2036-05-11') },
    keeping: [{ items: 3, years: 3, expiring: 1, expiringPrice: 500 }],
  }
  test('tells years and what of them is in date, what expires and when something is needed, each from its inputs', () => {
    expect(yearsWords(0.25)).toBe('3 months')
    expect(yearsWords(12)).toBe('more than ten years')
    expect(expiringWords(view, 'EUR')).toMatch(
      /^1 of 24 will expire before its turn, with about .*5 left in them and 1 item without a price$/,
    )
    expect(needWords(view)).toBe('Feb 2032')
    const told = supplySentences(view, 'EUR').join(' ')
    expect(told).toContain('24 items in date, with about 1,214 uses left in all. 2 more are expired')
    expect(told).toContain("At your pace of 175 uses a year that’s 7 years' worth, 4 years of it before it expires.")
    expect(told).toContain('8 times in 10 between Apr 2030 and May 2036; nothing new until Apr 2030')
    expect(keepingWords(view, 3, 'EUR')).toMatch(/^3 years' worth; 1 of them will still expire first/)
  })
  test('says that there is no pace, and why, rather than a number', () => {
    const none = { ...view, perYear: null, years: null, yearsInDate: null, need: null, keeping: [] }
    expect(supplySentences(none, 'EUR')[1]).toContain('No pace: not worn since Nov 2026.')
    expect(lastsWords({ ...none, worn: 5 })).toBe('worn 5 times: no pace yet')
    expect(lastsWords({ ...none, worn: 0, lastWorn: null })).toBe('not worn yet')
    expect(lastsWords(view)).toBe("7 years' worth, 4 years of it before it expires")
    expect(lastsWords({ ...view, yearsInDate: 6.9 })).toBe("7 years' worth")
    expect(needWords(none)).toBe('not in sight')
    expect(keepingWords(none, 9, 'EUR')).toBe('')
  })
})
