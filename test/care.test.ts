import sharp from 'sharp'
import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays, type Day } from '#core/calendar/day'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())
const item = async (id: string) => (await house.get(`/items/${id}`)).body
const many = (shades: readonly string[]) =>
  Promise.all(shades.map((shade) => house.item({ shade, name: `${shade} blush` })))

test('everything that can be said of an item is kept as it was said', async () => {
  const said = {
    structure: 'duo',
    usedAs: 'highlighter',
    format: 'mini',
    undertone: 'cool',
    depth: 'only mixed',
    seasons: ['autumn', 'winter'],
    availability: 'discontinued',
    spf: 15,
    packageStates: ['cracked', 'cap lost'],
    brushes: 'the fan brush',
    kit: 'the advent box',
  } as const
  const id = await house.item({ ...said, seasons: [...said.seasons], packageStates: [...said.packageStates] })
  expect((await item(id)).item).toMatchObject({ ...said, wornAs: 'highlighter', category: 'blush', makeupOrder: 15 })
  const wrong = await house.post('/items', { id: 'x', fields: { ...(await item(id)).item, spf: 900 }, reading: null })
  expect(wrong.status).toBe(422)
})

test('uses since it was last looked at count the day itself when the look came first', async () => {
  const id = await house.item()
  const wear = (ago: number) => house.post('/wear', { itemId: id, day: addDays(TODAY, -ago), worn: true })
  const look = (ago: number, readingId: string) =>
    house.post(`/items/${id}/readings`, {
      id: readingId,
      partId: null,
      reading: { kind: 'stage', stage: 'dip', day: addDays(TODAY, -ago) },
    })
  expect((await item(id)).sinceReading).toBeNull()
  for (const ago of [6, 3]) await wear(ago)
  // On day 5 nothing was ticked yet: the look came before that day's use.
  await look(5, 'first')
  await wear(5)
  expect((await item(id)).sinceReading).toEqual({ day: addDays(TODAY, -5), uses: 2 })
  // On day 3 the use was ticked already: the look came after it.
  await look(3, 'second')
  expect((await item(id)).sinceReading).toEqual({ day: addDays(TODAY, -3), uses: 0 })
})

test('a pair works or fights, with its ratio seen from either side; the later word holds', async () => {
  const [a = '', b = ''] = await many(['A', 'B'])
  const pair = { otherItemId: b, verdict: 'works', itemAmount: 2, otherAmount: 1, amountUnit: 'pumps', words: '' }
  await house.post(`/items/${a}/pairs`, { id: 'p', ...pair })
  expect((await item(b)).pairs).toMatchObject([
    { otherItemId: a, other: 'Pellwick A blush', itemAmount: 1, otherAmount: 2, amountUnit: 'pumps' },
  ])
  await house.post(`/items/${b}/pairs`, {
    id: 'q',
    otherItemId: a,
    verdict: 'fights',
    itemAmount: null,
    otherAmount: null,
    amountUnit: null,
    words: 'pills',
  })
  expect((await item(a)).pairs).toMatchObject([{ id: 'q', verdict: 'fights' }])
  const alone = await house.post(`/items/${a}/pairs`, { id: 'r', ...pair, otherItemId: a })
  expect(alone.body.errors[0].field).toBe('otherItemId')
  const half = await house.post(`/items/${a}/pairs`, { id: 'r', ...pair, otherAmount: null })
  expect(half.body.errors[0].field).toBe('itemAmount')
})

test('many are changed at once, and one undo takes it all back', async () => {
  const ids = await many(['A', 'B', 'C'])
  const before = house.snapshot()
  const done = await house.post('/edit-many', {
    itemIds: ids.slice(0, 2),
    set: { seasons: ['winter'], liking: 5, categoryId: 'bronzer' },
  })
  const seen = await Promise.all(ids.map(async (id) => (await item(id)).item))
  expect(seen.map((each) => [each.categoryId, each.liking, each.seasons])).toEqual([
    ['bronzer', 5, ['winter']],
    ['bronzer', 5, ['winter']],
    ['blush', null, []],
  ])
  await house.post(`/changes/${done.body.change.id}/take-back`, {})
  expect(house.snapshot()).toBe(before)
  expect((await house.post('/edit-many', { itemIds: ids, set: {} })).status).toBe(422)
  expect((await house.post('/edit-many', { itemIds: ids, set: { categoryId: 'nothing' } })).body.errors[0].field).toBe(
    'categoryId',
  )
})

test('two that are one item: uses on the same day count once, and one undo makes two of it again', async () => {
  const [a = '', b = ''] = await Promise.all([
    house.item({ usesBefore: 4, shade: 'A' }),
    house.item({ usesBefore: 6, shade: 'A' }),
  ])
  for (const [id, ago] of [
    [a, 1],
    [a, 2],
    [b, 2],
    [b, 3],
  ] as const)
    await house.post('/wear', { itemId: id, day: addDays(TODAY, -ago), worn: true })
  await house.post('/drawer/place', { placementId: 'x', itemId: a, zoneId: 'cheeks' })
  await house.post('/drawer/place', { placementId: 'y', itemId: b, zoneId: 'cheeks' })
  await house.post(`/items/${a}/pairs`, {
    id: 'p',
    otherItemId: b,
    verdict: 'works',
    itemAmount: null,
    otherAmount: null,
    amountUnit: null,
    words: '',
  })
  const before = house.snapshot()
  const merged = await house.post('/merge', { keepId: a, dropIds: [b] })
  expect((await item(a)).item).toMatchObject({ wears: 3, uses: 13, placement: { zoneId: 'cheeks' } })
  expect((await house.get(`/items/${b}`)).status).toBe(404)
  await house.post(`/changes/${merged.body.change.id}/take-back`, {})
  expect(house.snapshot()).toBe(before)
  const itself = await house.post('/merge', { keepId: a, dropIds: [a] })
  expect([itself.status, itself.body.code]).toEqual([422, 'merge-with-itself'])
})

test('an item added by mistake is deleted with all that is planned with it, and comes back whole; one with a history is not', async () => {
  const [a = '', b = ''] = await many(['A', 'B'])
  await house.post(`/items/${a}/readings`, {
    id: 'r',
    partId: null,
    reading: { kind: 'stage', stage: 'dip', day: TODAY },
  })
  await house.post('/short-list', { id: 'next', itemId: a, season: null, words: '' })
  await house.post('/drawer/place', { placementId: 'x', itemId: a, zoneId: 'cheeks' })
  const before = house.snapshot()
  const gone = await house.post(`/items/${a}/delete`, {})
  expect(gone.status).toBe(200)
  expect((await house.get(`/items/${a}`)).status).toBe(404)
  expect((await house.get('/collection')).body.items).not.toContain(a)
  await house.post(`/changes/${gone.body.change.id}/take-back`, {})
  expect(house.snapshot()).toBe(before)
  await house.post('/wear', { itemId: b, day: TODAY, worn: true })
  const { status, body } = await house.post(`/items/${b}/delete`, {})
  expect([status, body.code]).toEqual([409, 'item-has-history'])
  expect(body.detail).toContain('1 tick.')
})

test('the quiz: a rough opening is saved for each, as one change', async () => {
  const [a = '', b = ''] = await many(['A', 'B'])
  const range = { kind: 'range', earliest: '2024-01-01', latest: '2024-12-31', said: '2024' }
  await house.post('/openings', {
    answers: [
      { itemId: a, opened: range },
      { itemId: b, opened: { kind: 'unopened' } },
    ],
  })
  expect((await item(a)).item.opened).toEqual(range)
  expect((await item(b)).item.lifecycle).toBe('unopened')
  const ahead = await house.post('/openings', {
    answers: [{ itemId: a, opened: { ...range, earliest: '2042-01-01', latest: '2042-01-01' } }],
  })
  expect(ahead.body.code).toBe('opened-in-future')
})

test('put somewhere it leaves the drawer, and comes back to mind on its day', async () => {
  const id = await house.item()
  await house.post('/drawer/place', { placementId: 'x', itemId: id, zoneId: 'cheeks' })
  await house.post(`/items/${id}/put`, { location: 'season box', until: addDays(TODAY, 1) })
  expect((await item(id)).item).toMatchObject({
    placement: null,
    location: 'season box',
    restingUntil: addDays(TODAY, 1),
  })
  expect((await house.get('/laying')).body.comeBack).toEqual([])
  house.setClock(new Date(2026, 10, 25, 12))
  expect((await house.get('/laying')).body.comeBack).toMatchObject([{ id }])
})

test('a category of her own is one like the others; names are hers, and given once', async () => {
  const fields = {
    name: 'Glitter gel',
    makeup: true,
    zoneId: 'eyes',
    usualForm: 'pot',
    modelType: 'other',
    eye: true,
    lip: false,
  }
  await house.post('/categories', { id: 'glitter', ...fields })
  const id = await house.item({ categoryId: 'glitter', form: 'pot' })
  expect((await item(id)).item).toMatchObject({ category: 'Glitter gel', eye: true, homeZoneId: 'eyes' })
  expect((await house.put('/categories/blush', { ...fields, name: 'glitter GEL' })).body.errors[0].field).toBe('name')
  await house.put('/categories/glitter', { ...fields, name: 'Sparkle' })
  expect((await item(id)).item.category).toBe('Sparkle')
})

describe('pictures', () => {
  const send = async (id: string, body: Buffer, photoId = 'ph') => {
    const query = `changeId=${house.id('c')}&photoId=${photoId}&day=${TODAY}`
    const response = await fetch(`http://127.0.0.1:${house.port}/api/items/${id}/photos?${query}`, {
      method: 'POST',
      headers: { 'Content-Type': 'image/jpeg' },
      body: new Uint8Array(body),
    })
    return { status: response.status, body: (await response.json()) as { code?: string } }
  }
  test('are turned upright, shrunk, and lose where they were taken', async () => {
    const id = await house.item()
    // Sideways, with a place in its EXIF, as phones write it.
    const photo = await sharp({ create: { width: 2400, height: 1200, channels: 3, background: '#c7747a' } })
      .withExif({ IFD0: { Copyright: 'nobody' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer()
    expect((await sharp(photo).metadata()).exif).toBeDefined()
    expect((await send(id, photo)).status).toBe(200)
    expect((await item(id)).photos).toEqual([{ id: 'ph', day: TODAY, width: 800, height: 1600, words: '' }])
    const kept = Buffer.from(await (await fetch(`http://127.0.0.1:${house.port}/api/photos/ph`)).arrayBuffer())
    const metadata = await sharp(kept).metadata()
    expect([metadata.width, metadata.height, metadata.exif, metadata.orientation]).toEqual([
      800,
      1600,
      undefined,
      undefined,
    ])
  })
  test('what is no picture is refused, and a removed one can be undone', async () => {
    const id = await house.item()
    expect((await send(id, Buffer.from('not a picture'))).body.code).toBe('not-a-picture')
    await send(
      id,
      await sharp({ create: { width: 20, height: 20, channels: 3, background: '#000' } })
        .png()
        .toBuffer(),
    )
    const removed = await house.post('/photos/ph/drop', {})
    expect((await fetch(`http://127.0.0.1:${house.port}/api/photos/ph`)).status).toBe(404)
    expect(readdirSync(join(house.folder, 'photos'))).toEqual([expect.stringMatching(/^[0-9a-f]{64}\.jpg$/)])
    await house.post(`/changes/${removed.body.change.id}/take-back`, {})
    expect((await fetch(`http://127.0.0.1:${house.port}/api/photos/ph`)).status).toBe(200)
  })
})

describe('laying the drawer for a season', () => {
  const start = async () => {
    const [lies = '', summer = '', listed = ''] = await Promise.all([
      house.item({ shade: 'Lies', brushes: 'the small brush' }),
      house.item({ shade: 'Winter', seasons: ['winter'] }),
      house.item({ shade: 'Listed' }),
      house.item({ shade: 'Other', seasons: ['summer'] }),
      house.item({ shade: 'Gone off', seasons: ['winter'], expiry: addDays(TODAY, -200) }),
    ])
    await house.post('/drawer/place', { placementId: 'x', itemId: lies, zoneId: 'cheeks' })
    await house.post('/short-list', { id: 'sl', itemId: listed, season: 'winter', words: '' })
    await house.post('/laying', { id: 'l', season: 'winter' })
    return { lies, summer, listed }
  }
  const choose = (itemId: string, choice: string, until: Day | null = null) =>
    house.post('/laying/l/choose', { itemId, choice, until })

  test('looks at the drawer and the candidates only, is resumed where it stopped, and takes effect at its end', async () => {
    const { lies, summer, listed } = await start()
    expect(
      (await house.get('/laying')).body.candidates
        .map((each: { item: { shade: string }; why: string }) => [each.item.shade, each.why])
        .sort(),
    ).toEqual([
      ['Lies', 'in the drawer'],
      ['Listed', 'on the short list'],
      ['Winter', 'of the season'],
    ])
    await choose(lies, 'put away', addDays(TODAY, 200))
    await choose(summer, 'comes in')
    await choose(listed, 'doubtful')
    expect((await item(lies)).item.placement).not.toBeNull()
    expect(
      (await house.get('/laying')).body.candidates.filter((each: { choice: string | null }) => each.choice === null),
    ).toEqual([])
    const closed = await house.post('/laying/l/close', {})
    expect(closed.body).toMatchObject({ noRoom: [], brushes: { out: ['the small brush'], in: [] } })
    expect((await item(lies)).item).toMatchObject({
      placement: null,
      location: 'season box',
      restingUntil: addDays(TODAY, 200),
    })
    expect((await item(summer)).item.placement).toMatchObject({ zoneId: 'cheeks' })
    expect((await item(listed)).item).toMatchObject({ onTrial: true, placement: { zoneId: 'cheeks' } })
    // A past layout against the one of today.
    expect((await house.get(`/layouts/${addDays(TODAY, -1)}`)).body).toMatchObject({ went: [], came: [summer, listed] })
  })
  test('what finds no slot is named and stays out; what is put away needs its day', async () => {
    const { summer } = await start()
    await house.put('/zones/cheeks', { name: 'Cheeks', slots: 1 })
    await choose(summer, 'comes in')
    expect((await choose(summer, 'put away')).body.errors[0].field).toBe('until')
    expect((await house.post('/laying/l/close', {})).body.noRoom).toEqual(['Pellwick Winter blush'])
    expect((await house.post('/laying/l/close', {})).body.code).toBe('no-laying')
  })
  test('a tall item doesn’t close the lid: it stands beside and takes no slot', async () => {
    const tall = await house.item({ packageStates: ['too tall for the drawer'] })
    expect((await house.post('/drawer/place', { placementId: 'x', itemId: tall, zoneId: 'cheeks' })).body.code).toBe(
      'too-tall',
    )
    await house.post('/drawer/place', { placementId: 'x', itemId: tall, zoneId: 'cheeks', beside: true })
    const cheeks = (await house.get('/today')).body.zones.find((zone: { id: string }) => zone.id === 'cheeks')
    expect(cheeks).toMatchObject({ taken: 0, itemIds: [tall] })
  })
  test('more rivals than wear days can feed are told', async () => {
    await house.put('/settings', {
      version: 0,
      settings: {
        currency: 'EUR',
        rollOverHour: 4,
        plannedWeek: [true, false, false, true, false, false, true],
        units: 'metric',
        scaleStep: 0.1,
        scaleCapacity: null,
        leaning: 'thrift',
        hemisphere: 'north',
      },
    })
    for (const [n, id] of (await many(['A', 'B', 'C'])).entries())
      await house.post('/drawer/place', { placementId: `x${n}`, itemId: id, zoneId: 'cheeks' })
    const { rivalries } = (await house.get('/laying')).body
    expect(rivalries).toMatchObject([{ category: 'blush', items: 3 }])
    // Three wear days a week, 4.348 weeks a month, shared by three.
    expect(rivalries[0].usesEach).toBeCloseTo(4.348, 3)
  })
})

test('days away and low seasons move the notch: lost time shows', async () => {
  const id = await house.item()
  await house.post('/projects', {
    id: 'p',
    name: 'P',
    startedOn: addDays(TODAY, -20),
    by: addDays(TODAY, 20),
    finishesWanted: null,
    rules: '',
  })
  const goal = { kind: 'uses', target: 20, headStart: 0, by: { kind: 'project' } }
  await house.post('/projects/p/roll-in', { stayId: 's', itemId: id, day: addDays(TODAY, -20), goal })
  const left = async (): Promise<number> => (await item(id)).item.goal.wearDaysLeft
  expect(await left()).toBe(21)
  await house.post('/away', { id: 'a', earliest: addDays(TODAY, 1), latest: addDays(TODAY, 10), words: '' })
  expect(await left()).toBeCloseTo(11 + 10 * 0.15, 9)
  await house.post('/low-seasons', { id: 'l', from: '12-05', to: '01-05', factor: 0.5, words: '' })
  // 5 to 14 December are half days: two of the eleven fall before, ten days of the rest halve.
  expect(await left()).toBeCloseTo(10 * 0.15 + 1 + 10 * 0.5, 9)
  const wrong = await house.post('/low-seasons', { id: 'm', from: '13-40', to: '01-05', factor: 2, words: '' })
  expect(wrong.body.errors.map((each: { field: string }) => each.field)).toEqual(['from', 'factor'])
})
