import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Db } from './open-database.js'
import { packageRoot } from './package-root.js'

interface Migration {
  readonly number: number
  readonly name: string
  readonly sql: string
  readonly hash: string
}

/** The collection was written by a newer Seligo, or a migration was edited after it ran. */
export class SchemaMismatch extends Error {}

/**
 * Runs the numbered files of `migrations/` that this database has not seen, each with its
 * bookkeeping row in one immediate transaction. Backs the file up first when it holds anything.
 * `fresh` = there was no collection before.
 */
export function migrate(db: Db, options: { appliedAt: string; backUp?: (db: Db) => void }): { fresh: boolean } {
  db.exec(`CREATE TABLE IF NOT EXISTS migration (
    number INTEGER PRIMARY KEY, name TEXT NOT NULL, hash TEXT NOT NULL, applied_at TEXT NOT NULL) STRICT`)
  const known = readMigrations()
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
  if (pending.length === 0) return { fresh: false }
  if (applied.length > 0) options.backUp?.(db)
  const record = db.prepare('INSERT INTO migration (number, name, hash, applied_at) VALUES (?, ?, ?, ?)')
  for (const migration of pending)
    db.transaction(() => {
      db.exec(migration.sql)
      record.run(migration.number, migration.name, migration.hash, options.appliedAt)
    }).immediate()
  return { fresh: applied.length === 0 }
}

/** The migration files in order of their numbers. */
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
