import { copyFile } from 'node:fs/promises'
import { addDays, parseDay, weekdayOf, type Day } from '#core/calendar/day'
import { groupBy } from '#core/lists/grouping'
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
const KINDS = Object.keys(KEPT).join('|')

export interface KnownCopy {
  readonly name: string
  readonly tags: readonly CopyKind[]
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
  readonly #prefix: string
  readonly #name: RegExp

  /** `prefix`: what the names of copies begin with, in a folder that holds other files as well. */
  constructor(folder: string, now: () => Date, check: Check = factsOf, prefix = '') {
    this.folder = folder
    this.#prefix = prefix
    this.#name = new RegExp(`^${prefix}([0-9T.Z-]+?)-(${KINDS})\\.db$`)
    this.check = check
    this.#now = now
  }

  /** Every copy there is, the newest first; what was never read through, or was changed since, is read through now. */
  async known(): Promise<KnownCopy[]> {
    const found: KnownCopy[] = []
    for (const { name, tags } of this.names())
      // One that was dropped meanwhile is none.
      if (existsSync(join(this.folder, name))) found.push(await this.#one(name, tags, false))
    return found.sort((a, b) => (a.madeAt < b.madeAt ? 1 : a.madeAt > b.madeAt ? -1 : a.name < b.name ? 1 : -1))
  }

  /** Reads one through again, whatever is remembered of it; null where there is none of that name. */
  async checkAgain(name: string): Promise<KnownCopy | null> {
    const found = this.names().find((each) => each.name === name)
    return found === undefined ? null : this.#one(name, found.tags, true)
  }

  /** The file of a copy by its name as the list gives it; null for whatever is no copy of ours. */
  fileOf(name: string): string | null {
    return this.names().some((each) => each.name === name) ? join(this.folder, name) : null
  }

  /** The copies there are, each with what it stands for; none for one that is more than enough. */
  names(): { name: string; tags: CopyKind[] }[] {
    return this.#tagged(filesIn(this.folder))
  }

  /**
   * Takes a copy in under its name and drops what stands for nothing any more: of those up to this one, and of those that are dated
   * later, each by themselves. One of the future, left by a clock that was set wrong, neither ends that nor pushes out what is real.
   */
  keep(part: string, name: string, facts: CopyFacts): void {
    renameSync(part, join(this.folder, name))
    syncFile(this.folder)
    const names = filesIn(this.folder)
    for (const span of [names.filter((each) => each <= name), names.filter((each) => each > name)])
      for (const each of this.#tagged(span))
        if (each.tags.length === 0) rmSync(join(this.folder, each.name), { force: true })
    this.#remember(name, facts, this.#now().toISOString())
  }

  /** Copies a copy of another shelf here, reads it through, and keeps it. Throws where what arrived is not sound. */
  async take(file: string, name: string): Promise<void> {
    const part = join(this.folder, `${this.#prefix}${name}.part`)
    try {
      await copyFile(file, part)
      syncFile(part)
      const facts = await this.check(part)
      if (facts.wrong !== null) throw new Error(`what arrived isn’t sound: ${facts.wrong}`)
      this.keep(part, `${this.#prefix}${name}`, facts)
    } catch (error) {
      rmSync(part, { force: true })
      throw error
    }
  }

  /**
   * What each of some copies stands for: the last ones of the day, the first of a week and of a month, the last before something
   * large. Earlier versions gave the first of a week and of a month a name of its own, by its Monday or its first.
   */
  #tagged(files: readonly string[]): { name: string; tags: CopyKind[] }[] {
    const copies = files
      .flatMap((name) => {
        const [, at = '', kind] = this.#name.exec(name) ?? []
        return kind === undefined ? [] : [{ name, at, kind: kind as CopyKind, tags: [] as CopyKind[] }]
      })
      .sort((a, b) => (a.name < b.name ? -1 : 1))
    const daily = copies.filter(({ kind }) => kind === 'day')
    const firsts = (kind: 'week' | 'month', spanOf: (day: Day) => string): typeof copies => {
      const candidates = copies.filter(
        (each) => (each.kind === 'day' || each.kind === kind) && parseDay(each.at) !== null,
      )
      return [...groupBy(candidates, ({ at }) => spanOf(at as Day)).values()].flatMap(([first]) => first ?? [])
    }
    const of: Record<CopyKind, typeof copies> = {
      day: daily,
      week: firsts('week', (day) => addDays(day, -weekdayOf(day))),
      month: firsts('month', (day) => day.slice(0, 7)),
      'before-import': copies.filter(({ kind }) => kind === 'before-import'),
      'before-migration': copies.filter(({ kind }) => kind === 'before-migration'),
      'before-going-back': copies.filter(({ kind }) => kind === 'before-going-back'),
    }
    for (const [tag, all] of Object.entries(of) as [CopyKind, typeof copies][])
      for (const each of all.slice(-KEPT[tag])) each.tags.push(tag)
    return copies.map(({ name, tags }) => ({ name, tags }))
  }

  async #one(name: string, tags: readonly CopyKind[], anew: boolean): Promise<KnownCopy> {
    const file = join(this.folder, name)
    const { size, mtime, mtimeMs } = statSync(file)
    let known = this.#remembered()[name]
    const same = known !== undefined && known.bytes === size && known.mtimeMs === mtimeMs
    const lately = known !== undefined && Math.abs(this.#now().getTime() - Date.parse(known.checkedAt)) < TRUSTED_MS
    if (anew || !same || !lately || known === undefined) {
      const facts = await this.check(file)
      const written = known?.facts.sha256 ?? ''
      // Whatever a database makes of flipped bits: it is not what was written.
      const flipped = written !== '' && facts.sha256 !== written
      const wrong = flipped ? (facts.wrong ?? 'its bytes aren’t those that were written') : facts.wrong
      known = this.#remember(
        name,
        // What was written stays known, so that it is told apart again.
        { ...facts, wrong, sha256: flipped ? written : facts.sha256 },
        known?.madeAt ?? mtime.toISOString(),
      )
    }
    return { name, tags, madeAt: known.madeAt, facts: known.facts, checkedAt: known.checkedAt }
  }

  #remembered(): Readonly<Record<string, Remembered>> {
    try {
      return z
        .record(z.string(), Remembered)
        .parse(JSON.parse(readFileSync(join(this.folder, `${this.#prefix}known.json`), 'utf8')))
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
    const file = join(this.folder, `${this.#prefix}known.json`)
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
