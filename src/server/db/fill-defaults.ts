import { CATEGORY_DEFAULTS, ZONE_DEFAULTS } from '#core/item/category-defaults'
import type { Db } from './query.js'

/**
 * Puts the default zones and categories into a collection that has none: a new one, or one that an interrupted first start
 * left without them. What it starts from, not a change of the user's. To be called within a transaction.
 */
export function completeDefaults(db: Db): void {
  const empty = (table: string): boolean => db.prepare(`SELECT 1 FROM "${table}" LIMIT 1`).get() === undefined
  if (!empty('zone') || !empty('category')) return
  const zone = db.prepare('INSERT INTO zone (id, name, slots, position) VALUES (@id, @name, @slots, @position)')
  const category = db.prepare(
    `INSERT INTO category (id, name, position, makeup, zone_id, usual_form, model_type, eye, lip, words)
     VALUES (@id, @name, @position, @makeup, @zone, @form, @type, @eye, @lip, @words)`,
  )
  ZONE_DEFAULTS.forEach((row, position) => zone.run({ ...row, position }))
  CATEGORY_DEFAULTS.forEach((row, position) =>
    category.run({
      ...row,
      position,
      makeup: Number(row.makeup),
      eye: Number(row.eye),
      lip: Number(row.lip),
      words: JSON.stringify(row.words),
    }),
  )
}
