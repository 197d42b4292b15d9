import type { Seen } from './content.js'
import type { Span } from './weighed.js'
import { forecastOf, type Forecast, type ForecastFacts } from './forecast.js'
import type { UserEffects } from './user-effects.js'

/** What could be measured now, and what the range would come to. */
export interface Asked {
  readonly measure: 'weigh' | 'look' | 'weigh an empty'
  readonly finish: Span
}

/** A range must become this much narrower (log of last over first) for a measurement to be asked for. Assumption. */
const WORTH = 0.15
/** The near end of its life: a tenth of it or so. There ranges come out too late one time in three. Assumption. */
const NEAR_END = 0.15

/**
 * The one measurement that narrows the finish most, by giving each the value that is expected of it and computation again; null
 * where none pays. `looks` = how its level shows by eye, null where it does not. `usual step` of the scale in g.
 */
export function bestMeasure(
  facts: ForecastFacts,
  now: Forecast,
  userEffects: UserEffects,
  {
    weighs,
    looks,
    step,
  }: { readonly weighs: boolean; readonly looks: 'level' | 'length' | null; readonly step: number },
): Asked | null {
  const { content } = facts
  const { grams, share, packages } = now.content
  const pack = packages.at(-1) ?? { mean: 0, sd: 0 }
  const series = content.series - 1
  const candidates: { measure: Asked['measure']; content: ForecastFacts['content'] }[] = []
  const seen = (each: Seen): ForecastFacts['content'] => ({ ...content, seen: [...content.seen, each] })
  if (weighs)
    candidates.push({
      measure: 'weigh',
      content: seen({ kind: 'gross', grams: pack.mean + grams.middle, resolution: step, series, uses: 0, lost: 0 }),
    })
  if (looks !== null)
    candidates.push({ measure: 'look', content: seen({ kind: looks, share: share.middle, uses: 0, lost: 0 }) })
  if (
    weighs &&
    content.seen.some((each) => each.kind === 'gross') &&
    !content.empties.some((each) => each.series === series)
  )
    candidates.push({
      measure: 'weigh an empty',
      content: {
        ...content,
        empties: [...content.empties, { grams: pack.mean, resolution: step, cleaned: false, series }],
      },
    })
  const width = ({ low, high }: Span): number => Math.log(high / low)
  const best = candidates
    .map(({ measure, content: then }) => ({
      measure,
      finish: forecastOf({ ...facts, content: then }, userEffects).finish,
    }))
    .sort((a, b) => width(a.finish) - width(b.finish))[0]
  if (best === undefined) return null
  const worth = share.middle < NEAR_END ? WORTH / 3 : WORTH
  return width(now.finish) - width(best.finish) >= worth ? best : null
}
