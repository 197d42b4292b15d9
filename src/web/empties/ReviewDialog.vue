<script setup lang="ts">
import type { EmptyView } from '#contract/ending'
import ReviewFields from '#web/ui/acts/ReviewFields.vue'
import { reviewBody, reviewOf } from '#web/ui/acts/review-draft'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt, shortName } from '#web/ui/words/item-words'

/** What she thinks of an empty, later or anew. */
const props = defineProps<{ empty: EmptyView }>()
const emit = defineEmits<{ close: [] }>()
/** As it was when the form was opened: what another window stores meanwhile is not written over unseen. */
const { version } = props.empty
const draft = useDraft(() => reviewOf(props.empty))

async function store(): Promise<void> {
  const { item } = props.empty
  const body = { reviewId: draft.id('review'), version, ...reviewBody(draft.typed.value) }
  if (await draft.store('PUT', `/items/${item.id}/review`, body)) emit('close')
}
</script>

<template>
  <FormDialog
    :title="`What you think of ${shortName(empty.item)}`"
    :label="`Review of ${callIt(empty.item)}`"
    :draft="draft"
    act="Save"
    :ready="draft.typed.value.wouldBuyAgain !== null"
    @close="emit('close')"
    @store="store"
  >
    <ReviewFields v-model="draft.typed.value" :on="draft.on" />
  </FormDialog>
</template>
