<script setup lang="ts">
import { ref } from 'vue'
import type { CopyInside, CopyView } from '#contract/host'
import { counted } from '#core/words/counted'
import { get } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { instantFormat } from '#web/data/locale'
import { bytesWords, WHAT, whyWords } from './copy-words'

/** One copy: when, why, what it holds, whether it is sound; opened, what differs from now. */
const props = defineProps<{ copy: CopyView; when: string; here: boolean }>()
const emit = defineEmits<{ goBack: []; check: [] }>()
const changes = useChanges()
const inside = ref<CopyInside | null>(null)
const looking = ref(false)
const minute = instantFormat({ day: 'numeric', month: 'short', year: 'numeric', hour: '2-digit', minute: '2-digit' })

async function look(): Promise<void> {
  if (inside.value !== null) {
    inside.value = null
    return
  }
  looking.value = true
  try {
    inside.value = await get<CopyInside>(`/copies/${props.copy.name}/inside`)
  } catch (error) {
    changes.show(error)
  } finally {
    looking.value = false
  }
}
</script>

<template>
  <li class="hair-above py-2 px-0">
    <div class="line d-grid align-center gr-1 gc-4">
      <span class="d-grid">
        <strong>{{ when }}</strong>
        <small class="quiet">{{ whyWords(copy) }}</small>
      </span>
      <span class="d-grid">
        <template v-if="copy.wrong === null">
          {{ counted(copy.items, 'item') }}, {{ counted(copy.wears, 'tick') }}, {{ counted(copy.pictures, 'picture') }}
          <small class="quiet">
            {{ bytesWords(copy.bytes) }}, sound when read through on {{ minute(copy.checkedAt) }}
          </small>
        </template>
        <span v-else class="alarm">Can’t be restored: {{ copy.wrong }}.</span>
      </span>
      <span class="acts d-flex justify-end ga-2">
        <v-btn
          v-if="copy.wrong === null"
          variant="text"
          :loading="looking"
          :aria-expanded="inside !== null"
          :aria-label="`${inside ? 'Close' : 'Preview'} the copy of ${when}, ${whyWords(copy)}`"
          @click="look"
          >{{ inside ? 'Close' : 'Preview' }}</v-btn
        >
        <v-btn v-else-if="here" variant="text" @click="emit('check')">Check again</v-btn>
        <v-btn
          v-if="here && copy.wrong === null"
          variant="outlined"
          color="primary"
          :aria-label="`Restore the copy of ${when}, ${whyWords(copy)}`"
          @click="emit('goBack')"
          >Restore</v-btn
        >
      </span>
    </div>
    <div v-if="inside" class="inside d-flex flex-wrap pt-2 pb-3 px-0">
      <table class="small">
        <thead>
          <tr>
            <th scope="col"><span class="visually-hidden">What</span></th>
            <th scope="col">then</th>
            <th scope="col">now</th>
            <th scope="col">only then</th>
            <th scope="col">only now</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="each in inside.differences" :key="each.what">
            <th scope="row">{{ WHAT[each.what] }}</th>
            <td>{{ each.then }}</td>
            <td>{{ each.now }}</td>
            <td>{{ each.onlyThen }}</td>
            <td>{{ each.onlyNow }}</td>
          </tr>
        </tbody>
      </table>
      <div>
        <p class="prose mb-2" v-if="inside.itemsOnlyThen.length > 0">
          In it and not here: {{ inside.itemsOnlyThen.join(', ') }}.
        </p>
        <p class="prose mb-2" v-if="inside.itemsOnlyNow.length > 0">
          Here and not in it: {{ inside.itemsOnlyNow.join(', ') }}.
        </p>
        <p v-if="inside.lastChangeAt" class="quiet prose mb-2">
          Its last change, {{ minute(inside.lastChangeAt) }}: {{ inside.lastChange }}.
        </p>
        <p class="quiet prose mb-2">Items that are in both may still differ.</p>
      </div>
    </div>
  </li>
</template>

<style scoped>
.line {
  grid-template-columns: minmax(190px, 1fr) minmax(0, 2fr) auto;
  min-height: 52px;
}

.inside {
  gap: 12px 34px;
}

th {
  text-align: left;
  font-weight: 600;
}

td,
thead th {
  padding: 2px 0 2px 18px;
  text-align: right;
  font-variant-numeric: tabular-nums;
}

.phone .line {
  grid-template-columns: 1fr;
}

.phone .acts {
  justify-content: start;
}

.phone td,
.phone thead th {
  padding-left: 10px;
}
</style>
