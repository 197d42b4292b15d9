import type { Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import type { TouchedRow } from '../db/journal.js'

/** Tables whose rows belong to one item and change nothing but it. */
const OF_ONE_ITEM = new Set([
  'part',
  'measurement',
  'item_event',
  'photo',
  'placement',
  'stay',
  'trial',
  'verdict',
  'review',
])
/** Tables that no summary is made from. */
const BESIDE = new Set([
  'pair',
  'put_back',
  'not_today',
  'saved_face',
  'saved_face_item',
  'day_record',
  'short_list',
  'laying',
  'laying_choice',
  'mix',
])
/** A change of more rows than this is quicker to forget altogether. */
const MANY = 400

/**
 * Summaries of one day, kept until a change touches what they are made from. Whatever is not known to concern single items
 * (settings, categories, projects, days away) makes it forget everything.
 */
export class Remembered {
  readonly #byId = new Map<string, { summary: ItemSummary; productId: string }>()
  /** Each summary as JSON, made when it is first sent. */
  readonly #json = new WeakMap<ItemSummary, string>()
  readonly #itemOfPart: (partId: string) => string | null
  #day: Day | null = null
  #sorted: ItemSummary[] | null = null

  constructor(itemOfPart: (partId: string) => string | null) {
    this.#itemOfPart = itemOfPart
  }

  /** The summaries known of that day, and the ids that are not. */
  recall(ids: readonly string[], day: Day): { known: ItemSummary[]; unknown: string[] } {
    if (this.#day !== day) this.#forgetAll(day)
    const known: ItemSummary[] = []
    const unknown: string[] = []
    for (const id of ids) {
      const there = this.#byId.get(id)
      if (there) known.push(there.summary)
      else unknown.push(id)
    }
    return { known, unknown }
  }

  /** The summaries as one JSON array; what has been sent before is not written again. */
  jsonOf(items: readonly ItemSummary[]): string {
    const parts = items.map((item) => {
      const known = this.#json.get(item)
      if (known !== undefined) return known
      const text = JSON.stringify(item)
      this.#json.set(item, text)
      return text
    })
    return `[${parts.join(',')}]`
  }

  keep(found: readonly { summary: ItemSummary; productId: string }[], day: Day): void {
    if (this.#day !== day || found.length === 0) return
    for (const each of found) this.#byId.set(each.summary.id, each)
    this.#sorted = null
  }

  /** All that is known of these ids in the order of a face; sorted once for as long as nothing changes. */
  inOrder(known: ItemSummary[]): ItemSummary[] {
    if (known.length < this.#byId.size) return [...known].sort(byFace)
    this.#sorted ??= [...known].sort(byFace)
    return [...this.#sorted]
  }

  forget(touched: readonly TouchedRow[]): void {
    if (touched.length > MANY) return this.#forgetAll(null)
    for (const { tbl, row_id: rowId, image } of touched) {
      if (BESIDE.has(tbl)) continue
      const row = JSON.parse(image) as Record<string, unknown>
      if (tbl === 'wear') this.#forgetWear(String(row['item_id']), String(row['day']))
      else if (tbl === 'item') this.#forgetProduct(rowId, String(row['product_id']))
      else if (tbl === 'wear_part') this.#forgetItem(this.#itemOfPart(String(row['part_id'])))
      else if (OF_ONE_ITEM.has(tbl)) this.#forgetItem(String(row['item_id']))
      else return this.#forgetAll(null)
    }
  }

  /** A wear of an earlier day may change the learned week, which every goal is reckoned with. */
  #forgetWear(itemId: string, day: string): void {
    this.#forgetItem(itemId)
    if (day === this.#day) return
    for (const [id, { summary }] of this.#byId) if (summary.goal !== null) this.#forgetItem(id)
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

/** Order of a face, then maker, name, shade and id, as the statements order them. */
function byFace(a: ItemSummary, b: ItemSummary): number {
  return (
    a.faceOrder - b.faceOrder ||
    compare(a.maker, b.maker) ||
    compare(a.name, b.name) ||
    compare(a.shade, b.shade) ||
    compare(a.id, b.id)
  )
}

function compare(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0
}
