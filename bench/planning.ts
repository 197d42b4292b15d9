import GLPK from 'glpk.js/node'
import loadHighs from 'highs'
import { openDatabase } from '#server/db/open-database'
import { makeServices } from '#server/services'
import { USUAL_SETUP } from '#core/plan/schedule/basis'
import { evaluateSchedule } from '#core/plan/schedule/evaluate'
import { highsSolver } from '#core/plan/schedule/highs-solver'
import { draftPlan, solvePlan } from '#core/plan/schedule/solve-plan'
import { problemOf } from '#core/plan/schedule/problem-of'
import type { PlanProblem } from '#core/plan/schedule/problem'
import { programmeOf } from '#core/plan/schedule/programme'
import { glpkModel } from './glpk-model.js'
import { round } from './measure.js'
import { planInstance } from './plan-instances.js'

/** Of five seeded instances of one size, the worst of each. */
export interface PlanSize {
  readonly draftMs: number
  readonly layMs: number
  /** How far the bound lies above what was laid, percent. */
  readonly gapPercent: number
  /** What the draft is worth of it, percent: the least of the five. */
  readonly draftPercent: number
  /** How many ended by themselves within the gap. */
  readonly proved: number
  /** How many times as long GLPK takes to prove the same model; null where it does not in ten seconds. */
  readonly glpkTimes: number | null
}
export type PlanFigures = Readonly<Record<string, PlanSize>>

const SEEDS = [1, 2, 3, 4, 5]
const SECONDS = 3
const GLPK_SECONDS = 10

/** Plans of three sizes: in one zone, where nothing falls apart; the largest in the five zones of a drawer, and in one for comparison. */
export async function planning(): Promise<{ readonly plans: PlanFigures; readonly solverMb: number }> {
  const memory = watchMemory()
  const highs = await loadHighs()
  const solve = highsSolver(highs)
  const now = (): number => performance.now()
  // Once for nothing: what is compiled at its first use is not what is measured.
  solvePlan(planInstance(9, 15, 3), { solve, seconds: SECONDS, now })
  const measure = async (count: number, months: number, zones: number, glpk: boolean): Promise<PlanSize> => {
    const found: PlanSize[] = []
    for (const seed of SEEDS) {
      const problem = planInstance(seed, count, months, zones)
      let start = now()
      const draft = evaluateSchedule(problem, draftPlan(problem))
      const draftMs = now() - start
      start = now()
      const laid = solvePlan(problem, { solve, seconds: SECONDS, now })
      const layMs = now() - start
      const bound = laid.parts.reduce((sum, each) => sum + each.bound, 0)
      found.push({
        draftMs,
        layMs,
        gapPercent: 100 * (bound / laid.objective - 1),
        draftPercent: (100 * draft.objective) / laid.objective,
        proved: Number(laid.parts.every(({ done }) => done)),
        glpkTimes: glpk ? await glpkTime(problem, layMs) : null,
      })
    }
    const most = (of: (each: PlanSize) => number): number => Math.max(...found.map(of))
    const times = found.flatMap(({ glpkTimes }) => glpkTimes ?? [])
    return {
      draftMs: round(most(({ draftMs }) => draftMs)),
      layMs: round(most(({ layMs }) => layMs)),
      gapPercent: Math.round(1000 * most(({ gapPercent }) => gapPercent)) / 1000,
      draftPercent: round(-most(({ draftPercent }) => -draftPercent)),
      proved: found.filter(({ proved }) => proved === 1).length,
      glpkTimes: times.length === 0 ? null : round(times.reduce((sum, each) => sum + each, 0) / times.length),
    }
  }
  const plans = {
    '15 x 3': await measure(15, 3, 1, true),
    '40 x 6': await measure(40, 6, 1, false),
    '80 x 12': await measure(80, 12, 5, false),
    '80 x 12, one zone': await measure(80, 12, 1, false),
  }
  return { plans, solverMb: round(memory() / 1e6) }
}

/** What the solver's WebAssembly holds: it only grows, so this is the most it ever held. */
function watchMemory(): () => number {
  const held: WebAssembly.Memory[] = []
  const make = WebAssembly.instantiate
  const watched = async (...asked: Parameters<typeof make>): Promise<unknown> => {
    const made = (await make(...asked)) as WebAssembly.Instance | WebAssembly.WebAssemblyInstantiatedSource
    const { exports } = 'instance' in made ? made.instance : made
    held.push(...Object.values(exports).filter((each) => each instanceof WebAssembly.Memory))
    return made
  }
  WebAssembly.instantiate = watched as typeof make
  return () => held.reduce((sum, { buffer }) => sum + buffer.byteLength, 0)
}

async function glpkTime(problem: PlanProblem, layMs: number): Promise<number | null> {
  const { model } = programmeOf(problem, { weekly: new Set() })
  const glpk = await GLPK()
  const start = performance.now()
  const { result } = await glpk.solve(glpkModel(glpk, model), {
    msglev: glpk.GLP_MSG_OFF,
    tmlim: GLPK_SECONDS,
    mipgap: 5e-4,
  })
  const taken = performance.now() - start
  return result.status === glpk.GLP_OPT && taken < GLPK_SECONDS * 1000 ? taken / layMs : null
}

/** The draft of the large collection, as the page makes it before anything is laid: of three hundred things over a year. */
export function largeDraft(file: string, now: Date): { readonly gatherMs: number; readonly largeDraftMs: number } {
  const db = openDatabase(file, { appliedAt: now.toISOString() })
  const house = makeServices(db, () => now)
  house.forecasts.all()
  house.planning.all()
  let start = performance.now()
  const { basis } = house.planning.all()
  const gatherMs = performance.now() - start
  // Everything of the large collection is past its date by now; here it is good for long.
  const things = basis.things.map((thing) => ({ ...thing, lastGood: null }))
  const made = problemOf({ ...basis, things }, { ...USUAL_SETUP, months: 12 })
  start = performance.now()
  draftPlan(made.problem)
  const largeDraftMs = performance.now() - start
  db.close()
  return { gatherMs: round(gatherMs), largeDraftMs: round(largeDraftMs) }
}
