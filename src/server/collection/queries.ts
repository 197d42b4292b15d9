import { columnsOfFields } from '../stock/item-columns.js'
import type { Day } from '#core/calendar/day'
import type { Form } from '#core/item/form'
import type { ModelType } from '#core/item/model-type'
import { type Db, preparing } from '../db/query.js'

export interface CategoryRow {
  id: string
  name: string
  makeup: 0 | 1
  zone_id: string
  usual_form: Form
  eye: 0 | 1
  lip: 0 | 1
  model_type: ModelType
  version: number
}

const FIELD_COLUMNS = columnsOfFields()

export function collectionQueries(db: Db) {
  const sql = preparing(db)
  return {
    categories: sql<[], CategoryRow>(
      'SELECT id, name, makeup, zone_id, usual_form, eye, lip, model_type, version FROM category ORDER BY position, id',
    ),
    zones: sql<[], { id: string; name: string; slots: number }>(
      'SELECT id, name, slots FROM zone ORDER BY position, id',
    ),
    findProduct: sql<[{ maker: string; name: string; shade: string }], { id: string }>(
      'SELECT id FROM product WHERE maker = @maker AND name = @name AND shade = @shade',
    ),
    addProduct: sql('INSERT INTO product (id, maker, name, shade) VALUES (@id, @maker, @name, @shade)'),
    dropUnusedProduct: sql<[{ id: string }]>(
      'DELETE FROM product WHERE id = @id AND NOT EXISTS (SELECT 1 FROM item WHERE product_id = @id)',
    ),
    addItem: sql(`
      INSERT INTO item (id, product_id, price_said, opened_by, kept_text, added_on, ${FIELD_COLUMNS.join(', ')})
      VALUES (@id, @productId, @priceSaid, @openedBy, @keptText, @addedOn, ${FIELD_COLUMNS.map((c) => `@${c}`).join(', ')})`),
    editItem: sql(`
      UPDATE item SET product_id = @productId, opened_by = @openedBy, version = version + 1,
             ${FIELD_COLUMNS.map((c) => `${c} = @${c}`).join(', ')}
       WHERE id = @id`),
    addMark: sql<[{ id: string; itemId: string; identity: string }]>(
      'INSERT INTO import_mark (id, item_id, identity) VALUES (@id, @itemId, @identity)',
    ),
    moveReviews: sql<[{ itemId: string; productId: string }]>(
      'UPDATE review SET product_id = @productId, version = version + 1 WHERE item_id = @itemId',
    ),
    /** Another item that owns a shade of this id. */
    partOwner: sql<[{ id: string; itemId: string }], { item_id: string }>(
      'SELECT item_id FROM part WHERE id = @id AND item_id <> @itemId',
    ),
    itemHead: sql<
      [string],
      {
        id: string
        version: number
        product_id: string
        opened_by: 'she' | 'sheet'
        kept_text: string
      }
    >('SELECT id, version, product_id, opened_by, kept_text FROM item WHERE id = ?'),
    openItem: sql<[{ id: string; day: Day }]>(`
      UPDATE item SET opened_kind = 'range', opened_earliest = @day, opened_latest = @day, opened_said = @day,
             opened_by = 'she', version = version + 1
       WHERE id = @id AND opened_kind = 'unopened'`),
    sign: sql<[string], { sign_day: Day | null; sign_words: string | null }>(
      'SELECT sign_day, sign_words FROM item WHERE id = ?',
    ),
    recordSign: sql<[{ id: string; day: Day; words: string }]>(
      'UPDATE item SET sign_day = @day, sign_words = @words, version = version + 1 WHERE id = @id',
    ),
    partIds: sql<[string], { id: string }>('SELECT id FROM part WHERE item_id = ?'),
    putPart: sql(`
      INSERT INTO part (id, item_id, name, colour, finish, row, col, row_span, col_span, shape, form)
      VALUES (@id, @itemId, @name, @colour, @finish, @row, @col, @rowSpan, @colSpan, @shape, @form)
      ON CONFLICT (id) DO UPDATE SET name = @name, colour = @colour, finish = @finish, row = @row, col = @col,
             row_span = @rowSpan, col_span = @colSpan, shape = @shape, form = @form, version = version + 1
       WHERE item_id = @itemId`),
    partInUse: sql<[{ id: string }], { n: number }>(`
      SELECT (SELECT count(*) FROM wear_part WHERE part_id = @id) + (SELECT count(*) FROM measurement WHERE part_id = @id)
           + (SELECT count(*) FROM stay WHERE part_id = @id) + (SELECT count(*) FROM photo WHERE part_id = @id)
           + (SELECT count(*) FROM item_event WHERE part_id = @id) AS n`),
    dropPart: sql<[string]>('DELETE FROM part WHERE id = ?'),
    lastLook: sql<[string], { day: Day; moment: 'before-use' | 'after-use' }>(
      'SELECT day, moment FROM measurement WHERE item_id = ? ORDER BY day DESC, moment, saved_at DESC, rowid DESC LIMIT 1',
    ),
    wearDays: sql<[string], { day: Day }>('SELECT day FROM wear WHERE item_id = ? ORDER BY day'),
    events: sql<[{ id: string }], { day: Day; kind: string; words: string }>(`
      SELECT s.rolled_in AS day, 'rolled in' AS kind, p.name AS words FROM stay s JOIN project p ON p.id = s.project_id WHERE s.item_id = @id
      UNION ALL
      SELECT s.rolled_out, 'rolled out', p.name || ' · ' || s.out_reason FROM stay s JOIN project p ON p.id = s.project_id
       WHERE s.item_id = @id AND s.rolled_out IS NOT NULL
      UNION ALL
      SELECT pl.from_day, 'into drawer', z.name FROM placement pl JOIN zone z ON z.id = pl.zone_id WHERE pl.item_id = @id
      UNION ALL
      SELECT pl.to_day, 'out of drawer', z.name FROM placement pl JOIN zone z ON z.id = pl.zone_id
       WHERE pl.item_id = @id AND pl.to_day IS NOT NULL
      UNION ALL
      SELECT t.started_on, 'trial', t.wears_wanted || ' wears' FROM trial t WHERE t.item_id = @id
      UNION ALL
      SELECT v.day, 'verdict', v.verdict || CASE WHEN v.reason = '' THEN '' ELSE ' · ' || v.reason END FROM verdict v WHERE v.item_id = @id
      UNION ALL
      SELECT r.day, 'finished', r.words FROM review r WHERE r.item_id = @id
      ORDER BY 1 DESC`),
  }
}
