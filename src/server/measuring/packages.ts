import type { z } from 'zod'
import { fail, ok, type Refusal } from '../failing.js'
import { itemMark } from '#core/words/told'
import type { Day } from '#core/calendar/day'
import type { PackageState } from '#core/item/traits'
import type { PackageEvent } from '#core/measure/package-events'
import { earliestLastGood } from '#core/shelf-life/last-good-day'
import type { AddBlend, AddContainer, AddEvent, ContainersAnswer, Depot, EditContainer } from '#contract/package'
import type { ItemFields } from '#contract/item'
import type { Answer } from '../db/journal.js'
import type { ItemFacts } from '../stock/item-facts.js'
import { measuringQueries } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { CollectionCommands } from '../collection/commands.js'
import type { Drawer } from '../drawer/drawer.js'
import type { Projects } from '../projects/projects.js'
import type { Decide } from '../decide/decide.js'

type Parent = z.output<typeof AddBlend>['parents'][number]

/** What an event leaves the package in. */
const STATE_AFTER: Partial<Record<PackageEvent, PackageState>> = {
  'cut open': 'cut open',
  'stopper removed': 'stopper removed',
  'pump trouble': 'pump broken',
  'mister trouble': 'mister clogging',
  'cap lost': 'cap lost',
  broken: 'cracked',
}
/** What is over once it lies in another package, or has another cap. */
const MENDED_BY: Partial<Record<PackageEvent, readonly PackageState[]>> = {
  decanted: [
    'pump broken',
    'mister clogging',
    'cap lost',
    'cracked',
    'cut open',
    'stopper removed',
    'does not stand up',
    'too tall for the drawer',
  ],
  'other cap': ['cap lost'],
  repressed: ['cracked'],
}
/** What a share of a blend may add up to beside 1, by rounding. */
const SHARES_OUT = 0.02

export class Packages {
  readonly #queries

  constructor(
    private readonly services: Context & {
      stock: Stock
      collection: CollectionCommands
      drawer: Drawer
      projects: Projects
      decide: Decide
    },
  ) {
    this.#queries = measuringQueries(services.db)
  }

  addEvent(itemId: string, body: z.output<typeof AddEvent>): Answer {
    const item = this.services.stock.one(itemId, this.services.today())
    if (!item) return fail('unknown-item', { value: itemId })
    const wrong =
      this.#wrongDay(item, body.day) ??
      this.#wrongPart(item, body.partId) ??
      this.#wrongContainer(body.containerId, body.day)
    if (wrong) return wrong
    if (body.containerId !== null && body.kind !== 'repressed' && body.kind !== 'decanted')
      return fail('event-without-container', { kind: body.kind })
    if (this.#queries.event.get(body.id)) return fail('id-taken', { value: body.id })
    if (body.checkInId !== null) {
      const checkIn = this.#queries.checkIn.get(body.checkInId)
      if (!checkIn) return fail('unknown-check-in', { value: body.checkInId })
      if (checkIn.closed_on !== null) return fail('check-in-closed')
    }
    this.#write(itemId, { ...body, otherItemId: null })
    const states = statesAfter(item.packageStates, body.kind)
    if (JSON.stringify(states) !== JSON.stringify(item.packageStates))
      this.#queries.setPackageStates.run({ id: itemId, states: JSON.stringify(states) })
    return ok({ words: `${itemMark(item)}: ${body.kind}`, answer: { id: body.id } })
  }

  /** A blend and a depot are taken back as the acts they were: each made more than this row. */
  dropEvent(id: string): Answer {
    const row = this.#queries.event.get(id)
    if (!row) return fail('unknown-event', { value: id })
    if (row.kind === 'gave to a blend' || row.kind === 'depotted') return fail('event-made-a-thing')
    const item = this.services.stock.one(row.item_id, this.services.today())
    this.#queries.dropEvent.run(id)
    const left = STATE_AFTER[row.kind]
    const again = this.services.stock.measured.of(row.item_id).events.some((event) => event.kind === row.kind)
    // What it left the package in goes with it, unless it happened another time too.
    if (item && left !== undefined && !again && item.packageStates.includes(left)) {
      const states = item.packageStates.filter((state) => state !== left)
      this.#queries.setPackageStates.run({ id: row.item_id, states: JSON.stringify(states) })
    }
    return ok({ words: `Removed from ${item ? itemMark(item) : 'an item'}: ${row.kind}`, answer: { id } })
  }

  /**
   * A new item of others. It is good for as long as the first of them, and protects from no sun; what is used up by it ends as
   * blended, what goes on has lost what went in.
   */
  blend(body: z.output<typeof AddBlend>): Answer {
    const today = this.services.today()
    const wrong =
      this.#wrongParents(body.parents, body.id, body.day) ?? this.#wrongContainer(body.containerId, body.day)
    if (wrong) return wrong
    const parents = body.parents.map((parent) => ({ parent, item: this.services.stock.one(parent.itemId, today) }))
    const lastGood = earliestLastGood(parents.map(({ item }) => item?.shelfLife ?? null))
    const fields: ItemFields = {
      ...body.fields,
      // Nothing was bought: what was paid, what the labels say and what was used stay with what it is made of.
      content: null,
      priceMinor: null,
      source: null,
      usesBefore: 0,
      acquired: { earliest: body.day, latest: body.day },
      opened: { kind: 'range', earliest: body.day, latest: body.day, said: body.day },
      expiry: lastGood ?? body.fields.expiry,
      paoMonths: null,
      sunProtection: false,
      spf: null,
    }
    const added = this.services.collection.add({ changeId: body.changeId, id: body.id, fields, reading: null })
    if (!added.ok) return added
    for (const { parent, item } of parents) {
      if (!item) continue
      const { id, itemId, grams, share, usedUp } = parent
      this.#queries.addParent.run({ id, itemId: body.id, parentId: itemId, grams, share })
      const ended = usedUp ? this.#endAsBlended(item, body.day) : this.#gave(parent, body.id, body.day)
      if (ended) return ended
    }
    if (body.containerId !== null)
      this.#write(body.id, {
        ...NOTHING,
        id: this.services.newId(),
        day: body.day,
        kind: 'decanted',
        containerId: body.containerId,
      })
    return ok({ words: `Blended ${itemMark({ ...fields, id: body.id })}`, answer: { id: body.id } })
  }

  /** The shade becomes an item that remembers where it came from; its old uses stay with the palette. */
  depot(itemId: string, body: z.output<typeof Depot>): Answer {
    const item = this.services.stock.one(itemId, this.services.today())
    if (!item) return fail('unknown-item', { value: itemId })
    const part = item.parts.find((each) => each.id === body.partId)
    if (!part) return fail('unknown-part', { value: body.partId, field: 'partId' })
    if (part.depottedOn !== null) return fail('depotted-before', { name: part.name })
    const wrong = this.#wrongDay(item, body.day) ?? this.#wrongContainer(body.containerId, body.day)
    if (wrong) return wrong
    if (this.#queries.event.get(body.eventId)) return fail('id-taken', { value: body.eventId })
    const fields = fieldsOfShade(item, part)
    const added = this.services.collection.add({ changeId: body.changeId, id: body.id, fields, reading: null })
    if (!added.ok) return added
    this.#queries.setOrigin.run({ id: body.id, originId: itemId })
    this.#queries.depotPart.run({ id: part.id, day: body.day })
    this.#takeOutOf(item, fields)
    this.#write(itemId, {
      ...NOTHING,
      id: body.eventId,
      partId: part.id,
      day: body.day,
      kind: 'depotted',
      otherItemId: body.id,
    })
    if (body.containerId !== null)
      this.#write(body.id, {
        ...NOTHING,
        id: this.services.newId(),
        day: body.day,
        kind: 'decanted',
        containerId: body.containerId,
      })
    return ok({ words: `Depotted ${part.name} out of ${itemMark(item)}`, answer: { id: body.id } })
  }

  /** What the shade took along is no longer the palette's: grams and money are moved, not made. */
  #takeOutOf({ id, content, priceMinor }: ItemFacts, taken: ItemFields): void {
    const left = content === null ? 0 : tidy(content.amount - (taken.content?.amount ?? 0))
    this.#queries.setContentAndPrice.run({
      id,
      amount: left > 0 ? left : null,
      unit: left > 0 ? (content?.unit ?? null) : null,
      priceMinor: priceMinor === null ? null : priceMinor - (taken.priceMinor ?? 0),
    })
  }

  containers(): ContainersAnswer {
    const today = this.services.today()
    const marks = new Map(
      this.services.stock
        .facts(
          this.#queries.containers.all().flatMap((row) => [row.item_id, row.holds].flatMap((id) => id ?? [])),
          today,
        )
        .map((item) => [item.id, itemMark(item)]),
    )
    const named = (id: string | null): string | null => (id === null ? null : (marks.get(id) ?? null))
    return {
      today,
      containers: this.#queries.containers.all().map((row) => {
        const holds = named(row.holds)
        return {
          id: row.id,
          version: row.version,
          words: row.words,
          form: row.form,
          grams: row.grams,
          resolution: row.resolution,
          itemId: row.item_id,
          from: named(row.item_id),
          keptOn: row.kept_on,
          goneOn: row.gone_on,
          holds: row.holds === null || holds === null ? null : { itemId: row.holds, mark: holds },
        }
      }),
    }
  }

  addContainer(body: z.output<typeof AddContainer>): Answer {
    if (this.#queries.container.get(body.id)) return fail('id-taken', { value: body.id })
    if (body.day > this.services.today()) return fail('day-in-future', { value: body.day })
    if (body.itemId !== null && !this.services.stock.one(body.itemId, this.services.today()))
      return fail('unknown-item', { value: body.itemId })
    this.#queries.addContainer.run(body)
    return ok({ words: `Kept a container: ${body.words}`, answer: { id: body.id } })
  }

  editContainer(id: string, body: z.output<typeof EditContainer>): Answer {
    const row = this.#queries.container.get(id)
    if (!row) return fail('unknown-container', { value: id })
    if (row.version !== body.version)
      return fail('stale', { current: JSON.stringify(this.containers().containers.find((each) => each.id === id)) })
    this.#queries.editContainer.run({ ...body, id })
    return ok({ words: `Changed a container: ${body.words}`, answer: { id } })
  }

  containerGone(id: string, day: Day): Answer {
    const row = this.#queries.container.get(id)
    if (!row) return fail('unknown-container', { value: id })
    if (day > this.services.today()) return fail('day-in-future', { value: day })
    if (day < row.kept_on) return fail('gone-before-kept', { day: row.kept_on })
    if (this.containers().containers.find((each) => each.id === id)?.holds)
      return fail('container-in-use', { words: row.words })
    this.#queries.containerGone.run({ id, day })
    return ok({ words: `Let a container go: ${row.words}`, answer: { id } })
  }

  #wrongDay(item: ItemFacts, day: Day): Refusal | null {
    if (day > this.services.today()) return fail('day-in-future', { value: day })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    if (item.acquired !== null && day < item.acquired.earliest)
      return fail('read-before-it-came', { name: itemMark(item), day: item.acquired.earliest })
    return null
  }

  #wrongPart(item: ItemFacts, partId: string | null): Refusal | null {
    return partId === null || item.parts.some((each) => each.id === partId)
      ? null
      : fail('unknown-part', { value: partId, field: 'partId' })
  }

  #wrongContainer(id: string | null, day: Day): Refusal | null {
    if (id === null) return null
    const found = this.containers().containers.find((each) => each.id === id)
    if (!found) return fail('unknown-container', { value: id })
    if (found.goneOn !== null && found.goneOn <= day) return fail('container-gone', { words: found.words })
    return found.holds === null ? null : fail('container-in-use', { words: found.words })
  }

  #wrongParents(parents: readonly Parent[], blendId: string, day: Day): Refusal | null {
    if (parents.some((parent) => parent.itemId === blendId)) return fail('blend-of-itself')
    if (new Set(parents.map((parent) => parent.itemId)).size < parents.length) return fail('blend-of-itself')
    for (const parent of parents) {
      const item = this.services.stock.one(parent.itemId, this.services.today())
      if (!item) return fail('unknown-item', { value: parent.itemId })
      const wrong = this.#wrongDay(item, day)
      if (wrong) return wrong
      if (parent.usedUp && item.lastWorn !== null && item.lastWorn > day)
        return fail('finished-before-last-wear', { value: day, day: item.lastWorn })
      if (this.#queries.event.get(parent.eventId) || this.#queries.parentTaken.get(parent.id))
        return fail('id-taken', { value: parent.id })
    }
    const shares = parents.map((parent) => parent.share)
    const sum = shares.reduce<number>((total, share) => total + (share ?? 0), 0)
    if (shares.every((share) => share !== null) && Math.abs(sum - 1) > SHARES_OUT)
      return fail('shares-off', { percent: Math.round(sum * 100) })
    return null
  }

  #gave({ eventId, itemId, grams }: Parent, blendId: string, day: Day): null {
    this.#write(itemId, { ...NOTHING, id: eventId, day, kind: 'gave to a blend', grams, otherItemId: blendId })
    return null
  }

  #endAsBlended(item: ItemFacts, day: Day): Refusal | null {
    if (item.placement !== null) {
      const out = this.services.drawer.takeOut(item.id, day)
      if (!out.ok) return out
    }
    this.services.projects.rollOutBlended(item.id, day)
    this.#queries.endAsBlended.run({ id: item.id, day })
    this.services.decide.closeTrials(item.id, day)
    this.#queries.offShortList.run(item.id)
    return null
  }

  #write(itemId: string, event: Omit<EventBindings, 'itemId' | 'savedAt'>): void {
    const { id, partId, checkInId, day, kind, grams, share, containerId, otherItemId, words } = event
    const savedAt = this.services.now().toISOString()
    this.#queries.addEvent.run({
      id,
      itemId,
      partId,
      checkInId,
      day,
      savedAt,
      kind,
      grams,
      share,
      containerId,
      otherItemId,
      words,
    })
  }
}

interface EventBindings {
  readonly id: string
  readonly itemId: string
  readonly partId: string | null
  readonly checkInId: string | null
  readonly day: Day
  readonly savedAt: string
  readonly kind: PackageEvent
  readonly grams: number | null
  readonly share: number | null
  readonly containerId: string | null
  readonly otherItemId: string | null
  readonly words: string
}
const NOTHING = {
  partId: null,
  checkInId: null,
  grams: null,
  share: null,
  containerId: null,
  otherItemId: null,
  words: '',
} as const

function statesAfter(states: readonly PackageState[], kind: PackageEvent): PackageState[] {
  const mended = MENDED_BY[kind] ?? []
  const kept = states.filter((state) => !mended.includes(state))
  const added = STATE_AFTER[kind]
  return added === undefined || kept.includes(added) ? kept : [...kept, added]
}

/** Grams of a label, without what floating point leaves in the last places. */
function tidy(amount: number): number {
  return Math.round(amount * 1e6) / 1e6
}

/**
 * A shade as an item of its own: what is left of the palette's label and price by its share of the cells that are still in it, its
 * own colour, form and finish. Its uses are told where they were made, with the palette; nothing else says that it is untouched.
 */
function fieldsOfShade(item: ItemFacts, part: ItemFacts['parts'][number]): ItemFields {
  const cells = item.parts
    .filter((each) => each.depottedOn === null)
    .reduce((sum, each) => sum + each.rowSpan * each.colSpan, 0)
  const share = (part.rowSpan * part.colSpan) / cells
  const { opening } = item
  return {
    maker: item.maker,
    name: item.name,
    shade: part.name,
    categoryId: item.categoryId,
    form: part.form ?? 'pressed',
    colour: part.colour,
    finish: part.finish,
    opaque: false,
    slots: 1,
    content: item.content && { amount: tidy(item.content.amount * share), unit: item.content.unit },
    priceMinor: item.priceMinor === null ? null : Math.round(item.priceMinor * share),
    source: item.source,
    acquired: item.acquired,
    opened:
      opening.kind === 'range' && opening.within !== null
        ? {
            kind: 'range',
            ...opening.within,
            said: item.opened.kind === 'range' ? item.opened.said : opening.within.earliest,
          }
        : { kind: opening.kind === 'range' ? 'unknown' : opening.kind },
    paoMonths: item.paoMonths,
    expiry: item.expiry,
    sunProtection: item.sunProtection,
    usesBefore: part.uses === 0 && item.usesBefore === 0 ? 0 : null,
    liking: item.liking,
    notes: '',
    structure: 'single',
    usedAs: item.usedAs,
    format: item.format,
    undertone: null,
    depth: null,
    seasons: [...item.seasons],
    availability: item.availability,
    spf: item.spf,
    packageStates: [],
    brushes: '',
    kit: '',
    parts: [],
  }
}
