import { describe, expect, test } from 'vitest'
import { addDays, type Day } from '../calendar/day.js'
import type { ShelfLife } from '../shelf-life/last-good-day.js'
import { reachFor, type WithinReach } from './reach-for.js'
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

describe('reach for', () => {
  const item = (itemId: string, over: Partial<WithinReach> = {}): WithinReach => ({
    itemId,
    faceOrder: 5,
    shelfLife: life(null),
    usesLeft: null,
    left: null,
    lastWorn: addDays(TODAY, -1),
    placedOn: addDays(TODAY, -300),
    wornToday: false,
    ...over,
  })
  const DRAWER = [
    item('late', { shelfLife: life(100), faceOrder: 9 }),
    item('soon', { shelfLife: life(20), faceOrder: 2 }),
    item('few', { usesLeft: 2, faceOrder: 7 }),
    item('some', { usesLeft: 6 }),
    item('idle', { lastWorn: addDays(TODAY, -40), faceOrder: 1 }),
    item('never', { lastWorn: null, placedOn: addDays(TODAY, -12) }),
  ]
  test('gives one item for each reason, in the order of a face', () => {
    expect(reachFor(DRAWER, TODAY).map((each) => [each.itemId, each.reason])).toEqual([
      ['idle', 'unworn-longest'],
      ['soon', 'spoils-soonest'],
      ['few', 'nearly-done'],
    ])
  })
  test('never says the same item twice, and takes the next for the other reason', () => {
    const both = item('both', { shelfLife: life(5), usesLeft: 1 })
    const found = reachFor([both, ...DRAWER], TODAY)
    expect(found.filter((each) => each.itemId === 'both')).toHaveLength(1)
    expect(found.find((each) => each.reason === 'nearly-done')?.itemId).toBe('few')
  })
  test('leaves out what is worn today, past its date, spoiled or a lapsed sunscreen', () => {
    const bad = [
      item('worn', { shelfLife: life(1), wornToday: true }),
      item('past', { shelfLife: life(-1), usesLeft: 1 }),
      item('spoiled', { shelfLife: { ...life(1), state: 'sign seen' }, usesLeft: 1 }),
      item('lapsed', { shelfLife: life(1, true), lastWorn: addDays(TODAY, -90) }),
    ]
    expect(reachFor(bad, TODAY)).toEqual([])
  })
  test('does not depend on the order in which items are given', () => {
    expect(reachFor([...DRAWER].reverse(), TODAY)).toEqual(reachFor(DRAWER, TODAY))
  })
})

describe('what could roll in', () => {
  const item = (itemId: string, over: Partial<RollInFacts> = {}): RollInFacts => ({
    itemId,
    categoryId: 'blush',
    shelfLife: life(400),
    opened: true,
    openedSince: addDays(TODAY, -30),
    left: null,
    liking: null,
    lastWorn: addDays(TODAY, -3),
    openInCategory: 2,
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
    )
    expect(list.map((each) => [each.itemId, each.reason.code, each.sameCategory])).toEqual([
      ['blush-long', 'open-long', true],
      ['lip', 'spoils-soon', false],
      ['liked', 'liked-but-neglected', false],
    ])
  })
  test('is short, prefers different reasons, and never holds what is past', () => {
    const many = Array.from({ length: 12 }, (_, n) => item(`s${n}`, { shelfLife: life(10 + n), categoryId: 'x' }))
    const list = rollInShortList(
      [...many, item('win', { left: 0.1 }), item('past', { shelfLife: life(-2) })],
      null,
      TODAY,
    )
    expect(list).toHaveLength(SHORT_LIST)
    expect(list.map((each) => each.itemId)).toContain('win')
    expect(list.map((each) => each.itemId)).not.toContain('past')
  })
})
