<script setup lang="ts">
import type { OutlineShape, Point } from '#core/measure/outline'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import PhotoPoints from '#web/ui/reading/PhotoPoints.vue'
import type { PanResult } from './pan-draft'
import PanFound from './PanFound.vue'
import PanMarks from './PanMarks.vue'
import { usePanReading } from './use-pan-reading'

/** The bare area of a pan off a photo: its rim, a tap on powder, a tap on each bare patch; doubt is said, and the brush is near. */
const props = defineProps<{
  photoId: string
  width: number
  height: number
  /** What was read before, and when, in words. */
  before: { readonly bare: number; readonly words: string } | null
  /** An outline to begin with, for the same pan photographed alike. */
  drawn?: { shape: OutlineShape; handles: readonly Point[] } | null
}>()
const result = defineModel<PanResult | null>({ required: true })
const emit = defineEmits<{ another: [] }>()
const STAGES = ['rim', 'powder', 'metal'] as const
const STAGE_WORDS = { rim: '1 The rim', powder: '2 Tap powder', metal: '3 Tap bare metal' } as const
const reading = usePanReading(props, result)
const { stage, shape, points, powder, metal, brushed, adding, progress, src, shownMask, rim } = reading
const { tap, stroke, undoBrush, measure } = reading
</script>

<template>
  <div class="pan-reader d-grid align-start ga-4">
    <div class="photo d-grid min-w-0 ga-2">
      <div class="stages d-flex flex-wrap align-end ga-2" role="group" aria-label="What to set">
        <button
          v-for="each in STAGES"
          :key="each"
          type="button"
          class="choice"
          :aria-pressed="stage === each"
          @click="stage = each"
        >
          {{ STAGE_WORDS[each] }}
          <span v-if="each === 'powder' && powder.length > 0"> · {{ powder.length }}</span>
          <span v-if="each === 'metal' && metal.length > 0"> · {{ metal.length }}</span>
        </button>
        <button v-if="stage === 'brush'" type="button" class="choice" aria-pressed="true">Brush</button>
      </div>
      <PhotoPoints
        v-model="points"
        :src="src"
        :width="width"
        :height="height"
        :names="
          shape === 'round' ? ['rim 1', 'rim 2', 'rim 3', 'rim 4'] : ['corner 1', 'corner 2', 'corner 3', 'corner 4']
        "
        :taps="stage !== 'rim'"
        @tap="tap"
        @stroke="stroke"
      >
        <PanMarks :rim="rim" :mask="shownMask" :powder="powder" :metal="metal" :width="width" />
      </PhotoPoints>
      <div class="row d-flex flex-wrap align-end ga-2">
        <ChoiceRow
          v-if="stage === 'rim'"
          v-model="shape"
          label="The pan is"
          :options="['round', 'rect']"
          :words="{ rect: 'square or long' }"
        />
        <template v-if="stage === 'powder' || stage === 'metal'">
          <p class="quiet">
            {{ stage === 'powder' ? 'One tap where there is powder.' : 'One tap on each bare patch.' }}
          </p>
          <v-btn
            v-if="(stage === 'powder' ? powder : metal).length > 0"
            variant="text"
            @click="stage === 'powder' ? (powder = powder.slice(0, -1)) : (metal = metal.slice(0, -1))"
            >Undo the last tap</v-btn
          >
        </template>
        <template v-if="stage === 'brush'">
          <ChoiceRow
            :model-value="adding ? 'metal' : 'powder'"
            label="The brush paints"
            :options="['metal', 'powder']"
            @update:model-value="(to) => (adding = to === 'metal')"
          />
          <v-btn variant="text" :disabled="brushed.length < 2" @click="undoBrush">Undo the last stroke</v-btn>
        </template>
        <v-btn
          v-if="powder.length > 0 && metal.length > 0 && progress === null && stage !== 'brush'"
          variant="outlined"
          color="primary"
          @click="measure"
          >Measure</v-btn
        >
      </div>
    </div>
    <PanFound :reading="reading" :result="result" :before="before" @another="emit('another')" />
  </div>
</template>

<style scoped>
.pan-reader {
  grid-template-columns: minmax(0, 1.5fr) minmax(240px, 1fr);
}

.phone .pan-reader {
  grid-template-columns: minmax(0, 1fr);
}

.stages .choice {
  background: var(--raised);
}
</style>
