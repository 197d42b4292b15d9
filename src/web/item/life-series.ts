import { addDays, daysBetween, type Day } from '#core/calendar/day'
import { leftByReading } from '#core/item/what-is-left'
import { bareGiveOrTake } from '#core/measure/bare-words'
import { LENGTH_STEP, LEVEL_STEP, WORD_STEP } from '#core/measure/reading'
import type { ItemAnswer } from '#contract/item'
import type { ReadingView } from '#contract/reading'
import { dateWords } from '#web/data/locale'
import { CURVE_DAYS } from '#core/forecast/curve-days'
import type { ChartBand, ChartBody, ChartBracket, ChartMark, ChartSeries } from '#web/ui/chart/time-series'
import { anyReadingWords, EVENT_WORDS, type MassUnit } from '#web/ui/words/measure-words'

/** So many former forecasts are drawn. */
const BEFORE_SHOWN = 4
/** Heights in the lane under the readings: worn lowest, photos above, what happened on top. */
const LANE = { worn: 0.75, photo: 1.7, event: 2.5 } as const
/** How far ahead is drawn: to the end of the fan, within this. */
const MOST_AHEAD_DAYS = 1100

/** Everything that is known of a thing along the days, as it is drawn. */
export function lifeSeries(answer: ItemAnswer, unit: MassUnit): ChartSeries[] {
  const { readings } = answer
  const eye = readings.filter((reading) => reading.kind !== 'gross')
  const gross = readings.filter((reading) => reading.kind === 'gross')
  const shades = new Map(answer.item.parts.map((part) => [part.id, part.name]))
  const pointOf = (reading: ReadingView) => eyePoint(reading, unit, shades.get(reading.partId ?? '') ?? '')
  const series: ChartSeries[] = [
    {
      label: 'Worn',
      shape: 'line',
      axis: 'lane',
      ink: 'ink',
      joined: false,
      hollow: false,
      points: answer.wearDays.map((day) => ({ day, value: LANE.worn, words: 'worn' })),
    },
    {
      label: 'By eye',
      shape: 'circle',
      axis: 'share',
      ink: 'primary',
      // A line between the readings of two shades would say nothing.
      joined: shades.size === 0,
      hollow: false,
      points: eye.filter((reading) => !reading.doubtful).map(pointOf),
    },
    {
      label: 'Doubtful',
      shape: 'circle',
      axis: 'share',
      ink: 'primary',
      joined: false,
      hollow: true,
      points: eye.filter((reading) => reading.doubtful).map(pointOf),
    },
    {
      label: 'Photos',
      shape: 'triangle',
      axis: 'lane',
      ink: 'ink',
      joined: false,
      hollow: true,
      points: answer.photos.map((photo) => ({ day: photo.day, value: LANE.photo, words: 'a photo' })),
    },
    {
      label: 'What happened',
      shape: 'rectRot',
      axis: 'lane',
      ink: 'ink',
      joined: false,
      hollow: false,
      points: answer.packageEvents.map((event) => ({
        day: event.day,
        value: LANE.event,
        words: EVENT_WORDS[event.kind],
      })),
    },
  ]
  const scale = shareScale(answer)
  // Each series of weighings is a line of its own: what is around the content changed between them.
  for (const n of [...new Set(gross.map((reading) => reading.series))])
    series.push({
      label: 'Weighed',
      shape: 'rect',
      axis: scale ? 'share' : 'grams',
      ink: 'ink',
      joined: scale === null,
      hollow: false,
      points: gross
        .filter((reading) => reading.series === n && !reading.doubtful)
        .map((reading) => {
          const pack = scale?.packages[n]
          const grams = reading.value ?? 0
          return {
            day: reading.day,
            // Above the package it lies in, of a full one: on the scale of what is left.
            value: scale && pack ? Math.max(0, Math.min(100, (100 * (grams - pack.mean)) / scale.full)) : grams,
            words: anyReadingWords(reading, unit),
            give:
              scale && pack
                ? (100 * (pack.sd + (reading.resolution ?? 0) / 2)) / scale.full
                : (reading.resolution ?? 0) / 2,
          }
        }),
    })
  return series.filter((each) => each.points.length > 0)
}

/** A look by eye and a weighing near it that can't both be right. */
export interface MarksApart {
  readonly day: Day
  /** Percent left by each. */
  readonly eye: number
  readonly scale: number
  /** Which of them the estimate follows; null where it stands between them. */
  readonly follows: 'eye' | 'scale' | null
}

/** A weighing this many days from a look is of the same state of an item. */
const SAME_STATE_DAYS = 21
/** So much farther apart than both could be off, in percent, two marks disagree. */
const APART = 8

/** The latest look that a weighing within three weeks of it denies. */
export function marksApart({ forecast }: ItemAnswer, series: readonly ChartSeries[]): MarksApart | null {
  const points = (labels: readonly string[]) =>
    series.filter(({ label, axis }) => axis === 'share' && labels.includes(label)).flatMap((each) => each.points)
  const weighed = points(['Weighed'])
  for (const eye of points(['By eye', 'Doubtful']).toSorted((a, b) => (a.day < b.day ? 1 : -1))) {
    const [scale] = weighed.toSorted(
      (a, b) => Math.abs(daysBetween(a.day, eye.day)) - Math.abs(daysBetween(b.day, eye.day)),
    )
    if (scale === undefined || Math.abs(daysBetween(scale.day, eye.day)) > SAME_STATE_DAYS) continue
    if (Math.abs(eye.value - scale.value) <= (eye.give ?? 0) + (scale.give ?? 0) + APART) continue
    const estimate = forecast?.past.findLast(({ day }) => day <= eye.day)
    const toward = estimate && (100 * estimate.middle - scale.value) / (eye.value - scale.value)
    return {
      day: eye.day,
      eye: eye.value,
      scale: scale.value,
      follows: toward === undefined || (toward > 1 / 3 && toward < 2 / 3) ? null : toward <= 1 / 3 ? 'scale' : 'eye',
    }
  }
  return null
}

/** What a full one holds and its packages weigh, where that is reckoned: then weighings stand on the scale of what is left. */
function shareScale({ forecast }: ItemAnswer): { full: number; packages: { mean: number; sd: number }[] } | null {
  if (forecast === null || forecast.share.middle <= 0) return null
  return { full: forecast.grams.middle / forecast.share.middle, packages: forecast.packages }
}

function eyePoint(reading: ReadingView, unit: MassUnit, shade: string) {
  const { kind, value, stage, word } = reading
  if (kind === 'gross') return { day: reading.day, value: 0, words: '' }
  const give =
    kind === 'bare'
      ? bareGiveOrTake(value ?? 0, reading.how === 'photo' ? 'photo' : 'typed')
      : kind === 'length'
        ? LENGTH_STEP
        : kind === 'word' || kind === 'stage'
          ? WORD_STEP
          : LEVEL_STEP
  return {
    day: reading.day,
    value: 100 * leftByReading({ kind, value, stage, word }),
    words: `${shade && `${shade}: `}${anyReadingWords(reading, unit)}${reading.doubtful ? ', doubtful' : ''}`,
    give: 100 * give,
  }
}

/** What is likely of a thing along the days: the ribbon so far, the fan ahead, and what fans once said. */
export function lifeBands({ forecast, readings }: ItemAnswer): ChartBand[] {
  if (forecast === null) return []
  const percent = ({ day, low, middle, high }: { day: Day; low: number; middle: number; high: number }) => ({
    day,
    low: 100 * low,
    middle: 100 * middle,
    high: 100 * high,
  })
  const past = forecast.past.map(percent)
  return [
    ...forecast.before
      .filter((_, n) => n % Math.ceil(forecast.before.length / BEFORE_SHOWN) === 0)
      .map((each): ChartBand => {
        const at = { day: each.madeOn, low: 100 * each.share, high: 100 * each.share }
        return {
          kind: 'before',
          points: [at, { day: each.low, low: 0, high: heightAt(each, each.low) }, { day: each.high, low: 0, high: 0 }],
        }
      }),
    // Without a single reading the past would be drawn from the tables alone.
    ...(readings.some((reading) => !reading.doubtful && reading.partId === null)
      ? [{ kind: 'ribbon', points: past } as const]
      : []),
    { kind: 'fan', points: forecast.fan.map(percent) },
  ]
}

/** The upper edge of what a fan once was: a straight line down to its last day. */
function heightAt(each: { madeOn: Day; share: number; high: Day }, day: Day): number {
  const all = daysBetween(each.madeOn, each.high)
  return all <= 0 ? 0 : 100 * each.share * (1 - daysBetween(each.madeOn, day) / all)
}

/** When it will be gone, for the lane. */
export function lifeBody({ forecast }: ItemAnswer): ChartBody | null {
  if (forecast === null) return null
  const points = [
    { day: forecast.last, chance: 0 },
    ...forecast.curve.map((chance, n) => ({ day: addDays(forecast.last, CURVE_DAYS[n] ?? 0), chance })),
  ]
  return { points }
}

/** The goal that its gauge shows, from roll-in to its date. */
export function lifeBracket({ item }: ItemAnswer): ChartBracket | null {
  const { goal } = item
  if (goal === null || goal.by === null) return null
  const aim = goal.target === null ? '' : `goal: ${goal.uses} of ${goal.target}`
  return { from: goal.rolledIn, to: goal.by, words: goal.usesLeft === null ? 'goal' : aim }
}

/** The days that the life line goes over, and those that stand over everything. */
export function lifeSpan(answer: ItemAnswer): { from: Day; to: Day; marks: ChartMark[] } {
  const { item, today } = answer
  const { opened, opening, acquired, firstWorn, shelfLife, endedOn } = item
  const first = (days: readonly (Day | null | undefined)[]): Day => days.flatMap((day) => day ?? []).sort()[0] ?? today
  const from = first([
    opened.kind === 'range' ? opened.earliest : null,
    acquired?.earliest,
    firstWorn,
    answer.readings[0]?.day,
    addDays(today, -60),
  ])
  const fan = answer.forecast?.fan.at(-1)?.day
  const ends = [today, endedOn, shelfLife.lastGood?.latest, fan].flatMap((day) => day ?? []).sort()
  const farthest = addDays(today, MOST_AHEAD_DAYS)
  const last = ends.at(-1) ?? today
  const to = addDays(last > farthest ? farthest : last, 12)
  const { within } = opening
  return {
    from: addDays(from, -6),
    to,
    marks: [
      ...(within ? [{ day: within.latest, words: 'opened', kind: 'begin' as const }] : []),
      { day: today, words: 'today', kind: 'today' as const },
      ...(shelfLife.actOn
        ? [{ day: shelfLife.actOn, words: `good until ${dateWords(shelfLife.actOn)}`, kind: 'end' as const }]
        : []),
    ],
  }
}
