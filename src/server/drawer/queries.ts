import type { Day } from '#core/calendar/day'
import { type Db, preparing } from '../db/query.js'

export interface ZoneRow {
  id: string
  name: string
  slots: number
  version: number
}

export interface PlacedRow {
  item_id: string
  zone_id: string
  slots: number
  beside: 0 | 1
}

export function drawerQueries(db: Db) {
  const sql = preparing(db)
  return {
    zones: sql<[], ZoneRow>('SELECT id, name, slots, version FROM zone ORDER BY position, id'),
    placed: sql<[], PlacedRow>(`
      SELECT pl.item_id, pl.zone_id, i.slots, pl.beside
        FROM placement pl JOIN item i ON i.id = pl.item_id
       WHERE pl.to_day IS NULL ORDER BY pl.zone_id, pl.position, pl.rowid`),
    place: sql(`
      INSERT INTO placement (id, item_id, zone_id, from_day, beside, position)
      VALUES (@id, @itemId, @zoneId, @day, @beside,
              (SELECT coalesce(max(position), 0) + 1 FROM placement WHERE zone_id = @zoneId AND to_day IS NULL))`),
    taken: sql<[string], { n: number }>('SELECT count(*) AS n FROM placement WHERE id = ?'),
    takeOut: sql<[{ itemId: string; day: Day }]>(
      'UPDATE placement SET to_day = @day WHERE item_id = @itemId AND to_day IS NULL',
    ),
    setLocation: sql<[{ itemId: string; location: string; until: Day | null }]>(
      'UPDATE item SET location = @location, location_until = @until, version = version + 1 WHERE id = @itemId',
    ),
    reposition: sql<[{ itemId: string; zoneId: string; position: number }]>(`
      UPDATE placement SET position = @position WHERE item_id = @itemId AND zone_id = @zoneId AND to_day IS NULL`),
    editZone: sql<[{ id: string; name: string; slots: number }]>(
      'UPDATE zone SET name = @name, slots = @slots, version = version + 1 WHERE id = @id',
    ),
  }
}
