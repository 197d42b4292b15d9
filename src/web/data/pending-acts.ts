import { useEventListener } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { ChangeNote } from '#contract/basic'
import type { ListedItem } from '#contract/item'
import type { Day } from '#core/calendar/day'
import { newId, OutOfReach, Refused, sendOnce, type CommandBody, type Method } from './client'
import { actsOnThisDevice } from './kept-acts'
import { useServerFacts } from './server-facts'

/** An act on a day that the server has not confirmed yet. It is data: what is shown is the server's word with these on top. */
export interface PendingAct {
  /** The change id: sent again under it, it is still one act. */
  readonly id: string
  readonly method: Method
  readonly path: string
  readonly body: CommandBody
  /** The day that was on the screen. */
  readonly day: Day
  /** The collection it was made in: it waits for that one, and for no other at this address. Acts of earlier versions have none. */
  readonly collection?: string | null
  /** What she did, as the bar and the waiting list call it. */
  readonly words: string
  /** When it was made, in milliseconds: they go out in this order. */
  readonly madeAt: number
  /** The change that it takes back. */
  readonly takesBack?: string
  /** Things it puts on the screen that need not lie there. */
  readonly items?: readonly ListedItem[]
}

/** Who is told what became of an act. */
export interface PendingEar {
  done(act: PendingAct, change: ChangeNote): void
  refused(act: PendingAct, refusal: Refused, again: () => void): void
  waiting(words: string): void
}

/** Pauses between tries while nobody answers, in milliseconds; the last one is kept to. */
const PAUSES = [300, 900, 2500, 5000, 10_000]
/** So many silent tries are still a gap; then it is said. */
const SAID_AFTER = 2

/**
 * Acts on their way, one after the other, so that the last word on a thing is the one that stands. A refusal takes back its
 * own act alone. While nobody answers they wait, also over a closed tab, and go out in order when somebody does.
 */
export const usePendingActs = defineStore('pending acts', () => {
  const kept = actsOnThisDevice<PendingAct>()
  const acts = ref<PendingAct[]>([])
  /** Those that have been sent without an answer, so that nobody knows whether they were done. */
  const tried = new Set<string>()
  const server = useServerFacts()
  const silentTries = ref(0)
  /** What has arrived, but not yet come back in an answer: shown on top until it has. */
  const arrived = ref<PendingAct[]>([])
  /** The same, once nothing is waiting any more. */
  const delivered = shallowRef<readonly PendingAct[]>([])
  let running = false
  let wake: (() => void) | null = null
  let ear: PendingEar | null = null

  /** Those of the collection that is open; until it is known which that is, all of them. */
  const here = computed(() => acts.value.filter(isHere))
  /** Those of another one that was open at this address. */
  const elsewhere = computed(() => acts.value.filter((act) => !isHere(act)))
  /** Everything that lies on top of what the server said. */
  const onTop = computed(() => [...arrived.value, ...here.value])
  /** The items of the ticks among them. */
  const waitingItems = computed(() => new Set(here.value.flatMap(itemsOf)))
  const away = computed(() => silentTries.value > SAID_AFTER)

  function isHere({ collection = null }: PendingAct): boolean {
    return collection === null || server.collection === null || collection === server.collection
  }

  /** Lets go of what waits for a collection that is not coming back. */
  function dropElsewhere(): void {
    elsewhere.value.forEach(drop)
  }

  /** Shown at once, kept on this device, sent in turn. */
  function add(act: Omit<PendingAct, 'madeAt'>): void {
    const last = acts.value.at(-1)?.madeAt ?? 0
    const full = { ...act, collection: act.collection ?? server.collection, madeAt: Math.max(Date.now(), last + 1) }
    acts.value = [...acts.value, full]
    void kept.keep(full).catch(() => undefined)
    wake?.()
    void run()
  }

  /** What was waiting when the tab was closed goes first. */
  async function resume(): Promise<void> {
    const known = new Set(acts.value.map((act) => act.id))
    const left = (await kept.all()).filter((act) => !known.has(act.id))
    for (const act of left) tried.add(act.id)
    acts.value = [...left, ...acts.value].sort((a, b) => a.madeAt - b.madeAt)
    void run()
  }

  /** Takes back an act that may not have arrived: one that was never sent is simply not sent. */
  function takeBack(act: PendingAct): void {
    if (!tried.has(act.id)) return drop(act)
    const id = newId()
    add({
      id,
      method: 'POST',
      path: `/changes/${act.id}/take-back`,
      body: { changeId: id },
      day: act.day,
      words: `Undid: ${act.words}`,
      takesBack: act.id,
    })
  }

  function drop(act: PendingAct): void {
    acts.value = acts.value.filter((each) => each.id !== act.id)
    tried.delete(act.id)
    void kept.drop(act.id).catch(() => undefined)
  }

  async function run(): Promise<void> {
    if (running) return
    running = true
    try {
      for (let act = here.value[0]; act !== undefined; act = here.value[0])
        if (!(await sent(act))) await pause(PAUSES[Math.min(silentTries.value - 1, PAUSES.length - 1)] ?? 0)
    } finally {
      running = false
      if (arrived.value.length > 0) delivered.value = [...arrived.value]
    }
  }

  /** Whether there is an answer: it was done, or it will not be. */
  async function sent(act: PendingAct): Promise<boolean> {
    tried.add(act.id)
    try {
      const answer = await sendOnce<{ change: ChangeNote }>(act.method, act.path, act.body, undefined, act.collection)
      silentTries.value = 0
      arrived.value = [...arrived.value, act]
      drop(act)
      ear?.done(act, answer.change)
      return true
    } catch (error) {
      if (error instanceof OutOfReach) {
        silentTries.value += 1
        if (silentTries.value === SAID_AFTER + 1) ear?.waiting(waitingWords(here.value.length))
        return false
      }
      silentTries.value = 0
      // Another collection answers here by now: it waits for its own.
      if (error instanceof Refused && error.problem.code === 'other-collection') return isHere(act) ? false : true
      drop(act)
      if (!(error instanceof Refused)) throw error
      ear?.refused(act, error, () => addAgain(act, error))
      return true
    }
  }

  /** Asked and answered: the same act once more, as an act of its own. */
  function addAgain(act: PendingAct, { problem }: Refused): void {
    const id = newId()
    // Over what another window stored: hers stands on that.
    const stale = problem.code === 'stale' ? overOf(act, problem.current) : { despite: true }
    add({ ...act, id, body: { ...act.body, ...stale, changeId: id } })
  }

  function overOf({ path }: PendingAct, current: unknown): object {
    return path === '/day' ? { was: current } : { version: (current as { version?: number } | null)?.version ?? 1 }
  }

  function pause(ms: number): Promise<void> {
    return new Promise((resolve) => {
      const timer = setTimeout(done, ms)
      function done(): void {
        clearTimeout(timer)
        wake = null
        resolve()
      }
      wake = done
    })
  }

  // Their own collection is open again: what waited for it goes out.
  watch(
    () => server.collection,
    () => {
      wake?.()
      void run()
    },
  )
  if (typeof document !== 'undefined') {
    useEventListener(window, 'online', () => wake?.())
    useEventListener(document, 'visibilitychange', () => wake?.())
  }

  /** These have come back in an answer. */
  function settle(settled: readonly PendingAct[]): void {
    arrived.value = arrived.value.filter((act) => !settled.includes(act))
  }

  function listen(to: PendingEar): void {
    ear = to
  }

  return {
    acts: here,
    waitingItems,
    elsewhere,
    onTop,
    away,
    delivered,
    add,
    resume,
    takeBack,
    settle,
    listen,
    dropElsewhere,
  }
})

/** The items that an act is on. */
export function itemsOf({ body }: PendingAct): string[] {
  const ids = [body['itemId'], ...((body['itemIds'] as unknown[] | undefined) ?? [])]
  return ids.filter((id): id is string => typeof id === 'string')
}

/** While the server is away: what waits, and that it is safe. */
export function waitingWords(count: number): string {
  const what = count === 1 ? '1 change waiting' : `${count} acts wait`
  return `Seligo doesn’t answer. ${what} on this phone, for the day each was made, and will be saved when it is back.`
}
