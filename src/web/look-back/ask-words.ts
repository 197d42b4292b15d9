import type { AskView, Candidate } from '#contract/look-back'
import type { Day } from '#core/calendar/day'
import { counted, plural } from '#core/words/counted'
import { dateWords, moneyWords } from '#web/data/locale'
import { leftWords } from '#web/ui/words/gauge-words'
import { progressWords } from '#web/ui/words/goal-words'
import { callIt } from '#web/ui/words/item-words'
import { fromNow } from '#web/ui/words/when-words'

/** What speaks for each candidate and against it, one fact a sentence; none is a verdict. */
export function evidenceOf(candidate: Candidate, today: Day, currency: string, prices: boolean): string[] {
  const { item, usesNeeded, lastGood, worn90, priceMinor, usedMinor, rivals, pair } = candidate
  const left = leftWords(item)
  return [
    item.endedOn !== null ? 'No longer in use.' : '',
    left === '' ? '' : `${left[0]?.toUpperCase() ?? ''}${left.slice(1)}.`,
    usesNeeded === null ? '' : `About ${counted(Math.round(usesNeeded), 'use')} to its end.`,
    worn90 === 0 ? 'Not worn in three months.' : `Worn on ${counted(worn90, 'day')} of the last three months.`,
    lastGood === null
      ? ''
      : lastGood < today
        ? `Expired since ${dateWords(lastGood)}.`
        : `Good until ${dateWords(lastGood)}, ${fromNow(lastGood, today)}.`,
    rivals === 0
      ? 'The only one of its type in use.'
      : `${counted(rivals, 'other')} of its type ${plural(rivals, 'is')} in use.`,
    item.goal === null ? '' : `In a project: ${progressWords(item.goal)}.`,
    item.liking === null ? '' : `Rated ${item.liking} of 5.`,
    pair === null ? '' : `Works with ${pair}.`,
    prices && priceMinor !== null
      ? `Cost ${moneyWords(priceMinor, currency)}${usedMinor === null ? '' : `, about ${moneyWords(Math.round(priceMinor - usedMinor), currency)} of it unused`}.`
      : '',
  ].filter(Boolean)
}

/** The question with its candidates, to be pasted where friends read. */
export function askAsMarkdown(ask: AskView, today: Day, currency: string, prices: boolean): string {
  return [
    `# ${ask.question}`,
    ...ask.candidates.map((candidate, n) =>
      [
        `## ${n + 1}. ${callIt(candidate.item)}`,
        evidenceOf(candidate, today, currency, prices)
          .map((sentence) => `- ${sentence}`)
          .join('\n'),
      ].join('\n\n'),
    ),
    '',
  ].join('\n\n')
}
