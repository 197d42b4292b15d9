import { watch } from 'vue'
import type { EntryKey } from '@pinia/colada'
import type { ListedItem } from '#contract/item'
import type { DayAfterTicks, TodayAnswer } from '#contract/today'
import type { Day } from '#core/calendar/day'
import { get } from './client'
import { itemsOf, usePendingActs, type PendingAct } from './pending-acts'
import { KEYS, useStaleness } from './reads'

/**
 * What becomes of the answers once ticks have arrived: the day they were made for is brought up to date by one small question,
 * whatever was looked at before; everything else is asked again when it is on the screen, or next looked at.
 */
export function useAfterTicks(): void {
  const pending = usePendingActs()
  const stale = useStaleness()
  watch(
    () => pending.delivered,
    (acts) => void bringUpToDate(acts),
  )

  async function bringUpToDate(acts: readonly PendingAct[]): Promise<void> {
    const day = acts[0]?.day
    const keys = day === undefined ? [] : [KEYS.day(day), KEYS.day(null)].filter((key) => knownDay(key) === day)
    // What is said of the day itself changes which earlier looks are offered: that is more than ticks.
    const onlyTicks = acts.every((act) => act.day === day && act.takesBack === undefined && act.path !== '/day')
    if (day === undefined || keys.length === 0 || !onlyTicks || !(await patched(day, keys, acts))) await stale.all()
    pending.settle(acts)
  }

  async function patched(day: Day, keys: readonly EntryKey[], acts: readonly PendingAct[]): Promise<boolean> {
    try {
      const items = [...new Set(acts.flatMap(itemsOf))].join(',')
      const [{ fronts, ...after }] = await Promise.all([
        get<DayAfterTicks>(`/day-after-ticks?day=${day}&items=${items}`),
        stale.all([...keys, KEYS.fronts]),
      ])
      for (const key of keys) stale.patch<TodayAnswer>(key, (before) => merged(before, after))
      stale.patch(KEYS.fronts, () => fronts)
      return true
    } catch {
      return false
    }
  }

  function knownDay(key: EntryKey): Day | null {
    return stale.known<TodayAnswer>(key)?.day ?? null
  }
}

function merged(before: TodayAnswer, after: Omit<DayAfterTicks, 'fronts'>): TodayAnswer {
  const fresh = new Map<string, ListedItem>(after.items.map((item) => [item.id, item]))
  const kept = before.items.map((item) => fresh.get(item.id) ?? item)
  const added = after.items.filter((item) => !before.items.some((each) => each.id === item.id))
  const worn = new Set(after.worn.map((each) => each.itemId))
  const items = [...kept, ...added].filter(
    (item) => item.placement !== null || worn.has(item.id) || before.onTrial.includes(item.id),
  )
  return { ...before, ...after, items }
}
