import type { Day } from '#core/calendar/day'
import type { Db } from '../db/open-database.js'
import { preparing } from '../db/query.js'

export interface ProjectRow {
  id: string
  version: number
  name: string
  started_on: Day
  by_day: Day | null
  finishes_wanted: number | null
  rules: string
}

export interface StayHeadRow {
  id: string
  project_id: string
  item_id: string
  rolled_in: Day
  rolled_out: Day | null
}

const PROJECT = 'SELECT id, version, name, started_on, by_day, finishes_wanted, rules FROM project'
const STAY = 'SELECT id, project_id, item_id, rolled_in, rolled_out FROM stay'

export function projectQueries(db: Db) {
  const sql = preparing(db)
  return {
    open: sql<[], ProjectRow>(`${PROJECT} WHERE closed_on IS NULL ORDER BY started_on, rowid`),
    one: sql<[string], ProjectRow>(`${PROJECT} WHERE id = ?`),
    stays: sql<[string], StayHeadRow>(`${STAY} WHERE project_id = ? ORDER BY rolled_in, rowid`),
    stay: sql<[string], StayHeadRow>(`${STAY} WHERE id = ?`),
    add: sql(`
      INSERT INTO project (id, name, shape, started_on, by_day, finishes_wanted, rules)
      VALUES (@id, @name, 'rolling', @startedOn, @by, @finishesWanted, @rules)`),
    edit: sql(`
      UPDATE project SET name = @name, started_on = @startedOn, by_day = @by, finishes_wanted = @finishesWanted,
             rules = @rules, version = version + 1
       WHERE id = @id`),
    rollIn: sql(`
      INSERT INTO stay (id, project_id, item_id, rolled_in, goal_kind, goal_target, baseline_left, head_start, by_kind, by_day)
      VALUES (@id, @projectId, @itemId, @day, @kind, @target, @left, @headStart, @byKind, @byDay)`),
    editGoal: sql(`
      UPDATE stay SET goal_kind = @kind, goal_target = @target, head_start = @headStart, by_kind = @byKind, by_day = @byDay,
             version = version + 1
       WHERE id = @id`),
    rollOut: sql(`
      UPDATE stay SET rolled_out = @day, out_reason = @reason, out_words = @words, version = version + 1 WHERE id = @id`),
    rollOutEverywhere: sql<[{ itemId: string; day: Day; reason: string }]>(`
      UPDATE stay SET rolled_out = max(@day, rolled_in), out_reason = @reason, version = version + 1
       WHERE item_id = @itemId AND rolled_out IS NULL`),
    openedSince: sql<[], { id: string; category_id: string; opened: Day | null; first_worn: Day | null }>(`
      SELECT i.id, i.category_id, coalesce(i.opened_latest, i.acquired_latest) AS opened,
             (SELECT min(day) FROM wear WHERE item_id = i.id) AS first_worn
        FROM item i WHERE i.lifecycle = 'open'`),
  }
}
