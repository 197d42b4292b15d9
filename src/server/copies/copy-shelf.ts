import {
  closeSync,
  copyFileSync,
  existsSync,
  fsyncSync,
  linkSync,
  openSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'
import { filesIn } from '../db/folder-files.js'
import { factsOf, type CopyFacts } from './copy-facts.js'

/** How many copies of each kind are kept, so that no kind pushes another out. */
export const KEPT = {
  day: 14,
  week: 12,
  month: 24,
  'before-import': 5,
  'before-migration': 5,
  'before-going-back': 5,
} as const
export type CopyKind = keyof typeof KEPT
/** What was read through is taken as it was found for so long, in milliseconds; before it is gone back to it is read again. */
const TRUSTED_MS = 24 * 3_600_000
const NAME = /^([0-9T.Z-]+?)-(day|week|month|before-import|before-migration|before-going-back)\.db$/

export interface KnownCopy {
  readonly name: string
  readonly kind: CopyKind
  /** The same for names that stand for the same bytes. */
  readonly file: number
  readonly madeAt: string
  readonly facts: CopyFacts
  readonly checkedAt: string
}

const Remembered = z.object({
  facts: z.object({
    items: z.number(),
    wears: z.number(),
    pictures: z.number(),
    picturesGone: z.number(),
    bytes: z.number(),
    // Of copies that an earlier version made nothing was kept.
    sha256: z.string().default(''),
    wrong: z.string().nullable(),
  }),
  madeAt: z.string(),
  checkedAt: z.string(),
  /** The file that this was read off: a file that was changed since is read again. */
  bytes: z.number(),
  mtimeMs: z.number(),
})
type Remembered = z.infer<typeof Remembered>

export type Check = (file: string) => CopyFacts | Promise<CopyFacts>

export class CopyShelf {
  readonly folder: string
  readonly check: Check
  readonly #now: () => Date

  constructor(folder: string, now: () => Date, check: Check = factsOf) {
    this.folder = folder
    this.check = check
    this.#now = now
  }

  /** Every copy there is, the newest first; what was never read through, or was changed since, is read through now. */
  async known(): Promise<KnownCopy[]> {
    const found: KnownCopy[] = []
    const pass = new Map<number, CopyFacts>()
    for (const { name, kind } of this.names())
      // One that was dropped meanwhile is none.
      if (existsSync(join(this.folder, name))) found.push(await this.#one(name, kind, false, pass))
    return found.sort((a, b) => (a.madeAt < b.madeAt ? 1 : a.madeAt > b.madeAt ? -1 : a.name < b.name ? 1 : -1))
  }

  async checkAgain(name: string): Promise<KnownCopy | null> {
    const found = this.names().find((each) => each.name === name)
    return found === undefined ? null : this.#one(name, found.kind, true)
  }

  /** The file of a copy by its name as the list gives it; null for whatever is no copy of ours. */
  fileOf(name: string): string | null {
    return this.names().some((each) => each.name === name) ? join(this.folder, name) : null
  }

  names(): { name: string; kind: CopyKind }[] {
    return filesIn(this.folder).flatMap((name) => {
      const kind = NAME.exec(name)?.[2]
      return kind === undefined ? [] : [{ name, kind: kind as CopyKind }]
    })
  }

  /**
   * Gives a copy its name and drops what is more than enough of its kind: of those up to this one, and of those that are dated
   * later, each by itself. One of the future, left by a clock that was set wrong, neither ends that nor pushes out what is real.
   */
  keep(part: string, name: string, kind: CopyKind, facts: CopyFacts): void {
    renameSync(part, join(this.folder, name))
    syncFile(this.folder)
    const names = this.names()
      .filter((each) => each.kind === kind)
      .map((each) => each.name)
      .sort()
    for (const span of [names.filter((each) => each <= name), names.filter((each) => each > name)])
      for (const each of span.slice(0, -KEPT[kind])) rmSync(join(this.folder, each), { force: true })
    this.#remember(name, facts, this.#now().toISOString())
  }

  /** `pass` holds what was read in this pass already: a copy may go by three names. */
  async #one(name: string, kind: CopyKind, anew: boolean, pass = new Map<number, CopyFacts>()): Promise<KnownCopy> {
    const file = join(this.folder, name)
    const { size, mtime, mtimeMs, ino } = statSync(file)
    let known = this.#remembered()[name]
    const same = known !== undefined && known.bytes === size && known.mtimeMs === mtimeMs
    const lately = known !== undefined && Math.abs(this.#now().getTime() - Date.parse(known.checkedAt)) < TRUSTED_MS
    if (anew || !same || !lately || known === undefined) {
      const facts = pass.get(ino) ?? (await this.check(file))
      pass.set(ino, facts)
      const written = known?.facts.sha256 ?? ''
      // Whatever a database makes of flipped bits: it is not what was written.
      const flipped = written !== '' && facts.sha256 !== written
      const wrong = flipped ? (facts.wrong ?? 'its bytes are not those that were written') : facts.wrong
      known = this.#remember(
        name,
        // What was written stays known, so that it is told apart again.
        { ...facts, wrong, sha256: flipped ? written : facts.sha256 },
        known?.madeAt ?? mtime.toISOString(),
      )
    }
    return { name, kind, file: ino, madeAt: known.madeAt, facts: known.facts, checkedAt: known.checkedAt }
  }

  #remembered(): Readonly<Record<string, Remembered>> {
    try {
      return z.record(z.string(), Remembered).parse(JSON.parse(readFileSync(join(this.folder, 'known.json'), 'utf8')))
    } catch {
      // Not there yet, cut short, or of another version: everything is read through again.
      return {}
    }
  }

  #remember(name: string, facts: CopyFacts, madeAt: string): Remembered {
    const { size, mtimeMs } = statSync(join(this.folder, name))
    const fresh = { facts, madeAt, checkedAt: this.#now().toISOString(), bytes: size, mtimeMs }
    const there = new Set(this.names().map((each) => each.name))
    const kept = Object.entries(this.#remembered()).filter(([each]) => there.has(each))
    const file = join(this.folder, 'known.json')
    try {
      writeFileSync(`${file}.part`, JSON.stringify({ ...Object.fromEntries(kept), [name]: fresh }), { mode: 0o600 })
      renameSync(`${file}.part`, file)
    } catch (error) {
      // What is remembered saves a second reading, no more.
      console.error(`What is known of the copies could not be written down: ${String(error)}`)
    }
    return fresh
  }
}

/** Another name for the same bytes; a second copy of them where the disk knows no such item. */
export function linkOrCopy(from: string, to: string): void {
  try {
    linkSync(from, to)
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code
    if (code === 'EEXIST' || code === 'ENOENT') return
    copyFileSync(from, to)
  }
}

/** Makes sure that a file, or the names in a folder, are on the disk. */
export function syncFile(path: string): void {
  const handle = openSync(path, 'r')
  try {
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
}
