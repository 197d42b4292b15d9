import type { Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import type { ItemAnswer } from '#contract/item'
import { readingWords } from '#web/ui/words/gauge-words'

/** Something that happened to a thing, in words. */
export interface LifeRow {
  readonly day: Day
  readonly words: string
}

/** Everything on the life line as rows, the latest first: each month of wear is one row, under its last day. */
export function rowsOf(answer: ItemAnswer): LifeRow[] {
  const months = new Map<string, Day[]>()
  for (const day of answer.wearDays) months.set(day.slice(0, 7), [...(months.get(day.slice(0, 7)) ?? []), day])
  return [
    ...[...months.values()].flatMap((days): LifeRow[] => {
      const last = [...days].sort().at(-1)
      return last === undefined ? [] : [{ day: last, words: `worn on ${counted(days.length, 'day')} of its month` }]
    }),
    ...answer.readings.map((reading) => ({ day: reading.day, words: `looked at: ${readingWords(reading)}` })),
    ...answer.events.map((event) => ({
      day: event.day,
      words: `${event.kind}${event.words ? `, ${event.words}` : ''}`,
    })),
  ].sort((a, b) => (a.day < b.day ? 1 : -1))
}
