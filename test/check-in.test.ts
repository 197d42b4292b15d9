import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays, type Day } from '#core/calendar/day'
import type { CheckInAnswer, StepView } from '#contract/check-in'
import { TestHouse, TODAY, type Answer } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())
const ago = (days: number): Day => addDays(TODAY, -days)
const at = (days: number): void => house.setClock(new Date(`${ago(days)}T12:00:00`))
const one = async (id: string): Promise<CheckInAnswer> => (await house.get(`/check-ins/${id}`)).body
const begin = (id: string, itemIds: string[]): Promise<Answer> =>
  house.post('/check-ins', {
    id,
    name: `Monthly update ${id}`,
    over: 'chosen',
    projectId: null,
    categoryId: null,
    itemIds,
    way: 'item by item',
  })
const stepOf = async (id: string, itemId: string, measure: string): Promise<StepView> => {
  const found = (await one(id)).steps.find((step) => step.itemId === itemId && step.measure === measure)
  if (!found) throw new Error(`no ${measure}`)
  return found
}
const take = (id: string, step: StepView, over: object = {}): Promise<Answer> =>
  house.post(`/check-ins/${id}/steps/${step.id}`, { version: step.version, state: 'done', ...over })
const weighed = (grams: number, day: Day = TODAY) => ({
  readings: [{ id: house.id('r'), partId: null, reading: { kind: 'gross', grams, resolution: 0.1, day } }],
})
const weigh = async (id: string, itemId: string, grams: number, day: Day = TODAY): Promise<Answer> =>
  take(id, await stepOf(id, itemId, 'weigh'), weighed(grams, day))
const close = async (id: string, day: Day = TODAY): Promise<Answer> =>
  house.post(`/check-ins/${id}/close`, { version: (await one(id)).checkIn.version, day })
const OLD = { usesBefore: 0, acquired: { earliest: ago(300), latest: ago(300) }, opened: { kind: 'unknown' as const } }

test('asks each item what its form shows, and what is over or shut isn’t asked', async () => {
  const pan = await house.item(OLD)
  const tube = await house.item({ ...OLD, name: 'Low Tide', form: 'tube', categoryId: 'primer' })
  const opaque = await house.item({ ...OLD, name: 'Quay', form: 'tube', categoryId: 'primer', opaque: true })
  const shut = await house.item({ ...OLD, name: 'Shut', opened: { kind: 'unopened' } })
  await house.post('/check-ins', {
    id: 'c',
    name: 'All',
    over: 'category',
    projectId: null,
    categoryId: 'primer',
    way: 'item by item',
  })
  expect((await one('c')).items.map((item) => item.id).sort()).toEqual([tube, opaque].sort())
  await begin('d', [pan, tube, opaque, shut])
  const asked = (await one('d')).steps.filter((step) => step.itemId === pan).map((step) => step.measure)
  expect(asked).toEqual(['weigh', 'photo', 'words'])
  expect((await one('d')).steps.filter((step) => step.itemId === opaque).map((step) => step.measure)).toEqual([
    'weigh',
    'look',
    'words',
  ])
  const nothing = await house.post('/check-ins', {
    id: 'e',
    name: 'None',
    over: 'drawer',
    projectId: null,
    categoryId: null,
    way: 'item by item',
  })
  expect(nothing.body.code).toBe('check-in-of-nothing')
})

describe('two in a row', () => {
  async function twoSheets(): Promise<{ a: string; b: string }> {
    const a = await house.item({ ...OLD, content: { amount: 9, unit: 'g' } })
    const b = await house.item({ ...OLD, name: 'Other' })
    at(30)
    await begin('first', [a, b])
    await weigh('first', a, 44.6, ago(30))
    await take('first', await stepOf('first', a, 'words'), { words: 'finally a dent' })
    await take('first', await stepOf('first', b, 'weigh'), { state: 'skipped' })
    expect((await close('first', ago(30))).status).toBe(200)
    at(0)
    for (const day of [25, 20, 4]) await house.post('/wear', { itemId: a, day: ago(day), worn: true })
    await begin('second', [a, b])
    await weigh('second', a, 44)
    return { a, b }
  }

  test('the sheet tells grams, uses and wear days since the last one, and what she said then', async () => {
    const { a, b } = await twoSheets()
    const { sheet, saidBefore } = await one('second')
    const [first, other] = [a, b].map((id) => sheet.items.find((line) => line.itemId === id))
    expect(sheet.from).toBe(ago(30))
    expect(first).toMatchObject({
      uses: 3,
      grams: { giveOrTake: 0.1 },
      before: { gross: { grams: 44.6 } },
      after: { gross: { grams: 44 } },
    })
    expect(first?.grams?.grams).toBeCloseTo(0.6, 10)
    expect(other).toMatchObject({ uses: 0, grams: null, after: null })
    expect(sheet.totals).toMatchObject({ uses: 3, weighed: 1, looked: 1, asked: 2, wearDays: 3, finished: 0 })
    expect(saidBefore[a]).toEqual({ day: ago(30), words: 'finally a dent' })
  })

  test('closed, it stays as it stood; what is corrected later is marked on it', async () => {
    const { a } = await twoSheets()
    expect((await close('second')).status).toBe(200)
    const before = await one('second')
    const reading = before.sheet.items.find((line) => line.itemId === a)?.after?.gross
    await house.put(`/readings/${reading?.id ?? ''}`, {
      version: 1,
      reading: { kind: 'gross', grams: 43.8, resolution: 0.1, day: TODAY },
    })
    await house.post('/wear', { itemId: a, day: ago(2), worn: true })
    const after = await one('second')
    expect(after.sheet).toEqual(before.sheet)
    expect(after.corrections).toMatchObject([{ itemId: a, readingId: reading?.id, now: { value: 43.8 } }])
    // The next one goes on from it.
    at(-30)
    await begin('third', [a])
    expect((await one('third')).sheet).toMatchObject({ from: TODAY, previous: { uses: 3 } })
  })

  test('an event is told on the sheet, and another package tells no grams', async () => {
    const { a } = await twoSheets()
    const event = {
      id: 'e',
      partId: null,
      checkInId: 'second',
      day: ago(10),
      kind: 'repressed',
      grams: null,
      share: null,
      containerId: null,
      words: '',
    }
    await house.post(`/items/${a}/events`, event)
    const line = (await one('second')).sheet.items.find((each) => each.itemId === a)
    expect(line).toMatchObject({ events: [{ kind: 'repressed' }], grams: null })
  })
})

describe('in two windows', () => {
  test('a step taken in one isn’t taken over in the other, and nothing is saved twice', async () => {
    const a = await house.item(OLD)
    await begin('c', [a])
    const step = await stepOf('c', a, 'weigh')
    expect((await take('c', step, weighed(44))).status).toBe(200)
    const late = await take('c', step, weighed(45))
    expect([late.status, late.body.code]).toEqual([409, 'stale'])
    expect((await house.get(`/items/${a}`)).body.readings).toHaveLength(1)
  })
  test('one that was closed in the other takes no more', async () => {
    const a = await house.item(OLD)
    await begin('c', [a])
    const words = await stepOf('c', a, 'words')
    await weigh('c', a, 44)
    await close('c')
    expect((await take('c', words, { words: 'late' })).body.code).toBe('check-in-closed')
    const into = {
      id: 'r9',
      partId: null,
      checkInId: 'c',
      reading: { kind: 'gross', grams: 40, resolution: 0.1, day: TODAY },
    }
    expect((await house.post(`/items/${a}/readings`, into)).body.code).toBe('check-in-closed')
  })
})

test('nothing looked at is no sheet; given up, its readings stay with the items', async () => {
  const a = await house.item(OLD)
  await begin('c', [a])
  expect((await close('c')).body.code).toBe('nothing-looked-at')
  await weigh('c', a, 44)
  expect((await house.post('/check-ins/c/drop', {})).status).toBe(200)
  expect((await house.get(`/items/${a}`)).body.readings).toMatchObject([{ value: 44, checkInId: null }])
  expect((await house.get('/check-ins')).body.checkIns).toEqual([])
})

test('a refused reading refuses the whole step; the front of the chest tells how far it is', async () => {
  const a = await house.item(OLD)
  await begin('c', [a])
  const step = await stepOf('c', a, 'weigh')
  expect((await take('c', step, weighed(44, addDays(TODAY, 2)))).status).toBe(422)
  expect((await stepOf('c', a, 'weigh')).state).toBe('asked')
  await weigh('c', a, 44)
  expect((await house.get('/fronts')).body).toMatchObject({ checkIn: { items: 1, done: 1 } })
  await close('c')
  expect((await house.get('/fronts')).body).toMatchObject({ checkIn: null })
})
