import type { Db } from './query.js'
import { columnsOf } from './table-columns.js'
import { TABLES } from './tables.js'

/**
 * Makes every write to a recorded table leave its before and after image in `change_row`, and refuses a write outside a
 * change; what is kept as shown can be added to and nothing else. The triggers belong to this connection and are made from
 * the schema at hand, so that a migration cannot leave them behind.
 */
export function installJournalTriggers(db: Db, tables = TABLES): void {
  db.exec('CREATE TEMP TABLE open_change (id TEXT NOT NULL)')
  for (const [name, entry] of Object.entries(tables)) {
    if (entry.class === 'kept as shown') keepAsShown(db, name)
    if (entry.class === 'recorded') watch(db, name)
  }
}

function watch(db: Db, name: string): void {
  const columns = columnsOf(db, name)
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

function keepAsShown(db: Db, name: string): void {
  for (const act of ['UPDATE', 'DELETE'])
    db.exec(`CREATE TEMP TRIGGER "${name}_${act.toLowerCase()}_refused" BEFORE ${act} ON main."${name}" BEGIN
      SELECT RAISE(ABORT, 'what was shown stays as shown'); END;`)
}
