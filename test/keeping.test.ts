import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays } from '#core/calendar/day'
import type { AsideAnswer, CompareAnswer, DoubtsAnswer, StashAnswer, TargetsAnswer } from '#contract/deciding'
import { decidingActs, OLD, SOON } from './support/deciding-acts'
import { ago, opened } from './support/long-used'
import { ownerActs } from './support/owner-acts'
import { TestHouse, TODAY, type Answer } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())
const { wear, item, code } = ownerActs(() => house)
const { trials, verdict, read, undo } = decidingActs(() => house)

describe('side by side', () => {
  test('the same facts of each, and how near their swatches are', async () => {
    const a = await house.item({ ...OLD, colour: '#c7747a', priceMinor: 1200, liking: 4 })
    const b = await house.item({ ...OLD, colour: '#c7757b', name: 'Fig', shade: 'Fig', liking: 2 })
    for (const days of [1, 2, 3]) await wear(a, days)
    const compared = await read<CompareAnswer>(`/compare?items=${a},${b}`)
    expect(compared).toMatchObject({ sameUse: true, differences: [{ a, b, comparable: true }] })
    expect(compared.differences[0]?.difference).toBeLessThan(2)
    expect(compared.things.map(({ item: each, place, worn, costSoFar }) => [each.id, place, worn, costSoFar])).toEqual([
      [a, 1, 3, 400],
      [b, 2, 0, null],
    ])
  })

  test('across uses it says so; one item, seven items and unknown ones are refused in words', async () => {
    const [a, b] = [await house.item(OLD), await house.item({ ...OLD, categoryId: 'lipstick', form: 'bullet' })]
    const across = await read<CompareAnswer>(`/compare?items=${a},${b}`)
    expect(across).toMatchObject({ sameUse: false, differences: [{ comparable: false }] })
    expect((await house.get(`/compare?items=${a}`)).body.errors[0].message).toContain('at least two')
    expect((await house.get('/compare?items=a,b,c,d,e,f,g')).body.errors[0].message).toContain('at most six')
    expect(code(await house.get(`/compare?items=${a},none`))[1]).toBe('unknown-item')
  })
})

describe('set aside', () => {
  const aside = (id: string, kind: string | null, over: object = {}): Promise<Answer> =>
    house.put(`/items/${id}/aside`, { id: house.id('aside'), kind, forDay: null, words: '', ...over })

  test('a keepsake is out of supply, doubts, targets, drawer and the race, and in the collection', async () => {
    const a = await house.item({ ...OLD, expiry: ago(3) })
    const b = await house.item({ ...OLD, name: 'Fig', shade: 'Fig' })
    for (const days of [1, 9, 20]) await wear(b, days)
    const counts = async () => ({
      doubts: (await read<DoubtsAnswer>('/doubts')).inDoubt.filter((row) => row.item.id === a).length,
      targets: (await read<TargetsAnswer>('/targets')).others.find(({ categoryId }) => categoryId === 'blush')?.items,
      supply: (await house.get('/supply')).body.categories.reduce(
        (sum: number, each: { items: number; expired: number }) => sum + each.items + each.expired,
        0,
      ),
      races: (await house.get('/shelf-life')).body.races.length,
    })
    expect(await counts()).toEqual({ doubts: 1, targets: 2, supply: 2, races: 2 })
    const kept = await aside(a, 'keepsake', { words: 'the lid' })
    expect(await counts()).toEqual({ doubts: 0, targets: 1, supply: 1, races: 1 })
    expect((await house.listed()).map((each) => each.setAside)).toContain('keepsake')
    const place = { placementId: 'pl', itemId: a, zoneId: 'cheeks' }
    expect(code(await house.post('/drawer/place', place))[1]).toBe('is-keepsake')
    expect(code(await trials([a]))[1]).toBe('is-keepsake')
    await undo(kept)
    expect(await counts()).toEqual({ doubts: 1, targets: 2, supply: 2, races: 2 })
  })

  test('what is on trial or in a project is no keepsake yet; out of the drawer it comes by itself', async () => {
    const a = await house.item(OLD)
    await house.post('/drawer/place', { placementId: 'pl', itemId: a, zoneId: 'cheeks' })
    await trials([a])
    expect(code(await aside(a, 'keepsake'))).toEqual([422, 'keepsake-in-use', 'kind'])
    await verdict(a, 'keep')
    expect((await aside(a, 'keepsake')).status).toBe(200)
    expect((await item(a)).placement).toBeNull()
  })

  test('for occasions, perhaps for one day that must come', async () => {
    const a = await house.item({ ...OLD, priceMinor: 4000 })
    expect(code(await aside(a, 'special', { forDay: ago(1) }))).toEqual([422, 'for-day-past', 'forDay'])
    expect(code(await aside(a, 'keepsake', { forDay: SOON }))).toEqual([422, 'invalid', 'forDay'])
    await aside(a, 'special', { forDay: SOON, words: 'the party' })
    const { special } = await read<AsideAnswer>('/aside')
    expect(special).toMatchObject([{ id: a, asideFor: SOON, asideWords: 'the party', priceMinor: 4000 }])
    await aside(a, null)
    expect((await read<AsideAnswer>('/aside')).special).toEqual([])
  })
})

describe('from the stash', () => {
  const start = (itemIds: readonly string[], over: object = {}): Promise<Answer> =>
    house.post('/stash', {
      id: 'pick',
      to: addDays(TODAY, 7),
      items: itemIds.map((itemId) => ({ id: `i-${itemId}`, itemId, placementId: `pl-${itemId}` })),
      ...over,
    })
  const end = (endings: Record<string, string>): Promise<Answer> =>
    house.post('/stash/pick/end', {
      endings: Object.entries(endings).map(([itemId, ending]) => ({ itemId, ending, trialId: `t-${itemId}` })),
    })

  test('beside the drawer for a while; then each goes back, stays or goes on trial, and it is told', async () => {
    const [a, b, c, lain] = [
      await house.item({ ...OLD, liking: 5 }),
      await house.item({ ...OLD, name: 'Fig', shade: 'Fig' }),
      await house.item({ ...OLD, name: 'Quay', shade: 'Quay' }),
      await house.item({ ...OLD, name: 'Weir', shade: 'Weir' }),
    ]
    await house.post('/drawer/place', { placementId: 'there', itemId: lain, zoneId: 'cheeks' })
    // Not worn in a log that has only begun tells nothing.
    await wear(a, 1)
    expect((await read<StashAnswer>('/stash')).proposed).toEqual([])
    await wear(a, 1, { worn: false })
    await wear(a, 100)
    expect((await read<StashAnswer>('/stash')).proposed.map((each) => each.item.id)).toContain(a)
    await start([a, b, c, lain])
    expect((await item(a)).placement).toMatchObject({ beside: true })
    expect(code(await start([b], { id: 'second' }))).toEqual([409, 'pick-running', ''])
    await wear(a, 0)
    const { now } = await read<StashAnswer>('/stash')
    expect(now?.items[0]).toMatchObject({ wears: 1, unwornBefore: 100, ending: null })
    await end({ [b]: 'stays', [c]: 'goes on trial' })
    expect((await item(a)).placement).toBeNull()
    expect((await item(b)).placement).not.toBeNull()
    expect(await item(c)).toMatchObject({ onTrial: true })
    // What lay in the drawer before lies there still.
    expect((await item(lain)).placement).toMatchObject({ beside: false })
    const { before } = await read<StashAnswer>('/stash')
    expect(before[0]?.items.map(({ ending }) => ending)).toEqual(['goes back', 'stays', 'goes on trial', 'goes back'])
    expect(code(await end({}))[1]).toBe('pick-over')
  })

  test('what is let go meanwhile doesn’t hinder its end; a day that has come is no end', async () => {
    const [a, b] = [await house.item(OLD), await house.item({ ...OLD, name: 'Fig', shade: 'Fig' })]
    expect(code(await start([a], { to: TODAY }))).toEqual([422, 'pick-ends-in-past', 'to'])
    expect(code(await start([a, a]))).toEqual([422, 'invalid', 'items'])
    await start([a, b])
    await verdict(a, 'let go')
    expect((await end({ [a]: 'stays' })).status).toBe(200)
    expect((await read<StashAnswer>('/stash')).before[0]?.items.map(({ ending }) => ending)).toEqual([
      null,
      'goes back',
    ])
  })
})

describe('targets', () => {
  const set = (items: number, over: object = {}): Promise<Answer> =>
    house.post('/targets', { id: 'target', categoryId: 'blush', items, by: addDays(TODAY, 200), ...over })

  test('so many by a day, whom to keep first, and what is let go counts', async () => {
    const ids = []
    for (const name of ['Fig', 'Quay', 'Weir'])
      ids.push(await house.item({ ...OLD, name, shade: name, colour: null, liking: name === 'Quay' ? 5 : 2 }))
    expect(code(await set(4))).toEqual([422, 'target-above-stock', 'items'])
    expect(code(await set(1, { by: TODAY }))).toEqual([422, 'target-in-past', 'by'])
    expect(code(await set(1, { categoryId: 'none' }))[1]).toBe('unknown-category')
    await set(1)
    const [target] = (await read<TargetsAnswer>('/targets')).targets
    expect(target).toMatchObject({ now: 3, tooMany: 2, standing: 'not at this pace' })
    expect(target?.keepFirst[0]?.item.id).toBe(ids[1])
    await verdict(ids[0] ?? '', 'let go')
    await verdict(ids[2] ?? '', 'let go')
    const [met] = (await read<TargetsAnswer>('/targets')).targets
    expect(met).toMatchObject({ now: 1, letGo: 2, standing: 'met', neededPerMonth: null })
    await house.post('/targets/target/drop', {})
    expect((await read<TargetsAnswer>('/targets')).targets).toEqual([])
  })
})

test('a decision to keep silences the list for half a year, but not what can’t wait', async () => {
  const idle = await house.item({ ...OLD, opened: opened(ago(400)), colour: null })
  await wear(idle, 300)
  const doubted = async (): Promise<string[]> =>
    (await read<DoubtsAnswer>('/doubts')).inDoubt.flatMap((row) => row.doubts.map((each) => each.code))
  expect(await doubted()).toContain('unworn')
  await verdict(idle, 'keep')
  expect(await doubted()).toEqual([])
  await house.post(`/items/${idle}/sign`, { day: TODAY, words: 'it itches' })
  expect(await doubted()).toEqual(['reaction'])
  expect((await house.get('/doubts?leaning=greed')).status).toBe(422)
})
