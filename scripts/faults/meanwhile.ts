import { cpSync, existsSync, mkdtempSync, rmSync, statSync } from 'node:fs'
import { get } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { addDays, type Day } from '#core/calendar/day'
import { inDrawer, send, serve } from './run-server.js'

const WEARS = 100_000
const TICKS = 100
const FIRST = '2023-01-01' as Day

/** How long others wait while a copy of a large collection is made, read through, and gone back to, and until a tick is told to them. */
export async function meanwhile(demo: string): Promise<Record<string, number>> {
  const folder = mkdtempSync(join(tmpdir(), 'seligo-meanwhile-'))
  cpSync(demo, folder, { recursive: true })
  const file = join(folder, 'collection.db')
  const db = new Database(file)
  const items = db.prepare<[], { id: string }>('SELECT id FROM item').all()
  const wear = db.prepare("INSERT OR IGNORE INTO wear (id, item_id, day) VALUES (?, ?, date('2016-01-01', ?))")
  db.transaction(() => {
    for (let n = 0; n < WEARS; n += 1)
      wear.run(`many-${n}`, items[n % items.length]?.id, `+${Math.floor(n / items.length)} days`)
  })()
  db.close()
  const server = await serve(folder)
  const waits: number[] = []
  let asking = true
  const asker = (async () => {
    while (asking) {
      const start = performance.now()
      await (await fetch(`${server.url}/api/fronts`)).arrayBuffer()
      waits.push(performance.now() - start)
    }
  })()
  const copy = join(folder, 'copies', '2026-11-24-day.db')
  while (!existsSync(copy)) await new Promise((resolve) => setTimeout(resolve, 50))
  const longestWhileCopied = Math.max(...waits.splice(0))
  const began = performance.now()
  await send(server.url, '/copies/2026-11-24-day.db/go-back', {})
  const goingBackMs = performance.now() - began
  asking = false
  await asker
  const told = await untilTold(server.url)
  const megabytes = Math.round(statSync(copy).size / 1_000_000)
  await server.stop()
  rmSync(folder, { recursive: true, force: true })
  return {
    megabytes,
    longestWaitWhileCopiedMs: Math.round(longestWhileCopied),
    goingBackMs: Math.round(goingBackMs),
    longestWaitWhileGoingBackMs: Math.round(Math.max(...waits)),
    toldP95Ms: Math.round(told[Math.floor(told.length * 0.95)] ?? 0),
    told: told.length,
  }
}

/** From sending a tick until the open line tells of it. */
async function untilTold(url: string): Promise<number[]> {
  const items = await inDrawer(url)
  const sent = new Map<string, number>()
  const times: number[] = []
  const line = get(`${url}/api/stream`, (answer) => {
    answer.on('data', (text: Buffer) => {
      for (const [, changeId = ''] of String(text).matchAll(/"changeId":"([^"]+)"/g))
        times.push(performance.now() - (sent.get(changeId) ?? 0))
    })
  })
  await new Promise((resolve) => line.once('response', resolve))
  for (let n = 0; n < TICKS; n += 1) {
    const changeId = `told-${n}`
    sent.set(changeId, performance.now())
    const one = { itemId: items[n % items.length] ?? '', day: addDays(FIRST, n) }
    // Some of the days are ticked already: on or off, one of the two is a change.
    await send(url, '/wear', { changeId, ...one, worn: n % 2 === 0, despite: true })
  }
  line.destroy()
  return times.filter((each) => each < 60_000).sort((a, b) => a - b)
}
