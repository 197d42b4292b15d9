import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { ChangeNote } from '#contract/basic'
import type { Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import type { TodayAnswer } from '#contract/today'
import { get, newId } from '#web/api/client'
import { useChanges } from '#web/shell/changes'

/** Where the shades, mixes and uses of a face come from. */
type Like = { kind: 'day'; day: Day } | { kind: 'face'; id: string }
type WornAnswer = { worn: TodayAnswer['worn']; change: ChangeNote }

/** One day's face: shown at once, stored in order, rolled back when the server refuses. */
export const useToday = defineStore('today', () => {
  const changes = useChanges()
  const answer = ref<TodayAnswer | null>(null)
  const waiting = ref(0)
  /** The day that is on its way. */
  const opening = shallowRef<Promise<void> | null>(null)

  const items = computed(() => new Map((answer.value?.items ?? []).map((item) => [item.id, item])))
  const worn = computed(() => new Map((answer.value?.worn ?? []).map((each) => [each.itemId, each.partIds])))
  const wears = computed(() => new Map((answer.value?.worn ?? []).map((each) => [each.itemId, each])))
  /** What was worn, in the order of a face. */
  const face = computed(() => (answer.value?.items ?? []).filter((item) => worn.value.has(item.id)))

  /** Opens a day, or today; asked for another meanwhile, the last asked is the one that comes. */
  function load(day: Day | null): Promise<void> {
    const mine = get<TodayAnswer>(day === null ? '/today' : `/today?day=${day}`)
      .then((fresh) => {
        if (opening.value === mine) answer.value = fresh
      })
      .finally(() => {
        if (opening.value === mine) opening.value = null
      })
    opening.value = mine
    return mine
  }

  /** Does it now, or once the day that was asked for lies open: a tap is never taken for the day before. */
  function onTheDayAsked(act: () => unknown): void {
    const coming = opening.value
    if (coming === null) act()
    else void coming.then(() => opening.value === null && act())
  }

  /** Loads again what is shown, unless ticks are still on their way. */
  async function refresh(): Promise<void> {
    const day = answer.value?.day
    if (day === undefined || waiting.value > 0 || opening.value !== null) return
    const fresh = await get<TodayAnswer>(`/today?day=${day}`)
    if (waiting.value === 0 && opening.value === null && answer.value?.day === day) answer.value = fresh
  }

  function setWorn(item: ItemSummary, isWorn: boolean, partIds: readonly string[] = []): void {
    const shown = answer.value
    if (!shown) return
    const before = shown.worn
    shown.worn = [...before.filter((each) => each.itemId !== item.id), ...(isWorn ? [plainWear(item.id, partIds)] : [])]
    if (!shown.items.some((each) => each.id === item.id)) shown.items.push(item)
    if (isWorn && item.makeup) shown.noMakeup = false
    const { day } = shown
    enqueue(shown, before, () =>
      changes.run<WornAnswer>('POST', '/wear', {
        changeId: newId(),
        itemId: item.id,
        day,
        worn: isWorn,
        partIds: [...partIds],
      }),
    )
  }

  /** Puts a whole face on, on top of what is ticked. */
  function putOn(itemIds: readonly string[], words: string, like: Like | null = null): void {
    const shown = answer.value
    if (!shown) return
    const before = shown.worn
    const missing = itemIds.filter((id) => !worn.value.has(id))
    shown.worn = [...before, ...missing.map((itemId) => plainWear(itemId, []))]
    const { day } = shown
    enqueue(shown, before, () =>
      changes.run<WornAnswer>('POST', '/face', { changeId: newId(), day, itemIds, like, words }),
    )
  }

  async function say(path: string, body: Readonly<Record<string, unknown>>): Promise<boolean> {
    await opening.value
    const shown = answer.value
    if (!shown) return false
    const done = await changes.run('POST', path, { changeId: newId(), day: shown.day, ...body })
    if (done) await refresh()
    return done !== null
  }

  async function setNoMakeup(noMakeup: boolean): Promise<void> {
    await say('/no-makeup', { noMakeup })
  }

  /** Ticks go out one after the other, so that the last word on an item is the one that stands. */
  function enqueue(shown: TodayAnswer, before: TodayAnswer['worn'], act: () => Promise<WornAnswer | null>): void {
    waiting.value += 1
    changes.inTurn(async () => {
      const done = await act()
      waiting.value -= 1
      if (done === null) shown.worn = before
      await refresh()
    })
  }

  return { answer, items, worn, wears, face, waiting, load, onTheDayAsked, refresh, setWorn, putOn, say, setNoMakeup }
})

/** A wear of which nothing is said but its shades. */
function plainWear(itemId: string, partIds: readonly string[]): TodayAnswer['worn'][number] {
  return { itemId, partIds: [...partIds], usedAs: null, amount: null, amountUnit: null, felt: null, mix: null }
}
