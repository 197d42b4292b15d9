import { createHash } from 'node:crypto'
import {
  closeSync,
  existsSync,
  fsyncSync,
  lstatSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
  writeSync,
} from 'node:fs'
import { join } from 'node:path'
import { fail, ok } from '../failing.js'
import { itemMark } from '#core/words/told'
import type { Day } from '#core/calendar/day'
import type { PhotoView } from '#contract/beside-item'
import type { Answer } from '../db/journal.js'
import { fileFaultOf } from '../db/health.js'
import { careQueries } from './care-queries.js'
import { thumbOf, type ShrunkPhoto } from './shrink.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'

/** Pictures that no row names any more are kept this long after their removal, so that taking it back brings them again. */
const KEPT_DAYS = 30
/** A picture that no change ever named was left by an act that failed; one may be under way. */
const LEFTOVER_DAYS = 1
const DAY_MS = 86_400_000

export class Photos {
  readonly #queries
  readonly #folder: string

  constructor(private readonly services: Context & { folder: string; stock: Stock }) {
    this.#queries = careQueries(services.db)
    this.#folder = join(services.folder, 'photos')
  }

  of(itemId: string): PhotoView[] {
    return this.#queries.photosOf
      .all(itemId)
      .map(({ id, day, width, height, words }) => ({ id, day, width, height, words }))
  }

  one(id: string): Buffer | null {
    const row = this.#queries.photo.get(id)
    return row === undefined ? null : this.read(row.content)
  }

  /** The bytes of a picture by its name in the data folder; null where it is nowhere. */
  read(content: string): Buffer | null {
    const file = this.#file(content)
    return existsSync(file) ? readFileSync(file) : null
  }

  bytes(content: string): number | null {
    return statSync(this.#file(content), { throwIfNoEntry: false })?.size ?? null
  }

  holds(content: string): boolean {
    return existsSync(this.#file(content))
  }

  /** The small picture that lists show; made when it is first asked for, and kept beside the whole one. */
  async readSmall(id: string): Promise<Buffer | null> {
    const row = this.#queries.photo.get(id)
    if (row === undefined) return null
    const small = join(this.#folder, `${row.content}.small.jpg`)
    if (existsSync(small)) return readFileSync(small)
    const whole = this.read(row.content)
    if (whole === null) return null
    const jpeg = await thumbOf(whole)
    try {
      writeFileSync(`${small}.part`, jpeg)
      renameSync(`${small}.part`, small)
    } catch (error) {
      // Where nothing can be written it is made anew each time.
      if (fileFaultOf(error) === null) throw error
    }
    return jpeg
  }

  /** The file first, then the row: a row never stands without its picture. */
  add(id: string, itemId: string, day: Day, photo: ShrunkPhoto): Answer {
    const item = this.services.stock.one(itemId, this.services.today())
    if (!item) return fail('unknown-item', { value: itemId })
    if (day > this.services.today()) return fail('day-in-future', { value: day })
    if (this.#queries.photo.get(id)) return fail('id-taken', { value: id })
    const same = this.#queries.photosOf.all(itemId).find((row) => row.content === contentOf(photo.jpeg))
    if (same) return fail('same-picture', { day: same.day })
    const content = this.write(photo.jpeg)
    this.#queries.addPhoto.run({ id, itemId, day, width: photo.width, height: photo.height, content })
    return ok({ words: `Added a picture of ${itemMark(item)}`, answer: { id } })
  }

  /**
   * Puts a picture on the disk and gives its name, which is made of what is in it: the same picture has the same name, and
   * none is ever written over. It is there, whatever happens next, when this returns.
   */
  write(jpeg: Buffer): string {
    const content = contentOf(jpeg)
    mkdirSync(this.#folder, { recursive: true })
    const file = this.#file(content)
    if (existsSync(file)) return content
    try {
      syncTo(`${file}.part`, jpeg)
    } catch (error) {
      // What did not fit leaves nothing behind that would take room from what is smaller.
      rmSync(`${file}.part`, { force: true })
      throw error
    }
    renameSync(`${file}.part`, file)
    syncFolder(this.#folder)
    return content
  }

  drop(id: string): Answer {
    if (!this.#queries.photo.get(id)) return fail('unknown-photo', { value: id })
    if (this.#queries.panOnPhoto.get(id)) return fail('picture-measured')
    this.#queries.dropPhoto.run(id)
    return ok({ words: 'Removed a picture', answer: { id } })
  }

  /** Deletes pictures that no row has named for thirty days, by the journal's dates; whatever else lies there is let be. */
  tidy(now: Date): void {
    if (!isFolder(this.#folder)) return
    const named = new Set(this.#queries.photoContents.all().map((row) => row.content))
    for (const name of readdirSync(this.#folder)) {
      const found = /^([A-Za-z0-9_-]{1,120})(?:\.small)?\.jpg(\.part)?$/.exec(name)
      const [, content = '', part] = found ?? []
      if (content === '' || (part === undefined && named.has(content))) continue
      const file = join(this.#folder, name)
      try {
        const facts = lstatSync(file)
        if (!facts.isFile()) continue
        const removed = part === undefined ? (this.#queries.lastNamed.get(content)?.at ?? null) : null
        const since = now.getTime() - (removed === null ? facts.mtimeMs : Date.parse(removed))
        if (since > (removed === null ? LEFTOVER_DAYS : KEPT_DAYS) * DAY_MS) rmSync(file)
      } catch (error) {
        console.error(`The picture ${file} is let be: ${error instanceof Error ? error.message : String(error)}`)
      }
    }
  }

  #file(content: string): string {
    return join(this.#folder, `${content}.jpg`)
  }
}

function contentOf(jpeg: Buffer): string {
  return createHash('sha256').update(jpeg).digest('hex')
}

function syncTo(file: string, bytes: Buffer): void {
  const handle = openSync(file, 'w')
  try {
    for (let at = 0; at < bytes.length;) at += writeSync(handle, bytes, at)
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
}

function syncFolder(folder: string): void {
  const handle = openSync(folder, 'r')
  try {
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
}

function isFolder(path: string): boolean {
  return statSync(path, { throwIfNoEntry: false })?.isDirectory() ?? false
}
