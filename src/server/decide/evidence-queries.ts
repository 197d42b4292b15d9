import type { Day } from '#core/calendar/day'
import type { Felt } from '#core/decide/feelings'
import { type Db, preparing } from '../db/query.js'

export function evidenceQueries(db: Db) {
  const sql = preparing(db)
  return {
    wearsWithin: sql<[{ from: Day; to: Day }], { item_id: string; day: Day }>(
      'SELECT item_id, day FROM wear WHERE day BETWEEN @from AND @to',
    ),
    wearDaysWithin: sql<[{ from: Day; to: Day }], { day: Day }>(`
      SELECT DISTINCT w.day FROM worn w JOIN category c ON c.id = w.category_id
       WHERE w.day BETWEEN @from AND @to AND c.makeup = 1 ORDER BY w.day`),
    staysSince: sql<[Day], { item_id: string; kind: string; from_day: Day; to_day: Day | null }>(`
      SELECT p.item_id, i.type_id AS kind, p.from_day, p.to_day
        FROM placement p JOIN typed_item i ON i.id = p.item_id WHERE p.to_day IS NULL OR p.to_day >= ?`),
    /** Times held up and put back since it was last worn. */
    putBacks: sql<[], { item_id: string; n: number }>(`
      SELECT p.item_id, count(*) AS n FROM put_back p
       WHERE p.day > coalesce((SELECT max(w.day) FROM wear w WHERE w.item_id = p.item_id), '') GROUP BY p.item_id`),
    /** Times a laying passed over it since it was last worn, without its being let go. */
    clearOuts: sql<[], { item_id: string; n: number }>(`
      SELECT c.item_id, count(*) AS n FROM laying_choice c JOIN laying l ON l.id = c.laying_id
       WHERE l.closed_on IS NOT NULL AND c.choice IN ('stays', 'put away', 'rests', 'doubtful')
         AND l.closed_on > coalesce((SELECT max(w.day) FROM wear w WHERE w.item_id = c.item_id), '') GROUP BY c.item_id`),
    mixedWears: sql<[], { item_id: string; n: number }>(
      'SELECT item_id, count(*) AS n FROM wear WHERE mix_id IS NOT NULL GROUP BY item_id',
    ),
    loggedSince: sql<[], { day: Day | null }>('SELECT min(day) AS day FROM wear'),
    signs: sql<[], { id: string; day: Day; words: string }>(
      'SELECT id, sign_day AS day, sign_words AS words FROM item WHERE sign_day IS NOT NULL AND sign_words IS NOT NULL AND ended_as IS NULL',
    ),
    /** When the user last decided that something stays. */
    keptOn: sql<[], { item_id: string; day: Day }>(
      "SELECT item_id, max(day) AS day FROM verdict WHERE verdict <> 'let go' GROUP BY item_id",
    ),
    felt: sql<[], { item_id: string; felt: Felt; n: number }>(`
      SELECT w.item_id, f.felt, count(*) AS n FROM feeling f JOIN wear w ON w.id = f.wear_id
       WHERE f.aspect = 'in all' GROUP BY w.item_id, f.felt`),
  }
}
