import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { addDays } from '#core/calendar/day'
import { Random } from '#demo/random'
import { openDatabase } from '#server/db/open-database'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

test('a repeated command returns its first answer and does nothing, also after an undo', async () => {
  const itemId = await house.item()
  const body = { changeId: 'tick', itemId, day: TODAY, worn: true, partIds: [] }
  const first = await house.request('POST', '/wear', JSON.stringify(body))
  expect(await house.request('POST', '/wear', JSON.stringify(body))).toEqual(first)
  await house.post('/changes/tick/take-back', {})
  expect(await house.request('POST', '/wear', JSON.stringify(body))).toEqual(first)
  expect((await house.get('/today')).body.worn).toEqual([])
})

test('one change id stands for one act', async () => {
  const itemId = await house.item()
  await house.request('POST', '/wear', JSON.stringify({ changeId: 'x', itemId, day: TODAY, worn: true }))
  const other = await house.request('POST', '/wear', JSON.stringify({ changeId: 'x', itemId, day: TODAY, worn: false }))
  expect([other.status, other.body.code]).toEqual([409, 'change-id-reused'])
})

test('a state that is there already changes nothing and is not listed', async () => {
  const itemId = await house.item()
  await house.post('/wear', { itemId, day: TODAY, worn: true })
  const again = await house.post('/wear', { itemId, day: TODAY, worn: true })
  expect(again.body.change.changed).toBe(false)
  expect((await house.get('/changes')).body.changes).toHaveLength(2)
})

test('what later changes stand on is taken back with them, or not at all', async () => {
  const itemId = await house.item()
  const added = (await house.get('/changes')).body.changes[0].id as string
  const bare = house.snapshot()
  await house.post('/wear', { itemId, day: TODAY, worn: true })
  await house.post('/drawer/place', { placementId: 'p', itemId, zoneId: 'cheeks' })
  const full = house.snapshot()
  const refused = await house.post(`/changes/${added}/take-back`, {})
  expect([refused.status, refused.body.code]).toEqual([409, 'later-changes-stand-on-it'])
  expect(refused.body.detail).toContain('Rust Bloom worn')
  expect(house.snapshot()).toBe(full)
  const all = await house.post(`/changes/${added}/take-back`, { withLater: true })
  expect(all.body.takenBack).toHaveLength(3)
  expect((await house.get('/collection')).body.items).toEqual([])
  // Taking the undo back brings all of it again.
  await house.post(`/changes/${all.body.change.id}/take-back`, {})
  expect(house.snapshot()).toBe(full)
  expect(full).not.toBe(bare)
})

test('a change taken back before is refused, an unknown one is not found', async () => {
  await house.item()
  const added = (await house.get('/changes')).body.changes[0].id as string
  await house.post(`/changes/${added}/take-back`, {})
  expect((await house.post(`/changes/${added}/take-back`, {})).body.code).toBe('already-undone')
  expect((await house.post('/changes/nobody/take-back', {})).status).toBe(404)
})

test('random acts, each taken back and redone at random, always return to the state they left', async () => {
  const seed = 4711
  const random = new Random(seed)
  const items = [
    await house.item(),
    await house.item({ shade: 'Fig', name: 'Fig' }),
    await house.item({ shade: 'Oat', name: 'Oat' }),
  ]
  const undoable: { id: string; before: string }[] = []
  for (let n = 0; n < 120; n += 1) {
    const before = house.snapshot()
    const itemId = random.pick(items)
    const day = addDays(TODAY, -random.whole(0, 3))
    const acts: (() => ReturnType<TestHouse['post']>)[] = [
      () => house.post('/wear', { itemId, day, worn: random.chance(0.6) }),
      () => house.post('/face', { day, itemIds: items }),
      () => house.post('/no-makeup', { day, noMakeup: random.chance(0.5) }),
      () =>
        house.post('/drawer/place', { placementId: house.id('pl'), itemId, zoneId: random.pick(['cheeks', 'lips']) }),
      () => house.post('/drawer/take-out', { itemId }),
      () =>
        house.post(`/items/${itemId}/readings`, {
          id: house.id('m'),
          partId: null,
          reading: { kind: 'stage', stage: 'dip', day },
        }),
    ]
    const last = undoable.at(-1)
    if (last && random.chance(0.4)) {
      const undo = await house.post(`/changes/${last.id}/take-back`, {})
      expect(house.snapshot(), `seed ${seed}, step ${n}`).toBe(last.before)
      if (random.chance(0.3)) {
        await house.post(`/changes/${undo.body.change.id}/take-back`, {})
        expect(house.snapshot(), `seed ${seed}, step ${n}, redo`).toBe(before)
      } else undoable.pop()
      continue
    }
    const answer = await random.pick(acts)()
    if (answer.status === 200 && answer.body.change.changed)
      undoable.push({ id: answer.body.change.id as string, before })
    else expect(house.snapshot(), `seed ${seed}, step ${n}`).toBe(before)
  }
  expect(undoable.length).toBeGreaterThan(5)
})

test('a write outside a change is refused by the database itself', () => {
  expect(() => house.db.exec("UPDATE zone SET name = 'x'")).toThrow('write outside a change')
})

test('a collection written by a newer version is refused with words, unharmed', () => {
  const file = join(mkdtempSync(join(tmpdir(), 'seligo-newer-')), 'collection.db')
  openDatabase(file, { appliedAt: 'x' }).close()
  const raw = new Database(file)
  raw.prepare("INSERT INTO migration VALUES (999, '0999_later.sql', 'h', 'x')").run()
  raw.close()
  expect(() => openDatabase(file, { appliedAt: 'x' })).toThrow('newer Seligo')
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
