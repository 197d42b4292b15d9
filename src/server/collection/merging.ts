import type { z } from 'zod'
import { fail, ok, type Failure, type Outcome } from '../failing.js'
import { itemMark } from '#core/words/told'
import { earlier, later, type Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import type { MergeItems } from '#contract/collection'
import type { Done } from '../db/journal.js'
import { TABLES } from '../db/tables.js'
import type { House } from '../house.js'
import type { ItemFacts } from '../stock/item-facts.js'
import { mergingQueries } from './merging-queries.js'

type Refusal = { readonly ok: false; readonly failure: Failure }

/**
 * Makes one item of several that are the same thing: its history is theirs, a use on the same day counts once, and nothing
 * that was said of either is lost. What cannot be one is refused in words.
 */
export class Merging {
  readonly #house: House
  readonly #queries

  constructor(house: House) {
    this.#house = house
    this.#queries = mergingQueries(house.db)
  }

  merge(body: z.output<typeof MergeItems>): Outcome<Done<{ id: string }>> {
    const today = this.#house.today()
    const dropIds = [...new Set(body.dropIds)]
    for (const id of dropIds) {
      const kept = this.#house.stock.one(body.keepId, today)
      const other = this.#house.stock.one(id, today)
      if (!kept) return fail('unknown-item', { value: body.keepId })
      if (!other) return fail('unknown-item', { value: id })
      if (id === body.keepId) return fail('merge-with-itself', { value: id })
      const wrong = this.#cannotBeOne(kept, other)
      if (wrong) return wrong
      this.#take(kept, other, today)
    }
    this.#house.wearing.laterWordHolds()
    const name = this.#house.stock.one(body.keepId, today)
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

  #take(kept: ItemFacts, other: ItemFacts, today: Day): void {
    const { db } = this.#house
    const at = { kept: kept.id, other: other.id }
    const facts = this.#factsOfBoth(kept, other)
    this.#takeWears(kept.id, other.id)
    if (other.placement !== null) this.#takePlacement(kept, other, today)
    this.#queries.dropPairsBetween.run(at)
    for (const pair of this.#queries.pairsOf.all({ id: other.id })) this.#takePair(kept.id, other.id, pair)
    for (const [table, { items = {} }] of Object.entries(TABLES))
      for (const [column, policy] of Object.entries(items)) {
        if (policy !== 'move' && !(policy === 'by hand' && MOVED_WHOLE.includes(table))) continue
        // What the kept one has already under the same key stands; the other's alike goes.
        db.prepare(`UPDATE OR IGNORE "${table}" SET "${column}" = @kept WHERE "${column}" = @other`).run(at)
        db.prepare(`DELETE FROM "${table}" WHERE "${column}" = @other`).run({ other: other.id })
      }
    this.#queries.reviewsToProduct.run({ itemId: kept.id, productId: kept.productId })
    this.#queries.takeFacts.run({ id: kept.id, ...facts })
    db.prepare('DELETE FROM item WHERE id = ?').run(other.id)
    this.#queries.dropUnusedProduct.run({ id: other.productId })
  }

  /** Of two places in the drawer the kept one's holds, and the other was left today; so it was where the kept one is too large. */
  #takePlacement(kept: ItemFacts, other: ItemFacts, today: Day): void {
    const { placement } = other
    if (placement === null) return
    const zone = this.#house.drawer.zones().find((each) => each.id === placement.zoneId)
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

  /** What either says where the other says nothing; earlier uses of one row imported twice are the same uses. */
  #factsOfBoth(kept: ItemFacts, other: ItemFacts): Record<string, string | number | null> {
    const sameRow = this.#queries.sameMark.get({ kept: kept.id, other: other.id }) !== undefined
    const [a, b] = [kept.usesBefore, other.usesBefore]
    const uses = a === null || b === null ? (a ?? b) : sameRow ? Math.max(a, b) : a + b
    const opened = kept.opened.kind === 'range' || other.opened.kind !== 'range' ? kept.opened : other.opened
    const used = (uses ?? 0) > 0
    const kind = opened.kind === 'unopened' && (used || other.opened.kind === 'unknown') ? 'unknown' : opened.kind
    const acquired = [kept.acquired, other.acquired].flatMap((each) => each ?? [])
    const worn = [kept.firstWorn, other.firstWorn].flatMap((each) => each ?? [])
    return {
      uses: uses === null ? null : Math.min(uses, 100_000),
      kind,
      earliest: opened.kind === 'range' ? opened.earliest : null,
      latest: opened.kind === 'range' ? opened.latest : null,
      said: opened.kind === 'range' ? opened.said : null,
      acquiredEarliest:
        acquired.length === 0 ? null : ([...acquired.map((each) => each.earliest), ...worn].sort()[0] ?? null),
      acquiredLatest: acquired.length === 0 ? null : ((kept.acquired ?? other.acquired)?.latest ?? null),
      endedOn: kept.endedOn === null || other.endedOn === null ? kept.endedOn : later(kept.endedOn, other.endedOn),
      notes: [kept.notes, other.notes]
        .filter((text, n, all) => text !== '' && all.indexOf(text) === n)
        .join('\n')
        .slice(0, 4000),
      liking: kept.liking ?? other.liking,
      paoMonths: kept.paoMonths ?? other.paoMonths,
      expiry:
        kept.expiry !== null && other.expiry !== null
          ? earlier(kept.expiry, other.expiry)
          : (kept.expiry ?? other.expiry),
      priceMinor: kept.priceMinor ?? (kept.source === 'gift' ? null : other.priceMinor),
      priceSaid: kept.priceSaid ?? other.priceSaid,
      colour: kept.colour ?? other.colour,
    }
  }
}

/** Tables whose rows move as a whole once what would collide is dealt with. */
const MOVED_WHOLE = ['stay', 'placement', 'trial', 'review']
