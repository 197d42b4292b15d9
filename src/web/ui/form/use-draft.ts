import { computed, ref, toRaw, type Ref } from 'vue'
import type { ChangeNote } from '#contract/basic'
import { newId, OutOfReach, Refused, send, type Method } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { differencesOf } from './differences'
import { useOpenDrafts } from './open-drafts'

/** After this, in milliseconds, it is said what is happening. */
const SLOW_MS = 10_000
const STOPPED =
  'You stopped waiting. It may be saved, or not; what you typed is kept here, and saving again settles it.'

interface Sent {
  readonly method: Method
  readonly path: string
  readonly body: object
}

/**
 * What is typed in a form, from its first letter until it is stored: refusals by field, nothing lost, and stored once. The ids
 * of the change and of its records are made when the draft begins and are kept until it is stored, so that storing again after
 * a lost answer is the same act.
 */
export function useDraft<T extends object>(
  initial: () => T,
  /** For a conflict: what the fields are called, and how what another window stored reads as a draft. */
  {
    names = {},
    theirs: asDraft = (current: object) => current as Partial<T>,
  }: { names?: Partial<Record<keyof T, string>>; theirs?: (current: object) => Partial<T> } = {},
) {
  const changes = useChanges()
  const drafts = useOpenDrafts()
  const typed = ref(copyOf(initial())) as Ref<T>
  const start = ref(JSON.stringify(typed.value))
  const busy = ref(false)
  const refused = ref<Refused | null>(null)
  const outOfReach = ref('')
  const isTyped = computed(() => JSON.stringify(typed.value) !== start.value)
  let ids = new Map<string, string>()
  /** What was sent without an answer: it may be stored, or not. */
  let unsure: Sent | null = null
  /** How many versions further the record is than when the draft began, by what was settled here. */
  let further = 0
  /** It takes longer than anybody waits without a word. */
  const slow = ref(false)
  let waiting: AbortController | null = null
  /** The version that another window stored, once she has chosen to store hers over it. */
  let over: number | null = null
  drafts.watchOver(() => isTyped.value)

  /** What another window stored meanwhile, where that kept this from being stored: field by field. */
  const conflict = computed(() => {
    const problem = refused.value?.problem
    if (problem?.code !== 'stale') return null
    const current = (problem.current ?? {}) as { version?: number }
    const there = asDraft(current) as Record<string, unknown>
    const theirs = Object.fromEntries(
      Object.keys(typed.value).flatMap((key) => (key in there ? [[key, there[key]]] : [])),
    )
    const known = Object.fromEntries(Object.keys(theirs).map((key) => [key, names[key as keyof T] ?? spaced(key)]))
    return {
      problem,
      version: Number(current.version ?? 0),
      differences: differencesOf(known, typed.value as Record<string, unknown>, theirs),
    }
  })

  /** The next storing is over what the other window stored. */
  function overwrite(): void {
    over = conflict.value?.version ?? null
    further = 0
  }

  /** Waits no longer for an answer; what is typed stays, and storing again settles what became of it. */
  function stopWaiting(): void {
    waiting?.abort()
  }

  /** An id of this draft by what it is for: the same until the draft is stored. */
  function id(of: string): string {
    const known = ids.get(of) ?? newId()
    ids.set(of, known)
    return known
  }

  /** Begins anew, from what stands or from what is given. */
  function begin(from: T = initial()): void {
    typed.value = copyOf(from)
    start.value = JSON.stringify(typed.value)
    ids = new Map()
    unsure = null
    further = 0
    refused.value = null
    outOfReach.value = ''
    over = null
  }

  /** Stores what is typed as one change; null, with the words of the refusal, where it cannot be. */
  async function store<A extends { change: ChangeNote }>(
    method: Method,
    path: string,
    body: object,
  ): Promise<A | null> {
    if (busy.value) return null
    busy.value = true
    waiting = new AbortController()
    const timer = setTimeout(() => (slow.value = true), SLOW_MS)
    refused.value = null
    outOfReach.value = ''
    const now: Sent = { method, path, body: { ...body, ...versionOf(body) } }
    try {
      if (unsure !== null && JSON.stringify(unsure) !== JSON.stringify(now)) await settle(unsure)
      unsure = { ...now, body: { ...body, ...versionOf(body) } }
      const answer = await send<A>(method, path, { changeId: id('change'), ...unsure.body }, waiting.signal)
      unsure = null
      further = 0
      over = null
      start.value = JSON.stringify(typed.value)
      ids = new Map()
      if (answer.change.changed) changes.report(answer.change)
      return answer
    } catch (error) {
      if (error instanceof Refused) {
        // An id that was refused was not used up: what is mended goes out under it.
        unsure = null
        refused.value = error
      } else if (error instanceof OutOfReach) outOfReach.value = error.message
      else if (waiting.signal.aborted) outOfReach.value = STOPPED
      else throw error
      // Nobody knows whether it was stored: what stands is asked for again.
      if (outOfReach.value !== '') void changes.refresh()
      changes.say(outOfReach.value || (error as Error).message)
      return null
    } finally {
      clearTimeout(timer)
      slow.value = false
      busy.value = false
    }
  }

  /** What was sent may have been stored, and more was typed since: that first act is taken back, so that this one is the only. */
  async function settle(sent: Sent): Promise<void> {
    const changeId = id('change')
    try {
      await send(sent.method, sent.path, { changeId, ...sent.body })
      await send('POST', `/changes/${changeId}/take-back`, { changeId: newId() })
      // One for the edit, one for its taking back.
      further += 2
    } catch (error) {
      if (!(error instanceof Refused)) throw error
    }
    ids.set('change', newId())
  }

  function versionOf(body: object): { version?: number } {
    if (!('version' in body) || typeof body.version !== 'number') return {}
    return { version: (over ?? body.version) + further }
  }

  /** The message for a field, as Vuetify's fields take it. */
  function on(field: string): string[] {
    const message = refused.value?.on(field)
    return message === undefined ? [] : [message]
  }

  return { typed, isTyped, busy, slow, refused, outOfReach, conflict, overwrite, stopWaiting, id, begin, store, on }
}

export type Draft<T extends object> = ReturnType<typeof useDraft<T>>
/** What a form shows of its draft, whatever is typed in it. */
export type DraftState = Pick<
  Draft<object>,
  'busy' | 'slow' | 'refused' | 'outOfReach' | 'isTyped' | 'conflict' | 'overwrite' | 'stopWaiting'
>

/** "slots" is read as it stands, "zoneId" as "zone". */
function spaced(key: string): string {
  return key.replace(/Ids?$/, '').replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`)
}

function copyOf<T>(value: T): T {
  return JSON.parse(JSON.stringify(toRaw(value))) as T
}
