import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { packItems, unpackItems } from '#contract/packed-items'
import type { Day } from '#core/calendar/day'
import { dayNow, nextRollOver } from '#server/context'
import { FIELDS, shadeFields } from './support/fields'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

describe('every answer says her day and when the next one begins', () => {
  test('a read, a refusal and a command alike', async () => {
    for (const answer of [
      await house.get('/fronts'),
      await house.get('/items/none'),
      await house.post('/no-makeup', {}),
    ]) {
      expect(answer.headers.get('Seligo-Day')).toBe(TODAY)
      const ends = new Date(answer.headers.get('Seligo-Day-Ends') ?? '')
      expect(dayNow(ends, 4) > TODAY).toBe(true)
      expect(dayNow(new Date(ends.getTime() - 1000), 4)).toBe(TODAY)
    }
  })

  test.each([
    ['2026-11-24T21:00:00', 4, '2026-11-25T04:00:00'],
    ['2026-11-24T03:59:59', 4, '2026-11-24T04:00:00'],
    ['2026-11-24T04:00:00', 4, '2026-11-25T04:00:00'],
    ['2026-12-31T12:00:00', 0, '2027-01-01T00:00:00'],
  ])('at %s with a day that begins at %i it is %s', (now, hour, expected) => {
    expect(nextRollOver(new Date(now), hour)).toEqual(new Date(expected))
  })
})

test('a list that is packed comes back as it was, whatever is in it', async () => {
  await house.item({ ...FIELDS, shade: 'Plain', colour: null, maker: '' })
  const used = await house.item({ ...FIELDS, shade: 'Used', notes: 'x', liking: 4, content: { amount: 5, unit: 'g' } })
  await house.post('/wear', { itemId: used, day: TODAY, worn: true })
  await house.post('/drawer/place', { placementId: 'p', itemId: used, zoneId: 'cheeks' })
  const palette = await house.item({
    ...FIELDS,
    shade: 'Many',
    parts: [shadeFields('m', 'Moss'), shadeFields('b', 'Bark', 2)],
  })
  await house.post(`/items/${palette}/sign`, { day: TODAY, words: 'grainy' })
  const items = await house.listed()
  expect(items).toHaveLength(3)
  expect(unpackItems(packItems(items))).toEqual(items)
  // What is listed of a thing is what its own page says of it.
  for (const item of items) {
    const { item: whole } = (await house.get(`/items/${item.id}`)).body
    expect(whole).toMatchObject(item)
  }
})

test('after ticks one small question brings the day up to date', async () => {
  const ids = await Promise.all(['A', 'B', 'C'].map((shade) => house.item({ ...FIELDS, shade })))
  for (const [n, itemId] of ids.entries())
    await house.post('/drawer/place', { placementId: `p${n}`, itemId, zoneId: 'cheeks' })
  await house.post('/wear', { itemId: ids[1], day: TODAY, worn: true })
  const after = (await house.get(`/day-after-ticks?day=${TODAY}&items=${ids[1]}`)).body
  const whole = (await house.get('/today')).body
  expect(after.items).toEqual(whole.items.filter((item: { id: string }) => item.id === ids[1]))
  for (const key of ['worn', 'noMakeup', 'reachFor', 'conditions', 'putBack', 'notToday', 'sunscreen'])
    expect(after[key], key).toEqual(whole[key])
  expect(after.fronts).toEqual((await house.get('/fronts')).body)
  expect((await house.get('/day-after-ticks?day=2030-01-01')).body.code).toBe('day-in-future')
})

test('kept words name items as they are called today, and days as days', async () => {
  const itemId = await house.item({ ...FIELDS, shade: 'Ruts Bloom' })
  const yesterday = '2026-11-23' as Day
  await house.post('/wear', { itemId, day: yesterday, worn: true })
  const { item } = (await house.get(`/items/${itemId}`)).body
  await house.put(`/items/${itemId}`, { version: item.version, fields: { ...FIELDS, shade: 'Rust Bloom' } })
  const { changes } = (await house.get('/changes')).body as { changes: { words: string }[] }
  expect(changes.map((change) => change.words)).toEqual([
    'Changed Pellwick Rust Bloom blush',
    'Pellwick Rust Bloom blush worn on ⟦day:2026-11-23⟧',
    'Added Pellwick Rust Bloom blush',
  ])
})

test.each(['/today?day=1999-99-99', '/day-after-ticks?day=', '/today?day=2026-02-29'])(
  'what is no day isn’t called a day to come: %s',
  async (path) => {
    const { status, body } = await house.get(path)
    expect([status, body.detail]).toEqual([422, expect.stringContaining('isn’t a day')])
  },
)
