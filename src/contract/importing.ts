import { type SheetField, SHEET_FIELDS } from '#core/formats/sheet/header-words-data'
import type { SaidLeft } from '#core/formats/sheet/left-words'
import type { Format } from '#core/item/traits'
import type { Day } from '#core/calendar/day'
import { type Form, FORMS } from '#core/item/form'
import { z } from 'zod'
import { ChangeId, Id, Line, NewId } from './basic.js'

export const ImportChoices = z.strictObject({
  meanings: z.array(z.enum(SHEET_FIELDS).nullable()).max(400).nullable().default(null),
  rows: z
    .array(
      z.strictObject({
        rows: z.array(z.int().min(1).max(1_000_000)).max(20_000),
        categoryId: Id.nullable(),
        form: z.enum(FORMS).nullable(),
      }),
    )
    .max(2000)
    .default([]),
  skip: z.array(z.int().min(1).max(1_000_000)).max(20_000).default([]),
  /** Cells typed again, column from 0. */
  mended: z
    .array(z.strictObject({ row: z.int().min(1).max(1_000_000), at: z.int().min(0).max(400), text: Line(2000) }))
    .max(20_000)
    .default([]),
  /** Names of the tabs to read; null = all. */
  tabs: z.array(z.string().max(200)).max(200).nullable().default(null),
})
export type ImportChoices = z.infer<typeof ImportChoices>

export const PreviewImport = z.strictObject({
  fileName: z.string().max(300),
  base64: z.string(),
  choices: ImportChoices,
})
export const RunImport = PreviewImport.extend({ changeId: ChangeId, importId: NewId })

export interface PreviewRow {
  row: number
  /** Where the user's sheet has it: the tab, blank in a text, and the row as a spreadsheet numbers it. */
  tab: string
  line: number
  maker: string
  name: string
  shade: string
  categoryText: string
  categoryId: string | null
  form: Form | null
  content: { amount: number; unit: 'g' | 'ml' } | null
  priceMinor: number | null
  /** A price in another currency, kept as text. */
  priceSaid: string | null
  gift: boolean
  opened: { earliest: Day; latest: Day } | null
  openedAs: 'unopened' | 'unknown' | 'range'
  paoMonths: number | null
  expiry: Day | null
  uses: number | null
  /** How much is left, as it says. */
  left: SaidLeft | null
  format: Format | null
  /** Unopened packages stored beside it. */
  backups: number
  /** Finished or gone: stored as history. */
  ended: 'finished' | 'left' | null
  /** Days ticked in columns of days. */
  daysWorn: number
  alreadyThere: boolean
  skipped: boolean
}

export interface PreviewProblem {
  row: number
  tab: string
  line: number
  /** The column it stands in, from 0; null for what concerns the whole row. */
  at: number | null
  column: string
  value: string
  message: string
}
export interface ProblemGroup {
  code: string
  /** One sentence for the whole group. */
  words: string
  what: string
  serious: boolean
  cells: PreviewProblem[]
}

export interface PreviewAnswer {
  fileName: string
  headers: string[]
  meanings: (SheetField | null)[]
  tabs: { name: string; rows: number }[]
  currency: string
  dateOrder: 'month-first' | 'day-first'
  rows: PreviewRow[]
  groups: ProblemGroup[]
  willStore: number
  willStoreBackups: number
}

export const PutCollection = z.strictObject({
  changeId: ChangeId,
  /** True = what is there now goes (one undo brings it again); false = only into an empty collection. */
  replace: z.boolean(),
  collection: z.unknown(),
})
