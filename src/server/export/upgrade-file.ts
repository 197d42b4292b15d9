import Database from 'better-sqlite3'
import { COLLECTION_FILE_VERSION } from '#contract/collection-file'
import { migrate, readMigrations } from '../db/migrate.js'
import type { Db } from '../db/query.js'
import { columnsOf } from '../db/table-columns.js'
import { exportedTables } from '../db/tables.js'
import { fail, ok, type Outcome } from '../failing.js'

type Row = Record<string, unknown>

/**
 * A collection file of an earlier version as one of today's: its rows are put into the schema it was written from (a version is
 * the number of its last migration) and go through the migrations since. What is no collection file, or of a later version, is
 * given back as it is: the schema of the file says what is wrong with it.
 */
export function upgradeFile(file: unknown): Outcome<unknown> {
  if (!isRow(file) || !isRow(file['tables'])) return ok(file)
  const { version, tables } = file
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1 || version >= COLLECTION_FILE_VERSION)
    return ok(file)
  const known = readMigrations()
  const db = new Database(':memory:')
  try {
    migrate(db, { appliedAt: '', known: known.slice(0, version) })
    db.pragma('foreign_keys = OFF')
    const wrong = fill(db, tables as Row)
    if (wrong !== null) return fail('not-a-collection', wrong)
    migrate(db, { appliedAt: '', known })
    const now = Object.fromEntries(
      exportedTables().map((name) => [
        name,
        db.prepare(`SELECT ${columnsOf(db, name).map(quoted).join(', ')} FROM ${quoted(name)} ORDER BY rowid`).all(),
      ]),
    )
    return ok({
      ...file,
      version: COLLECTION_FILE_VERSION,
      tables: now,
      pictures: file['pictures'] ?? {},
      picturesLeftOut: file['picturesLeftOut'] ?? [],
    })
  } catch (error) {
    // Rows that contradict each other only in a later schema.
    return fail('not-a-collection', { where: 'tables', why: error instanceof Error ? error.message : String(error) })
  } finally {
    db.close()
  }
}

/** Puts the rows in; where the first one is that does not fit, and why. */
function fill(db: Db, tables: Row): { where: string; why: string } | null {
  const fill = db.transaction(() => {
    for (const [name, rows] of Object.entries(tables)) {
      const columns = new Set(columnsOf(db, name))
      if (columns.size === 0 || !exportedTables().includes(name))
        throw new Unfit(`tables.${name}`, 'there was no such table')
      if (!Array.isArray(rows)) throw new Unfit(`tables.${name}`, 'it is no list of rows')
      for (const [at, row] of (rows as unknown[]).entries()) {
        const where = `tables.${name}.${at}`
        if (!isRow(row)) throw new Unfit(where, 'it is no row')
        const keys = Object.keys(row)
        const strange = keys.find((key) => !columns.has(key))
        if (strange !== undefined) throw new Unfit(`${where}.${strange}`, 'there was no such column')
        try {
          db.prepare(
            `INSERT INTO ${quoted(name)} (${keys.map(quoted).join(', ')}) VALUES (${keys.map(() => '?').join(', ')})`,
          ).run(...keys.map((key) => row[key]))
        } catch (error) {
          throw new Unfit(where, error instanceof Error ? error.message : String(error))
        }
      }
    }
  })
  try {
    fill()
    return null
  } catch (error) {
    if (error instanceof Unfit) return { where: error.where, why: error.message }
    throw error
  }
}

/** A row that its schema does not take. */
class Unfit extends Error {
  constructor(
    readonly where: string,
    why: string,
  ) {
    super(why)
  }
}

function quoted(name: string): string {
  return `"${name.replaceAll('"', '""')}"`
}

function isRow(value: unknown): value is Row {
  return value !== null && typeof value === 'object' && !Array.isArray(value)
}
