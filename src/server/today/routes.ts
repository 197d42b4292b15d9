import { fail, ok } from '../failing.js'
import type { Day } from '#core/calendar/day'
import {
  DropLook,
  SaveLook,
  SayOfSilence,
  SetDay,
  SetLook,
  SetMix,
  SetNoMakeup,
  SetNotToday,
  SetPutBack,
  SetWearDetails,
  SetWorn,
  TypeInSheet,
  WearMixed,
  type EarlierLook,
  type TodayAnswer,
} from '#contract/today'
import { dayParam, read, write, type Route } from '../http/routes.js'
import { todayQueries } from './queries.js'
import { Reaching } from './reaching.js'
import { listedOf } from '../stock/item-facts.js'
import type { Context } from '../context.js'
import type { Drawer } from '../drawer/drawer.js'
import type { Wearing } from './wearing.js'
import type { DayFacts } from './day-facts.js'
import type { CurrentPlan } from '../planning/current-plan.js'
import type { FrontFigures } from '../fronts/figures.js'
import type { Stock } from '../stock/stock.js'

export function todayRoutes(
  services: Context & {
    drawer: Drawer
    wearing: Wearing
    dayFacts: DayFacts
    currentPlan: CurrentPlan
    fronts: FrontFigures
    stock: Stock
  },
): Route[] {
  const { drawer, wearing, dayFacts: facts, db, today, fronts, stock } = services
  const queries = todayQueries(db)
  const reaching = new Reaching(services, queries)
  return [
    read('/today', (_, query) => {
      const asked = query['day']
      const day = asked === undefined ? today() : dayParam(asked)
      if (day === null || day > today()) return fail('day-in-future', { value: String(asked) })
      return ok(pageOf(day))
    }),
    read('/worn-days', (_, query) => {
      const [from, to] = [dayParam(query['from']), dayParam(query['to'])]
      if (from === null || to === null) return fail('day-in-future', { value: String(query['to']) })
      return ok({ worn: queries.wornBetween.all({ from, to }).map((row) => ({ itemId: row.item_id, day: row.day })) })
    }),
    read('/day-after-ticks', (_, query) => {
      const day = dayParam(query['day'])
      if (day === null || day > today()) return fail('day-in-future', { value: String(query['day']) })
      const touched = String(query['items'] ?? '').split(',')
      const {
        zones,
        occasions,
        silence,
        earlierLooks,
        savedLooks,
        collectionIsEmpty,
        today: now,
        ...after
      } = pageOf(day)
      return ok({ ...after, items: after.items.filter((item) => touched.includes(item.id)), fronts: fronts.read() })
    }),
    write('post', '/wear', 'set-worn', SetWorn, (body) => wearing.setWorn(body)),
    write('post', '/face', 'set-face', SetLook, (body) => wearing.setLook(body)),
    write('post', '/wear-details', 'wear-details', SetWearDetails, (body) => wearing.setDetails(body)),
    write('post', '/mix', 'mix', SetMix, (body) => wearing.setMix(body)),
    write('post', '/wear/mixed', 'wear-mixed', WearMixed, (body) => wearing.wearMixed(body)),
    write('post', '/tally-sheet', 'type-in', TypeInSheet, (body) => wearing.typeIn(body)),
    write('post', '/no-makeup', 'no-makeup', SetNoMakeup, (body) => wearing.setNoMakeup(body.day, body.noMakeup)),
    write('post', '/silence', 'say-of-silence', SayOfSilence, (body) => wearing.sayOfSilence(body)),
    write('post', '/day', 'set-day', SetDay, (body) => facts.setDay(body)),
    write('post', '/put-back', 'put-back', SetPutBack, (body) => facts.setPutBack(body.itemId, body.day, body.putBack)),
    write('post', '/not-today', 'not-today', SetNotToday, (body) =>
      facts.setNotToday(body.itemId, body.day, body.notToday),
    ),
    write('post', '/saved-faces', 'save-face', SaveLook, (body) => facts.saveLook(body)),
    write('post', '/saved-faces/:id/drop', 'drop-face', DropLook, (_, id) => facts.dropLook(id)),
  ]

  function pageOf(day: Day): TodayAnswer {
    const now = today()
    const zones = drawer.zones()
    const worn = wearing.wornOn(day)
    const drawerIds = zones.flatMap((zone) => zone.itemIds)
    const onTrial = day === now ? queries.onTrial.all().map((row) => row.item_id) : []
    const ids = [...new Set([...drawerIds, ...onTrial, ...worn.map((each) => each.itemId)])]
    const items = stock.facts(ids, now)
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
      silence: isNow ? stock.days.silent(now) : null,
      earlierLooks: earlierLooks(day, conditions.occasion),
      savedLooks: facts.savedLooks(),
      collectionIsEmpty: (queries.itemCount.get()?.n ?? 0) === 0,
    }
  }

  /** Looks that can be put on again: the last, the last of this weekday, the last of this occasion; each day once. */
  function earlierLooks(day: Day, occasion: string | null): EarlierLook[] {
    const found: EarlierLook[] = []
    const add = (like: EarlierLook['like'], on: Day | undefined): void => {
      if (on === undefined || found.some((look) => look.day === on)) return
      const worn = wearing.wornOn(on).map((each) => each.itemId)
      const still = stock
        .facts(worn, today())
        .filter((item) => item.endedOn === null || item.endedOn >= day)
        .map((item) => item.id)
      found.push({ like, day: on, itemIds: worn.filter((id) => still.includes(id)), gone: worn.length - still.length })
    }
    add('last', queries.lastLookDay.get(day)?.day)
    add('weekday', queries.lastLookOnWeekday.get({ day })?.day)
    if (occasion !== null) add('occasion', queries.lastLookOnOccasion.get({ day, occasion })?.day)
    return found
  }
}
