import { defineStore } from 'pinia'
import { computed, onScopeDispose, ref } from 'vue'
import type { ChangeNote } from '#contract/basic'
import { newId, OutOfReach, Refused, send, type CommandBody, type Method } from './client'
import { usePendingActs } from './pending-acts'
import { useStaleness } from './reads'

/** What went wrong, with what can be done about it. */
export interface Trouble {
  readonly title: string
  readonly detail: string
  /** What can be done about it: its name, and the doing. */
  readonly remedy: { readonly words: string; readonly act: () => void } | null
}

/** Refusals that are questions: she may be right, and the record wrong. */
const DOUBTS = ['worn-before-it-came', 'item-gone']
/** What is done about each refusal that can be gone on from. */
const ANYWAY: Readonly<Record<string, string>> = { stale: 'Save mine over it' }

/** What was last done, how to take it back, and what went wrong. Shared by the whole house. */
export const useChanges = defineStore('changes', () => {
  const done = ref<ChangeNote | null>(null)
  const trouble = ref<Trouble | null>(null)
  const announcement = ref('')
  /** The change that was taken back last: for a page that shows what came of it. */
  const takenBack = ref<string | null>(null)
  /** How many lines of a page offer the way back themselves, so that no strip need say it twice. */
  const lines = ref(0)
  const pending = usePendingActs()
  const stale = useStaleness()

  /** What a take-back would take back: the last act that waits, else the last that was done. */
  const last = computed<{ id: string; words: string } | null>(() => pending.acts.at(-1) ?? done.value)

  function say(words: string): void {
    announcement.value = words
  }

  /**
   * Sends a command and reports it; a refusal or a silence is said and returned as null, with nothing lost. After a silence
   * it can be sent again under the same id.
   */
  async function run<A extends { change: ChangeNote }>(
    method: Method,
    path: string,
    body: CommandBody,
  ): Promise<A | null> {
    try {
      const answer = await send<A>(method, path, body)
      trouble.value = null
      if (answer.change.changed) report(answer.change)
      return answer
    } catch (error) {
      show(error, {
        again: () => void run(method, path, body),
        anyway: () => void run(method, path, { ...body, changeId: newId(), despite: true }),
      })
      return null
    }
  }

  /** A change that is stored: it can be taken back, and all that shows what it touched is asked for again. */
  function report(change: ChangeNote): void {
    note(change)
    void stale.all()
  }

  function note(change: ChangeNote): void {
    done.value = change
    say(change.words)
  }

  /** Says a failure in its own words; a fault of ours goes on as one. */
  function show(error: unknown, on: { of?: string; again?: () => void; anyway?: () => void } = {}): void {
    if (error instanceof Refused) {
      const { title, detail, code } = error.problem
      const { anyway } = on
      trouble.value = {
        title: on.of === undefined ? title : `${on.of}: ${title.charAt(0).toLowerCase()}${title.slice(1)}`,
        detail,
        remedy:
          anyway && (DOUBTS.includes(code) || (on.of !== undefined && code in ANYWAY))
            ? { words: ANYWAY[code] ?? 'Tick it anyway', act: anyway }
            : null,
      }
    } else if (error instanceof OutOfReach) {
      const { again } = on
      trouble.value = {
        title: 'No answer.',
        detail: error.message,
        remedy: again ? { words: 'Try again', act: again } : null,
      }
      // It may be done: what stands is asked for again.
      void stale.all()
    } else throw error
    say(`${trouble.value.title} ${trouble.value.detail}`)
  }

  /** For as long as the caller is on the page it shows what was done and what went wrong. */
  function standsInALine(): void {
    lines.value += 1
    onScopeDispose(() => (lines.value -= 1))
  }

  /** A fault of ours, in one quiet bar. */
  function fault(detail: string): void {
    trouble.value = { title: 'Seligo made a mistake.', detail, remedy: null }
    say(detail)
  }

  /** Takes a change back; with those that stand on it when she says so. */
  async function takeBack(id: string, withLater = false, changeId = newId()): Promise<boolean> {
    try {
      const body = { changeId, withLater }
      const answer = await send<{ change: ChangeNote }>('POST', `/changes/${id}/take-back`, body)
      tookBack(id, answer.change)
      void stale.all()
      return true
    } catch (error) {
      show(error, { again: () => void takeBack(id, withLater, changeId) })
      if (error instanceof Refused && error.problem.code === 'later-changes-stand-on-it' && trouble.value)
        trouble.value = {
          ...trouble.value,
          remedy: { words: 'Undo all', act: () => void takeBack(id, true) },
        }
      return false
    }
  }

  function tookBack(id: string, change: ChangeNote): void {
    if (done.value?.id === id) done.value = null
    takenBack.value = id
    trouble.value = null
    say(change.words)
  }

  /** Takes back what was done last, also what is still on its way. */
  function takeBackLast(): void {
    const waiting = pending.acts.at(-1)
    if (waiting !== undefined) pending.takeBack(waiting)
    else if (done.value !== null) void takeBack(done.value.id)
  }

  pending.listen({
    done(act, change) {
      if (act.takesBack !== undefined) tookBack(act.takesBack, change)
      else if (change.changed) note(change)
    },
    refused: (act, refusal, again) => show(refusal, { of: act.words, anyway: again }),
    waiting: say,
  })

  return {
    /** Asks for everything anew: something was changed elsewhere. */
    refresh: () => stale.all(),
    takenBack,
    /** Another collection stands here: nothing of what was done before can be taken back in it. */
    forget: () => {
      done.value = null
    },
    last,
    trouble,
    announcement,
    lines,
    standsInALine,
    say,
    fault,
    run,
    report,
    note,
    show,
    takeBack,
    tookBack,
    takeBackLast,
  }
})
