import { computed } from 'vue'
import { useTheme } from 'vuetify'

/** The inks of the theme at hand: a canvas knows no variables. */
export function useInks() {
  const theme = useTheme()
  return computed(() => {
    void theme.global.name.value
    const style = getComputedStyle(document.querySelector('.v-application') ?? document.documentElement)
    const ink = (name: string): string => style.getPropertyValue(name).trim() || '#22262b'
    return {
      ink: ink('--ink'),
      quiet: ink('--quiet'),
      hair: ink('--hair'),
      primary: ink('--primary'),
      alarm: ink('--alarm'),
      raised: ink('--raised'),
      attention: ink('--attention'),
    }
  })
}
