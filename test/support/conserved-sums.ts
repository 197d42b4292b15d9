import type { Db } from '#server/db/query'

/**
 * What nothing that she does with her things can make or unmake: the content by unit, rounded to a thousandth, the money in its
 * smallest unit, and the uses before the log, of all items that were ever hers. Of a blend they are counted with what it was made of.
 */
export function conservedSums(db: Db): object {
  return {
    content: db
      .prepare(
        `SELECT content_unit AS unit, round(sum(content_amount), 3) AS amount FROM item
          WHERE content_amount IS NOT NULL GROUP BY content_unit ORDER BY content_unit`,
      )
      .all(),
    money: db.prepare('SELECT sum(price_minor) AS minor FROM item').get(),
    usesBefore: db.prepare('SELECT sum(uses_before) AS uses FROM item').get(),
  }
}
