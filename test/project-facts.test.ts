import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays, type Day } from '#core/calendar/day'
import { ownerActs } from './support/owner-acts'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

const { ago, wear, item, goal, addProject, rollIn, project, stayOf, rollOut, carry, finish, read, code, palette } =
  ownerActs(() => house)

describe('readings', () => {
  test('the first one after a roll-in without any becomes the baseline, and the goal says so at once', async () => {
    const id = await house.item()
    await addProject()
    await rollIn(id, ago(20), { goal: goal({ kind: 'finish', target: null }) })
    expect((await stayOf(id)).goal).toMatchObject({ done: null, baseline: null })
    await read(id, 15, 'dip')
    expect((await stayOf(id)).goal).toMatchObject({ done: 0, baseline: { day: ago(15), late: true } })
    await read(id, 2, 'half bare')
    // (.22 - .68) / (0 - .68), worked by hand.
    expect((await stayOf(id)).goal.done).toBeCloseTo(0.6765, 3)
    expect((await item(id)).goal.done).toBeCloseTo(0.6765, 3)
    // One from before the roll-in, typed in later, is the better baseline.
    await read(id, 30, 'untouched')
    expect((await stayOf(id)).goal).toMatchObject({ baseline: { day: ago(20), late: false } })
  })
  test('of one day the last saved counts, and one after that day’s use comes after one before it', async () => {
    const id = await house.item()
    await read(id, 1, 'dip')
    await read(id, 1, 'first pan')
    expect((await item(id)).reading.stage).toBe('first pan')
    await wear(id, 2)
    await read(id, 2, 'half bare')
    await wear(id, 2, { worn: false })
    await read(id, 2, 'dome gone')
    expect((await house.get(`/items/${id}`)).body.readings.map((each: { stage: string }) => each.stage)).toEqual([
      'dome gone',
      'half bare',
      'dip',
      'first pan',
    ])
  })
  test('a palette follows its shades as soon as one of them is read', async () => {
    const id = await palette('moss', 'bark')
    expect(await item(id)).toMatchObject({ left: null, leftOf: { read: 0, all: 2 } })
    await read(id, 1, 'half bare', 'moss')
    expect(await item(id)).toMatchObject({ left: 0.22, leftOf: { read: 1, all: 2 } })
  })
})

describe('goals settle by what was reached', () => {
  test('what is finished short of its uses is neither behind nor met; by eye it is met', async () => {
    const [counted, eyed] = [await house.item({ shade: 'A' }), await house.item({ shade: 'B' })]
    await addProject('p', { by: addDays(TODAY, 9) })
    await rollIn(counted, ago(20), { goal: goal({ by: { kind: 'project' } }) })
    await rollIn(eyed, ago(20), { goal: goal({ kind: 'hit pan', target: null }) })
    for (const days of [9, 8]) await wear(counted, days)
    for (const id of [counted, eyed]) await finish(id)
    expect((await stayOf(counted)).goal).toMatchObject({ standing: 'ended', met: false, uses: 2 })
    expect((await stayOf(eyed)).goal).toMatchObject({ met: true })
  })
  test('a stay that ended keeps its verdict when the item is finished later', async () => {
    const id = await house.item()
    await addProject()
    await rollIn(id, ago(20), { goal: goal({ kind: 'finish', target: null }) })
    await rollOut(id, ago(5), 'left unfinished')
    await finish(id)
    expect(await stayOf(id)).toMatchObject({ outReason: 'left unfinished', goal: { met: false } })
    expect(await project()).toMatchObject({ reached: 0, onTheGo: 0, left: 1 })
  })
  test('a share goal expired is missed', async () => {
    const id = await house.item()
    await addProject()
    await read(id, 30, 'untouched')
    await rollIn(id, ago(20), { goal: goal({ kind: 'finish', target: null, by: { kind: 'own', day: ago(2) } }) })
    expect((await stayOf(id)).goal.standing).toBe('missed')
  })
  test('three shades of a palette are worn on one day: ten uses of each in 21 days are no overload', async () => {
    const id = await palette('moss', 'bark', 'straw')
    await addProject('p', { by: addDays(TODAY, 20) })
    for (const partId of ['moss', 'bark', 'straw'])
      await house.post('/projects/p/roll-in', {
        stayId: partId,
        itemId: id,
        partId,
        day: TODAY,
        goal: goal({ by: { kind: 'project' } }),
      })
    expect((await project()).overloads).toEqual([])
  })
  test('a project until the last day there is, and none beyond it', async () => {
    const id = await house.item()
    expect((await addProject('p', { by: '2199-12-31' })).status).toBe(200)
    await rollIn(id, ago(5), { goal: goal({ by: { kind: 'project' } }) })
    expect((await stayOf(id)).goal.wearDaysLeft).toBeGreaterThan(60_000)
    const beyond = await addProject('q', { by: '2999-01-01' })
    expect(code(beyond)).toEqual([422, 'invalid', 'by'])
    expect(beyond.body.errors[0].message).toContain('between 1970 and 2199')
  })
})

describe('rolling out and carrying over', () => {
  test('carrying over loses no use, also those after it had rolled out', async () => {
    const id = await house.item()
    await addProject()
    await addProject('q')
    await rollIn(id, ago(30), { goal: goal({ headStart: 2 }) })
    for (const days of [29, 20, 5, 0]) await wear(id, days)
    await rollOut(id, ago(10), 'left unfinished')
    await carry(id, TODAY)
    // Head start 2, uses on three earlier days; the use of today counts from the new stay on.
    expect((await stayOf(id, 'q')).goal).toMatchObject({ headStart: 5, uses: 6, wearsInStay: 1 })
  })
  test('what can’t be is refused in words of its own', async () => {
    const id = await house.item()
    await addProject()
    await addProject('q')
    await rollIn(id, ago(9))
    expect(code(await carry(id, ago(12)))).toEqual([422, 'carried-before-in', 'day'])
    expect(code(await rollOut(id, ago(12), 'left unfinished'))).toEqual([422, 'rolled-out-before-in', 'day'])
    expect(code(await rollOut(id, TODAY, 'finished'))).toEqual([422, 'not-finished-yet', 'reason'])
    expect(code(await rollOut(id, TODAY, 'let go'))).toEqual([422, 'not-let-go-yet', 'reason'])
    const negative = await rollIn(await house.item({ shade: 'B' }), TODAY, { goal: goal({ headStart: -1 }) })
    expect([...code(negative), negative.body.errors[0].message]).toEqual([
      422,
      'invalid',
      'goal.headStart',
      'A head start is 0 uses or more.',
    ])
    for (let days = 9; days >= 0; days -= 1) await wear(id, days)
    expect((await carry(id, TODAY)).status).toBe(200)
    const other = await house.item({ shade: 'C' })
    await rollIn(other, ago(15), { goal: goal({ target: 3 }) })
    for (const days of [9, 8, 7]) await wear(other, days)
    expect((await carry(other, TODAY)).body.code).toBe('carried-though-met')
  })
  test('what rolls in: never what has just rolled out, nothing expired at eye or lip, also of a sweep or the short list', async () => {
    const spoiled = {
      expiry: '2026-01-31' as Day,
      opened: { kind: 'range', earliest: '2024-01-01' as Day, latest: '2024-01-01' as Day, said: '' } as const,
    }
    const lip = { categoryId: 'lipstick', form: 'bullet' } as const
    const out = await house.item({ ...lip, shade: 'Out', liking: 5 })
    const bad = await house.item({ ...lip, ...spoiled, shade: 'Bad' })
    const good = await house.item({ ...lip, shade: 'Good' })
    await addProject()
    await addProject('q', { shape: 'sweep', categoryId: 'lipstick', usesEach: 3 })
    for (const [n, itemId] of [out, bad, good].entries())
      await house.post('/short-list', { id: `l-${n}`, itemId, season: null, words: '' })
    for (const id of ['p', 'q']) {
      const { items } = (await house.get(`/projects/${id}/short-list?replacing=${out}`)).body
      expect(
        items.map((each: { item: { id: string } }) => each.item.id),
        id,
      ).toEqual([good])
    }
  })
  test('counts add up: reached, on the go and left are all there were', async () => {
    const ids = await Promise.all(['A', 'B', 'C', 'D'].map((shade) => house.item({ shade })))
    await addProject()
    for (const id of ids) await rollIn(id, ago(9), { goal: goal({ target: 1 }) })
    for (const id of ids.slice(0, 2)) await wear(id, 3)
    await rollOut(ids[0] ?? '', TODAY, 'met')
    await rollOut(ids[2] ?? '', TODAY, 'left unfinished')
    expect(await project()).toMatchObject({ reached: 2, onTheGo: 1, left: 1 })
    await addProject('empty')
    expect((await house.get('/fronts')).body).toMatchObject({ projects: 2 })
  })
})
