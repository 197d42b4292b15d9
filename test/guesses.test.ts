import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays, type Day } from '#core/calendar/day'
import type { ForecastView } from '#contract/forecast'
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
describe('guesses', () => {
  const guess = (itemId: string, months: number, day: Day = TODAY): Promise<Answer> =>
    house.post(`/items/${itemId}/guesses`, { id: house.id('g'), day, months })
  const finish = (itemId: string, day: Day): Promise<Answer> =>
    house.post(`/items/${itemId}/finish`, {
      reviewId: house.id('v'),
      day,
      wouldBuyAgain: 'no',
      words: '',
      packageGoes: null,
      empty: null,
    })
  test('one to a day, none of tomorrow or of what is gone; each can be undone', async () => {
    const id = await house.item(NEW)
    await guess(id, 2)
    const second = await guess(id, 3)
    expect((await answerOf(id)).guesses).toMatchObject([{ madeOn: TODAY, months: 3 }])
    await house.post(`/changes/${second.body.change.id}/take-back`, {})
    expect((await answerOf(id)).guesses).toMatchObject([{ months: 2 }])
    expect((await guess(id, 2, addDays(TODAY, 1))).body.code).toBe('day-in-future')
    expect((await guess(id, 0)).status).toBe(422)
    await finish(id, TODAY)
    expect((await guess(id, 2)).body.code).toBe('item-ended')
    expect((await house.post('/guesses/none/drop', {})).body.code).toBe('unknown-guess')
  })
  test('rolling in keeps one with it, in one change', async () => {
    const id = await house.item(NEW)
    await house.post('/projects', { ...PROJECT, id: 'p' })
    const rolled = await house.post('/projects/p/roll-in', {
      stayId: 's',
      itemId: id,
      day: ago(10),
      goal: GOAL,
      guess: { id: 'g', months: 4 },
    })
    expect((await answerOf(id)).guesses).toMatchObject([{ id: 'g', madeOn: ago(10), months: 4 }])
    await house.post(`/changes/${rolled.body.change.id}/take-back`, {})
    expect((await answerOf(id)).guesses).toEqual([])
  })
  test('are held against what came of them, those still running too; three finished ones may be spoken of', async () => {
    expect((await house.get('/look-back')).body.guesses.all).toMatchObject({
      finished: 0,
      unfinished: 0,
      runsShort: false,
    })
    for (let n = 0; n < 3; n += 1) {
      const id = await house.item({ ...NEW, name: `Weir ${n}` })
      await guess(id, 1, ago(150))
      await finish(id, ago(n))
    }
    const two = (await house.get('/look-back')).body.guesses.all
    expect(two).toMatchObject({ finished: 3, unfinished: 0, runsShort: true })
    // Guessed one month, took five: the factor leans from what people are like (2.5) towards 5.
    expect(two.factor).toBeGreaterThan(2.5)
    expect(two.factor).toBeLessThan(5)
    const running = await house.item({ ...NEW, name: 'Quay' })
    await guess(running, 1, ago(190))
    const more = (await house.get('/look-back')).body.guesses
    expect(more.all.unfinished).toBe(1)
    // One that still runs after six times its guess says that it is even more.
    expect(more.all.factor).toBeGreaterThan(two.factor)
    expect(more.each.filter((each: { finished: boolean }) => !each.finished)).toHaveLength(1)
  })
})

describe('forecasts that were shown', () => {
  test('are kept at a roll-in, at a reading and every four weeks; the first one in use is held against what came', async () => {
    const { journal, forecastKeeping } = house.services
    journal.listen((touched) => forecastKeeping.after(touched))
    house.setClock(new Date(2026, 10, 24, 12))
    const id = await house.item({ ...NEW, opened: opened(ago(100)) })
    await tally(id, every(2, 100))
    await house.post('/projects', { ...PROJECT, id: 'p' })
    await house.post('/projects/p/roll-in', { stayId: 's', itemId: id, day: TODAY, goal: GOAL })
    await weigh(id, 36)
    expect(forecastKeeping.due()).toBe(0)
    const why = async (): Promise<string[]> => (await forecast(id)).before.map((each) => each.why)
    expect((await why()).sort()).toEqual(['read', 'rolled in'])
    house.setClock(new Date(2026, 11, 22, 12))
    expect(forecastKeeping.due()).toBe(1)
    expect(forecastKeeping.due()).toBe(0)
    expect(await why()).toContain('four weeks')
    house.setClock(new Date(2027, 2, 4, 12))
    await house.post(`/items/${id}/finish`, {
      reviewId: 'v',
      day: addDays(TODAY, 100),
      wouldBuyAgain: 'no',
      words: '',
      packageGoes: null,
      empty: null,
    })
    const { forecasts } = (await house.get('/look-back')).body
    expect(forecasts.each).toMatchObject([{ itemId: id, madeOn: TODAY, finishedOn: addDays(TODAY, 100) }])
    // One is too few to say anything of.
    expect(forecasts.marks.map((each: { came: number | null }) => each.came)).toEqual([null, null, null])
    expect(forecasts.marks[0]).toMatchObject({ meant: 0.1, watched: 1 })
  })
})
