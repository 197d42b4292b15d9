<script setup lang="ts">
import { ref } from 'vue'
import { FORMS } from '#core/item/form'
import { MODEL_TYPES } from '#core/item/model-type'
import type { CategoryView } from '#contract/item'
import { newId } from '#web/api/client'
import FormTrouble from '#web/ui/FormTrouble.vue'
import { useStock } from '#web/ui/stock'
import { useForm } from '#web/ui/use-form'

/** Categories of her own, and the ones it came with, to be called as she calls them. */
const stock = useStock()
void stock.load()
const form = useForm()
type Draft = Omit<CategoryView, 'id'>
const BLANK: Draft = {
  name: '',
  makeup: true,
  zoneId: 'extras',
  usualForm: 'pressed',
  eye: false,
  lip: false,
  modelType: 'other',
}
const editing = ref<string | 'new' | null>(null)
const draft = ref<Draft>({ ...BLANK })

function start(category: CategoryView | null): void {
  editing.value = category?.id ?? 'new'
  if (category) {
    draft.value = { ...BLANK, ...category }
  } else draft.value = { ...BLANK }
}

async function save(): Promise<void> {
  const { name, makeup, zoneId, usualForm, eye, lip, modelType } = draft.value
  const body = { changeId: newId(), name, makeup, zoneId, usualForm, eye, lip, modelType }
  const done =
    editing.value === 'new'
      ? await form.submit('POST', '/categories', { ...body, id: newId() })
      : await form.submit('PUT', `/categories/${editing.value}`, body)
  if (done) editing.value = null
}
</script>

<template>
  <section class="sheet part" aria-label="Categories">
    <h2>Categories</h2>
    <div class="choices">
      <button
        v-for="category in stock.categories"
        :key="category.id"
        type="button"
        class="choice small"
        @click="start(category)"
      >
        {{ category.name }}
      </button>
      <v-btn variant="outlined" color="primary" @click="start(null)">Add one of your own</v-btn>
    </div>
    <form v-if="editing" class="inset edit" @submit.prevent="save">
      <v-text-field v-model="draft.name" label="Name" :error-messages="form.on('name')" />
      <v-select
        v-model="draft.zoneId"
        label="Zone of the drawer"
        :items="stock.zones.map((zone) => ({ title: zone.name, value: zone.id }))"
        :error-messages="form.on('zoneId')"
      />
      <v-select v-model="draft.usualForm" label="Usual form" :items="FORMS" />
      <v-select v-model="draft.modelType" label="Most like" :items="MODEL_TYPES" />
      <v-checkbox v-model="draft.makeup" label="It makes a wear day" />
      <v-checkbox v-model="draft.eye" label="Worn at the eye" />
      <v-checkbox v-model="draft.lip" label="Worn on the lips" />
      <div class="form-acts">
        <v-btn variant="text" @click="editing = null">Cancel</v-btn>
        <v-btn type="submit" color="primary" :loading="form.busy.value">Save</v-btn>
      </div>
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
    </form>
  </section>
</template>

<style scoped>
.part {
  padding: 16px 18px;
  display: grid;
  gap: 12px;
  margin-top: 14px;
}

.small {
  min-height: 36px;
  padding: 0 10px !important;
  font-size: 13px;
}

.edit {
  padding: 14px;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 10px;
  align-items: center;
}
</style>
