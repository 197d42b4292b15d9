import type { Day } from '#core/calendar/day'
import { countFelt } from '#core/decide/feelings'
import { counted } from '#core/words/counted'
import type { TrialView } from '#contract/ending'
import { capital } from '#core/words/capital'
import { allUses } from '#web/ui/words/item-words'
import { goodTo } from '#web/ui/words/shelf-life-words'
import { fromNow, shortDay } from '#web/ui/words/when-words'

/** As many of them as a sentence bears. */
const NAMED = 4

/** Where a trial stands. */
export function standingWords({ standing, wearsLeft, dueOn }: TrialView, today: Day): string {
  if (standing === 'worn enough') return 'Worn as often as you wanted. Decide when you like.'
  if (standing === 'time is up')
    return `The day has come, with ${counted(wearsLeft, 'wear')} to go. Decide, or give it longer.`
  return `${counted(wearsLeft, 'wear')} to go, until ${shortDay(dueOn, today)} (${fromNow(dueOn, today)}).`
}

/** What the trial tells so far, each fact with its numbers. */
export function trialSentences(trial: TrialView, today: Day): string[] {
  const { item, wears, chances, companions, wearsWanted, days } = trial
  const felt = countFelt(
    days.flatMap((day) => day.felt.filter(({ aspect }) => aspect === 'in all').map((each) => each.felt)),
  )
  const named = (under: boolean): string =>
    companions
      .filter((each) => each.under === under)
      .slice(0, NAMED)
      .map((each) => `${each.words} (${each.days})`)
      .join(', ')
  const [under, over] = [named(true), named(false)]
  const feelings = [
    felt.good > 0 ? `${felt.good} good` : '',
    felt['so-so'] > 0 ? `${felt['so-so']} so-so` : '',
    felt.bad > 0 ? `${felt.bad} bad` : '',
  ].filter(Boolean)
  return [
    `Worn ${wears} of ${wearsWanted} times since it went on trial.`,
    chances > 0 ? `In the drawer on ${counted(chances, 'wear day')} since.` : '',
    feelings.length > 0 ? `It felt: ${feelings.join(', ')}.` : '',
    under === '' ? '' : `Over ${under}.`,
    over === '' ? '' : `With ${over}.`,
    `${capital(allUses(item))}.`,
    `Shelf life: ${goodTo(item, today)}.`,
  ].filter(Boolean)
}
