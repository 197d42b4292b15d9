import { describe, expect, test } from 'vitest'
import type { Day } from '../../calendar/day.js'
import { CATEGORY_DEFAULTS } from '../../item/category-defaults.js'
import { matchCategory } from './category-match.js'
import { meaningsOf } from './columns.js'
import { readSheet } from './read-sheet.js'
import type { SheetOptions } from './sheet-item.js'

const OPTIONS: SheetOptions = {
  today: '2026-11-24' as Day,
  categories: CATEGORY_DEFAULTS,
  currency: null,
  fallbackOrder: 'month-first',
}
const read = (records: string[][], options: Partial<SheetOptions> = {}) => {
  const outcome = readSheet([{ name: '', records }], { ...OPTIONS, ...options })
  if (!outcome.ok) throw new Error(outcome.failure.code)
  return outcome.value
}

test('headers are matched by meaning, in other words and languages, each meaning once', () => {
  expect(meaningsOf(['Brand', 'Product', 'Shade/Color', 'Type', 'Exp / PAO', 'Brand', 'Mood'])).toEqual([
    'maker',
    'name',
    'shade',
    'category',
    'shelf-life',
    null,
    null,
  ])
  expect(meaningsOf(['Marke', 'Farbton', 'geöffnet', 'Preis (€)', 'Haltbarkeit'])).toEqual([
    'maker',
    'shade',
    'opened',
    'price',
    'shelf-life',
  ])
})

test.each([
  ['BRONZER', 'bronzer'],
  ['blushs', 'blush'],
  ['lip glosses', 'lip-gloss'],
  ['Eyeshadow Palette', 'eyeshadow-palette'],
  ['Puder', 'setting-powder'],
  ['mystery', null],
])('the category %s is %s', (cell, id) => {
  expect(matchCategory(cell, CATEGORY_DEFAULTS)).toBe(id)
})

describe('rows', () => {
  test('a bad cell is null, is reported once with its column, and keeps its text', () => {
    const { items, problems } = read([
      ['Name', 'Opened', 'Uses', 'Size'],
      ['Quay', 'yesterdayish', '-4', '12'],
    ])
    expect(items[0]).toMatchObject({ opened: null, uses: null, content: null })
    expect(problems.map((each) => [each.row, each.column, each.value, each.failure.code])).toEqual([
      [1, 'Opened', 'yesterdayish', 'date-unreadable'],
      [1, 'Uses', '-4', 'uses-negative'],
      [1, 'Size', '12', 'amount-no-unit'],
    ])
    expect(items[0]?.kept).toContainEqual({ column: 'Opened', text: 'yesterdayish' })
  })
  test('one column holds a period after opening or a date', () => {
    const { items } = read([
      ['Name', 'Exp / PAO'],
      ['a', '12M'],
      ['b', '1/2027'],
      ['c', '18'],
      ['d', '261100'],
    ])
    expect(items.map((item) => [item.paoMonths, item.expiry])).toEqual([
      [12, null],
      [null, '2027-01-31'],
      [18, null],
      [null, '2026-11-30'],
    ])
  })
  test('a date ahead can’t be an opening', () => {
    const { problems } = read([
      ['Name', 'Opened'],
      ['a', '2042-01-01'],
    ])
    expect(problems.map((each) => each.failure.code)).toEqual(['date-in-future'])
  })
  test('blank records are passed over and rows count the others', () => {
    const { items } = read([['Name'], ['a'], ['', ''], ['  '], ['b']])
    expect(items.map((item) => [item.row, item.name])).toEqual([
      [1, 'a'],
      [2, 'b'],
    ])
  })
  test('alike rows are told apart by their occurrence, never merged', () => {
    const { items } = read([
      ['Maker', 'Name'],
      ['Pellwick', 'Quay'],
      ['pellwick ', 'QUAY'],
      ['Ondrake', 'Quay'],
    ])
    expect(items.map((item) => item.occurrence)).toEqual([1, 2, 1])
  })
  test('the currency is the one the prices name, unless the collection has one', () => {
    const sheet = [
      ['Name', 'Price'],
      ['a', '$4'],
      ['b', '$5'],
      ['c', '6 €'],
    ]
    expect(read(sheet)).toMatchObject({ currency: 'USD', problems: [{ row: 3, failure: { code: 'price-foreign' } }] })
    expect(read(sheet, { currency: 'EUR' }).problems).toHaveLength(2)
  })
})

test('a sheet without rows, or without a name or brand column, is refused', () => {
  expect(readSheet([{ name: '', records: [['Name']] }], OPTIONS)).toMatchObject({
    ok: false,
    failure: { code: 'no-rows' },
  })
  expect(
    readSheet(
      [
        {
          name: '',
          records: [
            ['x', 'y'],
            ['1', '2'],
          ],
        },
      ],
      OPTIONS,
    ),
  ).toMatchObject({ ok: false, failure: { code: 'no-name-column' } })
})
