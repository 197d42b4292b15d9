<script setup lang="ts">
import { useClipboard } from '@vueuse/core'

/** The days that she may want in her calendar: as a file, or under an address that a calendar on this machine reads again. */
const address = `${location.origin}/api/calendar.ics`
const { copy, copied, isSupported } = useClipboard({ legacy: true })
</script>

<template>
  <section class="sheet settings-part" aria-label="Calendar">
    <h2>Calendar</h2>
    <p class="quiet">Use-by dates, ends of trials and projects, the next check-in, and when you’ll need a new one.</p>
    <div class="choices">
      <v-btn variant="outlined" color="primary" href="/api/calendar.ics" download="seligo.ics">Download</v-btn>
      <v-btn v-if="isSupported" variant="outlined" color="primary" @click="copy(address)">{{
        copied ? 'Copied' : 'Copy the address'
      }}</v-btn>
    </div>
    <p>
      <code>{{ address }}</code>
      <span class="quiet"> A calendar on this computer can subscribe to it while Seligo runs.</span>
    </p>
  </section>
</template>

<style scoped>
code {
  overflow-wrap: anywhere;
}
</style>
