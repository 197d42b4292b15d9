import { onMounted, onUnmounted, ref, type Ref } from 'vue'

/**
 * Counts up to `last`, one step after each picture the screen has shown: what is looked at first stands while the rest is still
 * being laid out. At 0 before the first picture.
 */
export function useStages(last: number): Readonly<Ref<number>> {
  const stage = ref(0)
  let frame = 0
  let turn = 0
  const next = (): void => {
    if (stage.value >= last) return
    // A frame is asked for before the picture, the turn after it comes once the picture is there.
    frame = requestAnimationFrame(() => {
      turn = window.setTimeout(() => {
        stage.value += 1
        next()
      })
    })
  }
  onMounted(next)
  onUnmounted(() => {
    cancelAnimationFrame(frame)
    window.clearTimeout(turn)
  })
  return stage
}
