<script setup lang="ts">
import { ref } from 'vue'
import { FORMS } from '#core/item/form'
import { MODEL_TYPES } from '#core/item/model-type'
import type { CategoryView } from '#contract/item'
import { useStock } from '#web/data/stock'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'

/** Categories of her own, and the ones it came with, to be called as she calls them. */
const stock = useStock()
type Fields = Omit<CategoryView, 'id' | 'version'>
const BLANK: Fields = {
  name: '',
  makeup: true,
  zoneId: 'extras',
  usualForm: 'pressed',
  eye: false,
  lip: false,
  modelType: 'other',
}
const editing = ref<string | 'new' | null>(null)
const version = ref(0)
const draft = useDraft<Fields>(() => BLANK)
const { typed, on } = draft

function start(category: CategoryView | null): void {
  const {
    id = 'new',
    version: known = 0,
    ...fields
  } = category ?? (BLANK as Fields & { id?: string; version?: number })
  editing.value = id
  version.value = known
  draft.begin({ ...BLANK, ...fields })
}

async function store(): Promise<void> {
  const done =
    editing.value === 'new'
      ? await draft.store('POST', '/categories', { ...typed.value, id: draft.id('category') })
      : await draft.store('PUT', `/categories/${editing.value}`, { ...typed.value, version: version.value })
  if (done) editing.value = null
}
</script>

<template>
  <section class="sheet settings-part" aria-label="Types">
    <h2>Types</h2>
    <div class="choices">
      <button
        v-for="category in stock.categories"
        :key="category.id"
        type="button"
        class="choice"
        @click="start(category)"
      >
        {{ category.name }}
      </button>
      <v-btn variant="outlined" color="primary" @click="start(null)">Add one of your own</v-btn>
    </div>
    <FormDialog
      v-if="editing"
      :title="editing === 'new' ? 'A type of your own' : `The type ${typed.name}`"
      label="Type"
      :draft="draft"
      act="Save"
      @close="editing = null"
      @store="store"
    >
      <v-text-field v-model="typed.name" label="Name" :error-messages="on('name')" />
      <v-select
        v-model="typed.zoneId"
        label="Zone of the drawer"
        :items="stock.zones.map((zone) => ({ title: zone.name, value: zone.id }))"
        :error-messages="on('zoneId')"
      />
      <v-select v-model="typed.usualForm" label="Usual form" :items="FORMS" />
      <v-select v-model="typed.modelType" label="Most like" :items="MODEL_TYPES" />
      <v-checkbox v-model="typed.makeup" label="It makes a wear day" />
      <v-checkbox v-model="typed.eye" label="Worn at the eye" />
      <v-checkbox v-model="typed.lip" label="Worn on the lips" />
    </FormDialog>
  </section>
</template>
