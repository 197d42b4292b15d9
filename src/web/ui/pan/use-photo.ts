import { ref } from 'vue'
import type { ChangeNote } from '#contract/basic'
import { newId, sendPicture } from '#web/data/client'
import { useChanges } from '#web/data/changes'

/** Sends a picture of a thing; one that may have arrived is sent again under the same ids and stays one picture. */
export function usePhoto() {
  const changes = useChanges()
  const busy = ref(false)
  let sending: { file: File; changeId: string; photoId: string } | null = null

  async function add(itemId: string, day: string, file: File): Promise<{ photoId: string; change: ChangeNote } | null> {
    busy.value = true
    try {
      if (sending?.file !== file) sending = { file, changeId: newId(), photoId: newId() }
      const { changeId, photoId } = sending
      const query = new URLSearchParams({ changeId, photoId, day })
      const answer = await sendPicture(`/items/${itemId}/photos?${query.toString()}`, file)
      sending = null
      changes.report(answer.change)
      return { photoId, change: answer.change }
    } catch (error) {
      changes.show(error, { again: () => void add(itemId, day, file) })
      return null
    } finally {
      busy.value = false
    }
  }

  return { busy, add }
}
