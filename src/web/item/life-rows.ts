import type { Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import type { ItemAnswer } from '#contract/item'
import { anyReadingWords, EVENT_WORDS, type MassUnit } from '#web/ui/words/measure-words'

/** Something that happened to a thing, in words. */
export interface LifeRow {
  readonly day: Day
  readonly words: string
}

/** Everything on the life line as rows, the latest first: each month of wear is one row, under its last day. */
export function rowsOf(answer: ItemAnswer, unit: MassUnit): LifeRow[] {
  const shade = (id: string | null): string => {
    const part = answer.item.parts.find((each) => each.id === id)
    return part ? `${part.name}: ` : ''
  }
  const months = new Map<string, Day[]>()
  for (const day of answer.wearDays) months.set(day.slice(0, 7), [...(months.get(day.slice(0, 7)) ?? []), day])
  return [
    ...[...months.values()].flatMap((days): LifeRow[] => {
      const last = [...days].sort().at(-1)
      return last === undefined ? [] : [{ day: last, words: `worn on ${counted(days.length, 'day')} of its month` }]
    }),
    ...answer.readings.map((reading) => ({
      day: reading.day,
      words: `${reading.kind === 'gross' ? 'weighed' : 'looked at'}: ${shade(reading.partId)}${anyReadingWords(reading, unit)}${reading.doubtful ? ', doubtful' : ''}`,
    })),
    ...answer.packageEvents.map((event) => ({
      day: event.day,
      words: [`${shade(event.partId)}${EVENT_WORDS[event.kind].toLowerCase()}`, event.into ?? '', event.words]
        .filter(Boolean)
        .join(', '),
    })),
    ...answer.photos.map((photo) => ({ day: photo.day, words: 'photographed' })),
    ...answer.events.map((event) => ({
      day: event.day,
      words: `${event.kind}${event.words ? `, ${event.words}` : ''}`,
    })),
  ].sort((a, b) => (a.day < b.day ? 1 : -1))
}
