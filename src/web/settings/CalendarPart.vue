<script setup lang="ts">
import { useClipboard } from '@vueuse/core'

/** The days that she may want in her calendar: as a file, or under an address that a calendar on this machine reads again. */
const address = `${location.origin}/api/calendar.ics`
const { copy, copied, isSupported } = useClipboard({ legacy: true })
</script>

<template>
  <section class="sheet part" aria-label="Calendar">
    <h2>Calendar</h2>
    <p class="quiet">
      Last good days, ends of trials and projects, the next check-in, and when something of a kind is needed next.
    </p>
    <div class="choices">
      <v-btn variant="outlined" color="primary" href="/api/calendar.ics" download="seligo.ics">Download the days</v-btn>
      <v-btn v-if="isSupported" variant="outlined" color="primary" @click="copy(address)">{{
        copied ? 'Copied' : 'Copy the address'
      }}</v-btn>
    </div>
    <p>
      <code>{{ address }}</code>
      <span class="quiet"> A calendar program on this machine can subscribe to it while Seligo runs.</span>
    </p>
  </section>
</template>

<style scoped>
.part {
  padding: 16px 18px;
  display: grid;
  gap: 12px;
}

p {
  margin: 0;
}

code {
  overflow-wrap: anywhere;
}
</style>
