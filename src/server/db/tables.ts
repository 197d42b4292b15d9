/**
 * What kind a table is of. *recorded*: what the user said; journalled, exported, undone. *journal*: the record of changes itself.
 * *kept as shown*: what the server once told the user; added to only, exported, never undone. *derived*: can be thrown away and made
 * again at any time; neither journalled nor exported.
 */
export type TableClass = 'recorded' | 'journal' | 'kept as shown' | 'derived'

/** Which remembered figures a changed row makes stale. */
export type Staleness =
  | 'nothing'
  /** Those of the item that the column names. */
  | { readonly ofItem: string }
  /** Those of the item that the part in the column belongs to. */
  | { readonly ofPart: string }
  /** Those of the item that the column names and of all of its product: a first wear opens it. */
  | { readonly ofProductOf: string }
  /** Those of the item and of all of its product: the row is an item. */
  | 'its product'
  | 'everything'

/** What a merge does with the rows of the item that goes: they move to the one that stays, go, or the merge does it by hand. */
export type MergePolicy = 'move' | 'drop' | 'by hand'

/** A key that no two rows share: its terms over a row called `r`, and the rows it holds for. */
export interface UniqueKey {
  readonly index: string
  readonly terms: readonly string[]
  readonly where?: string
}

export interface TableEntry {
  readonly class: TableClass
  readonly stale: Staleness
  /** Columns that name an item, each with what a merge does. */
  readonly items?: Readonly<Record<string, MergePolicy>>
  readonly unique?: readonly UniqueKey[]
}

const recorded = (stale: Staleness, items: TableEntry['items'] = {}, ...unique: readonly UniqueKey[]): TableEntry => ({
  class: 'recorded',
  stale,
  items,
  unique,
})
const ofItem = { ofItem: 'item_id' } as const
const pairOf = (index: string, ...columns: readonly string[]): UniqueKey => ({
  index,
  terms: columns.map((column) => `r.${column}`),
})
const AUTO = (table: string, n = 2): string => `sqlite_autoindex_${table}_${n}`

/**
 * Every table of the collection, in an order in which rows can be put: what is referred to comes first. What is journalled,
 * exported, merged, undone and forgotten is read off here and nowhere else. Data table.
 */
export const TABLES: Readonly<Record<string, TableEntry>> = {
  setting: recorded('everything'),
  zone: recorded('everything'),
  category: recorded('everything', {}, { index: 'category_by_name', terms: ['lower(r.name)'] }),
  product: recorded('everything', {}, pairOf('product_by_words', 'maker', 'name', 'shade')),
  item: recorded('its product', { origin_item_id: 'move' }),
  import_mark: recorded('nothing', { item_id: 'move' }),
  part: recorded(ofItem, { item_id: 'by hand' }),
  blend_parent: recorded(
    'nothing',
    { item_id: 'move', parent_item_id: 'move' },
    pairOf(AUTO('blend_parent'), 'item_id', 'parent_item_id'),
  ),
  pair: recorded(
    'nothing',
    { item_id: 'by hand', other_item_id: 'by hand' },
    pairOf(AUTO('pair'), 'item_id', 'other_item_id'),
    {
      index: 'pair_once',
      terms: ['min(r.item_id, r.other_item_id)', 'max(r.item_id, r.other_item_id)'],
    },
  ),
  photo: recorded('nothing', { item_id: 'move' }),
  mix: recorded('nothing'),
  wear: recorded({ ofProductOf: 'item_id' }, { item_id: 'by hand' }, pairOf(AUTO('wear'), 'item_id', 'day')),
  feeling: recorded('nothing', {}, pairOf(AUTO('feeling'), 'wear_id', 'aspect')),
  wear_part: recorded({ ofPart: 'part_id' }, {}, pairOf(AUTO('wear_part'), 'wear_id', 'part_id')),
  day_record: recorded('nothing'),
  away: recorded('everything'),
  low_season: recorded('everything'),
  wear_less: recorded('everything'),
  unwritten: recorded('everything'),
  saved_face: recorded('nothing'),
  saved_face_item: recorded(
    'nothing',
    { item_id: 'move' },
    pairOf(AUTO('saved_face_item'), 'saved_face_id', 'item_id'),
  ),
  put_back: recorded('nothing', { item_id: 'move' }, pairOf(AUTO('put_back'), 'item_id', 'day')),
  not_today: recorded('nothing', { item_id: 'move' }, pairOf(AUTO('not_today'), 'item_id', 'day')),
  project: recorded('everything', { palette_id: 'move' }),
  check_in: recorded('nothing', { push_item_id: 'move' }),
  check_in_step: recorded(
    'nothing',
    { item_id: 'move' },
    pairOf(AUTO('check_in_step'), 'check_in_id', 'item_id', 'measure'),
  ),
  // What it weighs empty bears on whatever lies in it.
  kept_container: recorded('everything', { item_id: 'move' }),
  measurement: recorded(ofItem, { item_id: 'move' }),
  pan_reading: recorded('nothing', {}, pairOf(AUTO('pan_reading'), 'measurement_id')),
  item_event: recorded(ofItem, { item_id: 'move', other_item_id: 'move' }),
  // What a kind of package weighs is known of every item of that kind.
  package_weight: recorded('everything', { item_id: 'move' }),
  stay: recorded(
    ofItem,
    { item_id: 'by hand' },
    {
      index: 'stay_once_at_a_time',
      terms: ['r.project_id', 'r.item_id', "coalesce(r.part_id, '')"],
      where: 'r.rolled_out IS NULL',
    },
  ),
  short_list: recorded('nothing', { item_id: 'move' }, pairOf(AUTO('short_list'), 'item_id')),
  placement: recorded(
    ofItem,
    { item_id: 'by hand' },
    { index: 'placement_once_at_a_time', terms: ['r.item_id'], where: 'r.to_day IS NULL' },
  ),
  laying: recorded('nothing', {}, { index: 'laying_once_at_a_time', terms: ['1'], where: 'r.closed_on IS NULL' }),
  laying_choice: recorded('nothing', { item_id: 'move' }, pairOf(AUTO('laying_choice'), 'laying_id', 'item_id')),
  trial: recorded(
    ofItem,
    { item_id: 'by hand' },
    { index: 'trial_once_at_a_time', terms: ['r.item_id'], where: 'r.closed_on IS NULL' },
  ),
  verdict: recorded('nothing', { item_id: 'move' }),
  set_aside: recorded(ofItem, { item_id: 'move' }, pairOf(AUTO('set_aside'), 'item_id')),
  stash_pick: recorded(
    'nothing',
    {},
    { index: 'stash_pick_once_at_a_time', terms: ['1'], where: 'r.closed_on IS NULL' },
  ),
  stash_pick_item: recorded(
    'nothing',
    { item_id: 'move' },
    pairOf(AUTO('stash_pick_item'), 'stash_pick_id', 'item_id'),
  ),
  target: recorded('nothing', {}, pairOf(AUTO('target'), 'category_id')),
  wish: recorded('nothing', { item_id: 'move' }),
  buying_rule: recorded('nothing'),
  buying_exception: recorded('nothing', {}, pairOf(AUTO('buying_exception'), 'buying_rule_id', 'category_id')),
  lesson: recorded(
    'nothing',
    { item_id: 'move' },
    { index: 'lesson_once', terms: ['r.rule', 'r.about'], where: 'r.rule IS NOT NULL' },
  ),
  plan_word: recorded('nothing', { item_id: 'move' }, pairOf(AUTO('plan_word'), 'item_id')),
  plan_move: recorded('nothing', { item_id: 'move' }, pairOf(AUTO('plan_move'), 'item_id', 'month')),
  plan_pace: recorded('nothing', {}, pairOf(AUTO('plan_pace'), 'category_id')),
  plan_break: recorded('nothing'),
  // Goals without a date take their notch from the current plan.
  plan: recorded('everything', {}, { index: 'plan_once_in_force', terms: ['1'], where: 'r.ended_on IS NULL' }),
  plan_line: recorded(ofItem, { item_id: 'move' }, pairOf(AUTO('plan_line'), 'plan_id', 'item_id')),
  look_span: recorded('nothing'),
  span_words: recorded('nothing', {}, pairOf(AUTO('span_words'), 'from_day', 'to_day')),
  ask: recorded('nothing', { chosen_item_id: 'move' }),
  ask_item: recorded('nothing', { item_id: 'move' }, pairOf(AUTO('ask_item'), 'ask_id', 'item_id')),
  review: recorded('nothing', { item_id: 'by hand', replaced_by_item_id: 'move' }),
  guess: recorded('nothing', { item_id: 'move' }, pairOf(AUTO('guess'), 'item_id', 'made_on')),
  forecast: { class: 'kept as shown', stale: 'nothing' },
  // Its own name: it stays with the database, whatever is taken into it.
  collection: { class: 'journal', stale: 'nothing' },
  migration: { class: 'journal', stale: 'nothing' },
  change: { class: 'journal', stale: 'nothing' },
  change_row: { class: 'journal', stale: 'nothing' },
  change_undoes: { class: 'journal', stale: 'nothing' },
}

export function tablesOf(...classes: readonly TableClass[]): string[] {
  return Object.entries(TABLES)
    .filter(([, entry]) => classes.includes(entry.class))
    .map(([name]) => name)
}

export function exportedTables(): string[] {
  return tablesOf('recorded', 'kept as shown')
}
