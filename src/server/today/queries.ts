import type { Day } from '#core/calendar/day'
import type { DayView, Worn } from '#contract/today'
import { type Db, preparing } from '../db/query.js'

export interface WearRow {
  id: string
  item_id: string
  parts: string
  used_as: string | null
  amount: number | null
  amount_unit: Worn['amountUnit']
  felt: string | null
  mix_id: string | null
  version: number
}

export interface DayRow {
  no_makeup: 0 | 1
  skin: DayView['skin']
  clothes: DayView['clothes']
  minutes: number | null
  occasion: string | null
  hands: DayView['hands']
  weather: DayView['weather']
  note: string | null
}

/** Days on which any makeup was worn: sunscreen, skin care and fragrance make none. */
const MAKEUP_DAY = `FROM worn w JOIN category c ON c.id = w.category_id`

export function todayQueries(db: Db) {
  const sql = preparing(db)
  return {
    wornOn: sql<[Day], WearRow>(`
      SELECT w.id, w.item_id, (SELECT json_group_array(wp.part_id) FROM wear_part wp WHERE wp.wear_id = w.id) AS parts,
             w.used_as, w.amount, w.amount_unit, w.felt, w.mix_id, w.version
        FROM wear w WHERE w.day = ? ORDER BY w.rowid`),
    wornBetween: sql<[{ from: Day; to: Day }], { item_id: string; day: Day }>(
      'SELECT item_id, day FROM wear WHERE day BETWEEN @from AND @to ORDER BY item_id, day',
    ),
    wear: sql<[{ itemId: string; day: Day }], { id: string; version: number }>(
      'SELECT id, version FROM wear WHERE item_id = @itemId AND day = @day',
    ),
    addWear: sql<[{ id: string; itemId: string; day: Day }]>(
      'INSERT INTO wear (id, item_id, day) VALUES (@id, @itemId, @day)',
    ),
    setAmount: sql<[{ id: string; amount: number; amountUnit: string }]>(
      'UPDATE wear SET amount = @amount, amount_unit = @amountUnit, version = version + 1 WHERE id = @id',
    ),
    recipe: sql<
      [string],
      {
        item_id: string
        other_item_id: string
        item_amount: number | null
        other_amount: number | null
        amount_unit: 'pumps' | 'drops' | null
      }
    >('SELECT item_id, other_item_id, item_amount, other_amount, amount_unit FROM pair WHERE id = ?'),
    dropWear: sql<[string]>('DELETE FROM wear WHERE id = ?'),
    setDetails: sql(`
      UPDATE wear SET used_as = @usedAs, amount = @amount, amount_unit = @amountUnit, felt = @felt, version = version + 1 WHERE id = @id`),
    category: sql<[string], { id: string }>('SELECT id FROM category WHERE id = ?'),
    addMix: sql<[{ id: string; day: Day; ratio: string }]>(`
      INSERT INTO mix (id, day, ratio) VALUES (@id, @day, @ratio) ON CONFLICT (id) DO UPDATE SET ratio = @ratio`),
    setMix: sql<[{ wearId: string; mixId: string | null }]>('UPDATE wear SET mix_id = @mixId WHERE id = @wearId'),
    mix: sql<[string], { day: Day }>('SELECT day FROM mix WHERE id = ?'),
    addUnwritten: sql<[{ id: string; earliest: Day; latest: Day }]>(
      'INSERT INTO unwritten (id, earliest, latest) VALUES (@id, @earliest, @latest)',
    ),
    mixesOn: sql<[Day], { id: string; ratio: string }>('SELECT id, ratio FROM mix WHERE day = ?'),
    wornParts: sql<[string], { part_id: string }>('SELECT part_id FROM wear_part WHERE wear_id = ?'),
    addPart: sql<[{ id: string; wearId: string; partId: string }]>(
      'INSERT INTO wear_part (id, wear_id, part_id) VALUES (@id, @wearId, @partId)',
    ),
    dropPart: sql<[{ wearId: string; partId: string }]>(
      'DELETE FROM wear_part WHERE wear_id = @wearId AND part_id = @partId',
    ),
    dropFeelings: sql<[string]>('DELETE FROM feeling WHERE wear_id = ?'),
    dropParts: sql<[string]>('DELETE FROM wear_part WHERE wear_id = ?'),
    setUsedAs: sql<[{ id: string; usedAs: string }]>(
      'UPDATE wear SET used_as = @usedAs, version = version + 1 WHERE id = @id',
    ),
    cameBy: sql<[{ id: string; day: Day }]>(`
      UPDATE item SET acquired_earliest = @day, version = version + 1 WHERE id = @id AND acquired_earliest > @day`),
    endedBy: sql<[{ id: string; day: Day }]>(`
      UPDATE item SET ended_on = @day, version = version + 1 WHERE id = @id AND ended_on < @day`),
    makeupWornOn: sql<[Day], { n: number }>(`SELECT count(*) AS n ${MAKEUP_DAY} WHERE w.day = ? AND c.makeup = 1`),
    lastLookDay: sql<[Day], { day: Day }>(
      `SELECT w.day ${MAKEUP_DAY} WHERE w.day < ? AND c.makeup = 1 ORDER BY w.day DESC LIMIT 1`,
    ),
    lastLookOnWeekday: sql<[{ day: Day }], { day: Day }>(`
      SELECT w.day ${MAKEUP_DAY}
       WHERE w.day < @day AND c.makeup = 1 AND strftime('%w', w.day) = strftime('%w', @day) ORDER BY w.day DESC LIMIT 1`),
    lastLookOnOccasion: sql<[{ day: Day; occasion: string }], { day: Day }>(`
      SELECT d.id AS day FROM day_record d
       WHERE d.id < @day AND d.occasion = @occasion AND EXISTS (SELECT 1 FROM wear w WHERE w.day = d.id)
       ORDER BY d.id DESC LIMIT 1`),
    dayRecord: sql<[Day], DayRow>(
      'SELECT no_makeup, skin, clothes, minutes, occasion, hands, weather, note FROM day_record WHERE id = ?',
    ),
    /** Days of no makeup on which makeup is ticked after all are no longer that. */
    laterWordHolds: sql<[]>(`
      UPDATE day_record SET no_makeup = 0, version = version + 1
       WHERE no_makeup = 1 AND EXISTS (SELECT 1 ${MAKEUP_DAY} WHERE w.day = day_record.id AND c.makeup = 1)`),
    /** Trials that still run, of items that are still there. */
    onTrial: sql<[], { item_id: string }>(`
      SELECT DISTINCT t.item_id FROM trial t JOIN item i ON i.id = t.item_id
       WHERE t.closed_on IS NULL AND i.ended_as IS NULL ORDER BY t.item_id`),
    setNoMakeup: sql<[{ day: Day; noMakeup: 0 | 1 }]>(`
      INSERT INTO day_record (id, no_makeup) VALUES (@day, @noMakeup)
      ON CONFLICT (id) DO UPDATE SET no_makeup = @noMakeup, version = version + 1 WHERE no_makeup <> @noMakeup`),
    setDay: sql(`
      INSERT INTO day_record (id, skin, clothes, minutes, occasion, hands, weather, note)
      VALUES (@day, @skin, @clothes, @minutes, @occasion, @hands, @weather, @note)
      ON CONFLICT (id) DO UPDATE SET skin = @skin, clothes = @clothes, minutes = @minutes, occasion = @occasion,
                  hands = @hands, weather = @weather, note = @note, version = version + 1`),
    occasions: sql<[], { occasion: string }>(`
      SELECT occasion FROM day_record WHERE occasion IS NOT NULL GROUP BY occasion ORDER BY count(*) DESC, occasion LIMIT 12`),
    /** On how many of the last days of an occasion each item was worn. */
    occasionWears: sql<[{ day: Day; occasion: string }], { item_id: string; n: number; days: number }>(`
      WITH days AS (SELECT id FROM day_record WHERE occasion = @occasion AND id < @day ORDER BY id DESC LIMIT 20)
      SELECT w.item_id, count(*) AS n, (SELECT count(*) FROM days) AS days FROM wear w JOIN days d ON d.id = w.day GROUP BY w.item_id`),
    putBackOn: sql<[Day], { item_id: string }>('SELECT item_id FROM put_back WHERE day = ?'),
    addPutBack: sql<[{ id: string; itemId: string; day: Day }]>(
      'INSERT INTO put_back (id, item_id, day) VALUES (@id, @itemId, @day) ON CONFLICT (item_id, day) DO NOTHING',
    ),
    dropPutBack: sql<[{ itemId: string; day: Day }]>('DELETE FROM put_back WHERE item_id = @itemId AND day = @day'),
    /** Times put back since it was last worn, within a stretch. */
    putBackSince: sql<[Day], { item_id: string; n: number }>(`
      SELECT p.item_id, count(*) AS n FROM put_back p
       WHERE p.day >= ? AND p.day > coalesce((SELECT max(w.day) FROM wear w WHERE w.item_id = p.item_id), '')
       GROUP BY p.item_id`),
    notTodayOn: sql<[Day], { item_id: string }>('SELECT item_id FROM not_today WHERE day = ?'),
    addNotToday: sql<[{ id: string; itemId: string; day: Day }]>(
      'INSERT INTO not_today (id, item_id, day) VALUES (@id, @itemId, @day) ON CONFLICT (item_id, day) DO NOTHING',
    ),
    dropNotToday: sql<[{ itemId: string; day: Day }]>('DELETE FROM not_today WHERE item_id = @itemId AND day = @day'),
    pairs: sql<[], { item_id: string; other_item_id: string; verdict: 'works' | 'fights' }>(
      'SELECT item_id, other_item_id, verdict FROM pair',
    ),
    sunscreens: sql<[], { id: string }>(`
      SELECT i.id FROM typed_item i JOIN category c ON c.id = i.type_id
       WHERE i.ended_as IS NULL AND c.model_type = 'sunscreen'`),
    savedLooks: sql<[], { id: string; name: string; occasion: string; items: string }>(`
      SELECT f.id, f.name, f.occasion,
             (SELECT json_group_array(fi.item_id) FROM saved_face_item fi JOIN item i ON i.id = fi.item_id
               WHERE fi.saved_face_id = f.id AND i.ended_as IS NULL) AS items
        FROM saved_face f ORDER BY f.name, f.id`),
    addLook: sql<[{ id: string; name: string; occasion: string }]>(
      'INSERT INTO saved_face (id, name, occasion) VALUES (@id, @name, @occasion)',
    ),
    addLookItem: sql(`
      INSERT INTO saved_face_item (id, saved_face_id, item_id, part_ids, used_as)
      VALUES (@id, @lookId, @itemId, @partIds, @usedAs)`),
    lookItems: sql<[string], { item_id: string; part_ids: string; used_as: string | null }>(
      'SELECT item_id, part_ids, used_as FROM saved_face_item WHERE saved_face_id = ?',
    ),
    dropLookItems: sql<[string]>('DELETE FROM saved_face_item WHERE saved_face_id = ?'),
    dropLook: sql<[string]>('DELETE FROM saved_face WHERE id = ?'),
    look: sql<[string], { name: string }>('SELECT name FROM saved_face WHERE id = ?'),
    itemCount: sql<[], { n: number }>('SELECT count(*) AS n FROM item'),
  }
}
export type TodayQueries = ReturnType<typeof todayQueries>
