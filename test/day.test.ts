import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays, type Day } from '#core/calendar/day'
import type { TodayAnswer } from '#contract/today'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())
const today = async (day?: Day): Promise<TodayAnswer> => (await house.get(day ? `/today?day=${day}` : '/today')).body
const wear = (itemId: string, day: Day = TODAY, more: object = {}) =>
  house.post('/wear', { itemId, day, worn: true, ...more })
const UNSAID = { skin: null, clothes: null, minutes: null, occasion: null, hands: null, weather: null, note: null }
const range = (day: string) => ({ earliest: day as Day, latest: day as Day })

describe('a tick that the record speaks against is asked about, and not lost', () => {
  test('before it came: refused with the reason, and with her word the record gives way', async () => {
    const item = await house.item({ acquired: range('2026-11-10') })
    const asked = await wear(item, '2026-11-01' as Day)
    expect([asked.status, asked.body.code]).toEqual([422, 'worn-before-it-came'])
    expect((await wear(item, '2026-11-01' as Day, { despite: true })).status).toBe(200)
    expect((await house.get(`/items/${item}`)).body.item).toMatchObject({
      wears: 1,
      acquired: { earliest: '2026-11-01' },
    })
  })
  test('after it left: likewise, and it left on that day', async () => {
    const item = await house.item()
    await house.post(`/items/${item}/finish`, {
      reviewId: 'r',
      day: addDays(TODAY, -5),
      wouldBuyAgain: 'no',
      words: '',
      packageGoes: null,
    })
    expect((await wear(item)).body.code).toBe('item-gone')
    await wear(item, TODAY, { despite: true })
    expect((await house.get(`/items/${item}`)).body.item).toMatchObject({ wears: 1, endedOn: TODAY })
  })
  test('never a day that has not come', async () => {
    const item = await house.item()
    expect((await wear(item, addDays(TODAY, 1), { despite: true })).body.code).toBe('day-in-future')
  })
})

test('how the day is, in parts, with a note; what isn’t said stays unsaid', async () => {
  await house.post('/day', { day: TODAY, set: { skin: 'dry', occasion: 'gig', note: 'hoarse' }, was: UNSAID })
  expect((await today()).conditions).toEqual({ ...UNSAID, skin: 'dry', occasion: 'gig', note: 'hoarse' })
  await house.post('/no-makeup', { day: TODAY, noMakeup: true })
  expect((await today()).conditions.skin).toBe('dry')
  const wrong = await house.post('/day', { day: TODAY, set: { skin: 'green', minutes: 0 }, was: UNSAID })
  expect(wrong.body.errors.map((each: { field: string }) => each.field)).toEqual(['set.skin', 'set.minutes'])
})

test('how it was worn: as what, how much, how it felt, and mixed with what', async () => {
  const [a, b] = await Promise.all([
    house.item({ categoryId: 'foundation', form: 'pump' }),
    house.item({ categoryId: 'foundation', form: 'pump', shade: 'Moth' }),
  ])
  const details = { itemId: a, day: TODAY, usedAs: 'concealer', amount: 1.5, amountUnit: 'pumps', felt: 'patchy' }
  expect((await house.post('/wear-details', details)).body.code).toBe('not-worn')
  await wear(a)
  await wear(b)
  await house.post('/wear-details', details)
  await house.post('/mix', { mixId: 'm', day: TODAY, itemIds: [a, b], ratio: '2 to 1' })
  expect((await today()).worn).toMatchObject([
    {
      itemId: a,
      usedAs: 'concealer',
      amount: 1.5,
      amountUnit: 'pumps',
      felt: 'patchy',
      mix: { ratio: '2 to 1', itemIds: [a, b] },
    },
    { itemId: b, mix: { ratio: '2 to 1' } },
  ])
  const half = await house.post('/wear-details', { ...details, amountUnit: null })
  expect(half.body.errors[0].field).toBe('amount')
})

test('what is used as concealer makes no sunscreen a makeup day, and the other way round', async () => {
  const sunscreen = await house.item({ categoryId: 'sunscreen', form: 'tube' })
  await wear(sunscreen)
  expect((await house.post('/no-makeup', { day: TODAY, noMakeup: true })).status).toBe(200)
  await house.post('/wear-details', {
    itemId: sunscreen,
    day: TODAY,
    usedAs: 'primer',
    amount: null,
    amountUnit: null,
    felt: '',
  })
  await house.post('/no-makeup', { day: TODAY, noMakeup: false })
  expect((await house.post('/no-makeup', { day: TODAY, noMakeup: true })).body.code).toBe('makeup-worn')
})

test('the same as last time, as last such weekday, as last such occasion: each day once', async () => {
  const [a, b, c] = await Promise.all(['A', 'B', 'C'].map((shade) => house.item({ shade })))
  await wear(a ?? '', addDays(TODAY, -1))
  await wear(b ?? '', addDays(TODAY, -7))
  await wear(c ?? '', addDays(TODAY, -10))
  await house.post('/day', { day: addDays(TODAY, -10), set: { occasion: 'gig' }, was: UNSAID })
  await house.post('/day', { day: TODAY, set: { occasion: 'gig' }, was: UNSAID })
  expect((await today()).earlierLooks).toEqual([
    { like: 'last', day: addDays(TODAY, -1), itemIds: [a], gone: 0 },
    { like: 'weekday', day: addDays(TODAY, -7), itemIds: [b], gone: 0 },
    { like: 'occasion', day: addDays(TODAY, -10), itemIds: [c], gone: 0 },
  ])
})

test('a look is kept under a name and put on again; what has left is passed over', async () => {
  const [a, b] = await Promise.all(['A', 'B'].map((shade) => house.item({ shade })))
  await house.post('/saved-faces', { id: 'f', name: 'early shift', occasion: 'work', itemIds: [a, b] })
  await house.post(`/items/${b}/finish`, {
    reviewId: 'r',
    day: TODAY,
    wouldBuyAgain: 'no',
    words: '',
    packageGoes: null,
  })
  expect((await today()).savedLooks).toEqual([{ id: 'f', name: 'early shift', occasion: 'work', itemIds: [a] }])
  await house.post('/saved-faces/f/drop', {})
  expect((await today()).savedLooks).toEqual([])
})

test('held up and put back is a fact of its own: no wear, and said twice it is said once', async () => {
  const item = await house.item()
  await house.post('/put-back', { itemId: item, day: TODAY, putBack: true })
  const again = await house.post('/put-back', { itemId: item, day: TODAY, putBack: true })
  expect(again.body.change.changed).toBe(false)
  expect(await today()).toMatchObject({ putBack: [item], worn: [] })
  await house.post('/put-back', { itemId: item, day: TODAY, putBack: false })
  expect((await today()).putBack).toEqual([])
})

test('a suggestion sent away is back tomorrow', async () => {
  const item = await house.item({ opened: { kind: 'range', ...range('2026-01-01'), said: '2026' }, paoMonths: 12 })
  await house.post('/drawer/place', { placementId: 'pl', itemId: item, zoneId: 'cheeks' })
  const suggested = async () => (await today()).reachFor.map((each) => each.itemId)
  expect(await suggested()).toEqual([item])
  await house.post('/not-today', { itemId: item, day: TODAY, notToday: true })
  expect(await suggested()).toEqual([])
  house.setClock(new Date(2026, 10, 25, 12))
  expect(await suggested()).toEqual([item])
})

test('a lapsed sunscreen is never suggested: which one in date is where is said instead', async () => {
  const lapsed = await house.item({
    categoryId: 'sunscreen',
    form: 'tube',
    sunProtection: true,
    expiry: '2026-06-30' as Day,
  })
  await house.post('/drawer/place', { placementId: 'pl', itemId: lapsed, zoneId: 'complexion' })
  expect((await today()).sunscreen).toEqual({ elsewhere: null })
  const good = await house.item({
    categoryId: 'sunscreen',
    form: 'tube',
    sunProtection: true,
    expiry: '2027-12-31' as Day,
    shade: 'Awning',
    opened: { kind: 'unopened' },
  })
  expect(await today()).toMatchObject({ reachFor: [], sunscreen: { elsewhere: { id: good } } })
  await wear(good)
  expect((await today()).sunscreen).toBeNull()
})

test('a paper sheet is typed in as one change: what is there stays, two looks in a day are one wear', async () => {
  const [a, b] = await Promise.all(['A', 'B'].map((shade) => house.item({ shade, opened: { kind: 'unopened' } })))
  const days = [3, 2, 1].map((ago) => addDays(TODAY, -ago))
  await wear(a ?? '', days[1] ?? TODAY)
  const before = house.snapshot()
  const typed = await house.post('/tally-sheet', {
    rows: [
      { itemId: a, days: [...days, days[0]] },
      { itemId: b, days: [days[2]] },
    ],
  })
  expect(typed.body.added).toBe(3)
  expect((await house.get(`/items/${a}`)).body.item).toMatchObject({ wears: 3, lifecycle: 'open' })
  expect((await house.get(`/items/${b}`)).body.item.opening.within).toMatchObject({ earliest: days[2] })
  // A wrong tick is removed from the same sheet; what was never ticked is no matter.
  const ticked = house.snapshot()
  const fixed = await house.post('/tally-sheet', {
    rows: [{ itemId: b, days: [], unticked: [days[2], addDays(TODAY, -300)] }],
  })
  expect(fixed.body).toMatchObject({ added: 0, removed: 1 })
  expect((await house.get(`/items/${b}`)).body.item.wears).toBe(0)
  await house.post(`/changes/${fixed.body.change.id}/take-back`, {})
  expect(house.snapshot()).toBe(ticked)
  await house.post(`/changes/${typed.body.change.id}/take-back`, {})
  expect(house.snapshot()).toBe(before)
  const ahead = await house.post('/tally-sheet', { rows: [{ itemId: b, days: [days[0], addDays(TODAY, 2)] }] })
  expect(ahead.body.code).toBe('day-in-future')
  expect(house.snapshot()).toBe(before)
})
