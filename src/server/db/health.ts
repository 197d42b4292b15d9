/** What stands against the collection that is open: its file is damaged, or cannot be written. */
export type Trouble = 'damaged' | 'read-only'

/** A copy of the collection as it stands would be no good: it is damaged itself. */
export class DamagedCollection extends Error {}

/** SQLite's codes for a file whose pages do not hold together. */
const DAMAGED = /^SQLITE_(?:CORRUPT|NOTADB)/
/** Codes of SQLite and of the system for a disk that takes no more, or a file that may not be written. */
const UNWRITABLE = /^SQLITE_(?:FULL|READONLY|IOERR|CANTOPEN)|^(?:ENOSPC|EDQUOT|EROFS|EACCES|EPERM)$/
/** A file where a folder should be, or the other way round. */
const WRONG_KIND = /^(?:ENOTDIR|EISDIR|EEXIST|ELOOP)$/

export type FileFault = 'damaged' | 'unwritable' | 'wrong-kind' | null

/** What of the disk an error tells of; null where of none. */
export function fileFaultOf(error: unknown): FileFault {
  if (error instanceof DamagedCollection) return 'damaged'
  const code = String((error as { code?: unknown } | null)?.code ?? '')
  if (DAMAGED.test(code)) return 'damaged'
  if (UNWRITABLE.test(code)) return 'unwritable'
  return WRONG_KIND.test(code) ? 'wrong-kind' : null
}

/** How the collection that is open fares; every answer tells it, so that every page can. */
export class Health {
  #trouble: Trouble | null

  constructor(readOnly: boolean) {
    this.#trouble = readOnly ? 'read-only' : null
  }

  get trouble(): Trouble | null {
    return this.#trouble
  }

  damaged(why: string): void {
    if (this.#trouble !== 'damaged') console.error(`The collection is damaged: ${why}`)
    this.#trouble = 'damaged'
  }
}
