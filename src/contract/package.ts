import type { Day } from '#core/calendar/day'
import { type Form, FORMS } from '#core/item/form'
import { z } from 'zod'
import { PACKAGE_EVENTS } from '#core/measure/package-events'
import { ChangeId, DayText, Id, Line, NewId } from './basic.js'
import { ItemFields } from './item.js'

const Grams = z.number().positive('Grams are above 0.').max(5000)
const Step = z.number().positive().max(10)

/** Something that happened to a package. A blend and a depot make an item, and are acts of their own. */
export const AddEvent = z
  .strictObject({
    changeId: ChangeId,
    id: NewId,
    partId: Id.nullable(),
    checkInId: Id.nullable().default(null),
    day: DayText,
    kind: z.enum(PACKAGE_EVENTS).exclude(['gave to a blend', 'depotted']),
    /** What was lost: grams, or a share of what was left. */
    grams: Grams.nullable(),
    share: z.number().positive().max(1, 'Not more than there was.').nullable(),
    containerId: Id.nullable(),
    words: Line(200),
  })
  .refine((event) => event.grams === null || event.share === null, {
    path: ['share'],
    message: 'Grams or a share, not both.',
  })
  .refine((event) => event.kind !== 'spilt' || event.grams !== null || event.share !== null, {
    path: ['share'],
    message: 'Say about how much was spilt.',
  })
export const DropEvent = z.strictObject({ changeId: ChangeId })

/** A new item made of others: each with the grams or the share that went in, and whether it is used up by it. */
export const AddBlend = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  day: DayText,
  fields: ItemFields,
  parents: z
    .array(
      z.strictObject({
        id: NewId,
        itemId: Id,
        eventId: NewId,
        grams: Grams.nullable(),
        /** Of the blend, 0..1. */
        share: z.number().positive().max(1).nullable(),
        usedUp: z.boolean(),
      }),
    )
    .min(2, 'A blend is of two items at least.')
    .max(12),
  containerId: Id.nullable(),
})
/** A shade taken out of its palette becomes an item of its own. */
export const Depot = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  eventId: NewId,
  partId: Id,
  day: DayText,
  containerId: Id.nullable(),
})

export const AddContainer = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  words: Line(120).min(1, 'Say what it is, for instance "small glass jar".'),
  form: z.enum(FORMS),
  grams: Grams.nullable(),
  resolution: Step.nullable(),
  itemId: Id.nullable(),
  day: DayText,
})
export const EditContainer = z.strictObject({
  changeId: ChangeId,
  version: z.int(),
  words: Line(120).min(1, 'Say what it is, for instance "small glass jar".'),
  form: z.enum(FORMS),
  grams: Grams.nullable(),
  resolution: Step.nullable(),
})
export const ContainerGone = z.strictObject({ changeId: ChangeId, day: DayText })
export interface ContainerView {
  id: string
  version: number
  words: string
  form: Form
  grams: number | null
  resolution: number | null
  itemId: string | null
  /** The mark of the item it came with. */
  from: string | null
  keptOn: Day
  goneOn: Day | null
  /** What is in it now. */
  holds: { itemId: string; mark: string } | null
}
export interface ContainersAnswer {
  today: Day
  containers: ContainerView[]
}

/** What an empty or a full package of its kind weighs. */
export const AddPackageWeight = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  state: z.enum(['full', 'as finished', 'cleaned']),
  grams: Grams,
  resolution: Step,
  day: DayText,
})
export const DropPackageWeight = z.strictObject({ changeId: ChangeId })
