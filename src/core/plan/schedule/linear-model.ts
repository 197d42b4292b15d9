/** A linear programme to be made as large as possible, its rows one after the other; the solver is handed in from outside. */
export interface LinearModel {
  readonly cost: readonly number[]
  readonly lower: readonly number[]
  readonly upper: readonly number[]
  readonly whole: readonly boolean[]
  readonly rows: readonly LinearRow[]
}

/** The sum of `values` times the columns at `columns` lies between `least` and `most`, both possibly infinite. */
export interface LinearRow {
  readonly columns: readonly number[]
  readonly values: readonly number[]
  readonly least: number
  readonly most: number
}

export interface SolverAsk {
  /** Seconds it may take, more than nothing. */
  readonly seconds: number
  /** It may stop this close to the best there is, as a share. */
  readonly gap: number
  /** Where to begin: a value for each column. */
  readonly start?: readonly number[]
}

export interface SolverAnswer {
  /** Null where it found none in time. */
  readonly values: readonly number[] | null
  /** No solution is worth more than this; infinite where it does not know. */
  readonly bound: number
  /** It ended by itself, within the gap. */
  readonly done: boolean
}

export type Solver = (model: LinearModel, ask: SolverAsk) => SolverAnswer

/** Gathers columns and rows; a column is known by the number it was given. */
export class ModelBuilder {
  readonly #cost: number[] = []
  readonly #lower: number[] = []
  readonly #upper: number[] = []
  readonly #whole: boolean[] = []
  readonly #rows: LinearRow[] = []

  column(cost: number, lower: number, upper: number, whole = false): number {
    this.#cost.push(cost)
    this.#lower.push(lower)
    this.#upper.push(upper)
    this.#whole.push(whole)
    return this.#cost.length - 1
  }

  row(terms: readonly (readonly [column: number, value: number])[], least: number, most: number): void {
    this.#rows.push({ columns: terms.map(([column]) => column), values: terms.map(([, value]) => value), least, most })
  }

  model(): LinearModel {
    return {
      cost: this.#cost,
      lower: this.#lower,
      upper: this.#upper,
      whole: this.#whole,
      rows: this.#rows,
    }
  }
}
