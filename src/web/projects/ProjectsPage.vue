<script setup lang="ts">
import { ref } from 'vue'
import type { ListedItem } from '#contract/item'
import type { ProjectView } from '#contract/projects'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { useProjects } from '#web/data/reads'
import { useItemActs } from '#web/ui/acts/item-acts'
import ItemPicker from '#web/ui/ItemPicker.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import PlaceWays from '#web/ui/PlaceWays.vue'
import { planWords, PROJECT_WAYS } from '#web/ui/words/project-words'
import ClosedProject from './ClosedProject.vue'
import EmptyProjects from './EmptyProjects.vue'
import LaterList from './LaterList.vue'
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

function search(): void {
  picking.value = room.value?.project ?? null
  room.value = null
}
</script>

<template>
  <PlaceHead
    title="Projects"
    question="What am I working on, and does it add up?"
    :primary="{ words: 'Start a project', act: () => (editing = 'new') }"
    :acts="[{ words: 'Short list for later', act: () => (picking = 'short list') }]"
  />
  <PlaceWays label="Rooms of Projects" :ways="PROJECT_WAYS" />
  <template v-if="answer">
    <p v-if="answer.plan?.askFresh" class="plan-news">
      {{ planWords(answer.plan.otherwise) }}
      <RouterLink to="/plan">Look at the plan</RouterLink>
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
    <LaterList :items="answer.shortList" @add="picking = 'short list'" />
    <section v-if="answer.closed.length > 0" aria-label="Closed projects">
      <h2>Closed</h2>
      <ClosedProject v-for="project in answer.closed" :key="project.id" :project="project" />
    </section>
    <ProjectDialog
      v-if="editing"
      :project="editing === 'new' ? null : editing"
      :today="answer.today"
      @close="editing = null"
      @done="editing = null"
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
      :title="picking === 'short list' ? 'Short list for later' : 'Roll in'"
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
  padding: 4px 14px;
  max-width: 92ch;
}
</style>
