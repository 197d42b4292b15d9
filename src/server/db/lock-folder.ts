import { readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { fileFaultOf } from './health.js'

/** Another Seligo works in the folder. `at` is its address, where it has told it. */
export class FolderInUse extends Error {
  constructor(
    readonly folder: string,
    readonly at: string | null,
  ) {
    super(
      `A Seligo is running on the collection in ${folder}${at === null ? '' : `; it is at ${at}`}. ` +
        'Use that one, or stop it with Ctrl+C in its terminal and start this again. Nothing was changed.',
    )
  }
}

export interface FolderLock {
  /** Leaves word for a second one of where this one is. */
  tell(address: string): void
  release(): void
}

/**
 * Keeps a data folder to one server. The lock is one that the operating system takes off with the process, however that ends:
 * an exclusive transaction on a file of its own. Throws `FolderInUse`.
 */
export function lockFolder(folder: string): FolderLock {
  const word = join(folder, 'running-at.txt')
  let lock: Database.Database | null = null
  try {
    lock = new Database(join(folder, 'in-use.lock'), { timeout: 0 })
    lock.exec('BEGIN EXCLUSIVE')
  } catch (error) {
    lock?.close()
    lock = null
    if ((error as { code?: string }).code === 'SQLITE_BUSY') throw new FolderInUse(folder, readWord(word))
    // Where nothing can be written two servers cannot get in each other's way.
    if (fileFaultOf(error) !== 'unwritable') throw error
  }
  attempt(() => rmSync(word, { force: true }))
  return {
    tell: (address) => attempt(() => writeFileSync(word, address)),
    release: () => {
      attempt(() => rmSync(word, { force: true }))
      lock?.close()
    },
  }
}

/** The word is a help to a second server; without it that one says less. */
function attempt(act: () => void): void {
  try {
    act()
  } catch (error) {
    console.error(`The word of where Seligo runs could not be left: ${String(error)}`)
  }
}

function readWord(file: string): string | null {
  try {
    return readFileSync(file, 'utf8').slice(0, 200) || null
  } catch {
    return null
  }
}
