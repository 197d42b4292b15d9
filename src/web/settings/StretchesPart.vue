<script setup lang="ts">
import { ref } from 'vue'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { dateWords, yearlyWords } from '#web/data/locale'
import { useStretches } from '#web/data/reads'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { stretchWords } from '#web/ui/words/when-words'

/** Days away and low seasons: when less makeup is worn than the week says; goals and forecasts reckon with them. */
const changes = useChanges()
const { answer } = useStretches()
const open = ref<'away' | 'low' | 'less' | null>(null)
const away = useDraft(() => ({ earliest: '', latest: '', words: '' }))
const low = useDraft(() => ({ from: '', to: '', percent: 20, words: '' }))
const fewer = useDraft(() => ({ from: '', percent: 50, words: '' }))
const { typed: gone, on: onAway } = away
const { typed: less, on: onLow } = low
const { typed: from, on: onFewer } = fewer

function start(which: 'away' | 'low' | 'less'): void {
  ;({ away, low, less: fewer })[which].begin()
  open.value = which
}

async function storeAway(): Promise<void> {
  if (await away.store('POST', '/away', { id: away.id('away'), ...gone.value })) open.value = null
}

async function storeLow(): Promise<void> {
  const { from, to, percent, words } = less.value
  // Of a day only its month and date count: it is meant for every year.
  const body = { id: low.id('low'), from: from.slice(5), to: to.slice(5), factor: Number(percent) / 100, words }
  if (await low.store('POST', '/low-seasons', body)) open.value = null
}

async function storeFewer(): Promise<void> {
  const { from: day, percent, words } = from.value
  const body = { id: fewer.id('less'), from: day, factor: Number(percent) / 100, words }
  if (await fewer.store('POST', '/wear-less', body)) open.value = null
}

function drop(path: 'away' | 'low-seasons' | 'wear-less', id: string): void {
  void changes.run('POST', `/${path}/${id}/drop`, { changeId: newId() })
}
</script>

<template>
  <section class="sheet settings-part" aria-label="Days away and low seasons">
    <h2>Days away and low seasons</h2>
    <p class="quiet">Times when you wear less makeup. Goals and forecasts count them in.</p>
    <ul v-if="answer">
      <li class="d-flex touch align-center ga-2" v-for="each in answer.away" :key="each.id">
        <span class="said flex-1-1-0"
          >{{ stretchWords(each) }} <span class="quiet">{{ each.words }}</span></span
        >
        <v-btn variant="text" :aria-label="`Remove the days away ${stretchWords(each)}`" @click="drop('away', each.id)"
          >Remove</v-btn
        >
      </li>
      <li v-for="each in answer.lowSeasons" :key="each.id" class="figures d-flex touch align-center ga-2">
        <span class="said flex-1-1-0"
          >every year {{ yearlyWords(each.from) }} to {{ yearlyWords(each.to) }}: {{ Math.round(each.factor * 100) }} %
          of usual <span class="quiet">{{ each.words }}</span></span
        >
        <v-btn
          variant="text"
          :aria-label="`Remove the low season from ${yearlyWords(each.from)}`"
          @click="drop('low-seasons', each.id)"
          >Remove</v-btn
        >
      </li>
      <li v-for="each in answer.wearLess" :key="each.id" class="figures d-flex touch align-center ga-2">
        <span class="said flex-1-1-0"
          >from {{ dateWords(each.from) }} on: {{ Math.round(each.factor * 100) }} % of usual
          <span class="quiet">{{ each.words }}</span></span
        >
        <v-btn
          variant="text"
          :aria-label="`Remove wearing less from ${dateWords(each.from)}`"
          @click="drop('wear-less', each.id)"
          >Remove</v-btn
        >
      </li>
    </ul>
    <div class="choices">
      <v-btn variant="outlined" color="primary" @click="start('away')">Add days away</v-btn>
      <v-btn variant="outlined" color="primary" @click="start('low')">Add a low season</v-btn>
      <v-btn variant="outlined" color="primary" @click="start('less')">I wear less from a day on</v-btn>
    </div>
    <FormDialog
      v-if="open === 'away'"
      title="Days away"
      :draft="away"
      act="Add"
      :ready="gone.earliest !== '' && gone.latest !== ''"
      @close="open = null"
      @store="storeAway"
    >
      <DayField v-model="gone.earliest" label="Away from" :error-messages="onAway('earliest')" />
      <DayField v-model="gone.latest" label="to" :error-messages="onAway('latest')" />
      <v-text-field v-model="gone.words" label="Where (optional)" :error-messages="onAway('words')" />
    </FormDialog>
    <FormDialog
      v-if="open === 'low'"
      title="A low season every year"
      :draft="low"
      act="Add"
      :ready="less.from !== '' && less.to !== ''"
      @close="open = null"
      @store="storeLow"
    >
      <p class="quiet">Choose its first and last day in any year; it comes back every year.</p>
      <DayField v-model="less.from" label="Low from" :error-messages="onLow('from')" />
      <DayField v-model="less.to" label="to" :error-messages="onLow('to')" />
      <v-number-input v-model="less.percent" :min="0" :max="100" label="% of usual" :error-messages="onLow('factor')" />
      <v-text-field v-model="less.words" label="Why (optional)" :error-messages="onLow('words')" />
    </FormDialog>
    <FormDialog
      v-if="open === 'less'"
      title="I wear less from a day on"
      :draft="fewer"
      act="Add"
      :ready="from.from !== ''"
      @close="open = null"
      @store="storeFewer"
    >
      <p class="quiet">It has no end: goals and forecasts count it in until you remove it.</p>
      <DayField v-model="from.from" label="Less from" :error-messages="onFewer('from')" />
      <v-number-input
        v-model="from.percent"
        :min="0"
        :max="100"
        label="% of usual"
        :error-messages="onFewer('factor')"
      />
      <v-text-field v-model="from.words" label="Why (optional)" :error-messages="onFewer('words')" />
    </FormDialog>
  </section>
</template>
