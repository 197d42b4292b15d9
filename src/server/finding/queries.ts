import { type Db, preparing } from '../db/query.js'

export interface FindableRow {
  id: string
  maker: string
  name: string
  shade: string
  category: string
  notes: string
  kept: string
  parts: string
  said: string
}

export interface EndingRow {
  item_id: string
  ended_as: string
  verdict: string | null
  destination: string | null
  reason: string | null
  would_buy_again: string | null
  review: string | null
}

export function findingQueries(db: Db) {
  const sql = preparing(db)
  const findable = `
      SELECT i.id, p.maker, p.name, p.shade, c.name AS category, i.notes, i.kept_text AS kept,
             coalesce((SELECT group_concat(part.name, ' ') FROM part WHERE part.item_id = i.id), '') AS parts,
             coalesce((SELECT group_concat(words, ' ') FROM review WHERE review.item_id = i.id), '') || ' ' ||
             coalesce((SELECT group_concat(reason, ' ') FROM verdict WHERE verdict.item_id = i.id), '') AS said
        FROM item i JOIN product p ON p.id = i.product_id JOIN category c ON c.id = i.category_id`
  return {
    findable: sql<[], FindableRow>(findable),
    findableOf: sql<[string], FindableRow>(`${findable} WHERE i.id IN (SELECT value FROM json_each(?))`),
    ofProducts: sql<[string], { id: string }>(
      'SELECT id FROM item WHERE product_id IN (SELECT value FROM json_each(?))',
    ),
    endings: sql<[string], EndingRow>(`
      SELECT i.id AS item_id, i.ended_as, v.verdict, v.destination, v.reason, r.would_buy_again, r.words AS review
        FROM item i
        LEFT JOIN verdict v ON v.id = (SELECT id FROM verdict WHERE item_id = i.id ORDER BY day DESC, rowid DESC LIMIT 1)
        LEFT JOIN review r ON r.id = (SELECT id FROM review WHERE item_id = i.id ORDER BY day DESC, rowid DESC LIMIT 1)
       WHERE i.ended_as IS NOT NULL AND i.id IN (SELECT value FROM json_each(?))`),
  }
}
