/** Would she buy it again? */
export const BUY_AGAIN = ['yes', 'no', 'maybe', 'have a backup', 'discontinued'] as const

/** Where the package of an empty goes. */
export const PACKAGE_GOES = ['bin', 'recycle', 'return scheme', 'keep the container'] as const
