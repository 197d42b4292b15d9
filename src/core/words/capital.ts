/**
 * The same words as the beginning of a sentence.
 *
 * @example capital('good to 2 Mar') === 'Good to 2 Mar'
 */
export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
