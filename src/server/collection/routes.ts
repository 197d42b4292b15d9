import { createHash } from 'node:crypto'
import express, { Router, type Request, type Response } from 'express'
import { fail, ok } from '../failing.js'
import { destinationsFor } from '#core/decide/verdict'
import { isSpoiled } from '#core/shelf-life/last-good-day'
import { wearsSince } from '#core/wear/tally'
import { AddItem, EditItem, OpenItem, RecordSign, type ItemAnswer, type LifeEvent } from '#contract/item'
import {
  AddCategory,
  DropPair,
  DropPhoto,
  EditCategory,
  EditMany,
  MergeItems,
  PutPair,
  PutSomewhere,
  SetOpenings,
  SetSwatches,
} from '#contract/collection'
import { packItems } from '#contract/packed-items'
import { ChangeId, DayText, NewId } from '#contract/basic'
import { z } from 'zod'
import { isStillLetIn, onlyWhileLetIn } from '../http/guard.js'
import { problemOf, problemOfInput, sendProblem } from '../http/problem.js'
import { hasRoom } from '../room.js'
import { shrink } from './shrink.js'
import type { House } from '../house.js'
import { command, read } from '../http/routes.js'
import { listedOf, summaryOf } from '../stock/item-facts.js'
import { collectionQueries } from './queries.js'

const PhotoAddress = z.strictObject({ changeId: ChangeId, photoId: NewId, day: DayText })

/** A kept picture is smaller than this, bytes: 1600 px on its longest side, as JPEG. */
const MOST_PICTURE = 3_000_000

export function collectionRoutes(house: House): Router {
  const queries = collectionQueries(house.db)
  const { collection: commands, care, merging, photos } = house
  const routes = Router()

  read(routes, '/collection', () => {
    const today = house.today()
    const items = packItems(house.stock.facts(house.stock.presentIds(), today).map(listedOf))
    return ok({ today, currency: house.settings().currency, items })
  })
  read(routes, '/categories', () => ok({ categories: categories(), zones: queries.zones.all() }))
  read(routes, '/items/:id', (_, { id = '' }) => item(id))
  command(house, routes, 'post', '/items', AddItem, 'add-item', (body) => commands.add(body))
  command(house, routes, 'put', '/items/:id', EditItem, 'edit-item', (body, { id = '' }) => commands.edit(id, body))
  command(house, routes, 'post', '/items/:id/sign', RecordSign, 'record-sign', (body, { id = '' }) =>
    commands.recordSign(id, body.day, body.words),
  )
  command(house, routes, 'post', '/items/:id/open', OpenItem, 'open-item', (body, { id = '' }) =>
    commands.open(id, body.day),
  )
  command(house, routes, 'post', '/items/:id/pairs', PutPair, 'put-pair', (body, { id = '' }) => care.putPair(id, body))
  command(house, routes, 'post', '/pairs/:id/drop', DropPair, 'drop-pair', (_, { id = '' }) => care.dropPair(id))
  command(house, routes, 'post', '/items/:id/put', PutSomewhere, 'put-somewhere', (body, { id = '' }) =>
    care.putSomewhere(id, body),
  )
  command(house, routes, 'post', '/edit-many', EditMany, 'edit-many', (body) => care.editMany(body))
  command(house, routes, 'post', '/openings', SetOpenings, 'set-openings', (body) => care.setOpenings(body))
  command(house, routes, 'post', '/swatches', SetSwatches, 'set-swatches', (body) => care.setSwatches(body))
  command(house, routes, 'post', '/merge', MergeItems, 'merge', (body) => merging.merge(body))
  command(house, routes, 'post', '/categories', AddCategory, 'add-category', (body) => care.addCategory(body))
  command(house, routes, 'put', '/categories/:id', EditCategory, 'edit-category', (body, { id = '' }) =>
    care.editCategory(id, body),
  )
  command(house, routes, 'post', '/photos/:id/drop', DropPhoto, 'drop-photo', (_, { id = '' }) => photos.drop(id))
  routes.get('/photos/:id', (request, response) => {
    const jpeg = photos.one(String(request.params['id']))
    if (jpeg === null) return sendProblem(response, problemOf({ code: 'unknown-photo', data: {} }))
    response.setHeader('Cache-Control', 'private, max-age=31536000, immutable')
    response.type('image/jpeg').send(jpeg)
  })
  routes.get('/photos/:id/small', (request, response, next) => {
    photos.readSmall(String(request.params['id'])).then((jpeg) => {
      if (jpeg === null) return sendProblem(response, problemOf({ code: 'unknown-photo', data: {} }))
      response.setHeader('Cache-Control', 'private, max-age=31536000, immutable')
      response.type('image/jpeg').send(jpeg)
    }, next)
  })
  // The picture is the body; what it belongs to stands in the address.
  routes.post(
    '/items/:id/photos',
    express.raw({ type: ['image/*', 'application/octet-stream'], limit: '40mb' }),
    onlyWhileLetIn,
    addPhoto,
  )
  return routes

  async function addPhoto(request: Request, response: Response): Promise<void> {
    const parsed = PhotoAddress.safeParse(request.query)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.query))
    const { changeId, photoId, day } = parsed.data
    // A picture is the largest thing she adds; on a disk that is nearly full the tallies come first.
    if (!(await hasRoom(house.folder, MOST_PICTURE)))
      return sendProblem(response, problemOf({ code: 'disk-full', data: {} }))
    const bytes = Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0)
    const shrunk = await shrink(bytes)
    if (!shrunk.ok) return sendProblem(response, problemOf(shrunk.failure))
    if (!isStillLetIn(response)) return sendProblem(response, problemOf({ code: 'not-let-in', data: {} }))
    const itemId = String(request.params['id'])
    const hash = createHash('sha256').update(bytes).digest('hex')
    const outcome = house.journal.run({ changeId, command: 'add-photo', body: { itemId, photoId, day, hash } }, () =>
      photos.add(photoId, itemId, day, shrunk.value),
    )
    if (!outcome.ok) return sendProblem(response, problemOf(outcome.failure))
    response.json(outcome.value)
  }

  function categories() {
    return queries.categories.all().map((row) => ({
      id: row.id,
      version: row.version,
      name: row.name,
      makeup: row.makeup === 1,
      zoneId: row.zone_id,
      usualForm: row.usual_form,
      eye: row.eye === 1,
      lip: row.lip === 1,
      modelType: row.model_type,
    }))
  }

  function item(id: string) {
    const today = house.today()
    const found = house.stock.one(id, today)
    const head = queries.itemHead.get(id)
    if (!found || !head) return fail('unknown-item', { value: id })
    const spoiled = isSpoiled(found.shelfLife)
    const goals = house.stock.goals([id], today).get(id) ?? []
    const wearDays = queries.wearDays.all(id).map((row) => row.day)
    const look = queries.lastLook.get(id)
    const answer: ItemAnswer = {
      today,
      currency: house.settings().currency,
      item: summaryOf(found),
      keptText: JSON.parse(head.kept_text) as ItemAnswer['keptText'],
      wearDays,
      sinceReading: look === undefined ? null : { day: look.day, uses: wearsSince(wearDays, look) },
      pairs: care.pairsOf(id),
      photos: photos.of(id),
      ...house.measuring.of(found),
      forecast: house.forecastViews.one(found),
      outlooks: house.forecastViews.outlooks(
        found,
        goals.filter(({ stay }) => stay.rolled_out === null).map(({ goal }) => goal),
      ),
      guesses: house.guessing.of(id),
      goals: goals.map(({ goal }) => goal),
      events: queries.events.all({ id }) as LifeEvent[],
      destinations: [
        ...destinationsFor({ opened: found.lifecycle !== 'unopened', eye: found.eye, lip: found.lip, spoiled }),
      ],
    }
    return ok(answer)
  }
}
