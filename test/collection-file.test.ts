import { readFileSync } from 'node:fs'
import Ajv2020 from 'ajv/dist/2020'
import sharp from 'sharp'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { collectionFileSchema, TABLE_NAMES, type CollectionFile } from '#contract/collection-file'
import { TABLES } from '#contract/collection-file-data'
import { buildDemo } from '#demo/build-demo'
import { columnsOf } from '#server/db/table-columns'
import { exportedTables } from '#server/db/tables'
import { readSheet } from '#core/formats/sheet/read-sheet'
import { CATEGORY_DEFAULTS } from '#core/item/category-defaults'
import { readTable } from '#server/importing/read-table'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())
const exported = async (): Promise<CollectionFile> => (await house.get('/export')).body

test('the file knows every table and column of the database that leaves the house, and none besides', () => {
  const inDatabase = Object.fromEntries(exportedTables().map((name) => [name, columnsOf(house.db, name).sort()]))
  const inFile = Object.fromEntries(Object.entries(TABLES).map(([name, row]) => [name, Object.keys(row.shape).sort()]))
  expect(inFile).toEqual(inDatabase)
  expect([...TABLE_NAMES].sort()).toEqual(exportedTables().sort())
})

test('out and into a fresh house it is equal apart from the time of export; it fits the published schema', async () => {
  buildDemo(house.db, { seed: 4, today: TODAY })
  const jpeg = await sharp({ create: { width: 30, height: 20, channels: 3, background: '#c7747a' } })
    .jpeg()
    .toBuffer()
  const [some] = house.house.stock.presentIds()
  expect((await house.photo(some ?? '', 'ph', jpeg)).status).toBe(200)
  const first = await exported()
  expect(Object.keys(first.pictures)).toEqual(['ph'])
  expect(first.tables.wear.length).toBeGreaterThan(1000)

  const ajv = new Ajv2020({ strict: false, validateFormats: false })
  expect(ajv.validate(collectionFileSchema(), first), ajv.errorsText()).toBe(true)
  const published = JSON.parse(
    readFileSync(new URL('../docs/collection.schema.json', import.meta.url), 'utf8'),
  ) as unknown
  expect(published).toEqual(JSON.parse(JSON.stringify(collectionFileSchema())))

  const other = await TestHouse.open()
  try {
    const taken = await other.post('/collection-file', { replace: false, collection: first })
    expect([taken.status, taken.body.items]).toEqual([200, first.tables.item.length])
    const again = (await other.get('/export')).body as CollectionFile
    expect({ ...again, exportedAt: '' }).toEqual({ ...first, exportedAt: '' })
    // Into a house that holds something only when she says so, and then it can be taken back.
    expect((await other.post('/collection-file', { replace: false, collection: first })).body.code).toBe(
      'collection-not-empty',
    )
    const emptied = { ...first, tables: { ...first.tables, wear: [], wear_part: [] } }
    const replaced = await other.post('/collection-file', { replace: true, collection: emptied })
    expect(((await other.get('/export')).body as CollectionFile).tables.wear).toEqual([])
    await other.post(`/changes/${replaced.body.change.id}/take-back`, {})
    const back = (await other.get('/export')).body as CollectionFile
    expect(back.tables.wear).toEqual(first.tables.wear)
  } finally {
    other.close()
  }
}, 120_000)

test.each([
  ['something else', { hello: 1 }, 'format'],
  [
    'a row that is wrong',
    (file: CollectionFile) => ({ ...file, tables: { ...file.tables, zone: [{ ...file.tables.zone[0], slots: -1 }] } }),
    'tables.zone.0.slots',
  ],
  ['an unknown table', (file: CollectionFile) => ({ ...file, tables: { ...file.tables, secrets: [] } }), 'tables'],
] as const)('%s is refused with the place where it is wrong, and nothing changes', async (_, make, where) => {
  const file = await exported()
  const before = house.snapshot()
  const answer = await house.post('/collection-file', {
    replace: true,
    collection: typeof make === 'function' ? make(file) : make,
  })
  expect([answer.status, answer.body.code]).toEqual([422, 'not-a-collection'])
  expect(answer.body.detail).toContain(where)
  expect(house.snapshot()).toBe(before)
})

test('rows that refer to nothing are refused', async () => {
  await house.item()
  const file = await exported()
  const answer = await house.post('/collection-file', {
    replace: true,
    collection: { ...file, tables: { ...file.tables, product: [] } },
  })
  expect(answer.body.code).toBe('collection-inconsistent')
  expect((await exported()).tables.product).toHaveLength(1)
})

test('as CSV: formulas are made harmless, and the sheet reads back as what it was', async () => {
  await house.item({
    name: '=1+1',
    maker: 'Pellwick',
    notes: '-dash\nand a "quote"',
    opened: { kind: 'range', earliest: '2024-03-01' as never, latest: '2024-05-31' as never, said: 'spring 2024' },
    usesBefore: 7,
  })
  await house.item({
    name: 'Quay gloss',
    shade: 'Quay',
    categoryId: 'lip-gloss',
    form: 'wand',
    opened: { kind: 'unopened' },
    content: { amount: 5.5, unit: 'ml' },
    source: 'gift',
  })
  const done = await house.item({ name: 'Ember', shade: 'Ember', expiry: '2027-01-31' as never })
  await house.post(`/items/${done}/finish`, {
    reviewId: 'r',
    day: TODAY,
    wouldBuyAgain: 'yes',
    words: '',
    packageGoes: null,
  })
  const text = await (await fetch(`http://127.0.0.1:${house.port}/api/export.csv`)).text()
  expect(text).toContain("'=1+1")
  expect(text).not.toMatch(/(^|,)=1/m)
  const table = await readTable(Buffer.from(text), 'x.csv')
  if (!table.ok) throw new Error(table.failure.code)
  const reading = readSheet(table.value, {
    today: TODAY,
    categories: CATEGORY_DEFAULTS,
    currency: 'EUR',
    fallbackOrder: 'day-first',
  })
  if (!reading.ok) throw new Error(reading.failure.code)
  expect(reading.value.problems).toEqual([])
  const by = (name: string) => reading.value.items.find((each) => each.name === name)
  expect(by('=1+1')).toMatchObject({
    notes: '-dash\nand a "quote"',
    uses: 7,
    price: 1800,
    opened: { earliest: '2024-03-01', latest: '2024-05-31' },
  })
  expect(by('Quay gloss')).toMatchObject({
    categoryId: 'lip-gloss',
    openedAs: 'unopened',
    content: { amount: 5.5, unit: 'ml' },
    gift: true,
  })
  expect(by('Ember')).toMatchObject({ ended: { kind: 'finished', when: { earliest: TODAY } }, expiry: '2027-01-31' })
})

test('the journal is read page by page; back to a moment is one change, and can be taken back in its turn', async () => {
  const first = await house.item({ shade: 'A' })
  const at = house.snapshot()
  const second = await house.post('/items', {
    id: 'b',
    fields: (await import('./support/fields')).FIELDS,
    reading: null,
  })
  await house.post('/wear', { itemId: first, day: TODAY, worn: true })
  await house.post('/wear', { itemId: 'b', day: TODAY, worn: true })
  const later = house.snapshot()
  const page = (await house.get('/changes')).body
  expect(page).toMatchObject({ next: null })
  expect(page.changes).toHaveLength(4)
  const back = await house.post(`/changes/${second.body.change.id}/go-back`, {})
  expect(back.body.takenBack).toHaveLength(3)
  expect(house.snapshot()).toBe(at)
  await house.post(`/changes/${back.body.change.id}/take-back`, {})
  expect(house.snapshot()).toBe(later)
  expect((await house.post('/changes/nothing/go-back', {})).status).toBe(404)
})
