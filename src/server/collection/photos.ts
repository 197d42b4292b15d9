import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fail, ok, type Outcome } from '#core/failure'
import type { Day } from '#core/calendar/day'
import type { PhotoView } from '#contract/beside-item'
import type { Done } from '../db/journal.js'
import type { House } from '../house.js'
import { careQueries } from './care-queries.js'

/** Longest side of a kept picture, px: enough to see a pan's edge, small enough to keep hundreds. Assumption. */
const LONGEST_SIDE = 1600
const JPEG_QUALITY = 82
/** Pictures that no row names are kept this long, so that taking a removal back brings them again. */
const KEPT_DAYS = 30

/** A picture as it will be kept. */
export interface ShrunkPhoto {
  readonly jpeg: Buffer
  readonly width: number
  readonly height: number
}

/**
 * Re-encodes a picture: turned upright, shrunk, as JPEG, without any of its metadata (the place it was taken at above all).
 * `not-a-picture` when the bytes are none.
 */
export async function shrink(bytes: Buffer): Promise<Outcome<ShrunkPhoto>> {
  try {
    // Loaded when the first picture comes: the server starts sooner without it.
    const { default: sharp } = await import('sharp')
    // sharp leaves metadata out unless it is asked to keep it.
    const { data, info } = await sharp(bytes, { limitInputPixels: 120_000_000 })
      .rotate()
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#dfe2e5' })
      .jpeg({ quality: JPEG_QUALITY })
      .toBuffer({ resolveWithObject: true })
    return ok({ jpeg: data, width: info.width, height: info.height })
  } catch {
    return fail('not-a-picture')
  }
}

/** Pictures of items: a row in the collection, the picture itself a file in the data folder. */
export class Photos {
  readonly #house: House
  readonly #queries
  readonly #folder: string

  constructor(house: House) {
    this.#house = house
    this.#queries = careQueries(house.db)
    this.#folder = join(house.folder, 'photos')
  }

  of(itemId: string): PhotoView[] {
    return this.#queries.photosOf
      .all(itemId)
      .map(({ id, day, width, height, words }) => ({ id, day, width, height, words }))
  }

  /** The picture's bytes, or null when there is none under this id. */
  read(id: string): Buffer | null {
    const file = join(this.#folder, `${id}.jpg`)
    return this.#queries.photo.get(id) && existsSync(file) ? readFileSync(file) : null
  }

  /** The file first, then the row: a row never stands without its picture. */
  add(id: string, itemId: string, day: Day, photo: ShrunkPhoto): Outcome<Done<{ id: string }>> {
    const item = this.#house.stock.one(itemId, this.#house.today())
    if (!item) return fail('unknown-item', { value: itemId })
    if (day > this.#house.today()) return fail('day-in-future', { value: day })
    if (this.#queries.photo.get(id)) return fail('id-taken', { value: id })
    this.write(id, photo.jpeg)
    this.#queries.addPhoto.run({ id, itemId, day, width: photo.width, height: photo.height, words: '' })
    return ok({ words: `Added a picture of ${item.shade || item.name}`, answer: { id } })
  }

  write(id: string, jpeg: Buffer): void {
    mkdirSync(this.#folder, { recursive: true })
    const file = join(this.#folder, `${id}.jpg`)
    writeFileSync(`${file}.part`, jpeg)
    renameSync(`${file}.part`, file)
  }

  drop(id: string): Outcome<Done<{ id: string }>> {
    if (!this.#queries.photo.get(id)) return fail('unknown-photo', { value: id })
    this.#queries.dropPhoto.run(id)
    return ok({ words: 'Removed a picture', answer: { id } })
  }

  /** Deletes files that no row has named for thirty days. */
  tidy(now: Date): void {
    if (!existsSync(this.#folder)) return
    const named = new Set(this.#queries.photoIds.all().map((row) => `${row.id}.jpg`))
    for (const name of readdirSync(this.#folder)) {
      const file = join(this.#folder, name)
      const days = (now.getTime() - statSync(file).mtimeMs) / 86_400_000
      if (!named.has(name) && days > KEPT_DAYS) rmSync(file)
    }
  }
}
