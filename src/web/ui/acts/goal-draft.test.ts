import { describe, expect, test } from 'vitest'
import type { Day } from '#core/calendar/day'
import { GOAL_KINDS } from '#core/goal/progress'
import type { GoalView } from '#contract/item'
import { draftOf, freshGoal, goalBody, isShare, usualTarget } from './goal-draft'

const BY = '2027-03-01' as Day
const goal = (over: Partial<GoalView>): GoalView => ({
  stayId: 's',
  projectId: 'p',
  projectName: 'Winter four',
  kind: 'uses',
  partId: null,
  partName: null,
  beside: false,
  baseline: null,
  target: 20,
  headStart: 3,
  wearsInStay: 4,
  uses: 7,
  usesLeft: 13,
  met: false,
  done: 0.35,
  notch: null,
  rolledIn: '2026-11-01' as Day,
  by: null,
  standing: 'no date',
  difference: null,
  wearDaysLeft: null,
  rescue: null,
  ...over,
})

test('a new goal takes the date of its project, and the uses that the project asks of each', () => {
  expect(freshGoal(null)).toMatchObject({ kind: 'uses', by: 'none', target: '10', headStart: '0' })
  expect(freshGoal(BY, 25)).toMatchObject({ by: 'project', target: '25' })
})

describe('a goal comes back from its form as it went in', () => {
  test.each<Partial<GoalView>>([
    { kind: 'uses', target: 20, headStart: 3 },
    { kind: 'find a use', target: 3, headStart: 0 },
    { kind: 'finish', target: null, headStart: 0 },
    { kind: 'hit pan', target: null, headStart: 0 },
    { kind: 'expand pan', target: 0.5, headStart: 0 },
    { kind: 'level', target: 0.25, headStart: 0 },
    { kind: 'keep using', target: null, headStart: 0 },
  ])('%o', (over) => {
    const { kind, target, headStart } = goalBody(draftOf(goal(over), null))
    expect({ kind, target, headStart }).toEqual(over)
  })
})

test('the date is its own, its project’s, or none', () => {
  expect(draftOf(goal({ by: BY }), BY)).toMatchObject({ by: 'project', byDay: '' })
  expect(goalBody(draftOf(goal({ by: BY }), null)).by).toEqual({ kind: 'own', day: BY })
  expect(goalBody(draftOf(goal({ by: null }), BY)).by).toEqual({ kind: 'none' })
})

test('a goal without a target of its own starts from the usual one when its type is changed', () => {
  for (const kind of GOAL_KINDS) {
    const typed = Number(usualTarget(kind))
    expect(Number.isFinite(typed)).toBe(true)
    if (isShare(kind)) expect(typed).toBeLessThan(100)
  }
  expect(draftOf(goal({ kind: 'finish', target: null }), null).target).toBe('')
})
