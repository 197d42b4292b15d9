import { createHash } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import express, {
  type ErrorRequestHandler,
  type Express,
  type NextFunction,
  type RequestHandler,
  type Response,
  Router,
} from 'express'
import helmet from 'helmet'
import type { z } from 'zod'
import { itemsIn, tellMarks } from '#core/words/told'
import { buyingRoutes } from './buying/routes.js'
import { changeRoutes } from './changes/routes.js'
import { checkInRoutes } from './check-in/check-ins.js'
import { collectionRoutes } from './collection/routes.js'
import { packageRoot } from './db/package-root.js'
import { decideRoutes } from './decide/routes.js'
import { drawerRoutes } from './drawer/drawer.js'
import { emptiesRoutes } from './empties/empties.js'
import { fileFaultOf } from './db/health.js'
import { exportRoutes } from './export/routes.js'
import { forecastRoutes } from './forecast/routes.js'
import { findingRoutes } from './finding/finder.js'
import { frontRoutes } from './fronts/figures.js'
import { nextRollOver } from './context.js'
import { seasonChangeRoutes } from './season-change/routes.js'
import { lookBackRoutes } from './look-back/routes.js'
import { onlyWhileLetIn, ownPagesOnly } from './http/guard.js'
import { withinPageBounds } from './http/json-shape.js'
import { problemOf, sendProblem } from './http/problem.js'
import type { Route } from './http/routes.js'
import { importingRoutes } from './importing/routes.js'
import { measuringRoutes } from './measuring/routes.js'
import { planningRoutes } from './planning/planning.js'
import { projectRoutes } from './projects/routes.js'
import { settingsRoutes } from './settings/routes.js'
import { shelfLifeRoutes } from './shelf-life/routes.js'
import type { Services } from './services.js'
import { todayRoutes } from './today/routes.js'

const PLACES: readonly ((services: Services) => readonly Route[])[] = [
  frontRoutes,
  findingRoutes,
  todayRoutes,
  drawerRoutes,
  seasonChangeRoutes,
  collectionRoutes,
  measuringRoutes,
  checkInRoutes,
  importingRoutes,
  projectRoutes,
  planningRoutes,
  shelfLifeRoutes,
  forecastRoutes,
  decideRoutes,
  buyingRoutes,
  emptiesRoutes,
  lookBackRoutes,
  settingsRoutes,
  changeRoutes,
  exportRoutes,
]

/** Which build of the pages this server serves: a page of another one is told so. */
const BUILD = buildOfThePages()

/** A sheet of 20 MB travels as base64, a third larger. */
const IMPORT_LIMIT = '28mb'
const BODY_LIMIT = '1mb'

/** What stands before the places: who is let in, and what is asked about the machine rather than the collection. */
export interface Outside {
  readonly admitting: readonly RequestHandler[]
  readonly pages: Router
  readonly api: Router
}

/** The headers that every answer carries: nothing but our own scripts runs, no other page frames ours, no type is guessed. */
export function securityHeaders(): RequestHandler {
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        // The plan's solver is WebAssembly; nothing else may be made of text.
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        // Vuetify writes its theme into a style element at run time.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:'],
        fontSrc: ["'self'"],
        objectSrc: ["'none'"],
        frameAncestors: ["'none'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
      },
    },
    strictTransportSecurity: false,
    // With none at all a browser names no origin when a form is sent, and a form without an origin of ours is refused.
    referrerPolicy: { policy: 'same-origin' },
  })
}

/** The whole server over a furnished house: guard, places under /api, the pages themselves. */
export function createApp(services: Services, outside: Outside | null = null): Express {
  const app = express()
  app.disable('x-powered-by')
  // Answers change with every act, and hashing a whole collection costs more than sending it.
  app.disable('etag')
  app.use(securityHeaders())
  for (const step of outside?.admitting ?? [ownPagesOnly]) app.use(step)
  // What is answered is the user's: no cache between keeps it. Pictures say otherwise, for the user's own browser.
  app.use('/api', (_request, response, next) => {
    response.setHeader('Cache-Control', 'no-store')
    tellTheHouse(services, response)
    next()
  })
  if (outside) {
    app.use(outside.pages)
    app.use('/api', outside.api)
  }
  app.use('/api/import', express.json({ limit: IMPORT_LIMIT, verify: withinPageBounds }))
  // A collection file brings its own, larger limit at its route.
  const json = express.json({ limit: BODY_LIMIT, verify: withinPageBounds })
  app.use('/api', (request, response, next) =>
    request.path === '/collection-file' ? next() : json(request, response, next),
  )
  app.use('/api', onlyWhileLetIn)
  // An act that was made for another collection, which was served at this address, is none of this one's.
  app.use('/api', (request, response, next) => {
    const meant = request.headers['seligo-collection']
    if (request.method === 'GET' || meant === undefined || meant === services.collectionId) return next()
    sendProblem(response, problemOf({ code: 'other-collection', data: {} }))
  })
  // What is written into a file that was taken away is nowhere; what is read from it is nothing the user still has.
  app.use('/api', (_request, response, next) =>
    services.stillThere() ? next() : sendProblem(response, problemOf({ code: 'collection-gone', data: {} })),
  )
  app.use('/api', (request, response, next) => {
    // What leaves to be kept elsewhere leaves as it was typed.
    if (!request.path.startsWith('/export')) nameWhatIsMarked(services, response)
    next()
  })
  app.use('/api', routerOf(services))
  app.use('/api', (_request, response) => {
    sendProblem(response, problemOf({ code: 'no-such-place', data: {} }))
  })
  servePages(app)
  app.use(onErrorIn(services))
  return app
}

export function routesOf(services: Services): Route[] {
  return PLACES.flatMap((routes) => routes(services))
}

export function writesOf(services: Services): (Route & { readonly schema: z.ZodType })[] {
  return routesOf(services).filter((route): route is Route & { readonly schema: z.ZodType } => route.schema !== null)
}

function routerOf(services: Services): Router {
  const router = Router()
  for (const { method, path, awaits, handlers } of routesOf(services)) {
    // Whoever asks for what is still being computed waits for it; nobody else does.
    const wait: RequestHandler[] = awaits
      ? [(_request, _response, next) => void services.forecasts.whenReady(awaits === 'few').then(() => next(), next)]
      : []
    router[method](path, ...wait, ...handlers(services.journal))
  }
  return router
}

/**
 * Every answer says the user's day and when the next one begins, so that a page can compute on while nobody answers it; and which collection
 * this is, and what stands against it.
 */
function tellTheHouse(services: Services, response: Response): void {
  const now = services.now()
  response.set({
    'Seligo-Day': services.today(),
    'Seligo-Day-Ends': nextRollOver(now, services.settings().rollOverHour).toISOString(),
    'Seligo-Now': now.toISOString(),
    'Seligo-Collection': services.collectionId,
    'Seligo-Build': BUILD,
    ...(services.health.trouble === null ? {} : { 'Seligo-Trouble': services.health.trouble }),
  })
}

/** Kept words name items by their ids: whatever answer holds such words leaves with the names of today. */
function nameWhatIsMarked(services: Services, response: Response): void {
  const send = response.send.bind(response)
  response.send = (body: unknown) => send(typeof body === 'string' && body.includes('⟦item:') ? named(body) : body)

  function named(json: string): string {
    const names = services.stock.names(itemsIn(json))
    return tellMarks(json, {
      item: (id, keptName) => {
        const name = names.get(id)
        // Within a JSON text: what was kept is written that way already.
        return name === undefined ? keptName : JSON.stringify(name).slice(1, -1)
      },
    })
  }
}

function buildOfThePages(): string {
  const page = join(packageRoot(), 'dist', 'web', 'index.html')
  return existsSync(page) ? createHash('sha256').update(readFileSync(page)).digest('hex').slice(0, 12) : 'none'
}

function servePages(app: Express): void {
  const folder = join(packageRoot(), 'dist', 'web')
  if (!existsSync(folder)) return
  app.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y' }))
  // A part of another version is nowhere: a page in its place would be taken for a broken script.
  app.use('/assets', (_request, response) => void response.status(404).type('text').send('There is no such part.'))
  app.use(express.static(folder, { index: false }))
  app.get(/.*/, (request, response) => {
    // Today's answer is asked for while its scripts are still on their way.
    if (request.path === '/') response.set('Link', '</api/today>; rel=preload; as=fetch; crossorigin')
    response.sendFile(join(folder, 'index.html'), { headers: { 'Cache-Control': 'no-cache' } })
  })
}

function onErrorIn(services: Services): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => onError(services, error, response, next)
}

function onError(services: Services, error: unknown, response: Response, next: NextFunction): void {
  if (response.headersSent) {
    next(error)
    return
  }
  const type = (error as { type?: unknown }).type
  if (type === 'entity.parse.failed') return sendProblem(response, problemOf({ code: 'malformed-json', data: {} }))
  if (type === 'entity.beyond.bounds') return sendProblem(response, problemOf({ code: 'too-rich', data: {} }))
  if (type === 'entity.too.large')
    return sendProblem(response, problemOf({ code: 'too-large', data: { most: '1 MB' } }))
  if (isClientFault(error)) {
    const { status } = error
    return sendProblem(response, problemOf({ code: 'unreadable-request', data: { status } }))
  }
  switch (fileFaultOf(error)) {
    case 'damaged':
      services.health.damaged(error instanceof Error ? error.message : String(error))
      response.setHeader('Seligo-Trouble', 'damaged')
      return sendProblem(response, problemOf({ code: 'collection-damaged', data: {} }))
    case 'unwritable':
      // The change was rolled back whole.
      console.error(`The collection can’t be written: ${String(error)}`)
      return sendProblem(response, problemOf({ code: 'disk-full', data: {} }))
    case 'wrong-kind':
      console.error(`A folder isn’t as it should be: ${String(error)}`)
      return sendProblem(response, problemOf({ code: 'folder-wrong', data: { folder: services.folder } }))
    case null:
  }
  console.error(error)
  sendProblem(response, {
    type: 'about:blank',
    title: 'Seligo made a mistake.',
    status: 500,
    code: 'bug',
    detail: 'Nothing was saved by this act; what was there before is unharmed. The terminal shows the reason.',
    errors: [],
  })
}

/** What Express and its parsers could not make out of a request: a charset, an address, a body cut short. */
function isClientFault(error: unknown): error is { status: number } {
  const status = (error as { status?: unknown } | null)?.status
  return typeof status === 'number' && status >= 400 && status < 500
}
