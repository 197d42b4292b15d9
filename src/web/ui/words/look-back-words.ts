import type { MarkScore } from '#core/forecast/life-table'
import { counted } from '#core/words/counted'
import type { FactorView, LookBackAnswer } from '#contract/forecast'
import { numberWords } from '#web/data/locale'

/** What became of the user's guesses: the estimate, with what it is an estimate from. */
export function factorWords({ factor, middle, low, high, finished, unfinished, runsShort }: FactorView): string {
  if (finished + unfinished === 0) return 'No guesses yet. When you roll something into a project, Seligo asks for one.'
  const running = unfinished > 0 ? ` and ${unfinished} still running` : ''
  const from = `an estimate from ${finished} finished${running} (8 in 10: between ${numberWords(low, 1)} and ${numberWords(high, 1)})`
  const alone = middle === null ? '' : `; your average of these ${finished} alone is ${numberWords(middle, 1)}`
  return runsShort
    ? `Your products last about ${numberWords(factor, 1)} times as long as you guess: ${from}${alone}.`
    : `It’s too early to say how your guesses run: about ${numberWords(factor, 1)} times as long, ${from}${alone}.`
}

/** A guess with what is known of her guesses. */
export function truerWords({ factor, low, high }: FactorView, months: number): string {
  return `${counted(months, 'month')} of yours are likely ${numberWords(months * low, 1)} to ${numberWords(months * high, 1)}, about ${numberWords(months * factor, 1)}.`
}

/** Why a forecast did not hold, with the numbers that say so. */
export function missWords(miss: NonNullable<LookBackAnswer['forecasts']['each'][number]['miss']>): string {
  if (miss.code === 'held more' || miss.code === 'held less')
    return `it held ${miss.code === 'held more' ? 'more' : 'less'} than thought: ${counted(miss.came, 'use')}, where about ${miss.expected} were expected`
  return `you wore it ${miss.code === 'worn more often' ? 'more' : 'less'} often afterwards: ${numberWords(miss.after, 1)} a week, before ${numberWords(miss.before, 1)}`
}

/** Forecasts against what came: how many were finished by each mark. */
export function marksWords(marks: readonly MarkScore[]): string {
  const said = marks.filter(({ came }) => came !== null)
  const [first] = marks
  if (!first || first.watched === 0) return 'No forecast was kept yet of anything in use.'
  if (said.length === 0)
    return `It’s too early to say: ${counted(first.watched, 'forecast')} kept, and few of them old enough.`
  const parts = said.map(({ came, meant, watched }, n) => {
    const mark = ['the early end of their range', 'its middle', 'its late end'][n] ?? ''
    return `${Math.round((came ?? 0) * 100)} % by ${mark} (${Math.round(meant * 100)} % should be; ${counted(watched, 'forecast')})`
  })
  const missing = said.length < marks.length ? ' For the rest it’s too early to say.' : ''
  return `Finished: ${parts.join(', ')}.${missing}`
}
