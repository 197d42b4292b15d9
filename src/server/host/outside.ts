import { Router } from 'express'
import { archiveRoutes } from './archive-routes.js'
import { copyRoutes, type LookInto } from './copy-routes.js'
import type { Outside } from '../create-app.js'
import { deviceRoutes, pairRoutes } from './device-routes.js'
import type { Host } from './host.js'

export function outsideOf(host: Host, lookInto: LookInto): Pick<Outside, 'pages' | 'api'> {
  const api = Router()
  api.use(deviceRoutes(host), copyRoutes(host, lookInto), archiveRoutes(host))
  return { pages: pairRoutes(host), api }
}
