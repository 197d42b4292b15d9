<script setup lang="ts">
import { computed, ref } from 'vue'
import { ROLES } from '#core/forecast/role'
import { counted } from '#core/words/counted'
import type { ForecastView } from '#contract/forecast'
import type { ItemAnswer } from '#contract/item'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { dateWords, numberWords } from '#web/data/locale'
import { useUnits } from '#web/data/units'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import { betweenWords, howFastWords, howMuchWords } from '#web/ui/words/forecast-words'
import { unitOf } from '#web/ui/words/measure-words'
import { shortDay } from '#web/ui/words/when-words'

/** How the forecast came about, what it leans on, what was said before, and her own guess beside it. */
const props = defineProps<{ answer: ItemAnswer; forecast: ForecastView }>()
const changes = useChanges()
const units = useUnits()
const unit = computed(() => unitOf(units.value))
const open = ref(false)
const guess = computed(() => props.answer.guesses.at(-1) ?? null)
const role = computed(() => (props.forecast.roleSaid ? props.forecast.role : 'as the drawer tells'))
const ROLE_OPTIONS = ['as the drawer tells', ...ROLES] as const
function setRole(to: (typeof ROLE_OPTIONS)[number] | null): void {
  if (to === null || to === role.value) return
  void changes.run('PUT', `/items/${props.answer.item.id}/role`, {
    changeId: newId(),
    role: to === 'as the drawer tells' ? null : to,
  })
}
const userEffect = computed(() => {
  const { amount, rate } = props.forecast.userEffects
  const said = [
    Math.abs(amount - 1) < 0.03 ? '' : `you take ${numberWords(amount, 2)} times what is usual`,
    Math.abs(rate - 1) < 0.03
      ? ''
      : `the odds that you wear an item on a day are ${numberWords(rate, 2)} times the usual`,
  ].filter(Boolean)
  return said.length === 0 ? '' : `By all your items together ${said.join(', and ')}; that is counted in.`
})
const dropGuess = (id: string): void => void changes.run('POST', `/guesses/${id}/drop`, { changeId: newId() })
</script>

<template>
  <section class="reckoned d-grid small mt-2" aria-label="How is this worked out?">
    <p><strong>How much.</strong> {{ howMuchWords(forecast, unit) }}</p>
    <p><strong>How fast.</strong> {{ howFastWords(forecast) }}</p>
    <p v-if="guess">
      <strong>Your guess</strong> on {{ shortDay(guess.madeOn, answer.today) }} was
      {{ counted(guess.months, 'month') }}. This says {{ betweenWords(forecast.finish, answer.today) }}.
      <v-btn variant="text" size="small" min-height="44" @click="dropGuess(guess.id)">Remove the guess</v-btn>
    </p>
    <div class="more across">
      <v-btn variant="text" class="ml-n4" :aria-expanded="open" @click="open = !open">{{
        open ? 'Show less' : 'How you use it, and earlier forecasts'
      }}</v-btn>
      <div v-if="open" class="inside d-grid prose ga-2">
        <ChoiceRow
          :model-value="role"
          label="How you use it"
          :options="ROLE_OPTIONS"
          :words="{
            staple: 'the one I always use',
            rotation: 'one of several in turn',
            occasional: 'now and then',
          }"
          @update:model-value="setRole"
        />
        <p v-if="userEffect">{{ userEffect }}</p>
        <ul v-if="forecast.before.length > 0" class="bulleted figures ps-4">
          <li v-for="each in forecast.before.slice(-6).reverse()" :key="each.madeOn + each.why">
            {{ dateWords(each.madeOn) }} ({{ each.why }}) said between {{ dateWords(each.low) }} and
            {{ dateWords(each.high) }}, most likely {{ dateWords(each.middle) }}.
          </li>
        </ul>
        <p class="quiet">Days away and low seasons ahead are counted in. Ranges hold about 8 times in 10.</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.reckoned {
  grid-template-columns: repeat(auto-fit, minmax(min(300px, 100%), 1fr));
  gap: 6px 28px;
}
</style>
