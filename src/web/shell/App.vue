<script setup lang="ts">
import { useEventListener, usePreferredDark, useStorage } from '@vueuse/core'
import { computed, defineAsyncComponent, onMounted, provide, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import ChestOfDrawers from './ChestOfDrawers.vue'
import PhoneBar from './PhoneBar.vue'
import TroubleBar from './TroubleBar.vue'
import UndoBar from './UndoBar.vue'
import { useChanges } from './changes'
import { themeChoiceKey } from './theme-choice'

// Dialogs come when they are first wanted: the first page need not wait for what they are made of.
const JumpBox = defineAsyncComponent(() => import('./JumpBox.vue'))
const ShortcutSheet = defineAsyncComponent(() => import('./ShortcutSheet.vue'))

const changes = useChanges()
const route = useRoute()
const router = useRouter()
/** Keys that lead to a place. */
const GOES_TO: Readonly<Record<string, string>> = { t: '/', d: '/drawer', n: '/collection/add' }
const prefersDark = usePreferredDark()
const choice = useStorage<'system' | 'day' | 'night'>('seligo-theme', 'system')
const theme = computed(() => (choice.value === 'system' ? (prefersDark.value ? 'night' : 'day') : choice.value))
const jumping = ref(false)
const helping = ref(false)
const wanted = ref({ jumpBox: false, shortcuts: false })
watch(jumping, (open) => open && (wanted.value.jumpBox = true))
watch(helping, (open) => open && (wanted.value.shortcuts = true))
provide(themeChoiceKey, choice)

onMounted(() => void changes.loadFronts())

useEventListener('keydown', (event: KeyboardEvent) => {
  const target = event.target as HTMLElement
  const typing = target.closest('input, textarea, select, [contenteditable], [role="dialog"], [role="menu"]') !== null
  if (typing || event.ctrlKey || event.metaKey || event.altKey) return
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
      <ChestOfDrawers class="chest" @jump="jumping = true" />
      <main id="place" class="place">
        <TroubleBar />
        <RouterView :key="route.name === 'day' ? 'today' : String(route.name)" />
        <UndoBar v-if="route.name !== 'today' && route.name !== 'day'" />
      </main>
    </div>
    <PhoneBar class="phone" @jump="jumping = true" />
    <JumpBox v-if="wanted.jumpBox" v-model="jumping" />
    <ShortcutSheet v-if="wanted.shortcuts" v-model="helping" />
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
  padding: 12px 16px 16px;
  min-width: 0;
  max-width: 1500px;
}

.phone {
  display: none;
}

.skip:focus {
  clip-path: none;
  width: auto;
  height: auto;
  z-index: 10;
  background: var(--raised);
  padding: 8px;
}

@media (max-width: 760px) {
  .house {
    display: block;
  }

  .chest {
    display: none;
  }

  .phone {
    display: flex;
  }

  .place {
    padding: 10px 12px 150px;
  }
}
</style>
