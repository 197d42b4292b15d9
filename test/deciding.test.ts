import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import type { DecideAnswer } from '#contract/ending'
import type { FeelingsAnswer, LettingGoAnswer, TogetherAnswer } from '#contract/deciding'
import { decidingActs, OLD, SOON } from './support/deciding-acts'
import { ago, GOAL, PROJECT } from './support/long-used'
import { ownerActs } from './support/owner-acts'
import { TestHouse, TODAY, type Answer } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())
const { wear, item, code } = ownerActs(() => house)
const { trials, verdict, read, undo } = decidingActs(() => house)

describe('trials of several in one look', () => {
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
    const { trials: running } = await read<DecideAnswer>('/decide')
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
    expect((await read<DecideAnswer>('/decide')).trials.map((trial) => trial.item.id)).toEqual([b])
  })

  test('all or none: one that can’t be refuses them all; a due date must come', async () => {
    const [a, b] = [await house.item(), await house.item({ name: 'Fig', shade: 'Fig' })]
    await verdict(b, 'let go')
    expect(code(await trials([a, b]))[1]).toBe('item-ended')
    expect(code(await trials([a], { dueOn: TODAY }))).toEqual([422, 'due-in-past', 'dueOn'])
    expect((await read<DecideAnswer>('/decide')).trials).toEqual([])
    await trials([a])
    expect(code(await trials([a], { trials: [{ trialId: 'other', itemId: a }] }))[1]).toBe('already-on-trial')
  })

  test('let go meanwhile ends its trial, and no verdict is given on what is gone', async () => {
    const a = await house.item()
    await trials([a])
    await verdict(a, 'let go')
    expect((await read<DecideAnswer>('/decide')).trials).toEqual([])
    expect(code(await verdict(a, 'keep', { trialId: `t-${a}` }))[1]).toBe('item-ended')
  })
})

describe('a verdict does what it says, and all of it is undone at once', () => {
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
    const [running, ...rest] = (await read<DecideAnswer>('/decide')).trials
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
    const { waiting, gone, reasons } = await read<LettingGoAnswer>('/letting-go')
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
    expect((await read<LettingGoAnswer>('/letting-go')).waiting).toEqual([])
    await house.post('/verdicts/va/regret', { day: TODAY, words: 'that red' })
    const rued = (await read<LettingGoAnswer>('/letting-go')).gone.find(({ verdictId }) => verdictId === 'va')
    expect(rued).toMatchObject({ regretOn: TODAY, regretWords: 'that red' })
    await house.post('/verdicts/va/regret', { day: null, words: '' })
    expect(
      (await read<LettingGoAnswer>('/letting-go')).gone.find(({ verdictId }) => verdictId === 'va')?.regretOn,
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
    const on = async (): Promise<FeelingsAnswer['worn']> => (await read<FeelingsAnswer>(`/feelings?day=${TODAY}`)).worn
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
    expect((await read<FeelingsAnswer>(`/feelings?day=${TODAY}`)).worn[0]?.felt).toHaveLength(2)
    expect((await read<FeelingsAnswer>(`/feelings?day=${ago(1)}`)).worn).toMatchObject([{ itemId: a }])
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
    const together = await read<TogetherAnswer>(`/items/${a}/together`)
    expect(together.learned).toMatchObject([{ otherId: b, days: 3, verdict: 'works', felt: { good: 3 } }])
    const ratio = { itemAmount: 2, otherAmount: 1, amountUnit: 'pumps' }
    await house.post(`/items/${a}/pairs`, { id: 'pair', otherItemId: b, verdict: 'works', ...ratio, words: '' })
    expect((await read<TogetherAnswer>(`/items/${a}/together`)).learned).toEqual([])
    expect(code(await house.post('/wear/mixed', { mixId: 'm', day: SOON, pairId: 'pair' }))[1]).toBe('day-in-future')
    expect(code(await house.post('/wear/mixed', { mixId: 'm', day: TODAY, pairId: 'none' }))[1]).toBe('no-recipe')
    await house.post('/wear/mixed', { mixId: 'm', day: TODAY, pairId: 'pair' })
    const { worn } = (await house.get('/today')).body
    expect(worn).toMatchObject([
      { amount: expect.any(Number), amountUnit: 'pumps', mix: { ratio: '2 to 1 pumps' } },
      { mix: { itemIds: expect.arrayContaining([a, b]) } },
    ])
  })
})
