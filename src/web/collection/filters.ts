import type { ListedItem } from '#contract/item'

/** A question that can be asked of every item; several combine. */
export interface Filter {
  readonly id: string
  readonly name: string
  readonly test: (item: ListedItem) => boolean
}

export const FILTERS: readonly Filter[] = [
  { id: 'open', name: 'open', test: (item) => item.lifecycle === 'open' },
  { id: 'unopened', name: 'unopened', test: (item) => item.lifecycle === 'unopened' },
  { id: 'backup', name: 'backups', test: (item) => item.isBackup },
  { id: 'drawer', name: 'in the drawer', test: (item) => item.placement !== null },
  { id: 'project', name: 'in a project', test: (item) => item.goal !== null },
  { id: 'soon', name: 'expires soon', test: (item) => item.shelfLife.state === 'within 90 days' },
  {
    id: 'past',
    name: 'expired',
    test: (item) => item.shelfLife.state === 'past' || item.shelfLife.state === 'sign seen',
  },
  { id: 'undated', name: 'opening unknown', test: (item) => item.opening.kind === 'unknown' },
  { id: 'kept', name: 'kept as words', test: (item) => item.hasKeptWords },
]

export type Order = 'makeup' | 'spoils' | 'uses' | 'unworn' | 'name'

export const ORDERS: Readonly<Record<Order, string>> = {
  makeup: 'in makeup order',
  spoils: 'expires soonest',
  uses: 'most used',
  unworn: 'unworn longest',
  name: 'by name',
}

const COMPARE: Readonly<Record<Order, (a: ListedItem, b: ListedItem) => number>> = {
  makeup: (a, b) => a.makeupOrder - b.makeupOrder,
  spoils: (a, b) => (a.shelfLife.actOn ?? '9999').localeCompare(b.shelfLife.actOn ?? '9999'),
  uses: (a, b) => b.uses - a.uses,
  unworn: (a, b) => (a.lastWorn ?? '0000').localeCompare(b.lastWorn ?? '0000'),
  name: (a, b) => `${a.name} ${a.maker}`.localeCompare(`${b.name} ${b.maker}`),
}

/** What is wished for of the items found, in the order wished for; found by words, the closest stay first unless she orders otherwise. */
export function choose(
  found: readonly ListedItem[],
  wish: { filters: readonly string[]; categoryId: string | null; order: Order; ranked: boolean },
): ListedItem[] {
  const tests = FILTERS.filter((filter) => wish.filters.includes(filter.id))
  const kept = found.filter(
    (item) =>
      (wish.categoryId === null || item.categoryId === wish.categoryId) && tests.every((filter) => filter.test(item)),
  )
  return wish.ranked && wish.order === 'makeup' ? kept : kept.sort(COMPARE[wish.order])
}

export interface CategoryCount {
  readonly id: string
  readonly name: string
  readonly count: number
  readonly backups: number
}

/** Counts by category in makeup order, backups named apart. */
export function countsOf(items: readonly ListedItem[]): CategoryCount[] {
  const counts = new Map<string, { id: string; name: string; count: number; backups: number; order: number }>()
  for (const item of items) {
    const row = counts.get(item.categoryId) ?? {
      id: item.categoryId,
      name: item.category,
      count: 0,
      backups: 0,
      order: item.makeupOrder,
    }
    row.count += 1
    if (item.isBackup) row.backups += 1
    counts.set(item.categoryId, row)
  }
  return [...counts.values()].sort((a, b) => a.order - b.order)
}
