import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays, type Day } from '#core/calendar/day'
import { maskText } from '#core/measure/mask-text'
import { shadeFields } from './support/fields'
import { FIELDS, TestHouse, TODAY, type Answer } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())
const ago = (days: number): Day => addDays(TODAY, -days)
const item = async (id: string) => (await house.get(`/items/${id}`)).body
const read = (id: string, reading: object, over: object = {}): Promise<Answer> =>
  house.post(`/items/${id}/readings`, { id: house.id('r'), partId: null, reading: { day: TODAY, ...reading }, ...over })
const weigh = (id: string, grams: number, day: Day = TODAY) => read(id, { kind: 'gross', grams, resolution: 0.1, day })
const happen = (id: string, kind: string, over: object = {}) =>
  house.post(`/items/${id}/events`, {
    id: house.id('e'),
    partId: null,
    day: TODAY,
    kind,
    grams: null,
    share: null,
    containerId: null,
    words: '',
    ...over,
  })
const wear = (id: string, ...days: number[]) =>
  Promise.all(days.map((each) => house.post('/wear', { itemId: id, day: ago(each), worn: true, despite: true })))
const NEW = { usesBefore: 0, content: { amount: 9, unit: 'g' as const } }

describe('a reading of any type', () => {
  test('is kept with its precision, its doubt and its note, several on a day', async () => {
    const id = await house.item(NEW)
    await weigh(id, 48.2, ago(3))
    await read(id, { kind: 'stage', stage: 'dip', doubtful: true, note: 'poor light' })
    await read(id, { kind: 'bare', value: 0.06, how: 'her word' })
    const { readings } = await item(id)
    expect(readings.map((each: { kind: string; day: string }) => [each.kind, each.day])).toEqual([
      ['gross', ago(3)],
      ['stage', TODAY],
      ['bare', TODAY],
    ])
    expect(readings[1]).toMatchObject({ doubtful: true, note: 'poor light' })
    expect(readings[0]).toMatchObject({ value: 48.2, resolution: 0.1, series: 0 })
  })
  test('a length in mm is told as a share of a new one; a word stands for a level', async () => {
    const pencil = await house.item({ name: 'Soot', form: 'wooden pencil', categoryId: 'eyeliner' })
    await read(pencil, { kind: 'length', value: 0.625, mm: 100, ofMm: 160 })
    expect((await item(pencil)).item.reading).toMatchObject({ kind: 'length', value: 0.625 })
    const wand = await house.item({ name: 'Quay', form: 'wand', categoryId: 'mascara', opaque: true })
    await read(wand, { kind: 'word', word: 'scraping the sides', how: 'her word' })
    expect((await item(wand)).item).toMatchObject({ left: 0.12, reading: { word: 'scraping the sides' } })
  })
  test.each<[string, object, string]>([
    ['a level over 100 %', { kind: 'bare', value: 1.2 }, 'reading.value'],
    ['a negative weight', { kind: 'gross', grams: -4, resolution: 0.1 }, 'reading.grams'],
    ['a weight no table carries', { kind: 'gross', grams: 48_200, resolution: 0.1 }, 'reading.grams'],
    ['a day to come', { kind: 'gross', grams: 48, resolution: 0.1, day: addDays(TODAY, 1) }, 'day'],
    ['a day before it came', { kind: 'gross', grams: 48, resolution: 0.1, day: ago(900) }, 'day'],
    ['a pan that was used before it was opened', { kind: 'stage', stage: 'first pan', day: ago(50) }, 'day'],
    ['a measure that its form doesn’t show', { kind: 'level', value: 0.5 }, 'reading.kind'],
  ])('%s is refused at its field, and nothing is saved', async (_, reading, field) => {
    const opened = { kind: 'range', earliest: ago(30), latest: ago(30), said: 'a month ago' } as const
    const id = await house.item({ ...NEW, acquired: { earliest: ago(60), latest: ago(60) }, opened })
    const answer = await read(id, reading)
    expect([answer.status, answer.body.errors[0].field]).toEqual([422, field])
    expect((await item(id)).readings).toEqual([])
  })
  test('correcting keeps the old value in the history and knows of another window', async () => {
    const id = await house.item(NEW)
    await weigh(id, 48.2)
    const [before] = (await item(id)).readings
    const put = (version: number, grams: number) =>
      house.put(`/readings/${before.id}`, { version, reading: { kind: 'gross', grams, resolution: 0.1, day: TODAY } })
    const done = await put(before.version, 44.2)
    expect((await put(before.version, 45)).body.code).toBe('stale')
    expect((await item(id)).readings[0]).toMatchObject({ value: 44.2, version: before.version + 1 })
    await house.post(`/changes/${done.body.change.id}/take-back`, {})
    expect((await item(id)).readings[0].value).toBe(48.2)
  })
})

describe('a reading that contradicts the one before', () => {
  test('is accepted and flagged; the cause she says settles it', async () => {
    const id = await house.item(NEW)
    await weigh(id, 44, ago(20))
    expect((await weigh(id, 47, ago(10))).status).toBe(200)
    const [, heavier] = (await item(id)).readings
    expect(heavier.doubts.map((each: { code: string }) => each.code)).toEqual(['heavier than before'])
    await house.post(`/readings/${heavier.id}/cause`, { cause: 'typing', eventId: 'unused' })
    const after = await item(id)
    expect(after.readings[1]).toMatchObject({ doubtful: true, cause: 'typing', doubts: [] })
    expect(after.packageEvents).toEqual([])
  })
  test('repressed or put into another package: it begins a new series just before the reading', async () => {
    const id = await house.item(NEW)
    await weigh(id, 44, ago(20))
    await weigh(id, 60, ago(10))
    const heavier = (await item(id)).readings[1]
    await house.post(`/readings/${heavier.id}/cause`, { cause: 'other package', eventId: 'moved' })
    const after = await item(id)
    expect(after.packageEvents).toMatchObject([{ id: 'moved', kind: 'decanted', day: ago(10) }])
    expect(after.readings.map((each: { series: number }) => each.series)).toEqual([0, 1])
    expect(after.readings[1]).toMatchObject({ doubtful: false, doubts: [] })
  })
  test.each([
    ['ounces taken for grams', 1.55, 'looks like ounces'],
    ['ten times too heavy', 440, 'ten times too heavy'],
  ])('%s is seen by what it weighed before', async (_, grams, code) => {
    const id = await house.item(NEW)
    await weigh(id, 44, ago(20))
    await weigh(id, grams)
    expect((await item(id)).readings[1].doubts[0].code).toBe(code)
  })
  test('pressed anew, a pan may look like more again', async () => {
    const id = await house.item(NEW)
    await read(id, { kind: 'stage', stage: 'half bare', day: ago(20) })
    await happen(id, 'repressed', { day: ago(10) })
    await read(id, { kind: 'stage', stage: 'untouched', day: ago(9) })
    expect((await item(id)).readings[1].doubts).toEqual([])
  })
})

describe('what is left', () => {
  /** New at 48.2 g, a cleaned empty of the kind 39.2 g, label 9 g, now 44.0 g: 4.8 g above the empty, .36 of it out of reach. */
  test('follows weight, empty and label; any shade of its type brings the empty', async () => {
    const id = await house.item({ ...NEW, acquired: { earliest: ago(200), latest: ago(200) } })
    const twin = await house.item({ ...NEW, shade: 'Another shade' })
    await house.post(`/items/${twin}/package-weights`, {
      id: 'w',
      state: 'cleaned',
      grams: 39.2,
      resolution: 0.1,
      day: ago(60),
    })
    await weigh(id, 48.2, ago(190))
    await wear(id, ...Array.from({ length: 60 }, (_, n) => 3 + 3 * n))
    await weigh(id, 44)
    const { content, item: shown } = await item(id)
    expect(content.from).toMatchObject({
      weighings: 2,
      uses: 60,
      label: 9,
      empty: { cleaned: true, itemId: twin, own: false },
    })
    expect(content.grams.low).toBeLessThan(4.44)
    expect(content.grams.high).toBeGreaterThan(4.44)
    expect(content.disagreement).toBeNull()
    // Weighed and never measured: an estimate with both its ends, and no level as a fact.
    expect([shown.reading, shown.estimate.low < 0.52, shown.estimate.high > 0.5]).toEqual([null, true, true])
    expect((await house.listed()).find((each) => each.id === id)?.estimate).toEqual(shown.estimate)
  })
  test('scale and label that disagree are said, and the scale wins until the empty is taken away', async () => {
    const id = await house.item(NEW)
    await house.post(`/items/${id}/package-weights`, {
      id: 'w',
      state: 'cleaned',
      grams: 34,
      resolution: 0.1,
      day: TODAY,
    })
    await weigh(id, 48.2)
    expect((await item(id)).content.disagreement).not.toBeNull()
    await house.post('/package-weights/w/drop', {})
    expect((await item(id)).content.disagreement).toBeNull()
  })
  test('an empty of its own weighs as finished only once it is', async () => {
    const id = await house.item(NEW)
    const weight = { state: 'as finished', grams: 39, resolution: 0.1, day: TODAY }
    expect((await house.post(`/items/${id}/package-weights`, { id: 'w', ...weight })).body.code).toBe(
      'empty-not-finished',
    )
    const end = { reviewId: 'rev', day: TODAY, wouldBuyAgain: 'no', words: '', packageGoes: 'keep the container' }
    const empty = { id: 'w', state: 'cleaned', grams: 39, resolution: 0.1 }
    expect((await house.post(`/items/${id}/finish`, { ...end, empty })).status).toBe(200)
    const { containers } = (await house.get('/containers')).body
    expect(containers).toMatchObject([{ itemId: id, grams: 39, holds: null, form: FIELDS.form }])
  })
})

describe('a goal of something that shows nothing by eye', () => {
  test('goes by its weight: from the first weighing after it rolled in, and says so', async () => {
    const id = await house.item({
      ...NEW,
      form: 'pump',
      categoryId: 'foundation',
      opaque: true,
      content: { amount: 30, unit: 'ml' },
      acquired: { earliest: ago(90), latest: ago(90) },
    })
    await house.post('/projects', { id: 'p', name: 'P', startedOn: ago(60), by: null, finishesWanted: null, rules: '' })
    const goal = { kind: 'finish', target: null, headStart: 0, by: { kind: 'none' } }
    await house.post('/projects/p/roll-in', { stayId: 's', itemId: id, day: ago(60), beside: false, goal })
    const goalNow = async () => (await item(id)).goals[0]
    expect(await goalNow()).toMatchObject({ done: null, baseline: null })
    await weigh(id, 90, ago(50))
    await wear(id, ...Array.from({ length: 20 }, (_, n) => 2 + 2 * n))
    await weigh(id, 82)
    const { done, baseline } = await goalNow()
    expect(baseline).toEqual({ day: ago(50), late: true })
    // Of about 29 g that can be reached, 8 are gone.
    expect(done).toBeGreaterThan(0.2)
    expect(done).toBeLessThan(0.36)
  })
})

describe('what happens to a package', () => {
  test('says itself on the item: another cap mends a lost one, decanting mends nearly all', async () => {
    const id = await house.item({ ...NEW, form: 'pump', categoryId: 'foundation' })
    await happen(id, 'cap lost')
    await happen(id, 'pump trouble')
    expect((await item(id)).item.packageStates).toEqual(['cap lost', 'pump broken'])
    await happen(id, 'other cap')
    await happen(id, 'decanted')
    expect((await item(id)).item.packageStates).toEqual([])
  })
  test('what a removed event left the package in goes with it, unless it happened twice', async () => {
    const id = await house.item({ ...NEW, form: 'pump', categoryId: 'foundation' })
    const first = await happen(id, 'pump trouble')
    const second = await happen(id, 'pump trouble')
    await house.post(`/events/${first.body.id}/drop`, {})
    expect((await item(id)).item.packageStates).toEqual(['pump broken'])
    await house.post(`/events/${second.body.id}/drop`, {})
    expect((await item(id)).item.packageStates).toEqual([])
  })
  test('weighing a kept container tells at once what lies in it, in every list', async () => {
    const id = await house.item({
      ...NEW,
      usesBefore: null,
      opened: { kind: 'unknown' },
      content: { amount: 30, unit: 'g' },
    })
    const jar = { words: 'Jar', form: 'jar', grams: null, resolution: null }
    await house.post('/containers', { id: 'jar', ...jar, itemId: null, day: TODAY })
    await happen(id, 'decanted', { containerId: 'jar' })
    house.setClock(new Date(`${TODAY}T13:00:00`))
    await weigh(id, 52)
    const shown = async () => (await house.listed()).find((each) => each.id === id)?.estimate
    const before = await shown()
    await house.put('/containers/jar', { version: 1, ...jar, grams: 31.4, resolution: 0.1 })
    const after = await shown()
    expect(before).not.toEqual(after)
    // 52 - 31.4 = 20.6 g of about 29 that can be reached.
    expect(after?.low).toBeLessThan(0.72)
    expect(after?.high).toBeGreaterThan(0.66)
  })
  test('a container holds one item, and is free again when that is finished or moves on', async () => {
    const [a, b] = [await house.item(NEW), await house.item({ ...NEW, name: 'Other' })]
    const jar = { words: 'Jar', form: 'jar', grams: 31.4, resolution: 0.1, itemId: null, day: ago(9) }
    await house.post('/containers', { id: 'jar', ...jar })
    expect((await happen(a, 'decanted', { containerId: 'jar' })).status).toBe(200)
    expect((await happen(b, 'decanted', { containerId: 'jar' })).body.code).toBe('container-in-use')
    expect((await house.post('/containers/jar/gone', { day: TODAY })).body.code).toBe('container-in-use')
    await house.post('/containers', { id: 'tin', ...jar })
    house.setClock(new Date(`${TODAY}T13:00:00`))
    await happen(a, 'decanted', { containerId: 'tin' })
    expect((await happen(b, 'decanted', { containerId: 'jar' })).status).toBe(200)
  })
  test('what is spilt needs an amount; what is spilt is no use of it', async () => {
    const id = await house.item(NEW)
    expect((await happen(id, 'spilt')).body.errors[0].field).toBe('share')
    await weigh(id, 48.2)
    const before = (await item(id)).content.grams.middle
    await happen(id, 'spilt', { grams: 2 })
    expect(before - (await item(id)).content.grams.middle).toBeCloseTo(2, 0)
  })
})

describe('a blend', () => {
  const blend = (parents: object[], over: object = {}) =>
    house.post('/blends', {
      id: house.id('blend'),
      day: TODAY,
      fields: { ...FIELDS, name: 'Last Tram Home', usesBefore: 0 },
      containerId: null,
      parents,
      ...over,
    })
  const parent = (itemId: string, share: number | null, usedUp = false) => ({
    id: house.id('p'),
    itemId,
    eventId: house.id('e'),
    grams: null,
    share,
    usedUp,
  })
  test('remembers its parents, is good as long as the first of them, and protects from no sun', async () => {
    const a = await house.item({ name: 'A', expiry: addDays(TODAY, 40), sunProtection: true, spf: 15 })
    const b = await house.item({ name: 'B', expiry: addDays(TODAY, 400) })
    await house.post('/drawer/place', { placementId: 'pl', itemId: b, zoneId: 'cheeks', beside: false })
    const done = await blend([parent(a, 0.6), parent(b, 0.4, true)])
    expect(done.status).toBe(200)
    const made = await item(done.body.id)
    expect(made.parents.map((each: { itemId: string; share: number }) => [each.itemId, each.share])).toEqual([
      [a, 0.6],
      [b, 0.4],
    ])
    expect(made.item).toMatchObject({ sunProtection: false, spf: null, lifecycle: 'open' })
    expect(made.item.shelfLife.actOn).toBe(addDays(TODAY, 40))
    expect((await item(b)).item).toMatchObject({ lifecycle: 'blended', placement: null })
    expect((await item(a)).packageEvents).toMatchObject([{ kind: 'gave to a blend' }])
    // Not an empty: nothing was finished.
    expect((await house.get('/empties')).body.empties).toEqual([])
    const back = await house.post(`/changes/${done.body.change.id}/take-back`, {})
    expect([back.status, (await item(b)).item.lifecycle]).toEqual([200, 'open'])
  })
  test('of an item with itself, of shares that don’t add up, or made one with its parent, it is refused', async () => {
    const [a, b] = [await house.item({ name: 'A' }), await house.item({ name: 'B' })]
    expect((await blend([parent(a, 0.5), parent(a, 0.5)])).body.code).toBe('blend-of-itself')
    expect((await blend([parent(a, 0.5), parent(b, 0.2)])).body.code).toBe('shares-off')
    const made = await blend([parent(a, null), parent(b, null)])
    expect((await house.post('/merge', { keepId: made.body.id, dropIds: [a] })).body.code).toBe('merge-with-parent')
  })
})

describe('shades', () => {
  const palette = () =>
    house.item({
      name: 'Hedgerow',
      categoryId: 'eyeshadow-palette',
      structure: 'palette',
      content: { amount: 8, unit: 'g' },
      parts: [shadeFields('moss', 'Moss', 1), shadeFields('bark', 'Bark', 2)],
    })
  test('one that is depotted becomes an item that remembers its palette; its well is empty', async () => {
    const id = await palette()
    const done = await house.post(`/items/${id}/depot`, {
      id: 'single',
      eventId: 'e',
      partId: 'moss',
      day: TODAY,
      containerId: null,
    })
    expect(done.status).toBe(200)
    const single = await item('single')
    expect(single.item).toMatchObject({ shade: 'Moss', content: { amount: 4, unit: 'g' } })
    expect(single.origin.itemId).toBe(id)
    expect((await item(id)).item.parts.map((part: { depottedOn: string | null }) => part.depottedOn)).toEqual([
      TODAY,
      null,
    ])
    const again = { id: 'second', eventId: 'e2', partId: 'moss', day: TODAY, containerId: null }
    expect((await house.post(`/items/${id}/depot`, again)).body.code).toBe('depotted-before')
  })
  test('with the last of them the palette is finished', async () => {
    const id = await palette()
    expect((await house.post('/parts/moss/finish', { day: TODAY })).body.last).toBe(false)
    expect((await item(id)).item.lifecycle).not.toBe('finished')
    expect((await house.post('/parts/bark/finish', { day: TODAY })).body.last).toBe(true)
    expect((await item(id)).item).toMatchObject({ lifecycle: 'finished', endedOn: TODAY })
    expect((await house.post('/parts/bark/finish', { day: TODAY })).body.code).toBe('item-ended')
  })
})

describe('a bare area off a photo', () => {
  const pan = (photoId: string, over: object = {}) => ({
    id: house.id('pan'),
    photoId,
    shape: 'round',
    handles: [
      [10, 0],
      [20, 10],
      [10, 20],
      [0, 10],
    ],
    powderTaps: [[10, 2]],
    metalTaps: [[10, 10]],
    mask: maskText(new Uint8Array(512 * 512)),
    method: 'two colours 1',
    ...over,
  })
  const bare = (id: string, of: object) => read(id, { kind: 'bare', value: 0.2, how: 'photo' }, { pan: of })
  test('keeps all that it takes to read it again; its photo stays as long as it does', async () => {
    const id = await house.item(NEW)
    await house.photo(id, 'ph')
    expect((await bare(id, pan('ph'))).status).toBe(200)
    expect((await item(id)).readings[0]).toMatchObject({ value: 0.2, pan: { photoId: 'ph', metalTaps: [[10, 10]] } })
    expect((await house.post('/photos/ph/drop', {})).body.code).toBe('picture-measured')
    const goal = await item(id)
    expect(goal.item.reading).toMatchObject({ kind: 'bare', value: 0.2 })
  })
  test('of another item, or with a broken mask, it is refused', async () => {
    const [id, other] = [await house.item(NEW), await house.item({ ...NEW, name: 'Other' })]
    await house.photo(other, 'theirs')
    expect((await bare(id, pan('theirs'))).body.code).toBe('unknown-photo')
    await house.photo(id, 'own')
    expect((await bare(id, pan('own', { mask: '9.9' }))).body.code).toBe('mask-unreadable')
  })
})
