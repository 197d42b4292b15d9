/** What a check-in goes over. */
export const CHECK_IN_OVER = ['project', 'category', 'drawer', 'chosen'] as const
export type CheckInOver = (typeof CHECK_IN_OVER)[number]
/** In which order it asks. */
export const CHECK_IN_WAYS = ['item by item', 'measure by measure'] as const
export type CheckInWay = (typeof CHECK_IN_WAYS)[number]
/** What it asks of an item: on the scale, by eye, a photo, a few words. */
export const CHECK_IN_MEASURES = ['weigh', 'look', 'photo', 'words'] as const
export type CheckInMeasure = (typeof CHECK_IN_MEASURES)[number]
