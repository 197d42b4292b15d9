import type { Day } from '#core/calendar/day'
import type { Db } from '../db/open-database.js'
import { preparing } from '../db/query.js'

export function todayQueries(db: Db) {
  const sql = preparing(db)
  return {
    wornOn: sql<[Day], { id: string; item_id: string; parts: string }>(`
      SELECT w.id, w.item_id, (SELECT json_group_array(wp.part_id) FROM wear_part wp WHERE wp.wear_id = w.id) AS parts
        FROM wear w WHERE w.day = ? ORDER BY w.rowid`),
    wear: sql<[{ itemId: string; day: Day }], { id: string }>(
      'SELECT id FROM wear WHERE item_id = @itemId AND day = @day',
    ),
    addWear: sql<[{ id: string; itemId: string; day: Day }]>(
      'INSERT INTO wear (id, item_id, day) VALUES (@id, @itemId, @day)',
    ),
    dropWear: sql<[string]>('DELETE FROM wear WHERE id = ?'),
    wornParts: sql<[string], { part_id: string }>('SELECT part_id FROM wear_part WHERE wear_id = ?'),
    addPart: sql<[{ id: string; wearId: string; partId: string }]>(
      'INSERT INTO wear_part (id, wear_id, part_id) VALUES (@id, @wearId, @partId)',
    ),
    dropPart: sql<[{ wearId: string; partId: string }]>(
      'DELETE FROM wear_part WHERE wear_id = @wearId AND part_id = @partId',
    ),
    dropParts: sql<[string]>('DELETE FROM wear_part WHERE wear_id = ?'),
    openItem: sql<[{ id: string; day: Day }]>(`
      UPDATE item SET opened_kind = 'range', opened_earliest = @day, opened_latest = @day, opened_said = @day,
             lifecycle = 'open', version = version + 1
       WHERE id = @id AND lifecycle = 'unopened'`),
    makeupWornOn: sql<[Day], { n: number }>(`
      SELECT count(*) AS n FROM wear w JOIN item i ON i.id = w.item_id
        JOIN category c ON c.id = coalesce(w.used_as, i.used_as, i.category_id)
       WHERE w.day = ? AND c.makeup = 1`),
    lastFaceDay: sql<[Day], { day: Day }>(`
      SELECT w.day FROM wear w JOIN item i ON i.id = w.item_id
        JOIN category c ON c.id = coalesce(w.used_as, i.used_as, i.category_id)
       WHERE w.day < ? AND c.makeup = 1 ORDER BY w.day DESC LIMIT 1`),
    noMakeup: sql<[Day], { no_makeup: 0 | 1 }>('SELECT no_makeup FROM day_record WHERE id = ?'),
    setNoMakeup: sql<[{ day: Day; noMakeup: 0 | 1 }]>(`
      INSERT INTO day_record (id, no_makeup) VALUES (@day, @noMakeup)
      ON CONFLICT (id) DO UPDATE SET no_makeup = @noMakeup, version = version + 1 WHERE no_makeup <> @noMakeup`),
    itemCount: sql<[], { n: number }>('SELECT count(*) AS n FROM item'),
  }
}
