import { createHash } from 'node:crypto'
import { createReadStream, createWriteStream, existsSync } from 'node:fs'
import { mkdtemp, rm, stat, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import Database from 'better-sqlite3'
import { ZipFile } from 'yazl'
import { collectionFileSchema } from '../export/file-schema.js'
import type { Db } from '../db/query.js'
import { collectionText } from '../export/collection-text.js'
import { CONTENTS, DATABASE, type Contents } from './contents.js'

const README = `This is everything of a Seligo collection, in one file.

collection.db            the database, as Seligo works with it (SQLite 3)
collection.json          the same records as plain text, for any other program
collection.schema.json   what collection.json holds, as JSON Schema 2020-12
pictures/                the pictures (JPEG), named by what is in them; "photo" in collection.json says whose they are
contents.json            every file with its length and SHA-256

To go back to it: start Seligo, open Settings, Copies, and take this file in as it is. Nothing in it needs to be unpacked.
`

/** An archive on its way: its bytes, how many there will be, and what has to be called when it has gone or was given up. */
export interface MadeArchive {
  readonly stream: NodeJS.ReadableStream
  readonly bytes: number
  done(): Promise<void>
}

/**
 * One zip of a collection: a snapshot of the database, its records as JSON, its pictures. The snapshot is made page by page beside
 * whatever else is asked of the collection; everything is read from it and sent on as it is read, so that its size takes no memory.
 */
export async function makeArchive(db: Db, folder: string, now: Date): Promise<MadeArchive> {
  const work = await mkdtemp(join(folder, 'outgoing-'))
  const done = (): Promise<void> => rm(work, { recursive: true, force: true })
  try {
    const snapshot = join(work, DATABASE)
    await db.backup(snapshot)
    const json = join(work, 'collection.json')
    const contents = await writeRecords(snapshot, json, now)
    const files: { name: string; path: string; sha256: string; bytes: number }[] = []
    const add = async (name: string, path: string, sha256?: string): Promise<void> => {
      files.push({ name, path, sha256: sha256 ?? (await hashOf(path)), bytes: (await stat(path)).size })
    }
    await writeFile(join(work, 'readme.txt'), README)
    await writeFile(join(work, 'collection.schema.json'), JSON.stringify(collectionFileSchema()))
    await add('readme.txt', join(work, 'readme.txt'))
    await add(DATABASE, snapshot)
    await add('collection.json', json)
    await add('collection.schema.json', join(work, 'collection.schema.json'))
    for (const content of contents) {
      const path = join(folder, 'photos', `${content}.jpg`)
      // One that is nowhere is not in it; the records say so by naming it still.
      if (existsSync(path)) await add(`pictures/${content}.jpg`, path)
    }
    const listed: Contents = {
      format: 'seligo archive',
      version: 1,
      madeAt: now.toISOString(),
      files: files.map(({ name, bytes, sha256 }) => ({ name, bytes, sha256 })),
    }
    const zip = new ZipFile()
    zip.addBuffer(Buffer.from(JSON.stringify(listed)), CONTENTS, { compress: false, mtime: now })
    // Pictures are packed already, and with nothing packed the length is known beforehand.
    for (const { name, path } of files) zip.addFile(path, name, { compress: false, mtime: now })
    // The length is handed to the callback, which its types leave out. Of more than some thousand files it is told for the long
    // form of the list at the end (Zip64) though the short one is written; so that is always the long one.
    const bytes = await new Promise<number>((resolve) =>
      zip.end({ forceZip64Format: true, comment: '' }, ((size: number) => resolve(size)) as () => void),
    )
    return { stream: zip.outputStream, bytes, done }
  } catch (error) {
    await done()
    throw error
  }
}

/** Writes the records as one JSON file, some rows at a time, and answers with the names of the pictures they name. */
async function writeRecords(snapshot: string, file: string, now: Date): Promise<string[]> {
  const db = new Database(snapshot, { readonly: true, fileMustExist: true })
  try {
    await pipeline(Readable.from(collectionText(snapshot, now, null)), createWriteStream(file, { mode: 0o600 }))
    return db
      .prepare<[], { content: string }>('SELECT DISTINCT content FROM photo ORDER BY content')
      .all()
      .map((row) => row.content)
  } finally {
    db.close()
  }
}

async function hashOf(path: string): Promise<string> {
  const hash = createHash('sha256')
  for await (const chunk of createReadStream(path)) hash.update(chunk as Buffer)
  return hash.digest('hex')
}
