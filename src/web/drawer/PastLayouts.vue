<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { LayoutChange } from '#contract/laying'
import { callIt } from '#web/ui/words/item-words'
import { dateWords } from '#web/data/locale'
import { useRead } from '#web/data/reads'

/** The drawer as it was laid before, against the drawer of today. */
const props = defineProps<{ days: readonly Day[] }>()
const day = ref<Day | null>(null)
const { answer: layout } = useRead<LayoutChange>(
  () => ['layouts', day.value ?? ''],
  () => (day.value === null ? null : `/layouts/${day.value}`),
)
const names = computed(() => new Map((layout.value?.lay ?? []).map((item) => [item.id, callIt(item)])))
const named = (ids: readonly string[]): string => ids.map((id) => names.value.get(id) ?? '').join(', ') || 'nothing'
</script>

<template>
  <section v-if="props.days.length > 0" class="past" aria-label="Past layouts">
    <h2>Past layouts</h2>
    <div class="choices">
      <button
        v-for="each in props.days"
        :key="each"
        type="button"
        class="choice"
        :aria-pressed="day === each"
        @click="day = each"
      >
        {{ dateWords(each) }}
      </button>
    </div>
    <dl v-if="layout && layout.day === day">
      <dt>In it then and not now ({{ layout.went.length }})</dt>
      <dd>{{ named(layout.went) }}</dd>
      <dt>Came in since ({{ layout.came.length }})</dt>
      <dd>{{ named(layout.came) }}</dd>
    </dl>
  </section>
</template>

<style scoped>
.past {
  margin: 14px 0 20px;
}

h2 {
  font-size: 17px;
  margin-bottom: 6px;
}

dt {
  font-weight: 600;
  margin-top: 10px;
}

dd {
  margin: 2px 0 0;
  max-width: 90ch;
}
</style>
