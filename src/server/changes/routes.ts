import { ok } from '../failing.js'
import { GoBackBody, UndoBody } from '#contract/settings'
import { read, writeAs, type Route } from '../http/routes.js'
import type { Undo } from '../db/undo.js'

const PAGE = 60
const MOST = 3000

export function changeRoutes({ undo }: { undo: Undo }): Route[] {
  return [
    read('/changes', (_, query) => {
      const before = Number(query['before'])
      const limit = Number(query['limit'])
      return ok(
        undo.page(
          Number.isSafeInteger(before) && before > 0 ? before : null,
          Number.isSafeInteger(limit) && limit > 0 ? Math.min(limit, MOST) : PAGE,
        ),
      )
    }),
    writeAs('post', '/changes/:id/go-back', GoBackBody, ({ changeId }, { id = '' }) =>
      undo.takeBackSince({ changeId, command: 'go-back', body: { target: id } }, id),
    ),
    writeAs('post', '/changes/:id/take-back', UndoBody, ({ changeId, withLater }, { id = '' }) =>
      undo.takeBack({ changeId, command: 'take-back', body: { target: id, withLater } }, id, withLater),
    ),
  ]
}
