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

/** What is likely along the days: between two lines, of the axis of shares in percent. */
export interface ChartBand {
  /** *ribbon* = reckoned of the past, *fan* = of what is ahead, *before* = what a fan once was. */
  readonly kind: 'ribbon' | 'fan' | 'before'
  readonly points: readonly {
    readonly day: Day
    readonly low: number
    readonly high: number
    readonly middle?: number
  }[]
}

/** In the lane: when it will be gone, as a body whose thickness is how likely; and from when to when a goal runs. */
export interface ChartBody {
  readonly points: readonly { readonly day: Day; readonly chance: number }[]
}
export interface ChartBracket {
  readonly from: Day
  readonly to: Day
  readonly words: string
}

/** A day that stands over everything. */
export interface ChartMark {
  readonly day: Day
  readonly words: string
  readonly kind: 'today' | 'end' | 'begin'
}
