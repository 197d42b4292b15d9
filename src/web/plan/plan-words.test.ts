import { describe, expect, test } from 'vitest'
import type { Day } from '#core/calendar/day'
import { planSpan } from '#core/plan/schedule/span'
import type { PartQuality } from '#core/plan/schedule/solve-plan'
import type { PlanOutcome } from '#core/plan/schedule/outcome'
import {
  leftOutWords,
  newsWords,
  outcomeWords,
  partWords,
  qualityWords,
  rateWords,
  rescueWords,
  spoilWords,
} from './plan-words'

const TODAY = '2026-12-01' as Day
const END = '2027-01-31' as Day
const SPAN = planSpan(TODAY, 2)
const part = (zone: string, objective: number, bound: number): PartQuality => ({
  itemIds: [],
  zoneIds: [zone],
  objective,
  bound,
  done: true,
})
const OUTCOME: PlanOutcome = {
  of: 8,
  low: 4,
  high: 7,
  usedUp: 0,
  spoilLow: 1,
  spoilHigh: 3,
  spoilMoney: 3149,
  spoilUnpriced: 0,
}

describe('how good it is, in words', () => {
  test.each([
    [1, 'can’t be improved', 'No plan is better.'],
    [1.001, 'can’t be improved', 'No plan is better.'],
    [1.0011, 'at most 1 % better', 'At most 1 % better is possible.'],
    [1.034, 'at most 4 % better', 'At most 4 % better is possible.'],
    [Infinity, 'a draft', 'How good it is in Eyes isn’t known yet.'],
  ])('a bound of %d times what it is worth', (bound, own, all) => {
    expect(partWords(part('Eyes', 1, bound))).toBe(own)
    expect(qualityWords([part('Eyes', 1, bound)], (id) => id)).toBe(all)
  })

  test('names the zones in which a better one is possible, of the whole', () => {
    const parts = [part('Lips', 100, 100), part('Eyes', 100, 104)]
    expect(qualityWords(parts, (id) => id)).toBe('At most 2 % better is possible, and only in Eyes.')
    expect(qualityWords(null, (id) => id)).toBe('A first draft.')
  })
})

test('what comes of it', () => {
  expect(outcomeWords(OUTCOME, SPAN, TODAY)).toBe('4 to 7 of 8 reach their goal by the end of January 2027.')
  expect(outcomeWords({ ...OUTCOME, of: 1, low: 1, high: 1 }, SPAN, TODAY)).toBe(
    '1 of 1 reaches its goal by the end of January 2027.',
  )
  expect(outcomeWords({ ...OUTCOME, of: 0 }, SPAN, TODAY)).toMatch(/^Nothing can reach its goal/)
  expect(spoilWords(OUTCOME, 'EUR')).toBe('1 to 3 expire first, about €31.')
  expect(spoilWords({ ...OUTCOME, spoilHigh: 0 }, 'EUR')).toBe('Nothing expires first.')
})

test.each([
  [0, 4, 'no uses'],
  [1, 5, '1 a month'],
  [3, 5, '3 a month'],
  [9, 5, '2 a week'],
])('%i uses in %i weeks', (uses, weeks, words) => expect(rateWords(uses, weeks)).toBe(words))

const RESCUE = { uses: 7, by: '2026-12-22' as Day, perWeek: null }
const IMPOSSIBLE = { code: 'impossible', need: 13, possible: 7, until: '2026-12-10' as Day, rescue: RESCUE } as const
test.each([
  ['13 uses, but there are 7 wear days until 10 Dec.', { ...IMPOSSIBLE, held: 'days' }],
  ['13 uses, but its type comes to 7 until 10 Dec.', { ...IMPOSSIBLE, held: 'kind' }],
  // What is good for longer than the plan has only its share to do by then.
  [
    '13 uses, to be on track for 9 Sept 2028, but there are 7 wear days until 31 Jan 2027.',
    { ...IMPOSSIBLE, held: 'days', until: '2028-09-09' as Day },
  ],
] as const)('%s', (words, reason) => {
  expect(leftOutWords(reason, END, TODAY, undefined)).toEqual(['Can’t be done by its date:', words])
  expect(rescueWords(reason, TODAY)).toBe('A goal of 7 uses, or until 22 Dec, would do.')
})

test('crowded out, with what a plan that has it would drop', () => {
  const words = (drops: readonly string[] | null | undefined) =>
    leftOutWords({ code: 'crowded out' }, END, TODAY, drops).join(' ')
  expect(words(['Fig', 'Quay', 'Sloe'])).toBe('No room: a plan with it would drop Fig, Quay and Sloe.')
  expect(words([])).toMatch(/would drop nothing whole/)
  expect(words(null)).toMatch(/only be done at the expense of others/)
  expect(words(undefined)).toBe('No room: others of higher priority take its place.')
})

test('what became of the plan in force', () => {
  const early = { code: 'finished early', itemId: 'a', on: '2026-11-20' as Day, planned: '2026-12-20' as Day } as const
  expect(newsWords(early, 'Fig', TODAY)).toBe(
    'Fig was done on 20 Nov, earlier than planned (20 Dec): its place is free.',
  )
  const behind = { code: 'behind', itemId: 'a', worn: 2, planned: 6 } as const
  expect(newsWords(behind, 'Fig', TODAY)).toBe('Fig was worn twice of 6 planned by now.')
  expect(newsWords({ ...behind, worn: 0 }, 'Fig', TODAY)).toBe('Fig wasn’t worn yet; 6 uses were planned by now.')
})
