import type { CheckInMeasure, CheckInWay } from '#core/measure/check-in'
import type { CheckInAnswer, StepView } from '#contract/check-in'

/** The order in which a thing is asked. Words go along with every step and are none of their own. */
const ORDER: readonly CheckInMeasure[] = ['weigh', 'look', 'photo']

export const MEASURE_WORDS: Readonly<Record<CheckInMeasure, string>> = {
  weigh: 'weigh',
  look: 'look',
  photo: 'photo',
  words: 'a few words',
}

/** Everything that is asked, in the order of the way she goes. */
export function queueOf(steps: readonly StepView[], way: CheckInWay): StepView[] {
  const asked = steps.filter((step) => step.measure !== 'words')
  const measure = (step: StepView): number => ORDER.indexOf(step.measure)
  return [...asked].sort((a, b) =>
    way === 'item by item'
      ? a.position - b.position || measure(a) - measure(b)
      : measure(a) - measure(b) || a.position - b.position,
  )
}

/** The step to stand at: the one wanted, else the first still asked, else the last. */
export function standingAt(queue: readonly StepView[], wanted: string | null): StepView | null {
  return (
    queue.find((step) => step.id === wanted) ?? queue.find((step) => step.state === 'asked') ?? queue.at(-1) ?? null
  )
}

/** What comes next: the next one still asked after this, else the first still asked; null when all is done. */
export function nextOf(queue: readonly StepView[], at: StepView): StepView | null {
  const here = queue.findIndex((step) => step.id === at.id)
  const open = (step: StepView): boolean => step.state === 'asked' && step.id !== at.id
  return queue.slice(here + 1).find(open) ?? queue.find(open) ?? null
}

export function beforeOf(queue: readonly StepView[], at: StepView): StepView | null {
  return queue[queue.findIndex((step) => step.id === at.id) - 1] ?? null
}

export interface SlipLine {
  readonly itemId: string
  /** Punched: everything asked of it is done. */
  readonly done: boolean
  readonly skipped: boolean
  /** What is still to do, in words. */
  readonly toDo: string
  /** The step to go to. */
  readonly stepId: string
}

/** The queue as a slip: a line for each thing. */
export function slipOf(answer: CheckInAnswer, queue: readonly StepView[]): SlipLine[] {
  return answer.items.map((item) => {
    const own = queue.filter((step) => step.itemId === item.id)
    const open = own.filter((step) => step.state === 'asked')
    return {
      itemId: item.id,
      done: open.length === 0 && own.some((step) => step.state === 'done'),
      skipped: open.length === 0 && own.every((step) => step.state === 'skipped'),
      toDo: open.map((step) => MEASURE_WORDS[step.measure]).join(', '),
      stepId: (open[0] ?? own[0])?.id ?? '',
    }
  })
}

/** How far along it is, for the words of a head: things, not steps. */
export function placeIn(slip: readonly SlipLine[], itemId: string): number {
  return slip.findIndex((line) => line.itemId === itemId) + 1
}
