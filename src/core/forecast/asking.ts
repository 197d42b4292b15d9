import { chanceWord, type ChanceWord } from './verdict.js'
import { LONG_DAYS } from '../calendar/lengths.js'
import { chanceOf, forecastOf, type Forecast, type ForecastFacts } from './forecast.js'
import { Z_TENTH } from './normal.js'
import type { Seen } from './content.js'
import type { Span } from './weighed.js'
import type { UserEffects } from './user-effects.js'

/** What could be measured now, and what it is expected to do. */
export interface Asked {
  readonly measure: 'weigh' | 'look' | 'weigh an empty'
  /** Days left with the value that is expected of it. */
  readonly finish: Span
  /** The range becomes narrower by a quarter at least. */
  readonly narrows: boolean
  /** Whether it is finished in time, by the least and the most that the measurement may show; null where both say the same. */
  readonly verdicts: readonly [ChanceWord, ChanceWord] | null
}

/** So much of a range's width must go for a measurement to be asked for. Assumption. */
const WORTH = 0.25

/**
 * The one measurement that narrows the finish most, by giving each the value that is expected of it and computation again; null where none
 * narrows it by a quarter or may change the verdict. `looks` = how its level shows by eye, null where it does not; `step` of the scale
 * in g; `until` = days to its use-by date from the forecast's last day, null where there is none.
 */
export function bestMeasure(
  facts: ForecastFacts,
  now: Forecast,
  userEffects: UserEffects,
  {
    looks,
    step,
    until,
  }: { readonly looks: 'level' | 'length' | null; readonly step: number; readonly until: number | null },
): Asked | null {
  const { content } = facts
  const { grams, share, packages } = now.content
  const pack = packages.at(-1) ?? { mean: 0, sd: 0 }
  const series = content.series - 1
  const seen = (each: Seen): ForecastFacts['content'] => ({ ...content, seen: [...content.seen, each] })
  /** What it would show where what is left is little, as expected, or much. */
  type Showing = (at: keyof Span) => ForecastFacts['content']
  const candidates: [Asked['measure'], Showing][] = [
    [
      'weigh',
      (at) => seen({ kind: 'gross', grams: pack.mean + grams[at], resolution: step, series, uses: 0, lost: 0 }),
    ],
  ]
  if (looks !== null) candidates.push(['look', (at) => seen({ kind: looks, share: share[at], uses: 0, lost: 0 })])
  if (content.seen.some((each) => each.kind === 'gross') && !content.empties.some((each) => each.series === series))
    candidates.push([
      'weigh an empty',
      (at) => {
        const off = at === 'middle' ? 0 : at === 'low' ? Z_TENTH : -Z_TENTH
        const empty = { grams: Math.max(0, pack.mean + off * pack.sd), resolution: step, cleaned: false, series }
        return { ...content, empties: [...content.empties, empty] }
      },
    ])
  const said = (days: number): number => Math.min(days, LONG_DAYS)
  const width = ({ low, high }: Span): number => said(high) - said(low)
  const forecast = (then: ForecastFacts['content']): Forecast => forecastOf({ ...facts, content: then }, userEffects)
  const best = candidates
    .map(([measure, showing]) => ({ measure, showing, finish: forecast(showing('middle')).finish }))
    .sort((a, b) => width(a.finish) - width(b.finish))[0]
  if (best === undefined) return null
  const { measure, showing, finish } = best
  const verdict = (at: keyof Span): ChanceWord => chanceWord(chanceOf(forecast(showing(at)), until ?? 0))
  const [little, much] = until === null ? [null, null] : [verdict('low'), verdict('high')]
  const verdicts = little !== null && much !== null && little !== much ? ([little, much] as const) : null
  const narrows = width(finish) <= (1 - WORTH) * width(now.finish)
  return narrows || verdicts !== null ? { measure, finish, narrows, verdicts } : null
}
