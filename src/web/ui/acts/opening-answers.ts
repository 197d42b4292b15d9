import { addDays, fieldsOf, type Day } from '#core/calendar/day'
import { parseWhen, type DateOrder, type DayRange } from '#core/calendar/when'

/** An answer to when a thing was opened that needs no typing. */
export interface OpeningAnswer {
  readonly words: string
  readonly said: string
  readonly range: DayRange
}
/** Something she remembers the day of, to tell before from after by. */
export interface Landmark {
  readonly words: string
  readonly day: string
}
/** Before a landmark means so far back at most. */
const BACK_DAYS = 1096
const YEARS = 4

/** What can be meant: before or after her landmark, and the latest years. `latest` = the last day it can have been opened. */
export function openingAnswers(today: Day, latest: Day, { words, day }: Landmark): OpeningAnswer[] {
  const years = Array.from({ length: YEARS }, (_, n) => String(fieldsOf(today).year - n)).map((year) => ({
    words: year,
    said: year,
    range: { earliest: `${year}-01-01` as Day, latest: `${year}-12-31` as Day },
  }))
  const either: OpeningAnswer[] =
    day === ''
      ? []
      : [
          {
            words: `Before ${words}`,
            said: `before ${words}`,
            range: { earliest: addDays(day as Day, -BACK_DAYS), latest: addDays(day as Day, -1) },
          },
          { words: `After ${words}`, said: `after ${words}`, range: { earliest: day as Day, latest } },
        ]
  return [...either, ...years].filter(({ range }) => range.earliest <= latest && range.earliest <= range.latest)
}

/** What she typed as an opening, or in words why it is none. */
export function typedOpening(
  text: string,
  order: DateOrder,
  today: Day,
): { readonly range: DayRange; readonly wrong: '' } | { readonly range: null; readonly wrong: string } {
  const when = parseWhen(text, order, today)
  if (!when.ok) return { range: null, wrong: 'We can’t read that date. Try 2024, March 2024 or spring 2024.' }
  if (when.value.earliest > today) return { range: null, wrong: 'That has not come yet.' }
  return { range: when.value, wrong: '' }
}
