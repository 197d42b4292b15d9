import { z } from 'zod'
import { ITEM_FIELDS, type FieldTable, type ItemField, type ItemFieldName, type ValueOf } from '#core/item/fields-data'
import { DayText, Hex, Id, Line } from './basic.js'

const ORDER = 'The first day must not be after the last.'
export const Range = z
  .strictObject({ earliest: DayText, latest: DayText })
  .refine((range) => range.earliest <= range.latest, ORDER)

/** As it was said: a day, a month, a year or a range are all ranges; "said" is the spelling. */
export const OpenedBody = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('unopened') }),
  z.strictObject({ kind: z.literal('unknown') }),
  z
    .strictObject({ kind: z.literal('range'), earliest: DayText, latest: DayText, said: Line(80) })
    .refine((range) => range.earliest <= range.latest, ORDER),
])

export function schemaOf(field: ItemField): z.ZodType {
  switch (field.kind) {
    case 'text':
      return field.needed === undefined ? Line(field.most) : Line(field.most).min(1, field.needed)
    case 'id':
      return field.needed ? Id : Id.nullable()
    case 'choice':
      return field.needed || field.blank !== undefined ? z.enum(field.of) : z.enum(field.of).nullable()
    case 'list':
      return z.array(z.enum(field.of)).max(field.of.length)
    case 'whole': {
      const whole = z.int().min(field.least, field.below).max(field.most)
      return field.blank === undefined ? whole.nullable() : whole
    }
    case 'flag':
      return z.boolean()
    case 'colour':
      return Hex.nullable()
    case 'day':
      return DayText.nullable()
    case 'days':
      return Range.nullable()
    case 'opened':
      return OpenedBody
    case 'size':
      return z
        .strictObject({ amount: z.number().positive('The size must be above 0.').max(5000), unit: z.enum(['g', 'ml']) })
        .nullable()
  }
}

export function schemasOf(table: FieldTable): Record<string, z.ZodType> {
  return Object.fromEntries(Object.entries(table).map(([name, field]) => [name, schemaOf(field)]))
}

type SchemaOf<F extends ItemField> = z.ZodType<ValueOf<F>>
export const FIELD_SCHEMAS = schemasOf(ITEM_FIELDS) as { [K in ItemFieldName]: SchemaOf<(typeof ITEM_FIELDS)[K]> }

type ManyName = { [K in ItemFieldName]: (typeof ITEM_FIELDS)[K] extends { many: true } ? K : never }[ItemFieldName]
export const MANY_SCHEMAS = Object.fromEntries(
  Object.entries(ITEM_FIELDS as FieldTable).flatMap(([name, field]) =>
    field.many ? [[name, schemaOf(field).optional()]] : [],
  ),
) as { [K in ManyName]: z.ZodOptional<SchemaOf<(typeof ITEM_FIELDS)[K]>> }
