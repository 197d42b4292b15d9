import { Router } from 'express'
import { ok } from '../failing.js'
import { EditZone, LayMany, Place, Reorder, TakeOut } from '#contract/today'
import type { House } from '../house.js'
import { command, read } from '../http/routes.js'
import { listedOf } from '../stock/item-facts.js'

export function drawerRoutes(house: House): Router {
  const { drawer } = house
  const routes = Router()
  read(routes, '/drawer', () => {
    const today = house.today()
    const zones = drawer.zones()
    const placed = zones.flatMap((zone) => zone.itemIds)
    return ok({ today, zones, items: house.stock.facts(placed, today).map(listedOf) })
  })
  read(routes, '/drawer/proposal', () => ok(drawer.proposal()))
  command(house, routes, 'post', '/drawer/lay-many', LayMany, 'lay-many', (body) => drawer.layMany(body.placements))
  command(house, routes, 'post', '/drawer/place', Place, 'place', (body) =>
    drawer.place(body.placementId, body.itemId, body.zoneId, body.beside),
  )
  command(house, routes, 'post', '/drawer/take-out', TakeOut, 'take-out', (body) =>
    drawer.takeOut(body.itemId, house.today()),
  )
  command(house, routes, 'post', '/drawer/reorder', Reorder, 'reorder', (body) =>
    drawer.reorder(body.zoneId, body.itemIds),
  )
  command(house, routes, 'put', '/zones/:id', EditZone, 'edit-zone', (body, { id = '' }) => drawer.editZone(id, body))
  return routes
}
