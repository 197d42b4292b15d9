import { Router } from 'express'
import { fail, ok } from '#core/failure'
import type { Day } from '#core/calendar/day'
import { reachFor } from '#core/plan/reach-for'
import { SetFace, SetNoMakeup, SetWorn, type TodayAnswer } from '#contract/today'
import { Drawer } from '../drawer/drawer.js'
import type { House } from '../house.js'
import { dayParam } from '../http/day-param.js'
import { command, read } from '../http/routes.js'
import { todayQueries } from './queries.js'
import { Wearing } from './wearing.js'

export function todayRoutes(house: House): Router {
  const queries = todayQueries(house.db)
  const drawer = new Drawer(house)
  const wearing = new Wearing(house)
  const routes = Router()

  read(routes, '/today', (request) => {
    const asked = request.query['day']
    const day = asked === undefined ? house.today() : dayParam(asked)
    if (day === null || day > house.today()) return fail('day-in-future', { value: String(asked) })
    return ok(today(day))
  })
  command(house, routes, 'post', '/wear', SetWorn, 'set-worn', (body) => wearing.setWorn(body))
  command(house, routes, 'post', '/face', SetFace, 'set-face', (body) =>
    wearing.setFace(body.day, body.itemIds, `the same ${body.itemIds.length} as last time`),
  )
  command(house, routes, 'post', '/no-makeup', SetNoMakeup, 'no-makeup', (body) =>
    wearing.setNoMakeup(body.day, body.noMakeup),
  )
  return routes

  function today(day: Day): TodayAnswer {
    const now = house.today()
    const zones = drawer.zones()
    const worn = wearing.wornOn(day)
    const drawerIds = zones.flatMap((zone) => zone.itemIds)
    const lastFace = faceBefore(day)
    const ids = [...new Set([...drawerIds, ...worn.map((each) => each.itemId)])]
    const items = house.stock.summaries(ids, now)
    const wornIds = new Set(worn.map((each) => each.itemId))
    const suggestions = reachFor(
      items
        .filter((item) => item.placement !== null)
        .map((item) => ({
          itemId: item.id,
          faceOrder: item.faceOrder,
          shelfLife: item.shelfLife,
          usesLeft: item.goal?.usesLeft ?? null,
          left: item.left,
          lastWorn: item.lastWorn,
          placedOn: item.placement?.since ?? now,
          wornToday: wornIds.has(item.id),
        })),
      now,
    )
    return {
      today: now,
      day,
      zones,
      items,
      worn,
      noMakeup: queries.noMakeup.get(day)?.no_makeup === 1,
      reachFor: day === now ? suggestions : [],
      lastFace,
      collectionIsEmpty: (queries.itemCount.get()?.n ?? 0) === 0,
    }
  }

  /** The last face before a day, without what has left since. */
  function faceBefore(day: Day): TodayAnswer['lastFace'] {
    const last = queries.lastFaceDay.get(day)?.day
    if (last === undefined) return null
    const worn = wearing.wornOn(last).map((each) => each.itemId)
    const still = house.stock
      .summaries(worn, house.today())
      .filter((item) => item.endedOn === null || item.endedOn >= day)
      .map((item) => item.id)
    return { day: last, itemIds: worn.filter((id) => still.includes(id)), gone: worn.length - still.length }
  }
}
