import { columnsOfFields } from './item-columns.js'
import type { Day } from '#core/calendar/day'
import type { DayRange } from '#core/calendar/when'
import type { UpNext } from '#core/plan/up-next'
import { type Db, preparing } from '../db/query.js'
import type {
  PlanLineOfRow,
  DayOfItemRow,
  DayOfPartRow,
  ItemRow,
  NameRow,
  PartRow,
  PlacementRow,
  ReadingRow,
  SiblingRow,
  StayRow,
  WearSpanRow,
} from './rows.js'

/** Reads of items that every place shares. Lists of ids are bound as one JSON array. */
export function stockQueries(db: Db) {
  const sql = preparing(db)
  return {
    upNext: sql<[], Omit<UpNext, 'place'>>(
      'SELECT item_id AS itemId, season, words FROM short_list ORDER BY place, rowid',
    ),
    presentIds: sql<[], { id: string }>('SELECT id FROM item WHERE ended_as IS NULL'),
    items: sql<[string], ItemRow>(`
      SELECT i.id, i.version, p.maker, p.name, p.shade, i.product_id,
             c.name AS category, w.position AS face_order, w.makeup, max(c.eye, w.eye) AS eye, max(c.lip, w.lip) AS lip, w.name AS worn_as, w.id AS worn_as_id, w.zone_id AS home_zone_id,
             c.model_type, w.model_type AS worn_type, i.ended_as, i.ended_on, i.ended_roughly, i.location, i.location_until,
             i.price_said, i.added_on, i.opened_by, i.sign_day, i.sign_words, ${columnsOfFields()
               .map((column) => `i.${column}`)
               .join(', ')},
             json_array_length(i.kept_text) AS kept_words,
             (SELECT count(*) FROM trial t WHERE t.item_id = i.id AND t.closed_on IS NULL) AS on_trial,
             a.kind AS aside_kind, a.for_day AS aside_for, a.words AS aside_words
        FROM json_each(?) j
        JOIN typed_item i ON i.id = j.value
        LEFT JOIN set_aside a ON a.item_id = i.id
        JOIN product p ON p.id = i.product_id
        JOIN category c ON c.id = i.category_id
        JOIN category w ON w.id = i.type_id
       ORDER BY w.position, p.maker, p.name, p.shade, i.id`),
    /** Everything present of the products of these items. The unary plus keeps the planner on the index of products. */
    siblings: sql<[string], SiblingRow>(`
      SELECT i.id, i.product_id, i.opened_kind, i.opened_earliest, i.opened_latest, i.opened_said, i.opened_by,
             i.acquired_earliest, i.acquired_latest, i.uses_before, i.ended_on,
             (SELECT min(w.day) FROM wear w WHERE w.item_id = i.id) AS first_worn
        FROM item i
       WHERE i.product_id IN (SELECT m.product_id FROM json_each(?) j JOIN item m ON m.id = j.value) AND +i.ended_as IS NULL`),
    /** What a name is made of, and no more: words are named in every answer. */
    names: sql<[string], NameRow>(`
      SELECT i.id, p.maker, p.name, p.shade, c.name AS category
        FROM json_each(?) j
        JOIN item i ON i.id = j.value
        JOIN product p ON p.id = i.product_id
        JOIN category c ON c.id = i.category_id`),
    productOf: sql<[string], { product_id: string }>('SELECT product_id FROM item WHERE id = ?'),
    itemOfPart: sql<[string], { item_id: string }>('SELECT item_id FROM part WHERE id = ?'),
    wearSpans: sql<[string], WearSpanRow>(`
      SELECT w.item_id, count(*) AS wears, min(w.day) AS first_worn, max(w.day) AS last_worn
        FROM json_each(?) j JOIN wear w ON w.item_id = j.value
       GROUP BY w.item_id`),
    /** What the eye read, in the order of time. */
    readings: sql<[string], ReadingRow>(`
      SELECT m.item_id, m.part_id, m.kind, m.value, m.stage, m.word, m.day, m.moment, m.saved_at
        FROM json_each(?) j JOIN measurement m ON m.item_id = j.value
       WHERE m.kind <> 'gross' AND m.doubtful = 0
       ORDER BY m.item_id, m.day, m.moment DESC, m.saved_at, m.rowid`),
    parts: sql<[string], PartRow>(`
      SELECT p.id, p.item_id, p.name, p.colour, p.finish, p.row, p.col, p.row_span, p.col_span, p.shape, p.form, p.finished_on, p.depotted_on,
             (SELECT count(*) FROM wear_part wp WHERE wp.part_id = p.id) AS uses
        FROM json_each(?) j JOIN part p ON p.item_id = j.value
       ORDER BY p.item_id, p.row, p.col, p.id`),
    placements: sql<[string], PlacementRow>(`
      SELECT pl.item_id, pl.zone_id, pl.from_day, pl.position, pl.beside
        FROM json_each(?) j JOIN placement pl ON pl.item_id = j.value AND pl.to_day IS NULL`),
    stays: sql<[string], StayRow>(`
      SELECT s.id, s.project_id, pr.name AS project_name, pr.by_day AS project_by, s.item_id, s.part_id, s.rolled_in, s.rolled_out,
             s.out_reason, s.goal_kind, s.goal_target, s.head_start, s.by_kind, s.by_day, s.pinned,
             s.beside, s.carried_from
        FROM json_each(?) j
        JOIN stay s ON s.item_id = j.value
        JOIN project pr ON pr.id = s.project_id
       ORDER BY s.rolled_in, s.rowid`),
    /** Of the current plan, the lines of these items that go towards a goal. */
    planLines: sql<[string], PlanLineOfRow>(`
      SELECT l.item_id, l.uses, l.needed, p.adopted_on, p.weeks
        FROM json_each(?) j JOIN plan_line l ON l.item_id = j.value JOIN plan p ON p.id = l.plan_id WHERE p.ended_on IS NULL AND l.toward = 'goal'`),
    wearDays: sql<[string], DayOfItemRow>(`
      SELECT w.item_id, w.day FROM json_each(?) j JOIN wear w ON w.item_id = j.value ORDER BY w.item_id, w.day`),
    partDays: sql<[string], DayOfPartRow>(`
      SELECT wp.part_id, w.day FROM json_each(?) j JOIN wear_part wp ON wp.part_id = j.value JOIN wear w ON w.id = wp.wear_id
       ORDER BY wp.part_id, w.day`),
    /** Wear days: days on which makeup was worn, in order. */
    makeupDays: sql<[{ from: Day; to: Day }], { day: Day }>(`
      SELECT DISTINCT w.day FROM worn w JOIN category c ON c.id = w.category_id
       WHERE w.day BETWEEN @from AND @to AND c.makeup = 1 ORDER BY w.day`),
    /** Days with any record, makeup or not, each once, ascending. */
    recordedDays: sql<[{ since: Day }], { day: Day }>(`
      SELECT day FROM wear WHERE day >= @since UNION SELECT id FROM day_record
       WHERE id >= @since AND (no_makeup = 1 OR coalesce(skin, clothes, minutes, occasion, hands, weather, note) IS NOT NULL)
       ORDER BY day`),
    unwritten: sql<[], DayRange>('SELECT earliest, latest FROM unwritten ORDER BY earliest'),
    lowSeasons: sql<[], { from_day: string; to_day: string; factor: number }>(
      'SELECT from_day, to_day, factor FROM low_season ORDER BY from_day, id',
    ),
    wearLess: sql<[], { from_day: Day; factor: number }>(
      'SELECT from_day, factor FROM wear_less ORDER BY from_day, id',
    ),
    /** Stays in the drawer that touch a span; what is kept to look at is not reached for. */
    inReach: sql<
      [{ from: Day; to: Day }],
      { item_id: string; kind: string; seasons: string; from_day: Day; to_day: Day | null }
    >(`
      SELECT p.item_id, i.type_id AS kind, i.seasons, p.from_day, p.to_day
        FROM placement p JOIN typed_item i ON i.id = p.item_id
       WHERE p.from_day <= @to AND (p.to_day IS NULL OR p.to_day >= @from)
         AND NOT EXISTS (SELECT 1 FROM set_aside a WHERE a.item_id = i.id AND a.kind = 'keepsake')
       ORDER BY p.rowid`),
    away: sql<[], DayRange>('SELECT earliest, latest FROM away ORDER BY earliest'),
  }
}
export type StockQueries = ReturnType<typeof stockQueries>
