import type { z } from 'zod'
import { fail, ok, type Refusal } from '../failing.js'
import { itemMark } from '#core/words/told'
import type { Day } from '#core/calendar/day'
import { maskOf } from '#core/measure/mask-text'
import { SIDE } from '#core/measure/rectified'
import { kindsFor, type ContradictionCause } from '#core/measure/reading'
import type {
  AddReading,
  ContentView,
  EditReading,
  PanBody,
  ReadingBody,
  ReadingView,
  SayCause,
  ShadeContent,
} from '#contract/reading'
import type { AddPackageWeight } from '#contract/package'
import type { EventView, PackageWeightView } from '#contract/package-view'
import { labelGrams, useAmountOf } from '#core/forecast/use-amounts'
import { packageModelOf } from '#core/forecast/form-models'
import type { Answer } from '../db/journal.js'
import type { ItemFacts } from '../stock/item-facts.js'
import type { Measured } from '../stock/measured.js'
import type { MeasurementRow } from '../stock/measured-queries.js'
import { measuringQueries } from './queries.js'
import { readingViews } from './reading-view.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { SettingsStore } from '../settings/settings-store.js'

/** A package holds this much less than full only after it was opened. Assumption. */
const STILL_FULL = 0.95

export class Measuring {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock; settingsStore: SettingsStore }) {
    this.#queries = measuringQueries(services.db)
  }

  addReading(itemId: string, body: z.output<typeof AddReading>): Answer {
    const item = this.services.stock.one(itemId, this.services.today())
    if (!item) return fail('unknown-item', { value: itemId })
    if (this.#queries.reading.get(body.id)) return fail('id-taken', { value: body.id })
    const wrong = this.#wrongReading(item, body.partId, body.reading) ?? this.#wrongCheckIn(body.checkInId)
    if (wrong) return wrong
    const wrongPan = body.pan && this.#wrongPan(item, body.pan, body.reading)
    if (wrongPan) return wrongPan
    this.#queries.addReading.run({
      ...bindings(body.reading),
      id: body.id,
      itemId,
      partId: body.partId,
      checkInId: body.checkInId,
      moment: this.#moment(itemId, body.reading.day),
      savedAt: this.services.now().toISOString(),
    })
    if (body.pan) this.#queries.addPan.run(panBindings(body.pan, body.id))
    return ok({ words: wordsOf(body.reading, item), answer: { id: body.id } })
  }

  editReading(id: string, body: z.output<typeof EditReading>): Answer {
    const row = this.#queries.reading.get(id)
    const item = row && this.services.stock.one(row.item_id, this.services.today())
    if (!row || !item) return fail('unknown-reading', { value: id })
    if (row.version !== body.version) return fail('stale', { current: JSON.stringify(this.#viewOf(item, id)) })
    const wrong = this.#wrongReading(item, row.part_id, body.reading)
    if (wrong) return wrong
    const moment = row.day === body.reading.day ? row.moment : this.#moment(row.item_id, body.reading.day)
    this.#queries.editReading.run({ ...bindings(body.reading), id, moment })
    // What was read off a photo no longer holds once the figure was typed.
    if (body.reading.kind !== 'bare' || body.reading.value !== row.value) this.#queries.dropPan.run(id)
    return ok({ words: `Corrected a reading of ${itemMark(item)}`, answer: { id } })
  }

  dropReading(id: string): Answer {
    const row = this.#queries.reading.get(id)
    if (!row) return fail('unknown-reading', { value: id })
    const item = this.services.stock.one(row.item_id, this.services.today())
    this.#queries.dropPan.run(id)
    this.#queries.dropReading.run(id)
    return ok({ words: `Removed a reading of ${item ? itemMark(item) : 'an item'}`, answer: { id } })
  }

  /**
   * Why it contradicts what was read before. Pressed anew or put into another package: that is written down as having happened
   * just before. A slip of the hand or the scale: it is kept, and counts nowhere.
   */
  sayCause(id: string, body: z.output<typeof SayCause>): Answer {
    const row = this.#queries.reading.get(id)
    const item = row && this.services.stock.one(row.item_id, this.services.today())
    if (!row || !item) return fail('unknown-reading', { value: id })
    this.#queries.setCause.run({ id, cause: body.cause, doubtful: isSlip(body.cause) ? 1 : 0 })
    if (body.cause === 'repressed' || body.cause === 'other package') {
      if (this.#queries.event.get(body.eventId)) return fail('id-taken', { value: body.eventId })
      this.#queries.addEvent.run({
        id: body.eventId,
        itemId: row.item_id,
        partId: row.part_id,
        checkInId: row.check_in_id,
        day: row.day,
        // Just before the reading that shows it.
        savedAt: new Date(Date.parse(row.saved_at) - 1).toISOString(),
        kind: body.cause === 'repressed' ? 'repressed' : 'decanted',
        grams: null,
        share: null,
        containerId: null,
        otherItemId: null,
        words: '',
      })
    }
    return ok({ words: `Explained a reading of ${itemMark(item)}`, answer: { id } })
  }

  /** What a package of its kind weighs, weighed of this one. */
  addWeight(itemId: string, body: z.output<typeof AddPackageWeight>): Answer {
    const item = this.services.stock.one(itemId, this.services.today())
    if (!item) return fail('unknown-item', { value: itemId })
    if (body.day > this.services.today()) return fail('day-in-future', { value: body.day })
    if (this.#queries.weight.get(body.id)) return fail('id-taken', { value: body.id })
    if (body.state === 'as finished' && item.lifecycle !== 'finished')
      return fail('empty-not-finished', { name: itemMark(item) })
    const { changeId: _, ...weight } = body
    this.#queries.addWeight.run({ ...weight, itemId })
    const what = body.state === 'full' ? 'Weighed a full package' : 'Weighed an empty package'
    return ok({ words: `${what}: ${itemMark(item)}`, answer: { id: body.id } })
  }

  dropWeight(id: string): Answer {
    if (!this.#queries.weight.get(id)) return fail('unknown-weight', { value: id })
    this.#queries.dropWeight.run(id)
    return ok({ words: 'Removed the weight of a package', answer: { id } })
  }

  of(item: ItemFacts): {
    readings: ReadingView[]
    packageEvents: EventView[]
    packageWeights: PackageWeightView[]
    content: ContentView | null
    shadesLeft: ShadeContent[]
    parents: { itemId: string; mark: string; share: number | null; grams: number | null }[]
    origin: { itemId: string; mark: string } | null
  } {
    const { measured: things } = this.services.stock
    const measured = things.of(item.id)
    return {
      readings: readingViews(
        item,
        measured,
        things.pansOf(item.id),
        this.services.settingsStore.read().settings.scaleCapacity,
      ),
      packageEvents: measured.events.map((row) => this.#eventView(row)),
      packageWeights: measured.weights.map(({ item_id, ...row }) => ({ ...row, itemId: item_id })),
      content: this.contentView(item, measured),
      shadesLeft: things.shades(item, measured).map(({ partId, thing, content }) => ({
        partId,
        grams: content.grams,
        label: labelGrams(thing.content, useAmountOf(thing.type, thing.form)),
        uses: thing.days.length,
      })),
      parents: this.#queries.parentsOf.all(item.id).map((row) => ({
        itemId: row.parent_item_id,
        mark: this.#markOf(row.parent_item_id),
        share: row.share,
        grams: row.grams,
      })),
      origin: this.#originOf(item.id),
    }
  }

  contentView(item: ItemFacts, measured: Measured): ContentView | null {
    const found = this.services.stock.measured.content(item, measured)
    if (found === null) return null
    const trusted = measured.readings.filter((row) => row.doubtful === 0 && row.part_id === null)
    const empty = measured.weights.findLast((row) => row.state !== 'full')
    const full = measured.weights.findLast((row) => row.state === 'full' && row.item_id === item.id)
    const last = found.packages.at(-1) ?? { mean: 0, sd: 0 }
    return {
      grams: found.grams,
      share: found.share,
      perUse: found.perUse,
      package: last,
      disagreement: found.disagreement,
      from: {
        weighings: trusted.filter((row) => row.kind === 'gross').length,
        marks: trusted.filter((row) => row.kind !== 'gross').length,
        uses: measured.days.length,
        label: labelGrams(item.content, useAmountOf(item.modelType, item.form)),
        full: full?.grams ?? null,
        empty: empty
          ? {
              grams: cleanedWeight(item, empty),
              cleaned: empty.state === 'cleaned',
              day: empty.day,
              itemId: empty.item_id,
              own: empty.item_id === item.id,
            }
          : null,
      },
    }
  }

  #markOf(id: string): string {
    const item = this.services.stock.one(id, this.services.today())
    return item ? itemMark(item) : ''
  }

  #originOf(id: string): { itemId: string; mark: string } | null {
    const from = this.#queries.originOf.get(id)?.origin_item_id ?? null
    return from === null ? null : { itemId: from, mark: this.#markOf(from) }
  }

  #eventView(row: Measured['events'][number]): EventView {
    const other = row.other_item_id === null ? null : this.services.stock.one(row.other_item_id, this.services.today())
    return {
      id: row.id,
      partId: row.part_id,
      checkInId: row.check_in_id,
      day: row.day,
      kind: row.kind,
      grams: row.grams,
      share: row.share,
      into: other ? itemMark(other) : row.container_words,
      words: row.words,
    }
  }

  #viewOf(item: ItemFacts, id: string): ReadingView | null {
    return this.of(item).readings.find((each) => each.id === id) ?? null
  }

  /** By default a reading is from before that day's use, unless the use is ticked already. */
  #moment(itemId: string, day: Day): MeasurementRow['moment'] {
    return this.#queries.wornOn.get(itemId, day) ? 'after-use' : 'before-use'
  }

  #wrongReading(item: ItemFacts, partId: string | null, reading: ReadingBody): Refusal | null {
    if (reading.day > this.services.today()) return fail('day-in-future', { value: reading.day })
    const part = item.parts.find((each) => each.id === partId)
    if (partId !== null && !part) return fail('unknown-part', { value: partId, field: 'partId' })
    if (!kindsFor(part?.form ?? item.form, item.opaque, part !== undefined).includes(reading.kind))
      return fail('reading-does-not-fit', { form: item.form, kind: reading.kind })
    if (item.acquired !== null && reading.day < item.acquired.earliest)
      return fail('read-before-it-came', { name: itemMark(item), day: item.acquired.earliest })
    const { within } = item.opening
    if (within !== null && reading.day < within.earliest && tellsOfUse(reading))
      return fail('read-before-opening', { name: itemMark(item), day: within.earliest })
    if (item.endedOn !== null && reading.day > item.endedOn)
      return fail('read-after-its-end', { name: itemMark(item), day: item.endedOn })
    return null
  }

  #wrongCheckIn(id: string | null): Refusal | null {
    if (id === null) return null
    const checkIn = this.#queries.checkIn.get(id)
    if (!checkIn) return fail('unknown-check-in', { value: id })
    return checkIn.closed_on === null ? null : fail('check-in-closed')
  }

  #wrongPan(item: ItemFacts, pan: z.output<typeof PanBody>, reading: ReadingBody): Refusal | null {
    if (reading.kind !== 'bare') return fail('reading-does-not-fit', { form: item.form, kind: reading.kind })
    if (this.#queries.photoItem.get(pan.photoId)?.item_id !== item.id)
      return fail('unknown-photo', { value: pan.photoId })
    if (this.#queries.pan.get(pan.id)) return fail('id-taken', { value: pan.id })
    return pan.mask === '' || maskOf(pan.mask, SIDE * SIDE) !== null ? null : fail('mask-unreadable')
  }
}

/** Its cleaned weight as it weighed when it was finished: what could not be reached was washed out. */
function cleanedWeight(item: ItemFacts, row: { grams: number; state: string }): number {
  if (row.state !== 'cleaned') return row.grams
  const amount = useAmountOf(item.modelType, item.form)
  const label = labelGrams(item.content ?? amount.typicalLabel, amount) ?? 0
  return row.grams + packageModelOf(item.modelType, item.form).residue * label
}

function isSlip(cause: ContradictionCause): boolean {
  return cause === 'typing' || cause === 'scale'
}

/** It shows that something was used: then it was open. */
function tellsOfUse(reading: ReadingBody): boolean {
  switch (reading.kind) {
    case 'gross':
      return false
    case 'stage':
      return reading.stage !== 'untouched'
    case 'word':
      return reading.word !== 'full'
    case 'bare':
      return reading.value > 0
    default:
      return reading.value < STILL_FULL
  }
}

function wordsOf(reading: ReadingBody, item: ItemFacts): string {
  return reading.kind === 'gross' ? `Weighed ${itemMark(item)}` : `Recorded how much is left of ${itemMark(item)}`
}

function bindings(reading: ReadingBody): Record<string, string | number | null> {
  const share = 'value' in reading ? reading.value : null
  return {
    day: reading.day,
    kind: reading.kind,
    value: reading.kind === 'gross' ? reading.grams : share,
    unit: reading.kind === 'gross' ? 'g' : share === null ? null : 'share',
    stage: reading.kind === 'stage' ? reading.stage : null,
    word: reading.kind === 'word' ? reading.word : null,
    mm: reading.kind === 'length' ? reading.mm : null,
    ofMm: reading.kind === 'length' ? reading.ofMm : null,
    how: reading.how,
    resolution: reading.kind === 'gross' ? reading.resolution : null,
    doubtful: reading.doubtful ? 1 : 0,
    note: reading.note,
  }
}

function panBindings(pan: z.output<typeof PanBody>, measurementId: string): Record<string, string> {
  return {
    id: pan.id,
    measurementId,
    photoId: pan.photoId,
    shape: pan.shape,
    handles: JSON.stringify(pan.handles),
    powderTaps: JSON.stringify(pan.powderTaps),
    metalTaps: JSON.stringify(pan.metalTaps),
    mask: pan.mask,
    method: pan.method,
  }
}
