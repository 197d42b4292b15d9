import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { addDays, type Day } from '../calendar/day.js'
import type { ShelfLife } from '../shelf-life/last-good-day.js'
import { MAKEUP_STEPS, stepOf } from './makeup-step.js'
import { MOST_SUGGESTED, reachFor, type DayConditions, type WithinReach } from './reach-for.js'

const TODAY = '2026-11-24' as Day
const life = (daysLeft: number | null, lapsed = false): ShelfLife => ({
  state: daysLeft === null ? 'unknown' : daysLeft < 0 ? 'past' : daysLeft <= 90 ? 'within 90 days' : 'in date',
  lastGood: null,
  actOn: daysLeft === null ? null : addDays(TODAY, daysLeft),
  daysLeft,
  reason: { code: 'purchase-unknown' },
  sun: lapsed ? { lastDay: addDays(TODAY, -1), lapsed: true } : null,
})
const ANY_DAY: DayConditions = { skin: null, clothes: null, minutes: null, occasion: null, hands: null }
const item = (itemId: string, over: Partial<WithinReach> = {}): WithinReach => ({
  itemId,
  step: 'cheeks',
  categoryId: 'blush',
  form: 'pressed',
  undertone: null,
  seasons: [],
  awkward: false,
  shelfLife: life(null),
  goal: null,
  planned: null,
  left: null,
  lastWorn: addDays(TODAY, -1),
  placedOn: addDays(TODAY, -300),
  wornToday: false,
  notToday: false,
  putBack: 0,
  occasionShare: null,
  fights: [],
  works: [],
  upNext: null,
  ...over,
})
const goal = (over: Partial<NonNullable<WithinReach['goal']>> = {}) => ({
  standing: 'on pace' as const,
  usesLeft: 12,
  difference: 0,
  done: 0.4,
  project: 'Autumn',
  ...over,
})
const reach = (items: WithinReach[], day: Partial<DayConditions> = {}, also: readonly string[] = []) => {
  const worn = [...items.filter((each) => each.wornToday).map((each) => each.itemId), ...also]
  return reachFor(items, { ...ANY_DAY, ...day }, TODAY, new Set(worn))
}
const reasons = (items: WithinReach[], day: Partial<DayConditions> = {}) =>
  reach(items, day).map((each) => [each.itemId, each.reason.code])

test('what is up next goes before all that is weighed, in the user’s order', () => {
  const upNext = (itemId: string, place: number) => ({ upNext: { itemId, place, season: null, words: '' } })
  const pressing = { goal: goal({ standing: 'behind' as const, difference: -9 }), shelfLife: life(1) }
  const items = [
    item('a', pressing),
    item('b', upNext('b', 10)),
    item('c', { categoryId: 'bronzer', ...upNext('c', 9) }),
  ]
  expect(reasons(items)).toEqual([
    ['c', 'up-next'],
    ['b', 'up-next'],
  ])
})

describe('each has one reason, the one that weighs most', () => {
  test.each<[string, Partial<WithinReach>, Partial<DayConditions>, string]>([
    ['behind its notch', { goal: goal({ standing: 'behind', difference: -3 }) }, {}, 'behind'],
    ['out of reach', { goal: goal({ standing: 'out of reach', difference: -3 }) }, {}, 'out-of-reach'],
    ['a few uses from its goal', { goal: goal({ usesLeft: 2 }) }, {}, 'nearly-there'],
    ['in a project', { goal: goal() }, {}, 'in-project'],
    ['little left', { left: 0.1 }, {}, 'little-left'],
    ['expires soon', { shelfLife: life(20) }, {}, 'expires'],
    ['unworn long', { lastWorn: addDays(TODAY, -40) }, {}, 'unworn'],
    ['like the clothes', { undertone: 'warm' }, { clothes: 'warm' }, 'like-your-clothes'],
    ['for the occasion', { occasionShare: 0.6 }, { occasion: 'gig' }, 'for-the-occasion'],
    ['of the season', { seasons: ['autumn'] }, {}, 'for-the-season'],
  ])('%s', (_, over, day, code) => {
    expect(reasons([item('a', over)], day)).toEqual([['a', code]])
  })
  test('of two of a type the one less far along', () => {
    const [far, near] = [item('far', { goal: goal({ done: 0.7 }) }), item('near', { goal: goal({ done: 0.2 }) })]
    expect(reach([far, near])).toEqual([
      { itemId: 'near', step: 'cheeks', reason: { code: 'less-far-along', thanItemId: 'far' } },
    ])
  })
  test('what goes with something already on', () => {
    const base = item('base', { step: 'base', categoryId: 'foundation', wornToday: true })
    expect(reasons([base, item('a', { works: ['base'] })])).toEqual([['a', 'goes-with']])
  })
  test('an ordinary item worn yesterday isn’t suggested at all', () => {
    expect(reach([item('a')])).toEqual([])
  })
})

describe('never', () => {
  const pressing = { shelfLife: life(5) }
  test.each<[string, Partial<WithinReach>, Partial<DayConditions>]>([
    ['what is worn', { wornToday: true }, {}],
    ['what was sent away until tomorrow', { notToday: true }, {}],
    ['what is expired', { shelfLife: life(-1) }, {}],
    ['a lapsed sunscreen', { shelfLife: life(40, true), step: 'sunscreen' }, {}],
    ['what shows a sign of spoiling', { shelfLife: { ...life(5), state: 'sign seen' } }, {}],
    ['what is out of season', { seasons: ['summer'] }, {}],
    ['a step for which there is no time', { step: 'highlighter' }, { minutes: 5 }],
    ['what sore hands can’t open', { awkward: true }, { hands: 'sore' }],
    ['a new item on flaring skin', { lastWorn: null }, { skin: 'flaring' }],
  ])('%s', (_, over, day) => {
    expect(reach([item('a', { ...pressing, ...over })], day)).toEqual([])
  })
  test('what fights with something worn that serves no step of a look', () => {
    expect(reach([item('a', { goal: goal(), fights: ['serum'] })], {}, ['serum'])).toEqual([])
    expect(reach([item('a', { goal: goal(), fights: ['serum'] })])).toHaveLength(1)
  })
  test('what fights with the look so far, or with what is suggested before it', () => {
    const primer = item('primer', { step: 'primer', categoryId: 'primer', wornToday: true })
    expect(reach([primer, item('base', { ...pressing, step: 'base', fights: ['primer'] })])).toEqual([])
    const both = [
      item('primer', { ...pressing, step: 'primer', categoryId: 'primer' }),
      item('base', { ...pressing, step: 'base', categoryId: 'foundation', fights: ['primer'] }),
    ]
    expect(reach(both).map((each) => each.itemId)).toEqual(['primer'])
  })
  test('a step that is done', () => {
    expect(reach([item('on', { wornToday: true }), item('a', pressing)])).toEqual([])
  })
})

test('powder steps back on dry skin, cream on oily skin', () => {
  const powder = item('powder', { shelfLife: life(60) })
  const cream = item('cream', { shelfLife: life(60), form: 'stick' })
  expect(reach([powder, cream], { skin: 'dry' })[0]?.itemId).toBe('cream')
  expect(reach([powder, cream], { skin: 'oily' })[0]?.itemId).toBe('powder')
})

test('what was held up and put back again steps back', () => {
  const idle = { lastWorn: addDays(TODAY, -40) }
  expect(reach([item('a', { ...idle, putBack: 2 }), item('b', idle)])[0]?.itemId).toBe('b')
})

test('a step by type: creams at the eye are its base, skin care is no step', () => {
  expect(stepOf('cream blush', false)).toBe('cheeks')
  expect(stepOf('cream blush', true)).toBe('eye base')
  expect(stepOf('face cream', false)).toBeNull()
})

test('whatever lies in the drawer: in makeup order, two a step at most, each once, and the same whatever the order given', () => {
  const one = fc.record({
    step: fc.constantFrom(...MAKEUP_STEPS),
    categoryId: fc.constantFrom('x', 'y', 'z'),
    days: fc.option(fc.integer({ min: -10, max: 300 })),
    worn: fc.boolean(),
    idle: fc.integer({ min: 0, max: 90 }),
    usesLeft: fc.option(fc.integer({ min: 1, max: 30 })),
  })
  fc.assert(
    fc.property(fc.array(one, { maxLength: 30 }), (list) => {
      const items = list.map(({ step, categoryId, days, worn, idle, usesLeft }, n) =>
        item(`i${n}`, {
          step,
          categoryId,
          shelfLife: life(days),
          wornToday: worn,
          lastWorn: addDays(TODAY, -idle),
          goal: usesLeft === null ? null : goal({ usesLeft, done: 1 / usesLeft }),
        }),
      )
      const found = reach(items)
      const order = found.map((each) => MAKEUP_STEPS.indexOf(each.step))
      expect([...order].sort((a, b) => a - b)).toEqual(order)
      expect(new Set(found.map((each) => each.itemId)).size).toBe(found.length)
      expect(found.length).toBeLessThanOrEqual(MOST_SUGGESTED)
      for (const step of new Set(order)) expect(order.filter((each) => each === step).length).toBeLessThanOrEqual(2)
      expect(reach([...items].reverse())).toEqual(found)
    }),
    { seed: 5, numRuns: 200 },
  )
})

test('what the plan has this week and wasn’t had yet; nothing once it was', () => {
  const planned = (worn: number) => reach([item('a', { planned: { planned: 3, worn } })])
  expect(planned(1)).toMatchObject([{ itemId: 'a', reason: { code: 'planned', planned: 3, worn: 1 } }])
  expect(planned(3)).toEqual([])
})
