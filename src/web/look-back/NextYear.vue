<script setup lang="ts">
import { LEAST_WEARS } from '#core/forecast/supply'
import { computed, ref } from 'vue'
import type { SpanSheet } from '#contract/look-back'
import type { LessonShown } from '#contract/buying'
import { nextRules, type NextRule } from '#core/look-back/next-rules'
import { counted, plural } from '#core/words/counted'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { useBuying, useLessons, useSupply } from '#web/data/reads'
import { lessonWords } from '#web/ui/words/lesson-words'
import { yearsWords } from '#web/ui/words/supply-words'

/** What the year's numbers show, to keep as lessons, and rules for the next one, to take or leave. */
const props = defineProps<{ sheet: SpanSheet }>()
const { answer: lessons } = useLessons()
const { answer: supply } = useSupply()
const { answer: buying } = useBuying()
const changes = useChanges()
const OFFERED = 4
const offered = computed(() => (lessons.value?.offered ?? []).slice(0, OFFERED))
const year = computed(() => Number(props.sheet.from.slice(0, 4)) + 1)
const rules = computed(() => {
  if (!supply.value) return []
  const yearsOf = new Map(
    supply.value.categories.map((each) => [
      each.categoryId,
      each.years ?? (each.worn >= LEAST_WEARS ? Infinity : null),
    ]),
  )
  const kinds = props.sheet.kinds.map((each) => ({ ...each, years: yearsOf.get(each.categoryId) ?? null }))
  return nextRules(kinds, props.sheet.bought.items, props.sheet.finishes.length)
})
const nameOf = (id: string): string => props.sheet.kinds.find((each) => each.categoryId === id)?.category ?? ''
const taken = ref(new Set<string>())
const keyOf = (rule: NextRule): string => (rule.code === 'at most' ? rule.code : `${rule.code} ${rule.categoryId}`)
/** A rule she already has over that year is not offered again. */
const open = computed(() =>
  rules.value.filter((rule) => {
    if (taken.value.has(keyOf(rule))) return false
    const category = rule.code === 'at most' ? null : nameOf(rule.categoryId)
    return !(buying.value?.rules ?? []).some(
      (each) => each.category === category && each.from.startsWith(String(year.value)),
    )
  }),
)

function ruleWords(rule: NextRule): { readonly rule: string; readonly because: string } {
  if (rule.code === 'at most')
    return {
      rule: rule.most === 0 ? `Buy nothing in ${year.value}.` : `Buy ${rule.most} at most in ${year.value}.`,
      because: `${counted(rule.bought, 'item')} ${plural(rule.bought, 'was')} bought, ${props.sheet.finishes.length} finished: half would do.`,
    }
  const kind = plural(2, nameOf(rule.categoryId))
  if (rule.code === 'as many in as out')
    return {
      rule: `Of ${kind}, buy in ${year.value} only as many as you finish.`,
      because: `${rule.cameIn} came and ${rule.wentOut} went: there are more than a year ago.`,
    }
  return {
    rule: `No ${kind} in ${year.value}.`,
    because: `${rule.items} are here, ${rule.finished === 0 ? 'none was' : `${rule.finished} ${plural(rule.finished, 'was')}`} finished this year${Number.isFinite(rule.years) ? `; at your pace they last ${yearsWords(rule.years)}` : '; none was worn in a year'}.`,
  }
}

function take(rule: NextRule): void {
  const body = {
    changeId: newId(),
    id: newId(),
    from: `${year.value}-01-01`,
    to: `${year.value}-12-31`,
    most: rule.code === 'at most' ? rule.most : 0,
    categoryId: rule.code === 'at most' ? null : rule.categoryId,
    sparesReplacements: rule.code === 'as many in as out',
    exceptions: [],
    words: ruleWords(rule).because,
  }
  void changes.run('POST', '/buying-rules', body).then((done) => done && taken.value.add(keyOf(rule)))
}
function keep(shown: LessonShown): void {
  const { from, to } = props.sheet
  const body = {
    changeId: newId(),
    id: newId(),
    words: lessonWords(shown).lesson,
    promptedBy: 'numbers',
    rule: shown.rule,
    about: shown.about,
    itemId: null,
    categoryId: props.sheet.kinds.some(({ categoryId }) => categoryId === shown.about) ? shown.about : null,
    span: { from, to },
  }
  void changes.run('POST', '/lessons', body)
}
</script>

<template>
  <section
    v-if="offered.length > 0 || open.length > 0"
    class="sheet next d-grid mt-3 py-3 px-4"
    aria-label="What comes next"
  >
    <div v-if="open.length > 0">
      <h3>Rules for {{ year }}, if you like</h3>
      <article
        class="d-flex flex-wrap align-center justify-space-between hair-below py-2 px-0 gr-1 gc-3"
        v-for="rule in open"
        :key="keyOf(rule)"
      >
        <div>
          <p class="said small">{{ ruleWords(rule).rule }}</p>
          <p class="quiet small">{{ ruleWords(rule).because }}</p>
        </div>
        <v-btn variant="outlined" color="primary" :aria-label="`Set: ${ruleWords(rule).rule}`" @click="take(rule)"
          >Set</v-btn
        >
      </article>
    </div>
    <div v-if="offered.length > 0">
      <h3>Your numbers say</h3>
      <article
        class="d-flex flex-wrap align-center justify-space-between hair-below py-2 px-0 gr-1 gc-3"
        v-for="shown in offered"
        :key="`${shown.rule} ${shown.about}`"
      >
        <div>
          <p class="said small">{{ lessonWords(shown).lesson }}</p>
          <p class="quiet small">{{ lessonWords(shown).because }}</p>
        </div>
        <v-btn
          variant="outlined"
          color="primary"
          :aria-label="`Keep the lesson: ${lessonWords(shown).lesson}`"
          @click="keep(shown)"
          >Keep it</v-btn
        >
      </article>
      <p class="small"><RouterLink to="/look-back/lessons">All lessons</RouterLink></p>
    </div>
  </section>
</template>

<style scoped>
.next {
  grid-template-columns: repeat(auto-fit, minmax(min(380px, 100%), 1fr));
  gap: 14px 34px;
}

h3 {
  font-size: 16.5px;
}

article > div {
  flex: 1 1 240px;
}

.said {
  font-size: 15px;
  font-weight: 600;
}

p > a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}

@media print {
  .next {
    display: none;
  }
}
</style>
