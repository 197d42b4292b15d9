import Database from 'better-sqlite3'
import { installJournalTriggers } from './journal-triggers.js'
import { fillDefaults } from './fill-defaults.js'
import { migrate } from './migrate.js'

export type Db = Database.Database

/**
 * Opens (and creates) the collection's database file, brings its schema up to date and switches
 * the journal on. Every acknowledged write is on the disk: WAL with `synchronous=FULL`.
 * Throws when the file is no database or was written by a newer version.
 */
export function openDatabase(file: string, options: { appliedAt: string; backUp?: (db: Db) => void }): Db {
  const db = new Database(file)
  try {
    db.pragma('journal_mode = WAL')
    db.pragma('synchronous = FULL')
    db.pragma('foreign_keys = ON')
    db.pragma('busy_timeout = 4000')
    if (migrate(db, options).fresh) fillDefaults(db)
    installJournalTriggers(db)
    return db
  } catch (error) {
    db.close()
    throw error
  }
}
