import type { Day } from '#core/calendar/day'
import type { Destination } from '#core/decide/verdict'
import type { Season } from '#core/item/traits'
import type { SeasonChangeCandidate } from '#contract/season-change'
import { type Db, preparing } from '../db/query.js'

export interface SeasonChangeRow {
  id: string
  season: Season
  started_on: Day
}

export function seasonChangeQueries(db: Db) {
  const sql = preparing(db)
  return {
    open: sql<[], SeasonChangeRow>('SELECT id, season, started_on FROM laying WHERE closed_on IS NULL'),
    taken: sql<[string], { n: number }>('SELECT count(*) AS n FROM laying WHERE id = ?'),
    start: sql<[{ id: string; season: Season; day: Day }]>(
      'INSERT INTO laying (id, season, started_on) VALUES (@id, @season, @day)',
    ),
    close: sql<[{ id: string; day: Day }]>('UPDATE laying SET closed_on = @day, version = version + 1 WHERE id = @id'),
    drop: sql<[string]>('DELETE FROM laying WHERE id = ?'),
    dropChoices: sql<[string]>('DELETE FROM laying_choice WHERE laying_id = ?'),
    choices: sql<
      [string],
      {
        item_id: string
        choice: NonNullable<SeasonChangeCandidate['choice']>
        until_day: Day | null
        destination: Destination | null
      }
    >('SELECT item_id, choice, until_day, destination FROM laying_choice WHERE laying_id = ? ORDER BY rowid'),
    choose: sql(`
      INSERT INTO laying_choice (id, laying_id, item_id, choice, until_day, destination)
      VALUES (@id, @seasonChangeId, @itemId, @choice, @until, @destination)
      ON CONFLICT (laying_id, item_id) DO UPDATE SET choice = @choice, until_day = @until, destination = @destination`),
    unchoose: sql<[{ seasonChangeId: string; itemId: string }]>(
      'DELETE FROM laying_choice WHERE laying_id = @seasonChangeId AND item_id = @itemId',
    ),
    shortListed: sql<[{ season: Season }], { item_id: string }>(
      'SELECT item_id FROM short_list WHERE season IS NULL OR season = @season',
    ),
    /** Days on which much moved at once: a drawer arranged anew, not a single item put in. */
    layouts: sql<[], { day: Day }>(`
      SELECT day FROM (SELECT from_day AS day FROM placement UNION ALL SELECT to_day FROM placement WHERE to_day IS NOT NULL)
       GROUP BY day HAVING count(*) >= 4 ORDER BY day DESC LIMIT 24`),
    placedOn: sql<[{ day: Day }], { item_id: string }>(`
      SELECT item_id FROM placement WHERE from_day <= @day AND (to_day IS NULL OR to_day > @day) ORDER BY zone_id, position`),
    setSeasonBox: sql<[{ id: string; until: Day }]>(`
      UPDATE item SET location = 'season box', location_until = @until, version = version + 1 WHERE id = @id`),
  }
}
