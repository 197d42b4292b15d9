import type { ItemSummary } from '#contract/item'
import { counted } from '#core/words/counted'

/** How an item is called where its form shows what it is: by its shade, else its name. */
export function shortName(item: Pick<ItemSummary, 'name' | 'shade'>): string {
  return item.shade === '' ? item.name : item.shade
}

/** The full name; the shade is added only where the name does not hold it already. */
export function fullName(item: Pick<ItemSummary, 'name' | 'shade'>): string {
  if (item.shade === '' || item.name.toLowerCase().includes(item.shade.toLowerCase())) return item.name
  return `${item.name}, ${item.shade}`
}

/** Whether every word typed begins or lies in the maker, name, shade or category. */
export function matchesWords(item: ItemSummary, text: string): boolean {
  const within = plain([item.maker, item.name, item.shade, item.category].join(' '))
  return plain(text)
    .split(' ')
    .every((word) => within.includes(word))
}

function plain(text: string): string {
  return text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase().trim()
}

/** "1 use", "12 uses". */
export function usesWords(count: number): string {
  return counted(count, 'use')
}

/** "30 mL", "9.5 g", or in ounces by setting. */
export function contentWords(content: ItemSummary['content'], units: 'metric' | 'ounces' = 'metric'): string {
  if (content === null) return ''
  if (units === 'ounces') {
    const ounces = content.unit === 'g' ? content.amount / 28.349523125 : content.amount / 29.5735295625
    return `${round(ounces, 3)} ${content.unit === 'g' ? 'oz' : 'fl oz'}`
  }
  return `${round(content.amount, 2)} ${content.unit === 'g' ? 'g' : 'mL'}`
}

function round(value: number, digits: number): string {
  return Number(value.toFixed(digits)).toLocaleString(undefined, { maximumFractionDigits: digits })
}

export function moneyWords(minor: number, currency: string): string {
  const format = new Intl.NumberFormat(undefined, { style: 'currency', currency })
  return format.format(minor / 10 ** (format.resolvedOptions().maximumFractionDigits ?? 2))
}
