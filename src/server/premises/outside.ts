import { Router } from 'express'
import { archiveRoutes } from './archive-routes.js'
import { copyRoutes, type LookInto } from './copy-routes.js'
import type { Outside } from '../create-app.js'
import { deviceRoutes, pairRoutes } from './device-routes.js'
import type { Premises } from './premises.js'

/** Everything that is asked about the machine rather than the collection. */
export function outsideOf(premises: Premises, lookInto: LookInto): Pick<Outside, 'pages' | 'api'> {
  const api = Router()
  api.use(deviceRoutes(premises), copyRoutes(premises, lookInto), archiveRoutes(premises))
  return { pages: pairRoutes(premises), api }
}
