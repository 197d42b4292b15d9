import { useClipboard } from '@vueuse/core'
import { useChanges } from '#web/data/changes'

/** Copies a text and says so; also where the browser has no clipboard for pages, as on a phone in the home's network. */
export function useCopying(): (text: string, words: string) => Promise<void> {
  const { copy } = useClipboard({ legacy: true })
  const changes = useChanges()
  return async (text, words) => {
    await copy(text)
    changes.say(words)
  }
}
