import { copyFileSync, existsSync, mkdtempSync, renameSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { installJournalTriggers } from './journal-triggers.js'
import type { Db } from './query.js'
import { completeDefaults } from './fill-defaults.js'
import { fileFaultOf } from './health.js'
import { installViews } from './views.js'
import { migrate, readMigrations, SchemaMismatch } from './migrate.js'

export interface Opening {
  readonly appliedAt: string
  readonly backUp?: (db: Db) => void
}

/** The file is there, but nothing in it is a collection. */
export class NoCollection extends Error {}

/**
 * Opens the collection's database file, brings its schema up to date and switches the journal on. Every acknowledged write is
 * on the disk: WAL with `synchronous=FULL`. A new collection is made beside the file and put in its place complete, so that a
 * start that is interrupted leaves nothing; one that an earlier version left without its categories is completed. Throws when
 * the file is empty or damaged, no database, somebody else's, or was written by a newer version.
 */
export function openDatabase(file: string, options: Opening): Db {
  try {
    return openForWriting(file, options)
  } catch (error) {
    const reading = fileFaultOf(error) === 'unwritable' && existsSync(file) ? openForReading(file) : null
    if (reading === null) throw error
    return reading
  }
}

/** Where the file or its folder cannot be written: as it stands, to be looked at. Null where not even that can be. */
function openForReading(file: string): Db | null {
  const known = readMigrations()
  for (const place of [() => file, () => besideItself(file)])
    try {
      const db = new Database(place(), { readonly: true })
      try {
        const applied = db.prepare<[], { n: number }>('SELECT count(*) AS n FROM migration').get()?.n
        // One of an earlier schema has to be brought up to date first, which is writing.
        if (applied !== known.length) throw new SchemaMismatch('It’s of an earlier schema.')
        installJournalTriggers(db)
        installViews(db)
        return db
      } catch (error) {
        db.close()
        if (error instanceof SchemaMismatch) return null
      }
    } catch {
      // Perhaps the other way.
    }
  return null
}

/** A copy where temporary files go: the log of a database cannot be read where nothing may be written beside it. */
function besideItself(file: string): string {
  const copy = join(mkdtempSync(join(tmpdir(), 'seligo-reading-')), 'collection.db')
  for (const end of ['', '-wal']) if (existsSync(`${file}${end}`)) copyFileSync(`${file}${end}`, `${copy}${end}`)
  // Its log is taken into it, so that it can be read alone.
  const db = new Database(copy)
  db.pragma('journal_mode = DELETE')
  db.close()
  return copy
}

function openForWriting(file: string, options: Opening): Db {
  if (!existsSync(file)) makeNew(file, options.appliedAt)
  if (statSync(file).size === 0) throw new NoCollection('The file is empty.')
  const db = new Database(file)
  try {
    if (isForeign(db)) throw new NoCollection('It’s a database of another program.')
    db.pragma('journal_mode = WAL')
    db.pragma('synchronous = FULL')
    // On macOS a plain sync may stop in the cache of the disk; elsewhere this changes nothing.
    db.pragma('fullfsync = 1')
    db.pragma('checkpoint_fullfsync = 1')
    db.pragma('busy_timeout = 4000')
    migrate(db, { ...options, complete: completeDefaults })
    installJournalTriggers(db)
    installViews(db)
    return db
  } catch (error) {
    db.close()
    throw error
  }
}

function makeNew(file: string, appliedAt: string): void {
  const making = `${file}.making`
  for (const rest of [making, `${making}-journal`]) rmSync(rest, { force: true })
  const db = new Database(making)
  migrate(db, { appliedAt, complete: completeDefaults })
  db.close()
  renameSync(making, file)
}

function isForeign(db: Db): boolean {
  const names = db
    .prepare<[], { name: string }>("SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
    .all()
    .map((row) => row.name)
  return names.length > 0 && !names.includes('migration')
}
