<script setup lang="ts">
import { computed, ref } from 'vue'
import type { CheckInAnswer } from '#contract/check-in'
import type { ShortListAnswer } from '#contract/projects'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { useRead } from '#web/data/reads'
import { useItemActs } from '#web/ui/acts/item-acts'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { callIt, shortName } from '#web/ui/words/item-words'
import { whyWords } from '#web/ui/words/why-words'

/** What could roll out, being met or out of reach, and what could come in for it; each is hers to do. */
const props = defineProps<{ answer: CheckInAnswer; closed: boolean }>()
const changes = useChanges()
const acts = useItemActs()
const stays = ref<readonly string[]>([])
const byId = computed(() => new Map(props.answer.items.map((item) => [item.id, item])))
const projectId = computed(() => props.answer.checkIn.projectId)
const out = computed(() =>
  props.answer.sheet.items.flatMap((line) => {
    const item = byId.value.get(line.itemId)
    const { goal } = line
    if (!item || !goal || goal.projectId !== projectId.value || props.answer.sheet.rolledOut.includes(line.itemId))
      return []
    if (!goal.met && goal.standing !== 'out of reach') return []
    return [{ line, item, goal, why: goal.met ? 'its goal is met' : 'can’t be done by then' }]
  }),
)
const first = computed(() => out.value.find((each) => !stays.value.includes(each.item.id)) ?? null)
const list = useRead<ShortListAnswer>(
  () => ['short-list', projectId.value ?? '', first.value?.item.id ?? ''],
  () =>
    props.closed || projectId.value === null
      ? null
      : `/projects/${projectId.value}/short-list${first.value ? `?replacing=${first.value.item.id}` : ''}`,
)
const candidates = computed(() => (list.answer.value?.items ?? []).slice(0, 3))
const rolledIn = computed(() => props.answer.sheet.rolledIn.flatMap((id) => byId.value.get(id) ?? []))
const rolledOut = computed(() => props.answer.sheet.rolledOut.flatMap((id) => byId.value.get(id) ?? []))
function rollOut(each: (typeof out.value)[number]): void {
  void changes.run('POST', `/stays/${each.goal.stayId}/roll-out`, {
    changeId: newId(),
    day: props.answer.today,
    reason: each.goal.met ? (each.goal.kind === 'finish' ? 'finished' : 'met') : 'left unfinished',
    words: '',
  })
}
</script>

<template>
  <section aria-label="Out and in">
    <h3 class="lead mb-2">Out and in</h3>
    <p class="my-1" v-if="rolledOut.length > 0">Rolled out: {{ rolledOut.map(shortName).join(', ') }}.</p>
    <p class="my-1" v-if="rolledIn.length > 0">Came in: {{ rolledIn.map(shortName).join(', ') }}.</p>
    <template v-if="!closed">
      <ul v-if="out.length > 0">
        <li class="d-grid align-center hair-below small py-1 px-0 ga-2" v-for="each in out" :key="each.item.id">
          <ItemGauge :item="each.item" size="small" :rail="false" />
          <span
            ><strong>{{ shortName(each.item) }}</strong> could roll out: {{ each.why }}</span
          >
          <span class="pair d-flex">
            <v-btn
              variant="outlined"
              color="primary"
              :aria-label="`Roll ${callIt(each.item)} out`"
              @click="rollOut(each)"
              >Out</v-btn
            >
            <v-btn
              variant="text"
              :aria-label="`${callIt(each.item)} stays`"
              :aria-pressed="stays.includes(each.item.id)"
              @click="stays = [...stays, each.item.id]"
              >{{ stays.includes(each.item.id) ? 'Stays, this time' : 'Stays' }}</v-btn
            >
          </span>
        </li>
      </ul>
      <p v-else class="quiet my-1">Nothing has met its goal, and every goal can still be met.</p>
      <h4 v-if="candidates.length > 0">Could come in{{ first ? ` for ${shortName(first.item)}` : '' }}</h4>
      <ul v-if="candidates.length > 0">
        <li class="d-grid align-center hair-below small py-1 px-0 ga-2" v-for="each in candidates" :key="each.item.id">
          <ItemGauge :item="each.item" size="small" :rail="false" />
          <span
            ><strong>{{ callIt(each.item) }}</strong
            >: {{ each.reasons.map((reason) => whyWords(reason, new Map(), answer!.today)).join(' ') }}</span
          >
          <span class="pair d-flex"
            ><v-btn
              variant="outlined"
              color="primary"
              :aria-label="`Roll ${callIt(each.item)} in`"
              @click="acts.begin('roll in', each.item, projectId ? { projectId } : {})"
              >In…</v-btn
            ></span
          >
        </li>
      </ul>
    </template>
    <p v-else-if="rolledOut.length === 0 && rolledIn.length === 0" class="quiet my-1">Nothing rolled out or in.</p>
  </section>
</template>

<style scoped>
h4 {
  margin: 12px 0 2px;
  font: 640 14px var(--display);
}

li {
  grid-template-columns: 46px minmax(0, 1fr) auto;
}

@media print {
  .pair {
    display: none;
  }
}
</style>
