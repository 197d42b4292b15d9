<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import type { ProjectView } from '#contract/projects'
import { useProjects } from '#web/data/reads'
import { useStock } from '#web/data/stock'
import { useUnits } from '#web/data/units'
import { freshGoal, goalBody } from '#web/ui/acts/goal-draft'
import GoalFields from '#web/ui/acts/GoalFields.vue'
import SetUpWords from '#web/ui/acts/SetUpWords.vue'
import ShadeChoice from '#web/ui/acts/ShadeChoice.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { stateWords } from '#web/ui/words/gauge-words'
import { callIt, kindAndMaker, matchesWords, shortName, twinWords } from '#web/ui/words/item-words'

/** A whole set at once: a season's fifteen, a sweep's pool, the shades of a palette; one goal for each. */
const props = defineProps<{ project: ProjectView; today: Day }>()
const emit = defineEmits<{ close: []; done: [] }>()
const stock = useStock()
const text = ref('')
const draft = useDraft(() => ({
  chosen: [] as string[],
  goal: freshGoal(props.project.by, props.project.usesEach),
}))
const { typed, on } = draft
const inside = computed(
  () =>
    new Set(
      props.project.stays.filter((stay) => stay.rolledOut === null).map((stay) => stay.goal.partId ?? stay.item.id),
    ),
)
const palette = computed(() => stock.items.find((item) => item.id === props.project.paletteId) ?? null)
const eligible = computed(() =>
  stock.items.filter(
    (item) =>
      item.lifecycle === 'open' &&
      !inside.value.has(item.id) &&
      (props.project.categoryId === null ? item.makeup : item.categoryId === props.project.categoryId),
  ),
)
const units = useUnits()
const twins = computed(() => twinWords(eligible.value, units.value))
const { answer } = useProjects()
const upNext = computed(() => new Map(answer.value?.shortList.map((each, n) => [each.item.id, n + 1])))
const isOver = ({ shelfLife }: ListedItem): boolean => shelfLife.state === 'past' || shelfLife.state === 'sign seen'
/** What is up next stands first, what has expired last. */
const rank = (item: ListedItem): number => (isOver(item) ? 2 : upNext.value.has(item.id) ? 0 : 1)
const candidates = computed(() =>
  eligible.value
    .filter((item) => text.value.trim() === '' || matchesWords(item, text.value))
    .toSorted((a, b) => rank(a) - rank(b) || (upNext.value.get(a.id) ?? 0) - (upNext.value.get(b.id) ?? 0)),
)
const most = computed(() => (props.project.shape === 'sweep' ? props.project.atOnce : props.project.mostItems))

function toggle(id: string): void {
  const { chosen } = typed.value
  typed.value.chosen = chosen.includes(id) ? chosen.filter((each) => each !== id) : [...chosen, id]
}

function caption(item: ListedItem): string {
  const place = upNext.value.get(item.id)
  const facts = [kindAndMaker(item), twins.value.get(item.id), isOver(item) && stateWords(item)]
  return [...facts, place && `number ${place} of what’s up next`].filter(Boolean).join(', ')
}

async function store(): Promise<void> {
  const stays = typed.value.chosen.map((id) =>
    palette.value
      ? { stayId: draft.id(id), itemId: palette.value.id, partId: id }
      : { stayId: draft.id(id), itemId: id, partId: null },
  )
  const body = { day: props.today, goal: goalBody(typed.value.goal), stays }
  if (await draft.store('POST', `/projects/${props.project.id}/roll-in-many`, body)) emit('done')
}
</script>

<template>
  <FormDialog
    :title="palette ? 'Which shades?' : 'Which items?'"
    :label="`The set of ${project.name}`"
    :draft="draft"
    :act="`Roll in ${typed.chosen.length}`"
    cancel="Not now"
    :ready="typed.chosen.length > 0"
    :width="760"
    @close="emit('close')"
    @store="store"
  >
    <p class="quiet figures">
      {{ typed.chosen.length }} chosen{{ most === null ? '' : `, ${Math.max(0, most - inside.size)} can come in` }}.
      Each gets the goal below; it can be changed one by one later.
    </p>
    <ShadeChoice v-if="palette" v-model="typed.chosen" label="Shades" :parts="palette.parts" :taken="inside" />
    <template v-else>
      <v-text-field v-if="project.categoryId === null" v-model="text" label="A few letters of brand, name or shade" />
      <v-virtual-scroll class="set" role="group" aria-label="Items" :items="candidates" :item-height="56" item-key="id">
        <template #default="{ item }">
          <button
            type="button"
            class="one d-flex align-center w-100 rounded-lg text-left small mb-1 py-1 px-2 ga-2"
            :class="{ chosen: typed.chosen.includes(item.id) }"
            :aria-pressed="typed.chosen.includes(item.id)"
            :aria-label="[callIt(item), twins.get(item.id)].filter(Boolean).join(', ')"
            @click="toggle(item.id)"
          >
            <ItemGauge :item="item" size="small" :rail="false" />
            <span
              ><strong>{{ shortName(item) }}</strong
              ><span class="quiet d-block fine">{{ caption(item) }}</span></span
            >
          </button>
        </template>
      </v-virtual-scroll>
    </template>
    <GoalFields
      v-model="typed.goal"
      :today="today"
      :project-by="project.by"
      :on="on"
      :uses-so-far="0"
      :pan="palette !== null"
    />
    <SetUpWords
      v-if="!palette"
      :item-ids="typed.chosen"
      :goal="typed.goal"
      :project-id="project.id"
      :project-by="project.by"
      :today="today"
    />
  </FormDialog>
</template>

<style scoped>
.set {
  height: 300px;
}

.one {
  min-height: 52px;
  border: 1px solid var(--hair);
}

.one.chosen {
  border: 2px solid var(--primary);
  background: var(--inset);
}
</style>
