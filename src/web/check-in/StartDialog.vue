<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Day } from '#core/calendar/day'
import { CHECK_IN_WAYS, type CheckInOver } from '#core/measure/check-in'
import { counted } from '#core/words/counted'
import type { CheckInsAnswer } from '#contract/check-in'
import type { ListedItem } from '#contract/item'
import { dayFormat } from '#web/data/locale'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import ItemPicker from '#web/ui/ItemPicker.vue'
import { callIt } from '#web/ui/words/item-words'

/** Over what, and in which order. */
const props = defineProps<{ choices: CheckInsAnswer['choices']; today: Day }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const month = dayFormat({ month: 'long', year: 'numeric' })
const overs = computed(() =>
  (['project', 'drawer', 'category', 'chosen'] as const).filter(
    (over) =>
      (over !== 'project' || props.choices.projects.length > 0) &&
      (over !== 'drawer' || props.choices.drawer > 0) &&
      (over !== 'category' || props.choices.categories.length > 0),
  ),
)
const draft = useDraft(() => ({
  name: month(props.today),
  over: (overs.value[0] ?? 'chosen') as CheckInOver,
  projectId: props.choices.projects[0]?.id ?? null,
  categoryId: props.choices.categories[0]?.id ?? null,
  way: 'item by item' as (typeof CHECK_IN_WAYS)[number],
  items: [] as { id: string; name: string }[],
}))
const { typed, on } = draft
const picking = ref(false)
const titled = (list: readonly { id: string; name: string; items: number }[]) =>
  list.map((each) => ({ title: `${each.name}, ${counted(each.items, 'item')}`, value: each.id }))
const ready = computed(() => typed.value.over !== 'chosen' || typed.value.items.length > 0)

function pick(item: ListedItem): void {
  picking.value = false
  typed.value.items.push({ id: item.id, name: callIt(item) })
}

async function start(): Promise<void> {
  const { name, over, projectId, categoryId, way, items } = typed.value
  const id = draft.id('check-in')
  const answer = await draft.store('POST', '/check-ins', {
    id,
    name,
    over,
    way,
    projectId: over === 'project' ? projectId : null,
    categoryId: over === 'category' ? categoryId : null,
    itemIds: over === 'chosen' ? items.map((item) => item.id) : [],
  })
  if (!answer) return
  emit('close')
  await router.push(`/projects/check-in/${id}`)
}
</script>

<template>
  <FormDialog title="Begin a check-in" :draft="draft" act="Begin" :ready="ready" @close="emit('close')" @store="start">
    <ChoiceRow
      v-model="typed.over"
      label="What to check"
      :options="overs"
      :words="{
        project: 'a project',
        drawer: `the drawer, ${counted(choices.drawer, 'item')}`,
        category: 'one type',
        chosen: 'what I choose',
      }"
    />
    <v-select
      v-if="typed.over === 'project'"
      v-model="typed.projectId"
      label="Project"
      :items="titled(choices.projects)"
      :error-messages="on('projectId')"
    />
    <v-select
      v-if="typed.over === 'category'"
      v-model="typed.categoryId"
      label="Type"
      :items="titled(choices.categories)"
      :error-messages="on('categoryId')"
    />
    <div v-if="typed.over === 'chosen'">
      <ul v-if="typed.items.length > 0" class="chosen mb-2">
        <li
          class="d-flex justify-space-between align-center touch hair-below"
          v-for="(item, n) in typed.items"
          :key="item.id"
        >
          {{ item.name }}
          <button type="button" class="text-act" :aria-label="`Without ${item.name}`" @click="typed.items.splice(n, 1)">
            without it
          </button>
        </li>
      </ul>
      <v-btn variant="outlined" color="primary" @click="picking = true">Choose an item</v-btn>
      <p v-if="on('itemIds').length > 0" class="alarm">{{ on('itemIds')[0] }}</p>
    </div>
    <ChoiceRow
      v-model="typed.way"
      label="In which order"
      :options="CHECK_IN_WAYS"
      :words="{ 'measure by measure': 'weigh all, then look at all' }"
    />
    <v-text-field v-model="typed.name" label="Name of the update" :error-messages="on('name')" />
    <ItemPicker
      v-if="picking"
      :model-value="true"
      title="Which items?"
      action="Choose"
      :exclude="typed.items.map((item) => item.id)"
      @update:model-value="picking = false"
      @pick="pick"
    />
  </FormDialog>
</template>
