import { addDays, type Day } from '#core/calendar/day'
import type { ItemFields } from '#contract/item'
import { TODAY } from './test-house'

/** Things in use for some months, and the days of it, for tests of what is ahead of them. */
export const ago = (days: number): Day => addDays(TODAY, -days)
export function opened(day: Day): ItemFields['opened'] {
  return { kind: 'range', earliest: day, latest: day, said: day }
}
/** New when opened, 200 days ago, 9 g by its label. */
export const NEW = { usesBefore: 0, opened: opened(ago(200)), content: { amount: 9, unit: 'g' as const } }
export const GOAL = { kind: 'uses', target: 10, headStart: 0, by: { kind: 'none' } } as const
export const PROJECT = {
  name: 'Six',
  startedOn: ago(90),
  by: addDays(TODAY, 60),
  finishesWanted: null,
  rules: '',
  mostItems: null,
}
/** Days back from today: from one to another, every so many. */
export const every = (step: number, from: number, to = 1): number[] =>
  Array.from({ length: Math.floor((from - to) / step) + 1 }, (_, n) => from - n * step)
/** A sheet of uses of one thing on these days back, as `/tally-sheet` takes it. */
export const usesOn = (itemId: string, days: readonly number[]): object => ({
  rows: [{ itemId, days: days.map(ago) }],
  despite: true,
})
