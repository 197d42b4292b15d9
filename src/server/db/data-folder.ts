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
 * Writes a dated copy of the database beside it and keeps the newest fourteen. `why` names what it
 * was made before ("day", "import", "migration"); one copy a day is enough for "day".
 */
export function copyDatabase(db: Db, folder: string, stamp: string, why: 'day' | 'import' | 'migration'): void {
  const copies = join(folder, 'copies')
  mkdirSync(copies, { recursive: true })
  const name = why === 'day' ? `${stamp.slice(0, 10)}-day.db` : `${stamp.replaceAll(':', '.')}-before-${why}.db`
  const file = join(copies, name)
  if (existsSync(file)) return
  rmSync(`${file}.part`, { force: true })
  // VACUUM INTO reads one consistent state, the write-ahead log included.
  db.prepare('VACUUM INTO ?').run(`${file}.part`)
  renameSync(`${file}.part`, file)
  const old = readdirSync(copies)
    .filter((each) => each.endsWith('.db'))
    .sort()
    .slice(0, -KEPT_COPIES)
  for (const each of old) rmSync(join(copies, each))
}
