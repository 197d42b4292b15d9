import { Router } from 'express'
import { watchedTables } from '../db/journal-triggers.js'
import type { House } from '../house.js'

/** The shape of the export; raised when its meaning changes. */
export const EXPORT_VERSION = 1

export function exportRoutes(house: House): Router {
  const routes = Router()
  routes.get('/export', (_request, response) => {
    const name = `seligo-${house.today()}.json`
    response.setHeader('Content-Disposition', `attachment; filename="${name}"`)
    response.json(everything(house))
  })
  return routes
}

/** Everything she has recorded, table by table, ids included; rows in the order of their ids. */
export function everything(house: House) {
  const tables = Object.fromEntries(
    watchedTables(house.db).map(({ name, columns }) => [
      name,
      house.db.prepare(`SELECT ${columns.map((column) => `"${column}"`).join(', ')} FROM "${name}" ORDER BY id`).all(),
    ]),
  )
  return { format: 'seligo collection', version: EXPORT_VERSION, exportedAt: house.now().toISOString(), tables }
}
