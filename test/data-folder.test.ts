import { mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { copyDatabase, dataFolder } from '#server/db/data-folder'
import { openDatabase, type Db } from '#server/db/open-database'

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

test('one copy a day, another before each import, and each is a whole database', () => {
  copyDatabase(db, folder, '2026-11-24T08:00:00.000Z', 'day')
  copyDatabase(db, folder, '2026-11-24T19:00:00.000Z', 'day')
  copyDatabase(db, folder, '2026-11-24T19:30:00.000Z', 'import')
  expect(copies()).toEqual(['2026-11-24-day.db', '2026-11-24T19.30.00.000Z-before-import.db'])
  const copy = new Database(join(folder, 'copies', '2026-11-24-day.db'), { readonly: true })
  expect(copy.pragma('integrity_check', { simple: true })).toBe('ok')
  expect(copy.prepare('SELECT count(*) AS n FROM category').get()).toEqual(
    db.prepare('SELECT count(*) AS n FROM category').get(),
  )
  copy.close()
})

test('the newest fourteen are kept', () => {
  for (let day = 1; day <= 20; day += 1)
    copyDatabase(db, folder, `2026-10-${String(day).padStart(2, '0')}T08:00:00.000Z`, 'day')
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
