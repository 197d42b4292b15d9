<script setup lang="ts">
import { nextTick, ref } from 'vue'
import { until } from '@vueuse/core'
import type { ListedItem } from '#contract/item'
import type { ProjectView } from '#contract/projects'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { useProjects } from '#web/data/reads'
import { useItemActs } from '#web/ui/acts/item-acts'
import ItemPicker from '#web/ui/ItemPicker.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { planWords } from '#web/ui/words/project-words'
import ClosedProject from './ClosedProject.vue'
import EmptyProjects from './EmptyProjects.vue'
import UpNextList from './UpNextList.vue'
import ProjectDialog from './ProjectDialog.vue'
import ProjectSection from './ProjectSection.vue'
import ShortListDialog from './ShortListDialog.vue'

const changes = useChanges()
const acts = useItemActs()
const { answer } = useProjects()
const editing = ref<ProjectView | 'new' | null>(null)
/** A project with room: whom to choose from, and for what. */
const room = ref<{ project: ProjectView; replacing: ListedItem | null } | null>(null)
/** What is being picked for: a project, or the short list. */
const picking = ref<ProjectView | 'short list' | null>(null)

function choose(item: ListedItem): void {
  const into = room.value?.project ?? picking.value
  room.value = null
  picking.value = null
  if (into === 'short list')
    void changes.run('POST', '/short-list', {
      changeId: newId(),
      id: newId(),
      itemId: item.id,
      season: null,
      words: '',
    })
  else if (into !== null) void acts.begin('roll in', item, { projectId: into.id })
}

/** A new project is opened where it is: seen, and with the focus, as soon as it has come. */
async function stored(id: string): Promise<void> {
  const isNew = editing.value === 'new'
  editing.value = null
  if (!isNew) return
  await until(() => answer.value?.projects.some((project) => project.id === id) ?? false).toBe(true)
  await nextTick()
  const head = document.getElementById(`project-${id}`)
  head?.scrollIntoView({ block: 'start' })
  head?.focus({ preventScroll: true })
}

function search(): void {
  picking.value = room.value?.project ?? null
  room.value = null
}
</script>

<template>
  <PlaceHead
    question="What am I working on, and will it add up?"
    :primary="{ words: 'Start a project', act: () => (editing = 'new') }"
    :acts="[{ words: 'Up next', act: () => (picking = 'short list') }]"
  />
  <template v-if="answer">
    <p v-if="answer.plan?.askFresh" class="plan-news prose py-1 px-3">
      {{ planWords(answer.plan.otherwise) }}
      <RouterLink to="/projects/plan">See the plan</RouterLink>
    </p>
    <EmptyProjects v-if="answer.projects.length === 0" @start="editing = 'new'" />
    <ProjectSection
      v-for="project in answer.projects"
      :key="project.id"
      :project="project"
      :others="answer.projects.filter((each) => each.id !== project.id)"
      :today="answer.today"
      :week="answer.week"
      :week-learned-from="answer.weekLearnedFrom"
      @edit="editing = project"
      @room="(replacing) => (room = { project, replacing })"
    />
    <UpNextList :items="answer.shortList" @add="picking = 'short list'" />
    <section v-if="answer.closed.length > 0" aria-label="Closed projects">
      <h2>Closed</h2>
      <ClosedProject v-for="project in answer.closed" :key="project.id" :project="project" />
    </section>
    <ProjectDialog
      v-if="editing"
      :project="editing === 'new' ? null : editing"
      :today="answer.today"
      @close="editing = null"
      @done="stored"
    />
    <ShortListDialog
      v-if="room"
      :project="room.project"
      :replacing="room.replacing"
      :today="answer.today"
      @close="room = null"
      @pick="choose"
      @search="search"
    />
    <ItemPicker
      v-if="picking"
      :model-value="true"
      :title="picking === 'short list' ? 'Up next' : 'Roll in'"
      action="Choose"
      :exclude="
        picking === 'short list'
          ? answer.shortList.map((each) => each.item.id)
          : picking.stays.filter((stay) => stay.rolledOut === null).map((stay) => stay.item.id)
      "
      @update:model-value="picking = null"
      @pick="choose"
    />
  </template>
</template>

<style scoped>
.plan-news {
  border-left: 5px solid var(--primary);
}
</style>
