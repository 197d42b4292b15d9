import { describe, expect, test } from 'vitest'
import type { Day } from '../../calendar/day.js'
import { CATEGORY_DEFAULTS } from '../../item/category-defaults.js'
import { backupsIn, quantityOf } from './backup-words.js'
import { openingWord, saysNothing } from './cell-words.js'
import { meaningsOf } from './columns.js'
import { readSheet } from './read-sheet.js'
import type { SheetItem, SheetOptions, SheetReading } from './sheet-item.js'
import { statusOf } from './status-words.js'

const OPTIONS: SheetOptions = {
  today: '2026-11-24' as Day,
  categories: CATEGORY_DEFAULTS,
  currency: null,
  fallbackOrder: 'month-first',
}

/** Lines with cells parted by `|`; tabs of a workbook by their names. */
function read(sheet: string | Record<string, string>, options: Partial<SheetOptions> = {}): SheetReading {
  const tabs = Object.entries(typeof sheet === 'string' ? { '': sheet } : sheet).map(([name, text]) => ({
    name,
    records: text
      .trim()
      .split('\n')
      .map((line) => line.split('|').map((cell) => cell.trim())),
  }))
  const outcome = readSheet(tabs, { ...OPTIONS, ...options })
  if (!outcome.ok) throw new Error(outcome.failure.code)
  return outcome.value
}
const pick = <K extends keyof SheetItem>(reading: SheetReading, ...keys: K[]): unknown[][] =>
  reading.items.map((item) => keys.map((key) => item[key]))

describe('where the table is', () => {
  test('title lines above the headers, section lines inside, headers said again and sums are no items', () => {
    const reading = read(`
      My stash, counted on a rainy Sunday
      updated March 2026 | | |

      Brand | Product | Size | Opened
      LIPSTICKS | | |
      Pellwick | Sloe | 3.5 g | 2024
      Ondrake | Brake Light | 3.5 g | 2025
      Brand | Product | Size | Opened
      Blushes: | | |
      Pellwick | Rust Bloom | 5 g | 3/2025
      Total | 3 | |
    `)
    expect(pick(reading, 'row', 'name', 'categoryId')).toEqual([
      [1, 'Sloe', 'lipstick'],
      [2, 'Brake Light', 'lipstick'],
      [3, 'Rust Bloom', 'blush'],
    ])
    expect(reading.problems).toEqual([])
  })
  test('a section that is no category is kept as what it says, for her to choose by', () => {
    const reading = read('Brand | Name | Uses\nTHE HAT-BOX | |\nPellwick | Lantern | 3\nOndrake | Halo | 4')
    expect(pick(reading, 'categoryText', 'categoryId')).toEqual([
      ['THE HAT-BOX', null],
      ['THE HAT-BOX', null],
    ])
  })
  test('tabs are categories, and columns of one name are one column', () => {
    const reading = read({
      Bronzers: 'Brand | Product | Price\nPellwick | Ember | $12',
      'read me': 'this sheet is mine',
      Mascaras: 'Product | Brand | Opened\nNettle Lash | Ondrake | 2026-03',
    })
    expect(reading.tabs).toEqual([
      { name: 'Bronzers', rows: 1 },
      { name: 'Mascaras', rows: 1 },
    ])
    expect(pick(reading, 'row', 'maker', 'name', 'categoryId', 'price')).toEqual([
      [1, 'Pellwick', 'Ember', 'bronzer', 1200],
      [2, 'Ondrake', 'Nettle Lash', 'mascara', null],
    ])
    const one = read({ Bronzers: 'Product\nEmber', Mascaras: 'Product\nNettle Lash' }, { tabs: ['Mascaras'] })
    expect(pick(one, 'name')).toEqual([['Nettle Lash']])
    expect(one.tabs).toHaveLength(2)
  })
  test('cells pasted without headers are known by what stands in them', () => {
    const reading = read(`
      Pellwick | Ember | bronzer | 9.5 g | €12 | 12M
      Ondrake | Quay | lip gloss | 5 ml | €9.50 | 18M
      Pellwick | Halo | highlighter | 6 g | €14 | 36M
      Pellwick | Sloe | lipstick | 3.5 g | €11 | 24M
    `)
    expect(pick(reading, 'maker', 'name', 'categoryId', 'price', 'paoMonths')[1]).toEqual([
      'Ondrake',
      'Quay',
      'lip-gloss',
      950,
      18,
    ])
    expect(reading.items[1]?.content).toEqual({ unit: 'ml', amount: 5 })
  })
})

describe('what the headers mean', () => {
  test.each([
    [
      'Marke;Produkt;Farbe;Art;Füllmenge;Kaufpreis;Gekauft am;Angebrochen;MHD;Anwendungen;Zustand;Bemerkungen',
      'German',
    ],
    [
      'Marque;Produit;Teinte;Catégorie;Contenance;Prix;Acheté le;Ouvert le;Péremption;Utilisations;État;Remarques',
      'French',
    ],
    ['Marca;Producto;Tono;Categoría;Contenido;Precio;Comprado;Abierto;Caducidad;Usos;Estado;Notas', 'Spanish'],
    ['Marca;Prodotto;Tonalità;Categoria;Formato;Prezzo;Comprato;Aperto;Scadenza;Usi;Stato;Commenti', 'Italian'],
    ['Merk;Naam;Kleur;Soort;Inhoud;Prijs;Gekocht;Geopend;Houdbaar tot;Gebruikt;Toestand;Opmerkingen', 'Dutch'],
    [
      'Brand name;Item;Shade name;Type of product;Net weight (g);Purchase price paid;Date of purchase;When I opened it;Exp date;How many uses;Status;My thoughts',
      'her own words',
    ],
  ])('%s', (line) => {
    expect(meaningsOf(line.split(';'))).toEqual([
      'maker',
      'name',
      'shade',
      'category',
      'size',
      'price',
      'acquired',
      'opened',
      'expiry',
      'uses',
      'status',
      'notes',
    ])
  })
  test('a unit or currency in the header holds for bare numbers below it', () => {
    const reading = read('Name | Size (g) | Price (CHF)\nEmber | 9.5 | 12\nHalo | 6 ml | 9,50')
    expect(reading.currency).toBe('CHF')
    expect(pick(reading, 'content', 'price')).toEqual([
      [{ unit: 'g', amount: 9.5 }, 1200],
      [{ unit: 'ml', amount: 6 }, 950],
    ])
  })
  test('PAO and expiry stand in one column, in two, or both in one cell', () => {
    const reading = read('Name | PAO | Expiry date\na | 12M | \nb | | 11/2027\nc | 6 | 261100\nd | 24M; exp 3/2027 |')
    expect(pick(reading, 'paoMonths', 'expiry')).toEqual([
      [12, null],
      [null, '2027-11-30'],
      [6, '2026-11-30'],
      [24, '2027-03-31'],
    ])
  })
  test('her correction of a column wins over header and content', () => {
    const reading = read('Thing | Brand\nEmber | Pellwick', { meanings: ['name', null] })
    expect(pick(reading, 'maker', 'name', 'kept')).toEqual([['', 'Ember', [{ column: 'Brand', text: 'Pellwick' }]]])
  })
})

describe('what a cell says', () => {
  test.each(['', '-', '–', '?', '??', 'n/a', 'N.A.', 'unknown', 'unbekannt'])(
    '%j says nothing, and is no fault',
    (cell) => {
      expect(saysNothing(cell)).toBe(true)
      expect(read(`Name | Opened | Size | Price | PAO\na | ${cell} | ${cell} | ${cell} | ${cell}`).problems).toEqual([])
    },
  )
  test.each([
    ['unopened', 'unopened'],
    ['Neu', 'unopened'],
    ['no', 'unopened'],
    ['yes', 'open'],
    ['✓', 'open'],
    ['in use', 'open'],
    ['2024', null],
  ])('an opening of %s is %s', (cell, wanted) => {
    expect(openingWord(cell)).toBe(wanted)
  })
  test.each([
    ['finished', { kind: 'finished', when: null }],
    ['Finished 3/2024', { kind: 'finished', when: { earliest: '2024-03-01', latest: '2024-03-31' } }],
    ['aufgebraucht', { kind: 'finished', when: null }],
    ['given away', { kind: 'left', destination: 'give', when: null }],
    ['sold (May 2025)', { kind: 'left', destination: 'sell', when: { earliest: '2025-05-01', latest: '2025-05-31' } }],
    ['decluttered', { kind: 'left', destination: 'bin', when: null }],
    ['in use', { kind: 'here', opened: 'open' }],
    ['sealed', { kind: 'here', opened: 'unopened' }],
    ['almost empty', null],
    ['to be decluttered', null],
    ['beloved', null],
  ])('the status %s', (cell, wanted) => {
    expect(statusOf(cell, 'month-first', false)).toEqual(wanted)
  })
  test.each([
    ['backup x2', 2],
    ['limited, 3 backups', 3],
    ['has a backup', 1],
    ['backups: 2', 2],
    ['need a backup', 0],
    ['love it', 0],
  ])('%s speaks of %i more', (note, wanted) => {
    expect(backupsIn(note)).toBe(wanted)
  })
  test('a quantity is a whole number of packages', () => {
    expect(['2', 'x3', '4 pcs', '0', '1.5', 'some', '99'].map(quantityOf)).toEqual([2, 3, 4, null, null, null, null])
  })
  test('finished and given away are history; the others are stock', () => {
    const reading = read(`
      Name | Status | Finished on | Qty
      Ember | in use | | 1
      Halo | finished | 12 March 2026 | 1
      Quay | swapped | | 1
      Sloe | unopened | | 3
      Fig | | 2025 | 1
    `)
    expect(pick(reading, 'ended', 'openedAs', 'backups')).toEqual([
      [null, 'unknown', 0],
      [{ kind: 'finished', when: { earliest: '2026-03-12', latest: '2026-03-12' } }, 'unknown', 0],
      [{ kind: 'left', destination: 'swap', when: null }, 'unknown', 0],
      [null, 'unopened', 2],
      [{ kind: 'finished', when: { earliest: '2025-01-01', latest: '2025-12-31' } }, 'unknown', 0],
    ])
  })
  test('a format in the size, a fraction, a pair of units, several packs', () => {
    const reading = read(
      'Name | Size\na | mini, 5 ml\nb | deluxe sample\nc | 1/8 oz\nd | 9.3 g / 0.33 oz\ne | 2 x 3 g\nf | 60 mL (5 fl oz)\ng | 5 ml 0.17 fl oz',
    )
    expect(pick(reading, 'format')).toEqual([['mini'], ['deluxe sample'], [null], [null], [null], [null], [null]])
    const amounts = reading.items.map((item) => item.content && Number(item.content.amount.toFixed(3)))
    expect(amounts).toEqual([5, null, 3.544, 9.3, 6, null, 5])
    expect(reading.problems.map((each) => [each.row, each.failure.code])).toEqual([[6, 'amount-pair-disagrees']])
  })
  test('what a spreadsheet writes for a date: a serial number, a time behind it', () => {
    // Day 45366 counted from 30 December 1899 is 15 March 2024 (date functions of any spreadsheet, from memory).
    const reading = read('Name | Opened\na | 45366\nb | 2024-03-15 00:00:00')
    expect(pick(reading, 'opened')).toEqual([
      [{ earliest: '2024-03-15', latest: '2024-03-15' }],
      [{ earliest: '2024-03-15', latest: '2024-03-15' }],
    ])
  })
  test('an apostrophe against formulas is taken off again', () => {
    expect(pick(read("Name | Notes\n'=Ember | '-dash"), 'name', 'notes')).toEqual([['=Ember', '-dash']])
  })
})

describe('ticks', () => {
  test('numbered columns are counted; strokes are counted too', () => {
    const reading = read('Name | 1 | 2 | 3 | 4\nEmber | x | x | x |\nHalo | x | | |\nQuay | | | |')
    expect(pick(reading, 'uses')).toEqual([[3], [1], [null]])
    expect(pick(read('Name | Uses\nEmber | |||| ||'.replace('|||| ||', '//// //')), 'uses')).toEqual([[6]])
  })
  test('columns of days become days worn, and their sum in a uses column isn’t counted twice', () => {
    const reading = read('Name | Uses | 3 Nov 2026 | 4 Nov 2026 | 5 Nov 2026\nEmber | 2 | x | | x\nHalo | 12 | | x |')
    expect(pick(reading, 'uses', 'wornOn')).toEqual([
      [0, ['2026-11-03', '2026-11-05']],
      [11, ['2026-11-04']],
    ])
  })
  test('columns of months hold counts', () => {
    expect(pick(read('Name | Jan | Feb | Mar\nEmber | 4 | | 12'), 'uses')).toEqual([[16]])
  })
})

test('without a category column the name may tell it', () => {
  const reading = read('Brand | Product\nPellwick | Ember cream bronzer\nOndrake | Something nice')
  expect(pick(reading, 'categoryId', 'categoryFromName')).toEqual([
    ['cream-bronzer', true],
    [null, false],
  ])
})

test('who pays in euros writes the day first; dollars the month', () => {
  const opened = (price: string) => read(`Name | Price | Opened\na | ${price} | 3/4/2025`).items[0]?.opened?.earliest
  expect([opened('€5'), opened('$5')]).toEqual(['2025-04-03', '2025-03-04'])
})
