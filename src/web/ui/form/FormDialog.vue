<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, useTemplateRef } from 'vue'
import { useDisplay } from 'vuetify'
import FormTrouble from './FormTrouble.vue'
import { lastFocus } from './last-focus'
import StaleEdit from './StaleEdit.vue'
import { useOpenDrafts } from './open-drafts'
import type { DraftState } from './use-draft'

/**
 * Every form that opens above a place: title, fields, refusals, acts. Enter stores; a click beside, Escape and Cancel ask before
 * they lose anything typed; the focus goes in to the first field and comes back to where it was.
 */
const props = withDefaults(
  defineProps<{
    title: string
    /** What hearers are told it is, where the title is a question or a sentence. */
    label?: string
    /** Null for what has nothing to store. */
    draft: DraftState | null
    /** The name of the act that stores; none = nothing to store here. */
    act?: string | undefined
    cancel?: string
    ready?: boolean
    width?: number
  }>(),
  { cancel: 'Cancel', ready: true, width: 560 },
)
const emit = defineEmits<{ close: []; store: [] }>()
const drafts = useOpenDrafts()
const { smAndDown } = useDisplay()
const form = useTemplateRef<HTMLElement>('form')
const opener = lastFocus()
const busy = computed(() => props.draft?.busy.value ?? false)

async function leave(): Promise<void> {
  // Whoever waits for nothing can always stop; what is typed stays, and leaving it is asked about.
  if (props.draft?.busy.value) return props.draft.stopWaiting()
  if (busy.value) return
  if (await drafts.mayLeave(() => props.draft?.isTyped.value ?? false)) emit('close')
}

function storeOver(): void {
  props.draft?.overwrite()
  emit('store')
}

onMounted(async () => {
  await nextTick()
  // On a phone the keyboard would cover what is asked.
  const field = form.value?.querySelector<HTMLElement>(
    smAndDown.value ? 'h2' : '[autofocus], input:not([type="checkbox"]):not([disabled]), textarea, button.choice, h2',
  )
  field?.focus()
})
onBeforeUnmount(() => {
  const back = opener?.isConnected === true ? opener : document.getElementById('place')
  void nextTick(() => back?.focus())
})
</script>

<template>
  <v-dialog :model-value="true" :max-width="width" :aria-label="label ?? title" scrollable @update:model-value="leave">
    <form ref="form" class="sheet dialog" @submit.prevent="!busy && ready && emit('store')">
      <slot name="head"
        ><h2 tabindex="-1">{{ title }}</h2></slot
      >
      <slot />
      <StaleEdit
        v-if="draft?.conflict.value"
        :problem="draft.conflict.value.problem"
        :differences="draft.conflict.value.differences"
        @overwrite="storeOver"
      />
      <p v-if="draft?.slow.value" class="slow attention font-weight-semibold" role="status">
        Seligo doesn’t answer yet; it is asked again. You need not wait: what you typed is kept.
      </p>
      <FormTrouble v-if="draft" :refused="draft.refused.value" :out-of-reach="draft.outOfReach.value" />
      <div class="acts">
        <slot name="acts" />
        <v-btn variant="text" @click="leave">{{ draft?.busy.value ? 'Stop waiting' : cancel }}</v-btn>
        <v-btn v-if="act" type="submit" color="primary" :loading="busy" :disabled="!ready">{{ act }}</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
