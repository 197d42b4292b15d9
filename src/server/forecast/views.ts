import { addDays, daysBetween, type Day } from '#core/calendar/day'
import { bestMeasure } from '#core/forecast/asking'
import { verdictOf, type Verdict } from '#core/forecast/verdict'
import { chanceOf, type ForecastFacts } from '#core/forecast/forecast'
import { LONG_DAYS } from '#core/calendar/lengths'
import { HORIZON_DAYS } from '#core/forecast/finish'
import { curveOf, expectedShareIn, fanOf, outlookOf, usesUntil, type GoalAim } from '#core/forecast/outlook'
import { sharesBefore } from '#core/forecast/content'
import { STAGE_LEVELS } from '#core/item/stage-levels'
import type { Span } from '#core/forecast/weighed'
import { eyeMeasureOf } from '#core/item/form'
import { leftByReading } from '#core/item/what-is-left'
import type { ForecastView, OutlookView, RaceView, VerdictsAnswer } from '#contract/forecast'
import type { Standing } from '#core/goal/pace'
import type { GoalView } from '#contract/item'
import type { ItemFacts } from '../stock/item-facts.js'
import type { ItemForecast, Forecasts } from './forecasts.js'
import { forecastQueries } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'

type DaySpan = RaceView['finish']
/** Between so many even steps the ribbon of the past is drawn. */
const PAST_STEPS = 24
/** The fan is drawn so far at most. */
const DRAWN_DAYS = LONG_DAYS

export class ForecastViews {
  readonly #queries
  /** Of each forecast that is remembered, its race. */
  readonly #races = new WeakMap<ItemForecast, { readonly key: string; readonly json: string }>()

  constructor(private readonly services: Context & { stock: Stock; forecasts: Forecasts }) {
    this.#queries = forecastQueries(services.db)
  }

  /** Null of what has ended: nothing is ahead of it. */
  one(item: ItemFacts): ForecastView | null {
    if (item.endedOn !== null) return null
    const { forecasts } = this.services
    const found = forecasts.of(item)
    const { forecast, last } = found
    const facts = forecasts.factsOf(item)
    const userEffects = forecasts.userEffects()
    const { content } = forecast
    const eye = eyeMeasureOf(item.form, item.opaque)
    const asked =
      item.parts.length > 0 || overOf(item) !== null
        ? null
        : bestMeasure(facts, forecast, userEffects, {
            looks: eye === 'length' ? 'length' : eye === 'level' ? 'level' : null,
            step: this.services.settings().scaleStep,
            until: item.shelfLife.actOn === null ? null : Math.max(0, daysBetween(last, item.shelfLife.actOn)),
          })
    const uses = content.usesLeft
    return {
      last,
      finish: daySpan(last, forecast.finish, this.services.today()),
      days: forecast.finish,
      uses: spanOfUses(uses),
      grams: content.grams,
      share: content.share,
      perUse: content.perUse,
      pace: found.pace,
      role: found.role,
      roleSaid: found.roleSaid,
      known: { days: facts.log.cut + 1, uses: facts.log.uses.length },
      userEffects: { amount: Math.exp(userEffects.amount), rate: Math.exp(userEffects.rate) },
      start: facts.content.start.kind,
      past: this.#past(item, facts, last),
      curve: curveOf(forecast),
      fan: fanOf(forecast, DRAWN_DAYS).map(({ days, low, middle, high }) => ({
        day: addDays(last, Math.round(days)),
        low,
        middle,
        high,
      })),
      verdict: itemVerdict(item, found),
      asked: asked && { ...asked, finish: daySpan(last, asked.finish, this.services.today()) },
      packages: content.packages.map(({ mean, sd }) => ({ mean, sd })),
      before: this.#queries.kept.all(item.id).map((row) => ({
        madeOn: row.made_on,
        why: row.why,
        share: row.share_left,
        low: addDays(row.made_on, Math.round(row.low_days)),
        middle: addDays(row.made_on, Math.round(row.middle_days)),
        high: addDays(row.made_on, Math.round(row.high_days)),
      })),
    }
  }

  /** The ribbon from its first known day to the last: at every reading, and between them. */
  #past(item: ItemFacts, facts: ForecastFacts, last: Day): ForecastView['past'] {
    const measured = this.services.stock.measured.of(item.id)
    const first = addDays(last, -facts.log.cut)
    const even = Array.from({ length: PAST_STEPS + 1 }, (_, n) =>
      addDays(first, Math.round((facts.log.cut * n) / PAST_STEPS)),
    )
    const days = [...new Set([...even, ...measured.readings.map((row) => row.day)])].filter((day) => day <= last).sort()
    const { seen } = facts.content
    const shares = sharesBefore(
      { ...facts.content, handShift: this.services.forecasts.userEffects().amount },
      days.map((day) => {
        const uses = measured.days.filter((each) => each >= day).length
        // Losses are told with what was seen: those since the nearest look from here on.
        return { uses, lost: seen.find((each) => each.uses <= uses)?.lost ?? 0 }
      }),
    )
    return days.map((day, n) => ({ day, ...(shares[n] ?? { low: 0, middle: 0, high: 0 }) }))
  }

  /** Against its last good day, as JSON: thousands of rows are not computed and written anew for every reader. */
  raceJson(item: ItemFacts, usualPrice: number | null): string {
    const found = this.services.forecasts.of(item)
    const price = item.priceMinor ?? usualPrice
    const { shelfLife, wornAsId } = item
    const key = `${this.services.today()} ${price} ${item.priceMinor === null} ${wornAsId} ${JSON.stringify(shelfLife)}`
    const known = this.#races.get(found)
    if (known?.key === key) return known.json
    const { reason, sun } = shelfLife
    const json = JSON.stringify({
      ...this.#race(item, found, price),
      wornAsId,
      reason,
      sunLastDay: sun?.lastDay ?? null,
    })
    this.#races.set(found, { key, json })
    return json
  }

  #race(item: ItemFacts, { forecast, last }: ItemForecast, price: number | null): RaceView {
    const { actOn } = item.shelfLife
    const until = actOn === null ? null : Math.max(0, daysBetween(last, actOn))
    const share = forecast.content.share.middle
    const leftThen = until === null ? null : overOf(item) !== null ? share : expectedShareIn(until, forecast)
    return {
      itemId: item.id,
      finish: daySpan(last, forecast.finish, this.services.today()),
      curve: curveOf(forecast).map((each) => Math.round(each * 1000) / 1000),
      last,
      chance: until === null ? null : chanceOf(forecast, until),
      verdict: itemVerdict(item, { forecast, last }),
      leftThen,
      stake: price === null || leftThen === null ? null : Math.round(price * leftThen),
      price: price === null ? null : { minor: price, usual: item.priceMinor === null },
      share,
      uses: spanOfUses(forecast.content.usesLeft),
    }
  }

  /** When each of these goals will be reached; nothing of those that are met, ended or have no end, nor of what only goes along. */
  outlooks(item: ItemFacts, goals: readonly GoalView[]): OutlookView[] {
    return goals.flatMap((goal) => {
      if (goal.met || goal.beside || item.endedOn !== null || goal.standing === 'ended') return []
      const outlook = this.outlook(item, goal.partId, goal)
      return outlook === null ? [] : [{ stayId: goal.stayId, ...outlook }]
    })
  }

  /** The verdict on every goal that is open. */
  verdicts(): VerdictsAnswer {
    const today = this.services.today()
    const ids = this.#queries.withGoals.all().map((row) => row.item_id)
    const goals = this.services.stock.goals(ids, today)
    return {
      goals: this.services.stock.facts(ids, today).flatMap((item) => {
        const open = (goals.get(item.id) ?? []).filter(({ stay }) => stay.rolled_out === null).map(({ goal }) => goal)
        return this.outlooks(item, open).map(({ stayId, verdict, needed, pace }) => ({
          itemId: item.id,
          stayId,
          verdict,
          needed,
          pace,
        }))
      }),
    }
  }

  /** When a goal would be reached; null where it asks for no end. `partId` = of one shade. */
  outlook(
    item: ItemFacts,
    partId: string | null,
    goal: GoalAsked & { readonly by: Day | null; readonly standing: Standing | null },
  ): Omit<OutlookView, 'stayId'> | null {
    const aim = aimOf(goal)
    const { forecasts } = this.services
    const found = partId === null ? forecasts.of(item) : forecasts.ofShade(item, partId)
    if (aim === null || found === null) return null
    const { forecast, last } = found
    const until = goal.by === null ? null : Math.max(0, daysBetween(last, goal.by))
    const { chance: likely, days } = outlookOf(forecast, aim, until)
    // What can't be done by then, or is past, has no chance to speak of.
    const chance = goal.standing === 'out of reach' || goal.standing === 'missed' ? null : likely
    const today = this.services.today()
    const left = aim.kind === 'uses' ? Math.max(0, aim.target - aim.done) : spanOfUses(usesUntil(forecast, aim)).middle
    return {
      reach: daySpan(last, days, today),
      chance,
      verdict: verdictOf({ over: overOf(item), standing: goal.standing, chance }),
      needed: until === null || until < 7 ? null : Math.round((left / (until / 7)) * 10) / 10,
      pace: found.pace,
    }
  }
}

/** What of a goal tells what it asks for. */
export type GoalAsked = Pick<GoalView, 'kind' | 'target' | 'uses'>

/** What a goal asks of the content; null where it asks for no end. */
export function aimOf(goal: GoalAsked): GoalAim | null {
  switch (goal.kind) {
    case 'uses':
    case 'find a use':
      return { kind: 'uses', target: goal.target ?? 1, done: goal.uses }
    case 'finish':
      return { kind: 'share', left: 0 }
    case 'level':
      return { kind: 'share', left: goal.target ?? 0 }
    case 'hit pan':
      return { kind: 'share', left: STAGE_LEVELS['first pan'].left }
    case 'expand pan':
      return { kind: 'share', left: leftByReading({ kind: 'bare', value: goal.target ?? 1, stage: null, word: null }) }
    case 'keep using':
      return null
  }
}

/** Past its use-by date, or gone off; null while it is neither. */
function overOf({ shelfLife: { state } }: ItemFacts): 'expired' | 'gone off' | null {
  return state === 'past' ? 'expired' : state === 'sign seen' ? 'gone off' : null
}

/** Whether an item is finished by its use-by date. */
function itemVerdict(item: ItemFacts, { forecast, last }: Pick<ItemForecast, 'forecast' | 'last'>): Verdict {
  const { actOn } = item.shelfLife
  const chance = actOn === null ? null : chanceOf(forecast, Math.max(0, daysBetween(last, actOn)))
  return verdictOf({ over: overOf(item), standing: null, chance })
}

export function spanOfUses(uses: readonly number[]): Span {
  const at = (p: number): number => Math.round(uses[Math.min(uses.length - 1, Math.floor(p * uses.length))] ?? 0)
  return { low: at(0.1), middle: at(0.5), high: at(0.9) }
}

export function daySpan(last: Day, { low, middle, high }: Span, today: Day): DaySpan {
  return { low: dayAt(last, low, today), middle: dayAt(last, middle, today), high: dayAt(last, high, today) }
}

/** Never before today; null from five years on. */
function dayAt(last: Day, days: number, today: Day): Day | null {
  if (days >= Math.min(LONG_DAYS, HORIZON_DAYS)) return null
  const day = addDays(last, Math.round(days))
  return day < today ? today : day
}
