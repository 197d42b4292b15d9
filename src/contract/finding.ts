import type { ListedItem } from './item.js'

export interface GoneItem {
  item: ListedItem
  endedAs: string
  verdict: { verdict: string; destination: string | null; reason: string } | null
  review: { wouldBuyAgain: string | null; words: string } | null
}

export interface FindAnswer {
  /** Of what is there, the closest first. */
  ids: string[]
  gone: GoneItem[]
}
