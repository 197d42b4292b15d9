import { ITEM_FIELDS, type FieldTable, type MergeRule } from '#core/item/fields-data'
import type { Day } from '#core/calendar/day'

export type ItemRow = Readonly<Record<string, string | number | null>>

/** What becomes of a column: as its field says; *with another*: the other half of a column that is asked. */
export type MergedColumn = MergeRule | 'with another'

const BESIDE_FIELDS: Readonly<Record<string, MergedColumn>> = {
  id: 'kept',
  version: 'kept',
  product_id: 'kept',
  ended_as: 'kept',
  location: 'kept',
  location_until: 'kept',
  price_said: 'asked',
  role: 'asked',
  added_on: 'earliest',
  kept_text: 'list',
  sign_day: 'together',
  sign_words: 'together',
  opened_by: 'together',
  ended_on: 'together',
  ended_roughly: 'together',
  origin_item_id: 'together',
}

/** What becomes of every column of an item; a test holds it to the schema. */
export function mergedColumns(table: FieldTable = ITEM_FIELDS): Readonly<Record<string, MergedColumn>> {
  const ofFields = Object.values(table).flatMap(({ columns, merge }) =>
    columns.map((column, n) => [column, merge === 'asked' && n > 0 ? 'with another' : merge]),
  )
  return { ...BESIDE_FIELDS, ...(Object.fromEntries(ofFields) as Record<string, MergedColumn>) }
}
export const MERGED_COLUMNS = mergedColumns()

const OPENED = 'opened_said'
/** Columns whose one value is only half of what is said: told and chosen as one. */
const WITH: Readonly<Record<string, readonly string[]>> = { content_amount: ['content_unit'] }
const MOST_NOTES = 4000
const MOST_LINE = 120
const MOST_USES = 100_000

export interface Conflict {
  readonly column: string
  readonly kept: string | number
  readonly other: string | number
}

/** What cannot be decided without the user. A gift has no price, whatever the other was bought for. */
export function conflictsOf(kept: ItemRow, other: ItemRow): Conflict[] {
  return Object.entries(MERGED_COLUMNS)
    .flatMap(([column, rule]) => {
      if (rule !== 'asked') return []
      const [mine, theirs] = [kept[column] ?? null, other[column] ?? null]
      const same = [column, ...(WITH[column] ?? [])].every((each) => kept[each] === other[each])
      return mine === null || theirs === null || same ? [] : [{ column, kept: mine, other: theirs }]
    })
    .concat(openingsOf(kept, other))
}

function openingsOf(kept: ItemRow, other: ItemRow): Conflict[] {
  const said = (row: ItemRow): string => `${row['opened_earliest']} ${row['opened_latest']}`
  if (kept['opened_kind'] !== 'range' || other['opened_kind'] !== 'range' || said(kept) === said(other)) return []
  return [{ column: OPENED, kept: String(kept['opened_said']), other: String(other['opened_said']) }]
}

/** The two as one row. `theirs` are the columns in which the other's word was chosen. */
export function mergedRow(
  kept: ItemRow,
  other: ItemRow,
  theirs: ReadonlySet<string>,
  worn: { readonly first: Day | null; readonly sameSheetRow: boolean },
): ItemRow {
  const merged: Record<string, string | number | null> = {}
  for (const [column, rule] of Object.entries(MERGED_COLUMNS)) {
    const [a, b] = [kept[column] ?? null, other[column] ?? null]
    switch (rule) {
      case 'kept':
      case 'together':
        merged[column] = a
        break
      case 'with another':
        break
      case 'asked': {
        const from = theirs.has(column) || a === null ? other : kept
        for (const each of [column, ...(WITH[column] ?? [])]) merged[each] = from[each] ?? null
        break
      }
      case 'either':
        merged[column] = Math.max(Number(a), Number(b))
        break
      case 'earliest':
        merged[column] = [a, b].flatMap((each) => each ?? []).sort()[0] ?? null
        break
      case 'lines':
        merged[column] = [...new Set([String(a ?? ''), String(b ?? '')])]
          .filter((text) => text !== '')
          .join(column === 'notes' ? '\n' : ', ')
          .slice(0, column === 'notes' ? MOST_NOTES : MOST_LINE)
        break
      case 'list':
        merged[column] = JSON.stringify(distinct([...listOf(a), ...listOf(b)]))
    }
  }
  // The other was bought where the one that stays was a gift: it stays a gift, and has no price.
  if (merged['source'] === 'gift') merged['price_minor'] = null
  return {
    ...merged,
    ...signOf(kept, other),
    ...openingOf(kept, other, theirs.has(OPENED), worn),
    ...endingOf(kept, other),
  }
}

/** The first sign ended it; what the other said of it is told beside. */
function signOf(kept: ItemRow, other: ItemRow): ItemRow {
  const said = [kept, other]
    .filter((row) => isSaid(row, 'sign_day'))
    .sort((a, b) => (String(a['sign_day']) < String(b['sign_day']) ? -1 : 1))
  const words = [...new Set(said.map((row) => String(row['sign_words'])))].join('; ')
  return { sign_day: said[0]?.['sign_day'] ?? null, sign_words: said.length === 0 ? null : words }
}

/** Earlier uses of one row imported twice are the same uses; a known opening outranks an unknown one, and a use an unopened. */
function openingOf(
  kept: ItemRow,
  other: ItemRow,
  theirs: boolean,
  worn: { readonly first: Day | null; readonly sameSheetRow: boolean },
): ItemRow {
  const [a, b] = [kept['uses_before'] ?? null, other['uses_before'] ?? null].map((each) =>
    each === null ? null : Number(each),
  )
  const uses =
    a === undefined || a === null || b === undefined || b === null
      ? (a ?? b ?? null)
      : worn.sameSheetRow
        ? Math.max(a, b)
        : a + b
  const mine = kept['opened_kind'] === 'range' || other['opened_kind'] !== 'range'
  const from = mine && !theirs ? kept : other
  const doubted = from['opened_kind'] === 'unopened' && ((uses ?? 0) > 0 || other['opened_kind'] === 'unknown')
  const acquired = [kept, other].flatMap((row) => (isSaid(row, 'acquired_earliest') ? [row] : []))
  const earliest = [
    ...acquired.map((row) => String(row['acquired_earliest'])),
    ...((worn.first ?? '') ? [String(worn.first)] : []),
  ].sort()[0]
  return {
    uses_before: uses === null ? null : Math.min(uses, MOST_USES),
    opened_kind: doubted ? 'unknown' : (from['opened_kind'] ?? 'unknown'),
    opened_earliest: from['opened_earliest'] ?? null,
    opened_latest: from['opened_latest'] ?? null,
    opened_said: from['opened_said'] ?? null,
    opened_by: from['opened_by'] ?? 'she',
    acquired_earliest: acquired.length === 0 ? null : (earliest ?? null),
    acquired_latest: acquired[0]?.['acquired_latest'] ?? null,
  }
}

/** Both ended alike, or neither: the later day holds, and a day that was said outranks one that is only roughly known. */
function endingOf(kept: ItemRow, other: ItemRow): ItemRow {
  if (!isSaid(kept, 'ended_on') || !isSaid(other, 'ended_on')) return {}
  const rank = (row: ItemRow): string => `${row['ended_roughly'] === 0 ? 1 : 0}${String(row['ended_on'])}`
  const last = rank(kept) >= rank(other) ? kept : other
  const worn =
    [kept, other]
      .map((row) => String(row['ended_on']))
      .sort()
      .at(-1) ?? ''
  return { ended_on: worn, ended_roughly: last['ended_on'] === worn ? (last['ended_roughly'] ?? 0) : 1 }
}

function isSaid(row: ItemRow, column: string): boolean {
  return (row[column] ?? null) !== null
}

function listOf(text: string | number | null): unknown[] {
  return text === null ? [] : (JSON.parse(String(text)) as unknown[])
}

function distinct(list: readonly unknown[]): unknown[] {
  const seen = new Set<string>()
  return list.filter((each) => {
    const key = JSON.stringify(each)
    return !seen.has(key) && seen.add(key)
  })
}
