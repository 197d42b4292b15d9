import { addDays } from '#core/calendar/day'
import { USUAL_SETUP } from '#core/plan/schedule/basis'
import type { RandomOwner } from './random-owner'
import { TODAY, type Answer } from './test-house'

type Act = (owner: RandomOwner) => Promise<Answer> | Answer

/** A plan of one week for these things: what a page would send, as small as it gets. */
export function weekPlan(itemIds: readonly string[], id: (n: number) => string) {
  const week = { from: TODAY, to: addDays(TODAY, 6), month: 0 }
  return {
    setup: { ...USUAL_SETUP, months: 1 },
    months: [TODAY.slice(0, 7)],
    weeks: [week],
    done: { of: 1, low: 0, high: 1 },
    lines: itemIds.map((itemId, n) => ({
      id: id(n),
      itemId,
      lies: [true],
      uses: [2],
      needed: 8,
      toward: 'end',
      finishes: false,
      low: null,
      high: null,
    })),
  }
}

/** What a random owner says for the plan, moves in it, adopts and drops. */
export const PLANS: Readonly<Record<string, Act>> = {
  'plan word': (o) =>
    o.house.put(`/plan/words/${o.item()}`, {
      id: o.id(),
      said: o.random.pick(['in', 'no', null]),
      weight: o.random.pick([null, 40]),
      mostAWeek: o.random.pick([null, 2]),
    }),
  'plan moves': (o) =>
    o.house.put(`/plan/moves/${o.item()}`, {
      moves: [{ month: TODAY.slice(0, 7), lies: o.random.pick([true, false, null]) }],
    }),
  'clear plan moves': (o) => o.house.post('/plan/moves/clear', {}),
  'plan pace': (o) =>
    o.house.put(`/plan/paces/${o.random.pick(['blush', 'lipstick'])}`, {
      id: o.id(),
      perWearDay: o.random.pick([null, 0.5]),
    }),
  'plan rest': (o) =>
    o.house.post('/plan/breaks', { id: o.id(), categoryId: 'blush', from: TODAY, to: addDays(TODAY, 9) }),
  'end of a plan rest': (o) => o.house.post(`/plan/breaks/${o.row('plan_break')}/drop`, {}),
  'adopt a plan': (o) => {
    const items = [...new Set([o.item(), o.item()])]
    return o.house.post('/plan', { id: o.id(), replaces: inForce(o), ...weekPlan(items, () => o.id()) })
  },
  'drop the plan': (o) => o.house.post(`/plan/${inForce(o) ?? 'none'}/end`, {}),
  // Nothing to choose from without a season change and a plan: what is missing is begun.
  'as planned': async (o) => {
    if (openSeasonChange(o) === 'none') await o.house.post('/laying', { id: o.id(), season: 'winter' })
    if (inForce(o) === null)
      await o.house.post('/plan', { id: o.id(), replaces: null, ...weekPlan([o.item()], () => o.id()) })
    return o.house.post(`/laying/${openSeasonChange(o)}/as-planned`, {})
  },
}

function inForce(o: RandomOwner): string | null {
  return o.house.db.prepare<[], { id: string }>('SELECT id FROM plan WHERE ended_on IS NULL').get()?.id ?? null
}

function openSeasonChange(o: RandomOwner): string {
  return o.house.db.prepare<[], { id: string }>('SELECT id FROM laying WHERE closed_on IS NULL').get()?.id ?? 'none'
}
