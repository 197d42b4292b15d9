import type { Day } from '#core/calendar/day'
import type { ModelType } from '#core/item/model-type'
import { lifecycleOf, openingOf, type Ending, type Opening } from '#core/item/opening'
import type { PackageState, Season } from '#core/item/traits'
import type { Content } from '#core/item/what-is-left'
import { usualPeriod } from '#core/shelf-life/default-pao'
import { shelfLifeOf, useByAtLatest, type ShelfLife, type ShelfLifeFacts } from '#core/shelf-life/last-good-day'
import { lifetimeUses } from '#core/wear/tally'
import type { FieldValues } from '#core/item/fields-data'
import { LISTED, type GoalView, type ItemSummary, type ListedItem, type PartSummary } from '#contract/item'
import { fieldsIn, openingIn, type Stored } from './item-columns.js'
import type { Reading } from '#contract/reading'
import type { ItemRow, PlacementRow, WearSpanRow } from './rows.js'
import { colornames } from 'color-name-list/bestof'
import { guessSwatch, type Worded } from '#core/colour/guess-swatch'
import { plainWords } from '#core/words/plain-words'

type Fields = Readonly<Omit<FieldValues, 'seasons' | 'packageStates'>>

/** What is known of an item: every command works with this; each answer picks from it what it shows. */
export interface ItemFacts
  extends
    Fields,
    Readonly<Omit<ItemSummary, keyof FieldValues | 'opening' | 'left' | 'leftOf' | 'hasKeptWords' | 'parts'>> {
  readonly productId: string
  /** The use-by date at the latest it can be, also where its opening is not known. */
  readonly useByAtLatest: Day
  /** Of what it is sold as: how fast it spoils. */
  readonly modelType: ModelType
  /** Of what it is used as: which step of a look it serves. */
  readonly wornType: ModelType
  readonly seasons: readonly Season[]
  readonly packageStates: readonly PackageState[]
  /** As it is to be read. */
  readonly opening: Opening
  readonly contents: Content
  readonly parts: readonly PartSummary[]
  readonly shelfLife: ShelfLife
}

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

export function openingOfRow(row: OpeningRow, firstWear: Day | null): Opening {
  const { opened, acquired, usesBefore } = openingIn(row)
  return openingOf({
    said: opened,
    by: row.opened_by,
    acquired,
    firstWear,
    usesBefore,
    endedOn: row.ended_on,
  })
}

/** The columns of `opened`, `acquired` and `usesBefore`, and these. */
export type OpeningRow = Readonly<Record<string, Stored>> & Pick<ItemRow, 'opened_by' | 'ended_on'>

export function factsOf(row: ItemRow, beside: BesideRow): ItemFacts {
  const { span, placement, today } = beside
  const opening = openingOfRow(row, span?.first_worn ?? null)
  const lifecycle = lifecycleOf(opening, row.ended_as as Ending | null)
  const wears = span?.wears ?? 0
  const fields = fieldsIn(row)
  const lifeFacts: ShelfLifeFacts = {
    opening,
    acquired: fields.acquired,
    paoMonths: fields.paoMonths,
    usual: usualPeriod(row.model_type, fields.form, row.eye === 1),
    expiry: fields.expiry,
    signSeen: row.sign_day === null ? null : { day: row.sign_day, words: row.sign_words ?? '' },
    sunProtection: fields.sunProtection,
    atEye: row.eye === 1,
    today,
  }
  const shelfLife = shelfLifeOf(lifeFacts)
  const own = {
    id: row.id,
    version: row.version,
    productId: row.product_id,
    maker: row.maker,
    name: row.name,
    shade: row.shade,
    category: row.category,
    makeupOrder: row.face_order,
    modelType: row.model_type,
    wornType: row.worn_type,
    makeup: row.makeup === 1,
    eye: row.eye === 1,
    lip: row.lip === 1,
    wornAs: row.worn_as,
    wornAsId: row.worn_as_id,
    homeZoneId: row.home_zone_id,
    guess: fields.colour === null ? swatchGuess({ shade: row.shade, name: row.name, kind: row.worn_type }) : null,
    lifecycle,
    endedOn: row.ended_on,
    endedRoughly: row.ended_roughly === 1,
    location: row.location,
    isBackup: lifecycle === 'unopened' && beside.siblings.open > 0,
    backups: lifecycle === 'open' ? beside.siblings.unopened : 0,
    priceSaid: row.price_said,
    opening,
    wears,
    uses: lifetimeUses(fields.usesBefore, wears),
    firstWorn: span?.first_worn ?? null,
    lastWorn: span?.last_worn ?? null,
    keptWords: row.kept_words,
    reading: beside.reading,
    estimate: null,
    contents: beside.contents,
    parts: beside.parts,
    shelfLife,
    useByAtLatest: useByAtLatest(lifeFacts, shelfLife, row.added_on ?? today),
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
  // Into the literal: spread into its head the fields would take twenty times as long, which two thousand items feel.
  return Object.assign(own, fields)
}

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

export function listedOf(facts: ItemFacts): ListedItem {
  const { opening, shelfLife, reading } = facts
  const inShort = {
    opening: { kind: opening.kind, within: opening.within, notAfter: opening.notAfter },
    reading,
    parts: [...facts.parts],
    shelfLife: {
      state: shelfLife.state,
      lastGood: shelfLife.lastGood,
      actOn: shelfLife.actOn,
      sun: shelfLife.sun && { lapsed: shelfLife.sun.lapsed },
    },
    hasKeptWords: keepsWords(facts),
  }
  const shown = inShort as Record<string, unknown>
  for (const name of LISTED) shown[name] = facts[name]
  return shown as ListedItem
}

function keepsWords(facts: ItemFacts): boolean {
  return facts.keptWords > 0 || facts.priceSaid !== null
}

/** Its uses in all; null where it was open before the log and nobody said how often it was used. */
export function knownUses(item: Pick<ItemFacts, 'usesBefore' | 'opening' | 'uses'>): number | null {
  return item.usesBefore === null && item.opening.kind !== 'unopened' && item.opening.by !== 'tick' ? null : item.uses
}

/** Colours by plain name; made when the first item without a swatch is looked at. */
let names: Map<string, string> | null = null
/** Guesses made before, by what they were made from. */
const guesses = new Map<string, string>()
/** Beyond this many the memory of them is begun anew. */
const MOST_KEPT = 20_000

/** The colour an item without a swatch probably has. */
export function swatchGuess(worded: Worded): string {
  const key = `${worded.kind}\n${worded.shade}\n${worded.name}`
  const known = guesses.get(key)
  if (known !== undefined) return known
  if (guesses.size >= MOST_KEPT) guesses.clear()
  const guess = guessSwatch(worded, named)
  guesses.set(key, guess)
  return guess
}

function named(plain: string): string | null {
  names ??= new Map(colornames.map(({ name, hex }) => [plainWords(name), hex.toLowerCase()]))
  return names.get(plain) ?? null
}
