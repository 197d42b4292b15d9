import express, { Router, type Request, type Response } from 'express'
import { join } from 'node:path'
import { AlsoCopyTo, Nothing, type CopiesAnswer, type CopyInside, type CopyView, type WentBack } from '#contract/host'
import { problemOf, problemOfInput, sendProblem } from '../http/problem.js'
import { doorOf, hereOnly } from './admitting.js'
import type { Host } from './host.js'
import { KEPT, type KnownCopy } from '../copies/copy-shelf.js'

const BODY_LIMIT = '4kb'
export type LookInto = (file: string, now: string, name: string) => CopyInside | Promise<CopyInside>

export function copyRoutes(host: Host, lookInto: LookInto): Router {
  const routes = Router()
  const json = express.json({ limit: BODY_LIMIT })
  routes.get('/copies', async (request, response) => response.json(await answer(request)))
  routes.get('/copies/:name/inside', hereOnly, async (request, response) => {
    const name = String(request.params['name'])
    const file = shelf().fileOf(name)
    if (file === null) return sendProblem(response, problemOf({ code: 'unknown-copy', data: {} }))
    const found = await shelf().checkAgain(name)
    if (found !== null && found.facts.wrong !== null)
      return sendProblem(response, problemOf({ code: 'copy-unsound', data: { why: found.facts.wrong } }))
    response.json(await lookInto(file, host.services.db.name, name))
  })
  routes.post('/copies/:name/check', hereOnly, async (request, response) => {
    const found = await shelf().checkAgain(String(request.params['name']))
    if (found === null) return sendProblem(response, problemOf({ code: 'unknown-copy', data: {} }))
    response.json(viewOf(found))
  })
  routes.post('/copies/:name/go-back', hereOnly, json, goBack)
  routes.post('/copies/also-to', hereOnly, json, alsoTo)
  return routes

  function shelf() {
    return host.services.copies.shelf
  }

  async function answer(request: Request): Promise<CopiesAnswer> {
    const { alsoCopyTo } = host.machine.now
    const here = doorOf(request) === 'here'
    return {
      here,
      // Where items lie on this machine is nobody else's business.
      folder: here ? shelf().folder : '',
      copies: (await shelf().known()).map(viewOf),
      alsoTo: alsoCopyTo === null || !here ? null : { folder: alsoCopyTo, ...host.second.state },
      trouble: here ? host.copyTrouble : '',
      kept: KEPT,
    }
  }

  async function goBack(request: Request, response: Response): Promise<void> {
    const parsed = Nothing.safeParse(request.body)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.body))
    const file = shelf().fileOf(String(request.params['name']))
    if (file === null) return sendProblem(response, problemOf({ code: 'unknown-copy', data: {} }))
    // This request waits for the server itself.
    host.isNoWork(response)
    const found = await shelf().checkAgain(String(request.params['name']))
    if (found !== null && found.facts.wrong !== null)
      return sendProblem(response, problemOf({ code: 'copy-unsound', data: { why: found.facts.wrong } }))
    const outcome = await host.goBackTo(file)
    if (!outcome.ok) return sendProblem(response, problemOf(outcome.failure))
    const items = host.services.db.prepare<[], { n: number }>('SELECT count(*) AS n FROM item').get()?.n ?? 0
    const went: WentBack = { ...outcome.value, items }
    response.json(went)
  }

  async function alsoTo(request: Request, response: Response): Promise<void> {
    const parsed = AlsoCopyTo.safeParse(request.body)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.body))
    const { folder } = parsed.data
    if (folder !== null) {
      const usable = await host.second.usable(folder)
      if (!usable.ok) return sendProblem(response, problemOf(usable.failure))
    }
    host.machine.change({ alsoCopyTo: folder })
    // The newest copy goes there at once: whether it works is seen now, not tomorrow.
    const [newest] = (await shelf().known()).filter(
      ({ name, facts }) => name.endsWith('-day.db') && facts.wrong === null,
    )
    if (folder !== null && newest)
      await host.second.put(join(shelf().folder, newest.name), newest.name, folder, host.now().toISOString())
    response.json(await answer(request))
  }
}

function viewOf({ name, tags, madeAt, checkedAt, facts }: KnownCopy): CopyView {
  return { name, kinds: tags, madeAt, checkedAt, ...facts }
}
