<script setup lang="ts">
import { computed } from 'vue'
import { HANDS, SKINS, TONES, WEATHERS } from '#core/wear/day-choices'
import type { DayView } from '#contract/today'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'

/** How the day is, told in parts that may each stay open. A second tap on what is chosen takes it back. */
const props = defineProps<{ conditions: DayView; occasions: readonly string[] }>()
const emit = defineEmits<{ close: []; set: [set: Partial<DayView>, was: DayView] }>()
const MINUTES = ['5', '10', '20', '40']
/** As it stood when the sheet was opened. */
const was = { ...props.conditions }
const draft = useDraft(() => ({ ...was }))
const { typed } = draft
const minutes = computed({
  get: () => (typed.value.minutes === null ? null : String(typed.value.minutes)),
  set: (value) => (typed.value.minutes = value === null ? null : Number(value)),
})
const known = computed(() => typed.value.occasion !== null && props.occasions.includes(typed.value.occasion))

function store(): void {
  const fields = Object.keys(was) as (keyof DayView)[]
  const set = Object.fromEntries(
    fields.filter((field) => typed.value[field] !== was[field]).map((field) => [field, typed.value[field]]),
  )
  emit('set', set, was)
  emit('close')
}
</script>

<template>
  <FormDialog
    title="How is the day?"
    label="How the day is"
    :draft="draft"
    act="Save"
    :width="640"
    @close="emit('close')"
    @store="store"
  >
    <p class="quiet">All optional. It changes what is suggested.</p>
    <div class="pairs d-grid align-start ga-3">
      <ChoiceRow v-model="typed.skin" label="Skin" :options="SKINS" again />
      <ChoiceRow v-model="typed.clothes" label="Clothes" :options="TONES" again />
      <ChoiceRow v-model="minutes" label="Time, in minutes" :options="MINUTES" again />
      <ChoiceRow v-if="occasions.length > 0" v-model="typed.occasion" label="Occasion" :options="occasions" again />
      <v-text-field
        :model-value="known ? '' : (typed.occasion ?? '')"
        :label="occasions.length > 0 ? 'Another occasion' : 'Occasion'"
        maxlength="60"
        placeholder="work, gig, walk"
        @update:model-value="(value: string | null) => (typed.occasion = value || null)"
      />
      <ChoiceRow v-model="typed.hands" label="Hands" :options="HANDS" again />
      <ChoiceRow v-model="typed.weather" label="Weather" :options="WEATHERS" again />
    </div>
    <v-textarea
      :model-value="typed.note ?? ''"
      maxlength="2000"
      label="A note on the day"
      rows="2"
      @update:model-value="(value: string | null) => (typed.note = value || null)"
    />
  </FormDialog>
</template>

<style scoped>
.pairs {
  grid-template-columns: 1fr 1fr;
}

.phone .pairs {
  grid-template-columns: 1fr;
}
</style>
