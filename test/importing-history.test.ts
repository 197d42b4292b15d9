import { afterEach, beforeEach, expect, test } from 'vitest'
import writeXlsxFile from 'write-excel-file/node'
import type { PreviewRow, ProblemGroup } from '#contract/importing'
import type { ItemSummary } from '#contract/item'
import { evaluateImport } from '#server/importing/evaluate-import'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

const NO_CHOICES = { meanings: null, rows: [], skip: [] }
const body = (content: Buffer | string, choices: object = NO_CHOICES) => ({
  fileName: 'my.csv',
  base64: Buffer.from(content).toString('base64'),
  choices,
})
const run = (content: Buffer | string, choices?: object) =>
  house.post('/import/run', { ...body(content, choices), importId: 'imp' })
const preview = async (content: Buffer | string, choices?: object) =>
  (await house.request('POST', '/import/preview', JSON.stringify(body(content, choices)))).body
/** What became of a row of the sheet, or of its backup. */
const stored = async (row: number, backup = false) => {
  const rows = house.db
    .prepare<[], { id: string }>(
      `SELECT i.id FROM item i JOIN import_mark m ON m.item_id = i.id WHERE (m.identity LIKE '%|b%') = ${backup ? 1 : 0} ORDER BY i.rowid`,
    )
    .all()
  return (await house.get(`/items/${rows[row - 1]?.id ?? ''}`)).body
}
const item = async (row: number, backup = false): Promise<ItemSummary> => (await stored(row, backup)).item

const HISTORY = `Product,Type,Status,Finished on,Notes
Ember,bronzer,in use,,
Halo,highlighter,finished,12 March 2026,
Quay,lip gloss,finished,,
Sloe,lipstick,given away 2025,,
Fig,blush,sealed,,backup x2
Old,mascara,almost empty,,has a backup
`

test('finished and given away are saved as history, with the day they ended as closely as it is said', async () => {
  const done = await run(HISTORY)
  expect(done.body).toMatchObject({ stored: 6, backups: 1, leftOut: 0 })
  expect(await item(1)).toMatchObject({ lifecycle: 'open', endedOn: null })
  expect(await item(2)).toMatchObject({ lifecycle: 'finished', endedOn: '2026-03-12', endedRoughly: false })
  expect(await item(3)).toMatchObject({ lifecycle: 'finished', endedOn: TODAY, endedRoughly: true })
  expect(await item(4)).toMatchObject({ lifecycle: 'left', endedOn: '2025-12-31', endedRoughly: true })
  // What is sealed is a backup itself; the one in use brings one.
  expect(await item(5)).toMatchObject({ lifecycle: 'unopened' })
  expect(await item(1, true)).toMatchObject({ lifecycle: 'unopened', isBackup: true, name: 'Old' })
  const { empties } = (await house.get('/empties')).body
  expect(
    empties.map((each: { item: { name: string }; wouldBuyAgain: string | null }) => [
      each.item.name,
      each.wouldBuyAgain,
    ]),
  ).toEqual([
    ['Quay', null],
    ['Halo', null],
  ])
  expect((await house.listed()).map((each) => each.name).sort()).toEqual(['Ember', 'Fig', 'Old', 'Old'])
  expect((await house.get('/decide')).body.verdicts).toMatchObject([{ verdict: 'let go', destination: 'give' }])
  // It was given away then: it does not wait in a bag to be handed over.
  expect((await house.get('/letting-go')).body).toMatchObject({ waiting: [], gone: [{ handedOn: '2025-12-31' }] })
})

test('one undo takes history, backups and ticked days back with the rest', async () => {
  const before = house.snapshot()
  const done = await run(HISTORY)
  await house.post(`/changes/${done.body.change.id}/take-back`, {})
  expect(house.snapshot()).toBe(before)
})

test('columns of days become the log; a uses column over them is their sum', async () => {
  await run('Product,Type,Uses,20 Nov 2026,21 Nov 2026,1 Dec 2026\nEmber,bronzer,12,x,x,\nHalo,highlighter,,x,,\n')
  const ember = await stored(1)
  expect(ember.wearDays).toEqual(['2026-11-20', '2026-11-21'])
  expect(ember.item).toMatchObject({ usesBefore: 10, uses: 12 })
  expect(await item(2)).toMatchObject({ usesBefore: null, uses: 1, lifecycle: 'open' })
})

test('a workbook: tabs are categories, and a tab can be left out', async () => {
  const row = (...cells: string[]) => cells.map((value) => ({ value }))
  const bytes = await writeXlsxFile([
    { sheet: 'Bronzers', data: [row('Brand', 'Product'), row('Pellwick', 'Ember')] },
    { sheet: 'Lip Gloss', data: [row('Product', 'Brand', 'Price'), row('Quay', 'Ondrake', '9,50 €')] },
  ]).toBuffer()
  const all = await preview(bytes)
  expect(all.tabs).toEqual([
    { name: 'Bronzers', rows: 1 },
    { name: 'Lip Gloss', rows: 1 },
  ])
  expect(all.rows.map((each: PreviewRow) => [each.maker, each.name, each.categoryId, each.priceMinor])).toEqual([
    ['Pellwick', 'Ember', 'bronzer', null],
    ['Ondrake', 'Quay', 'lip-gloss', 950],
  ])
  const one = await preview(bytes, { ...NO_CHOICES, tabs: ['Lip Gloss'] })
  expect(one.rows).toHaveLength(1)
  expect(one.tabs).toHaveLength(2)
  expect((await run(bytes, { ...NO_CHOICES, tabs: ['Lip Gloss'] })).body.stored).toBe(1)
})

test('what is there already is offered to be skipped, with its backups', async () => {
  await run('Product,Type,Qty\nEmber,bronzer,2\n')
  const again = await preview('Product,Type,Qty\nEmber,bronzer,2\nHalo,highlighter,1\n')
  expect((again.groups as ProblemGroup[]).find((group) => group.code === 'already-there')?.cells).toHaveLength(1)
  const skipped = await preview('Product,Type,Qty\nEmber,bronzer,2\nHalo,highlighter,1\n', { ...NO_CHOICES, skip: [1] })
  expect([skipped.willStore, skipped.willStoreBackups]).toEqual([1, 0])
})

test('her own category is found by the name she gave it', async () => {
  await house.post('/categories', {
    id: 'glitter',
    name: 'Glitter gel',
    makeup: true,
    zoneId: 'eyes',
    usualForm: 'pot',
    modelType: 'other',
    eye: true,
    lip: false,
  })
  const { rows } = await preview('Product,Type\nStars,glitter gels\n')
  expect(rows[0]).toMatchObject({ categoryId: 'glitter', form: 'pot' })
})

test('the command that judges the import prints what the import reads, and says a bad cell once', async () => {
  const text =
    'Brand,Product,Shade,Type,Size,Price,Opened,Exp / PAO,Uses\nPellwick,Ember,03,bronzer,0.5 fl oz,$4.50,spring 2024,12M,3\nOndrake,Quay,,gloss,-1 ml,$0,2042,13/2027,many\n'
  const outcome = await evaluateImport(Buffer.from(text), 'x.csv', TODAY)
  if (!outcome.ok) throw new Error(outcome.failure.code)
  expect(outcome.value.items[0]).toEqual({
    maker: 'Pellwick',
    name: 'Ember',
    shade: '03',
    category: 'bronzer',
    amount: 14.78676478125,
    unit: 'ml',
    price: 4.5,
    opened: { earliest: '2024-03-01', latest: '2024-05-31' },
    paoMonths: 12,
    expiry: null,
    uses: 3,
  })
  expect(outcome.value.items[1]).toMatchObject({
    amount: null,
    unit: null,
    price: 0,
    opened: null,
    paoMonths: null,
    expiry: null,
    uses: null,
  })
  expect(outcome.value.problems.map(({ row, column, value }) => [row, column, value])).toEqual([
    [2, 'Size', '-1 ml'],
    [2, 'Opened', '2042'],
    [2, 'Exp / PAO', '13/2027'],
    [2, 'Uses', 'many'],
  ])
  for (const { message } of outcome.value.problems) expect(message.length).toBeGreaterThan(20)
})
