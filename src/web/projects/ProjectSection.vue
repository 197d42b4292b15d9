<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import type { ProjectView, StayView } from '#contract/projects'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { ACT_WORDS, useItemActs } from '#web/ui/acts/item-acts'
import ItemActsMenu from '#web/ui/acts/ItemActsMenu.vue'
import { callIt, shortName, usesWords } from '#web/ui/words/item-words'
import { shortDay } from '#web/ui/words/when-words'
import CarryDialog from './CarryDialog.vue'
import FinaleDialog from './FinaleDialog.vue'
import GoalDialog from './GoalDialog.vue'
import LeaveDialog from './LeaveDialog.vue'
import ProjectHead from './ProjectHead.vue'
import SetDialog from './SetDialog.vue'
import StayRow from './StayRow.vue'

/** One project: what is met and asks to roll, what is on the go, what goes along, what has rolled out. */
const props = defineProps<{
  project: ProjectView
  others: readonly ProjectView[]
  today: Day
  week: readonly number[]
  weekLearnedFrom: number
}>()
const emit = defineEmits<{ edit: []; room: [replacing: ListedItem | null] }>()
const changes = useChanges()
const acts = useItemActs()
const act = ref<{ kind: 'goal' | 'leave' | 'carry'; stay: StayView } | null>(null)
const finale = ref(false)
const choosing = ref(false)
const inside = computed(() => props.project.stays.filter((stay) => stay.rolledOut === null))
const met = computed(() => inside.value.filter((stay) => stay.goal.met && !stay.goal.beside))
const going = computed(() => inside.value.filter((stay) => !stay.goal.met && !stay.goal.beside))
const beside = computed(() => inside.value.filter((stay) => stay.goal.beside))
const out = computed(() => props.project.stays.filter((stay) => stay.rolledOut !== null && !stay.goal.beside))
const nameOf = (stay: StayView): string => stay.goal.partName ?? callIt(stay.item)

async function rollOut(stay: StayView, reason: 'met' | 'finished' | 'left unfinished'): Promise<void> {
  const done = await changes.run('POST', `/stays/${stay.stayId}/roll-out`, {
    changeId: newId(),
    day: props.today,
    reason,
    words: '',
  })
  if (done && reason !== 'left unfinished' && props.project.replacing !== 'none') emit('room', stay.item)
}
</script>

<template>
  <section class="project" :aria-label="project.name">
    <ProjectHead
      :project="project"
      :today="today"
      :week="week"
      :week-learned-from="weekLearnedFrom"
      @edit="emit('edit')"
      @roll-in="emit('room', null)"
      @choose="choosing = true"
      @finale="finale = true"
    />
    <div class="two-columns align-start">
      <div v-for="stay in met" :key="stay.stayId" class="met rounded-lg mb-2">
        <StayRow :stay="stay" :today="today">
          <v-btn
            variant="outlined"
            color="primary"
            @click="rollOut(stay, stay.goal.kind === 'finish' ? 'finished' : 'met')"
            >{{ project.replacing === 'none' ? 'Roll out' : 'Roll out…' }}</v-btn
          >
          <template #more>
            <v-btn variant="text" @click="act = { kind: 'goal', stay }">Continue with a new goal</v-btn>
          </template>
        </StayRow>
      </div>
      <StayRow v-for="stay in going" :key="stay.stayId" :stay="stay" :today="today">
        <v-btn
          variant="outlined"
          color="primary"
          :aria-label="`${callIt(stay.item)}: how much is left`"
          @click="acts.begin('read', stay.item)"
          >{{ ACT_WORDS.read }}</v-btn
        >
        <template #more>
          <v-btn variant="text" :aria-label="`Change the goal of ${nameOf(stay)}`" @click="act = { kind: 'goal', stay }"
            >Change the goal</v-btn
          >
          <v-btn
            v-if="others.length > 0"
            variant="text"
            :aria-label="`Carry over ${nameOf(stay)}`"
            @click="act = { kind: 'carry', stay }"
            >Carry over</v-btn
          >
          <v-btn
            v-if="project.leavingAllowed"
            variant="text"
            :aria-label="`Drop ${nameOf(stay)} from the project`"
            @click="act = { kind: 'leave', stay }"
            >Drop</v-btn
          >
          <ItemActsMenu :item="stay.item" :without="['read', 'roll in']" />
        </template>
      </StayRow>
    </div>
    <p v-if="going.length + met.length === 0" class="quiet">
      Nothing in it yet. Choose several at once, or roll items in one by one.
    </p>
    <p v-if="beside.length > 0">
      No goal:
      <span v-for="stay in beside" :key="stay.stayId" class="figures me-3">
        <RouterLink :to="`/items/${stay.item.id}`">{{ shortName(stay.item) }}</RouterLink> ({{
          usesWords(stay.goal.uses)
        }})
        <button type="button" class="stop text-act px-2" @click="rollOut(stay, 'left unfinished')">no longer</button>
      </span>
    </p>
    <details v-if="out.length > 0" class="out mt-3">
      <summary class="touch font-weight-semibold">Rolled out ({{ out.length }})</summary>
      <ul class="bulleted">
        <li v-for="stay in out" :key="stay.stayId">
          <RouterLink :to="`/items/${stay.item.id}`">{{ nameOf(stay) }}</RouterLink>, {{ stay.outReason
          }}{{ stay.outWords ? ` (${stay.outWords})` : '' }} on
          {{ stay.rolledOut ? shortDay(stay.rolledOut, today) : '' }}
        </li>
      </ul>
    </details>
    <template v-if="act">
      <GoalDialog
        v-if="act.kind === 'goal'"
        :stay="act.stay"
        :project-by="project.by"
        :today="today"
        @close="act = null"
        @done="act = null"
      />
      <LeaveDialog
        v-else-if="act.kind === 'leave'"
        :stay="act.stay"
        :today="today"
        @close="act = null"
        @done="act = null"
      />
      <CarryDialog v-else :stay="act.stay" :projects="others" :today="today" @close="act = null" @done="act = null" />
    </template>
    <FinaleDialog v-if="finale" :project="project" @close="finale = false" @done="finale = false" />
    <SetDialog v-if="choosing" :project="project" :today="today" @close="choosing = false" @done="choosing = false" />
  </section>
</template>

<style scoped>
.project {
  padding-bottom: 44px;
  /* Clear of the notice at the top of a phone. */
  scroll-margin-top: 60px;
}

.met {
  border-left: 6px solid var(--done);
}

.out summary {
  cursor: pointer;
}
</style>
