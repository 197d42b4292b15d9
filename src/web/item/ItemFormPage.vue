<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { eyeMeasureOf } from '#core/item/form'
import type { ItemSummary } from '#contract/item'
import { useHerDay } from '#web/data/her-day'
import { useItem } from '#web/data/reads'
import { useStock } from '#web/data/stock'
import FormTrouble from '#web/ui/form/FormTrouble.vue'
import StaleEdit from '#web/ui/form/StaleEdit.vue'
import { useOpenDrafts } from '#web/ui/form/open-drafts'
import { useDraft } from '#web/ui/form/use-draft'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { openedWords } from '#web/ui/words/when-words'
import {
  anotherOf,
  draftOf,
  EMPTY_DRAFT,
  fieldsOf,
  ITEM_FIELDS,
  levelProblem,
  type DraftErrors,
  type ItemDraft,
} from './item-draft'
import ItemFirstFields from './ItemFirstFields.vue'
import ItemMoreFields from './ItemMoreFields.vue'
import ShadesEditor from './ShadesEditor.vue'

const PALETTE = 'eyeshadow-palette'
/** Adds an item or changes one. The short form first; the rest is folded. */
const route = useRoute()
const router = useRouter()
const stock = useStock()
const herDay = useHerDay()
const id = computed(() => (route.params['id'] === undefined ? null : String(route.params['id'])))
/** The item that a new one is like. */
const like = computed(() => (id.value === null && typeof route.query['like'] === 'string' ? route.query['like'] : null))
const { answer } = useItem(() => id.value ?? like.value)
/** What is edited: as it stood when the form was opened, whatever is stored meanwhile. */
const before = ref<ItemSummary | null>(null)
const draft = useDraft<ItemDraft>(() => EMPTY_DRAFT, {
  names: ITEM_FIELDS,
  theirs: (current) => draftOf(current as ItemSummary, stock.currency),
})
const { typed, on } = draft
const version = ref(0)
const errors = ref<DraftErrors>({})
const more = ref(false)
const added = ref('')
const level = ref('')
const form = ref<HTMLElement | null>(null)

onMounted(() => {
  // At once, not when the field has come into view: a late focus would take the words from another field.
  if (id.value === null) form.value?.querySelector<HTMLElement>('input')?.focus()
})
watch(
  answer,
  (now) => {
    // What is typed stays as it is, whatever comes; nothing typed yet, the latest is what is edited.
    if (now === null || ((id.value === null || before.value?.id === now.item.id) && draft.isTyped.value)) return
    if (id.value === null) return draft.begin(anotherOf(now.item, now.currency))
    before.value = now.item
    version.value = now.item.version
    draft.begin(draftOf(now.item, now.currency))
    more.value = true
  },
  { immediate: true },
)
watch(
  () => typed.value.categoryId,
  (categoryId, old) => {
    const category = stock.categories.find((each) => each.id === categoryId)
    if (!category || (old === null && (id.value !== null || like.value !== null))) return
    typed.value.form = category.usualForm
    if (category.id === PALETTE && typed.value.structure === 'single') typed.value.structure = 'palette'
    typed.value.sunProtection = category.id === 'sunscreen'
  },
)
const hasShades = computed(() => typed.value.parts.length > 0 || !['single', 'kit'].includes(typed.value.structure))
/** Where her word and the log differ, what the house makes of both. */
const readAs = computed(() =>
  before.value?.opening.by === 'tick' && typed.value.openedKind === 'unopened'
    ? `It’s ticked since: it counts as ${openedWords(before.value)}, and as unopened again when that is undone.`
    : '',
)
const measure = computed(() =>
  typed.value.form === null || typed.value.parts.length > 0
    ? 'none'
    : eyeMeasureOf(typed.value.form, typed.value.opaque),
)
/** The content typed, where the form asks for one: what was typed for another kind of package is out of sight. */
const levelTyped = computed(() =>
  id.value === null && (measure.value === 'level' || measure.value === 'length') ? level.value.trim() : '',
)
useOpenDrafts().watchOver(() => levelTyped.value !== '')
/** What another window stored meanwhile. */

function problem(field: keyof ItemDraft, server: string): string[] {
  return errors.value[field] ? [errors.value[field]] : on(`fields.${server}`)
}

async function store(another: boolean): Promise<void> {
  const today = herDay.today ?? stock.today
  if (today === null) return
  const read = fieldsOf(typed.value, { currency: stock.currency, today, before: before.value })
  errors.value = read.errors
  if (read.fields === null || levelProblem(levelTyped.value) !== '') {
    more.value = more.value || read.fields === null
    await nextTick()
    form.value?.querySelector<HTMLElement>('.v-input--error input')?.focus()
    return
  }
  if (id.value !== null) {
    const edited = await draft.store('PUT', `/items/${id.value}`, { version: version.value, fields: read.fields })
    if (edited) await router.push(`/items/${id.value}`)
    return
  }
  const itemId = draft.id('item')
  if (!(await draft.store('POST', '/items', { id: itemId, fields: read.fields, reading: readingOf() }))) return
  level.value = ''
  if (another) await next(read.fields.name)
  else await router.push(`/items/${itemId}`)

  function readingOf() {
    const percent = Number(levelTyped.value)
    return levelTyped.value === '' ? null : { kind: measure.value, value: percent / 100, day: today }
  }
}

/** For a whole bag in one sitting: maker and category stay, the rest is blank again. */
async function next(name: string): Promise<void> {
  added.value = `${name} is saved. Next one.`
  const { maker, categoryId, form: kept } = typed.value
  draft.begin({ ...EMPTY_DRAFT, maker, categoryId, form: kept })
  await nextTick()
  form.value?.querySelector<HTMLElement>('input')?.focus()
}

/** Keeps what is typed and stores it over what another window stored. */
function overwrite(): void {
  draft.overwrite()
  void store(false)
}
</script>

<template>
  <PlaceHead
    :title="id === null ? 'Add an item' : 'Edit'"
    :question="added || 'A name and a type are enough; the rest can come later.'"
    :acts="id === null ? [{ words: 'Many at once, by lines', to: '/collection/lines' }] : []"
  />
  <form ref="form" class="sheet form d-grid pa-4 ga-3" @submit.prevent="store(false)">
    <!-- A default button that is disabled: Enter in a field doesn’t save what has shades, which are typed one after the other. -->
    <button v-if="hasShades" type="submit" disabled hidden></button>
    <ItemFirstFields
      v-model="typed"
      v-model:level="level"
      :categories="stock.categories"
      :read-as="readAs"
      :measure="id === null ? measure : 'none'"
      :problem="problem"
    />
    <ShadesEditor
      v-if="hasShades"
      v-model:parts="typed.parts"
      v-model:columns="typed.columns"
      :structure="typed.structure"
      :on="on"
    />
    <v-btn variant="text" style="justify-self: start" :aria-expanded="more" @click="more = !more">{{
      more ? 'Less' : 'Colour, price, uses and the rest'
    }}</v-btn>
    <ItemMoreFields
      v-if="more"
      v-model="typed"
      :categories="stock.categories"
      :guess="before?.guess ?? null"
      :errors="errors"
      :problem="problem"
      :on="on"
    />
    <StaleEdit
      v-if="draft.conflict.value"
      :problem="draft.conflict.value.problem"
      :differences="draft.conflict.value.differences"
      @overwrite="overwrite"
    />
    <FormTrouble :refused="draft.refused.value" :out-of-reach="draft.outOfReach.value" />
    <div class="form-acts">
      <v-btn variant="text" :to="id === null ? '/collection' : `/items/${id}`">Cancel</v-btn>
      <v-btn v-if="id === null" variant="outlined" color="primary" :loading="draft.busy.value" @click="store(true)"
        >Save, then another</v-btn
      >
      <v-btn type="submit" color="primary" :loading="draft.busy.value">Save</v-btn>
    </div>
  </form>
</template>

<style scoped>
.form {
  max-width: 1000px;
}

.form :deep(.grid) {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 12px;
}
</style>
