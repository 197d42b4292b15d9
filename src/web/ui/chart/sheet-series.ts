/** One row of values of a sheet's chart; a range is its two ends. */
export interface SheetSeries {
  readonly label: string
  readonly as: 'bars' | 'line' | 'steps' | 'points' | 'ranges'
  readonly values: readonly (number | readonly [number, number] | null)[]
  readonly hatched?: boolean
  readonly dashed?: boolean
  readonly hollow?: boolean
  /** Read off the axis on the right. */
  readonly right?: boolean
  readonly shape?: 'circle' | 'rectRot' | 'triangle'
}
