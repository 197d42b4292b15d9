import Database from 'better-sqlite3'
import { COLLECTION_FILE_VERSION } from './file-schema.js'
import { columnsOf } from '../db/table-columns.js'
import { exportedTables } from '../db/tables.js'

/** Rows that are written at a time: enough to be quick, few enough to keep no memory. */
const ROWS_AT_ONCE = 500

/** A row of `photo`, and how many bytes its picture has in the data folder; null where it is nowhere. */
export interface PictureOf {
  readonly bytes: (content: string) => number | null
  readonly read: (content: string) => Buffer | null
}

/**
 * A collection file as text, piece by piece: its records as they stand now, read over a connection of their own, then its pictures
 * one by one, the newest up to `mostPictures` bytes; the rest is named. Its size takes no memory, and what is changed meanwhile does
 * not show.
 */
export function* collectionText(
  file: string,
  now: Date,
  pictures: PictureOf | null,
  mostPictures = Number.POSITIVE_INFINITY,
): Generator<string> {
  const db = new Database(file, { readonly: true, fileMustExist: true })
  try {
    // Everything is read as it stands with the first of it.
    db.exec('BEGIN')
    const head = { format: 'seligo collection', version: COLLECTION_FILE_VERSION, exportedAt: now.toISOString() }
    yield `${JSON.stringify(head).slice(0, -1)},"tables":{`
    for (const [n, name] of exportedTables().entries()) {
      yield `${n === 0 ? '' : ','}${JSON.stringify(name)}:[`
      const columns = columnsOf(db, name).map((column) => `"${column}"`)
      // What was shown of something that is there no more says nothing to whoever reads the file.
      const there = name === 'forecast' ? 'WHERE item_id IN (SELECT id FROM item)' : ''
      let rows: string[] = []
      let first = true
      for (const row of db.prepare(`SELECT ${columns.join(', ')} FROM "${name}" ${there} ORDER BY rowid`).iterate()) {
        rows.push(JSON.stringify(row))
        if (rows.length < ROWS_AT_ONCE) continue
        yield `${first ? '' : ','}${rows.join(',')}`
        first = false
        rows = []
      }
      if (rows.length > 0) yield `${first ? '' : ','}${rows.join(',')}`
      yield ']'
    }
    yield '},"pictures":{'
    const photos = db
      .prepare<[], { id: string; content: string }>('SELECT id, content FROM photo ORDER BY day DESC, rowid')
      .all()
    const leftOut: string[] = []
    let bytes = 0
    let first = true
    for (const { id, content } of photos) {
      const size = pictures?.bytes(content) ?? null
      bytes += size ?? 0
      const jpeg = size === null || bytes > mostPictures ? null : (pictures?.read(content) ?? null)
      if (jpeg === null) {
        leftOut.push(id)
        continue
      }
      yield `${first ? '' : ','}${JSON.stringify(id)}:"${jpeg.toString('base64')}"`
      first = false
    }
    yield `},"picturesLeftOut":${JSON.stringify(leftOut)}}`
  } finally {
    db.close()
  }
}
