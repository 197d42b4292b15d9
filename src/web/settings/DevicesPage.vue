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
import PlaceWays from '#web/ui/PlaceWays.vue'
import PairingCode from './PairingCode.vue'
import { SETTINGS_WAYS } from './settings-ways'

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
  [NOBODY]: 'nobody but this machine',
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
  changes.say(`${answer.value?.devices.at(-1)?.name ?? 'It'} is let in.`)
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
  changes.say(`${name} is let in no more.`)
}
</script>

<template>
  <PlaceHead
    title="Settings"
    question="Who may come in, and where?"
    :primary="answer?.here && answer.url && !code ? { words: 'Show a code', act: () => void show(), busy } : null"
  />
  <PlaceWays label="Rooms of Settings" :ways="SETTINGS_WAYS" />
  <template v-if="answer">
    <p v-if="!answer.here" class="sheet part">
      This device was let in. Others are let in, and sent away, on the machine where Seligo runs.
    </p>
    <div class="columns">
      <section v-if="answer.here" class="sheet part" aria-label="The door">
        <h2>Let my phone in</h2>
        <p>
          Seligo answers this machine alone. Opened, it can also be reached from phones in your home network, and of
          those only the ones you let in with a code.
        </p>
        <ChoiceRow
          :model-value="picked"
          label="It can be reached by"
          :options="choices"
          :words="words"
          @update:model-value="letIn"
        />
        <p v-if="answer.addresses.length === 0" class="quiet">
          This machine is in no network now. Connect it, then load this page again.
        </p>
        <p v-if="answer.trouble" class="caution" role="alert">
          {{ answer.trouble }} It is tried again every half minute.
        </p>
        <template v-if="answer.url">
          <p>
            Open until you choose “nobody”, also after a restart. A phone finds it at <strong>{{ answer.url }}</strong>
          </p>
          <p v-if="!answer.secure" class="caution">
            What travels by http can be read along by others in the same network. At home that is your household; leave
            it shut in a café. With a certificate of your own it is https: the README says how.
          </p>
        </template>
      </section>
      <PairingCode v-if="code" :key="code.code" :code="code" @again="show" @close="hide" />
      <section class="sheet part" aria-label="Devices that were let in">
        <h2>Let in</h2>
        <p v-if="answer.devices.length === 0" class="quiet">
          None yet. {{ answer.url ? 'Show a code, and type it on the phone.' : 'Open the door first.' }}
        </p>
        <ul v-else class="devices">
          <li v-for="device in answer.devices" :key="device.id">
            <span class="who">
              <strong>{{ device.name }}{{ device.asks ? ', this one' : '' }}</strong>
              <small class="quiet">
                let in on {{ since(device.pairedAt) }}, last seen {{ seen(device.lastSeenAt) }}
              </small>
            </span>
            <v-btn
              v-if="answer.here"
              variant="outlined"
              color="error"
              :aria-label="`Send ${device.name} away`"
              @click="sending = device"
              >Send away</v-btn
            >
          </li>
        </ul>
      </section>
    </div>
  </template>
  <FormDialog
    v-if="sending"
    :title="`Send ${sending.name} away?`"
    :draft="null"
    act="Send it away"
    @close="sending = null"
    @store="sendAway"
  >
    <p>
      Its open pages end at once, and it is asked for a new code before it sees anything again. Ticks that wait on it
      stay there until it is let in.
    </p>
  </FormDialog>
</template>

<style scoped>
.columns .part {
  margin-bottom: 0;
}

.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(340px, 100%), 1fr));
  gap: 14px;
  align-items: start;
}

.part {
  padding: 16px 18px;
  display: grid;
  gap: 12px;
  margin-bottom: 14px;
}

p {
  margin: 0;
}

.caution {
  padding: 8px 12px;
  border-left: 4px solid var(--attention);
  background: var(--inset);
}

.devices {
  margin: 0;
  padding: 0;
  list-style: none;
}

.devices li {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  min-height: 60px;
  border-top: 1px solid var(--hair);
}

.who {
  display: grid;
}
</style>
