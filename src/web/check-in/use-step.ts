import { computed, ref, watch, type ComputedRef } from 'vue'
import { PAN_STAGES, type PanStage } from '#core/item/form'
import type { ContradictionCause } from '#core/measure/reading'
import type { ChangeNote } from '#contract/basic'
import type { CheckInAnswer, StepView } from '#contract/check-in'
import type { ListedItem } from '#contract/item'
import { newId, OutOfReach, Refused, send } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { useHerScale } from '#web/data/units'
import { useOpenDrafts } from '#web/ui/form/open-drafts'
import type { PanResult } from '#web/ui/pan/pan-draft'
import { draftFor, kindsOf, readOf, type ReadDraft } from '#web/ui/reading/read-draft'
import { readingWords, type MassUnit } from '#web/ui/words/measure-words'

interface Standing {
  readonly checkInId: ComputedRef<string>
  readonly current: ComputedRef<StepView | null>
  readonly item: ComputedRef<ListedItem | null>
  readonly today: ComputedRef<string>
  readonly unit: ComputedRef<MassUnit>
}

/** What is being read of the thing at hand, until it is taken: kept once, lost never. */
export function useStep({ checkInId, current, item, today, unit }: Standing) {
  const changes = useChanges()
  const drafts = useOpenDrafts()
  const herScale = useHerScale()
  const draft = ref<ReadDraft>(blank())
  const stages = ref<Record<string, PanStage>>({})
  const partId = ref<string | null>(null)
  /** What was read off photos, by shade; '' = the whole of it. One photo can tell of many shades. */
  const results = ref<Record<string, PanResult>>({})
  const result = computed({
    get: () => results.value[partId.value ?? ''] ?? null,
    set: (found) => {
      const { [partId.value ?? '']: _, ...others } = results.value
      results.value = found === null ? others : { ...others, [partId.value ?? '']: found }
    },
  })
  const stage = ref<PanStage | null>(null)
  const cause = ref<ContradictionCause | null>(null)
  const refused = ref('')
  /** Something was moved, chosen or typed; a slider that stands where it stood says nothing. */
  const touched = ref(false)
  let ids = new Map<string, string>()
  let sure: string | null = null

  watch(
    () => [current.value?.id, item.value?.id, today.value !== ''] as const,
    ([step], before) => {
      if (before?.[0] === step && draft.value.day !== '') return
      begin()
    },
    { immediate: true },
  )
  watch(
    () => JSON.stringify([draft.value, stages.value, results.value, stage.value]),
    (now) => (touched.value = now !== sure),
  )
  drafts.watchOver(() => touched.value && ready.value)

  function blank(): ReadDraft {
    return {
      kind: 'gross',
      partId: null,
      day: '',
      mass: '',
      unit: 'g',
      resolution: 0.1,
      massHow: 'typed',
      percent: null,
      percentHow: 'slider',
      mm: '',
      ofMm: '',
      stage: null,
      word: null,
      doubtful: false,
      note: '',
    }
  }

  function begin(): void {
    const thing = item.value
    if (!thing || today.value === '') return
    // Another step than her scale's, once chosen, holds for the whole pass.
    const resolution = draft.value.day === '' ? herScale.value.step : draft.value.resolution
    const fresh = draftFor(thing, today.value, unit.value, resolution)
    const measure = current.value?.measure
    const eye: readonly ReadDraft['kind'][] = kindsOf(thing, null).filter((kind) => kind !== 'gross')
    draft.value = {
      ...fresh,
      partId: null,
      kind:
        measure === 'weigh'
          ? 'gross'
          : thing.parts.length > 0
            ? 'stage'
            : eye.includes(fresh.kind)
              ? fresh.kind
              : (eye[0] ?? 'word'),
      // What was there before is where the slider stands; it is no reading until it is touched.
      word: null,
      stage: null,
    }
    stages.value = {}
    results.value = {}
    stage.value = null
    cause.value = null
    refused.value = ''
    partId.value = thing.parts.find((part) => part.finishedOn === null && part.depottedOn === null)?.id ?? null
    ids = new Map()
    sure = JSON.stringify([draft.value, stages.value, results.value, stage.value])
    touched.value = false
  }

  const reading = computed(() => readOf(draft.value))
  const ready = computed(() => {
    const measure = current.value?.measure
    if (measure === 'weigh') return reading.value.ok
    if (measure === 'photo') return Object.keys(results.value).length > 0 || stage.value !== null
    if ((item.value?.parts.length ?? 0) > 0) return Object.keys(stages.value).length > 0
    return touched.value && reading.value.ok
  })
  /** What would be kept, in a few words. */
  const said = computed(() => {
    const measure = current.value?.measure
    if (!ready.value) return ''
    if (measure === 'weigh') return `${draft.value.mass} ${draft.value.unit}`
    if (measure === 'photo') {
      const [first, ...others] = Object.values(results.value)
      if (others.length > 0) return `${others.length + 1} shades`
      return first ? `${Math.round(first.bare * 100)} % bare` : (stage.value ?? '')
    }
    const shades = Object.keys(stages.value).length
    if (shades > 0) return shades === 1 ? 'a shade' : `${shades} shades`
    const { kind, percent, word } = draft.value
    return kind === 'word'
      ? (word ?? '')
      : readingWords({ kind: kind === 'gross' ? 'level' : kind, value: (percent ?? 0) / 100, stage: null, word: null })
  })

  function id(of: string): string {
    const known = ids.get(of) ?? newId()
    ids.set(of, known)
    return known
  }

  function readings(): object[] {
    const day = today.value
    const measure = current.value?.measure
    if (measure === 'photo') {
      const found = Object.entries(results.value)
      if (found.length === 0)
        return stage.value === null
          ? []
          : [{ id: id('reading'), partId: partId.value, reading: { kind: 'stage', stage: stage.value, day } }]
      return found.map(([part, { bare, how, pan }]) => ({
        id: id(`reading ${part}`),
        partId: part === '' ? null : part,
        reading: { kind: 'bare', value: bare, how, day },
        pan: pan && { id: id(`pan ${part}`), ...pan },
      }))
    }
    if (measure === 'look' && (item.value?.parts.length ?? 0) > 0)
      return Object.entries(stages.value).map(([part, at]) => ({
        id: id(`reading ${part}`),
        partId: part,
        reading: { kind: 'stage', stage: PAN_STAGES.find((each) => each === at), day },
      }))
    // Under the day it is now: a page may have been left open over night.
    return reading.value.ok ? [{ id: id('reading'), partId: null, reading: { ...reading.value.body, day } }] : []
  }

  /** Done with what was read, or skipped; false, with the words of why, where it could not be stored. */
  async function take(state: 'done' | 'skipped'): Promise<boolean> {
    const step = current.value
    if (!step) return false
    refused.value = ''
    const taken = { version: step.version, state, readings: state === 'done' ? readings() : [] }
    // Sent again unchanged it is the same act; changed, it is another one, and its version tells whether the first arrived.
    const change = `change ${JSON.stringify(taken)}`
    try {
      const answer = await send<{ change: ChangeNote }>('POST', `/check-ins/${checkInId.value}/steps/${step.id}`, {
        changeId: id(change),
        ...taken,
      })
      if (state === 'done' && cause.value !== null)
        await send('POST', `/readings/${id('reading')}/cause`, {
          changeId: id('cause'),
          cause: cause.value,
          eventId: id('event'),
        })
      touched.value = false
      changes.report(answer.change)
      return true
    } catch (error) {
      if (error instanceof Refused) {
        ids.delete(change)
        refused.value =
          error.problem.code === 'stale'
            ? 'It was looked at in another window meanwhile. What is there now stands beside; keep yours again to add it.'
            : error.problem.detail
        if (error.problem.code === 'stale') void changes.refresh()
      } else if (error instanceof OutOfReach) {
        refused.value = error.message
        void changes.refresh()
      } else throw error
      return false
    }
  }

  /** A few words; none takes them back. */
  async function say(words: StepView | null, said: string): Promise<boolean> {
    if (!words) return false
    const answer = await changes.run('POST', `/check-ins/${checkInId.value}/steps/${words.id}`, {
      changeId: newId(),
      version: words.version,
      state: said === '' ? 'asked' : 'done',
      words: said,
    })
    return answer !== null
  }

  async function changeWay({ checkIn }: CheckInAnswer): Promise<void> {
    await changes.run('PUT', `/check-ins/${checkIn.id}`, {
      changeId: newId(),
      version: checkIn.version,
      name: checkIn.name,
      way: checkIn.way === 'item by item' ? 'measure by measure' : 'item by item',
      pushItemId: checkIn.pushItemId,
    })
  }

  /** Whether the thing at hand may be left: nothing was read of it, or she says so. */
  async function mayLeave(): Promise<boolean> {
    const left = await drafts.mayLeave(() => touched.value && ready.value)
    if (left) touched.value = false
    return left
  }

  return { draft, stages, result, results, partId, stage, cause, refused, ready, said, take, say, changeWay, mayLeave }
}
