import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { addDays, parseDay } from '#core/calendar/day'
import { lockFolder } from '#server/db/lock-folder'
import { openDatabase } from '#server/db/open-database'
import { dayNow } from '#server/context'
import { buildDemo } from './build-demo.js'
import { lifeWithCast, PHOTOGRAPHED_AGO } from './maren/cast.js'
import { drawPans } from './draw-pans.js'

/** The demo's own seed; the day is today's, so that its log always ends yesterday. */
const SEED = 2171

const [folder, askedDay] = process.argv.slice(2)
if (folder === undefined) throw new Error('usage: demo FOLDER [DAY]')
const today = parseDay(askedDay ?? '') ?? dayNow(new Date(), 4)
const file = join(folder, 'collection.db')
const part = join(folder, 'making.db')
mkdirSync(folder, { recursive: true })
const lock = lockOrSayWhy(folder)
for (const name of [part, `${part}-wal`, `${part}-shm`, file, `${file}-wal`, `${file}-shm`])
  rmSync(name, { force: true })
const db = openDatabase(part, { appliedAt: `${today}T12:00:00.000Z` })
const found = lifeWithCast(SEED, today)
const { life, cast } = found
const photographed = life.things.get(cast.get('photographed')?.id ?? '')
const lefts = PHOTOGRAPHED_AGO.flatMap((ago) => photographed?.leftOn(addDays(today, 1 - ago)) ?? [])
buildDemo(db, { seed: SEED, today, found, pictures: await drawPans(SEED, lefts) })
db.pragma('wal_checkpoint(TRUNCATE)')
db.close()
renameSync(part, file)
if (existsSync(`${part}-wal`)) rmSync(`${part}-wal`)
lock.release()
console.log(`Made the demo collection for ${today}.`)

/** A demo that is being looked at is not made anew under her eyes. */
function lockOrSayWhy(of: string): ReturnType<typeof lockFolder> {
  try {
    return lockFolder(of)
  } catch (error) {
    console.error(error instanceof Error ? error.message : String(error))
    process.exit(1)
  }
}
