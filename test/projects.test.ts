import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays } from '#core/calendar/day'
import type { ProjectView, StayView } from '#contract/projects'
import { shadeFields } from './support/fields'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

const BY = addDays(TODAY, 60)
const add = (body: object = {}) =>
  house.post('/projects', {
    id: 'p',
    name: 'Autumn',
    startedOn: addDays(TODAY, -3),
    by: null,
    finishesWanted: null,
    rules: '',
    ...body,
  })
const goal = (body: object = {}) => ({ kind: 'uses', target: 10, headStart: 0, by: { kind: 'none' }, ...body })
const rollIn = (itemId: string, body: object = {}, projectId = 'p') =>
  house.post(`/projects/${projectId}/roll-in`, { stayId: `s-${itemId}`, itemId, day: TODAY, goal: goal(), ...body })
const project = async (id = 'p'): Promise<ProjectView> => {
  const { body } = await house.get('/projects')
  return [...body.projects, ...body.closed].find((each: ProjectView) => each.id === id)
}
const stayOf = async (itemId: string, id = 'p'): Promise<StayView | undefined> =>
  (await project(id)).stays.find((stay) => stay.item.id === itemId)

test('a season takes a set at once, holds to its most, and is closed with its lessons', async () => {
  const items = await Promise.all(['Rust', 'Fig', 'Encore'].map((shade) => house.item({ shade })))
  await add({ shape: 'season', by: BY, mostItems: 2, atLeast: 1, replacing: 'none' })
  const stays = items.map((itemId) => ({ stayId: `s-${itemId}`, itemId }))
  const three = await house.post('/projects/p/roll-in-many', {
    day: TODAY,
    goal: goal({ by: { kind: 'project' } }),
    stays,
  })
  expect([three.status, three.body.code]).toEqual([409, 'rule-full'])
  expect((await project()).stays).toEqual([])
  await house.post('/projects/p/roll-in-many', {
    day: TODAY,
    goal: goal({ target: 1, by: { kind: 'project' } }),
    stays: stays.slice(0, 2),
  })
  await house.post('/wear', { itemId: items[0], day: TODAY, worn: true })
  const { version } = await project()
  await house.post('/projects/p/close', { version, lessons: 'Fewer blushes.' })
  const closed = await project()
  expect(closed).toMatchObject({ closedOn: TODAY, lessons: 'Fewer blushes.', reached: 1, atLeast: 1 })
  expect(closed.stays.map((stay) => stay.outReason)).toEqual(['met', 'left unfinished'])
  expect((await rollIn(items[2] ?? '')).body.code).toBe('project-closed')
})

test('a sweep takes its category only, some at a time, and then the least used of those it has not had', async () => {
  const [a, b, c] = await Promise.all(
    [4, 9, 2].map((usesBefore) => house.item({ usesBefore, shade: `Shade ${usesBefore}` })),
  )
  const lipstick = await house.item({ categoryId: 'lipstick', form: 'bullet' })
  expect((await add({ shape: 'sweep', categoryId: 'blush' })).body.errors[0].field).toBe('usesEach')
  await add({ shape: 'sweep', categoryId: 'blush', usesEach: 5, atOnce: 1 })
  expect((await rollIn(lipstick)).body.code).toBe('rule-other-category')
  await rollIn(a ?? '', { goal: goal({ target: 1 }) })
  expect((await rollIn(b ?? '')).body.code).toBe('rule-full')
  await house.post('/wear', { itemId: a, day: TODAY, worn: true })
  await house.post(`/stays/s-${a}/roll-out`, { day: TODAY, reason: 'met', words: '' })
  const list = await house.get(`/projects/p/short-list?replacing=${a}`)
  expect(
    list.body.items.map((row: { item: { id: string }; reasons: object[] }) => [row.item.id, row.reasons[0]]),
  ).toEqual([
    [c, { code: 'next-in-sweep', uses: 2 }],
    [b, { code: 'next-in-sweep', uses: 9 }],
  ])
})

test('a palette project counts its shades: one use of the palette, and one of each shade worn', async () => {
  const part = (id: string, col: number) => shadeFields(id, id, col)
  const palette = await house.item({
    categoryId: 'eyeshadow-palette',
    structure: 'palette',
    parts: [part('moss', 1), part('bark', 2)],
  })
  expect((await add({ shape: 'palette', paletteId: 'nothing' })).body.errors[0].field).toBe('paletteId')
  await add({ shape: 'palette', paletteId: palette })
  await house.post('/projects/p/roll-in-many', {
    day: TODAY,
    goal: goal({ target: 2 }),
    stays: [
      { stayId: 'moss-stay', itemId: palette, partId: 'moss' },
      { stayId: 'bark-stay', itemId: palette, partId: 'bark' },
    ],
  })
  await house.post('/wear', { itemId: palette, day: TODAY, worn: true, partIds: ['moss', 'bark'] })
  await house.post('/wear', { itemId: palette, day: addDays(TODAY, -1), worn: true, partIds: ['moss'] })
  const { stays } = await project()
  expect(stays.map((stay) => [stay.goal.partName, stay.goal.uses, stay.goal.met])).toEqual([
    ['moss', 1, false],
    ['bark', 1, false],
  ])
  const twice = await rollIn(palette, { stayId: 'again', partId: 'moss' })
  expect(twice.body.code).toBe('already-in-project')
})

test('carried over in one step: unfinished there, a head start here; one undo takes both back', async () => {
  const item = await house.item()
  await add()
  await add({ id: 'q', name: 'Winter', by: BY })
  await rollIn(item)
  await house.post('/wear', { itemId: item, day: TODAY, worn: true })
  const before = house.snapshot()
  const carried = await house.post(`/stays/s-${item}/carry-over`, { stayId: 'new', projectId: 'q', day: TODAY })
  expect(carried.status).toBe(200)
  expect(await stayOf(item)).toMatchObject({ outReason: 'left unfinished', outWords: 'carried over to Winter' })
  // Today is the last day there and the first day here: its use is counted once.
  expect((await stayOf(item, 'q'))?.goal).toMatchObject({ headStart: 0, uses: 1, by: BY })
  await house.post(`/changes/${carried.body.change.id}/take-back`, {})
  expect(house.snapshot()).toBe(before)
})

test('what goes along has no goal, no place and no rail', async () => {
  const [a, b] = await Promise.all([house.item(), house.item({ shade: 'Mixer' })])
  await add({ mostItems: 1 })
  await rollIn(a)
  const along = await rollIn(b, { beside: true, goal: goal({ kind: 'keep using', target: null }) })
  expect(along.status).toBe(200)
  await house.post('/wear', { itemId: b, day: TODAY, worn: true })
  expect((await stayOf(b))?.goal).toMatchObject({ beside: true, uses: 1, met: false, by: null })
  expect((await house.get(`/items/${b}`)).body.item.goal).toBeNull()
})

test('set-up says at once what can’t be met together', async () => {
  const [a, b] = await Promise.all([house.item(), house.item({ shade: 'Fig' })])
  await add({ by: BY })
  const dated = goal({ target: 45, by: { kind: 'project' } })
  await rollIn(a, { goal: dated })
  expect((await project()).overloads).toEqual([])
  await rollIn(b, { goal: dated })
  expect((await project()).overloads).toMatchObject([{ category: 'blush', items: 2, needed: 90, wearDays: 61, by: BY }])
})

describe('rules are held to, with words and a remedy', () => {
  test('nothing leaves unfinished', async () => {
    const item = await house.item()
    await add({ leavingAllowed: false })
    await rollIn(item)
    const left = await house.post(`/stays/s-${item}/roll-out`, {
      day: TODAY,
      reason: 'left unfinished',
      words: 'bored',
    })
    expect([left.status, left.body.errors[0].field]).toEqual([422, 'reason'])
    expect(left.body.detail).toContain('Autumn')
  })
  test.each([
    ['a level without a share', { kind: 'level', target: null }],
    ['half a use', { kind: 'uses', target: 2.5 }],
    ['pan with a number', { kind: 'hit pan', target: 3 }],
    ['more than the whole pan', { kind: 'expand pan', target: 2 }],
  ])('%s is no goal', async (_, wrong) => {
    const item = await house.item()
    await add()
    const answer = await rollIn(item, { goal: goal(wrong) })
    expect([answer.status, answer.body.errors[0].field]).toEqual([422, 'goal.target'])
  })
})

test('the short list is kept all year and comes first when something rolls in', async () => {
  const [a, b] = await Promise.all([
    house.item({
      opened: { kind: 'range', earliest: '2020-01-01' as never, latest: '2020-01-01' as never, said: '2020' },
      paoMonths: 120,
    }),
    house.item({ shade: 'Later' }),
  ])
  await add()
  await house.post('/short-list', { id: 'sl', itemId: b, season: 'winter', words: 'with the red scarf' })
  const list = await house.get('/projects/p/short-list')
  expect(list.body.items[0]).toMatchObject({
    item: { id: b },
    reasons: [{ code: 'up-next', place: 1, words: 'with the red scarf' }],
  })
  expect(list.body.items.map((row: { item: { id: string } }) => row.item.id)).toContain(a)
  await house.post('/short-list/sl/take-off', {})
  expect((await house.get('/projects')).body.shortList).toEqual([])
})

test('what is up next stands in the user’s own order: moved, undone, and followed by the list, the drawer and the plan', async () => {
  const [a, b, c] = await Promise.all(['A', 'B', 'C'].map((shade) => house.item({ shade })))
  await add()
  for (const [n, itemId] of [a, b, c].entries())
    await house.post('/short-list', { id: `n${n}`, itemId, season: null, words: '' })
  const order = async (): Promise<string[]> =>
    (await house.get('/projects')).body.shortList.map((each: { id: string }) => each.id)
  expect(await order()).toEqual(['n0', 'n1', 'n2'])
  const moved = await house.post('/short-list/n2/move', { before: 'n0' })
  expect(moved.body.change.words).toContain('is number 1 of what’s up next')
  const toEnd = await house.post('/short-list/n0/move', { before: null })
  expect(await order()).toEqual(['n2', 'n1', 'n0'])
  const rollIn = (await house.get('/projects/p/short-list')).body.items
  expect(rollIn.map((row: { item: { id: string } }) => row.item.id)).toEqual([c, b, a])
  const { picks } = (await house.get('/drawer/proposal')).body
  expect(picks.map((pick: { itemId: string }) => pick.itemId)).toEqual([c, b, a])
  const { things } = (await house.get('/plan')).body.basis
  const places = new Map(things.map((each: { itemId: string; upNext: number | null }) => [each.itemId, each.upNext]))
  expect([a, b, c].map((id) => places.get(id))).toEqual([3, 2, 1])
  expect((await house.post('/short-list/n0/move', { before: null })).body.change.changed).toBe(false)
  expect((await house.post('/short-list/n0/move', { before: 'gone' })).status).toBe(422)
  for (const each of [toEnd, moved]) await house.post(`/changes/${each.body.change.id}/take-back`, {})
  expect(await order()).toEqual(['n0', 'n1', 'n2'])
})
