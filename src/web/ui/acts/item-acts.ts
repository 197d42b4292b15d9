import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { Verdict } from '#core/decide/verdict'
import type { PackageEvent } from '#core/measure/package-events'
import type { ListedItem } from '#contract/item'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { useHerDay } from '#web/data/her-day'
import { useTicks } from '#web/data/ticks'

/**
 * What can be done with an item, the same eight everywhere and in this order. One that holds several asks which of them; where only one
 * of them is possible, it is done at once.
 */
export const ITEM_ACTS = [
  { words: 'Wear today', acts: ['wear'] },
  { words: 'Measure', acts: ['read'] },
  { words: 'Opened…', acts: ['open', 'opening'] },
  { words: 'Move…', acts: ['lay', 'take out', 'put'] },
  { words: 'Add to project', acts: ['roll in'] },
  { words: 'Something happened…', acts: ['happened', 'blend', 'sign'] },
  { words: 'Keep or let go…', acts: ['trial', 'set aside', 'decide'] },
  { words: 'Finished', acts: ['finish'] },
] as const
export type ItemAct = (typeof ITEM_ACTS)[number]['acts'][number]

/** What each act is called by itself. */
export const ACT_WORDS: Readonly<Record<ItemAct, string>> = {
  wear: 'Wear today',
  read: 'Measure',
  open: 'Opened today',
  opening: 'Opened earlier…',
  lay: 'Put in the drawer',
  'take out': 'Take out of the drawer',
  put: 'Store away or travel…',
  'roll in': 'Add to project',
  happened: 'Broke, decanted, repressed…',
  blend: 'Blended with others…',
  sign: 'It has gone off…',
  trial: 'Put on trial…',
  'set aside': 'Special or keepsake…',
  decide: 'Give a verdict…',
  finish: 'Finished',
}

/** Acts that ask something first. */
export type AskingAct = Exclude<ItemAct, 'wear' | 'open' | 'lay' | 'take out'>

/** What may be known where an act begins. */
export interface ActContext {
  readonly trialId?: string
  readonly projectId?: string
  readonly checkInId?: string
  readonly event?: PackageEvent
  /** What she leans to already. */
  readonly verdict?: Verdict
  /** The shade it is about. */
  readonly partId?: string
}

/** What an act tells whoever began it. */
export interface ActResult {
  /** Backups still unopened. */
  readonly backups?: number
}

export interface OpenedAct {
  readonly act: AskingAct
  readonly item: ListedItem
  readonly context: ActContext
  readonly end: (result: ActResult | null) => void
}

/** What can be done to it as it stands. */
export function actsFor(item: ListedItem): ItemAct[] {
  if (item.endedOn !== null) return []
  const all = ITEM_ACTS.flatMap(({ acts }): readonly ItemAct[] => acts)
  const never: ItemAct[] = [
    item.placement === null ? 'take out' : 'lay',
    ...(item.lifecycle === 'unopened' ? [] : (['open'] as const)),
    ...(item.onTrial ? (['trial'] as const) : []),
  ]
  return all.filter((act) => !never.includes(act))
}

/** The eight as they stand for an item, each with what of it is possible; an act with nothing possible is left out. */
export function itemActs(
  item: ListedItem,
  without: readonly ItemAct[] = [],
): { readonly words: string; readonly acts: readonly ItemAct[] }[] {
  const possible = actsFor(item).filter((act) => !without.includes(act))
  return ITEM_ACTS.map(({ words, acts }) => ({
    words,
    acts: acts.filter((act: ItemAct) => possible.includes(act)),
  })).filter(({ acts }) => acts.length > 0)
}

/** The one place where an act on a thing begins, from whatever page; resolves when it is done, or with null when it is left. */
export const useItemActs = defineStore('item acts', () => {
  const changes = useChanges()
  const herDay = useHerDay()
  const ticks = useTicks()
  const opened = shallowRef<OpenedAct | null>(null)

  async function begin(act: ItemAct, item: ListedItem, context: ActContext = {}): Promise<ActResult | null> {
    const changeId = newId()
    const itemId = item.id
    switch (act) {
      case 'wear':
        if (herDay.today !== null) ticks.setWorn(item, herDay.today, true)
        return {}
      case 'open':
        return (await changes.run('POST', `/items/${itemId}/open`, { changeId, day: herDay.today })) && {}
      case 'lay': {
        const beside = item.packageStates.includes('too tall for the drawer')
        const body = { changeId, placementId: newId(), itemId, zoneId: item.homeZoneId, beside }
        return (await changes.run('POST', '/drawer/place', body)) && {}
      }
      case 'take out':
        return (await changes.run('POST', '/drawer/take-out', { changeId, itemId })) && {}
      default:
        return ask(act, item, context)
    }
  }

  function ask(act: AskingAct, item: ListedItem, context: ActContext): Promise<ActResult | null> {
    opened.value?.end(null)
    return new Promise((resolve) => {
      opened.value = {
        act,
        item,
        context,
        end(result) {
          opened.value = null
          resolve(result)
        },
      }
    })
  }

  return { opened, begin }
})
