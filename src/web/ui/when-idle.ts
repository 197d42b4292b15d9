import { onMounted, onUnmounted, ref, type Ref } from 'vue'

/** Drawn at the latest after this, in milliseconds. */
const AT_THE_LATEST = 250

/**
 * False at first, true once the main thread has a moment: for what a fast scroll need not wait for. Where the browser knows
 * no idle time it is the next turn.
 */
export function useWhenIdle(): Ref<boolean> {
  const ready = ref(false)
  let handle = 0
  const idle = 'requestIdleCallback' in window
  onMounted(() => {
    const set = (): void => {
      ready.value = true
    }
    handle = idle ? window.requestIdleCallback(set, { timeout: AT_THE_LATEST }) : window.setTimeout(set)
  })
  onUnmounted(() => {
    if (idle) window.cancelIdleCallback(handle)
    else window.clearTimeout(handle)
  })
  return ready
}
