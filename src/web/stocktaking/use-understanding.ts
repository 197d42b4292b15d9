import { refDebounced } from '@vueuse/core'
import { computed, shallowRef, watch, type Ref } from 'vue'
import { asSheet, readLines, type ReadLine } from '#core/formats/lines/read-lines'
import type { LineCells } from '#core/formats/lines/split-line'
import { CATEGORY_DEFAULTS } from '#core/item/category-defaults'
import type { PreviewAnswer } from '#contract/importing'
import { ask, newId, OutOfReach, Refused } from '#web/data/client'
import { useHerDay } from '#web/data/her-day'
import { herOrder } from '#web/data/locale'
import { useStock } from '#web/data/stock'

/** How long after the last letter the lines are read again, in milliseconds. */
const PAUSE_MS = 250
const NO_CHOICES = { meanings: null, rows: [], skip: [], mended: [], tabs: null }
const FILE_NAME = 'typed lines'

/** Lines as they were last understood, with just what they were read from: what is stored is what is shown. */
export interface Understood {
  readonly lines: readonly ReadLine[]
  readonly answer: PreviewAnswer
  readonly sheet: { readonly fileName: string; readonly base64: string; readonly choices: typeof NO_CHOICES }
  /** Made with it, so that storing it again after a lost answer stores it once. */
  readonly importId: string
}

/** Lines understood while they are typed: taken apart here, read as a sheet by the import's own rules on the server. */
export function useUnderstanding(text: Ref<string>, corrected: Ref<Record<string, LineCells>>) {
  const stock = useStock()
  const herDay = useHerDay()
  const paused = refDebounced(text, PAUSE_MS)
  const understood = shallowRef<Understood | null>(null)
  const trouble = shallowRef('')
  const categories = computed(() =>
    stock.categories.map(({ id, name }) => ({
      id,
      name,
      words: CATEGORY_DEFAULTS.find((each) => each.id === id)?.words ?? [],
    })),
  )
  const lines = computed(() => {
    if (herDay.today === null || !stock.loaded) return []
    const makers = [...new Set(stock.items.map((item) => item.maker))]
    const context = { categories: categories.value, makers, order: herOrder(), today: herDay.today }
    return readLines(paused.value, context, new Map(Object.entries(corrected.value)))
  })
  let asked = 0

  watch(lines, (now) => void understand(now), { immediate: true })

  async function understand(now: readonly ReadLine[]): Promise<void> {
    asked += 1
    const mine = asked
    trouble.value = ''
    if (now.length === 0) {
      understood.value = null
      return
    }
    const sheet = { fileName: FILE_NAME, base64: base64Of(asSheet(now)), choices: NO_CHOICES }
    try {
      const answer = await ask<PreviewAnswer>('/import/preview', sheet)
      if (mine === asked) understood.value = { lines: now, answer, sheet, importId: newId() }
    } catch (error) {
      if (mine !== asked) return
      if (!(error instanceof Refused) && !(error instanceof OutOfReach)) throw error
      trouble.value = error.message
    }
  }

  return { lines, understood, trouble, categories }
}

function base64Of(text: string): string {
  return btoa(Array.from(new TextEncoder().encode(text), (byte) => String.fromCharCode(byte)).join(''))
}
