import { parseWhen, type DateOrder, type DayRange } from '../../calendar/when.js'
import type { Destination } from '../../decide/verdict.js'
import { openingWord, saysNothing, tickOf } from './cell-words.js'
import { plainWords } from '../../words/plain-words.js'

/** What a status cell says of an item. */
export type SheetStatus =
  | { readonly kind: 'here'; readonly opened: 'unopened' | 'open' | null }
  | { readonly kind: 'finished'; readonly when: DayRange | null }
  | { readonly kind: 'left'; readonly destination: Destination; readonly when: DayRange | null }

/** Words of each ending, plain; a phrase counts wherever it stands in the cell. Data table. */
const ENDINGS: readonly (readonly ['finished' | Destination, string])[] = [
  [
    'finished',
    'finished|finish|empty|emptied|used up|all gone|panned|done|completed|aufgebraucht|leer|beendet|fertig|fini|finie|termine|' +
      'vide|terminado|acabado|vacio|finito|terminato|vuoto|op|leeg|slut|tomt|zuzyte|skonczone|acabou',
  ],
  ['swap', 'swapped|swap|traded|getauscht|echange|cambiado|scambiato|geruild'],
  ['sell', 'sold|verkauft|vendu|vendido|venduto|verkocht|sald|sprzedane'],
  ['donate', 'donated|gespendet|donne association|donado|donato|gedoneerd'],
  [
    'give',
    'given away|gave away|gave to|given to|gifted to|gifted away|passed on|regifted|verschenkt|weggegeben|donne|offert|' +
      'regalado|regalato|weggegeven|bortskankt|oddane',
  ],
  ['return scheme', 'returned|return scheme|zuruckgegeben|rendu|devuelto|restituito'],
  ['repurpose', 'repurposed'],
  ['keep the container', 'container kept'],
  ['recycle', 'recycled|recycelt|recycle|reciclado|riciclato'],
  [
    'bin',
    'binned|tossed|thrown away|threw away|trashed|discarded|decluttered|declutter|purged|expired tossed|weggeworfen|' +
      'entsorgt|aussortiert|jete|tire|tirado|desechado|buttato|weggegooid|slangt|wyrzucone',
  ],
]

const NOT_YET =
  /\b(?:not|nearly|almost|half|soon|maybe|to be|to finish|to give|to sell|to swap|nicht|fast|pas|presque|no|casi|quasi|bijna)\b/

/**
 * Reads a status: finished and gone items are history, with a date where one is given ("finished 3/2024", "sold, May
 * 2023"). Words that end nothing ("in use", "almost empty") leave it here; null where nothing at all is said or known.
 */
export function statusOf(cell: string, order: DateOrder, columnMeansFinished: boolean): SheetStatus | null {
  if (saysNothing(cell)) return null
  const tick = tickOf(cell)
  if (columnMeansFinished && tick !== null)
    return tick ? { kind: 'finished', when: null } : { kind: 'here', opened: null }
  const opening = openingWord(cell)
  if (opening !== null) return { kind: 'here', opened: opening }
  const plain = plainWords(cell)
  const found = ENDINGS.find(([, words]) => words.split('|').some((word) => ` ${plain} `.includes(` ${word} `)))
  if (found === undefined || NOT_YET.test(plain)) return null
  const when = dateWithin(cell, order)
  return found[0] === 'finished' ? { kind: 'finished', when } : { kind: 'left', destination: found[0], when }
}

/** The first date that stands in a cell among other words; null when there is none. */
function dateWithin(cell: string, order: DateOrder): DayRange | null {
  const words = cell.split(/[\s,;:()]+/).filter(Boolean)
  for (let from = 0; from < words.length; from += 1)
    for (let to = Math.min(words.length, from + 4); to > from; to -= 1) {
      const part = words.slice(from, to).join(' ')
      if (!/\d/.test(part)) continue
      const when = parseWhen(part, order)
      if (when.ok) return when.value
    }
  return null
}
