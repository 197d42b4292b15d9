/** Beyond these a file is refused with words. */
export const MOST_BYTES = 20 * 1024 * 1024
export const MOST_ROWS = 20_000
/** A year of days to tick, and whatever else is said of an item. */
export const MOST_COLUMNS = 400
/** Signs in one cell: a page of notes. */
export const MOST_SIGNS = 5000
