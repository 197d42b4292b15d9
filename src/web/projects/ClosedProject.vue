<script setup lang="ts">
import type { ProjectView } from '#contract/projects'
import { shortName, usesWords } from '#web/ui/words/item-words'
import { reachedWords, SHAPE_NAMES } from '#web/ui/words/project-words'
import { dateWords } from '#web/data/locale'

/** A project after its finale: what was reached, what was learned. */
defineProps<{ project: ProjectView }>()
</script>

<template>
  <details class="sheet closed">
    <summary>
      <strong>{{ project.name }}</strong>
      <span class="quiet figures"
        >{{ SHAPE_NAMES[project.shape] }}, {{ reachedWords(project) }}, closed
        {{ project.closedOn ? dateWords(project.closedOn) : '' }}</span
      >
    </summary>
    <p>
      <RouterLink
        class="finale"
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
    <p v-if="project.lessons" class="lessons">{{ project.lessons }}</p>
    <ul class="bulleted">
      <li v-for="stay in project.stays.filter((each) => !each.goal.beside)" :key="stay.stayId" class="figures">
        <RouterLink :to="`/items/${stay.item.id}`">{{ stay.goal.partName ?? shortName(stay.item) }}</RouterLink>,
        {{ stay.outReason }}, {{ usesWords(stay.goal.uses) }}
      </li>
    </ul>
  </details>
</template>

<style scoped>
.closed {
  padding: 4px 16px;
  margin-bottom: 7px;
}

summary {
  min-height: 44px;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: center;
  cursor: pointer;
}

.lessons {
  margin: 4px 0;
  max-width: 80ch;
  white-space: pre-line;
}
.finale {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
</style>
