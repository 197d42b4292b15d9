import type { z } from 'zod'
import { fail, ok, type Outcome } from '../failing.js'
import type { SheetItem, SheetReading } from '#core/formats/sheet/sheet-item'
import { readingOfLeft } from '#core/formats/sheet/left-words'
import type { Form } from '#core/item/form'
import { counted } from '#core/words/counted'
import type { ImportChoices, PreviewAnswer, PreviewImport, PreviewRow, RunImport } from '#contract/importing'
import type { Done } from '../db/journal.js'
import { fieldsOf, identityOf, type PreparedRow } from './imported-item.js'
import { groupProblems, remarksOn } from './problem-groups.js'
import type { ReadSheet } from './read-sheet-bytes.js'
import type { Context } from '../context.js'
import type { SettingsStore } from '../settings/settings-store.js'
import type { CollectionCommands } from '../collection/commands.js'
import type { KnownCategory } from '#core/formats/sheet/category-match'
import { CATEGORY_DEFAULTS } from '#core/item/category-defaults'
import type { Day } from '#core/calendar/day'
import { type Db, preparing } from '../db/query.js'

type PreviewBody = z.output<typeof PreviewImport>
type RunBody = z.output<typeof RunImport>

/** A sheet that is read and looked through, ready to be shown or stored. */
export interface Prepared {
  readonly reading: SheetReading
  readonly rows: readonly PreparedRow[]
}

/** From a sheet to items: first a preview that stores nothing, then all of it as one change. */
export class Importing {
  readonly #readSheet: ReadSheet
  readonly #queries

  constructor(
    private readonly services: Context & { settingsStore: SettingsStore; collection: CollectionCommands },
    readSheet: ReadSheet,
  ) {
    this.#readSheet = readSheet
    this.#queries = importingQueries(services.db)
  }

  async preview(body: PreviewBody): Promise<Outcome<PreviewAnswer>> {
    const prepared = await this.prepare(body)
    if (!prepared.ok) return prepared
    const { reading, rows } = prepared.value
    return ok({
      fileName: body.fileName,
      headers: [...reading.headers],
      meanings: [...reading.meanings],
      tabs: [...reading.tabs],
      currency: reading.currency,
      dateOrder: reading.dateOrder,
      rows: rows.map(({ row }) => row),
      groups: [...groupProblems(reading.problems), ...remarksOn(rows)],
      willStore: rows.filter(({ row }) => storable(row)).length,
      willStoreBackups: rows.reduce((sum, { row }) => sum + (storable(row) ? row.backups : 0), 0),
    })
  }

  /** Reads the bytes; no part of it is stored. Apart from `store`, since a transaction must not wait. */
  async prepare(body: Omit<PreviewBody, 'choices'> & { choices: ImportChoices }): Promise<Outcome<Prepared>> {
    const { choices } = body
    const reading = await this.#readSheet(Buffer.from(body.base64, 'base64'), body.fileName, {
      today: this.services.today(),
      categories: knownCategories(this.#queries.categories.all()),
      // Before the user has chosen a currency the first sheet brings one; later another one is listed.
      currency: this.#currencyIsChosen() ? this.services.settings().currency : null,
      fallbackOrder: 'month-first',
      mended: choices.mended,
      ...(choices.meanings === null ? {} : { meanings: choices.meanings }),
      ...(choices.tabs === null ? {} : { tabs: choices.tabs }),
    })
    return reading.ok ? this.#look(reading.value, choices) : reading
  }

  /**
   * Stores every row that has a category and is not skipped, with its backups, its ticked days and, where it is finished or
   * gone, as history; the rest is named in the answer.
   */
  store(
    body: RunBody,
    { reading, rows }: Prepared,
  ): Outcome<Done<{ stored: number; backups: number; leftOut: number }>> {
    const chosen = rows.filter(({ row }) => storable(row))
    if (chosen.length === 0) return fail('nothing-to-store', { value: body.fileName })
    for (const prepared of chosen) {
      const stored = this.#storeRow(body, prepared)
      if (!stored.ok) return stored
    }
    if (!this.#currencyIsChosen())
      this.services.settingsStore.save({ ...this.services.settings(), currency: reading.currency })
    return ok({
      words: `Imported ${counted(chosen.length, 'item')} from ${body.fileName}`,
      answer: {
        stored: chosen.length,
        backups: chosen.reduce((sum, { row }) => sum + row.backups, 0),
        leftOut: rows.length - chosen.length,
      },
    })
  }

  #storeRow(body: RunBody, { item, row }: PreparedRow): Outcome<unknown> {
    const id = this.services.newId()
    const fields = fieldsOf(item, row, this.#isSunscreen(row.categoryId))
    const said = item.left === null || item.ended !== null ? null : readingOfLeft(item.left, fields.form, fields.opaque)
    const reading = said && {
      day: this.services.today(),
      how: 'typed' as const,
      doubtful: false,
      note: '',
      mm: null,
      ofMm: null,
      ...said,
    }
    const brought = {
      priceSaid: item.priceSaid,
      openedBy: 'sheet',
      // What its package can't be read by is kept as words.
      keptText:
        item.left !== null && said === null ? [...item.kept, { column: 'left', text: item.leftSaid }] : item.kept,
      importIdentity: identityOf(item),
    } as const
    const added = this.services.collection.add({ changeId: body.changeId, id, fields, reading }, brought)
    if (!added.ok) return added
    for (let n = 1; n <= item.backups; n += 1) {
      const backup = { ...fields, opened: { kind: 'unopened' } as const, usesBefore: null }
      const stored = this.services.collection.add(
        { changeId: body.changeId, id: this.services.newId(), fields: backup, reading: null },
        { priceSaid: item.priceSaid, openedBy: 'sheet', keptText: [], importIdentity: `${identityOf(item)}|b${n}` },
      )
      if (!stored.ok) return stored
    }
    for (const day of new Set(item.wornOn)) this.#queries.addWear.run({ id: this.services.newId(), itemId: id, day })
    if (item.ended !== null) this.#end(id, item)
    return added
  }

  /** History: it ended on its day, or on or before the last day it can have been. */
  #end(id: string, item: SheetItem): void {
    if (item.ended === null) return
    const today = this.services.today()
    const { when } = item.ended
    const said = when === null || when.latest > today ? today : when.latest
    // It was there on the last day that the sheet ticks.
    const latest = item.wornOn.reduce((last, day) => (day > last ? day : last), said)
    const roughly = when === null || when.earliest !== when.latest
    const lifecycle = item.ended.kind === 'finished' ? 'finished' : 'left'
    this.#queries.end.run({ id, lifecycle, day: latest, roughly: roughly ? 1 : 0 })
    if (item.ended.kind === 'left')
      this.#queries.addVerdict.run({
        id: this.services.newId(),
        itemId: id,
        day: latest,
        destination: item.ended.destination,
      })
  }

  /** The user's own sunscreen category counts as one, too. */
  #isSunscreen(categoryId: string | null): boolean {
    return this.#queries.categories.all().some((row) => row.id === categoryId && row.model_type === 'sunscreen')
  }

  #currencyIsChosen(): boolean {
    return this.services.settingsStore.read().version > 0
  }

  #look(reading: SheetReading, choices: ImportChoices): Outcome<Prepared> {
    const categories = this.#queries.categories.all()
    const there = new Set(this.#queries.identities.all().map((row) => row.identity))
    const usualForm = new Map(categories.map((row) => [row.id, row.usual_form]))
    const chosen = choicesByRow(choices)
    const skipped = new Set(choices.skip)
    const rows = reading.items.map((item) => {
      const choice = chosen.get(item.row)
      const categoryId = choice?.categoryId ?? item.categoryId
      const form = choice?.form ?? (categoryId === null ? null : (usualForm.get(categoryId) ?? null))
      return {
        item,
        row: previewOf(item, {
          categoryId,
          form,
          alreadyThere: there.has(identityOf(item)),
          skipped: skipped.has(item.row),
        }),
      }
    })
    return ok({ reading, rows })
  }
}

/** The last word the user said on each row. */
function choicesByRow(choices: ImportChoices): Map<number, { categoryId: string | null; form: Form | null }> {
  const found = new Map<number, { categoryId: string | null; form: Form | null }>()
  for (const { rows, categoryId, form } of choices.rows)
    for (const row of rows) {
      const before = found.get(row)
      found.set(row, { categoryId: categoryId ?? before?.categoryId ?? null, form: form ?? before?.form ?? null })
    }
  return found
}

function previewOf(
  item: SheetItem,
  chosen: Pick<PreviewRow, 'categoryId' | 'form' | 'alreadyThere' | 'skipped'>,
): PreviewRow {
  const {
    row,
    tab,
    line,
    maker,
    name,
    shade,
    categoryText,
    content,
    opened,
    openedAs,
    paoMonths,
    expiry,
    uses,
    left,
    format,
    backups,
  } = item
  return {
    row,
    tab,
    line,
    maker,
    name,
    shade,
    categoryText,
    content,
    priceMinor: item.price === 0 ? null : item.price,
    priceSaid: item.priceSaid,
    gift: item.gift && (item.price === null || item.price === 0),
    opened,
    openedAs,
    paoMonths,
    expiry,
    uses,
    left,
    format,
    backups,
    ended: item.ended?.kind ?? null,
    daysWorn: item.wornOn.length,
    ...chosen,
  }
}

function storable(row: PreviewRow): boolean {
  return row.categoryId !== null && row.form !== null && !row.skipped
}

const DEFAULT_WORDS = new Map(CATEGORY_DEFAULTS.map((category) => [category.id, category.words]))

/**
 * The user's categories with every word a sheet may use for them: the user's own, and those this version knows for the defaults, since a
 * collection keeps the words of the version it was made with.
 */
export function knownCategories(rows: readonly { id: string; name: string; words: string }[]): KnownCategory[] {
  return rows.map(({ id, name, words }) => ({
    id,
    name,
    words: [...new Set([...(JSON.parse(words) as string[]), ...(DEFAULT_WORDS.get(id) ?? [])])],
  }))
}

export function importingQueries(db: Db) {
  const sql = preparing(db)
  return {
    categories: sql<[], { id: string; name: string; words: string; usual_form: Form; model_type: string }>(
      'SELECT id, name, words, usual_form, model_type FROM category ORDER BY position, id',
    ),
    identities: sql<[], { identity: string }>('SELECT identity FROM import_mark'),
    addWear: sql<[{ id: string; itemId: string; day: Day }]>(
      'INSERT INTO wear (id, item_id, day) VALUES (@id, @itemId, @day)',
    ),
    end: sql<[{ id: string; lifecycle: 'finished' | 'left'; day: Day; roughly: 0 | 1 }]>(
      'UPDATE item SET ended_as = @lifecycle, ended_on = @day, ended_roughly = @roughly WHERE id = @id',
    ),
    addVerdict: sql<[{ id: string; itemId: string; day: Day; destination: string }]>(`
      INSERT INTO verdict (id, item_id, day, handed_on, verdict, reason, destination)
      VALUES (@id, @itemId, @day, @day, 'let go', 'as the imported sheet says', @destination)`),
  }
}
