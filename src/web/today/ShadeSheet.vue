<script setup lang="ts">
import { ref } from 'vue'
import type { ItemSummary } from '#contract/item'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { shortName, usesWords } from '#web/ui/words/item-words'

/** Which shades of a palette were worn: one use of the palette, and one of each shade. */
const props = defineProps<{ item: ItemSummary; worn: readonly string[] | null }>()
const emit = defineEmits<{ close: []; set: [worn: boolean, partIds: string[]] }>()
const chosen = ref<string[]>([...(props.worn ?? [])])

function toggle(id: string): void {
  chosen.value = chosen.value.includes(id) ? chosen.value.filter((each) => each !== id) : [...chosen.value, id]
}

function done(isWorn: boolean): void {
  emit('set', isWorn, isWorn ? chosen.value : [])
  emit('close')
}
</script>

<template>
  <v-dialog
    :model-value="true"
    max-width="520"
    :aria-label="`Shades of ${shortName(item)}`"
    @update:model-value="emit('close')"
  >
    <div class="sheet box">
      <h2>{{ shortName(item) }}</h2>
      <p class="quiet">Tap the shades you wore. None is fine too: “some shade”.</p>
      <div class="large"><ItemGauge :item="item" size="large" :worn-parts="chosen" :rail="false" /></div>
      <div class="shades" role="group" aria-label="Shades">
        <button
          v-for="part in item.parts"
          :key="part.id"
          type="button"
          class="shade"
          :class="{ chosen: chosen.includes(part.id) }"
          :aria-pressed="chosen.includes(part.id)"
          @click="toggle(part.id)"
        >
          <span class="dot" :style="{ background: part.colour ?? 'var(--plate)' }"></span>
          <span
            >{{ part.name }}<span class="quiet figures">{{ usesWords(part.uses) }}</span></span
          >
        </button>
      </div>
      <div class="acts">
        <v-btn v-if="worn !== null" variant="text" @click="done(false)">Not worn</v-btn>
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn color="primary" @click="done(true)">{{
          chosen.length === 0 ? 'Worn, some shade' : `Worn: ${chosen.length}`
        }}</v-btn>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.box {
  padding: 18px;
}

p {
  margin: 4px 0 12px;
}

.large {
  display: grid;
  place-items: center;
}

.shades {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
  gap: 6px;
  margin: 14px 0;
}

.shade {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 48px;
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: 8px;
  text-align: left;
  font-weight: 600;
}

.shade .quiet {
  display: block;
  font-weight: 400;
  font-size: 12px;
}

.shade.chosen {
  border: 2px solid var(--primary);
  background: var(--inset);
}

.dot {
  width: 26px;
  height: 26px;
  border-radius: 6px;
  border: 1px solid rgb(0 0 0 / 0.35);
}

.acts {
  display: flex;
  justify-content: flex-end;
  gap: 6px;
}
</style>
