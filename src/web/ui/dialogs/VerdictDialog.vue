<script setup lang="ts">
import { computed, ref } from 'vue'
import { addMonths, type Day } from '#core/calendar/day'
import { VERDICTS, type Destination, type Verdict } from '#core/decide/verdict'
import type { ItemSummary } from '#contract/item'
import { newId } from '#web/api/client'
import ChoiceRow from '#web/ui/ChoiceRow.vue'
import DayField from '#web/ui/DayField.vue'
import FormTrouble from '#web/ui/FormTrouble.vue'
import { useStock } from '#web/ui/stock'
import { useForm } from '#web/ui/use-form'
import { shortName } from '#web/ui/words/item-words'

/** The decision: a verdict, its reason, and where it goes when it goes. */
const props = defineProps<{ item: ItemSummary; today: Day; trialId: string | null; destinations: readonly string[] }>()
const emit = defineEmits<{ close: []; done: [verdict: Verdict] }>()
const form = useForm()
const stock = useStock()
void stock.load()
const verdict = ref<Verdict | null>(null)
const reason = ref('')
const destination = ref<string | null>(null)
const until = ref<string>(addMonths(props.today, 3))
const usedAs = ref<string | null>(null)
const limited = computed(() => !props.destinations.includes('give'))
const ready = computed(() => {
  if (verdict.value === null) return false
  if (verdict.value === 'let go') return destination.value !== null
  return verdict.value !== 'use up as something else' || usedAs.value !== null
})

async function save(): Promise<void> {
  const chosen = verdict.value
  if (chosen === null) return
  const answer = await form.submit('POST', '/verdicts', {
    changeId: newId(),
    verdictId: newId(),
    itemId: props.item.id,
    trialId: props.trialId,
    verdict: chosen,
    reason: reason.value,
    destination: chosen === 'let go' ? (destination.value as Destination) : null,
    until: chosen === 'rest until a date' ? until.value : null,
    usedAs: chosen === 'use up as something else' ? usedAs.value : null,
  })
  if (answer) emit('done', chosen)
}
</script>

<template>
  <v-dialog :model-value="true" :aria-label="`Decide on ${shortName(item)}`" @update:model-value="emit('close')">
    <form class="sheet dialog" @submit.prevent="save">
      <h2>Decide on {{ shortName(item) }}</h2>
      <ChoiceRow v-model="verdict" label="Verdict" :options="VERDICTS" />
      <template v-if="verdict === 'let go'">
        <ChoiceRow v-model="destination" label="Where does it go?" :options="destinations as string[]" />
        <p v-if="limited" class="caution">Used eye and lip things, and spoiled ones, are not passed on.</p>
      </template>
      <DayField
        v-if="verdict === 'rest until a date'"
        v-model="until"
        label="Rests until"
        :error-messages="form.on('until')"
      />
      <v-autocomplete
        v-if="verdict === 'use up as something else'"
        v-model="usedAs"
        label="Used up as"
        :items="stock.categories.map((each) => ({ title: each.name, value: each.id }))"
        :error-messages="form.on('usedAs')"
      />
      <v-textarea v-model="reason" label="Why? (one line is plenty)" rows="2" :error-messages="form.on('reason')" />
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn type="submit" color="primary" :loading="form.busy.value" :disabled="!ready">Record the verdict</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
