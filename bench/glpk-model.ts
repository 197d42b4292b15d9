import type { GLPK, LP } from 'glpk.js/node'
import type { LinearModel } from '#core/plan/schedule/linear-model'

/** A model as GLPK takes it: for comparison only, it is no part of the app. */
export function glpkModel(glpk: GLPK, model: LinearModel): LP {
  const name = (column: number): string => `c${column}`
  const bounds = (least: number, most: number) =>
    least === most
      ? { type: glpk.GLP_FX, lb: least, ub: most }
      : Number.isFinite(least) && Number.isFinite(most)
        ? { type: glpk.GLP_DB, lb: least, ub: most }
        : Number.isFinite(least)
          ? { type: glpk.GLP_LO, lb: least, ub: 0 }
          : { type: glpk.GLP_UP, lb: 0, ub: most }
  return {
    name: 'plan',
    objective: {
      direction: glpk.GLP_MAX,
      name: 'worth',
      vars: model.cost.map((coef, column) => ({ name: name(column), coef })),
    },
    subjectTo: model.rows.map((row, n) => ({
      name: `r${n}`,
      vars: row.columns.map((column, at) => ({ name: name(column), coef: row.values[at] ?? 0 })),
      bnds: bounds(row.least, row.most),
    })),
    bounds: model.lower.map((least, column) => ({ name: name(column), ...bounds(least, model.upper[column] ?? 0) })),
    generals: model.whole.flatMap((each, column) => (each ? [name(column)] : [])),
  }
}
