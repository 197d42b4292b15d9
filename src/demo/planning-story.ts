import { USUAL_SETUP, type PlanBasis, type PlanMove } from '#core/plan/schedule/basis'
import { draftPlan } from '#core/plan/schedule/solve-plan'
import { linesOf, outcomeOf } from '#core/plan/schedule/outcome'
import { problemOf } from '#core/plan/schedule/problem-of'
import { planSpan } from '#core/plan/schedule/span'
import type { DemoHouse } from './demo-house.js'

/** A month ago. */
const PLAN_DAYS = 30

/** Maren lays a plan for half a year around what lies in the drawer until the party, and adopts it as drafted. */
export function planningEvening(demo: DemoHouse, ago: number): void {
  if (ago !== PLAN_DAYS) return
  const setup = { ...USUAL_SETUP }
  const made = problemOf(untilTheParty(demo, demo.services.planning.all().basis, setup.months), setup)
  const lines = linesOf(made, setup, draftPlan(made.problem))
  const { of, low, high } = outcomeOf(made, setup, lines)
  const toward = new Map(made.things.map((thing) => [thing.itemId, thing.toward]))
  demo.act('adopt-plan', (changeId) =>
    demo.services.planning.adopt({
      changeId,
      id: demo.services.newId(),
      replaces: null,
      setup: { ...setup, without: [] },
      months: [...made.span.months],
      weeks: made.span.weeks.map((week) => ({ ...week })),
      done: { of, low, high },
      lines: lines.map((line) => ({
        id: demo.services.newId(),
        itemId: line.itemId,
        lies: [...line.lies],
        uses: [...line.uses],
        needed: line.needed,
        toward: toward.get(line.itemId) ?? 'end',
        finishes: line.finishes,
        low: line.likely.low,
        high: line.likely.high,
      })),
    }),
  )
}

/** What lies elsewhere comes in after two months; nothing is asked of oftener than she wears it, but for the one that will slip. */
function untilTheParty(demo: DemoHouse, basis: PlanBasis, months: number): PlanBasis {
  const span = planSpan(basis.today, months)
  const slips = demo.playing('out of reach').id
  const early = demo.playing('met lately').id
  const moves = basis.things.flatMap(({ itemId, inDrawer }): PlanMove[] => {
    const out = itemId === early ? 1 : inDrawer ? 0 : 2
    return span.months.slice(0, out).map((month) => ({ itemId, month, lies: false }))
  })
  const things = basis.things.map((thing) => {
    if (thing.itemId === slips) return thing
    return { ...thing, mostAWeek: 1 }
  })
  return { ...basis, things, moves }
}
