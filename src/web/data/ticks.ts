import type { ListedItem } from '#contract/item'
import type { DayView } from '#contract/today'
import { dayMark } from '#core/words/told'
import { shortNameOf } from '#core/item/naming'
import type { Day } from '#core/calendar/day'
import { newId } from './client'
import { useHerDay } from './her-day'
import { tellDays } from './locale'
import { usePendingActs } from './pending-acts'

/** Where the shades, mixes and uses of a look come from. */
export type Like = { readonly kind: 'day'; readonly day: Day } | { readonly kind: 'face'; readonly id: string }

/** How one thing was worn. */
export interface WearDetails {
  readonly itemId: string
  readonly usedAs: string | null
  readonly amount: number | null
  readonly amountUnit: string | null
  readonly felt: string
  /** Of the wear as it was when the form was filled in. */
  readonly version: number
}

/** Acts on a day: each shows at once, waits where nobody answers, and arrives once, for the day that was on the screen. */
export function useTicks() {
  const pending = usePendingActs()
  const herDay = useHerDay()

  function tick(day: Day, path: string, words: string, body: object, items: readonly ListedItem[] = []): void {
    const id = newId()
    const on = day === herDay.today ? '' : ` on ${tellDays(dayMark(day))}`
    pending.add({
      id,
      method: 'POST',
      path,
      body: { changeId: id, day, ...body },
      day,
      words: `${words}${on}`,
      ...(items.length > 0 ? { items } : {}),
    })
  }

  return {
    setWorn(item: ListedItem, day: Day, worn: boolean, partIds: readonly string[] = []): void {
      const words = `${shortNameOf(item)} ${worn ? 'worn' : 'not worn'}`
      tick(day, '/wear', words, { itemId: item.id, worn, partIds: [...partIds] }, [item])
    },
    /** Puts a whole look on, on top of what is ticked. */
    putOn(day: Day, itemIds: readonly string[], words: string, like: Like | null): void {
      tick(day, '/face', words, { itemIds: [...itemIds], like, words })
    },
    setNoMakeup(day: Day, noMakeup: boolean): void {
      tick(day, '/no-makeup', noMakeup ? 'No makeup' : 'Makeup after all', { noMakeup })
    },
    setNotToday(item: ListedItem, day: Day): void {
      tick(day, '/not-today', `${shortNameOf(item)}: not today`, { itemId: item.id, notToday: true })
    },
    setPutBack(item: ListedItem, day: Day): void {
      tick(day, '/put-back', `${shortNameOf(item)} put back unused`, { itemId: item.id, putBack: true }, [item])
    },
    /** What changed of how a day is, over what stood there. */
    setConditions(day: Day, set: Partial<DayView>, was: DayView): void {
      if (Object.keys(set).length > 0) tick(day, '/day', 'Said how the day is', { set, was })
    },
    setDetails(day: Day, details: WearDetails): void {
      tick(day, '/wear-details', 'Recorded how it was worn', details)
    },
    mix(day: Day, itemIds: readonly string[], ratio: string): void {
      tick(day, '/mix', `Mixed ${ratio}`, { mixId: newId(), itemIds: [...itemIds], ratio })
    },
  }
}
