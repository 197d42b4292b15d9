import type { Db } from './query.js'

export function columnsOf(db: Db, table: string): string[] {
  return db
    .prepare<[string], { name: string }>('SELECT name FROM pragma_table_info(?)')
    .all(table)
    .map((column) => column.name)
}

/** A column of a table that refers to a row of another (or the same) one. */
export interface Reference {
  readonly child: string
  readonly column: string
  readonly parent: string
}

export function referencesOf(db: Db, tables: readonly string[]): Reference[] {
  const list = db.prepare<[string], { parent: string; column: string }>(
    'SELECT "table" AS parent, "from" AS "column" FROM pragma_foreign_key_list(?)',
  )
  return tables.flatMap((child) => list.all(child).map(({ parent, column }) => ({ child, column, parent })))
}
