import type { Day } from '#core/calendar/day'
import type { ModelType } from '#core/item/model-type'
import { type Form, FORMS } from '#core/item/form'
import { z } from 'zod'
import { SET_ASIDE } from '#core/decide/set-aside'
import { GOAL_KINDS } from '#core/goal/progress'
import {
  AVAILABILITIES,
  DEPTHS,
  FINISHES,
  FORMATS,
  LOCATIONS,
  PACKAGE_STATES,
  SEASONS,
  SOURCES,
  STRUCTURES,
  UNDERTONES,
} from '#core/item/traits'
import { ChangeId, DayText, Hex, Id, NewId, Line } from './basic.js'
import type { PairView, PhotoView } from './beside-item.js'
import { type ContentView, Reading, ReadingBody, type ReadingView, type ShadeContent } from './reading.js'
import type { ForecastView, GuessView, OutlookView, RaceView } from './forecast.js'
import type { EventView, PackageWeightView } from './package-view.js'

const Range = z.object({ earliest: DayText, latest: DayText })

/** As she said it: a day, a month, a year or a range are all ranges; "said" is her spelling. */
export const OpenedBody = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('unopened') }),
  z.strictObject({ kind: z.literal('unknown') }),
  z
    .strictObject({ kind: z.literal('range'), earliest: DayText, latest: DayText, said: Line(80) })
    .refine((range) => range.earliest <= range.latest, 'The first day must not be after the last.'),
])

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
  /** The form of one end of a dual-ended thing; null = the item's own. */
  form: z.enum(FORMS).nullable(),
})

/** What is said of an item's nature and state beyond its name and form. */
const Traits = {
  structure: z.enum(STRUCTURES),
  /** What it is worn as, when not what it is sold as. */
  usedAs: Id.nullable(),
  format: z.enum(FORMATS).nullable(),
  undertone: z.enum(UNDERTONES).nullable(),
  depth: z.enum(DEPTHS).nullable(),
  /** The seasons it suits; none = all year. */
  seasons: z.array(z.enum(SEASONS)).max(4),
  availability: z.enum(AVAILABILITIES).nullable(),
  spf: z.int().min(1, 'A sun protection factor is at least 1.').max(150).nullable(),
  packageStates: z.array(z.enum(PACKAGE_STATES)).max(PACKAGE_STATES.length),
  /** Brushes that go with it. */
  brushes: z.string(),
  /** The kit or set it belongs to. */
  kit: z.string(),
}

/** Everything that is said of an item in its form. */
export const ItemFields = z.strictObject({
  maker: Line(120),
  name: Line(200).min(1, 'Give it a name; a word is enough.'),
  shade: Line(120),
  categoryId: Id,
  form: z.enum(FORMS),
  colour: Hex.nullable(),
  finish: z.enum(FINISHES).nullable(),
  opaque: z.boolean(),
  slots: z.int().min(1).max(12),
  content: z
    .strictObject({ amount: z.number().positive('The size must be above 0.').max(5000), unit: z.enum(['g', 'ml']) })
    .nullable(),
  priceMinor: z.int().min(0, 'A price is not below 0.').max(1_000_000).nullable(),
  source: z.enum(SOURCES).nullable(),
  acquired: z
    .strictObject({ earliest: DayText, latest: DayText })
    .refine((range) => range.earliest <= range.latest, 'The first day must not be after the last.')
    .nullable(),
  opened: OpenedBody,
  paoMonths: z.int().min(1, 'A period after opening is at least 1 month.').max(120).nullable(),
  expiry: DayText.nullable(),
  sunProtection: z.boolean(),
  /** Uses before the log; null = not said. */
  usesBefore: z.int().min(0, 'Uses are not below 0.').max(100_000).nullable(),
  liking: z.int().min(1).max(5).nullable(),
  notes: Line(4000),
  ...Traits,
  brushes: Line(120),
  kit: Line(120),
  parts: z.array(PartBody).max(80),
})
export type ItemFields = z.infer<typeof ItemFields>

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
  /** Taken out of its palette: a thing of its own from then on. */
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
  lastGood: Range.nullable(),
  actOn: DayText.nullable(),
  daysLeft: z.number().nullable(),
  reason: ShelfLifeReason,
  sun: z.object({ lastDay: DayText.nullable(), lapsed: z.boolean() }).nullable(),
})

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
  /** Where it should be today, as a share of the rail: by its date, without one by the plan in force; null where neither has it. */
  notch: z.number().nullable(),
  /** The day whose reading a goal by eye is reckoned from; `late` = it is the first one after it rolled in. */
  baseline: z.object({ day: DayText, late: z.boolean() }).nullable(),
  rolledIn: DayText,
  by: DayText.nullable(),
  standing: z.enum(['met', 'ahead', 'on pace', 'behind', 'out of reach', 'missed', 'ended', 'no date', 'not known']),
  difference: z.number().nullable(),
  wearDaysLeft: z.number().nullable(),
  rescue: z.object({ smallerGoal: z.int() }).nullable(),
})
export type GoalView = z.infer<typeof GoalView>

/** What every place shows of an item. */
export const ItemSummary = z.object({
  id: Id,
  version: z.int(),
  maker: z.string(),
  name: z.string(),
  shade: z.string(),
  categoryId: Id,
  category: z.string(),
  faceOrder: z.int(),
  makeup: z.boolean(),
  eye: z.boolean(),
  lip: z.boolean(),
  /** The category it is worn as, by name: what it is sold as unless she said otherwise. */
  wornAs: z.string(),
  wornAsId: Id,
  homeZoneId: Id,
  form: z.enum(FORMS),
  colour: z.string().nullable(),
  /** Where no swatch was recorded: a colour guessed from its words, drawn as a guess and counted nowhere. */
  guess: z.string().nullable(),
  finish: z.enum(FINISHES).nullable(),
  opaque: z.boolean(),
  slots: z.int(),
  lifecycle: z.enum(['unopened', 'open', 'finished', 'left', 'blended']),
  endedOn: DayText.nullable(),
  /** It ended on or before `endedOn`; nobody knows closer. */
  endedRoughly: z.boolean(),
  location: z.enum(LOCATIONS),
  isBackup: z.boolean(),
  backups: z.int(),
  content: z.object({ amount: z.number(), unit: z.enum(['g', 'ml']) }).nullable(),
  priceMinor: z.int().nullable(),
  /** A price in another currency, as it was written. */
  priceSaid: z.string().nullable(),
  source: z.enum(SOURCES).nullable(),
  acquired: Range.nullable(),
  /** As it was said. */
  opened: OpenedBody,
  /** As it is to be read, with all that is known: by whom it was said, and the days it can have been. */
  opening: z.object({
    kind: z.enum(['unopened', 'unknown', 'range']),
    by: z.enum(['she', 'sheet', 'tick']),
    within: Range.nullable(),
    notAfter: DayText.nullable(),
  }),
  paoMonths: z.int().nullable(),
  expiry: DayText.nullable(),
  sunProtection: z.boolean(),
  usesBefore: z.int().nullable(),
  wears: z.int(),
  uses: z.int(),
  firstWorn: DayText.nullable(),
  lastWorn: DayText.nullable(),
  liking: z.int().nullable(),
  notes: z.string(),
  ...Traits,
  reading: Reading.nullable(),
  /** Share of the content left by the last reading, 0..1. */
  left: z.number().nullable(),
  /** Between which shares what is left likely lies, where weighings tell and nothing was read by eye; never drawn as a fact. */
  estimate: z.object({ low: z.number(), high: z.number() }).nullable(),
  /** Of how many of its shades that speaks. */
  leftOf: z.object({ read: z.int(), all: z.int() }).nullable(),
  /** Cells of a sheet that were kept as words. */
  keptWords: z.int(),
  /** Cells of a sheet, or a price in another currency, are kept as words. */
  hasKeptWords: z.boolean(),
  parts: z.array(PartSummary),
  shelfLife: ShelfLifeView,
  placement: z.object({ zoneId: Id, since: DayText, position: z.int(), beside: z.boolean() }).nullable(),
  restingUntil: DayText.nullable(),
  goal: GoalView.nullable(),
  onTrial: z.boolean(),
  /** Kept to look at, or for occasions. */
  setAside: z.enum(SET_ASIDE).nullable(),
  /** The day it is kept for, and what she said of it. */
  asideFor: DayText.nullable(),
  asideWords: z.string(),
})
export type ItemSummary = z.infer<typeof ItemSummary>

const ListedReading = Reading.pick({ kind: true, value: true, stage: true, word: true })
export type ListedReading = z.infer<typeof ListedReading>
const ListedPart = PartSummary.extend({ reading: ListedReading.nullable() })
export type ListedPart = z.infer<typeof ListedPart>

/** What lists, pickers and the drawer show of an item: enough to draw it, name it, sort it and say how it stands. */
export const ListedItem = ItemSummary.pick({
  id: true,
  maker: true,
  name: true,
  shade: true,
  categoryId: true,
  category: true,
  faceOrder: true,
  makeup: true,
  eye: true,
  wornAs: true,
  homeZoneId: true,
  form: true,
  colour: true,
  guess: true,
  finish: true,
  opaque: true,
  slots: true,
  lifecycle: true,
  endedOn: true,
  location: true,
  isBackup: true,
  backups: true,
  content: true,
  acquired: true,
  uses: true,
  firstWorn: true,
  lastWorn: true,
  liking: true,
  packageStates: true,
  placement: true,
  restingUntil: true,
  goal: true,
  onTrial: true,
  setAside: true,
  hasKeptWords: true,
}).extend({
  opening: ItemSummary.shape.opening.omit({ by: true }),
  reading: ListedReading.nullable(),
  estimate: z.object({ low: z.number(), high: z.number() }).nullable(),
  parts: z.array(ListedPart),
  shelfLife: ShelfLifeView.pick({ state: true, lastGood: true, actOn: true }).extend({
    sun: z.object({ lapsed: z.boolean() }).nullable(),
  }),
})
export type ListedItem = z.infer<typeof ListedItem>

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

/** The race of everything in stock, with the reasons for each last good day; what the things are is told by the collection. */
export interface ShelfLifeAnswer {
  today: Day
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
  /** Of the shades that anything was ever read of. */
  shadesLeft: ShadeContent[]
  /** When it will be finished; null once it has ended. */
  forecast: ForecastView | null
  /** Of its goals that are on the go. */
  outlooks: OutlookView[]
  guesses: GuessView[]
  /** What it was blended from, and the palette it was taken out of, each by its mark. */
  parents: { itemId: string; mark: string; share: number | null; grams: number | null }[]
  origin: { itemId: string; mark: string } | null
  goals: GoalView[]
  events: LifeEvent[]
  destinations: string[]
}
