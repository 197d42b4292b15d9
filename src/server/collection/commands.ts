import { storedFields, type Stored } from '../stock/item-columns.js'
import { fail, ok, type Refusal } from '../failing.js'
import { itemMark } from '#core/words/told'
import type { Day } from '#core/calendar/day'
import { cannotBeUnopened, saidOn, type Opened } from '#core/item/opening'
import type { ItemFields, AddItem, EditItem } from '#contract/item'
import type { z } from 'zod'
import type { Answer } from '../db/journal.js'
import type { ItemFacts } from '../stock/item-facts.js'
import { collectionQueries } from './queries.js'
import type { Context } from '../context.js'
import type { Measuring } from '../measuring/measuring.js'
import type { Stock } from '../stock/stock.js'
import type { Wearing } from '../today/wearing.js'
import type { Drawer } from '../drawer/drawer.js'

type AddBody = z.output<typeof AddItem>
type EditBody = z.output<typeof EditItem>

export interface Brought {
  readonly priceSaid: string | null
  /** Who says when it was opened. */
  readonly openedBy: 'she' | 'sheet'
  readonly keptText: readonly { column: string; text: string }[]
  readonly importIdentity: string | null
}

/** Several signs are told in one line. */
const MOST_SIGN_WORDS = 400
const NOTHING_BROUGHT: Brought = { priceSaid: null, openedBy: 'she', keptText: [], importIdentity: null }
export class CollectionCommands {
  readonly #queries

  constructor(
    private readonly services: Context & { measuring: Measuring; stock: Stock; wearing: Wearing; drawer: Drawer },
  ) {
    this.#queries = collectionQueries(services.db)
  }

  add(body: AddBody, brought: Brought = NOTHING_BROUGHT): Answer {
    if (this.#queries.itemHead.get(body.id)) return fail('id-taken', { value: body.id })
    const wrong = this.#checked(body.fields, null)
    if (wrong) return wrong
    const { fields } = body
    this.#queries.addItem.run({
      ...bindings(fields, this.#openedOf(fields, null)),
      id: body.id,
      productId: this.#productFor(fields),
      priceSaid: brought.priceSaid,
      openedBy: brought.openedBy,
      keptText: JSON.stringify(brought.keptText),
      addedOn: this.services.today(),
    })
    if (brought.importIdentity !== null)
      this.#queries.addMark.run({ id: this.services.newId(), itemId: body.id, identity: brought.importIdentity })
    this.#putParts(body.id, fields)
    if (body.reading !== null) {
      const read = this.services.measuring.addReading(body.id, {
        changeId: body.changeId,
        id: this.services.newId(),
        partId: null,
        checkInId: null,
        pan: null,
        reading: body.reading,
      })
      if (!read.ok) return read
    }
    return ok({ words: `Added ${itemMark({ id: body.id, ...fields })}`, answer: { id: body.id } })
  }

  edit(id: string, body: EditBody): Answer {
    const head = this.#queries.itemHead.get(id)
    if (!head) return fail('unknown-item', { value: id })
    if (head.version !== body.version) {
      const current = this.services.stock.one(id, this.services.today())
      return fail('stale', { current: JSON.stringify(current) })
    }
    const item = this.services.stock.one(id, this.services.today())
    const wrong = this.#checked(body.fields, item)
    if (wrong) return wrong
    const { fields } = body
    const productId = this.#productFor(fields)
    const opened = this.#openedOf(fields, item)
    const openedBy = item !== null && sameOpened(opened, item.opened) ? head.opened_by : 'she'
    this.#queries.editItem.run({ ...bindings(fields, opened), id, productId, openedBy })
    if (productId !== head.product_id) {
      // What the user thought of this package goes with it to its new name.
      this.#queries.moveReviews.run({ itemId: id, productId })
      this.#queries.dropUnusedProduct.run({ id: head.product_id })
    }
    this.#putParts(id, fields)
    this.services.wearing.laterWordHolds()
    return ok({ words: `Changed ${itemMark({ id, ...fields })}`, answer: { id } })
  }

  recordSign(id: string, day: Day, words: string): Answer {
    const item = this.services.stock.one(id, this.services.today())
    if (!item) return fail('unknown-item', { value: id })
    if (day > this.services.today()) return fail('day-in-future', { value: day })
    // What was seen first ended it; what is seen later is told beside it.
    const { sign_day: there = null, sign_words: before = null } = this.#queries.sign.get(id) ?? {}
    const isLater = there !== null && there <= day
    const told = (isLater ? [before, words] : [words, before]).filter((each) => each !== null && each !== '')
    this.#queries.recordSign.run({
      id,
      day: isLater ? there : day,
      words: [...new Set(told)].join('; ').slice(0, MOST_SIGN_WORDS),
    })
    return ok({ words: `Recorded a sign on ${itemMark(item)}`, answer: { id } })
  }

  open(id: string, day: Day): Answer {
    const item = this.services.stock.one(id, this.services.today())
    if (!item) return fail('unknown-item', { value: id })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    if (day > this.services.today()) return fail('day-in-future', { value: day })
    this.#queries.openItem.run({ id, day })
    return ok({ words: `Opened ${itemMark(item)}`, answer: { id } })
  }

  #checked(fields: ItemFields, item: ItemFacts | null): Refusal | null {
    const today = this.services.today()
    const known = new Set(this.#queries.categories.all().map((row) => row.id))
    const unknown = [fields.categoryId, ...(fields.usedAs === null ? [] : [fields.usedAs])].find((id) => !known.has(id))
    if (unknown !== undefined) return fail('unknown-category', { value: unknown })
    if (fields.opened.kind === 'range' && saidOn(fields.opened, today) === null)
      return fail('opened-in-future', { value: fields.opened.earliest })
    const { acquired } = fields
    if (acquired !== null && acquired.earliest > today) return fail('acquired-in-future', { value: acquired.earliest })
    if (acquired !== null && item !== null && item.firstWorn !== null && acquired.earliest > item.firstWorn)
      return fail('acquired-after-wear', { value: acquired.earliest, day: item.firstWorn })
    const owned = fields.parts.find((part) => this.#queries.partOwner.get({ id: part.id, itemId: item?.id ?? '' }))
    if (owned) return fail('unknown-part', { value: owned.id, field: 'parts' })
    if (new Set(fields.parts.map((part) => part.id)).size < fields.parts.length)
      return fail('part-twice', { value: fields.parts.length })
    if (item !== null && item.placement !== null && !item.placement.beside && fields.slots > item.slots) {
      const zone = this.services.drawer.zones().find((each) => each.id === item.placement?.zoneId)
      if (zone && zone.taken - item.slots + fields.slots > zone.slots)
        return fail('zone-full', { zone: zone.name, slots: zone.slots })
    }
    return null
  }

  /**
   * The opening to keep: as the user said it, but never *unopened* of something that has been used, unless that is what was said
   * before its first tick.
   */
  #openedOf(fields: ItemFields, item: ItemFacts | null): Opened {
    const said = saidOn(fields.opened, this.services.today()) ?? fields.opened
    const known = { wears: item?.wears ?? 0, usesBefore: fields.usesBefore }
    const asBefore = item?.opened.kind === 'unopened' && (fields.usesBefore ?? 0) === 0
    return said.kind === 'unopened' && cannotBeUnopened(known) && !asBefore ? { kind: 'unknown' } : said
  }

  /** The product of these words; made when there is none, so that alike packages share one. */
  #productFor(fields: Pick<ItemFields, 'maker' | 'name' | 'shade'>): string {
    const { maker, name, shade } = fields
    const there = this.#queries.findProduct.get({ maker, name, shade })
    if (there) return there.id
    const id = this.services.newId()
    this.#queries.addProduct.run({ id, maker, name, shade })
    return id
  }

  #putParts(itemId: string, fields: ItemFields): void {
    const wanted = new Set(fields.parts.map((part) => part.id))
    for (const { id } of this.#queries.partIds.all(itemId))
      // A shade with a history stays; taking it away would take its uses with it.
      if (!wanted.has(id) && this.#queries.partInUse.get({ id })?.n === 0) this.#queries.dropPart.run(id)
    for (const part of fields.parts) this.#queries.putPart.run({ ...part, itemId })
  }
}

function bindings(fields: ItemFields, opened: Opened): Record<string, Stored> {
  // A gift has no price, not 0.00.
  return storedFields({ ...fields, opened, priceMinor: fields.source === 'gift' ? null : fields.priceMinor })
}

function sameOpened(a: Opened, b: Opened): boolean {
  if (a.kind !== 'range' || b.kind !== 'range') return a.kind === b.kind
  return a.earliest === b.earliest && a.latest === b.latest && a.said === b.said
}
