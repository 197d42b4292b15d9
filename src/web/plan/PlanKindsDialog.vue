<script setup lang="ts">
import { computed } from 'vue'
import { addDays, type Day } from '#core/calendar/day'
import type { PlanAnswer } from '#contract/planning'
import NumberField from '#web/ui/form/NumberField.vue'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { stretchWords } from '#web/ui/words/when-words'

/** How often each kind is worn on a wear day, and when it rests. */
const props = defineProps<{ answer: PlanAnswer; today: Day }>()
const emit = defineEmits<{ close: [] }>()
const changes = useChanges()
const used = computed(() => new Set(props.answer.basis.things.map(({ categoryId }) => categoryId)))
const kinds = computed(() => props.answer.kinds.filter(({ id }) => used.value.has(id)))
const paceOf = (id: string): number =>
  props.answer.basis.kinds.find(({ categoryId }) => categoryId === id)?.perWearDay ?? 1
const REST_DAYS = 30
const draft = useDraft(() => ({
  categoryId: null as string | null,
  perWearDay: '',
  rests: false,
  from: props.today as string,
  to: addDays(props.today, REST_DAYS) as string,
}))
const { typed, on } = draft
const chosen = computed(() => kinds.value.find(({ id }) => id === typed.value.categoryId) ?? null)
const times = (pace: number): string => String(Math.round(pace * 100) / 100)

function choose(id: string): void {
  draft.begin({ ...typed.value, categoryId: id, perWearDay: times(paceOf(id)), rests: false })
}

async function store(): Promise<void> {
  const { categoryId, perWearDay, rests, from, to } = typed.value
  if (categoryId === null) return
  const done = rests
    ? await draft.store('POST', '/plan/breaks', { id: draft.id('rest'), categoryId, from, to })
    : await draft.store('PUT', `/plan/paces/${categoryId}`, {
        id: draft.id('pace'),
        perWearDay: perWearDay.trim() === '' ? null : Number(perWearDay.replace(',', '.')),
      })
  if (done) draft.begin({ ...typed.value, categoryId: null })
}
function drop(id: string): void {
  void changes.run('POST', `/plan/breaks/${id}/drop`, { changeId: newId() })
}
</script>

<template>
  <FormDialog
    title="How often each type"
    :draft="draft"
    :act="chosen ? 'Save' : undefined"
    cancel="Close"
    :width="620"
    @close="emit('close')"
    @store="store"
  >
    <p class="quiet">
      How often you use each type on a day with makeup, learned from your year and shared among the items of the type.
      Change it where it will be different.
    </p>
    <template v-if="chosen">
      <h3>{{ chosen.name }}</h3>
      <v-checkbox v-model="typed.rests" label="A break for a while" />
      <div v-if="typed.rests" class="side-by-side">
        <DayField v-model="typed.from" label="From" :error-messages="on('from')" />
        <DayField v-model="typed.to" label="To" :error-messages="on('to')" />
      </div>
      <NumberField
        text
        v-else
        v-model="typed.perWearDay"
        :label="`Uses on a wear day (empty: ${chosen.learned === null ? 'not learned yet, 1' : `as learned, ${times(chosen.learned)}`})`"
        :error-messages="on('perWearDay')"
      />
    </template>
    <ul>
      <li class="d-flex justify-space-between align-center touch hair-below" v-for="kind in kinds" :key="kind.id">
        <span
          ><strong>{{ kind.name }}</strong>
          <small class="quiet figures d-block small"
            >{{ times(paceOf(kind.id)) }} a wear day,
            {{ kind.said ? 'as you said' : kind.learned === null ? 'not learned yet' : 'as learned' }}</small
          >
          <small v-for="rest in kind.breaks" :key="rest.id" class="rest d-block small">
            rests {{ stretchWords({ earliest: rest.from as Day, latest: rest.to as Day }, today) }}
            <button
              type="button"
              class="text-act strong"
              :aria-label="`End the rest of ${kind.name}`"
              @click="drop(rest.id)"
            >
              End it
            </button>
          </small></span
        >
        <v-btn variant="text" :aria-label="`Change ${kind.name}`" @click="choose(kind.id)">Change</v-btn>
      </li>
    </ul>
  </FormDialog>
</template>
