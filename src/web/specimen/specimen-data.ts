import type { Day } from '#core/calendar/day'
import { PAN_STAGES, type Form } from '#core/item/form'
import type { GoalView, ItemSummary } from '#contract/item'
import type { Reading } from '#contract/reading'

/** Items for the specimen sheet: every drawing in every state it can be in. Invented. */
const TODAY = '2026-11-24' as Day

interface Wanted {
  readonly shade: string
  readonly form: Form
  readonly colour: string | null
  readonly guess?: string
  readonly finish?: ItemSummary['finish']
  readonly reading?: Partial<Reading>
  readonly goal?: Partial<GoalView>
  readonly opaque?: boolean
  readonly uses?: number
  readonly backups?: number
  readonly state?: ItemSummary['shelfLife']['state']
  readonly parts?: ItemSummary['parts']
}

export function specimen(wanted: Wanted): ItemSummary {
  return {
    id: `specimen-${wanted.shade}-${wanted.form}`,
    version: 1,
    maker: 'Pellwick',
    name: wanted.shade,
    shade: wanted.shade,
    categoryId: 'x',
    category: wanted.form,
    makeupOrder: 0,
    makeup: true,
    eye: false,
    lip: false,
    wornAs: wanted.form,
    wornAsId: 'specimen',
    homeZoneId: 'extras',
    form: wanted.form,
    colour: wanted.colour,
    guess: wanted.guess ?? null,
    finish: wanted.finish ?? 'matte',
    opaque: wanted.opaque ?? false,
    slots: 1,
    lifecycle: 'open',
    endedOn: null,
    endedRoughly: false,
    location: 'resting',
    isBackup: false,
    backups: wanted.backups ?? 0,
    content: null,
    priceMinor: null,
    priceSaid: null,
    source: null,
    acquired: null,
    opened: { kind: 'unknown' },
    opening: { kind: 'unknown', by: 'she', within: null, notAfter: null },
    paoMonths: null,
    expiry: null,
    sunProtection: false,
    usesBefore: 0,
    wears: wanted.uses ?? 0,
    uses: wanted.uses ?? 0,
    firstWorn: null,
    lastWorn: null,
    liking: null,
    notes: '',
    structure: 'single',
    usedAs: null,
    format: null,
    undertone: null,
    depth: null,
    seasons: [],
    availability: null,
    spf: null,
    packageStates: [],
    brushes: '',
    kit: '',
    reading: wanted.reading
      ? { kind: 'level', value: null, stage: null, word: null, day: TODAY, ...wanted.reading }
      : null,
    left: null,
    leftOf: null,
    estimate: null,
    keptWords: 0,
    hasKeptWords: false,
    parts: wanted.parts ?? [],
    shelfLife: {
      state: wanted.state ?? 'in date',
      lastGood: null,
      actOn: null,
      daysLeft: null,
      reason: { code: 'purchase-unknown' },
      sun: null,
    },
    placement: null,
    restingUntil: null,
    goal: wanted.goal ? { ...GOAL, ...wanted.goal } : null,
    onTrial: false,
    setAside: null,
    asideFor: null,
    asideWords: '',
  }
}

const GOAL: GoalView = {
  stayId: 's',
  projectId: 'p',
  projectName: '',
  partId: null,
  partName: null,
  beside: false,
  kind: 'uses',
  target: 20,
  headStart: 0,
  wearsInStay: 7,
  uses: 7,
  usesLeft: 13,
  met: false,
  done: 0.35,
  notch: 0.5,
  baseline: null,
  rolledIn: TODAY,
  by: TODAY,
  standing: 'behind',
  difference: -3,
  wearDaysLeft: 20,
  rescue: null,
}

const stage = (at: number): Partial<Reading> => ({ kind: 'stage', stage: PAN_STAGES[at] ?? 'untouched' })
const level = (value: number): Partial<Reading> => ({ kind: 'level', value })
const length = (value: number): Partial<Reading> => ({ kind: 'length', value })
const behind: Partial<GoalView> = {}
const ahead: Partial<GoalView> = { done: 0.7, notch: 0.5, uses: 14, standing: 'ahead', difference: 4 }
const undated: Partial<GoalView> = { done: 0.5, notch: null, uses: 10, by: null, standing: 'no date' }
const met: Partial<GoalView> = { done: 1, notch: 0.6, uses: 20, met: true, standing: 'met' }
const unread: Partial<GoalView> = {
  kind: 'finish',
  target: null,
  usesLeft: null,
  done: null,
  notch: 0.4,
  standing: 'not known',
}

const SHADES: readonly (readonly [string, ItemSummary['finish'], number | null])[] = [
  ['#6b4a3c', 'matte', 3],
  ['#cfa377', 'matte', 4],
  ['#8f6a63', 'satin', 2],
  ['#dbb3a4', 'shimmer', 0],
  ['#4c4f3a', 'matte', null],
  ['#7d8148', 'shimmer', 3],
  ['#2c2830', 'matte', 5],
  ['#a8603f', 'metallic', 1],
]

function palette(round: boolean): ItemSummary['parts'] {
  return SHADES.map(([colour, finish, at], n) => ({
    id: `part-${round ? 'r' : 's'}${n}`,
    name: `Shade ${n + 1}`,
    colour,
    guess: null,
    finish,
    row: Math.floor(n / 4) + 1,
    col: (n % 4) + 1,
    rowSpan: 1,
    colSpan: 1,
    shape: round ? 'round' : 'square',
    form: null,
    reading:
      at === null ? null : { kind: 'stage', value: null, word: null, stage: PAN_STAGES[at] ?? 'untouched', day: TODAY },
    uses: n,
    finishedOn: null,
    depottedOn: null,
  }))
}

export interface SpecimenRow {
  readonly name: string
  readonly items: readonly {
    readonly words: string
    readonly item: ItemSummary
    readonly wornParts?: readonly string[]
  }[]
}

/** Every drawing by its states, one row each. Data table. */
export const SPECIMEN_ROWS: readonly SpecimenRow[] = [
  {
    name: 'Pan',
    items: [
      { words: 'not recorded', item: specimen({ shade: 'Rust', form: 'pressed', colour: '#c7747a' }) },
      { words: 'untouched', item: specimen({ shade: 'Rust', form: 'pressed', colour: '#c7747a', reading: stage(0) }) },
      {
        words: 'dome gone, satin',
        item: specimen({ shade: 'Rust', form: 'pressed', colour: '#c7747a', finish: 'satin', reading: stage(1) }),
      },
      {
        words: 'dip, shimmer',
        item: specimen({
          shade: 'Wet Stone',
          form: 'pressed',
          colour: '#e0bd9f',
          finish: 'shimmer',
          reading: stage(2),
          goal: undated,
        }),
      },
      {
        words: 'first pan, behind',
        item: specimen({ shade: 'Rust', form: 'pressed', colour: '#c7747a', reading: stage(3), goal: behind }),
      },
      {
        words: 'half bare, ahead',
        item: specimen({ shade: 'Ember', form: 'baked', colour: '#b4754d', reading: stage(4), goal: ahead }),
      },
      {
        words: 'mostly bare, met',
        item: specimen({ shade: 'Oat', form: 'pressed', colour: '#e9d7bd', reading: stage(5), goal: met, backups: 1 }),
      },
      { words: 'undyed, dip', item: specimen({ shade: 'Plain', form: 'pressed', colour: null, reading: stage(2) }) },
      {
        words: 'near white, pan',
        item: specimen({
          shade: 'Chalk',
          form: 'pressed',
          colour: '#f7f4f0',
          finish: 'metallic',
          reading: stage(3),
          state: 'past',
        }),
      },
    ],
  },
  {
    name: 'Palette',
    items: [
      {
        words: 'square pans, two worn',
        item: specimen({ shade: 'Hedgerow', form: 'pressed', colour: null, parts: palette(false), goal: behind }),
        wornParts: ['part-s0', 'part-s5'],
      },
      {
        words: 'round pans',
        item: specimen({
          shade: 'Timetable',
          form: 'pressed',
          colour: null,
          parts: palette(true),
          state: 'within 90 days',
        }),
      },
    ],
  },
  {
    name: 'Bottle',
    items: [
      { words: 'not recorded', item: specimen({ shade: 'Fawn', form: 'pump', colour: '#d8ab7c' }) },
      { words: 'full', item: specimen({ shade: 'Fawn', form: 'pump', colour: '#d8ab7c', reading: level(1) }) },
      {
        words: '45 %, behind',
        item: specimen({ shade: 'Fawn', form: 'pump', colour: '#d8ab7c', reading: level(0.45), goal: behind }),
      },
      {
        words: '5 %, backup',
        item: specimen({ shade: 'Fawn', form: 'pump', colour: '#d8ab7c', reading: level(0.05), backups: 1 }),
      },
      {
        words: 'dropper, 60 %',
        item: specimen({ shade: 'Oil', form: 'dropper', colour: '#d9a04a', finish: 'sheer', reading: level(0.6) }),
      },
      {
        words: 'spray, 30 %',
        item: specimen({
          shade: 'Mist',
          form: 'spray',
          colour: '#bcd6db',
          finish: 'sheer',
          reading: level(0.3),
          goal: ahead,
        }),
      },
      {
        words: 'undyed',
        item: specimen({ shade: 'Plain', form: 'pump', colour: null, reading: level(0.5), state: 'sign seen' }),
      },
    ],
  },
  {
    name: 'Tube and wand',
    items: [
      { words: 'tube, not recorded', item: specimen({ shade: 'Veil', form: 'tube', colour: '#d9b489' }) },
      {
        words: 'tube, 70 %',
        item: specimen({ shade: 'Veil', form: 'tube', colour: '#d9b489', reading: level(0.7), goal: undated }),
      },
      {
        words: 'tube, 15 %',
        item: specimen({
          shade: 'Veil',
          form: 'tube',
          colour: '#d9b489',
          reading: level(0.15),
          state: 'within 90 days',
        }),
      },
      { words: 'wand, not recorded', item: specimen({ shade: 'Quay', form: 'wand', colour: '#c0614e' }) },
      {
        words: 'wand, 80 %',
        item: specimen({ shade: 'Quay', form: 'wand', colour: '#c0614e', finish: 'sheer', reading: level(0.8) }),
      },
      {
        words: 'wand, 25 %, met',
        item: specimen({ shade: 'Quay', form: 'wand', colour: '#c0614e', reading: level(0.25), goal: met }),
      },
      {
        words: 'mascara, 50 %',
        item: specimen({ shade: 'Nettle', form: 'wand', colour: '#232325', reading: level(0.5), goal: behind }),
      },
    ],
  },
  {
    name: 'Pencil and bullet',
    items: [
      { words: 'pencil, not recorded', item: specimen({ shade: 'Fig', form: 'wooden pencil', colour: '#9a5550' }) },
      {
        words: 'pencil, whole',
        item: specimen({ shade: 'Fig', form: 'wooden pencil', colour: '#9a5550', reading: length(1) }),
      },
      {
        words: 'pencil, 45 %',
        item: specimen({ shade: 'Fig', form: 'wooden pencil', colour: '#9a5550', reading: length(0.45), goal: behind }),
      },
      {
        words: 'twist-up, 20 %',
        item: specimen({ shade: 'Marzipan', form: 'twist-up pencil', colour: '#8a6848', reading: length(0.2) }),
      },
      { words: 'bullet, not recorded', item: specimen({ shade: 'Plum', form: 'bullet', colour: '#a04458' }) },
      {
        words: 'bullet, 90 %',
        item: specimen({ shade: 'Plum', form: 'bullet', colour: '#a04458', finish: 'satin', reading: length(0.9) }),
      },
      {
        words: 'bullet, 30 %',
        item: specimen({
          shade: 'Plum',
          form: 'bullet',
          colour: '#a04458',
          finish: 'metallic',
          reading: length(0.3),
          goal: ahead,
        }),
      },
      {
        words: 'stick, 55 %',
        item: specimen({ shade: 'Damson', form: 'stick', colour: '#9c4f62', reading: length(0.55), state: 'past' }),
      },
    ],
  },
  {
    name: 'Pot',
    items: [
      { words: 'not recorded', item: specimen({ shade: 'Slate', form: 'pot', colour: '#a08a80' }) },
      { words: '90 %', item: specimen({ shade: 'Slate', form: 'pot', colour: '#a08a80', reading: level(0.9) }) },
      {
        words: '50 %, behind',
        item: specimen({
          shade: 'Slate',
          form: 'pot',
          colour: '#a08a80',
          finish: 'satin',
          reading: level(0.5),
          goal: behind,
        }),
      },
      {
        words: '10 %, floor shows',
        item: specimen({ shade: 'Balm', form: 'jar', colour: '#e6c9c4', reading: level(0.1) }),
      },
    ],
  },
  {
    name: 'Plain label',
    items: [
      { words: 'no tally', item: specimen({ shade: 'Prep', form: 'tube', colour: '#c9d3cf', opaque: true }) },
      {
        words: '12 of 20',
        item: specimen({
          shade: 'Prep',
          form: 'tube',
          colour: '#c9d3cf',
          opaque: true,
          goal: { ...behind, uses: 12, done: 0.6 },
        }),
      },
      {
        words: '20 uses',
        item: specimen({ shade: 'Scent', form: 'spray', colour: '#c8cdb8', opaque: true, uses: 20 }),
      },
      {
        words: '143 uses',
        item: specimen({ shade: 'Scent', form: 'spray', colour: '#c8cdb8', opaque: true, uses: 143, backups: 1 }),
      },
      {
        words: 'loose, unread rail',
        item: specimen({ shade: 'Cloud', form: 'loose', colour: null, goal: unread, uses: 8 }),
      },
    ],
  },
]
