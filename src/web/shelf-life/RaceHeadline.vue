<script setup lang="ts">
import { moneyWords } from '#web/data/locale'
import type { raceSum } from './race-rows'

/** What the race comes to, in one sentence. */
const props = defineProps<{ sum: ReturnType<typeof raceSum>; pace: string; currency: string }>()
const reckoned = defineModel<boolean>('reckoned', { required: true })
/** Cents would promise more than is known. */
const money = (minor: number): string =>
  moneyWords(Math.round(minor / 100) * 100, props.currency).replace(/[.,]00(?=\D*$)/, '')
</script>

<template>
  <p class="headline" role="status">
    <template v-if="sum.running === 0">Of none of these is the last good day known.</template>
    <template v-else-if="sum.losing === 0"
      >All {{ sum.running }} make it or come close<template v-if="sum.held > 0"
        >; about <strong>{{ money(sum.stake) }}</strong> of the {{ money(sum.held) }} in them is at stake</template
      >.</template
    >
    <template v-else
      ><strong>{{ sum.losing }} of {{ sum.running }}</strong> will not make it at {{ pace
      }}<template v-if="sum.held > 0"
        >: about <strong>{{ money(sum.stake) }}</strong> of the {{ money(sum.held) }} in them would spoil</template
      >.</template
    >
    <v-btn v-if="sum.held > 0" variant="text" class="so" :aria-expanded="reckoned" @click="reckoned = !reckoned"
      >How so?</v-btn
    >
  </p>
</template>

<style scoped>
.headline {
  flex: 1 1 auto;
  margin: 0;
  font: 540 18px/1.3 var(--display);
}

.so {
  padding: 0 8px;
}

.phone .headline {
  flex: 1 1 100%;
  font-size: 16px;
}
</style>
