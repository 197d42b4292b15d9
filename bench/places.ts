import type { AddressInfo } from 'node:net'
import { createApp } from '#server/create-app'
import { openDatabase } from '#server/db/open-database'
import { makeServices } from '#server/services'
import { CHECK_IN } from './large-collection.js'
import { ROUNDS, timesOf, type Times } from './measure.js'

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
  looks: '/look-back/faces',
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

/** Runs of each round. */
const READ_RUNS = 20
const TALLY_RUNS = 60

export interface PlaceFigure extends Times {
  readonly kilobytes: number
}

/** Time behind each place's reads over HTTP. */
export async function readsOf(file: string, now: Date): Promise<Record<string, PlaceFigure>> {
  const { url, close } = await serve(file, now)
  const found: Record<string, PlaceFigure> = {}
  for (const [name, path] of Object.entries(READS)) {
    let bytes = 0
    const times = await timesOf(READ_RUNS, async () => {
      bytes = (await (await fetch(`${url}/api${path}`)).arrayBuffer()).byteLength
    })
    found[name] = { ...times, kilobytes: Math.round(bytes / 1024) }
  }
  close()
  return found
}

/** Durable tallies over HTTP. */
export async function talliesOf(file: string, now: Date): Promise<PlaceFigure> {
  const { url, close } = await serve(file, now)
  const day = now.toISOString().slice(0, 10)
  let n = 0
  const times = await timesOf(TALLY_RUNS, async () => {
    n += 1
    const answer = await fetch(`${url}/api/wear`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ changeId: `tally-${n}`, itemId: `thing-${n % 900}`, day, worn: true }),
    })
    if (answer.status !== 200) throw new Error(await answer.text())
  })
  close()
  return { ...times, kilobytes: 0 }
}

/** Steps of a check-in over HTTP, each with its weighing: as long as there are things to weigh. */
export async function stepsOf(file: string, now: Date): Promise<Times> {
  const { url, close } = await serve(file, now)
  const { steps } = (await (await fetch(`${url}/api/check-ins/${CHECK_IN}`)).json()) as {
    steps: { id: string; measure: string; version: number }[]
  }
  const weighs = steps.filter((step) => step.measure === 'weigh')
  const day = now.toISOString().slice(0, 10)
  // No step is taken twice.
  const rounds = Math.floor(weighs.length / (ROUNDS + 1))
  let n = -1
  const times = await timesOf(rounds, async () => {
    n += 1
    const { id = '', version = 1 } = weighs[n] ?? {}
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

async function serve(file: string, now: Date): Promise<{ url: string; close: () => void }> {
  const db = openDatabase(file, { appliedAt: now.toISOString() })
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
