import { addMonths, type Day } from '#core/calendar/day'
import type { PlanSetup } from '#core/plan/schedule/basis'
import type { PlanAnswer } from '#contract/planning'
import { shortDay } from '#web/ui/words/when-words'
import { listed } from './plan-words'
import type { ShownPlan } from './use-plan'

/** The plan with one thing otherwise. */
export interface WhatIf {
  readonly key: string
  readonly title: string
  readonly over: Partial<PlanSetup>
}

/** What is asked first: what bears on this plan. */
export function usualWhatIfs(plan: ShownPlan, answer: PlanAnswer): WhatIf[] {
  const { setup } = plan
  const found: WhatIf[] = []
  found.push(wearDaysIf(setup, -1, answer.perWeek))
  if (plan.made.toBuy.length > 0)
    found.push(noBuyingIf(addMonths(answer.basis.today, setup.months), answer.basis.today))
  else if (!setup.panInstead && plan.made.things.some(({ needsToPan }) => needsToPan !== null)) found.push(panIf())
  else found.push(wearDaysIf(setup, 1, answer.perWeek))
  return found
}

export function wearDaysIf(setup: PlanSetup, by: number, perWeek: number): WhatIf {
  const wearDays = setup.wearDays + by
  const days = Math.round(Math.min(7, Math.max(0, perWeek + wearDays)) * 10) / 10
  return { key: `wear ${wearDays}`, title: `${days} wear days a week`, over: { wearDays } }
}

export function panIf(): WhatIf {
  return { key: 'pan', title: 'Pan, not finish, for powders', over: { panInstead: true } }
}

export function noBuyingIf(until: Day, today: Day): WhatIf {
  return { key: `buy ${until}`, title: `Buy nothing until ${shortDay(until, today)}`, over: { noBuyingUntil: until } }
}

export function slotIf(zoneId: string, name: string): WhatIf {
  return { key: `slot ${zoneId}`, title: `One more slot in ${name}`, over: { extraSlot: zoneId } }
}

export function deadlineIf(deadline: Day, today: Day): WhatIf {
  return { key: `by ${deadline}`, title: `Projects until ${shortDay(deadline, today)}`, over: { deadline } }
}

export function withoutIf(setup: PlanSetup, ids: readonly string[], names: readonly string[]): WhatIf {
  return {
    key: `without ${ids.join(' ')}`,
    title: names.length === 1 ? `Let ${listed(names)} go` : `Let ${names.length} go: ${listed(names)}`,
    over: { without: [...setup.without, ...ids] },
  }
}
