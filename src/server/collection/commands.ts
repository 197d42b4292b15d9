import { fail, ok, type Outcome } from '#core/failure'
import type { Day } from '#core/calendar/day'
import { eyeMeasureOf } from '#core/item/form'
import type { ItemFields, AddItem, AddReading, EditItem } from '#contract/item'
import type { z } from 'zod'
import type { Done } from '../db/journal.js'
import type { House } from '../house.js'
import { collectionQueries } from './queries.js'

type AddBody = z.output<typeof AddItem>
type EditBody = z.output<typeof EditItem>
type ReadingBody = z.output<typeof AddReading>

/** What an imported item brings beyond the form. */
export interface Brought {
  readonly priceSaid: string | null
  readonly keptText: readonly { column: string; text: string }[]
  readonly importIdentity: string | null
}

const NOTHING_BROUGHT: Brought = { priceSaid: null, keptText: [], importIdentity: null }

/** The writes behind the collection. Each runs inside a change. */
export class CollectionCommands {
  readonly #house: House
  readonly #queries

  constructor(house: House) {
    this.#house = house
    this.#queries = collectionQueries(house.db)
  }

  add(body: AddBody, brought: Brought = NOTHING_BROUGHT): Outcome<Done<{ id: string }>> {
    if (this.#queries.itemHead.get(body.id)) return fail('id-taken', { value: body.id })
    const wrong = this.#checked(body.fields)
    if (wrong) return wrong
    const { fields } = body
    this.#queries.addItem.run({
      ...bindings(fields),
      id: body.id,
      productId: this.#productFor(fields, body.id),
      lifecycle: fields.opened.kind === 'unopened' ? 'unopened' : 'open',
      priceSaid: brought.priceSaid,
      keptText: JSON.stringify(brought.keptText),
      importIdentity: brought.importIdentity,
    })
    this.#putParts(body.id, fields)
    if (body.reading !== null) {
      const read = this.addReading(body.id, {
        changeId: body.changeId,
        id: `${body.id}-start`,
        partId: null,
        reading: body.reading,
      })
      if (!read.ok) return read
    }
    return ok({ words: `Added ${wordsOf(fields)}`, answer: { id: body.id } })
  }

  edit(id: string, body: EditBody): Outcome<Done<{ id: string }>> {
    const head = this.#queries.itemHead.get(id)
    if (!head) return fail('unknown-item', { value: id })
    if (head.version !== body.version) {
      const current = this.#house.stock.one(id, this.#house.today())
      return fail('stale', { current: JSON.stringify(current) })
    }
    const wrong = this.#checked(body.fields)
    if (wrong) return wrong
    const { fields } = body
    const productId = this.#productFor(fields, id)
    const ended = head.lifecycle !== 'open' && head.lifecycle !== 'unopened'
    const lifecycle = ended ? head.lifecycle : fields.opened.kind === 'unopened' ? 'unopened' : 'open'
    this.#queries.editItem.run({ ...bindings(fields), id, productId, lifecycle })
    if (productId !== head.product_id) this.#queries.dropUnusedProduct.run({ id: head.product_id })
    this.#putParts(id, fields)
    return ok({ words: `Changed ${wordsOf(fields)}`, answer: { id } })
  }

  addReading(itemId: string, body: ReadingBody): Outcome<Done<{ id: string }>> {
    const item = this.#house.stock.one(itemId, this.#house.today())
    if (!item) return fail('unknown-item', { value: itemId })
    const { reading } = body
    if (reading.day > this.#house.today()) return fail('day-in-future', { value: reading.day })
    if (body.partId !== null && !item.parts.some((part) => part.id === body.partId)) return fail('unknown-part')
    const fits = body.partId !== null ? 'pan' : eyeMeasureOf(item.form, item.opaque)
    const kind = reading.kind === 'stage' ? 'pan' : reading.kind
    if (fits !== kind) return fail('reading-does-not-fit', { form: item.form, kind: reading.kind })
    // By default a reading is from before that day's use, unless the use is ticked already.
    const moment = this.#queries.wornOn.get(itemId, reading.day) ? 'after-use' : 'before-use'
    this.#queries.addReading.run({
      id: body.id,
      itemId,
      partId: body.partId,
      day: reading.day,
      moment,
      kind: reading.kind,
      value: reading.kind === 'stage' ? 0 : reading.value,
      stage: reading.kind === 'stage' ? reading.stage : null,
    })
    return ok({ words: `Recorded how much is left of ${item.shade || item.name}`, answer: { id: body.id } })
  }

  recordSign(id: string, day: Day, words: string): Outcome<Done<{ id: string }>> {
    const item = this.#house.stock.one(id, this.#house.today())
    if (!item) return fail('unknown-item', { value: id })
    if (day > this.#house.today()) return fail('day-in-future', { value: day })
    this.#queries.recordSign.run({ id, day, words })
    return ok({ words: `Recorded a sign on ${item.shade || item.name}`, answer: { id } })
  }

  open(id: string, day: Day): Outcome<Done<{ id: string }>> {
    const item = this.#house.stock.one(id, this.#house.today())
    if (!item) return fail('unknown-item', { value: id })
    if (item.endedOn !== null) return fail('item-ended', { name: item.name })
    if (day > this.#house.today()) return fail('day-in-future', { value: day })
    this.#queries.openItem.run({ id, day })
    return ok({ words: `Opened ${item.shade || item.name}`, answer: { id } })
  }

  #checked(fields: ItemFields): {
    readonly ok: false
    readonly failure: { code: string; data: Readonly<Record<string, string | number>> }
  } | null {
    const today = this.#house.today()
    const known = new Set(this.#queries.categories.all().map((row) => row.id))
    const unknown = [fields.categoryId, ...(fields.usedAs === null ? [] : [fields.usedAs])].find((id) => !known.has(id))
    if (unknown !== undefined) return fail('unknown-category', { value: unknown })
    if (fields.opened.kind === 'range' && fields.opened.earliest > today)
      return fail('opened-in-future', { value: fields.opened.earliest })
    if (fields.acquired !== null && fields.acquired.earliest > today)
      return fail('acquired-in-future', { value: fields.acquired.earliest })
    return null
  }

  /** The product of these words; made when there is none, so that alike packages share one. */
  #productFor(fields: Pick<ItemFields, 'maker' | 'name' | 'shade'>, itemId: string): string {
    const { maker, name, shade } = fields
    const there = this.#queries.findProduct.get({ maker, name, shade })
    if (there) return there.id
    let id = `p-${itemId}`
    for (let n = 2; this.#taken(id); n += 1) id = `p-${itemId}-${n}`
    this.#queries.addProduct.run({ id, maker, name, shade })
    return id
  }

  #taken(productId: string): boolean {
    return this.#house.db.prepare('SELECT 1 FROM product WHERE id = ?').get(productId) !== undefined
  }

  #putParts(itemId: string, fields: ItemFields): void {
    const wanted = new Set(fields.parts.map((part) => part.id))
    for (const { id } of this.#queries.partIds.all(itemId))
      // A shade with a history stays; taking it away would take its uses with it.
      if (!wanted.has(id) && this.#queries.partInUse.get({ id })?.n === 0) this.#queries.dropPart.run(id)
    for (const part of fields.parts) this.#queries.putPart.run({ ...part, itemId })
  }
}

function bindings(fields: ItemFields): Record<string, string | number | null> {
  const range = fields.opened.kind === 'range' ? fields.opened : null
  return {
    categoryId: fields.categoryId,
    form: fields.form,
    colour: fields.colour,
    finish: fields.finish,
    opaque: Number(fields.opaque),
    slots: fields.slots,
    contentAmount: fields.content?.amount ?? null,
    contentUnit: fields.content?.unit ?? null,
    // A gift has no price, not 0.00.
    priceMinor: fields.source === 'gift' ? null : fields.priceMinor,
    source: fields.source,
    acquiredEarliest: fields.acquired?.earliest ?? null,
    acquiredLatest: fields.acquired?.latest ?? null,
    openedKind: fields.opened.kind,
    openedEarliest: range?.earliest ?? null,
    openedLatest: range?.latest ?? null,
    openedSaid: range?.said ?? null,
    paoMonths: fields.paoMonths,
    expiry: fields.expiry,
    sunProtection: Number(fields.sunProtection),
    usesBefore: fields.usesBefore,
    liking: fields.liking,
    notes: fields.notes,
    structure: fields.structure,
    usedAs: fields.usedAs,
    format: fields.format,
    undertone: fields.undertone,
    depth: fields.depth,
    seasons: JSON.stringify(fields.seasons),
    availability: fields.availability,
    spf: fields.spf,
    packageStates: JSON.stringify(fields.packageStates),
    brushes: fields.brushes,
    kit: fields.kit,
  }
}

/** How an item is called in a sentence: its shade where it has one, else its name. */
export function wordsOf(item: { name: string; shade: string }): string {
  return item.shade === '' ? item.name : item.shade
}
