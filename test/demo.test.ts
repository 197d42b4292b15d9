import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { addMonths, type Day } from '#core/calendar/day'
import { buildDemo } from '#demo/build-demo'
import { openDatabase, type Db } from '#server/db/open-database'
import { furnish, type House } from '#server/house'
import { Decide } from '#server/decide/decide'
import { Projects } from '#server/projects/projects'

const TODAY = '2026-11-24' as Day
const folder = mkdtempSync(join(tmpdir(), 'seligo-demo-test-'))
const open: Db[] = []
function demo(name: string, today: Day, seed = 1867): Db {
  const db = openDatabase(join(folder, name), { appliedAt: 'x' })
  open.push(db)
  buildDemo(db, { seed, today })
  return db
}

let db: Db
let house: House
beforeAll(() => {
  db = demo('one.db', TODAY)
  house = furnish(db, () => new Date(2026, 10, 24, 12))
})
afterAll(() => {
  for (const each of open) each.close()
  rmSync(folder, { recursive: true, force: true })
})
const count = (sql: string, source = db): number => source.prepare<[], { n: number }>(sql).get()?.n ?? 0

describe('the scenario', () => {
  test('about two hundred items in 16 categories, some unopened, some backups, some with unknown openings', () => {
    const items = house.stock.summaries(house.stock.presentIds(), TODAY)
    expect(items.length).toBeGreaterThan(160)
    expect(items.length).toBeLessThan(220)
    expect(new Set(items.map((item) => item.categoryId)).size).toBe(16)
    expect(items.filter((item) => item.isBackup).length).toBeGreaterThan(0)
    expect(items.filter((item) => item.opened.kind === 'unknown').length).toBeGreaterThan(10)
    expect(
      items.filter((item) => item.reading !== null || item.parts.some((part) => part.reading)).length,
    ).toBeGreaterThan(30)
  })
  test('eighteen months of wear with their gaps: none in the walking weeks, no eyes in May, few on early shifts', () => {
    expect(count(`SELECT count(*) AS n FROM wear WHERE day < '${addMonths(TODAY, -18)}' OR day >= '${TODAY}'`)).toBe(0)
    expect(count("SELECT count(*) AS n FROM wear WHERE substr(day, 6) BETWEEN '06-08' AND '06-21'")).toBe(0)
    const eyes = 'JOIN item i ON i.id = w.item_id JOIN category c ON c.id = i.category_id WHERE c.eye = 1'
    expect(count(`SELECT count(*) AS n FROM wear w ${eyes} AND substr(day, 6, 2) = '05'`)).toBe(0)
    expect(count(`SELECT count(*) AS n FROM wear w ${eyes}`)).toBeGreaterThan(200)
    const onWeekday = (day: number): number =>
      count(`SELECT count(DISTINCT day) AS n FROM wear WHERE strftime('%w', day) = '${day}'`)
    expect(onWeekday(1)).toBeLessThan(onWeekday(6) / 3)
  })
  test('a project in mid-flight with something met and waiting, empties, trials one of which is due', () => {
    const project = new Projects(house).all().projects[0]
    expect(project?.stays.some((stay) => stay.rolledOut === null && stay.goal.met)).toBe(true)
    expect(project?.stays.filter((stay) => stay.rolledOut === null).length).toBeGreaterThanOrEqual(8)
    expect(count('SELECT count(*) AS n FROM review')).toBeGreaterThan(8)
    const { trials, verdicts } = new Decide(house).all()
    expect(trials).toHaveLength(3)
    expect(trials.filter((trial) => trial.decisionDue)).toHaveLength(1)
    expect(verdicts.map((verdict) => verdict.verdict)).toContain('let go')
  })
})

test('everything was made by commands: each row stands in the journal', () => {
  for (const table of ['item', 'wear', 'measurement', 'stay', 'placement', 'review', 'verdict', 'trial'])
    expect(
      count(
        `SELECT count(*) AS n FROM ${table} t WHERE NOT EXISTS (SELECT 1 FROM change_row r WHERE r.tbl = '${table}' AND r.row_id = t.id)`,
      ),
      table,
    ).toBe(0)
})

test('the same seed and day give the same collection, another seed another', () => {
  const dump = (source: Db): string =>
    JSON.stringify(
      ['item', 'wear', 'stay', 'placement', 'measurement'].map((table) =>
        source.prepare(`SELECT * FROM ${table} ORDER BY id`).all(),
      ),
    )
  expect(dump(demo('two.db', TODAY))).toBe(dump(db))
  expect(dump(demo('three.db', TODAY, 1868))).not.toBe(dump(db))
})

test.each(['2027-01-01', '2028-02-29'])('it can be made on %s too', (day) => {
  const made = demo(`${day}.db`, day as Day)
  expect(count('SELECT count(*) AS n FROM wear', made)).toBeGreaterThan(1500)
  expect(count('SELECT count(*) AS n FROM trial WHERE closed_on IS NULL', made)).toBe(3)
})
