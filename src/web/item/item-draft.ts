import type { Day } from '#core/calendar/day'
import { parseWhen, type DayRange } from '#core/calendar/when'
import type { Form } from '#core/item/form'
import { parseLabelAmount } from '#core/quantity/label-amount'
import { minorDigits, parsePrice } from '#core/quantity/money'
import { parseExpiry, parsePao } from '#core/shelf-life/printed-expiry'
import { BLANK_FIELDS } from '#core/item/fields-data'
import type { ItemFields, ItemSummary } from '#contract/item'
import { herOrder } from '#web/data/locale'
import { failureSentence } from '#web/ui/words/failure-sentences'

/** An item as it is typed: every field keeps its letters, also the wrong ones. */
export interface ItemDraft {
  maker: string
  name: string
  shade: string
  categoryId: string | null
  form: Form | null
  /** Null = undyed, and stays so. */
  colour: string | null
  finish: ItemFields['finish']
  opaque: boolean
  slots: string
  size: string
  price: string
  source: ItemFields['source']
  acquired: string
  openedKind: 'unopened' | 'unknown' | 'range'
  opened: string
  pao: string
  expiry: string
  sunProtection: boolean
  usesBefore: string
  liking: string
  notes: string
  columns: string
  parts: {
    id: string
    name: string
    colour: string | null
    finish: ItemFields['finish']
    shape: 'square' | 'round'
    row: number
    col: number
    rowSpan: number
    colSpan: number
    form: Form | null
  }[]
  structure: ItemFields['structure']
  usedAs: string | null
  format: ItemFields['format']
  undertone: ItemFields['undertone']
  depth: ItemFields['depth']
  seasons: ItemFields['seasons']
  availability: ItemFields['availability']
  spf: string
  packageStates: ItemFields['packageStates']
  brushes: string
  kit: string
}

export const EMPTY_DRAFT: ItemDraft = {
  maker: '',
  name: '',
  shade: '',
  categoryId: null,
  form: null,
  colour: null,
  finish: null,
  opaque: false,
  slots: '1',
  size: '',
  price: '',
  source: null,
  acquired: '',
  openedKind: 'unknown',
  opened: '',
  pao: '',
  expiry: '',
  sunProtection: false,
  usesBefore: '',
  liking: '',
  notes: '',
  columns: '4',
  parts: [],
  structure: 'single',
  usedAs: null,
  format: null,
  undertone: null,
  depth: null,
  seasons: [],
  availability: null,
  spf: '',
  packageStates: [],
  brushes: '',
  kit: '',
}

export function draftOf(item: ItemSummary, currency: string): ItemDraft {
  return {
    ...EMPTY_DRAFT,
    maker: item.maker,
    name: item.name,
    shade: item.shade,
    categoryId: item.categoryId,
    form: item.form,
    colour: item.colour,
    finish: item.finish,
    opaque: item.opaque,
    slots: String(item.slots),
    size:
      item.content === null
        ? ''
        : `${Number(item.content.amount.toFixed(4))} ${item.content.unit === 'g' ? 'g' : 'ml'}`,
    price:
      item.priceMinor === null ? '' : (item.priceMinor / 10 ** minorDigits(currency)).toFixed(minorDigits(currency)),
    source: item.source,
    acquired: item.acquired === null ? '' : spell(item.acquired),
    openedKind: item.opened.kind,
    opened: item.opened.kind === 'range' ? item.opened.said || spell(item.opened) : '',
    pao: item.paoMonths === null ? '' : `${item.paoMonths}M`,
    expiry: item.expiry ?? '',
    sunProtection: item.sunProtection,
    usesBefore: item.usesBefore === null ? '' : String(item.usesBefore),
    liking: item.liking === null ? '' : String(item.liking),
    notes: item.notes,
    columns: String(Math.max(1, ...item.parts.map((part) => part.col))),
    parts: item.parts.map(({ id, name, colour, finish, shape, row, col, rowSpan, colSpan, form }) => ({
      id,
      name,
      colour,
      finish,
      shape,
      row,
      col,
      rowSpan,
      colSpan,
      form,
    })),
    structure: item.structure,
    usedAs: item.usedAs,
    format: item.format,
    undertone: item.undertone,
    depth: item.depth,
    seasons: [...item.seasons],
    availability: item.availability,
    spf: item.spf === null ? '' : String(item.spf),
    packageStates: [...item.packageStates],
    brushes: item.brushes,
    kit: item.kit,
  }
}

/** A range so that it reads back as itself. */
function spell(range: DayRange): string {
  return range.earliest === range.latest ? range.earliest : `${range.earliest} to ${range.latest}`
}

/** A new one like an item: what is the same of every one of it, and nothing of this one's own life. */
export function anotherOf(item: ItemSummary, currency: string): ItemDraft {
  const { maker, name, shade, categoryId, form, colour, finish, opaque, slots, size, price, pao, sunProtection } =
    draftOf(item, currency)
  const same = { maker, name, shade, categoryId, form, colour, finish, opaque, slots, size, price, pao, sunProtection }
  return { ...EMPTY_DRAFT, ...same }
}

/** What each field is called where two drafts are compared; a field without a name does not compile. */
export const ITEM_FIELDS: Readonly<Record<keyof ItemDraft, string>> = {
  maker: 'Brand',
  name: 'Name',
  shade: 'Shade',
  categoryId: 'Type',
  form: 'Packaging',
  colour: 'Swatch',
  finish: 'Finish',
  opaque: 'Can’t see how much is left',
  slots: 'Slots',
  size: 'Size',
  price: 'Price',
  source: 'Where from',
  acquired: 'Bought',
  openedKind: 'Opened or not',
  opened: 'Opened',
  pao: 'PAO, months',
  expiry: 'Printed expiry',
  sunProtection: 'Sunscreen',
  usesBefore: 'Uses before',
  liking: 'Rating',
  notes: 'Notes',
  columns: 'Shades in a row',
  parts: 'Shades',
  structure: 'It is',
  usedAs: 'Worn as',
  format: 'Format',
  undertone: 'Undertone',
  depth: 'Lighter or darker than me',
  seasons: 'Seasons',
  availability: 'Still sold?',
  spf: 'SPF',
  packageStates: 'The packaging',
  brushes: 'Brushes',
  kit: 'Kit',
}

export type DraftErrors = Partial<Record<keyof ItemDraft, string>>

/**
 * Reads the draft. Fields that cannot be read come back by name with a sentence; the draft keeps
 * its letters. An opening spelling that has not changed keeps its stored range.
 */
export function fieldsOf(
  draft: ItemDraft,
  context: { currency: string; today: Day; before: ItemSummary | null },
): { fields: ItemFields | null; errors: DraftErrors } {
  const errors: DraftErrors = {}
  const order = herOrder()
  const read = <T>(
    field: keyof ItemDraft,
    text: string,
    parse: (
      text: string,
    ) =>
      | { ok: true; value: T }
      | { ok: false; failure: { code: string; data: Readonly<Record<string, string | number>> } },
  ): T | null => {
    if (text.trim() === '') return null
    const outcome = parse(text)
    if (outcome.ok) return outcome.value
    errors[field] = failureSentence(outcome.failure)
    return null
  }
  const past = (field: keyof ItemDraft, range: DayRange | null): DayRange | null => {
    if (range === null || range.earliest <= context.today) return range
    errors[field] = 'That has not come yet; choose a day up to today.'
    return null
  }
  const acquired = past(
    'acquired',
    read('acquired', draft.acquired, (text) => parseWhen(text, order, context.today)),
  )
  const opened = openedOf()
  const content = read('size', draft.size, parseLabelAmount)
  const priceMinor = read('price', draft.price, (text) => parsePrice(text, context.currency))
  const paoMonths = read('pao', draft.pao, parsePao)
  const expiry = read('expiry', draft.expiry, (text) => parseExpiry(text, order))
  if (draft.name.trim() === '') errors.name = 'Give it a name; a word is enough.'
  if (draft.categoryId === null) errors.categoryId = 'Choose a type.'
  if (draft.form === null) errors.form = 'Choose the packaging.'
  const usesBefore = draft.usesBefore.trim() === '' ? null : whole('usesBefore', 0, 100_000)
  const slots = whole('slots', 1, 12)
  const spf = draft.spf.trim() === '' ? null : whole('spf', 1, 150)
  const liking = draft.liking === '' ? null : whole('liking', 1, 5)
  if (Object.keys(errors).length > 0 || draft.categoryId === null || draft.form === null || opened === null)
    return { fields: null, errors }
  return {
    errors,
    fields: {
      ...BLANK_FIELDS,
      maker: draft.maker.trim(),
      name: draft.name.trim(),
      shade: draft.shade.trim(),
      categoryId: draft.categoryId,
      form: draft.form,
      colour: draft.colour?.toLowerCase() ?? null,
      finish: draft.finish,
      opaque: draft.opaque,
      slots,
      content: content === null ? null : { amount: content.amount, unit: content.unit },
      priceMinor: draft.source === 'gift' ? null : priceMinor,
      source: draft.source,
      acquired,
      opened,
      paoMonths,
      expiry,
      sunProtection: draft.sunProtection || spf !== null,
      usesBefore,
      liking,
      notes: draft.notes,
      parts: draft.parts.map((part) => ({ ...part })),
      structure: draft.parts.length > 0 && draft.structure === 'single' ? 'palette' : draft.structure,
      usedAs: draft.usedAs === draft.categoryId ? null : draft.usedAs,
      format: draft.format,
      undertone: draft.undertone,
      depth: draft.depth,
      seasons: draft.seasons,
      availability: draft.availability,
      spf,
      packageStates: draft.packageStates,
      brushes: draft.brushes.trim(),
      kit: draft.kit.trim(),
    },
  }

  function openedOf(): ItemFields['opened'] | null {
    if (draft.openedKind !== 'range') return { kind: draft.openedKind }
    const before = context.before?.opened
    if (before?.kind === 'range' && before.said === draft.opened) return before
    if (draft.opened.trim() === '') {
      errors.opened = 'Say when, as closely as you know: a day, a month, a year, or “March 2024 to May 2024”.'
      return null
    }
    const range = past(
      'opened',
      read('opened', draft.opened, (text) => parseWhen(text, order, context.today)),
    )
    return range === null ? null : { kind: 'range', ...range, said: draft.opened.trim() }
  }

  function whole(field: 'usesBefore' | 'slots' | 'liking' | 'spf', low: number, high: number): number {
    const value = Number(draft[field])
    if (Number.isInteger(value) && value >= low && value <= high && draft[field] !== '') return value
    errors[field] = `A whole number from ${low} to ${high}.`
    return low
  }
}

/** What is wrong with a content typed in percent; empty where nothing is typed, or nothing is wrong. */
export function levelProblem(text: string): string {
  const percent = Number(text)
  if (text.trim() === '' || (percent >= 0 && percent <= 100)) return ''
  return `"${text}" isn’t a share in percent; give a number from 0 to 100.`
}
