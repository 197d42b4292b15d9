import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import { addDays, type Day } from '#core/calendar/day'
import { monthsWithin } from '#core/look-back/span'
import type { SpanSheet } from '#contract/look-back'
import { copyDemoTo } from './support/demo-database'
import { openDatabase } from '#server/db/open-database'
import type { Db } from '#server/db/query'
import { makeServices, type Services } from '#server/services'
import { looksOf } from '#server/look-back/looks-of'
import { recountSheet } from './support/recount-sheet'
import { TestHouse, TODAY } from './support/test-house'

const d = (text: string): Day => text as Day

describe('of a year of the demo', () => {
  const folder = mkdtempSync(join(tmpdir(), 'seligo-look-'))
  let db: Db
  let house: Services
  const sheetOf = (from: Day, to: Day, project: string | null = null): SpanSheet => {
    const found = house.spanSheets.of({ from, to }, project)
    if (!found.ok) throw new Error(found.failure.code)
    return found.value
  }
  beforeAll(() => {
    copyDemoTo(join(folder, 'demo.db'))
    db = openDatabase(join(folder, 'demo.db'), { appliedAt: 'x' })
    house = makeServices(db, () => new Date(`${TODAY}T12:00:00`))
  })
  afterAll(() => {
    db.close()
    rmSync(folder, { recursive: true, force: true })
  })

  test.each([
    ['a month', '2026-10-01', '2026-10-31'],
    ['the running month', '2026-11-01', '2026-11-30'],
    ['the year', '2026-01-01', '2026-12-31'],
    ['a span of her own', '2026-02-12', '2026-09-03'],
    ['one day', '2026-11-21', '2026-11-21'],
    ['before the log', '2020-01-01', '2020-12-31'],
    ['ten years', '2017-01-01', '2026-12-31'],
  ])('%s is as it is counted the slow way', (_, from, to) => {
    expect(recountSheet(db, sheetOf(d(from), d(to)))).toEqual([])
  })

  test('its months add up to the year, and say the same each on its own sheet', () => {
    const year = sheetOf(d('2026-01-01'), d('2026-12-31'))
    const months = monthsWithin({ from: year.from, to: TODAY }).map(({ from, to }) => sheetOf(from, to))
    const sum = (of: (sheet: SpanSheet) => number): number => months.reduce((all, sheet) => all + of(sheet), 0)
    expect(year.totals.uses).toBeGreaterThan(1000)
    for (const of of [
      (sheet: SpanSheet) => sheet.totals.uses,
      (sheet: SpanSheet) => sheet.days.wear,
      (sheet: SpanSheet) => sheet.days.noMakeup,
      (sheet: SpanSheet) => sheet.days.notRecorded,
      (sheet: SpanSheet) => sheet.finishes.length,
      (sheet: SpanSheet) => sheet.letGo.length,
      (sheet: SpanSheet) => sheet.cameIn.length,
      (sheet: SpanSheet) => sheet.spoiled.length,
      (sheet: SpanSheet) => sheet.firstTimes.length,
      (sheet: SpanSheet) => sheet.verdicts.length,
    ])
      expect(sum(of), String(of)).toBe(of(year))
    expect(sum((sheet) => sheet.totals.spent.minor)).toBeCloseTo(year.totals.spent.minor, 6)
    expect(sum((sheet) => sheet.totals.grams?.grams ?? 0)).toBeCloseTo(year.totals.grams?.grams ?? 0, 6)
    expect(year.months.map((each) => each.uses)).toEqual(months.map((sheet) => sheet.totals.uses))
    expect(year.months.map((each) => each.wearDays)).toEqual(months.map((sheet) => sheet.days.wear))
    for (const [n, each] of year.months.entries())
      expect(each.spent).toBeCloseTo(months[n]?.totals.spent.minor ?? NaN, 6)
    // Then, what came and what went is now, kind by kind; the next month begins as the last one ended.
    for (const sheet of [year, ...months])
      for (const kind of sheet.kinds) expect(kind.then + kind.cameIn - kind.wentOut, kind.category).toBe(kind.now)
  })

  test('no more of an item is used up in money than it cost, over all the log', () => {
    const all = sheetOf(d('2020-01-01'), TODAY)
    const price = db.prepare<[], { sum: number }>('SELECT sum(price_minor) AS sum FROM item').get()?.sum ?? 0
    expect(all.totals.spent.minor).toBeGreaterThan(0)
    expect(all.totals.spent.minor).toBeLessThan(price)
    expect(all.totals.spent.of + all.totals.spent.unknown).toBe(all.totals.things)
  })

  test('grams stand beside the uses between their two weighings, not beside those of the month', () => {
    const between = db.prepare<{ id: string; from: string; to: string }, { n: number }>(
      'SELECT count(DISTINCT day) AS n FROM wear WHERE item_id = :id AND day > :from AND day <= :to',
    )
    const weighed = sheetOf(d('2026-10-01'), d('2026-10-31')).lines.flatMap(({ itemId: id, grams }) =>
      grams?.from && grams.to ? [{ id, from: grams.from, to: grams.to, uses: grams.uses }] : [],
    )
    expect(weighed.length).toBeGreaterThan(5)
    expect(weighed.some(({ from }) => from < '2026-10-01')).toBe(true)
    for (const { uses, ...pair } of weighed) expect(uses, pair.id).toBe(between.get(pair)?.n)
  })

  test('a month shows its project as it stood then, not as it stands now', () => {
    const project = house.projects.all().closed[0]
    if (!project) throw new Error('the demo has had no wrap-up')
    const finale = sheetOf(project.startedOn, project.closedOn ?? TODAY, project.id)
    expect(finale.project).toMatchObject({ id: project.id, to: project.closedOn })
    expect(new Set(finale.lines.map(({ itemId }) => itemId))).toEqual(
      new Set(project.stays.map((stay) => stay.item.id)),
    )
    const early = sheetOf(project.startedOn, addDays(project.startedOn, 13), project.id)
    for (const line of finale.lines) {
      const then = early.lines.find(({ itemId }) => itemId === line.itemId)?.goal
      expect(then?.wearsInStay ?? 0).toBeLessThanOrEqual(line.goal?.wearsInStay ?? 0)
    }
    // In its first fortnight no goal of fifteen uses can have been reached.
    expect(early.lines.some(({ goal }) => goal?.met === true)).toBe(false)
    expect(finale.lines.some(({ goal }) => goal?.met === true)).toBe(true)
  })

  test('looks are in makeup order; those never together never were', () => {
    const { often, never, days } = looksOf(house, TODAY)
    const wornOn = new Map(days.map((each) => [each.day, new Set(each.itemIds)]))
    expect(often.length).toBeGreaterThan(3)
    for (const pair of never) {
      expect(pair.days).toBe(0)
      for (const worn of wornOn.values()) expect(worn.has(pair.one.itemId) && worn.has(pair.other.itemId)).toBe(false)
    }
    const both = (a: string, b: string): number =>
      db
        .prepare<string[], { n: number }>(
          'SELECT count(*) AS n FROM wear a JOIN wear b ON a.day = b.day WHERE a.item_id = ? AND b.item_id = ? AND a.day > ?',
        )
        .get(a, b, addDays(TODAY, -365))?.n ?? 0
    for (const pair of [...often, ...never]) expect(both(pair.one.itemId, pair.other.itemId)).toBe(pair.days)
  })
})

describe('over HTTP', () => {
  let house: TestHouse
  beforeEach(async () => {
    house = await TestHouse.open()
  })
  afterEach(() => house.close())
  const sheet = (from: string, to: string) => house.get(`/look-back/sheet?from=${from}&to=${to}`)

  test('nothing yet is an empty sheet, not a mistake', async () => {
    const { status, body } = await sheet('2026-11-01', '2026-11-30')
    expect(status).toBe(200)
    expect(body).toMatchObject({
      logSince: null,
      running: true,
      totals: { uses: 0, grams: null, perUse: null, spent: { minor: 0, of: 0 } },
      evenness: null,
      look: null,
      finishes: [],
      days: { wear: 0, notRecorded: 0 },
    })
    expect(recountSheet(house.db, body)).toEqual([])
  })

  test.each([
    ['a reversed span', '2026-11-30', '2026-11-01', 'span-reversed', 'Swap the two'],
    ['one that lies ahead', '2027-01-01', '2027-01-31', 'span-ahead', 'has not come yet'],
    ['no day', '2026-13-01', '2026-11-01', 'no-such-day', '2026-13-01'],
    ['a century', '1970-01-01', '2026-11-01', 'span-too-long', 'thirty years'],
  ])('%s is refused in words', async (_, from, to, code, words) => {
    const { status, body } = await sheet(from, to)
    expect(status).toBe(422)
    expect(body).toMatchObject({ code })
    expect(body.detail).toContain(words)
  })

  test('one day of data, two items without a price: counted, and said what isn’t in the money', async () => {
    const [priced, found, none] = [
      await house.item({ name: 'Priced', priceMinor: 1200, usesBefore: 0 }),
      await house.item({ name: 'Found', usesBefore: 0, priceMinor: null }),
      await house.item({ name: 'Gift', usesBefore: 0, priceMinor: null }),
    ]
    for (const itemId of [priced, found, none])
      await house.post('/wear', { itemId, day: '2026-11-20', worn: true, despite: true })
    const { body } = await sheet('2026-11-01', '2026-11-30')
    expect(body.totals).toMatchObject({ uses: 3, things: 3, spent: { of: 1, unknown: 2 } })
    expect(body.days).toMatchObject({ wear: 1, looks: 1, notRecorded: 3 })
    expect(body.totals.spent.minor).toBeGreaterThan(0)
    expect(body.totals.spent.minor).toBeLessThan(1200)
    // Finished after that one use, all of its price went on that day.
    const review = { wouldBuyAgain: 'yes', words: '', packageGoes: null }
    await house.post(`/items/${priced}/finish`, { reviewId: 'r', day: '2026-11-20', ...review })
    const after = (await sheet('2026-11-01', '2026-11-30')).body
    expect(after.finishes).toMatchObject([{ itemId: priced, uses: 1, priceMinor: 1200 }])
    expect(after.totals.spent.minor).toBe(1200)
    expect(recountSheet(house.db, after)).toEqual([])
  })

  test('a month that is over says the same whatever is ticked and weighed later; the later month takes it up', async () => {
    const itemId = await house.item({ priceMinor: 2400, usesBefore: 0 })
    const wear = (day: string): Promise<unknown> => house.post('/wear', { itemId, day, worn: true, despite: true })
    for (const day of ['2026-10-05', '2026-10-06', '2026-10-12']) await wear(day)
    const spent = async (month: string): Promise<SpanSheet['totals']> =>
      (await sheet(`${month}-01`, `${month}-${month.endsWith('10') ? '31' : '30'}`)).body.totals
    const october = await spent('2026-10')
    expect(october).toMatchObject({ uses: 3, spent: { of: 1 } })
    for (const day of ['2026-11-02', '2026-11-03', '2026-11-09', '2026-11-10']) await wear(day)
    const before = (await spent('2026-11')).spent.minor / 4
    expect(before).toBeCloseTo(october.spent.minor / 3, 6)
    // Mostly bare after seven uses: each took more than was thought.
    const reading = { kind: 'stage', stage: 'mostly bare', day: '2026-11-12' }
    expect((await house.post(`/items/${itemId}/readings`, { id: 'r', partId: null, reading })).status).toBe(200)
    expect(await spent('2026-10')).toEqual(october)
    expect((await spent('2026-11')).spent.minor / 4).toBeGreaterThan(before * 2)
  })

  test('six hundred twins imported in an evening: counted, no list without end, and one of them finished is named apart', async () => {
    const kinds = ['blush', 'lipstick', 'mascara', 'eyeshadow single']
    const lines = Array.from(
      { length: 600 },
      (_, n) => `Pellwick,Low Tide,${kinds[n % 4]},${n % 7 === 0 ? '' : 12},2025-03-01`,
    )
    const base64 = Buffer.from(['Maker,Shade,Category,Price,Opened', ...lines].join('\n')).toString('base64')
    const sent = { importId: 'many', fileName: 'many.csv', base64, choices: {} }
    expect((await house.post('/import/run', sent)).status).toBe(200)
    const ids = (await house.listed()).map(({ id }) => id)
    expect(ids).toHaveLength(600)
    for (const [n, itemId] of ids.slice(0, 40).entries())
      await house.post('/wear', { itemId, day: addDays(d('2026-10-20'), n % 20), worn: true, despite: true })
    for (const [from, to] of [
      ['2026-10-01', '2026-10-31'],
      ['2026-01-01', '2026-12-31'],
    ] as const) {
      const { status, body } = await sheet(from, to)
      expect(status).toBe(200)
      expect(recountSheet(house.db, body)).toEqual([])
      const lists = [body.most, body.least, body.neglected, body.lines] as unknown[][]
      expect(Math.max(...lists.map((list) => list.length))).toBeLessThanOrEqual(48)
      // Whatever a list names comes with what tells it apart.
      const told = new Set((body as SpanSheet).items.map(({ id }) => id))
      expect((body as SpanSheet).most.filter(({ itemId }) => !told.has(itemId))).toEqual([])
    }
  })

  test('words of a span: said, changed, a stale change refused with what stands, undone', async () => {
    const span = { from: '2026-10-01', to: '2026-10-31' }
    const say = (words: string, version: number | null) =>
      house.post('/look-back/words', { id: `words-${words.length}`, version, ...span, words })
    expect((await say('Fine.', null)).status).toBe(200)
    expect((await sheet(span.from, span.to)).body.words).toMatchObject({ version: 1, words: 'Fine.' })
    const stale = await say('Not so fine.', null)
    expect(stale.status).toBe(409)
    expect(stale.body.current).toMatchObject({ words: 'Fine.' })
    expect((await say('Better.', 1)).status).toBe(200)
    expect((await say('', 2)).status).toBe(200)
    expect((await sheet(span.from, span.to)).body.words).toBeNull()
  })

  test('a question to friends: two to six, an answer among them, and none taken off that was chosen', async () => {
    const ids = [await house.item(), await house.item({ name: 'Other' }), await house.item({ name: 'Third' })]
    const put = (itemIds: string[], version: number | null = null) =>
      house.post('/look-back/asks', { id: 'ask-1', version, question: 'Which next?', itemIds })
    expect((await put(ids.slice(0, 1))).status).toBe(422)
    expect((await put([ids[0] ?? '', ids[0] ?? ''])).status).toBe(422)
    expect((await put(ids.slice(0, 2))).status).toBe(200)
    const answer = (chosenItemId: string | null, words = '') =>
      house.post('/look-back/asks/ask-1/answer', { answer: words, chosenItemId })
    expect((await answer(null)).status).toBe(422)
    expect((await answer(ids[2] ?? null)).status).toBe(404)
    expect((await answer(ids[1] ?? null, 'That one.')).status).toBe(200)
    expect((await put([ids[0] ?? '', ids[2] ?? ''], 2)).body).toMatchObject({ code: 'chosen-leaves' })
    const { asks } = (await house.get('/look-back/asks')).body
    expect(asks[0]).toMatchObject({
      chosenItemId: ids[1],
      answer: 'That one.',
      candidates: [{ rivals: 2 }, { rivals: 2 }],
    })
    expect((await house.post('/look-back/asks/ask-1/drop', {})).status).toBe(200)
  })

  test('a lesson kept at a sheet says at which, and is struck like any other', async () => {
    const span = { from: '2026-01-01', to: '2026-12-31' }
    const none = { rule: null, about: null, itemId: null, categoryId: null }
    await house.post('/lessons', { id: 'lesson-1', words: 'One is enough.', promptedBy: 'herself', ...none, span })
    expect((await house.get('/lessons')).body.kept).toMatchObject([{ id: 'lesson-1', span }])
    expect((await sheet(span.from, span.to)).body.lessons).toMatchObject([{ words: 'One is enough.', struck: false }])
    await house.post('/lessons/lesson-1/strike', { struck: true })
    expect((await sheet(span.from, span.to)).body.lessons).toMatchObject([{ struck: true }])
  })

  test('a later roll-over hour moves no day that was counted', async () => {
    const itemId = await house.item()
    await house.post('/wear', { itemId, day: '2026-11-20', worn: true })
    const { totals, days } = (await sheet('2026-11-01', '2026-11-30')).body
    const { settings, version } = (await house.get('/settings')).body
    await house.put('/settings', { version, settings: { ...settings, rollOverHour: 6 } })
    const after = (await sheet('2026-11-01', '2026-11-30')).body
    expect({ totals: after.totals, days: after.days }).toEqual({ totals, days })
  })
})
