import { readFileSync } from 'node:fs'
import type { Highs } from 'highs'
import { z } from 'zod'
import { evaluateSchedule } from '#core/plan/schedule/evaluate'
import { highsSolver } from '#core/plan/schedule/highs-solver'
import { solvePlan } from '#core/plan/schedule/solve-plan'
import { isImpossible, type PlanProblem } from '#core/plan/schedule/problem'

const CaseItem = z.object({
  id: z.number(),
  cat: z.string(),
  u: z.number(),
  r: z.number(),
  d: z.number(),
  m: z.number(),
  v: z.number(),
  beyond: z.number().default(0),
  y0: z.number().default(0),
  weeks: z.array(z.number()).optional(),
})
export const PlanCase = z.object({
  name: z.string(),
  W: z.array(z.number()),
  monthOf: z.array(z.number()),
  cats: z.record(z.string(), z.object({ zone: z.string(), c: z.number() })),
  zones: z.record(z.string(), z.number().nullable()),
  items: z.array(CaseItem),
  params: z.object({ alpha: z.number(), delta: z.number(), lambda: z.number() }),
  expect: z
    .object({
      obj: z.number(),
      met: z.array(z.number()),
      impossible: z.array(z.number()).default([]),
      uniqueMet: z.boolean().default(true),
      usesWeek0: z.array(z.number()).optional(),
    })
    .optional(),
})
export type PlanCase = z.output<typeof PlanCase>

export interface PlanVerdict {
  readonly name: string
  readonly objective: number
  readonly met: readonly number[]
  /** The plan keeps every rule and, where the file says what to expect, is exactly that. */
  readonly ok: boolean
}

/** A case of a file as the problem that the app solves. */
export function problemOfCase({ W, monthOf, cats, zones, items, params }: PlanCase): PlanProblem {
  const months = (monthOf.at(-1) ?? -1) + 1
  return {
    grain: 'weeks',
    monthOf,
    items: items.map(({ id, cat, u, r, d, m, v, beyond, y0, weeks }) => ({
      id: String(id),
      categoryId: cat,
      uses: u,
      most: W.map((days, week) =>
        week >= r && week <= d && (weeks === undefined || weeks.includes(week)) ? Math.min(m, days) : 0,
      ),
      after: beyond,
      value: v,
      slots: 1,
      inDrawer: y0 === 1,
      fixed: Array.from({ length: months }, () => null),
    })),
    categories: Object.entries(cats).map(([id, { zone, c }]) => ({
      id,
      zoneId: zone,
      uses: W.map((days) => Math.floor(c * days + 1e-9)),
    })),
    zones: Object.entries(zones).map(([id, slots]) => ({ id, slots: Array.from({ length: months }, () => slots) })),
    caps: [],
    weights: { along: params.alpha, later: params.delta, layIn: params.lambda },
  }
}

/** Lays the plan of every case of a file with the code the app runs. Throws what is not such a file. */
export function evaluatePlans(file: string, highs: Highs, now: () => number): PlanVerdict[] {
  const read: unknown = JSON.parse(readFileSync(file, 'utf8'))
  const cases = z.array(PlanCase).parse(Array.isArray(read) ? read : (read as { cases?: unknown }).cases)
  return cases.map((each) => verdictOn(each, highs, now))
}

export function verdictOn(each: PlanCase, highs: Highs, now: () => number): PlanVerdict {
  const problem = problemOfCase(each)
  const laid = solvePlan(problem, { solve: highsSolver(highs), seconds: 20, now })
  const { objective, met, breaches } = evaluateSchedule(problem, laid.schedule)
  const ids = met.map(Number)
  return {
    name: each.name,
    objective,
    met: ids,
    ok: breaches.length === 0 && isExpected(each, problem, objective, ids),
  }
}

function isExpected({ expect }: PlanCase, problem: PlanProblem, objective: number, met: readonly number[]): boolean {
  if (expect === undefined) return true
  const same = (a: readonly number[], b: readonly number[]): boolean =>
    a.length === b.length && a.every((id) => b.includes(id))
  const impossible = problem.items.filter(isImpossible).map(({ id }) => Number(id))
  return (
    Math.abs(objective - expect.obj) <= 1e-6 &&
    (expect.uniqueMet ? same(met, expect.met) : met.length === expect.met.length) &&
    same(impossible, expect.impossible)
  )
}
