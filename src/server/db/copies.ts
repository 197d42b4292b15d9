import { copyFileSync, existsSync, linkSync, lstatSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import type { Db } from './open-database.js'

/** How many copies of each kind are kept, so that no kind pushes another out. Assumption. */
const KEPT = { day: 14, 'before-import': 10, 'before-migration': 6 } as const
type Kind = keyof typeof KEPT

/** A copy made before something large; it stays only when that something was stored. */
export interface PendingCopy {
  keep(): void
  drop(): void
}

/** Dated copies of the database in a folder beside it. */
export class Copies {
  readonly #db: Db
  readonly #folder: string
  readonly #now: () => Date
  readonly #pictures: string

  constructor(db: Db, folder: string, now: () => Date) {
    this.#db = db
    this.#folder = join(folder, 'copies')
    this.#pictures = join(folder, 'photos')
    this.#now = now
  }

  /**
   * The copy of the day, made page by page beside whatever else is asked of the house; none when there is one already. Throws
   * when the disk takes no more.
   */
  async forTheDay(day: string): Promise<void> {
    const file = join(this.#folder, `${day}-day.db`)
    if (existsSync(file)) return
    const part = this.#part(file)
    await this.#db.backup(part)
    this.#keep(part, file, 'day')
    this.#linkPictures()
  }

  /** A copy of what is there now, before an import or a change of the schema. Throws when the disk takes no more. */
  before(what: 'import' | 'migration'): PendingCopy {
    const kind: Kind = `before-${what}`
    const file = join(this.#folder, `${this.#now().toISOString().replaceAll(':', '.')}-${kind}.db`)
    const part = this.#part(file)
    // VACUUM INTO reads one consistent state, the write-ahead log included.
    this.#db.prepare('VACUUM INTO ?').run(part)
    return {
      keep: () => {
        this.#keep(part, file, kind)
        this.#linkPictures()
      },
      drop: () => rmSync(part, { force: true }),
    }
  }

  /**
   * The pictures of the copies: the same files under a second name in `copies/photos`, so that they take no room twice. What is
   * gone from the house stays there for as long as the oldest copy may still name it.
   */
  #linkPictures(): void {
    if (!existsSync(this.#pictures)) return
    const pool = join(this.#folder, 'photos')
    mkdirSync(pool, { recursive: true })
    const there = new Set(readdirSync(pool))
    const wanted = new Set(readdirSync(this.#pictures).filter((name) => /^[A-Za-z0-9_-]{1,120}\.jpg$/.test(name)))
    for (const name of wanted) if (!there.has(name)) linkOrCopy(join(this.#pictures, name), join(pool, name))
    const oldest = readdirSync(this.#folder)
      .filter((name) => name.endsWith('.db'))
      .map((name) => lstatSync(join(this.#folder, name)).mtimeMs)
    const before = Math.min(...oldest)
    for (const name of there)
      // The name in the house went after this time; a copy made before it may need the picture.
      if (!wanted.has(name) && lstatSync(join(pool, name)).ctimeMs < before) rmSync(join(pool, name), { force: true })
  }

  #part(file: string): string {
    mkdirSync(this.#folder, { recursive: true })
    rmSync(`${file}.part`, { force: true })
    return `${file}.part`
  }

  /**
   * Gives a copy its name and drops what is more than enough of its kind: only once the new one has been read through and is
   * sound, and never when it is not the newest by its name, which means that the clock was set back.
   */
  #keep(part: string, file: string, kind: Kind): void {
    renameSync(part, file)
    const names = readdirSync(this.#folder)
      .filter((name) => name.endsWith(`-${kind}.db`))
      .sort()
    const over = names.slice(0, -KEPT[kind])
    if (over.length === 0 || names.at(-1) === undefined || !file.endsWith(names.at(-1) ?? '')) return
    if (!isSound(file)) {
      console.error(`The copy ${file} cannot be read; older ones are kept.`)
      return
    }
    for (const name of over) rmSync(join(this.#folder, name), { force: true })
  }
}

/** Another name for the same bytes; a second copy of them where the disk knows no such thing. */
function linkOrCopy(from: string, to: string): void {
  try {
    linkSync(from, to)
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code
    if (code === 'EEXIST' || code === 'ENOENT') return
    copyFileSync(from, to)
  }
}

function isSound(file: string): boolean {
  try {
    const copy = new Database(file, { readonly: true })
    const found = copy.pragma('quick_check(1)', { simple: true })
    copy.close()
    return found === 'ok'
  } catch {
    return false
  }
}
