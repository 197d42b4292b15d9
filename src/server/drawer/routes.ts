import { ok } from '../failing.js'
import { EditZone, LayMany, Place, Reorder, TakeOut } from '#contract/today'
import { read, write, type Route } from '../http/routes.js'
import { listedOf } from '../stock/item-facts.js'
import type { Context } from '../context.js'
import type { Drawer } from './drawer.js'
import type { Stock } from '../stock/stock.js'

export function drawerRoutes({ drawer, today, stock }: Context & { drawer: Drawer; stock: Stock }): Route[] {
  return [
    read('/drawer', () => {
      const zones = drawer.zones()
      const placed = zones.flatMap((zone) => zone.itemIds)
      return ok({ today: today(), zones, items: stock.facts(placed, today()).map(listedOf) })
    }),
    read('/drawer/proposal', () => ok(drawer.proposal())),
    write('post', '/drawer/lay-many', 'lay-many', LayMany, (body) => drawer.layMany(body.placements)),
    write('post', '/drawer/place', 'place', Place, (body) =>
      drawer.place(body.placementId, body.itemId, body.zoneId, body.beside),
    ),
    write('post', '/drawer/take-out', 'take-out', TakeOut, (body) => drawer.takeOut(body.itemId, today())),
    write('post', '/drawer/reorder', 'reorder', Reorder, (body) => drawer.reorder(body.zoneId, body.itemIds)),
    write('put', '/zones/:id', 'edit-zone', EditZone, (body, id) => drawer.editZone(id, body)),
  ]
}
