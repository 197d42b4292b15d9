import { Router } from 'express'
import { fail, ok } from '#core/failure'
import { destinationsFor } from '#core/decide/verdict'
import {
  AddItem,
  AddReading,
  EditItem,
  OpenItem,
  RecordSign,
  type CollectionAnswer,
  type ItemAnswer,
  type LifeEvent,
} from '#contract/item'
import type { House } from '../house.js'
import { command, read } from '../http/routes.js'
import { readingOf } from '../stock/stock.js'
import { CollectionCommands } from './commands.js'
import { collectionQueries } from './queries.js'

export function collectionRoutes(house: House): Router {
  const queries = collectionQueries(house.db)
  const commands = new CollectionCommands(house)
  const routes = Router()

  read(routes, '/collection', () => ok(collection()))
  read(routes, '/categories', () => ok({ categories: categories(), zones: queries.zones.all() }))
  read(routes, '/items/:id', (_, { id = '' }) => item(id))
  command(house, routes, 'post', '/items', AddItem, 'add-item', (body) => commands.add(body))
  command(house, routes, 'put', '/items/:id', EditItem, 'edit-item', (body, { id = '' }) => commands.edit(id, body))
  command(house, routes, 'post', '/items/:id/readings', AddReading, 'add-reading', (body, { id = '' }) =>
    commands.addReading(id, body),
  )
  command(house, routes, 'post', '/items/:id/sign', RecordSign, 'record-sign', (body, { id = '' }) =>
    commands.recordSign(id, body.day, body.words),
  )
  command(house, routes, 'post', '/items/:id/open', OpenItem, 'open-item', (body, { id = '' }) =>
    commands.open(id, body.day),
  )
  return routes

  function collection(): CollectionAnswer {
    const today = house.today()
    return { today, currency: house.settings().currency, items: house.stock.summaries(house.stock.presentIds(), today) }
  }

  function categories() {
    return queries.categories.all().map((row) => ({
      id: row.id,
      name: row.name,
      makeup: row.makeup === 1,
      zoneId: row.zone_id,
      usualForm: row.usual_form,
      eye: row.eye === 1,
      lip: row.lip === 1,
    }))
  }

  function item(id: string) {
    const today = house.today()
    const found = house.stock.one(id, today)
    const head = queries.itemHead.get(id)
    if (!found || !head) return fail('unknown-item', { value: id })
    const spoiled = found.shelfLife.state === 'past' || found.shelfLife.state === 'sign seen'
    const answer: ItemAnswer = {
      today,
      currency: house.settings().currency,
      item: found,
      keptText: JSON.parse(head.kept_text) as ItemAnswer['keptText'],
      wearDays: queries.wearDays.all(id).map((row) => row.day),
      readings: queries.readings.all(id).map(readingOf),
      goals: (house.stock.goals([id], today).get(id) ?? []).map(({ goal }) => goal),
      events: queries.events.all({ id }) as LifeEvent[],
      destinations: [
        ...destinationsFor({ opened: found.lifecycle !== 'unopened', eye: found.eye, lip: found.lip, spoiled }),
      ],
    }
    return ok(answer)
  }
}
