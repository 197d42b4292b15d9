<script setup lang="ts">
import type { Day } from '#core/calendar/day'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import type { TodayAnswer } from '#contract/today'
import { stretchWords } from '#web/ui/words/when-words'

/** Days that nobody wrote down, asked about once in one line: silence is neither makeup nor its absence. */
const props = defineProps<{ silence: NonNullable<TodayAnswer['silence']>; today: Day }>()
const changes = useChanges()

function say(said: 'no makeup' | 'not written down'): void {
  void changes.run('POST', '/silence', { changeId: newId(), id: newId(), ...props.silence, said })
}
</script>

<template>
  <section class="inset silent d-flex flex-wrap align-center py-2 px-3 gr-2 gc-3" aria-label="Missing days">
    <p>Nothing is written down {{ stretchWords(silence, today) }}: no makeup, or not written down?</p>
    <v-btn variant="outlined" color="primary" @click="say('no makeup')">No makeup</v-btn>
    <v-btn variant="outlined" color="primary" @click="say('not written down')">Not written down</v-btn>
  </section>
</template>

<style scoped>
p {
  flex: 1 1 320px;
}
</style>
