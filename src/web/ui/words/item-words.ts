import { callOf, shortNameOf, tellTwinsApart, type Nameable } from '#core/item/naming'
import { groupBy } from '#core/lists/grouping'
import { GRAMS_PER_OUNCE, MILLILITRES_PER_US_FLUID_OUNCE } from '#core/quantity/mass-volume'
import type { UnitSystem } from '#core/settings'
import type { ItemSummary, ListedItem } from '#contract/item'
import { counted } from '#core/words/counted'
import { plainWords } from '#core/words/plain-words'
import { numberWords } from '#web/data/locale'
import { openedWords } from './when-words'

/** How an item is called where its gauge shows what it is: by its shade, else its name. */
export const shortName = shortNameOf

/** How an item is called wherever things are listed, chosen, undone or journalled: maker, shade or name, and kind. */
export function callIt(item: Nameable): string {
  return callOf(item)
}

/** Beside the short name: the kind and who made it. */
export function kindAndMaker(item: Pick<Nameable, 'category' | 'maker'>): string {
  return [item.category, item.maker].filter(Boolean).join(', ')
}

/** What tells things of one name apart in a list, by id: size, opening or uses, whichever does. */
export function twinWords(items: readonly ListedItem[], units: Units = 'metric'): Map<string, string> {
  return tellTwinsApart(items, [
    (item) => contentWords(item.content, units),
    openedWords,
    (item) => usesWords(item.uses),
    (item) => [contentWords(item.content, units), openedWords(item), usesWords(item.uses)].filter(Boolean).join(', '),
  ])
}

/** The same where only short names stand: those of one short name by brand, type or product, whichever does, else by twin words. */
export function apartWords(items: readonly ListedItem[], units: Units = 'metric'): Map<string, string> {
  const found = new Map<string, string>()
  const twins = twinWords(items, units)
  for (const own of groupBy(items, shortName).values()) {
    if (own.length < 2) continue
    const facts = [
      (item: ListedItem) => item.maker,
      (item: ListedItem) => item.category,
      (item: ListedItem) => item.name,
    ]
    const fact = facts.find((tell) => new Set(own.map(tell)).size === own.length)
    for (const item of own) found.set(item.id, (fact ? fact(item) : twins.get(item.id)) || item.maker || item.category)
  }
  return found
}

/** The full name; the shade is added only where the name does not hold it already. */
export function fullName(item: Pick<ListedItem, 'name' | 'shade'>): string {
  if (item.shade === '' || item.name.toLowerCase().includes(item.shade.toLowerCase())) return item.name
  return `${item.name}, ${item.shade}`
}

/** Whether every word typed begins or lies in the maker, name, shade or category. */
export function matchesWords(item: Nameable, text: string): boolean {
  const within = plainWords([item.maker, item.name, item.shade, item.category].join(' '))
  return plainWords(text)
    .split(' ')
    .every((word) => within.includes(word))
}

/** "1 use", "12 uses". */
export function usesWords(count: number): string {
  return counted(count, 'use')
}

/** All its uses as far as they are known: those before the log may be known to nobody. */
export function allUses({ uses, usesBefore, opening }: Pick<ItemSummary, 'uses' | 'usesBefore' | 'opening'>): string {
  const unsaid = usesBefore === null && opening.kind !== 'unopened'
  if (uses === 0) return unsaid ? 'not worn yet' : 'never worn'
  return `${usesWords(uses)} ${unsaid ? 'ticked' : 'in all'}`
}

export type Units = UnitSystem

/** "30 mL", "9.5 g"; by her setting in ounces as a label prints it, "0.34 oz (9.5 g)". */
export function contentWords(content: ListedItem['content'], units: Units = 'metric'): string {
  if (content === null) return ''
  const metric = `${numberWords(content.amount, 2)} ${content.unit === 'g' ? 'g' : 'mL'}`
  if (units === 'metric') return metric
  const ounces =
    content.unit === 'g' ? content.amount / GRAMS_PER_OUNCE : content.amount / MILLILITRES_PER_US_FLUID_OUNCE
  return `${numberWords(ounces, 2)} ${content.unit === 'g' ? 'oz' : 'fl oz'} (${metric})`
}
