import { ref } from 'vue'
import type { ChangeNote } from '#contract/basic'
import { OutOfReach, Refused, send, type CommandBody } from '#web/api/client'
import { useChanges } from '#web/shell/changes'

/** A form that sends one command: busy while it does, the server's words by field, nothing typed lost. */
export function useForm() {
  const changes = useChanges()
  const busy = ref(false)
  const refused = ref<Refused | null>(null)
  const outOfReach = ref('')

  async function submit<A extends { change: ChangeNote }>(
    method: 'POST' | 'PUT',
    path: string,
    body: CommandBody,
  ): Promise<A | null> {
    busy.value = true
    refused.value = null
    outOfReach.value = ''
    try {
      const answer = await send<A>(method, path, body)
      if (answer.change.changed) changes.report(answer.change)
      return answer
    } catch (error) {
      if (error instanceof Refused) refused.value = error
      else if (error instanceof OutOfReach) outOfReach.value = error.message
      else throw error
      changes.say(error.message)
      return null
    } finally {
      busy.value = false
    }
  }

  /** The message for a field, as Vuetify's fields take it. */
  const on = (field: string): string[] => {
    const message = refused.value?.on(field)
    return message === undefined ? [] : [message]
  }

  return { busy, refused, outOfReach, submit, on }
}
