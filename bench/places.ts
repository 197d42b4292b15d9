import type { AddressInfo } from 'node:net'
import Database from 'better-sqlite3'
import { createApp } from '#server/create-app'
import { openDatabase } from '#server/db/open-database'
import type { Db } from '#server/db/query'
import { makeServices } from '#server/services'
import { CHECK_IN } from './large-collection.js'
import { round, timesOf, type Times } from './measure.js'

/** What each place asks for when it is opened. */
const READS: Readonly<Record<string, string>> = {
  today: '/today',
  collection: '/collection',
  item: '/items/thing-1990',
  projects: '/projects',
  drawer: '/drawer',
  shelfLife: '/shelf-life',
  supply: '/supply',
  lookBack: '/look-back',
  spanMonth: '/look-back/sheet?from=2026-10-01&to=2026-10-31',
  spanYear: '/look-back/sheet?from=2025-01-01&to=2025-12-31',
  spanTenYears: '/look-back/sheet?from=2016-12-01&to=2026-11-24',
  faces: '/look-back/faces',
  asks: '/look-back/asks',
  decide: '/decide',
  doubts: '/doubts',
  compare: '/compare?items=thing-3,thing-33,thing-63,thing-93',
  buyingCheck: '/buying/check?category=blush&colour=%23c7747a&price=1900',
  buying: '/buying',
  plan: '/plan',
  targets: '/targets',
  lessons: '/lessons',
  stash: '/stash',
  lettingGo: '/letting-go',
  aside: '/aside',
  empties: '/empties',
  checkIn: `/check-ins/${CHECK_IN}`,
  containers: '/containers',
  fronts: '/fronts',
  changes: '/changes',
}

const MANY_STATEMENTS = 1000
const FEW_RUNS = 3

export interface PlaceFigure extends Times {
  readonly bareSqlP50: number
  /** p50 of the place over that of its statements alone. */
  readonly ratio: number
  readonly kilobytes: number
}

/** Time behind each place's reads over HTTP, beside the time of the very statements they run. */
export async function readsOf(file: string, now: Date, runs: number): Promise<Record<string, PlaceFigure>> {
  const { url, close } = await serve(file, now)
  const found: Record<string, PlaceFigure> = {}
  for (const [name, path] of Object.entries(READS)) {
    const statements = await statementsOf(file, now, path)
    let bytes = 0
    const times = await timesOf(runs, async () => {
      bytes = (await (await fetch(`${url}/api${path}`)).arrayBuffer()).byteLength
    })
    const bare = await bareSql(file, statements, runs)
    found[name] = {
      ...times,
      bareSqlP50: bare.p50,
      ratio: round(times.p50 / Math.max(bare.p50, 0.01)),
      kilobytes: Math.round(bytes / 1024),
    }
  }
  close()
  return found
}

/** Durable tallies over HTTP, beside one bare durable insert. */
export async function talliesOf(file: string, now: Date, runs: number): Promise<PlaceFigure> {
  const { url, close } = await serve(file, now)
  const day = now.toISOString().slice(0, 10)
  const times = await timesOf(runs, async (n) => {
    const answer = await fetch(`${url}/api/wear`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ changeId: `tally-${n}`, itemId: `thing-${n % 900}`, day, worn: true }),
    })
    if (answer.status !== 200) throw new Error(await answer.text())
  })
  close()
  const db = new Database(file)
  db.pragma('journal_mode = WAL')
  db.pragma('synchronous = FULL')
  db.exec('CREATE TABLE bench_bare (id INTEGER PRIMARY KEY, words TEXT) STRICT')
  const insert = db.prepare('INSERT INTO bench_bare (words) VALUES (?)')
  const bare = await timesOf(runs, () => insert.run('x'.repeat(300)))
  db.exec('DROP TABLE bench_bare')
  db.close()
  return { ...times, bareSqlP50: bare.p50, ratio: round(times.p50 / Math.max(bare.p50, 0.01)), kilobytes: 0 }
}

/** Steps of a check-in over HTTP, each with its weighing: as long as there are things to weigh. */
export async function stepsOf(file: string, now: Date): Promise<Times> {
  const { url, close } = await serve(file, now)
  const { steps } = (await (await fetch(`${url}/api/check-ins/${CHECK_IN}`)).json()) as {
    steps: { id: string; measure: string; version: number }[]
  }
  const weighs = steps.filter((step) => step.measure === 'weigh')
  const day = now.toISOString().slice(0, 10)
  // The first ten warm it up; no step is taken twice.
  const runs = weighs.length - 10
  const times = await timesOf(runs, async (n) => {
    const { id = '', version = 1 } = weighs[n < 10 ? n : n - runs + 10] ?? {}
    const reading = { kind: 'gross', grams: 55, resolution: 0.1, day }
    const answer = await fetch(`${url}/api/check-ins/${CHECK_IN}/steps/${id}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({
        changeId: `step-${n}`,
        version,
        state: 'done',
        readings: [{ id: `weighed-${n}`, partId: null, reading }],
      }),
    })
    if (answer.status !== 200) throw new Error(await answer.text())
  })
  close()
  return times
}

function serve(file: string, now: Date): Promise<{ url: string; close: () => void }> {
  return serveOn(openDatabase(file, { appliedAt: now.toISOString() }), now)
}

async function serveOn(db: Db, now: Date): Promise<{ url: string; close: () => void }> {
  const server = createApp(makeServices(db, () => now)).listen(0, '127.0.0.1')
  await new Promise((resolve) => server.once('listening', resolve))
  const { port } = server.address() as AddressInfo
  return {
    url: `http://127.0.0.1:${port}`,
    close: () => {
      server.closeAllConnections()
      server.close()
      db.close()
    },
  }
}

interface Ran {
  readonly sql: string
  readonly parameters: readonly unknown[]
}

/** The statements that one read runs, with their parameters: the database is listened to while the read runs once. */
async function statementsOf(file: string, now: Date, path: string): Promise<Ran[]> {
  const seen: Ran[] = []
  let listening = false
  const db = openDatabase(file, { appliedAt: now.toISOString() })
  const prepare = db.prepare.bind(db)
  db.prepare = ((sql: string) =>
    new Proxy(prepare(sql), {
      get(statement, name) {
        const method: unknown = Reflect.get(statement, name)
        if (typeof method !== 'function') return method
        return (...parameters: unknown[]) => {
          if (listening && (name === 'all' || name === 'get')) seen.push({ sql, parameters })
          return (method as (...given: unknown[]) => unknown).apply(statement, parameters)
        }
      },
    })) as typeof db.prepare
  const { url, close } = await serveOn(db, now)
  listening = true
  await (await fetch(`${url}/api${path}`)).arrayBuffer()
  close()
  return seen
}

async function bareSql(file: string, ran: readonly Ran[], runs: number): Promise<Times> {
  const db = new Database(file, { readonly: true })
  const prepared = ran.map(({ sql, parameters }) => ({ statement: db.prepare(sql), parameters }))
  // A first reading of everything takes tens of thousands of them: a few rounds tell.
  const times = await timesOf(ran.length > MANY_STATEMENTS ? FEW_RUNS : runs, () => {
    for (const { statement, parameters } of prepared) statement.all(...parameters)
  })
  db.close()
  return times
}
