<script setup lang="ts">
import { ref } from 'vue'
import { addMonths } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { useTargets } from '#web/data/reads'
import DayField from '#web/ui/form/DayField.vue'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import PlaceHead from '#web/ui/PlaceHead.vue'
import TargetCard from './TargetCard.vue'

/** So many of a category by a day. */
const { answer } = useTargets()
const changes = useChanges()
const setting = ref(false)
const YEAR = 12
const draft = useDraft(() => ({ categoryId: null as string | null, items: '', by: '' }))
const { typed, on } = draft

function begin(categoryId: string | null, items = '', by = ''): void {
  const { today } = answer.value ?? {}
  if (today === undefined) return
  draft.begin({ categoryId, items, by: by || addMonths(today, YEAR) })
  setting.value = true
}

async function store(): Promise<void> {
  const { categoryId, items, by } = typed.value
  const number = items.trim() === '' ? null : Number(items)
  if (await draft.store('POST', '/targets', { id: draft.id('target'), categoryId, items: number, by }))
    setting.value = false
}

function drop(id: string): void {
  void changes.run('POST', `/targets/${id}/drop`, { changeId: newId() })
}
</script>

<template>
  <PlaceHead
    question="How many of each are enough?"
    :primary="answer ? { words: 'Set a target', act: () => begin(null) } : null"
  />
  <template v-if="answer">
    <EmptyPlace v-if="answer.targets.length === 0" title="No targets yet" act="Set a target" @act="begin(null)">
      <template #drawing>
        <svg viewBox="0 0 200 110" width="200" height="110" aria-hidden="true">
          <path d="M10 24h60v12h40v14h36v18h44M190 84H10" class="line" />
          <path d="M10 84V18" class="line" />
          <path d="M130 84h60" class="line" stroke-dasharray="4 5" />
        </svg>
      </template>
      From thirty lipsticks to twelve by a date: what your records say, which to keep first, and how it’s going.
      <template v-if="answer.others.length > 0">
        You own the most of these:
        {{
          answer.others
            .slice(0, 3)
            .map((each) => counted(each.items, each.category))
            .join(', ')
        }}.</template
      >
    </EmptyPlace>
    <TargetCard
      v-for="target in answer.targets"
      :key="target.id"
      :target="target"
      :today="answer.today"
      @change="begin(target.categoryId, String(target.items), target.by)"
      @drop="drop(target.id)"
    />
    <FormDialog
      v-if="setting"
      title="How many are enough?"
      :draft="draft"
      act="Save"
      :ready="typed.categoryId !== null && typed.items !== '' && typed.by !== ''"
      @close="setting = false"
      @store="store"
    >
      <v-autocomplete
        v-model="typed.categoryId"
        label="Of which type"
        :items="
          [...answer.targets.map((each) => ({ ...each, items: each.now })), ...answer.others].map((each) => ({
            title: `${each.category}, ${each.items}`,
            value: each.categoryId,
          }))
        "
        :error-messages="on('categoryId')"
      />
      <v-text-field v-model="typed.items" inputmode="numeric" label="How many stay" :error-messages="on('items')" />
      <DayField v-model="typed.by" label="By" :min="answer.today" :error-messages="on('by')" />
    </FormDialog>
  </template>
</template>
