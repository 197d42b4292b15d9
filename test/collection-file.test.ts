import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import Ajv2020 from 'ajv/dist/2020'
import sharp from 'sharp'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { collectionFileSchema, type CollectionFile, type FileRow } from '#server/export/file-schema'
import { copyDemoTo } from './support/demo-database'
import { readSheet } from '#core/formats/sheet/read-sheet'
import { CATEGORY_DEFAULTS } from '#core/item/category-defaults'
import { readTable } from '#server/importing/read-table'
import { ACTS } from './support/random-acts-data'
import { RandomOwner } from './support/random-owner'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())
/** A file as the server sends it, with every table in it. */
type Tables = Readonly<
  Record<
    'item' | 'wear' | 'wear_part' | 'zone' | 'photo' | 'stay' | 'placement' | 'measurement' | 'import_mark',
    FileRow[]
  >
>
type Exported = Omit<CollectionFile, 'tables'> & { readonly tables: Tables }
const exported = async (): Promise<Exported> => (await house.get('/export')).body

test('out and into a fresh house it is equal apart from the time of export; it fits the published schema', async () => {
  await house.whileStopped(() => copyDemoTo(join(house.folder, 'collection.db')))
  const jpeg = await sharp({ create: { width: 30, height: 20, channels: 3, background: '#c7747a' } })
    .jpeg()
    .toBuffer()
  const [some] = house.services.stock.presentIds()
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
    const again = (await other.get('/export')).body as Exported
    expect({ ...again, exportedAt: '' }).toEqual({ ...first, exportedAt: '' })
    // Into a house that holds something only when she says so, and then it can be taken back.
    expect((await other.post('/collection-file', { replace: false, collection: first })).body.code).toBe(
      'collection-not-empty',
    )
    const emptied = { ...first, tables: { ...first.tables, wear: [], wear_part: [], feeling: [] } }
    const replaced = await other.post('/collection-file', { replace: true, collection: emptied })
    expect(((await other.get('/export')).body as Exported).tables.wear).toEqual([])
    await other.post(`/changes/${replaced.body.change.id}/take-back`, {})
    const back = (await other.get('/export')).body as Exported
    const withoutVersion = ({ version: _, ...row }: (typeof first.tables.wear)[number]) => row
    expect(back.tables.wear.map(withoutVersion)).toEqual(first.tables.wear.map(withoutVersion))
  } finally {
    other.close()
  }
}, 120_000)

test.each([
  ['something else', { hello: 1 }, 'format'],
  [
    'a row that is wrong',
    (file: Exported) => ({ ...file, tables: { ...file.tables, zone: [{ ...file.tables.zone[0], slots: -1 }] } }),
    'tables.zone.0.slots',
  ],
  ['an unknown table', (file: Exported) => ({ ...file, tables: { ...file.tables, secrets: [] } }), 'tables'],
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

describe('a file that doesn’t hold together is refused with its place, and nothing is changed or written', () => {
  const JPEG = Buffer.from('not looked into').toString('base64')
  const photo = (id: string): FileRow => ({
    id,
    item_id: 'item-1',
    part_id: null,
    day: TODAY,
    width: 1,
    height: 1,
    words: '',
    version: 1,
    content: 'x',
  })
  test.each<[string, (file: Exported) => object, string]>([
    ['no product for an item', ({ tables }) => ({ tables: { ...tables, product: [] } }), 'item'],
    ['no category at all', ({ tables }) => ({ tables: { ...tables, category: [] } }), 'tables.category'],
    ['no zone at all', ({ tables }) => ({ tables: { ...tables, zone: [] } }), 'tables.zone'],
    [
      'two rows of one id',
      ({ tables }) => ({ tables: { ...tables, item: [...tables.item, ...tables.item] } }),
      'tables.item.1',
    ],
    [
      'a day that is none',
      ({ tables }) => ({ tables: { ...tables, wear: [{ ...tables.wear[0], day: '2026-02-30' }] } }),
      'tables.wear.0.day',
    ],
    [
      'a day out of all time',
      ({ tables }) => ({ tables: { ...tables, wear: [{ ...tables.wear[0], day: '2999-01-01' }] } }),
      'tables.wear.0.day',
    ],
    [
      'columns that contradict',
      ({ tables }) => ({ tables: { ...tables, item: [{ ...tables.item[0], opened_kind: 'range' }] } }),
      'tables.item.0',
    ],
    [
      'text that is no JSON',
      ({ tables }) => ({ tables: { ...tables, item: [{ ...tables.item[0], seasons: '[1' }] } }),
      'tables.item.0.seasons',
    ],
    [
      'settings of another type',
      ({ tables }) => ({ tables: { ...tables, setting: [{ id: 'settings', value: '{"currency":7}', version: 1 }] } }),
      'tables.setting.0.value',
    ],
    [
      'a rule of the house broken',
      ({ tables }) => ({ tables: { ...tables, item: [{ ...tables.item[0], location: 'zone' }] } }),
      'tables.item',
    ],
    ['a picture without its row', () => ({ pictures: { stray: JPEG } }), 'pictures.stray'],
    ['a picture under a path', () => ({ pictures: { '../../x': JPEG } }), 'pictures'],
    ['a row without its picture', ({ tables }) => ({ tables: { ...tables, photo: [photo('ph')] } }), 'tables.photo.0'],
    [
      'an id that is a path',
      ({ tables }) => ({ tables: { ...tables, photo: [photo('../../x')] }, pictures: { '../../x': JPEG } }),
      'photo',
    ],
  ])('%s', async (_, wrong, where) => {
    await house.item()
    await house.post('/wear', { itemId: 'item-1', day: TODAY, worn: true })
    const file = await exported()
    const before = house.snapshot()
    const answer = await house.post('/collection-file', { replace: true, collection: { ...file, ...wrong(file) } })
    expect(answer.status).toBe(422)
    expect(answer.body.detail).toContain(where)
    expect(house.snapshot()).toBe(before)
    // Nor half a copy of what was there.
    const copies = join(house.folder, 'copies')
    expect(
      (existsSync(copies) ? readdirSync(copies) : []).filter(
        (name) => !/^20|^known|^photos/.test(name) || name.includes('part'),
      ),
    ).toEqual([])
    expect(readdirSync(house.folder).filter((name) => !name.startsWith('collection.db'))).toEqual(
      ['copies'].filter(() => existsSync(join(house.folder, 'copies'))),
    )
    expect((await house.get('/today')).status).toBe(200)
  })

  test('in text that is no object at all', async () => {
    for (const collection of [
      null,
      'x',
      [],
      { format: 'seligo collection', version: 3 },
      { format: 'seligo collection', version: 2, tables: { item: 'x' } },
    ])
      expect((await house.post('/collection-file', { replace: true, collection })).status).toBe(422)
  })
})

test.each([33, 32])(
  'what was made as the pages make it comes back equal: ids, shades, pictures, everything (seed %i)',
  async (seed) => {
    const owner = new RandomOwner(house, seed)
    await owner.begin()
    // Before categories get other names, by which a sheet's kinds are known.
    await ACTS['import']?.(owner)
    for (let n = 0; n < 220; n += 1) await owner.act()
    // Several times: what an owner does at random may be refused.
    for (const name of ['add', 'wear', 'import', 'place', 'roll in'])
      for (let n = 0; n < 6; n += 1) await ACTS[name]?.(owner)
    const pan = await house.item()
    await house.post(`/items/${pan}/readings`, {
      id: owner.id(),
      partId: null,
      reading: { kind: 'stage', stage: 'dip', day: TODAY },
    })
    const picture = await sharp({ create: { width: 9, height: 9, channels: 3, background: '#c7747a' } })
      .jpeg()
      .toBuffer()
    await house.photo(house.services.stock.presentIds()[0] ?? '', owner.id(), picture)
    const first = await exported()
    for (const name of ['item', 'wear', 'stay', 'placement', 'photo', 'measurement', 'import_mark'] as const)
      expect(first.tables[name].length, name).toBeGreaterThan(0)
    for (const rows of Object.values(first.tables))
      for (const { id } of rows) expect(String(id).length).toBeLessThanOrEqual(40)
    const other = await TestHouse.open()
    try {
      expect((await other.post('/collection-file', { replace: true, collection: first })).status).toBe(200)
      const again = (await other.get('/export')).body as Exported
      const plain = (file: Exported) => ({ ...file, exportedAt: '' })
      expect(plain(again)).toEqual(plain(first))
      // Her user effect is reckoned once a day, and anew with a collection: here too.
      await house.restart()
      await other.restart()
      for (const path of [
        '/today',
        '/collection',
        '/projects',
        '/decide',
        '/empties',
        '/laying',
        '/shelf-life',
        '/supply',
      ])
        expect((await other.get(path)).body, path).toEqual((await house.get(path)).body)
    } finally {
      other.close()
    }
  },
  60_000,
)

test('taking in a file over pictures of the same ids can be undone, pictures and all', async () => {
  const itemId = await house.item()
  const made = (background: string) =>
    sharp({ create: { width: 9, height: 9, channels: 3, background } })
      .jpeg()
      .toBuffer()
  await house.photo(itemId, 'ph', await made('#c7747a'))
  const first = await exported()
  const other = { ...first, pictures: { ph: (await made('#205060')).toString('base64') } }
  const taken = await house.post('/collection-file', { replace: true, collection: other })
  expect((await exported()).pictures).toEqual(other.pictures)
  house.services.photos.tidy(house.services.now())
  await house.post(`/changes/${taken.body.change.id}/take-back`, {})
  expect((await exported()).pictures).toEqual(first.pictures)
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

test('the history is read page by page; back to a moment is one change, and can be undone in its turn', async () => {
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
