/** Month names of the languages sheets come in and their usual short forms, without accents. Data table. */
const MONTHS: readonly string[] = [
  'jan january januar janvier janv enero ene gennaio gen januari janeiro stycznia',
  'feb february februar fevrier fevr fev febrero febbraio februari fevereiro lutego',
  'mar march marz maerz mrz mars marzo maart mrt marco marca',
  'apr april avril avr abril abr aprile kwietnia',
  'may mai mayo maggio mag mei maj maio maja',
  'jun june juni juin junio giugno giu junho czerwca',
  'jul july juli juillet juil julio luglio lug julho lipca',
  'aug august aout agosto ago augustus augusti sierpnia',
  'sep sept september septembre septiembre settembre set setembro wrzesnia',
  'oct october oktober okt octobre octubre ottobre ott outubro pazdziernika',
  'nov november novembre noviembre novembro listopada',
  'dec december dezember dez decembre diciembre dic dicembre dezembro grudnia',
]
const MONTH_OF = new Map(MONTHS.flatMap((names, at) => names.split(' ').map((name) => [name, at + 1] as const)))

/** Month 1..12 of a name or its usual short form, in any case; null when it is none. */
export function monthNamed(word: string): number | null {
  const plain = word
    .normalize('NFD')
    .replace(/[^\p{L}]/gu, '')
    .toLowerCase()
  return MONTH_OF.get(plain) ?? null
}
