import ICAL from 'ical.js'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays, addMonths } from '#core/calendar/day'
import { ago, every, GOAL, NEW, PROJECT, usesOn } from './support/long-used'
import { TestHouse, TODAY, type Answer } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

const answerOf = async (id: string) => (await house.get(`/items/${id}`)).body
const tally = (itemId: string, days: readonly number[]): Promise<Answer> =>
  house.post('/tally-sheet', usesOn(itemId, days))

describe('supply', () => {
  test('adds up by category: years at her pace, what expires before its turn, and what fewer would do', async () => {
    const [one] = [await house.item({ ...NEW, expiry: addDays(TODAY, 60), paoMonths: 24, priceMinor: 1200 })]
    await house.item({ ...NEW, name: 'Quay', expiry: addDays(TODAY, 4000), paoMonths: 120, priceMinor: 900 })
    await tally(one, every(1, 100))
    const { categories } = (await house.get('/supply')).body
    expect(categories).toHaveLength(1)
    const [blush] = categories
    // 100 uses on the 100 days of the log: 365 a year.
    expect(blush).toMatchObject({ category: 'blush', items: 2, perYear: 365 })
    expect(blush.years).toBeCloseTo(blush.uses / 365.25, 2)
    // Some 330 to 400 uses are left of the first, and 60 days.
    expect(blush.expiring.map((each: { itemId: string }) => each.itemId)).toEqual([one])
    // What is left of it in 60 days, not what is left now, nor its whole price.
    expect(blush.expiringPrice).toBe(Math.round(1200 * blush.expiring[0].left))
    expect(blush.expiring[0].left).toBeLessThan((await house.get(`/items/${one}`)).body.forecast.share.middle)
    expect(blush.keeping).toHaveLength(1)
    expect(blush.keeping[0]).toMatchObject({ items: 1, expiring: 0, expiringPrice: 0 })
    expect(blush.need.low <= blush.need.middle && blush.need.middle <= blush.need.high).toBe(true)
  })
  test('while nothing is ticked no pace is known, and nothing is said to expire; what isn’t worn in a log of weeks has none', async () => {
    await house.item({ ...NEW, expiry: addDays(TODAY, 60), priceMinor: 1200 })
    const [young] = (await house.get('/supply')).body.categories
    expect(young).toMatchObject({ perYear: null, years: null, need: null, expiring: [], expiringPrice: 0, keeping: [] })
    const lipstick = await house.item({ ...NEW, name: 'Sloe', categoryId: 'lipstick', form: 'bullet' })
    // Twelve wears within thirteen days are no fortnight yet.
    await tally(lipstick, every(1, 13, 2))
    const paceOf = async (category: string) =>
      (await house.get('/supply')).body.categories.find((each: { category: string }) => each.category === category)
    expect(await paceOf('lipstick')).toMatchObject({ worn: 12, perYear: null })
    await tally(lipstick, [14])
    expect((await paceOf('lipstick')).perYear).toBeGreaterThan(300)
    // What was never worn has none, however long the log.
    expect(await paceOf('blush')).toMatchObject({ worn: 0, perYear: null, expiringPrice: 0 })
  })
  test('what nobody knows the opening of is bounded by the latest it can have been, and what is expired is in no sum', async () => {
    const worn = await house.item({ ...NEW, opened: { kind: 'unknown' }, usesBefore: null, paoMonths: 24 })
    await tally(worn, every(2, 100))
    const gone = await house.item({ ...NEW, name: 'Quay', expiry: ago(5) })
    const [blush] = (await house.get('/supply')).body.categories
    expect(blush).toMatchObject({ items: 1, expired: 1 })
    expect(blush.expiring.map((each: { itemId: string }) => each.itemId)).not.toContain(gone)
    // Needed the day after at the latest.
    expect(blush.need.high).toBe(addDays(addMonths(ago(100), 24), 1))
  })
})

describe('before she commits', () => {
  const ask = (over: Record<string, string>): Promise<Answer> =>
    house.get(`/set-up?${new URLSearchParams({ kind: 'uses', target: '30', ...over }).toString()}`)
  test('the sum of what is asked stands against the days there are, with what would make it possible', async () => {
    const [one, two] = [await house.item(NEW), await house.item({ ...NEW, name: 'Quay' })]
    await tally(one, every(1, 120))
    await tally(two, every(2, 120))
    const by = addDays(TODAY, 39)
    const { body } = await ask({ items: `${one},${two}`, by })
    // Worn daily, and on every such day something of that zone: 40 days, today included.
    expect(body.kinds).toMatchObject([
      { category: 'blush', items: 2, already: 0, needed: { low: 60, middle: 60, high: 60 }, days: 40, fits: false },
    ])
    expect(body.kinds[0]).toMatchObject({ fewer: 1, usesEach: 20, counted: true, enoughOn: addDays(TODAY, 59) })
    expect(body.outlooks.map((each: { itemId: string }) => each.itemId).sort()).toEqual([one, two].sort())
    expect((await ask({ items: one, by })).body.kinds[0]).toMatchObject({ fits: true, enoughOn: null })
    // What the project holds already asks for its days too.
    await house.post('/projects', { ...PROJECT, id: 'p', by })
    await house.post('/projects/p/roll-in', {
      stayId: 's',
      itemId: two,
      day: TODAY,
      goal: { ...GOAL, target: 30, by: { kind: 'project' } },
    })
    expect((await ask({ items: one, by, project: 'p' })).body.kinds[0]).toMatchObject({ already: 1, fits: false })
  })
  test('without a date nothing has to add up; a question that is none is refused with its field', async () => {
    const id = await house.item(NEW)
    const { body } = await ask({ items: id })
    expect(body.kinds).toEqual([])
    expect(body.outlooks[0].chance).toBeNull()
    expect((await ask({ items: '' })).status).toBe(422)
    expect((await ask({ items: id, kind: 'everything' })).status).toBe(422)
    expect((await ask({ items: id, by: '2026-02-30' })).status).toBe(422)
    expect((await ask({ items: 'none' })).body).toMatchObject({ outlooks: [] })
  })
})

describe('the calendar file', () => {
  const text = async (): Promise<string> => (await fetch(`http://127.0.0.1:${house.port}/api/calendar.ics`)).text()
  const events = async () =>
    new ICAL.Component(ICAL.parse(await text()) as never)
      .getAllSubcomponents('vevent')
      .map((each) => new ICAL.Event(each))
      .map(({ uid, summary, startDate, endDate }) => ({ uid, summary, from: String(startDate), to: String(endDate) }))
  test('is read by another package: whole days, once each, under names that stay', async () => {
    const id = await house.item({ ...NEW, expiry: addDays(TODAY, 90), paoMonths: 36 })
    await house.post('/trials', { trialId: 't', itemId: id, wearsWanted: 3, dueOn: addDays(TODAY, 9), question: '' })
    await house.post('/projects', { ...PROJECT, id: 'p' })
    const found = await events()
    const by = (uid: string) => found.find((each) => each.uid.startsWith(uid))
    expect(by('last-good-')).toMatchObject({ from: addDays(TODAY, 90), to: addDays(TODAY, 91) })
    expect(by('last-good-')?.summary).toContain('Rust Bloom')
    expect(found.map((each) => each.from)).toContain(addDays(TODAY, 9))
    expect(found.map((each) => each.from)).toContain(addDays(TODAY, 60))
    expect(new Set(found.map((each) => each.uid)).size).toBe(found.length)
    const before = await text()
    await house.restart()
    expect(await text()).toBe(before)
    // A day that moves keeps its name, so that a calendar moves it too.
    const { item } = await answerOf(id)
    await house.put(`/items/${id}`, {
      version: item.version,
      fields: { ...(await fieldsOf(id)), expiry: addDays(TODAY, 80) },
    })
    const moved = (await events()).find((each) => each.uid === by('last-good-')?.uid)
    expect(moved?.from).toBe(addDays(TODAY, 80))
  })
  test('of an empty collection it is a calendar without a day', async () => {
    expect((await events()).filter((each) => each.uid.startsWith('last-good'))).toEqual([])
  })

  async function fieldsOf(id: string): Promise<object> {
    const { FIELDS } = await import('./support/fields')
    const { item } = await answerOf(id)
    return { ...FIELDS, ...NEW, expiry: item.expiry, paoMonths: item.paoMonths }
  }
})
