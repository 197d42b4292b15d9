import { useDocumentVisibility } from '@vueuse/core'
import { onScopeDispose, ref, watch } from 'vue'
import { useChanges } from './changes'
import { isOwnChange, leave } from './client'
import { useStaleness } from './reads'

/** Changes that come in quick turn are asked for once, this long after the first, in milliseconds. */
const GATHER_MS = 250
/** Where the line was refused it is asked for again after this, in milliseconds. */
const AGAIN_MS = 10_000

/** How often who is let in has changed since the page was opened: for the page that shows it. */
export const devicesChanged = ref(0)

/**
 * Hears what is changed elsewhere, on another device or in another window, and asks anew for what stands. Quiet while the page is
 * hidden; what was missed is asked for when it is looked at again.
 */
export function useListening(): void {
  const stale = useStaleness()
  const visibility = useDocumentVisibility()
  let line: EventSource | null = null
  let wasHidden = false
  let soon: ReturnType<typeof setTimeout> | undefined
  let again: ReturnType<typeof setTimeout> | undefined

  watch(visibility, (now) => (now === 'visible' ? open() : shut()), { immediate: true })
  onScopeDispose(shut)

  function open(): void {
    if (line !== null) return
    line = new EventSource('/api/stream')
    let lost = wasHidden
    line.addEventListener('open', () => {
      // What happened while nobody listened.
      if (lost) refresh()
      lost = false
    })
    line.addEventListener('error', () => {
      lost = true
      // Refused for good, unlike a gap, after which the browser asks again by itself: whoever is let in no more hears it from
      // the next answer.
      if (line?.readyState !== EventSource.CLOSED) return
      shut()
      refresh()
      again = setTimeout(() => visibility.value === 'visible' && open(), AGAIN_MS)
    })
    line.addEventListener('changed', (event: MessageEvent<string>) => {
      const { changeId } = JSON.parse(event.data) as { changeId: string }
      if (!isOwnChange(changeId)) refresh()
    })
    line.addEventListener('another', () => {
      useChanges().forget()
      refresh()
    })
    line.addEventListener('devices', () => {
      devicesChanged.value += 1
    })
    line.addEventListener('dismissed', leave)
  }

  function shut(): void {
    clearTimeout(again)
    line?.close()
    line = null
    wasHidden = true
    clearTimeout(soon)
    soon = undefined
  }

  function refresh(): void {
    soon ??= setTimeout(() => {
      soon = undefined
      void stale.all()
    }, GATHER_MS)
  }
}
