import { computed, type Ref } from 'vue'
import type { TodayAnswer } from '#contract/today'
import type { Day } from '#core/calendar/day'
import { Refused } from '#web/data/client'
import { useHerDay } from '#web/data/her-day'
import { usePendingActs } from '#web/data/pending-acts'
import { useDay } from '#web/data/reads'
import { dayWithPending, freshDay } from './day-with-pending'

/** The day that is on the screen: the one asked for (null = today), as the server knows it, with what is on its way on top. */
export function useShownDay(asked: Ref<Day | null>) {
  const herDay = useHerDay()
  const pending = usePendingActs()
  const { answer, failed } = useDay(asked)

  /** What the server said of it; of a day that began while it is away, what lies in the drawer. */
  const known = computed<TodayAnswer | null>(() => {
    const said = answer.value
    if (said === null || asked.value !== null || herDay.today === null || said.day >= herDay.today) return said
    return freshDay(said, herDay.today)
  })
  const shown = computed(() => known.value && dayWithPending(known.value, pending.onTop))
  const items = computed(() => new Map((shown.value?.items ?? []).map((item) => [item.id, item])))
  const wears = computed(() => new Map((shown.value?.worn ?? []).map((each) => [each.itemId, each])))
  const worn = computed(() => new Map((shown.value?.worn ?? []).map((each) => [each.itemId, each.partIds])))
  /** What was worn, in makeup order. */
  const look = computed(() =>
    (shown.value?.items ?? []).filter((item) => worn.value.has(item.id)).sort((a, b) => a.makeupOrder - b.makeupOrder),
  )

  return {
    shown,
    items,
    worn,
    wears,
    look,
    /** Whether the day asked for cannot be shown. */
    refused: computed(() => failed.value instanceof Refused),
  }
}
