import type { Response } from 'express'
import type { Day } from '#core/calendar/day'
import type { CollectionAnswer } from '#contract/item'
import type { House } from '../house.js'
import type { ItemFacts } from './item-facts.js'

/** Answers with a list of items as the contract's `CollectionAnswer`, from JSON that is kept item by item. */
export function sendCollection(house: House, response: Response, today: Day, items: readonly ItemFacts[]): void {
  const head: Omit<CollectionAnswer, 'items'> = { today, currency: house.settings().currency }
  response.type('json').send(`${JSON.stringify(head).slice(0, -1)},"items":${house.stock.json(items)}}`)
}
