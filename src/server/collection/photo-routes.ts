import { createHash } from 'node:crypto'
import express, { type Request, type Response } from 'express'
import { z } from 'zod'
import { ChangeId, DayText, NewId } from '#contract/basic'
import type { Journal } from '../db/journal.js'
import { isStillLetIn, onlyWhileLetIn } from '../http/guard.js'
import { problemOf, problemOfInput, sendProblem } from '../http/problem.js'
import { plain, send, type Route } from '../http/routes.js'
import { hasRoom } from '../room.js'
import type { Photos } from './photos.js'
import { shrink } from './shrink.js'

const PhotoAddress = z.strictObject({ changeId: ChangeId, photoId: NewId, day: DayText })

/** A kept picture is smaller than this, bytes: 1600 px on its longest side, as JPEG. */
const MOST_PICTURE = 3_000_000

/** The pictures themselves: their bytes are no JSON, on neither way. */
export function photoRoutes({
  photos,
  folder,
  journal,
}: {
  photos: Photos
  folder: string
  journal: Journal
}): Route[] {
  return [
    plain('get', '/photos/:id', (request, response) => sendPicture(response, photos.one(String(request.params['id'])))),
    plain('get', '/photos/:id/small', async (request, response) => {
      sendPicture(response, await photos.readSmall(String(request.params['id'])))
    }),
    // The picture is the body; what it belongs to stands in the address.
    plain(
      'post',
      '/items/:id/photos',
      express.raw({ type: ['image/*', 'application/octet-stream'], limit: '40mb' }),
      onlyWhileLetIn,
      addPhoto,
    ),
  ]

  function sendPicture(response: Response, jpeg: Buffer | null): void {
    if (jpeg === null) return sendProblem(response, problemOf({ code: 'unknown-photo', data: {} }))
    response.setHeader('Cache-Control', 'private, max-age=31536000, immutable')
    response.type('image/jpeg').send(jpeg)
  }

  async function addPhoto(request: Request, response: Response): Promise<void> {
    const parsed = PhotoAddress.safeParse(request.query)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.query))
    const { changeId, photoId, day } = parsed.data
    // A picture is the largest item the user adds; on a disk that is nearly full the tallies come first.
    if (!(await hasRoom(folder, MOST_PICTURE))) return sendProblem(response, problemOf({ code: 'disk-full', data: {} }))
    const bytes = Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0)
    const shrunk = await shrink(bytes)
    if (!shrunk.ok) return sendProblem(response, problemOf(shrunk.failure))
    if (!isStillLetIn(response)) return sendProblem(response, problemOf({ code: 'not-let-in', data: {} }))
    const itemId = String(request.params['id'])
    const hash = createHash('sha256').update(bytes).digest('hex')
    const outcome = journal.run({ changeId, command: 'add-photo', body: { itemId, photoId, day, hash } }, () =>
      photos.add(photoId, itemId, day, shrunk.value),
    )
    send(response, outcome)
  }
}
