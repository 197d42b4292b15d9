import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { ChangeNote } from '#contract/basic'
import type { Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import type { TodayAnswer } from '#contract/today'
import { get, newId } from '#web/api/client'
import { useChanges } from '#web/shell/changes'

type WornAnswer = { worn: TodayAnswer['worn']; change: ChangeNote }

/** One day's face: shown at once, stored in order, rolled back when the server refuses. */
export const useToday = defineStore('today', () => {
  const changes = useChanges()
  const answer = ref<TodayAnswer | null>(null)
  const waiting = ref(0)

  const items = computed(() => new Map((answer.value?.items ?? []).map((item) => [item.id, item])))
  const worn = computed(() => new Map((answer.value?.worn ?? []).map((each) => [each.itemId, each.partIds])))
  /** What was worn, in the order of a face. */
  const face = computed(() => (answer.value?.items ?? []).filter((item) => worn.value.has(item.id)))
  const outside = computed(() => face.value.filter((item) => item.placement === null))

  async function load(day: Day | null): Promise<void> {
    answer.value = await get<TodayAnswer>(day === null ? '/today' : `/today?day=${day}`)
  }

  /** Loads again what is shown, unless ticks are still on their way. */
  async function refresh(): Promise<void> {
    const day = answer.value?.day
    if (day === undefined || waiting.value > 0) return
    const fresh = await get<TodayAnswer>(`/today?day=${day}`)
    if (waiting.value === 0 && answer.value?.day === day) answer.value = fresh
  }

  function setWorn(item: ItemSummary, isWorn: boolean, partIds: readonly string[] = []): void {
    const shown = answer.value
    if (!shown) return
    const before = shown.worn
    shown.worn = [
      ...before.filter((each) => each.itemId !== item.id),
      ...(isWorn ? [{ itemId: item.id, partIds: [...partIds] }] : []),
    ]
    if (!shown.items.some((each) => each.id === item.id)) shown.items.push(item)
    if (isWorn && item.makeup) shown.noMakeup = false
    const { day } = shown
    enqueue(before, () =>
      changes.run<WornAnswer>('POST', '/wear', {
        changeId: newId(),
        itemId: item.id,
        day,
        worn: isWorn,
        partIds: [...partIds],
      }),
    )
  }

  function sameAsLast(): void {
    const shown = answer.value
    const last = shown?.lastFace
    if (!shown || !last) return
    const before = shown.worn
    const missing = last.itemIds.filter((id) => !worn.value.has(id))
    shown.worn = [...before, ...missing.map((itemId) => ({ itemId, partIds: [] }))]
    const { day } = shown
    enqueue(before, () => changes.run<WornAnswer>('POST', '/face', { changeId: newId(), day, itemIds: last.itemIds }))
  }

  async function setNoMakeup(noMakeup: boolean): Promise<void> {
    const shown = answer.value
    if (!shown) return
    const done = await changes.run('POST', '/no-makeup', { changeId: newId(), day: shown.day, noMakeup })
    if (done) await refresh()
  }

  /** Ticks go out one after the other, so that the last word on an item is the one that stands. */
  function enqueue(before: TodayAnswer['worn'], act: () => Promise<WornAnswer | null>): void {
    waiting.value += 1
    changes.inTurn(async () => {
      const done = await act()
      waiting.value -= 1
      if (done === null && answer.value) answer.value.worn = before
      await refresh()
    })
  }

  return { answer, items, worn, face, outside, waiting, load, refresh, setWorn, sameAsLast, setNoMakeup }
})
