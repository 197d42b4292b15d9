import { execFileSync } from 'node:child_process'
import {
  chmodSync,
  closeSync,
  cpSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
  writeSync,
} from 'node:fs'
import { connect, type Socket } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { Random } from '#demo/random'
import { send, serve, type Served } from './run-server.js'

type Counts = Record<string, number>
const ROUNDS = 10
const FLIPS = 60
const PAGE = 4096
/** Another loopback address stands for the home network. */
const NETWORK = '127.0.0.2'
const DAY_COPY = /-day\.db$/

async function on(demo: string, act: (folder: string) => Promise<void>): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'seligo-broken-'))
  cpSync(demo, folder, { recursive: true })
  try {
    await act(folder)
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

async function settled(server: Served): Promise<void> {
  for (let n = 0; n < 100; n += 1) {
    const { copies } = (await (await fetch(`${server.url}/api/copies`)).json()) as { copies: { name: string }[] }
    if (copies.some(({ name }) => DAY_COPY.test(name))) return
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
}

/** 64 bytes of one page of an index overwritten, where it has 32 entries or more; each time another: is it told, and does the way back to the copy of the day work. */
export async function damaged(demo: string): Promise<Counts> {
  const counts = { rounds: ROUNDS, opened: 0, told: 0, rescued: 0, wentBack: 0, mistakes: 0, stuck: 0 }
  const random = new Random(20)
  for (let n = 0; n < ROUNDS; n += 1)
    await on(demo, async (folder) => {
      const first = await serve(folder)
      await settled(first)
      await first.stop()
      const file = join(folder, 'collection.db')
      const db = new Database(file)
      db.pragma('wal_checkpoint(TRUNCATE)')
      db.close()
      const bytes = readFileSync(file)
      const used = Array.from({ length: Math.floor(bytes.length / PAGE) - 1 }, (_, at) => at + 1).filter(
        (at) => bytes[at * PAGE] === 0x0a && bytes.readUInt16BE(at * PAGE + 3) >= 32,
      )
      const handle = openSync(file, 'r+')
      writeSync(handle, Buffer.alloc(64, 0x5a), 0, 64, random.pick(used) * PAGE + 8)
      closeSync(handle)
      const server = await serve(folder)
      const copy = readdirSync(join(folder, 'copies')).find((name) => DAY_COPY.test(name)) ?? ''
      const shown = await fetch(`${server.url}/api/copies`)
      if (shown.status !== 200) {
        counts.rescued += 1
        return server.stop()
      }
      counts.opened += 1
      for (let k = 0; k < 150; k += 1) {
        const said = await fetch(`${server.url}/api/today`)
        if (said.status === 500) counts.mistakes += 1
        if (said.headers.get('seligo-trouble') === 'damaged') {
          counts.told += 1
          break
        }
        await new Promise((resolve) => setTimeout(resolve, 100))
      }
      const back = await send(server.url, `/copies/${copy}/go-back`, {})
      if (back?.status === 200) counts.wentBack += 1
      else counts.stuck += 1
      await server.stop()
    })
  return counts
}

/** A copy with one bit flipped, each time another: is it offered as sound. */
export async function flipped(demo: string): Promise<Counts> {
  const counts = { flipped: FLIPS, passedAsSound: 0 }
  const random = new Random(21)
  await on(demo, async (folder) => {
    const server = await serve(folder)
    await settled(server)
    const name = readdirSync(join(folder, 'copies')).find((each) => DAY_COPY.test(each)) ?? ''
    const file = join(folder, 'copies', name)
    const bytes = readFileSync(file)
    for (let n = 0; n < counts.flipped; n += 1) {
      const one = Buffer.from(bytes)
      const at = random.whole(0, bytes.length - 1)
      one[at] = (one[at] ?? 0) ^ (1 << random.whole(0, 7))
      writeFileSync(file, one)
      const said = await send(server.url, `/copies/${name}/check`, {})
      const inside = await fetch(`${server.url}/api/copies/${name}/inside`)
      if (inside.status === 200 || said === null) counts.passedAsSound += 1
    }
    writeFileSync(file, bytes)
    await server.stop()
  })
  return counts
}

/** Folders and files that are not as they should be: does it start, show, and end of itself. */
export async function oddFolders(demo: string): Promise<Counts> {
  const counts = { tried: 0, showed: 0, ended: 0, mistakes: 0 }
  const ODD: Readonly<Record<string, (folder: string) => void>> = {
    'a collection of mode 444': (folder) => chmodSync(join(folder, 'collection.db'), 0o444),
    'photos is a file': (folder) => {
      rmSync(join(folder, 'photos'), { recursive: true, force: true })
      writeFileSync(join(folder, 'photos'), '')
    },
    'copies is a file': (folder) => {
      rmSync(join(folder, 'copies'), { recursive: true, force: true })
      writeFileSync(join(folder, 'copies'), '')
    },
    'a dangling link and a pipe among the copies': (folder) => {
      mkdirSync(join(folder, 'copies'), { recursive: true })
      symlinkSync(join(folder, 'nowhere'), join(folder, 'copies', '2026-11-20-day.db'))
      execFileSync('mkfifo', [join(folder, 'copies', '2026-11-19-day.db')])
    },
  }
  for (const spoil of Object.values(ODD))
    await on(demo, async (folder) => {
      spoil(folder)
      counts.tried += 1
      try {
        const server = await serve(folder)
        const shown = await fetch(`${server.url}/api/today`)
        counts.showed += shown.status === 200 ? 1 : 0
        const said = await send(server.url, '/no-makeup', { changeId: 'odd', day: '2026-11-24', noMakeup: true })
        counts.mistakes += said?.status === 500 ? 1 : 0
        counts.ended += said === null ? 1 : 0
        await server.stop()
      } catch {
        counts.ended += 1
      }
    })
  return counts
}

/** 120 strangers with half requests and half forms: does going back wait for them, and is she let in all the while. */
export async function strangers(demo: string): Promise<Counts> {
  const counts = { strangers: 120, herAnswers: 0, herSilence: 0, wentBack: 0, goingBackMs: 0, stillHeld: 0 }
  await on(demo, async (folder) => {
    const server = await serve(folder, { SELIGO_ADDRESSES: NETWORK })
    await settled(server)
    const { port } = new URL(server.url)
    await send(server.url, '/devices/let-in', { address: NETWORK })
    const sockets: Socket[] = Array.from({ length: counts.strangers }, (_, n) => {
      const socket = connect(Number(port), NETWORK).resume()
      socket.on('error', () => undefined)
      const form = `POST /pair HTTP/1.1\r\nHost: ${NETWORK}:${port}\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: 500\r\n\r\ncode=`
      socket.write(n % 2 === 0 ? 'GET / HTTP/1.1\r\nHo' : form)
      return socket
    })
    for (let n = 0; n < 50; n += 1)
      try {
        counts.herAnswers += (await fetch(`${server.url}/api/fronts`)).ok ? 1 : 0
      } catch {
        counts.herSilence += 1
      }
    const copy = readdirSync(join(folder, 'copies')).find((each) => DAY_COPY.test(each)) ?? ''
    const start = performance.now()
    const back = await send(server.url, `/copies/${copy}/go-back`, {})
    counts.goingBackMs = Math.round(performance.now() - start)
    counts.wentBack = back?.status === 200 ? 1 : 0
    await new Promise((resolve) => setTimeout(resolve, 7000))
    counts.stillHeld = sockets.filter((socket) => !socket.closed).length
    for (const socket of sockets) socket.destroy()
    await server.stop()
  })
  return counts
}

/** Bodies without end: what they cost in memory, and whether others wait. */
export async function largeBodies(demo: string): Promise<Counts> {
  const counts = { refused: 0, notRefused: 0, mistakes: 0, longestWaitMs: 0, memoryMb: 0 }
  await on(demo, async (folder) => {
    const server = await serve(folder)
    const FLOOD = `{"changeId":"x","replace":true,"collection":[${'[],'.repeat(20_000_000)}[]]}`
    const DEEP = `${'['.repeat(20_000)}${']'.repeat(20_000)}`
    let going = true
    const others = (async () => {
      while (going) {
        const start = performance.now()
        await (await fetch(`${server.url}/api/fronts`)).arrayBuffer()
        counts.longestWaitMs = Math.max(counts.longestWaitMs, Math.round(performance.now() - start))
        await new Promise((resolve) => setTimeout(resolve, 20))
      }
    })()
    for (const [path, body] of [
      ['/collection-file', FLOOD],
      ['/collection-file', DEEP],
      ['/wear', DEEP],
      ['/items', DEEP],
      ['/import/preview', DEEP],
    ] as const)
      try {
        const said = await fetch(`${server.url}/api${path}`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body,
        })
        if (said.status === 500) counts.mistakes += 1
        else if (said.status >= 400) counts.refused += 1
        else counts.notRefused += 1
      } catch {
        // It hung up while more was coming: that is a refusal too.
        counts.refused += 1
      }
    going = false
    await others
    counts.memoryMb = server.memoryMb().most
    await server.stop()
  })
  return counts
}
