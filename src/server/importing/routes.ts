import { createHash } from 'node:crypto'
import { PreviewImport, RunImport } from '#contract/importing'
import type { Copies } from '../copies/copies.js'
import { fail } from '../failing.js'
import { isStillLetIn } from '../http/guard.js'
import { problemOfInput, sendProblem } from '../http/problem.js'
import { plain, send, writeAs, type Route } from '../http/routes.js'
import type { Importing } from './importing.js'

export function importingRoutes({ importing, copies }: { importing: Importing; copies: Copies }): Route[] {
  return [
    plain('post', '/import/preview', async (request, response) => {
      const parsed = PreviewImport.safeParse(request.body)
      if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.body))
      send(response, await importing.preview(parsed.data))
    }),
    writeAs('post', '/import/run', RunImport, async (body, _params, journal, response) => {
      const prepared = await importing.prepare(body)
      if (!prepared.ok) return prepared
      const { base64, ...named } = body
      // The journal keeps what the act was, not the file; what it hashes to tells one from another.
      const said = { ...named, hash: createHash('sha256').update(base64).digest('hex') }
      return copies.around('import', (stored) =>
        isStillLetIn(response)
          ? journal.run(
              { changeId: body.changeId, command: 'import', body: said },
              () => importing.store(body, prepared.value),
              { stored },
            )
          : fail('not-let-in'),
      )
    }),
  ]
}
