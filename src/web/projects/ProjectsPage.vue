<script setup lang="ts">
import { ref, watch } from 'vue'
import type { ItemSummary } from '#contract/item'
import type { ProjectsAnswer, ProjectView } from '#contract/projects'
import { get, newId } from '#web/api/client'
import { useChanges } from '#web/shell/changes'
import RollInDialog from '#web/ui/dialogs/RollInDialog.vue'
import ItemPicker from '#web/ui/ItemPicker.vue'
import ClosedProject from './ClosedProject.vue'
import LaterList from './LaterList.vue'
import ProjectDialog from './ProjectDialog.vue'
import ProjectSection from './ProjectSection.vue'
import ShortListDialog from './ShortListDialog.vue'

const changes = useChanges()
const answer = ref<ProjectsAnswer | null>(null)
const editing = ref<ProjectView | 'new' | null>(null)
/** A project with room: whom to choose from, and for what. */
const room = ref<{ project: ProjectView; replacing: ItemSummary | null } | null>(null)
const rolling = ref<{ project: ProjectView; item: ItemSummary } | null>(null)
const picking = ref<ProjectView | null>(null)
const pickerOpen = ref(false)
const keeping = ref(false)

watch(
  () => changes.count,
  async () => (answer.value = await get<ProjectsAnswer>('/projects')),
  { immediate: true },
)

function choose(item: ItemSummary): void {
  if (keeping.value) {
    keeping.value = false
    pickerOpen.value = false
    void changes.run('POST', '/short-list', {
      changeId: newId(),
      id: newId(),
      itemId: item.id,
      season: null,
      words: '',
    })
    return
  }
  const project = room.value?.project ?? picking.value
  room.value = null
  picking.value = null
  pickerOpen.value = false
  if (project) rolling.value = { project, item }
}

function search(): void {
  picking.value = room.value?.project ?? null
  room.value = null
  pickerOpen.value = true
}
</script>

<template>
  <div class="place-head">
    <h1>Projects</h1>
    <span class="quiet">What am I working on, and does it add up?</span>
    <v-btn color="primary" @click="editing = 'new'">Start a project</v-btn>
  </div>
  <template v-if="answer">
    <section v-if="answer.projects.length === 0" class="inset empty">
      <h2>No project yet</h2>
      <p>
        A project is a chosen set of things to work on, with a goal for each, under your own rules: rolling, for a
        season, for a year, a sweep through a category, or the shades of one palette. About ten items is the usual size;
        two or three sure finishes keep it cheerful.
      </p>
    </section>
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
    <LaterList :items="answer.shortList" @add="((keeping = true), (pickerOpen = true))" />
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
    <RollInDialog
      v-if="rolling"
      :item="rolling.item"
      :projects="[rolling.project]"
      :today="answer.today"
      @close="rolling = null"
      @done="rolling = null"
    />
    <ItemPicker
      v-model="pickerOpen"
      :title="keeping ? 'Short list for later' : 'Roll in'"
      action="Choose"
      :exclude="picking?.stays.filter((stay) => stay.rolledOut === null).map((stay) => stay.item.id) ?? []"
      @pick="choose"
    />
  </template>
</template>

<style scoped>
.empty {
  padding: 28px;
  max-width: 760px;
}
</style>
