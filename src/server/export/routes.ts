import express, { Router, type Request, type Response } from 'express'
import { CollectionFile, collectionFileSchema, PutCollection } from '#contract/collection-file'
import type { House } from '../house.js'
import { problemOf, problemOfInput, sendProblem } from '../http/problem.js'
import { collectionCsv } from './csv.js'
import { upgradeFile } from './upgrade-file.js'

/** A collection of ten years with its pictures travels as one JSON file. */
const COLLECTION_LIMIT = '300mb'

export function exportRoutes(house: House): Router {
  const { files } = house
  const routes = Router()
  routes.get('/export', (_request, response) => {
    attach(response, `seligo-${house.today()}.json`).json(files.everything())
  })
  routes.get('/export.csv', (_request, response) => {
    attach(response, `seligo-${house.today()}.csv`).type('text/csv; charset=utf-8').send(collectionCsv(house))
  })
  routes.get('/export/schema', (_request, response) => {
    response.type('application/schema+json').send(JSON.stringify(collectionFileSchema()))
  })
  house.commandRoutes.push({ method: 'post', path: '/collection-file', schema: PutCollection })
  routes.post('/collection-file', express.json({ limit: COLLECTION_LIMIT }), takeIn)
  return routes

  /** What a file holds is checked whole before anything is touched. */
  async function takeIn(request: Request, response: Response): Promise<void> {
    const parsed = PutCollection.safeParse(request.body)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.body))
    const { changeId, replace, collection } = parsed.data
    const file = CollectionFile.safeParse(upgradeFile(collection))
    if (!file.success) {
      const [first] = file.error.issues
      const where = first?.path.join('.') ?? ''
      return sendProblem(
        response,
        problemOf({ code: 'not-a-collection', data: { value: where, where, why: first?.message ?? '' } }),
      )
    }
    const copy = await house.copies.meanwhileBefore('import')
    const { exportedAt } = file.data
    const outcome = house.journal.run(
      { changeId, command: 'put-collection', body: { replace, exportedAt } },
      () => files.put(file.data, replace),
      { stored: () => copy.keep() },
    )
    copy.drop()
    if (!outcome.ok) return sendProblem(response, problemOf(outcome.failure))
    response.json(outcome.value)
  }
}

function attach(response: Response, name: string): Response {
  response.setHeader('Content-Disposition', `attachment; filename="${name}"`)
  return response
}
