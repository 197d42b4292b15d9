import type { Day } from '#core/calendar/day'
import type { Location } from '#core/item/traits'
import type { PairView } from '#contract/beside-item'
import { type Db, preparing } from '../db/query.js'

export interface PairRow {
  id: string
  item_id: string
  other_item_id: string
  verdict: PairView['verdict']
  item_amount: number | null
  other_amount: number | null
  amount_unit: PairView['amountUnit']
  words: string
  target_colour: string | null
}

export interface PhotoRow {
  id: string
  item_id: string
  day: Day
  width: number
  height: number
  words: string
  content: string
}

export interface CategoryHeadRow {
  id: string
  version: number
  name: string
  zone_id: string
  usual_form: string
  model_type: string
  makeup: 0 | 1
  eye: 0 | 1
  lip: 0 | 1
}

export function careQueries(db: Db) {
  const sql = preparing(db)
  return {
    pairsOf: sql<[{ id: string }], PairRow>(`
      SELECT id, item_id, other_item_id, verdict, item_amount, other_amount, amount_unit, words, target_colour FROM pair
       WHERE item_id = @id OR other_item_id = @id ORDER BY verdict, rowid`),
    dropPairBetween: sql<[{ a: string; b: string }]>(
      'DELETE FROM pair WHERE (item_id = @a AND other_item_id = @b) OR (item_id = @b AND other_item_id = @a)',
    ),
    addPair: sql(`
      INSERT INTO pair (id, item_id, other_item_id, verdict, item_amount, other_amount, amount_unit, words, target_colour)
      VALUES (@id, @itemId, @otherItemId, @verdict, @itemAmount, @otherAmount, @amountUnit, @words, @targetColour)`),
    pair: sql<[string], { item_id: string; other_item_id: string }>(
      'SELECT item_id, other_item_id FROM pair WHERE id = ?',
    ),
    dropPair: sql<[string]>('DELETE FROM pair WHERE id = ?'),
    setOpened: sql(`
      UPDATE item SET opened_kind = @kind, opened_earliest = @earliest, opened_latest = @latest, opened_said = @said,
             opened_by = 'she', version = version + 1
       WHERE id = @id`),
    setColour: sql<[{ id: string; colour: string }]>(
      'UPDATE item SET colour = @colour, version = version + 1 WHERE id = @id',
    ),
    setPartColour: sql<[{ id: string; itemId: string; colour: string }]>(
      'UPDATE part SET colour = @colour WHERE id = @id AND item_id = @itemId',
    ),
    setLocation: sql<[{ id: string; location: Location; until: Day | null }]>(
      'UPDATE item SET location = @location, location_until = @until, version = version + 1 WHERE id = @id',
    ),
    addPhoto: sql<[{ id: string; itemId: string; day: Day; width: number; height: number; content: string }]>(`
      INSERT INTO photo (id, item_id, day, width, height, content) VALUES (@id, @itemId, @day, @width, @height, @content)`),
    photosOf: sql<[string], PhotoRow>(
      'SELECT id, item_id, day, width, height, words, content FROM photo WHERE item_id = ? ORDER BY day DESC, rowid DESC',
    ),
    photo: sql<[string], PhotoRow>('SELECT id, item_id, day, width, height, words, content FROM photo WHERE id = ?'),
    photoContents: sql<[], { content: string }>('SELECT content FROM photo'),
    /** When the last row that named a picture was taken away or changed; nothing where none ever did. */
    lastNamed: sql<[string], { at: string }>(`
      SELECT max(c.made_at) AS at FROM change_row r JOIN change c ON c.id = r.change_id
       WHERE r.tbl = 'photo' AND json_extract(r.before, '$.content') = ?`),
    panOnPhoto: sql<[string], { id: string }>('SELECT id FROM pan_reading WHERE photo_id = ? LIMIT 1'),
    dropPhoto: sql<[string]>('DELETE FROM photo WHERE id = ?'),
    categoryByName: sql<[string], { id: string }>('SELECT id FROM category WHERE name = ? COLLATE NOCASE'),
    category: sql<[string], CategoryHeadRow>(
      'SELECT id, version, name, zone_id, usual_form, model_type, makeup, eye, lip FROM category WHERE id = ?',
    ),
    zone: sql<[string], { id: string }>('SELECT id FROM zone WHERE id = ?'),
    addCategory: sql(`
      INSERT INTO category (id, name, position, makeup, zone_id, usual_form, model_type, eye, lip)
      VALUES (@id, @name, (SELECT max(position) + 1 FROM category), @makeup, @zoneId, @usualForm, @modelType, @eye, @lip)`),
    editCategory: sql(`
      UPDATE category SET name = @name, makeup = @makeup, zone_id = @zoneId, usual_form = @usualForm,
             model_type = @modelType, eye = @eye, lip = @lip, version = version + 1
       WHERE id = @id`),
  }
}
