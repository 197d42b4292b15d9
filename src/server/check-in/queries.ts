import type { Day } from '#core/calendar/day'
import type { CheckInMeasure, CheckInOver, CheckInWay } from '#core/measure/check-in'
import { type Db, preparing } from '../db/query.js'

export interface CheckInRow {
  id: string
  version: number
  name: string
  over: CheckInOver
  project_id: string | null
  category_id: string | null
  way: CheckInWay
  started_on: Day
  closed_on: Day | null
  push_item_id: string | null
  sheet: string | null
}

export interface StepRow {
  id: string
  version: number
  check_in_id: string
  item_id: string
  position: number
  measure: CheckInMeasure
  state: 'asked' | 'done' | 'skipped'
  words: string
}

const CHECK_IN = 'id, version, name, over, project_id, category_id, way, started_on, closed_on, push_item_id, sheet'
const STEP = 'id, version, check_in_id, item_id, position, measure, state, words'

export function checkInQueries(db: Db) {
  const sql = preparing(db)
  return {
    all: sql<[], CheckInRow>(
      `SELECT ${CHECK_IN} FROM check_in ORDER BY closed_on IS NOT NULL, closed_on DESC, started_on DESC, rowid DESC`,
    ),
    one: sql<[string], CheckInRow>(`SELECT ${CHECK_IN} FROM check_in WHERE id = ?`),
    before: sql<
      [{ id: string; over: CheckInOver; projectId: string | null; categoryId: string | null; startedOn: Day }],
      CheckInRow
    >(`
      SELECT ${CHECK_IN} FROM check_in
       WHERE id <> @id AND closed_on IS NOT NULL AND closed_on <= @startedOn AND over = @over
         AND project_id IS @projectId AND category_id IS @categoryId
       ORDER BY closed_on DESC, rowid DESC LIMIT 1`),
    steps: sql<[string], StepRow>(`SELECT ${STEP} FROM check_in_step WHERE check_in_id = ? ORDER BY position, rowid`),
    step: sql<[string], StepRow>(`SELECT ${STEP} FROM check_in_step WHERE id = ?`),
    counts: sql<[], { check_in_id: string; items: number; done: number }>(`
      SELECT check_in_id, count(*) AS items, sum(done) AS done FROM (
        SELECT check_in_id, item_id, max(state = 'done') AS done FROM check_in_step GROUP BY check_in_id, item_id)
       GROUP BY check_in_id`),
    add: sql(`
      INSERT INTO check_in (id, name, over, project_id, category_id, way, started_on)
      VALUES (@id, @name, @over, @projectId, @categoryId, @way, @day)`),
    addStep: sql<[{ id: string; checkInId: string; itemId: string; position: number; measure: CheckInMeasure }]>(`
      INSERT INTO check_in_step (id, check_in_id, item_id, position, measure)
      VALUES (@id, @checkInId, @itemId, @position, @measure)`),
    takeStep: sql<[{ id: string; state: StepRow['state']; day: Day | null; words: string }]>(
      'UPDATE check_in_step SET state = @state, done_on = @day, words = @words, version = version + 1 WHERE id = @id',
    ),
    edit: sql<[{ id: string; name: string; way: CheckInWay; pushItemId: string | null }]>(
      'UPDATE check_in SET name = @name, way = @way, push_item_id = @pushItemId, version = version + 1 WHERE id = @id',
    ),
    close: sql<[{ id: string; day: Day; sheet: string }]>(
      'UPDATE check_in SET closed_on = @day, sheet = @sheet, version = version + 1 WHERE id = @id',
    ),
    dropSteps: sql<[string]>('DELETE FROM check_in_step WHERE check_in_id = ?'),
    letReadings: sql<[string]>(
      'UPDATE measurement SET check_in_id = NULL, version = version + 1 WHERE check_in_id = ?',
    ),
    letEvents: sql<[string]>('UPDATE item_event SET check_in_id = NULL, version = version + 1 WHERE check_in_id = ?'),
    drop: sql<[string]>('DELETE FROM check_in WHERE id = ?'),
    inProject: sql<[string], { item_id: string }>(
      'SELECT DISTINCT item_id FROM stay WHERE project_id = ? AND rolled_out IS NULL',
    ),
    inCategory: sql<[string], { item_id: string }>(
      'SELECT id AS item_id FROM item WHERE category_id = ? AND ended_as IS NULL',
    ),
    inDrawer: sql<[], { item_id: string }>('SELECT item_id FROM placement WHERE to_day IS NULL'),
    projects: sql<[], { id: string; name: string; started_on: Day; items: number }>(`
      SELECT p.id, p.name, p.started_on, count(DISTINCT s.item_id) AS items
        FROM project p JOIN stay s ON s.project_id = p.id AND s.rolled_out IS NULL
       WHERE p.closed_on IS NULL GROUP BY p.id ORDER BY p.started_on, p.rowid`),
    project: sql<[string], { name: string; started_on: Day; closed_on: Day | null }>(
      'SELECT name, started_on, closed_on FROM project WHERE id = ?',
    ),
    category: sql<[string], { name: string }>('SELECT name FROM category WHERE id = ?'),
    rolled: sql<
      [{ projectId: string; from: Day; to: Day }],
      { item_id: string; rolled_in: Day; rolled_out: Day | null }
    >(`
      SELECT item_id, rolled_in, rolled_out FROM stay
       WHERE project_id = @projectId AND ((rolled_in > @from AND rolled_in <= @to) OR (rolled_out > @from AND rolled_out <= @to))
       ORDER BY rolled_in, rowid`),
    cameIn: sql<[{ projectId: string; itemId: string }], { day: Day }>(
      'SELECT max(rolled_in) AS day FROM stay WHERE project_id = @projectId AND item_id = @itemId',
    ),
    wearDays: sql<[{ from: Day; to: Day }], { n: number }>(`
      SELECT count(DISTINCT w.day) AS n FROM worn w JOIN category c ON c.id = w.category_id
       WHERE w.day > @from AND w.day <= @to AND c.makeup = 1`),
    saidBefore: sql<[{ id: string; startedOn: Day }], { item_id: string; day: Day; words: string }>(`
      SELECT s.item_id, c.closed_on AS day, s.words
        FROM check_in_step s JOIN check_in c ON c.id = s.check_in_id
       WHERE s.words <> '' AND s.measure = 'words' AND c.id <> @id AND c.closed_on <= @startedOn
         AND s.item_id IN (SELECT item_id FROM check_in_step WHERE check_in_id = @id)
       ORDER BY c.closed_on DESC, c.rowid DESC`),
  }
}
export type CheckInQueries = ReturnType<typeof checkInQueries>
