import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays, type Day } from '#core/calendar/day'
import { shadeFields } from './support/fields'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())
const ago = (days: number): Day => addDays(TODAY, -days)
const item = async (id: string) => (await house.get(`/items/${id}`)).body
const read = (itemId: string, partId: string | null, reading: object) =>
  house.post(`/items/${itemId}/readings`, { id: house.id('r'), partId, reading: { day: TODAY, ...reading } })

describe('the shades of a palette', () => {
  const PALETTE = {
    name: 'Timetable palette',
    categoryId: 'eyeshadow-palette',
    structure: 'palette' as const,
    content: { amount: 8, unit: 'g' as const },
    opened: { kind: 'range' as const, earliest: ago(60), latest: ago(30), said: 'in autumn' },
    usesBefore: null,
    parts: [{ ...shadeFields('moss'), colSpan: 3 }, shadeFields('robin', 'robin', 4)],
  }
  test('each has the share of the label that its cells have, its own readings and its own uses', async () => {
    const id = await house.item(PALETTE)
    await house.post('/wear', { itemId: id, day: ago(4), worn: true, partIds: ['moss'] })
    await house.post('/wear', { itemId: id, day: ago(3), worn: true, partIds: ['moss', 'robin'] })
    await read(id, 'moss', { kind: 'stage', stage: 'half bare' })
    const [moss, ...others] = (await item(id)).shadesLeft
    expect(others).toEqual([])
    // Three of four cells of 8 g; half bare is about .22 of it by the table of stages.
    expect(moss).toMatchObject({ partId: 'moss', label: 6, uses: 2 })
    expect(moss.grams.low).toBeLessThan(0.22 * 6)
    expect(moss.grams.high).toBeGreaterThan(0.22 * 6)
  })
  test('one that is empty is done alone; the palette is finished with the last', async () => {
    const id = await house.item(PALETTE)
    await house.post('/parts/moss/finish', { day: ago(1) })
    const after = await item(id)
    expect(after.item.endedOn).toBeNull()
    expect(after.item.parts[0].finishedOn).toBe(ago(1))
    await house.post('/parts/robin/finish', { day: TODAY })
    expect((await item(id)).item).toMatchObject({ endedOn: TODAY, lifecycle: 'finished' })
  })
})

describe('her scale', () => {
  test('what weighs more than it carries is kept and asked about', async () => {
    const { settings, version } = (await house.get('/settings')).body
    await house.put('/settings', { settings: { ...settings, scaleStep: 1, scaleCapacity: 200 }, version })
    const id = await house.item({ name: 'Body wash' })
    await read(id, null, { kind: 'gross', grams: 240, resolution: 1 })
    const [reading] = (await item(id)).readings
    expect(reading.doubts).toEqual([{ code: 'above the capacity', value: 200 }])
    await house.post(`/readings/${reading.id}/cause`, { cause: 'scale', eventId: house.id('e') })
    expect((await item(id)).readings[0]).toMatchObject({ doubtful: true, doubts: [] })
  })
})
