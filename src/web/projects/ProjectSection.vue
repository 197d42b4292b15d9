<script setup lang="ts">
import { computed, ref } from 'vue'
import { daysBetween, type Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import type { ProjectView, StayView } from '#contract/projects'
import { newId } from '#web/api/client'
import { useChanges } from '#web/shell/changes'
import FinishDialog from '#web/ui/dialogs/FinishDialog.vue'
import { dateWords, shortDay, spanWords } from '#web/ui/words/when-words'
import { shortName } from '#web/ui/words/item-words'
import GoalDialog from './GoalDialog.vue'
import LeaveDialog from './LeaveDialog.vue'
import StayRow from './StayRow.vue'

/** One project: what is met and asks to roll, what is on the go, what has rolled out. */
const props = defineProps<{ project: ProjectView; today: Day; week: readonly number[]; weekLearned: boolean }>()
const emit = defineEmits<{ edit: []; room: [replacing: ItemSummary | null] }>()
const changes = useChanges()
const finishing = ref<StayView | null>(null)
const goalOf = ref<StayView | null>(null)
const leaving = ref<StayView | null>(null)
const met = computed(() => props.project.stays.filter((stay) => stay.rolledOut === null && stay.goal.met))
const going = computed(() => props.project.stays.filter((stay) => stay.rolledOut === null && !stay.goal.met))
const out = computed(() => props.project.stays.filter((stay) => stay.rolledOut !== null))
const perWeek = computed(() => Math.round(props.week.reduce((sum, share) => sum + share, 0) * 10) / 10)
const reached = computed(() => {
  const { reached: count, finishesWanted } = props.project
  return finishesWanted === null ? `${count} reached` : `${count} of ${finishesWanted} reached`
})

async function rollOut(stay: StayView): Promise<void> {
  const reason = stay.goal.kind === 'finish' ? 'finished' : 'met'
  const done = await changes.run('POST', `/stays/${stay.stayId}/roll-out`, {
    changeId: newId(),
    day: props.today,
    reason,
    words: '',
  })
  if (done) emit('room', stay.item)
}
</script>

<template>
  <section class="project" :aria-label="project.name">
    <header>
      <h2>{{ project.name }}</h2>
      <span class="figures">{{ reached }}, {{ going.length + met.length }} on the go</span>
      <span v-if="project.by" class="quiet"
        >until {{ dateWords(project.by) }},
        {{ daysBetween(today, project.by) >= 0 ? `${spanWords(daysBetween(today, project.by))} left` : 'over' }}</span
      >
      <span class="grow"></span>
      <v-btn variant="text" @click="emit('edit')">Change</v-btn>
      <v-btn variant="outlined" color="primary" @click="emit('room', null)">Roll something in</v-btn>
    </header>
    <p v-if="project.rules" class="rules">{{ project.rules }}</p>
    <p class="quiet reckon figures">
      Reckoned with {{ perWeek }} wear days a week,
      {{ weekLearned ? 'as learned from your last twelve weeks' : 'as you planned them in Settings' }}.
    </p>
    <div v-for="stay in met" :key="stay.stayId" class="met">
      <StayRow :stay="stay" :today="today">
        <v-btn color="primary" @click="rollOut(stay)">Roll out, choose what comes in</v-btn>
        <v-btn variant="text" @click="goalOf = stay">Go on with a new goal</v-btn>
      </StayRow>
    </div>
    <StayRow v-for="stay in going" :key="stay.stayId" :stay="stay" :today="today">
      <v-btn
        variant="outlined"
        color="primary"
        :aria-label="`${shortName(stay.item)} is empty`"
        @click="finishing = stay"
        >It is empty</v-btn
      >
      <v-btn variant="text" :aria-label="`Change the goal of ${shortName(stay.item)}`" @click="goalOf = stay"
        >Goal</v-btn
      >
      <v-btn variant="text" :aria-label="`Leave ${shortName(stay.item)} unfinished`" @click="leaving = stay"
        >Leave</v-btn
      >
    </StayRow>
    <p v-if="going.length + met.length === 0" class="quiet">Nothing is in it now.</p>
    <details v-if="out.length > 0" class="out">
      <summary>Rolled out ({{ out.length }})</summary>
      <ul>
        <li v-for="stay in out" :key="stay.stayId">
          <RouterLink :to="`/items/${stay.item.id}`">{{ shortName(stay.item) }}</RouterLink>, {{ stay.outReason }} on
          {{ stay.rolledOut ? shortDay(stay.rolledOut, today) : '' }}
        </li>
      </ul>
    </details>
    <FinishDialog
      v-if="finishing"
      :item="finishing.item"
      :today="today"
      @close="finishing = null"
      @done="finishing = null"
    />
    <GoalDialog
      v-if="goalOf"
      :stay="goalOf"
      :project-by="project.by"
      :today="today"
      @close="goalOf = null"
      @done="goalOf = null"
    />
    <LeaveDialog v-if="leaving" :stay="leaving" :today="today" @close="leaving = null" @done="leaving = null" />
  </section>
</template>

<style scoped>
.project {
  padding-bottom: 80px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 6px 16px;
}

.grow {
  flex: 1;
}

.rules {
  margin: 2px 0;
  max-width: 80ch;
}

.reckon {
  font-size: 13px;
  margin: 0 0 10px;
}

.met {
  border-left: 6px solid var(--done);
  border-radius: 10px;
  margin-bottom: 8px;
}

.out {
  margin-top: 14px;
}

.out summary {
  min-height: 44px;
  cursor: pointer;
  font-weight: 600;
}
</style>
