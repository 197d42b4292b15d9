import { existsSync, lstatSync, mkdirSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import type { Day } from '#core/calendar/day'
import { filesIn } from '../db/folder-files.js'
import { DamagedCollection } from '../db/health.js'
import type { Db } from '../db/query.js'
import { factsOf, type CopyFacts } from './copy-facts.js'
import { hasRoom } from '../room.js'
import { CopyShelf, linkOrCopy, syncFile, type Check } from './copy-shelf.js'

/** A copy made before something large; it stays only when that something was stored. */
export interface PendingCopy {
  readonly name: string
  keep(): void
  drop(): void
}

export class Copies {
  readonly shelf: CopyShelf
  readonly #db: Db
  readonly #now: () => Date
  readonly #pictures: string

  constructor(db: Db, folder: string, now: () => Date, check: Check = factsOf) {
    this.shelf = new CopyShelf(join(folder, 'copies'), now, check)
    this.#db = db
    this.#pictures = join(folder, 'photos')
    this.#now = now
  }

  /**
   * The copy of the day, made page by page beside whatever else is asked of the collection; none when there is one already. Answers with
   * the file it made, or null. Throws when the disk takes no more, and where what was copied is not sound: the older copies stay then.
   */
  async forTheDay(day: Day): Promise<string | null> {
    const name = `${day}-day.db`
    const file = join(this.shelf.folder, name)
    if (existsSync(file)) return null
    const part = this.#part(name)
    await this.#copyTo(part)
    const facts = await this.shelf.check(part)
    if (facts.wrong !== null) {
      rmSync(part, { force: true })
      throw new Error(`the copy of the day wasn’t kept, since ${facts.wrong}`)
    }
    this.shelf.keep(part, name, facts)
    this.#linkPictures()
    return file
  }

  /** A copy of what is there now, before something large, in one go: before the server is open. Throws when the disk takes no more. */
  before(what: 'import' | 'migration' | 'going-back'): PendingCopy {
    const [name, part] = this.#begin(what)
    // VACUUM INTO reads one consistent state, the write-ahead log included.
    this.#db.prepare('VACUUM INTO ?').run(part)
    return this.#pending(name, part, factsOf(part))
  }

  /**
   * A copy of what is there now around an act that may store something large: kept where it did (`stored` was called), gone where
   * it did not, whatever came of it, so that refused acts push out nothing.
   */
  async around<A>(what: 'import', act: (stored: () => void) => A): Promise<A> {
    const copy = await this.meanwhileBefore(what)
    try {
      return act(() => copy.keep())
    } finally {
      copy.drop()
    }
  }

  /** The same page by page, while the server answers. */
  async meanwhileBefore(what: 'import' | 'going-back'): Promise<PendingCopy> {
    const [name, part] = this.#begin(what)
    await this.#copyTo(part)
    return this.#pending(name, part, await this.shelf.check(part))
  }

  /**
   * The pictures of the copies: the same files under a second name in `copies/photos`, so that they take no room twice. What is
   * gone from the server stays there for as long as the oldest copy may still name it.
   */
  #linkPictures(): void {
    const { folder } = this.shelf
    const pool = join(folder, 'photos')
    if (filesIn(this.#pictures).length === 0 && !existsSync(pool)) return
    mkdirSync(pool, { recursive: true, mode: 0o700 })
    const there = new Set(filesIn(pool))
    const wanted = new Set(filesIn(this.#pictures).filter((name) => /^[A-Za-z0-9_-]{1,120}\.jpg$/.test(name)))
    for (const name of wanted) if (!there.has(name)) linkOrCopy(join(this.#pictures, name), join(pool, name))
    const before = Math.min(...this.shelf.names().map(({ name }) => lstatSync(join(folder, name)).mtimeMs))
    for (const name of there)
      // The name in the data folder went after this time; a copy made before it may need the picture.
      if (!wanted.has(name) && lstatSync(join(pool, name)).ctimeMs < before) rmSync(join(pool, name), { force: true })
  }

  /** Page by page, and one file in the end: a copy brings no log of its own. */
  async #copyTo(part: string): Promise<void> {
    // A copy that takes the last room would leave none for what it is a copy of.
    if (!(await hasRoom(this.shelf.folder, statSync(this.#db.name).size)))
      throw Object.assign(new Error('the disk has too little room left'), { code: 'ENOSPC' })
    await this.#db.backup(part)
    const copy = new Database(part)
    copy.pragma('journal_mode = DELETE')
    copy.close()
    syncFile(part)
  }

  #begin(what: 'import' | 'migration' | 'going-back'): [string, string] {
    const name = `${this.#now().toISOString().replaceAll(':', '.')}-before-${what}.db`
    return [name, this.#part(name)]
  }

  #pending(name: string, part: string, facts: CopyFacts): PendingCopy {
    if (facts.wrong !== null) {
      rmSync(part, { force: true })
      throw new DamagedCollection(`a copy could not be made first, since ${facts.wrong}`)
    }
    return {
      name,
      keep: () => {
        syncFile(part)
        this.shelf.keep(part, name, facts)
        this.#linkPictures()
      },
      drop: () => rmSync(part, { force: true }),
    }
  }

  #part(name: string): string {
    const { folder } = this.shelf
    mkdirSync(folder, { recursive: true, mode: 0o700 })
    const part = join(folder, `${name}.part`)
    rmSync(part, { force: true })
    return part
  }
}
