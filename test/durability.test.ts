import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import Database from 'better-sqlite3'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { addDays, type Day } from '#core/calendar/day'
import { FIELDS } from './support/test-house'

/** The compiled server, as a person runs it. */
const MAIN = fileURLToPath(new URL('../dist/server/main.js', import.meta.url))
const TALLIES = 200

let folder: string
const running: ChildProcess[] = []
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'seligo-kill-'))
})
afterEach(() => {
  for (const child of running.splice(0)) child.kill('SIGKILL')
  rmSync(folder, { recursive: true, force: true })
})

async function start(port: number): Promise<{ child: ChildProcess; address: string }> {
  const child = spawn(process.execPath, [MAIN], {
    env: { ...process.env, SELIGO_DATA: folder, SELIGO_PORT: String(port) },
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

test('a busy port makes it take the next free one; a signal closes the database', async () => {
  const one = await start(4795)
  const two = await start(4795)
  expect(one.address).not.toBe(two.address)
  const ended = new Promise((resolve) => one.child.on('exit', resolve))
  one.child.kill('SIGINT')
  expect(await ended).toBe(0)
})

test('a file that is no collection is refused with words, and left as it is', async () => {
  writeFileSync(join(folder, 'collection.db'), 'not a database at all, but somebody’s letter')
  const child = spawn(process.execPath, [MAIN], { env: { ...process.env, SELIGO_DATA: folder, SELIGO_PORT: '4799' } })
  running.push(child)
  let said = ''
  child.stderr.on('data', (text: Buffer) => {
    said += String(text)
  })
  expect(await new Promise((resolve) => child.on('close', resolve))).toBe(1)
  expect(said).toContain('cannot be opened')
  expect(readFileSync(join(folder, 'collection.db'), 'utf8')).toContain('somebody’s letter')
})
