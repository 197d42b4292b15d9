/** Letters that keep their stroke when accents are taken off. */
const STROKES: Readonly<Record<string, string>> = { ø: 'o', ß: 'ss', ł: 'l', đ: 'd', æ: 'ae', œ: 'oe' }

/** Lower case, without accents and signs, single blanks: for comparing what people type. */
export function plainWords(text: string): string {
  return text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[øßłđæœ]/g, (letter) => STROKES[letter] ?? letter)
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
}
