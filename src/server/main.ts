import { createServer, type Server } from 'node:http'
import { join } from 'node:path'
import { hemisphereOf } from '#core/calendar/hemisphere'
import { checkInWorker, lookInWorker, checkOpenInWorker } from './copies/check-in-worker.js'
import { Copies } from './copies/copies.js'
import { collectionFile, dataFolder, holdsCopies } from './db/data-folder.js'
import { FolderInUse, lockFolder, type FolderLock } from './db/lock-folder.js'
import { openDatabase } from './db/open-database.js'
import type { Db } from './db/query.js'
import { readCollectionInProcess } from './export/read-in-process.js'
import { forecastAhead } from './forecast/make-ahead.js'
import { readInProcess } from './importing/read-in-process.js'
import { outsideOf } from './host/outside.js'
import { bound, LOOKED_AFTER } from './host/network-door.js'
import { Host } from './host/host.js'
import { rescueApp } from './host/rescue-app.js'
import { readSetup, type Setup } from './host/setup.js'

/** Where to listen: this machine only, unless the user opens a door. The next free port is taken when this one is busy. */
const HOST = '127.0.0.1'
const PORTS_TRIED = 50
/** The first page is answered before the day's copy is made, which takes a moment in a large collection. */
const SEEN_FIRST_MS = 5000
/** A server that runs for weeks looks this often whether it is another day, and whether the network has come back. */
const LOOK_MS = 10 * 60_000
const DOOR_MS = 30_000

// Whatever is made from here on is for the user's alone: files 600, folders 700.
process.umask(0o077)
const { port: firstPort, secure, alsoThere, startAt } = setupOrSayWhy()
const clock = clockFrom(startAt)
const folder = folderOrSayWhy()
const lock = lockOrSayWhy()
const host = new Host({
  folder,
  now: clock,
  secure,
  alsoThere,
  large: {
    check: checkInWorker,
    checkOpen: checkOpenInWorker,
    readSheet: readInProcess,
    readCollection: readCollectionInProcess,
  },
  outside: (those) => outsideOf(those, lookInWorker),
  opened: forecastAhead,
  hemisphere: hemisphereOf(Intl.DateTimeFormat().resolvedOptions().timeZone),
  say: console.log,
})
openOrOffer()
listen(createServer(LOOKED_AFTER, host.handler('here')), firstPort, PORTS_TRIED)

function setupOrSayWhy(): Setup {
  const setup = readSetup(process.env)
  return setup.ok ? setup.value : sayAndEnd(setup.words)
}

/** A folder that cannot be made or written is said with its name and what to do, not as a stack of calls. */
function folderOrSayWhy(): string {
  try {
    return dataFolder(process.env)
  } catch (error) {
    return sayAndEnd(cannotWrite(process.env['SELIGO_DATA'] ?? 'the data folder', error))
  }
}

function cannotWrite(which: string, error: unknown): string {
  const why = error instanceof Error ? error.message : String(error)
  return `${which} can’t be written: ${why}\nGive it back its rights or its disk, or name another folder with SELIGO_DATA. Nothing was changed.`
}

/** One server to a folder: a second one says so and ends. */
function lockOrSayWhy(): FolderLock {
  try {
    return lockFolder(folder)
  } catch (error) {
    return sayAndEnd(error instanceof FolderInUse ? error.message : cannotWrite(folder, error))
  }
}

/** A collection that cannot be opened is left as it is; where there are copies, the newest healthy one is offered on a small page. */
function openOrOffer(): void {
  let db: Db
  try {
    db = openDatabase(collectionFile(folder), {
      appliedAt: clock().toISOString(),
      backUp: (before) => new Copies(before, folder, clock).before('migration').keep(),
    })
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error)
    const words = `The collection ${join(folder, 'collection.db')} can’t be opened: ${why}`
    const copies = join(folder, 'copies')
    if (!holdsCopies(folder)) return sayAndEnd(`${words}\nNothing in it was changed, and there are no copies of it.`)
    console.error(
      `${words}\nNothing in it was changed. Open the address below to go back to one of the copies in ${copies}.`,
    )
    host.answerWith(rescueApp(host, copies, checkInWorker, why))
    return
  }
  host.begin(db)
}

function sayAndEnd(words: string): never {
  console.error(words)
  process.exit(1)
}

function listen(server: Server, port: number, triesLeft: number): void {
  bound(server)
  server.once('listening', () => {
    const address = server.address()
    host.port = address !== null && typeof address === 'object' ? address.port : port
    const url = `http://${HOST}:${host.port}/`
    console.log(`Seligo is at ${url}  (collection in ${folder}; stop with Ctrl+C)`)
    lock.tell(url)
    closeOnSignal(server)
    openDoor()
    setInterval(openDoor, DOOR_MS).unref()
    setTimeout(() => {
      tidyUp()
      setInterval(tidyUp, LOOK_MS).unref()
    }, SEEN_FIRST_MS).unref()
  })
  server.once('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE' && triesLeft > 0)
      return listen(createServer(LOOKED_AFTER, host.handler('here')), port + 1, triesLeft - 1)
    console.error(`Seligo can’t listen on ${HOST}:${port}: ${error.message}`)
    host.close()
    process.exitCode = 1
  })
  server.listen(port, HOST)
}

/** What can wait until the user sees the user's drawer. Whatever stands against it is said; the collection can be looked at all the same. */
function tidyUp(): void {
  if (!host.isOpen || !host.services.db.open) return
  try {
    host.services.photos.tidy(clock())
  } catch (error) {
    console.error(`Pictures could not be tidied up: ${String(error)}`)
  }
  host.daily().catch((error: unknown) => console.error(`What is done each day broke off: ${String(error)}`))
}

function openDoor(): void {
  host.openAsLeft().catch((error: unknown) => console.error(`Phone access stays off: ${String(error)}`))
}

function closeOnSignal(server: Server): void {
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(signal, () => {
      host.close()
      server.close(() => undefined)
      server.closeAllConnections()
      lock.release()
      process.exit(0)
    })
}

/** The machine's clock, or for tests and pictures one that starts at a given instant. */
function clockFrom(start: string | undefined): () => Date {
  if (start === undefined) return () => new Date()
  const offset = new Date(start).getTime() - Date.now()
  return () => new Date(Date.now() + offset)
}
