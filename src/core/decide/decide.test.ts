import { expect, test } from 'vitest'
import type { Day } from '../calendar/day.js'
import { trialStanding } from './trial.js'
import { destinationsFor } from './verdict.js'

const TRIAL = {
  startedOn: '2026-11-01' as Day,
  dueOn: '2026-11-30' as Day,
  wearsWanted: 3,
  today: '2026-11-24' as Day,
  wearDays: ['2026-10-30', '2026-11-01', '2026-11-09'] as Day[],
}

test('a trial counts from the day it began, and asks at its wears or its date', () => {
  expect(trialStanding(TRIAL)).toMatchObject({ wears: 2, wearsLeft: 1, daysLeft: 6, decisionDue: false })
  const worn = { ...TRIAL, wearDays: [...TRIAL.wearDays, '2026-11-20' as Day] }
  expect(trialStanding(worn)).toMatchObject({ standing: 'worn enough', decisionDue: true })
  expect(trialStanding({ ...TRIAL, today: '2026-11-30' as Day })).toMatchObject({
    standing: 'time is up',
    decisionDue: true,
  })
})

test.each([
  ['a used lipstick goes to nobody', { opened: true, eye: false, lip: true, spoiled: false }, []],
  ['a used mascara goes to nobody', { opened: true, eye: true, lip: false, spoiled: false }, []],
  ['an expired blush goes to nobody', { opened: true, eye: false, lip: false, spoiled: true }, []],
  [
    'a used blush goes to whoever accepts it',
    { opened: true, eye: false, lip: false, spoiled: false },
    ['give', 'swap', 'donate', 'sell'],
  ],
  [
    'an unopened mascara may go',
    { opened: false, eye: true, lip: false, spoiled: false },
    ['give', 'swap', 'donate', 'sell'],
  ],
])('%s', (_, item, passedOn) => {
  const open = destinationsFor(item)
  expect(open.filter((each) => ['give', 'swap', 'donate', 'sell'].includes(each))).toEqual(passedOn)
  expect(open).toContain('bin')
})
