<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import type { CodeAnswer, DevicesAnswer } from '#contract/host'
import { ask } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { devicesChanged } from '#web/data/listen'
import { instantFormat } from '#web/data/locale'
import { useDevices } from '#web/data/reads'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import PairingCode from './PairingCode.vue'

/** Who may come in beside this machine, and where: the door to the home network, codes, and the devices that were let in. */
const { answer, again } = useDevices()
const changes = useChanges()
const NOBODY = 'nobody'
const busy = ref(false)
const code = ref<CodeAnswer | null>(null)
const sending = ref<{ id: string; name: string } | null>(null)
const seen = instantFormat({ day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
const since = instantFormat({ day: 'numeric', month: 'short', year: 'numeric' })
const choices = computed(() => [NOBODY, ...(answer.value?.addresses ?? []).map(({ address }) => address)])
const words = computed(() => ({
  [NOBODY]: 'off',
  ...Object.fromEntries(
    (answer.value?.addresses ?? []).map(({ address, card }) => [address, `at ${address} (${card})`]),
  ),
}))
const picked = computed(() => answer.value?.picked ?? NOBODY)

// A device came in, or the code was tried: the list stands anew, and a code that let one in has done its work.
watch(devicesChanged, async () => {
  const before = answer.value?.devices.length ?? 0
  await again()
  if ((answer.value?.devices.length ?? 0) <= before || code.value === null) return
  code.value = null
  changes.say(`${answer.value?.devices.at(-1)?.name ?? 'It'} is connected.`)
})

/** Says on the page what stood against it; nothing here is a change of the collection. */
async function sent<A>(act: () => Promise<A>): Promise<A | null> {
  busy.value = true
  try {
    return await act()
  } catch (error) {
    changes.show(error)
    return null
  } finally {
    busy.value = false
  }
}

async function letIn(choice: string | null): Promise<void> {
  code.value = null
  const address = choice === null || choice === NOBODY ? null : choice
  await sent(() => ask<DevicesAnswer>('/devices/let-in', { address }))
  await again()
}
async function show(): Promise<void> {
  code.value = await sent(() => ask<CodeAnswer>('/devices/code', {}))
}
async function hide(): Promise<void> {
  code.value = null
  await sent(() => ask('/devices/code/close', {}))
}
// A code that nobody looks at lets nobody in.
onBeforeUnmount(() => {
  if (code.value) void hide()
})
async function sendAway(): Promise<void> {
  const { id, name } = sending.value ?? { id: '', name: '' }
  sending.value = null
  if ((await sent(() => ask<DevicesAnswer>(`/devices/${id}/revoke`, {}))) === null) return
  await again()
  changes.say(`${name} is no longer connected.`)
}
</script>

<template>
  <PlaceHead
    question="Which phones are connected?"
    :primary="answer?.here && answer.url && !code ? { words: 'Show a code', act: () => void show(), busy } : null"
  />
  <template v-if="answer">
    <p v-if="!answer.here" class="sheet part d-grid mb-3 pa-4 ga-3">
      This phone is connected. Phones are connected and removed on the computer where Seligo runs.
    </p>
    <div class="columns d-grid align-start ga-3">
      <section v-if="answer.here" class="sheet part d-grid mb-0 pa-4 ga-3" aria-label="Phone access">
        <h2>Connect my phone</h2>
        <p>
          By itself Seligo can only be opened on this computer. With phone access on, phones in your home network can
          open it too, but only those you connect with a code.
        </p>
        <ChoiceRow
          :model-value="picked"
          label="Phone access"
          :options="choices"
          :words="words"
          @update:model-value="letIn"
        />
        <p v-if="answer.addresses.length === 0" class="quiet">
          This computer isn’t in a network now. Connect it, then reload this page.
        </p>
        <p v-if="answer.trouble" class="caution" role="alert">
          {{ answer.trouble }} It’s tried again every half minute.
        </p>
        <template v-if="answer.url">
          <p>
            Open until you choose “off”, also after a restart. A phone finds it at <strong>{{ answer.url }}</strong>
          </p>
          <p v-if="!answer.secure" class="caution">
            Over http, others in the same network can read along. At home that’s your household; turn it off in a café.
            With a certificate of your own it’s https: the README says how.
          </p>
        </template>
      </section>
      <PairingCode v-if="code" :key="code.code" :code="code" @again="show" @close="hide" />
      <section class="sheet part d-grid mb-0 pa-4 ga-3" aria-label="Connected phones">
        <h2>Connected</h2>
        <p v-if="answer.devices.length === 0" class="quiet">
          None yet. {{ answer.url ? 'Show a code, and type it on the phone.' : 'Turn phone access on first.' }}
        </p>
        <ul v-else class="devices">
          <li
            class="d-flex align-center justify-space-between hair-above ga-3"
            v-for="device in answer.devices"
            :key="device.id"
          >
            <span class="d-grid">
              <strong>{{ device.name }}{{ device.asks ? ', this one' : '' }}</strong>
              <small class="quiet">
                connected on {{ since(device.pairedAt) }}, last seen {{ seen(device.lastSeenAt) }}
              </small>
            </span>
            <v-btn
              v-if="answer.here"
              variant="outlined"
              color="error"
              :aria-label="`Remove ${device.name}`"
              @click="sending = device"
              >Remove</v-btn
            >
          </li>
        </ul>
      </section>
    </div>
  </template>
  <FormDialog
    v-if="sending"
    :title="`Remove ${sending.name}?`"
    :draft="null"
    act="Remove"
    @close="sending = null"
    @store="sendAway"
  >
    <p>
      Its open pages close at once, and it needs a new code to see anything again. Ticks waiting on it stay there until
      it’s connected.
    </p>
  </FormDialog>
</template>

<style scoped>
.columns {
  grid-template-columns: repeat(auto-fit, minmax(min(340px, 100%), 1fr));
}

.caution {
  padding: 8px 12px;
  border-left: 4px solid var(--attention);
  background: var(--inset);
}

.devices li {
  min-height: 60px;
}
</style>
