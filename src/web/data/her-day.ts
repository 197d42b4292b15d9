import { defineStore } from 'pinia'
import { useEventListener } from '@vueuse/core'
import { computed, ref } from 'vue'
import { addDays, type Day } from '#core/calendar/day'

/** What every answer of the server says of her day. */
export interface DayTold {
  readonly today: Day
  /** The instant at which the next of her days begins, by the server's clock. */
  readonly endsAt: number
  /** The server's clock when it answered. */
  readonly now: number
}

const DAY_MS = 86_400_000
/** Timers drift while a machine sleeps: the clock is looked at again after this long at the latest. */
const LONGEST_WAIT_MS = 20 * 60_000

/**
 * Her day, as the server last told it. While nothing answers, the browser reckons on from the instant of the next roll-over,
 * on the server's clock; the next answer has the last word.
 */
export const useHerDay = defineStore('her day', () => {
  const today = ref<Day | null>(null)
  /** The day that was over when the page last moved on by itself; null once that is read. */
  const turnedFrom = ref<Day | null>(null)
  let endsAt = Number.POSITIVE_INFINITY
  /** What has to be added to this machine's clock to have the server's. */
  let ahead = 0
  let timer: ReturnType<typeof setTimeout> | undefined

  /** Takes what an answer said. A day that is over is told as such, whoever notices first. */
  function told(fact: DayTold): void {
    ahead = fact.now - Date.now()
    endsAt = fact.endsAt
    move(fact.today)
    wait()
  }

  /** Looks at the clock: past the end of her day the next one has begun. */
  function look(): void {
    const now = Date.now() + ahead
    if (today.value !== null && now >= endsAt) {
      const days = Math.floor((now - endsAt) / DAY_MS) + 1
      endsAt += days * DAY_MS
      move(addDays(today.value, days))
    }
    wait()
  }

  function move(day: Day): void {
    if (today.value !== null && day > today.value) turnedFrom.value = today.value
    today.value = day
  }

  function wait(): void {
    clearTimeout(timer)
    if (endsAt === Number.POSITIVE_INFINITY) return
    timer = setTimeout(look, Math.min(Math.max(endsAt - Date.now() - ahead, 0) + 50, LONGEST_WAIT_MS))
  }

  if (typeof document !== 'undefined') {
    useEventListener(document, 'visibilitychange', look)
    useEventListener(window, 'focus', look)
  }

  return { today: computed(() => today.value), turnedFrom, told, look }
})
