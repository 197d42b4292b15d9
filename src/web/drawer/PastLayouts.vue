<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { LayoutChange } from '#contract/season-change'
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
  <section v-if="props.days.length > 0" class="mt-3 mb-5 mx-0" aria-label="Past layouts">
    <h2 class="lead mb-2">Past layouts</h2>
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
      <dt class="font-weight-semibold mt-2">In it then and not now ({{ layout.went.length }})</dt>
      <dd class="prose mt-1">{{ named(layout.went) }}</dd>
      <dt class="font-weight-semibold mt-2">Came in since ({{ layout.came.length }})</dt>
      <dd class="prose mt-1">{{ named(layout.came) }}</dd>
    </dl>
  </section>
</template>
