import { type FieldTable, type FieldValues, type ItemField, ITEM_FIELDS } from '#core/item/fields-data'

export type Stored = string | number | null
type Row = Readonly<Record<string, Stored>>

export function columnsOfFields(table: FieldTable = ITEM_FIELDS): string[] {
  return Object.values(table).flatMap(({ columns }) => columns)
}

/** What stands in the columns of a field for its value. */
export function storedOf(field: ItemField, value: unknown): Record<string, Stored> {
  const [first = '', second = '', third = '', fourth = ''] = field.columns
  switch (field.kind) {
    case 'flag':
      return { [first]: Number(value) }
    case 'list':
      return { [first]: JSON.stringify(value) }
    case 'size': {
      const size = value as FieldValues['content']
      return { [first]: size?.amount ?? null, [second]: size?.unit ?? null }
    }
    case 'days': {
      const days = value as FieldValues['acquired']
      return { [first]: days?.earliest ?? null, [second]: days?.latest ?? null }
    }
    case 'opened': {
      const opened = value as FieldValues['opened']
      const range = opened.kind === 'range' ? opened : null
      return {
        [first]: opened.kind,
        [second]: range?.earliest ?? null,
        [third]: range?.latest ?? null,
        [fourth]: range?.said ?? null,
      }
    }
    default:
      return field.columns.length === 0 ? {} : { [first]: value as Stored }
  }
}

/** Reads the value of a field from its columns. Made once for each field: thousands of rows are read at a time. */
export function readerOf(field: ItemField): (row: Row) => unknown {
  const [first = '', second = '', third = '', fourth = ''] = field.columns
  switch (field.kind) {
    case 'flag':
      return (row) => row[first] === 1
    case 'list':
      return (row) => JSON.parse(String(row[first])) as unknown
    case 'size':
      return (row) => (row[first] === null || row[second] === null ? null : { amount: row[first], unit: row[second] })
    case 'days':
      return (row) =>
        row[first] === null || row[second] === null ? null : { earliest: row[first], latest: row[second] }
    case 'opened':
      return (row) => {
        if (row[first] !== 'range') return { kind: row[first] }
        return { kind: 'range', earliest: row[second], latest: row[third], said: row[fourth] ?? '' }
      }
    default:
      return (row) => row[first]
  }
}

export function storedFields(values: object, table: FieldTable = ITEM_FIELDS): Record<string, Stored> {
  const by = values as Readonly<Record<string, unknown>>
  return Object.assign({}, ...Object.entries(table).map(([name, field]) => storedOf(field, by[name]))) as Record<
    string,
    Stored
  >
}

const READERS = Object.entries(ITEM_FIELDS as FieldTable).flatMap(([name, field]) =>
  field.columns.length === 0 ? [] : [[name, readerOf(field)] as const],
)

/** The fields of an item but for the words of its product, from a row of `item`. */
export function fieldsIn(row: object): Omit<FieldValues, 'maker' | 'name' | 'shade'> {
  const found: Record<string, unknown> = {}
  for (const [name, read] of READERS) found[name] = read(row as Row)
  return found as Omit<FieldValues, 'maker' | 'name' | 'shade'>
}

const OPENED = readerOf(ITEM_FIELDS.opened)
const ACQUIRED = readerOf(ITEM_FIELDS.acquired)
/** What bears on an opening, from a row with these columns. */
export function openingIn(row: Row): Pick<FieldValues, 'opened' | 'acquired' | 'usesBefore'> {
  return {
    opened: OPENED(row) as FieldValues['opened'],
    acquired: ACQUIRED(row) as FieldValues['acquired'],
    usesBefore: row['uses_before'] as number | null,
  }
}
