<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import type { ListedItem } from '#contract/item'
import { dayMarkWords } from './plan-marks'
import PlanBar from './PlanBar.vue'
import PlanToBuy from './PlanToBuy.vue'
import { placeOf, zonesOf, type ScheduleLine, type Lane, type PlanZoneView } from './plan-lanes'
import { monthHead, partWords } from './plan-words'
import type { ShownPlan } from './use-plan'

/** The drawer through the months: zones down, months across, things entering and leaving. */
const props = defineProps<{
  plan: ShownPlan
  items: ReadonlyMap<string, ListedItem>
  apart: ReadonlyMap<string, string>
  zones: readonly { readonly id: string; readonly name: string }[]
  kinds: ReadonlyMap<
    string,
    { readonly name: string; readonly needSoonest: string | null; readonly needLatest: string | null }
  >
  moved: ReadonlySet<string>
  /** Days that matter to all of it. */
  marks: readonly { readonly day: Day; readonly words: string }[]
  today: Day
}>()
const emit = defineEmits<{ open: [id: string]; move: [id: string, lies: boolean[]] }>()
const unfolded = ref(new Set<string>())
const span = computed(() => props.plan.made.span)
const shown = computed(() => zonesOf(props.plan.made, props.plan.lines, unfolded.value))
const bare = computed(() =>
  props.zones.filter(({ id }) => !shown.value.some(({ zoneId }) => zoneId === id)).map(({ name }) => name),
)
const nameOf = (id: string): string => props.zones.find((zone) => zone.id === id)?.name ?? ''
const partOf = (zoneId: string) => props.plan.parts?.find(({ zoneIds }) => zoneIds.includes(zoneId))
const wearDays = (month: number): number =>
  span.value.weeks.reduce((sum, week, at) => sum + (week.month === month ? (props.plan.made.wearDays[at] ?? 0) : 0), 0)

/** One Tab stop per zone, arrows inside: along its lanes, in the order they are read. */
const stops = ref<Readonly<Record<string, number>>>({})
function step(event: KeyboardEvent, zoneId: string): void {
  const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key]
  if (by === undefined) return
  const lanes = (event.currentTarget as HTMLElement).closest('.lanes')
  const bars = [...(lanes?.querySelectorAll<HTMLElement>('.bar') ?? [])]
  if (bars.length === 0) return
  event.preventDefault()
  const now = bars.indexOf(document.activeElement as HTMLElement)
  const at = (now + by + bars.length) % bars.length
  stops.value = { ...stops.value, [zoneId]: at }
  bars[at]?.focus()
}
function thingsOf(lane: Lane): { laid: ScheduleLine; item: ListedItem }[] {
  return lane.lines.flatMap((laid) => {
    const item = props.items.get(laid.line.itemId)
    return item ? [{ laid, item }] : []
  })
}
/** The number of a bar within its zone. */
function numberOf(zone: PlanZoneView, itemId: string): number {
  return zone.lanes.flatMap((lane) => lane.lines).findIndex(({ line }) => line.itemId === itemId)
}

function unfold(zoneId: string): void {
  const now = new Set(unfolded.value)
  if (!now.delete(zoneId)) now.add(zoneId)
  unfolded.value = now
}
</script>

<template>
  <div
    class="drawer rounded-lg overflow-x-auto"
    role="group"
    aria-label="The drawer, month by month"
    :style="{ '--months': span.months.length }"
  >
    <div class="frame position-relative pa-2">
      <div class="heads">
        <p class="aside quiet d-block fine tight pe-2">
          {{ bare.length > 0 ? `${bare.join(', ')}: as they are` : '' }}
        </p>
        <p v-for="(name, month) in span.months" :key="name" class="head figures tight">
          <strong>{{ monthHead(span, month, today).name }}</strong>
          <small class="quiet d-block fine tight"
            >{{ counted(wearDays(month), 'wear day') }} {{ monthHead(span, month, today).from }}</small
          >
        </p>
      </div>
      <section
        v-for="zone in shown"
        :key="zone.zoneId"
        class="zone rounded-lg mt-2 pa-2"
        :aria-label="nameOf(zone.zoneId)"
      >
        <div class="tight pe-2">
          <h3>{{ nameOf(zone.zoneId) }}</h3>
          <small class="quiet d-block fine">{{ partWords(partOf(zone.zoneId)) }}</small>
          <button
            v-if="zone.staying.length > 0 || unfolded.has(zone.zoneId)"
            type="button"
            class="text-act strong fine text-left"
            :aria-expanded="unfolded.has(zone.zoneId)"
            @click="unfold(zone.zoneId)"
          >
            {{
              unfolded.has(zone.zoneId)
                ? 'fold what stays'
                : `${counted(zone.staying.length, 'other')} stay${zone.staying.length === 1 ? 's' : ''}`
            }}
          </button>
        </div>
        <div class="lanes d-grid align-content-start position-relative ga-1">
          <div v-for="(lane, n) in zone.lanes" :key="n" class="lane">
            <template v-for="{ laid, item } in thingsOf(lane)" :key="item.id">
              <PlanBar
                :laid="laid"
                :item="item"
                :apart="apart.get(laid.line.itemId)"
                :span="span"
                :today="today"
                :moved="moved.has(laid.line.itemId)"
                :tabindex="numberOf(zone, laid.line.itemId) === (stops[zone.zoneId] ?? 0) ? 0 : -1"
                @key="step($event, zone.zoneId)"
                @open="emit('open', laid.line.itemId)"
                @move="(lies) => emit('move', laid.line.itemId, lies)"
              />
            </template>
            <PlanToBuy
              v-if="lane.toBuy"
              :place="lane.toBuy"
              :kind="kinds.get(lane.toBuy.categoryId) ?? null"
              :span="span"
              :today="today"
            />
          </div>
        </div>
      </section>
      <div class="marks" aria-hidden="true">
        <span
          v-for="mark in marks"
          :key="mark.words"
          class="mark position-absolute top-0"
          :style="{ left: `${100 * placeOf(span, mark.day)}%` }"
          :title="dayMarkWords(mark, today)"
        />
      </div>
    </div>
  </div>
</template>

<style scoped>
.drawer {
  border: 1px solid var(--line);
  background: var(--drawer);
}

.frame {
  min-width: calc(118px + var(--months) * 92px);
  box-sizing: border-box;
}

.heads,
.zone {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
}

.heads {
  grid-template-columns: 110px repeat(var(--months), minmax(0, 1fr));
  padding: 0 6px 4px;
}

.head strong {
  font: 650 14.5px var(--display);
}

.zone {
  background: var(--inset);
  box-shadow: inset 0 1px 3px var(--shade);
}

h3 {
  font-size: 14.5px;
}

.lanes {
  z-index: 1;
  background: repeating-linear-gradient(
    to right,
    transparent 0 calc(100% / var(--months) - 1px),
    var(--hair) calc(100% / var(--months) - 1px) calc(100% / var(--months))
  );
}

.lane {
  position: relative;
  height: 54px;
}

.marks {
  position: absolute;
  top: 46px;
  bottom: 10px;
  left: 124px;
  right: 14px;
  pointer-events: none;
  z-index: 0;
}

.mark {
  bottom: 0;
  width: 2px;
  margin-left: -1px;
  background: var(--primary);
  opacity: 0.75;
}
</style>
