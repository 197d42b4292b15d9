import { describe, expect, test } from 'vitest'
import { addDays, type Day } from '../calendar/day.js'
import type { ShelfLife } from '../shelf-life/last-good-day.js'
import { rollInShortList, SHORT_LIST, type RollInFacts } from './roll-in.js'

const TODAY = '2026-11-24' as Day
const life = (daysLeft: number | null, sunLapsed = false): ShelfLife => ({
  state: daysLeft === null ? 'unknown' : daysLeft < 0 ? 'past' : daysLeft <= 90 ? 'within 90 days' : 'in date',
  lastGood: null,
  actOn: daysLeft === null ? null : addDays(TODAY, daysLeft),
  daysLeft,
  reason: { code: 'purchase-unknown' },
  sun: sunLapsed ? { lastDay: addDays(TODAY, -1), lapsed: true } : null,
})

describe('what could roll in', () => {
  const item = (itemId: string, over: Partial<RollInFacts> = {}): RollInFacts => ({
    itemId,
    categoryId: 'blush',
    shelfLife: life(400),
    openedSince: addDays(TODAY, -30),
    left: null,
    liking: null,
    lastWorn: addDays(TODAY, -3),
    openOfType: 2,
    seasons: [],
    inDrawer: false,
    ...over,
  })
  test('like for like first, then other reasons, each with the most pressing one', () => {
    const list = rollInShortList(
      [
        item('lip', { categoryId: 'lipstick', shelfLife: life(10) }),
        item('blush-long', { openedSince: addDays(TODAY, -900) }),
        item('liked', { categoryId: 'bronzer', liking: 5, lastWorn: addDays(TODAY, -100) }),
        item('plain', { categoryId: 'bronzer' }),
      ],
      { categoryId: 'blush' },
      TODAY,
      'winter',
    )
    expect(list.map((each) => [each.itemId, each.reasons[0]?.code, each.sameCategory])).toEqual([
      ['blush-long', 'open-long', true],
      ['lip', 'expires', false],
      ['liked', 'unworn', false],
    ])
  })
  test('is short, prefers different reasons, and never holds what is past', () => {
    const many = Array.from({ length: 12 }, (_, n) => item(`s${n}`, { shelfLife: life(10 + n), categoryId: 'x' }))
    const list = rollInShortList(
      [...many, item('win', { left: 0.1 }), item('past', { shelfLife: life(-2) })],
      null,
      TODAY,
      'winter',
    )
    expect(list).toHaveLength(SHORT_LIST)
    expect(list.map((each) => each.itemId)).toContain('win')
    expect(list.map((each) => each.itemId)).not.toContain('past')
  })
})
