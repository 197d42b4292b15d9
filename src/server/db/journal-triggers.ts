import type { Db } from './open-database.js'

/** Bookkeeping tables that the journal does not watch. */
const UNWATCHED = ['migration', 'change', 'change_row', 'change_undoes']

/** The tables whose rows are journalled, with their columns as the schema has them now. */
export function watchedTables(db: Db): { name: string; columns: string[] }[] {
  const tables = db
    .prepare<[], { name: string }>(
      "SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
    )
    .all()
  return tables
    .filter(({ name }) => !UNWATCHED.includes(name))
    .map(({ name }) => ({
      name,
      columns: db
        .prepare<[string], { name: string }>('SELECT name FROM pragma_table_info(?)')
        .all(name)
        .map((column) => column.name),
    }))
}

/**
 * Makes every write to a watched table leave its before and after image in `change_row`, and
 * refuses a write outside a change. The triggers belong to this connection and are made from the
 * schema at hand, so that a migration cannot leave them behind.
 */
export function installJournalTriggers(db: Db): void {
  db.exec('CREATE TEMP TABLE open_change (id TEXT NOT NULL)')
  for (const { name, columns } of watchedTables(db)) {
    const image = (row: 'OLD' | 'NEW'): string =>
      `json_object(${columns.map((column) => `'${column}', ${row}."${column}"`).join(', ')})`
    const guard = `SELECT RAISE(ABORT, 'write outside a change') WHERE NOT EXISTS (SELECT 1 FROM open_change);`
    const note = (rowId: string, before: string, after: string): string =>
      `INSERT INTO change_row (change_id, tbl, row_id, before, after)
       SELECT id, '${name}', ${rowId}, ${before}, ${after} FROM open_change;`
    db.exec(`
      CREATE TEMP TRIGGER "${name}_added" AFTER INSERT ON main."${name}" BEGIN
        ${guard} ${note('NEW.id', 'NULL', image('NEW'))} END;
      CREATE TEMP TRIGGER "${name}_changed" AFTER UPDATE ON main."${name}" BEGIN
        ${guard} ${note('NEW.id', image('OLD'), image('NEW'))} END;
      CREATE TEMP TRIGGER "${name}_removed" AFTER DELETE ON main."${name}" BEGIN
        ${guard} ${note('OLD.id', image('OLD'), 'NULL')} END;`)
  }
}
