import { afterEach, beforeEach, expect, test } from 'vitest'
import { addDays, type Day } from '#core/calendar/day'
import type { ProjectView } from '#contract/projects'
import type { DrawerZone } from '#contract/today'
import type { TrialView } from '#contract/ending'
import { Random } from '#demo/random'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

/** The slow, obvious version: one set of days for each item. */
class PlainLog {
  readonly days = new Map<string, Set<Day>>()

  set(itemId: string, day: Day, worn: boolean): void {
    const days = this.days.get(itemId) ?? new Set<Day>()
    if (worn) days.add(day)
    else days.delete(day)
    this.days.set(itemId, days)
  }

  of(itemId: string): Day[] {
    return [...(this.days.get(itemId) ?? [])].sort()
  }

  since(itemId: string, from: Day): number {
    return this.of(itemId).filter((day) => day >= from).length
  }
}

test.each([11, 12, 13])('every derived figure equals a plain recount of random ticks (seed %i)', async (seed) => {
  const random = new Random(seed)
  const log = new PlainLog()
  const rolledIn = addDays(TODAY, -12)
  const ids: string[] = []
  const before = new Map<string, number>()
  for (let n = 0; n < 5; n += 1) {
    const usesBefore = random.whole(0, 30)
    const id = await house.item({ name: `Thing ${n}`, shade: `Shade ${n}`, usesBefore })
    ids.push(id)
    before.set(id, usesBefore)
  }
  const project = { id: 'p', name: 'Plain', startedOn: addDays(TODAY, -20), by: null, finishesWanted: null, rules: '' }
  await house.post('/projects', project)
  const heads = new Map<string, number>()
  for (const itemId of ids) {
    const headStart = random.whole(0, 4)
    heads.set(itemId, headStart)
    const goal = { kind: 'uses', target: 9, headStart, by: { kind: 'none' } }
    await house.post('/projects/p/roll-in', { stayId: `s-${itemId}`, itemId, day: rolledIn, goal })
  }
  const onTrial = random.pick(ids)
  await house.post('/trials', { trialId: 't', itemId: onTrial, wearsWanted: 3, dueOn: addDays(TODAY, 9), question: '' })
  const acts: { id: string; undo: () => void }[] = []
  for (let n = 0; n < 140; n += 1) {
    const last = acts.at(-1)
    if (last && random.chance(0.15)) {
      await house.post(`/changes/${last.id}/take-back`, {})
      last.undo()
      acts.pop()
      continue
    }
    const itemId = random.pick(ids)
    const day = addDays(TODAY, -random.whole(0, 18))
    const worn = random.chance(0.75)
    const was = log.of(itemId).includes(day)
    const answer = await house.post('/wear', { itemId, day, worn })
    log.set(itemId, day, worn)
    if (answer.body.change.changed)
      acts.push({ id: answer.body.change.id as string, undo: () => log.set(itemId, day, was) })
  }
  const items = await house.whole()
  const stays = ((await house.get('/projects')).body.projects as ProjectView[])[0]?.stays ?? []
  expect(items).toHaveLength(5)
  for (const item of items) {
    const days = log.of(item.id)
    const where = `seed ${seed}, ${item.name}`
    expect([item.wears, item.uses], where).toEqual([days.length, days.length + (before.get(item.id) ?? 0)])
    expect([item.firstWorn, item.lastWorn], where).toEqual([days[0] ?? null, days.at(-1) ?? null])
    const goal = stays.find((stay) => stay.item.id === item.id)?.goal
    const uses = log.since(item.id, rolledIn) + (heads.get(item.id) ?? 0)
    expect([goal?.uses, goal?.met, goal?.usesLeft], where).toEqual([uses, uses >= 9, Math.max(0, 9 - uses)])
  }
  const trial = ((await house.get('/decide')).body.trials as TrialView[])[0]
  expect(trial?.wears).toBe(log.since(onTrial, TODAY))
  for (let back = 0; back < 19; back += 1) {
    const day = addDays(TODAY, -back)
    const worn = ((await house.get(`/today?day=${day}`)).body.worn as { itemId: string }[])
      .map((each) => each.itemId)
      .sort()
    expect(worn, `seed ${seed}, ${day}`).toEqual(ids.filter((id) => log.of(id).includes(day)).sort())
  }
})

test.each([21, 22])(
  'however items are laid, moved and taken out, no zone overflows and no order is reshuffled (seed %i)',
  async (seed) => {
    const random = new Random(seed)
    const ids: string[] = []
    for (let n = 0; n < 14; n += 1)
      ids.push(await house.item({ name: `Thing ${n}`, shade: `${n}`, slots: random.whole(1, 3) }))
    const zones = async (): Promise<DrawerZone[]> => (await house.get('/drawer')).body.zones as DrawerZone[]
    const before = new Map<string, string[]>()
    let refusedAsFull = 0
    for (let n = 0; n < 90; n += 1) {
      const itemId = random.pick(ids)
      const zoneId = random.pick(['brows', 'extras', 'cheeks'])
      const answer = random.chance(0.7)
        ? await house.post('/drawer/place', { placementId: house.id('pl'), itemId, zoneId })
        : await house.post('/drawer/take-out', { itemId })
      if (answer.body.code === 'zone-full') refusedAsFull += 1
      const now = await zones()
      const all = now.flatMap((zone) => zone.itemIds)
      expect(new Set(all).size, `seed ${seed}, step ${n}`).toBe(all.length)
      for (const zone of now) {
        expect(zone.taken, `seed ${seed}, step ${n}, ${zone.id}`).toBeLessThanOrEqual(zone.slots)
        // What lay there before and lies there still keeps its order.
        const old = (before.get(zone.id) ?? []).filter((id) => zone.itemIds.includes(id) && id !== itemId)
        expect(
          zone.itemIds.filter((id) => old.includes(id)),
          `seed ${seed}, step ${n}`,
        ).toEqual(old)
        before.set(zone.id, zone.itemIds)
      }
    }
    expect(refusedAsFull).toBeGreaterThan(3)
  },
)

test('a layout of the past can be told from the placements: each has its days, none overlap', async () => {
  const itemId = await house.item()
  const days = ['2026-10-01', '2026-10-20', '2026-11-05'].map((day) => new Date(`${day}T12:00:00`))
  for (const [n, now] of days.entries()) {
    house.setClock(now)
    await house.post('/drawer/place', { placementId: `pl-${n}`, itemId, zoneId: n % 2 === 0 ? 'cheeks' : 'lips' })
  }
  const rows = house.db.prepare('SELECT zone_id, from_day, to_day FROM placement ORDER BY from_day').all()
  expect(rows).toEqual([
    { zone_id: 'cheeks', from_day: '2026-10-01', to_day: '2026-10-20' },
    { zone_id: 'lips', from_day: '2026-10-20', to_day: '2026-11-05' },
    { zone_id: 'cheeks', from_day: '2026-11-05', to_day: null },
  ])
})

test('a reading belongs before that day’s use, unless the use is ticked already', async () => {
  const itemId = await house.item()
  const read = (id: string, day: Day) =>
    house.post(`/items/${itemId}/readings`, { id, partId: null, reading: { kind: 'stage', stage: 'dip', day } })
  await read('morning', addDays(TODAY, -1))
  await house.post('/wear', { itemId, day: TODAY, worn: true })
  await read('evening', TODAY)
  expect(house.db.prepare('SELECT id, moment FROM measurement ORDER BY day').all()).toEqual([
    { id: 'morning', moment: 'before-use' },
    { id: 'evening', moment: 'after-use' },
  ])
  expect((await house.get(`/items/${itemId}`)).body.item.reading).toMatchObject({ stage: 'dip', day: TODAY })
})

test('the week is planned until four weeks are logged, then learned', async () => {
  const itemId = await house.item()
  const settings = {
    currency: 'EUR',
    rollOverHour: 4,
    plannedWeek: [false, true, false, false, false, false, false],
    units: 'metric',
    scaleStep: 0.1,
    scaleCapacity: null,
    leaning: 'thrift',
    hemisphere: 'north',
  }
  expect((await house.put('/settings', { version: 0, settings })).status).toBe(200)
  expect((await house.get('/projects')).body).toMatchObject({ week: [0, 1, 0, 0, 0, 0, 0], weekLearnedFrom: 0 })
  // Six weeks of Mondays; today is a Tuesday.
  for (let week = 0; week < 6; week += 1)
    await house.post('/wear', { itemId, day: addDays(TODAY, -1 - 7 * week), worn: true })
  expect((await house.get('/projects')).body).toMatchObject({ week: [1, 0, 0, 0, 0, 0, 0], weekLearnedFrom: 5 })
  const stale = await house.put('/settings', { version: 0, settings })
  expect([stale.status, stale.body.code]).toEqual([409, 'stale'])
})
