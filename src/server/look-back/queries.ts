import type { Day } from '#core/calendar/day'
import type { LetGoWhy, Destination, Verdict } from '#core/decide/verdict'
import type { PackageEvent } from '#core/measure/package-events'
import type { Source } from '#core/item/traits'
import { itemMark } from '#core/words/told'
import { type Db, preparing } from '../db/query.js'

interface Between {
  from: Day
  to: Day
}

/** An item that is or ever was there, as far as a span is told by it. */
export interface ThingRow {
  id: string
  name: string
  shade: string
  category_id: string
  worn_as: string
  price_minor: number | null
  price_said: string | null
  source: Source | null
  acquired_earliest: Day | null
  acquired_latest: Day | null
  ended_as: 'finished' | 'left' | 'blended' | null
  ended_on: Day | null
  ended_roughly: 0 | 1
  /** Made here of something else: blended, decanted or taken out of a palette. */
  made_here: 0 | 1
  keepsake: 0 | 1
}

/** What an item is called within words; nothing where it is not there. */
export function markOf(thing: ThingRow | undefined): string {
  return thing ? itemMark(thing) : ''
}

export interface KindRow {
  id: string
  name: string
  makeup: 0 | 1
  position: number
}

export interface WeightRow {
  item_id: string
  day: Day
  moment: 'before-use' | 'after-use'
  saved_at: string
  value: number | null
  resolution: number | null
}

export interface StaySpanRow {
  id: string
  item_id: string
  project_id: string
  rolled_in: Day
  rolled_out: Day | null
  out_reason: string | null
  beside: 0 | 1
}

export interface AskRow {
  id: string
  version: number
  question: string
  asked_on: Day
  answered_on: Day | null
  answer: string
  chosen_item_id: string | null
}

export function lookBackQueries(db: Db) {
  const sql = preparing(db)
  const ask = 'id, version, question, asked_on, answered_on, answer, chosen_item_id FROM ask'
  return {
    logSince: sql<[], { day: Day | null }>('SELECT min(day) AS day FROM wear'),
    /** What was worn, a row a day: ids apart by spaces, with what each was used as behind a colon. Ids hold neither. */
    wears: sql<[Between], { day: Day; worn: string }>(`
      SELECT day, group_concat(iif(used_as IS NULL, item_id, item_id || ':' || used_as), ' ') AS worn
        FROM wear WHERE day BETWEEN @from AND @to GROUP BY day ORDER BY day`),
    things: sql<[], ThingRow>(`
      SELECT i.id, p.name, p.shade, i.category_id, i.type_id AS worn_as, i.price_minor, i.price_said,
             i.source, i.acquired_earliest, i.acquired_latest, i.ended_as, i.ended_on, i.ended_roughly,
             i.origin_item_id IS NOT NULL OR EXISTS (SELECT 1 FROM blend_parent b WHERE b.item_id = i.id) AS made_here,
             EXISTS (SELECT 1 FROM set_aside a WHERE a.item_id = i.id AND a.kind = 'keepsake') AS keepsake
        FROM typed_item i JOIN product p ON p.id = i.product_id`),
    kinds: sql<[], KindRow>('SELECT id, name, makeup, position FROM category ORDER BY position'),
    days: sql<[Between], { id: Day; no_makeup: 0 | 1 }>(
      'SELECT id, no_makeup FROM day_record WHERE id BETWEEN @from AND @to',
    ),
    /** Weights up to the end of a span, of what was weighed within it. */
    weights: sql<[Between], WeightRow>(`
      SELECT m.item_id, m.day, m.moment, m.saved_at, m.value, m.resolution FROM measurement m
       WHERE m.kind = 'gross' AND m.doubtful = 0 AND m.day <= @to
         AND m.item_id IN (SELECT item_id FROM measurement WHERE kind = 'gross' AND doubtful = 0 AND day BETWEEN @from AND @to)
       ORDER BY m.item_id, m.day`),
    events: sql<[Day], { item_id: string; day: Day; saved_at: string; kind: PackageEvent }>(
      'SELECT item_id, day, saved_at, kind FROM item_event WHERE day <= ?',
    ),
    stays: sql<[Between & { projectId: string | null }], StaySpanRow>(`
      SELECT id, item_id, project_id, rolled_in, rolled_out, out_reason, beside FROM stay
       WHERE rolled_in <= @to AND (rolled_out IS NULL OR rolled_out >= @from) AND (@projectId IS NULL OR project_id = @projectId)
       ORDER BY rolled_in, rowid`),
    lastWornBy: sql<[{ ids: string; to: Day }], { id: string; day: Day | null }>(`
      SELECT value AS id, (SELECT max(day) FROM wear WHERE item_id = value AND day <= @to) AS day FROM json_each(@ids)`),
    verdicts: sql<
      [Between],
      { item_id: string; day: Day; verdict: Verdict; reason: string; started_on: Day | null; tried: 0 | 1 }
    >(`
      SELECT v.item_id, v.day, v.verdict, v.reason, t.started_on, v.trial_id IS NOT NULL AS tried
        FROM verdict v LEFT JOIN trial t ON t.id = v.trial_id WHERE v.day BETWEEN @from AND @to ORDER BY v.day, v.rowid`),
    leavings: sql<[], { item_id: string; day: Day; why: LetGoWhy | null; destination: Destination | null }>(
      "SELECT item_id, day, why, destination FROM verdict WHERE verdict = 'let go' ORDER BY day, rowid",
    ),
    pushes: sql<
      [],
      { item_id: string; over: string; project_id: string | null; category_id: string | null; since: Day }
    >(`
      SELECT push_item_id AS item_id, over, project_id, category_id, closed_on AS since FROM check_in
       WHERE closed_on IS NOT NULL AND push_item_id IS NOT NULL ORDER BY closed_on, rowid`),
    closings: sql<[], { over: string; project_id: string | null; category_id: string | null; day: Day }>(
      'SELECT over, project_id, category_id, closed_on AS day FROM check_in WHERE closed_on IS NOT NULL ORDER BY closed_on',
    ),
    daysOf: sql<[Between & { itemId: string }], { n: number }>(
      'SELECT count(*) AS n FROM wear WHERE item_id = @itemId AND day BETWEEN @from AND @to',
    ),
    reviewsOf: sql<[string], { item_id: string; again: string }>(`
      SELECT r.item_id, r.would_buy_again AS again FROM json_each(?) j JOIN review r ON r.item_id = j.value ORDER BY r.day, r.rowid`),
    photos: sql<[string], { id: string; item_id: string; day: Day }>(
      'SELECT f.id, f.item_id, f.day FROM json_each(?) j JOIN photo f ON f.item_id = j.value ORDER BY f.day, f.rowid',
    ),
    targets: sql<[], { category_id: string; items: number; by_day: Day }>(
      'SELECT category_id, items, by_day FROM target',
    ),
    lessons: sql<[Between], { id: string; words: string; kept_on: Day; struck_on: Day | null }>(`
      SELECT id, words, kept_on, struck_on FROM lesson
       WHERE kept_on BETWEEN @from AND @to OR struck_on BETWEEN @from AND @to ORDER BY kept_on, rowid`),
    words: sql<[Between], { id: string; version: number; words: string }>(
      'SELECT id, version, words FROM span_words WHERE from_day = @from AND to_day = @to',
    ),
    wordsOf: sql<[string], { id: string }>('SELECT id FROM span_words WHERE id = ?'),
    addWords: sql<[Between & { id: string; words: string }]>(
      'INSERT INTO span_words (id, from_day, to_day, words) VALUES (@id, @from, @to, @words)',
    ),
    setWords: sql<[{ id: string; words: string }]>(
      'UPDATE span_words SET words = @words, version = version + 1 WHERE id = @id',
    ),
    dropWords: sql<[string]>('DELETE FROM span_words WHERE id = ?'),
    spans: sql<[], { id: string; version: number; name: string; from_day: Day; to_day: Day | null }>(
      'SELECT id, version, name, from_day, to_day FROM look_span ORDER BY from_day DESC, rowid DESC',
    ),
    span: sql<[string], { version: number; name: string }>('SELECT version, name FROM look_span WHERE id = ?'),
    addSpan: sql<[{ id: string; name: string; from: Day; to: Day | null }]>(
      'INSERT INTO look_span (id, name, from_day, to_day) VALUES (@id, @name, @from, @to)',
    ),
    setSpan: sql<[{ id: string; name: string; from: Day; to: Day | null }]>(
      'UPDATE look_span SET name = @name, from_day = @from, to_day = @to, version = version + 1 WHERE id = @id',
    ),
    dropSpan: sql<[string]>('DELETE FROM look_span WHERE id = ?'),
    projects: sql<[], { id: string; name: string; started_on: Day; closed_on: Day | null }>(
      'SELECT id, name, started_on, closed_on FROM project ORDER BY started_on DESC, rowid DESC',
    ),
    asks: sql<[], AskRow>(`SELECT ${ask} ORDER BY asked_on DESC, rowid DESC`),
    ask: sql<[string], AskRow>(`SELECT ${ask} WHERE id = ?`),
    askItems: sql<[], { ask_id: string; item_id: string }>(
      'SELECT ask_id, item_id FROM ask_item ORDER BY ask_id, position, rowid',
    ),
    addAsk: sql<[{ id: string; question: string; askedOn: Day }]>(
      'INSERT INTO ask (id, question, asked_on) VALUES (@id, @question, @askedOn)',
    ),
    setAsk: sql<[{ id: string; question: string }]>(
      'UPDATE ask SET question = @question, version = version + 1 WHERE id = @id',
    ),
    answerAsk: sql<[{ id: string; answer: string; chosenItemId: string | null; day: Day }]>(`
      UPDATE ask SET answer = @answer, chosen_item_id = @chosenItemId, answered_on = @day, version = version + 1 WHERE id = @id`),
    dropAsk: sql<[string]>('DELETE FROM ask WHERE id = ?'),
    addAskItem: sql<[{ id: string; askId: string; itemId: string; position: number }]>(
      'INSERT INTO ask_item (id, ask_id, item_id, position) VALUES (@id, @askId, @itemId, @position)',
    ),
    dropAskItems: sql<[string]>('DELETE FROM ask_item WHERE ask_id = ?'),
    savedLooks: sql<[], { id: string; name: string; occasion: string; items: string }>(`
      SELECT f.id, f.name, f.occasion,
             (SELECT json_group_array(s.item_id) FROM saved_face_item s WHERE s.saved_face_id = f.id) AS items
        FROM saved_face f ORDER BY f.name`),
    works: sql<[string], { item_id: string; other_item_id: string }>(`
      SELECT p.item_id, p.other_item_id FROM json_each(?) j JOIN pair p ON j.value IN (p.item_id, p.other_item_id)
       WHERE p.verdict = 'works'`),
  }
}
export type LookBackQueries = ReturnType<typeof lookBackQueries>
