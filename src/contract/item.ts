import type { FieldValues } from '#core/item/fields-data'
import type { Lifecycle, Opening } from '#core/item/opening'
import type { SetAside } from '#core/decide/set-aside'
import { type Location, FINISHES } from '#core/item/traits'
import { FIELD_SCHEMAS } from './item-fields.js'
import type { Day } from '#core/calendar/day'
import type { ModelType } from '#core/item/model-type'
import { type Form, FORMS } from '#core/item/form'
import { z } from 'zod'
import { GOAL_KINDS } from '#core/goal/progress'
import { ChangeId, DayText, Hex, Id, NewId, Line } from './basic.js'
import type { PairView, PhotoView } from './beside-item.js'
import { type ContentView, Reading, ReadingBody, type ReadingView, type ShadeContent } from './reading.js'
import type { ForecastView, GuessView, OutlookView, RaceView } from './forecast.js'
import type { EventView, PackageWeightView } from './package-view.js'

const PartBody = z.strictObject({
  id: Id,
  name: Line(60).min(1, 'A shade needs a name.'),
  colour: Hex.nullable(),
  finish: z.enum(FINISHES).nullable(),
  row: z.int().min(1).max(30),
  col: z.int().min(1).max(30),
  rowSpan: z.int().min(1).max(30),
  colSpan: z.int().min(1).max(30),
  shape: z.enum(['square', 'round']),
  /** The form of one end of a dual-ended item; null = the item's own. */
  form: z.enum(FORMS).nullable(),
})

export const ItemFields = z.strictObject({ ...FIELD_SCHEMAS, parts: z.array(PartBody).max(80) })
export type ItemFields = FieldValues & { parts: z.infer<typeof PartBody>[] }

export const AddItem = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  fields: ItemFields,
  reading: ReadingBody.nullable(),
})
export const EditItem = z.strictObject({ changeId: ChangeId, version: z.int(), fields: ItemFields })
export const RecordSign = z.strictObject({
  changeId: ChangeId,
  day: DayText,
  words: Line(200).min(1, 'Say what you noticed.'),
})
export const OpenItem = z.strictObject({ changeId: ChangeId, day: DayText })

export const PartSummary = PartBody.extend({
  /** Where its swatch was not recorded. */
  guess: z.string().nullable(),
  reading: Reading.nullable(),
  uses: z.int(),
  finishedOn: DayText.nullable(),
  /** Taken out of its palette: an item of its own from then on. */
  depottedOn: DayText.nullable(),
})
export type PartSummary = z.infer<typeof PartSummary>

const PeriodView = z.object({ unit: z.enum(['months', 'days']), count: z.int() })
const ShelfLifeReason = z.discriminatedUnion('code', [
  z.object({ code: z.literal('sign'), words: z.string() }),
  z.object({ code: z.literal('printed-expiry') }),
  z.object({ code: z.literal('pao'), period: PeriodView, openedEarliest: DayText, openedLatest: DayText }),
  z.object({ code: z.literal('usual-pao'), period: PeriodView, openedEarliest: DayText, openedLatest: DayText }),
  z.object({ code: z.literal('unopened'), months: z.number(), bought: DayText }),
  z.object({ code: z.literal('opening-unknown'), notBefore: DayText.nullable(), notAfter: DayText.nullable() }),
  z.object({ code: z.literal('purchase-unknown') }),
])

export const ShelfLifeView = z.object({
  state: z.enum(['in date', 'within 90 days', 'past', 'sign seen', 'unknown']),
  lastGood: z.object({ earliest: DayText, latest: DayText }).nullable(),
  actOn: DayText.nullable(),
  daysLeft: z.number().nullable(),
  reason: ShelfLifeReason,
  sun: z.object({ lastDay: DayText.nullable(), lapsed: z.boolean() }).nullable(),
})

export type ShelfLifeView = z.infer<typeof ShelfLifeView>

export const GoalView = z.object({
  stayId: Id,
  projectId: Id,
  projectName: z.string(),
  kind: z.enum(GOAL_KINDS),
  /** The shade it is for; null for the whole item. */
  partId: Id.nullable(),
  partName: z.string().nullable(),
  /** It goes along without a goal of its own. */
  beside: z.boolean(),
  target: z.number().nullable(),
  headStart: z.int(),
  wearsInStay: z.int(),
  uses: z.int(),
  usesLeft: z.int().nullable(),
  met: z.boolean(),
  /** Share done, 0..1, for the rail; null where nothing measures it. */
  done: z.number().nullable(),
  /** Where it should be today, as a share of the rail: by its date, without one by the current plan; null where neither has it. */
  notch: z.number().nullable(),
  /** The day whose reading a goal by eye is computed from; `late` = it is the first one after it rolled in. */
  baseline: z.object({ day: DayText, late: z.boolean() }).nullable(),
  rolledIn: DayText,
  by: DayText.nullable(),
  standing: z.enum(['met', 'ahead', 'on pace', 'behind', 'out of reach', 'missed', 'ended', 'no date', 'not known']),
  difference: z.number().nullable(),
  wearDaysLeft: z.number().nullable(),
  rescue: z.object({ smallerGoal: z.int() }).nullable(),
})
export type GoalView = z.infer<typeof GoalView>

export interface ItemSummary extends FieldValues {
  id: string
  version: number
  category: string
  makeupOrder: number
  makeup: boolean
  eye: boolean
  lip: boolean
  /** The category it is used as, by name: what it is sold as unless the user said otherwise. */
  wornAs: string
  wornAsId: string
  homeZoneId: string
  /** Where no swatch was recorded: a colour guessed from its words, drawn as a guess and counted nowhere. */
  guess: string | null
  lifecycle: Lifecycle
  endedOn: Day | null
  /** It ended on or before `endedOn`; nobody knows closer. */
  endedRoughly: boolean
  location: Location
  isBackup: boolean
  backups: number
  /** A price in another currency, as it was written. */
  priceSaid: string | null
  /** As it is to be read, with all that is known: by whom it was said, and the days it can have been. */
  opening: Omit<Opening, 'notBefore'>
  wears: number
  uses: number
  firstWorn: Day | null
  lastWorn: Day | null
  reading: Reading | null
  /** Share of the content left by the last reading, 0..1. */
  left: number | null
  /** Between which shares what is left likely lies, where weighings tell and nothing was read by eye; never drawn as a fact. */
  estimate: { low: number; high: number } | null
  /** Of how many of its shades that speaks. */
  leftOf: { read: number; all: number } | null
  keptWords: number
  /** Cells of a sheet, or a price in another currency, are kept as words. */
  hasKeptWords: boolean
  parts: PartSummary[]
  shelfLife: ShelfLifeView
  placement: { zoneId: string; since: Day; position: number; beside: boolean } | null
  restingUntil: Day | null
  goal: GoalView | null
  onTrial: boolean
  /** Kept to look at, or for occasions. */
  setAside: SetAside | null
  /** The day it is kept for, and what was said of it. */
  asideFor: Day | null
  asideWords: string
}

/** `day` is missing of what is only about to be read. */
export type ListedReading = Pick<Reading, 'kind' | 'value' | 'stage' | 'word'> & Partial<Pick<Reading, 'day'>>
export type ListedPart = Omit<PartSummary, 'reading'> & { reading: ListedReading | null }

/** What lists, pickers and the drawer show of an item as it is: enough to draw it, name it and sort it. */
export const LISTED = [
  'id',
  'maker',
  'name',
  'shade',
  'categoryId',
  'category',
  'makeupOrder',
  'makeup',
  'eye',
  'wornAs',
  'homeZoneId',
  'form',
  'colour',
  'guess',
  'finish',
  'opaque',
  'slots',
  'lifecycle',
  'endedOn',
  'location',
  'isBackup',
  'backups',
  'content',
  'acquired',
  'uses',
  'firstWorn',
  'lastWorn',
  'liking',
  'packageStates',
  'placement',
  'restingUntil',
  'goal',
  'onTrial',
  'setAside',
  'estimate',
] as const satisfies readonly (keyof ItemSummary)[]

export type ListedItem = Pick<ItemSummary, (typeof LISTED)[number] | 'hasKeptWords'> & {
  opening: Omit<ItemSummary['opening'], 'by'>
  reading: ListedReading | null
  parts: ListedPart[]
  shelfLife: Pick<ShelfLifeView, 'state' | 'lastGood' | 'actOn'> & { sun: { lapsed: boolean } | null }
}

export interface CategoryView {
  id: string
  version: number
  name: string
  makeup: boolean
  zoneId: string
  usualForm: Form
  eye: boolean
  lip: boolean
  modelType: ModelType
}

export interface ZoneView {
  id: string
  name: string
  slots: number
}

export interface CollectionAnswer {
  today: Day
  currency: string
  /** The items as `packItems` writes them: a collection of thousands is sent whole. */
  items: {
    categories: unknown[]
    makers: string[]
    rows: unknown[][]
  }
}

/** The race of everything in stock, with the reasons for each last good day; what the items are is told by the collection. */
export interface ShelfLifeAnswer {
  today: Day
  /** Enough days are written down to speak of the user's pace. */
  paceKnown: boolean
  currency: string
  races: (RaceView & { wornAsId: string; reason: z.infer<typeof ShelfLifeReason>; sunLastDay: Day | null })[]
}

export interface LifeEvent {
  day: Day
  kind:
    | 'wear'
    | 'reading'
    | 'event'
    | 'rolled in'
    | 'rolled out'
    | 'into drawer'
    | 'out of drawer'
    | 'trial'
    | 'verdict'
    | 'finished'
  words: string
}

export interface ItemAnswer {
  today: Day
  currency: string
  item: ItemSummary
  keptText: { column: string; text: string }[]
  pairs: PairView[]
  photos: PhotoView[]
  wearDays: Day[]
  /** Uses since it was last looked at; null when it never was. */
  sinceReading: { day: Day; uses: number } | null
  readings: ReadingView[]
  packageEvents: EventView[]
  packageWeights: PackageWeightView[]
  content: ContentView | null
  shadesLeft: ShadeContent[]
  /** When it will be finished; null once it has ended. */
  forecast: ForecastView | null
  outlooks: OutlookView[]
  guesses: GuessView[]
  parents: { itemId: string; mark: string; share: number | null; grams: number | null }[]
  origin: { itemId: string; mark: string } | null
  goals: GoalView[]
  events: LifeEvent[]
  destinations: string[]
}

export interface GoneItem {
  item: ListedItem
  endedAs: string
  verdict: { verdict: string; destination: string | null; reason: string } | null
  review: { wouldBuyAgain: string | null; words: string } | null
}

export interface FindAnswer {
  /** Of what is there, the closest first. */
  ids: string[]
  gone: GoneItem[]
}
