import type { PlanSetup } from '#core/plan/schedule/basis'
import type { Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import type { PlanAnswer } from '#contract/planning'
import { plural } from '#core/words/counted'
import { shortName } from '#web/ui/words/item-words'
import { shortDay } from '#web/ui/words/when-words'
import { listed } from './plan-words'

/** What of the plan is otherwise than usual, each with the way back. */
export function otherwiseWords(
  setup: PlanSetup,
  answer: PlanAnswer,
  itemOf: (id: string) => ListedItem | null,
): { readonly words: string; readonly back: Partial<PlanSetup> }[] {
  const today = answer.today as Day
  const found: { words: string; back: Partial<PlanSetup> }[] = []
  const project = answer.projects.find(({ id }) => id === setup.projectId)
  if (project) found.push({ words: `Only for ${project.name}.`, back: { projectId: null } })
  if (setup.wearDays !== 0)
    found.push({
      words: `With ${Math.abs(setup.wearDays)} ${setup.wearDays > 0 ? 'more' : 'fewer'} wear ${plural(Math.abs(setup.wearDays), 'day')} a week.`,
      back: { wearDays: 0 },
    })
  if (setup.without.length > 0) {
    const names = setup.without.map((id) => {
      const item = itemOf(id)
      return item ? shortName(item) : 'an item you no longer have'
    })
    found.push({ words: `Without ${listed(names)}.`, back: { without: [] } })
  }
  if (setup.noBuyingUntil !== null)
    found.push({
      words: `Nothing bought before ${shortDay(setup.noBuyingUntil, today)}.`,
      back: { noBuyingUntil: null },
    })
  if (setup.panInstead) found.push({ words: 'Powders to pan instead of to their end.', back: { panInstead: false } })
  if (setup.extraSlot !== null) {
    const zone = answer.zones.find(({ id }) => id === setup.extraSlot)?.name ?? ''
    found.push({ words: `With one more slot in ${zone}.`, back: { extraSlot: null } })
  }
  if (setup.deadline !== null)
    found.push({ words: `Projects until ${shortDay(setup.deadline, today)}.`, back: { deadline: null } })
  if (setup.focus) found.push({ words: 'One of a type at a time.', back: { focus: false } })
  if (setup.careful) found.push({ words: 'Cautious.', back: { careful: false } })
  return found
}
