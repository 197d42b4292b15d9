import type { Day } from '#core/calendar/day'
import type { SuggestionView } from '#contract/today'
import { shortDay, spanWords } from './when-words'
import { usesWords } from './item-words'

/** Why to reach for it, in one short sentence. */
export function suggestionWords(suggestion: SuggestionView, today: Day): string {
  switch (suggestion.reason) {
    case 'spoils-soonest':
      return `First here to spoil: good to ${shortDay(suggestion.day, today)}.`
    case 'nearly-done':
      return suggestion.usesLeft !== null
        ? `Nearly done: ${usesWords(suggestion.usesLeft)} to its goal.`
        : `Nearly done: about ${Math.round((suggestion.left ?? 0) * 100)} % left.`
    case 'unworn-longest':
      return suggestion.everWorn
        ? `Unworn the longest: ${spanWords(suggestion.days)}.`
        : `In the drawer for ${spanWords(suggestion.days)}, not worn yet.`
  }
}
