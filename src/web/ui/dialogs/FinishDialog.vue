<script setup lang="ts">
import { ref } from 'vue'
import type { Day } from '#core/calendar/day'
import { BUY_AGAIN, PACKAGE_GOES } from '#core/decide/review-choices'
import type { ItemSummary } from '#contract/item'
import { newId } from '#web/api/client'
import ChoiceRow from '#web/ui/ChoiceRow.vue'
import DayField from '#web/ui/DayField.vue'
import FormTrouble from '#web/ui/FormTrouble.vue'
import { useForm } from '#web/ui/use-form'
import { shortName, usesWords } from '#web/ui/words/item-words'
import { openedWords } from '#web/ui/words/when-words'

/** An empty, with what she thought while she still remembers. */
const props = defineProps<{ item: ItemSummary; today: Day }>()
const emit = defineEmits<{ close: []; done: [backups: number] }>()
const form = useForm()
const day = ref<string>(props.today)
const wouldBuyAgain = ref<(typeof BUY_AGAIN)[number] | null>(props.item.backups > 0 ? 'have a backup' : null)
const packageGoes = ref<(typeof PACKAGE_GOES)[number] | null>(null)
const words = ref('')

async function save(): Promise<void> {
  const answer = await form.submit<{ backups: number; change: { id: string; words: string; changed: boolean } }>(
    'POST',
    `/items/${props.item.id}/finish`,
    {
      changeId: newId(),
      reviewId: newId(),
      day: day.value,
      wouldBuyAgain: wouldBuyAgain.value,
      words: words.value,
      packageGoes: packageGoes.value,
    },
  )
  if (answer) emit('done', answer.backups)
}
</script>

<template>
  <v-dialog :model-value="true" :aria-label="`Finish ${shortName(item)}`" @update:model-value="emit('close')">
    <form class="sheet dialog" @submit.prevent="save">
      <h2>{{ shortName(item) }} is empty</h2>
      <p class="quiet">{{ usesWords(item.uses) }} in all, {{ openedWords(item) }}. It keeps its history.</p>
      <p v-if="item.form === 'tube' || item.form === 'wand'" class="caution">
        Cutting a tube open for the last of it: the edge is sharp.
      </p>
      <DayField v-model="day" label="Finished on" :max="today" :error-messages="form.on('day')" />
      <ChoiceRow
        v-model="wouldBuyAgain"
        label="Would you buy it again?"
        :options="BUY_AGAIN"
        :words="{ 'have a backup': 'already have a backup', discontinued: 'cannot: discontinued' }"
      />
      <v-textarea v-model="words" label="A few words on what you think of it" :error-messages="form.on('words')" />
      <ChoiceRow
        v-model="packageGoes"
        label="The package goes (may stay open)"
        :options="PACKAGE_GOES"
        :words="{ 'keep the container': 'washed and kept' }"
      />
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn type="submit" color="primary" :loading="form.busy.value" :disabled="wouldBuyAgain === null"
          >Record the empty</v-btn
        >
      </div>
    </form>
  </v-dialog>
</template>
