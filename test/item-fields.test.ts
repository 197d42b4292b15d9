import { afterAll, beforeAll, expect, test } from 'vitest'
import { z } from 'zod'
import { blankOf, ITEM_FIELDS, type FieldTable } from '#core/item/fields-data'
import { FIELD_SCHEMAS, schemasOf } from '#contract/item-fields'
import { mergedColumns } from '#server/collection/merged-columns'
import { columnsOf } from '#server/db/table-columns'
import { columnsOfFields, fieldsIn, readerOf, storedFields } from '#server/stock/item-columns'
import { FIELDS, TestHouse } from './support/test-house'

/** The table with one more line, as a later version would have it. */
const WITH_SCENT = {
  ...ITEM_FIELDS,
  scent: { kind: 'choice', columns: ['scent'], of: ['none', 'faint', 'strong'], merge: 'asked', many: true },
} as const satisfies FieldTable

let house: TestHouse
beforeAll(async () => {
  house = await TestHouse.open()
})
afterAll(() => house.close())

test('a field that is one line more is taken, kept, told, merged and left blank', () => {
  expect(columnsOfFields(WITH_SCENT)).toEqual([...columnsOfFields(), 'scent'])
  const taken = z.object({ scent: schemasOf(WITH_SCENT)['scent'] ?? z.never() })
  expect(taken.parse({ scent: 'faint' })).toEqual({ scent: 'faint' })
  expect(taken.safeParse({ scent: 'of roses' }).success).toBe(false)
  expect(blankOf(WITH_SCENT.scent)).toBeNull()
  expect(storedFields({ ...FIELDS, scent: 'strong' }, WITH_SCENT)).toMatchObject({ scent: 'strong', form: FIELDS.form })
  expect(readerOf(WITH_SCENT.scent)({ scent: 'faint' })).toBe('faint')
  expect(mergedColumns(WITH_SCENT)).toEqual({ ...mergedColumns(), scent: 'asked' })
})

test('every column of a field is one of the table, and every field is read as it was saved', () => {
  expect(columnsOf(house.db, 'item')).toEqual(expect.arrayContaining(columnsOfFields()))
  const said = {
    ...FIELDS,
    content: { amount: 4.5, unit: 'ml' },
    acquired: { earliest: '2025-01-01', latest: '2025-01-31' },
    opened: { kind: 'range', earliest: '2025-02-01', latest: '2025-02-28', said: 'Feb 2025' },
    opaque: true,
    seasons: ['spring', 'summer'],
    packageStates: ['cap lost'],
    paoMonths: 12,
    expiry: '2027-03-31',
  }
  const { maker, name, shade, parts, ...own } = said
  expect(fieldsIn(storedFields(said))).toEqual(own)
  for (const [field, schema] of Object.entries(FIELD_SCHEMAS))
    expect(schema.safeParse({ ...said, maker, name, shade }[field as keyof typeof FIELD_SCHEMAS]).success, field).toBe(
      true,
    )
  expect(parts).toEqual([])
})
