import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays, type Day } from '#core/calendar/day'
import type { ForecastView, RaceView } from '#contract/forecast'
import type { ItemFields } from '#contract/item'
import { ago, every, GOAL, NEW, opened, PROJECT, usesOn } from './support/long-used'
import { TestHouse, TODAY, type Answer } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

const answerOf = async (id: string) => (await house.get(`/items/${id}`)).body
const forecast = async (id: string): Promise<ForecastView> => (await answerOf(id)).forecast
const tally = (itemId: string, days: readonly number[]): Promise<Answer> =>
  house.post('/tally-sheet', usesOn(itemId, days))
const weigh = (id: string, grams: number, day: Day = TODAY): Promise<Answer> =>
  house.post(`/items/${id}/readings`, {
    id: house.id('r'),
    partId: null,
    reading: { kind: 'gross', grams, resolution: 0.1, day },
  })
const race = async (id: string): Promise<RaceView> => {
  const found = (await house.get('/shelf-life')).body.races.find((each: RaceView) => each.itemId === id)
  if (!found) throw new Error(`no race of ${id}`)
  return found
}
/** Days between the ends of a range; five years where an end is not told. */
const width = ({ days }: ForecastView): number => Math.log(days.high / days.low)

describe('the forecast of an item', () => {
  test('is wide from a label and tallies, and narrower with every weighing that agrees', async () => {
    const id = await house.item({ ...NEW, content: { amount: 9, unit: 'g' } })
    const label = await forecast(id)
    expect(label.uses.low).toBeLessThanOrEqual(label.uses.middle)
    await tally(id, every(2, 120))
    const tallied = await forecast(id)
    expect(width(tallied)).toBeLessThan(width(label))
    expect(tallied.known).toMatchObject({ uses: 60 })
    // An empty of its kind weighs 30 g; it took 0.05 g a use: 9 g when new, 6 g now.
    await house.post(`/items/${id}/package-weights`, {
      id: house.id('w'),
      state: 'as finished',
      grams: 30,
      resolution: 0.1,
      day: TODAY,
    })
    await weigh(id, 39, ago(121))
    await weigh(id, 36)
    const weighed = await forecast(id)
    expect(width(weighed)).toBeLessThan(width(tallied))
    expect(weighed.grams.middle).toBeGreaterThan(5.4)
    expect(weighed.grams.middle).toBeLessThan(6.6)
    expect(weighed.perUse.middle).toBeCloseTo(0.05, 2)
    // 6 g at 0.05 g are 120 uses, at one in two days 240 days: as it is used, in the middle.
    expect(weighed.uses.middle).toBeGreaterThan(95)
    expect(weighed.uses.middle).toBeLessThan(150)
  })
  test('begins its fan where it stands and its past where it began; the chances along it only rise', async () => {
    const id = await house.item(NEW)
    await tally(id, every(3, 150))
    const { past, fan, curve, share, last } = await forecast(id)
    expect(last).toBe(ago(1))
    expect(past[0]?.day).toBe(ago(150))
    expect(past[0]?.middle).toBeGreaterThan(0.9)
    expect(fan[0]?.middle).toBeCloseTo(share.middle, 1)
    expect(fan.at(-1)?.low).toBe(0)
    for (const points of [past, fan])
      for (const { low, middle, high } of points) {
        expect(low).toBeLessThanOrEqual(middle)
        expect(middle).toBeLessThanOrEqual(high)
      }
    expect(curve).toEqual([...curve].sort((a, b) => a - b))
  })
  const odd: [string, Partial<ItemFields>, (id: string) => Promise<unknown>][] = [
    ['nothing measured at all', { content: null, opened: { kind: 'unknown' } }, () => Promise.resolve()],
    ['one weighing alone', NEW, (id) => weigh(id, 41)],
    ['weights that contradict', NEW, async (id) => [await weigh(id, 41, ago(9)), await weigh(id, 4, ago(3))]],
    ['a weight that rises', NEW, async (id) => [await weigh(id, 41, ago(9)), await weigh(id, 52, ago(3))]],
    ['400 uses of a sample', { ...NEW, content: { amount: 0.5, unit: 'g' }, usesBefore: 400 }, () => Promise.resolve()],
    ['no use for three years', { ...NEW, opened: opened(ago(1100)) }, () => Promise.resolve()],
    ['no label', { ...NEW, content: null }, (id) => tally(id, [3, 5, 9])],
    ['opened after its printed expiry', { ...NEW, expiry: ago(300) }, () => Promise.resolve()],
    ['unopened', { opened: { kind: 'unopened' } }, () => Promise.resolve()],
    [
      'away for all that is ahead',
      NEW,
      () => house.post('/away', { id: 'a', earliest: ago(2), latest: '2046-01-01', words: '' }),
    ],
  ]
  test.each(odd)('of %s is finite and in order', async (_, fields, act) => {
    const id = await house.item(fields)
    await act(id)
    const found = await forecast(id)
    for (const span of [found.days, found.uses, found.grams, found.share, found.perUse]) {
      for (const each of Object.values(span)) expect(Number.isFinite(each)).toBe(true)
      expect(span.low).toBeLessThanOrEqual(span.middle)
      expect(span.middle).toBeLessThanOrEqual(span.high)
    }
    expect(found.share.high).toBeLessThanOrEqual(1)
    expect((await house.get('/shelf-life')).status).toBe(200)
    expect((await house.get('/supply')).status).toBe(200)
  })
  const starts: [string, Partial<ItemFields>, readonly [number, number]][] = [
    ['opened inside the log', { opened: opened(ago(20)) }, [0.8, 1]],
    ['unopened, ticked since', { opened: { kind: 'unopened' } }, [0.8, 1]],
    ['opened before the log, nothing said', { opened: opened(ago(400)) }, [0.4, 0.7]],
    ['opened before the log, no use before', { opened: opened(ago(400)), usesBefore: 0 }, [0.8, 1]],
    // By the usual .014 g a use, 300 of them took 4.2 g of 8.8 g.
    ['opened before the log, uses said', { opened: opened(ago(400)), usesBefore: 300 }, [0.35, 0.75]],
    [
      'bought inside the log, opening not known',
      { opened: { kind: 'unknown' }, acquired: { earliest: ago(40), latest: ago(40) } },
      [0.8, 1],
    ],
  ]
  test.each(starts)('begins as is said of it: %s', async (_, fields, [least, most]) => {
    const log = await house.item({ ...NEW, name: 'Oldest' })
    await tally(log, [60])
    const id = await house.item({ ...NEW, usesBefore: null, ...fields })
    const before = (await forecast(id)).share.middle
    await tally(id, [2])
    const { share } = await forecast(id)
    expect(share.middle).toBeGreaterThan(least)
    expect(share.middle).toBeLessThan(most)
    expect(before - share.middle).toBeLessThan(0.2)
  })
  test('what rests is told as if it lay in the drawer, by its days there; what never did by its days at a fifth', async () => {
    const id = await house.item(NEW)
    const perDay = async () => 1 / (await forecast(id)).days.middle
    house.setClock(new Date(`${ago(120)}T08:00:00`))
    const laid = await house.post('/drawer/place', { placementId: 'p', itemId: id, zoneId: 'extras' })
    expect(laid.status).toBe(200)
    house.setClock(new Date(`${ago(60)}T08:00:00`))
    expect(
      (
        await house.post('/tally-sheet', {
          rows: [
            {
              itemId: id,
              days: every(2, 118)
                .filter((n) => n > 60)
                .map(ago),
            },
          ],
        })
      ).status,
    ).toBe(200)
    const there = await perDay()
    expect((await forecast(id)).pace).toEqual({ uses: 29, days: 58, perWeek: 3.5 })
    await house.post('/drawer/take-out', { itemId: id })
    house.setClock(new Date(`${TODAY}T12:00:00`))
    await tally(await house.item({ ...NEW, name: 'Quay' }), every(2, 59))
    // Not worn for two months since it lies in the stash: that says nothing of how it is worn in the drawer.
    expect(await perDay()).toBeGreaterThan(0.7 * there)
  })
  test('a tally moves its own item and no other, nor any goal that is passed', async () => {
    const [one, other] = [await house.item(NEW), await house.item({ ...NEW, name: 'Quay' })]
    await tally(one, every(4, 60))
    const before = [await forecast(one), await forecast(other)] as const
    await tally(one, [2, 3])
    expect(await forecast(other)).toEqual(before[1])
    expect((await forecast(one)).days.middle).not.toBe(before[0].days.middle)
    await house.post('/projects', { ...PROJECT, id: 'p' })
    const rolled = await house.post('/projects/p/roll-in', {
      stayId: 's',
      itemId: one,
      day: ago(80),
      goal: { ...GOAL, target: 2 },
    })
    expect(rolled.status).toBe(200)
    // Met long ago: nothing is ahead of it.
    expect((await answerOf(one)).outlooks).toEqual([])
  })
  test('ends with the item', async () => {
    const id = await house.item(NEW)
    await house.post(`/items/${id}/finish`, {
      reviewId: 'v',
      day: TODAY,
      wouldBuyAgain: 'no',
      words: '',
      packageGoes: null,
      empty: null,
    })
    expect((await answerOf(id)).forecast).toBeNull()
  })
  test('a period on which nothing at all was written down counts neither way until she says what it was', async () => {
    const id = await house.item(NEW)
    await tally(id, [...every(2, 100, 60), ...every(2, 20, 2)])
    const silent = await forecast(id)
    const { silence } = (await house.get('/today')).body
    expect(silence).not.toBeNull()
    await house.post('/silence', { id: 'q', ...silence, said: 'no makeup' })
    // Now those days are known, and it was not used on any of them.
    expect((await forecast(id)).days.middle).toBeGreaterThan(silent.days.middle)
  })
})

describe('how an item stands among its like', () => {
  const place = (itemId: string): Promise<Answer> =>
    house.post('/drawer/place', { placementId: house.id('pl'), itemId, zoneId: 'cheeks' })
  test('is told by the drawer, unless she says it; and a steady one goes faster', async () => {
    const id = await house.item(NEW)
    expect(await forecast(id)).toMatchObject({ role: 'occasional', roleSaid: false })
    await place(id)
    const staple = await forecast(id)
    expect(staple).toMatchObject({ role: 'staple', roleSaid: false })
    const rival = await house.item({ ...NEW, name: 'Quay' })
    await place(rival)
    const rotating = await forecast(id)
    expect(rotating).toMatchObject({ role: 'rotation', roleSaid: false })
    expect(rotating.days.middle).toBeGreaterThan(staple.days.middle)
    const said = await house.put(`/items/${id}/role`, { role: 'staple' })
    expect(await forecast(id)).toMatchObject({ role: 'staple', roleSaid: true })
    expect((await house.put(`/items/${id}/role`, { role: 'darling' })).status).toBe(422)
    expect((await house.put('/items/none/role', { role: 'staple' })).body.code).toBe('unknown-item')
    await house.post(`/changes/${said.body.change.id}/take-back`, {})
    expect(await forecast(id)).toEqual(rotating)
  })
})

describe('days to come', () => {
  test('away, low seasons and wearing less put the finish off; what is dropped brings it back', async () => {
    const id = await house.item(NEW)
    await tally(id, every(1, 120))
    const usual = await forecast(id)
    const acts: [string, object][] = [
      ['/away', { id: 'a', earliest: addDays(TODAY, 5), latest: addDays(TODAY, 60), words: '' }],
      ['/low-seasons', { id: 'l', from: '01-01', to: '06-30', factor: 0.2, words: '' }],
      ['/wear-less', { id: 'f', from: addDays(TODAY, 30), factor: 0.3, words: 'home again' }],
    ]
    for (const [path, body] of acts) {
      const done = await house.post(path, body)
      expect(done.status, path).toBe(200)
      expect((await forecast(id)).days.middle, path).toBeGreaterThan(usual.days.middle * 1.05)
      await house.post(`/changes/${done.body.change.id}/take-back`, {})
      expect(await forecast(id), path).toEqual(usual)
    }
    expect((await house.post('/wear-less', { id: 'x', from: TODAY, factor: 2, words: '' })).status).toBe(422)
    expect((await house.get('/stretches')).body.wearLess).toEqual([])
  })
})

describe('the race', () => {
  test('says how it stands against the day to act on, what is at stake, and that by its own price or that of its like', async () => {
    const fast = await house.item({
      ...NEW,
      content: { amount: 1, unit: 'g' },
      expiry: addDays(TODAY, 900),
      paoMonths: 48,
    })
    await tally(fast, every(1, 150))
    expect((await race(fast)).verdict).toBe('in time')
    const slow = await house.item({ ...NEW, name: 'Quay', expiry: addDays(TODAY, 20), priceMinor: null })
    const lost = await race(slow)
    expect(lost.verdict).toBe('not in time')
    // No price of its own: the one other blush cost 18.00.
    expect(lost.price).toEqual({ minor: 1800, usual: true })
    // Never worn, and to be worn at most on each of the twenty days: little is gone by then.
    expect(lost.stake).toBe(Math.round(1800 * (lost.leftThen ?? 0)))
    expect(lost.leftThen).toBeLessThan(lost.share)
    expect(lost.leftThen).toBeGreaterThan(lost.share * 0.8)
    const open = await house.item({ ...NEW, name: 'Weir', opened: { kind: 'unknown' }, paoMonths: 12 })
    expect(await race(open)).toMatchObject({ chance: null, verdict: 'not known', stake: null })
  })
  test('a wrong opening put right turns it round', async () => {
    const id = await house.item({ ...NEW, opened: opened(ago(355)), content: { amount: 0.5, unit: 'g' } })
    await tally(id, every(2, 60))
    expect((await race(id)).verdict).toBe('not in time')
    const year = { kind: 'range', earliest: ago(70), latest: ago(61), said: 'late summer' }
    expect((await house.post('/openings', { answers: [{ itemId: id, opened: year }] })).status).toBe(200)
    expect((await race(id)).verdict).not.toBe('not in time')
  })
})

describe('what a change makes stale', () => {
  test('is its own item for a tick; everything for days away, settings, and a day that is over and breaks a silence', async () => {
    const { forecasts } = house.services
    const id = await house.item(NEW)
    await tally(id, [90, 60, 59, 58, 3, 2])
    forecasts.days()
    forecasts.takeStale()
    const stale = async (answer: Promise<Answer>): Promise<boolean> => {
      expect((await answer).status).toBe(200)
      const found = forecasts.takeStale()
      forecasts.days()
      return found
    }
    expect(await stale(house.post('/wear', { itemId: id, day: TODAY, worn: true }))).toBe(false)
    // Among days that are known already.
    expect(await stale(house.post('/wear', { itemId: id, day: ago(1), worn: true }))).toBe(false)
    // In the middle of five weeks of which nothing was known.
    expect(await stale(house.post('/wear', { itemId: id, day: ago(30), worn: true }))).toBe(true)
    expect(await stale(house.post('/away', { id: 'a', earliest: TODAY, latest: addDays(TODAY, 3), words: '' }))).toBe(
      true,
    )
    const { version, settings } = (await house.get('/settings')).body
    expect(await stale(house.put('/settings', { version, settings: { ...settings, scaleStep: 0.01 } }))).toBe(true)
  })
  test('what is estimated elsewhere is taken, but for what was touched meanwhile', async () => {
    const { forecasts, stock } = house.services
    const [one, other] = [await house.item(NEW), await house.item({ ...NEW, name: 'Quay' })]
    await tally(one, every(5, 60))
    const found = forecasts.all()
    let arrive = (): void => undefined
    const arrived = new Promise<void>((resolve) => (arrive = resolve))
    const waiting = forecasts.prepare(() => arrived.then(() => found))
    let waited = true
    const asked = forecasts.whenReady().then(() => (waited = false))
    expect(waited).toBe(true)
    await tally(one, [2, 3])
    arrive()
    await Promise.all([waiting, asked])
    const [first, second] = [one, other].map((id) => stock.one(id, TODAY)).flatMap((item) => item ?? [])
    const before = (id: string) => found.found.find((each) => each.found.itemId === id)?.found
    expect(first && forecasts.of(first).forecast).not.toEqual(before(one)?.forecast)
    // The very one that came: it was not reckoned again.
    expect(second && forecasts.of(second)).toBe(before(other))
  })
  test('a day that came while the machine slept is estimated elsewhere before it is answered for', async () => {
    const { forecasts } = house.services
    forecasts.userEffects()
    let begun = 0
    forecasts.makeWith(() => {
      begun += 1
      forecasts.userEffects()
      return Promise.resolve()
    })
    await house.get('/shelf-life')
    expect(begun).toBe(0)
    house.setClock(new Date(2026, 10, 25, 8))
    await house.get('/shelf-life')
    expect(begun).toBe(1)
  })
  test('what is left for later begins with the first that asks, once', async () => {
    const { forecasts } = house.services
    let begun = 0
    forecasts.makeWith(() => {
      begun += 1
      forecasts.userEffects()
      return Promise.resolve()
    })
    forecasts.defer()
    expect(begun).toBe(0)
    await Promise.all([house.get('/shelf-life'), house.get('/supply')])
    await forecasts.begin()
    expect(begun).toBe(1)
  })
})
