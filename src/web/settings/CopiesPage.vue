<script setup lang="ts">
import { computed, ref } from 'vue'
import type { CopyView, WentBack } from '#contract/host'
import { counted } from '#core/words/counted'
import { ask } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { instantFormat } from '#web/data/locale'
import { useCopies, useStaleness } from '#web/data/reads'
import FormDialog from '#web/ui/form/FormDialog.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import ArchivePart from './ArchivePart.vue'
import CopyRow from './CopyRow.vue'
import SecondFolderPart from './SecondFolderPart.vue'

/** The copies of the collection: what each holds, what differs from now, and the way back to one. */
const { answer, again } = useCopies()
const changes = useChanges()
const stale = useStaleness()
const when = instantFormat({
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
})
const going = ref<CopyView | null>(null)
const busy = ref(false)
/** Went back just now: to which copy, and the one that was made before. */
const went = ref<{ to: CopyView; before: string | null; aside: string | null } | null>(null)
const before = computed(() => answer.value?.copies.find(({ name }) => name === went.value?.before) ?? null)
const sound = computed(() => (answer.value?.copies ?? []).filter(({ wrong }) => wrong === null).length)

async function goBack(): Promise<void> {
  const copy = going.value
  if (copy === null) return
  busy.value = true
  try {
    const { before: made, aside, items } = await ask<WentBack>(`/copies/${copy.name}/go-back`, {})
    went.value = { to: copy, before: made, aside }
    await again()
    await stale.all()
    changes.say(`The collection is as it was on ${when(copy.madeAt)}, with ${counted(items, 'item')}.`)
  } catch (error) {
    changes.show(error)
  } finally {
    busy.value = false
    going.value = null
  }
}

async function check(copy: CopyView): Promise<void> {
  try {
    await ask<CopyView>(`/copies/${copy.name}/check`, {})
    await again()
    changes.say('Read through again.')
  } catch (error) {
    changes.show(error)
  }
}
</script>

<template>
  <PlaceHead question="What is kept safe, and what can I restore?" />
  <template v-if="answer">
    <div
      v-if="went?.aside"
      class="sheet part went d-flex flex-wrap align-center justify-space-between mb-3 pa-4 ga-3"
      role="status"
    >
      <p>
        The collection is as it was on {{ when(went.to.madeAt) }}. What was damaged was put aside in the data folder, as
        <code>{{ went.aside }}</code>
      </p>
    </div>
    <div
      v-if="went && before"
      class="sheet part went d-flex flex-wrap align-center justify-space-between mb-3 pa-4 ga-3"
      role="status"
    >
      <p>The collection is as it was on {{ when(went.to.madeAt) }}. What was there before is a copy of its own.</p>
      <v-btn v-if="answer.here" color="primary" @click="going = before">Back to how it was before</v-btn>
    </div>
    <p v-if="answer.trouble" class="caution" role="alert">Today’s copy could not be made: {{ answer.trouble }}</p>
    <section class="sheet part d-grid mb-3 pa-4 ga-3" aria-label="Safety copies">
      <h2>Safety copies</h2>
      <p class="quiet">
        A copy is made every day Seligo runs, and before every import, every update and every going back; each is read
        through before it counts. The newest {{ answer.kept.day }} days, {{ answer.kept.week }} weeks and
        {{ answer.kept.month }} months stay, and {{ answer.kept['before-import'] }} of each other type. Pictures are
        kept with them, once.
        <template v-if="answer.folder"
          >They are in <code>{{ answer.folder }}</code></template
        >
      </p>
      <p v-if="answer.copies.length === 0" class="quiet">
        None yet: the first is made a few seconds after Seligo starts.
      </p>
      <p v-else-if="sound < answer.copies.length" class="caution">
        {{ counted(answer.copies.length - sound, 'copy') }} can’t be restored; the others are fine.
      </p>
      <ul v-if="answer.copies.length > 0" class="copies">
        <CopyRow
          v-for="copy in answer.copies"
          :key="copy.name"
          :copy="copy"
          :when="when(copy.madeAt)"
          :here="answer.here"
          @go-back="going = copy"
          @check="check(copy)"
        />
      </ul>
      <p v-if="!answer.here" class="quiet">Restoring is done on the computer where Seligo runs.</p>
    </section>
    <div class="columns d-grid align-start ga-3">
      <SecondFolderPart v-if="answer.here" :also-to="answer.alsoTo" @stored="again" />
      <ArchivePart :here="answer.here" @taken="again" />
    </div>
  </template>
  <FormDialog
    v-if="going"
    :title="`Restore ${when(going.madeAt)}?`"
    :draft="null"
    :act="busy ? 'Going back …' : 'Restore'"
    :ready="!busy"
    @close="going = null"
    @store="goBack"
  >
    <p>
      Everything is then as it was: {{ counted(going.items, 'item') }}, {{ counted(going.wears, 'tick') }},
      {{ counted(going.pictures, 'picture') }}. What is there now becomes a copy first, so that one act leads back here.
    </p>
    <p v-if="going.picturesGone > 0" class="caution">
      {{ counted(going.picturesGone, 'picture') }} it names {{ going.picturesGone === 1 ? 'is' : 'are' }} nowhere any
      more.
    </p>
  </FormDialog>
</template>

<style scoped>
.went {
  border-left: 4px solid var(--primary);
}

p {
  margin: 0;
  max-width: 90ch;
}

code {
  overflow-wrap: anywhere;
}

.caution {
  padding: 8px 12px;
  border-left: 4px solid var(--attention);
  background: var(--inset);
}

.columns .part {
  margin-bottom: 0;
}

.columns {
  grid-template-columns: repeat(auto-fit, minmax(min(340px, 100%), 1fr));
}
</style>
