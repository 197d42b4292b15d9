import type { Db } from './query.js'
import { columnsOf } from './table-columns.js'
import { tablesOf } from './tables.js'

type Image = Record<string, string | number | null>

/**
 * Brings the journal's images to the schema at hand, after migrations and within their transaction: a column that is new gets its
 * default, one that is gone goes; the last image of a row is the row as it stands; a row that a migration took away has none. What
 * a migration says differently of older rows it says of their images itself.
 */
export function bringImagesAlong(db: Db): void {
  for (const table of tablesOf('recorded')) {
    const columns = columnsOf(db, table)
    if (columns.length === 0) continue
    reshape(db, table, columns)
    const row = `json_object(${columns.map((column) => `'${column}', t."${column}"`).join(', ')})`
    const last = `SELECT max(seq) FROM change_row WHERE tbl = '${table}' GROUP BY row_id`
    db.exec(`
      DELETE FROM change_row WHERE tbl = '${table}' AND row_id IN (
        SELECT row_id FROM change_row WHERE seq IN (${last}) AND after IS NOT NULL AND row_id NOT IN (SELECT id FROM "${table}"));
      UPDATE change_row SET after = (SELECT ${row} FROM "${table}" t WHERE t.id = row_id)
       WHERE seq IN (${last}) AND after IS NOT NULL
         AND after <> (SELECT ${row} FROM "${table}" t WHERE t.id = row_id)`)
  }
}

/** Images that hold other columns than the table has now, written anew. */
function reshape(db: Db, table: string, columns: readonly string[]): void {
  const defaults: Image = Object.fromEntries(
    db
      .prepare<[string], { name: string; value: string | null }>(
        'SELECT name, dflt_value AS value FROM pragma_table_info(?)',
      )
      .all(table)
      .map(({ name, value }) => [name, value === null ? null : literal(db, value)]),
  )
  const keys = (image: string): string => `(SELECT group_concat(key) FROM json_each(${image}))`
  const other = db
    .prepare<[{ table: string; keys: string }], { seq: number; before: string | null; after: string | null }>(
      `SELECT seq, before, after FROM change_row
        WHERE tbl = @table AND (${keys('before')} <> @keys OR ${keys('after')} <> @keys)`,
    )
    .all({ table, keys: columns.join(',') })
  const put = db.prepare<[{ seq: number; before: string | null; after: string | null }]>(
    'UPDATE change_row SET before = @before, after = @after WHERE seq = @seq',
  )
  const shaped = (image: string | null): string | null => {
    if (image === null) return null
    const was = JSON.parse(image) as Image
    return JSON.stringify(
      Object.fromEntries(columns.map((column) => [column, column in was ? was[column] : defaults[column]])),
    )
  }
  for (const { seq, before, after } of other) put.run({ seq, before: shaped(before), after: shaped(after) })
}

/** A default as SQLite keeps it: the text of an expression. */
function literal(db: Db, expression: string): string | number | null {
  return db.prepare<[], { value: string | number | null }>(`SELECT ${expression} AS value`).get()?.value ?? null
}
