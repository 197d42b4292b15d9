import { computed, type ComputedRef } from 'vue'
import { DEFAULT_SETTINGS, type UnitSystem } from '#core/settings'
import { useSettings } from './reads'

/** The units in which she wants sizes; metric until it is known. */
export function useUnits(): ComputedRef<UnitSystem> {
  const { answer } = useSettings()
  return computed(() => answer.value?.settings.units ?? 'metric')
}

/** Her scale: its smallest step and what it carries, g; the usual step until she says. */
export function useHerScale(): ComputedRef<{ readonly step: number; readonly capacity: number | null }> {
  const { answer } = useSettings()
  return computed(() => {
    const { scaleStep, scaleCapacity } = answer.value?.settings ?? DEFAULT_SETTINGS
    return { step: scaleStep, capacity: scaleCapacity }
  })
}
