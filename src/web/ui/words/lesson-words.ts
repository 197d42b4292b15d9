import { counted, plural } from '#core/words/counted'
import { capital } from '#core/words/capital'
import type { LessonShown } from '#contract/buying'
import { numberWords } from '#web/data/locale'
import { spanWords } from './when-words'

/** What she could learn from it, as she would say it; and the numbers that say so. */
export function lessonWords(shown: LessonShown): { readonly lesson: string; readonly because: string } {
  const { rule, aboutWords: about, count, mine, others } = shown
  const kind = plural(2, about)
  switch (rule) {
    case 'finishes fast':
      return {
        lesson: `${capital(kind)} finish fast; one is enough at a time.`,
        because: `${count} of them finished, in the middle after ${spanWords(Math.round(mine))}, against ${spanWords(Math.round(others))} of everything else.`,
      }
    case 'finishes slowly':
      return {
        lesson: `${capital(kind)} take long to finish; think twice before another.`,
        because: `${count} of them finished, in the middle after ${spanWords(Math.round(mine))}, against ${spanWords(Math.round(others))} of everything else.`,
      }
    case 'never finishes':
      return {
        lesson: `I never finish ${kind}; minis would do.`,
        because: `${count} are here, and you never finished one since you began ticking, while ${counted(others, 'other item')} ${plural(others, 'was')}.`,
      }
    case 'guesses short':
      return {
        lesson:
          about === ''
            ? `My guesses run short by about ${numberWords(mine, 1)}.`
            : `My guesses of ${kind} run short by about ${numberWords(mine, 1)}.`,
        because: `${counted(count, 'guess')} of items that are finished came to ${numberWords(mine, 1)} times as long in the middle.`,
      }
    case 'source never worn':
      return {
        lesson: `What comes as ${about} I seldom wear.`,
        because: `${mine} of ${count} that came so, half a year ago or more, were never worn.`,
      }
    case 'maker again':
      return {
        lesson: `${about} is worth buying again.`,
        because: `You would buy ${mine} of ${count} again that you reviewed.`,
      }
    case 'maker never again':
      return {
        lesson: `${about} doesn’t work for me.`,
        because: `You would not buy ${mine} of ${count} again that you reviewed.`,
      }
    case 'let go unused':
      return {
        lesson: `${capital(kind)} go nearly unused; try before buying.`,
        because: `${mine} of the ${count} let go were worn fewer than five times.`,
      }
    case 'bought in twins':
      return {
        lesson: `I buy ${kind} I already own.`,
        because: `${mine} of ${others} have a near twin by their swatch.`,
      }
  }
}
