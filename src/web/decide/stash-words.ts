import { counted } from '#core/words/counted'
import type { PickView } from '#contract/deciding'
import { spanWords } from '#web/ui/words/when-words'

/** How one of them is doing. */
export function stashItemWords({ wears, felt, unwornBefore }: PickView['items'][number]): string {
  const before = unwornBefore === null ? 'never worn before' : `unworn for ${spanWords(unwornBefore)} before`
  const worn = wears === 0 ? 'Not worn yet' : `Worn on ${counted(wears, 'day')}`
  const good = felt.good > 0 ? `, ${felt.good} of them good` : ''
  return `${worn}${good}; ${before}.`
}

/** What came of it, in a sentence: what was worn again, and where it went. */
export function rediscoveredWords({ items }: PickView): string {
  const worn = items.filter(({ wears }) => wears > 0)
  const name = ({ item, wears, ending }: PickView['items'][number]): string =>
    `${item.shade || item.name} (${counted(wears, 'wear')}, ${ending ?? 'ended meanwhile'})`
  const not = items.length - worn.length
  return [
    worn.length === 0 ? 'Nothing was worn this time' : worn.map(name).join(', '),
    not > 0 && worn.length > 0 ? `; ${not} not worn` : '',
    '.',
  ].join('')
}
