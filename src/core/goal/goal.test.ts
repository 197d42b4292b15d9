import { describe, expect, test } from 'vitest'
import { addDays, type Day } from '../calendar/day.js'
import type { PlannedWeek } from '../calendar/planned-week.js'
import { paceOf, planPaceOf, sharePaceOf, type PaceFacts } from './pace.js'
import { progressOf, type GoalFacts } from './progress.js'

const EVERY_DAY: PlannedWeek = [1, 1, 1, 1, 1, 1, 1]
const START = '2026-11-01' as Day
const at = (n: number): Day => addDays(START, n - 1)

const GOAL: GoalFacts = {
  kind: 'uses',
  target: 20,
  headStart: 3,
  wearsInStay: 9,
  leftAtStart: null,
  leftNow: null,
  bareAtStart: null,
  bareNow: null,
  panShows: false,
  finished: false,
}

describe('progress', () => {
  test('an N-use goal reads head start and uses since roll-in of N', () => {
    expect(progressOf(GOAL)).toEqual({ met: false, uses: 12, usesLeft: 8, done: 0.6 })
  })
  test('it is met at N and doesn’t run past its rail', () => {
    expect(progressOf({ ...GOAL, wearsInStay: 17 })).toMatchObject({ met: true, usesLeft: 0, done: 1 })
    expect(progressOf({ ...GOAL, wearsInStay: 30 })).toMatchObject({ met: true, uses: 33, done: 1 })
  })
  test('finishing reads what went of what was left, and is met only by finishing', () => {
    const finish: GoalFacts = { ...GOAL, kind: 'finish', target: null, leftAtStart: 0.8, leftNow: 0.2 }
    expect(progressOf(finish).done).toBeCloseTo(0.75, 10)
    expect(progressOf({ ...finish, leftNow: 0 }).met).toBe(false)
    expect(progressOf({ ...finish, leftNow: null })).toMatchObject({ met: false, done: null })
    expect(progressOf({ ...finish, finished: true })).toMatchObject({ met: true, done: 1 })
  })
})

describe('the other goals read their own measure', () => {
  const of = (facts: Partial<GoalFacts>) => progressOf({ ...GOAL, target: null, ...facts })
  test('hit pan: by the level towards first pan, met by the first bare spot', () => {
    expect(of({ kind: 'hit pan', leftAtStart: 1, leftNow: 0.715 }).done).toBeCloseTo(0.5, 10)
    expect(of({ kind: 'hit pan', leftAtStart: 1, leftNow: 0.43, panShows: true })).toMatchObject({ met: true, done: 1 })
    expect(of({ kind: 'hit pan' })).toMatchObject({ met: false, done: null })
  })
  test('expand pan: from the bare area it had to the one aimed for', () => {
    const pan: Partial<GoalFacts> = { kind: 'expand pan', target: 0.5, bareAtStart: 0.1 }
    expect(of({ ...pan, bareNow: 0.3 }).done).toBeCloseTo(0.5, 10)
    expect(of({ ...pan, bareNow: 0.5 }).met).toBe(true)
  })
  test('a level: from what was left to what is aimed for', () => {
    const level: Partial<GoalFacts> = { kind: 'level', target: 0.4, leftAtStart: 0.8 }
    expect(of({ ...level, leftNow: 0.6 }).done).toBeCloseTo(0.5, 10)
    expect(of({ ...level, leftNow: 0.4 }).met).toBe(true)
    expect(of({ ...level, leftAtStart: 0.4, leftNow: 0.9 }).done).toBeNull()
  })
  test('uses count as far as they were reached, also of what is finished', () => {
    expect(progressOf({ ...GOAL, finished: true })).toMatchObject({ met: false, uses: 12, usesLeft: 8 })
  })
  test('keep using is never met; find a use is counted; finishing meets the rest', () => {
    expect(of({ kind: 'keep using', finished: true })).toMatchObject({ met: false, done: null, usesLeft: null })
    expect(of({ kind: 'find a use', target: 3, headStart: 0, wearsInStay: 3 })).toMatchObject({
      met: true,
      usesLeft: 0,
    })
    expect(of({ kind: 'hit pan', finished: true })).toMatchObject({ met: true, done: 1 })
  })
})

describe('pace', () => {
  const FACTS: PaceFacts = {
    today: at(15),
    rolledIn: START,
    by: at(30),
    target: 20,
    headStart: 4,
    uses: 12,
    wornToday: true,
    ended: false,
    week: EVERY_DAY,
    away: [],
  }
  test('the notch goes from the head start to the target with the wear days elapsed', () => {
    // Half of the days are gone: 4 + (20 - 4) / 2.
    expect(paceOf(FACTS)).toMatchObject({ notch: 12, difference: 0, standing: 'on pace', wearDaysLeft: 15 })
  })
  test.each([
    [11, 'on pace'],
    [10.9, 'behind'],
    [13, 'on pace'],
    [13.1, 'ahead'],
    [20, 'met'],
  ])('%s uses is %s: more than one use away counts', (uses, standing) => {
    expect(paceOf({ ...FACTS, uses }).standing).toBe(standing)
  })
  test('lost time shows: a fortnight away moves the notch, not the target', () => {
    const away = [{ earliest: at(1), latest: at(14) }]
    const shown = paceOf({ ...FACTS, away })
    const inAll = 14 * 0.15 + 16
    expect(shown.notch).toBeCloseTo(4 + 16 * ((14 * 0.15 + 1) / inAll), 10)
  })
  test('out of reach says the smaller goal that would do', () => {
    const pace = paceOf({ ...FACTS, uses: 2, today: at(20), wornToday: false })
    expect(pace).toMatchObject({ standing: 'out of reach', wearDaysLeft: 11 })
    expect(pace.rescue).toEqual({ smallerGoal: 13 })
  })
  test('wear days left count whole, as they are shown: half a day decides nothing', () => {
    // Eleven days, the last five at a tenth: 6.5.
    const away = [{ earliest: at(26), latest: at(30), factor: 0.1 }]
    const on = (uses: number) => paceOf({ ...FACTS, uses, today: at(20), wornToday: false, away })
    expect(on(13).wearDaysLeft).toBeCloseTo(6.5, 10)
    expect([on(13).standing, on(12).standing]).toEqual(['behind', 'out of reach'])
    expect(on(12).rescue).toEqual({ smallerGoal: 19 })
  })
  test('without a date there is no notch', () => {
    expect(paceOf({ ...FACTS, by: null })).toMatchObject({ notch: null, standing: 'no date' })
  })
  test('on its date the notch stands at the target, and stays there', () => {
    expect(paceOf({ ...FACTS, today: at(30) }).notch).toBe(20)
    expect(paceOf({ ...FACTS, today: at(40) })).toMatchObject({ notch: 20, wearDaysLeft: 0, standing: 'missed' })
  })
  test('a share is behind by more than the eye can err', () => {
    const share = { today: at(15), rolledIn: START, by: at(30), met: false, ended: false, week: EVERY_DAY, away: [] }
    expect(sharePaceOf({ ...share, done: 0.43 })).toMatchObject({ notch: 0.5, standing: 'on pace' })
    expect(sharePaceOf({ ...share, done: 0.41 }).standing).toBe('behind')
    expect(sharePaceOf({ ...share, done: null }).standing).toBe('not known')
  })
  test('past its date a goal is missed, whatever its share; what is finished is neither late nor on pace', () => {
    const share = { today: at(31), rolledIn: START, by: at(30), met: false, ended: false, week: EVERY_DAY, away: [] }
    expect(sharePaceOf({ ...share, done: 0.97 }).standing).toBe('missed')
    expect(sharePaceOf({ ...share, done: null }).standing).toBe('missed')
    expect(sharePaceOf({ ...share, met: true, done: 1 }).standing).toBe('met')
    expect(sharePaceOf({ ...share, ended: true, done: 0.4 }).standing).toBe('ended')
    expect(paceOf({ ...FACTS, ended: true, today: at(40) })).toMatchObject({ standing: 'ended', rescue: null })
    expect(paceOf({ ...FACTS, ended: true, uses: 20 }).standing).toBe('met')
  })
  test('without a date a plan tells where it should be: what was done then, and its share of what was left', () => {
    const facts = { doneThen: 0.5, done: 0.6, target: 20, planned: 4, needed: 10 }
    // Half was done; 4 of 10 uses planned since are two fifths of the other half: .7, 14 of 20 uses, 2 more than the 12.
    const behind = planPaceOf(facts)
    expect(behind).toMatchObject({ standing: 'behind' })
    expect(behind.notch).toBeCloseTo(0.7, 12)
    expect(behind.difference).toBeCloseTo(-2, 12)
    expect(planPaceOf({ ...facts, done: 0.68 }).standing).toBe('on pace')
    expect(planPaceOf({ ...facts, target: null, done: 0.8 }).standing).toBe('ahead')
    expect(planPaceOf({ ...facts, planned: 40 }).notch).toBe(1)
    expect(planPaceOf({ ...facts, done: null })).toEqual({ standing: 'no date', notch: null, difference: null })
  })
})
