<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import type { ProjectView } from '#contract/projects'
import { newId } from '#web/api/client'
import { freshGoal, goalBody } from '#web/ui/dialogs/goal-draft'
import GoalFields from '#web/ui/dialogs/GoalFields.vue'
import FormTrouble from '#web/ui/FormTrouble.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { useStock } from '#web/ui/stock'
import { useForm } from '#web/ui/use-form'
import { matchesWords, shortName, usesWords } from '#web/ui/words/item-words'

/** A whole set at once: a season's fifteen, a sweep's pool, the shades of a palette; one goal for each. */
const props = defineProps<{ project: ProjectView; today: Day }>()
const emit = defineEmits<{ close: []; done: [] }>()
const form = useForm()
const stock = useStock()
void stock.load()
const text = ref('')
const chosen = ref<string[]>([])
const goal = ref(freshGoal(props.project.by, props.project.usesEach))
const inside = computed(
  () =>
    new Set(
      props.project.stays.filter((stay) => stay.rolledOut === null).map((stay) => stay.goal.partId ?? stay.item.id),
    ),
)
const palette = computed(() => stock.items.find((item) => item.id === props.project.paletteId) ?? null)
const candidates = computed(() =>
  stock.items.filter(
    (item) =>
      item.lifecycle === 'open' &&
      !inside.value.has(item.id) &&
      (props.project.categoryId === null || item.categoryId === props.project.categoryId) &&
      (props.project.categoryId !== null || item.makeup) &&
      (text.value.trim() === '' || matchesWords(item, text.value)),
  ),
)
const most = computed(() => (props.project.shape === 'sweep' ? props.project.atOnce : props.project.mostItems))

function toggle(id: string): void {
  chosen.value = chosen.value.includes(id) ? chosen.value.filter((each) => each !== id) : [...chosen.value, id]
}

async function save(): Promise<void> {
  const stays = chosen.value.map((id) =>
    palette.value
      ? { stayId: newId(), itemId: palette.value.id, partId: id }
      : { stayId: newId(), itemId: id, partId: null },
  )
  const body = { changeId: newId(), day: props.today, goal: goalBody(goal.value), stays }
  if (await form.submit('POST', `/projects/${props.project.id}/roll-in-many`, body)) emit('done')
}

function caption(item: ItemSummary): string {
  return `${item.category}, ${usesWords(item.uses)}`
}
</script>

<template>
  <v-dialog
    :model-value="true"
    max-width="760"
    :aria-label="`The set of ${project.name}`"
    @update:model-value="emit('close')"
  >
    <form class="sheet dialog" @submit.prevent="save">
      <h2>{{ palette ? 'Which shades?' : 'Which items?' }}</h2>
      <p class="quiet figures">
        {{ chosen.length }} chosen{{ most === null ? '' : `, ${Math.max(0, most - inside.size)} can come in` }}. Each
        gets the goal below; it can be changed one by one later.
      </p>
      <div v-if="palette" class="choices" role="group" aria-label="Shades">
        <button
          v-for="part in palette.parts"
          :key="part.id"
          type="button"
          class="choice"
          :disabled="inside.has(part.id)"
          :aria-pressed="chosen.includes(part.id)"
          @click="toggle(part.id)"
        >
          <span class="dab" :style="{ background: part.colour ?? 'var(--plate)' }"></span>{{ part.name }}
        </button>
      </div>
      <template v-else>
        <v-text-field v-if="project.categoryId === null" v-model="text" label="A few letters of maker, name or shade" />
        <div class="set" role="group" aria-label="Items">
          <button
            v-for="item in candidates"
            :key="item.id"
            type="button"
            class="one"
            :class="{ chosen: chosen.includes(item.id) }"
            :aria-pressed="chosen.includes(item.id)"
            @click="toggle(item.id)"
          >
            <ItemGauge :item="item" size="small" :rail="false" />
            <span
              ><strong>{{ shortName(item) }}</strong
              ><span class="quiet">{{ caption(item) }}</span></span
            >
          </button>
        </div>
      </template>
      <GoalFields
        v-model="goal"
        :today="today"
        :project-by="project.by"
        :on="form.on"
        :uses-so-far="0"
        :pan="palette !== null"
      />
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Not now</v-btn>
        <v-btn type="submit" color="primary" :disabled="chosen.length === 0" :loading="form.busy.value"
          >Roll in {{ chosen.length }}</v-btn
        >
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
.set {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 5px;
  max-height: 300px;
  overflow: auto;
  padding: 3px;
}

.one {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 52px;
  padding: 2px 8px;
  border: 1px solid var(--hair);
  border-radius: 8px;
  text-align: left;
  font-size: 13.5px;
}

.one.chosen {
  border: 2px solid var(--primary);
  background: var(--inset);
}

.one .quiet {
  display: block;
  font-size: 12.5px;
}

.dab {
  display: inline-block;
  width: 16px;
  height: 16px;
  margin-right: 7px;
  border-radius: 4px;
  vertical-align: -3px;
  border: 1px solid rgb(0 0 0 / 0.35);
}
</style>
