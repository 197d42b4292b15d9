import { addDays, addMonths, daysBetween, fieldsOf, type Day } from '#core/calendar/day'

/** So many months are drawn to scale; all that is later shares the rest. */
const MONTHS = 24
const SCALED = 0.86
/** What lies before today has so much room. */
const BACK_DAYS = 30
const LAST_DAYS = 1826

/** One axis for all lanes, in shares of their width. */
export interface RaceAxis {
  readonly today: number
  /** Where the scaled months end. */
  readonly later: number
  readonly place: (day: Day) => number
  readonly months: readonly { at: number; words: string; year: string | null }[]
}

/** From a little before today to two years ahead, then what is later, closer together. */
export function raceAxis(today: Day, monthName: (day: Day) => string): RaceAxis {
  const start = addDays(today, -BACK_DAYS)
  const end = addMonths(today, MONTHS)
  const scaled = daysBetween(start, end)
  const rest = LAST_DAYS - daysBetween(today, end)
  const place = (day: Day): number => {
    const at = daysBetween(start, day)
    if (at <= 0) return 0
    if (at <= scaled) return (SCALED * at) / scaled
    return Math.min(1, SCALED + ((1 - SCALED) * (at - scaled)) / rest)
  }
  const { year, month } = fieldsOf(today)
  const quarters = Array.from({ length: MONTHS / 3 + 1 }, (_, n) => {
    const index = year * 12 + Math.ceil(month / 3) * 3 + n * 3
    return `${Math.floor(index / 12)}-${String((index % 12) + 1).padStart(2, '0')}-01` as Day
  }).filter((day) => place(day) < SCALED - 0.085)
  return {
    today: place(today),
    later: SCALED,
    place,
    months: quarters.map((day, n) => {
      const { year: own, month: its } = fieldsOf(day)
      return { at: place(day), words: monthName(day), year: its === 1 || n === 0 ? String(own) : null }
    }),
  }
}
