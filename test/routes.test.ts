import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays } from '#core/calendar/day'
import { shadeFields } from './support/fields'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

const goal = (over: object = {}) => ({ kind: 'uses', target: 3, headStart: 0, by: { kind: 'none' }, ...over })
const newProject = async (over: object = {}): Promise<string> => {
  const id = house.id('project')
  const body = {
    id,
    name: 'Ten by the centenary',
    startedOn: addDays(TODAY, -30),
    by: addDays(TODAY, 30),
    finishesWanted: 10,
    rules: '',
  }
  expect((await house.post('/projects', { ...body, ...over })).status).toBe(200)
  return id
}
const wear = (itemId: string, back: number) => house.post('/wear', { itemId, day: addDays(TODAY, -back), worn: true })

describe('a day', () => {
  test('two ticks of an item are one wear; taking back sets the state', async () => {
    const itemId = await house.item()
    await wear(itemId, 0)
    await wear(itemId, 0)
    await house.post('/wear', { itemId, day: TODAY, worn: true })
    expect((await house.get(`/items/${itemId}`)).body.item.wears).toBe(1)
    await house.post('/wear', { itemId, day: TODAY, worn: false })
    expect((await house.get(`/items/${itemId}`)).body.item.wears).toBe(0)
  })

  test('two shades of a palette are one use of it and one of each shade', async () => {
    const part = (id: string, col: number) => shadeFields(id, id, col)
    const itemId = await house.item({
      categoryId: 'eyeshadow-palette',
      parts: [part('moss', 1), part('bark', 2), part('dusk', 3)],
    })
    await house.post('/wear', { itemId, day: TODAY, worn: true, partIds: ['moss', 'bark'] })
    await house.post('/wear', { itemId, day: addDays(TODAY, -1), worn: true, partIds: [] })
    const { item } = (await house.get(`/items/${itemId}`)).body
    expect(item.uses).toBe(2)
    expect(item.parts.map((each: { uses: number }) => each.uses)).toEqual([1, 1, 0])
  })

  test('no makeup and a ticked lipstick contradict each other; sunscreen is no makeup', async () => {
    const blush = await house.item()
    const screen = await house.item({ name: 'Awning', shade: '', categoryId: 'sunscreen', form: 'tube' })
    expect((await house.post('/no-makeup', { day: TODAY, noMakeup: true })).status).toBe(200)
    await house.post('/wear', { itemId: screen, day: TODAY, worn: true })
    expect((await house.get('/today')).body.noMakeup).toBe(true)
    await house.post('/wear', { itemId: blush, day: TODAY, worn: true })
    expect((await house.get('/today')).body.noMakeup).toBe(false)
    const refused = await house.post('/no-makeup', { day: TODAY, noMakeup: true })
    expect([refused.status, refused.body.code]).toEqual([409, 'makeup-worn'])
  })

  test('the same as last adds what was worn, passes over what has left, and is one change', async () => {
    const [a, b] = [await house.item(), await house.item({ shade: 'Fig', name: 'Fig' })]
    await wear(a, 3)
    await wear(b, 3)
    await house.post(`/items/${b}/finish`, {
      reviewId: 'r',
      day: addDays(TODAY, -1),
      wouldBuyAgain: 'yes',
      words: '',
      packageGoes: null,
    })
    const [last] = (await house.get('/today')).body.earlierLooks
    expect(last).toEqual({ like: 'last', day: addDays(TODAY, -3), itemIds: [a], gone: 1 })
    const same = await house.post('/face', { day: TODAY, itemIds: [a, b] })
    expect(same.body.worn.map((each: { itemId: string }) => each.itemId)).toEqual([a])
    await house.post(`/changes/${same.body.change.id}/take-back`, {})
    expect((await house.get('/today')).body.worn).toEqual([])
  })

  test('an item that nobody said was opened can be finished all the same', async () => {
    const itemId = await house.item({ opened: { kind: 'unopened' } })
    const done = await house.post(`/items/${itemId}/finish`, {
      reviewId: 'r',
      day: TODAY,
      wouldBuyAgain: 'maybe',
      words: '',
      packageGoes: null,
    })
    expect(done.status).toBe(200)
    expect((await house.get(`/items/${itemId}`)).body.item).toMatchObject({
      lifecycle: 'finished',
      opening: { kind: 'unknown', notAfter: TODAY },
    })
  })

  test('wearing an unopened item opens it on the day of its first wear, and taking that back closes it', async () => {
    const itemId = await house.item({ opened: { kind: 'unopened' } })
    await wear(itemId, 2)
    const day = addDays(TODAY, -2)
    expect((await house.get(`/items/${itemId}`)).body.item).toMatchObject({
      lifecycle: 'open',
      opened: { kind: 'unopened' },
      opening: { kind: 'range', by: 'tick', within: { earliest: day, latest: day } },
    })
    await wear(itemId, 9)
    expect((await house.get(`/items/${itemId}`)).body.item.opening.within.earliest).toBe(addDays(TODAY, -9))
    for (const ago of [2, 9]) await house.post('/wear', { itemId, day: addDays(TODAY, -ago), worn: false })
    expect((await house.get(`/items/${itemId}`)).body.item.lifecycle).toBe('unopened')
  })

  test('it begins at the roll-over hour', async () => {
    house.setClock(new Date(2027, 0, 1, 2))
    expect((await house.get('/today')).body.today).toBe('2026-12-31')
    house.setClock(new Date(2027, 0, 1, 5))
    expect((await house.get('/today')).body.today).toBe('2027-01-01')
  })
})

describe('the drawer', () => {
  test('holds as much as its slots, in her order, each item in one zone', async () => {
    await house.put('/zones/cheeks', { name: 'Cheeks', slots: 2 })
    const ids = [
      await house.item(),
      await house.item({ shade: 'Fig', name: 'Fig' }),
      await house.item({ shade: 'Oat', name: 'Oat' }),
    ]
    const place = (itemId: string | undefined, zoneId: string) =>
      house.post('/drawer/place', { placementId: house.id('pl'), itemId, zoneId })
    await place(ids[0], 'cheeks')
    await place(ids[1], 'cheeks')
    expect((await place(ids[2], 'cheeks')).body.code).toBe('zone-full')
    await place(ids[0], 'lips')
    await place(ids[2], 'cheeks')
    await house.post('/drawer/reorder', { zoneId: 'cheeks', itemIds: [ids[2], ids[1]] })
    const zones = (await house.get('/today')).body.zones as { id: string; itemIds: string[]; taken: number }[]
    expect(zones.find((zone) => zone.id === 'cheeks')).toMatchObject({ itemIds: [ids[2], ids[1]], taken: 2 })
    expect(zones.find((zone) => zone.id === 'lips')?.itemIds).toEqual([ids[0]])
  })
})

describe('a rolling project', () => {
  test('counts head start and wears from the roll-in day on; a met goal rolls out and makes room', async () => {
    const projectId = await newProject()
    const [itemId, next] = [
      await house.item({ usesBefore: 9 }),
      await house.item({ shade: 'Fig', name: 'Fig', expiry: addDays(TODAY, 40) }),
    ]
    await wear(itemId, 6)
    const rolledIn = await house.post(`/projects/${projectId}/roll-in`, {
      stayId: 's',
      itemId,
      day: addDays(TODAY, -5),
      goal: goal({ target: 4, headStart: 2 }),
    })
    expect(rolledIn.status).toBe(200)
    await wear(itemId, 5)
    const early = await house.post('/stays/s/roll-out', { day: TODAY, reason: 'met', words: '' })
    expect(early.body.code).toBe('goal-not-met')
    const met = await wear(itemId, 0)
    const stay = (await house.get('/projects')).body.projects[0].stays[0]
    expect(stay.goal).toMatchObject({ uses: 4, headStart: 2, wearsInStay: 2, met: true, done: 1 })
    expect((await house.get(`/items/${itemId}`)).body.item.uses).toBe(12)
    expect((await house.post('/stays/s/roll-out', { day: TODAY, reason: 'met', words: '' })).status).toBe(200)
    const list = (await house.get(`/projects/${projectId}/short-list?replacing=${itemId}`)).body.items
    expect(list[0]).toMatchObject({ item: { id: next }, sameCategory: true, reasons: [{ code: 'expires' }] })
    // Taking back the wear that met the goal leaves the roll-out standing.
    await house.post(`/changes/${met.body.change.id}/take-back`, {})
    expect((await house.get('/projects')).body.projects[0]).toMatchObject({
      reached: 1,
      stays: [{ rolledOut: TODAY, goal: { met: false } }],
    })
  })

  test.each([
    ['twice at a time', goal(), 'already-in-project'],
    ['with a head start past the goal', goal({ headStart: 3 }), 'head-start-too-big'],
    ['by a day before it began', goal({ by: { kind: 'own', day: addDays(TODAY, -9) } }), 'by-before-start'],
  ])('refuses an item %s', async (_, wanted, code) => {
    const projectId = await newProject()
    const itemId = await house.item()
    const rollIn = (stayId: string, g: object) =>
      house.post(`/projects/${projectId}/roll-in`, { stayId, itemId, day: TODAY, goal: g })
    if (code === 'already-in-project') await rollIn('first', goal())
    expect((await rollIn('second', wanted)).body.code).toBe(code)
  })

  test('says at once what can’t be met by its date', async () => {
    const projectId = await newProject({ by: addDays(TODAY, 5) })
    const itemId = await house.item()
    await house.post(`/projects/${projectId}/roll-in`, {
      stayId: 's',
      itemId,
      day: TODAY,
      goal: goal({ target: 60, by: { kind: 'project' } }),
    })
    const { goal: shown } = (await house.get(`/items/${itemId}`)).body.item
    // Six wear days from today to the date, at one use a day.
    expect(shown).toMatchObject({
      standing: 'out of reach',
      wearDaysLeft: 6,
      rescue: { smallerGoal: 6 },
    })
  })
})

describe('endings', () => {
  test('an empty leaves the drawer, keeps its history and its review; its stay waits to be rolled out', async () => {
    const projectId = await newProject()
    const itemId = await house.item({
      opened: { kind: 'range', earliest: addDays(TODAY, -100), latest: addDays(TODAY, -90), said: 'x' },
    })
    await wear(itemId, 1)
    await house.post('/drawer/place', { placementId: 'p', itemId, zoneId: 'cheeks' })
    await house.post(`/projects/${projectId}/roll-in`, {
      stayId: 's',
      itemId,
      day: TODAY,
      goal: goal({ kind: 'finish', target: null }),
    })
    const finish = (day: string) =>
      house.post(`/items/${itemId}/finish`, {
        reviewId: 'r',
        day,
        wouldBuyAgain: 'maybe',
        words: 'Fine.',
        packageGoes: 'recycle',
      })
    expect((await finish(addDays(TODAY, -2))).body.code).toBe('finished-before-last-wear')
    expect((await finish(TODAY)).status).toBe(200)
    const { empties } = (await house.get('/empties')).body
    expect(empties).toHaveLength(1)
    expect(empties[0]).toMatchObject({
      day: TODAY,
      words: 'Fine.',
      daysInUse: { least: 90, most: 100 },
      item: { uses: 1, lifecycle: 'finished', placement: null },
    })
    expect((await house.get('/projects')).body.projects[0].stays[0]).toMatchObject({
      rolledOut: null,
      goal: { met: true },
    })
    expect(await house.listed()).toEqual([])
    const late = await house.post('/wear', { itemId, day: TODAY, worn: true })
    expect(late.status).toBe(200)
    expect((await finish(TODAY)).body.code).toBe('item-ended')
  })

  test('a trial ends in letting go: hygiene limits where, the history stays', async () => {
    const itemId = await house.item({ categoryId: 'lipstick', form: 'bullet' })
    await house.post('/trials', {
      trialId: 't',
      itemId,
      wearsWanted: 1,
      dueOn: addDays(TODAY, 20),
      question: 'Does it feather?',
    })
    expect(
      (await house.post('/trials', { trialId: 't2', itemId, wearsWanted: 1, dueOn: addDays(TODAY, 20), question: '' }))
        .body.code,
    ).toBe('already-on-trial')
    await wear(itemId, 0)
    const trial = (await house.get('/decide')).body.trials[0]
    // It was worn without ever lying in the drawer: of chances there were none.
    expect(trial).toMatchObject({ wears: 1, standing: 'worn enough', decisionDue: true, chances: 0 })
    expect(trial.destinations).not.toContain('give')
    const verdict = { itemId, trialId: 't', verdict: 'let go', reason: 'It feathers.', until: null, usedAs: null }
    expect((await house.post('/verdicts', { ...verdict, verdictId: 'v', destination: 'give' })).body.code).toBe(
      'destination-refused',
    )
    expect((await house.post('/verdicts', { ...verdict, verdictId: 'v', destination: 'bin' })).status).toBe(200)
    expect((await house.get(`/items/${itemId}`)).body).toMatchObject({
      item: { lifecycle: 'left', wears: 1, onTrial: false },
    })
    expect((await house.get('/decide')).body).toMatchObject({
      trials: [],
      verdicts: [{ verdict: 'let go', destination: 'bin' }],
    })
  })

  test('resting until a date takes it out of the drawer', async () => {
    const itemId = await house.item()
    await house.post('/drawer/place', { placementId: 'p', itemId, zoneId: 'cheeks' })
    const until = addDays(TODAY, 60)
    await house.post('/verdicts', {
      verdictId: 'v',
      itemId,
      trialId: null,
      verdict: 'rest until a date',
      reason: '',
      destination: null,
      until,
      usedAs: null,
    })
    expect((await house.get(`/items/${itemId}`)).body.item).toMatchObject({ placement: null, restingUntil: until })
  })
})

test('what was never worn is doubtful only once the log is long enough to tell', async () => {
  const [idle, worn] = [await house.item(), await house.item({ shade: 'Fig', name: 'Fig' })]
  await wear(worn, 10)
  expect((await house.get('/doubts')).body.inDoubt).toEqual([])
  await wear(worn, 200)
  const { inDoubt } = (await house.get('/doubts')).body
  expect(inDoubt.map((row: { item: { id: string } }) => row.item.id)).toEqual([idle])
})

test('a gift has no price, and a backup is an unopened item beside an open one', async () => {
  const open = await house.item({ source: 'gift', priceMinor: 500 })
  const backup = await house.item({ opened: { kind: 'unopened' } })
  expect((await house.get(`/items/${open}`)).body.item).toMatchObject({ priceMinor: null, backups: 1, isBackup: false })
  expect((await house.get(`/items/${backup}`)).body.item).toMatchObject({ isBackup: true, backups: 0 })
})

test('the export holds every row with its id', async () => {
  const itemId = await house.item()
  await wear(itemId, 1)
  const { body } = await house.get('/export')
  expect(body).toMatchObject({ format: 'seligo collection', version: 12 })
  expect(body.tables.item.map((row: { id: string }) => row.id)).toEqual([itemId])
  expect(body.tables.wear).toHaveLength(1)
  expect(body.tables.category.length).toBeGreaterThan(40)
})
