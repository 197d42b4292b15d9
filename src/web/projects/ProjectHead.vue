<script setup lang="ts">
import { computed } from 'vue'
import { daysBetween, type Day } from '#core/calendar/day'
import { counted, plural } from '#core/words/counted'
import type { ProjectView } from '#contract/projects'
import { evennessWords, overloadWords, reachedWords, ruleSentences, SHAPE_NAMES } from '#web/ui/words/project-words'
import { spanWords } from '#web/ui/words/when-words'
import { dateWords } from '#web/data/locale'

/** What a project is, by its rules, and whether it adds up. */
const props = defineProps<{
  project: ProjectView
  today: Day
  week: readonly number[]
  weekLearnedFrom: number
}>()
const emit = defineEmits<{ edit: []; rollIn: []; choose: []; finale: [] }>()
const perWeek = computed(() => Math.round(props.week.reduce((sum, share) => sum + share, 0) * 10) / 10)
const rules = computed(() => [...ruleSentences(props.project), props.project.rules].filter(Boolean).join(' '))
const even = computed(() =>
  props.project.evenness !== null && (props.project.shape === 'sweep' || props.project.shape === 'palette')
    ? `So far ${evennessWords(props.project.evenness)}.`
    : '',
)
</script>

<template>
  <header class="d-flex flex-wrap align-baseline gr-2 gc-3">
    <h2 :id="`project-${project.id}`" tabindex="-1">{{ project.name }}</h2>
    <p class="words figures">
      {{ reachedWords(project) }}, {{ project.onTheGo }} on the go{{
        project.left > 0 ? `, ${project.left} left unfinished` : ''
      }}
      <span v-if="project.by" class="quiet"
        >until {{ dateWords(project.by) }},
        {{ daysBetween(today, project.by) >= 0 ? `${spanWords(daysBetween(today, project.by))} left` : 'over' }}</span
      >
    </p>
    <v-btn variant="outlined" color="primary" @click="emit('choose')">Choose a set</v-btn>
    <v-btn variant="outlined" color="primary" @click="emit('rollIn')">Roll something in</v-btn>
  </header>
  <p class="rules prose my-1">
    <strong>{{ SHAPE_NAMES[project.shape] }}.</strong> {{ rules }} {{ even }}
    <button type="button" class="link text-act strong" @click="emit('edit')">Edit project</button>
    <button type="button" class="link text-act strong" @click="emit('finale')">Wrap up</button>
  </p>
  <p class="quiet figures small mb-2">
    Estimated with {{ perWeek }} {{ plural(perWeek, 'wear day') }} a week,
    {{
      weekLearnedFrom > 0
        ? `as learned from your last ${counted(weekLearnedFrom, 'recorded week')}`
        : 'as you planned them in Settings'
    }}.
  </p>
  <p v-for="overload in project.overloads" :key="overload.categoryId" class="overload figures prose mb-2 py-2 px-3">
    {{ overloadWords(overload, today) }}
  </p>
</template>

<style scoped>
.words {
  flex: 1 1 300px;
}

.link {
  min-width: 44px;
  margin-left: 8px;
}

.overload {
  border-left: 5px solid var(--attention);
}
</style>
