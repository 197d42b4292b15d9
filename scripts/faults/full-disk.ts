import { execFileSync } from 'node:child_process'
import { cpSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statfsSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { addDays, type Day } from '#core/calendar/day'
import { inDrawer, send, serve } from './run-server.js'

const DISK_MB = 160
const FIRST = '2025-01-01' as Day

/**
 * A disk of its own that is filled up to the last byte, at each of the large acts and amid ticks. Needs the right to mount one; null
 * without it.
 */
export async function fullDisk(demo: string): Promise<Record<string, number | string> | null> {
  const folder = mkdtempSync(join(tmpdir(), 'seligo-full-'))
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${DISK_MB}m`, 'tmpfs', folder], { stdio: 'ignore' })
  } catch {
    rmSync(folder, { recursive: true, force: true })
    return null
  }
  const filler = join(folder, 'filler')
  try {
    cpSync(demo, folder, { recursive: true })
    const server = await serve(folder)
    while (!existsSync(join(folder, 'copies', '2026-11-24-day.db')))
      await new Promise((resolve) => setTimeout(resolve, 100))
    const items = await inDrawer(server.url)
    const before = count(folder)
    // Down to less than the reserve: what is large is refused, what is small goes on.
    leave(filler, folder, 20_000_000)
    const picture = readFileSync('docs/screenshots/today.png')
    const photo = await fetch(`${server.url}/api/items/${items[0]}/photos?changeId=p&photoId=p&day=2026-11-24`, {
      method: 'POST',
      headers: { 'Content-Type': 'image/png' },
      body: picture,
    })
    const csv = Buffer.from('Name,Category\nWeir,blush\n').toString('base64')
    const imported = await send(server.url, '/import/run', {
      changeId: 'i',
      importId: 'i',
      fileName: 'x.csv',
      base64: csv,
      choices: {},
    })
    const wentBack = await send(server.url, '/copies/2026-11-24-day.db/go-back', {})
    const archive = await fetch(`${server.url}/api/archive`)
    await archive.arrayBuffer().catch(() => null)
    const ticksInReserve: number[] = []
    for (let n = 0; n < 200; n += 1) ticksInReserve.push((await send(server.url, '/wear', tick(items, n)))?.status ?? 0)
    // Full to the last byte.
    leave(filler, folder, 0)
    const ticksOnFull: number[] = []
    for (let n = 200; n < 400; n += 1) ticksOnFull.push((await send(server.url, '/wear', tick(items, n)))?.status ?? 0)
    rmSync(filler)
    const after = await send(server.url, '/wear', tick(items, 500))
    const acknowledged = [...ticksInReserve, ...ticksOnFull, after?.status ?? 0].filter(
      (status) => status === 200,
    ).length
    await server.stop()
    const kept = count(folder)
    return {
      picture: photo.status,
      import: imported?.status ?? 0,
      goingBack: wentBack?.status ?? 0,
      archive: archive.status,
      ticksInReserve: ticksInReserve.filter((status) => status === 200).length,
      onFullAccepted: ticksOnFull.filter((status) => status === 200).length,
      onFullRefusedInWords: ticksOnFull.filter((status) => status === 507).length,
      onFullOther: ticksOnFull.filter((status) => status !== 200 && status !== 507).length,
      afterRoomWasMade: after?.status ?? 0,
      lostOfAcknowledged: before.wears + acknowledged - kept.wears,
      sound: kept.sound ? 'yes' : 'no',
      leftBehind: readdirSync(folder).filter((name) => /part|coming|incoming|outgoing/.test(name)).length,
    }
  } finally {
    execFileSync('umount', ['-l', folder], { stdio: 'ignore' })
    rmSync(folder, { recursive: true, force: true })
  }
}

function tick(items: readonly string[], n: number): object {
  const itemId = items[n % items.length] ?? ''
  return { changeId: `full-${n}`, itemId, day: addDays(FIRST, Math.floor(n / items.length)), worn: true, despite: true }
}

/** Writes a file so large that so many bytes are left on the disk. */
function leave(filler: string, folder: string, bytes: number): void {
  rmSync(filler, { force: true })
  const { bavail, bsize } = statfsSync(folder)
  try {
    writeFileSync(filler, Buffer.alloc(Math.max(0, bavail * bsize - bytes)))
  } catch {
    // It took what there was.
  }
}

function count(folder: string): { wears: number; sound: boolean } {
  const db = new Database(join(folder, 'collection.db'), { readonly: true })
  const wears = db.prepare<[], { n: number }>('SELECT count(*) AS n FROM wear').get()?.n ?? 0
  const sound = db.pragma('integrity_check', { simple: true }) === 'ok'
  db.close()
  return { wears, sound }
}
