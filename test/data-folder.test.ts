import {
  copyFileSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays, type Day } from '#core/calendar/day'
import { factsOf } from '#server/copies/copy-facts'
import type { CopyKind } from '#server/copies/copy-shelf'
import { Copies } from '#server/copies/copies'
import { collectionFile, dataFolder } from '#server/db/data-folder'
import { lockFolder } from '#server/db/lock-folder'
import { migrate, readMigrations } from '#server/db/migrate'
import { openDatabase } from '#server/db/open-database'
import type { Db } from '#server/db/query'
import { packageRoot } from '#server/db/package-root'
import { FIELDS, TestHouse } from './support/test-house'

let folder: string
let db: Db
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'seligo-data-'))
  db = openDatabase(join(folder, 'collection.db'), { appliedAt: '2026-11-24T08:00:00.000Z' })
})
afterEach(() => {
  db.close()
  rmSync(folder, { recursive: true, force: true })
})
const NOW = { appliedAt: '2026-11-24T12:00:00Z' }
const copiesIn = (of: string): string[] =>
  existsSync(join(of, 'copies'))
    ? readdirSync(join(of, 'copies'))
        .filter((name) => name.endsWith('.db'))
        .sort()
    : []
const copies = (): string[] => copiesIn(folder)
const day = (text: string): Day => text as Day

test('the data folder is where she says, and is made when it isn’t there', () => {
  const wanted = join(folder, 'deep', 'within')
  expect(dataFolder({ SELIGO_DATA: wanted })).toBe(wanted)
  expect(readdirSync(wanted)).toEqual([])
})

describe('copies', () => {
  const at = (instant: string): Copies => new Copies(db, folder, () => new Date(instant))

  test('one a day, another before an import that saved something, and each is a whole database', async () => {
    const made = at('2026-11-24T19:30:00Z')
    await made.forTheDay(day('2026-11-24'))
    await made.forTheDay(day('2026-11-24'))
    made.before('import').drop()
    // The first of a week and of a month stands for it as well.
    expect(made.shelf.names()).toEqual([{ name: '2026-11-24-day.db', tags: ['day', 'week', 'month'] }])
    ;(await made.meanwhileBefore('import')).keep()
    expect(copies()).toEqual(['2026-11-24-day.db', '2026-11-24T19.30.00.000Z-before-import.db'])
    expect(readdirSync(join(folder, 'copies')).filter((name) => !name.endsWith('.db'))).toEqual(['known.json'])
    const copy = new Database(join(folder, 'copies', '2026-11-24-day.db'), { readonly: true })
    expect(copy.pragma('integrity_check', { simple: true })).toBe('ok')
    copy.close()
  })

  test.each(readMigrations().map(({ number }) => number))(
    'before an update from schema %i: the collection is brought up to date, and the copy can be gone back to',
    (number) => {
      const file = join(folder, `old-${number}.db`)
      const old = new Database(file)
      migrate(old, { ...NOW, known: readMigrations().slice(0, number) })
      old.close()
      const backUp = (before: Db): void =>
        new Copies(before, folder, () => new Date(NOW.appliedAt)).before('migration').keep()
      openDatabase(file, { ...NOW, backUp }).close()
      const isLatest = number === readMigrations().length
      expect(copies().map((name) => factsOf(join(folder, 'copies', name)).wrong)).toEqual(isLatest ? [] : [null])
    },
  )

  test('each type has its own number, so that none pushes another out', async () => {
    for (let n = 0; n < 800; n += 20) {
      await at('2026-11-24T12:00:00Z').forTheDay(addDays(day('2024-09-16'), n))
      if (n < 200)
        at(`2026-11-24T12:00:${n / 10 + 10}Z`)
          .before('import')
          .keep()
    }
    const { shelf } = at('2026-11-24T12:00:00Z')
    const of = (tag: CopyKind): string[] =>
      shelf.names().flatMap(({ name, tags }) => (tags.includes(tag) ? [name] : []))
    expect([of('day').length, of('day')[0]]).toEqual([14, '2026-02-18-day.db'])
    expect([of('week').length, of('month').length, of('before-import').length]).toEqual([12, 24, 5])
    // Whatever stands for nothing any more is gone.
    expect(shelf.names().every(({ tags }) => tags.length > 0)).toBe(true)
  })

  test('copies of earlier versions, with names of their own for a week and a month, stand for these still', async () => {
    await at('2026-11-24T12:00:00Z').forTheDay(day('2026-11-24'))
    const file = join(folder, 'copies', '2026-11-24-day.db')
    for (const name of ['2026-10-01-month.db', '2026-11-16-week.db']) copyFileSync(file, join(folder, 'copies', name))
    expect(at('2026-11-24T12:00:00Z').shelf.names()).toEqual([
      { name: '2026-10-01-month.db', tags: ['month'] },
      { name: '2026-11-16-week.db', tags: ['week'] },
      { name: '2026-11-24-day.db', tags: ['day', 'week', 'month'] },
    ])
  })

  test('a clock set back deletes none', async () => {
    for (let n = 1; n <= 14; n += 1) await at('2026-11-24T12:00:00Z').forTheDay(addDays(day('2026-10-01'), n))
    const before = copies()
    await at('2026-11-24T12:00:00Z').forTheDay(day('2020-01-01'))
    expect(copies().filter((name) => before.includes(name))).toEqual(before)
  })

  test('an import that is refused leaves no copy, and one that is answered again neither', async () => {
    const house = await TestHouse.open()
    try {
      const send = (text: string, changeId: string) =>
        house.post('/import/run', {
          changeId,
          importId: 'imp',
          fileName: 'x.csv',
          base64: Buffer.from(text).toString('base64'),
          choices: {},
        })
      for (let n = 0; n < 3; n += 1) expect((await send('Name,Type\nQuay,shoes\n', `no-${n}`)).status).toBe(422)
      expect(copiesIn(house.folder)).toEqual([])
      for (let n = 0; n < 2; n += 1) expect((await send('Name,Type\nQuay,lip gloss\n', 'yes')).status).toBe(200)
      expect(copiesIn(house.folder)).toHaveLength(1)
    } finally {
      house.close()
    }
  })

  test('the words on how to go back are true when they are followed', async () => {
    const house = await TestHouse.open()
    const lost = mkdtempSync(join(tmpdir(), 'seligo-lost-'))
    try {
      await house.item({ shade: 'Kept' })
      await house.services.copies.forTheDay(day('2026-11-24'))
      await house.item({ shade: 'Later' })
      // docs/going-back.md, step by step: stopped, moved elsewhere, put in its place, started.
      await house.whileStopped(() => {
        for (const name of ['collection.db', 'collection.db-wal', 'collection.db-shm'])
          if (existsSync(join(house.folder, name))) renameSync(join(house.folder, name), join(lost, name))
        expect(() => collectionFile(house.folder)).toThrow(/copies of one are in/)
        renameSync(join(house.folder, 'copies', '2026-11-24-day.db'), join(house.folder, 'collection.db'))
      })
      const items = await house.listed()
      expect(items.map((item) => item.shade)).toEqual(['Kept'])
      expect((await house.post('/items', { id: 'on', fields: FIELDS, reading: null })).status).toBe(200)
    } finally {
      house.close()
      rmSync(lost, { recursive: true, force: true })
    }
  })
})

describe('one server to a folder', () => {
  test('a second one is told where the first one is, and may begin when that has ended', () => {
    const first = lockFolder(folder)
    first.tell('http://127.0.0.1:4680/')
    expect(() => lockFolder(folder)).toThrow(/it is at http:\/\/127\.0\.0\.1:4680\//)
    first.release()
    lockFolder(folder).release()
  })
})

describe('a collection that was taken away while it was open', () => {
  test.each([
    ['its folder', (of: string) => renameSync(of, `${of}-away`), (of: string) => renameSync(`${of}-away`, of)],
    [
      'its file, with another in its place',
      (of: string) => {
        renameSync(join(of, 'collection.db'), join(of, 'moved.db'))
        writeFileSync(join(of, 'collection.db'), 'x')
      },
      (of: string) => renameSync(join(of, 'moved.db'), join(of, 'collection.db')),
    ],
    [
      'its log',
      (of: string) => renameSync(join(of, 'collection.db-wal'), join(of, 'log')),
      (of: string) => renameSync(join(of, 'log'), join(of, 'collection.db-wal')),
    ],
  ])('%s: nothing is acknowledged, and it goes on once it is back', async (_, take, back) => {
    const house = await TestHouse.open()
    try {
      await house.item({ shade: 'Before' })
      take(house.folder)
      const refused = await house.post('/items', { id: 'lost', fields: FIELDS, reading: null })
      expect([refused.status, refused.body.code]).toEqual([503, 'collection-gone'])
      expect((await house.get('/collection')).status).toBe(503)
      back(house.folder)
      expect(await house.listed()).toHaveLength(1)
      expect((await house.post('/items', { id: 'found', fields: FIELDS, reading: null })).status).toBe(200)
    } finally {
      house.close()
    }
  })
})

describe('a first start', () => {
  test('that was interrupted by an earlier version, without categories, is completed at the next', () => {
    const file = join(folder, 'half.db')
    const half = new Database(file)
    half.exec(
      'CREATE TABLE migration (number INTEGER PRIMARY KEY, name TEXT NOT NULL, hash TEXT NOT NULL, applied_at TEXT NOT NULL) STRICT',
    )
    for (const { sql, number, name, hash } of readMigrations().slice(0, 2)) {
      half.exec(sql)
      half.prepare('INSERT INTO migration VALUES (?, ?, ?, ?)').run(number, name, hash, 'then')
    }
    half.close()
    const opened = openDatabase(file, NOW)
    expect(opened.prepare('SELECT count(*) AS n FROM category').get()).not.toEqual({ n: 0 })
    opened.close()
  })

  test.each([
    ['an empty file', ''],
    ['a file that is damaged', `SQLite format 3\u0000${'x'.repeat(4096)}`],
    ['somebody’s letter', 'Dear Maren, the tram was late again.'],
  ])('doesn’t take %s for a new collection', (_, text) => {
    const file = join(folder, 'odd.db')
    writeFileSync(file, text)
    expect(() => openDatabase(file, NOW)).toThrow()
    expect(readFileSync(file, 'utf8')).toBe(text)
  })

  test('nor the database of another program', () => {
    const file = join(folder, 'other.db')
    const other = new Database(file)
    other.exec('CREATE TABLE songs (title TEXT)')
    other.close()
    expect(() => openDatabase(file, NOW)).toThrow(/another program/)
  })
})

test('tables are strict, foreign keys hold, and every acknowledged write is on the disk', () => {
  const loose = db
    .prepare<[], { name: string; strict: number }>(
      "SELECT name, strict FROM pragma_table_list WHERE schema = 'main' AND type = 'table' AND name NOT LIKE 'sqlite_%'",
    )
    .all()
    .filter((table) => table.strict === 0)
  expect(loose).toEqual([])
  expect(db.pragma('foreign_keys', { simple: true })).toBe(1)
  expect(db.pragma('synchronous', { simple: true })).toBe(2)
  expect(db.pragma('journal_mode', { simple: true })).toBe('wal')
})

test('a collection written by a newer version is refused with words, and left as it is', () => {
  const file = join(folder, 'newer.db')
  const newer = openDatabase(file, NOW)
  newer
    .prepare(
      "INSERT INTO migration (number, name, hash, applied_at) VALUES (9001, '9001_from_the_future.sql', 'x', 'y')",
    )
    .run()
  newer.close()
  const before = readFileSync(file)
  expect(() => openDatabase(file, NOW)).toThrow(/newer Seligo.*9001_from_the_future/)
  expect(readFileSync(file).equals(before)).toBe(true)
})

test('a collection of the first version is brought up to date, with a copy made before', () => {
  const file = join(folder, 'old.db')
  const old = new Database(file)
  old.exec(readFileSync(join(packageRoot(), 'migrations', '0001_the_collection.sql'), 'utf8'))
  old.exec(
    'CREATE TABLE migration (number INTEGER PRIMARY KEY, name TEXT NOT NULL, hash TEXT NOT NULL, applied_at TEXT NOT NULL) STRICT',
  )
  const [first] = readMigrations()
  old.prepare('INSERT INTO migration VALUES (1, ?, ?, ?)').run(first?.name, first?.hash, 'then')
  old.exec(`INSERT INTO zone (id, name, slots, position) VALUES ('eyes', 'Eyes', 6, 0);
    INSERT INTO category (id, name, position, makeup, zone_id, usual_form, model_type, eye, lip)
      VALUES ('eyeshadow-palette', 'palette', 0, 1, 'eyes', 'pressed', 'eyeshadow', 1, 0),
             ('other', 'PALETTE', 1, 1, 'eyes', 'pressed', 'eyeshadow', 1, 0);
    INSERT INTO product (id, maker, name, shade) VALUES ('p', 'Pellwick', 'Hedgerow', ''), ('q', 'Pellwick', 'Hedgerow', '');
    INSERT INTO item (id, product_id, category_id, form, opened_kind, lifecycle) VALUES
      ('i', 'p', 'eyeshadow-palette', 'pressed', 'unknown', 'open'), ('j', 'q', 'eyeshadow-palette', 'pressed', 'unopened', 'unopened');
    INSERT INTO item (id, product_id, category_id, form, opened_kind, lifecycle, ended_on)
      VALUES ('k', 'q', 'eyeshadow-palette', 'pressed', 'unknown', 'finished', '2026-01-01');
    INSERT INTO part (id, item_id, name, row, col) VALUES ('moss', 'i', 'Moss', 1, 1);
    INSERT INTO measurement (id, item_id, part_id, day, moment, kind, value, stage)
      VALUES ('m', 'i', 'moss', '2026-02-01', 'before-use', 'stage', 0, 'dip');
    INSERT INTO review (id, item_id, day, would_buy_again) VALUES ('r', 'k', '2026-01-01', 'yes');`)
  old.close()
  let made = 0
  const opened = openDatabase(file, { appliedAt: 'now', backUp: () => (made += 1) })
  expect(made).toBe(1)
  expect(opened.prepare('SELECT id, product_id, structure, ended_as FROM item ORDER BY id').all()).toEqual([
    { id: 'i', product_id: 'p', structure: 'palette', ended_as: null },
    { id: 'j', product_id: 'p', structure: 'single', ended_as: null },
    { id: 'k', product_id: 'p', structure: 'single', ended_as: 'finished' },
  ])
  expect(opened.prepare('SELECT value, unit, saved_at FROM measurement').get()).toEqual({
    value: null,
    unit: null,
    saved_at: '2026-02-01T12:00:00.000Z',
  })
  expect(opened.prepare('SELECT product_id FROM review').get()).toEqual({ product_id: 'p' })
  expect(opened.prepare('SELECT count(DISTINCT lower(name)) AS n FROM category').get()).toEqual({ n: 2 })
  expect(opened.pragma('foreign_key_check')).toEqual([])
  opened.close()
})
