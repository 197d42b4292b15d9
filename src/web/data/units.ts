import { computed, type ComputedRef } from 'vue'
import type { UnitSystem } from '#core/settings'
import { useSettings } from './reads'

/** The units in which she wants sizes; metric until it is known. */
export function useUnits(): ComputedRef<UnitSystem> {
  const { answer } = useSettings()
  return computed(() => answer.value?.settings.units ?? 'metric')
}
