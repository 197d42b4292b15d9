import { createHash } from 'node:crypto'
import { closeSync, existsSync, openSync, readSync, rmSync, statSync } from 'node:fs'
import { dirname, join } from 'node:path'
import Database from 'better-sqlite3'
import { fileFaultOf } from '../db/health.js'
import { columnsOf } from '../db/table-columns.js'

export interface CopyFacts {
  readonly items: number
  readonly wears: number
  readonly pictures: number
  /** Pictures it names that lie in no folder any more. */
  readonly picturesGone: number
  readonly bytes: number
  /** SHA-256 of its bytes, in hexadecimal; empty where it cannot be read. */
  readonly sha256: string
  /** Null when it is sound; else what is wrong with it, in words. */
  readonly wrong: string | null
}

/**
 * Reads a copy through: it opens, is whole page by page (`integrity_check`), every reference leads somewhere, and its rows are
 * counted. Never throws; what cannot be read says why.
 */
export function factsOf(file: string): CopyFacts {
  const nothing = {
    items: 0,
    wears: 0,
    pictures: 0,
    picturesGone: 0,
    bytes: statSync(file, { throwIfNoEntry: false })?.size ?? 0,
    sha256: hashOf(file),
  }
  let db: Database.Database
  try {
    db = new Database(file, { readonly: true, fileMustExist: true })
  } catch (error) {
    return { ...nothing, wrong: `it can’t be opened: ${wordsOf(error)}` }
  }
  try {
    const whole = db.pragma('integrity_check(1)', { simple: true })
    if (whole !== 'ok') return { ...nothing, wrong: `its pages are damaged: ${String(whole).slice(0, 120)}` }
    if (columnsOf(db, 'item').length === 0) return { ...nothing, wrong: 'it holds no collection' }
    // Seligo makes none that stay in the file: one would do its own with whatever is written.
    const strange = db
      .prepare<[], { name: string }>("SELECT name FROM sqlite_schema WHERE type IN ('trigger', 'view')")
      .get()
    if (strange) return { ...nothing, wrong: `it holds ${strange.name.slice(0, 60)}, which is none of Seligo’s` }
    // A copy of an earlier schema is as sound as one of this: what it does not know yet is none.
    const count = (table: string): number =>
      columnsOf(db, table).length === 0
        ? 0
        : (db.prepare<[], { n: number }>(`SELECT count(*) AS n FROM "${table}"`).get()?.n ?? 0)
    const contents = columnsOf(db, 'photo').includes('content')
      ? db.prepare<[], { content: string }>('SELECT DISTINCT content FROM photo').all()
      : []
    const facts = {
      ...nothing,
      items: count('item'),
      wears: count('wear'),
      pictures: count('photo'),
      picturesGone: contents.filter(({ content }) => !liesSomewhere(file, content)).length,
    }
    const loose = db.pragma('foreign_key_check') as { table: string; parent: string }[]
    return {
      ...facts,
      wrong: loose[0] ? `a row of ${loose[0].table} leads to one of ${loose[0].parent} that isn’t there` : null,
    }
  } catch (error) {
    return { ...nothing, wrong: `it can’t be read: ${wordsOf(error)}` }
  } finally {
    db.close()
    leaveNothingBeside(file)
  }
}

/** Piece by piece: a copy may be larger than what memory is kept for it. */
function hashOf(file: string): string {
  const hash = createHash('sha256')
  try {
    const handle = openSync(file, 'r')
    try {
      const piece = Buffer.alloc(1 << 20)
      for (let read = 1; read > 0;) {
        read = readSync(handle, piece)
        hash.update(piece.subarray(0, read))
      }
    } finally {
      closeSync(handle)
    }
    return hash.digest('hex')
  } catch {
    return ''
  }
}

/**
 * Whether the collection that is open is whole, page by page; what is wrong with it in words, or null. Only reads, beside whoever
 * writes.
 */
export function wrongWith(file: string): string | null {
  try {
    const db = new Database(file, { readonly: true, fileMustExist: true })
    try {
      const whole = db.pragma('integrity_check(1)', { simple: true })
      return whole === 'ok' ? null : String(whole).slice(0, 120)
    } finally {
      db.close()
    }
  } catch (error) {
    // A file that nobody can open just now is not for that damaged.
    return fileFaultOf(error) === 'damaged' ? wordsOf(error) : null
  }
}

/** A copy that was made with a log of its own leaves an empty one behind when it is only read. */
export function leaveNothingBeside(file: string): void {
  if ((statSync(`${file}-wal`, { throwIfNoEntry: false })?.size ?? 0) > 0) return
  for (const beside of ['-wal', '-shm']) rmSync(`${file}${beside}`, { force: true })
}

/** Beside the copy, or in the data folder that the folder of copies belongs to. */
function liesSomewhere(file: string, content: string): boolean {
  const folder = dirname(file)
  return [join(folder, 'photos'), join(folder, '..', 'photos')].some((each) => existsSync(join(each, `${content}.jpg`)))
}

function wordsOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error)
}
