import type { Day } from '#core/calendar/day'
import type { Form } from '#core/item/form'
import type { PackageEvent } from '#core/measure/package-events'
import type { ContradictionCause } from '#core/measure/reading'
import { type Db, preparing } from '../db/query.js'
import { READING, type MeasurementRow } from '../stock/measured-queries.js'

export interface ContainerRow {
  id: string
  version: number
  words: string
  form: Form
  grams: number | null
  resolution: number | null
  item_id: string | null
  kept_on: Day
  gone_on: Day | null
  holds: string | null
}

export function measuringQueries(db: Db) {
  const sql = preparing(db)
  return {
    reading: sql<[string], MeasurementRow>(`SELECT ${READING} FROM measurement WHERE id = ?`),
    addReading: sql(`
      INSERT INTO measurement (id, item_id, part_id, check_in_id, day, moment, saved_at, kind, value, unit, stage, word, mm,
                               of_mm, how, resolution, doubtful, note)
      VALUES (@id, @itemId, @partId, @checkInId, @day, @moment, @savedAt, @kind, @value, @unit, @stage, @word, @mm, @ofMm, @how,
              @resolution, @doubtful, @note)`),
    editReading: sql(`
      UPDATE measurement SET day = @day, moment = @moment, kind = @kind, value = @value, unit = @unit, stage = @stage,
             word = @word, mm = @mm, of_mm = @ofMm, how = @how, resolution = @resolution, doubtful = @doubtful, note = @note,
             version = version + 1
       WHERE id = @id`),
    setCause: sql<[{ id: string; cause: ContradictionCause; doubtful: 0 | 1 }]>(
      'UPDATE measurement SET cause = @cause, doubtful = @doubtful, version = version + 1 WHERE id = @id',
    ),
    dropReading: sql<[string]>('DELETE FROM measurement WHERE id = ?'),
    wornOn: sql<[string, Day], { id: string }>('SELECT id FROM wear WHERE item_id = ? AND day = ?'),
    pan: sql<[string], { id: string }>('SELECT id FROM pan_reading WHERE id = ?'),
    addPan: sql(`
      INSERT INTO pan_reading (id, measurement_id, photo_id, shape, handles, powder_taps, metal_taps, mask, method)
      VALUES (@id, @measurementId, @photoId, @shape, @handles, @powderTaps, @metalTaps, @mask, @method)`),
    dropPan: sql<[string]>('DELETE FROM pan_reading WHERE measurement_id = ?'),
    photoItem: sql<[string], { item_id: string }>('SELECT item_id FROM photo WHERE id = ?'),
    checkIn: sql<[string], { id: string; closed_on: Day | null }>('SELECT id, closed_on FROM check_in WHERE id = ?'),

    event: sql<[string], { id: string; item_id: string; kind: PackageEvent }>(
      'SELECT id, item_id, kind FROM item_event WHERE id = ?',
    ),
    addEvent: sql(`
      INSERT INTO item_event (id, item_id, part_id, check_in_id, day, saved_at, kind, grams, share, container_id, other_item_id,
                              words)
      VALUES (@id, @itemId, @partId, @checkInId, @day, @savedAt, @kind, @grams, @share, @containerId, @otherItemId, @words)`),
    dropEvent: sql<[string]>('DELETE FROM item_event WHERE id = ?'),
    setPackageStates: sql<[{ id: string; states: string }]>(
      'UPDATE item SET package_states = @states, version = version + 1 WHERE id = @id',
    ),
    depotPart: sql<[{ id: string; day: Day }]>(
      'UPDATE part SET depotted_on = @day, version = version + 1 WHERE id = @id',
    ),
    setContentAndPrice: sql<
      [{ id: string; amount: number | null; unit: 'g' | 'ml' | null; priceMinor: number | null }]
    >(`
      UPDATE item SET content_amount = @amount, content_unit = @unit, price_minor = @priceMinor, version = version + 1
       WHERE id = @id`),
    setOrigin: sql<[{ id: string; originId: string }]>('UPDATE item SET origin_item_id = @originId WHERE id = @id'),
    originOf: sql<[string], { origin_item_id: string | null }>('SELECT origin_item_id FROM item WHERE id = ?'),
    addParent: sql(`
      INSERT INTO blend_parent (id, item_id, parent_item_id, grams, share) VALUES (@id, @itemId, @parentId, @grams, @share)`),
    parentsOf: sql<[string], { id: string; parent_item_id: string; grams: number | null; share: number | null }>(
      'SELECT id, parent_item_id, grams, share FROM blend_parent WHERE item_id = ? ORDER BY rowid',
    ),
    parentTaken: sql<[string], { id: string }>('SELECT id FROM blend_parent WHERE id = ?'),
    endAsBlended: sql<[{ id: string; day: Day }]>(`
      UPDATE item SET ended_as = 'blended', ended_on = @day, location = 'resting', location_until = NULL,
             version = version + 1
       WHERE id = @id`),
    offShortList: sql<[string]>('DELETE FROM short_list WHERE item_id = ?'),

    weight: sql<[string], { id: string }>('SELECT id FROM package_weight WHERE id = ?'),
    addWeight: sql(`
      INSERT INTO package_weight (id, maker, name, form, format, content_amount, content_unit, state, grams, resolution, day, item_id)
      SELECT @id, p.maker, p.name, i.form, i.format, i.content_amount, i.content_unit, @state, @grams, @resolution, @day, i.id
        FROM item i JOIN product p ON p.id = i.product_id WHERE i.id = @itemId`),
    dropWeight: sql<[string]>('DELETE FROM package_weight WHERE id = ?'),

    /** Everything kept, with what is in it: what last went into it and is still there. */
    containers: sql<[], ContainerRow>(`
      SELECT c.id, c.version, c.words, c.form, c.grams, c.resolution, c.item_id, c.kept_on, c.gone_on,
             (SELECT e.item_id FROM item_event e JOIN item i ON i.id = e.item_id
               WHERE e.container_id = c.id AND i.ended_on IS NULL
                 AND NOT EXISTS (SELECT 1 FROM item_event later WHERE later.item_id = e.item_id AND later.kind IN ('decanted', 'repressed')
                                    AND later.container_id IS NOT NULL AND later.container_id <> c.id
                                    AND (later.day, later.saved_at, later.id) > (e.day, e.saved_at, e.id))
               ORDER BY e.day DESC, e.saved_at DESC, e.id DESC LIMIT 1) AS holds
        FROM kept_container c ORDER BY c.gone_on IS NOT NULL, c.kept_on DESC, c.rowid DESC`),
    container: sql<[string], { id: string; version: number; words: string; gone_on: Day | null; kept_on: Day }>(
      'SELECT id, version, words, gone_on, kept_on FROM kept_container WHERE id = ?',
    ),
    addContainer: sql(`
      INSERT INTO kept_container (id, words, form, grams, resolution, item_id, kept_on)
      VALUES (@id, @words, @form, @grams, @resolution, @itemId, @day)`),
    editContainer: sql(`
      UPDATE kept_container SET words = @words, form = @form, grams = @grams, resolution = @resolution, version = version + 1
       WHERE id = @id`),
    containerGone: sql<[{ id: string; day: Day }]>(
      'UPDATE kept_container SET gone_on = @day, version = version + 1 WHERE id = @id',
    ),
  }
}
export type MeasuringQueries = ReturnType<typeof measuringQueries>
