/** Would the user buy it again? */
export const BUY_AGAIN = ['yes', 'no', 'maybe', 'have a backup', 'discontinued'] as const

/** Where the package of an empty goes. */
export const PACKAGE_GOES = ['bin', 'recycle', 'return scheme', 'keep the container'] as const

/** What ended it. */
export const ENDED_BY = ['nothing comes out', 'cannot be reached', 'counted early', 'spoiled'] as const
export type EndedBy = (typeof ENDED_BY)[number]
