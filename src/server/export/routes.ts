import type { Request, Response } from 'express'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { PutCollection } from '#contract/importing'
import { collectionFileSchema } from './file-schema.js'
import type { Problem } from '#contract/basic'
import type { Context } from '../context.js'
import type { Copies } from '../copies/copies.js'
import type { Journal } from '../db/journal.js'
import { COLLECTION_BOUNDS, JsonShape } from '../http/json-shape.js'
import { problemOf, sendProblem } from '../http/problem.js'
import { receive, type Received } from '../http/receive.js'
import { plain, type Route } from '../http/routes.js'
import type { Stock } from '../stock/stock.js'
import type { CollectionFiles } from './collection-file.js'
import { collectionCsv } from './csv.js'
import type { ReadCollectionFile } from './read-collection.js'

/** A collection of ten years with its pictures travels as one JSON file. */
const COLLECTION_LIMIT = 300_000_000

export function exportRoutes(
  services: Context & {
    stock: Stock
    files: CollectionFiles
    copies: Copies
    journal: Journal
    folder: string
    readCollection: ReadCollectionFile
  },
): Route[] {
  const { files, copies, journal, folder, readCollection, today } = services
  return [
    plain('get', '/export', async (_request, response) => {
      attach(response, `seligo-${today()}.json`).type('application/json')
      try {
        await pipeline(Readable.from(files.text()), response)
      } catch (error) {
        console.error(`An export broke off on its way: ${String(error)}`)
        // A file cut short must not pass for a whole one.
        response.destroy()
      }
    }),
    plain('get', '/export.csv', (_request, response) => {
      attach(response, `seligo-${today()}.csv`).type('text/csv; charset=utf-8').send(collectionCsv(services))
    }),
    plain('get', '/export/schema', (_request, response) => {
      response.type('application/schema+json').send(JSON.stringify(collectionFileSchema()))
    }),
    { method: 'post', path: '/collection-file', schema: PutCollection, handlers: () => [takeIn] },
  ]

  /** What a file holds is checked whole, away from whoever else asks, before anything is touched. */
  async function takeIn(request: Request, response: Response): Promise<void> {
    const shape = new JsonShape(COLLECTION_BOUNDS)
    // Once as it comes, and its pictures once more.
    const received = await receive(request, folder, {
      times: 2,
      most: COLLECTION_LIMIT,
      look: (piece) => shape.take(piece),
    })
    if (!received.ok) return sendProblem(response, problemOf(received.failure))
    const taken = await taking(received.value).finally(() => received.value.drop())
    if ('problem' in taken) return sendProblem(response, taken.problem)
    response.json(taken.answer)
  }

  async function taking({ file, work, hash }: Received): Promise<{ problem: Problem } | { answer: object }> {
    const read = await readCollection(file, work)
    if (!read.ok) return { problem: 'problem' in read ? read.problem : problemOf(read.failure) }
    const { changeId, replace } = read.value
    const outcome = await copies.around('import', (stored) =>
      journal.run(
        // The journal keeps what the act was, not the file; what it hashes to tells one from another.
        { changeId, command: 'put-collection', body: { replace, hash } },
        () => files.put(read.value),
        { stored },
      ),
    )
    return outcome.ok ? { answer: outcome.value } : { problem: problemOf(outcome.failure) }
  }
}

function attach(response: Response, name: string): Response {
  response.setHeader('Content-Disposition', `attachment; filename="${name}"`)
  return response
}
