import { afterEach, beforeEach, expect, test } from 'vitest'
import { Random } from '#demo/random'
import { ACTS } from './support/random-acts-data'
import { conservedSums } from './support/conserved-sums'
import { RandomOwner } from './support/random-owner'
import { shadeFields } from './support/fields'
import { FIELDS, TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

const palette = (n: number) =>
  house.item({
    name: `Hedgerow ${n}`,
    categoryId: 'eyeshadow-palette',
    structure: 'palette',
    content: { amount: 8, unit: 'g' },
    priceMinor: 4000,
    usesBefore: 10,
    parts: ['a', 'b', 'c'].map((each, col) => shadeFields(`${each}${n}`, `Shade ${each}`, col + 1)),
  })

test('a shade takes its grams, its money and its uses with it', async () => {
  const id = await palette(1)
  const before = conservedSums(house.db)
  await house.post('/wear', { itemId: id, day: TODAY, worn: true, partIds: ['a1'] })
  const done = await house.post(`/items/${id}/depot`, {
    id: 'single',
    eventId: 'e',
    partId: 'a1',
    day: TODAY,
    containerId: null,
  })
  expect(done.status).toBe(200)
  const single = (await house.get('/items/single')).body.item
  const rest = (await house.get(`/items/${id}`)).body.item
  expect(single.content.amount + rest.content.amount).toBeCloseTo(8, 6)
  expect(single.priceMinor + rest.priceMinor).toBe(4000)
  expect(conservedSums(house.db)).toEqual(before)
})

test.each([1, 2, 3, 4, 5, 6])(
  'whatever is taken out, pressed, blended and decanted, in whatever order, the sums stay (seed %i)',
  async (seed) => {
    const owner = new RandomOwner(house, seed)
    const random = new Random(seed)
    await house.post('/containers', {
      id: 'jar',
      words: 'Jar',
      form: 'jar',
      grams: null,
      resolution: 0.1,
      itemId: null,
      day: TODAY,
    })
    for (let n = 1; n <= 3; n += 1)
      owner.items.push(await palette(n), await house.item({ ...FIELDS, name: `Thing ${n}` }))
    const before = conservedSums(house.db)
    const taken: string[] = []
    for (let n = 0; n < 60; n += 1) {
      const name = random.pick(['depot', 'depot', 'blend', 'happened', 'wear'])
      const answer = await ACTS[name]?.(owner)
      if (answer?.status === 200) {
        taken.push(name)
        if (random.chance(0.2)) await house.post(`/changes/${answer.body.change.id}/take-back`, { withLater: true })
      }
      expect(conservedSums(house.db), `${n}, after ${taken.slice(-3).join(', ')}`).toEqual(before)
    }
    expect(new Set(taken)).toEqual(new Set(['depot', 'blend', 'happened', 'wear']))
  },
)
