<script setup lang="ts">
import { computed, useId } from 'vue'
import type { ListedItem } from '#contract/item'
import { gaugeWords } from '#web/ui/words/gauge-words'
import { contentOfItem, drawingOf, EXTENT, paletteBreadth, railOf, stands, type GaugeSize } from './gauge-model'
import GaugeLabel from './GaugeLabel.vue'
import GaugePalette from './GaugePalette.vue'
import GaugePan from './GaugePan.vue'
import GaugePot from './GaugePot.vue'
import GaugeStick from './GaugeStick.vue'
import GaugeVessel from './GaugeVessel.vue'
import GoalRail from './GoalRail.vue'
import StatusMark from './StatusMark.vue'

/** An item as the whole house shows it: the body tells what is left, the rail how far its goal is. */
const props = withDefaults(
  defineProps<{ item: ListedItem; size: GaugeSize; worn?: boolean; wornParts?: readonly string[]; rail?: boolean }>(),
  {
    worn: false,
    wornParts: () => [],
    rail: true,
  },
)

const uid = useId()
const drawing = computed(() => drawingOf(props.item))
const upright = computed(() => stands(drawing.value))
const content = computed(() => contentOfItem(props.item))
const shownRail = computed(() => (props.rail && props.size !== 'small' ? railOf(props.item.goal) : null))
const columns = computed(() => Math.max(1, ...props.item.parts.map((part) => part.col + part.colSpan - 1)))
const rows = computed(() => Math.max(1, ...props.item.parts.map((part) => part.row + part.rowSpan - 1)))
const extent = computed(() => {
  const { standing, lying } = EXTENT[props.size]
  if (drawing.value === 'palette') return { width: `${paletteBreadth(props.size, columns.value, rows.value)}px` }
  return upright.value ? { height: `${standing}px` } : { width: `${drawing.value === 'pot' ? lying * 0.88 : lying}px` }
})
const railLength = computed(() => {
  if (upright.value) return EXTENT[props.size].standing
  return drawing.value === 'palette' ? paletteBreadth(props.size, columns.value, rows.value) : EXTENT[props.size].lying
})
const words = computed(() => gaugeWords(props.item, props.worn, props.wornParts))
const backup = computed(() => props.item.backups > 0 && props.size !== 'small')
const drawingProps = computed(() => ({
  uid,
  seed: props.item.id,
  form: props.item.form,
  size: props.size,
  content: content.value,
  colour: props.item.colour,
  guess: props.item.guess,
  finish: props.item.finish,
  backup: backup.value,
}))
const labelUses = computed(() => props.item.goal?.uses ?? props.item.uses)
</script>

<template>
  <span
    class="gauge d-inline-flex flex-column align-center justify-end ga-1"
    :class="[size, { upright }]"
    role="img"
    :aria-label="words"
  >
    <span class="body" :style="extent">
      <GaugePalette
        v-if="drawing === 'palette'"
        :uid="uid"
        :size="size"
        :parts="item.parts"
        :worn-parts="wornParts"
        :backup="backup"
      />
      <GaugePan v-else-if="drawing === 'pan'" v-bind="drawingProps" />
      <GaugePot v-else-if="drawing === 'pot'" v-bind="drawingProps" />
      <GaugeLabel
        v-else-if="drawing === 'label'"
        :size="size"
        :colour="item.colour ?? item.guess"
        :guessed="item.colour === null"
        :uses="labelUses"
        :backup="backup"
      />
      <GaugeStick v-else-if="drawing === 'pencil' || drawing === 'bullet'" v-bind="drawingProps" />
      <GaugeVessel v-else v-bind="drawingProps" />
      <StatusMark v-if="size === 'small'" class="mark" :item="item" />
    </span>
    <GoalRail v-if="shownRail" :rail="shownRail" :upright="upright" :length="railLength" :size="size" />
  </span>
</template>

<style scoped>
.gauge.upright {
  flex-direction: row;
  align-items: flex-end;
}

.gauge.small {
  width: 44px;
  height: 44px;
  justify-content: center;
  align-items: center;
}

.body {
  position: relative;
  display: block;
}

.body > svg:not(.mark) {
  display: block;
  height: 100%;
  max-width: 100%;
  position: relative;
  overflow: visible;
}

.gauge:not(.upright) .body > svg:not(.mark) {
  width: 100%;
  height: auto;
}

.mark {
  position: absolute;
  right: -7px;
  top: -4px;
}
</style>

<style>
/* Lines that every drawing shares: an open outline, a dab of the swatch within it, a backup behind. */
.gauge .open {
  fill: none;
  stroke: var(--line);
  stroke-width: 1.3;
  stroke-dasharray: 3 3;
  vector-effect: non-scaling-stroke;
}

.gauge .dab {
  stroke: var(--gauge-line);
  stroke-opacity: 0.45;
  vector-effect: non-scaling-stroke;
}

.gauge .behind {
  fill: none;
  stroke: var(--line);
  stroke-width: 1.2;
  vector-effect: non-scaling-stroke;
}
</style>
