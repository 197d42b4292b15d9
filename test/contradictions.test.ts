import { addDays } from '#core/calendar/day'
import { describe, expect, test } from 'vitest'
import { contradictionsOf } from './support/contradictions'
import { copyDemoTo, DEMO_DAY } from './support/demo-database'
import { RandomOwner } from './support/random-owner'
import { TestHouse, TODAY } from './support/test-house'

const LATER = [0, 20, 95, 400]
const noonIn = (days: number): Date => new Date(`${addDays(TODAY, days)}T12:00:00`)

describe('no two places say different items of one item, goal, type or month', () => {
  test.each(LATER)('in the demo, %i days on', async (days) => {
    const house = await TestHouse.open(copyDemoTo)
    house.setClock(new Date(`${addDays(DEMO_DAY, days)}T12:00:00`))
    expect(await contradictionsOf(house)).toEqual([])
    house.close()
  })
  test.each(Array.from({ length: 40 }, (_, n) => 401 + n))(
    'in a random collection on four days (seed %i)',
    async (seed) => {
      const house = await TestHouse.open()
      const owner = new RandomOwner(house, seed)
      await owner.begin()
      for (let n = 0; n < 40; n += 1) await owner.act()
      for (const days of LATER) {
        house.setClock(noonIn(days))
        expect(await contradictionsOf(house), `${days} days on`).toEqual([])
      }
      house.close()
    },
  )
})
