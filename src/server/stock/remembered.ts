import type { Day } from '#core/calendar/day'
import type { TouchedRow } from '../db/journal.js'
import { TABLES } from '../db/tables.js'
import type { ItemFacts } from './item-facts.js'

/** A change of more rows than this is quicker to forget altogether. */
const MANY = 400

/**
 * Facts of one day, kept until a change touches what they are made from; the registry of tables says what a row makes stale.
 * Goals are computed with the week and its calm stretches: when those are no longer what they were, everything with a goal
 * is read anew.
 */
export class Remembered {
  readonly #byId = new Map<string, ItemFacts>()
  /** Each item as JSON, made when it is first sent. */
  readonly #json = new WeakMap<ItemFacts, string>()
  readonly #itemOfPart: (partId: string) => string | null
  readonly #productOf: (itemId: string) => string | null
  #day: Day | null = null
  #rhythm = ''
  #sorted: ItemFacts[] | null = null

  constructor(itemOfPart: (partId: string) => string | null, productOf: (itemId: string) => string | null) {
    this.#itemOfPart = itemOfPart
    this.#productOf = productOf
  }

  /** What is known of that day under that rhythm, and the ids that are not. */
  recall(ids: readonly string[], day: Day, rhythm: string): { known: ItemFacts[]; unknown: string[] } {
    if (this.#day !== day) this.#forgetAll(day)
    if (this.#rhythm !== rhythm) this.#forgetGoals()
    this.#rhythm = rhythm
    const known: ItemFacts[] = []
    const unknown: string[] = []
    for (const id of ids) {
      const there = this.#byId.get(id)
      if (there) known.push(there)
      else unknown.push(id)
    }
    return { known, unknown }
  }

  /** The summaries as one JSON array; what has been sent before is not written again. */
  jsonOf(items: readonly ItemFacts[], shown: (facts: ItemFacts) => object): string {
    const parts = items.map((item) => {
      const known = this.#json.get(item)
      if (known !== undefined) return known
      const text = JSON.stringify(shown(item))
      this.#json.set(item, text)
      return text
    })
    return `[${parts.join(',')}]`
  }

  keep(found: readonly ItemFacts[], day: Day): void {
    if (this.#day !== day || found.length === 0) return
    for (const each of found) this.#byId.set(each.id, each)
    this.#sorted = null
  }

  /** All that is known of these ids in makeup order; sorted once for as long as nothing changes. */
  inOrder(known: ItemFacts[]): ItemFacts[] {
    if (known.length < this.#byId.size) return [...known].sort(byMakeupOrder)
    this.#sorted ??= [...known].sort(byMakeupOrder)
    return [...this.#sorted]
  }

  forget(touched: readonly TouchedRow[]): void {
    if (touched.length > MANY) return this.#forgetAll(null)
    for (const { tbl, row_id: rowId, before, after } of touched) {
      const stale = TABLES[tbl]?.stale ?? 'everything'
      if (stale === 'nothing') continue
      if (stale === 'everything') return this.#forgetAll(null)
      // What it belonged to before is as stale as what it belongs to now.
      for (const image of [before, after]) {
        if (image === null) continue
        const row = JSON.parse(image) as Record<string, unknown>
        if (stale === 'its product') this.#forgetProduct(rowId, String(row['product_id']))
        else if ('ofPart' in stale) this.#forgetItem(this.#itemOfPart(String(row[stale.ofPart])))
        else if ('ofProductOf' in stale) {
          const id = String(row[stale.ofProductOf])
          this.#forgetProduct(id, this.#productOf(id) ?? '')
        } else this.#forgetItem(String(row[stale.ofItem]))
      }
    }
  }

  #forgetGoals(): void {
    for (const [id, { goal }] of this.#byId) if (goal !== null) this.#forgetItem(id)
  }

  /** Backups are counted by product. An edit may have moved the item to another one. */
  #forgetProduct(itemId: string, productId: string): void {
    const before = this.#byId.get(itemId)?.productId
    this.#forgetItem(itemId)
    for (const [id, each] of this.#byId)
      if (each.productId === productId || each.productId === before) this.#forgetItem(id)
  }

  #forgetItem(id: string | null): void {
    if (id !== null && this.#byId.delete(id)) this.#sorted = null
  }

  #forgetAll(day: Day | null): void {
    this.#byId.clear()
    this.#sorted = null
    this.#day = day
  }
}

/** Makeup order, then brand, name, shade and id, as the statements order them. */
function byMakeupOrder(a: ItemFacts, b: ItemFacts): number {
  return (
    a.makeupOrder - b.makeupOrder ||
    compare(a.maker, b.maker) ||
    compare(a.name, b.name) ||
    compare(a.shade, b.shade) ||
    compare(a.id, b.id)
  )
}

function compare(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0
}
