import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { bringImagesAlong } from './journal-images.js'
import type { Db } from './query.js'
import { packageRoot } from './package-root.js'

export interface Migration {
  readonly number: number
  readonly name: string
  readonly sql: string
  readonly hash: string
}

/** The collection was written by a newer Seligo, or a migration was edited after it ran. */
export class SchemaMismatch extends Error {}

/**
 * Runs the numbered files of `migrations/` that this database has not seen, all of them with their bookkeeping rows and
 * `complete` in one immediate transaction: a start that is interrupted leaves nothing half made. References are switched off
 * meanwhile, so that a migration may make a table anew that others refer to, and checked before it is committed. Backs the
 * file up first when it holds anything.
 */
export function migrate(
  db: Db,
  options: {
    appliedAt: string
    backUp?: ((db: Db) => void) | undefined
    known?: readonly Migration[]
    complete?: (db: Db) => void
  },
): void {
  db.exec(`CREATE TABLE IF NOT EXISTS migration (
    number INTEGER PRIMARY KEY, name TEXT NOT NULL, hash TEXT NOT NULL, applied_at TEXT NOT NULL) STRICT`)
  const known = options.known ?? readMigrations()
  const applied = db
    .prepare<[], { number: number; name: string; hash: string }>(
      'SELECT number, name, hash FROM migration ORDER BY number',
    )
    .all()
  for (const row of applied) {
    const file = known.find((migration) => migration.number === row.number)
    if (!file)
      throw new SchemaMismatch(
        `This collection was last opened by a newer Seligo (schema ${row.number}, ${row.name}). Start that version, or restore a copy made before it.`,
      )
    if (file.hash !== row.hash)
      throw new SchemaMismatch(
        `Migration ${file.name} differs from the one this collection was made with. Nothing was changed.`,
      )
  }
  const pending = known.filter((migration) => !applied.some((row) => row.number === migration.number))
  if (pending.length > 0 && applied.length > 0) options.backUp?.(db)
  const record = db.prepare('INSERT INTO migration (number, name, hash, applied_at) VALUES (?, ?, ?, ?)')
  db.pragma('foreign_keys = OFF')
  try {
    db.transaction(() => {
      for (const migration of pending) {
        db.exec(migration.sql)
        record.run(migration.number, migration.name, migration.hash, options.appliedAt)
      }
      if (pending.length > 0 && applied.length > 0) bringImagesAlong(db)
      options.complete?.(db)
      const broken = db.pragma('foreign_key_check') as { table: string; parent: string }[]
      const [first] = broken
      if (first && pending.length > 0)
        throw new SchemaMismatch(
          `Rows of ${first.table} would refer to rows of ${first.parent} that aren’t there. Nothing was changed.`,
        )
    }).immediate()
  } finally {
    db.pragma('foreign_keys = ON')
  }
}

export function readMigrations(): Migration[] {
  const folder = join(packageRoot(), 'migrations')
  return readdirSync(folder)
    .filter((name) => name.endsWith('.sql'))
    .sort()
    .map((name) => {
      const sql = readFileSync(join(folder, name), 'utf8')
      return { number: Number(name.slice(0, 4)), name, sql, hash: createHash('sha256').update(sql).digest('hex') }
    })
}
