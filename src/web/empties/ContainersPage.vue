<script setup lang="ts">
import { computed, ref } from 'vue'
import { FORMS, type Form } from '#core/item/form'
import { parseMass } from '#core/measure/weighing'
import type { ContainerView } from '#contract/package'
import NumberField from '#web/ui/form/NumberField.vue'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { dateWords } from '#web/data/locale'
import { useContainers } from '#web/data/reads'
import { useUnits } from '#web/data/units'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { massTrouble, massWords, unitOf } from '#web/ui/words/measure-words'
import ContainerDrawing from './ContainerDrawing.vue'

/** The shelf of kept containers: washed compacts, bottles and jars, to decant and repress into. */
const { answer } = useContainers()
const changes = useChanges()
const units = useUnits()
const unit = computed(() => unitOf(units.value))
const editing = ref<ContainerView | 'new' | null>(null)
const draft = useDraft(() => fieldsOf(null))
const { typed, on } = draft
const here = computed(() => (answer.value?.containers ?? []).filter((each) => each.goneOn === null))
const gone = computed(() => (answer.value?.containers ?? []).filter((each) => each.goneOn !== null))
const mass = computed(() => (typed.value.mass.trim() === '' ? null : parseMass(typed.value.mass, unit.value)))
const massError = computed(() => (mass.value && !mass.value.ok ? [massTrouble(mass.value.failure.code)] : []))

function fieldsOf(container: ContainerView | null): { words: string; form: Form; mass: string } {
  return {
    words: container?.words ?? '',
    form: container?.form ?? 'jar',
    mass:
      container === null || container.grams === null
        ? ''
        : massWords(container.grams, container.resolution ?? 0.1, unit.value),
  }
}
function open(container: ContainerView | 'new'): void {
  editing.value = container
  draft.begin(fieldsOf(container === 'new' ? null : container))
}
async function store(): Promise<void> {
  const container = editing.value
  if (container === null || !answer.value) return
  const fields = {
    words: typed.value.words,
    form: typed.value.form,
    grams: mass.value?.ok ? mass.value.value : null,
    resolution: mass.value?.ok ? 0.1 : null,
  }
  const done =
    container === 'new'
      ? await draft.store('POST', '/containers', {
          id: draft.id('container'),
          ...fields,
          itemId: null,
          day: answer.value.today,
        })
      : await draft.store('PUT', `/containers/${container.id}`, { version: container.version, ...fields })
  if (done) editing.value = null
}
function letGo(container: ContainerView): void {
  if (answer.value)
    void changes.run('POST', `/containers/${container.id}/gone`, { changeId: newId(), day: answer.value.today })
}
</script>

<template>
  <PlaceHead
    title="Kept containers"
    question="What do I have to decant and repress into?"
    :primary="{ words: 'Add a container', act: () => open('new') }"
    :acts="[{ words: 'To the empties', to: '/look-back/empties' }]"
  />
  <template v-if="answer">
    <EmptyPlace
      v-if="answer.containers.length === 0"
      title="A shelf for what is washed and kept"
      act="Add a container"
      @act="open('new')"
    >
      Finish an item with “washed and kept”, and its compact, bottle or jar is here. Weigh it once, and you’ll always
      know what’s in it.
    </EmptyPlace>
    <ul v-else class="shelf d-grid ga-3">
      <li v-for="each in here" :key="each.id" class="inset d-grid align-start pt-3 pb-2 px-4 gr-2 gc-3">
        <ContainerDrawing :form="each.form" :full="each.holds !== null" />
        <div class="words">
          <h2 class="lead">{{ each.words }}</h2>
          <p class="quiet mt-1">{{ each.form }}, kept on {{ dateWords(each.keptOn) }}</p>
          <p class="figures mt-1">
            {{
              each.grams === null
                ? 'never weighed empty'
                : `${massWords(each.grams, each.resolution ?? 0.1, unit)} empty`
            }}
          </p>
          <p class="mt-1" v-if="each.holds">
            holds <RouterLink :to="`/items/${each.holds.itemId}`">{{ each.holds.mark }}</RouterLink>
          </p>
          <p v-else class="quiet mt-1">free</p>
        </div>
        <div class="acts d-flex across justify-end">
          <v-btn variant="text" :aria-label="`Change ${each.words}`" @click="open(each)">Change</v-btn>
          <v-btn v-if="!each.holds" variant="text" :aria-label="`Let ${each.words} go`" @click="letGo(each)"
            >Remove</v-btn
          >
        </div>
      </li>
    </ul>
    <p v-if="gone.length > 0" class="quiet mt-1">No longer kept: {{ gone.map((each) => each.words).join(', ') }}.</p>
  </template>
  <FormDialog
    v-if="editing"
    :title="editing === 'new' ? 'Add a container' : 'Change a container'"
    :draft="draft"
    act="Save"
    :ready="typed.words.trim() !== '' && massError.length === 0"
    @close="editing = null"
    @store="store"
  >
    <v-text-field v-model="typed.words" label="What it is" autofocus :error-messages="on('words')" />
    <v-select v-model="typed.form" label="Its type" :items="FORMS" />
    <NumberField
      text
      v-model="typed.mass"
      :label="`Its weight, washed and dry, ${unit} (optional)`"
      :error-messages="[...massError, ...on('grams')]"
    />
  </FormDialog>
</template>

<style scoped>
.shelf {
  grid-template-columns: repeat(auto-fill, minmax(min(330px, 100%), 1fr));
}

.shelf li {
  grid-template-columns: 76px minmax(0, 1fr);
}
</style>
