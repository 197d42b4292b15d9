import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { z } from 'zod'
import type { Problem } from '#contract/basic'
import { PutCollection } from '#contract/importing'
import { migrate, readMigrations } from '../db/migrate.js'
import type { Db } from '../db/query.js'
import { columnsOf } from '../db/table-columns.js'
import { exportedTables } from '../db/tables.js'
import { fail, ok, type Outcome, type Refusal } from '../failing.js'
import { problemOfInput } from '../http/problem.js'
import { COLLECTION_FILE_VERSION, collectionFile, type CollectionFile } from './file-schema.js'

export interface ReadCollection {
  readonly changeId: string
  readonly replace: boolean
  readonly tables: CollectionFile['tables']
  readonly pictures: Readonly<Record<string, string>>
  readonly picturesLeftOut: readonly string[]
}

export type CollectionReading = Outcome<ReadCollection> | { readonly ok: false; readonly problem: Problem }
export type ReadCollectionFile = (file: string, work: string) => CollectionReading | Promise<CollectionReading>

/** What every version of the file has; its rows are looked at in the schema of its version. */
const AnyVersion = z.looseObject({
  version: z.int().min(1).max(COLLECTION_FILE_VERSION),
  tables: z.record(z.string(), z.array(z.record(z.string(), z.union([z.string(), z.number(), z.null()])))),
})

/** Reads the body of a request out of a file: what it holds is checked whole, and its pictures are put into `work`. */
export const readCollectionFile: ReadCollectionFile = (file, work) => {
  let body: unknown
  try {
    body = JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    return fail('malformed-json')
  }
  const parsed = PutCollection.safeParse(body)
  if (!parsed.success) return { ok: false, problem: problemOfInput(parsed.error, body) }
  const { changeId, replace, collection } = parsed.data
  const older = AnyVersion.safeParse(collection)
  const current = older.success && older.data.version < COLLECTION_FILE_VERSION ? migrated(older.data) : ok(collection)
  if (!current.ok) return current
  const found = collectionFile().safeParse(current.value)
  if (!found.success) {
    const [first] = found.error.issues
    return unfit(first?.path.join('.') ?? '', first?.message ?? '')
  }
  const { tables, pictures, picturesLeftOut } = found.data
  // Keys of a file are no names for files.
  const places = Object.entries(pictures).map(([id, base64], n): [string, string] => {
    const place = join(work, `${n}.jpg`)
    writeFileSync(place, Buffer.from(base64, 'base64'), { mode: 0o600 })
    return [id, place]
  })
  return ok({ changeId, replace, tables, pictures: Object.fromEntries(places), picturesLeftOut })
}

/**
 * A file of an earlier version as one of today's: its rows are put into the schema that it was written from, which is that of the
 * migration with the number of its version, and go through the migrations since.
 */
function migrated(file: z.infer<typeof AnyVersion>): Outcome<object> {
  const known = readMigrations()
  const db = new Database(':memory:')
  try {
    migrate(db, { appliedAt: '', known: known.slice(0, file.version) })
    db.pragma('foreign_keys = OFF')
    const wrong = fill(db, file.tables)
    if (wrong !== null) return wrong
    migrate(db, { appliedAt: '', known })
    const rowsOf = (table: string): unknown[] =>
      db.prepare(`SELECT ${columnsOf(db, table).map(quoted).join(', ')} FROM ${quoted(table)} ORDER BY rowid`).all()
    const tables = Object.fromEntries(exportedTables().map((table) => [table, rowsOf(table)]))
    return ok({ pictures: {}, picturesLeftOut: [], ...file, version: COLLECTION_FILE_VERSION, tables })
  } catch (error) {
    // Rows that contradict each other only in a later schema.
    return unfit('tables', reasonOf(error))
  } finally {
    db.close()
  }
}

/** Puts the rows in; where the first one is that does not fit, and why. */
function fill(db: Db, tables: z.infer<typeof AnyVersion>['tables']): Refusal | null {
  for (const [table, rows] of Object.entries(tables)) {
    const columns = columnsOf(db, table)
    if (columns.length === 0 || !exportedTables().includes(table))
      return unfit(`tables.${table}`, 'there was no such table')
    for (const [at, row] of rows.entries()) {
      const where = `tables.${table}.${at}`
      const keys = Object.keys(row)
      const strange = keys.find((key) => !columns.includes(key))
      if (strange !== undefined) return unfit(`${where}.${strange}`, 'there was no such column')
      try {
        const into = `${quoted(table)} (${keys.map(quoted).join(', ')})`
        db.prepare(`INSERT INTO ${into} VALUES (${keys.map(() => '?').join(', ')})`).run(...Object.values(row))
      } catch (error) {
        return unfit(where, reasonOf(error))
      }
    }
  }
  return null
}

function unfit(where: string, why: string): Refusal {
  return fail('not-a-collection', { value: where, where, why })
}

function reasonOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error)
}

function quoted(name: string): string {
  return `"${name.replaceAll('"', '""')}"`
}
