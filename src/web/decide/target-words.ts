import type { Day } from '#core/calendar/day'
import { counted, plural } from '#core/words/counted'
import { capital } from '#core/words/capital'
import type { TargetView } from '#contract/deciding'
import { numberWords } from '#web/data/locale'
import { LIKING_WORDS } from '#web/ui/words/liking-words'
import { fromNow, shortDay } from '#web/ui/words/when-words'

const ENOUGH_YEARS = 30

export function targetTitle({ category, now, items }: TargetView): string {
  return `${capital(plural(2, category))}: ${now} here, ${items} enough`
}

/** What the numbers say of a target. */
export function targetSentences(target: TargetView, today: Day): string[] {
  const { tooMany, neededPerMonth, cameIn, finished, letGo, onTheDay, by, then, now, setOn, years, yearsAtTarget } =
    target
  const day = `${shortDay(by, today)} (${fromNow(by, today)})`
  const last = [
    cameIn > 0 ? `${cameIn} came` : 'none came',
    finished > 0 ? `${finished} ${plural(finished, 'was')} finished` : 'none was finished',
    letGo > 0 ? `${letGo} let go` : 'none let go',
  ]
  const known = (count: number | null): count is number => count !== null && count < ENOUGH_YEARS
  return [
    target.standing === 'met' ? 'You’re there.' : '',
    target.standing === 'day has come' ? `The day has come, with ${tooMany} too many.` : '',
    neededPerMonth === null
      ? ''
      : `${tooMany} too many until ${day}: ${numberWords(neededPerMonth, neededPerMonth < 10 ? 1 : 0)} a month have to go.`,
    `In the last year ${last.join(', ')}.`,
    target.standing === 'will do' ? `At this rate ${onTheDay} would be here on the day: it will do.` : '',
    target.standing === 'not at this pace'
      ? `At this rate ${onTheDay} would be here on the day; ${onTheDay - target.items} more would have to be let go, or fewer come.`
      : '',
    then === now ? '' : `${then} were here when it was set on ${shortDay(setOn, today)}.`,
    known(years)
      ? `What is here lasts about ${numberWords(years, years < 10 ? 1 : 0)} years at your pace${
          known(yearsAtTarget)
            ? `; the ${target.items} to keep first about ${numberWords(yearsAtTarget, yearsAtTarget < 10 ? 1 : 0)}`
            : ''
        }.`
      : years !== null
        ? `What is here lasts more than ${ENOUGH_YEARS} years at your pace.`
        : '',
  ].filter(Boolean)
}

/** What speaks for one of them, or against it. */
export function keepWords({ item, worn, twin }: TargetView['keepFirst'][number]): string {
  return [
    worn === 0 ? 'not worn within a year' : `worn on ${counted(worn, 'day')} in a year`,
    item.liking === null ? '' : (LIKING_WORDS[String(item.liking)] ?? ''),
    item.shelfLife.state === 'past' || item.shelfLife.state === 'sign seen' ? 'expired' : '',
    twin === null ? '' : `a twin: ${twin}`,
  ]
    .filter(Boolean)
    .join(' · ')
}
