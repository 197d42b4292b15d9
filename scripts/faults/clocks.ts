import { spawn } from 'node:child_process'
import { cpSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { migrate, readMigrations } from '#server/db/migrate'
import { Random } from '#demo/random'
import { inDrawer, send, serve } from './run-server.js'

/** A clock that is set back and forth, over the change to summer time, and in other zones of the world. */
const CLOCKS: readonly (readonly [string, string])[] = [
  ['2026-11-24T12:00:00', 'UTC'],
  ['2026-11-23T12:00:00', 'UTC'],
  ['2025-11-24T12:00:00', 'UTC'],
  ['2026-03-29T01:59:50', 'Europe/Berlin'],
  ['2026-03-29T03:00:10', 'Europe/Berlin'],
  ['2026-10-25T02:30:00', 'Europe/Berlin'],
  ['2026-11-24T23:30:00', 'Pacific/Kiritimati'],
  ['2026-11-24T00:30:00', 'America/Los_Angeles'],
  ['2027-01-01T00:00:00', 'Asia/Kathmandu'],
]
const ROUNDS = 15
const LONGEST_MS = 700

/** One collection under one clock after another: a tick for the day it is then, and what of all that is there at the end. */
export async function clocks(demo: string): Promise<Record<string, number>> {
  const folder = mkdtempSync(join(tmpdir(), 'seligo-clocks-'))
  cpSync(demo, folder, { recursive: true })
  const acknowledged: { itemId: string; day: string }[] = []
  let mistakes = 0
  for (const [n, [at, zone]] of CLOCKS.entries()) {
    const server = await serve(folder, { SELIGO_NOW: at, TZ: zone })
    const itemId = (await inDrawer(server.url))[n] ?? ''
    const { today } = (await (await fetch(`${server.url}/api/today`)).json()) as { today: string }
    const reply = await send(server.url, '/wear', {
      changeId: `clock-${n}`,
      itemId,
      day: today,
      worn: true,
      despite: true,
    })
    if (reply?.status === 200) acknowledged.push({ itemId, day: today })
    for (const path of ['/collection', '/shelf-life', '/look-back/spans', '/copies'])
      if ((await fetch(`${server.url}/api${path}`)).status >= 500) mistakes += 1
    await server.stop()
  }
  const db = new Database(join(folder, 'collection.db'), { readonly: true })
  const there = db.prepare<[string, string], { n: number }>(
    'SELECT count(*) AS n FROM wear WHERE item_id = ? AND day = ?',
  )
  const lost = acknowledged.filter(({ itemId, day }) => there.get(itemId, day)?.n !== 1).length
  const sound = db.pragma('integrity_check', { simple: true }) === 'ok'
  db.close()
  rmSync(folder, { recursive: true, force: true })
  return { clocks: CLOCKS.length, acknowledged: acknowledged.length, lost, mistakes, unsound: sound ? 0 : 1 }
}

/** Killed at random moments while a collection of the first version is brought up to date; each time it opens again, whole. */
export async function amidMigration(): Promise<Record<string, number>> {
  const random = new Random(21)
  let unsound = 0
  let behind = 0
  for (let round = 0; round < ROUNDS; round += 1) {
    const folder = mkdtempSync(join(tmpdir(), 'seligo-migration-'))
    const file = join(folder, 'collection.db')
    const known = readMigrations()
    const old = new Database(file)
    migrate(old, { appliedAt: '2026-01-01T00:00:00.000Z', known: known.slice(0, 2) })
    old.close()
    const starting = spawn(process.execPath, ['dist/server/main.js'], {
      env: { ...process.env, SELIGO_DATA: folder, SELIGO_PORT: '5190' },
      stdio: 'ignore',
    })
    const ended = new Promise((resolve) => starting.once('exit', resolve))
    await new Promise((resolve) => setTimeout(resolve, random.whole(100, LONGEST_MS)))
    starting.kill('SIGKILL')
    await ended
    const again = await serve(folder)
    await again.stop()
    const db = new Database(file, { readonly: true })
    if (db.pragma('integrity_check', { simple: true }) !== 'ok') unsound += 1
    if (db.prepare<[], { n: number }>('SELECT count(*) AS n FROM migration').get()?.n !== known.length) behind += 1
    db.close()
    if (!readdirSync(join(folder, 'copies')).some((name) => name.includes('before-migration'))) behind += 1
    rmSync(folder, { recursive: true, force: true })
  }
  return { rounds: ROUNDS, unsound, behind }
}
