import { expect, test } from 'vitest'
import type { Day } from '#core/calendar/day'
import type { GoalView } from '#contract/item'
import { draftOf, freshGoal, goalBody } from '#web/ui/acts/goal-draft'
import { draftOfProject, projectBody, usualRules } from './project-draft'

const TODAY = '2026-11-24' as Day
const DATE = '2026-12-21' as Day

test('a blank draft is a rolling project that begins today and has no rule', () => {
  expect(projectBody({ ...draftOfProject(null, TODAY), name: 'Ten' })).toMatchObject({
    name: 'Ten',
    shape: 'rolling',
    startedOn: TODAY,
    by: null,
    mostItems: null,
    atLeast: null,
    replacing: 'as I feel',
    breakDays: null,
    leavingAllowed: true,
    categoryId: null,
    usesEach: null,
    paletteId: null,
  })
})

test('only what belongs to the shape goes along', () => {
  const typed = {
    ...draftOfProject(null, TODAY),
    name: 'x',
    categoryId: 'lipstick',
    usesEach: '10',
    atOnce: '3',
    paletteId: 'p',
    mostItems: '15',
  }
  expect(projectBody({ ...typed, shape: 'sweep' })).toMatchObject({
    categoryId: 'lipstick',
    usesEach: 10,
    atOnce: 3,
    paletteId: null,
    mostItems: null,
  })
  expect(projectBody({ ...typed, shape: 'palette' })).toMatchObject({
    categoryId: null,
    usesEach: null,
    paletteId: 'p',
  })
  expect(projectBody({ ...typed, shape: 'season' })).toMatchObject({ categoryId: null, paletteId: null, mostItems: 15 })
})

test.each([
  ['season', { replacing: 'none', mostItems: '15', atLeast: '10' }],
  ['until done', { replacing: 'none' }],
  ['rolling', { replacing: 'as I feel', mostItems: '' }],
] as const)('the usual rules of a %s', (shape, rules) => {
  expect(usualRules(shape)).toMatchObject(rules)
})

test('a number that is none goes to the server as it is, for the server to name', () => {
  expect(projectBody({ ...draftOfProject(null, TODAY), mostItems: 'many' }).mostItems).toBeNaN()
})

test.each([
  [
    { kind: 'uses' as const, target: '12', headStart: '3' },
    { kind: 'uses', target: 12, headStart: 3 },
  ],
  [
    { kind: 'find a use' as const, target: '3', headStart: '0' },
    { kind: 'find a use', target: 3, headStart: 0 },
  ],
  [
    { kind: 'finish' as const, target: '12', headStart: '3' },
    { kind: 'finish', target: null, headStart: 0 },
  ],
  [
    { kind: 'expand pan' as const, target: '50', headStart: '3' },
    { kind: 'expand pan', target: 0.5, headStart: 0 },
  ],
  [
    { kind: 'level' as const, target: '25', headStart: '' },
    { kind: 'level', target: 0.25, headStart: 0 },
  ],
  [
    { kind: 'keep using' as const, target: '9', headStart: '1' },
    { kind: 'keep using', target: null, headStart: 0 },
  ],
])('a goal is sent in its own measure: %o', (typed, sent) => {
  expect(goalBody({ ...freshGoal(null), ...typed })).toMatchObject(sent)
})

test('a goal is dated with its project where that has a date, and a sweep brings its uses', () => {
  expect(goalBody(freshGoal(DATE)).by).toEqual({ kind: 'project' })
  expect(goalBody(freshGoal(null)).by).toEqual({ kind: 'none' })
  expect(goalBody({ ...freshGoal(null), by: 'own', byDay: DATE }).by).toEqual({ kind: 'own', day: DATE })
  expect(freshGoal(null, 5).target).toBe('5')
})

test.each([
  [
    { kind: 'level', target: 0.4, by: null },
    { target: '40', by: 'none' },
  ],
  [
    { kind: 'uses', target: 20, by: DATE },
    { target: '20', by: 'project' },
  ],
  [
    { kind: 'uses', target: 20, by: '2027-01-01' },
    { target: '20', by: 'own', byDay: '2027-01-01' },
  ],
  [
    { kind: 'hit pan', target: null, by: null },
    { target: '', by: 'none' },
  ],
])('a goal comes back into its fields as it was set: %o', (goal, fields) => {
  const stored = { headStart: 0, ...goal } as unknown as GoalView
  expect(draftOf(stored, DATE)).toMatchObject(fields)
})
