import { randomUUID } from 'node:crypto'
import { DEFAULT_SETTINGS } from '#core/settings'
import { COLLECTION_FILE_VERSION } from '#contract/collection-file'

type Row = Record<string, unknown>
type Tables = Record<string, Row[] | undefined>

/** What each version of the file needs to become the next one, by the version it starts from. */
const STEPS: Readonly<Record<number, (tables: Tables) => Tables>> = {
  2: fromSecond,
  3: fromThird,
  4: fromFourth,
  5: fromFifth,
  6: fromSixth,
  7: fromSeventh,
  8: fromEighth,
}

/**
 * A collection file of an earlier version as one of today's. What is no collection file, or of a later version, is given back as
 * it is: the schema says what is wrong with it.
 */
export function upgradeFile(file: unknown): unknown {
  if (!isRow(file) || !isRow(file['tables'])) return file
  let version = file['version']
  let tables = file['tables'] as Tables
  while (typeof version === 'number' && version < COLLECTION_FILE_VERSION) {
    const step = STEPS[version]
    if (step === undefined) return file
    tables = step(tables)
    version += 1
  }
  return version === file['version']
    ? file
    : { ...file, version, tables, picturesLeftOut: file['picturesLeftOut'] ?? [] }
}

/** The second version kept *lifecycle* beside the opening, baselines in stays and reviews with items only. */
function fromSecond(tables: Tables): Tables {
  const items = rowsOf(tables, 'item')
  const productOf = new Map(items.map((row) => [row['id'], row['product_id']]))
  const endings = ['finished', 'left', 'blended']
  return {
    ...tables,
    item: items.map(({ lifecycle, import_identity: _, ...row }) => ({
      ...row,
      opened_by: 'she',
      ended_as: endings.includes(String(lifecycle)) ? lifecycle : null,
    })),
    import_mark: items.flatMap((row) =>
      typeof row['import_identity'] === 'string'
        ? [{ id: randomUUID(), item_id: row['id'], identity: row['import_identity'] }]
        : [],
    ),
    photo: rowsOf(tables, 'photo').map((row) => ({ ...row, content: row['id'] })),
    measurement: rowsOf(tables, 'measurement').map((row) => ({
      ...row,
      saved_at: `${String(row['day'])}T12:00:00.000Z`,
      value: row['kind'] === 'stage' ? null : row['value'],
      unit: row['kind'] === 'stage' ? null : row['kind'] === 'gross' ? 'g' : 'share',
    })),
    stay: rowsOf(tables, 'stay').map(({ baseline_left: _, baseline_bare: __, ...row }) => row),
    review: rowsOf(tables, 'review').map((row) => ({ ...row, product_id: productOf.get(row['item_id']) ?? '' })),
    saved_face_item: rowsOf(tables, 'saved_face_item').map((row) => ({ ...row, used_as: null })),
    unwritten: [],
    package_weight: [],
  }
}

/** The third version had no way to let something go while laying. */
function fromThird(tables: Tables): Tables {
  return { ...tables, laying_choice: rowsOf(tables, 'laying_choice').map((row) => ({ ...row, destination: null })) }
}

/** The fourth version read by eye only, and knew of packages no more than words. */
function fromFourth(tables: Tables): Tables {
  return {
    ...tables,
    check_in: [],
    check_in_step: [],
    kept_container: [],
    pan_reading: [],
    item_event: [],
    part: rowsOf(tables, 'part').map((row) => ({ ...row, depotted_on: null })),
    package_weight: rowsOf(tables, 'package_weight').map((row) => ({ ...row, item_id: null })),
    measurement: rowsOf(tables, 'measurement').map(({ series: _, ...row }) => ({
      ...row,
      check_in_id: null,
      word: null,
      mm: null,
      of_mm: null,
      how: 'typed',
      cause: null,
    })),
  }
}

/** The fifth version kept no forecasts and no guesses, knew no roles, and less of the scale. */
function fromFifth(tables: Tables): Tables {
  return {
    ...tables,
    guess: [],
    forecast: [],
    wear_less: [],
    item: rowsOf(tables, 'item').map((row) => ({ ...row, role: null })),
    setting: rowsOf(tables, 'setting').map((row) => ({ ...row, value: withDefaults(row['value']) })),
  }
}

/** The sixth version knew no feelings, nothing set aside, no targets, wishes, rules or lessons, and less of verdicts and reviews. */
function fromSixth(tables: Tables): Tables {
  const none = ['feeling', 'set_aside', 'stash_pick', 'stash_pick_item', 'target', 'wish']
  const noneEither = ['buying_rule', 'buying_exception', 'lesson']
  const more = (name: string, of: (row: Row) => Row): Row[] =>
    rowsOf(tables, name).map((row) => ({ ...row, ...of(row) }))
  return {
    ...tables,
    ...Object.fromEntries([...none, ...noneEither].map((name) => [name, []])),
    trial: more('trial', () => ({ set_id: null, otherwise: null })),
    verdict: more('verdict', (row) => ({
      why: null,
      to_whom: '',
      handed_on: row['verdict'] === 'let go' ? row['day'] : null,
      regret_on: null,
      regret_words: '',
    })),
    review: more('review', () => ({
      ended_by: null,
      remained: null,
      did: '',
      for_whom: '',
      dislikes: '',
      again_why: '',
      replaced_by: '',
      replaced_by_item_id: null,
    })),
    pair: more('pair', () => ({ target_colour: null })),
    setting: more('setting', (row) => ({ value: withDefaults(row['value']) })),
  }
}

/** Settings that were not known then are as they are for one who never said. */
function withDefaults(value: unknown): unknown {
  if (typeof value !== 'string') return value
  try {
    const said: unknown = JSON.parse(value)
    return isRow(said) ? JSON.stringify({ ...DEFAULT_SETTINGS, ...said }) : value
  } catch {
    return value
  }
}

function rowsOf(tables: Tables, name: string): Row[] {
  const rows = tables[name]
  return Array.isArray(rows) ? rows.filter(isRow) : []
}

function isRow(value: unknown): value is Row {
  return value !== null && typeof value === 'object' && !Array.isArray(value)
}

/** The seventh version knew no plan. */
function fromSeventh(tables: Tables): Tables {
  const none = ['plan_word', 'plan_move', 'plan_pace', 'plan_break', 'plan', 'plan_line']
  return { ...tables, ...Object.fromEntries(none.map((name) => [name, []])) }
}

/** The eighth version knew no spans, no words on them, nothing asked of friends, and no span of a lesson. */
function fromEighth(tables: Tables): Tables {
  const none = ['look_span', 'span_words', 'ask', 'ask_item']
  return {
    ...tables,
    ...Object.fromEntries(none.map((name) => [name, []])),
    lesson: rowsOf(tables, 'lesson').map((row) => ({ ...row, span_from: null, span_to: null })),
  }
}
