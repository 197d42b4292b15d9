/** Days of a year and of a month, on the average. */
export const YEAR_DAYS = 365.25
export const MONTH_DAYS = YEAR_DAYS / 12
