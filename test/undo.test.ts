import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays } from '#core/calendar/day'
import { breachesOf } from '#server/db/house-rules'
import { FIELDS, TestHouse, TODAY, type Answer } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())
const ago = (days: number) => addDays(TODAY, -days)
const changeOf = (answer: Answer): string => {
  expect(answer.status, JSON.stringify(answer.body)).toBe(200)
  return answer.body.change.id as string
}
const takeBack = (id: string, withLater = false) => house.post(`/changes/${id}/take-back`, { withLater })
const goal = { kind: 'uses', target: 9, headStart: 0, by: { kind: 'none' } }
const project = { id: 'p', name: 'P', startedOn: ago(40), by: null, finishesWanted: null, rules: '' }
const pair = { verdict: 'works', itemAmount: null, otherAmount: null, amountUnit: null, words: '' }
const wear = (itemId: string, days: number, worn = true) => house.post('/wear', { itemId, day: ago(days), worn })
const finish = (itemId: string, days: number) =>
  house.post(`/items/${itemId}/finish`, {
    reviewId: house.id('r'),
    day: ago(days),
    wouldBuyAgain: 'no',
    words: '',
    packageGoes: null,
  })
const category = (name: string) => ({
  name,
  makeup: true,
  zoneId: 'lips',
  usualForm: 'wand',
  modelType: 'gloss',
  eye: false,
  lip: true,
})

/** What was done; the id of the change that is then taken back. */
const CASES: Readonly<Record<string, { stands: string | RegExp; code: string; acts: () => Promise<string> }>> = {
  'rolled out, in again, the first taken back': {
    code: 'later-changes-stand-on-it',
    stands: 'Pellwick Rust Bloom blush rolled into P',
    acts: async () => {
      const itemId = await house.item()
      await house.post('/projects', project)
      await house.post('/projects/p/roll-in', { stayId: 's', itemId, day: ago(3), goal })
      const out = await house.post('/stays/s/roll-out', { day: TODAY, reason: 'left unfinished', words: '' })
      await house.post('/projects/p/roll-in', { stayId: 't', itemId, day: TODAY, goal })
      return changeOf(out)
    },
  },
  'a verdict, then a new trial': {
    code: 'later-changes-stand-on-it',
    stands: 'on trial',
    acts: async () => {
      const itemId = await house.item()
      const trial = (trialId: string) =>
        house.post('/trials', { trialId, itemId, wearsWanted: 2, dueOn: addDays(TODAY, 9), question: '' })
      await trial('one')
      const verdict = await house.post('/verdicts', {
        verdictId: 'v',
        itemId,
        trialId: 'one',
        verdict: 'keep',
        reason: '',
        destination: null,
        until: null,
        usedAs: null,
      })
      await trial('two')
      return changeOf(verdict)
    },
  },
  'a laying closed, another begun': {
    code: 'later-changes-stand-on-it',
    stands: 'Began to arrange the drawer for spring',
    acts: async () => {
      await house.post('/laying', { id: 'one', season: 'winter' })
      const closed = await house.post('/laying/one/close', {})
      await house.post('/laying', { id: 'two', season: 'spring' })
      return changeOf(closed)
    },
  },
  'off the short list, and on': {
    code: 'later-changes-stand-on-it',
    stands: 'is up next',
    acts: async () => {
      const itemId = await house.item()
      const put = (id: string) => house.post('/short-list', { id, itemId, season: null, words: '' })
      await put('one')
      const off = await house.post('/short-list/one/take-off', {})
      await put('two')
      return changeOf(off)
    },
  },
  'a pair dropped, and paired the other way round': {
    code: 'later-changes-stand-on-it',
    stands: 'fight',
    acts: async () => {
      const [a, b] = [await house.item({ shade: 'A' }), await house.item({ shade: 'B' })]
      await house.post(`/items/${a}/pairs`, { ...pair, id: 'one', otherItemId: b })
      const dropped = await house.post('/pairs/one/drop', {})
      await house.post(`/items/${b}/pairs`, { ...pair, id: 'two', otherItemId: a, verdict: 'fights' })
      return changeOf(dropped)
    },
  },
  'after a merge, unticked and ticked again': {
    code: 'later-changes-stand-on-it',
    stands: 'Pellwick A blush not worn on ⟦day:2026-11-22⟧',
    acts: async () => {
      const [a, b] = [await house.item({ shade: 'A' }), await house.item({ shade: 'A' })]
      await wear(b, 2)
      const merged = await house.post('/merge', { keepId: a, dropIds: [b] })
      await wear(a, 2, false)
      await wear(a, 2)
      return changeOf(merged)
    },
  },
  'two categories of one name': {
    code: 'later-changes-stand-on-it',
    stands: 'Added the type Gleam',
    acts: async () => {
      await house.post('/categories', { id: 'one', ...category('Gleam') })
      const renamed = await house.put('/categories/one', category('Shine'))
      await house.post('/categories', { id: 'two', ...category('Gleam') })
      return changeOf(renamed)
    },
  },
  'a product renamed, and another of its first name': {
    code: 'later-changes-stand-on-it',
    stands: 'Added Pellwick Rust Bloom blush',
    acts: async () => {
      const id = await house.item()
      const renamed = await house.put(`/items/${id}`, { version: 1, fields: { ...FIELDS, name: 'Other' } })
      await house.item()
      return changeOf(renamed)
    },
  },
  'no makeup beside a worn lipstick': {
    code: 'would-break-a-rule',
    stands: 'Pellwick Sloe lipstick worn',
    acts: async () => {
      const itemId = await house.item({ shade: 'Sloe', categoryId: 'lipstick', form: 'bullet' })
      await house.post('/no-makeup', { day: TODAY, noMakeup: true })
      const off = await house.post('/no-makeup', { day: TODAY, noMakeup: false })
      await wear(itemId, 0)
      return changeOf(off)
    },
  },
  'worn after it was finished': {
    code: 'would-break-a-rule',
    stands: 'Finished Pellwick Rust Bloom blush',
    acts: async () => {
      const itemId = await house.item()
      await wear(itemId, 1)
      const off = await wear(itemId, 1, false)
      await finish(itemId, 5)
      return changeOf(off)
    },
  },
  'two things in one slot': {
    code: 'would-break-a-rule',
    stands: 'Put Pellwick B blush in Cheeks',
    acts: async () => {
      const [a, b] = [await house.item({ shade: 'A' }), await house.item({ shade: 'B' })]
      await house.put('/zones/cheeks', { name: 'Cheeks', slots: 1 })
      await house.post('/drawer/place', { placementId: 'one', itemId: a, zoneId: 'cheeks' })
      const out = await house.post('/drawer/take-out', { itemId: a })
      await house.post('/drawer/place', { placementId: 'two', itemId: b, zoneId: 'cheeks' })
      return changeOf(out)
    },
  },
  'finished, and rolled out as finished': {
    code: 'would-break-a-rule',
    stands: 'rolled out',
    acts: async () => {
      const itemId = await house.item()
      await house.post('/projects', project)
      await house.post('/projects/p/roll-in', {
        stayId: 's',
        itemId,
        day: ago(3),
        goal: { ...goal, kind: 'finish', target: null },
      })
      const finished = await finish(itemId, 0)
      changeOf(await house.post('/stays/s/roll-out', { day: TODAY, reason: 'finished', words: '' }))
      return changeOf(finished)
    },
  },
}

describe('what stands in the way of a taking back is named, and nothing is broken', () => {
  test.each(Object.keys(CASES))('%s', async (name) => {
    const found = CASES[name]
    if (!found) throw new Error(name)
    const id = await found.acts()
    const before = house.snapshot()
    const refused = await takeBack(id)
    expect([refused.status, refused.body.code]).toEqual([409, found.code])
    expect(refused.body.detail).toContain(found.stands)
    expect(house.snapshot()).toBe(before)
    if (found.code !== 'later-changes-stand-on-it') return
    // With what stands on it, it can be taken back, and that in its turn.
    const all = await takeBack(id, true)
    const redo = changeOf(all)
    expect(breachesOf(house.db)).toEqual([])
    changeOf(await takeBack(redo))
    expect(house.snapshot()).toBe(before)
  })
})

describe('back to a moment', () => {
  test('is exactly that moment, also past a taking back: what was in force then is in force again', async () => {
    const itemId = await house.item()
    const a = changeOf(await wear(itemId, 3))
    const then = house.snapshot()
    const b = changeOf(await wear(itemId, 2))
    changeOf(await takeBack(a))
    expect(house.snapshot()).not.toBe(then)
    const later = house.snapshot()
    const back = await house.post(`/changes/${b}/go-back`, {})
    expect(house.snapshot()).toBe(then)
    const undone = async (): Promise<Record<string, boolean>> =>
      Object.fromEntries(
        ((await house.get('/changes')).body.changes as { id: string; undone: boolean }[]).map((each) => [
          each.id,
          each.undone,
        ]),
      )
    expect(await undone()).toMatchObject({ [a]: false, [b]: true })
    // It is a change like any other, and leads back again.
    changeOf(await takeBack(changeOf(back)))
    expect(house.snapshot()).toBe(later)
    expect(await undone()).toMatchObject({ [a]: true, [b]: false })
  })

  test('a redo out of order is refused or right, never without effect', async () => {
    const itemId = await house.item()
    const edit = async (notes: string) => {
      const { version } = (await house.get(`/items/${itemId}`)).body.item
      return changeOf(await house.put(`/items/${itemId}`, { version, fields: { ...FIELDS, notes } }))
    }
    const a = await edit('one')
    const b = await edit('two')
    const undoB = changeOf(await takeBack(b))
    const undoA = changeOf(await takeBack(a))
    // The second edit stood on the first: doing it again without the first is refused by name …
    const refused = await takeBack(undoB)
    expect([refused.status, refused.body.code]).toEqual([409, 'later-changes-stand-on-it'])
    expect(refused.body.detail).toContain('Undid: Changed Pellwick Rust Bloom blush')
    // … and with it both stand again.
    changeOf(await takeBack(undoB, true))
    expect((await house.get(`/items/${itemId}`)).body.item.notes).toBe('two')
    const again = await takeBack(undoA)
    expect(again.body.code).toBe('already-undone')
  })
})

test('a picture that a taking back promises is there for thirty days from its removal by the history, then it is refused', async () => {
  const itemId = await house.item()
  changeOf(await house.photo(itemId, 'ph'))
  const removed = changeOf(await house.post('/photos/ph/drop', {}))
  const tidyOn = (days: number): void => {
    house.setClock(new Date(2026, 10, 24 + days, 12))
    house.services.photos.tidy(house.services.now())
  }
  tidyOn(29)
  changeOf(await takeBack(changeOf(await takeBack(removed))))
  tidyOn(75)
  const late = await takeBack(removed)
  expect([late.status, late.body.code]).toEqual([409, 'picture-gone'])
})
