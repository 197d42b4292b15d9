import type { ItemAnswer } from '#contract/item'
import { dateWords, moneyWords } from '#web/data/locale'
import { paceWords } from '#web/ui/words/goal-words'
import { contentWords, usesWords, type Units } from '#web/ui/words/item-words'
import { LIKING_WORDS } from '#web/ui/words/liking-words'
import { locationWords } from '#web/ui/words/location-words'
import { goodTo, reasonWords } from '#web/ui/words/shelf-life-words'
import { fromNow, openedWords, rangeWords } from '#web/ui/words/when-words'

/** One thing that is known, with how it came about. */
export interface Fact {
  readonly term: string
  readonly words: string
}

/** Everything that is known of a thing, in the order in which it is asked for, by what it is about. */
export function factsOf(
  answer: ItemAnswer,
  units: Units,
): readonly { readonly about: string; readonly facts: Fact[] }[] {
  const { item, today } = answer
  const said = (term: string, words: string | null): Fact[] => (words ? [{ term, words }] : [])
  return [
    {
      about: 'Use and cost',
      facts: [
        ...said('Uses', `${usesWords(item.uses)}: ${usesMade(answer)}`),
        ...(item.goal
          ? said(
              item.goal.projectName,
              paceWords(item.goal, answer.outlooks.find((each) => each.stayId === item.goal?.stayId) ?? null, today),
            )
          : []),
        ...said('Cost', costWords(answer)),
        ...said('Rating', item.liking === null ? null : (LIKING_WORDS[String(item.liking)] ?? null)),
      ],
    },
    {
      about: 'Dates',
      facts: [
        ...said('Use by', `${goodTo(item, today)}. ${reasonWords(item.shelfLife)}`),
        ...said('Opened', `${openedWords(item)}${saidBy(answer)}.`),
        ...said('Bought', item.acquired && `${rangeWords(item.acquired)}${item.source ? ` (${item.source})` : ''}.`),
        ...said('Printed expiry', item.expiry && dateWords(item.expiry)),
      ],
    },
    {
      about: 'What it is and where it is',
      facts: [
        ...said('Size', contentWords(item.content, units)),
        ...said('Backups', item.backups > 0 ? `${item.backups}, unopened.` : null),
        ...said('Blended from', parentsWords(answer)),
        ...said('Taken out of', answer.origin?.mark ?? null),
        ...said('Shades', item.parts.map((part) => `${part.name} (${usesWords(part.uses)})`).join(', ')),
        ...said('Similar', traitsWords(answer)),
        ...said(
          'Where it is',
          item.endedOn === null ? `${locationWords(item)}${item.brushes ? `, with ${item.brushes}` : ''}.` : null,
        ),
        ...said('Notes', item.notes),
        ...said('Kept from the sheet', answer.keptText.map((cell) => `${cell.column}: “${cell.text}”`).join(' · ')),
      ],
    },
  ].filter((group) => group.facts.length > 0)
}

/** What went into a blend, with the shares. */
function parentsWords({ parents }: ItemAnswer): string {
  return parents.map(({ mark, share }) => (share === null ? mark : `${Math.round(share * 100)} % ${mark}`)).join(', ')
}

function usesMade({ item, sinceReading, today }: ItemAnswer): string {
  const { usesBefore, wears, lastWorn } = item
  const made =
    usesBefore === null
      ? `${wears} ticked; how many before that, you never said`
      : usesBefore > 0
        ? `${usesBefore} before you began ticking and ${wears} since`
        : `${wears} ticked`
  const looked = sinceReading === null ? '' : `; ${usesWords(sinceReading.uses)} since it was last looked at`
  return `${made}${looked}${lastWorn ? `; last worn ${fromNow(lastWorn, today)}` : ''}.`
}

/** Who says when it was opened, in whose words. */
function saidBy({ item: { opened, opening } }: ItemAnswer): string {
  if (opening.by === 'tick') return ', by its first tick'
  if (opened.kind !== 'range') return ''
  return opening.by === 'sheet' ? `, as your sheet has it: “${opened.said}”` : `, as you said it: “${opened.said}”`
}

function traitsWords({ item }: ItemAnswer): string {
  const { usedAs, wornAs, format, undertone, depth, seasons, availability, spf, packageStates, kit } = item
  return [
    usedAs === null ? '' : `worn as ${wornAs}`,
    format ?? '',
    undertone ?? '',
    depth ?? '',
    seasons.length === 0 ? '' : `for ${seasons.join(', ')}`,
    availability ?? '',
    spf === null ? '' : `SPF ${spf}`,
    packageStates.join(', '),
    kit === '' ? '' : `of the kit ${kit}`,
  ]
    .filter(Boolean)
    .join('; ')
}

/** What it cost, over its uses so far. */
export function costWords({ item, currency }: ItemAnswer): string | null {
  const { priceMinor, priceSaid, source, uses } = item
  if (priceMinor === null && priceSaid !== null) return `${priceSaid}, in another currency: kept as it was written.`
  if (priceMinor === null) return source === 'gift' ? 'A gift, without a price.' : null
  const price = moneyWords(priceMinor, currency)
  if (uses === 0) return `${price}, not used yet.`
  return `${price} over ${usesWords(uses)}: ${moneyWords(priceMinor / uses, currency)} a use so far.`
}
