import { expect, test } from 'vitest'
import { guessSwatch } from './guess-swatch.js'
import { KIND_COLOURS, TRADE_WORDS } from './trade-words-data.js'

const list = (plain: string): string | null => ({ 'tidal pool': '#3a7d7c', plum: '#000000' })[plain] ?? null
const guess = (shade: string, name = 'Velvet'): string => guessSwatch({ shade, name, kind: 'lipstick' }, list)
const light = (colour: string): number => [1, 3, 5].reduce((sum, at) => sum + parseInt(colour.slice(at, at + 2), 16), 0)

test('a word of the trade in the shade goes before the list of names', () => {
  expect(guess('Plum')).toBe(TRADE_WORDS['plum'])
})

test('of two words of the trade the last is meant', () => {
  expect(guess('Rose Nude')).toBe(TRADE_WORDS['nude'])
})

test('a shade of no trade word is looked up whole; numbers and accents don’t hinder', () => {
  expect(guess('Tidal Pool')).toBe('#3a7d7c')
  expect(guess('02 Tídal Pool')).toBe('#3a7d7c')
})

test('where the shade says nothing the name may, and else its type does', () => {
  expect(guess('No. 7', 'Plum Works')).toBe(TRADE_WORDS['plum'])
  expect(guess('Whim', 'Whimsy')).toBe(KIND_COLOURS.lipstick)
  expect(guess('', '')).toBe(KIND_COLOURS.lipstick)
})

test('deep is darker and pale is lighter than the colour itself', () => {
  expect(light(guess('Deep Plum'))).toBeLessThan(light(guess('Plum')))
  expect(light(guess('Pale Plum'))).toBeGreaterThan(light(guess('Plum')))
})

test('every guess is a colour', () => {
  for (const colour of [...Object.values(TRADE_WORDS), ...Object.values(KIND_COLOURS), guess('Deep Dark Rich Plum')])
    expect(colour).toMatch(/^#[0-9a-f]{6}$/)
})
