import { z } from 'zod'
import { SHEET_FIELDS } from '#core/formats/sheet/header-words-data'
import { FORMS } from '#core/item/form'
import { FORMATS } from '#core/item/traits'
import { ChangeId, DayText, Id, Line, NewId } from './basic.js'

/** What she corrects in the preview: what the columns mean, and category and form of rows at once. */
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

export const PreviewRow = z.object({
  row: z.int(),
  /** Where her sheet has it: the tab, blank in a text, and the row as a spreadsheet numbers it. */
  tab: z.string(),
  line: z.int(),
  maker: z.string(),
  name: z.string(),
  shade: z.string(),
  categoryText: z.string(),
  categoryId: Id.nullable(),
  form: z.enum(FORMS).nullable(),
  content: z.object({ amount: z.number(), unit: z.enum(['g', 'ml']) }).nullable(),
  priceMinor: z.int().nullable(),
  /** A price in another currency, kept as text. */
  priceSaid: z.string().nullable(),
  gift: z.boolean(),
  opened: z.object({ earliest: DayText, latest: DayText }).nullable(),
  openedAs: z.enum(['unopened', 'unknown', 'range']),
  paoMonths: z.int().nullable(),
  expiry: DayText.nullable(),
  uses: z.int().nullable(),
  format: z.enum(FORMATS).nullable(),
  /** Unopened packages stored beside it. */
  backups: z.int(),
  /** Finished or gone: stored as history. */
  ended: z.enum(['finished', 'left']).nullable(),
  /** Days ticked in columns of days. */
  daysWorn: z.int(),
  alreadyThere: z.boolean(),
  skipped: z.boolean(),
})
export type PreviewRow = z.infer<typeof PreviewRow>

export const PreviewProblem = z.object({
  row: z.int(),
  tab: z.string(),
  line: z.int(),
  /** The column it stands in, from 0; null for what concerns the whole row. */
  at: z.int().nullable(),
  column: z.string(),
  value: z.string(),
  message: z.string(),
})
export const ProblemGroup = z.object({
  code: z.string(),
  /** One sentence for the whole group. */
  words: z.string(),
  what: z.string(),
  serious: z.boolean(),
  cells: z.array(PreviewProblem),
})
export type ProblemGroup = z.infer<typeof ProblemGroup>

export const PreviewAnswer = z.object({
  fileName: z.string(),
  headers: z.array(z.string()),
  meanings: z.array(z.enum(SHEET_FIELDS).nullable()),
  tabs: z.array(z.object({ name: z.string(), rows: z.int() })),
  currency: z.string(),
  dateOrder: z.enum(['month-first', 'day-first']),
  rows: z.array(PreviewRow),
  groups: z.array(ProblemGroup),
  willStore: z.int(),
  willStoreBackups: z.int(),
})
export type PreviewAnswer = z.infer<typeof PreviewAnswer>
