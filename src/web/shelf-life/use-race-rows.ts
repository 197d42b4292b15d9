import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import type { ShelfLifeAnswer } from '#contract/item'
import type { useStock } from '#web/data/stock'
import { VERDICT_WORDS } from '#web/ui/words/verdict-words'
import {
  byOrder,
  narrowed,
  picked,
  raceSum,
  rowsOf,
  STANDINGS,
  STATES,
  type RaceStanding,
  type RaceOrder,
  type RaceState,
  type RaceWish,
} from './race-rows'

const WIDER = [
  { title: 'every type', value: '' },
  { title: 'all at the eye', value: 'eyes' },
  { title: 'all sun protection', value: 'sunscreen' },
]
const NAMES = Object.keys(STATES) as RaceState[]

/** The rows of the race as they are wished for, in the order of the visit, with what each choice would show. */
export function useRaceRows(answer: Readonly<Ref<ShelfLifeAnswer | null>>, stock: ReturnType<typeof useStock>) {
  const wish = ref<RaceWish>({ state: 'all open', standing: null, only: null, zoneId: null, categoryId: null })
  const order = ref<RaceOrder>('use-by date')
  /** Expired ones are one line until they are asked for. */
  const unfolded = ref(false)
  /** The order of this visit: what is done here does not make the rows jump. */
  const places = shallowRef<ReadonlyMap<string, number>>(new Map())
  const rows = computed(() => (answer.value ? rowsOf(answer.value.races, stock.items) : []))
  watch(
    [rows, order],
    (_, before) => {
      const now = answer.value
      const asked = before[1] !== undefined && before[1] !== order.value
      if ((places.value.size > 0 && !asked) || now === null || rows.value.length === 0) return
      places.value = new Map([...rows.value].sort(byOrder(order.value)).map(({ item }, n) => [item.id, n]))
      if (asked) return
      const filled = NAMES.find((state) => narrowed(rows.value, { ...wish.value, state }, now.today).length > 0)
      wish.value.state = filled ?? 'all open'
    },
    { immediate: true },
  )
  const inState = computed(() => (answer.value ? narrowed(rows.value, wish.value, answer.value.today) : []))
  const shown = computed(() => {
    const placeOf = ({ item }: (typeof rows.value)[number]): number => places.value.get(item.id) ?? places.value.size
    return picked(inState.value, wish.value)
      .filter(({ standing }) => standing !== 'past' || folded.value.length === 0)
      .sort((a, b) => placeOf(a) - placeOf(b))
  })
  /** What has expired, while it is one line. */
  const folded = computed(() =>
    unfolded.value || wish.value.standing !== null
      ? []
      : picked(inState.value, wish.value).filter(({ standing }) => standing === 'past'),
  )
  const states = computed(() => {
    const { value } = answer
    if (!value) return []
    return NAMES.map((state) => ({
      state,
      count: narrowed(rows.value, { ...wish.value, state }, value.today).length,
    }))
  })
  const inKind = computed(() => picked(inState.value, { ...wish.value, standing: null }))
  const chips = computed(() =>
    STANDINGS.map((standing) => ({
      standing,
      words: chipWords(standing),
      count: inKind.value.filter((row) => row.standing === standing).length,
    })).filter(({ count, standing }) => count > 0 || wish.value.standing === standing),
  )
  const sum = computed(() => raceSum(inKind.value))
  const zones = computed(() => [
    { title: 'every zone', value: null },
    ...stock.zones.map((zone) => ({ title: zone.name, value: zone.id })),
  ])
  const categories = computed(() => {
    const present = new Map(rows.value.map(({ item, race }) => [race.wornAsId, item.wornAs]))
    const named = [...present].map(([value, title]) => ({ title, value }))
    return [...WIDER, ...named.sort((a, b) => a.title.localeCompare(b.title))]
  })
  /** One choice of what they are: a category, or something that goes across them. */
  const kind = computed({
    get: () => wish.value.only ?? wish.value.categoryId ?? '',
    set(value: string) {
      const only = value === 'eyes' || value === 'sunscreen' ? value : null
      wish.value = { ...wish.value, only, categoryId: only === null && value !== '' ? value : null }
    },
  })

  function chipWords(standing: RaceStanding): string {
    return standing === 'past' ? VERDICT_WORDS.expired : VERDICT_WORDS[standing]
  }

  function everything(): void {
    wish.value = { state: wish.value.state, standing: null, only: null, zoneId: null, categoryId: null }
  }

  return { wish, order, unfolded, folded, rows, shown, states, chips, zones, categories, kind, sum, everything }
}
