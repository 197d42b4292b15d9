import type { Day } from '#core/calendar/day'
import type { DayRange } from '#core/calendar/when'
import type { SetAside } from '#core/decide/set-aside'
import type { Form } from '#core/item/form'
import type { ModelType } from '#core/item/model-type'
import { lifecycleOf, openingOf, type Ending, type Lifecycle, type Opened, type Opening } from '#core/item/opening'
import type {
  Availability,
  Depth,
  Finish,
  Format,
  Location,
  PackageState,
  Season,
  Source,
  Structure,
  Undertone,
} from '#core/item/traits'
import type { Content } from '#core/item/what-is-left'
import { usualPeriod } from '#core/shelf-life/default-pao'
import { shelfLifeOf, type ShelfLife } from '#core/shelf-life/last-good-day'
import { lifetimeUses } from '#core/wear/tally'
import type { GoalView, ItemSummary, ListedItem, PartSummary } from '#contract/item'
import type { Reading } from '#contract/reading'
import type { ItemRow, PlacementRow, WearSpanRow } from './rows.js'
import { swatchGuess } from './swatch-guess.js'

/** What the house knows of an item: every command works with this; each answer picks from it what it shows. */
export interface ItemFacts {
  readonly id: string
  readonly version: number
  readonly productId: string
  readonly maker: string
  readonly name: string
  readonly shade: string
  readonly categoryId: string
  readonly category: string
  readonly faceOrder: number
  /** Of what it is sold as: how fast it spoils. */
  readonly modelType: ModelType
  /** Of what it is worn as: which step of a face it serves. */
  readonly wornType: ModelType
  readonly makeup: boolean
  readonly eye: boolean
  readonly lip: boolean
  readonly wornAs: string
  readonly wornAsId: string
  readonly homeZoneId: string
  readonly form: Form
  readonly colour: string | null
  /** A colour guessed from its words where no swatch was recorded. */
  readonly guess: string | null
  readonly finish: Finish | null
  readonly opaque: boolean
  readonly slots: number
  readonly lifecycle: Lifecycle
  readonly endedOn: Day | null
  readonly endedRoughly: boolean
  readonly location: Location
  readonly isBackup: boolean
  readonly backups: number
  readonly content: { readonly amount: number; readonly unit: 'g' | 'ml' } | null
  readonly priceMinor: number | null
  readonly priceSaid: string | null
  readonly source: Source | null
  readonly acquired: DayRange | null
  /** As she said it. */
  readonly opened: Opened
  /** As it is to be read. */
  readonly opening: Opening
  readonly paoMonths: number | null
  readonly expiry: Day | null
  readonly sunProtection: boolean
  readonly usesBefore: number | null
  readonly wears: number
  readonly uses: number
  readonly firstWorn: Day | null
  readonly lastWorn: Day | null
  readonly liking: number | null
  readonly notes: string
  readonly structure: Structure
  readonly usedAs: string | null
  readonly format: Format | null
  readonly undertone: Undertone | null
  readonly depth: Depth | null
  readonly seasons: readonly Season[]
  readonly availability: Availability | null
  readonly spf: number | null
  readonly packageStates: readonly PackageState[]
  readonly brushes: string
  readonly kit: string
  /** Cells of a sheet that are kept as words. */
  readonly keptWords: number
  readonly reading: Reading | null
  /** Between which shares what is left likely lies, by weighings alone. */
  readonly estimate: { readonly low: number; readonly high: number } | null
  readonly contents: Content
  readonly parts: readonly PartSummary[]
  readonly shelfLife: ShelfLife
  readonly placement: {
    readonly zoneId: string
    readonly since: Day
    readonly position: number
    readonly beside: boolean
  } | null
  readonly restingUntil: Day | null
  readonly goal: GoalView | null
  readonly onTrial: boolean
  /** Kept to look at, or for occasions. */
  readonly setAside: SetAside | null
  readonly asideFor: Day | null
  readonly asideWords: string
}

/** What stands beside the row of an item. */
export interface BesideRow {
  readonly span: WearSpanRow | undefined
  readonly placement: PlacementRow | undefined
  readonly parts: readonly PartSummary[]
  readonly reading: Reading | null
  readonly contents: Content
  readonly goal: GoalView | null
  readonly siblings: { readonly unopened: number; readonly open: number }
  readonly today: Day
}

/** The opening of an item as it is to be read, from its row and its first wear. */
export function openingOfRow(row: OpeningRow, firstWear: Day | null): Opening {
  return openingOf({
    said: openedOf(row),
    by: row.opened_by,
    acquired: acquiredOf(row),
    firstWear,
    usesBefore: row.uses_before,
    endedOn: row.ended_on,
  })
}

export type OpeningRow = Pick<
  ItemRow,
  | 'opened_kind'
  | 'opened_earliest'
  | 'opened_latest'
  | 'opened_said'
  | 'opened_by'
  | 'acquired_earliest'
  | 'acquired_latest'
  | 'uses_before'
  | 'ended_on'
>

export function factsOf(row: ItemRow, beside: BesideRow): ItemFacts {
  const { span, placement, today } = beside
  const opening = openingOfRow(row, span?.first_worn ?? null)
  const lifecycle = lifecycleOf(opening, row.ended_as as Ending | null)
  const wears = span?.wears ?? 0
  return {
    id: row.id,
    version: row.version,
    productId: row.product_id,
    maker: row.maker,
    name: row.name,
    shade: row.shade,
    categoryId: row.category_id,
    category: row.category,
    faceOrder: row.face_order,
    modelType: row.model_type,
    wornType: row.worn_type,
    makeup: row.makeup === 1,
    eye: row.eye === 1,
    lip: row.lip === 1,
    wornAs: row.worn_as,
    wornAsId: row.worn_as_id,
    homeZoneId: row.home_zone_id,
    form: row.form,
    colour: row.colour,
    guess: row.colour === null ? swatchGuess({ shade: row.shade, name: row.name, kind: row.worn_type }) : null,
    finish: row.finish,
    opaque: row.opaque === 1,
    slots: row.slots,
    lifecycle,
    endedOn: row.ended_on,
    endedRoughly: row.ended_roughly === 1,
    location: row.location,
    isBackup: lifecycle === 'unopened' && beside.siblings.open > 0,
    backups: lifecycle === 'open' ? beside.siblings.unopened : 0,
    content: contentOf(row),
    priceMinor: row.price_minor,
    priceSaid: row.price_said,
    source: row.source,
    acquired: acquiredOf(row),
    opened: openedOf(row),
    opening,
    paoMonths: row.pao_months,
    expiry: row.expiry,
    sunProtection: row.sun_protection === 1,
    usesBefore: row.uses_before,
    wears,
    uses: lifetimeUses(row.uses_before, wears),
    firstWorn: span?.first_worn ?? null,
    lastWorn: span?.last_worn ?? null,
    liking: row.liking,
    notes: row.notes,
    structure: row.structure,
    usedAs: row.used_as,
    format: row.format,
    undertone: row.undertone,
    depth: row.depth,
    seasons: JSON.parse(row.seasons) as Season[],
    availability: row.availability,
    spf: row.spf,
    packageStates: JSON.parse(row.package_states) as PackageState[],
    brushes: row.brushes,
    kit: row.kit,
    keptWords: row.kept_words,
    reading: beside.reading,
    estimate: null,
    contents: beside.contents,
    parts: beside.parts,
    shelfLife: shelfLifeOf({
      opening,
      acquired: acquiredOf(row),
      paoMonths: row.pao_months,
      usual: usualPeriod(row.model_type, row.form, row.eye === 1),
      expiry: row.expiry,
      signSeen: row.sign_day === null ? null : { day: row.sign_day, words: row.sign_words ?? '' },
      sunProtection: row.sun_protection === 1,
      atEye: row.eye === 1,
      today,
    }),
    placement: placement
      ? {
          zoneId: placement.zone_id,
          since: placement.from_day,
          position: placement.position,
          beside: placement.beside === 1,
        }
      : null,
    restingUntil: row.location_until,
    goal: beside.goal,
    onTrial: row.on_trial > 0,
    setAside: row.aside_kind,
    asideFor: row.aside_for,
    asideWords: row.aside_words ?? '',
  }
}

/** Everything that a page about one item shows of it. */
export function summaryOf(facts: ItemFacts): ItemSummary {
  const { productId, modelType, wornType, contents, opening, seasons, packageStates, parts, ...shown } = facts
  void productId
  void modelType
  void wornType
  return {
    ...shown,
    opening: { kind: opening.kind, by: opening.by, within: opening.within, notAfter: opening.notAfter },
    seasons: [...seasons],
    packageStates: [...packageStates],
    parts: [...parts],
    left: contents.left,
    leftOf: contents.shades,
    hasKeptWords: keepsWords(facts),
  }
}

/** What a list shows of an item. */
export function listedOf(facts: ItemFacts): ListedItem {
  const { opening, shelfLife, reading } = facts
  return {
    id: facts.id,
    maker: facts.maker,
    name: facts.name,
    shade: facts.shade,
    categoryId: facts.categoryId,
    category: facts.category,
    faceOrder: facts.faceOrder,
    makeup: facts.makeup,
    eye: facts.eye,
    wornAs: facts.wornAs,
    homeZoneId: facts.homeZoneId,
    form: facts.form,
    colour: facts.colour,
    guess: facts.guess,
    finish: facts.finish,
    opaque: facts.opaque,
    slots: facts.slots,
    lifecycle: facts.lifecycle,
    endedOn: facts.endedOn,
    location: facts.location,
    isBackup: facts.isBackup,
    backups: facts.backups,
    content: facts.content,
    acquired: facts.acquired,
    uses: facts.uses,
    firstWorn: facts.firstWorn,
    lastWorn: facts.lastWorn,
    liking: facts.liking,
    packageStates: [...facts.packageStates],
    placement: facts.placement,
    restingUntil: facts.restingUntil,
    goal: facts.goal,
    onTrial: facts.onTrial,
    setAside: facts.setAside,
    opening: { kind: opening.kind, within: opening.within, notAfter: opening.notAfter },
    reading: reading && glance(reading),
    estimate: facts.estimate,
    parts: facts.parts.map((part) => ({ ...part, reading: part.reading && glance(part.reading) })),
    shelfLife: {
      state: shelfLife.state,
      lastGood: shelfLife.lastGood,
      actOn: shelfLife.actOn,
      sun: shelfLife.sun && { lapsed: shelfLife.sun.lapsed },
    },
    hasKeptWords: keepsWords(facts),
  }
}

function keepsWords(facts: ItemFacts): boolean {
  return facts.keptWords > 0 || facts.priceSaid !== null
}

function glance({ kind, value, stage, word }: Reading): Omit<Reading, 'day'> {
  return { kind, value, stage, word }
}

function contentOf(row: ItemRow): ItemFacts['content'] {
  if (row.content_amount === null || row.content_unit === null) return null
  return { amount: row.content_amount, unit: row.content_unit }
}

function acquiredOf(row: Pick<ItemRow, 'acquired_earliest' | 'acquired_latest'>): DayRange | null {
  if (row.acquired_earliest === null || row.acquired_latest === null) return null
  return { earliest: row.acquired_earliest, latest: row.acquired_latest }
}

function openedOf(row: OpeningRow): Opened {
  const { opened_kind: kind, opened_earliest: earliest, opened_latest: latest } = row
  if (kind !== 'range' || earliest === null || latest === null) return { kind: kind === 'range' ? 'unknown' : kind }
  return { kind, earliest, latest, said: row.opened_said ?? '' }
}
