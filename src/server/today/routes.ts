import { Router } from 'express'
import { fail, ok } from '../failing.js'
import type { Day } from '#core/calendar/day'
import {
  DropFace,
  SaveFace,
  SayOfSilence,
  SetDay,
  SetFace,
  SetMix,
  SetNoMakeup,
  SetNotToday,
  SetPutBack,
  SetWearDetails,
  SetWorn,
  TypeInSheet,
  WearMixed,
  type EarlierFace,
  type TodayAnswer,
} from '#contract/today'
import type { House } from '../house.js'
import { dayParam } from '../http/day-param.js'
import { command, read } from '../http/routes.js'
import { todayQueries } from './queries.js'
import { Reaching } from './reaching.js'
import { listedOf } from '../stock/item-facts.js'

export function todayRoutes(house: House): Router {
  const queries = todayQueries(house.db)
  const { drawer, wearing, dayFacts: facts } = house
  const reaching = new Reaching(house, queries)
  const routes = Router()

  read(routes, '/today', (request) => {
    const asked = request.query['day']
    const day = asked === undefined ? house.today() : dayParam(asked)
    if (day === null || day > house.today()) return fail('day-in-future', { value: String(asked) })
    return ok(today(day))
  })
  read(routes, '/worn-days', (request) => {
    const [from, to] = [dayParam(request.query['from']), dayParam(request.query['to'])]
    if (from === null || to === null) return fail('day-in-future', { value: String(request.query['to']) })
    return ok({ worn: queries.wornBetween.all({ from, to }).map((row) => ({ itemId: row.item_id, day: row.day })) })
  })
  read(routes, '/day-after-ticks', (request) => {
    const day = dayParam(request.query['day'])
    if (day === null || day > house.today()) return fail('day-in-future', { value: String(request.query['day']) })
    const touched = String(request.query['items'] ?? '').split(',')
    const { zones, occasions, silence, earlierFaces, savedFaces, collectionIsEmpty, today: now, ...after } = today(day)
    return ok({ ...after, items: after.items.filter((item) => touched.includes(item.id)), fronts: house.fronts.read() })
  })
  command(house, routes, 'post', '/wear', SetWorn, 'set-worn', (body) => wearing.setWorn(body))
  command(house, routes, 'post', '/face', SetFace, 'set-face', (body) => wearing.setFace(body))
  command(house, routes, 'post', '/wear-details', SetWearDetails, 'wear-details', (body) => wearing.setDetails(body))
  command(house, routes, 'post', '/mix', SetMix, 'mix', (body) => wearing.setMix(body))
  command(house, routes, 'post', '/wear/mixed', WearMixed, 'wear-mixed', (body) => wearing.wearMixed(body))
  command(house, routes, 'post', '/tally-sheet', TypeInSheet, 'type-in', (body) => wearing.typeIn(body))
  command(house, routes, 'post', '/no-makeup', SetNoMakeup, 'no-makeup', (body) =>
    wearing.setNoMakeup(body.day, body.noMakeup),
  )
  command(house, routes, 'post', '/silence', SayOfSilence, 'say-of-silence', (body) => wearing.sayOfSilence(body))
  command(house, routes, 'post', '/day', SetDay, 'set-day', (body) => facts.setDay(body))
  command(house, routes, 'post', '/put-back', SetPutBack, 'put-back', (body) =>
    facts.setPutBack(body.itemId, body.day, body.putBack),
  )
  command(house, routes, 'post', '/not-today', SetNotToday, 'not-today', (body) =>
    facts.setNotToday(body.itemId, body.day, body.notToday),
  )
  command(house, routes, 'post', '/saved-faces', SaveFace, 'save-face', (body) => facts.saveFace(body))
  command(house, routes, 'post', '/saved-faces/:id/drop', DropFace, 'drop-face', (_, { id = '' }) => facts.dropFace(id))
  return routes

  function today(day: Day): TodayAnswer {
    const now = house.today()
    const zones = drawer.zones()
    const worn = wearing.wornOn(day)
    const drawerIds = zones.flatMap((zone) => zone.itemIds)
    const onTrial = day === now ? queries.onTrial.all().map((row) => row.item_id) : []
    const ids = [...new Set([...drawerIds, ...onTrial, ...worn.map((each) => each.itemId)])]
    const items = house.stock.facts(ids, now)
    const wornIds = new Set(worn.map((each) => each.itemId))
    const conditions = facts.conditions(day)
    const isNow = day === now
    const sunscreen = isNow ? reaching.sunscreen(items, wornIds, day) : null
    return {
      today: now,
      day,
      zones,
      items: items.map(listedOf),
      worn,
      onTrial: onTrial.filter((id) => !drawerIds.includes(id)),
      noMakeup: queries.dayRecord.get(day)?.no_makeup === 1,
      conditions,
      occasions: queries.occasions.all().map((row) => row.occasion),
      putBack: queries.putBackOn.all(day).map((row) => row.item_id),
      notToday: queries.notTodayOn.all(day).map((row) => row.item_id),
      reachFor: isNow ? reaching.suggestions(items, wornIds, day, conditions) : [],
      sunscreen: sunscreen && { elsewhere: sunscreen.elsewhere && listedOf(sunscreen.elsewhere) },
      silence: isNow ? house.stock.days.silent(now) : null,
      earlierFaces: earlierFaces(day, conditions.occasion),
      savedFaces: facts.savedFaces(),
      collectionIsEmpty: (queries.itemCount.get()?.n ?? 0) === 0,
    }
  }

  /** Faces that can be put on again: the last, the last of this weekday, the last of this occasion; each day once. */
  function earlierFaces(day: Day, occasion: string | null): EarlierFace[] {
    const found: EarlierFace[] = []
    const add = (like: EarlierFace['like'], on: Day | undefined): void => {
      if (on === undefined || found.some((face) => face.day === on)) return
      const worn = wearing.wornOn(on).map((each) => each.itemId)
      const still = house.stock
        .facts(worn, house.today())
        .filter((item) => item.endedOn === null || item.endedOn >= day)
        .map((item) => item.id)
      found.push({ like, day: on, itemIds: worn.filter((id) => still.includes(id)), gone: worn.length - still.length })
    }
    add('last', queries.lastFaceDay.get(day)?.day)
    add('weekday', queries.lastFaceOnWeekday.get({ day })?.day)
    if (occasion !== null) add('occasion', queries.lastFaceOnOccasion.get({ day, occasion })?.day)
    return found
  }
}
