import { afterEach, beforeEach, expect, test } from 'vitest'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

test('a repeated command returns its first answer and does nothing, also after an undo', async () => {
  const itemId = await house.item()
  const body = { changeId: 'tick', itemId, day: TODAY, worn: true, partIds: [] }
  // Not its headers: they tell the second it was sent.
  const send = async () => {
    const { status, body: answer } = await house.request('POST', '/wear', JSON.stringify(body))
    return { status, answer }
  }
  const first = await send()
  expect(await send()).toEqual(first)
  await house.post('/changes/tick/take-back', {})
  expect(await send()).toEqual(first)
  expect((await house.get('/today')).body.worn).toEqual([])
})

test('one change id stands for one act', async () => {
  const itemId = await house.item()
  await house.request('POST', '/wear', JSON.stringify({ changeId: 'x', itemId, day: TODAY, worn: true }))
  const other = await house.request('POST', '/wear', JSON.stringify({ changeId: 'x', itemId, day: TODAY, worn: false }))
  expect([other.status, other.body.code]).toEqual([409, 'change-id-reused'])
})

test('a state that is there already changes nothing and isn’t listed', async () => {
  const itemId = await house.item()
  await house.post('/wear', { itemId, day: TODAY, worn: true })
  const again = await house.post('/wear', { itemId, day: TODAY, worn: true })
  expect(again.body.change.changed).toBe(false)
  expect((await house.get('/changes')).body.changes).toHaveLength(2)
})

test('what later changes stand on is undone with them, or not at all', async () => {
  const itemId = await house.item()
  const added = (await house.get('/changes')).body.changes[0].id as string
  const bare = house.snapshot()
  await house.post('/wear', { itemId, day: TODAY, worn: true })
  await house.post('/drawer/place', { placementId: 'p', itemId, zoneId: 'cheeks' })
  const full = house.snapshot()
  const refused = await house.post(`/changes/${added}/take-back`, {})
  expect([refused.status, refused.body.code]).toEqual([409, 'later-changes-stand-on-it'])
  expect(refused.body.detail).toContain('Pellwick Rust Bloom blush worn')
  expect(house.snapshot()).toBe(full)
  const all = await house.post(`/changes/${added}/take-back`, { withLater: true })
  expect(all.body.takenBack).toHaveLength(3)
  expect(await house.listed()).toEqual([])
  // Taking the undo back brings all of it again.
  await house.post(`/changes/${all.body.change.id}/take-back`, {})
  expect(house.snapshot()).toBe(full)
  expect(full).not.toBe(bare)
})

test('a change undone before is refused, an unknown one isn’t found', async () => {
  await house.item()
  const added = (await house.get('/changes')).body.changes[0].id as string
  await house.post(`/changes/${added}/take-back`, {})
  expect((await house.post(`/changes/${added}/take-back`, {})).body.code).toBe('already-undone')
  expect((await house.post('/changes/nobody/take-back', {})).status).toBe(404)
})

test('a write outside a change is refused by the database itself', () => {
  expect(() => house.db.exec("UPDATE zone SET name = 'x'")).toThrow('write outside a change')
})

test('an edit of a stale version gets both values', async () => {
  const itemId = await house.item()
  const { item } = (await house.get(`/items/${itemId}`)).body
  const { FIELDS } = await import('./support/test-house')
  expect(
    (await house.put(`/items/${itemId}`, { version: item.version, fields: { ...FIELDS, notes: 'theirs' } })).status,
  ).toBe(200)
  const stale = await house.put(`/items/${itemId}`, { version: item.version, fields: { ...FIELDS, notes: 'mine' } })
  expect([stale.status, stale.body.code, stale.body.current.notes]).toEqual([409, 'stale', 'theirs'])
})

test('an edit that is undone leaves a version two further, from which a form goes on', async () => {
  const itemId = await house.item()
  const { FIELDS } = await import('./support/test-house')
  const edit = (version: number, notes: string) =>
    house.put(`/items/${itemId}`, { version, fields: { ...FIELDS, notes } })
  const { item } = (await house.get(`/items/${itemId}`)).body
  const first = await edit(item.version, 'first')
  expect((await house.post(`/changes/${first.body.change.id}/take-back`, {})).status).toBe(200)
  expect((await edit(item.version + 1, 'second')).status).toBe(409)
  expect((await edit(item.version + 2, 'second')).status).toBe(200)
  expect((await house.get(`/items/${itemId}`)).body.item.notes).toBe('second')
})
