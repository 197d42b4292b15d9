/**
 * Reads a number as people type it: a decimal point or a decimal comma, thousands separated by
 * the other one or by a blank. A lone separator with exactly three digits behind it is taken as
 * decimal ("0.212", "1,250" g): labels and prices here are small. Null when it is no number.
 *
 * @example parseDecimal('9,5') === 9.5 && parseDecimal('1.234,50') === 1234.5
 */
export function parseDecimal(text: string): number | null {
  const compact = text.replace(/[\s  ']/g, '')
  if (!/^[+-]?[\d.,]+$/.test(compact) || !/\d/.test(compact)) return null
  const lastPoint = compact.lastIndexOf('.')
  const lastComma = compact.lastIndexOf(',')
  const decimal = lastPoint > lastComma ? '.' : ','
  const thousands = decimal === '.' ? ',' : '.'
  const plain = compact.split(thousands).join('')
  if (plain.split(decimal).length > 2) return null
  const value = Number(plain.replace(decimal, '.'))
  return Number.isFinite(value) ? value : null
}
