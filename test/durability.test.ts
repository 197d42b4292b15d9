import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, watch, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import Database from 'better-sqlite3'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { addDays, type Day } from '#core/calendar/day'
import { CATEGORY_DEFAULTS, ZONE_DEFAULTS } from '#core/item/category-defaults'
import { FIELDS } from './support/test-house'

/** The compiled server, as a person runs it. */
const MAIN = fileURLToPath(new URL('../dist/server/main.js', import.meta.url))
const DEMO = fileURLToPath(new URL('../dist/demo/main.js', import.meta.url))
const TALLIES = 200

let folder: string
const running: ChildProcess[] = []
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'seligo-kill-'))
})
afterEach(async () => {
  for (const child of running.splice(0)) await gone(child)
  rmSync(folder, { recursive: true, force: true })
})

/** Kills a program, and waits until it no longer writes. */
async function gone(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return
  const over = new Promise((resolve) => child.once('exit', resolve))
  child.kill('SIGKILL')
  await over
}

async function start(port: number, of = folder): Promise<{ child: ChildProcess; address: string }> {
  const child = spawn(process.execPath, [MAIN], {
    env: { ...process.env, SELIGO_DATA: of, SELIGO_PORT: String(port) },
  })
  running.push(child)
  const address = await new Promise<string>((resolve, reject) => {
    child.stdout.on('data', (text: Buffer) => {
      const found = /http:\/\/[\d.:]+/.exec(String(text))
      if (found) resolve(found[0])
    })
    child.on('exit', (code) => reject(new Error(`exited with ${code}`)))
  })
  return { child, address }
}

/** How a program ended, and what it said on the way. */
function ended(child: ChildProcess): Promise<{ code: number | null; said: string }> {
  let said = ''
  child.stderr?.on('data', (text: Buffer) => {
    said += String(text)
  })
  return new Promise((resolve) => child.on('close', (code) => resolve({ code, said })))
}

async function send(address: string, path: string, body: object): Promise<{ worn?: unknown[]; today: Day }> {
  const response = await fetch(`${address}/api${path}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  })
  if (!response.ok) throw new Error(await response.text())
  return (await response.json()) as { today: Day }
}

test('killed twice amid 200 tallies: every acknowledged one is there, none twice, and retries add none', async () => {
  let port = 4790
  let { child, address } = await start(port)
  await send(address, '/items', { changeId: 'add', id: 'blush', fields: FIELDS, reading: null })
  const { today } = (await (await fetch(`${address}/api/today`)).json()) as { today: Day }
  const acknowledged: number[] = []
  const tally = (n: number) =>
    send(address, '/wear', { changeId: `tick-${n}`, itemId: 'blush', day: addDays(today, -n), worn: true })
  const kills = new Set([37, 130])
  for (let n = 0; n < TALLIES; n += 1) {
    // The kill races with the tallies under way: some of them are answered, some are not.
    if (kills.delete(n)) child.kill('SIGKILL')
    try {
      await tally(n)
      acknowledged.push(n)
    } catch {
      if (child.killed) ({ child, address } = await start((port += 1)))
      n -= 1
    }
  }
  expect(kills.size).toBe(0)
  expect(acknowledged).toHaveLength(TALLIES)
  // Every one once more, as a phone would after a gap: nothing is added.
  for (let n = 0; n < TALLIES; n += 1) await tally(n)
  child.kill('SIGTERM')
  await new Promise((resolve) => child.on('exit', resolve))
  const db = new Database(join(folder, 'collection.db'), { readonly: true })
  const days = db.prepare<[], { day: string }>('SELECT day FROM wear ORDER BY day DESC').all()
  expect(days.map((row) => row.day)).toEqual(Array.from({ length: TALLIES }, (_, n) => addDays(today, -n)))
  expect(db.prepare("SELECT count(*) AS n FROM change WHERE id LIKE 'tick-%'").get()).toEqual({ n: TALLIES })
  expect(db.pragma('integrity_check', { simple: true })).toBe('ok')
  db.close()
})

test('a busy port makes it take the next free one; a second one on the same folder says so and ends; a signal closes it', async () => {
  const one = await start(4795)
  const other = mkdtempSync(join(tmpdir(), 'seligo-other-'))
  const two = await start(4795, other)
  expect(one.address).not.toBe(two.address)
  for (const program of [[MAIN], [DEMO, folder]]) {
    const { code, said } = await ended(
      spawn(process.execPath, program, { env: { ...process.env, SELIGO_DATA: folder } }),
    )
    expect([code, said]).toEqual([1, expect.stringContaining(`it is at ${one.address}`)])
  }
  const over = ended(one.child)
  one.child.kill('SIGINT')
  expect((await over).code).toBe(0)
  // Killed without a word it leaves no lock behind.
  await gone(two.child)
  await gone((await start(4797, other)).child)
  rmSync(other, { recursive: true, force: true })
})

test('killed at any moment of its first start it is whole at the next: zones, categories, and it takes what is sent', async () => {
  for (const after of [1, 2, 3, 4, 5, 6, 8, 10]) {
    const fresh = mkdtempSync(join(tmpdir(), 'seligo-first-'))
    const child = spawn(process.execPath, [MAIN], { env: { ...process.env, SELIGO_DATA: fresh, SELIGO_PORT: '4810' } })
    running.push(child)
    const over = ended(child)
    // Killed at the so many-th thing it does to its folder, or once it is up.
    let seen = 0
    const watcher = watch(fresh, () => {
      seen += 1
      if (seen === after) child.kill('SIGKILL')
    })
    child.stdout.once('data', () => child.kill('SIGKILL'))
    await over
    watcher.close()
    const { address, child: next } = await start(4810, fresh)
    const { categories, zones } = (await (await fetch(`${address}/api/categories`)).json()) as Record<string, unknown[]>
    expect([categories?.length ?? 0, zones?.length ?? 0], `after ${after} acts`).toEqual([
      CATEGORY_DEFAULTS.length,
      ZONE_DEFAULTS.length,
    ])
    const stopped = ended(next)
    next.kill('SIGTERM')
    await stopped
    rmSync(fresh, { recursive: true, force: true })
  }
}, 60_000)

test('a file that is no collection is refused with words, and left as it is', async () => {
  writeFileSync(join(folder, 'collection.db'), 'not a database at all, but somebody’s letter')
  const child = spawn(process.execPath, [MAIN], { env: { ...process.env, SELIGO_DATA: folder, SELIGO_PORT: '4799' } })
  running.push(child)
  let said = ''
  child.stderr.on('data', (text: Buffer) => {
    said += String(text)
  })
  expect(await new Promise((resolve) => child.on('close', resolve))).toBe(1)
  expect(said).toContain('can’t be opened')
  expect(readFileSync(join(folder, 'collection.db'), 'utf8')).toContain('somebody’s letter')
})
