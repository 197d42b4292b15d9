import type { InjectionKey, Ref } from 'vue'

/** Day, night or as the machine is set; kept on this device only. */
export const themeChoiceKey: InjectionKey<Ref<'system' | 'day' | 'night'>> = Symbol('theme choice')
