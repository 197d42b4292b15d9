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
  <section class="inset silent" aria-label="Missing days">
    <p>Nothing is written down {{ stretchWords(silence, today) }}: no makeup, or not written down?</p>
    <v-btn variant="outlined" color="primary" @click="say('no makeup')">No makeup</v-btn>
    <v-btn variant="outlined" color="primary" @click="say('not written down')">Not written down</v-btn>
  </section>
</template>

<style scoped>
.silent {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  padding: 6px 14px;
}

p {
  flex: 1 1 320px;
  margin: 0;
}
</style>
