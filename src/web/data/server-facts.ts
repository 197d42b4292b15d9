import { defineStore } from 'pinia'
import { computed, ref } from 'vue'

/** What an answer says of the server beside what was asked; null where it says nothing. */
export interface ServerTold {
  readonly collection: string | null
  readonly build: string | null
  readonly trouble: string | null
}

/** What is known of the server that answers: which collection it serves, how its file fares, whether its pages are others by now. */
export const useServerFacts = defineStore('server facts', () => {
  const collection = ref<string | null>(null)
  const build = ref<string | null>(null)
  const trouble = ref<string | null>(null)
  const updated = ref(false)

  function told(facts: ServerTold): void {
    // An answer of something between that names no collection is none of Seligo's.
    if (facts.collection === null) return
    collection.value = facts.collection
    trouble.value = facts.trouble
    if (facts.build === null) return
    if (build.value !== null && build.value !== facts.build) updated.value = true
    build.value ??= facts.build
  }

  /** A part of this page is on the server no more: it was made for another build. */
  function missesAPart(): void {
    updated.value = true
  }

  return {
    collection: computed(() => collection.value),
    trouble: computed(() => trouble.value),
    updated,
    told,
    missesAPart,
  }
})
