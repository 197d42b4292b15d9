<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { Day } from '#core/calendar/day'
import { goesWithUses, rulerOf } from '#core/measure/ruler'
import { gramsGone, parseMass, weighingDoubts, type WeighingDoubt } from '#core/measure/weighing'
import { CONTRADICTION_CAUSES, type ContradictionCause } from '#core/measure/reading'
import { counted } from '#core/words/counted'
import type { SheetItem } from '#contract/check-in'
import type { ItemAnswer, ListedItem } from '#contract/item'
import { dateWords } from '#web/data/locale'
import { useHerScale } from '#web/data/units'
import { useScale } from '#web/devices/scale'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import ContentRuler from '#web/ui/reading/ContentRuler.vue'
import type { ReadDraft } from '#web/ui/reading/read-draft'
import TallyStrokes from '#web/ui/TallyStrokes.vue'
import SimulatedScale from '#web/ui/reading/SimulatedScale.vue'
import WeighField from '#web/ui/reading/WeighField.vue'
import {
  CAUSE_WORDS,
  contentWords,
  doubtWords,
  massFigure,
  massRangeWords,
  massWords,
} from '#web/ui/words/measure-words'

/** On the scale: the reading huge, the last one beside it, and the content unrolled beneath. */
const props = defineProps<{ item: ListedItem; answer: ItemAnswer | null; line: SheetItem | null; error: string }>()
const draft = defineModel<ReadDraft>({ required: true })
const cause = defineModel<ContradictionCause | null>('cause', { required: true })
defineEmits<{ kept: [] }>()

const scale = useScale()
const herScale = useHerScale()
const weighField = useTemplateRef<InstanceType<typeof WeighField>>('weighField')
defineExpose({ begin: (figure: string) => weighField.value?.begin(figure) })
const unit = computed(() => draft.value.unit)
const whole = computed(() =>
  (props.answer?.readings ?? []).filter((each) => each.kind === 'gross' && each.partId === null && !each.doubtful),
)
/** Of the package it is in now; a weighing of this check-in stands for itself. */
const series = computed(() => Math.max(0, ...whole.value.map((each) => each.series)))
const weighed = computed(() =>
  whole.value.filter((each) => each.series === series.value && each.id !== props.line?.after?.gross?.id),
)
const before = computed(() => {
  const last = weighed.value.at(-1)
  return last ? { grams: last.value ?? 0, resolution: last.resolution ?? 0.1, day: last.day } : null
})
const typed = computed(() => {
  const mass = parseMass(draft.value.mass, unit.value)
  return mass.ok ? mass.value : null
})
const now = computed(() => typed.value ?? props.line?.after?.gross?.grams ?? null)
/** Uses since the last weighing; where there is none, since the stretch began. */
const uses = computed(() => {
  const last = weighed.value.at(-1)
  if (!last) return props.line?.uses ?? 0
  const begun = (day: Day): boolean => day > last.day || (day === last.day && last.moment === 'before-use')
  return (props.answer?.wearDays ?? []).filter(begun).length
})
const gone = computed(() =>
  before.value && now.value !== null
    ? gramsGone(before.value, { grams: now.value, resolution: draft.value.resolution })
    : null,
)
const content = computed(() => props.answer?.content ?? null)
const ruler = computed(() => {
  const reckoned = content.value
  const at = now.value ?? before.value?.grams ?? null
  if (!reckoned || at === null) return null
  const { from } = reckoned
  return rulerOf({
    empty: from.empty?.grams ?? reckoned.package.mean,
    emptySd: from.empty?.own ? 0 : reckoned.package.sd,
    full: from.full,
    label: from.label,
    weighed: weighed.value.map((each) => ({ grams: each.value ?? 0, day: each.day })),
    now: at,
  })
})
const emptyWeight = computed(() => content.value?.from.empty?.grams ?? content.value?.package.mean ?? 0)
const doubts = computed<WeighingDoubt[]>(() =>
  typed.value === null
    ? []
    : weighingDoubts(typed.value, draft.value.resolution, {
        before: before.value,
        empty: content.value?.from.empty
          ? { grams: content.value.from.empty.grams, sd: 0.02 * content.value.from.empty.grams }
          : null,
        capacity: herScale.value.capacity,
      }),
)
const mended = computed(() => doubts.value.find((doubt) => 'grams' in doubt))
const contradicts = computed(() => doubts.value.some((doubt) => doubt.code === 'heavier than before'))
const fit = computed(() => {
  if (!gone.value || typed.value === null || !content.value || doubts.value.length > 0) return null
  return goesWithUses({
    gone: gone.value.grams,
    giveOrTake: gone.value.giveOrTake,
    uses: uses.value,
    perUse: content.value.perUse,
  })
})
/** Small amounts are told in hundredths: what a use takes is rarely a tenth of a gram. */
const span = computed(() => {
  if (!fit.value) return ''
  const fine = fit.value.high < 1 ? 0.01 : 0.1
  return massRangeWords(fit.value.low, fit.value.high, fine, unit.value)
})
/** What the simulated scale would show. */
const expected = computed(() =>
  before.value ? Math.round((before.value.grams - uses.value * (content.value?.perUse.middle ?? 0)) * 10) / 10 : null,
)

function mend(): void {
  const doubt = mended.value
  if (!doubt || !('grams' in doubt)) return
  draft.value = { ...draft.value, mass: massFigure(doubt.grams, draft.value.resolution, 'g'), unit: 'g' }
}
</script>

<template>
  <div class="weigh d-grid align-content-start ga-2">
    <section class="inset main d-grid align-center py-3 px-4 ga-4">
      <div class="gauge-plate d-grid rounded-lg align-center justify-items-center overflow-hidden pa-3">
        <ItemGauge :item="item" size="large" :rail="false" />
      </div>
      <WeighField ref="weighField" v-model="draft" :error="error" autofocus @kept="$emit('kept')" />
      <div class="since">
        <p v-if="before" class="figures my-1">
          <strong>{{ massWords(before.grams, before.resolution, unit) }}</strong> on {{ dateWords(before.day) }}
        </p>
        <p v-else class="quiet my-1">First weighing.</p>
        <p v-if="gone" class="gone figures my-1" aria-live="polite">
          {{ massFigure(Math.abs(gone.grams), gone.giveOrTake, unit) }} <small>{{ unit }}</small>
        </p>
        <p class="my-1" v-if="gone">
          {{ gone.grams < 0 ? 'more than then' : 'used since' }}, on {{ counted(uses, 'day') }}
        </p>
        <p class="my-1" v-else>Used on {{ counted(uses, 'day') }} since the last look.</p>
        <TallyStrokes :count="uses" />
      </div>
    </section>
    <SimulatedScale v-if="scale.simulated" :port="scale.simulated" :expected="expected" />
    <section class="inset told d-grid py-2 px-4 ga-1">
      <template v-if="ruler">
        <p v-if="content?.from.empty">
          <strong
            >{{ massWords(ruler.left, 0.1, unit) }} above the empty package’s
            {{ massWords(emptyWeight, 0.1, unit) }},</strong
          >
          of {{ massWords(ruler.full, 0.1, unit) }}{{ ruler.fullByLabel ? ' on the label' : ' when full' }}.
        </p>
        <p v-else>
          <strong>About {{ massWords(ruler.left, 0.1, unit) }} left</strong> of {{ massWords(ruler.full, 0.1, unit)
          }}{{ ruler.fullByLabel ? ' on the label' : ' when full' }}, if the package weighs the
          {{ massWords(emptyWeight, 0.1, unit) }} that are estimated for it.
        </p>
        <ContentRuler
          :ruler="ruler"
          :colour="item.colour ?? item.guess"
          :finish="item.finish"
          :unit="unit"
          :empty="emptyWeight"
        />
      </template>
      <p v-else class="quiet">
        We don’t know yet what the packaging weighs. Each weighing shows what was used; an empty one like it shows what
        is left.
      </p>
      <div v-if="doubts.length > 0" class="doubt d-grid justify-items-start ps-3 ga-2" role="status">
        <p v-for="doubt in doubts" :key="doubt.code">
          <strong>{{
            doubtWords(
              {
                code: doubt.code,
                value:
                  'grams' in doubt
                    ? doubt.grams
                    : 'by' in doubt
                      ? doubt.by
                      : 'empty' in doubt
                        ? doubt.empty
                        : doubt.capacity,
              },
              unit,
            )
          }}</strong>
        </p>
        <v-btn v-if="mended && 'grams' in mended" variant="outlined" color="primary" @click="mend"
          >Take it as {{ massWords(mended.grams, 0.1, 'g') }}</v-btn
        >
        <ChoiceRow
          v-if="contradicts"
          v-model="cause"
          label="What is the likely cause?"
          :options="CONTRADICTION_CAUSES"
          :words="CAUSE_WORDS"
          again
        />
      </div>
      <p v-else-if="fit" class="fit" role="status">
        <template v-if="fit.fits"
          ><strong>That fits:</strong> {{ counted(uses, 'use') }} of it take {{ span }}.</template
        >
        <template v-else
          ><strong>{{ (gone?.grams ?? 0) < fit.low ? 'Less than expected:' : 'More than expected:' }}</strong>
          {{ counted(uses, 'use') }} usually take {{ span }}. A spill, a lighter hand, or another package?</template
        >
      </p>
      <p v-if="content?.disagreement" class="doubt d-grid justify-items-start ps-3 ga-2" role="status">
        <strong>Scale and label disagree:</strong> full less empty is
        {{ massWords(content.disagreement.byScale, 0.1, unit) }}, the label leaves
        {{ massWords(content.disagreement.byLabel, 0.1, unit) }} to reach. Was the empty one another package, or the
        size another? Until you say, the scale counts.
      </p>
      <p v-if="content" class="quiet small">{{ contentWords(content, unit) }} Hatched: not weighed.</p>
    </section>
  </div>
</template>

<style scoped>
.main {
  grid-template-columns: auto minmax(0, 1fr) minmax(150px, 190px);
}

.gauge-plate {
  background: var(--plate);
  width: 130px;
  height: 142px;
}

.gauge-plate :deep(.gauge) {
  zoom: 0.66;
}

.since {
  border-left: 1px solid var(--hair);
  padding-left: 18px;
}

.gone {
  font: 660 34px/1.1 var(--display);
}

.gone small {
  font-size: 0.55em;
}

.told p {
  margin: 0;
  max-width: 80ch;
}

.doubt {
  border-left: 5px solid var(--attention);
}

.phone .main {
  grid-template-columns: 96px minmax(0, 1fr);
  padding: 10px 12px;
  gap: 10px 12px;
}

.phone .gauge-plate {
  width: 92px;
  height: 104px;
  padding: 6px;
  align-self: start;
}

.phone .gauge-plate :deep(.gauge) {
  zoom: 0.44;
}

.phone .since {
  grid-column: 1 / -1;
  border-left: 0;
  border-top: 1px solid var(--hair);
  padding: 6px 0 0;
}
</style>
