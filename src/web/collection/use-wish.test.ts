import { expect, test } from 'vitest'
import { queryOf, wishOf, type Wish } from './use-wish'

const WISH: Wish = { words: 'rust & plum', filters: ['open', 'undated'], categoryId: 'blush', order: 'uses' }
const NONE: Wish = { words: '', filters: [], categoryId: null, order: 'makeup' }

test('a wish comes back from its address as it was', () => {
  expect(wishOf(queryOf(WISH))).toEqual(WISH)
})

test('no wish leaves the address bare', () => {
  expect(queryOf(NONE)).toEqual({})
  expect(wishOf({})).toEqual(NONE)
})

test.each([
  { only: 'open nonsense', order: 'toString' },
  { only: ['open', 'x'], words: ['a', 'b'], order: null },
  { order: '__proto__', category: '' },
])('what an address says that nobody offers is no wish: %j', (query) => {
  const wish = wishOf(query)
  expect({ ...wish, filters: [] }).toEqual(NONE)
  expect(wish.filters.every((filter) => filter === 'open')).toBe(true)
})
