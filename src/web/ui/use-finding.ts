import { refDebounced } from '@vueuse/core'
import { computed, toValue, type MaybeRefOrGetter, type Ref } from 'vue'
import type { FindAnswer, ListedItem } from '#contract/item'
import { useRead } from '#web/data/reads'
import { matchesWords } from './words/item-words'

/** The server is asked once she pauses; until it answers, what plainly holds the words is shown. */
const PAUSE_MS = 150

/**
 * Things by a few letters: what is here at once, and with the server's help also what she spelled a little wrong, what only its
 * notes hold, and what has gone. No words: everything, in the order it came.
 */
export function useFinding(text: Ref<string | null>, items: MaybeRefOrGetter<readonly ListedItem[]>) {
  const words = computed(() => (text.value ?? '').trim())
  const asked = refDebounced(words, PAUSE_MS)
  const { answer } = useRead<FindAnswer>(
    () => ['find', asked.value],
    () => (asked.value === '' ? null : `/find?words=${encodeURIComponent(asked.value)}`),
  )
  const found = computed<readonly ListedItem[]>(() => {
    const all = toValue(items)
    if (words.value === '') return all
    const plainly = all.filter((item) => matchesWords(item, words.value))
    if (answer.value === null || asked.value !== words.value) return plainly
    const byId = new Map(all.map((item) => [item.id, item]))
    const near = answer.value.ids.flatMap((id) => byId.get(id) ?? [])
    return [...near, ...plainly.filter((item) => !near.includes(item))]
  })
  const gone = computed(() => (words.value === '' || asked.value !== words.value ? [] : (answer.value?.gone ?? [])))
  return { words, found, gone }
}
