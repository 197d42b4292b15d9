import express, { Router, type Request, type Response } from 'express'
import { rateLimit } from 'express-rate-limit'
import { LetIn, Nothing, type CodeAnswer, type DevicesAnswer } from '#contract/host'
import { failureWords } from '../http/failure-words.js'
import { problemOf, problemOfInput, sendProblem } from '../http/problem.js'
import { askerOf, COOKIE, doorOf, hereOnly } from './admitting.js'
import { pairPage } from './pair-page.js'
import { CODE_GOOD_MS } from './pairing.js'
import type { Host } from './host.js'

/** A year: a phone that is used at all is seen more often. */
const COOKIE_MS = 365 * 86_400_000
/** Tries at the pairing page from one address in ten minutes, right or wrong. Assumption: nobody mistypes more. */
const MOST_TRIES = 20
const TRIES_MS = 600_000
/** A name and a code; no more is read of a stranger. */
const FORM_LIMIT = '2kb'

/** Letting a device in: the page for strangers. */
export function pairRoutes(host: Host): Router {
  const { pairing, network } = host
  const routes = Router()
  const seldom = rateLimit({
    windowMs: TRIES_MS,
    limit: MOST_TRIES,
    standardHeaders: false,
    legacyHeaders: false,
    handler: (_request, response) => show(response, 429, '', '', failureWords({ code: 'too-often', data: {} }).detail),
  })
  routes.get('/pair', (request, response) => {
    if (doorOf(request) === 'here') return response.redirect(303, '/')
    const { code } = request.query
    return show(response, 200, typeof code === 'string' ? code.slice(0, 20) : '', nameFor(request), '')
  })
  routes.post('/pair', seldom, express.urlencoded({ extended: false, limit: FORM_LIMIT, parameterLimit: 4 }), pair)
  return routes

  function pair(request: Request, response: Response): unknown {
    if (doorOf(request) === 'here') return response.redirect(303, '/')
    const form = (request.body ?? {}) as Record<string, unknown>
    const [code, name] = ['code', 'name'].map((field) => (typeof form[field] === 'string' ? form[field] : ''))
    const outcome = pairing.pair(code ?? '', name ?? '')
    if (!outcome.ok) {
      const { status, detail } = failureWords(outcome.failure)
      return show(response, status, '', name ?? '', detail)
    }
    response.cookie(COOKIE, outcome.value.token, {
      httpOnly: true,
      sameSite: 'strict',
      secure: network.secure,
      maxAge: COOKIE_MS,
      path: '/',
    })
    host.stream.devices()
    return response.redirect(303, '/')
  }
}

function show(response: Response, status: number, code: string, name: string, trouble: string): void {
  response.status(status).type('html').setHeader('Cache-Control', 'no-store')
  response.send(pairPage({ code, name, trouble }))
}

/** What the device calls itself, as a first word for its name. */
function nameFor(request: Request): string {
  const agent = request.headers['user-agent'] ?? ''
  return /tablet|ipad/i.test(agent) ? 'my tablet' : 'my phone'
}

export function deviceRoutes(host: Host): Router {
  const { pairing, network, machine, stream } = host
  const routes = Router()
  routes.get('/stream', (request, response) => {
    host.isNoWork(response)
    stream.listen(response, askerOf(request)?.id ?? null)
  })
  routes.get('/devices', (request, response) => response.json(devices(request)))
  routes.post('/devices/let-in', hereOnly, express.json({ limit: FORM_LIMIT }), letIn)
  routes.post('/devices/code', hereOnly, express.json({ limit: FORM_LIMIT }), newCode)
  routes.post('/devices/code/close', hereOnly, (_request, response) => {
    pairing.closeCode()
    response.json({})
  })
  routes.post('/devices/:id/revoke', hereOnly, (request, response) => {
    const id = String(request.params['id'])
    const outcome = pairing.revoke(id)
    if (!outcome.ok) return sendProblem(response, problemOf(outcome.failure))
    stream.dismiss(id)
    response.json(devices(request))
  })
  return routes

  function devices(request: Request): DevicesAnswer {
    const here = doorOf(request) === 'here'
    const asks = askerOf(request)?.id
    return {
      here,
      addresses: here ? network.addresses() : [],
      picked: machine.now.letIn?.address ?? null,
      url: network.url,
      trouble: host.doorTrouble,
      secure: network.secure,
      devices: machine.now.devices.map(({ id, name, pairedAt, lastSeenAt }) => ({
        id,
        name,
        pairedAt,
        lastSeenAt,
        asks: id === asks,
      })),
    }
  }

  async function letIn(request: Request, response: Response): Promise<void> {
    const parsed = LetIn.safeParse(request.body)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.body))
    const outcome = await host.letInAt(parsed.data.address)
    if (!outcome.ok) return sendProblem(response, problemOf(outcome.failure))
    response.json(devices(request))
  }

  async function newCode(request: Request, response: Response): Promise<void> {
    const parsed = Nothing.safeParse(request.body)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.body))
    if (network.url === null) return sendProblem(response, problemOf({ code: 'door-shut', data: {} }))
    const code = pairing.newCode()
    const url = `${network.url}/pair`
    // Loaded when the first code is shown: the server starts sooner, and smaller, without it.
    const { default: QRCode } = await import('qrcode')
    const qr = await QRCode.toString(`${url}?code=${code}`, { type: 'svg', errorCorrectionLevel: 'M', margin: 2 })
    const answer: CodeAnswer = { code, seconds: CODE_GOOD_MS / 1000, url, qr }
    response.json(answer)
  }
}
