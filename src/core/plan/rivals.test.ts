import { expect, test } from 'vitest'
import { rivalries, type InReach } from './rivals.js'

const inReach = (categoryId: string, items: number): InReach => ({ categoryId, category: categoryId, items })

test('a category starves when its items would get fewer than five uses a month each; the worst first', () => {
  // Four wear days a week are 17.39 a month (4 x 30.4375 / 7): three share 5.8 each, four 4.3, six 2.9.
  const found = rivalries([inReach('lips', 4), inReach('cheeks', 3), inReach('eyes', 6), inReach('brows', 1)], 4)
  expect(found.map((each) => each.categoryId)).toEqual(['eyes', 'lips'])
  expect(found[0]?.usesEach).toBeCloseTo(2.899, 3)
  expect(found[1]?.usesEach).toBeCloseTo(4.348, 3)
})

test('one alone is never its own rival, however seldom it is worn; nobody starves where nothing is worn less', () => {
  expect(rivalries([inReach('lips', 1)], 0.2)).toEqual([])
  expect(rivalries([inReach('lips', 2)], 7)).toEqual([])
  expect(rivalries([inReach('lips', 2)], 0)).toMatchObject([{ usesEach: 0 }])
})

test('two that starve alike come in the order of their ids', () => {
  expect(rivalries([inReach('b', 9), inReach('a', 9)], 3).map((each) => each.categoryId)).toEqual(['a', 'b'])
})
