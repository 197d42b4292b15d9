import { addDays, type Day } from '#core/calendar/day'
import { leftByReading } from '#core/item/what-is-left'
import { bareGiveOrTake } from '#core/measure/bare-words'
import { LENGTH_STEP, LEVEL_STEP, WORD_STEP } from '#core/measure/reading'
import type { ItemAnswer } from '#contract/item'
import type { ReadingView } from '#contract/reading'
import { dateWords } from '#web/data/locale'
import type { ChartMark, ChartSeries } from '#web/ui/chart/time-series'
import { anyReadingWords, EVENT_WORDS, type MassUnit } from '#web/ui/words/measure-words'

/** Heights in the lane under the readings: worn lowest, photos above, what happened on top. */
const LANE = { worn: 0.45, photo: 1.5, event: 2.45 } as const
const MOST_AHEAD_DAYS = 730

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
  // Each series of weighings is a line of its own: what is around the content changed between them.
  for (const n of [...new Set(gross.map((reading) => reading.series))])
    series.push({
      label: 'Weighed',
      shape: 'rect',
      axis: 'grams',
      ink: 'ink',
      joined: true,
      hollow: false,
      points: gross
        .filter((reading) => reading.series === n && !reading.doubtful)
        .map((reading) => ({
          day: reading.day,
          value: reading.value ?? 0,
          words: anyReadingWords(reading, unit),
          give: (reading.resolution ?? 0) / 2,
        })),
    })
  return series.filter((each) => each.points.length > 0)
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
  const ends = [today, endedOn, shelfLife.lastGood?.latest].flatMap((day) => day ?? []).sort()
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
        ? [{ day: shelfLife.actOn, words: `good to ${dateWords(shelfLife.actOn)}`, kind: 'end' as const }]
        : []),
    ],
  }
}
