<script setup lang="ts">
import { useNow } from '@vueuse/core'
import { computed } from 'vue'
import type { CodeAnswer } from '#contract/host'
import { counted } from '#core/words/counted'

/** A one-time code in large letters and as a picture for the phone's camera, until its time is over. */
const props = defineProps<{ code: CodeAnswer }>()
const emit = defineEmits<{ again: []; close: [] }>()
const SECOND = 1000
const shownAt = Date.now()
const now = useNow({ interval: SECOND })
const left = computed(() => Math.max(0, props.code.seconds - Math.floor((now.value.getTime() - shownAt) / SECOND)))
const letters = computed(() => `${props.code.code.slice(0, 4)} ${props.code.code.slice(4)}`)
const picture = computed(() => `data:image/svg+xml,${encodeURIComponent(props.code.qr)}`)
</script>

<template>
  <section class="sheet settings-part" aria-label="A code for one phone">
    <h2>On the phone</h2>
    <template v-if="left > 0">
      <p>
        Point its camera here, or open <strong>{{ code.url }}</strong> and type:
      </p>
      <div class="d-flex flex-wrap align-center gr-3 gc-5">
        <img :src="picture" alt="The address with the code, for a camera" width="196" height="196" />
        <div>
          <p class="letters" :aria-label="code.code.split('').join(' ')">{{ letters }}</p>
          <p class="quiet">Good for one phone, five tries, and {{ counted(left, 'second') }} more.</p>
        </div>
      </div>
    </template>
    <p v-else role="status">Its two minutes are over.</p>
    <div class="acts">
      <v-btn v-if="left === 0" color="primary" @click="emit('again')">Show a new code</v-btn>
      <v-btn variant="text" @click="emit('close')">Hide it</v-btn>
    </div>
  </section>
</template>

<style scoped>
img {
  background: #fff;
}

.letters {
  margin-bottom: 8px;
  font:
    660 34px/1.1 ui-monospace,
    monospace;
  letter-spacing: 0.08em;
}
</style>
