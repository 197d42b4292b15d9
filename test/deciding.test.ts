import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays, type Day } from '#core/calendar/day'
import { DecideAnswer } from '#contract/ending'
import {
  AsideAnswer,
  CompareAnswer,
  DoubtsAnswer,
  FeelingsAnswer,
  LettingGoAnswer,
  StashAnswer,
  TargetsAnswer,
  TogetherAnswer,
} from '#contract/deciding'
import { ago, GOAL, opened, PROJECT } from './support/long-used'
import { ownerActs } from './support/owner-acts'
import { TestHouse, TODAY, type Answer } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())
const { wear, item, code } = ownerActs(() => house)
const SOON = addDays(TODAY, 20)
const OLD = { opened: opened(ago(200)), usesBefore: 0 }

const trials = (itemIds: readonly string[], over: object = {}): Promise<Answer> =>
  house.post('/trials/together', {
    setId: house.id('set'),
    trials: itemIds.map((itemId) => ({ trialId: `t-${itemId}`, itemId })),
    wearsWanted: 2,
    dueOn: SOON,
    question: '',
    ...over,
  })
const verdict = (itemId: string, said: string, over: object = {}): Promise<Answer> =>
  house.post('/verdicts', {
    verdictId: house.id('v'),
    itemId,
    trialId: null,
    verdict: said,
    reason: '',
    destination: said === 'let go' ? 'bin' : null,
    until: null,
    usedAs: null,
    ...over,
  })
const read = async <T>(path: string, schema: { parse: (body: unknown) => T }): Promise<T> =>
  schema.parse((await house.get(path)).body)
const undo = (answer: Answer): Promise<Answer> => house.post(`/changes/${answer.body.change.id}/take-back`, {})

describe('trials of several in one face', () => {
  test('each has its own wears, companions beneath and over it, feelings and verdict', async () => {
    const base = await house.item({ ...OLD, categoryId: 'foundation', form: 'pump', name: 'Weir', shade: 'Weir' })
    const gloss = await house.item({ ...OLD, categoryId: 'lip-gloss', form: 'wand', name: 'Quay', shade: 'Quay' })
    const [a, b] = [await house.item(OLD), await house.item({ ...OLD, name: 'Fig', shade: 'Fig' })]
    expect((await trials([a, b])).status).toBe(200)
    for (const id of [base, gloss, a]) await wear(id, 0)
    await house.post('/feelings', {
      itemId: a,
      day: TODAY,
      felt: [
        { aspect: 'in all', felt: 'good' },
        { aspect: 'fuss', felt: 'bad' },
      ],
      words: 'slipped by noon',
    })
    const { trials: running } = await read('/decide', DecideAnswer)
    const first = running.find((trial) => trial.item.id === a)
    expect(first).toMatchObject({ wears: 1, wearsLeft: 1, setId: running[1]?.setId })
    expect(first?.companions.map(({ words, under }) => [words, under])).toEqual(
      expect.arrayContaining([
        ['Weir', true],
        ['Quay', false],
      ]),
    )
    expect(first?.days).toMatchObject([{ day: TODAY, words: 'slipped by noon', under: ['Weir'], over: ['Quay'] }])
    expect(first?.days[0]?.felt).toHaveLength(2)
    await verdict(a, 'keep', { trialId: `t-${a}` })
    expect((await read('/decide', DecideAnswer)).trials.map((trial) => trial.item.id)).toEqual([b])
  })

  test('all or none: one that cannot be refuses them all; a due date must come', async () => {
    const [a, b] = [await house.item(), await house.item({ name: 'Fig', shade: 'Fig' })]
    await verdict(b, 'let go')
    expect(code(await trials([a, b]))[1]).toBe('item-ended')
    expect(code(await trials([a], { dueOn: TODAY }))).toEqual([422, 'due-in-past', 'dueOn'])
    expect((await read('/decide', DecideAnswer)).trials).toEqual([])
    await trials([a])
    expect(code(await trials([a], { trials: [{ trialId: 'other', itemId: a }] }))[1]).toBe('already-on-trial')
  })

  test('let go meanwhile ends its trial, and no verdict is given on what is gone', async () => {
    const a = await house.item()
    await trials([a])
    await verdict(a, 'let go')
    expect((await read('/decide', DecideAnswer)).trials).toEqual([])
    expect(code(await verdict(a, 'keep', { trialId: `t-${a}` }))[1]).toBe('item-ended')
  })
})

describe('a verdict does what it says, and all of it is taken back at once', () => {
  test('keep and use rolls into a project; what its rules forbid leaves no verdict', async () => {
    const a = await house.item(OLD)
    await house.post('/projects', { ...PROJECT, id: 'p' })
    const into = { projectId: 'p', stayId: 's', goal: GOAL }
    const before = house.snapshot()
    const kept = await verdict(a, 'keep and use', { into })
    expect((await item(a)).goal).toMatchObject({ projectId: 'p', target: 10 })
    await undo(kept)
    expect(house.snapshot()).toBe(before)
    expect(code(await verdict(a, 'keep and use', { into: { ...into, projectId: 'none' } }))[1]).toBe('unknown-project')
    expect(house.snapshot()).toBe(before)
  })

  test('once more with another base begins a trial that says so', async () => {
    const a = await house.item(OLD)
    await trials([a])
    const again = { trialId: 'again', otherwise: 'base', wearsWanted: 4, dueOn: SOON, question: 'Less patchy?' }
    await verdict(a, 'once more, otherwise', { again, reason: 'The base pilled.' })
    const [running, ...rest] = (await read('/decide', DecideAnswer)).trials
    expect(rest).toEqual([])
    expect(running).toMatchObject({ id: 'again', otherwise: 'base', wearsWanted: 4, wears: 0, setId: null })
    expect(running?.before).toMatchObject([{ verdict: 'once more, otherwise', reason: 'The base pilled.' }])
  })

  test.each([
    ['into', 'keep', { into: { projectId: 'p', stayId: 's', goal: GOAL } }],
    ['why', 'keep', { why: 'shade' }],
  ])('%s only where it belongs', async (field, said, over) => {
    const a = await house.item()
    expect(code(await verdict(a, said, over))).toEqual([422, 'invalid', field])
  })

  test('a used eye product is given to nobody, and an unopened one may be', async () => {
    const wand = { categoryId: 'mascara', form: 'wand' as const, name: 'Soot', shade: '' }
    const used = await house.item({ ...OLD, ...wand })
    const unopened = await house.item({ ...wand, name: 'Ash', opened: { kind: 'unopened' } })
    expect(code(await verdict(used, 'let go', { destination: 'give' }))[1]).toBe('destination-refused')
    expect((await verdict(unopened, 'let go', { destination: 'donate', toWhom: 'the shelter' })).status).toBe(200)
  })
})

describe('letting go', () => {
  test('what goes to somebody waits until it is handed over; sums by reason; a regret can be noted and struck', async () => {
    const a = await house.item({ ...OLD, priceMinor: 2000, content: { amount: 5, unit: 'g' } })
    const b = await house.item({ ...OLD, name: 'Fig', shade: 'Fig', priceMinor: null, content: null })
    await verdict(a, 'let go', { destination: 'give', toWhom: 'Ines', why: 'shade', verdictId: 'va' })
    await verdict(b, 'let go', { why: 'shade' })
    const { waiting, gone, reasons } = await read('/letting-go', LettingGoAnswer)
    expect(waiting.map((each) => each.toWhom)).toEqual(['Ines'])
    expect(gone).toMatchObject([{ handedOn: TODAY, grams: null, lost: null }])
    const [mine] = waiting
    expect(reasons).toEqual([
      { why: 'shade', items: 2, grams: mine?.grams, gramsUnknown: 1, lost: mine?.lost, unpriced: 1 },
    ])
    // Nothing was used of it that anybody knows of: at most a full one is left, and the money goes with the share.
    expect(mine?.lost).toBeGreaterThan(0)
    expect(mine?.lost).toBeLessThanOrEqual(2000)
    expect(code(await house.post('/verdicts/va/handed', { day: ago(1), toWhom: '' }))[1]).toBe('handed-before-let-go')
    expect(code(await house.post('/verdicts/va/handed', { day: SOON, toWhom: '' }))[1]).toBe('day-in-future')
    await house.post('/verdicts/va/handed', { day: TODAY, toWhom: 'Ines' })
    expect((await read('/letting-go', LettingGoAnswer)).waiting).toEqual([])
    await house.post('/verdicts/va/regret', { day: TODAY, words: 'that red' })
    const rued = (await read('/letting-go', LettingGoAnswer)).gone.find(({ verdictId }) => verdictId === 'va')
    expect(rued).toMatchObject({ regretOn: TODAY, regretWords: 'that red' })
    await house.post('/verdicts/va/regret', { day: null, words: '' })
    expect(
      (await read('/letting-go', LettingGoAnswer)).gone.find(({ verdictId }) => verdictId === 'va')?.regretOn,
    ).toBeNull()
  })

  test('a verdict that let nothing go is nothing to hand over', async () => {
    const a = await house.item()
    await verdict(a, 'keep', { verdictId: 'vk' })
    expect(code(await house.post('/verdicts/vk/handed', { day: TODAY, toWhom: '' }))[1]).toBe('not-let-go')
    expect(code(await house.post('/verdicts/none/regret', { day: TODAY, words: '' }))[1]).toBe('unknown-verdict')
  })
})

describe('feelings', () => {
  test('one tap each, a second one takes it back; they go with the wear and come back with it', async () => {
    const a = await house.item(OLD)
    const feel = (felt: string | null): Promise<Answer> =>
      house.post('/feelings', { itemId: a, day: TODAY, felt: [{ aspect: 'in all', felt }], words: null })
    expect(code(await feel('good'))[1]).toBe('not-worn')
    await wear(a, 0)
    await feel('good')
    await feel('bad')
    const on = async (): Promise<FeelingsAnswer['worn']> => (await read(`/feelings?day=${TODAY}`, FeelingsAnswer)).worn
    expect(await on()).toEqual([{ itemId: a, felt: [{ aspect: 'in all', felt: 'bad' }] }])
    const off = await wear(a, 0, { worn: false })
    expect(await on()).toEqual([])
    await undo(off)
    expect(await on()).toHaveLength(1)
    await feel(null)
    expect(await on()).toEqual([])
  })

  test('of two that are made one the feelings of both are kept', async () => {
    const [a, b] = [await house.item(OLD), await house.item(OLD)]
    await wear(a, 0)
    await wear(b, 0)
    await wear(b, 1)
    for (const [itemId, day, aspect] of [
      [a, TODAY, 'in all'],
      [b, TODAY, 'fuss'],
      [b, ago(1), 'in all'],
    ] as const)
      await house.post('/feelings', { itemId, day, felt: [{ aspect, felt: 'good' }], words: null })
    await house.post('/merge', { keepId: a, dropIds: [b] })
    expect((await read(`/feelings?day=${TODAY}`, FeelingsAnswer)).worn[0]?.felt).toHaveLength(2)
    expect((await read(`/feelings?day=${ago(1)}`, FeelingsAnswer)).worn).toMatchObject([{ itemId: a }])
  })

  test('days that felt good together are offered as a pair until it is said', async () => {
    const [a, b] = [await house.item(OLD), await house.item({ ...OLD, name: 'Fig', shade: 'Fig' })]
    for (const days of [1, 2, 3]) {
      await wear(a, days)
      await wear(b, days)
      await house.post('/feelings', {
        itemId: a,
        day: ago(days),
        felt: [{ aspect: 'in all', felt: 'good' }],
        words: null,
      })
    }
    const together = await read(`/items/${a}/together`, TogetherAnswer)
    expect(together.learned).toMatchObject([{ otherId: b, days: 3, verdict: 'works', felt: { good: 3 } }])
    const ratio = { itemAmount: 2, otherAmount: 1, amountUnit: 'pumps' }
    await house.post(`/items/${a}/pairs`, { id: 'pair', otherItemId: b, verdict: 'works', ...ratio, words: '' })
    expect((await read(`/items/${a}/together`, TogetherAnswer)).learned).toEqual([])
    await house.post('/wear/mixed', { mixId: 'm', day: TODAY, pairId: 'pair' })
    const { worn } = (await house.get('/today')).body
    expect(worn).toMatchObject([
      { amount: expect.any(Number), amountUnit: 'pumps', mix: { ratio: '2 to 1 pumps' } },
      { mix: { itemIds: expect.arrayContaining([a, b]) } },
    ])
  })
})

describe('side by side', () => {
  test('the same facts of each, and how near their swatches are', async () => {
    const a = await house.item({ ...OLD, colour: '#c7747a', priceMinor: 1200, liking: 4 })
    const b = await house.item({ ...OLD, colour: '#c7757b', name: 'Fig', shade: 'Fig', liking: 2 })
    for (const days of [1, 2, 3]) await wear(a, days)
    const compared = await read(`/compare?items=${a},${b}`, CompareAnswer)
    expect(compared).toMatchObject({ sameUse: true, differences: [{ a, b, comparable: true }] })
    expect(compared.differences[0]?.difference).toBeLessThan(2)
    expect(compared.things.map(({ item: each, place, worn, costSoFar }) => [each.id, place, worn, costSoFar])).toEqual([
      [a, 1, 3, 400],
      [b, 2, 0, null],
    ])
  })

  test('across uses it says so; one thing, seven things and unknown ones are refused in words', async () => {
    const [a, b] = [await house.item(OLD), await house.item({ ...OLD, categoryId: 'lipstick', form: 'bullet' })]
    const across = await read(`/compare?items=${a},${b}`, CompareAnswer)
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
      doubts: (await read('/doubts', DoubtsAnswer)).inDoubt.filter((row) => row.item.id === a).length,
      targets: (await read('/targets', TargetsAnswer)).others.find(({ categoryId }) => categoryId === 'blush')?.items,
      supply: (await house.get('/supply')).body.categories[0].items,
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
    const { special } = await read('/aside', AsideAnswer)
    expect(special).toMatchObject([{ id: a, asideFor: SOON, asideWords: 'the party', priceMinor: 4000 }])
    await aside(a, null)
    expect((await read('/aside', AsideAnswer)).special).toEqual([])
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
    await wear(a, 100)
    expect((await read('/stash', StashAnswer)).proposed.map((each) => each.item.id)).toContain(a)
    await start([a, b, c, lain])
    expect((await item(a)).placement).toMatchObject({ beside: true })
    expect(code(await start([b], { id: 'second' }))).toEqual([409, 'pick-running', ''])
    await wear(a, 0)
    const { now } = await read('/stash', StashAnswer)
    expect(now?.items[0]).toMatchObject({ wears: 1, unwornBefore: 100, ending: null })
    await end({ [b]: 'stays', [c]: 'goes on trial' })
    expect((await item(a)).placement).toBeNull()
    expect((await item(b)).placement).not.toBeNull()
    expect(await item(c)).toMatchObject({ onTrial: true })
    // What lay in the drawer before lies there still.
    expect((await item(lain)).placement).toMatchObject({ beside: false })
    const { before } = await read('/stash', StashAnswer)
    expect(before[0]?.items.map(({ ending }) => ending)).toEqual(['goes back', 'stays', 'goes on trial', 'goes back'])
    expect(code(await end({}))[1]).toBe('pick-over')
  })

  test('what is let go meanwhile does not hinder its end; a day that has come is no end', async () => {
    const [a, b] = [await house.item(OLD), await house.item({ ...OLD, name: 'Fig', shade: 'Fig' })]
    expect(code(await start([a], { to: TODAY }))).toEqual([422, 'pick-ends-in-past', 'to'])
    expect(code(await start([a, a]))).toEqual([422, 'invalid', 'items'])
    await start([a, b])
    await verdict(a, 'let go')
    expect((await end({ [a]: 'stays' })).status).toBe(200)
    expect((await read('/stash', StashAnswer)).before[0]?.items.map(({ ending }) => ending)).toEqual([
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
    const [target] = (await read('/targets', TargetsAnswer)).targets
    expect(target).toMatchObject({ now: 3, tooMany: 2, standing: 'not at this pace' })
    expect(target?.keepFirst[0]?.item.id).toBe(ids[1])
    await verdict(ids[0] ?? '', 'let go')
    await verdict(ids[2] ?? '', 'let go')
    const [met] = (await read('/targets', TargetsAnswer)).targets
    expect(met).toMatchObject({ now: 1, letGo: 2, standing: 'met', neededPerMonth: null })
    await house.post('/targets/target/drop', {})
    expect((await read('/targets', TargetsAnswer)).targets).toEqual([])
  })
})

test('a decision to keep silences the list for half a year, but not what cannot wait', async () => {
  const idle = await house.item({ ...OLD, opened: opened(ago(400)), colour: null })
  await wear(idle, 300)
  const doubted = async (): Promise<string[]> =>
    (await read('/doubts', DoubtsAnswer)).inDoubt.flatMap((row) => row.doubts.map((each) => each.code))
  expect(await doubted()).toContain('unworn')
  await verdict(idle, 'keep')
  expect(await doubted()).toEqual([])
  await house.post(`/items/${idle}/sign`, { day: TODAY as Day, words: 'it itches' })
  expect(await doubted()).toEqual(['reaction'])
  expect((await house.get('/doubts?leaning=greed')).status).toBe(422)
})
