import { createHash } from 'node:crypto'
import { copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { Day } from '#core/calendar/day'
import { buildDemo } from '#demo/build-demo'
import { openDatabase } from '#server/db/open-database'

const root = fileURLToPath(new URL('../..', import.meta.url))
const cache = join(root, 'node_modules', '.cache', 'seligo')
/** What the demo is made by: when any of it changes, it is made anew. */
const MADE_BY = ['src/demo', 'src/server', 'src/core', 'src/contract', 'migrations']

/** The day of the demo that tests copy. */
export const DEMO_DAY = '2026-11-24' as Day

/** Puts a copy of the demo collection at a path: made once for the sources as they are, copied ever after. */
export function copyDemoTo(file: string): void {
  const hash = createHash('sha256')
  for (const folder of MADE_BY)
    for (const name of readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' }).sort())
      if (/\.(ts|sql)$/.test(name) && !name.includes('planted'))
        hash.update(name).update(readFileSync(join(root, folder, name)))
  const made = join(cache, `test-demo-${hash.digest('hex').slice(0, 16)}.db`)
  if (!existsSync(made)) {
    mkdirSync(cache, { recursive: true })
    for (const name of readdirSync(cache))
      if (/^test-demo-\w+\.db$/.test(name)) rmSync(join(cache, name), { force: true })
    // Two test files may ask at once; whichever is done last puts the same thing there again.
    const making = `${made}.${process.pid}`
    const db = openDatabase(making, { appliedAt: 'x' })
    buildDemo(db, { seed: 2171, today: DEMO_DAY })
    db.pragma('wal_checkpoint(TRUNCATE)')
    db.pragma('journal_mode = DELETE')
    db.close()
    renameSync(making, made)
  }
  copyFileSync(made, file)
}
