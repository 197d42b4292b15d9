import type { Day } from '#core/calendar/day'
import type { PanStage } from '#core/item/form'
import type { PackageEvent } from '#core/measure/package-events'
import type { ContradictionCause, LevelWord, ReadHow, ReadingKind } from '#core/measure/reading'
import { type Db, preparing } from '../db/query.js'

export interface MeasurementRow {
  id: string
  version: number
  item_id: string
  part_id: string | null
  check_in_id: string | null
  day: Day
  moment: 'before-use' | 'after-use'
  saved_at: string
  kind: ReadingKind
  value: number | null
  stage: PanStage | null
  word: LevelWord | null
  mm: number | null
  of_mm: number | null
  how: ReadHow
  resolution: number | null
  doubtful: 0 | 1
  cause: ContradictionCause | null
  note: string
}

export interface PanReadingRow {
  measurement_id: string
  photo_id: string
  shape: 'round' | 'rect'
  handles: string
  powder_taps: string
  metal_taps: string
  mask: string
  method: string
}

export interface EventRow {
  id: string
  item_id: string
  part_id: string | null
  check_in_id: string | null
  day: Day
  saved_at: string
  kind: PackageEvent
  grams: number | null
  share: number | null
  container_id: string | null
  other_item_id: string | null
  words: string
  container_words: string | null
  container_grams: number | null
  container_resolution: number | null
}

export interface PackageWeightRow {
  id: string
  state: 'full' | 'as finished' | 'cleaned'
  grams: number
  resolution: number | null
  day: Day
  item_id: string | null
}

export const READING = `id, version, item_id, part_id, check_in_id, day, moment, saved_at, kind, value, stage, word, mm, of_mm, how,
             resolution, doubtful, cause, note`
const EVENT = `e.id, e.item_id, e.part_id, e.check_in_id, e.day, e.saved_at, e.kind, e.grams, e.share, e.container_id,
             e.other_item_id, e.words, c.words AS container_words, c.grams AS container_grams,
             c.resolution AS container_resolution`

export function measuredQueries(db: Db) {
  const sql = preparing(db)
  return {
    readings: sql<[string], MeasurementRow>(`
      SELECT ${READING} FROM measurement WHERE item_id = ? ORDER BY day, moment DESC, saved_at, rowid`),
    pansOf: sql<[string], PanReadingRow>(`
      SELECT p.measurement_id, p.photo_id, p.shape, p.handles, p.powder_taps, p.metal_taps, p.mask, p.method
        FROM measurement m JOIN pan_reading p ON p.measurement_id = m.id WHERE m.item_id = ?`),
    events: sql<[string], EventRow>(`
      SELECT ${EVENT} FROM item_event e LEFT JOIN kept_container c ON c.id = e.container_id
       WHERE e.item_id = ? ORDER BY e.day, e.saved_at, e.rowid`),
    /** What packages of its kind weigh: those of the same brand, name, form, format and size, whatever the shade. */
    weightsOfKind: sql<[string], PackageWeightRow>(`
      SELECT w.id, w.state, w.grams, w.resolution, w.day, w.item_id
        FROM item i JOIN product p ON p.id = i.product_id
        JOIN package_weight w ON w.maker = p.maker AND w.name = p.name AND w.form = i.form AND w.format IS i.format
             AND w.content_amount IS i.content_amount AND w.content_unit IS i.content_unit
       WHERE i.id = ? ORDER BY w.day, w.rowid`),
    weighed: sql<[string], { item_id: string }>(`
      SELECT DISTINCT m.item_id FROM json_each(?) j JOIN measurement m ON m.item_id = j.value
       WHERE m.kind = 'gross' AND m.doubtful = 0`),
    daysFrom: sql<[{ id: string; from: Day }], { day: Day }>(
      'SELECT day FROM wear WHERE item_id = @id AND day >= @from ORDER BY day',
    ),
    /** The first day of the log, or the day the item was written down where that was before. */
    firstDay: sql<[{ id: string }], { day: Day | null }>(`
      SELECT min(day) AS day FROM (
        SELECT min(day) AS day FROM wear
        UNION ALL SELECT min(id) FROM day_record WHERE no_makeup = 1
        UNION ALL SELECT added_on FROM item WHERE id = @id)`),
    days: sql<[string], { day: Day }>('SELECT day FROM wear WHERE item_id = ? ORDER BY day'),
    shadeDays: sql<[string], { part_id: string; day: Day }>(`
      SELECT wp.part_id, w.day FROM wear w JOIN wear_part wp ON wp.wear_id = w.id WHERE w.item_id = ? ORDER BY w.day`),
  }
}
