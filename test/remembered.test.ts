import { afterEach, beforeEach, expect, test } from 'vitest'
import type { Day } from '#core/calendar/day'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

test('a refused act leaves nothing in memory of what it had begun', async () => {
  const id = await house.item({ shade: 'Rust' })
  const stock = house.services.stock
  const before = stock.one(id, TODAY)
  // The second stay is refused after the first was written: the whole is rolled back.
  await house.post('/projects', {
    id: 'p',
    name: 'P',
    startedOn: TODAY,
    by: null,
    finishesWanted: null,
    rules: '',
    mostItems: 1,
  })
  const goal = { kind: 'uses', target: 5, headStart: 0, by: { kind: 'none' } }
  const other = await house.item({ shade: 'Fig' })
  const refused = await house.post('/projects/p/roll-in-many', {
    day: TODAY,
    goal,
    stays: [
      { stayId: 'a', itemId: id },
      { stayId: 'b', itemId: other },
    ],
  })
  expect(refused.status).toBe(409)
  expect(stock.one(id, TODAY)).toEqual(before)
})

test('at midnight of her clock everything is read anew', async () => {
  const id = await house.item({
    opened: { kind: 'range', earliest: '2025-11-24' as Day, latest: '2025-11-24' as Day, said: '' },
    paoMonths: 12,
  })
  const left = async (): Promise<number> => (await house.get(`/items/${id}`)).body.item.shelfLife.daysLeft
  expect(await left()).toBe(0)
  house.setClock(new Date(2026, 10, 25, 12))
  expect(await left()).toBe(-1)
})

test('what counts as makeup changes the learned week, and with it every goal in one answer', async () => {
  const id = await house.item({ categoryId: 'lip-balm', form: 'jar', shade: 'Balm' })
  const worked = await house.item({ shade: 'Rust' })
  const { addDays } = await import('#core/calendar/day')
  for (let ago = 1; ago <= 60; ago += 1)
    await house.post('/wear', { itemId: id, day: addDays(TODAY, -ago), worn: true })
  const project = { id: 'p', name: 'P', startedOn: TODAY, by: addDays(TODAY, 30), finishesWanted: null, rules: '' }
  await house.post('/projects', project)
  const goal = { kind: 'uses', target: 12, headStart: 0, by: { kind: 'project' } }
  await house.post('/projects/p/roll-in', { stayId: 's', itemId: worked, day: TODAY, goal })
  const standings = async (): Promise<string[]> => [
    (await house.get(`/items/${worked}`)).body.item.goal.standing,
    (await house.get('/projects')).body.projects[0].stays[0].goal.standing,
    (await house.get('/projects')).body.projects[0].stays[0].item.goal.standing,
  ]
  // Sixty days of balm are no day of makeup: nothing can be met.
  expect(await standings()).toEqual(['out of reach', 'out of reach', 'out of reach'])
  const fields = { makeup: true, zoneId: 'lips', usualForm: 'jar', modelType: 'lip balm', eye: false, lip: true }
  await house.put('/categories/lip-balm', { name: 'lip balm', ...fields })
  expect(await standings()).toEqual(['on pace', 'on pace', 'on pace'])
  // The item alone, worn as something else, does the same.
  await house.put('/categories/lip-balm', { name: 'lip balm', ...fields, makeup: false })
  await house.post('/edit-many', { itemIds: [id], set: { usedAs: 'lip-gloss' } })
  expect(await standings()).toEqual(['on pace', 'on pace', 'on pace'])
})
