import { cpSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { addDays, type Day } from '#core/calendar/day'
import { Random } from '#demo/random'
import { inDrawer, send, serve } from './run-server.js'

const ROUNDS = 12
const LONGEST_MS = 900
const TICKERS = 3
const FIRST = '2025-01-01' as Day

/** What may be under way when the power goes, beside the ticks. */
type Amid = (url: string, n: number) => Promise<unknown>
const picture = readFileSync('docs/screenshots/today.png')
const csv = Buffer.from(
  ['Maker,Name,Category', ...Array.from({ length: 400 }, (_, n) => `Ondrake,Weir ${n},blush`)].join('\n'),
).toString('base64')
const AMID: Readonly<Record<string, Amid>> = {
  ticks: () => Promise.resolve(),
  import: (url, n) =>
    send(url, '/import/run', {
      changeId: `imp-${n}`,
      importId: `imp-${n}`,
      fileName: 'x.csv',
      base64: csv,
      choices: {},
    }),
  'take back': async (url, n) => {
    await send(url, '/import/run', {
      changeId: `i-${n}`,
      importId: `i-${n}`,
      fileName: 'x.csv',
      base64: csv,
      choices: {},
    })
    await send(url, `/changes/i-${n}/take-back`, { changeId: `u-${n}`, withLater: true })
  },
  picture: async (url, n) => {
    const items = await inDrawer(url)
    for (let k = 0; k < 6; k += 1)
      await fetch(`${url}/api/items/${items[k]}/photos?changeId=p-${n}-${k}&photoId=p-${n}-${k}&day=2026-11-24`, {
        method: 'POST',
        headers: { 'Content-Type': 'image/png' },
        body: picture,
      }).catch(() => null)
  },
  'going back': async (url) => {
    for (let k = 0; k < 4; k += 1) {
      const { copies } = (await (await fetch(`${url}/api/copies`)).json()) as { copies: { name: string }[] }
      await send(url, `/copies/${copies.at(-1)?.name}/go-back`, {})
    }
  },
  copy: async (url, n) => {
    for (let k = 0; k < 20; k += 1)
      await send(url, '/import/run', {
        changeId: `c-${n}-${k}`,
        importId: `c-${n}-${k}`,
        fileName: 'x.csv',
        base64: Buffer.from(`Name,Category\nWeir ${n} ${k},blush\n`).toString('base64'),
        choices: {},
      })
  },
  archive: async (url) => {
    const bytes = await (await fetch(`${url}/api/archive`)).arrayBuffer()
    await fetch(`${url}/api/archive`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/zip' },
      body: bytes,
    }).catch(() => null)
  },
}

export interface Killed {
  readonly amid: string
  readonly rounds: number
  readonly acknowledged: number
  readonly lost: number
  readonly doubled: number
  readonly unsound: number
  readonly picturesMissing: number
  readonly leftovers: number
}

/**
 * Kills the server at random moments amid ticks in flight and something larger, and looks whether it opens again with every
 * acknowledged tick in it once. After a going back a tick may be in the copy that was made before it instead.
 */
export async function killed(demo: string, only?: string): Promise<Killed[]> {
  const random = new Random(13)
  const found: Killed[] = []
  for (const [amid, act] of Object.entries(AMID)) {
    if (only !== undefined && amid !== only) continue
    const folder = mkdtempSync(join(tmpdir(), 'seligo-killed-'))
    cpSync(demo, folder, { recursive: true })
    const sums = { acknowledged: 0, lost: 0, doubled: 0, unsound: 0, picturesMissing: 0, leftovers: 0 }
    let ticked = 0
    // The first start makes the day's copy, so that there is one to go back to.
    const first = await serve(folder)
    await until(() => existsSync(join(folder, 'copies', '2026-11-24-day.db')))
    const items = await inDrawer(first.url)
    await first.stop()
    for (let round = 0; round < ROUNDS; round += 1) {
      const server = await serve(folder)
      const acknowledged: { itemId: string; day: Day; changeId: string }[] = []
      let going = true
      const tick = async (): Promise<void> => {
        while (going) {
          ticked += 1
          const one = {
            changeId: `${amid.replaceAll(' ', '-')}-${ticked}`,
            itemId: items[ticked % items.length] ?? '',
            day: addDays(FIRST, Math.floor(ticked / items.length)),
          }
          const reply = await send(server.url, '/wear', { ...one, worn: true, despite: true })
          if (reply?.status === 200) acknowledged.push(one)
          else if (reply === null) return
        }
      }
      const tickers = Array.from({ length: TICKERS }, tick)
      const larger = act(server.url, round).catch(() => undefined)
      await new Promise((resolve) => setTimeout(resolve, random.whole(20, LONGEST_MS)))
      await server.kill()
      going = false
      await Promise.all([...tickers, larger])
      const again = await serve(folder)
      // Asked again under the same ids, none of them may become two.
      for (const one of acknowledged.slice(-20)) await send(again.url, '/wear', { ...one, worn: true, despite: true })
      await again.stop()
      const kept = wornIn(join(folder, 'collection.db'))
      const before = readdirSync(join(folder, 'copies')).filter((name) => name.includes('before-going-back'))
      const also = before.map((name) => wornIn(join(folder, 'copies', name)).days)
      sums.acknowledged += acknowledged.length
      sums.lost += acknowledged.filter(
        ({ itemId, day }) => ![kept.days, ...also].some((days) => days.has(`${itemId} ${day}`)),
      ).length
      sums.doubled += kept.rows - kept.days.size
      sums.unsound += kept.sound ? 0 : 1
      sums.picturesMissing += kept.contents.filter((each) => !existsSync(join(folder, 'photos', `${each}.jpg`))).length
      sums.leftovers += readdirSync(folder).filter((name) => /coming|incoming|outgoing/.test(name)).length
    }
    rmSync(folder, { recursive: true, force: true })
    found.push({ amid, rounds: ROUNDS, ...sums })
  }
  return found
}

function wornIn(file: string): { days: Set<string>; rows: number; sound: boolean; contents: string[] } {
  const db = new Database(file, { readonly: true })
  try {
    const rows = db.prepare<[], { item_id: string; day: string }>('SELECT item_id, day FROM wear').all()
    const loose = db.pragma('foreign_key_check') as unknown[]
    const contents = db.prepare<[], { content: string }>('SELECT DISTINCT content FROM photo').all()
    return {
      days: new Set(rows.map(({ item_id, day }) => `${item_id} ${day}`)),
      rows: rows.length,
      sound: db.pragma('integrity_check', { simple: true }) === 'ok' && loose.length === 0,
      contents: contents.map(({ content }) => content),
    }
  } finally {
    db.close()
  }
}

async function until(holds: () => boolean): Promise<void> {
  while (!holds()) await new Promise((resolve) => setTimeout(resolve, 100))
}
