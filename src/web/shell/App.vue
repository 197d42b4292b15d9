<script setup lang="ts">
import { useEventListener, usePreferredDark } from '@vueuse/core'
import { computed, nextTick, onMounted, ref, watch, watchEffect } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDisplay } from 'vuetify'
import { latePart } from '#web/ui/late-part'
import { useAfterTicks } from '#web/data/after-ticks'
import { useChanges } from '#web/data/changes'
import { useDevice } from '#web/data/device'
import { useHerDay } from '#web/data/her-day'
import { usePendingActs } from '#web/data/pending-acts'
import { useListening } from '#web/data/listen'
import { firstReads, useStaleness } from '#web/data/reads'
import { useItemActs } from '#web/ui/acts/item-acts'
import { followFocus } from '#web/ui/form/last-focus'
import { focusHeading, keepFocus } from '#web/ui/keep-focus'
import { useShortcut, type ShortcutName } from '#web/ui/shortcuts'
import { useOpenDrafts } from '#web/ui/form/open-drafts'
import ChestOfDrawers from './ChestOfDrawers.vue'
import StatusStrip from './StatusStrip.vue'

// Dialogs and bars come when they are first wanted: the first page need not wait for what they are made of.
const PhoneBar = latePart(() => import('./PhoneBar.vue'))
const NoticeStrip = latePart(() => import('./NoticeStrip.vue'))
const JumpBox = latePart(() => import('./JumpBox.vue'))
const ShortcutSheet = latePart(() => import('./ShortcutSheet.vue'))
const ItemActHost = latePart(() => import('#web/ui/acts/ItemActHost.vue'))
const LeaveAsk = latePart(() => import('#web/ui/form/LeaveAsk.vue'))

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
const GOES_TO = { today: '/', drawer: '/drawer', 'new item': '/collection/add' } as const
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

for (const [name, to] of Object.entries(GOES_TO) as [ShortcutName, string][])
  useShortcut(name, () => void router.push(to))
useShortcut('find', () => (jumping.value = true))
useShortcut('find anywhere', () => (jumping.value = true))
useShortcut('help', () => (helping.value = true))
useShortcut('undo', () => changes.takeBackLast())

// Where one is, said and focused, whichever way one came.
router.afterEach((to, from) => {
  if (from.matched.length === 0 || to.path === from.path) return
  changes.say(String(to.meta['title']))
  void nextTick(focusHeading)
})
onMounted(() => {
  keepFocus()
  // What carries errors and the way back is here before it is wanted: then there may be nobody to ask for it.
  const soon = 'requestIdleCallback' in window ? window.requestIdleCallback : (act: () => void) => setTimeout(act, 300)
  soon(() => (wanted.value.notices = true))
  soon(() => void import('#web/ui/form/LeaveAsk.vue').catch(() => undefined))
})
</script>

<template>
  <v-app :theme="theme">
    <a class="skip visually-hidden" href="#place">Skip to the page</a>
    <StatusStrip class="status position-sticky top-0" />
    <div class="house">
      <ChestOfDrawers v-if="!mobile" class="chest position-sticky top-0 align-self-start" @jump="jumping = true" />
      <div id="notices">
        <NoticeStrip v-if="wanted.notices && changes.lines === 0" />
      </div>
      <main id="place" class="place min-w-0 pt-2 pb-4 px-4" tabindex="-1" :aria-busy="firstReads > 0">
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
  height: 100vh;
}

.place {
  grid-column: 2;
  grid-row: 1;
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

.status {
  z-index: 8;
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
