import type { Db } from './query.js'

/**
 * Views of this connection alone, so that none stays in the file. `worn`: every wear with the category it counts for, which is what
 * it was used as on the day, else what the item is used as, else what it was sold as. `typed_item`: every item with the category it
 * is used as.
 */
export function installViews(db: Db): void {
  // The cross join keeps the planner on the index of days or items: what is asked for is a small part of the log.
  db.exec(`
    CREATE TEMP VIEW worn AS
      SELECT w.id, w.item_id, w.day, coalesce(w.used_as, i.used_as, i.category_id) AS category_id
        FROM main.wear w CROSS JOIN main.item i ON i.id = w.item_id;
    CREATE TEMP VIEW typed_item AS SELECT i.*, coalesce(i.used_as, i.category_id) AS type_id FROM main.item i`)
}
