import loadHighs, { type Highs } from 'highs'
import solverUrl from 'highs/runtime?url'
import { droppedFor } from '#core/plan/schedule/crowding'
import { highsSolver } from '#core/plan/schedule/highs-solver'
import { solvePlan, type SolvedPlan } from '#core/plan/schedule/solve-plan'
import type { PlanProblem, Schedule } from '#core/plan/schedule/problem'

/** What the worker is asked, and what it answers: the page only draws. */
export type PlanQuestion =
  | {
      readonly ask: 'lay'
      readonly problem: PlanProblem
      readonly seconds: number
      readonly inForce: Schedule | null
    }
  /** What a plan with each of these would drop. */
  | {
      readonly ask: 'dropped'
      readonly problem: PlanProblem
      readonly schedule: Schedule
      readonly itemIds: readonly string[]
      readonly seconds: number
    }
export type PlanReply =
  | { readonly code: 'progress'; readonly share: number }
  | { readonly code: 'laid'; readonly laid: SolvedPlan }
  | { readonly code: 'dropped'; readonly byItem: readonly (readonly [string, readonly string[] | null])[] }
  | { readonly code: 'failed'; readonly why: 'no solver' | 'broken' }

/** Loaded once, with the first question. */
let solver: Promise<Highs> | null = null
const now = (): number => performance.now()
const answer = (each: PlanReply): void => (self as unknown as { postMessage(message: unknown): void }).postMessage(each)

self.onmessage = async ({ data: question }: MessageEvent<PlanQuestion>) => {
  let highs: Highs
  try {
    solver ??= loadHighs({ locateFile: () => solverUrl })
    highs = await solver
  } catch {
    solver = null
    return answer({ code: 'failed', why: 'no solver' })
  }
  try {
    const solve = highsSolver(highs)
    if (question.ask === 'lay') {
      const { problem, seconds, inForce } = question
      const progress = (share: number): void => answer({ code: 'progress', share })
      return answer({ code: 'laid', laid: solvePlan(problem, { solve, seconds, now, inForce, progress }) })
    }
    const { problem, schedule, itemIds, seconds } = question
    const each = { solve, seconds: seconds / Math.max(1, itemIds.length), now }
    answer({ code: 'dropped', byItem: itemIds.map((id) => [id, droppedFor(problem, schedule, id, each)] as const) })
  } catch (error) {
    console.error(error)
    answer({ code: 'failed', why: 'broken' })
  }
}
