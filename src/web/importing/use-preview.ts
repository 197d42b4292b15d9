import { ref, shallowRef, type Ref } from 'vue'
import type { ImportChoices, PreviewAnswer } from '#contract/importing'
import { ask, newId, OutOfReach, Refused } from '#web/data/client'

export const NO_CHOICES: ImportChoices = { meanings: null, rows: [], skip: [], mended: [], tabs: null }

/** A sheet as it was read, with just what it was read from and by which choices: what is stored is what is shown. */
export interface Shown {
  readonly answer: PreviewAnswer
  readonly fileName: string
  readonly base64: string
  readonly choices: ImportChoices
  /** Made with the preview, so that storing it again after a lost answer stores it once. */
  readonly changeId: string
  readonly importId: string
}

/** The preview of a sheet: the last one asked for is the one that is shown, in whatever order answers come. */
export function usePreview() {
  const shown = shallowRef<Shown | null>(null)
  const choices: Ref<ImportChoices> = ref({ ...NO_CHOICES })
  const reading = ref(false)
  const refused = ref<Refused | null>(null)
  const outOfReach = ref('')
  const source = ref({ fileName: '', base64: '' })
  let asked = 0

  async function read(fileName: string, base64: string): Promise<void> {
    source.value = { fileName, base64 }
    choices.value = { ...NO_CHOICES }
    await refresh()
  }

  /** A sheet that was stored and taken back is read again, by the choices that were made for it. */
  async function again({ fileName, base64, choices: made }: Shown): Promise<void> {
    source.value = { fileName, base64 }
    choices.value = made
    await refresh()
  }

  async function choose(change: Partial<ImportChoices>): Promise<void> {
    choices.value = { ...choices.value, ...change }
    await refresh()
  }

  async function refresh(): Promise<void> {
    asked += 1
    const mine = asked
    const sent = { ...source.value, choices: choices.value }
    reading.value = true
    outOfReach.value = ''
    refused.value = null
    try {
      const answer = await ask<PreviewAnswer>('/import/preview', sent)
      if (mine === asked) shown.value = { answer, ...sent, changeId: newId(), importId: newId() }
    } catch (error) {
      if (mine !== asked) return
      if (error instanceof Refused) refused.value = error
      else if (error instanceof OutOfReach) outOfReach.value = error.message
      else throw error
      // What was shown before stays with what was chosen for it, so that nothing said so far is lost.
      if (shown.value?.base64 === sent.base64) choices.value = shown.value.choices
      else shown.value = null
    } finally {
      if (mine === asked) reading.value = false
    }
  }

  function close(): void {
    asked += 1
    reading.value = false
    shown.value = null
  }

  return { shown, choices, reading, refused, outOfReach, read, again, choose, close }
}
