import { readFileSync } from 'node:fs'
import GLPK from 'glpk.js/node'
import loadHighs from 'highs'
import { describe, expect, test } from 'vitest'
import { Random } from '#demo/random'
import { draftPlan, solvePlan } from '#core/plan/schedule/solve-plan'
import { evaluateSchedule } from '#core/plan/schedule/evaluate'
import { highsSolver } from '#core/plan/schedule/highs-solver'
import type { LinearModel } from '#core/plan/schedule/linear-model'
import { milestoneOf, type PlanItem, type PlanProblem } from '#core/plan/schedule/problem'
import { programmeOf } from '#core/plan/schedule/programme'
import { qualityOf } from '#core/plan/schedule/quality'
import { evaluatePlans, PlanCase } from '#server/planning/evaluate-plan'
import { glpkModel } from '../bench/glpk-model'
import { planInstance } from '../bench/plan-instances'

const CASES = new URL('reference/plan-cases.json', import.meta.url).pathname
const highs = await loadHighs()
const solve = highsSolver(highs)
/** Nothing is stopped by the clock here: it stands still. */
const now = (): number => 0
const lay = (problem: PlanProblem) => solvePlan(problem, { solve, seconds: 60, now })

/** A problem without slots and months: things, days, one value for meeting a goal. */
function daysOnly(items: readonly Partial<PlanItem>[], days: readonly number[], most = 1): PlanProblem {
  return {
    grain: 'weeks',
    monthOf: days.map(() => 0),
    items: items.map((item, n) => ({
      id: String(n),
      categoryId: 'kind',
      uses: 1,
      most: days.map(() => 1),
      after: 0,
      value: 1,
      slots: 1,
      inDrawer: false,
      fixed: [null],
      ...item,
    })),
    categories: [{ id: 'kind', zoneId: 'zone', uses: days.map((each) => each * most) }],
    zones: [{ id: 'zone', slots: [null] }],
    caps: [],
    weights: { along: 0, later: 0, layIn: 0 },
  }
}

describe('against cases worked by hand', () => {
  const cases = (JSON.parse(readFileSync(CASES, 'utf8')) as { cases: unknown[] }).cases.map((each) =>
    PlanCase.parse(each),
  )

  test('all of them come out exactly', () => {
    const found = evaluatePlans(CASES, highs, now)
    expect(found).toHaveLength(cases.length)
    expect(found.filter(({ ok }) => !ok)).toEqual([])
    expect(found.map(({ objective }) => Math.round(objective * 1e6) / 1e6)).toEqual(
      cases.map((each) => each.expect?.obj),
    )
  })
})

/** Moore 1968: jobs by due date; where one would be late, the longest so far goes. The number that is on time. */
function mooreHodgson(jobs: readonly { length: number; due: number }[]): number {
  const taken: number[] = []
  for (const job of [...jobs].sort((a, b) => a.due - b.due)) {
    taken.push(job.length)
    if (taken.reduce((sum, each) => sum + each, 0) > job.due) taken.splice(taken.indexOf(Math.max(...taken)), 1)
  }
  return taken.length
}

test('one item a day, equal values, no slots: as many in time as by Moore and Hodgson (1968), 200 random cases', () => {
  let late = 0
  for (let seed = 1; seed <= 200; seed += 1) {
    const random = new Random(seed)
    const days = Array.from({ length: 12 }, () => 1)
    const jobs = Array.from({ length: 6 }, () => ({ length: random.whole(1, 5), due: random.whole(1, 12) }))
    const problem = daysOnly(
      jobs.map(({ length, due }) => ({ uses: length, most: days.map((_, day) => Number(day < due)) })),
      days,
    )
    const { met, breaches } = evaluateSchedule(problem, lay(problem).schedule)
    expect([seed, met.length, breaches]).toEqual([seed, mooreHodgson(jobs), []])
    late += jobs.length - met.length
  }
  expect(late).toBeGreaterThan(200)
})

/** Whether these goals can all be met: the largest flow from things through weeks (augmenting paths, one use at a time). */
function canAllBeMet(problem: PlanProblem, chosen: readonly PlanItem[]): boolean {
  const weeks = problem.monthOf.length
  const left = (problem.categories[0]?.uses ?? []).map((each) => each)
  const given = chosen.map(() => Array<number>(weeks).fill(0))
  const place = (n: number, seen: Set<number>): boolean => {
    for (let week = 0; week < weeks; week += 1) {
      if ((given[n]?.[week] ?? 0) >= (chosen[n]?.most[week] ?? 0) || seen.has(week)) continue
      seen.add(week)
      if ((left[week] ?? 0) > 0) {
        left[week] = (left[week] ?? 0) - 1
        given[n]![week] = (given[n]?.[week] ?? 0) + 1 // eslint-disable-line @typescript-eslint/no-non-null-assertion -- made above
        return true
      }
      for (const [other, own] of given.entries()) {
        if ((own[week] ?? 0) === 0 || other === n) continue
        own[week] = (own[week] ?? 0) - 1
        if (place(other, seen)) {
          given[n]![week] = (given[n]?.[week] ?? 0) + 1 // eslint-disable-line @typescript-eslint/no-non-null-assertion -- made above
          return true
        }
        own[week] = (own[week] ?? 0) + 1
      }
    }
    return false
  }
  return chosen.every((item, n) => Array.from({ length: item.uses }, () => place(n, new Set())).every(Boolean))
}

test('two a day, at most so many a week: worth as much as the best of all subsets by max-flow, 100 random cases', () => {
  for (let seed = 1; seed <= 100; seed += 1) {
    const random = new Random(1000 + seed)
    const days = Array.from({ length: 4 }, () => random.whole(1, 4))
    const problem = daysOnly(
      Array.from({ length: 6 }, () => {
        const [first, last] = [random.whole(0, 1), random.whole(1, 3)]
        const perWeek = random.whole(1, 4)
        return {
          uses: random.whole(2, 8),
          value: random.whole(1, 9),
          most: days.map((each, week) => (week < first || week > last ? 0 : Math.min(each, perWeek))),
        }
      }),
      days,
      2,
    )
    let best = 0
    for (let subset = 0; subset < 64; subset += 1) {
      const chosen = problem.items.filter((_, n) => (subset >> n) % 2 === 1)
      const worth = chosen.reduce((sum, { value }) => sum + value, 0)
      if (worth > best && canAllBeMet(problem, chosen)) best = worth
    }
    const laid = lay(problem)
    expect([seed, laid.objective, evaluateSchedule(problem, laid.schedule).breaches]).toEqual([seed, best, []])
  }
})

/** The same model by GLPK (GPL, for tests only). */
async function byGlpk(model: LinearModel): Promise<number> {
  const glpk = await GLPK()
  const found = await glpk.solve(glpkModel(glpk, model), {
    msglev: glpk.GLP_MSG_OFF,
    tmlim: 20,
    presol: true,
  })
  expect(found.result.status).toBe(glpk.GLP_OPT)
  return found.result.z
}

test('slots, seasons, laying in, dates beyond the plan: worth as much as by GLPK, 30 seeded instances', async () => {
  for (let seed = 1; seed <= 30; seed += 1) {
    const problem: PlanProblem = { ...planInstance(seed, 8, 2, 1 + (seed % 2)), grain: 'weeks' }
    const { model } = programmeOf(problem, { weekly: new Set(problem.categories.map(({ id }) => id)) })
    const laid = lay(problem)
    const best = await byGlpk(model)
    const { objective, breaches } = evaluateSchedule(problem, laid.schedule)
    expect([seed, breaches]).toEqual([seed, []])
    expect(objective / best, `seed ${seed}`).toBeGreaterThan(1 - 1e-3)
    expect(objective / best, `seed ${seed}`).toBeLessThan(1 + 1e-6)
    // What is said of it holds: the bound is none that the best breaks.
    expect(laid.parts.reduce((sum, { bound }) => sum + bound, 0)).toBeGreaterThan(best - 1e-6)
  }
}, 60_000)

test('one more slot, wear day or week never makes the best worse, 100 random changes', () => {
  for (let seed = 1; seed <= 34; seed += 1) {
    const problem: PlanProblem = { ...planInstance(100 + seed, 5, 2), grain: 'weeks' }
    const before = lay(problem).objective
    const random = new Random(seed)
    const week = random.whole(0, problem.monthOf.length - 1)
    const further = <T>(list: readonly T[]): T[] => [...list, ...list.slice(-1)]
    const changed: PlanProblem[] = [
      {
        ...problem,
        zones: problem.zones.map((zone) => ({ ...zone, slots: zone.slots.map((each) => (each ?? 0) + 1) })),
      },
      {
        ...problem,
        items: problem.items.map((item) => ({
          ...item,
          most: item.most.map((each, at) => (at === week && each > 0 ? each + 1 : each)),
          // The milestone of what lasts beyond would move with it.
          after: 0,
        })),
        categories: problem.categories.map((kind) => ({
          ...kind,
          uses: kind.uses.map((each, at) => (at === week ? each + 1 : each)),
        })),
      },
      {
        ...problem,
        monthOf: further(problem.monthOf),
        items: problem.items.map((item) => ({ ...item, after: 0, most: [...item.most, 0] })),
        categories: problem.categories.map((kind) => ({ ...kind, uses: further(kind.uses) })),
      },
    ]
    const within: PlanProblem = { ...problem, items: problem.items.map((item) => ({ ...item, after: 0 })) }
    const first = [before, lay(within).objective, lay(within).objective]
    changed.forEach((other, n) => {
      const after = lay(other).objective
      expect([seed, n, after >= (first[n] ?? 0) * (1 - 1e-3)]).toEqual([seed, n, true])
    })
  }
}, 60_000)

describe('what is laid', () => {
  const problem = planInstance(3, 24, 4, 2)

  test('is the same again from the same problem, and keeps every rule', () => {
    const [one, two] = [lay(problem), lay(problem)]
    expect(two.schedule).toEqual(one.schedule)
    expect(evaluateSchedule(problem, one.schedule)).toMatchObject({ objective: one.objective, breaches: [] })
    expect(evaluateSchedule(problem, draftPlan(problem)).breaches).toEqual([])
    expect(evaluateSchedule(problem, draftPlan(problem)).objective).toBeLessThanOrEqual(one.objective + 1e-9)
  })

  test('stays as it was when it is laid anew from itself, and when hardly anything changed', () => {
    const one = lay(problem)
    const again = solvePlan(problem, { solve, seconds: 60, now, inForce: one.schedule })
    expect(again.kept).toBe(true)
    expect(again.schedule.lies).toEqual(one.schedule.lies)
    const [first] = problem.items
    const slightly = {
      ...problem,
      items: problem.items.map((each) => (each === first ? { ...each, value: each.value + 1 } : each)),
    }
    expect(solvePlan(slightly, { solve, seconds: 60, now, inForce: one.schedule }).kept).toBe(true)
  })

  test('keeps her moves and her caps, whatever they cost', () => {
    const laid = lay(problem)
    const [n] = problem.items.flatMap((_, at) => (laid.schedule.lies[at]?.includes(true) === true ? [at] : []))
    const moved = problem.items.map((item, at) =>
      at === n ? { ...item, fixed: item.fixed.map((_, month) => month === 3) } : item,
    )
    const kind = problem.items.filter(({ categoryId }) => categoryId === 'kind-0').map(({ id }) => id)
    const held: PlanProblem = { ...problem, items: moved, caps: [{ itemIds: kind, most: 1 }] }
    const found = lay(held)
    expect(found.schedule.lies[n ?? 0]).toEqual([false, false, false, true])
    expect(evaluateSchedule(held, found.schedule).breaches).toEqual([])
    for (let month = 0; month < 4; month += 1) {
      const lying = held.items.filter((item, at) => kind.includes(item.id) && found.schedule.lies[at]?.[month] === true)
      expect(lying.length).toBeLessThanOrEqual(1)
    }
  })

  test('with a solver that finds nothing is the draft, and nothing is claimed of it', () => {
    const none = solvePlan(problem, { solve: () => ({ values: null, bound: Infinity, done: false }), seconds: 3, now })
    expect(none.objective).toBeCloseTo(evaluateSchedule(problem, draftPlan(problem)).objective, 9)
    expect(none.parts.map((part) => qualityOf(part).code)).toEqual(['draft', 'draft'])
  })

  test('asks of what lasts beyond the plan only its share', () => {
    const [item] = problem.items
    if (!item) throw new Error('no item')
    const half = { ...item, uses: 40, most: item.most.map(() => 1), after: item.most.length }
    expect(milestoneOf(half)).toBe(20)
    expect(milestoneOf({ ...half, after: 0 })).toBe(40)
  })
})

describe('the evaluator', () => {
  test('names every rule that is broken', () => {
    const problem = daysOnly([{ uses: 2, most: [1, 1, 0] }, { uses: 1 }], [1, 1, 1])
    const broken = {
      lies: [[true], [false]],
      uses: [
        [1, 2, 1],
        [1, 0, 0],
      ],
    }
    const codes = evaluateSchedule(problem, broken).breaches.map(({ code }) => code)
    expect(new Set(codes)).toEqual(
      new Set(['more than it can', 'more than it needs', 'not in the drawer', 'category full']),
    )
    const slot = { ...problem, zones: [{ id: 'zone', slots: [0] }], caps: [{ itemIds: ['0'], most: 0 }] }
    const fixed = { ...slot, items: slot.items.map((item) => ({ ...item, fixed: [false] })) }
    const one = {
      lies: [[true], [false]],
      uses: [
        [0.5, 0, 0],
        [0, 0, 0],
      ],
    }
    expect(evaluateSchedule(fixed, one).breaches.map(({ code }) => code)).toEqual([
      'not whole',
      'against her word',
      'zone full',
      'cap',
    ])
  })
})

describe('how good it is said to be', () => {
  test.each([
    [1, 1, { code: 'best' }],
    [1, 1.001, { code: 'best' }],
    [1, 1.0011, { code: 'within', percent: 1 }],
    [100, 102.01, { code: 'within', percent: 3 }],
    [1, Infinity, { code: 'draft' }],
    [0, 0, { code: 'best' }],
    [0, 5, { code: 'draft' }],
  ] as const)('worth %d under a bound of %d', (objective, bound, quality) => {
    expect(qualityOf({ objective, bound })).toEqual(quality)
  })
})
