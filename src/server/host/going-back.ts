import { chmodSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs'
import { copyFile } from 'node:fs/promises'
import { join } from 'node:path'
import { fail, ok, type Outcome } from '../failing.js'
import { linkOrCopy, syncFile } from '../copies/copy-shelf.js'
import { filesIn } from '../db/folder-files.js'
import { openDatabase } from '../db/open-database.js'
import type { Db } from '../db/query.js'

const DATABASE = 'collection.db'
const BESIDE = ['-wal', '-shm', '-journal']

/**
 * Makes a copy ready to take the collection's place: a new file beside it, brought up to date, with every picture it names in the
 * folder of pictures. The copy itself is never written into. Fails with what stood against it; nothing has changed then.
 */
export async function makeReady(folder: string, file: string, at: string): Promise<Outcome<{ coming: string }>> {
  const coming = join(folder, `${DATABASE}.coming`)
  dropWhole(coming)
  try {
    await copyFile(file, coming)
    // A copy of an earlier time may be open to others.
    chmodSync(coming, 0o600)
    const db = openDatabase(coming, { appliedAt: at })
    try {
      bringPictures(db, folder)
      db.pragma('wal_checkpoint(TRUNCATE)')
      db.pragma('journal_mode = DELETE')
    } finally {
      db.close()
    }
    syncFile(coming)
    return ok({ coming })
  } catch (error) {
    dropWhole(coming)
    return fail('going-back-failed', { why: error instanceof Error ? error.message : String(error) })
  }
}

/**
 * The last step: one rename. A log that was left beside the former database would be read into the new one and ruin it; so the
 * caller empties it into its database before, and it is deleted here first.
 */
export function putInPlace(folder: string, coming: string): void {
  const file = join(folder, DATABASE)
  for (const beside of BESIDE) rmSync(`${file}${beside}`, { force: true })
  renameSync(coming, file)
  syncFile(folder)
}

/** Moves what cannot be opened out of the way, whole, under a name that says since when. Answers with that name. */
export function moveAside(folder: string, at: string): string {
  const name = `${DATABASE}.unreadable-${at.replaceAll(':', '.')}`
  for (const beside of ['', ...BESIDE]) {
    const file = join(folder, `${DATABASE}${beside}`)
    if (existsSync(file)) renameSync(file, join(folder, `${name}${beside}`))
  }
  syncFile(folder)
  return name
}

export function dropWhole(file: string): void {
  for (const beside of ['', ...BESIDE]) rmSync(`${file}${beside}`, { force: true })
}

/** What acts that were killed left half made: archives on their way, copies without a name. Called while nothing is under way. */
export function sweepUp(folder: string): void {
  try {
    sweep(folder)
  } catch (error) {
    console.error(`What was left half made in ${folder} is let be: ${String(error)}`)
  }
}

function sweep(folder: string): void {
  dropWhole(join(folder, `${DATABASE}.coming`))
  const copies = join(folder, 'copies')
  for (const name of readdirSync(folder))
    if (/^(incoming|outgoing)-\w{6}$/.test(name)) rmSync(join(folder, name), { recursive: true, force: true })
  for (const name of filesIn(copies))
    if (/\.part(-wal|-shm|-journal)?$/.test(name)) rmSync(join(copies, name), { force: true })
}

/** Pictures that went from the server since the copy was made are with the copies still. */
function bringPictures(db: Db, folder: string): void {
  const pool = join(folder, 'copies', 'photos')
  const photos = join(folder, 'photos')
  for (const { content } of db.prepare<[], { content: string }>('SELECT DISTINCT content FROM photo').all()) {
    const name = `${content}.jpg`
    if (existsSync(join(photos, name)) || !existsSync(join(pool, name))) continue
    mkdirSync(photos, { recursive: true, mode: 0o700 })
    linkOrCopy(join(pool, name), join(photos, name))
  }
}
