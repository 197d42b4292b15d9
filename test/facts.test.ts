import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays, type Day } from '#core/calendar/day'
import { ownerActs } from './support/owner-acts'
import { TestHouse, TODAY, type Answer } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

const { ago, wear, item, addProject, rollIn, stayOf, finish, palette } = ownerActs(() => house)

describe('whatever has been used isn’t unopened, whoever says so', () => {
  test('the form, the quiz and a merge keep it unknown; a backup ticked and unticked is one again', async () => {
    const used = await house.item({ opened: { kind: 'unknown' }, usesBefore: 4 })
    await house.post('/openings', { answers: [{ itemId: used, opened: { kind: 'unopened' } }] })
    expect(await item(used)).toMatchObject({ opened: { kind: 'unknown' }, lifecycle: 'open' })
    const { version } = await item(used)
    const { FIELDS } = await import('./support/fields')
    await house.put(`/items/${used}`, { version, fields: { ...FIELDS, opened: { kind: 'unopened' }, usesBefore: 2 } })
    expect((await item(used)).lifecycle).toBe('open')
    const backup = await house.item({ opened: { kind: 'unopened' } })
    expect(await item(used)).toMatchObject({ backups: 1 })
    await wear(backup, 1)
    expect([(await item(used)).backups, (await item(backup)).lifecycle]).toEqual([0, 'open'])
    await wear(backup, 1, { worn: false })
    expect([(await item(used)).backups, (await item(backup)).isBackup]).toEqual([1, true])
    const shut = await house.item({ opened: { kind: 'unopened' }, shade: 'X' })
    await house.post('/merge', { keepId: shut, dropIds: [used] })
    expect(await item(shut)).toMatchObject({ lifecycle: 'open', opening: { kind: 'unknown' }, usesBefore: 2 })
  })
  test('an opening that a tick made isn’t given away as unopened, and its use-by date goes by it', async () => {
    const id = await house.item({ opened: { kind: 'unopened' }, categoryId: 'mascara', form: 'wand', paoMonths: null })
    await wear(id, 30)
    const { destinations, item: shown } = (await house.get(`/items/${id}`)).body
    expect(destinations).not.toContain('donate')
    expect(shown.shelfLife).toMatchObject({ reason: { code: 'usual-pao', openedEarliest: ago(30) } })
  })
  test('a year gives a span of last good days that stays the same tomorrow', async () => {
    const id = await house.item({
      opened: { kind: 'range', earliest: '2026-01-01' as Day, latest: '2026-12-31' as Day, said: '2026' },
    })
    const span = async () => (await item(id)).shelfLife.lastGood
    expect(await span()).toEqual({ earliest: '2027-01-01', latest: '2027-11-24' })
    house.setClock(new Date(2026, 10, 26, 12))
    expect(await span()).toEqual({ earliest: '2027-01-01', latest: '2027-11-24' })
  })
  test('an unknown opening makes no claim on how long it is open', async () => {
    await addProject()
    const old = { earliest: '2019-05-01' as Day, latest: '2019-05-31' as Day }
    await house.item({ opened: { kind: 'unknown' }, acquired: old, form: 'pressed', shade: 'Old' })
    const { items } = (await house.get('/projects/p/short-list')).body
    expect(items.filter((each: { reason: { code: string } }) => each.reason.code === 'open-long')).toEqual([])
  })
})

describe('silence isn’t *no makeup*', () => {
  test('a period nobody wrote down is asked about once, and then counts as she says', async () => {
    const id = await house.item()
    for (let days = 1; days <= 70; days += 1) if (days < 25 || days > 43) await wear(id, days)
    const { silence } = (await house.get('/today')).body
    expect(silence).toEqual({ earliest: ago(43), latest: ago(25) })
    const week = async () =>
      (await house.get('/projects')).body.week.reduce((sum: number, share: number) => sum + share, 0)
    expect(await week()).toBeCloseTo(7, 6)
    const say = (said: string) => house.post('/silence', { id: house.id('u'), ...silence, said })
    const said = await say('not written down')
    expect((await house.get('/today')).body.silence).toBeNull()
    expect(await week()).toBeCloseTo(7, 6)
    await house.post(`/changes/${said.body.change.id}/take-back`, {})
    await say('no makeup')
    expect(await week()).toBeCloseTo(7 * (51 / 70), 1)
    expect((await house.get(`/today?day=${ago(30)}`)).body.noMakeup).toBe(true)
    expect((await say('no makeup')).body.code).toBe('not-silent')
  })
})

describe('the day', () => {
  test('*same as* brings shades, mixes and what it was worn as along; a saved look its shades and uses', async () => {
    const id = await palette('moss', 'bark')
    const [a, b] = [await house.item({ shade: 'A' }), await house.item({ shade: 'B' })]
    await wear(id, 3, { partIds: ['moss'] })
    for (const each of [a, b]) await wear(each, 3)
    await house.post('/mix', { mixId: 'm', day: ago(3), itemIds: [a, b], ratio: '2 to 1' })
    const details = { itemId: a, day: ago(3), usedAs: 'bronzer', amount: null, amountUnit: null, felt: '' }
    await house.post('/wear-details', details)
    const itemIds = [id, a, b]
    const worn = (await house.post('/face', { day: TODAY, itemIds, like: { kind: 'day', day: ago(3) } })).body.worn
    const of = (itemId: string) => worn.find((each: { itemId: string }) => each.itemId === itemId)
    expect(of(id).partIds).toEqual(['moss'])
    expect(of(a)).toMatchObject({ usedAs: 'bronzer', mix: { ratio: '2 to 1', itemIds: [a, b] } })
    expect(of(a).mix.id).not.toBe('m')
    await house.post('/saved-faces', { id: 'f', day: ago(3), name: 'F', occasion: '', itemIds })
    const saved = (await house.post('/face', { day: ago(1), itemIds, like: { kind: 'face', id: 'f' } })).body.worn
    expect(saved.find((each: { itemId: string }) => each.itemId === id).partIds).toEqual(['moss'])
  })
  test('her own sunscreen category counts as sunscreen; a fight with something that has no step counts', async () => {
    const fields = {
      makeup: false,
      zoneId: 'complexion',
      usualForm: 'tube',
      modelType: 'sunscreen',
      eye: false,
      lip: false,
    }
    await house.post('/categories', { id: 'own', name: 'Sun stick', ...fields })
    const stick = await house.item({
      categoryId: 'own',
      form: 'stick',
      sunProtection: true,
      expiry: '2027-12-31' as Day,
    })
    expect((await house.get('/today')).body.sunscreen).toMatchObject({ elsewhere: { id: stick } })
    await house.post('/drawer/place', { placementId: 'x', itemId: stick, zoneId: 'complexion' })
    const { reachFor } = (await house.get('/today')).body
    expect(reachFor).toMatchObject([{ itemId: stick, step: 'sunscreen' }])
    const serum = await house.item({ categoryId: 'serum', form: 'dropper', shade: 'Serum' })
    await house.post(`/items/${serum}/pairs`, {
      id: 'p',
      otherItemId: stick,
      verdict: 'fights',
      itemAmount: null,
      otherAmount: null,
      amountUnit: null,
      words: '',
    })
    await wear(serum, 0)
    expect((await house.get('/today')).body.reachFor).toEqual([])
  })
  test('a finished item is no longer on trial, nor on the short list', async () => {
    const itemId = await house.item()
    await house.post('/trials', { trialId: 't', itemId, wearsWanted: 2, dueOn: addDays(TODAY, 9), question: '' })
    await house.post('/short-list', { id: 'l', itemId, season: null, words: '' })
    await finish(itemId)
    expect((await house.get('/decide')).body.trials).toEqual([])
    expect((await house.get('/projects')).body.shortList).toEqual([])
  })
})

describe('two that are one item', () => {
  const merge = (keepId: string, ...dropIds: string[]) => house.post('/merge', { keepId, dropIds })
  test('pairs, looks, what a sheet knew it by, pictures and what is said of either are kept; a use of one day is one', async () => {
    const [a, b, friend] = [
      await house.item({ shade: 'A', notes: 'mine' }),
      await house.item({ shade: 'A', notes: 'theirs', liking: 4 }),
      await house.item({ shade: 'F' }),
    ]
    await wear(a, 2)
    for (const days of [2, 3]) await wear(b, days)
    await house.post('/wear-details', {
      itemId: b,
      day: ago(2),
      usedAs: null,
      amount: null,
      amountUnit: null,
      felt: 'soft',
    })
    await house.post(`/items/${friend}/pairs`, {
      id: 'p',
      otherItemId: b,
      verdict: 'fights',
      itemAmount: null,
      otherAmount: null,
      amountUnit: null,
      words: 'pills',
    })
    await house.post('/saved-faces', { id: 'f', name: 'F', occasion: '', itemIds: [b, friend] })
    await house.photo(b, 'ph')
    await addProject()
    await rollIn(b, ago(9))
    expect((await merge(a, b)).status).toBe(200)
    const { item: kept, pairs, photos } = (await house.get(`/items/${a}`)).body
    expect(kept).toMatchObject({ wears: 2, notes: 'mine\ntheirs', liking: 4 })
    expect(pairs).toMatchObject([{ otherItemId: friend, words: 'pills' }])
    expect(photos).toHaveLength(1)
    expect((await house.get('/today')).body.savedLooks[0].itemIds.sort()).toEqual([a, friend].sort())
    expect((await stayOf(a)).goal.uses).toBe(2)
    expect((await house.get(`/today?day=${ago(2)}`)).body.worn).toMatchObject([{ itemId: a, felt: 'soft' }])
  })
  test('the same sheet imported twice: earlier uses are the same uses, and a third time it is known', async () => {
    const sheet = {
      fileName: 'x.csv',
      base64: Buffer.from('Maker,Name,Category,Uses\nPellwick,Ember,bronzer,34\n').toString('base64'),
      choices: {},
    }
    for (const importId of ['one', 'two']) await house.post('/import/run', { ...sheet, importId })
    const ids = house.services.stock.presentIds()
    await merge(ids[0] ?? '', ids[1] ?? '')
    expect(await item(ids[0] ?? '')).toMatchObject({ usesBefore: 34 })
    const { groups } = (await house.request('POST', '/import/preview', JSON.stringify(sheet))).body
    expect(groups.map((group: { code: string }) => group.code)).toContain('already-there')
  })
  test('both finished: both reviews are kept, and one empty is left', async () => {
    const [a, b] = [await house.item(), await house.item()]
    for (const id of [a, b]) await finish(id, 2)
    await merge(a, b)
    expect((await house.get('/empties')).body.empties).toHaveLength(1)
    expect(house.db.prepare('SELECT count(*) AS n FROM review WHERE item_id = ?').get(a)).toEqual({ n: 2 })
  })
  test('what can’t be one is refused in words', async () => {
    const [a, b, gone] = [
      await house.item({ shade: 'A' }),
      await house.item({ shade: 'B' }),
      await house.item({ shade: 'C' }),
    ]
    await finish(gone)
    expect((await merge(a, gone)).body.code).toBe('merge-one-ended')
    await addProject()
    for (const id of [a, b]) await rollIn(id, ago(3))
    expect((await merge(a, b)).body).toMatchObject({ code: 'merge-both-in-project', status: 409 })
    expect((await merge(a, await palette('moss'))).body.code).toBe('merge-with-shades')
  })
})

describe('the import', () => {
  const sheet = (text: string, choices: object = {}) => ({
    fileName: 'x.csv',
    base64: Buffer.from(text).toString('base64'),
    choices,
  })
  const preview = async (text: string, choices: object = {}) =>
    (await house.request('POST', '/import/preview', JSON.stringify(sheet(text, choices)))).body
  const run = (text: string, choices: object = {}) =>
    house.post('/import/run', { ...sheet(text, choices), importId: 'imp' })
  const all = (): Promise<Answer['body'][]> => house.whole()

  test('a blank *Uses* isn’t said; it stays absent until somebody says it', async () => {
    await run('Name,Type,Uses,Opened\nEmber,bronzer,,unopened\nHalo,highlighter,3,unopened\nSloe,lipstick,0,\n')
    const by = Object.fromEntries((await all()).map((each) => [each.name, each]))
    expect(by['Ember']).toMatchObject({ usesBefore: null, lifecycle: 'unopened' })
    expect(by['Halo']).toMatchObject({ usesBefore: 3, lifecycle: 'open', opening: { kind: 'unknown' } })
    expect(by['Sloe']).toMatchObject({ usesBefore: 0, lifecycle: 'unopened' })
  })
  test('a problem names the row as her sheet numbers it, and what is typed again is read again', async () => {
    const text = 'My stash,,\n\nName,Type,Opened\nEmber,bronzer,31.02.2024\n\nHalo,highlighter,soonish\n'
    const cells = (answer: Answer['body']) =>
      answer.groups
        .filter((group: { serious: boolean }) => group.serious)
        .flatMap((group: { cells: object[] }) => group.cells)
    expect(cells(await preview(text))).toMatchObject([
      { row: 1, line: 4, at: 2, column: 'Opened', value: '31.02.2024' },
      { row: 2, line: 6, at: 2, value: 'soonish' },
    ])
    const mended = [{ row: 1, at: 2, text: '28.02.2024' }]
    expect(cells(await preview(text, { mended }))).toMatchObject([{ line: 6 }])
    await run(text, { mended })
    const items = await all()
    expect(items.map((each) => [each.name, each.opening.within?.earliest ?? null, each.keptWords])).toEqual([
      ['Ember', '2024-02-28', 0],
      ['Halo', null, 1],
    ])
  })
  test('yen have no cents; a price in another currency is kept, edited round and exported', async () => {
    await run('Name,Type,Price\nEmber,bronzer,"¥1,200"\nHalo,highlighter,¥850\nSloe,lipstick,12 USD\n')
    const by = Object.fromEntries((await all()).map((each) => [each.name, each]))
    expect((await house.get('/settings')).body.settings.currency).toBe('JPY')
    expect([by['Ember'].priceMinor, by['Halo'].priceMinor, by['Sloe'].priceSaid]).toEqual([1200, 850, '12 USD'])
    const csv = await (await fetch(`http://127.0.0.1:${house.port}/api/export.csv`)).text()
    expect(csv).toContain('1200 JPY')
    expect(csv).toContain('12 USD')
  })
  test('a sheet says what became of a binned item, and reads it back so', async () => {
    const id = await house.item()
    await house.post('/verdicts', {
      verdictId: 'v',
      itemId: id,
      trialId: null,
      verdict: 'let go',
      reason: '',
      destination: 'bin',
      until: null,
      usedAs: null,
    })
    const csv = await (await fetch(`http://127.0.0.1:${house.port}/api/export.csv`)).text()
    expect(csv).toContain('thrown away')
    const other = await TestHouse.open()
    try {
      await other.post('/import/run', { ...sheet(csv), importId: 'imp' })
      expect((await other.get('/decide')).body.verdicts).toMatchObject([{ destination: 'bin' }])
    } finally {
      other.close()
    }
  })
  test('section lines alone in a paste of one column are sections', async () => {
    const rows = (await preview('LIPSTICKS\nPellwick Sloe\nOndrake Fig\n\nBlushes:\nRust Bloom\nTin roof\n')).rows
    expect(rows.map((row: Answer['body']) => [row.name, row.categoryId, row.line])).toEqual([
      ['Pellwick Sloe', 'lipstick', 2],
      ['Ondrake Fig', 'lipstick', 3],
      ['Rust Bloom', 'blush', 6],
      ['Tin roof', 'blush', 7],
    ])
  })
  test('a finished row with its day is an empty of its year', async () => {
    await run(
      'Name,Type,Status,Finished on\nEmber,bronzer,finished,12 March 2026\nHalo,highlighter,finished,2025-01-05\nSloe,lipstick,finished,\n',
    )
    expect((await house.get('/fronts')).body.emptiesThisYear).toBe(1)
  })
})
