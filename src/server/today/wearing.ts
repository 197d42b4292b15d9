import { fail, ok, type Outcome } from '#core/failure'
import type { Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import type { Done } from '../db/journal.js'
import type { House } from '../house.js'
import { todayQueries } from './queries.js'

export interface WornState {
  readonly itemId: string
  readonly day: Day
  readonly worn: boolean
  readonly partIds: readonly string[]
}

type Answer = Outcome<Done<{ worn: { itemId: string; partIds: string[] }[] }>>

/** Ticking what was worn. Every command sets a state, so that saying it twice is saying it once. */
export class Wearing {
  readonly #house: House
  readonly #queries

  constructor(house: House) {
    this.#house = house
    this.#queries = todayQueries(house.db)
  }

  /** Worn or not on a day, with the shades worn of an item that has them. */
  setWorn(state: WornState): Answer {
    const item = this.#house.stock.one(state.itemId, this.#house.today())
    if (!item) return fail('unknown-item', { value: state.itemId })
    const wrong = this.#refusal(item, state.day)
    if (wrong) return wrong
    if (state.partIds.some((id) => !item.parts.some((part) => part.id === id)))
      return fail('unknown-part', { value: state.partIds.join(', ') })
    if (state.worn) this.#put(item, state.day, state.partIds)
    else this.#take(state.itemId, state.day)
    const name = item.shade || item.name
    return ok({
      words: `${name} ${state.worn ? 'worn' : 'not worn'}${state.day === this.#house.today() ? '' : ` on ${state.day}`}`,
      answer: { worn: this.wornOn(state.day) },
    })
  }

  /** Ticks all of these on top of what is ticked: *same as last*. What has left since is passed over. */
  setFace(day: Day, itemIds: readonly string[], words: string): Answer {
    if (day > this.#house.today()) return fail('day-in-future', { value: day })
    const items = this.#house.stock.summaries(itemIds, this.#house.today())
    const missing = itemIds.find((id) => !items.some((item) => item.id === id))
    if (missing !== undefined) return fail('unknown-item', { value: missing })
    for (const item of items) if (this.#refusal(item, day) === null) this.#put(item, day, null)
    return ok({ words, answer: { worn: this.wornOn(day) } })
  }

  setNoMakeup(day: Day, noMakeup: boolean): Outcome<Done<{ noMakeup: boolean }>> {
    if (day > this.#house.today()) return fail('day-in-future', { value: day })
    const count = this.#queries.makeupWornOn.get(day)?.n ?? 0
    if (noMakeup && count > 0) return fail('makeup-worn', { count })
    this.#queries.setNoMakeup.run({ day, noMakeup: noMakeup ? 1 : 0 })
    return ok({ words: noMakeup ? 'No makeup' : 'No makeup taken off', answer: { noMakeup } })
  }

  wornOn(day: Day): { itemId: string; partIds: string[] }[] {
    return this.#queries.wornOn
      .all(day)
      .map((row) => ({ itemId: row.item_id, partIds: JSON.parse(row.parts) as string[] }))
  }

  #refusal(item: ItemSummary, day: Day) {
    if (day > this.#house.today()) return fail('day-in-future', { value: day })
    if (item.endedOn !== null && day > item.endedOn)
      return fail('item-gone', { value: day, name: item.name, day: item.endedOn })
    return null
  }

  /** `partIds` null leaves the shades of a wear that is there as they are. */
  #put(item: ItemSummary, day: Day, partIds: readonly string[] | null): void {
    const there = this.#queries.wear.get({ itemId: item.id, day })
    // One wear per item and day; the id says so too.
    const wearId = there?.id ?? `${item.id}.${day}`
    if (!there) this.#queries.addWear.run({ id: wearId, itemId: item.id, day })
    if (partIds !== null) this.#setParts(wearId, partIds)
    if (item.lifecycle === 'unopened') this.#queries.openItem.run({ id: item.id, day })
    // "No makeup" and a ticked lipstick contradict each other; the later word holds.
    if (item.makeup && (this.#queries.noMakeup.get(day)?.no_makeup ?? 0) === 1)
      this.#queries.setNoMakeup.run({ day, noMakeup: 0 })
  }

  #setParts(wearId: string, partIds: readonly string[]): void {
    const now = this.#queries.wornParts.all(wearId).map((row) => row.part_id)
    for (const partId of now) if (!partIds.includes(partId)) this.#queries.dropPart.run({ wearId, partId })
    for (const partId of new Set(partIds))
      if (!now.includes(partId)) this.#queries.addPart.run({ id: `${wearId}.${partId}`, wearId, partId })
  }

  #take(itemId: string, day: Day): void {
    const there = this.#queries.wear.get({ itemId, day })
    if (!there) return
    this.#queries.dropParts.run(there.id)
    this.#queries.dropWear.run(there.id)
  }
}
