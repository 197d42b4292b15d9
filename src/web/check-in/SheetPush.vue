<script setup lang="ts">
import { computed } from 'vue'
import { pushOf } from '#core/goal/push'
import type { CheckInAnswer } from '#contract/check-in'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { paceWords } from '#web/ui/words/goal-words'
import { callIt } from '#web/ui/words/item-words'
import { aimWords } from '#web/ui/words/sheet-words'

/** The one thing to push until the next check-in: proposed, and hers to choose. */
const props = defineProps<{ answer: CheckInAnswer; closed: boolean }>()
const changes = useChanges()
const proposed = computed(() => (props.closed ? null : pushOf(props.answer.sheet.items)))
const pushId = computed(() => props.answer.checkIn.pushItemId ?? proposed.value)
const line = computed(() => props.answer.sheet.items.find((each) => each.itemId === pushId.value) ?? null)
const item = computed(() => props.answer.items.find((each) => each.id === pushId.value) ?? null)
const choices = computed(() =>
  props.answer.items.filter((each) => each.endedOn === null).map((each) => ({ title: callIt(each), value: each.id })),
)
async function choose(pushItemId: string | null): Promise<void> {
  const { id, version, name, way } = props.answer.checkIn
  await changes.run('PUT', `/check-ins/${id}`, { changeId: newId(), version, name, way, pushItemId })
}
</script>

<template>
  <section aria-label="Next focus">
    <h3 class="lead mb-2">Next focus</h3>
    <div v-if="item && line" class="push d-flex align-center ga-3">
      <ItemGauge :item="{ ...item, goal: line.goal }" size="middle" />
      <div>
        <p class="my-1">
          <strong>{{ callIt(item) }}</strong><span v-if="answer.checkIn.pushItemId === null && !closed" class="quiet">
            suggested: nearest to its goal</span
          >
        </p>
        <p class="my-1" v-if="line.goal">{{ paceWords(line.goal, null, answer.today) }}</p>
        <p class="my-1" v-if="aimWords(line)">{{ aimWords(line) }}</p>
      </div>
    </div>
    <p v-else class="quiet my-1">None chosen.</p>
    <v-select
      v-if="!closed"
      class="choose mt-2"
      :model-value="answer.checkIn.pushItemId"
      label="Focus on this"
      :items="choices"
      clearable
      @update:model-value="choose"
    />
  </section>
</template>

<style scoped>
.push > :first-child {
  flex: none;
}

@media print {
  .choose {
    display: none;
  }
}
</style>
