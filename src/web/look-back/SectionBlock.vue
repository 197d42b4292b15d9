<script setup lang="ts">
import { computed, ref } from 'vue'
import type { SheetSection } from './sheet-sections'

/** One part of a sheet: its sentences, and its table, or what is drawn in its stead. */
const props = defineProps<{ section: SheetSection; drawn?: boolean }>()
/** A table of more columns runs over both columns of the sheet. */
const WIDE = 6
/** So many rows are read; the rest on request. */
const MOST_ROWS = 12
const all = ref(false)
const rows = computed(() => {
  const own = props.section.table?.rows ?? []
  return all.value || own.length <= MOST_ROWS + 2 ? own : own.slice(0, MOST_ROWS)
})
const more = computed(() => (props.section.table?.rows.length ?? 0) - rows.value.length)
</script>

<template>
  <section
    class="block hair-above min-w-0 py-3 px-0"
    :class="{ wide: !drawn && (section.table?.head.length ?? 0) >= WIDE }"
    :aria-label="section.title"
  >
    <h3>{{ section.title }}</h3>
    <p class="small prose mb-1" v-for="sentence in section.sentences" :key="sentence">{{ sentence }}</p>
    <slot>
      <div v-if="section.table" class="overflow-x-auto mt-1">
        <table class="w-100 small figures">
          <thead>
            <tr>
              <th
                class="hair-below quiet text-no-wrap py-1 ps-0 pe-2"
                v-for="cell in section.table.head"
                :key="cell"
                scope="col"
              >
                {{ cell }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, at) in rows" :key="at">
              <component
                :is="n === 0 ? 'th' : 'td'"
                v-for="(cell, n) in row"
                :key="n"
                :scope="n === 0 ? 'row' : undefined"
                >{{ cell }}</component
              >
            </tr>
          </tbody>
        </table>
        <p v-if="more > 0" class="quiet small prose mb-1">
          and {{ more }} more
          <v-btn variant="text" class="no-share" :aria-label="`Show all of ${section.title}`" @click="all = true"
            >Show all</v-btn
          >
        </p>
      </div>
    </slot>
  </section>
</template>

<style scoped>
.block {
  break-inside: avoid;
}

.wide {
  column-span: all;
}

h3 {
  font-size: 16.5px;
  margin-bottom: 4px;
}

p {
  white-space: pre-line;
}

th,
td {
  vertical-align: top;
}

tbody th {
  font-weight: 600;
}

td {
  white-space: nowrap;
}

thead th {
  font: 620 12.5px var(--display);
}

tr:last-child > * {
  border-bottom: none;
}
@media print {
  .no-share {
    display: none;
  }
}
</style>
