import type { Day } from '#core/calendar/day'
import type { ForecastReason, Role } from '#core/forecast/role'
import { type Db, preparing } from '../db/query.js'

export interface ForecastRow {
  id: string
  item_id: string
  made_on: Day
  why: ForecastReason
  uses: number
  low_days: number
  middle_days: number
  high_days: number
  share_left: number
}

export interface GuessRow {
  id: string
  item_id: string
  made_on: Day
  months: number
}

export function forecastQueries(db: Db) {
  const sql = preparing(db)
  return {
    withGoals: sql<[], { item_id: string }>(
      'SELECT DISTINCT item_id FROM stay WHERE rolled_out IS NULL AND beside = 0',
    ),
    addedOn: sql<[string], { day: Day | null }>('SELECT added_on AS day FROM item WHERE id = ?'),
    /** Stays in the drawer and in projects, by their first day; the last day is null of one that is not over. */
    stays: sql<[{ id: string }], { first: Day; last: Day | null }>(`
      SELECT from_day AS first, to_day AS last FROM placement WHERE item_id = @id
      UNION ALL SELECT rolled_in, rolled_out FROM stay WHERE item_id = @id
       ORDER BY first`),
    firstLaid: sql<[], { day: Day | null }>('SELECT min(from_day) AS day FROM placement'),
    inDrawer: sql<[], { id: string; category_id: string }>(`
      SELECT i.id, i.type_id AS category_id
        FROM placement p JOIN typed_item i ON i.id = p.item_id WHERE p.to_day IS NULL`),
    saidRoles: sql<[], { id: string; role: Role }>('SELECT id, role FROM item WHERE role IS NOT NULL'),
    finishedIds: sql<[], { id: string }>("SELECT id FROM item WHERE ended_as = 'finished' ORDER BY id"),
    shadeDays: sql<[string], { part_id: string; day: Day }>(`
      SELECT wp.part_id, w.day FROM wear w JOIN wear_part wp ON wp.wear_id = w.id WHERE w.item_id = ? ORDER BY w.day`),
    keep: sql<[ForecastRow]>(`
      INSERT INTO forecast (id, item_id, made_on, why, uses, low_days, middle_days, high_days, share_left)
      VALUES (@id, @item_id, @made_on, @why, @uses, @low_days, @middle_days, @high_days, @share_left)`),
    kept: sql<[string], ForecastRow>('SELECT * FROM forecast WHERE item_id = ? ORDER BY made_on, rowid'),
    allKept: sql<[], ForecastRow>('SELECT * FROM forecast ORDER BY item_id, made_on, rowid'),
    lastKept: sql<[], { item_id: string; made_on: Day }>(
      'SELECT item_id, max(made_on) AS made_on FROM forecast GROUP BY item_id',
    ),
    guesses: sql<[string], GuessRow>(
      'SELECT id, item_id, made_on, months FROM guess WHERE item_id = ? ORDER BY made_on',
    ),
    allGuesses: sql<[], GuessRow>('SELECT id, item_id, made_on, months FROM guess ORDER BY made_on, id'),
    guess: sql<[string], GuessRow & { version: number }>('SELECT * FROM guess WHERE id = ?'),
    guessOn: sql<[{ itemId: string; day: Day }], { id: string }>(
      'SELECT id FROM guess WHERE item_id = @itemId AND made_on = @day',
    ),
    addGuess: sql<[{ id: string; itemId: string; day: Day; months: number }]>(
      'INSERT INTO guess (id, item_id, made_on, months) VALUES (@id, @itemId, @day, @months)',
    ),
    dropGuess: sql<[string]>('DELETE FROM guess WHERE id = ?'),
    setRole: sql<[{ id: string; role: Role | null }]>(
      'UPDATE item SET role = @role, version = version + 1 WHERE id = @id',
    ),
  }
}
