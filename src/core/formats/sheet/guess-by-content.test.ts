import { expect, test } from 'vitest'
import { CATEGORY_DEFAULTS } from '../../item/category-defaults.js'
import type { SheetField } from './header-words-data.js'
import { guessByContent } from './guess-by-content.js'

const guess = (rows: string[][], meanings: (SheetField | null)[] = (rows[0] ?? []).map(() => null)) =>
  guessByContent(meanings, rows, CATEGORY_DEFAULTS, 'day-first')

const ROWS = [
  ['Pellwick', 'Night Bus', 'lipstick', '3.5 g', '€18', '12M', '01.02.2023', '05.03.2023'],
  ['Pellwick', 'Harbour', 'lipsticks', '3.5 g', '€18', '24M', '11.02.2023', '06.04.2023'],
  ['Zephyrine', 'Oat Dust', 'setting powder', '12 g', '€25', '24M', '01.07.2023', '09.07.2023'],
  ['Zephyrine', 'Wet Stone', 'highlighter', '8 g', '€30', '12M', '01.08.2023', '15.09.2023'],
  ['Zephyrine', 'Soot', 'eyeliner', '0.3 g', '€9', '6M', '03.08.2023', '19.09.2023'],
]

test('columns without a header are told by what stands in them; of two dates the first is the purchase', () => {
  expect(guess(ROWS)).toEqual(['maker', 'name', 'category', 'size', 'price', 'pao', 'acquired', 'opened'])
})

test('one column of dates is the opening', () => {
  expect(guess(ROWS.map((row) => [row[1] ?? '', row[7] ?? '']))).toEqual(['name', 'opened'])
})

test('what a header said isn’t given away again', () => {
  const said = ROWS.map((row) => [row[0] ?? '', row[1] ?? '', row[3] ?? ''])
  expect(guess(said, ['shade', null, null])).toEqual(['shade', 'name', 'size'])
  expect(guess(said, ['name', 'notes', 'size'])).toEqual(['name', 'notes', 'size'])
})

test('a few sizes among other words make no size column; a bare number is no price', () => {
  const rows = ['3 g', 'a gift', 'from the fair', 'smells of roses', 'don’t lend'].map((notes, n) => [
    `Thing ${n}`,
    notes,
    String(n * 7),
  ])
  const guessed = guess(rows, ['name', null, null])
  expect(guessed).not.toContain('size')
  expect(guessed).not.toContain('price')
})

test('cells that say nothing count neither way, and an empty column stays unknown', () => {
  const rows = ROWS.map((row, n) => [row[1] ?? '', n % 2 === 0 ? (row[3] ?? '') : '-', ''])
  expect(guess(rows, ['name', null, null])).toEqual(['name', 'size', null])
})
