/** Months of the northern seasons, as the user says them; winter runs into the next year. Data table. */
const SEASONS: readonly { readonly months: readonly [number, number]; readonly words: string }[] = [
  { months: [3, 5], words: 'spring fruhling fruhjahr printemps primavera lente var' },
  { months: [6, 8], words: 'summer sommer ete verano estate zomer sommar verao' },
  { months: [9, 11], words: 'autumn fall herbst automne otono autunno herfst host outono' },
  { months: [12, 14], words: 'winter hiver invierno inverno vinter' },
]

/** Which third of a year or month is meant. Data table. */
const THIRDS: readonly { readonly third: 0 | 1 | 2; readonly words: string }[] = [
  { third: 0, words: 'early beginning start anfang debut inicios inizio begin' },
  { third: 1, words: 'mid middle mitte mi mediados meta midden' },
  { third: 2, words: 'late end ende fin finales fine eind' },
]

/** Words around a date that tell nothing: how sure the user is, and days of the week. Data table. */
const FILLERS = new Set(
  (
    'about around circa ca c approx approximately roughly probably maybe perhaps opened in on since of the de du ' +
    'etwa um ungefahr seit im vers environ hacia desde verso mon monday tue tues tuesday wed wednesday thu thur ' +
    'thurs thursday fri friday sat saturday sun sunday mo di mi do fr sa so'
  ).split(' '),
)

const SEASON_OF = new Map(SEASONS.flatMap(({ months, words }) => words.split(' ').map((word) => [word, months])))
const THIRD_OF = new Map(THIRDS.flatMap(({ third, words }) => words.split(' ').map((word) => [word, third])))

/** First and last month of a season; beyond 12 they lie in the next year. Null for another word. */
export function seasonNamed(word: string): readonly [number, number] | null {
  return SEASON_OF.get(plain(word)) ?? null
}

/** 0 early, 1 middle, 2 late; null for another word. */
export function thirdNamed(word: string): 0 | 1 | 2 | null {
  return THIRD_OF.get(plain(word)) ?? null
}

export function isFiller(word: string): boolean {
  return FILLERS.has(plain(word))
}

function plain(word: string): string {
  return word
    .normalize('NFD')
    .replace(/[^\p{L}]/gu, '')
    .toLowerCase()
}
