import { useQuery, useQueryCache, type EntryKey } from '@pinia/colada'
import { computed, ref, toValue, type MaybeRefOrGetter } from 'vue'
import type { CheckInAnswer, CheckInsAnswer } from '#contract/check-in'
import type { BuyingAnswer, BuyingCheckAnswer, LessonsAnswer } from '#contract/buying'
import type {
  AsideAnswer,
  CompareAnswer,
  DoubtsAnswer,
  FeelingsAnswer,
  LettingGoAnswer,
  StashAnswer,
  TargetsAnswer,
  TogetherAnswer,
} from '#contract/deciding'
import type { Leaning } from '#core/decide/doubts'
import type { DecideAnswer, EmptiesAnswer } from '#contract/ending'
import type { CategoryView, CollectionAnswer, ItemAnswer, ListedItem, ShelfLifeAnswer, ZoneView } from '#contract/item'
import type { LookBackAnswer, SetUpAnswer, SupplyAnswer, VerdictsAnswer } from '#contract/forecast'
import type { AsksAnswer, LooksAnswer, SpanSheet, SpansAnswer } from '#contract/look-back'
import type { SeasonChangeAnswer } from '#contract/season-change'
import type { ContainersAnswer } from '#contract/package'
import type { PlanAnswer } from '#contract/planning'
import type { CopiesAnswer, DevicesAnswer } from '#contract/host'
import type { ProjectsAnswer } from '#contract/projects'
import type { Settings, StretchesAnswer } from '#contract/settings'
import type { DrawerAnswer, Fronts, ProposalAnswer, TodayAnswer } from '#contract/today'
import type { Day } from '#core/calendar/day'
import { unpackItems, type PackedItems } from '#contract/packed-items'
import { get } from './client'

/** What is asked of the server, by key: each answer is kept, shown at once, and made fresh by whatever changes it. */
export const KEYS = {
  fronts: ['fronts'],
  day: (day: Day | null): EntryKey => ['day', day ?? 'today'],
  collection: ['collection'],
  categories: ['categories'],
  item: (id: string): EntryKey => ['item', id],
} as const

/** How many answers are waited for where nothing stands yet: until they have come, the place is being laid out. */
export const firstReads = ref(0)

/**
 * An answer of the server as a page shows it: the last asked is the one that comes, what nobody waits for is given up, and it
 * is fresh again after a change, on waking and when her day turns. `path` null = nothing to ask yet.
 */
export function useRead<A, Sent = A>(
  key: MaybeRefOrGetter<EntryKey>,
  path: MaybeRefOrGetter<string | null>,
  opened: (sent: Sent) => A = (sent) => sent as unknown as A,
) {
  const query = useQuery<A>({
    key,
    query: async ({ signal, entry }) => {
      const ask = (by?: AbortSignal): Promise<Sent> => get<Sent>(toValue(path) ?? '', by)
      const first = entry.state.value.data === undefined ? 1 : 0
      firstReads.value += first
      try {
        return opened(await ask(signal))
      } catch (error) {
        // Given up by the page that is left, and wanted by the one that is opened: it is asked once more.
        if (signal.aborted && entry.active && entry.pending?.abortController.signal === signal)
          return opened(await ask())
        throw error
      } finally {
        firstReads.value -= first
      }
    },
    enabled: () => toValue(path) !== null,
  })
  return {
    /** The answer, or null until it has come. */
    answer: computed<A | null>(() => query.data.value ?? null),
    failed: computed(() => query.error.value),
    again: () => query.refetch(),
  }
}

export const useFronts = () => useRead<Fronts>(KEYS.fronts, '/fronts')
export const useDay = (day: MaybeRefOrGetter<Day | null>) =>
  useRead<TodayAnswer>(
    () => KEYS.day(toValue(day)),
    () => (toValue(day) === null ? '/today' : `/today?day=${toValue(day)}`),
  )
export const useDrawer = () => useRead<DrawerAnswer>(['drawer'], '/drawer')
export const useProposal = () => useRead<ProposalAnswer>(['proposal'], '/drawer/proposal')
export const useSeasonChange = () => useRead<SeasonChangeAnswer>(['laying'], '/laying')
export const useProjects = () => useRead<ProjectsAnswer>(['projects'], '/projects')
export const usePlanRead = () => useRead<PlanAnswer>(['plan'], '/plan')
export const useShelfLife = () => useRead<ShelfLifeAnswer>(['shelf-life'], '/shelf-life')
export const useVerdictsRead = () => useRead<VerdictsAnswer>(['verdicts'], '/verdicts')
export const useSupply = () => useRead<SupplyAnswer>(['supply'], '/supply')
export const useLookBack = () => useRead<LookBackAnswer>(['look-back'], '/look-back')
export const useSpanSheet = (
  span: MaybeRefOrGetter<{ readonly from: Day; readonly to: Day } | null>,
  project: MaybeRefOrGetter<string | null> = null,
) => {
  const query = (): string | null => {
    const [asked, of] = [toValue(span), toValue(project)]
    return asked && `from=${asked.from}&to=${asked.to}${of === null ? '' : `&project=${encodeURIComponent(of)}`}`
  }
  return useRead<SpanSheet>(
    () => ['span-sheet', query() ?? ''],
    () => (query() === null ? null : `/look-back/sheet?${query()}`),
  )
}
export const useSpans = () => useRead<SpansAnswer>(['spans'], '/look-back/spans')
export const useLooks = () => useRead<LooksAnswer>(['faces'], '/look-back/faces')
export const useAsks = () => useRead<AsksAnswer>(['asks'], '/look-back/asks')
/** Who is let in: no change of the collection makes it stale. */
const OF_THE_MACHINE = 'devices'
export const useDevices = (when: MaybeRefOrGetter<boolean> = true) =>
  useRead<DevicesAnswer>([OF_THE_MACHINE], () => (toValue(when) ? '/devices' : null))
export const useCopies = () => useRead<CopiesAnswer>(['copies'], '/copies')
export const useSetUp = (path: MaybeRefOrGetter<string | null>) =>
  useRead<SetUpAnswer>(() => ['set-up', toValue(path) ?? ''], path)
export const useDoubts = (leaning: MaybeRefOrGetter<Leaning | null>) =>
  useRead<DoubtsAnswer>(
    () => ['doubts', toValue(leaning) ?? ''],
    () => (toValue(leaning) === null ? '/doubts' : `/doubts?leaning=${toValue(leaning)}`),
  )
export const useCompare = (ids: MaybeRefOrGetter<readonly string[]>) =>
  useRead<CompareAnswer>(
    () => ['compare', ...toValue(ids)],
    () => (toValue(ids).length < 2 ? null : `/compare?items=${toValue(ids).join(',')}`),
  )
export const useFeelings = (day: MaybeRefOrGetter<Day>) =>
  useRead<FeelingsAnswer>(
    () => ['feelings', toValue(day)],
    () => `/feelings?day=${toValue(day)}`,
  )
export const useTogether = (id: MaybeRefOrGetter<string>) =>
  useRead<TogetherAnswer>(
    () => ['together', toValue(id)],
    () => `/items/${toValue(id)}/together`,
  )
export const useAside = () => useRead<AsideAnswer>(['aside'], '/aside')
export const useStash = () => useRead<StashAnswer>(['stash'], '/stash')
export const useLettingGo = () => useRead<LettingGoAnswer>(['letting-go'], '/letting-go')
export const useTargets = () => useRead<TargetsAnswer>(['targets'], '/targets')
export const useBuying = () => useRead<BuyingAnswer>(['buying'], '/buying')
export const useBuyingCheck = (query: MaybeRefOrGetter<string | null>) =>
  useRead<BuyingCheckAnswer>(
    () => ['buying-check', toValue(query) ?? ''],
    () => (toValue(query) === null ? null : `/buying/check?${toValue(query)}`),
  )
export const useLessons = () => useRead<LessonsAnswer>(['lessons'], '/lessons')
export const useDecide = () => useRead<DecideAnswer>(['decide'], '/decide')
export const useCheckIns = () => useRead<CheckInsAnswer>(['check-ins'], '/check-ins')
export const useCheckIn = (id: MaybeRefOrGetter<string>) =>
  useRead<CheckInAnswer>(
    () => ['check-in', toValue(id)],
    () => `/check-ins/${toValue(id)}`,
  )
export const useContainers = () => useRead<ContainersAnswer>(['containers'], '/containers')
export const useEmpties = () => useRead<EmptiesAnswer>(['empties'], '/empties')
export const useStretches = () => useRead<StretchesAnswer>(['stretches'], '/stretches')
export const useSettings = () => useRead<{ settings: Settings; version: number }>(['settings'], '/settings')

/** Everything in stock, as lists and pickers show it. */
export interface Stock {
  readonly today: Day
  readonly currency: string
  readonly items: readonly ListedItem[]
}
export const useCollection = () =>
  useRead<Stock, CollectionAnswer>(KEYS.collection, '/collection', ({ today, currency, items }) => ({
    today,
    currency,
    items: unpackItems(items as PackedItems),
  }))
export const useCategories = () =>
  useRead<{ categories: CategoryView[]; zones: ZoneView[] }>(KEYS.categories, '/categories')
export const useItem = (id: MaybeRefOrGetter<string | null>) =>
  useRead<ItemAnswer>(
    () => KEYS.item(toValue(id) ?? ''),
    () => (toValue(id) === null ? null : `/items/${toValue(id)}`),
  )

/** What a change made stale: asked for again where it is on the screen, else when it is next looked at. */
export function useStaleness() {
  const cache = useQueryCache()
  return {
    /** Everything, but for answers that the change itself brought up to date. */
    async all(except: readonly EntryKey[] = []): Promise<void> {
      const spared = new Set(except.map((key) => JSON.stringify(key)))
      // One that fails says so itself.
      await cache
        .invalidateQueries({ predicate: ({ key }) => key[0] !== OF_THE_MACHINE && !spared.has(JSON.stringify(key)) })
        .catch(() => undefined)
    },
    known: <A>(key: EntryKey): A | null => cache.getQueryData<A>(key) ?? null,
    patch<A>(key: EntryKey, change: (answer: A) => A): void {
      const now = cache.getQueryData<A>(key)
      if (now !== undefined) cache.setQueryData(key, change(now))
    },
  }
}
