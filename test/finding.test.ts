import { afterAll, beforeAll, expect, test } from 'vitest'
import { Finder } from '#server/finding/finder'
import { FIELDS, TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeAll(async () => {
  house = await TestHouse.open()
})
afterAll(() => house.close())

test('the index of words follows every change: it finds what one made anew finds', async () => {
  const [rust, plum] = [
    await house.item({ ...FIELDS, maker: 'Pellwick', name: 'Blush', shade: 'Rust Bloom' }),
    await house.item({ ...FIELDS, maker: 'Ondrake', name: 'Blush', shade: 'Plum Hour', notes: 'from the fair' }),
  ]
  const asked = ['rust', 'plum', 'fair', 'copper', 'patchy', 'ondrake', 'bluch', 'kittle']
  const answers = async (): Promise<unknown[]> =>
    Promise.all(asked.map(async (words) => (await house.get(`/find?words=${words}`)).body.ids as string[]))
  const same = async (): Promise<void> => {
    const anew = new Finder(house.services)
    // Which of two that fit equally well comes first is nobody's promise.
    const sorted = (all: unknown[]): unknown[] => all.map((ids) => [...(ids as string[])].sort())
    expect(sorted(await answers())).toEqual(sorted(asked.map((words) => anew.find(words).ids)))
  }
  expect((await answers())[0]).toEqual([rust])
  const version = (await house.get(`/items/${rust}`)).body.item.version as number
  await house.put(`/items/${rust}`, {
    version,
    fields: { ...FIELDS, maker: 'Ondrake', name: 'Blush', shade: 'Copper' },
  })
  await same()
  expect((await answers())[3]).toEqual([rust])
  const gone = await house.post(`/items/${plum}/finish`, {
    reviewId: 'r',
    day: TODAY,
    wouldBuyAgain: 'no',
    words: 'patchy',
    packageGoes: null,
  })
  await same()
  await house.post(`/changes/${gone.body.change.id}/take-back`, {})
  await house.item({ ...FIELDS, maker: 'Kitt Larkspur', name: 'Kittle', shade: '' })
  await same()
})
