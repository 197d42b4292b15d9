import type { ListedItem } from './item.js'

type OfCategory = Pick<ListedItem, 'categoryId' | 'category' | 'makeupOrder' | 'makeup' | 'eye' | 'homeZoneId'>
type Row = readonly unknown[]

export interface PackedItems {
  readonly categories: readonly OfCategory[]
  readonly makers: readonly string[]
  readonly rows: readonly Row[]
}

/** Of a row, the columns after the shared words. The last ones are the rarest. */
const COLUMNS = [
  'id',
  'name',
  'shade',
  'form',
  'colour',
  'lifecycle',
  'uses',
  'lastWorn',
  'firstWorn',
  'slots',
  'content',
  'acquired',
  'finish',
  'guess',
  'liking',
  'location',
  'placement',
  'backups',
  'restingUntil',
  'endedOn',
  'setAside',
] as const satisfies readonly (keyof ListedItem)[]

const FLAGS = ['opaque', 'isBackup', 'onTrial', 'hasKeptWords'] as const satisfies readonly (keyof ListedItem)[]

const shared = (item: ListedItem): OfCategory => ({
  categoryId: item.categoryId,
  category: item.category,
  makeupOrder: item.makeupOrder,
  makeup: item.makeup,
  eye: item.eye,
  homeZoneId: item.homeZoneId,
})

export function packItems(items: readonly ListedItem[]): PackedItems {
  const categories = new Map<string, { at: number; of: OfCategory }>()
  const makers = new Map<string, number>()
  const rows = items.map((item) => {
    const of = shared(item)
    const key = JSON.stringify(of)
    const category = categories.get(key) ?? { at: categories.size, of }
    categories.set(key, category)
    const maker = makers.get(item.maker) ?? makers.size
    makers.set(item.maker, maker)
    const { opening, shelfLife, reading } = item
    const row = [
      category.at,
      maker,
      FLAGS.reduce((sum, flag, bit) => sum + (item[flag] ? 1 << bit : 0), 0),
      [opening.kind, ...days(opening.within), opening.notAfter],
      [shelfLife.state, shelfLife.actOn, ...days(shelfLife.lastGood), shelfLife.sun?.lapsed ?? null],
      reading ? [reading.kind, reading.stage ?? reading.word ?? reading.value] : packedEstimate(item.estimate),
      ...COLUMNS.map((column) => item[column]),
      item.wornAs === item.category ? null : item.wornAs,
      orNull(item.packageStates),
      item.goal,
      orNull(item.parts),
    ]
    return trimmed(row).map((value) => (Array.isArray(value) ? trimmed(value) : value))
  })
  return { categories: [...categories.values()].map(({ of }) => of), makers: [...makers.keys()], rows }
}

export function unpackItems({ categories, makers, rows }: PackedItems): ListedItem[] {
  return rows.map((row) => {
    const [category, maker, flags, opening, shelfLife, reading] = row as [number, number, number, Row, Row, Row | null]
    const at = 6 + COLUMNS.length
    const of = categories[category]
    if (of === undefined) throw new Error('A packed list names a category that it doesn’t hold.')
    const values = Object.fromEntries(COLUMNS.map((column, n) => [column, row[6 + n] ?? null]))
    const [lapsed = null] = shelfLife.slice(4)
    return {
      ...of,
      ...values,
      ...Object.fromEntries(FLAGS.map((flag, bit) => [flag, ((flags >> bit) & 1) === 1])),
      maker: makers[maker] ?? '',
      opening: { kind: opening[0], within: range(opening[1], opening[2]), notAfter: opening[3] ?? null },
      shelfLife: {
        state: shelfLife[0],
        actOn: shelfLife[1] ?? null,
        lastGood: range(shelfLife[2], shelfLife[3]),
        sun: lapsed === null ? null : { lapsed },
      },
      reading: readingOf(reading ?? null),
      estimate: estimateOf(reading ?? null),
      wornAs: row[at] ?? of.category,
      packageStates: row[at + 1] ?? [],
      goal: row[at + 2] ?? null,
      parts: row[at + 3] ?? [],
    } as unknown as ListedItem
  })
}

/** Where nothing was read by eye: between what it likely lies, by weighings. */
const ESTIMATE = 'likely'

function packedEstimate(estimate: ListedItem['estimate']): Row | null {
  return estimate && [ESTIMATE, estimate.low, estimate.high]
}

function estimateOf(packed: Row | null): ListedItem['estimate'] {
  return packed?.[0] === ESTIMATE ? { low: Number(packed[1]), high: Number(packed[2]) } : null
}

function readingOf(packed: Row | null): ListedItem['reading'] {
  if (packed === null || packed[0] === ESTIMATE) return null
  const [kind, value = null] = packed
  return {
    kind,
    value: kind === 'stage' || kind === 'word' ? null : value,
    stage: kind === 'stage' ? value : null,
    word: kind === 'word' ? value : null,
  } as ListedItem['reading']
}

function days(of: { earliest: string; latest: string } | null): (string | null)[] {
  return of === null ? [null, null] : [of.earliest, of.earliest === of.latest ? '' : of.latest]
}

function range(earliest: unknown, latest: unknown): { earliest: string; latest: string } | null {
  if (typeof earliest !== 'string') return null
  return { earliest, latest: latest === '' ? earliest : String(latest) }
}

function orNull<T>(list: readonly T[]): readonly T[] | null {
  return list.length === 0 ? null : list
}

/** Without what is null at its end. */
function trimmed(row: Row): Row {
  let end = row.length
  while (end > 0 && row[end - 1] === null) end -= 1
  return row.slice(0, end)
}
