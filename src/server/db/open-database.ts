import { existsSync, renameSync, rmSync, statSync } from 'node:fs'
import Database from 'better-sqlite3'
import { installJournalTriggers } from './journal-triggers.js'
import { completeDefaults } from './fill-defaults.js'
import { migrate } from './migrate.js'

export type Db = Database.Database

/** The file is there, but nothing in it is a collection. */
export class NoCollection extends Error {}

/**
 * Opens the collection's database file, brings its schema up to date and switches the journal on. Every acknowledged write is
 * on the disk: WAL with `synchronous=FULL`. A new collection is made beside the file and put in its place complete, so that a
 * start that is interrupted leaves nothing; one that an earlier version left without its categories is completed. Throws when
 * the file is empty or damaged, no database, somebody else's, or was written by a newer version.
 */
export function openDatabase(file: string, options: { appliedAt: string; backUp?: (db: Db) => void }): Db {
  if (!existsSync(file)) makeNew(file, options.appliedAt)
  if (statSync(file).size === 0) throw new NoCollection('The file is empty.')
  const db = new Database(file)
  try {
    if (isForeign(db)) throw new NoCollection('It is a database of another program.')
    db.pragma('journal_mode = WAL')
    db.pragma('synchronous = FULL')
    db.pragma('busy_timeout = 4000')
    migrate(db, { ...options, complete: completeDefaults })
    installJournalTriggers(db)
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

/** Tables there are, but none of ours. */
function isForeign(db: Db): boolean {
  const names = db
    .prepare<[], { name: string }>("SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
    .all()
    .map((row) => row.name)
  return names.length > 0 && !names.includes('migration')
}
