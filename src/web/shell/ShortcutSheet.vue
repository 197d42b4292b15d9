<script setup lang="ts">
const open = defineModel<boolean>({ required: true })
const rows: readonly (readonly [string, string])[] = [
  ['/', 'find an item by a few letters of its maker, name or shade; Shift and Enter tick it as worn'],
  ['Tab', 'from zone to zone of the drawer; arrows go from item to item inside'],
  ['Space', 'tick the item you are on, again to take it back'],
  ['Enter', 'open the item you are on'],
  ['t, d, n', 'today, lay the drawer, a new item'],
  ['u', 'take back what you did last'],
  ['[ and ]', 'the day before, the day after'],
  ['Enter, b, s', 'in a check-in: keep and go on, back, skip'],
  ['e, w', 'in a check-in: what happened to the package, a few words'],
  ['?', 'this list'],
]
</script>

<template>
  <v-dialog v-model="open" aria-label="Shortcuts">
    <div class="sheet box">
      <h2>By keyboard</h2>
      <dl>
        <template v-for="[key, words] in rows" :key="key">
          <dt>{{ key }}</dt>
          <dd>{{ words }}</dd>
        </template>
      </dl>
      <v-btn color="primary" @click="open = false">Close</v-btn>
    </div>
  </v-dialog>
</template>

<style scoped>
.box {
  padding: 22px;
}

dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px 18px;
  margin: 16px 0;
}

dt {
  font: 600 14px var(--display);
}

dd {
  margin: 0;
}
</style>
