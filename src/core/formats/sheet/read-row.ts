import { addDays, type Day } from '../../calendar/day.js'
import { parseWhen, type DateOrder, type DayRange } from '../../calendar/when.js'
import { fail, ok, type Outcome } from '../../failure.js'
import { FINISHES, type Finish, type Format } from '../../item/traits.js'
import { parseLabelAmount, unitNamed } from '../../quantity/label-amount.js'
import { parsePrice } from '../../quantity/money.js'
import { parseExpiry, parsePao } from '../../shelf-life/printed-expiry.js'
import { backupsIn, quantityOf } from './backup-words.js'
import { categoryInName, matchCategory } from './category-match.js'
import { parseLeft } from './left-words.js'
import { openingWord, saysNothing } from './cell-words.js'
import type { SheetField } from './header-words-data.js'
import type { LocatedRow } from './locate-table.js'
import type { SheetItem, SheetOptions, SheetProblem } from './sheet-item.js'
import { statusOf } from './status-words.js'
import { strokesIn, ticksIn, type TickColumn } from './tick-columns.js'

export interface RowContext extends SheetOptions {
  readonly headers: readonly string[]
  readonly meanings: readonly (SheetField | null)[]
  readonly ticks: readonly TickColumn[]
  readonly dateOrder: DateOrder
  readonly sheetCurrency: string
}

/** Uses beyond this are a slip of the hand: ten years of every single day. Assumption. */
const MOST_USES = 3660
const GIFT = /^(?:free|gift|gifted|present|gratis|geschenk|umsonst|cadeau|gratuit|regalo|omaggio|gåva|prezent)\b/i
/** Words of a format, wherever they stand in a size. Data table. */
const FORMAT_WORDS: readonly (readonly [RegExp, Format])[] = [
  [/\b(?:sachet|packette|probe ?beutel)\b/i, 'sachet'],
  [/\b(?:deluxe sample|deluxe|sample|probe|échantillon|echantillon|muestra|campione)\b/i, 'deluxe sample'],
  [/\b(?:mini|travel(?: size)?|trial size|reisegröße|reisegrosse)\b/i, 'mini'],
  [/\b(?:full(?:[ -]?size)?|originalgröße|originalgrosse)\b/i, 'full size'],
]

/** Reads one row. A bad cell gives null and one problem, and its text is kept with the item. */
export function readRow(
  { cells, section, tab, line }: LocatedRow,
  row: number,
  context: RowContext,
  problems: SheetProblem[],
): Omit<SheetItem, 'occurrence'> {
  const kept: { column: string; text: string }[] = []
  const at = (field: SheetField): number => context.meanings.indexOf(field)
  const cell = (field: SheetField): string => (at(field) < 0 ? '' : bare(cells[at(field)] ?? ''))
  /** Reads a cell; blank is null without a problem, unreadable is null with one. */
  const read = <T>(field: SheetField, parse: (text: string) => Outcome<T>, text = cell(field)): T | null => {
    if (saysNothing(text)) return null
    const outcome = parse(text)
    if (outcome.ok) return outcome.value
    const column = context.headers[at(field)] ?? field
    problems.push({ row, tab, line, at: at(field), column, value: cell(field), failure: outcome.failure })
    kept.push({ column, text: cell(field) })
    return null
  }
  const past = (text: string): Outcome<DayRange> => {
    const when = sheetSerial(text) ?? parseWhen(text, context.dateOrder)
    if (when.ok && when.value.earliest > context.today) return fail('date-in-future', { value: text })
    return when
  }
  context.headers.forEach((header, column) => {
    const text = bare(cells[column] ?? '')
    const isTick = context.ticks.some((tick) => tick.at === column)
    if (context.meanings[column] === null && !isTick && text !== '') kept.push({ column: header, text })
  })
  const notes = cell('notes')
  const categoryText = cell('category') || (section ?? '')
  const named = matchCategory(categoryText, context.categories)
  const name = cell('name') || cell('shade') || categoryText || cell('maker')
  const fromName = named === null && saysNothing(categoryText) ? categoryInName(name, context.categories) : null
  const status = statusOf(
    cell('status'),
    context.dateOrder,
    /finish|empty|used up|leer|fini|vide|termin|vuot/i.test(context.headers[at('status')] ?? ''),
  )
  if (status === null && !saysNothing(cell('status')))
    kept.push({ column: context.headers[at('status')] ?? 'status', text: cell('status') })
  const size = sizeOf(cell('size'))
  const opening = openingWord(cell('opened'))
  const opened = opening !== null ? null : read('opened', past)
  const ended = endingOf(status, read('ended', past))
  const worn = context.ticks.flatMap(({ at: column, day }) =>
    day !== null && day <= context.today && (ticksIn(cells[column] ?? '') ?? 0) > 0 ? [day] : [],
  )
  const counted = context.ticks
    .filter(({ day }) => day === null)
    .reduce((sum, { at: column }) => sum + (ticksIn(cells[column] ?? '') ?? 0), 0)
  const said = read('uses', parseUses)
  const uses = usesBefore(said, counted, worn.length)
  const life = shelfLifeIn(['pao', 'shelf-life', 'expiry'], cell, read, context.dateOrder)
  let foreign = false
  const price = GIFT.test(cell('price'))
    ? null
    : read('price', (text) => {
        const outcome = parsePrice(text, context.sheetCurrency)
        foreign = !outcome.ok && outcome.failure.code === 'price-foreign'
        return outcome
      })
  const left = read('left', (text) => {
    const found = parseLeft(text) ?? parseLeft(`${text} %`)
    return found === null ? fail('left-unreadable', { value: text }) : ok(found)
  })
  const quantity = read('quantity', (text) => {
    const count = quantityOf(text)
    return count === null ? fail('quantity-unreadable', { value: text }) : ok(count)
  })
  const unopened =
    opening === 'unopened' || (status?.kind === 'here' && status.opened === 'unopened' && opened === null)
  const isOpen = opening === 'open' || (status?.kind === 'here' && status.opened === 'open')
  return {
    row,
    tab,
    line,
    maker: cell('maker'),
    name,
    shade: cell('shade'),
    categoryText,
    categoryId: named ?? fromName,
    categoryFromName: fromName !== null,
    content:
      size.text === ''
        ? null
        : read('size', (text) => parseLabelAmount(text, unitNamed(context.headers[at('size')] ?? '')), size.text),
    format: size.format,
    price,
    priceSaid: foreign ? cell('price') : null,
    gift: price === 0 || GIFT.test(cell('price')) || (price === null && /\bgift\b/i.test(notes)),
    acquired: read('acquired', past),
    opened,
    openedSaid: cell('opened'),
    openedAs:
      opened !== null
        ? 'range'
        : unopened && (uses ?? 0) > 0
          ? 'unknown'
          : unopened || (!isOpen && uses === 0 && worn.length === 0 && saysNothing(cell('opened')))
            ? 'unopened'
            : 'unknown',
    ...life,
    uses,
    left,
    leftSaid: cell('left'),
    wornOn: worn,
    ended,
    backups: (quantity ?? 1) - 1 + (unopened ? 0 : backupsIn(`${notes}; ${cell('status')}`)),
    finish: finishOf(cell('finish')),
    colour: /^#?[0-9a-f]{6}$/i.test(cell('swatch')) ? `#${cell('swatch').replace('#', '').toLowerCase()}` : null,
    notes,
    kept,
  }
}

/** A cell without its padding, and without the apostrophe that keeps a spreadsheet from reading it as a formula. */
function bare(cell: string): string {
  return cell.trim().replace(/^'(?=[=+\-@\t])/, '')
}

/** A day as spreadsheets count them, from 30 December 1899 (1990 to 2099 only); null for any other text. */
function sheetSerial(text: string): { ok: true; value: DayRange } | null {
  const days = /^(\d{5})(?:[.,]\d+)?$/.exec(text) ? Number(text.slice(0, 5)) : 0
  if (days < 32_874 || days > 73_050) return null
  // Their first day is 1 January 1900, and they count a 29 February of that year that never was.
  const day = addDays('1900-01-01' as Day, days - 2)
  return ok({ earliest: day, latest: day })
}

/** The format that a size names, and what is left of the cell. */
function sizeOf(cell: string): { format: Format | null; text: string } {
  const found = FORMAT_WORDS.find(([words]) => words.test(cell))
  if (!found) return { format: null, text: cell }
  return { format: found[1], text: cell.replace(found[0], '').replace(/^[\s,;:()–-]+|[\s,;:(–-]+$/g, '') }
}

function endingOf(status: ReturnType<typeof statusOf>, on: DayRange | null): SheetItem['ended'] {
  if (status === null || status.kind === 'here') return on === null ? null : { kind: 'finished', when: on }
  return { ...status, when: on ?? status.when }
}

/** A column of uses over ticked days is usually their sum; uses that have a day are not counted twice. */
function usesBefore(said: number | null, counted: number, days: number): number | null {
  if (said === null) return counted > 0 ? counted : null
  return Math.max(said - days, counted, 0)
}

/** A period after opening and an expiry, from whichever columns speak of either: one column may hold both ("12M, 11/26"). */
function shelfLifeIn(
  fields: readonly SheetField[],
  cell: (field: SheetField) => string,
  read: <T>(field: SheetField, parse: (text: string) => Outcome<T>, text?: string) => T | null,
  order: DateOrder,
): { paoMonths: number | null; expiry: Day | null } {
  let paoMonths: number | null = null
  let expiry: Day | null = null
  for (const field of fields)
    for (const part of cell(field).split(/\s*[;,|]\s+|\s+\/\s+|\s*\bor\b\s*/i)) {
      if (saysNothing(part)) continue
      if (looksLikePao(part, field)) paoMonths ??= read(field, parsePao, part)
      else expiry ??= read(field, (text) => parseExpiry(text, order), part)
    }
  return { paoMonths, expiry }
}

function looksLikePao(text: string, field: SheetField): boolean {
  if (/^-?\d+(?:[.,]\d+)?\s*[a-z]+\.?$/i.test(text) && !/^\d+\s*[a-z]{3,}\.?\s*\d/i.test(text)) return true
  // A bare number is months, but for six digits (a date code) and, where a date is expected, a year.
  return /^-?\d{1,3}$/.test(text) || (field === 'pao' && /^-?\d+$/.test(text) && !/^\d{6}$/.test(text))
}

function parseUses(text: string): Outcome<number> {
  const strokes = strokesIn(text)
  if (strokes !== null) return ok(strokes)
  const plain = text
    .replace(/^(?:~|≈|about|approx\.?|ca\.?|x|×)\s*/i, '')
    .replace(/\s*(?:x|×|times|uses|wears|mal|\+)$/i, '')
  if (!/^[+-]?\d+([.,]0+)?$/.test(plain)) return fail('uses-unreadable', { value: text })
  const uses = Number(plain.replace(',', '.'))
  if (uses < 0) return fail('uses-negative', { value: text })
  if (uses > MOST_USES) return fail('uses-absurd', { value: text, largest: MOST_USES })
  return ok(uses)
}

function finishOf(cell: string): Finish | null {
  const plain = cell.toLowerCase()
  return FINISHES.find((finish) => plain.includes(finish)) ?? (/glitter|glow|dewy|pearl/.test(plain) ? 'shimmer' : null)
}
