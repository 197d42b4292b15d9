import { createHash } from 'node:crypto'
import { createWriteStream, existsSync, mkdirSync } from 'node:fs'
import { readFile, rename, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { openPromise, type Entry, type ZipFile } from 'yauzl'
import { breachesOf } from '../db/house-rules.js'
import { openDatabase } from '../db/open-database.js'
import { linkOrCopy, syncFile, type Check } from '../copies/copy-shelf.js'
import { fail, ok, type Outcome } from '../failing.js'
import { hasRoom } from '../room.js'
import { CONTENTS, Contents, DATABASE, PICTURE } from './contents.js'

/** A list of a hundred thousand files is longer than any collection's. */
const MOST_CONTENTS = 20_000_000
/** The first bytes of a JPEG: start of image, and of its first segment (ITU-T T.81). */
const JPEG = Buffer.from([0xff, 0xd8, 0xff])

export interface TakenArchive {
  readonly database: string
  readonly pictures: number
  /** Puts its pictures where pictures lie; there they harm nothing, whatever comes of the rest. */
  placePictures(): void
  drop(): Promise<void>
}

/**
 * Reads an archive through before anything is touched: every file in it is one of ours, is named in its list of contents, and is
 * to the byte what that list says; its database opens and is whole; its pictures are pictures. Unpacked on the way, within
 * `work`, which holds the archive and is deleted by `drop`.
 */
export async function readThrough(
  file: string,
  work: string,
  check: Check,
  at: string,
): Promise<Outcome<TakenArchive>> {
  const drop = (): Promise<void> => rm(work, { recursive: true, force: true })
  const outcome = await unpacked(file, work)
  if (!outcome.ok) {
    await drop()
    return outcome
  }
  const pictures = outcome.value
  const database = join(work, DATABASE)
  const facts = await check(database)
  if (facts.wrong !== null) {
    await drop()
    return fail('archive-damaged', { why: `in its database ${facts.wrong}` })
  }
  const broken = ruleBrokenIn(database, at)
  if (broken !== null) {
    await drop()
    return fail('archive-damaged', { why: `in its database ${broken}` })
  }
  return ok({
    database,
    pictures: pictures.length,
    placePictures: () => {
      const to = join(work, '..', 'photos')
      mkdirSync(to, { recursive: true, mode: 0o700 })
      for (const name of pictures)
        if (!existsSync(join(to, name))) linkOrCopy(join(work, 'pictures', name), join(to, name))
      syncFile(to)
    },
    drop,
  })
}

/**
 * What of the rules of the collection a database breaks, in words, once it is brought up to date; null where none. A copy of the user's holds
 * to them; an archive may have been through other hands.
 */
function ruleBrokenIn(file: string, at: string): string | null {
  try {
    const db = openDatabase(file, { appliedAt: at })
    try {
      const [breach] = breachesOf(db)
      return breach === undefined ? null : `${breach.tbl} ${breach.row_id} breaks a rule: ${breach.rule}`
    } finally {
      db.close()
    }
  } catch (error) {
    return `something doesn’t fit: ${error instanceof Error ? error.message : String(error)}`
  }
}

/** Unpacks what the list of contents names and checks each against it; the names of the pictures. */
async function unpacked(file: string, work: string): Promise<Outcome<string[]>> {
  let zip: ZipFile
  try {
    zip = await openPromise(file, { autoClose: false, validateEntrySizes: true })
  } catch {
    return fail('not-an-archive', { why: 'it is no zip that can be read' })
  }
  try {
    const entries = new Map<string, Entry>()
    for await (const entry of zip.eachEntry()) {
      if (entries.has(entry.fileName)) return fail('not-an-archive', { why: `${entry.fileName} is in it twice` })
      // Other programs put folders in of themselves; there is nothing in them.
      if (!entry.fileName.endsWith('/')) entries.set(entry.fileName, entry)
    }
    const listed = await contentsOf(zip, entries.get(CONTENTS), work)
    if (!listed.ok) return listed
    const { files } = listed.value
    const known = new Set([CONTENTS, ...files.map(({ name }) => name)])
    const stray = [...entries.keys()].find((name) => !known.has(name))
    if (stray !== undefined)
      return fail('not-an-archive', { why: `${stray.slice(0, 80)} is in it, and not in its list` })
    const total = files.reduce((sum, { bytes }) => sum + bytes, 0)
    if (!(await hasRoom(work, total))) return fail('disk-full')
    if (!files.some(({ name }) => name === DATABASE)) return fail('not-an-archive', { why: 'it holds no collection' })
    mkdirSync(join(work, 'pictures'), { recursive: true, mode: 0o700 })
    const pictures: string[] = []
    for (const { name, bytes, sha256 } of files) {
      const picture = PICTURE.exec(name)?.[1]
      const to =
        name === DATABASE
          ? join(work, DATABASE)
          : picture === undefined
            ? null
            : join(work, 'pictures', `${picture}.jpg`)
      // The records as text, their schema and the readme are for other programs: nothing of them is taken in.
      if (to === null) continue
      const entry = entries.get(name)
      if (!entry) return fail('archive-damaged', { why: `${name} is missing` })
      if (entry.uncompressedSize !== bytes) return fail('archive-damaged', { why: `${name} isn’t as long as it was` })
      const found = await unpack(zip, entry, to)
      if (found === null || found.sha256 !== sha256)
        return fail('archive-damaged', { why: `${name} isn’t what it was` })
      if (picture === undefined) continue
      if (!found.head.subarray(0, JPEG.length).equals(JPEG))
        return fail('not-an-archive', { why: `${name} is no picture` })
      pictures.push(`${picture}.jpg`)
    }
    return ok(pictures)
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code
    if (code === 'ENOSPC') throw error
    return fail('archive-damaged', { why: error instanceof Error ? error.message : String(error) })
  } finally {
    zip.close()
  }
}

async function contentsOf(zip: ZipFile, entry: Entry | undefined, work: string): Promise<Outcome<Contents>> {
  if (!entry) return fail('not-an-archive', { why: `${CONTENTS} isn’t in it` })
  if (entry.uncompressedSize > MOST_CONTENTS) return fail('not-an-archive', { why: `${CONTENTS} is too long` })
  const file = join(work, CONTENTS)
  if ((await unpack(zip, entry, file)) === null) return fail('archive-damaged', { why: `${CONTENTS} breaks off` })
  try {
    return ok(Contents.parse(JSON.parse(await readFile(file, 'utf8'))))
  } catch {
    return fail('not-an-archive', { why: `${CONTENTS} isn’t as Seligo writes it` })
  }
}

/** Writes one entry to a file; what it hashes to and how it begins, or null where it cannot be read to its end. */
async function unpack(zip: ZipFile, entry: Entry, to: string): Promise<{ sha256: string; head: Buffer } | null> {
  const hash = createHash('sha256')
  let head = Buffer.alloc(0)
  const through = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      hash.update(chunk)
      if (head.length < JPEG.length) head = Buffer.concat([head, chunk.subarray(0, JPEG.length)])
      done(null, chunk)
    },
  })
  try {
    await pipeline(await zip.openReadStreamPromise(entry), through, createWriteStream(`${to}.part`, { mode: 0o600 }))
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOSPC') throw error
    return null
  }
  await rename(`${to}.part`, to)
  return { sha256: hash.digest('hex'), head }
}
