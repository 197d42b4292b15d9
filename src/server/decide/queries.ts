import type { Day } from '#core/calendar/day'
import type { VerdictView } from '#contract/ending'
import type { Db } from '../db/open-database.js'
import { preparing } from '../db/query.js'

export interface TrialRow {
  id: string
  item_id: string
  started_on: Day
  due_on: Day
  wears_wanted: number
  question: string
}

export interface VerdictRow {
  id: string
  item_id: string
  day: Day
  verdict: VerdictView['verdict']
  reason: string
  destination: VerdictView['destination']
  until_day: Day | null
}

export function decideQueries(db: Db) {
  const sql = preparing(db)
  return {
    running: sql<[], TrialRow>(
      'SELECT id, item_id, started_on, due_on, wears_wanted, question FROM trial WHERE closed_on IS NULL ORDER BY due_on, rowid',
    ),
    trial: sql<[string], { id: string; item_id: string; closed_on: Day | null }>(
      'SELECT id, item_id, closed_on FROM trial WHERE id = ?',
    ),
    addTrial: sql(`
      INSERT INTO trial (id, item_id, started_on, due_on, wears_wanted, question)
      VALUES (@id, @itemId, @startedOn, @dueOn, @wearsWanted, @question)`),
    closeTrials: sql<[{ itemId: string; day: Day }]>(
      'UPDATE trial SET closed_on = max(@day, started_on), version = version + 1 WHERE item_id = @itemId AND closed_on IS NULL',
    ),
    verdicts: sql<[], VerdictRow>(
      'SELECT id, item_id, day, verdict, reason, destination, until_day FROM verdict ORDER BY day DESC, rowid DESC',
    ),
    verdictTaken: sql<[string], { n: number }>('SELECT count(*) AS n FROM verdict WHERE id = ?'),
    addVerdict: sql(`
      INSERT INTO verdict (id, item_id, trial_id, day, verdict, reason, destination, until_day, used_as)
      VALUES (@id, @itemId, @trialId, @day, @verdict, @reason, @destination, @until, @usedAs)`),
    leave: sql<[{ id: string; day: Day }]>(`
      UPDATE item SET ended_as = 'left', ended_on = @day, location = 'resting', location_until = NULL, version = version + 1
       WHERE id = @id`),
    offShortList: sql<[string]>('DELETE FROM short_list WHERE item_id = ?'),
    rest: sql<[{ id: string; until: Day }]>(
      "UPDATE item SET location = 'resting', location_until = @until, version = version + 1 WHERE id = @id",
    ),
    useAs: sql<[{ id: string; usedAs: string }]>(
      'UPDATE item SET used_as = @usedAs, version = version + 1 WHERE id = @id',
    ),
    /** Times held up and put back since it was last worn. */
    putBacks: sql<[], { item_id: string; n: number }>(`
      SELECT p.item_id, count(*) AS n FROM put_back p
       WHERE p.day > coalesce((SELECT max(w.day) FROM wear w WHERE w.item_id = p.item_id), '') GROUP BY p.item_id`),
    loggedSince: sql<[], { day: Day | null }>('SELECT min(day) AS day FROM wear'),
    category: sql<[string], { id: string }>('SELECT id FROM category WHERE id = ?'),
    wearDays: sql<[string], { day: Day }>('SELECT day FROM wear WHERE item_id = ? ORDER BY day'),
    /** Wear days of the trial on which the item lay in the drawer or was worn. */
    chances: sql<[{ itemId: string; from: Day; to: Day }], { n: number }>(`
      SELECT count(DISTINCT w.day) AS n
        FROM wear w JOIN item i ON i.id = w.item_id
        JOIN category c ON c.id = coalesce(w.used_as, i.used_as, i.category_id)
       WHERE c.makeup = 1 AND w.day BETWEEN @from AND @to
         AND (w.item_id = @itemId OR EXISTS (
               SELECT 1 FROM placement pl WHERE pl.item_id = @itemId AND pl.from_day <= w.day
                  AND (pl.to_day IS NULL OR pl.to_day >= w.day)))`),
    companions: sql<[{ itemId: string; from: Day }], { item_id: string; words: string; days: number }>(`
      SELECT o.item_id, CASE WHEN p.shade = '' THEN p.name ELSE p.shade END AS words, count(*) AS days
        FROM wear mine JOIN wear o ON o.day = mine.day AND o.item_id <> mine.item_id
        JOIN item i ON i.id = o.item_id JOIN product p ON p.id = i.product_id
       WHERE mine.item_id = @itemId AND mine.day >= @from
       GROUP BY o.item_id ORDER BY days DESC, o.item_id LIMIT 4`),
  }
}
