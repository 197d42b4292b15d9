import { Router, type Request, type Response } from 'express'
import { statSync } from 'node:fs'
import { pipeline } from 'node:stream/promises'
import type { WentBack } from '#contract/host'
import { problemOf, sendProblem } from '../http/problem.js'
import { receive } from '../http/receive.js'
import { hasRoom } from '../room.js'
import { hereOnly } from './admitting.js'
import type { Host } from './host.js'

export function archiveRoutes(host: Host): Router {
  const routes = Router()
  routes.get('/archive', hereOnly, out)
  routes.post('/archive', hereOnly, takeIn)
  return routes

  async function out(_request: Request, response: Response): Promise<void> {
    const { services, folder } = host
    // A snapshot and the records as text, each about as large as the database.
    if (!(await hasRoom(folder, statSync(services.db.name).size * 2)))
      return sendProblem(response, problemOf({ code: 'disk-full', data: {} }))
    // Loaded with the first archive: the server starts sooner, and smaller, without it.
    const { makeArchive } = await import('../archive/make-archive.js')
    const made = await makeArchive(services.db, folder, host.now())
    // From here on it is read from files of its own.
    host.isNoWork(response)
    try {
      response.setHeader('Content-Type', 'application/zip')
      response.setHeader('Content-Length', String(made.bytes))
      response.setHeader('Content-Disposition', `attachment; filename="seligo-${services.today()}.zip"`)
      await pipeline(made.stream, response)
    } catch (error) {
      console.error(`An archive broke off on its way: ${String(error)}`)
      // Whoever asked has gone, or a file was taken away under it: a file cut short says so by its length.
      response.destroy()
    } finally {
      await made.done()
    }
  }

  async function takeIn(request: Request, response: Response): Promise<void> {
    host.isNoWork(response)
    const { readThrough } = await import('../archive/take-archive.js')
    // Once as it comes, once unpacked.
    const received = await receive(request, host.folder, { times: 2 })
    if (!received.ok) return sendProblem(response, problemOf(received.failure))
    const { file, work } = received.value
    const taken = await readThrough(file, work, host.check, host.now().toISOString())
    if (!taken.ok) return sendProblem(response, problemOf(taken.failure))
    taken.value.placePictures()
    const outcome = await host.goBackTo(taken.value.database).finally(() => taken.value.drop())
    if (!outcome.ok) return sendProblem(response, problemOf(outcome.failure))
    const items = host.services.db.prepare<[], { n: number }>('SELECT count(*) AS n FROM item').get()?.n ?? 0
    const went: WentBack = { ...outcome.value, items }
    response.json(went)
  }
}
