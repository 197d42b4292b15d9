import { describe, expect, test } from 'vitest'
import type { Day } from '#core/calendar/day'
import type { TodayAnswer } from '#contract/today'
import type { PendingAct } from '#web/data/pending-acts'
import { specimen } from '#web/specimen/specimen-data'
import { dayWithPending, freshDay } from './day-with-pending'

const TUESDAY = '2026-11-24' as Day
const WEDNESDAY = '2026-11-25' as Day
const item = (id: string) => ({
  ...specimen({ shade: id, form: 'pressed', colour: null }),
  id,
  placement: { zoneId: 'z', since: TUESDAY, position: 1, beside: false },
})
const wear = (itemId: string) => ({
  itemId,
  partIds: [],
  usedAs: null,
  amount: null,
  amountUnit: null,
  felt: null,
  version: 1,
  mix: null,
})
const DAY: TodayAnswer = {
  today: TUESDAY,
  day: TUESDAY,
  zones: [],
  items: [item('blush'), item('gloss')],
  worn: [wear('gloss')],
  onTrial: [],
  noMakeup: false,
  reachFor: [{ itemId: 'blush', step: 'cheeks', reason: { code: 'in-date-sunscreen' } }],
  earlierLooks: [],
  conditions: { skin: null, clothes: null, minutes: null, occasion: null, hands: null, weather: null, note: null },
  occasions: [],
  putBack: [],
  notToday: [],
  sunscreen: null,
  savedLooks: [],
  silence: null,
  collectionIsEmpty: false,
}
let made = 0
function act(path: string, body: object, more: Partial<PendingAct> = {}): PendingAct {
  made += 1
  const id = `act-${made}`
  return { id, method: 'POST', path, body: { changeId: id, ...body }, day: TUESDAY, words: path, madeAt: made, ...more }
}
const worn = (day: TodayAnswer): string[] => day.worn.map((each) => each.itemId).sort()

describe('a day with acts on top', () => {
  test('the last word on an item is what is shown, and the server’s answer is left as it is', () => {
    const acts = [
      act('/wear', { itemId: 'blush', worn: true, partIds: [] }),
      act('/wear', { itemId: 'gloss', worn: false, partIds: [] }),
    ]
    expect(worn(dayWithPending(DAY, acts))).toEqual(['blush'])
    expect(worn(DAY)).toEqual(['gloss'])
  })

  test('only acts for that day count, and none that is being undone', () => {
    const tick = act('/wear', { itemId: 'blush', worn: true, partIds: [] })
    const back = act('/changes/x/take-back', {}, { takesBack: tick.id })
    expect(worn(dayWithPending(DAY, [{ ...tick, day: WEDNESDAY }]))).toEqual(['gloss'])
    expect(worn(dayWithPending(DAY, [tick, back]))).toEqual(['gloss'])
  })

  test('a look adds what is missing; an item from outside the drawer comes along; makeup ends a day without', () => {
    const elsewhere = { ...item('lash'), placement: null }
    const bare = { ...DAY, worn: [], noMakeup: true }
    const acts = [
      act('/face', { itemIds: ['gloss'] }),
      act('/wear', { itemId: 'lash', worn: true, partIds: [] }, { items: [elsewhere] }),
    ]
    const shown = dayWithPending(bare, acts)
    expect([worn(shown), shown.noMakeup]).toEqual([['gloss', 'lash'], false])
    expect(shown.items.map((each) => each.id)).toContain('lash')
  })

  test('what is sent away is suggested no more; how it was worn and mixed shows at once', () => {
    const acts = [
      act('/not-today', { itemId: 'blush', notToday: true }),
      act('/face', { itemIds: ['blush'] }),
      act('/wear-details', { itemId: 'gloss', usedAs: null, amount: 2, amountUnit: 'drops', felt: '' }),
      act('/mix', { mixId: 'm', itemIds: ['gloss', 'blush'], ratio: '2 to 1' }),
    ]
    const shown = dayWithPending(DAY, acts)
    expect(shown.reachFor).toEqual([])
    expect(shown.worn.find((each) => each.itemId === 'gloss')).toMatchObject({ amount: 2, mix: { ratio: '2 to 1' } })
  })
})

test('the day after, while the server is away, has the drawer and nothing ticked', () => {
  const next = freshDay({ ...DAY, noMakeup: true, putBack: ['blush'] }, WEDNESDAY)
  expect(next).toMatchObject({ day: WEDNESDAY, today: WEDNESDAY, worn: [], noMakeup: false, putBack: [] })
  expect(next.items).toHaveLength(2)
})
