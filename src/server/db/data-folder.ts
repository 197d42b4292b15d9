import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import envPaths from 'env-paths'
import type { Db } from './open-database.js'

/** Copies of the database that are kept. */
const KEPT_COPIES = 14

/** Where a collection lives: outside the clone, so that cleaning a checkout cannot delete it. */
export function dataFolder(environment: Readonly<Record<string, string | undefined>>): string {
  const folder = environment['SELIGO_DATA'] ?? envPaths('seligo', { suffix: '' }).data
  mkdirSync(folder, { recursive: true })
  return folder
}

/**
 * The copy of the day, made page by page beside whatever else is asked of the house; none when there is one already. Throws
 * when the disk takes no more.
 */
export async function copyForTheDay(db: Db, folder: string, day: string): Promise<void> {
  const copies = join(folder, 'copies')
  const file = join(copies, `${day}-day.db`)
  if (existsSync(file)) return
  mkdirSync(copies, { recursive: true })
  rmSync(`${file}.part`, { force: true })
  await db.backup(`${file}.part`)
  renameSync(`${file}.part`, file)
  dropOldest(copies)
}

/**
 * Writes a dated copy of the database beside it and keeps the newest fourteen, before something large: it is there when this
 * returns. `why` names what it was made before.
 */
export function copyDatabase(db: Db, folder: string, stamp: string, why: 'import' | 'migration'): void {
  const copies = join(folder, 'copies')
  mkdirSync(copies, { recursive: true })
  const file = join(copies, `${stamp.replaceAll(':', '.')}-before-${why}.db`)
  if (existsSync(file)) return
  rmSync(`${file}.part`, { force: true })
  // VACUUM INTO reads one consistent state, the write-ahead log included.
  db.prepare('VACUUM INTO ?').run(`${file}.part`)
  renameSync(`${file}.part`, file)
  dropOldest(copies)
}

function dropOldest(copies: string): void {
  const old = readdirSync(copies)
    .filter((each) => each.endsWith('.db'))
    .sort()
    .slice(0, -KEPT_COPIES)
  for (const each of old) rmSync(join(copies, each))
}
