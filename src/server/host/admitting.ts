import type { IncomingMessage } from 'node:http'
import type { NextFunction, Request, RequestHandler, Response } from 'express'
import { rateLimit } from 'express-rate-limit'
import { isOwnHost, STILL } from '../http/guard.js'
import { problemOf, sendProblem } from '../http/problem.js'
import type { DeviceRecord } from './machine-file.js'
import { isNoStranger, type NetworkDoor } from './network-door.js'
import { pairPage } from './pair-page.js'
import type { Pairing } from './pairing.js'

/** Which door a request came through: this machine's own, or the one to the home network. */
export type Door = 'here' | 'network'

export const COOKIE = 'seligo-device'
/** More writes in a minute than a person can tap: a catching-up phone sends a few hundred. Assumption. */
const MOST_WRITES = 1200
const MINUTE_MS = 60_000
const PAIR_PATH = '/pair'
const FORM_MS = 5000

const doors = new WeakMap<IncomingMessage, Door>()
const askers = new WeakMap<IncomingMessage, DeviceRecord>()

/** Notes through which door a request came, before anything looks at it. */
export function cameThrough(request: IncomingMessage, door: Door): void {
  doors.set(request, door)
}

export function doorOf(request: IncomingMessage): Door {
  return doors.get(request) ?? 'here'
}

/** The device that asks; null on the machine where Seligo runs. */
export function askerOf(request: IncomingMessage): DeviceRecord | null {
  return askers.get(request) ?? null
}

/**
 * Lets in what may come in. On this machine: its own pages, by Host and Origin. From the network: the same under the address that
 * was picked, and of that only devices that were paired; a stranger sees the pairing page and nothing else.
 */
export function admitting(
  network: NetworkDoor,
  pairing: Pairing,
  /** Told of what is worked at, which nobody strange can be. */
  isWork: (response: Response) => void,
): RequestHandler[] {
  const often = rateLimit({
    windowMs: MINUTE_MS,
    limit: MOST_WRITES,
    standardHeaders: false,
    legacyHeaders: false,
    // A device of its own, wherever it stands in the network.
    keyGenerator: (request) => askerOf(request)?.id ?? 'here',
    skip: (request) => doorOf(request) === 'here' || request.method === 'GET',
    handler: (_request, response) => sendProblem(response, problemOf({ code: 'too-often', data: {} })),
  })
  return [admit, often]

  function admit(request: Request, response: Response, next: NextFunction): void {
    const host = request.headers.host ?? ''
    const here = doorOf(request) === 'here'
    const known = here ? isOwnHost(host) : network.hosts.includes(host)
    const own = `${!here && network.secure ? 'https' : 'http'}://${host}`
    const { origin } = request.headers
    if (!known || (origin !== undefined && origin !== own))
      return sendProblem(response, problemOf({ code: 'foreign-host', data: {} }))
    if (here) {
      isWork(response)
      return next()
    }
    if (request.path === PAIR_PATH) {
      // A form of a few words: whoever takes longer to send it holds a connection, and nothing else.
      const timer = setTimeout(() => request.complete || request.socket.destroy(), FORM_MS)
      response.once('close', () => clearTimeout(timer))
      return next()
    }
    const device = pairing.who(tokenIn(request.headers.cookie ?? ''))
    if (device !== null) {
      askers.set(request, device)
      isNoStranger(request.socket)
      isWork(response)
      response.locals[STILL] = (): boolean => pairing.isLetIn(device.id)
      if (request.path.startsWith('/api/') && !phoneMay(request.method, request.path.slice('/api'.length)))
        return sendProblem(response, problemOf({ code: 'this-machine-only', data: {} }))
      return next()
    }
    if (request.method === 'GET' && !request.path.startsWith('/api') && request.accepts(['json', 'html']) === 'html')
      response
        .status(401)
        .type('html')
        .send(pairPage({ code: '', name: '', trouble: '' }))
    else sendProblem(response, problemOf({ code: 'not-let-in', data: {} }))
  }
}

/** Refuses what is changed on the machine where Seligo runs alone. */
export function hereOnly(request: Request, response: Response, next: NextFunction): void {
  if (doorOf(request) === 'here') next()
  else sendProblem(response, problemOf({ code: 'this-machine-only', data: {} }))
}

function tokenIn(cookies: string): string {
  return new RegExp(`(?:^|;\\s*)${COOKIE}=([A-Za-z0-9_-]{43})(?:;|$)`).exec(cookies)?.[1] ?? ''
}

/** Places of which a device that was let in may ask what it likes, by the first word of the path under /api. */
const READS: ReadonlySet<string> = new Set(
  `fronts find today worn-days day-after-ticks drawer laying layouts collection categories items photos containers check-ins projects
   plan shelf-life look-back supply set-up calendar.ics decide feelings aside stash letting-go targets doubts compare buying lessons
   empties settings stretches changes devices stream copies`.split(/\s+/),
)
/** Places in which it may log, measure, decide, wish and set right. */
const WRITES: ReadonlySet<string> = new Set(
  `wear face wear-details mix tally-sheet no-makeup silence day put-back not-today saved-faces drawer zones laying items pairs edit-many
   openings swatches merge categories photos readings events blends containers check-ins import projects stays short-list plan guesses
   package-weights trials verdicts feelings stash targets wishes buying-rules lessons parts look-back settings away low-seasons wear-less
   changes`.split(/\s+/),
)
/** Within these, what replaces or restores, or tells of the machine. */
const NOT: readonly RegExp[] = [/^\/changes\/[^/]+\/go-back$/, /^\/copies\/./]

/**
 * Whether a device may ask for a path under /api. What is not listed only the machine on which Seligo runs may do: replacing,
 * restoring, taking everything out, letting others in. A test holds every route to this.
 */
export function phoneMay(method: string, path: string): boolean {
  const place = path.split('/')[1] ?? ''
  const places = method === 'GET' || method === 'HEAD' ? READS : method === 'POST' || method === 'PUT' ? WRITES : null
  return places !== null && places.has(place) && !NOT.some((pattern) => pattern.test(path))
}
