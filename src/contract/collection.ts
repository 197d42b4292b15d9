import { z } from 'zod'
import { FORMS } from '#core/item/form'
import { MODEL_TYPES } from '#core/item/model-type'
import { PUT_LOCATIONS } from '#core/item/traits'
import { ChangeId, DayText, Hex, Id, NewId, Line } from './basic.js'
import { MANY_SCHEMAS, OpenedBody } from './item-fields.js'

export const PutPair = z
  .strictObject({
    changeId: ChangeId,
    id: NewId,
    otherItemId: Id,
    verdict: z.enum(['works', 'fights']),
    itemAmount: z.number().positive().max(100).nullable(),
    otherAmount: z.number().positive().max(100).nullable(),
    amountUnit: z.enum(['pumps', 'drops']).nullable(),
    words: Line(300),
    /** The colour that a mix of the two was aimed at. */
    targetColour: Hex.nullable().default(null),
  })
  .refine(
    (pair) => new Set([pair.itemAmount, pair.otherAmount, pair.amountUnit].map((each) => each === null)).size === 1,
    {
      path: ['itemAmount'],
      message: 'A ratio needs both amounts and their unit, or none of them.',
    },
  )
export const DropPair = z.strictObject({ changeId: ChangeId })

export const EditMany = z.strictObject({
  changeId: ChangeId,
  itemIds: z.array(Id).min(1, 'Choose at least one item.').max(2000),
  set: z.strictObject(MANY_SCHEMAS).refine((set) => Object.keys(set).length > 0, 'Say what to change.'),
})
export const SetOpenings = z.strictObject({
  changeId: ChangeId,
  answers: z
    .array(z.strictObject({ itemId: Id, opened: OpenedBody }))
    .min(1)
    .max(2000),
})
export const SetSwatches = z.strictObject({
  changeId: ChangeId,
  swatches: z
    .array(z.strictObject({ itemId: Id, partId: Id.nullable().default(null), colour: Hex }))
    .min(1, 'Nothing is chosen yet.')
    .max(2000),
})
export const DeleteItem = z.strictObject({ changeId: ChangeId })
export const MergeItems = z.strictObject({
  changeId: ChangeId,
  keepId: Id,
  dropIds: z.array(Id).min(1, 'Choose what is the same item.').max(20),
  /** Where they say different items: whose word holds, by the column it is about. */
  chosen: z.record(z.string().max(40), Id).default({}),
})
export interface MergeQuestion {
  readonly field: string
  readonly options: readonly { readonly itemId: string; readonly says: string }[]
}
export const PutSomewhere = z.strictObject({
  changeId: ChangeId,
  location: z.enum(PUT_LOCATIONS),
  until: DayText.nullable(),
})
const CategoryFields = {
  name: Line(60).min(1, 'A type needs a name.'),
  makeup: z.boolean(),
  zoneId: Id,
  usualForm: z.enum(FORMS),
  modelType: z.enum(MODEL_TYPES),
  eye: z.boolean(),
  lip: z.boolean(),
}
export const AddCategory = z.strictObject({ changeId: ChangeId, id: NewId, ...CategoryFields })
export const EditCategory = z.strictObject({ changeId: ChangeId, version: z.int(), ...CategoryFields })

export const DropPhoto = z.strictObject({ changeId: ChangeId })
