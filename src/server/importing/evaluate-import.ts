import type { Day } from '#core/calendar/day'
import { ok, type Outcome } from '../failing.js'
import { readSheet } from '#core/formats/sheet/read-sheet'
import { CATEGORY_DEFAULTS } from '#core/item/category-defaults'
import { minorDigits } from '#core/quantity/money'
import { cellWords } from './problem-groups.js'
import { readTable } from './read-table.js'

export interface EvaluatedItem {
  readonly maker: string
  readonly name: string
  readonly shade: string
  readonly category: string | null
  /** Net content in `unit`, by the exact factors. */
  readonly amount: number | null
  readonly unit: 'g' | 'ml' | null
  readonly price: number | null
  readonly opened: { readonly earliest: Day; readonly latest: Day } | null
  readonly paoMonths: number | null
  readonly expiry: Day | null
  readonly uses: number | null
}

export interface EvaluatedImport {
  readonly rows: number
  readonly items: readonly EvaluatedItem[]
  readonly problems: readonly { row: number; column: string; value: string; message: string }[]
}

const CATEGORY_NAMES = new Map(CATEGORY_DEFAULTS.map(({ id, name }) => [id, name]))

/** Reads a sheet as the preview does, with the default categories and no currency chosen, and stores nothing. */
export async function evaluateImport(bytes: Uint8Array, name: string, today: Day): Promise<Outcome<EvaluatedImport>> {
  const table = await readTable(bytes, name)
  if (!table.ok) return table
  const reading = readSheet(table.value, {
    today,
    categories: CATEGORY_DEFAULTS,
    currency: null,
    fallbackOrder: 'month-first',
  })
  if (!reading.ok) return reading
  const { items, problems, currency } = reading.value
  return ok({
    rows: items.length,
    items: items.map((item) => ({
      maker: item.maker,
      name: item.name,
      shade: item.shade,
      category: item.categoryId === null ? null : (CATEGORY_NAMES.get(item.categoryId) ?? null),
      amount: item.content?.amount ?? null,
      unit: item.content?.unit ?? null,
      price: item.price === null ? null : item.price / 10 ** minorDigits(currency),
      opened: item.opened,
      paoMonths: item.paoMonths,
      expiry: item.expiry,
      uses: item.uses === null && item.wornOn.length === 0 ? null : (item.uses ?? 0) + new Set(item.wornOn).size,
    })),
    problems: problems.map(({ row, column, value, failure }) => ({ row, column, value, message: cellWords(failure) })),
  })
}
