import { connect } from 'node:net'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { addDays, type Day } from '#core/calendar/day'
import { inDrawer, send, serve } from './run-server.js'

const CLIENTS = 50
const CROWD_MS = 60_000
const SLOW = 40
const SLOW_MS = 30_000
const FIRST = '2024-01-01' as Day

/** Fifty clients for a minute, each ticking and reading: how many answers of which kind, and whether all that was acknowledged is there. */
export async function crowd(demo: string): Promise<Record<string, number>> {
  const folder = mkdtempSync(join(tmpdir(), 'seligo-crowd-'))
  cpSync(demo, folder, { recursive: true })
  const server = await serve(folder)
  const items = await inDrawer(server.url)
  const end = performance.now() + CROWD_MS
  const times: number[] = []
  const kept = new Set<string>()
  const counts = { answered: 0, refused: 0, mistakes: 0, silent: 0 }
  const client = async (_: unknown, n: number): Promise<void> => {
    for (let k = 0; performance.now() < end; k += 1) {
      const one = {
        itemId: items[k % items.length] ?? '',
        day: addDays(FIRST, Math.floor(k / items.length) * CLIENTS + n),
      }
      const start = performance.now()
      const reply = await send(server.url, '/wear', { changeId: `crowd-${n}-${k}`, ...one, worn: true, despite: true })
      times.push(performance.now() - start)
      if (reply === null) counts.silent += 1
      else if (reply.status === 200) {
        counts.answered += 1
        kept.add(`${one.itemId} ${one.day}`)
      } else if (reply.status >= 500) counts.mistakes += 1
      else counts.refused += 1
      if (k % 10 === 0) await (await fetch(`${server.url}/api/today`)).arrayBuffer()
    }
  }
  await Promise.all(Array.from({ length: CLIENTS }, client))
  const memoryMb = server.memoryMb().most
  await server.stop()
  const db = new Database(join(folder, 'collection.db'), { readonly: true })
  const rows = db.prepare<[], { item_id: string; day: string }>('SELECT item_id, day FROM wear').all()
  db.close()
  const there = new Set(rows.map(({ item_id, day }) => `${item_id} ${day}`))
  const lost = [...kept].filter((each) => !there.has(each)).length
  rmSync(folder, { recursive: true, force: true })
  times.sort((a, b) => a - b)
  return {
    ...counts,
    lost,
    doubled: rows.length - there.size,
    p95Ms: Math.round(times[Math.floor(times.length * 0.95)] ?? 0),
    memoryMb,
  }
}

/** Clients that send a byte a second, and some that never take their answer: what others wait meanwhile, and when the slow ones are let go. */
export async function slowClients(demo: string): Promise<Record<string, number>> {
  const folder = mkdtempSync(join(tmpdir(), 'seligo-slow-'))
  cpSync(demo, folder, { recursive: true })
  const server = await serve(folder)
  const port = Number(new URL(server.url).port)
  let letGo = 0
  const start = performance.now()
  let lastMs = 0
  const sockets = Array.from({ length: SLOW }, () => {
    const socket = connect(port, '127.0.0.1')
    socket.write('GET /api/collection HTTP/1.1\r\nHost: 127.0.0.1\r\nX: ')
    const drip = setInterval(() => socket.write('x'), 1000)
    socket.on('error', () => undefined)
    socket.once('close', () => {
      clearInterval(drip)
      letGo += 1
      lastMs = performance.now() - start
    })
    socket.resume()
    return socket
  })
  const waits: number[] = []
  let unanswered = 0
  while (performance.now() - start < SLOW_MS) {
    const asked = performance.now()
    try {
      await (await fetch(`${server.url}/api/today`)).arrayBuffer()
      waits.push(performance.now() - asked)
    } catch {
      unanswered += 1
    }
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  for (const socket of sockets) socket.destroy()
  await server.stop()
  rmSync(folder, { recursive: true, force: true })
  waits.sort((a, b) => a - b)
  return {
    clients: SLOW,
    letGo,
    lastLetGoAfterS: Math.round(lastMs / 1000),
    othersP95Ms: Math.round(waits[Math.floor(waits.length * 0.95)] ?? 0),
    othersUnanswered: unanswered,
  }
}
