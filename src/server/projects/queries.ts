import type { Day } from '#core/calendar/day'
import type { ProjectShape, Replacing, Theme } from '#core/goal/project-rules'
import type { Season } from '#core/item/traits'
import { type Db, preparing } from '../db/query.js'

export interface ProjectRow {
  id: string
  version: number
  name: string
  started_on: Day
  by_day: Day | null
  finishes_wanted: number | null
  rules: string
  shape: ProjectShape
  at_least: number | null
  most_items: number | null
  replacing: Replacing
  break_days: number | null
  leaving_allowed: 0 | 1
  theme: Theme | null
  category_id: string | null
  uses_each: number | null
  at_once: number | null
  palette_id: string | null
  closed_on: Day | null
  lessons: string
}

export interface StayHeadRow {
  id: string
  version: number
  project_id: string
  item_id: string
  part_id: string | null
  rolled_in: Day
  rolled_out: Day | null
  out_reason: string | null
  out_words: string
  beside: 0 | 1
  carried_from: string | null
}

export interface ShortListRow {
  id: string
  item_id: string
  season: Season | null
  words: string
  added_on: Day
  place: number
}

const PROJECT = `SELECT id, version, name, started_on, by_day, finishes_wanted, rules, shape, at_least, most_items, replacing,
  break_days, leaving_allowed, theme, category_id, uses_each, at_once, palette_id, closed_on, lessons FROM project`
const STAY = `SELECT id, version, project_id, item_id, part_id, rolled_in, rolled_out, out_reason, out_words, beside, carried_from
  FROM stay`

export function projectQueries(db: Db) {
  const sql = preparing(db)
  return {
    open: sql<[], ProjectRow>(`${PROJECT} WHERE closed_on IS NULL ORDER BY started_on, rowid`),
    closed: sql<[], ProjectRow>(`${PROJECT} WHERE closed_on IS NOT NULL ORDER BY closed_on DESC, rowid`),
    one: sql<[string], ProjectRow>(`${PROJECT} WHERE id = ?`),
    stays: sql<[string], StayHeadRow>(`${STAY} WHERE project_id = ? ORDER BY rolled_in, rowid`),
    stay: sql<[string], StayHeadRow>(`${STAY} WHERE id = ?`),
    add: sql(`
      INSERT INTO project (id, name, shape, started_on, by_day, finishes_wanted, rules, at_least, most_items, replacing,
                           break_days, leaving_allowed, theme, category_id, uses_each, at_once, palette_id)
      VALUES (@id, @name, @shape, @startedOn, @by, @finishesWanted, @rules, @atLeast, @mostItems, @replacing,
              @breakDays, @leavingAllowed, @theme, @categoryId, @usesEach, @atOnce, @paletteId)`),
    edit: sql(`
      UPDATE project SET name = @name, shape = @shape, started_on = @startedOn, by_day = @by,
             finishes_wanted = @finishesWanted, rules = @rules, at_least = @atLeast, most_items = @mostItems,
             replacing = @replacing, break_days = @breakDays, leaving_allowed = @leavingAllowed, theme = @theme,
             category_id = @categoryId, uses_each = @usesEach, at_once = @atOnce, palette_id = @paletteId,
             version = version + 1
       WHERE id = @id`),
    close: sql<[{ id: string; day: Day; lessons: string }]>(
      'UPDATE project SET closed_on = @day, lessons = @lessons, version = version + 1 WHERE id = @id',
    ),
    rollIn: sql(`
      INSERT INTO stay (id, project_id, item_id, part_id, rolled_in, goal_kind, goal_target,
                        head_start, by_kind, by_day, beside, carried_from)
      VALUES (@id, @projectId, @itemId, @partId, @day, @kind, @target, @headStart, @byKind, @byDay, @beside,
              @carriedFrom)`),
    editGoal: sql(`
      UPDATE stay SET goal_kind = @kind, goal_target = @target, head_start = @headStart, by_kind = @byKind, by_day = @byDay,
             version = version + 1
       WHERE id = @id`),
    rollOut: sql<[{ id: string; day: Day; reason: string; words: string }]>(`
      UPDATE stay SET rolled_out = @day, out_reason = @reason, out_words = @words, version = version + 1 WHERE id = @id`),
    rollOutEverywhere: sql<[{ itemId: string; day: Day; reason: string }]>(`
      UPDATE stay SET rolled_out = max(@day, rolled_in), out_reason = @reason, version = version + 1
       WHERE item_id = @itemId AND rolled_out IS NULL`),
    usesWithin: sql<[{ itemId: string; partId: string | null; from: Day; until: Day }], { n: number }>(`
      SELECT count(*) AS n FROM wear w
       WHERE w.item_id = @itemId AND w.day >= @from AND w.day < @until
         AND (@partId IS NULL OR EXISTS (SELECT 1 FROM wear_part wp WHERE wp.wear_id = w.id AND wp.part_id = @partId))`),
    shortListOwner: sql<[{ id: string; itemId: string }], { id: string }>(
      'SELECT id FROM short_list WHERE id = @id AND item_id <> @itemId',
    ),
    category: sql<[string], { name: string }>('SELECT name FROM category WHERE id = ?'),
    shortList: sql<[], ShortListRow>(
      'SELECT id, item_id, season, words, added_on, place FROM short_list ORDER BY place, rowid',
    ),
    putOnShortList: sql<[{ id: string; itemId: string; season: Season | null; words: string; day: Day }]>(`
      INSERT INTO short_list (id, item_id, season, words, added_on, place)
      SELECT @id, @itemId, @season, @words, @day, coalesce(max(place), 0) + 1 FROM short_list WHERE true
      ON CONFLICT (item_id) DO UPDATE SET season = @season, words = @words, version = version + 1`),
    placeUpNext: sql<[{ id: string; place: number }]>(
      'UPDATE short_list SET place = @place, version = version + 1 WHERE id = @id',
    ),
    takeOffShortList: sql<[string]>('DELETE FROM short_list WHERE id = ?'),
  }
}
export type ProjectQueries = ReturnType<typeof projectQueries>
