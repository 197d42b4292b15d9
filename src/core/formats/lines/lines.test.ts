import { describe, expect, test } from 'vitest'
import type { Day } from '../../calendar/day.js'
import { CATEGORY_DEFAULTS } from '../../item/category-defaults.js'
import { readLines, asSheet } from './read-lines.js'
import { parseLeft, readingOfLeft } from '../sheet/left-words.js'
import { leftoversIn, splitLine, type LineCells } from './split-line.js'

const CONTEXT = {
  categories: CATEGORY_DEFAULTS.map(({ id, name, words }) => ({ id, name, words })),
  makers: ['Rook & Damson', 'Quillfern'],
  order: 'day-first' as const,
  today: '2026-11-24' as Day,
}
const split = (line: string): Partial<LineCells> =>
  Object.fromEntries(Object.entries(splitLine(line, CONTEXT)).filter(([, value]) => value !== ''))

// Lines as one would scribble them; invented.
describe('a line is taken apart', () => {
  test.each<[string, Partial<LineCells>]>([
    [
      'pellwick rust bloom blush 5g opened march 25 12M €18',
      {
        maker: 'Pellwick',
        shade: 'Rust Bloom',
        category: 'blush',
        size: '5g',
        opened: 'march 2025',
        pao: '12M',
        price: '€18',
      },
    ],
    [
      '- Quillfern Low Tide primer, unopened',
      { maker: 'Quillfern', shade: 'Low Tide', category: 'primer', opened: 'unopened' },
    ],
    ['rook & damson sloe lipstick', { maker: 'Rook & Damson', shade: 'Sloe', category: 'lipstick' }],
    [
      '3) Ondrake, Brake Light, lipstick, 3.5 g, 12,50 EUR',
      { maker: 'Ondrake', shade: 'Brake Light', category: 'lipstick', size: '3.5 g', price: '12,50 EUR' },
    ],
    [
      'tallowmere soot mascara opened 14.3.2026 6M exp 11/27',
      { maker: 'Tallowmere', shade: 'Soot', category: 'mascara', opened: '14.3.2026', pao: '6M', expiry: '11/27' },
    ],
    [
      'brindlecot fig no. 4 blush opened spring 2024 gift',
      { maker: 'Brindlecot', shade: 'Fig No. 4', category: 'blush', opened: 'spring 2024', price: 'gift' },
    ],
    [
      'Zephyrine Halo highlighter 0.2 oz backup x2',
      { maker: 'Zephyrine', shade: 'Halo', category: 'highlighter', size: '0.2 oz', notes: 'backup x2' },
    ],
    [
      'kitt quay lip gloss open 40 uses',
      { maker: 'Kitt', shade: 'Quay', category: 'lip gloss', opened: 'open', uses: '40' },
    ],
    [
      'Larkspur & Tin Weir lipstick opened 1 oct half left',
      { maker: 'Larkspur & Tin', shade: 'Weir', category: 'lipstick', opened: '1 oct 2026', left: 'half left' },
    ],
    [
      'quillfern fig blush hit pan used 40 times x2 opened dec',
      {
        maker: 'Quillfern',
        shade: 'Fig',
        category: 'blush',
        left: 'hit pan',
        uses: '40',
        quantity: '2',
        opened: 'dec 2025',
      },
    ],
    [
      'tallowmere soot mascara 2x exp march',
      { maker: 'Tallowmere', shade: 'Soot', category: 'mascara', quantity: '2', expiry: 'march 2027' },
    ],
    [
      'pellwick rope brow pencil worn 12x, 80 % left',
      { maker: 'Pellwick', shade: 'Rope', category: 'brow pencil', uses: '12', left: '80 % left' },
    ],
    [
      'quillfern, Full Moon, lipstick, 3,5 g, 12,50 EUR, opened oct 12',
      {
        maker: 'Quillfern',
        shade: 'Full Moon',
        category: 'lipstick',
        size: '3,5 g',
        price: '12,50 EUR',
        opened: '12 oct 2026',
      },
    ],
    ['mascara', { shade: 'Mascara', category: 'mascara' }],
    ['Encore', { shade: 'Encore' }],
  ])('%s', (line, expected) => {
    expect(split(line)).toEqual(expected)
  })
})

test('a type on its own line is that of what follows; a brand named once is known from then on', () => {
  const text = 'BLUSHES:\nmossgrave & daughters, rust\n\nmossgrave & daughters fig\n\n# Lip glosses\nquay harrowfin\n'
  expect(readLines(text, CONTEXT).map(({ at, cells }) => [at, cells.maker, cells.shade, cells.category])).toEqual([
    [1, 'Mossgrave & Daughters', 'Rust', 'BLUSHES'],
    [3, 'Mossgrave & Daughters', 'Fig', 'BLUSHES'],
    [6, 'Quay', 'Harrowfin', 'Lip glosses'],
  ])
})

test('what she mended stands, whatever the line says', () => {
  const line = 'quay harrowfin lip gloss'
  const mended = { ...splitLine(line, CONTEXT), maker: 'Harrowfin', shade: 'Quay' }
  expect(readLines(line, CONTEXT, new Map([[line, mended]]))[0]?.cells).toEqual(mended)
})

test('as a sheet every line has every column, and no sign in it breaks a cell', () => {
  const sheet = asSheet(readLines('pell\twick "Rust" blush\nencore', CONTEXT))
  const rows = sheet.split('\n').map((row) => row.split('\t'))
  expect(rows.map((row) => row.length)).toEqual([12, 12, 12])
  expect(sheet).not.toContain('"')
})

test('a known brand is one, though its name be that of a type', () => {
  const cells = splitLine('lip gloss club sloe lipstick', { ...CONTEXT, makers: ['Lip Gloss Club'] })
  expect([cells.maker, cells.shade, cells.category]).toEqual(['Lip Gloss Club', 'Sloe', 'lipstick'])
})

test('what in a name looks like something else is asked about; a numbered shade isn’t', () => {
  expect(leftoversIn('Fig No. 4')).toEqual([])
  expect(leftoversIn('Sloe 3 left')).toEqual(['3 left'])
  expect(leftoversIn('Full Moon')).toEqual([])
})

describe('how much is left', () => {
  test.each([
    ['half left', { kind: 'share', share: 0.5 }],
    ['80%', { kind: 'share', share: 0.8 }],
    ['3/4 full', { kind: 'share', share: 0.75 }],
    ['nearly empty', { kind: 'share', share: 0.05 }],
    ['hit pan', { kind: 'stage', stage: 'first pan' }],
    ['140 %', null],
    ['nice', null],
  ])('%s', (text, said) => {
    expect(parseLeft(text)).toEqual(said)
  })
  test('as a reading that the package allows', () => {
    expect(readingOfLeft({ kind: 'share', share: 0.5 }, 'pressed', false)).toMatchObject({ kind: 'stage' })
    expect(readingOfLeft({ kind: 'share', share: 0.5 }, 'bullet', false)).toEqual({ kind: 'length', value: 0.5 })
    expect(readingOfLeft({ kind: 'stage', stage: 'first pan' }, 'bullet', false)).toBeNull()
  })
})
