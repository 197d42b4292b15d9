import { counted } from '#core/words/counted'
import type { FactorView, LookBackAnswer } from '#contract/forecast'
import { numberWords } from '#web/data/locale'

type Score = LookBackAnswer['forecasts']['all']

/** What became of her guesses, as surely as it can be said. */
export function factorWords({ factor, low, high, finished, unfinished, runsShort }: FactorView): string {
  const from = `${counted(finished, 'guess')} finished${unfinished > 0 ? ` and ${unfinished} still running` : ''}`
  if (finished + unfinished === 0) return 'Nothing was guessed yet. When something rolls into a project, Seligo asks.'
  const span = `likely ${numberWords(low, 1)} to ${numberWords(high, 1)} times`
  return runsShort
    ? `Your guesses run short: things last about ${numberWords(factor, 1)} times as long as you think (${span}; ${from}).`
    : `Not enough known yet to say how your guesses run: about ${numberWords(factor, 1)} times is expected, ${span} (${from}).`
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

/** How often a forecast held, with its count. */
export function scoreWords({ n, inside, early, late }: Score): string {
  if (n === 0) return 'No forecast of a finished thing was kept yet.'
  const out = [...(early > 0 ? [`${early} earlier`] : []), ...(late > 0 ? [`${late} later`] : [])]
  return `${inside} of ${n} were finished within the range, which is meant for 8 in 10${out.length > 0 ? `; ${out.join(', ')}` : ''}.`
}
