import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays } from '#core/calendar/day'
import { USUAL_SETUP } from '#core/plan/schedule/basis'
import { draftPlan } from '#core/plan/schedule/solve-plan'
import { leftOutOf } from '#core/plan/schedule/left-out'
import { linesOf } from '#core/plan/schedule/outcome'
import { problemOf } from '#core/plan/schedule/problem-of'
import type { PlanAnswer } from '#contract/planning'
import { opened } from './support/long-used'
import { ownerActs } from './support/owner-acts'
import { weekPlan } from './support/random-plans'
import { TestHouse, TODAY, type Answer } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())
const { wear, rollIn, addProject, finish } = ownerActs(() => house)
const code = (answer: Answer): string => answer.body.code

const plan = async (): Promise<PlanAnswer> => (await house.get('/plan')).body as PlanAnswer
const adopt = (itemIds: readonly string[], over: object = {}) =>
  house.post('/plan', { id: house.id(), replaces: null, ...weekPlan(itemIds, () => house.id()), ...over })
const OPEN = { opened: opened(addDays(TODAY, -300)) }
const place = (itemId: string, zoneId = 'cheeks') =>
  house.post('/drawer/place', { placementId: house.id(), itemId, zoneId })

describe('what a plan is made from', () => {
  test('nothing at all is no fault', async () => {
    const { basis, inForce, notPlanned } = await plan()
    expect({ things: basis.things, inForce, notPlanned }).toEqual({
      things: [],
      inForce: null,
      notPlanned: { others: 0, unopened: 0, setAside: 0, tooTall: 0 },
    })
  })

  test('what is open and in use; the rest is counted, and keeps its slot', async () => {
    const open = await house.item({ ...OPEN, name: 'Weir' })
    const shut = await house.item({ opened: { kind: 'unopened' }, name: 'Lock' })
    const tall = await house.item({ ...OPEN, name: 'Mast', packageStates: ['too tall for the drawer'] })
    const kept = await house.item({ ...OPEN, name: 'Medal' })
    await house.put(`/items/${kept}/aside`, { id: house.id(), kind: 'special', forDay: null, words: '' })
    await place(shut)
    const { basis, notPlanned } = await plan()
    expect(basis.things.map(({ itemId }) => itemId)).toEqual([open])
    expect(notPlanned).toEqual({ others: 0, unopened: 1, setAside: 1, tooTall: 1 })
    expect(basis.places.find(({ zoneId }) => zoneId === 'cheeks')).toMatchObject({ staying: 1 })
    expect(tall).not.toBe(open)
  })

  test('a goal asks for what is left of it, with its date; a met one and a shade’s ask for the end of the item', async () => {
    const id = await house.item(OPEN)
    await addProject()
    const before = (await plan()).basis.things[0]
    expect(before).toMatchObject({ toward: 'end', by: null, projectIds: [] })
    await rollIn(id, TODAY, {
      goal: { kind: 'uses', target: 9, headStart: 0, by: { kind: 'own', day: addDays(TODAY, 30) } },
    })
    await wear(id, 0)
    expect((await plan()).basis.things[0]).toMatchObject({
      toward: 'goal',
      needs: [7.5],
      by: addDays(TODAY, 30),
      projectIds: ['p'],
    })
  })

  test('how often a type is worn is learned from her days, and gives way to her word', async () => {
    const id = await house.item(OPEN)
    const other = await house.item({ ...OPEN, name: 'Other', categoryId: 'lipstick' })
    const kind = async (of: string) => (await plan()).kinds.find((each) => each.id === of)
    expect(await kind('blush')).toMatchObject({ learned: null, said: false })
    for (let back = 1; back <= 24; back += 1) await wear(back % 2 === 0 ? id : other, back)
    expect(await kind('blush')).toMatchObject({ learned: 0.5 })
    await house.put('/plan/paces/blush', { id: house.id(), perWearDay: 0.8 })
    expect(await kind('blush')).toMatchObject({ learned: 0.5, said: true })
    expect((await plan()).basis.kinds.find((each) => each.categoryId === 'blush')?.perWearDay).toBe(0.8)
    await house.put('/plan/paces/blush', { id: house.id(), perWearDay: null })
    expect(await kind('blush')).toMatchObject({ said: false })
  })

  test('her words, moves and rests are kept, changed and undone', async () => {
    const id = await house.item(OPEN)
    const month = TODAY.slice(0, 7)
    await house.put(`/plan/words/${id}`, { id: house.id(), said: 'no', weight: 40, mostAWeek: 2 })
    await house.put(`/plan/moves/${id}`, { moves: [{ month, lies: true }] })
    await house.post('/plan/breaks', { id: 'rest', categoryId: 'blush', from: TODAY, to: addDays(TODAY, 5) })
    const { basis } = await plan()
    expect(basis.things[0]).toMatchObject({ said: 'no', weight: 40, mostAWeek: 2 })
    expect(basis.moves).toEqual([{ itemId: id, month, lies: true }])
    expect(basis.kinds.find((kind) => kind.categoryId === 'blush')?.breaks).toHaveLength(1)
    await house.put(`/plan/words/${id}`, { id: house.id(), said: null, weight: null, mostAWeek: null })
    await house.post('/plan/moves/clear', {})
    await house.post('/plan/breaks/rest/drop', {})
    const after = (await plan()).basis
    expect([after.things[0]?.said, after.moves, after.kinds.flatMap((kind) => kind.breaks)]).toEqual([null, [], []])
  })

  test.each([
    ['/plan/words/none', { id: 'w', said: 'in', weight: null, mostAWeek: null }, 404, 'unknown-item'],
    ['/plan/moves/none', { moves: [{ month: '2026-12', lies: true }] }, 404, 'unknown-item'],
    ['/plan/paces/none', { id: 'p', perWearDay: 1 }, 422, 'unknown-category'],
  ])('%s is refused in words', async (path, body, status, why) => {
    const answer = await house.put(path, body)
    expect([answer.status, code(answer)]).toEqual([status, why])
  })

  test('a rest that is over, or ends before it begins, is refused', async () => {
    const rest = (from: string, to: string) =>
      house.post('/plan/breaks', { id: house.id(), categoryId: 'blush', from, to })
    expect(code(await rest('2026-10-01', '2026-10-09'))).toBe('break-over')
    expect((await rest('2026-12-09', '2026-12-01')).status).toBe(422)
  })
})

describe('a plan in force', () => {
  test('is one; adopting writes the plan and nothing else', async () => {
    const id = await house.item(OPEN)
    const before = await house.get('/items/' + id)
    expect((await adopt([id], { id: 'one' })).status).toBe(200)
    expect((await house.get('/items/' + id)).body.item).toEqual(before.body.item)
    const { inForce } = await plan()
    expect(inForce).toMatchObject({ id: 'one', adoptedOn: TODAY, askFresh: false, news: [] })
    expect(inForce?.lines).toMatchObject([{ itemId: id, worn: 0 }])
    // Laid beside a plan that is no longer the one in force.
    expect(code(await adopt([id]))).toBe('plan-changed')
    expect((await adopt([id], { id: 'two', replaces: 'one' })).status).toBe(200)
    expect((await plan()).inForce?.id).toBe('two')
    expect(code(await house.post('/plan/one/end', {}))).toBe('plan-changed')
    await house.post('/plan/two/end', {})
    expect((await plan()).inForce).toBeNull()
  })

  test('a lost answer makes no second one, and taking back brings back the one before', async () => {
    const id = await house.item(OPEN)
    const body = { changeId: 'same', id: 'one', replaces: null, ...weekPlan([id], () => 'line') }
    expect([(await house.post('/plan', body)).status, (await house.post('/plan', body)).status]).toEqual([200, 200])
    const second = await adopt([id], { replaces: 'one' })
    await house.post(`/changes/${second.body.change.id}/take-back`, {})
    expect((await plan()).inForce?.id).toBe('one')
  })

  test.each<[string, object, string | number]>([
    ['an item twice', { lines: ['twice', 'twice'] }, 'planned-twice'],
    ['of another day', { weeks: [{ from: '2026-10-05', to: '2026-10-11', month: 0 }] }, 'plan-of-another-day'],
    ['weeks out of order', { weeks: [{ from: TODAY, to: addDays(TODAY, -1), month: 0 }] }, 422],
    ['nothing in it', { lines: [] }, 422],
    ['more done than there is', { done: { of: 1, low: 0, high: 2 } }, 422],
  ])('refused: %s', async (_, over, why) => {
    const id = await house.item(OPEN)
    const lines = (over as { lines?: string[] }).lines
    const answer = await adopt(
      [id],
      lines === undefined
        ? over
        : {
            lines: weekPlan(
              lines.map(() => id),
              () => house.id(),
            ).lines,
          },
    )
    expect(typeof why === 'number' ? answer.status : code(answer)).toBe(why)
    expect((await plan()).inForce).toBeNull()
  })

  test('tells what was done early and what went, and asks for a fresh one', async () => {
    const [done, gone] = [await house.item(OPEN), await house.item({ ...OPEN, name: 'Let go' })]
    const weeks = [0, 1, 2, 3].map((n) => ({ from: addDays(TODAY, 7 * n), to: addDays(TODAY, 7 * n + 6), month: 0 }))
    const lines = weekPlan([done, gone], () => house.id()).lines.map((line) => ({
      ...line,
      uses: [2, 2, 2, 2],
      finishes: true,
    }))
    await adopt([], { weeks, lines })
    await finish(done)
    await house.post('/verdicts', {
      verdictId: house.id(),
      itemId: gone,
      trialId: null,
      verdict: 'let go',
      reason: '',
      destination: 'bin',
      until: null,
      usedAs: null,
    })
    const { inForce } = await plan()
    expect(inForce?.news).toMatchObject([
      { code: 'gone', itemId: gone, mark: expect.stringMatching(/^[^⟦]+$/) },
      { code: 'finished early', itemId: done, planned: addDays(TODAY, 27) },
    ])
    expect(inForce?.askFresh).toBe(true)
    expect((await house.get('/projects')).body.plan).toEqual({ otherwise: 2, askFresh: true })
  })

  test('stands behind what to reach for, the notch of a goal without a date, and what could roll in', async () => {
    const [id, other] = [await house.item(OPEN), await house.item({ ...OPEN, name: 'Other' })]
    await place(id)
    await addProject()
    await rollIn(id, addDays(TODAY, -3))
    expect((await house.get('/items/' + id)).body.item.goal).toMatchObject({ notch: null, standing: 'no date' })
    const week = { from: addDays(TODAY, -1), to: addDays(TODAY, 5), month: 0 }
    const lines = weekPlan([id, other], () => house.id()).lines.map((line) => ({
      ...line,
      uses: [7],
      needed: 10,
      toward: 'goal',
    }))
    await adopt([], { weeks: [week], lines })
    // One of its seven days is over: a use of ten was planned by then.
    expect((await house.get('/items/' + id)).body.item.goal).toMatchObject({
      by: null,
      notch: 0.1,
      standing: 'on pace',
    })
    const day = await house.get('/today')
    expect(day.body.reachFor).toMatchObject([{ itemId: id, reason: { code: 'planned', planned: 7, worn: 0 } }])
    const list = await house.get('/projects/p/short-list')
    expect(list.body.items.map((each: { reasons: object[] }) => each.reasons[0])).toContainEqual({
      code: 'planned-in',
      month: TODAY.slice(0, 7),
    })
  })

  test('proposes the drawer of its month; what it doesn’t plan is left to her', async () => {
    const [stays, comes, goes] = [
      await house.item({ ...OPEN, name: 'Stays' }),
      await house.item({ ...OPEN, name: 'Comes' }),
      await house.item({ ...OPEN, name: 'Goes' }),
    ]
    for (const id of [stays, goes]) await place(id)
    await house.post('/laying', { id: 'laying', season: 'winter' })
    expect(code(await house.post('/laying/laying/as-planned', {}))).toBe('no-plan')
    await adopt([stays, comes])
    await house.post('/laying/laying/as-planned', {})
    const { candidates } = (await house.get('/laying')).body
    const choices = new Map(
      candidates.map((each: { item: { id: string }; choice: string }) => [each.item.id, each.choice]),
    )
    expect([choices.get(stays), choices.get(comes), choices.get(goes)]).toEqual(['stays', 'comes in', 'rests'])
    await house.post('/laying/laying/close', {})
    const lying = (await house.get('/drawer')).body.zones.flatMap((zone: { itemIds: string[] }) => zone.itemIds)
    expect(lying.sort()).toEqual([stays, comes].sort())
  })
})

test('the plan of a collection, from its answer to its sentences: no slot, no wear days, and everything in between', async () => {
  for (let n = 0; n < 12; n += 1) await house.item({ ...OPEN, name: `Thing ${n}` })
  const all = (await plan()).basis
  const basis = { ...all, things: all.things.map((thing) => ({ ...thing, needs: [8] })) }
  const laid = (over: Partial<typeof basis>) => {
    const now = { ...basis, ...over }
    const made = problemOf(now, USUAL_SETUP)
    const schedule = draftPlan(made.problem)
    return {
      lines: linesOf(made, USUAL_SETUP, schedule),
      reasons: leftOutOf(now, made, schedule).map((each) => each.reason.code),
    }
  }
  expect(laid({}).lines.length).toBeGreaterThan(0)
  expect(laid({ week: [0, 0, 0, 0, 0, 0, 0] })).toMatchObject({ lines: [] })
  const none = laid({ places: basis.places.map((each) => ({ ...each, slots: 0 })) })
  expect(none.lines).toEqual([])
  expect(new Set(none.reasons)).toEqual(new Set(['no slot']))
})
