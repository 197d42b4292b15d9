import { ITEM_FIELDS, type ItemFieldName } from '#core/item/fields-data'
import { storedOf, type Stored } from '../stock/item-columns.js'
import type { z } from 'zod'
import { fail, ok, type Outcome, type Refusal } from '../failing.js'
import { itemMark } from '#core/words/told'
import { cannotBeUnopened, saidOn, type Opened } from '#core/item/opening'
import { counted } from '#core/words/counted'
import type {
  AddCategory,
  EditCategory,
  EditMany,
  PutPair,
  PutSomewhere,
  SetOpenings,
  SetSwatches,
} from '#contract/collection'
import type { PairView } from '#contract/beside-item'
import type { Done, Answer } from '../db/journal.js'
import { careQueries } from './care-queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Wearing } from '../today/wearing.js'
import type { Drawer } from '../drawer/drawer.js'

type CategoryBody = Omit<z.output<typeof EditCategory>, 'changeId' | 'version'>

export class Care {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock; wearing: Wearing; drawer: Drawer }) {
    this.#queries = careQueries(services.db)
  }

  pairsOf(id: string): PairView[] {
    return this.#queries.pairsOf.all({ id }).flatMap((row) => {
      const mine = row.item_id === id
      const otherItemId = mine ? row.other_item_id : row.item_id
      const other = this.services.stock.one(otherItemId, this.services.today())
      if (!other) return []
      return [
        {
          id: row.id,
          otherItemId,
          other: itemMark(other),
          verdict: row.verdict,
          itemAmount: mine ? row.item_amount : row.other_amount,
          otherAmount: mine ? row.other_amount : row.item_amount,
          amountUnit: row.amount_unit,
          words: row.words,
          targetColour: row.target_colour,
        },
      ]
    })
  }

  /** Two items that work together or fight; one pair for two items, the later word holds. */
  putPair(itemId: string, body: z.output<typeof PutPair>): Answer {
    const today = this.services.today()
    const [item, other] = [itemId, body.otherItemId].map((id) => this.services.stock.one(id, today))
    if (!item) return fail('unknown-item', { value: itemId })
    if (!other || body.otherItemId === itemId) return fail('pair-needs-another', { value: body.otherItemId })
    const taken = this.#queries.pair.get(body.id)
    if (taken && ![taken.item_id, taken.other_item_id].includes(itemId)) return fail('id-taken', { value: body.id })
    this.#queries.dropPairBetween.run({ a: itemId, b: body.otherItemId })
    this.#queries.addPair.run({ ...body, itemId })
    const names = `${itemMark(item)} and ${itemMark(other)}`
    return ok({ words: body.verdict === 'works' ? `${names} go together` : `${names} fight`, answer: { id: body.id } })
  }

  dropPair(id: string): Answer {
    this.#queries.dropPair.run(id)
    return ok({ words: 'Removed a pair', answer: { id } })
  }

  editMany(body: z.output<typeof EditMany>): Outcome<Done<{ count: number }>> {
    const { itemIds, set } = body
    for (const id of [set.categoryId, set.usedAs])
      if (id !== undefined && id !== null && !this.#queries.category.get(id))
        return fail('unknown-category', { value: id })
    const missing = this.#missing(itemIds)
    if (missing) return missing
    const bound: Record<string, Stored> = Object.assign(
      {},
      ...Object.entries(set).map(([name, value]) => storedOf(ITEM_FIELDS[name as ItemFieldName], value)),
    )
    const columns = Object.keys(bound).map((column) => `${column} = @${column}`)
    const update = this.services.db.prepare(
      `UPDATE item SET ${columns.join(', ')}, version = version + 1 WHERE id = @id`,
    )
    const ids = new Set(itemIds)
    for (const id of ids) update.run({ ...bound, id })
    this.services.wearing.laterWordHolds()
    return ok({ words: `Changed ${counted(ids.size, 'item')}`, answer: { count: ids.size } })
  }

  /** The answers of the opening-date quiz, as one change. */
  setOpenings(body: z.output<typeof SetOpenings>): Outcome<Done<{ count: number }>> {
    const missing = this.#missing(body.answers.map((answer) => answer.itemId))
    if (missing) return missing
    const today = this.services.today()
    for (const { itemId, opened } of body.answers) {
      const said = saidOn(opened, today)
      if (said === null) return fail('opened-in-future', { value: opened.kind === 'range' ? opened.earliest : '' })
      const item = this.services.stock.one(itemId, today)
      // Something that was used is not unopened, whatever the answer: then nobody knows when it was opened.
      const kept: Opened =
        said.kind === 'unopened' && item !== null && cannotBeUnopened(item) && item.opened.kind !== 'unopened'
          ? { kind: 'unknown' }
          : said
      const range = kept.kind === 'range' ? kept : null
      this.#queries.setOpened.run({
        id: itemId,
        kind: kept.kind,
        earliest: range?.earliest ?? null,
        latest: range?.latest ?? null,
        said: range?.said ?? null,
      })
    }
    const { length } = body.answers
    return ok({
      words: `Said when ${length === 1 ? 'one item was' : `${length} items were`} opened`,
      answer: { count: length },
    })
  }

  /** Swatches as the user confirmed or picked them; from then on they are the user's and no guess. */
  setSwatches(body: z.output<typeof SetSwatches>): Outcome<Done<{ count: number }>> {
    const missing = this.#missing(body.swatches.map((swatch) => swatch.itemId))
    if (missing) return missing
    for (const { itemId, partId, colour } of body.swatches) {
      if (partId === null) this.#queries.setColour.run({ id: itemId, colour })
      else if (this.#queries.setPartColour.run({ id: partId, itemId, colour }).changes === 0)
        return fail('unknown-part', { value: partId, field: 'swatches' })
    }
    const { length } = body.swatches
    return ok({ words: `Said ${counted(length, 'swatch')}`, answer: { count: length } })
  }

  putSomewhere(id: string, body: z.output<typeof PutSomewhere>): Answer {
    const today = this.services.today()
    const item = this.services.stock.one(id, today)
    if (!item) return fail('unknown-item', { value: id })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    if (body.until !== null && body.until <= today) return fail('until-in-past', { value: body.until })
    if (item.placement !== null) this.services.drawer.takeOut(id, today)
    this.#queries.setLocation.run({ id, location: body.location, until: body.until })
    return ok({
      words: `Put ${itemMark(item)} ${body.location === 'resting' ? 'to rest' : `in the ${body.location}`}`,
      answer: { id },
    })
  }

  addCategory(body: z.output<typeof AddCategory>): Answer {
    if (this.#queries.category.get(body.id)) return fail('id-taken', { value: body.id })
    const wrong = this.#wrongCategory(body.id, body)
    if (wrong) return wrong
    this.#queries.addCategory.run(bindings(body.id, body))
    return ok({ words: `Added the type ${body.name}`, answer: { id: body.id } })
  }

  editCategory(id: string, body: z.output<typeof EditCategory>): Answer {
    const there = this.#queries.category.get(id)
    if (!there) return fail('unknown-category', { value: id })
    if (there.version !== body.version) {
      const { zone_id: zoneId, usual_form: usualForm, model_type: modelType, ...rest } = there
      const current = { ...rest, zoneId, usualForm, modelType, makeup: rest.makeup === 1 }
      return fail('stale', {
        current: JSON.stringify({ ...current, eye: rest.eye === 1, lip: rest.lip === 1 }),
      })
    }
    const wrong = this.#wrongCategory(id, body)
    if (wrong) return wrong
    this.#queries.editCategory.run(bindings(id, body))
    this.services.wearing.laterWordHolds()
    return ok({ words: `Changed the type ${body.name}`, answer: { id } })
  }

  #wrongCategory(id: string, body: CategoryBody): Refusal | null {
    const named = this.#queries.categoryByName.get(body.name)
    if (named && named.id !== id) return fail('category-name-taken', { value: body.name })
    return this.#queries.zone.get(body.zoneId) ? null : fail('unknown-zone', { value: body.zoneId })
  }

  #missing(ids: readonly string[]): Refusal | null {
    const known = new Set(this.services.stock.facts(ids, this.services.today()).map((item) => item.id))
    const missing = ids.find((id) => !known.has(id))
    return missing === undefined ? null : fail('unknown-item', { value: missing })
  }
}

function bindings(id: string, body: CategoryBody): Record<string, unknown> {
  const { name, zoneId, usualForm, modelType } = body
  return {
    id,
    name,
    zoneId,
    usualForm,
    modelType,
    makeup: Number(body.makeup),
    eye: Number(body.eye),
    lip: Number(body.lip),
  }
}
