<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { counted, plural } from '#core/words/counted'
import type { LineCells } from '#core/formats/lines/split-line'
import type { ChangeNote } from '#contract/basic'
import FormTrouble from '#web/ui/form/FormTrouble.vue'
import { useDraft } from '#web/ui/form/use-draft'
import PlaceHead from '#web/ui/PlaceHead.vue'
import LineDialog from './LineDialog.vue'
import UnderstoodLine from './UnderstoodLine.vue'
import { useUnderstanding } from './use-understanding'

/** Stock-taking by lines: one thing a line, as one would scribble it, understood while it is typed. */
const router = useRouter()
const draft = useDraft(() => ({ text: '', corrected: {} as Record<string, LineCells> }))
const { typed } = draft
const text = computed(() => typed.value.text)
const corrected = computed(() => typed.value.corrected)
const { lines, understood, trouble, categories } = useUnderstanding(text, corrected)
const mending = ref<{ text: string; cells: LineCells } | null>(null)
const stored = ref('')
/** Only while every letter typed has been read: what is stored is what stands there. */
const settled = computed(() => understood.value !== null && understood.value.lines === lines.value)
const rows = computed(() => {
  const preview = understood.value?.answer
  return lines.value.map((line, n) => {
    const row = settled.value ? preview?.rows[n] : undefined
    const problems = (preview?.groups ?? [])
      // That is asked beside its name.
      .filter(({ code }) => code !== 'no-category')
      .filter((group) => group.serious)
      .flatMap((group) => group.cells.filter((cell) => cell.row === row?.row).map((cell) => cell.message))
    return { line, row: row ?? null, problems }
  })
})
const toStore = computed(() => (settled.value ? (understood.value?.answer.willStore ?? 0) : 0))
const left = computed(() => (settled.value ? lines.value.length - toStore.value : 0))

function mend(cells: LineCells): void {
  if (mending.value) typed.value.corrected = { ...typed.value.corrected, [mending.value.text]: cells }
  mending.value = null
}

async function store(): Promise<void> {
  const now = understood.value
  if (now === null || !settled.value) return
  const kept = lines.value.filter((_, n) => (now.answer.rows[n]?.categoryId ?? null) === null).map((line) => line.text)
  const answer = await draft.store<{ stored: number; backups: number; change: ChangeNote }>('POST', '/import/run', {
    importId: now.importId,
    ...now.sheet,
  })
  if (!answer) return
  stored.value = `${counted(answer.stored, 'item')} ${plural(answer.stored, 'is')} in the collection.`
  // A line whose kind nobody knows stays, to be mended.
  draft.begin({ text: kept.join('\n'), corrected: {} })
  if (kept.length === 0) await router.push('/collection')
}
</script>

<template>
  <PlaceHead
    title="Line by line"
    question="What do I own? One item a line, as you would scribble it; or paste a list you keep."
    :primary="{
      words: `Save ${counted(toStore, 'item')}`,
      act: store,
      disabled: toStore === 0,
      busy: draft.busy.value,
    }"
    :acts="[
      { words: 'Import a sheet', to: '/collection/import' },
      { words: 'One by one', to: '/collection/add' },
    ]"
  />
  <p v-if="stored" class="inset stored py-2 px-4" role="status">{{ stored }}</p>
  <FormTrouble :refused="draft.refused.value" :out-of-reach="draft.outOfReach.value || trouble" />
  <div class="sides d-grid align-start ga-4">
    <div>
      <v-textarea
        v-model="typed.text"
        autofocus
        label="Your items"
        rows="10"
        spellcheck="false"
        :placeholder="'pellwick rust bloom blush 5g opened march 25 12M €18\nquillfern soot mascara unopened\n\nLIPSTICKS\nondrake brake light 3.5 g gift'"
        persistent-placeholder
      />
      <p class="quiet hint small prose">
        Brand, shade and type are enough. Size, “opened spring 2024” or “unopened”, 12M, “exp 11/27”, a price, “gift”,
        “half left”, “hit pan”, “used 40 times”, “x2” are understood too; a type on a line of its own holds for the
        lines below it.
      </p>
    </div>
    <section aria-label="As understood">
      <p class="figures summary font-weight-semibold mb-2" role="status">
        {{ counted(lines.length, 'line') }}{{ settled ? `, ${toStore} understood` : ''
        }}{{ left > 0 ? `, ${left} without a type` : '' }}
      </p>
      <ol>
        <UnderstoodLine
          v-for="{ line, row, problems } in rows"
          :key="`${line.at} ${line.text}`"
          :line="line"
          :row="row"
          :problems="problems"
          :categories="categories"
          :currency="understood?.answer.currency ?? 'EUR'"
          @mend="mending = { text: line.text, cells: line.cells }"
        />
      </ol>
      <p v-if="lines.length === 0" class="quiet">Each item stands here as it is understood, while you type.</p>
    </section>
  </div>
  <LineDialog
    v-if="mending"
    :line="mending.text"
    :cells="mending.cells"
    :categories="categories"
    @close="mending = null"
    @mend="mend"
  />
</template>

<style scoped>
.sides {
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
}

.phone .sides {
  grid-template-columns: minmax(0, 1fr);
}
</style>
