import { type FieldTable, type FieldValues, type ItemField, ITEM_FIELDS } from '#core/item/fields-data'

export type Stored = string | number | null
type Row = Readonly<Record<string, Stored>>

/** The columns of the table `item` that hold what is said of an item, in the order of the fields. */
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

/** The value of a field from its columns. */
export function valueIn(field: ItemField, row: Row): unknown {
  const [first = null, second = null, third = null, fourth = null] = field.columns.map((column) => row[column])
  switch (field.kind) {
    case 'flag':
      return first === 1
    case 'list':
      return JSON.parse(String(first)) as unknown
    case 'size':
      return first === null || second === null ? null : { amount: first, unit: second }
    case 'days':
      return first === null || second === null ? null : { earliest: first, latest: second }
    case 'opened':
      if (first !== 'range' || second === null || third === null)
        return { kind: first === 'range' ? 'unknown' : (first ?? 'unknown') }
      return { kind: 'range', earliest: second, latest: third, said: fourth ?? '' }
    default:
      return first
  }
}

/** All columns for the fields of an item. */
export function storedFields(values: object, table: FieldTable = ITEM_FIELDS): Record<string, Stored> {
  const by = values as Readonly<Record<string, unknown>>
  return Object.assign({}, ...Object.entries(table).map(([name, field]) => storedOf(field, by[name]))) as Record<
    string,
    Stored
  >
}

const OWN = Object.entries(ITEM_FIELDS as FieldTable).filter(([, { columns }]) => columns.length > 0)

/** The fields of an item but for the words of its product, from a row of `item`. */
export function fieldsIn(row: object): Omit<FieldValues, 'maker' | 'name' | 'shade'> {
  const found: Record<string, unknown> = {}
  for (const [name, field] of OWN) found[name] = valueIn(field, row as Row)
  return found as Omit<FieldValues, 'maker' | 'name' | 'shade'>
}
