import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { addMonths, type Day } from '#core/calendar/day'
import { CHANCE_WORDS } from '#core/forecast/verdict'
import type { RaceView } from '#contract/forecast'
import { breachesOf } from '#server/db/house-rules'
import { buildDemo } from '#demo/build-demo'
import { ROLES, type Cast, type Role } from '#demo/maren/cast'
import { copyDemoTo } from './support/demo-database'
import { recountDoubts } from './support/recount-doubts'
import { openDatabase } from '#server/db/open-database'
import type { Db } from '#server/db/query'
import { makeServices } from '#server/services'
import type { ItemFacts } from '#server/stock/item-facts'

const TODAY = '2026-11-24' as Day
const folder = mkdtempSync(join(tmpdir(), 'seligo-demo-test-'))
const open: Db[] = []
function demo(name: string, today: Day, { seed = 2171, forecasts = true } = {}): { db: Db; cast: Cast } {
  const db = openDatabase(join(folder, name), { appliedAt: 'x' })
  open.push(db)
  return { db, cast: buildDemo(db, { seed, today, forecasts }) }
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
  test('her guesses run short, of some types far, of others hardly; forecasts were kept and are scored', () => {
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
    expect(dump(demo('two.db', TODAY).db)).toBe(dump(db))
    expect(dump(demo('three.db', TODAY, { seed: 2172, forecasts: false }).db)).not.toBe(dump(db))
  }, 180_000)
})

/** Over a year and more: ends of months, New Year, May, the walking weeks and after, the move; and a leap day. */
const DAYS = [
  ...['2026-09-01', '2026-11-24', '2026-11-25', '2026-12-01', '2027-01-01', '2027-02-28'],
  ...['2027-03-20', '2027-05-31', '2027-06-15', '2027-08-08', '2027-10-31', '2028-02-29'],
]

test.each(DAYS)('on %s every part is played by somebody in her life, and the product says so', (text) => {
  const today = text as Day
  const { db, cast } = demo(`${today}.db`, today, { forecasts: false })
  expect(ROLES.filter((role) => !cast.has(role))).toEqual([])
  const house = makeServices(db, () => noonOf(today))
  const items = new Map(
    house.stock.facts(house.stock.presentIds(), today).map((item): [string, ItemFacts] => [item.id, item]),
  )
  const playing = (role: Role): ItemFacts => {
    const found = items.get(cast.get(role)?.id ?? '')
    if (!found) throw new Error(`Nobody plays ${role}`)
    return found
  }
  const project = house.projects.all().projects.find(({ id }) => id === 'centenary')
  const staysOf = (role: Role) => project?.stays.filter((stay) => stay.item.id === cast.get(role)?.id) ?? []
  const stayOf = (role: Role) => staysOf(role).at(-1)

  for (const role of ['on pace', 'behind', 'out of reach'] as const)
    expect(stayOf(role)?.goal.standing, role).toBe(role)
  expect(stayOf('goal met')).toMatchObject({ rolledOut: null, goal: { met: true } })
  expect(staysOf('met lately').map(({ goal }) => goal.met)).toContain(true)
  expect(staysOf('reached and out').map(({ outReason }) => outReason)).toContain('met')
  expect(staysOf('left unfinished').map(({ outReason }) => outReason)).toContain('left unfinished')
  expect(stayOf('without a date')?.goal.by).toBeNull()
  expect(stayOf('finish by eye')?.goal.done).toEqual(expect.any(Number))
  const bare = playing('half panned palette').parts.filter((part) =>
    ['first pan', 'half bare', 'mostly bare'].includes(part.reading?.stage ?? ''),
  )
  expect(bare.length).toBeGreaterThan(0)
  expect(playing('nearly done').contents.left ?? 0).toBeLessThan(0.45)
  expect(playing('spoils soon').shelfLife.state).toBe('within 90 days')
  expect(playing('lapsed sunscreen').shelfLife.sun?.lapsed).toBe(true)
  expect(playing('in-date sunscreen')).toMatchObject({ placement: {}, shelfLife: { sun: { lapsed: false } } })
  expect(playing('rests')).toMatchObject({ location: 'season box' })
  expect(house.seasonChange.all().comeBack.map((item) => item.id)).toContain(playing('rests').id)
  expect(playing('has a backup').backups).toBeGreaterThan(0)
  const pairs = house.care.pairsOf(playing('mixed').id)
  expect(pairs.find((pair) => pair.verdict === 'fights')?.otherItemId).toBe(playing('fights').id)
  expect(pairs.find((pair) => pair.verdict === 'works')).toMatchObject({ itemAmount: 2, amountUnit: 'pumps' })

  const { trials, verdicts } = house.decide.all()
  expect(trials.filter((trial) => trial.decisionDue).map((trial) => trial.item.id)).toContain(playing('trial due').id)
  expect(trials).toHaveLength(3)
  expect(verdicts.map((verdict) => verdict.verdict)).toContain('let go')
  expect(house.doubting.all().inDoubt.length).toBeGreaterThan(3)

  // What is finished was worn until it was empty; nothing comes once she swore off buying.
  const { empties } = house.empties.all()
  expect(new Set(empties.map((empty) => empty.item.categoryId)).size).toBeGreaterThanOrEqual(6)
  for (const { item } of empties)
    expect(count(`SELECT count(*) AS n FROM wear WHERE item_id = '${item.id}'`, db), item.name).toBeGreaterThan(2)
  expect(empties.every((empty) => empty.daysInUse === null || empty.daysInUse.least >= 0)).toBe(true)
  expect(
    count(
      `SELECT count(*) AS n FROM item WHERE source = 'bought' AND acquired_earliest > '${project?.startedOn ?? ''}'`,
      db,
    ),
  ).toBe(0)
  expect(breachesOf(db)).toEqual([])
  expect(house.stock.days.silent(today)).toBeNull()
})

test('hay fever is seen in May: fewer days with makeup, and nothing at the eyes', () => {
  const db = openDatabase(join(folder, '2027-06-15.db'), { appliedAt: 'x' })
  open.push(db)
  const daysIn = (month: string): number =>
    count(`SELECT count(DISTINCT day) AS n FROM wear WHERE day LIKE '${month}%'`, db)
  expect(daysIn('2027-05')).toBeLessThan(0.8 * ((daysIn('2027-03') + daysIn('2027-04')) / 2))
})
