import type { Stored } from './item-columns.js'
import type { Day } from '#core/calendar/day'
import type { Form, PanStage } from '#core/item/form'
import type { ModelType } from '#core/item/model-type'
import type { Nameable } from '#core/item/naming'
import type { LevelWord, ReadingKind } from '#core/measure/reading'
import type { SetAside } from '#core/decide/set-aside'
import type { GoalKind } from '#core/goal/progress'
import type { Location, Finish } from '#core/item/traits'

export interface NameRow extends Nameable {
  readonly id: string
}

/** A row of an item with its product, categories and what stands beside it; the columns of its fields are read by `fieldsIn`. */
export interface ItemRow extends Readonly<Record<string, Stored>> {
  id: string
  version: number
  maker: string
  name: string
  shade: string
  product_id: string
  category: string
  face_order: number
  makeup: 0 | 1
  eye: 0 | 1
  lip: 0 | 1
  worn_as: string
  worn_as_id: string
  home_zone_id: string
  model_type: ModelType
  worn_type: ModelType
  ended_as: 'finished' | 'left' | 'blended' | null
  ended_on: Day | null
  ended_roughly: 0 | 1
  location: Location
  price_said: string | null
  added_on: Day | null
  opened_by: 'she' | 'sheet'
  sign_day: Day | null
  sign_words: string | null
  location_until: Day | null
  kept_words: number
  on_trial: number
  aside_kind: SetAside | null
  aside_for: Day | null
  aside_words: string | null
}

export interface WearSpanRow {
  item_id: string
  wears: number
  first_worn: Day
  last_worn: Day
}

export interface ReadingRow {
  item_id: string
  part_id: string | null
  kind: Exclude<ReadingKind, 'gross'>
  value: number | null
  stage: PanStage | null
  word: LevelWord | null
  day: Day
  moment: 'before-use' | 'after-use'
  saved_at: string
}

/** What the opening of an item is read from, for those of the same product. */
/** With the columns of its opening, as `OpeningRow` has them. */
export interface SiblingRow extends Readonly<Record<string, Stored>> {
  id: string
  product_id: string
  opened_by: 'she' | 'sheet'
  ended_on: Day | null
  first_worn: Day | null
}

export interface PartRow {
  id: string
  item_id: string
  name: string
  colour: string | null
  finish: Finish | null
  row: number
  col: number
  row_span: number
  col_span: number
  shape: 'square' | 'round'
  form: Form | null
  finished_on: Day | null
  depotted_on: Day | null
  uses: number
}

export interface PlacementRow {
  item_id: string
  zone_id: string
  from_day: Day
  position: number
  beside: 0 | 1
}

export interface StayRow {
  id: string
  project_id: string
  project_name: string
  project_by: Day | null
  item_id: string
  part_id: string | null
  rolled_in: Day
  rolled_out: Day | null
  out_reason: string | null
  goal_kind: GoalKind
  goal_target: number | null
  head_start: number
  by_kind: 'own' | 'project' | 'none'
  by_day: Day | null
  pinned: 0 | 1
  beside: 0 | 1
  carried_from: string | null
}

export interface PlanLineOfRow {
  item_id: string
  uses: string
  needed: number
  adopted_on: Day
  weeks: string
}

export interface DayOfPartRow {
  part_id: string
  day: Day
}

export interface DayOfItemRow {
  item_id: string
  day: Day
}
