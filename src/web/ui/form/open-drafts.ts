import { defineStore } from 'pinia'
import { onScopeDispose, ref } from 'vue'

/** Whatever is typed and not stored, wherever it stands: nothing leaves it without asking. */
export const useOpenDrafts = defineStore('open drafts', () => {
  const typed = new Set<() => boolean>()
  /** Who waits for her word on leaving; null = nobody. */
  const asking = ref<((leave: boolean) => void) | null>(null)

  /** Watches over a draft for as long as whoever asks is there. */
  function watchOver(hasTyped: () => boolean): void {
    typed.add(hasTyped)
    onScopeDispose(() => typed.delete(hasTyped))
  }

  function anyTyped(): boolean {
    return [...typed].some((has) => has())
  }

  /** Whether she wants to leave what is typed; nothing typed is left without a word. */
  async function mayLeave(hasTyped: () => boolean = anyTyped): Promise<boolean> {
    if (!hasTyped()) return true
    asking.value?.(false)
    const leave = await new Promise<boolean>((resolve) => (asking.value = resolve))
    asking.value = null
    return leave
  }

  return { asking, watchOver, anyTyped, mayLeave }
})
