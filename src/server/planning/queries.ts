import type { Day } from '#core/calendar/day'
import type { PlanWord, Toward } from '#core/plan/schedule/basis'
import type { PlanMonth } from '#core/plan/schedule/span'
import { type Db, preparing } from '../db/query.js'

export interface PlanRow {
  id: string
  adopted_on: Day
  setup: string
  months: string
  weeks: string
  done_of: number
  done_low: number
  done_high: number
}
export interface PlanLineRow {
  id: string
  item_id: string
  lies: string
  uses: string
  needed: number
  toward: Toward
  finishes: 0 | 1
  low_day: Day | null
  high_day: Day | null
}

export function planQueries(db: Db) {
  const sql = preparing(db)
  return {
    words: sql<
      [],
      { item_id: string; said: PlanWord | null; said_on: Day; weight: number | null; most_a_week: number | null }
    >('SELECT item_id, said, said_on, weight, most_a_week FROM plan_word'),
    wordOwner: sql<[{ id: string; itemId: string }], { id: string }>(
      'SELECT id FROM plan_word WHERE id = @id AND item_id <> @itemId',
    ),
    putWord: sql<
      [
        {
          id: string
          itemId: string
          said: PlanWord | null
          on: Day
          weight: number | null
          mostAWeek: number | null
        },
      ]
    >(`
      INSERT INTO plan_word (id, item_id, said, said_on, weight, most_a_week)
      VALUES (@id, @itemId, @said, @on, @weight, @mostAWeek)
      ON CONFLICT (item_id) DO UPDATE SET said = excluded.said, weight = excluded.weight, most_a_week = excluded.most_a_week,
        said_on = CASE WHEN said IS excluded.said THEN said_on ELSE excluded.said_on END`),
    dropWord: sql<[string]>('DELETE FROM plan_word WHERE item_id = ?'),
    moves: sql<[], { id: string; item_id: string; month: PlanMonth; lies: 0 | 1 }>(
      'SELECT id, item_id, month, lies FROM plan_move ORDER BY item_id, month',
    ),
    putMove: sql<[{ id: string; itemId: string; month: string; lies: 0 | 1 }]>(`
      INSERT INTO plan_move (id, item_id, month, lies) VALUES (@id, @itemId, @month, @lies)
      ON CONFLICT (item_id, month) DO UPDATE SET lies = excluded.lies`),
    dropMove: sql<[{ itemId: string; month: string }]>(
      'DELETE FROM plan_move WHERE item_id = @itemId AND month = @month',
    ),
    dropMoves: sql<[]>('DELETE FROM plan_move'),
    paces: sql<[], { category_id: string; per_wear_day: number }>('SELECT category_id, per_wear_day FROM plan_pace'),
    paceOwner: sql<[{ id: string; categoryId: string }], { id: string }>(
      'SELECT id FROM plan_pace WHERE id = @id AND category_id <> @categoryId',
    ),
    putPace: sql<[{ id: string; categoryId: string; perWearDay: number }]>(`
      INSERT INTO plan_pace (id, category_id, per_wear_day) VALUES (@id, @categoryId, @perWearDay)
      ON CONFLICT (category_id) DO UPDATE SET per_wear_day = excluded.per_wear_day`),
    dropPace: sql<[string]>('DELETE FROM plan_pace WHERE category_id = ?'),
    breaks: sql<[], { id: string; category_id: string; from_day: Day; to_day: Day }>(
      'SELECT id, category_id, from_day, to_day FROM plan_break ORDER BY from_day, id',
    ),
    breakTaken: sql<[string], { id: string }>('SELECT id FROM plan_break WHERE id = ?'),
    addBreak: sql<[{ id: string; categoryId: string; from: Day; to: Day }]>(
      'INSERT INTO plan_break (id, category_id, from_day, to_day) VALUES (@id, @categoryId, @from, @to)',
    ),
    dropBreak: sql<[string]>('DELETE FROM plan_break WHERE id = ?'),
    category: sql<[string], { name: string }>('SELECT name FROM category WHERE id = ?'),
    categories: sql<[], { id: string; name: string; zone_id: string }>(
      'SELECT id, name, zone_id FROM category ORDER BY position',
    ),
    inForce: sql<[], PlanRow>(`
      SELECT id, adopted_on, setup, months, weeks, done_of, done_low, done_high FROM plan WHERE ended_on IS NULL`),
    taken: sql<[string], { id: string }>('SELECT id FROM plan WHERE id = ?'),
    lineTaken: sql<[string], { id: string }>(
      'SELECT l.id FROM plan_line l JOIN json_each(?) j ON j.value = l.id LIMIT 1',
    ),
    lines: sql<[string], PlanLineRow>(`
      SELECT id, item_id, lies, uses, needed, toward, finishes, low_day, high_day FROM plan_line WHERE plan_id = ? ORDER BY rowid`),
    add: sql(`
      INSERT INTO plan (id, adopted_on, project_id, setup, months, weeks, done_of, done_low, done_high)
      VALUES (@id, @on, @projectId, @setup, @months, @weeks, @of, @low, @high)`),
    addLine: sql(`
      INSERT INTO plan_line (id, plan_id, item_id, lies, uses, needed, toward, finishes, low_day, high_day)
      VALUES (@id, @planId, @itemId, @lies, @uses, @needed, @toward, @finishes, @low, @high)`),
    end: sql<[{ id: string; day: Day }]>('UPDATE plan SET ended_on = @day WHERE id = @id'),
    wornSince: sql<[{ planId: string; from: Day }], { item_id: string; day: Day }>(`
      SELECT w.item_id, w.day FROM wear w JOIN plan_line l ON l.item_id = w.item_id
       WHERE l.plan_id = @planId AND w.day >= @from ORDER BY w.day`),
  }
}
