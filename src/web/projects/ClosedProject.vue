<script setup lang="ts">
import type { ProjectView } from '#contract/projects'
import { shortName, usesWords } from '#web/ui/words/item-words'
import { reachedWords, SHAPE_NAMES } from '#web/ui/words/project-words'
import { dateWords } from '#web/data/locale'

/** A project after its finale: what was reached, what was learned. */
defineProps<{ project: ProjectView }>()
</script>

<template>
  <details class="sheet closed mb-2 py-1 px-4">
    <summary class="d-flex touch flex-wrap align-center gr-1 gc-3">
      <strong>{{ project.name }}</strong>
      <span class="quiet figures"
        >{{ SHAPE_NAMES[project.shape] }}, {{ reachedWords(project) }}, closed
        {{ project.closedOn ? dateWords(project.closedOn) : '' }}</span
      >
    </summary>
    <p>
      <RouterLink
        class="d-inline-flex align-center touch"
        :to="{
          path: '/look-back/span',
          query: {
            from: project.startedOn,
            to: project.closedOn ?? project.startedOn,
            name: project.name,
            project: project.id,
          },
        }"
        >Its sheet, from first day to wrap-up</RouterLink
      >
    </p>
    <p v-if="project.lessons" class="lessons prose my-1">{{ project.lessons }}</p>
    <ul class="bulleted">
      <li v-for="stay in project.stays.filter((each) => !each.goal.beside)" :key="stay.stayId" class="figures">
        <RouterLink :to="`/items/${stay.item.id}`">{{ stay.goal.partName ?? shortName(stay.item) }}</RouterLink>,
        {{ stay.outReason }}, {{ usesWords(stay.goal.uses) }}
      </li>
    </ul>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
}

.lessons {
  white-space: pre-line;
}
</style>
