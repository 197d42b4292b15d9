import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { ChangeNote } from '#contract/basic'
import type { Fronts } from '#contract/today'
import { get, newId, OutOfReach, Refused, send, type CommandBody } from '#web/api/client'

/** What went wrong, with what can be done about it. */
interface Trouble {
  readonly title: string
  readonly detail: string
  readonly takeBackAll: string | null
  /** Doubted, not forbidden: do it all the same. */
  readonly anyway: (() => void) | null
}

/** Refusals that are questions: she may be right, and the record wrong. */
const DOUBTS = ['worn-before-it-came', 'item-gone']

/** What was last done, how to take it back, and what the fronts show. Shared by the whole house. */
export const useChanges = defineStore('changes', () => {
  const last = ref<ChangeNote | null>(null)
  const trouble = ref<Trouble | null>(null)
  const announcement = ref('')
  const fronts = ref<Fronts | null>(null)
  /** Raised with every change: places that show lists reload by it. */
  const count = ref(0)

  let queue: Promise<void> = Promise.resolve()

  async function loadFronts(): Promise<void> {
    fronts.value = await get<Fronts>('/fronts')
  }

  function say(words: string): void {
    announcement.value = words
  }

  /** Sends a command and reports it; a refusal is shown and returned as null, with nothing lost. */
  async function run<A extends { change: ChangeNote }>(
    method: 'POST' | 'PUT',
    path: string,
    body: CommandBody,
  ): Promise<A | null> {
    try {
      const answer = await send<A>(method, path, body)
      trouble.value = null
      if (answer.change.changed) report(answer.change)
      return answer
    } catch (error) {
      show(error)
      const doubted = error instanceof Refused && DOUBTS.includes(error.problem.code)
      if (doubted && trouble.value)
        trouble.value = {
          ...trouble.value,
          anyway: () => void run(method, path, { ...body, changeId: newId(), despite: true }),
        }
      return null
    }
  }

  function report(change: ChangeNote): void {
    last.value = change
    count.value += 1
    say(change.words)
    void loadFronts()
  }

  function show(error: unknown): void {
    if (error instanceof Refused) {
      const { title, detail } = error.problem
      trouble.value = { title, detail, takeBackAll: null, anyway: null }
    } else if (error instanceof OutOfReach)
      trouble.value = { title: 'No answer.', detail: error.message, takeBackAll: null, anyway: null }
    else throw error
    say(`${trouble.value.title} ${trouble.value.detail}`)
  }

  /** Takes a change back; with those that stand on it when she says so. */
  async function takeBack(id: string, withLater = false): Promise<boolean> {
    try {
      const answer = await send<{ change: ChangeNote }>('POST', `/changes/${id}/take-back`, {
        changeId: newId(),
        withLater,
      })
      if (last.value?.id === id) last.value = null
      trouble.value = null
      count.value += 1
      say(answer.change.words)
      void loadFronts()
      return true
    } catch (error) {
      show(error)
      if (error instanceof Refused && error.problem.code === 'later-changes-stand-on-it' && trouble.value)
        trouble.value = { ...trouble.value, takeBackAll: id }
      return false
    }
  }

  /** Runs acts one after the other, so that the last word on a thing is the one that stands. */
  function inTurn(act: () => Promise<void>): void {
    queue = queue.then(act, act)
  }

  /** Takes back what was done last, once everything still on its way has arrived. */
  function takeBackLast(): void {
    inTurn(async () => {
      if (last.value) await takeBack(last.value.id)
    })
  }

  return {
    inTurn,
    takeBackLast,
    last,
    trouble,
    announcement,
    fronts,
    count,
    loadFronts,
    say,
    run,
    report,
    show,
    takeBack,
  }
})
