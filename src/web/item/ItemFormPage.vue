<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { eyeMeasureOf, FORMS } from '#core/item/form'
import { FINISHES, SOURCES, STRUCTURES } from '#core/item/traits'
import type { ItemAnswer } from '#contract/item'
import { get, newId } from '#web/api/client'
import ChoiceRow from '#web/ui/ChoiceRow.vue'
import FormTrouble from '#web/ui/FormTrouble.vue'
import { useStock } from '#web/ui/stock'
import { useForm } from '#web/ui/use-form'
import { openedWords } from '#web/ui/words/when-words'
import { draftOf, EMPTY_DRAFT, fieldsOf, type DraftErrors, type ItemDraft } from './item-draft'
import ShadesEditor from './ShadesEditor.vue'
import StaleEdit from './StaleEdit.vue'
import TraitFields from './TraitFields.vue'

/** Adds an item or changes one. The short form first; the rest is folded. */
const route = useRoute()
const router = useRouter()
const stock = useStock()
const form = useForm()
const STRUCTURE_WORDS = {
  single: 'a single',
  duo: 'a duo with two sides',
  palette: 'a palette',
  'dual-ended': 'dual-ended',
  kit: 'a kit of singles',
}
const id = computed(() => (route.params['id'] === undefined ? null : String(route.params['id'])))
const draft = ref<ItemDraft>({ ...EMPTY_DRAFT })
const before = ref<ItemAnswer | null>(null)
const errors = ref<DraftErrors>({})
const more = ref(false)
const added = ref('')
const level = ref('')
const top = ref<HTMLElement | null>(null)

void stock.load()
// At once, not when the field has come into view: a late focus would take the words from another field.
onMounted(() => {
  if (id.value === null) top.value?.querySelector<HTMLElement>('input')?.focus()
})
watch(id, load, { immediate: true })
watch(
  () => draft.value.categoryId,
  (categoryId, old) => {
    const category = stock.categories.find((each) => each.id === categoryId)
    if (!category || (id.value !== null && old === null)) return
    draft.value.form = category.usualForm
    draft.value.sunProtection = category.id === 'sunscreen'
  },
)
/** Where her word and the log differ, what the house makes of both. */
const readAs = computed(() =>
  before.value?.item.opening.by === 'tick' && draft.value.openedKind === 'unopened'
    ? `It is ticked since: it counts as ${openedWords(before.value.item)}, and as unopened again when that is taken back.`
    : '',
)
const measure = computed(() =>
  draft.value.form === null || draft.value.parts.length > 0
    ? 'none'
    : eyeMeasureOf(draft.value.form, draft.value.opaque),
)

async function load(): Promise<void> {
  if (id.value === null) return
  before.value = await get<ItemAnswer>(`/items/${id.value}`)
  draft.value = draftOf(before.value.item, before.value.currency)
  more.value = true
}

async function save(another: boolean): Promise<void> {
  const today = before.value?.today ?? stock.today
  if (today === null) return
  const read = fieldsOf(draft.value, { currency: stock.currency, today, before: before.value?.item ?? null })
  errors.value = read.errors
  const percent = Number(level.value)
  if (read.fields === null) {
    more.value = true
    await nextTick()
    top.value?.querySelector<HTMLElement>('.v-input--error input')?.focus()
    return
  }
  if (id.value !== null && before.value !== null) {
    if (
      await form.submit('PUT', `/items/${id.value}`, {
        changeId: newId(),
        version: before.value.item.version,
        fields: read.fields,
      })
    )
      await router.push(`/items/${id.value}`)
    return
  }
  const itemId = newId()
  const reading =
    level.value === '' || measure.value === 'none' || measure.value === 'pan' || !(percent >= 0 && percent <= 100)
      ? null
      : { kind: measure.value, value: percent / 100, day: today }
  if (!(await form.submit('POST', '/items', { changeId: newId(), id: itemId, fields: read.fields, reading }))) return
  if (!another) {
    await router.push(`/items/${itemId}`)
    return
  }
  // For a whole bag in one sitting: maker and category stay, the rest is blank again.
  added.value = `${read.fields.name} is stored. Next one.`
  draft.value = { ...EMPTY_DRAFT, maker: draft.value.maker, categoryId: draft.value.categoryId, form: draft.value.form }
  level.value = ''
  await nextTick()
  top.value?.querySelector<HTMLElement>('input')?.focus()
}

/** Keeps what is typed and saves it over what another window stored. */
function overwrite(version: number): void {
  if (before.value) before.value = { ...before.value, item: { ...before.value.item, version } }
  void save(false)
}
const problem = (field: keyof ItemDraft, server: string): string[] =>
  errors.value[field] ? [errors.value[field]] : form.on(`fields.${server}`)
</script>

<template>
  <div class="place-head">
    <h1>{{ id === null ? 'Add an item' : 'Edit' }}</h1>
    <span class="quiet">{{ added || 'A name and a category are enough; the rest can come later.' }}</span>
  </div>
  <form ref="top" class="sheet form" @submit.prevent="save(false)">
    <div class="grid">
      <v-text-field v-model="draft.maker" label="Maker" :error-messages="problem('maker', 'maker')" />
      <v-text-field v-model="draft.name" label="Name" :error-messages="problem('name', 'name')" />
      <v-text-field v-model="draft.shade" label="Shade" :error-messages="problem('shade', 'shade')" />
      <v-autocomplete
        v-model="draft.categoryId"
        label="Category"
        auto-select-first
        :items="stock.categories.map((each) => ({ title: each.name, value: each.id }))"
        :error-messages="problem('categoryId', 'categoryId')"
      />
      <v-select
        v-model="draft.form"
        label="How it is packed"
        :items="FORMS"
        :error-messages="problem('form', 'form')"
      />
      <v-text-field
        v-model="draft.size"
        label="Size on the label"
        placeholder="30 ml, 9.5 g, 0.5 fl oz"
        :error-messages="problem('size', 'content')"
      />
    </div>
    <ChoiceRow
      v-model="draft.openedKind"
      label="Opened"
      :options="['unopened', 'range', 'unknown']"
      :words="{ unopened: 'Not yet', range: 'I know about when', unknown: 'Open, date unknown' }"
    />
    <p v-if="readAs" class="quiet">{{ readAs }}</p>
    <div class="grid">
      <v-text-field
        v-if="draft.openedKind === 'range'"
        v-model="draft.opened"
        label="Opened"
        placeholder="2024-03-15, March 2024, 2024, spring 2024"
        :error-messages="problem('opened', 'opened')"
      />
      <v-text-field
        v-model="draft.pao"
        label="Months after opening (open jar)"
        placeholder="12M"
        :error-messages="problem('pao', 'paoMonths')"
      />
      <v-text-field
        v-model="draft.expiry"
        label="Printed expiry"
        placeholder="11/26"
        :error-messages="problem('expiry', 'expiry')"
      />
      <v-text-field
        v-if="id === null && (measure === 'level' || measure === 'length')"
        v-model="level"
        type="number"
        min="0"
        max="100"
        :label="measure === 'length' ? 'Length left, %' : 'How full by eye, %'"
      />
    </div>
    <v-btn variant="text" :aria-expanded="more" @click="more = !more">{{
      more ? 'Less' : 'Colour, price, uses and the rest'
    }}</v-btn>
    <template v-if="more">
      <div class="grid">
        <div class="swatch">
          <v-checkbox v-model="draft.coloured" label="Swatch" />
          <input v-model="draft.colour" type="color" aria-label="Swatch colour" :disabled="!draft.coloured" />
        </div>
        <v-select v-model="draft.finish" label="Finish" clearable :items="FINISHES" />
        <v-text-field
          v-model="draft.price"
          label="Price paid"
          :disabled="draft.source === 'gift'"
          :error-messages="problem('price', 'priceMinor')"
        />
        <v-select v-model="draft.source" label="Where from" clearable :items="SOURCES" />
        <v-text-field
          v-model="draft.acquired"
          label="Came on"
          placeholder="2024-03-15, March 2024"
          :error-messages="problem('acquired', 'acquired')"
        />
        <v-text-field
          v-model="draft.usesBefore"
          type="number"
          min="0"
          label="Uses before this log"
          :error-messages="problem('usesBefore', 'usesBefore')"
        />
        <v-select
          v-model="draft.liking"
          label="Liking"
          clearable
          :items="[
            { title: 'love it', value: '5' },
            { title: 'like it', value: '4' },
            { title: 'neither', value: '3' },
            { title: 'not much', value: '2' },
            { title: 'dislike it', value: '1' },
          ]"
        />
        <v-text-field
          v-model="draft.slots"
          type="number"
          min="1"
          max="12"
          label="Slots it takes in the drawer"
          :error-messages="problem('slots', 'slots')"
        />
        <v-checkbox v-model="draft.opaque" label="Opaque: no level can be seen" />
        <v-checkbox v-model="draft.sunProtection" label="Sunscreen or SPF claim" />
      </div>
      <v-textarea v-model="draft.notes" label="Notes" rows="2" :error-messages="problem('notes', 'notes')" />
      <TraitFields v-model="draft" :categories="stock.categories" :errors="errors" />
      <ChoiceRow v-model="draft.structure" label="It is" :options="STRUCTURES" :words="STRUCTURE_WORDS" />
      <ShadesEditor
        v-if="draft.parts.length > 0 || (draft.structure !== 'single' && draft.structure !== 'kit')"
        v-model:parts="draft.parts"
        v-model:columns="draft.columns"
        :structure="draft.structure"
        :on="form.on"
      />
    </template>
    <StaleEdit
      v-if="form.refused.value?.problem.code === 'stale'"
      :problem="form.refused.value.problem"
      :draft="draft"
      @overwrite="overwrite"
    />
    <FormTrouble v-else :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
    <div class="form-acts">
      <v-btn variant="text" :to="id === null ? '/collection' : `/items/${id}`">Cancel</v-btn>
      <v-btn v-if="id === null" variant="outlined" color="primary" :loading="form.busy.value" @click="save(true)"
        >Store, then another</v-btn
      >
      <v-btn type="submit" color="primary" :loading="form.busy.value">Store</v-btn>
    </div>
  </form>
</template>

<style scoped>
.form {
  padding: 18px;
  display: grid;
  gap: 14px;
  max-width: 1000px;
  margin-bottom: 70px;
}

.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 12px;
}

.swatch {
  display: flex;
  align-items: center;
  gap: 8px;
}

.swatch input {
  width: 64px;
  height: 44px;
  border: 1px solid var(--line);
  border-radius: 8px;
}
</style>
