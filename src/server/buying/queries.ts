import type { Day } from '#core/calendar/day'
import type { LessonPrompt, LessonRule } from '#core/decide/lessons'
import type { Form } from '#core/item/form'
import type { ModelType } from '#core/item/model-type'
import type { Finish } from '#core/item/traits'
import type { EmptyView } from '#contract/ending'
import { type Db, preparing } from '../db/query.js'

export interface WishRow {
  id: string
  version: number
  category_id: string
  category: string
  maker: string
  name: string
  shade: string
  colour: string | null
  finish: Finish | null
  price_minor: number | null
  reason: string
  wished_on: Day
  wait_until: Day | null
  ended_as: 'bought' | 'dropped' | null
  ended_on: Day | null
  item_id: string | null
}

export interface RuleRow {
  id: string
  from_day: Day
  to_day: Day
  most: number
  category_id: string | null
  category: string | null
  spares_replacements: 0 | 1
  words: string
}

export interface ExceptionRow {
  buying_rule_id: string
  category_id: string
  category: string
  most: number
  words: string
}

export interface LessonRow {
  id: string
  words: string
  prompted_by: LessonPrompt
  rule: LessonRule | null
  about: string | null
  count: number | null
  item_id: string | null
  category_id: string | null
  kept_on: Day
  struck_on: Day | null
  span_from: Day | null
  span_to: Day | null
}

export function buyingQueries(db: Db) {
  const sql = preparing(db)
  const wish = `w.id, w.version, w.category_id, c.name AS category, w.maker, w.name, w.shade, w.colour, w.finish, w.price_minor,
    w.reason, w.wished_on, w.wait_until, w.ended_as, w.ended_on, w.item_id`
  return {
    wishes: sql<[], WishRow>(
      `SELECT ${wish} FROM wish w JOIN category c ON c.id = w.category_id ORDER BY w.wished_on DESC, w.rowid DESC`,
    ),
    wish: sql<[string], WishRow>(`SELECT ${wish} FROM wish w JOIN category c ON c.id = w.category_id WHERE w.id = ?`),
    addWish: sql(`
      INSERT INTO wish (id, category_id, maker, name, shade, colour, finish, price_minor, reason, wished_on, wait_until)
      VALUES (@id, @categoryId, @maker, @name, @shade, @colour, @finish, @priceMinor, @reason, @wishedOn, @waitUntil)`),
    editWish: sql(`
      UPDATE wish SET category_id = @categoryId, maker = @maker, name = @name, shade = @shade, colour = @colour, finish = @finish,
             price_minor = @priceMinor, reason = @reason, wait_until = @waitUntil, version = version + 1
       WHERE id = @id`),
    endWish: sql<[{ id: string; as: 'bought' | 'dropped'; day: Day; itemId: string | null }]>(
      'UPDATE wish SET ended_as = @as, ended_on = @day, item_id = @itemId, version = version + 1 WHERE id = @id',
    ),
    category: sql<[string], { id: string; name: string; usual_form: Form; model_type: ModelType; eye: 0 | 1 }>(
      'SELECT id, name, usual_form, model_type, eye FROM category WHERE id = ?',
    ),
    rules: sql<[], RuleRow>(`
      SELECT r.id, r.from_day, r.to_day, r.most, r.category_id, c.name AS category, r.spares_replacements, r.words
        FROM buying_rule r LEFT JOIN category c ON c.id = r.category_id ORDER BY r.to_day DESC, r.rowid DESC`),
    rule: sql<[string], { id: string }>('SELECT id FROM buying_rule WHERE id = ?'),
    addRule: sql(`
      INSERT INTO buying_rule (id, from_day, to_day, most, category_id, spares_replacements, words)
      VALUES (@id, @from, @to, @most, @categoryId, @spares, @words)`),
    dropRule: sql<[string]>('DELETE FROM buying_rule WHERE id = ?'),
    exceptions: sql<[], ExceptionRow>(`
      SELECT e.buying_rule_id, e.category_id, c.name AS category, e.most, e.words
        FROM buying_exception e JOIN category c ON c.id = e.category_id ORDER BY c.position`),
    exception: sql<[string], { id: string }>('SELECT id FROM buying_exception WHERE id = ?'),
    addException: sql<[{ id: string; ruleId: string; categoryId: string; most: number; words: string }]>(`
      INSERT INTO buying_exception (id, buying_rule_id, category_id, most, words)
      VALUES (@id, @ruleId, @categoryId, @most, @words)`),
    dropExceptions: sql<[string]>('DELETE FROM buying_exception WHERE buying_rule_id = ?'),
    /** What came, by money or by ways nobody said; the rest was no purchase. */
    came: sql<[], { id: string; category_id: string; earliest: Day; latest: Day; source: 'bought' | null }>(`
      SELECT id, category_id, acquired_earliest AS earliest, acquired_latest AS latest, source FROM item
       WHERE acquired_earliest IS NOT NULL AND acquired_latest IS NOT NULL AND (source = 'bought' OR source IS NULL)
         AND origin_item_id IS NULL AND NOT EXISTS (SELECT 1 FROM blend_parent b WHERE b.item_id = item.id)`),
    finished: sql<[], { category_id: string; day: Day }>(
      "SELECT category_id, ended_on AS day FROM item WHERE ended_as = 'finished' AND ended_roughly = 0 ORDER BY ended_on",
    ),
    reviews: sql<
      [],
      {
        item_id: string
        product_id: string
        would_buy_again: NonNullable<EmptyView['wouldBuyAgain']>
        again_why: string
      }
    >(`
      SELECT r.item_id, r.product_id, r.would_buy_again, r.again_why FROM review r
       WHERE r.id = (SELECT o.id FROM review o WHERE o.product_id = r.product_id ORDER BY o.day DESC, o.rowid DESC LIMIT 1)`),
    present: sql<[], { product_id: string }>('SELECT DISTINCT product_id FROM item WHERE ended_as IS NULL'),
    endings: sql<
      [],
      { id: string; category_id: string; maker: string; how: 'finished' | 'left'; again: string | null }
    >(`
      SELECT i.id, i.category_id, p.maker, i.ended_as AS how,
             (SELECT r.would_buy_again FROM review r WHERE r.item_id = i.id ORDER BY r.day DESC, r.rowid DESC LIMIT 1) AS again
        FROM item i JOIN product p ON p.id = i.product_id WHERE i.ended_as IN ('finished', 'left')`),
    categoryNames: sql<[], { id: string; name: string }>('SELECT id, name FROM category'),
    loggedSince: sql<[], { day: Day | null }>('SELECT min(day) AS day FROM wear'),
    lessons: sql<[], LessonRow>(`
      SELECT id, words, prompted_by, rule, about, count, item_id, category_id, kept_on, struck_on, span_from, span_to
        FROM lesson ORDER BY kept_on DESC, rowid DESC`),
    lesson: sql<[string], LessonRow>(
      'SELECT id, words, prompted_by, rule, about, count, item_id, category_id, kept_on, struck_on, span_from, span_to FROM lesson WHERE id = ?',
    ),
    lessonAbout: sql<[{ rule: LessonRule; about: string }], LessonRow>(`
      SELECT id, words, prompted_by, rule, about, count, item_id, category_id, kept_on, struck_on, span_from, span_to
        FROM lesson WHERE rule = @rule AND about = @about`),
    addLesson: sql(`
      INSERT INTO lesson (id, words, prompted_by, rule, about, count, item_id, category_id, kept_on, struck_on, span_from, span_to)
      VALUES (@id, @words, @promptedBy, @rule, @about, @count, @itemId, @categoryId, @keptOn, @struckOn, @spanFrom, @spanTo)`),
    keepAgain: sql<[{ id: string; words: string; count: number; keptOn: Day; struckOn: Day | null }]>(`
      UPDATE lesson SET words = @words, count = @count, kept_on = @keptOn, struck_on = @struckOn, version = version + 1
       WHERE id = @id`),
    strike: sql<[{ id: string; day: Day | null }]>(
      'UPDATE lesson SET struck_on = @day, version = version + 1 WHERE id = @id',
    ),
  }
}
