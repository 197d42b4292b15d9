import { counted } from '#core/words/counted'
import express, { type Express, type Request, type Response } from 'express'
import { CopyShelf, type Check, type KnownCopy } from '../copies/copy-shelf.js'
import { securityHeaders } from '../create-app.js'
import { failureWords } from '../http/failure-words.js'
import type { Host } from './host.js'
import { hereOnly } from './admitting.js'
import { escaped, plainPage } from './pair-page.js'

/** How many copies are offered; the newest is enough for nearly everybody. */
const OFFERED = 6

/**
 * The small page that stands in the place of a collection that cannot be opened: why, what was not touched, and the newest healthy
 * copy to go back to. On this machine only.
 */
export function rescueApp(host: Host, folder: string, check: Check, why: string): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(securityHeaders())
  for (const step of [...host.admitting, hereOnly]) app.use(step)
  const shelf = new CopyShelf(folder, host.now, check)
  app.post('/rescue', express.urlencoded({ extended: false, limit: '2kb' }), async (request, response) => {
    const { name } = (request.body ?? {}) as { name?: unknown }
    const file = typeof name === 'string' ? shelf.fileOf(name) : null
    if (file === null) return show(request, response, 422, failureWords({ code: 'unknown-copy', data: {} }).detail)
    // Read through again: what was found when the page was shown may be long ago.
    const found = typeof name === 'string' ? await shelf.checkAgain(name) : null
    if (host.isOpen) return response.redirect(303, '/')
    if (found !== null && found.facts.wrong !== null)
      return show(
        request,
        response,
        409,
        failureWords({ code: 'copy-unsound', data: { why: found.facts.wrong } }).detail,
      )
    const outcome = await host.rescueWith(file)
    if (host.isOpen) return response.redirect(303, '/')
    if (!outcome.ok) return show(request, response, 409, failureWords(outcome.failure).detail)
    return response.redirect(303, '/')
  })
  app.use((request, response) => show(request, response, 503, ''))
  return app

  async function show(request: Request, response: Response, status: number, trouble: string): Promise<void> {
    if (request.path.startsWith('/api')) {
      response.status(503).json({
        code: 'not-open',
        title: 'The collection isn’t open.',
        detail: why,
        errors: [],
        status: 503,
        type: 'about:blank',
      })
      return
    }
    const sound = (await shelf.known()).filter(({ facts }) => facts.wrong === null)
    response.status(status).type('html').setHeader('Cache-Control', 'no-store')
    response.send(rescuePage(why, trouble, sound.slice(0, OFFERED)))
  }
}

function rescuePage(why: string, trouble: string, copies: readonly KnownCopy[]): string {
  const offered = copies.map(({ name, madeAt, facts }, n) => {
    const when = madeAt.slice(0, 16).replace('T', ' ')
    return `<form method="post" action="/rescue">
<input type="hidden" name="name" value="${escaped(name)}">
<p><strong>${when} UTC</strong>: ${counted(facts.items, 'item')}, ${counted(facts.wears, 'tick')}, ${counted(facts.pictures, 'picture')}</p>
<button type="submit"${n === 0 ? '' : ' class="other"'}>Restore ${n === 0 ? 'this one' : when}</button>
</form>`
  })
  return plainPage(
    'Your collection could not be opened',
    `<h1>Your collection could not be opened</h1>
<p class="why">${escaped(why)}</p>
<p>Nothing in it was changed. These safety copies were checked just now and are fine. Restoring one keeps what can’t be opened beside it; nothing is deleted.</p>
${trouble === '' ? '' : `<p role="alert">${escaped(trouble)}</p>`}
${offered.length > 0 ? offered.join('\n') : '<p role="alert">None of the copies is sound. The file docs/going-back.md says what can still be tried.</p>'}`,
  )
}
