/** What can be done with each thing when the drawer is laid anew. */
export const LAYING_CHOICES = ['stays', 'comes in', 'put away', 'rests', 'doubtful'] as const
export type LayingChoice = (typeof LAYING_CHOICES)[number]
