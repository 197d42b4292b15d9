import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { addMonths, type Day } from '#core/calendar/day'
import { CHANCE_WORDS } from '#core/forecast/verdict'
import type { RaceView } from '#contract/forecast'
import { breachesOf } from '#server/db/house-rules'
import { CAST } from '#demo/cast-data'
import { buildDemo } from '#demo/build-demo'
import { copyDemoTo } from './support/demo-database'
import { recountDoubts } from './support/recount-doubts'
import { STASH } from '#demo/stash-data'
import { openDatabase } from '#server/db/open-database'
import type { Db } from '#server/db/query'
import { makeServices } from '#server/services'
import type { ItemFacts } from '#server/stock/item-facts'

const TODAY = '2026-11-24' as Day
const folder = mkdtempSync(join(tmpdir(), 'seligo-demo-test-'))
const open: Db[] = []
function demo(name: string, today: Day, { seed = 1867, forecasts = true } = {}): Db {
  const db = openDatabase(join(folder, name), { appliedAt: 'x' })
  open.push(db)
  buildDemo(db, { seed, today, forecasts })
  return db
}
const noonOf = (day: Day): Date => new Date(`${day}T12:00:00`)
afterAll(() => {
  for (const each of open) each.close()
  rmSync(folder, { recursive: true, force: true })
})
const count = (sql: string, source: Db): number => source.prepare<[], { n: number }>(sql).get()?.n ?? 0

describe('the scenario', () => {
  let db: Db
  beforeAll(() => {
    copyDemoTo(join(folder, 'one.db'))
    db = openDatabase(join(folder, 'one.db'), { appliedAt: 'x' })
    open.push(db)
  })

  test('about two hundred items in 16 categories, some unopened, some backups, some with unknown openings', () => {
    const house = makeServices(db, () => noonOf(TODAY))
    const items = house.stock.facts(house.stock.presentIds(), TODAY)
    expect(items.length).toBeGreaterThan(160)
    expect(items.length).toBeLessThan(220)
    expect(new Set(items.map((item) => item.categoryId)).size).toBe(16)
    expect(items.filter((item) => item.opening.kind === 'unknown').length).toBeGreaterThan(10)
  })

  test('every number of every doubt is what plain queries count', () => {
    const house = makeServices(db, () => noonOf(TODAY))
    const { inDoubt } = house.doubting.all()
    const codes = new Set(inDoubt.flatMap(({ doubts }) => doubts.map((doubt) => doubt.code)))
    expect(codes.size).toBeGreaterThan(6)
    const items = new Map(house.stock.facts(house.stock.presentIds(), TODAY).map((item) => [item.id, item] as const))
    const inDate = (id: string): boolean => {
      const item = items.get(id)
      return item !== undefined && item.useByAtLatest >= TODAY && item.shelfLife.state !== 'sign seen'
    }
    expect(recountDoubts(db, TODAY, inDoubt, inDate)).toEqual([])
  })

  test('the race runs in every way, with what stops it: a sign, a lapsed filter, an opening nobody knows', () => {
    const house = makeServices(db, () => noonOf(TODAY))
    const items = house.stock.facts(house.stock.presentIds(), TODAY)
    const races = items.map((item) => JSON.parse(house.forecastViews.raceJson(item, null)) as RaceView)
    for (const verdict of [...CHANCE_WORDS, 'not known', 'expired', 'gone off'])
      expect(races.filter((race) => race.verdict === verdict).length, String(verdict)).toBeGreaterThan(0)
    const states = new Set(items.map((item) => item.shelfLife.state))
    for (const state of ['sign seen', 'past', 'within 90 days', 'unknown', 'in date'] as const)
      expect(states).toContain(state)
    expect(items.some((item) => item.shelfLife.sun?.lapsed === true)).toBe(true)
    const wide = ({ lastGood }: ItemFacts['shelfLife']): boolean =>
      lastGood !== null && lastGood.earliest < lastGood.latest
    expect(items.filter((item) => wide(item.shelfLife)).length).toBeGreaterThan(3)
  })
  test('her guesses run short, of some kinds far, of others hardly; forecasts were kept and are scored', () => {
    const house = makeServices(db, () => noonOf(TODAY))
    const { guesses, forecasts } = house.lookingBack.all()
    expect(guesses.all.runsShort).toBe(true)
    expect(guesses.all.unfinished).toBeGreaterThan(2)
    const ratios = guesses.each.filter((each) => each.finished).map(({ days, months }) => days / 30.4375 / months)
    expect(Math.min(...ratios)).toBeLessThan(1.3)
    expect(Math.max(...ratios)).toBeGreaterThan(2.5)
    expect(forecasts.each.length).toBeGreaterThan(2)
    expect(forecasts.marks[0]?.came).not.toBeNull()
  })

  test('eighteen months of wear with their gaps: none in the walking weeks, no eyes in May, few on early shifts', () => {
    expect(
      count(`SELECT count(*) AS n FROM wear WHERE day < '${addMonths(TODAY, -18)}' OR day >= '${TODAY}'`, db),
    ).toBe(0)
    expect(count("SELECT count(*) AS n FROM wear WHERE substr(day, 6) BETWEEN '06-08' AND '06-21'", db)).toBe(0)
    const eyes = 'JOIN item i ON i.id = w.item_id JOIN category c ON c.id = i.category_id WHERE c.eye = 1'
    expect(count(`SELECT count(*) AS n FROM wear w ${eyes} AND substr(day, 6, 2) = '05'`, db)).toBe(0)
    expect(count(`SELECT count(*) AS n FROM wear w ${eyes}`, db)).toBeGreaterThan(200)
    const onWeekday = (day: number): number =>
      count(`SELECT count(DISTINCT day) AS n FROM wear WHERE strftime('%w', day) = '${day}'`, db)
    expect(onWeekday(1)).toBeLessThan(onWeekday(6) / 3)
  })

  test('everything was made by commands at times that spread over the day, with ids as the pages make them', () => {
    for (const table of ['item', 'wear', 'measurement', 'stay', 'placement', 'review', 'verdict', 'trial'])
      expect(
        count(
          `SELECT count(*) AS n FROM ${table} t WHERE NOT EXISTS (SELECT 1 FROM change_row r WHERE r.tbl = '${table}' AND r.row_id = t.id)`,
          db,
        ),
        table,
      ).toBe(0)
    expect(count('SELECT count(DISTINCT substr(made_at, 12, 2)) AS n FROM change', db)).toBeGreaterThanOrEqual(6)
    expect(count("SELECT count(*) AS n FROM item WHERE id NOT GLOB '????????-????-4???-????-????????????'", db)).toBe(0)
  })

  test('the same seed and day give the same collection, another seed another', () => {
    const dump = (source: Db): string =>
      JSON.stringify(
        ['item', 'wear', 'stay', 'placement', 'measurement'].map((table) =>
          source.prepare(`SELECT * FROM ${table} ORDER BY id`).all(),
        ),
      )
    expect(dump(demo('two.db', TODAY))).toBe(dump(db))
    expect(dump(demo('three.db', TODAY, { seed: 1868, forecasts: false }))).not.toBe(dump(db))
  })
})

/** Over a year and more: ends of months, New Year, May and the walking weeks; and a leap day. */
const DAYS = ['2026-11-24', '2027-01-01', '2027-02-28', '2027-05-31', '2027-06-15', '2028-02-29'] as const

test.each(DAYS)('on %s the cast plays its parts', (text) => {
  const today = text as Day
  const db = demo(`${today}.db`, today, { forecasts: false })
  const house = makeServices(db, () => noonOf(today))
  const items = house.stock.facts(house.stock.presentIds(), today)
  const shadeOf = (categoryId: string, index: number): string => {
    const shades = STASH.find((kind) => kind.categoryId === categoryId)?.shades ?? []
    return shades[index % shades.length]?.[0] ?? ''
  }
  const playing = (role: (typeof CAST)[number]['roles'][number]): ItemFacts => {
    const member = CAST.find((each) => each.roles.includes(role))
    const found = items.find(
      (item) =>
        item.categoryId === member?.categoryId &&
        item.shade === shadeOf(member.categoryId, member.index) &&
        item.opening.by === 'she' &&
        item.opening.kind === 'range' &&
        item.paoMonths === member.paoMonths &&
        item.usesBefore === null,
    )
    if (!found) throw new Error(`Nobody plays ${role}`)
    return found
  }
  const project = house.projects.all().projects[0]
  const stayOf = (item: ItemFacts) => project?.stays.find((stay) => stay.item.id === item.id)

  for (const role of ['on pace', 'behind', 'out of reach'] as const)
    expect(stayOf(playing(role))?.goal.standing, role).toBe(role)
  expect(stayOf(playing('goal met'))).toMatchObject({ rolledOut: null, goal: { met: true, uses: 12, target: 10 } })
  expect(stayOf(playing('reached and out'))).toMatchObject({ outReason: 'met', goal: { met: true } })
  expect(stayOf(playing('left unfinished'))).toMatchObject({ outReason: 'left unfinished', goal: { met: false } })
  expect(stayOf(playing('without a date'))?.goal).toMatchObject({
    by: null,
    // It has no date of its own: the plan in force says where it should be.
    notch: expect.any(Number),
  })
  expect(stayOf(playing('finish by eye'))?.goal.done).toBeGreaterThan(0.7)
  expect(project).toMatchObject({ reached: 2, left: 1 })
  expect(project?.onTheGo).toBe((project?.stays.length ?? 0) - 3)

  const palette = playing('half panned palette')
  expect(palette.parts.filter((part) => ['first pan', 'half bare'].includes(part.reading?.stage ?? ''))).toHaveLength(4)
  expect(palette.contents).toMatchObject({ panShows: true, shades: { read: 8, all: 8 } })
  expect(playing('nearly done').contents.left).toBe(0.15)
  expect(playing('spoils soon').shelfLife.state).toBe('within 90 days')
  expect(playing('lapsed sunscreen').shelfLife).toMatchObject({ state: 'past', sun: { lapsed: true } })
  expect(playing('in-date sunscreen')).toMatchObject({ placement: {}, shelfLife: { sun: { lapsed: false } } })
  expect(playing('asks back')).toMatchObject({ location: 'season box' })
  expect(house.laying.all().comeBack.map((item) => item.id)).toContain(playing('asks back').id)
  expect(playing('has a backup').backups).toBeGreaterThan(0)
  const pairs = house.care.pairsOf(playing('fought').id)
  expect(pairs.find((pair) => pair.verdict === 'fights')?.otherItemId).toBe(playing('fights').id)
  expect(pairs.find((pair) => pair.verdict === 'works')).toMatchObject({ itemAmount: 2, amountUnit: 'pumps' })

  const { trials, verdicts } = house.decide.all()
  const { inDoubt } = house.doubting.all()
  expect(trials.filter((trial) => trial.decisionDue).map((trial) => trial.item.id)).toEqual([playing('trial due').id])
  expect(trials).toHaveLength(3)
  expect(verdicts.map((verdict) => verdict.verdict)).toContain('let go')
  expect(inDoubt.map(({ item }) => item.id)).toContain(playing('doubted').id)

  const { empties } = house.empties.all()
  expect(new Set(empties.map((empty) => empty.item.categoryId)).size).toBeGreaterThanOrEqual(9)
  expect(empties.every((empty) => empty.daysInUse === null || empty.daysInUse.least >= 0)).toBe(true)

  // Nobody with a part is spoiled but the one whose part it is, and the whole of the drawer is as it was laid.
  const spoiled = CAST.flatMap(({ roles }) => roles)
    .filter((role) => role !== 'lapsed sunscreen')
    .filter((role) => ['past', 'sign seen'].includes(playing(role).shelfLife.state))
  expect(spoiled).toEqual([])
  expect(items.filter((item) => item.placement !== null)).toHaveLength(CAST.filter((each) => each.inDrawer).length)
  expect(breachesOf(db)).toEqual([])
  expect(house.stock.days.silent(today)).toBeNull()
})
