/** Plurals that are not made with an s. Data table. */
const OTHERS: Readonly<Record<string, string>> = {
  is: 'are',
  was: 'were',
  has: 'have',
  day: 'days',
  it: 'them',
  needs: 'need',
  reaches: 'reach',
  spoils: 'spoil',
  its: 'their',
}

/**
 * A word in the form that goes with a number.
 *
 * @example plural(1, 'use') === 'use' && plural(2, 'category') === 'categories' && plural(0, 'blush') === 'blushes' && plural(2, 'primers') === 'primers'
 */
export function plural(count: number, word: string): string {
  if (count === 1) return word
  const other = OTHERS[word]
  if (other !== undefined) return other
  // A category that the user names in the plural already.
  if (/[^isu]s$/.test(word)) return word
  if (/[^aeiou]y$/.test(word)) return `${word.slice(0, -1)}ies`
  return /(?:s|x|z|ch|sh)$/.test(word) ? `${word}es` : `${word}s`
}

/**
 * A number with its word: the one way in which the house counts.
 *
 * @example counted(1, 'item') === '1 item' && counted(12, 'item') === '12 items'
 */
export function counted(count: number, word: string): string {
  return `${count} ${plural(count, word)}`
}
