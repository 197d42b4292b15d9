import type { Day } from '#core/calendar/day'
import type { Aspect, Felt } from '#core/decide/feelings'
import type { Otherwise } from '#core/decide/verdict'
import type { VerdictView } from '#contract/ending'
import { type Db, preparing } from '../db/query.js'

export interface TrialRow {
  id: string
  item_id: string
  started_on: Day
  due_on: Day
  wears_wanted: number
  question: string
  set_id: string | null
  otherwise: Otherwise | null
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
      'SELECT id, item_id, started_on, due_on, wears_wanted, question, set_id, otherwise FROM trial WHERE closed_on IS NULL ORDER BY due_on, rowid',
    ),
    trial: sql<[string], { id: string; item_id: string; closed_on: Day | null }>(
      'SELECT id, item_id, closed_on FROM trial WHERE id = ?',
    ),
    addTrial: sql(`
      INSERT INTO trial (id, item_id, started_on, due_on, wears_wanted, question, set_id, otherwise)
      VALUES (@id, @itemId, @startedOn, @dueOn, @wearsWanted, @question, @setId, @otherwise)`),
    setTaken: sql<[string], { id: string }>('SELECT id FROM trial WHERE set_id = ?'),
    closeTrials: sql<[{ itemId: string; day: Day }]>(
      'UPDATE trial SET closed_on = max(@day, started_on), version = version + 1 WHERE item_id = @itemId AND closed_on IS NULL',
    ),
    verdictsInAll: sql<[], { n: number }>('SELECT count(*) AS n FROM verdict'),
    verdicts: sql<[number], VerdictRow>(
      'SELECT id, item_id, day, verdict, reason, destination, until_day FROM verdict ORDER BY day DESC, rowid DESC LIMIT ?',
    ),
    verdictTaken: sql<[string], { n: number }>('SELECT count(*) AS n FROM verdict WHERE id = ?'),
    addVerdict: sql(`
      INSERT INTO verdict (id, item_id, trial_id, day, verdict, reason, destination, until_day, used_as, why, to_whom, handed_on)
      VALUES (@id, @itemId, @trialId, @day, @verdict, @reason, @destination, @until, @usedAs, @why, @toWhom, @handedOn)`),
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
    category: sql<[string], { id: string }>('SELECT id FROM category WHERE id = ?'),
    wearDays: sql<[string], { day: Day }>('SELECT day FROM wear WHERE item_id = ? ORDER BY day'),
    wearsSince: sql<[{ itemId: string; from: Day }], { day: Day; words: string | null }>(
      'SELECT day, felt AS words FROM wear WHERE item_id = @itemId AND day >= @from ORDER BY day DESC',
    ),
    feltSince: sql<[{ itemId: string; from: Day }], { day: Day; aspect: Aspect; felt: Felt }>(`
      SELECT w.day, f.aspect, f.felt FROM wear w JOIN feeling f ON f.wear_id = w.id
       WHERE w.item_id = @itemId AND w.day >= @from`),
    /** Everything else that was worn on its days, with where it lies in a look. */
    looksSince: sql<[{ itemId: string; from: Day }], { day: Day; item_id: string; words: string; position: number }>(`
      SELECT mine.day, o.item_id, CASE WHEN p.shade = '' THEN p.name ELSE p.shade END AS words, c.position
        FROM wear mine JOIN worn o ON o.day = mine.day AND o.item_id <> mine.item_id
        JOIN item i ON i.id = o.item_id JOIN product p ON p.id = i.product_id JOIN category c ON c.id = o.category_id
       WHERE mine.item_id = @itemId AND mine.day >= @from ORDER BY mine.day, c.position, o.item_id`),
    photos: sql<[{ itemId: string; from: Day }], { id: string; day: Day }>(
      'SELECT id, day FROM photo WHERE item_id = @itemId AND day >= @from ORDER BY day DESC, rowid DESC LIMIT 6',
    ),
    before: sql<[string], { day: Day; verdict: VerdictView['verdict']; reason: string }>(
      'SELECT day, verdict, reason FROM verdict WHERE item_id = ? ORDER BY day DESC, rowid DESC LIMIT 10',
    ),
  }
}
