import Database from 'better-sqlite3'
import { z } from 'zod'
import { parseDay } from '#core/calendar/day'
import { LESSON_RULES } from '#core/decide/lessons'
import { ENDED_BY } from '#core/decide/review-choices'
import { DESTINATIONS, LET_GO_WHY, VERDICTS } from '#core/decide/verdict'
import { FORMS } from '#core/item/form'
import { ITEM_FIELDS, type FieldTable } from '#core/item/fields-data'
import { MODEL_TYPES } from '#core/item/model-type'
import { PACKAGE_EVENTS } from '#core/measure/package-events'
import { MOST_MONTHS } from '#core/plan/schedule/span'
import { Id, isWritable } from '#contract/basic'
import { ClosedSheet } from '#contract/check-in'
import { PlanSetupBody } from '#contract/planning'
import { Settings } from '#contract/settings'
import { migrate, readMigrations } from '../db/migrate.js'
import type { Db } from '../db/query.js'
import { exportedTables } from '../db/tables.js'

export type FileRow = Readonly<Record<string, string | number | null>>

const day = z
  .string()
  .regex(/^(?:19[7-9]\d|20\d\d|21\d\d)-(?:0[1-9]|1[0-2])-(?:0[1-9]|[12]\d|3[01])$/)
  .refine((text) => parseDay(text) !== null, 'Not a day of the calendar between 1970 and 2199.')
const monthDay = z.string().refine((text) => parseDay(`2024-${text}`) !== null, 'Not a month and a day.')
const month = z.string().regex(/^\d{4}-\d{2}$/)
const words = z.string().max(20_000).refine(isWritable, 'There are signs in it that can’t be saved.')
const colour = z.string().regex(/^#[0-9a-f]{6}$/)
const flag = z.union([z.literal(0), z.literal(1)])
const jsonOf = (shape: z.ZodType): z.ZodType =>
  z
    .string()
    .max(1_000_000)
    .refine((text) => shape.safeParse(parsed(text)).success, 'Not what this column holds.')
const taps = jsonOf(z.array(z.tuple([z.number(), z.number()])))

/** Columns of which the schema of the database does not say all that has to hold. By name, or by table and name. */
const COLUMNS: Readonly<Record<string, z.ZodType>> = {
  'setting.value': jsonOf(Settings.partial()),
  'category.words': jsonOf(z.array(z.string())),
  version: z.int().min(1),
  usual_form: z.enum(FORMS),
  form: z.enum(FORMS),
  model_type: z.enum(MODEL_TYPES),
  colour,
  target_colour: colour,
  used_as: Id,
  carried_from: Id,
  saved_at: z.iso.datetime(),
  'item.kept_text': jsonOf(z.array(z.strictObject({ column: z.string(), text: z.string() }))),
  // What is checked of these hangs on other columns of their row.
  'measurement.value': z.number(),
  'stay.goal_target': z.number(),
  'item_event.kind': z.enum(PACKAGE_EVENTS),
  destination: z.enum(DESTINATIONS),
  'verdict.verdict': z.enum(VERDICTS),
  'verdict.why': z.enum(LET_GO_WHY),
  'lesson.rule': z.enum(LESSON_RULES),
  'review.ended_by': z.enum(ENDED_BY),
  'photo.content': z.string().regex(/^[A-Za-z0-9_-]{1,120}$/),
  'day_record.id': day,
  'low_season.from_day': monthDay,
  'low_season.to_day': monthDay,
  'saved_face_item.part_ids': jsonOf(z.array(Id)),
  'check_in.sheet': jsonOf(ClosedSheet),
  'pan_reading.handles': jsonOf(z.array(z.tuple([z.number(), z.number()])).length(4)),
  'pan_reading.powder_taps': taps,
  'pan_reading.metal_taps': taps,
  'pan_reading.mask': z.string().max(200_000).refine(isWritable),
  'plan_move.month': month,
  'plan.setup': jsonOf(PlanSetupBody),
  'plan.months': jsonOf(z.array(month).max(MOST_MONTHS)),
  'plan.weeks': jsonOf(z.array(z.strictObject({ from: day, to: day, month: z.int().min(0) })).max(60)),
  'plan_line.lies': jsonOf(z.array(z.boolean()).max(MOST_MONTHS)),
  'plan_line.uses': jsonOf(z.array(z.int().min(0).max(50)).max(60)),
  ...Object.fromEntries(
    Object.values(ITEM_FIELDS as FieldTable).flatMap((field) =>
      field.kind === 'list' ? [[`item.${field.columns[0]}`, jsonOf(z.array(z.enum(field.of)))]] : [],
    ),
  ),
}
const IS_DAY =
  /^(?:day|expiry|since|earliest|latest|rolled_in|rolled_out|span_from|span_to)$|_(?:on|day|earliest|latest|until)$/
const IS_ID = /^id$|_id$/

interface Column {
  readonly name: string
  readonly type: 'TEXT' | 'INTEGER' | 'REAL'
  readonly needed: 0 | 1
}

/** What one column holds: what is said of it above, else what the database checks, else what its name and type tell. */
function columnSchema(table: string, { name, type, needed }: Column, ddl: string): z.ZodType {
  const held = COLUMNS[`${table}.${name}`] ?? COLUMNS[name] ?? checkedBy(ddl, name, type) ?? named(name, type)
  return needed === 1 ? held : held.nullable()
}

function checkedBy(ddl: string, name: string, type: Column['type']): z.ZodType | null {
  const list = new RegExp(`\\b${name} IN \\(([^)]*)\\)`).exec(ddl)?.[1]
  if (list !== undefined && type === 'TEXT') {
    const of = [...list.matchAll(/'([^']*)'/g)].map(([, word = '']) => word)
    return z.enum(of)
  }
  if (list === '0, 1') return flag
  const [, shortest, longest] = new RegExp(`length\\(${name}\\) BETWEEN (\\d+) AND (\\d+)`).exec(ddl) ?? []
  if (type === 'TEXT') return longest === undefined ? null : words.min(Number(shortest)).max(Number(longest))
  const number = type === 'INTEGER' ? z.int() : z.number()
  const [, from, to] = new RegExp(`\\b${name} BETWEEN (-?[\\d.]+) AND (-?[\\d.]+)`).exec(ddl) ?? []
  if (from !== undefined && to !== undefined) return number.min(Number(from)).max(Number(to))
  const [, sign, least] = new RegExp(`\\b${name} (>=?) (-?[\\d.]+)`).exec(ddl) ?? []
  const [, most] = new RegExp(`\\b${name} <= (-?[\\d.]+)`).exec(ddl) ?? []
  const above = least === undefined ? number : sign === '>' ? number.gt(Number(least)) : number.min(Number(least))
  return most === undefined ? above : above.max(Number(most))
}

function named(name: string, type: Column['type']): z.ZodType {
  if (type !== 'TEXT') return type === 'INTEGER' ? z.int() : z.number()
  return IS_ID.test(name) ? Id : IS_DAY.test(name) ? day : words
}

function rowSchemas(db: Db): Record<string, z.ZodObject> {
  return Object.fromEntries(
    exportedTables().map((table) => {
      const { sql = '' } =
        db.prepare<[string], { sql: string }>('SELECT sql FROM sqlite_schema WHERE name = ?').get(table) ?? {}
      const columns = db
        .prepare<[string], Column>(`SELECT name, type, "notnull" OR pk AS needed FROM pragma_table_info(?)`)
        .all(table)
      return [
        table,
        z.strictObject(Object.fromEntries(columns.map((each) => [each.name, columnSchema(table, each, sql)]))),
      ]
    }),
  )
}

/** The meaning of a file: the number of the last migration of the schema that its rows are of. */
export const COLLECTION_FILE_VERSION = readMigrations().at(-1)?.number ?? 0

function fileSchema() {
  const db = new Database(':memory:')
  try {
    migrate(db, { appliedAt: '' })
    const tables = Object.fromEntries(Object.entries(rowSchemas(db)).map(([name, row]) => [name, z.array(row)]))
    return z.strictObject({
      format: z.literal('seligo collection'),
      version: z.literal(COLLECTION_FILE_VERSION),
      exportedAt: z.iso.datetime(),
      tables: z.strictObject(tables) as unknown as z.ZodType<Readonly<Record<string, readonly FileRow[]>>>,
      pictures: z.record(Id, z.base64()),
      /** Rows of `photo` whose pictures are too much for one file: they lie in the data folder still. */
      picturesLeftOut: z.array(Id),
    })
  } finally {
    db.close()
  }
}

let known: ReturnType<typeof fileSchema> | undefined
/**
 * Everything that was recorded: what an export holds and an import takes. Rows are those of the tables of the database with their
 * ids; pictures are JPEG in base64 under the ids of their rows in `photo`. The journal of changes stays where it is.
 */
export function collectionFile(): ReturnType<typeof fileSchema> {
  return (known ??= fileSchema())
}
export type CollectionFile = z.infer<ReturnType<typeof fileSchema>>

export function collectionFileSchema(): object {
  return { title: 'Seligo collection', ...z.toJSONSchema(collectionFile(), { target: 'draft-2020-12' }) }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown
  } catch {
    return undefined
  }
}
