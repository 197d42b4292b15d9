import type { Day } from '#core/calendar/day'

/** A day as the picker takes it: noon of the machine's own day, far from where clocks are changed. */
export function dateOfDay(day: Day): Date {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number)
  return new Date(year, month - 1, date, 12)
}

/** The day that was picked. */
export function dayOfDate(date: Date): Day {
  const two = (part: number): string => String(part).padStart(2, '0')
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}` as Day
}
