import { ok } from '../failing.js'
import { read, type Route } from '../http/routes.js'
import type { Finder } from './finder.js'

/** More letters than this are no search any more. */
const MOST_LETTERS = 200

export function findingRoutes({ finder }: { finder: Finder }): Route[] {
  return [read('/find', (_, query) => ok(finder.find(String(query['words'] ?? '').slice(0, MOST_LETTERS))))]
}
