import { ok } from '../failing.js'
import { read, type Route } from '../http/routes.js'
import type { FrontFigures } from './figures.js'

export function frontRoutes({ fronts }: { fronts: FrontFigures }): Route[] {
  return [read('/fronts', () => ok(fronts.read()))]
}
