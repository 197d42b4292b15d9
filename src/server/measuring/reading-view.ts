import { contradictionOf } from '#core/measure/contradiction'
import { seriesAt } from '#core/measure/package-events'
import { weighingDoubts, type WeighingDoubt } from '#core/measure/weighing'
import { USUAL_STEP } from '#core/measure/content-facts'
import { packageModelOf } from '#core/forecast/form-models'
import { labelGrams, useAmountOf } from '#core/forecast/use-amounts'
import type { ReadingDoubt, ReadingView } from '#contract/reading'
import { costingEvent, type Measurable, type Measured } from '../stock/measured.js'
import type { MeasurementRow, PanReadingRow } from '../stock/measured-queries.js'

/** Every reading of an item by time, each with what is odd about it by what was known before it. */
export function readingViews(
  item: Measurable,
  measured: Measured,
  pans: ReadonlyMap<string, PanReadingRow>,
  capacity: number | null,
): ReadingView[] {
  const events = measured.events.map(costingEvent)
  return measured.readings.map((row, at) => {
    const earlier = measured.readings.slice(0, at).filter((each) => each.doubtful === 0 && each.part_id === row.part_id)
    return {
      id: row.id,
      version: row.version,
      partId: row.part_id,
      checkInId: row.check_in_id,
      kind: row.kind,
      value: row.value,
      stage: row.stage,
      word: row.word,
      mm: row.mm,
      ofMm: row.of_mm,
      how: row.how,
      resolution: row.resolution,
      day: row.day,
      moment: row.moment,
      savedAt: row.saved_at,
      doubtful: row.doubtful === 1,
      cause: row.cause,
      doubts: doubtsOf(item, measured, row, earlier, capacity),
      note: row.note,
      series: seriesAt(events, { day: row.day, savedAt: row.saved_at }),
      pan: panOf(pans.get(row.id)),
    }
  })
}

/** What is odd about a reading. What the user explained is odd no more. */
function doubtsOf(
  item: Measurable,
  measured: Measured,
  row: MeasurementRow,
  earlier: readonly MeasurementRow[],
  capacity: number | null,
): ReadingDoubt[] {
  if (row.cause !== null || row.doubtful === 1) return []
  const events = measured.events.map(costingEvent)
  const series = (each: MeasurementRow): number => seriesAt(events, { day: each.day, savedAt: each.saved_at })
  if (row.kind === 'gross') {
    const before = earlier.findLast((each) => each.kind === 'gross' && series(each) === series(row))
    return weighingDoubts(row.value ?? 0, row.resolution ?? USUAL_STEP, {
      before: before ? { grams: before.value ?? 0, resolution: before.resolution ?? USUAL_STEP } : null,
      empty: series(row) === 0 ? emptyKnown(item, measured) : null,
      capacity,
    }).map(({ code, ...figures }) => ({ code, value: valueOf({ code, ...figures } as WeighingDoubt) }))
  }
  // Pressed anew it may look like more again.
  const before = earlier.findLast((each) => each.kind !== 'gross')
  const between = events.some(
    (event) =>
      event.kind === 'repressed' &&
      before !== undefined &&
      (event.day > before.day || (event.day === before.day && event.savedAt > before.saved_at)) &&
      (event.day < row.day || (event.day === row.day && event.savedAt < row.saved_at)),
  )
  const found = before === undefined || between ? null : contradictionOf(before, row)
  return found === null ? [] : [{ code: found.code, value: 'before' in found ? found.before : null }]
}

/** What an empty of its kind weighs as finished, and how much it may be out by. */
export function emptyKnown(item: Measurable, { weights }: Measured): { grams: number; sd: number } | null {
  const empties = weights.filter((row) => row.state !== 'full')
  if (empties.length === 0) return null
  const amount = useAmountOf(item.modelType, item.form)
  const label = labelGrams(item.content ?? amount.typicalLabel, amount) ?? 0
  const { residue, residueSd } = packageModelOf(item.modelType, item.form)
  const grams =
    empties.reduce((sum, row) => sum + row.grams + (row.state === 'cleaned' ? residue * label : 0), 0) / empties.length
  return { grams, sd: Math.hypot(0.015 * grams, residueSd * label) }
}

function valueOf(doubt: WeighingDoubt): number {
  switch (doubt.code) {
    case 'above the capacity':
      return doubt.capacity
    case 'lighter than an empty':
      return doubt.empty
    case 'heavier than before':
      return doubt.by
    default:
      return doubt.grams
  }
}

function panOf(row: PanReadingRow | undefined): ReadingView['pan'] {
  if (row === undefined) return null
  const spots = (text: string): [number, number][] => JSON.parse(text) as [number, number][]
  return {
    photoId: row.photo_id,
    shape: row.shape,
    handles: spots(row.handles),
    powderTaps: spots(row.powder_taps),
    metalTaps: spots(row.metal_taps),
    mask: row.mask,
    method: row.method,
  }
}
