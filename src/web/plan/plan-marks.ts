import type { Day } from '#core/calendar/day'
import { shortDay } from '#web/ui/words/when-words'

/** A day that matters to all of the plan. */
export interface PlanMark {
  readonly day: Day
  readonly words: string
}

export function dayMarkWords({ day, words }: PlanMark, today: Day): string {
  return `${words}, ${shortDay(day, today)}`
}
