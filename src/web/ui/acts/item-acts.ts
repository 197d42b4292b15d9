import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { Verdict } from '#core/decide/verdict'
import type { PackageEvent } from '#core/measure/package-events'
import type { ListedItem } from '#contract/item'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { useHerDay } from '#web/data/her-day'
import { useTicks } from '#web/data/ticks'

/** Everything that can be done to one thing, in the order in which a menu groups it. */
export const ACT_GROUPS = {
  log: ['wear', 'open', 'opening'],
  measure: ['read', 'happened', 'blend', 'sign'],
  move: ['lay', 'take out', 'put', 'set aside', 'roll in'],
  decide: ['trial', 'decide'],
  end: ['finish'],
} as const
export type ActGroup = keyof typeof ACT_GROUPS
export type ItemAct = (typeof ACT_GROUPS)[ActGroup][number]

/** What each act is called, wherever it is offered. */
export const ACT_WORDS: Readonly<Record<ItemAct, string>> = {
  wear: 'Worn today',
  open: 'Open it today',
  opening: 'When it was opened',
  read: 'How much is left',
  happened: 'Something happened to it',
  blend: 'Blend it with others',
  sign: 'A sign it is over',
  lay: 'Lay into the drawer',
  'take out': 'Take out of the drawer',
  put: 'Put it somewhere',
  'set aside': 'Keepsake, or for occasions',
  'roll in': 'Roll into a project',
  trial: 'Put on trial',
  decide: 'Decide',
  finish: 'It is empty',
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
  const all = Object.values(ACT_GROUPS).flat()
  const never: ItemAct[] = [
    item.placement === null ? 'take out' : 'lay',
    ...(item.lifecycle === 'unopened' ? [] : (['open'] as const)),
    ...(item.onTrial ? (['trial'] as const) : []),
  ]
  return all.filter((act) => !never.includes(act))
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
