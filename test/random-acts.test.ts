import { writesOf } from '#server/create-app'
import { addDays } from '#core/calendar/day'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { breachesOf } from '#server/db/house-rules'
import { forecastOf } from '#core/forecast/forecast'
import { GatheringEvidence } from '#server/decide/evidence'
import { Supplying } from '#server/forecast/supplying'
import { Forecasts } from '#server/forecast/forecasts'
import { Stock } from '#server/stock/stock'
import { ACTS } from './support/random-acts-data'
import { recountSheet } from './support/recount-sheet'
import { RandomOwner } from './support/random-owner'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

/** What was done in all runs, by its name, with how often it was taken. */
const done = new Map<string, number>()
const worked = new Set<string>()
const asked = new Set<string>()
const note = (name: string): void => void done.set(name, (done.get(name) ?? 0) + 1)

/** Every rule of the house by its query, the references, and what is remembered against what would be read anew. */
function checkHouse(owner: RandomOwner, where: string): void {
  expect(breachesOf(house.db), where).toEqual([])
  expect(house.db.pragma('foreign_key_check'), where).toEqual([])
  const { stock } = house.services
  const ids = [...new Set([...stock.presentIds(), ...owner.items])]
  const anew = new Stock(house.db, () => house.services.settings())
  // Asked for twice: the first time some of it is read, the second time all of it comes from memory.
  for (let n = 0; n < 2; n += 1) expect(stock.facts(ids, TODAY), where).toEqual(anew.facts(ids, TODAY))
  expect(stock.week(TODAY), where).toEqual(anew.week(TODAY))
  expect(house.services.supplying.all(), where).toEqual(new Supplying(house.services).all())
  const [evidence, gathered] = [house.services.evidence.all(), new GatheringEvidence(house.services).all()]
  for (const item of evidence.items) {
    expect(evidence.doubts(item), where).toEqual(gathered.doubts(item))
    expect(evidence.worn(item.id), where).toBe(gathered.worn(item.id))
  }
  const remembered = house.services.forecasts
  const fresh = new Forecasts(house.db, anew, () => TODAY)
  for (const item of stock.facts(ids, TODAY)) {
    const { forecast, role, last } = remembered.of(item)
    expect({ forecast, role, last }, where).toEqual({
      forecast: forecastOf(fresh.factsOf(item), remembered.userEffects()),
      role: fresh.roleOf(item).role,
      last: fresh.days().last,
    })
  }
}

describe('whatever is done, undone and done again, in whatever order', () => {
  test.each([21, 22, 23, 24, 25, 26, 27, 28])(
    'no answer is a mistake, every rule holds, nothing remembered is stale, and all of it can be undone (seed %i)',
    async (seed) => {
      const owner = new RandomOwner(house, seed, worked)
      house.listen = (method, path) => asked.add(`${method} ${path}`)
      const beginning = house.snapshot()
      await owner.begin()
      const acts: string[] = []
      for (let n = 0; n < 170; n += 1) {
        const where = (): string => `seed ${seed}, step ${n}, after ${acts.slice(-4).join(', ')}`
        if (owner.changes.length > 0 && owner.random.chance(0.3)) {
          const id = owner.random.pick(owner.changes)
          const before = house.snapshot()
          const back = await house.post(`/changes/${id}/take-back`, { withLater: owner.random.chance(0.5) })
          acts.push(`undo ${id.slice(0, 8)} (${back.status} ${back.body.code ?? ''})`)
          note(back.status === 200 ? 'undo' : `undo: ${back.body.code}`)
          expect([200, 409], where()).toContain(back.status)
          if (back.status !== 200) {
            expect(back.body.detail.length, where()).toBeGreaterThan(20)
            expect(house.snapshot(), where()).toBe(before)
          } else {
            // An undo is a change like any other: taken back in its turn, all is as it was before it.
            if (owner.random.chance(0.4)) {
              const again = await house.post(`/changes/${back.body.change.id}/take-back`, {})
              acts.push(`again (${again.status})`)
              expect(again.status, where()).toBe(200)
              expect(house.snapshot(), where()).toBe(before)
              note('redo')
            } else owner.changes.push(back.body.change.id)
          }
        } else {
          const { name, answer } = await owner.act()
          acts.push(`${name} (${answer.status} ${answer.body?.code ?? ''})`)
          expect(answer.status, where()).not.toBe(500)
          if (answer.status === 200) note(name)
        }
        if (owner.random.chance(0.03)) {
          await house.restart()
          acts.push('restart')
          note('restart')
        }
        checkHouse(owner, where())
      }
      for (const [from, to] of [
        ['2026-11-01', '2026-11-30'],
        ['2026-01-01', '2026-12-31'],
      ])
        expect(
          recountSheet(house.db, (await house.get(`/look-back/sheet?from=${from}&to=${to}`)).body),
          `${from}, seed ${seed}`,
        ).toEqual([])
      // Her user effect of the next day leans on first passes that were remembered through all of it.
      const next = addDays(TODAY, 1)
      house.setClock(new Date(2026, 10, 25, 12))
      const anew = new Forecasts(house.db, new Stock(house.db, () => house.services.settings()), () => next)
      expect(house.services.forecasts.userEffects()).toEqual(anew.userEffects())
      house.setClock(new Date(2026, 10, 24, 12))
      // Back to the moment before the first of them: exactly that moment, past every taking back.
      const { changes } = await allChanges()
      const back = await house.post(`/changes/${changes.at(-1)?.id ?? ''}/go-back`, {})
      expect(back.status).toBe(200)
      expect(house.snapshot()).toBe(beginning)
      expect((await allChanges()).changes.filter((each) => !each.undone)).toEqual([])
    },
    60_000,
  )

  test('every command there is was among them, and undo was refused for each type of reason', async () => {
    const never = (): string[] => Object.keys(ACTS).filter((name) => !done.has(name))
    // What has never worked out by chance is gone on with until it does.
    const owner = new RandomOwner(house, 5, worked)
    house.listen = (method, path) => asked.add(`${method} ${path}`)
    await owner.begin()
    for (let n = 0; n < 1500 && never().length > 0; n += 1) {
      const { name, answer } = await owner.act()
      expect(answer.status, name).not.toBe(500)
      if (answer.status === 200) note(name)
    }
    expect(breachesOf(house.db)).toEqual([])
    expect(never()).toEqual([])
    for (const kind of ['undo', 'redo', 'restart', 'undo: later-changes-stand-on-it', 'undo: already-undone'])
      expect(done.get(kind) ?? 0, kind).toBeGreaterThan(0)
  })

  test('every route that writes was asked, but those tried elsewhere', () => {
    const elsewhere = ['/collection-file']
    const never = writesOf(house.services).filter(({ method, path }) => {
      const pattern = new RegExp(`^${method.toUpperCase()} ${path.replaceAll(/:\w+/g, '[^/]+')}$`)
      return !elsewhere.includes(path) && ![...asked].some((each) => pattern.test(each))
    })
    expect(never.map((route) => route.path)).toEqual([])
  })
})

describe('in the middle of it', () => {
  test.each([31, 32])(
    'out and in again, a second window that sends the same, a full disk, a clock a day back: all holds, and goes on (seed %i)',
    async (seed) => {
      const owner = new RandomOwner(house, seed)
      await owner.begin()
      /** What was sent last: a second window sends it once more, as an act of its own, with what it knew then. */
      let last: [string, string, Record<string, unknown>] | null = null
      const request = house.request.bind(house)
      house.request = (method, path, body, headers) => {
        if (method !== 'GET' && body !== undefined) last = [method, path, JSON.parse(body) as Record<string, unknown>]
        return request(method, path, body, headers)
      }
      let refused = 0
      for (let n = 0; n < 110; n += 1) {
        const { name, answer } = await owner.act()
        expect(answer.status, name).not.toBe(500)
        if (answer.status === 507) refused += 1
        if (last !== null && owner.random.chance(0.3)) {
          const [method, path, body]: [string, string, Record<string, unknown>] = last
          const again = await request(method, path, JSON.stringify({ ...body, changeId: owner.id() }))
          expect(again.status, `${name} from a second window`).not.toBe(500)
        }
        if (n === 40) {
          const before = house.snapshot()
          const { body: collection } = await house.get('/export')
          const taken = await house.post('/collection-file', { replace: true, collection })
          expect([taken.status, taken.body.code]).toEqual([200, undefined])
          expect(house.snapshot()).toBe(before)
        }
        // From here on the file may not grow, as on a full disk; then there is room again.
        if (n === 50) house.db.exec('VACUUM')
        if (n === 50) house.db.pragma(`max_page_count = ${String(house.db.pragma('page_count', { simple: true }))}`)
        if (n === 70) house.db.pragma('max_page_count = 4294967294')
        if (n === 80) house.setClock(new Date(2026, 10, 23, 12))
        if (n === 95) house.setClock(new Date(2026, 10, 24, 12))
        if (n < 80 || n >= 95) checkHouse(owner, `seed ${seed}, step ${n}, after ${name}`)
        expect(breachesOf(house.db)).toEqual([])
      }
      expect(refused).toBeGreaterThan(0)
    },
  )
})

async function allChanges(): Promise<{ changes: { id: string; undone: boolean }[] }> {
  const changes: { id: string; undone: boolean }[] = []
  for (let before: number | null = null; ;) {
    const page: { changes: typeof changes; next: number | null } = (
      await house.get(`/changes${before === null ? '' : `?before=${before}`}`)
    ).body
    changes.push(...page.changes)
    before = page.next
    if (before === null) return { changes }
  }
}
