<script setup lang="ts">
import { moneyShort } from '#web/data/locale'
import type { raceSum } from './race-rows'

/** What the race comes to, in one sentence. */
const props = defineProps<{ sum: ReturnType<typeof raceSum>; paceKnown: boolean; currency: string }>()
const shown = defineModel<boolean>('shown', { required: true })
const money = (minor: number): string => moneyShort(minor, props.currency)
</script>

<template>
  <p class="headline flex-1-1" role="status">
    <template v-if="sum.running === 0">None of these has a use-by date we know.</template>
    <template v-else-if="!paceKnown"
      >We don’t know your pace yet. Until you’ve ticked for two weeks, these go by a usual one.</template
    >
    <template v-else-if="sum.losing === 0"
      >None of these {{ sum.running }} looks too late at your pace<template v-if="sum.held > 0"
        >; about <strong>{{ money(sum.stake) }}</strong> of the {{ money(sum.held) }} left in them may still
        expire</template
      >.</template
    >
    <template v-else
      ><strong>{{ sum.losing }} of {{ sum.running }}</strong> won’t be finished in time at your pace<template
        v-if="sum.held > 0"
        >: about <strong>{{ money(sum.stake) }}</strong> of the {{ money(sum.held) }} left in
        {{ sum.losing === 1 ? 'it' : 'them' }} would expire</template
      >.</template
    >
    <v-btn
      v-if="paceKnown && sum.held > 0"
      variant="text"
      class="py-0 px-2"
      :aria-expanded="shown"
      @click="shown = !shown"
      >How is this worked out?</v-btn
    >
  </p>
</template>

<style scoped>
.headline {
  font: 540 18px/1.3 var(--display);
}

.phone .headline {
  flex: 1 1 100%;
  font-size: 16px;
}
</style>
