<script setup lang="ts">
import { useEventListener, usePreferredDark } from '@vueuse/core'
import { computed, defineAsyncComponent, ref, watch, watchEffect } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDisplay } from 'vuetify'
import { useAfterTicks } from '#web/data/after-ticks'
import { useChanges } from '#web/data/changes'
import { useDevice } from '#web/data/device'
import { useHerDay } from '#web/data/her-day'
import { usePendingActs } from '#web/data/pending-acts'
import { useListening } from '#web/data/listen'
import { firstReads, useStaleness } from '#web/data/reads'
import { useItemActs } from '#web/ui/acts/item-acts'
import { followFocus } from '#web/ui/form/last-focus'
import { useOpenDrafts } from '#web/ui/form/open-drafts'
import ChestOfDrawers from './ChestOfDrawers.vue'

// Dialogs and bars come when they are first wanted: the first page need not wait for what they are made of.
const PhoneBar = defineAsyncComponent(() => import('./PhoneBar.vue'))
const NoticeStrip = defineAsyncComponent(() => import('./NoticeStrip.vue'))
const JumpBox = defineAsyncComponent(() => import('./JumpBox.vue'))
const ShortcutSheet = defineAsyncComponent(() => import('./ShortcutSheet.vue'))
const ItemActHost = defineAsyncComponent(() => import('#web/ui/acts/ItemActHost.vue'))
const LeaveAsk = defineAsyncComponent(() => import('#web/ui/form/LeaveAsk.vue'))

const changes = useChanges()
const device = useDevice()
const herDay = useHerDay()
const stale = useStaleness()
const drafts = useOpenDrafts()
const acts = useItemActs()
const route = useRoute()
const router = useRouter()
const { mobile } = useDisplay()
/** Keys that lead to a place. */
const GOES_TO: Readonly<Record<string, string>> = { t: '/', d: '/drawer', n: '/collection/add' }
const prefersDark = usePreferredDark()
const theme = computed(() => (device.theme === 'system' ? (prefersDark.value ? 'night' : 'day') : device.theme))
const jumping = ref(false)
const helping = ref(false)
const wanted = ref({ jumpBox: false, shortcuts: false, notices: false })
watch(jumping, (open) => open && (wanted.value.jumpBox = true))
watch(helping, (open) => open && (wanted.value.shortcuts = true))
watch(
  () => changes.trouble ?? changes.last,
  (notice) => notice && (wanted.value.notices = true),
)
watchEffect(() => document.documentElement.classList.toggle('phone', mobile.value))

followFocus()
useListening()
useAfterTicks()
void usePendingActs().resume()
// Another day: nothing that was reckoned for the last one holds.
watch(
  () => herDay.today,
  (day, before) => day !== before && before !== null && void stale.all(),
)
useEventListener(window, 'beforeunload', (event) => {
  if (drafts.anyTyped()) event.preventDefault()
})

useEventListener('keydown', (event: KeyboardEvent) => {
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
    event.preventDefault()
    jumping.value = true
    return
  }
  const target = event.target as HTMLElement
  const busy = target.closest('input, textarea, select, [contenteditable], [role="dialog"], [role="menu"], .v-overlay')
  if (!device.letterKeys || busy !== null || event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key === '?') helping.value = true
  else if (GOES_TO[event.key] !== undefined) void router.push(GOES_TO[event.key] ?? '/')
  else if (event.key === '/') {
    event.preventDefault()
    jumping.value = true
  } else if (event.key === 'u') changes.takeBackLast()
})
</script>

<template>
  <v-app :theme="theme">
    <a class="skip visually-hidden" href="#place">Skip to the place</a>
    <div class="house">
      <ChestOfDrawers v-if="!mobile" class="chest" @jump="jumping = true" />
      <div id="notices">
        <NoticeStrip v-if="wanted.notices && changes.lines === 0" />
      </div>
      <main id="place" class="place" tabindex="-1" :aria-busy="firstReads > 0">
        <RouterView :key="route.name === 'day' ? 'today' : String(route.name)" />
      </main>
    </div>
    <PhoneBar v-if="mobile" @jump="jumping = true" />
    <JumpBox v-if="wanted.jumpBox" v-model="jumping" />
    <ShortcutSheet v-if="wanted.shortcuts" v-model="helping" />
    <ItemActHost v-if="acts.opened" />
    <LeaveAsk v-if="drafts.asking" />
    <div class="visually-hidden" role="status" aria-live="polite">{{ changes.announcement }}</div>
  </v-app>
</template>

<style scoped>
.house {
  display: grid;
  grid-template-columns: 172px minmax(0, 1fr);
  min-height: 100vh;
}

.chest {
  position: sticky;
  top: 0;
  align-self: start;
  height: 100vh;
}

.place {
  grid-column: 2;
  grid-row: 1;
  padding: 10px 16px 16px;
  min-width: 0;
}

.place:focus {
  outline: none;
}

/* The foot of the chest: a strip that holds nothing else. */
#notices {
  position: fixed;
  left: 0;
  bottom: 0;
  width: 172px;
  z-index: 7;
  padding: 0 0 12px 12px;
  pointer-events: none;
}

.skip:focus {
  clip-path: none;
  width: auto;
  height: auto;
  z-index: 10;
  background: var(--raised);
  padding: 8px;
}

.phone .house {
  display: block;
}

/* At the head of the page, where it pushes what follows down and covers no act. */
.phone #notices {
  position: sticky;
  top: 0;
  width: auto;
  padding: 0;
}

.phone .place {
  /* Beside a notch when the phone lies, and above the bar with the line of the phone itself. */
  padding: calc(10px + env(safe-area-inset-top)) calc(12px + env(safe-area-inset-right))
    calc(84px + env(safe-area-inset-bottom)) calc(12px + env(safe-area-inset-left));
}
</style>
