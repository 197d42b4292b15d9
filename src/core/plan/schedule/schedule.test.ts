import { describe, expect, test } from 'vitest'
import { addDays, type Day } from '../../calendar/day.js'
import { USUAL_SETUP, type PlanBasis, type PlanSetup, type PlanThing } from './basis.js'
import { draftPlan } from './solve-plan.js'
import { newsOf, plannedUntil, type AdoptedPlan, type LineFacts } from './in-force.js'
import { leftOutOf } from './left-out.js'
import { linesOf, outcomeOf, tenths } from './outcome.js'
import { problemOf, usesNeeded } from './problem-of.js'
import { mostPossible } from './problem.js'
import { planSpan, type PlanMonth } from './span.js'
import { worthOf } from './worth.js'

const d = (text: string): Day => text as Day
/** A Tuesday. */
const TODAY = d('2026-12-01')
const THING: PlanThing = {
  itemId: 'a',
  categoryId: 'blush',
  slots: 1,
  inDrawer: true,
  needs: Array.from({ length: 15 }, (_, n) => 6 + n),
  toward: 'end',
  needsToPan: null,
  lastGood: null,
  by: null,
  from: null,
  seasons: [],
  mostAWeek: null,
  liking: null,
  moneyLeft: 1000,
  projectIds: [],
  upNext: null,
  said: null,
  weight: null,
  pace: null,
}
/** Makeup on four days a week; one zone of two slots. */
const BASIS: PlanBasis = {
  today: TODAY,
  hemisphere: 'north',
  week: [1, 1, 1, 1, 0, 0, 0],
  calm: [],
  places: [{ zoneId: 'cheeks', slots: 2, staying: 0 }],
  kinds: [{ categoryId: 'blush', zoneId: 'cheeks', perWearDay: 1, breaks: [], need: null }],
  things: [THING],
  projects: [],
  moves: [],
}
const made = (over: Partial<PlanBasis> = {}, setup: Partial<PlanSetup> = {}) =>
  problemOf({ ...BASIS, ...over }, { ...USUAL_SETUP, months: 2, ...setup })
const of = (thing: Partial<PlanThing>, setup: Partial<PlanSetup> = {}) =>
  made({ things: [{ ...THING, ...thing }] }, setup)
const sum = (values: readonly number[] | undefined): number => (values ?? []).reduce((all, each) => all + each, 0)

describe('the days of a plan', () => {
  test.each([
    ['2026-12-01', 2, ['2026-12', '2027-01'], '2027-01-31'],
    // A rest of a month that is shorter than ten days goes with the next.
    ['2026-11-24', 1, ['2026-12'], '2027-01-03'],
    ['2026-11-20', 1, ['2026-11'], '2026-11-29'],
  ])('from %s, %i months', (first, months, names, last) => {
    const span = planSpan(d(first), months)
    expect(span.months).toEqual(names)
    expect(span.weeks[0]?.from).toBe(first)
    expect(span.weeks.at(-1)?.to).toBe(last)
    span.weeks.forEach((week, n) =>
      expect(n === 0 || addDays(span.weeks[n - 1]?.to ?? week.to, 1) === week.from).toBe(true),
    )
  })
})

describe('what is asked of the drawer', () => {
  test('wear days of whole weeks are whole, and their sum is that of the days', () => {
    expect(made().wearDays).toEqual([3, 4, 4, 4, 4, 4, 4, 4, 4])
    const third = made({ week: [0.3, 0.3, 0.3, 0.3, 0.3, 0.3, 0.3] }).wearDays
    expect(Math.abs(sum(third) - 62 * 0.3)).toBeLessThanOrEqual(0.5)
  })

  test.each<[string, Partial<PlanThing>, number]>([
    ['all days', {}, 35],
    // 1 to 10 December are 7 of its days: Tuesday to Thursday, Monday to Thursday.
    ['up to its use-by date', { lastGood: d('2026-12-10') }, 7],
    ['up to the date of its goal, where that comes first', { lastGood: d('2026-12-31'), by: d('2026-12-10') }, 7],
    ['from the day it comes back', { from: d('2027-01-25') }, 4],
    ['no oftener than she says', { mostAWeek: 1 }, 9],
    ['in its season', { seasons: ['summer'] }, 0],
    ['never, once it is past', { lastGood: d('2026-11-30') }, 0],
  ])('%s', (_, thing, days) => {
    const [item] = of(thing).problem.items
    expect(item && mostPossible(item)).toBe(days)
  })

  test('a rest of its type takes its days and its uses', () => {
    const kinds = [
      { ...BASIS.kinds[0], breaks: [{ from: d('2026-12-07'), to: d('2026-12-13') }] },
    ] as PlanBasis['kinds']
    const { problem } = made({ kinds })
    expect(problem.items[0]?.most.slice(0, 3)).toEqual([3, 0, 4])
    expect(problem.categories[0]?.uses.slice(0, 3)).toEqual([3, 0, 4])
  })

  test('uses needed are the middle, or what nine in ten would be done by, or what shows the pan', () => {
    expect(usesNeeded(THING, USUAL_SETUP)).toBe(13)
    expect(usesNeeded(THING, { ...USUAL_SETUP, careful: true })).toBe(19)
    expect(usesNeeded({ ...THING, needsToPan: [3] }, { ...USUAL_SETUP, panInstead: true })).toBe(3)
  })

  test('slots: what stays, what will have to be bought, one more, and her moves before all', () => {
    const kinds = [{ ...BASIS.kinds[0], need: d('2027-01-10') }] as PlanBasis['kinds']
    const slots = (over: Partial<PlanBasis>, setup: Partial<PlanSetup> = {}) =>
      made(over, setup).problem.zones[0]?.slots
    expect(slots({ places: [{ zoneId: 'cheeks', slots: 3, staying: 1 }] })).toEqual([2, 2])
    expect(slots({ kinds })).toEqual([2, 1])
    expect(slots({ kinds }, { noBuyingUntil: d('2027-03-01') })).toEqual([2, 2])
    expect(slots({}, { extraSlot: 'cheeks' })).toEqual([3, 3])
    const moves = [{ itemId: 'a', month: '2026-12' as PlanMonth, lies: true }]
    expect(slots({ moves, places: [{ zoneId: 'cheeks', slots: 0, staying: 0 }] })).toEqual([1, 0])
    expect(slots({ places: [{ zoneId: 'cheeks', slots: 0, staying: 0 }] })).toEqual([0, 0])
  })

  test('a project brings its date, its most items, its rests and nothing from elsewhere; focus one of a type', () => {
    const things = ['a', 'b', 'c'].map((itemId) => ({ ...THING, itemId }))
    const projects = [
      {
        projectId: 'p',
        by: d('2026-12-10'),
        mostItems: 1,
        itemIds: ['a', 'b'],
        resting: [{ categoryId: 'blush', until: d('2026-12-06') }],
      },
    ]
    const { problem, until } = made({ things, projects }, { projectId: 'p' })
    expect(problem.items.map(({ id, most }) => [id, sum(most)])).toEqual([
      ['a', 4],
      ['b', 4],
    ])
    expect(until).toEqual(['2026-12-10', '2026-12-10'])
    expect(problem.caps).toEqual([{ itemIds: ['a', 'b'], most: 1 }])
    // What lies there and is none of it keeps its slot.
    expect(problem.zones[0]?.slots).toEqual([1, 1])
    expect(made({ things }, { focus: true }).problem.caps).toEqual([{ itemIds: ['a', 'b', 'c'], most: 1 }])
    expect(made({ things, projects }, { projectId: 'p', deadline: d('2026-12-31') }).until[0]).toBe('2026-12-31')
  })

  test('what it is worth', () => {
    const facts = { ...THING, usualMoney: 1000, inProject: false }
    expect(worthOf({ ...facts, moneyLeft: null }, TODAY)).toBe(25)
    expect(worthOf(facts, TODAY)).toBe(38)
    expect(worthOf({ ...facts, liking: 5, inProject: true, lastGood: addDays(TODAY, 365) }, TODAY)).toBe(86)
    expect(worthOf({ ...facts, weight: 3 }, TODAY)).toBe(3)
    expect([1, 2, 10].map((upNext) => worthOf({ ...facts, upNext }, TODAY))).toEqual([88, 84, 52])
    expect(of({ said: 'in' }).problem.items[0]?.value).toBe(500)
  })
})

describe('what comes of it', () => {
  test('likely days follow the plan and go on as it went; what isn’t reached in time is left open', () => {
    const plan = of({ lastGood: d('2027-01-10') })
    const schedule = draftPlan(plan.problem)
    const [line] = linesOf(plan, USUAL_SETUP, schedule)
    // 7 uses by a tenth, 13 by half: 3 in the first week, 4 in each other, and what is planned of a week is spread over it.
    expect(line).toMatchObject({
      planned: 13,
      needed: 13,
      finishes: true,
      met: true,
      likely: { low: '2026-12-13', middle: '2026-12-27' },
    })
    // Beyond the 13 it goes on at 13 uses in 15 wear days: 19.9 by the 10th of January, short of the 20th.
    expect(line?.chance).toBeCloseTo(14 / 15, 9)
    expect(outcomeOf(plan, USUAL_SETUP, line ? [line] : [])).toMatchObject({
      of: 1,
      low: 1,
      high: 1,
      usedUp: 1000,
      spoilHigh: 0,
      spoilMoney: 0,
    })
  })

  test('what is past its day within the plan and not used up expires, with what is left of it', () => {
    const plan = of({ lastGood: d('2026-12-06') })
    const lines = linesOf(plan, USUAL_SETUP, draftPlan(plan.problem))
    // 3 of 13 uses until then.
    expect(lines[0]).toMatchObject({ planned: 3, finishes: false, met: false, likely: { low: null, high: null } })
    expect(outcomeOf(plan, USUAL_SETUP, lines)).toMatchObject({
      of: 0,
      spoilLow: 1,
      spoilHigh: 1,
      spoilMoney: Math.round(1000 * (10 / 13)),
    })
  })

  test('how many of independent items: closed cases', () => {
    expect(tenths([])).toEqual([0, 0])
    expect(tenths([1, 1, 0])).toEqual([2, 2])
    // Ten fair coins: P(<= 2) = 5.5 %, P(<= 3) = 17 %, P(<= 6) = 83 %, P(<= 7) = 94.5 %.
    expect(tenths(Array<number>(10).fill(0.5))).toEqual([3, 7])
  })
})

describe('left out, and why', () => {
  const why = (thing: Partial<PlanThing>, over: Partial<PlanBasis> = {}) => {
    const basis = { ...BASIS, ...over, things: [{ ...THING, ...thing }] }
    const plan = problemOf(basis, { ...USUAL_SETUP, months: 2 })
    return leftOutOf(basis, plan, draftPlan(plan.problem))[0]?.reason
  }

  test.each<[string, Partial<PlanThing>, Partial<PlanBasis>, object | undefined]>([
    ['nothing where it is met', {}, {}, undefined],
    ['her word', { said: 'no' }, {}, { code: 'she said no' }],
    ['past its date', { lastGood: d('2026-11-30') }, {}, { code: 'past its date', day: '2026-11-30' }],
    ['its season', { seasons: ['summer'] }, {}, { code: 'out of season', back: '2027-06-01' }],
    [
      'too few days, with a smaller goal, and no later date where it expires',
      { lastGood: d('2026-12-10') },
      {},
      { code: 'impossible', held: 'days', need: 13, possible: 7, rescue: { uses: 7, by: null, perWeek: null } },
    ],
    [
      'too few days, with a later date',
      { by: d('2026-12-10') },
      {},
      { code: 'impossible', rescue: { uses: 7, by: '2026-12-22', perWeek: null } },
    ],
    [
      'too seldom by her word',
      { by: d('2027-01-31'), mostAWeek: 1 },
      {},
      { code: 'impossible', possible: 9, rescue: { uses: 9, perWeek: 2 } },
    ],
    [
      'its type is worn too seldom',
      { by: d('2027-01-31') },
      { kinds: [{ ...BASIS.kinds[0], perWearDay: 0.1 }] as PlanBasis['kinds'] },
      { code: 'impossible', held: 'kind', need: 13, possible: 3 },
    ],
    ['no slot', {}, { places: [{ zoneId: 'cheeks', slots: 1, staying: 1 }] }, { code: 'no slot', slots: 1, free: 0 }],
  ])('%s', (_, thing, over, reason) => {
    if (reason === undefined) expect(why(thing, over)).toBeUndefined()
    else expect(why(thing, over)).toMatchObject(reason)
  })

  test('crowded out by what is worth more', () => {
    const things = [
      { ...THING, weight: 90, by: d('2026-12-24'), itemId: 'dear' },
      { ...THING, weight: 10, by: d('2026-12-24'), itemId: 'cheap' },
    ]
    const basis = { ...BASIS, things }
    const plan = problemOf(basis, { ...USUAL_SETUP, months: 2 })
    expect(leftOutOf(basis, plan, draftPlan(plan.problem))).toMatchObject([
      { itemId: 'cheap', reason: { code: 'crowded out' } },
    ])
  })
})

describe('a plan in force', () => {
  const { months, weeks } = planSpan(TODAY, 2)
  const line = {
    itemId: 'a',
    lies: [true, false],
    uses: [3, 4, 4, 2, 0, 0, 0, 0, 0],
    needed: 13,
    toward: 'end',
    finishes: true,
  } as const
  const plan: AdoptedPlan = { adoptedOn: TODAY, months, weeks, lines: [line] }
  const facts: LineFacts = { itemId: 'a', ended: null, met: false, inDrawer: true, days: [] }
  const later = addDays(TODAY, 14)
  const news = (over: Partial<LineFacts>, today = later) => newsOf(plan, [{ ...facts, ...over }], today)
  const days = (count: number): Day[] => Array.from({ length: count }, (_, n) => addDays(TODAY, n))

  test('uses planned up to a day: whole weeks, and the share of the one that runs', () => {
    expect(plannedUntil(plan, line.uses, addDays(TODAY, -1))).toBe(0)
    expect(plannedUntil(plan, line.uses, d('2026-12-06'))).toBe(3)
    expect(plannedUntil(plan, line.uses, d('2026-12-07'))).toBeCloseTo(3 + 4 / 7, 9)
    expect(plannedUntil(plan, line.uses, d('2027-06-01'))).toBe(13)
  })

  test.each<[string, Partial<LineFacts>, object[]]>([
    ['as planned', { days: days(8) }, []],
    ['behind', { days: days(2) }, [{ code: 'behind', worn: 2, planned: 8 }]],
    [
      'done early',
      { ended: { day: d('2026-12-10'), finished: true } },
      [{ code: 'finished early', planned: '2026-12-27' }],
    ],
    ['gone', { ended: { day: d('2026-12-10'), finished: false } }, [{ code: 'gone', on: '2026-12-10' }]],
    ['out of the drawer', { days: days(8), inDrawer: false }, [{ code: 'not in the drawer' }]],
    // A goal met before is no matter of a plan that goes to its end.
    ['a goal that was met before', { days: days(8), met: true }, []],
    ['gone before it was adopted', { ended: { day: d('2026-11-10'), finished: false } }, []],
  ])('%s', (_, over, expected) => expect(news(over)).toMatchObject(expected))

  test('done late, and in the drawer a month too long', () => {
    const end = { ended: { day: d('2027-01-20'), finished: true } }
    expect(news(end, d('2027-01-21'))).toMatchObject([{ code: 'finished late', planned: '2026-12-27' }])
    expect(news({ days: days(13) }, d('2027-01-21'))).toMatchObject([{ code: 'still in the drawer' }])
  })
})
