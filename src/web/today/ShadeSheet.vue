<script setup lang="ts">
import type { ListedItem } from '#contract/item'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { callIt, shortName, usesWords } from '#web/ui/words/item-words'

/** Which shades of a palette were worn: one use of the palette, and one of each shade. */
const props = defineProps<{ item: ListedItem; worn: readonly string[] | null }>()
const emit = defineEmits<{ close: []; set: [worn: boolean, partIds: string[]] }>()
const draft = useDraft(() => ({ chosen: [...(props.worn ?? [])] }))
const { typed } = draft

function toggle(id: string): void {
  const { chosen } = typed.value
  typed.value = { chosen: chosen.includes(id) ? chosen.filter((each) => each !== id) : [...chosen, id] }
}

function done(isWorn: boolean): void {
  emit('set', isWorn, isWorn ? typed.value.chosen : [])
  emit('close')
}
</script>

<template>
  <FormDialog
    :title="shortName(item)"
    :label="`Shades of ${callIt(item)}`"
    :draft="draft"
    :act="typed.chosen.length === 0 ? 'Worn, shade not said' : `Worn: ${typed.chosen.length}`"
    :width="520"
    @close="emit('close')"
    @store="done(true)"
  >
    <p class="quiet">Tap the shades you wore. If you don’t remember, that’s fine: “shade not said”.</p>
    <div class="d-grid align-center justify-items-center">
      <ItemGauge :item="item" size="large" :worn-parts="typed.chosen" :rail="false" />
    </div>
    <div class="shades d-grid ga-2" role="group" aria-label="Shades">
      <button
        v-for="part in item.parts"
        :key="part.id"
        type="button"
        class="shade d-flex align-center rounded-lg text-left font-weight-semibold px-2 ga-2"
        :class="{ chosen: typed.chosen.includes(part.id) }"
        :aria-pressed="typed.chosen.includes(part.id)"
        @click="toggle(part.id)"
      >
        <span class="dot" :style="{ background: part.colour ?? 'var(--plate)' }"></span>
        <span
          >{{ part.name
          }}<span class="quiet figures d-block font-weight-regular fine">{{ usesWords(part.uses) }}</span></span
        >
      </button>
    </div>
    <template #acts>
      <v-btn v-if="worn !== null" variant="text" @click="done(false)">Not worn</v-btn>
    </template>
  </FormDialog>
</template>

<style scoped>
.shades {
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
}

.shade {
  min-height: 48px;
  border: 1px solid var(--line);
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
</style>
