import { describe, expect, test } from 'vitest'
import type { CheckInAnswer, StepView } from '#contract/check-in'
import { beforeOf, nextOf, placeIn, queueOf, slipOf, standingAt } from './queue'

const step = (
  itemId: string,
  position: number,
  measure: StepView['measure'],
  state: StepView['state'] = 'asked',
): StepView => ({
  id: `${itemId} ${measure}`,
  version: 1,
  itemId,
  position,
  measure,
  state,
  words: '',
})
const STEPS = [
  step('a', 0, 'words'),
  step('a', 0, 'photo'),
  step('a', 0, 'weigh'),
  step('b', 1, 'weigh'),
  step('b', 1, 'look'),
]
const ids = (steps: readonly StepView[]): string[] => steps.map((each) => each.id)

describe('the order in which items are asked', () => {
  test('item by item, or measure by measure; words go along and are no step', () => {
    expect(ids(queueOf(STEPS, 'item by item'))).toEqual(['a weigh', 'a photo', 'b weigh', 'b look'])
    expect(ids(queueOf(STEPS, 'measure by measure'))).toEqual(['a weigh', 'b weigh', 'b look', 'a photo'])
  })
  test('one begins at the first that is asked, or where one was sent, or at the end', () => {
    const queue = queueOf([step('a', 0, 'weigh', 'done'), step('b', 1, 'weigh')], 'item by item')
    expect(standingAt(queue, null)?.id).toBe('b weigh')
    expect(standingAt(queue, 'a weigh')?.id).toBe('a weigh')
    expect(standingAt(queue, 'gone')?.id).toBe('b weigh')
    expect(standingAt(queueOf([step('a', 0, 'weigh', 'skipped')], 'item by item'), null)?.id).toBe('a weigh')
    expect(standingAt([], null)).toBeNull()
  })
  test('after the last comes what was left open before it; then nothing', () => {
    const queue = queueOf([step('a', 0, 'weigh'), step('b', 1, 'weigh', 'done'), step('c', 2, 'weigh')], 'item by item')
    const [a, b, c] = queue as [StepView, StepView, StepView]
    expect(nextOf(queue, a)).toBe(c)
    expect(nextOf(queue, c)).toBe(a)
    expect(nextOf([b], b)).toBeNull()
    expect([beforeOf(queue, c), beforeOf(queue, a)]).toEqual([b, null])
  })
})

test('the slip is punched where all is done, and says what is still to do', () => {
  const steps = [
    step('a', 0, 'weigh', 'done'),
    step('a', 0, 'photo', 'skipped'),
    step('b', 1, 'weigh', 'skipped'),
    step('c', 2, 'weigh'),
    step('c', 2, 'look'),
  ]
  const items = ['a', 'b', 'c'].map((id) => ({ id }))
  const slip = slipOf({ steps, items } as unknown as CheckInAnswer, queueOf(steps, 'item by item'))
  expect(slip.map(({ done, skipped, toDo }) => [done, skipped, toDo])).toEqual([
    [true, false, ''],
    [false, true, ''],
    [false, false, 'weigh, look'],
  ])
  expect(placeIn(slip, 'c')).toBe(3)
})
