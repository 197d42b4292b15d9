<script setup lang="ts">
import { ref } from 'vue'
import type { WishView } from '#contract/buying'
import { counted } from '#core/words/counted'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { dateWords } from '#web/data/locale'
import { useBuying } from '#web/data/reads'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import { shortDay } from '#web/ui/words/when-words'
import BuyDialog from './BuyDialog.vue'
import BuyingHead from './BuyingHead.vue'
import { againWords, ruleSentences, ruleTitle } from '#web/ui/words/buying-words'
import RuleDialog from './RuleDialog.vue'
import WishDialog from './WishDialog.vue'
import WishRow from './WishRow.vue'

/** Wishes with their waiting, her limits with a plain count, and what is to be bought again. */
const { answer } = useBuying()
const changes = useChanges()
const wishing = ref<WishView | 'new' | null>(null)
const buying = ref<WishView | null>(null)
const limiting = ref(false)

function drop(path: string): void {
  void changes.run('POST', `${path}/drop`, { changeId: newId() })
}
</script>

<template>
  <BuyingHead :primary="{ words: 'Wish for something', act: () => (wishing = 'new') }" />
  <template v-if="answer">
    <EmptyPlace
      v-if="answer.wishes.length + answer.rules.length + answer.replacements.length + answer.ended.length === 0"
      title="No wishes yet"
      act="Wish for something"
      @act="wishing = 'new'"
    >
      <template #drawing>
        <svg viewBox="0 0 200 110" width="200" height="110" aria-hidden="true">
          <path d="M60 36h80l10 58H50zM78 36c0-28 44-28 44 0" class="line" />
          <path d="M76 66h48M76 78h30" class="line" />
        </svg>
      </template>
      A wish written down can wait, and many wait themselves away. In a shop, “At the till” says what you own like it.
      <template #acts><v-btn variant="outlined" color="primary" @click="limiting = true">Set a limit</v-btn></template>
    </EmptyPlace>
    <template v-else>
      <section aria-label="Wishes">
        <h2>
          Wishes <span class="quiet figures">{{ answer.wishes.length }}</span>
        </h2>
        <p v-if="answer.wishes.length === 0" class="quiet">None open.</p>
        <div v-else class="sheet">
          <WishRow
            v-for="wish in answer.wishes"
            :key="wish.id"
            :wish="wish"
            :today="answer.today"
            :currency="answer.currency"
            @change="wishing = wish"
            @buy="buying = wish"
            @drop="drop(`/wishes/${wish.id}`)"
          />
        </div>
      </section>
      <section class="part" aria-label="Limits">
        <header>
          <h2>Limits of my own</h2>
          <v-btn variant="outlined" color="primary" @click="limiting = true">Set a limit</v-btn>
        </header>
        <p v-if="answer.rules.length === 0" class="quiet">
          None set. A no-buy or a low-buy for a while keeps count by itself.
        </p>
        <article
          v-for="rule in answer.rules"
          :key="rule.id"
          class="sheet rule"
          :class="{ over: rule.state !== 'in force' }"
        >
          <div>
            <h3>{{ ruleTitle(rule, answer.today) }}</h3>
            <p v-if="rule.words" class="quiet">“{{ rule.words }}”</p>
            <ul class="figures">
              <li v-for="sentence in ruleSentences(rule, answer.today)" :key="sentence">{{ sentence }}</li>
            </ul>
            <p v-for="each in rule.counted" :key="each.itemId" class="bought">
              <span class="quiet figures">{{ shortDay(each.day, answer.today) }}</span>
              <RouterLink :to="`/items/${each.itemId}`">{{ each.mark }}</RouterLink>
            </p>
          </div>
          <v-btn
            variant="text"
            :aria-label="`Drop the limit: ${ruleTitle(rule, answer.today)}`"
            @click="drop(`/buying-rules/${rule.id}`)"
            >Drop</v-btn
          >
        </article>
      </section>
      <section v-if="answer.replacements.length > 0" class="part" aria-label="To buy again">
        <h2>To buy again</h2>
        <p class="quiet">What you would buy again and is finished, or the last of it in use and soon empty.</p>
        <div class="sheet">
          <div v-for="each in answer.replacements" :key="each.itemId" class="again">
            <RouterLink :to="`/items/${each.itemId}`">{{ each.mark }}</RouterLink>
            <span>{{ againWords(each, answer.today) }}</span>
          </div>
        </div>
      </section>
      <section v-if="answer.ended.length > 0" class="part" aria-label="Ended wishes">
        <h2>Wishes that ended</h2>
        <ul class="ended">
          <li v-for="wish in answer.ended" :key="wish.id">
            {{ [wish.maker, wish.name, wish.shade].filter(Boolean).join(' ') }}:
            {{ wish.endedAs === 'bought' ? 'bought' : 'let go' }} on {{ wish.endedOn ? dateWords(wish.endedOn) : '' }},
            after
            {{ counted(wish.daysWaited, 'day') }}
            <RouterLink v-if="wish.itemId" :to="`/items/${wish.itemId}`">its page</RouterLink>
          </li>
        </ul>
      </section>
    </template>
    <WishDialog
      v-if="wishing"
      :today="answer.today"
      :wish="wishing === 'new' ? null : wishing"
      @close="wishing = null"
    />
    <BuyDialog v-if="buying" :today="answer.today" :wish="buying" @close="buying = null" />
    <RuleDialog v-if="limiting" :today="answer.today" @close="limiting = false" />
  </template>
</template>

<style scoped>
.part {
  margin-top: 24px;
}

h2 .quiet {
  font: 400 13.5px var(--text);
}

header {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
}

p {
  margin: 2px 0 8px;
  font-size: 14px;
}

.sheet {
  margin-top: 8px;
}

.rule {
  display: flex;
  gap: 12px;
  align-items: start;
  justify-content: space-between;
  padding: 10px 16px;
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

.bought {
  display: flex;
  gap: 10px;
  margin: 0;
}

.again {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  justify-content: space-between;
  align-items: center;
  min-height: 44px;
  padding: 4px 14px;
  border-bottom: 1px solid var(--hair);
  font-size: 14px;
}

.phone .again a,
.phone .bought a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}

.again:last-child {
  border-bottom: none;
}

.ended {
  padding-left: 18px;
  font-size: 14px;
}
</style>
