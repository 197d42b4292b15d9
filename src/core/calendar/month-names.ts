/** First letters of month names in the languages sheets come in, without accents. Data table. */
const MONTHS: readonly (readonly string[])[] = [
  ['jan', 'janv', 'ene', 'gen'],
  ['feb', 'fev', 'fevr'],
  ['mar', 'marz', 'mrz', 'maerz', 'mars'],
  ['apr', 'avr', 'abr'],
  ['may', 'mai', 'maj', 'mag'],
  ['jun', 'juni', 'juin', 'giu'],
  ['jul', 'juli', 'juil', 'lug'],
  ['aug', 'aout', 'ago'],
  ['sep', 'sept', 'set'],
  ['oct', 'okt', 'ott'],
  ['nov'],
  ['dec', 'dez', 'dic'],
]

const FULL =
  'january february march april june july august september october november december januar februar oktober dezember'.split(
    ' ',
  )

/** Month 1..12 of a name or its usual short form, in any case; null when it is none. */
export function monthNamed(word: string): number | null {
  const plain = word
    .normalize('NFD')
    .replace(/[^\p{L}]/gu, '')
    .toLowerCase()
  if (plain.length < 3) return null
  const month = MONTHS.findIndex((names) => names.includes(plain))
  if (month >= 0) return month + 1
  if (!FULL.includes(plain)) return null
  return MONTHS.findIndex((names) => names.some((name) => plain.startsWith(name))) + 1
}
