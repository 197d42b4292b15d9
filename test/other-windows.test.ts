import { addDays } from '#core/calendar/day'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { FIELDS, TestHouse, TODAY, type Answer } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

const UNSAID = { skin: null, clothes: null, minutes: null, occasion: null, hands: null, weather: null, note: null }
const said = ({ status, body }: Answer): unknown[] => [status, body.code]
const CATEGORY = { makeup: true, zoneId: 'eyes', usualForm: 'pot', modelType: 'other', eye: true, lip: false }
const GOAL = { kind: 'uses', target: 10, headStart: 0, by: { kind: 'none' } }

describe('what another window saved is never written over in silence', () => {
  test('the record of a day: only what changed is sent, and where both changed the same it is asked', async () => {
    const day = (set: object, was: object) => house.post('/day', { day: TODAY, set, was: { ...UNSAID, ...was } })
    await day({ note: 'from this window' }, {})
    // The other window knew nothing of the note, and changes something else.
    expect((await day({ occasion: 'gig' }, {})).status).toBe(200)
    const { conditions } = (await house.get('/today')).body
    expect(conditions).toMatchObject({ note: 'from this window', occasion: 'gig' })
    const over = await day({ note: 'from the other' }, {})
    expect(said(over)).toEqual([409, 'stale'])
    expect(over.body.current).toMatchObject({ note: 'from this window' })
    expect((await day({ note: 'from the other' }, { note: 'from this window' })).status).toBe(200)
  })

  test('a zone, and a category', async () => {
    const zone = (slots: number) => house.put('/zones/cheeks', { name: 'Cheeks', slots, version: 1 })
    expect((await zone(5)).status).toBe(200)
    expect(said(await zone(6))).toEqual([409, 'stale'])
    const category = (name: string) => house.put('/categories/glitter', { ...CATEGORY, name, version: 1 })
    await house.post('/categories', { id: 'glitter', ...CATEGORY, name: 'Glitter' })
    expect((await category('Sparkle')).status).toBe(200)
    expect(said(await category('Spangle'))).toEqual([409, 'stale'])
  })

  test('how it was worn, the goal of a stay, and the answer of an ask', async () => {
    const [a, b] = [await house.item(), await house.item({ shade: 'Other' })]
    await house.post('/wear', { itemId: a, day: TODAY, worn: true })
    const details = {
      itemId: a,
      day: TODAY,
      usedAs: null,
      amount: null,
      amountUnit: null,
      felt: 'patchy',
    }
    const first = await house.post('/wear-details', { ...details, version: 1 })
    expect(first.body.errors ?? []).toEqual([])
    expect(said(await house.post('/wear-details', { ...details, felt: 'fine', version: 1 }))).toEqual([409, 'stale'])

    await house.post('/projects', {
      id: 'p',
      name: 'p',
      startedOn: addDays(TODAY, -9),
      by: null,
      finishesWanted: null,
      rules: '',
    })
    await house.post('/projects/p/roll-in', { stayId: 's', itemId: a, day: TODAY, goal: GOAL })
    const goal = (target: number) => house.put('/stays/s/goal', { goal: { ...GOAL, target }, version: 1 })
    expect((await goal(12)).status).toBe(200)
    expect(said(await goal(15))).toEqual([409, 'stale'])

    await house.post('/look-back/asks', { id: 'ask', version: null, question: 'Which?', itemIds: [a, b] })
    const answer = (words: string) =>
      house.post('/look-back/asks/ask/answer', { answer: words, chosenItemId: null, version: 1 })
    expect((await answer('the first')).status).toBe(200)
    expect(said(await answer('the second'))).toEqual([409, 'stale'])
  })

  test('an act that was made for another collection isn’t saved in this one', async () => {
    const id = await house.item()
    const body = JSON.stringify({ changeId: 'c', itemId: id, day: TODAY, worn: true })
    const other = await house.request('POST', '/wear', body, { 'Seligo-Collection': 'another-one' })
    expect(said(other)).toEqual([409, 'other-collection'])
    const { headers } = await house.get('/today')
    const own = await house.request('POST', '/wear', body, {
      'Seligo-Collection': headers.get('seligo-collection') ?? '',
    })
    expect(own.status).toBe(200)
  })
})

describe('in the drawer', () => {
  test('what stands beside can be given a slot of its own zone', async () => {
    const id = await house.item()
    await house.post('/drawer/place', { placementId: 'one', itemId: id, zoneId: 'cheeks', beside: true })
    const moved = await house.post('/drawer/place', { placementId: 'two', itemId: id, zoneId: 'cheeks', beside: false })
    expect(moved.status).toBe(200)
    expect((await house.get(`/items/${id}`)).body.item.placement).toMatchObject({ zoneId: 'cheeks', beside: false })
  })

  test('when her day moves back, moving and laying are no mistake', async () => {
    const [a, b] = [await house.item(), await house.item({ shade: 'Other' })]
    for (const [n, id] of [a, b].entries())
      await house.post('/drawer/place', { placementId: `p${n}`, itemId: id, zoneId: 'cheeks', beside: false })
    house.setClock(new Date(2026, 10, 23, 12))
    const moved = await house.post('/drawer/place', { placementId: 'm', itemId: a, zoneId: 'lips', beside: false })
    expect(moved.status).toBeLessThan(500)
    const laid = await house.post('/drawer/lay-many', {
      placements: [
        { placementId: 'l1', itemId: a, zoneId: 'cheeks' },
        { placementId: 'l2', itemId: b, zoneId: 'lips' },
      ],
    })
    expect(laid.status).toBeLessThan(500)
    expect(
      house.services.drawer
        .zones()
        .flatMap((zone) => zone.itemIds)
        .filter((id) => id === a),
    ).toHaveLength(1)
  })

  test('a laying that is under way can be given up: its choices go, nothing moves, and it can be undone', async () => {
    const id = await house.item()
    await house.post('/drawer/place', { placementId: 'p', itemId: id, zoneId: 'cheeks', beside: false })
    await house.post('/laying', { id: 'l', season: 'winter' })
    await house.post('/laying/l/choose', { itemId: id, choice: 'stays', until: null })
    const before = house.snapshot()
    const given = await house.post('/laying/l/drop', {})
    expect(given.status).toBe(200)
    expect((await house.get('/laying')).body.seasonChange).toBeNull()
    expect((await house.get(`/items/${id}`)).body.item.placement).not.toBeNull()
    expect(said(await house.post('/laying/l/drop', {}))).toEqual([409, 'no-laying'])
    await house.post(`/changes/${given.body.change.id}/take-back`, {})
    expect(house.snapshot()).toBe(before)
  })

  test('the season is that of her half of the earth', async () => {
    expect((await house.get('/laying')).body.season).toBe('winter')
    const { settings } = (await house.get('/settings')).body
    const set = await house.put('/settings', { version: 0, settings: { ...settings, hemisphere: 'south' } })
    expect(set.body.errors ?? []).toEqual([])
    expect((await house.get('/laying')).body.season).toBe('summer')
  })
})

test('what was used up in a blend leaves its project, also where leaving isn’t allowed, and frees its place', async () => {
  const [a, b] = [await house.item(), await house.item({ shade: 'Other' })]
  await house.post('/projects', {
    id: 'p',
    name: 'p',
    startedOn: addDays(TODAY, -9),
    by: null,
    finishesWanted: null,
    rules: '',
  })
  await house.post('/projects/p/roll-in', { stayId: 's', itemId: a, day: addDays(TODAY, -5), goal: GOAL })
  const parent = (itemId: string, n: number) => ({
    id: `b${n}`,
    itemId,
    eventId: `e${n}`,
    grams: null,
    share: 0.5,
    usedUp: true,
  })
  const made = await house.post('/blends', {
    id: 'blend',
    day: TODAY,
    fields: { ...FIELDS, name: 'Both', usesBefore: 0, content: null, priceMinor: null },
    containerId: null,
    parents: [parent(a, 1), parent(b, 2)],
  })
  expect(made.status).toBe(200)
  const stay = house.db.prepare('SELECT rolled_out FROM stay WHERE id = ?').get('s')
  expect(stay).toEqual({ rolled_out: TODAY })
})

test('a period in which it was acquired that ends before it begins is refused by its field', async () => {
  const answer = await house.post('/items', {
    id: 'x',
    fields: {
      ...FIELDS,
      acquired: { earliest: '2026-11-10', latest: '2026-11-01' },
    },
    reading: null,
  })
  expect([answer.status, answer.body.errors[0].field.startsWith('fields.acquired')]).toEqual([422, true])
})

test('a part of the pages that isn’t there answers 404, never the page', async () => {
  const answer = await fetch(`http://127.0.0.1:${house.port}/assets/gone-12345.js`)
  expect([answer.status, (answer.headers.get('content-type') ?? '').includes('html')]).toEqual([404, false])
})
