import type { Day } from '#core/calendar/day'

/** One kind of thing along the days. */
export interface ChartSeries {
  readonly label: string
  /** Squares are weighed, circles seen by eye, strokes worn, triangles photographed, diamonds what happened. */
  readonly shape: 'rect' | 'circle' | 'line' | 'triangle' | 'rectRot'
  readonly axis: 'share' | 'grams' | 'lane'
  readonly ink: 'ink' | 'primary'
  readonly joined: boolean
  readonly hollow: boolean
  readonly points: readonly ChartPoint[]
}

export interface ChartPoint {
  readonly day: Day
  readonly value: number
  readonly words: string
  /** Give or take, in the unit of its axis. */
  readonly give?: number
}

/** A day that stands over everything. */
export interface ChartMark {
  readonly day: Day
  readonly words: string
  readonly kind: 'today' | 'end' | 'begin'
}
