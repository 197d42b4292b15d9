import { join } from 'node:path'
import type { Server } from 'node:http'
import { createApp } from './create-app.js'
import { Copies } from './db/copies.js'
import { collectionFile, CollectionMissing, dataFolder } from './db/data-folder.js'
import { lockFolder, type FolderLock } from './db/lock-folder.js'
import { openDatabase, type Db } from './db/open-database.js'
import { forecastAhead } from './forecast/elsewhere.js'
import { House } from './house.js'

/** Where to listen: this machine only. The next free port is taken when this one is busy. */
const HOST = '127.0.0.1'
const FIRST_PORT = 4680
const PORTS_TRIED = 50
/** The first page is answered before the day's copy is made, which takes a moment in a large collection. */
const SEEN_FIRST_MS = 5000

const clock = clockFrom(process.env['SELIGO_NOW'])
const folder = dataFolder(process.env)
const lock = lockOrSayWhy()
const db = openOrSayWhy()
const house = new House(db, clock)
listen(createApp(house), Number(process.env['SELIGO_PORT'] ?? FIRST_PORT), PORTS_TRIED)

/** What can wait until she sees her drawer. Without room for a copy the collection can still be looked at; it is said. */
function tidyUp(): void {
  if (!db.open) return
  house.photos.tidy(clock())
  house.copies.forTheDay(clock().toISOString().slice(0, 10)).catch((error: unknown) => {
    const why = error instanceof Error ? error.message : String(error)
    if (db.open) console.error(`No copy of the collection could be made today: ${why}`)
  })
}

/** One server to a folder: a second one says so and ends. */
function lockOrSayWhy(): FolderLock {
  try {
    return lockFolder(folder)
  } catch (error) {
    return sayAndEnd(error instanceof Error ? error.message : String(error))
  }
}

/** A collection that cannot be opened is said in words, and left as it is. */
function openOrSayWhy(): Db {
  try {
    return openDatabase(collectionFile(folder), {
      appliedAt: clock().toISOString(),
      backUp: (before) => new Copies(before, folder, clock).before('migration').keep(),
    })
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error)
    if (error instanceof CollectionMissing) return sayAndEnd(why)
    return sayAndEnd(
      `The collection ${join(folder, 'collection.db')} cannot be opened: ${why}\nNothing in it was changed. ` +
        `Copies of it are in ${join(folder, 'copies')}; docs/going-back.md says how to go back to one.`,
    )
  }
}

function sayAndEnd(words: string): never {
  console.error(words)
  process.exit(1)
}

function listen(app: ReturnType<typeof createApp>, port: number, triesLeft: number): void {
  const server = app.listen(port, HOST)
  server.on('listening', () => {
    const address = server.address()
    const at = address !== null && typeof address === 'object' ? address.port : port
    console.log(`Seligo is at http://${HOST}:${at}/  (collection in ${folder}; stop with Ctrl+C)`)
    lock.tell(`http://${HOST}:${at}/`)
    closeOnSignal(server)
    forecastAhead(house)
    setTimeout(tidyUp, SEEN_FIRST_MS).unref()
  })
  server.on('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE' && triesLeft > 0) return listen(app, port + 1, triesLeft - 1)
    console.error(`Seligo cannot listen on ${HOST}:${port}: ${error.message}`)
    db.close()
    process.exitCode = 1
  })
}

function closeOnSignal(server: Server): void {
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(signal, () => {
      server.close(() => undefined)
      server.closeAllConnections()
      db.close()
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
