import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays } from '#core/calendar/day'
import type { BuyingAnswer, BuyingCheckAnswer, LessonsAnswer } from '#contract/buying'
import type { EmptiesAnswer } from '#contract/ending'
import { ago, every, opened, usesOn } from './support/long-used'
import { ownerActs } from './support/owner-acts'
import { TestHouse, TODAY, type Answer } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())
const { wear, item, code, finish } = ownerActs(() => house)
const OLD = { opened: opened(ago(200)), usesBefore: 0 }
const read = async <T>(path: string): Promise<T> => (await house.get(path)).body as T
const WISH = {
  categoryId: 'blush',
  maker: 'Kitt Larkspur',
  name: 'Signal Rose',
  shade: '',
  colour: '#c7757b',
  finish: null,
  priceMinor: 1900,
  reason: 'the choir',
  waitUntil: null as string | null,
}
const wish = (over: object = {}): Promise<Answer> => house.post('/wishes', { id: 'wish', ...WISH, ...over })

describe('the check before buying', () => {
  test('near twins, supply, need, cost and her limits, each by hand', async () => {
    const twin = await house.item({ ...OLD, colour: '#c7747a', finish: 'matte' })
    await house.item({ ...OLD, colour: '#402020', name: 'Fig', shade: 'Fig', opened: { kind: 'unopened' } })
    await house.item({ ...OLD, colour: '#c7747a', categoryId: 'lipstick', form: 'bullet', name: 'Quay', shade: 'Quay' })
    await house.post('/tally-sheet', usesOn(twin, every(2, 100)))
    const check = await read<BuyingCheckAnswer>('/buying/check?category=blush&colour=%23c7757b&price=1900')
    // Every second day of the hundred that the log knows, the latest counting most, and yesterday without: 182 uses a year.
    expect(check).toMatchObject({ owned: 2, unopened: 1, twins: 1, perYear: 182 })
    expect(check.nearest[0]).toMatchObject({ itemId: twin, worn: 50 })
    expect(check.nearest[0]?.difference).toBeLessThan(1)
    const [supply] = (await house.get('/supply')).body.categories
    expect(check.years).toBe(supply.years)
    expect(check.yearsAfter).toBeCloseTo((supply.years * 182 + check.likelyUses) / 182, 1)
    expect(check.perUseAtBest).toBeCloseTo(1900 / check.likelyUses, 0)
    expect(check.rules).toEqual([])
  })

  test('without a colour no twins, without a pace no years, without a type a refusal in words', async () => {
    await house.item({ ...OLD, colour: '#c7747a' })
    const check = await read<BuyingCheckAnswer>('/buying/check?category=blush')
    expect(check).toMatchObject({ nearest: [], twins: 0, perYear: null, years: null, needed: null, perUse: null })
    expect((await house.get('/buying/check')).status).toBe(422)
    expect((await house.get('/buying/check?category=blush&colour=red')).status).toBe(422)
    expect(code(await house.get('/buying/check?category=none'))[1]).toBe('unknown-category')
  })

  test('of a primer a swatch tells nothing', async () => {
    await house.item({ ...OLD, colour: '#f0e0d0', categoryId: 'primer', form: 'tube' })
    expect(await read<BuyingCheckAnswer>('/buying/check?category=primer&colour=%23f0e0d0')).toMatchObject({ twins: 0 })
  })
})

describe('wishes', () => {
  test('one waits, and once bought it arrives unopened with its story; without a price too', async () => {
    await wish({ waitUntil: addDays(TODAY, 14), priceMinor: null })
    expect((await read<BuyingAnswer>('/buying')).wishes).toMatchObject([
      { daysToWait: 14, daysWaited: 0, priceMinor: null },
    ])
    house.setClock(new Date(2026, 11, 1, 12))
    const bought = await house.post('/wishes/wish/bought', { itemId: 'new', day: '2026-12-01', priceMinor: 1750 })
    expect(bought.status).toBe(200)
    expect(await item('new')).toMatchObject({
      lifecycle: 'unopened',
      source: 'bought',
      priceMinor: 1750,
      notes: 'the choir\nWished for 7 days before it was bought.',
    })
    expect((await read<BuyingAnswer>('/buying')).ended).toMatchObject([{ endedAs: 'bought', itemId: 'new' }])
    expect(code(await house.post('/wishes/wish/drop', {}))[1]).toBe('wish-ended')
    await house.post(`/changes/${bought.body.change.id}/take-back`, {})
    expect((await read<BuyingAnswer>('/buying')).wishes).toHaveLength(1)
    expect((await house.get('/items/new')).status).toBe(404)
  })

  test('two windows: the later edit is told what stands', async () => {
    await wish()
    await house.put('/wishes/wish', { version: 1, ...WISH, name: 'Signal' })
    const stale = await house.put('/wishes/wish', { version: 1, ...WISH, name: 'Rose' })
    expect(stale.body).toMatchObject({ code: 'stale', current: { name: 'Signal' } })
    expect(code(await wish())[1]).toBe('id-taken')
    expect(code(await wish({ id: 'other', name: '' }))).toEqual([422, 'invalid', 'name'])
  })
})

test('a no-buy counts what was bought, spares what was planned, and says what it can’t know', async () => {
  const rule = {
    from: ago(20),
    to: addDays(TODAY, 20),
    most: 0,
    categoryId: null,
    sparesReplacements: false,
    words: '',
  }
  const exceptions = [{ id: 'e', categoryId: 'mascara', most: 1, words: '' }]
  expect((await house.post('/buying-rules', { id: 'rule', ...rule, exceptions })).status).toBe(200)
  const on = (days: number) => ({ acquired: { earliest: ago(days), latest: ago(days) } })
  const one = await house.item({ ...on(3), source: 'bought' })
  await house.item({ ...on(30), source: 'bought', name: 'Fig' })
  await house.item({ ...on(2), source: null, name: 'Quay' })
  await house.item({ ...on(2), source: 'gift', name: 'Weir' })
  await house.item({ ...on(1), source: 'bought', name: 'Soot', categoryId: 'mascara', form: 'wand' })
  const [standing] = (await read<BuyingAnswer>('/buying')).rules
  expect(standing).toMatchObject({ excepted: 1, left: -1, sourceUnknown: 1, state: 'in force' })
  expect(standing?.counted.map((each) => each.itemId)).toEqual([one])
  const check = await read<BuyingCheckAnswer>('/buying/check?category=mascara')
  expect(check.rules).toMatchObject([{ left: -1, excepted: false }])
  const again = [...exceptions, { ...exceptions[0], id: 'e2' }]
  expect(code(await house.post('/buying-rules', { id: 'two', ...rule, exceptions: again }))[1]).toBe('exception-twice')
  expect(code(await house.post('/buying-rules', { id: 'two', ...rule, to: ago(30), exceptions: [] }))[2]).toBe('to')
  await house.post('/buying-rules/rule/drop', {})
  expect((await read<BuyingAnswer>('/buying')).rules).toEqual([])
})

describe('lessons', () => {
  const lesson = (over: object = {}): Promise<Answer> =>
    house.post('/lessons', {
      id: house.id('lesson'),
      words: 'Minis would do.',
      promptedBy: 'numbers',
      rule: 'never finishes',
      about: 'highlighter',
      itemId: null,
      categoryId: 'highlighter',
      ...over,
    })
  async function highlighters(many: number, from = 0): Promise<void> {
    for (let n = from; n < many; n += 1)
      await house.item({ ...OLD, categoryId: 'highlighter', name: `H${n}`, shade: '', colour: null })
  }
  const offered = async (): Promise<number[]> =>
    (await read<LessonsAnswer>('/lessons')).offered
      .filter(({ rule }) => rule === 'never finishes')
      .map(({ count }) => count)

  test('offered from its least count on; kept it is shown when buying; struck it comes again at twice as many', async () => {
    const worn = await house.item({ ...OLD, opened: opened(ago(500)) })
    await wear(worn, 400)
    await highlighters(7)
    expect(await offered()).toEqual([])
    await highlighters(8, 7)
    expect(await offered()).toEqual([8])
    const kept = await lesson()
    expect(await offered()).toEqual([])
    expect((await read<BuyingCheckAnswer>('/buying/check?category=highlighter')).lessons).toMatchObject([
      { words: 'Minis would do.', noLonger: false },
    ])
    expect((await read<BuyingCheckAnswer>('/buying/check?category=blush')).lessons).toEqual([])
    expect(code(await lesson())[1]).toBe('lesson-known')
    await house.post(`/lessons/${kept.body.id}/strike`, { struck: true })
    expect((await read<BuyingCheckAnswer>('/buying/check?category=highlighter')).lessons).toEqual([])
    await highlighters(15, 8)
    expect(await offered()).toEqual([])
    await highlighters(16, 15)
    expect(await offered()).toEqual([16])
    // Kept again it is the same row.
    await lesson()
    expect((await read<LessonsAnswer>('/lessons')).kept).toHaveLength(1)
  })

  test('what her numbers no longer show says so', async () => {
    await lesson()
    expect((await read<LessonsAnswer>('/lessons')).kept).toMatchObject([{ noLonger: true, shown: null }])
    await lesson({ rule: null, about: null, promptedBy: 'herself', categoryId: null })
    expect((await read<LessonsAnswer>('/lessons')).kept[0]).toMatchObject({ noLonger: false })
    expect(code(await lesson({ about: null }))).toEqual([422, 'invalid', 'about'])
  })

  test('kept at an empty, a verdict and a wrap-up, and undone with them', async () => {
    const a = await house.item(OLD)
    const review = { reviewId: 'r', day: TODAY, wouldBuyAgain: 'yes', words: '', packageGoes: null }
    const done = await house.post(`/items/${a}/finish`, { ...review, lesson: { id: 'l', words: 'Blushes last.' } })
    await house.post('/projects', { id: 'p', name: 'P', startedOn: ago(9), by: null, finishesWanted: null, rules: '' })
    await house.post('/projects/p/close', { version: 1, lessons: 'Six is enough.\n\nNo wands in May.' })
    const words = async (): Promise<string[]> =>
      (await read<LessonsAnswer>('/lessons')).kept.map((each) => `${each.promptedBy}: ${each.words}`)
    expect(await words()).toEqual(['finale: No wands in May.', 'finale: Six is enough.', 'empty: Blushes last.'])
    await house.post(`/changes/${done.body.change.id}/take-back`, {})
    expect(await words()).toHaveLength(2)
  })
})

describe('empties in full', () => {
  const REVIEW = { wouldBuyAgain: 'yes', words: 'Even.', packageGoes: null }
  const empties = async (): Promise<EmptiesAnswer['empties']> => (await read<EmptiesAnswer>('/empties')).empties

  test('what remained, what ended it, for whom, and what replaces it; changed later in one window', async () => {
    const [a, heir] = [await house.item(OLD), await house.item({ ...OLD, name: 'Fig', shade: 'Fig' })]
    const more = { endedBy: 'counted early', remained: 0.1, did: 'It held.', replacedById: heir }
    await house.post(`/items/${a}/finish`, { reviewId: 'r', day: TODAY, ...REVIEW, ...more })
    expect(await empties()).toMatchObject([
      { endedBy: 'counted early', remained: 0.1, did: 'It held.', replacement: { itemId: heir }, version: 1 },
    ])
    const change = (version: number, over: object = {}): Promise<Answer> =>
      house.put(`/items/${a}/review`, { reviewId: 'r2', version, ...REVIEW, dislikes: 'the lid', ...over })
    expect((await change(1)).status).toBe(200)
    expect(await empties()).toMatchObject([{ dislikes: 'the lid', did: '', replacement: null, version: 2 }])
    expect(code(await change(1))[1]).toBe('stale')
    expect(code(await change(2, { replacedById: 'none' }))[1]).toBe('unknown-item')
    expect(code(await change(2, { remained: 1.5 }))).toEqual([422, 'invalid', 'remained'])
    expect(code(await house.put(`/items/${heir}/review`, { reviewId: 'x', version: null, ...REVIEW }))[1]).toBe(
      'not-finished',
    )
  })

  test('time and cost a use against her own middle, from three on', async () => {
    const prices = [500, 1000, 3000]
    for (const [n, priceMinor] of prices.entries()) {
      const id = await house.item({ ...OLD, opened: opened(ago(100 * (n + 1))), name: `B${n}`, shade: '', priceMinor })
      await house.post('/tally-sheet', usesOn(id, every(1, 10)))
      if (n === 2) expect((await empties()).map((each) => each.against)).toEqual([null, null])
      await finish(id)
    }
    for (const each of await empties()) expect(each.against).toEqual({ days: 200, cost: 100, of: 3 })
    expect((await empties()).map((each) => each.costPerUse).sort()).toEqual([100, 300, 50])
  })

  test('what would be bought again and is no longer here stands on the list; with another one here it doesn’t', async () => {
    const a = await house.item(OLD)
    await house.post(`/items/${a}/finish`, { reviewId: 'r', day: TODAY, ...REVIEW, againWhy: 'it never failed' })
    const list = async () => (await read<BuyingAnswer>('/buying')).replacements
    expect(await list()).toMatchObject([{ itemId: a, finished: true, againWhy: 'it never failed', needed: null }])
    await house.item({ opened: { kind: 'unopened' } })
    expect(await list()).toEqual([])
  })
})
