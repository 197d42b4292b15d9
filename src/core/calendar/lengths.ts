/** Days of a year and of a month, on the average. */
export const YEAR_DAYS = 365.25
export const MONTH_DAYS = YEAR_DAYS / 12
/** From here on a span is said as "more than 5 years". */
export const LONG_DAYS = 1826
