import { describe, expect, test } from 'vitest'
import type { Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import { specimen } from '#web/specimen/specimen-data'
import { choose, countsOf, FILTERS, type Order } from './filters'

const make = (shade: string, over: Partial<ListedItem>): ListedItem => ({
  ...specimen({ shade, form: 'wand', colour: null }),
  ...over,
})
const ITEMS = [
  make('Quay', { categoryId: 'gloss', category: 'lip gloss', makeupOrder: 30, uses: 5, lastWorn: '2026-11-01' as Day }),
  make('Kelp', {
    categoryId: 'gloss',
    category: 'lip gloss',
    makeupOrder: 30,
    uses: 9,
    lifecycle: 'unopened',
    isBackup: true,
  }),
  make('Fawn', {
    categoryId: 'foundation',
    category: 'foundation',
    makeupOrder: 2,
    uses: 40,
    placement: { zoneId: 'z', since: '2026-01-01' as Day, position: 1, beside: false },
  }),
  make('Barley', {
    categoryId: 'concealer',
    category: 'concealer',
    makeupOrder: 4,
    uses: 2,
    lastWorn: '2026-03-01' as Day,
    shelfLife: {
      ...specimen({ shade: 'x', form: 'wand', colour: null }).shelfLife,
      state: 'past',
      actOn: '2026-01-01' as Day,
    },
  }),
]
type Wish = Parameters<typeof choose>[1]
const ALL: Wish = { filters: [], categoryId: null, order: 'makeup', ranked: false }
const shades = (wish: Partial<Wish>): string[] => choose(ITEMS, { ...ALL, ...wish }).map((item) => item.shade)

describe('choosing', () => {
  test('what was found by words stays in the order of the finding, unless she orders otherwise', () => {
    expect(shades({ ranked: true })).toEqual(ITEMS.map((item) => item.shade))
    expect(shades({ ranked: true, order: 'uses' })).toEqual(shades({ order: 'uses' }))
  })
  test('filters and category combine', () => {
    expect(shades({ filters: ['open'] })).toEqual(['Fawn', 'Barley', 'Quay'])
    expect(shades({ filters: ['open', 'past'] })).toEqual(['Barley'])
    expect(shades({ filters: ['open'], categoryId: 'gloss' })).toEqual(['Quay'])
    expect(shades({ filters: ['backup'] })).toEqual(['Kelp'])
    expect(shades({ filters: ['drawer'] })).toEqual(['Fawn'])
    expect(shades({ categoryId: 'nothing of the type' })).toEqual([])
  })
  test.each<[Order, string[]]>([
    ['makeup', ['Fawn', 'Barley', 'Quay', 'Kelp']],
    ['uses', ['Fawn', 'Kelp', 'Quay', 'Barley']],
    ['spoils', ['Barley', 'Quay', 'Kelp', 'Fawn']],
    ['unworn', ['Kelp', 'Fawn', 'Barley', 'Quay']],
  ])('in the order %s', (order, expected) => {
    expect(shades({ order })).toEqual(expected)
  })
  test('every filter passes something and stops something', () => {
    const many: ListedItem[] = [
      ...ITEMS,
      make('Soon', {
        shelfLife: { ...specimen({ shade: 'x', form: 'wand', colour: null, state: 'within 90 days' }).shelfLife },
      }),
      specimen({ shade: 'Goal', form: 'wand', colour: null, goal: {} }),
      make('Kept', { hasKeptWords: true, opening: { kind: 'unopened', within: null, notAfter: null } }),
    ]
    for (const filter of FILTERS) {
      const passed = many.filter(filter.test).length
      expect(passed, filter.name).toBeGreaterThan(0)
      expect(passed, filter.name).toBeLessThan(many.length)
    }
  })
})

test('counts stand in makeup order, backups apart', () => {
  expect(countsOf(ITEMS).map((row) => [row.name, row.count, row.backups])).toEqual([
    ['foundation', 1, 0],
    ['concealer', 1, 0],
    ['lip gloss', 2, 1],
  ])
})
