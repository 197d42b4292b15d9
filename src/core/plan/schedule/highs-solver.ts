import type { Highs } from 'highs'
import type { Solver } from './linear-model.js'

/** Status numbers of the solver (its own table): the best there is, and stopped by the clock. */
const OPTIMAL = 7
const TIME_LIMIT = 13

/**
 * HiGHS as the solver of the programme: it is loaded by whoever has a place for it (a web worker, a script). Its heuristics are set as the
 * method was measured; the same model gives the same answer, so long as the clock does not end it.
 */
export function highsSolver(highs: Highs): Solver {
  return (model, { seconds, gap, start }) => {
    const { cost, lower, upper, whole, rows } = model
    const starts = [0]
    const columns: number[] = []
    const values: number[] = []
    for (const row of rows) {
      columns.push(...row.columns)
      values.push(...row.values)
      starts.push(columns.length)
    }
    const bounded = (value: number): number =>
      value === Infinity ? highs.infinity : value === -Infinity ? -highs.infinity : value
    const isWhole = whole.some(Boolean)
    const { variableType, objectiveSense } = highs.constants
    return highs.withModel(
      {
        numCols: cost.length,
        numRows: rows.length,
        sense: objectiveSense.maximize,
        colCost: Float64Array.from(cost),
        colLower: Float64Array.from(lower, bounded),
        colUpper: Float64Array.from(upper, bounded),
        rowLower: Float64Array.from(rows, ({ least }) => bounded(least)),
        rowUpper: Float64Array.from(rows, ({ most }) => bounded(most)),
        matrix: {
          format: 'csr',
          numRows: rows.length,
          numCols: cost.length,
          starts: Int32Array.from(starts),
          indices: Int32Array.from(columns),
          values: Float64Array.from(values),
        },
        ...(isWhole
          ? { integrality: whole.map((each) => (each ? variableType.integer : variableType.continuous)) }
          : {}),
      },
      (made) => {
        made.options.set({
          output_flag: false,
          time_limit: Math.max(0.01, seconds),
          mip_rel_gap: gap,
          random_seed: 0,
          ...(isWhole
            ? { mip_heuristic_run_zi_round: true, mip_heuristic_run_shifting: true, mip_heuristic_effort: 0.2 }
            : { solver: 'simplex' }),
        })
        if (start !== undefined) made.setSolution({ colValue: Float64Array.from(start) })
        made.run()
        const status = made.getModelStatus()
        const found = made.info.get('primal_solution_status') === 2
        const bound = isWhole ? made.info.get('mip_dual_bound') : made.getObjectiveValue()
        return {
          values: found ? [...made.getSolution().colValue] : null,
          bound: status === OPTIMAL || status === TIME_LIMIT ? Number(bound) : Infinity,
          done: status === OPTIMAL,
        }
      },
    )
  }
}
