import type { Day } from '../calendar/day.js'
import type { DayRange } from '../calendar/when.js'
import { FORMS } from './form.js'
import type { Opened } from './opening.js'
import {
  AVAILABILITIES,
  DEPTHS,
  FINISHES,
  FORMATS,
  PACKAGE_STATES,
  SEASONS,
  SOURCES,
  STRUCTURES,
  UNDERTONES,
} from './traits.js'

/**
 * What becomes of a field when two items are merged. *kept*: the one that stays has its own. *asked*: what only one says holds; what
 * both say differently is asked. *either*: yes where either says so. *earliest*, *lines*, *list*: the earlier day, both texts, both
 * lists. *together*: decided along with others.
 */
export type MergeRule = 'kept' | 'asked' | 'either' | 'earliest' | 'lines' | 'list' | 'together'

interface Common {
  /** Columns of the table `item` that hold it; none for the words of the product. */
  readonly columns: readonly string[]
  readonly merge: MergeRule
  /** Whether it can be set for many items at once. */
  readonly many?: true
}
interface Bounds {
  readonly least: number
  readonly most: number
  /** Said where it is below the least. */
  readonly below?: string
}

/** What a field can be. Everything but texts, lists, yes or no and what has a `blank` may be unsaid, which is null. */
export type ItemField = Common &
  (
    | { readonly kind: 'text'; readonly most: number; readonly needed?: string }
    | { readonly kind: 'id'; readonly needed?: true }
    | { readonly kind: 'choice'; readonly of: readonly string[]; readonly blank?: string; readonly needed?: true }
    | { readonly kind: 'list'; readonly of: readonly string[] }
    | ({ readonly kind: 'whole'; readonly blank?: number } & Bounds)
    | { readonly kind: 'flag' | 'colour' | 'day' | 'days' | 'opened' | 'size' }
  )

/** Every field of an item: what is said of it in its form. A new one is one line here and a column in a migration. Data table. */
export const ITEM_FIELDS = {
  maker: { kind: 'text', columns: [], most: 120, merge: 'kept' },
  name: { kind: 'text', columns: [], most: 200, merge: 'kept', needed: 'Give it a name; a word is enough.' },
  shade: { kind: 'text', columns: [], most: 120, merge: 'kept' },
  categoryId: { kind: 'id', columns: ['category_id'], merge: 'asked', needed: true, many: true },
  form: { kind: 'choice', columns: ['form'], of: FORMS, merge: 'asked', needed: true, many: true },
  colour: { kind: 'colour', columns: ['colour'], merge: 'asked' },
  finish: { kind: 'choice', columns: ['finish'], of: FINISHES, merge: 'asked' },
  opaque: { kind: 'flag', columns: ['opaque'], merge: 'either' },
  slots: { kind: 'whole', columns: ['slots'], least: 1, most: 12, blank: 1, merge: 'kept' },
  content: { kind: 'size', columns: ['content_amount', 'content_unit'], merge: 'asked' },
  priceMinor: {
    kind: 'whole',
    columns: ['price_minor'],
    least: 0,
    below: 'A price is not below 0.',
    most: 1_000_000,
    merge: 'asked',
  },
  source: { kind: 'choice', columns: ['source'], of: SOURCES, merge: 'asked' },
  acquired: { kind: 'days', columns: ['acquired_earliest', 'acquired_latest'], merge: 'together' },
  /** As it was said. */
  opened: {
    kind: 'opened',
    columns: ['opened_kind', 'opened_earliest', 'opened_latest', 'opened_said'],
    merge: 'together',
  },
  paoMonths: {
    kind: 'whole',
    columns: ['pao_months'],
    least: 1,
    below: 'A period after opening is at least 1 month.',
    most: 120,
    merge: 'asked',
    many: true,
  },
  expiry: { kind: 'day', columns: ['expiry'], merge: 'earliest' },
  sunProtection: { kind: 'flag', columns: ['sun_protection'], merge: 'either' },
  /** Uses before the log; null = not said. */
  usesBefore: {
    kind: 'whole',
    columns: ['uses_before'],
    least: 0,
    below: 'Uses are not below 0.',
    most: 100_000,
    merge: 'together',
  },
  liking: { kind: 'whole', columns: ['liking'], least: 1, most: 5, merge: 'asked', many: true },
  notes: { kind: 'text', columns: ['notes'], most: 4000, merge: 'lines' },
  structure: { kind: 'choice', columns: ['structure'], of: STRUCTURES, blank: 'single', merge: 'kept' },
  /** What it is used as, when not what it is sold as. */
  usedAs: { kind: 'id', columns: ['used_as'], merge: 'asked', many: true },
  format: { kind: 'choice', columns: ['format'], of: FORMATS, merge: 'asked', many: true },
  undertone: { kind: 'choice', columns: ['undertone'], of: UNDERTONES, merge: 'asked' },
  depth: { kind: 'choice', columns: ['depth'], of: DEPTHS, merge: 'asked' },
  /** The seasons it suits; none = all year. */
  seasons: { kind: 'list', columns: ['seasons'], of: SEASONS, merge: 'list', many: true },
  availability: { kind: 'choice', columns: ['availability'], of: AVAILABILITIES, merge: 'asked', many: true },
  spf: {
    kind: 'whole',
    columns: ['spf'],
    least: 1,
    below: 'A sun protection factor is at least 1.',
    most: 150,
    merge: 'asked',
  },
  packageStates: { kind: 'list', columns: ['package_states'], of: PACKAGE_STATES, merge: 'list' },
  /** Brushes that go with it. */
  brushes: { kind: 'text', columns: ['brushes'], most: 120, merge: 'lines' },
  /** The kit or set it belongs to. */
  kit: { kind: 'text', columns: ['kit'], most: 120, merge: 'lines', many: true },
} as const satisfies Readonly<Record<string, ItemField>>

export type ItemFieldName = keyof typeof ITEM_FIELDS
/** What a table of fields can hold: the one above, or a copy with more in it. */
export type FieldTable = Readonly<Record<string, ItemField>>

type OrNull<F, T> = F extends { needed: true } | { blank: string | number } ? T : T | null
/** The value of a field as it is said and told. */
export type ValueOf<F extends ItemField> = F extends { kind: 'text' }
  ? string
  : F extends { kind: 'id' }
    ? OrNull<F, string>
    : F extends { kind: 'choice'; of: readonly (infer C)[] }
      ? OrNull<F, C>
      : F extends { kind: 'list'; of: readonly (infer C)[] }
        ? C[]
        : F extends { kind: 'whole' }
          ? OrNull<F, number>
          : F extends { kind: 'flag' }
            ? boolean
            : F extends { kind: 'colour' }
              ? string | null
              : F extends { kind: 'day' }
                ? Day | null
                : F extends { kind: 'days' }
                  ? DayRange | null
                  : F extends { kind: 'opened' }
                    ? Opened
                    : { amount: number; unit: 'g' | 'ml' } | null

/** The fields of an item with their values. */
export type FieldValues = { [K in ItemFieldName]: ValueOf<(typeof ITEM_FIELDS)[K]> }
type Needed = { [K in ItemFieldName]: (typeof ITEM_FIELDS)[K] extends { needed: unknown } ? K : never }[ItemFieldName]

/** What stands in a field of which nothing is said. */
export function blankOf(field: ItemField): unknown {
  switch (field.kind) {
    case 'text':
      return ''
    case 'list':
      return []
    case 'flag':
      return false
    case 'opened':
      return { kind: 'unknown' }
    case 'choice':
    case 'whole':
      return field.blank ?? null
    default:
      return null
  }
}

/** An item of which nothing is said but what it is called and what kind it is; it has no shades. */
export const BLANK_FIELDS: Omit<FieldValues, Needed> & { parts: never[] } = {
  ...(Object.fromEntries(
    Object.entries(ITEM_FIELDS as FieldTable).flatMap(([name, field]) =>
      'needed' in field ? [] : [[name, blankOf(field)]],
    ),
  ) as Omit<FieldValues, Needed>),
  parts: [],
}
