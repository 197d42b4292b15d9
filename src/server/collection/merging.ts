import type { z } from 'zod'
import { fail, ok, type Refusal } from '../failing.js'
import { itemMark } from '#core/words/told'
import { later, type Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import type { MergeItems, MergeQuestion } from '#contract/collection'
import { moneyText } from '#core/quantity/money'
import type { Answer } from '../db/journal.js'
import { TABLES } from '../db/tables.js'
import type { ItemFacts } from '../stock/item-facts.js'
import { conflictsOf, mergedRow, type ItemRow } from './merged-columns.js'
import { mergingQueries } from './merging-queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Wearing } from '../today/wearing.js'
import type { Drawer } from '../drawer/drawer.js'

type Chosen = z.output<typeof MergeItems>['chosen']
/**
 * Makes one item of several that are the same item: its history is theirs, a use on the same day counts once, and nothing
 * that was said of either is lost. What cannot be one is refused in words.
 */
export class Merging {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock; wearing: Wearing; drawer: Drawer }) {
    this.#queries = mergingQueries(services.db)
  }

  merge(body: z.output<typeof MergeItems>): Answer {
    const today = this.services.today()
    const dropIds = [...new Set(body.dropIds)]
    for (const id of dropIds) {
      const kept = this.services.stock.one(body.keepId, today)
      const other = this.services.stock.one(id, today)
      if (!kept) return fail('unknown-item', { value: body.keepId })
      if (!other) return fail('unknown-item', { value: id })
      if (id === body.keepId) return fail('merge-with-itself', { value: id })
      const wrong = this.#cannotBeOne(kept, other) ?? this.#asks(kept, other, body.chosen)
      if (wrong) return wrong
      this.#take(kept, other, body.chosen, today)
    }
    this.services.wearing.laterWordHolds()
    const name = this.services.stock.one(body.keepId, today)
    return ok({
      words: `Made one of ${counted(dropIds.length + 1, 'item')}: ${name ? itemMark(name) : ''}`,
      answer: { id: body.keepId },
    })
  }

  #cannotBeOne(kept: ItemFacts, other: ItemFacts): Refusal | null {
    if (other.parts.length > 0 || kept.parts.length > 0) return fail('merge-with-shades')
    if (
      (kept.endedOn === null) !== (other.endedOn === null) ||
      (kept.endedOn !== null && kept.lifecycle !== other.lifecycle)
    )
      return fail('merge-one-ended', { name: itemMark(kept.endedOn === null ? other : kept) })
    const both = this.#queries.bothIn.get({ kept: kept.id, other: other.id })
    if (both) return fail('merge-both-in-project', { project: both.name })
    if (this.#queries.blended.get({ kept: kept.id, other: other.id })) return fail('merge-with-parent')
    if (kept.onTrial && other.onTrial) return fail('merge-both-on-trial')
    return null
  }

  #asks(kept: ItemFacts, other: ItemFacts, chosen: Chosen): Refusal | null {
    const open = conflictsOf(this.#row(kept.id), this.#row(other.id)).filter(
      ({ column }) => chosen[column] === undefined,
    )
    if (open.length === 0) return null
    const names = new Map(this.#queries.categoryNames.all().map((row) => [row.id, row.name]))
    const { currency } = this.services.settings()
    const told = (column: string, row: ItemFacts, value: string | number): string => {
      if (column === 'category_id' || column === 'used_as') return names.get(String(value)) ?? String(value)
      if (column === 'content_amount') return `${row.content?.amount} ${row.content?.unit}`
      if (column === 'price_minor') return moneyText(Number(value), currency)
      return String(value)
    }
    const asked: MergeQuestion[] = open.map(({ column, ...both }) => ({
      field: column,
      options: [
        { itemId: kept.id, says: told(column, kept, both.kept) },
        { itemId: other.id, says: told(column, other, both.other) },
      ],
    }))
    return fail('merge-asks', { name: itemMark(other), current: JSON.stringify(asked) })
  }

  #row(id: string): ItemRow {
    return this.#queries.row.get(id) ?? {}
  }

  #take(kept: ItemFacts, other: ItemFacts, chosen: Chosen, today: Day): void {
    const { db } = this.services
    const at = { kept: kept.id, other: other.id }
    const worn = [kept.firstWorn, other.firstWorn].flatMap((each) => each ?? []).sort()
    const theirs = new Set(Object.keys(chosen).filter((column) => chosen[column] === other.id))
    const row = mergedRow(this.#row(kept.id), this.#row(other.id), theirs, {
      first: worn[0] ?? null,
      sameSheetRow: this.#queries.sameMark.get(at) !== undefined,
    })
    this.#takeWears(kept.id, other.id)
    if (other.placement !== null) this.#takePlacement(kept, other, today)
    this.#queries.dropPairsBetween.run(at)
    for (const pair of this.#queries.pairsOf.all({ id: other.id })) this.#takePair(kept.id, other.id, pair)
    this.#queries.asideWords.run(at)
    this.#queries.shortListWords.run(at)
    for (const [table, { items = {} }] of Object.entries(TABLES))
      for (const [column, policy] of Object.entries(items)) {
        if (policy !== 'move' && !(policy === 'by hand' && MOVED_WHOLE.includes(table))) continue
        // What the kept one has already under the same key stands; the other's alike goes.
        db.prepare(`UPDATE OR IGNORE "${table}" SET "${column}" = @kept WHERE "${column}" = @other`).run(at)
        db.prepare(`DELETE FROM "${table}" WHERE "${column}" = @other`).run({ other: other.id })
      }
    // What was to be chosen between is one item now.
    for (const { id } of this.#queries.asksOfOne.all()) {
      this.#queries.dropAskItems.run(id)
      this.#queries.dropAsk.run(id)
    }
    this.#queries.reviewsToProduct.run({ itemId: kept.id, productId: kept.productId })
    const {
      id: _,
      version: __,
      product_id: ___,
      location: ____,
      location_until: _____,
      origin_item_id: ______,
      ...facts
    } = row
    const columns = Object.keys(facts).map((column) => `"${column}" = @${column}`)
    db.prepare(`UPDATE item SET ${columns.join(', ')}, version = version + 1 WHERE id = @id`).run({
      ...facts,
      id: kept.id,
    })
    this.#queries.notItsOwnOrigin.run({ id: kept.id })
    db.prepare('DELETE FROM item WHERE id = ?').run(other.id)
    this.#queries.dropUnusedProduct.run({ id: other.productId })
  }

  /** Of two places in the drawer the kept one's holds, and the other was left today; so it was where the kept one is too large. */
  #takePlacement(kept: ItemFacts, other: ItemFacts, today: Day): void {
    const { placement } = other
    if (placement === null) return
    const zone = this.services.drawer.zones().find((each) => each.id === placement.zoneId)
    const fits = placement.beside || (zone !== undefined && zone.taken - other.slots + kept.slots <= zone.slots)
    if (kept.placement === null && fits) this.#queries.inDrawer.run({ id: kept.id })
    else this.#queries.closePlacement.run({ id: other.id, day: later(today, placement.since) })
  }

  /** A use on the same day counts once; what was said of it at either is kept. */
  #takeWears(kept: string, other: string): void {
    this.#queries.fillWears.run({ kept, other })
    this.#queries.moveWears.run({ kept, other })
    this.#queries.takeFeelings.run({ kept, other })
    this.#queries.dropFeelings.run({ other })
    this.#queries.dropWears.run({ other })
  }

  #takePair(kept: string, other: string, pair: { id: string; item_id: string; other_item_id: string }): void {
    const partner = pair.item_id === other ? pair.other_item_id : pair.item_id
    if (this.#queries.pairBetween.get({ a: kept, b: partner })) this.#queries.dropPair.run(pair.id)
    else this.#queries.movePair.run({ id: pair.id, kept, other })
  }
}

/** Tables whose rows move as a whole once what would collide is dealt with. */
const MOVED_WHOLE = ['stay', 'placement', 'trial', 'review']
