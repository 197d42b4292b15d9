import { plainWords } from '../../words/plain-words.js'

/** Cells that say no more than a blank one. Data table. */
const NOTHING = new Set(
  (
    'n a|na|none|null|nil|unknown|unsure|not sure|no idea|dont know|don t know|tbd|tba|k a|keine ahnung|keine angabe|' +
    'unbekannt|inconnu|sans|desconocido|sconosciuto|onbekend|okand'
  ).split('|'),
)
const YES = new Set('x|xx|yes|y|true|ja|j|oui|si|sim|tak|1|done|check|checked|ok'.split('|'))
const NO = new Set('no|n|false|nein|non|nee|nej|nie|nao|0'.split('|'))
const UNOPENED = new Set(
  (
    'unopened|not opened|not yet|sealed|new|bnib|brand new|unused|never opened|closed|backup|back up|ungeoffnet|neu|' +
    'verschlossen|noch nicht|non ouvert|ferme|neuf|sin abrir|nuevo|cerrado|chiuso|nuovo|ongeopend|nieuw|oppnad ej|ny'
  ).split('|'),
)
const OPEN = new Set(
  'opened|open|in use|using|in rotation|current|currently using|active|geoffnet|offen|in benutzung|in gebrauch|angebrochen|ouvert|en cours|abierto|en uso|aperto|in uso|geopend|oppnad'.split(
    '|',
  ),
)

/** Nothing is said: blank, "-", "?", "n/a", "unknown". */
export function saysNothing(cell: string): boolean {
  const trimmed = cell.trim()
  return trimmed === '' || /^[-–—.?/_*]+$/.test(trimmed) || NOTHING.has(plainWords(trimmed))
}

/** A tick, its opposite, or null for a cell that is neither. */
export function tickOf(cell: string): boolean | null {
  const trimmed = cell.trim()
  if (/^[✓✔☑✅×✗☒•●■]$/u.test(trimmed)) return true
  if (/^[☐□○]$/u.test(trimmed)) return false
  const plain = plainWords(trimmed)
  return YES.has(plain) ? true : NO.has(plain) ? false : null
}

/** What a cell about the opening says without a date; null when it says something else. */
export function openingWord(cell: string): 'unopened' | 'open' | null {
  const plain = plainWords(cell)
  const tick = tickOf(cell)
  if (UNOPENED.has(plain) || tick === false) return 'unopened'
  if (OPEN.has(plain) || tick === true) return 'open'
  return null
}
