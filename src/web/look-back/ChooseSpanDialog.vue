<script setup lang="ts">
import { computed } from 'vue'
import type { SpansAnswer } from '#contract/look-back'
import { parseDay } from '#core/calendar/day'
import type { LookSpan } from '#core/look-back/span'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'

/** Two days, and a name where the span is to be kept; those kept can be dropped here. */
const props = defineProps<{
  span: LookSpan
  today: string
  /** Whether it can be kept under a name. */
  keeps: boolean
  kept: SpansAnswer['spans']
}>()
const emit = defineEmits<{ close: []; chosen: [span: LookSpan, name: string] }>()
const changes = useChanges()
const draft = useDraft(() => ({ name: '', from: props.span.from as string, to: props.span.to as string }))
const { typed, on } = draft
const chosen = computed<LookSpan | null>(() => {
  const [from, to] = [parseDay(typed.value.from), parseDay(typed.value.to)]
  return from === null || to === null ? null : { from, to }
})
const trouble = computed(() => {
  if (chosen.value === null) return ''
  if (chosen.value.to < chosen.value.from) return 'The last day is before the first.'
  return chosen.value.from > props.today ? 'That has not come yet.' : ''
})

async function store(): Promise<void> {
  if (chosen.value === null) return
  const { name } = typed.value
  if (props.keeps && name.trim() !== '') {
    const body = { id: draft.id('span'), version: null, name, ...chosen.value }
    if (!(await draft.store('POST', '/look-back/spans', body))) return
  }
  emit('chosen', chosen.value, name.trim())
}
function drop(id: string): void {
  void changes.run('POST', `/look-back/spans/${id}/drop`, { changeId: newId() })
}
</script>

<template>
  <FormDialog
    :title="keeps ? 'Another period' : 'Compare with which period?'"
    :draft="draft"
    act="Show"
    :ready="chosen !== null && trouble === ''"
    @close="emit('close')"
    @store="store"
  >
    <DayField v-model="typed.from" label="First day" :max="today" :error-messages="on('from')" />
    <DayField v-model="typed.to" label="Last day" :max="today" :error-messages="trouble ? [trouble] : on('to')" />
    <v-text-field
      v-if="keeps"
      v-model="typed.name"
      label="Name, to find it again (optional)"
      placeholder="Since the move"
      :error-messages="on('name')"
    />
    <template v-if="keeps && kept.length > 0">
      <h3>Kept</h3>
      <ul>
        <li class="d-flex justify-space-between align-center" v-for="each in kept" :key="each.id">
          <span>{{ each.name }}</span>
          <v-btn variant="text" :aria-label="`Remove ${each.name}`" @click="drop(each.id)">Remove</v-btn>
        </li>
      </ul>
    </template>
  </FormDialog>
</template>

<style scoped>
h3 {
  font-size: 15px;
}
</style>
