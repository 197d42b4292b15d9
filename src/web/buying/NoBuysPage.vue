<script setup lang="ts">
import { ref } from 'vue'
import { useChanges } from '#web/data/changes'
import { newId } from '#web/data/client'
import { useBuying } from '#web/data/reads'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { ruleSentences, ruleTitle } from '#web/ui/words/buying-words'
import { shortDay } from '#web/ui/words/when-words'
import RuleDialog from './RuleDialog.vue'

/** The user's no-buys and low-buys, each with a plain count. */
const { answer } = useBuying()
const changes = useChanges()
const setting = ref(false)

function remove(id: string): void {
  void changes.run('POST', `/buying-rules/${id}/drop`, { changeId: newId() })
}
</script>

<template>
  <PlaceHead
    question="What am I not buying, and is it working?"
    :primary="{ words: 'Set a no-buy', act: () => (setting = true) }"
  />
  <template v-if="answer">
    <EmptyPlace v-if="answer.rules.length === 0" title="No no-buy yet" act="Set a no-buy" @act="setting = true">
      A no-buy, or a low-buy of so many items, for as long as you like: for everything or for one type. It keeps count
      by itself, and <em>Check</em> reminds you of it in the shop.
    </EmptyPlace>
    <article
      v-for="rule in answer.rules"
      :key="rule.id"
      class="sheet rule"
      :class="{ over: rule.state !== 'in force' }"
    >
      <div>
        <h3>{{ ruleTitle(rule, answer.today) }}</h3>
        <p v-if="rule.words" class="quiet">“{{ rule.words }}”</p>
        <ul class="bulleted figures">
          <li v-for="sentence in ruleSentences(rule, answer.today)" :key="sentence">{{ sentence }}</li>
        </ul>
        <p v-for="each in rule.counted" :key="each.itemId" class="bought d-flex ga-2">
          <span class="quiet figures">{{ shortDay(each.day, answer.today) }}</span>
          <RouterLink :to="`/items/${each.itemId}`">{{ each.mark }}</RouterLink>
        </p>
      </div>
      <v-btn variant="text" :aria-label="`Remove: ${ruleTitle(rule, answer.today)}`" @click="remove(rule.id)"
        >Remove</v-btn
      >
    </article>
  </template>
  <RuleDialog v-if="setting && answer" :today="answer.today" @close="setting = false" />
</template>

<style scoped>
.rule {
  display: flex;
  gap: 12px;
  align-items: start;
  justify-content: space-between;
  padding: 10px 16px;
  margin-top: 8px;
}

.rule.over {
  opacity: 0.8;
}

.rule h3 {
  font-size: 17px;
}

.rule ul {
  margin: 4px 0;
  padding-left: 16px;
  font-size: 14px;
}

.phone .bought a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
</style>
