<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Day } from '#core/calendar/day'
import type { LayoutChange } from '#contract/laying'
import { get } from '#web/api/client'
import { shortName } from '#web/ui/words/item-words'
import { dateWords } from '#web/ui/words/when-words'

/** The drawer as it was laid before, against the drawer of today. */
const props = defineProps<{ days: readonly Day[] }>()
const day = ref<Day | null>(null)
const layout = ref<LayoutChange | null>(null)
const names = computed(() => new Map((layout.value?.lay ?? []).map((item) => [item.id, shortName(item)])))
const named = (ids: readonly string[]): string => ids.map((id) => names.value.get(id) ?? '').join(', ') || 'nothing'

watch(day, async (asked) => {
  if (asked !== null) layout.value = await get<LayoutChange>(`/layouts/${asked}`)
})
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
  margin-bottom: 70px;
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
