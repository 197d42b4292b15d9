import type { z } from 'zod'
import { fail, ok, type Outcome } from '#core/failure'
import { plainWords } from '#core/formats/sheet/columns'
import { readSheet, type SheetItem, type SheetReading } from '#core/formats/sheet/read-sheet'
import type { Form } from '#core/item/form'
import type {
  ImportChoices,
  PreviewAnswer,
  PreviewImport,
  PreviewRow,
  ProblemGroup,
  RunImport,
} from '#contract/importing'
import type { ItemFields } from '#contract/item'
import { CollectionCommands } from '../collection/commands.js'
import type { Done } from '../db/journal.js'
import type { House } from '../house.js'
import { SettingsStore } from '../settings/settings-store.js'
import { groupProblems } from './problem-groups.js'
import { importingQueries } from './queries.js'
import { readTable } from './read-table.js'

type PreviewBody = z.output<typeof PreviewImport>
type RunBody = z.output<typeof RunImport>

interface Prepared {
  readonly reading: SheetReading
  readonly rows: readonly { item: SheetItem; row: PreviewRow }[]
}

/** From a sheet to items: first a preview that stores nothing, then all of it as one change. */
export class Importing {
  readonly #house: House
  readonly #commands: CollectionCommands
  readonly #settings: SettingsStore
  readonly #queries

  constructor(house: House) {
    this.#house = house
    this.#commands = new CollectionCommands(house)
    this.#settings = new SettingsStore(house.db)
    this.#queries = importingQueries(house.db)
  }

  preview(body: PreviewBody): Outcome<PreviewAnswer> {
    const prepared = this.#prepare(body)
    if (!prepared.ok) return prepared
    const { reading, rows } = prepared.value
    return ok({
      fileName: body.fileName,
      headers: [...reading.headers],
      meanings: [...reading.meanings],
      currency: reading.currency,
      dateOrder: reading.dateOrder,
      rows: rows.map(({ row }) => row),
      groups: [...groupProblems(reading.problems), ...remarks(rows)],
      willStore: rows.filter(({ row }) => storable(row)).length,
    })
  }

  /** Stores every row that has a category and is not skipped; the rest is named in the answer. */
  run(body: RunBody): Outcome<Done<{ stored: number; leftOut: number }>> {
    const prepared = this.#prepare(body)
    if (!prepared.ok) return prepared
    const chosen = prepared.value.rows.filter(({ row }) => storable(row))
    if (chosen.length === 0) return fail('nothing-to-store', { value: body.fileName })
    for (const { item, row } of chosen) {
      const added = this.#commands.add(
        { changeId: body.changeId, id: `${body.importId}-${item.row}`, fields: fieldsOf(item, row), reading: null },
        {
          priceSaid: item.kept.find((cell) => cell.column === headerOf(prepared.value.reading, 'price'))?.text ?? null,
          keptText: item.kept,
          importIdentity: identityOf(item),
        },
      )
      if (!added.ok) return added
    }
    if (!this.#currencyIsChosen())
      this.#settings.save({ ...this.#house.settings(), currency: prepared.value.reading.currency })
    const leftOut = prepared.value.rows.length - chosen.length
    return ok({
      words: `Imported ${chosen.length} items from ${body.fileName}`,
      answer: { stored: chosen.length, leftOut },
    })
  }

  #currencyIsChosen(): boolean {
    return this.#settings.read().version > 0
  }

  #prepare(body: PreviewBody): Outcome<Prepared> {
    const table = readTable(Buffer.from(body.base64, 'base64'), body.fileName)
    if (!table.ok) return table
    const categories = this.#queries.categories.all()
    const reading = readSheet(table.value, {
      today: this.#house.today(),
      categories: categories.map((row) => ({ id: row.id, name: row.name, words: JSON.parse(row.words) as string[] })),
      // Before she has chosen a currency the first sheet brings one; later another one is listed.
      currency: this.#currencyIsChosen() ? this.#house.settings().currency : null,
      fallbackOrder: 'month-first',
      ...(body.choices.meanings === null ? {} : { meanings: body.choices.meanings }),
    })
    if (!reading.ok) return reading
    const there = new Set(this.#queries.identities.all().map((row) => row.import_identity))
    const usualForm = new Map(categories.map((row) => [row.id, row.usual_form]))
    const rows = reading.value.items.map((item) => ({
      item,
      row: this.#rowOf(item, body.choices, usualForm, there.has(identityOf(item))),
    }))
    return ok({ reading: reading.value, rows })
  }

  #rowOf(
    item: SheetItem,
    choices: ImportChoices,
    usualForm: ReadonlyMap<string, Form>,
    alreadyThere: boolean,
  ): PreviewRow {
    const mine = choices.rows.filter((choice) => choice.rows.includes(item.row))
    const categoryId = mine.findLast((choice) => choice.categoryId !== null)?.categoryId ?? item.categoryId
    const form =
      mine.findLast((choice) => choice.form !== null)?.form ??
      (categoryId === null ? null : (usualForm.get(categoryId) ?? null))
    const gift = item.price === 0 || /\bgift\b/i.test(item.notes)
    return {
      row: item.row,
      maker: item.maker,
      name: item.name,
      shade: item.shade,
      categoryText: item.categoryText,
      categoryId,
      form,
      content: item.content,
      priceMinor: item.price === 0 ? null : item.price,
      gift: gift && (item.price === null || item.price === 0),
      opened: item.opened,
      openedAs: item.opened !== null ? 'range' : item.uses === 0 && item.openedSaid === '' ? 'unopened' : 'unknown',
      paoMonths: item.paoMonths,
      expiry: item.expiry,
      uses: item.uses,
      alreadyThere,
      skipped: choices.skip.includes(item.row),
    }
  }
}

function storable(row: PreviewRow): boolean {
  return row.categoryId !== null && row.form !== null && !row.skipped
}

/** What else is worth knowing before it is stored: not faults, but choices made. */
function remarks(rows: Prepared['rows']): ProblemGroup[] {
  const found: ProblemGroup[] = []
  const add = (
    code: string,
    serious: boolean,
    words: string,
    what: string,
    test: (entry: Prepared['rows'][number]) => string | null,
  ): void => {
    const cells = rows.flatMap((entry) => {
      const value = test(entry)
      return value === null ? [] : [{ row: entry.row.row, column: '', value, message: what }]
    })
    if (cells.length > 0) found.push({ code, serious, words, what, cells })
  }
  add('no-category', true, 'Rows without a category', 'They stay out until you choose one below.', ({ row }) =>
    row.categoryId === null ? row.categoryText || row.name : null,
  )
  add('already-there', true, 'Rows that were imported before', 'Stored again unless you leave them out.', ({ row }) =>
    row.alreadyThere ? [row.maker, row.name].join(' ') : null,
  )
  add('alike', false, 'Rows alike in maker, name and shade', 'Each is stored as a package of its own.', ({ item }) =>
    item.occurrence > 1 ? `${item.maker} ${item.name}` : null,
  )
  add('price-zero', false, 'Rows that cost nothing', 'Stored as gifts without a price.', ({ row, item }) =>
    item.price === 0 ? row.name : null,
  )
  add('not-opened', false, 'No opening date and 0 uses', 'Stored as unopened.', ({ row }) =>
    row.openedAs === 'unopened' ? row.name : null,
  )
  add('opening-unknown', false, 'No opening date', 'Stored as opened, date unknown.', ({ row, item }) =>
    row.openedAs === 'unknown' && item.openedSaid === '' ? row.name : null,
  )
  return found
}

function fieldsOf(item: SheetItem, row: PreviewRow): ItemFields {
  return {
    maker: item.maker.slice(0, 120),
    name: item.name.slice(0, 200),
    shade: item.shade.slice(0, 120),
    categoryId: row.categoryId ?? '',
    form: row.form ?? 'pressed',
    colour: null,
    finish: null,
    opaque: false,
    slots: 1,
    content: item.content === null ? null : { amount: item.content.amount, unit: item.content.unit },
    priceMinor: row.priceMinor,
    source: row.gift ? 'gift' : null,
    acquired: item.acquired,
    opened:
      item.opened !== null
        ? { kind: 'range', ...item.opened, said: item.openedSaid.slice(0, 80) }
        : { kind: row.openedAs === 'unopened' ? 'unopened' : 'unknown' },
    paoMonths: item.paoMonths,
    expiry: item.expiry,
    sunProtection: row.categoryId === 'sunscreen',
    usesBefore: item.uses ?? 0,
    liking: null,
    notes: item.notes.slice(0, 4000),
    parts: [],
  }
}

/** Maker, name, shade and which of the alike rows it is, normalised. */
function identityOf(item: SheetItem): string {
  return [item.maker, item.name, item.shade].map(plainWords).join('|') + `|${item.occurrence}`
}

function headerOf(reading: SheetReading, field: 'price'): string | null {
  return reading.headers[reading.meanings.indexOf(field)] ?? null
}
