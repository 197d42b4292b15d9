import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import iconv from 'iconv-lite'
import { expect, test } from 'vitest'
import writeXlsxFile from 'write-excel-file/node'
import type { Day } from '#core/calendar/day'
import { readSheet } from '#core/formats/sheet/read-sheet'
import { CATEGORY_DEFAULTS } from '#core/item/category-defaults'
import { readTable } from '#server/importing/read-table'

const TEXT = 'Name;Preis\r\nCrème brûlée;4,50 €\r\n"Zwei\r\nZeilen";3 €\r\n'
const WANTED = [
  ['Name', 'Preis'],
  ['Crème brûlée', '4,50 €'],
  ['Zwei\r\nZeilen', '3 €'],
]

test.each([
  ['UTF-8', Buffer.from(TEXT)],
  ['UTF-8 with a mark', Buffer.from(`\uFEFF${TEXT}`)],
  ['UTF-16, little end first', Buffer.concat([Buffer.from('fffe', 'hex'), Buffer.from(TEXT, 'utf16le')])],
  ['UTF-16, big end first', Buffer.concat([Buffer.from('feff', 'hex'), Buffer.from(TEXT, 'utf16le').swap16()])],
  ['Windows-1252', iconv.encode(TEXT, 'windows-1252')],
])('a table in %s is read, quoted line breaks and semicolons included', async (_, bytes) => {
  const table = await readTable(bytes, 'x.csv')
  if (!table.ok) throw new Error(table.failure.code)
  const records = (table.value[0]?.records ?? []).filter((record) => record.some((cell) => cell !== ''))
  expect(records.map((record) => record.map((cell) => cell.replace('\uFEFF', '')))).toEqual(WANTED)
})

test('a workbook is read tab by tab, its dates and numbers as they would be typed', async () => {
  const bytes = await writeXlsxFile([
    {
      sheet: 'Bronzers',
      data: [
        [{ value: 'Product' }, { value: 'Opened' }, { value: 'Uses' }],
        [
          { value: 'Ember' },
          { value: new Date(Date.UTC(2025, 2, 9)), type: Date, format: 'dd.mm.yyyy' },
          { value: 12 },
        ],
      ],
    },
    { sheet: 'Lip Gloss', data: [[{ value: 'Product' }], [{ value: 'Quay' }]] },
  ]).toBuffer()
  const table = await readTable(bytes, 'mine.xlsx')
  expect(table).toEqual({
    ok: true,
    value: [
      {
        name: 'Bronzers',
        records: [
          ['Product', 'Opened', 'Uses'],
          ['Ember', '2025-03-09', '12'],
        ],
      },
      { name: 'Lip Gloss', records: [['Product'], ['Quay']] },
    ],
  })
})

test('the separator is found under title lines and between decimal commas', async () => {
  const table = await readTable(
    Buffer.from('Mein Vorrat, im Mai gezählt\n\nMarke;Produkt;Inhalt;Preis\nPellwick;Ember;9,5g;12,50\n'),
    'x',
  )
  expect(table.ok && table.value[0]?.records.at(3)).toEqual(['Pellwick', 'Ember', '9,5g', '12,50'])
})

test('tabs and commas are recognised as separators too', async () => {
  for (const separator of ['\t', ',']) {
    const table = await readTable(Buffer.from(`a${separator}b\n1${separator}2\n`), 'x')
    expect(table.ok && table.value[0]?.records.slice(0, 2)).toEqual([
      ['a', 'b'],
      ['1', '2'],
    ])
  }
})

test('too many rows are refused with their number', async () => {
  const table = await readTable(Buffer.from(`Name\n${'x\n'.repeat(20_002)}`), 'x')
  expect(table).toMatchObject({ ok: false, failure: { code: 'too-many-rows' } })
})

test('whatever stands in the cells, a sheet is read without a fault, and every row comes back once', () => {
  const cell = fc.oneof(
    fc.string(),
    fc.constantFrom('', '12M', '31.02.2024', '-3 g', '=1+1', '<b>x</b>', '2024', '9,5', '$0', '١٢', '\u0000', '1e9 g'),
  )
  fc.assert(
    fc.property(fc.array(fc.array(cell, { minLength: 11, maxLength: 11 }), { minLength: 1, maxLength: 8 }), (rows) => {
      const headers = [
        'Brand',
        'Product',
        'Shade',
        'Type',
        'Size',
        'Price',
        'Purchased',
        'Opened',
        'PAO',
        'Uses',
        'Notes',
      ]
      const outcome = readSheet([{ name: '', records: [headers, ...rows] }], {
        today: '2026-11-24' as Day,
        categories: CATEGORY_DEFAULTS,
        currency: null,
        fallbackOrder: 'month-first',
      })
      const filled = rows.filter((row) => row.some((each) => each.trim() !== '')).length
      expect(outcome.ok ? outcome.value.items.length : 0).toBe(filled)
      if (!outcome.ok) return
      for (const item of outcome.value.items) {
        expect(item.content === null || item.content.amount > 0).toBe(true)
        expect(item.price === null || Number.isInteger(item.price)).toBe(true)
        expect(item.uses === null || item.uses >= 0).toBe(true)
        expect(item.opened === null || item.opened.earliest <= item.opened.latest).toBe(true)
      }
      // A cell that could not be read is kept as text with its item.
      for (const problem of outcome.value.problems) {
        const kept = outcome.value.items.find((item) => item.row === problem.row)?.kept ?? []
        expect(kept.map((each) => each.text)).toContain(problem.value)
      }
    }),
    { seed: 31, numRuns: 300 },
  )
})

test('the same bytes always read the same', async () => {
  const bytes = readFileSync(new URL('reference/messy-eu.csv', import.meta.url))
  expect(await readTable(bytes, 'x')).toEqual(await readTable(bytes, 'x'))
})
