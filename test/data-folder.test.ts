import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { copyDatabase, copyForTheDay, dataFolder } from '#server/db/data-folder'
import { readMigrations } from '#server/db/migrate'
import { openDatabase, type Db } from '#server/db/open-database'
import { packageRoot } from '#server/db/package-root'

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
const copies = (): string[] => readdirSync(join(folder, 'copies')).sort()

test('the data folder is where she says, and is made when it is not there', () => {
  const wanted = join(folder, 'deep', 'within')
  expect(dataFolder({ SELIGO_DATA: wanted })).toBe(wanted)
  expect(readdirSync(wanted)).toEqual([])
})

test('one copy a day, another before each import, and each is a whole database', async () => {
  await copyForTheDay(db, folder, '2026-11-24')
  await copyForTheDay(db, folder, '2026-11-24')
  copyDatabase(db, folder, '2026-11-24T19:30:00.000Z', 'import')
  expect(copies()).toEqual(['2026-11-24-day.db', '2026-11-24T19.30.00.000Z-before-import.db'])
  const copy = new Database(join(folder, 'copies', '2026-11-24-day.db'), { readonly: true })
  expect(copy.pragma('integrity_check', { simple: true })).toBe('ok')
  expect(copy.prepare('SELECT count(*) AS n FROM category').get()).toEqual(
    db.prepare('SELECT count(*) AS n FROM category').get(),
  )
  copy.close()
})

test('the newest fourteen are kept', async () => {
  for (let day = 1; day <= 20; day += 1) await copyForTheDay(db, folder, `2026-10-${String(day).padStart(2, '0')}`)
  expect(copies()).toHaveLength(14)
  expect(copies()[0]).toBe('2026-10-07-day.db')
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
  const db = openDatabase(file, { appliedAt: '2026-11-24T12:00:00Z' })
  db.prepare(
    "INSERT INTO migration (number, name, hash, applied_at) VALUES (9001, '9001_from_the_future.sql', 'x', 'y')",
  ).run()
  db.close()
  const before = readFileSync(file)
  expect(() => openDatabase(file, { appliedAt: '2026-11-25T12:00:00Z' })).toThrow(/newer Seligo.*9001_from_the_future/)
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
      VALUES ('eyeshadow-palette', 'palette', 0, 1, 'eyes', 'pressed', 'eyeshadow', 1, 0);
    INSERT INTO product (id, maker, name, shade) VALUES ('p', 'Pellwick', 'Hedgerow', '');
    INSERT INTO item (id, product_id, category_id, form, opened_kind, lifecycle) VALUES ('i', 'p', 'eyeshadow-palette', 'pressed', 'unknown', 'open');
    INSERT INTO part (id, item_id, name, row, col) VALUES ('moss', 'i', 'Moss', 1, 1);`)
  old.close()
  let copies = 0
  const db = openDatabase(file, { appliedAt: 'now', backUp: () => (copies += 1) })
  expect(db.prepare('SELECT structure, seasons FROM item').get()).toEqual({ structure: 'palette', seasons: '[]' })
  expect(copies).toBe(1)
  expect(db.pragma('foreign_key_check')).toEqual([])
  db.close()
})
